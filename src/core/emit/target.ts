import type { Capabilities } from '../look/features';
import type { Measures } from '../mockup/bounds';
import type { LayerId } from '../mockup/layer';
import type { Mockup } from '../mockup/mockup';
import type { FaceId } from '../mockup/type';
import type { Page } from '../page/frame';
import type { PageNode } from '../page/node';
import type { Icons } from '../pictures/iconSymbol';
import type { PicturePlan } from '../pictures/picture';
import type { PictureSupport } from '../pictures/recipes/automaticRecipe';
import type { Decisions } from '../sort/decision';
import type { StyleSheet } from '../style/styleSheet';
import type { StyleBook } from './styleBook';
import type { PagePieces } from './preview';
import type { TargetOptions, TargetSettings } from './targetOptions';
import type { SourceMap } from './sourceMap';

/** A font file of the page. */
export interface FontFile {
  readonly face: FaceId;
  /** Path from the page's folder, such as `fonts/commissioner-latin-400-normal.woff2`. */
  readonly path: string;
  readonly family: string;
  readonly weight: number;
  readonly italic: boolean;
  readonly source: 'shipped' | 'embedded' | 'added';
  /** The shipped file or the mockup's asset. */
  readonly file: string;
}

/** Where a platform looks for font files, and which it reads. */
export interface FontSupport {
  readonly folder: string;
  /** The folder of licences. */
  readonly licences: string;
  /** True for a platform that reads TrueType and OpenType alone, in files with names of resources. */
  readonly isPlain: boolean;
}

export const WEB_FONTS: FontSupport = { folder: 'fonts', licences: 'fonts', isPlain: false };

export interface EmitInput {
  readonly mockup: Mockup;
  readonly pages: readonly Page[];
  readonly sheet: StyleSheet;
  readonly plan: PicturePlan;
  readonly fonts: readonly FontFile[];
  readonly settings: TargetSettings;
  /** The language of the page's words, a BCP 47 tag. */
  readonly language: string;
  /** The pictures that pages hold as symbols, by their names. Absent for none. */
  readonly icons?: Icons;
  /** True to write each element's layer in `data-layer`. */
  readonly keyed?: boolean;
}

export interface EmittedFile {
  readonly path: string;
  readonly text: string;
}

/** The languages that code is coloured in. */
export type CodeLanguage = 'html' | 'css' | 'jsx' | 'text';

/** Code of one kind, with the name of its language. */
export interface CodePart {
  readonly title: string;
  readonly language: CodeLanguage;
  readonly code: string;
}

/** The code of one layer. */
export interface Fragment {
  /** The layer of the code: the requested one, or the one that absorbed it; null when it has none. */
  readonly shown: LayerId | null;
  readonly parts: readonly CodePart[];
}

export interface TargetOutput {
  /** The names of pictures that pages hold themselves, so that nothing asks for their files. Absent for none. */
  readonly heldPictures?: readonly string[];
  readonly files: readonly EmittedFile[];
  readonly sourceMap: SourceMap;
}

/** A kind of output. */
export interface Target {
  readonly name: string;
  /** The name for people. */
  readonly label: string;
  readonly capabilities: Capabilities;
  /** What a person chooses about its output. */
  readonly options: TargetOptions;
  /** What its platform shows of pictures. Absent where that is all that browsers show. */
  readonly pictures?: PictureSupport;
  /** What it says only nearly of a node, each in words for a finding. Absent where it says everything. */
  readonly nearly?: (node: PageNode) => readonly string[];
  /** Where its platform looks for fonts. Absent for those of the web. */
  readonly fonts?: FontSupport;
  /** Whether a browser shows the output, so that pages are fitted to how browsers round. */
  readonly fitsBrowsers: boolean;
  readonly emit: (input: EmitInput) => TargetOutput;
  /** The file of a page. */
  readonly pageFile: (pages: readonly Page[], at: number) => string;
  /** The code of one layer as the pages have it; of the group around a layer that was merged into it. */
  readonly fragment: (input: FragmentInput, layer: LayerId) => Fragment;
  /** Its style sheet to look at; absent for a target without one. */
  readonly styleBook?: (input: BookInput) => StyleBook;
  /** A page for the browser, in pieces with layers in `data-layer`; absent where no browser shows the output. */
  readonly preview?: (page: Page, input: PreviewInput) => PagePieces;
}

/** What a style sheet is looked at with. */
export interface BookInput extends EmitInput {
  readonly measures: ReadonlyMap<string, Measures>;
  /** The classes that have a sample. */
  readonly samples: ReadonlySet<string>;
}

/** What the pieces of a page are made from: they stand in no document with a language. */
export type PreviewInput = Omit<EmitInput, 'language'>;

export type FragmentInput = Pick<EmitInput, 'pages' | 'sheet' | 'plan' | 'fonts' | 'settings'> & {
  readonly decisions: Decisions;
};
