import { formatNumber } from '../../markup/numbers';
import type { CssRule, Declaration } from '../../markup/printCss';
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
  const height = commonest(ofSize, 'line-height');
  const share = parseFloat(height) / parseFloat(size);
  const isShare = !height.endsWith('px') || isExact(share);
  const colour = commonest(texts, 'color');
  const lineHeight = height.endsWith('px') && isShare ? formatNumber(share, 2) : height;
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
      const own = parseFloat(new Map(declarations).get('font-size') ?? size);
      const height = lineHeight.endsWith('px') ? parseFloat(lineHeight) : parseFloat(lineHeight) * own;
      return declarations.filter(([property, value]) =>
        property === 'line-height'
          ? !value.endsWith('px') || Math.abs(parseFloat(value) - height) > EXACT
          : inherited.get(property) !== value,
      );
    },
  };
});

/** Px by which a line height may differ from its share of the size. */
const EXACT = 0.005;

/** True for a share that two digits write. */
function isExact(share: number): boolean {
  return Math.abs(share * 100 - Math.round(share * 100)) < 0.001;
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

/** Headings have no type of their own where they inherit that of the body (HTML, §15.3.7). */
export const HEADING_RULE: CssRule = {
  selector: ':where(.screen :is(h1, h2, h3, h4, h5, h6))',
  declarations: [['font', 'inherit']],
};

/** What the shorthand resets anyway is left out. */
function isUnusual(value: string): boolean {
  return value !== 'normal' && value !== '400';
}

const FONT_PARTS = [
  'font-style',
  'font-variant',
  'font-weight',
  'font-size',
  'line-height',
  'font-family',
] as const;

/**
 * Declarations with the parts of a font as its shorthand, where all that it needs are said (CSS Fonts 4, §2.10). The
 * shorthand resets the parts that are not said.
 */
export function withFontShorthand(declarations: readonly Declaration[]): readonly Declaration[] {
  const said = new Map(declarations);
  const [family, size, height] = ['font-family', 'font-size', 'line-height'].map((part) => said.get(part));
  if (!family || !size || !height) return declarations;
  const before = FONT_PARTS.slice(0, 3)
    .flatMap((part) => said.get(part) ?? [])
    .filter(isUnusual);
  const font = [...before, `${size}/${height}`, family].join(' ');
  const isPart = (property: string) => (FONT_PARTS as readonly string[]).includes(property);
  const at = declarations.findIndex(([property]) => isPart(property));
  const others = declarations.filter(([property]) => !isPart(property));
  return others.toSpliced(at, 0, ['font', font]);
}
