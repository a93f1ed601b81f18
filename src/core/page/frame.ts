import type { LayerId } from '../mockup/layer';
import type { Colour } from '../mockup/paint';
import type { Layout } from './layout';
import type { RewriteTrace } from './rewrite/rewrite';
import type { PageLinks } from './links/resolveLinks';
import type { StateNode } from './states/stateNode';
import type { PageNode, ThemeLook } from './node';

/** How a page stands in its window. */
export interface PageFrame {
  /** From the left edge, or centred and no wider than the mockup. */
  readonly stands: 'left' | 'centred';
  /** Whether content past the screen's edges is clipped or spills. */
  readonly edge: 'clipped' | 'spilling';
  /** As high as the mockup's screen, or as its content. */
  readonly reaches: 'screen' | 'content';
}

export const FRAME_WORDS = {
  stands: ['left', 'centred'],
  edge: ['clipped', 'spilling'],
  reaches: ['screen', 'content'],
} as const satisfies { readonly [K in keyof PageFrame]: readonly PageFrame[K][] };

export interface Page {
  readonly screen: string;
  readonly name: string;
  /** What the tab of the browser says. */
  readonly title: string;
  readonly width: number;
  readonly height: number;
  readonly ground: Colour | null;
  /** The layer that is its ground. Absent where that is none. */
  readonly groundLayer?: LayerId;
  /** The look of its ground in themes. Absent where it is the same in all. */
  readonly themes?: readonly ThemeLook[];
  /** Class names that a person gave to the box that is its ground. */
  readonly classes?: readonly string[];
  readonly frame: PageFrame;
  /** Absent where everything stands at its coordinates. */
  readonly layout?: Layout;
  readonly children: readonly PageNode[];
  /** What was rewritten before the nodes were arranged. Absent where nothing was. */
  readonly rewrites?: readonly RewriteTrace[];
  /** Its links to screens and layers. Absent where there are none. */
  readonly links?: PageLinks;
  /** The ids of fields that texts on the page label. Absent where there are none. */
  readonly fieldIds?: ReadonlyMap<LayerId, string>;
  /** Versions of layers that the page cannot show. */
  readonly lostStates?: readonly Pick<StateNode, 'layer' | 'state'>[];
  /** The second screen of the page, for windows of up to `below` px. */
  readonly narrow?: Omit<Page, 'children' | 'narrow'> & { readonly below: number };
}

/** How nodes are placed. */
export const ARRANGEMENTS = ['fixed', 'nested', 'flow'] as const;

export type Arrangement = (typeof ARRANGEMENTS)[number];

/** The default frame: a page in the flow is as high as its content. */
export function plainFrame(arrangement: Arrangement): PageFrame {
  return { stands: 'left', edge: 'clipped', reaches: arrangement === 'flow' ? 'content' : 'screen' };
}

/** A language tag as pages name it: a language, and perhaps a script or a region (BCP 47, §2.1; RFC 5646). */
export const LANGUAGE_TAG = /^[a-z]{2,3}(?:-[A-Za-z0-9]{2,8})*$/;

/** The language of a page as long as nobody said otherwise. */
export const USUAL_LANGUAGE = 'en';

/** The length that sizes are written in; `rem` follows the reader's own type size. */
export const UNITS = ['px', 'rem'] as const;

export type Unit = (typeof UNITS)[number];
