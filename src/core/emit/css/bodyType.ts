import { formatNumber } from '../../markup/numbers';
import type { Declaration } from '../../markup/printCss';
import { memoizeByObject } from '../../mockup/memoize';
import type { StyleClass, StyleSheet } from '../../style/styleSheet';
import { classDeclarations } from './declarations';

/** The type that the body of pages in the flow has, and every text that says nothing else (CSS Cascade 5, §7.2). */
export interface BodyType {
  readonly declarations: readonly Declaration[];
  /** The declarations of a text's class without those that it inherits. */
  readonly without: (declarations: readonly Declaration[]) => readonly Declaration[];
}

const NO_BODY_TYPE: BodyType = { declarations: [], without: (declarations) => declarations };

/** Fewer classes of texts have nothing to inherit. */
const FEWEST = 2;

/**
 * The commonest family, size, line height and colour of a sheet's texts. A line height is a share of the size where that
 * gives it exactly: larger letters inherit the share (CSS Inline 3, §5.1).
 */
export const bodyTypeOf = memoizeByObject((sheet: StyleSheet): BodyType => {
  const texts = sheet.classes.filter((style) => sheet.flows && inheritsType(style)).map(textOf);
  if (texts.length < FEWEST || texts.some(({ said }) => !said.has('font-family'))) return NO_BODY_TYPE;
  const family = commonest(texts, 'font-family');
  const ofFamily = texts.filter(({ said }) => said.get('font-family') === family);
  const size = commonest(ofFamily, 'font-size');
  const ofSize = ofFamily.filter(({ said }) => said.get('font-size') === size);
  const lineHeight = sharedHeight(commonest(ofSize, 'line-height'), size);
  const colour = commonest(texts, 'color');
  const inherited = new Map([
    ['font-family', family],
    ['font-size', size],
    ['color', colour],
  ]);
  return {
    declarations: [
      ['font-family', family],
      ['font-size', size],
      ['line-height', lineHeight],
      ['color', colour],
    ],
    without: (declarations) => {
      const own = new Map(declarations).get('font-size') ?? size;
      return declarations.filter(([property, value]) =>
        property === 'line-height'
          ? Math.abs(parseFloat(value) - inheritedHeight(lineHeight, own)) > EXACT
          : inherited.get(property) !== value,
      );
    },
  };
});

/** Px by which a line height may differ from its share of the size. */
const EXACT = 0.005;

/** A line height as a share of the size where two digits give it exactly, else in px. */
function sharedHeight(height: string, size: string): string {
  const share = parseFloat(height) / parseFloat(size);
  const isExact = Math.abs(share * 100 - Math.round(share * 100)) < 0.001;
  return isExact ? formatNumber(share, 2) : height;
}

/** The line height that a text of a size inherits, px. */
function inheritedHeight(height: string, size: string): number {
  return height.endsWith('px') ? parseFloat(height) : parseFloat(height) * parseFloat(size);
}

/**
 * True for the class of texts that take what they do not say from the body: letters inside of a text inherit from that
 * text, themes and states change what a class says, and what a person named says all of itself.
 */
export function inheritsType(style: StyleClass): boolean {
  const { look, within, themes, narrow, isSaid } = style;
  const isPlain = within.length === 0 && themes.length === 0 && narrow === null && !isSaid;
  return isPlain && look.type !== undefined && look.type.lineHeight !== null;
}

interface TextClass {
  readonly said: ReadonlyMap<string, string>;
  readonly users: number;
}

function textOf(style: StyleClass): TextClass {
  const users = style.placements.reduce((all, { count }) => all + count, 0);
  return { said: new Map(classDeclarations(style)), users: Math.max(1, users) };
}

/** The value of a property that most users have. */
function commonest(texts: readonly TextClass[], property: string): string {
  const counts = new Map<string, number>();
  for (const { said, users } of texts) {
    const value = said.get(property) ?? '';
    counts.set(value, (counts.get(value) ?? 0) + users);
  }
  const [first] = [...counts].toSorted(([, one], [, other]) => other - one);
  return first?.[0] ?? '';
}
