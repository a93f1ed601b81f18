import { ANDROID } from '../../markup/androidNamespaces';
import { printArgb } from '../../markup/colours';
import { element, type MarkupElement } from '../../markup/element';
import type { Look } from '../../look/look';
import type { Colour } from '../../mockup/paint';
import type { PageNode, TextNode } from '../../page/node';
import { putInList } from '../../mockup/putInList';
import { mainFile } from '../../pictures/picture';
import { parseColour } from '../../read/svg/colours';
import { namedValues } from '../css/sheetTokens';
import { classNamesOf } from '../components/classNames';
import { kebabCase } from '../components/identifiers';
import { MarkedPrinter } from '../components/printing';
import { resourceName } from '../../sort/outputNames';
import type { EmitInput, EmittedFile, FontFile } from '../target';
import { backgroundOf } from './drawables';
import { resourceFile } from './printXml';
import { stateList } from './stateSelectors';
import { Resources } from './resourceNames';
import { dp, stringResource } from './values';
import { attributeElement, type ThemedAttribute } from './themed';
import { typeItems } from './views';

/** The resources that the layouts of a build share: each value once, under a name of its own. */
export class AndroidResources {
  private readonly colours = new Resources<string>();
  private readonly strings = new Resources<string>();
  private readonly styles = new Resources<readonly (readonly [string, string])[]>();
  private readonly drawables = new Resources<MarkupElement>();
  private readonly colourLists = new Resources<MarkupElement>();
  private readonly attributes = new Resources<ThemedAttribute>();
  private readonly dimens = new Resources<number>();
  private readonly words = new Map<string, string>();
  /** The names of distances, by their px. */
  private readonly spaces = new Map<number, string>();

  constructor(private readonly input: Pick<EmitInput, 'pages' | 'sheet' | 'plan' | 'fonts'>) {
    for (const { kind, name, value } of namedValues(input)) {
      const colour = kind === 'colour' ? parseColour(value) : null;
      if (colour) this.colours.name(name, printArgb(colour), () => printArgb(colour));
      const length = kind === 'space' ? /^([\d.]+)px$/.exec(value) : null;
      if (length) this.spaces.set(Number(length[1]), name);
    }
  }

  /** The reference of a colour. */
  readonly colour = (colour: Colour): string => {
    const value = printArgb(colour);
    return `@color/${this.colours.name(`tint-${value.slice(1)}`, value, () => value)}`;
  };

  /** The reference of words, or of a string with marks that says them. */
  string(words: string, markup = stringResource(words)): string {
    const wanted = words.split(/\s+/).slice(0, 5).join(' ').slice(0, 40);
    const name = /[\p{L}]/u.test(wanted) ? wanted : `text ${wanted}`;
    const reference = `@string/${this.strings.name(name, markup, () => markup)}`;
    this.words.set(reference, words);
    return reference;
  }

  /** The style of a text's letters, named after its class. */
  textStyle(node: TextNode): string {
    const items = typeItems(node, this.colour, this.fontOf);
    const wanted = this.input.sheet.classOf(node)?.name ?? node.name;
    return `@style/${this.styles.name(`text-${wanted}`, JSON.stringify(items), () => items)}`;
  }

  /** The reference of the family that a text's first face with a file is of; null where none has one. */
  private readonly fontOf = ({ faces }: TextNode): string | null => {
    const font = this.input.fonts.find(({ face }) => faces.includes(face));
    return font ? `@font/${familyName(font)}` : null;
  };

  /** What lies behind the content of a node, in each of its states; null for nothing. */
  background(node: PageNode): string | null {
    const wanted = this.input.sheet.classOf(node)?.name ?? node.name;
    const list = stateList(node, 'android:drawable', (look) => this.plainBackground(look, node, wanted));
    if (!list) return this.plainBackground(node.look, node, wanted);
    return `@drawable/${this.drawables.name(`bg-${wanted}-states`, JSON.stringify(list), () => list)}`;
  }

  private plainBackground(look: Look, { place }: PageNode, wanted: string): string | null {
    const background = backgroundOf(look, place, this.colour);
    if (background.kind === 'none') return null;
    if (background.kind === 'colour') return this.colour(background.colour);
    return `@drawable/${this.drawables.name(`bg-${wanted}`, JSON.stringify(background.root), () => background.root)}`;
  }

  /** The colours of a text in its states; null where it has one in all. */
  textColours(node: TextNode): string | null {
    const list = stateList(node, 'android:color', ({ type }) =>
      type?.colour ? this.colour(type.colour) : null,
    );
    if (!list) return null;
    const wanted = this.input.sheet.classOf(node)?.name ?? node.name;
    return `@color/${this.colourLists.name(`${wanted}-states`, JSON.stringify(list), () => list)}`;
  }

  /** The reference of a distance that the build has a name for; null for another one. */
  readonly dimen = (length: number): string | null => {
    const wanted = this.spaces.get(length);
    return wanted === undefined ? null : `@dimen/${this.dimens.name(wanted, String(length), () => length)}`;
  };

  /** The classes of a node, which name its layout. */
  classesOf(node: PageNode): string | null {
    return classNamesOf(node, this.input.sheet);
  }

  /** The words that a reference stands for; null for one that stands for no words. */
  wordsOf(reference: string): string | null {
    return reference.startsWith('@string/') ? (this.words.get(reference) ?? null) : null;
  }

  /** An attribute that themes say, by its name. */
  attribute(wanted: string, themed: ThemedAttribute): string {
    return this.attributes.name(kebabCase(wanted), JSON.stringify([wanted, themed]), () => themed);
  }

  /** The theme of one use of a layout, with what it says; null for nothing. */
  theme(component: string, said: readonly (readonly [attribute: string, value: string])[]): string | null {
    if (said.length === 0) return null;
    return `@style/${this.styles.name(kebabCase(component), JSON.stringify(said), () => said)}`;
  }

  picture(name: string): string {
    const file = mainFile(this.input.plan, name)?.path ?? name;
    const base = (file.split('/').at(-1) ?? file).replace(/\.\w+$/, '');
    return `@drawable/${resourceName(base)}`;
  }

  files(): readonly EmittedFile[] {
    const values = (kind: string, inner: readonly MarkupElement[]): EmittedFile[] =>
      inner.length === 0
        ? []
        : [{ path: `res/values/${kind}.xml`, text: printed(element('resources', {}, inner)) }];
    return [
      ...fontFamilies(this.input.fonts),
      ...values(
        'attrs',
        this.attributes.entries().map(([name, themed]) => attributeElement(name, themed)),
      ),
      ...values(
        'colors',
        this.colours.entries().map(([name, value]) => element('color', { name }, [value])),
      ),
      ...values(
        'dimens',
        this.dimens.entries().map(([name, length]) => element('dimen', { name }, [dp(length)])),
      ),
      ...values(
        'strings',
        this.strings
          .entries()
          .map(([name, words]) =>
            element('string', { name, formatted: /%.*%/.test(words) ? 'false' : null }, [words]),
          ),
      ),
      ...values(
        'styles',
        this.styles.entries().map(([name, items]) =>
          element(
            'style',
            { name },
            items.map(([key, value]) => element('item', { name: key }, [value])),
          ),
        ),
      ),
      ...this.drawables
        .entries()
        .map(([name, root]) => ({ path: `res/drawable/${name}.xml`, text: printed(root) })),
      ...this.colourLists
        .entries()
        .map(([name, root]) => ({ path: `res/color/${name}.xml`, text: printed(root) })),
    ];
  }
}

/** The families of font files, each face by its weight and slant (Android, “Fonts in XML”). */
function fontFamilies(fonts: readonly FontFile[]): readonly EmittedFile[] {
  const families = new Map<string, FontFile[]>();
  for (const font of fonts) putInList(families, familyName(font), font);
  return [...families].map(([name, faces]) => {
    const inner = faces.map(({ path, weight, italic }) =>
      element('font', {
        'android:fontStyle': italic ? 'italic' : 'normal',
        'android:fontWeight': String(weight),
        'android:font': `@font/${path.replace(/^.*\/|\.\w+$/g, '')}`,
      }),
    );
    const names = { 'xmlns:android': ANDROID };
    return { path: `res/font/${name}.xml`, text: printed(element('font-family', names, inner)) };
  });
}

/** The resource of a family: no file of one face has its name. */
function familyName({ family }: FontFile): string {
  return `${resourceName(family)}_family`;
}

function printed(root: MarkupElement): string {
  return new MarkedPrinter().printLines(resourceFile(root)).text;
}
