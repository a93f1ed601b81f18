import { px } from '../../markup/numbers';
import type { CssRule, Declaration } from '../../markup/printCss';
import type { Page } from '../../page/frame';
import type { Layout } from '../../page/layout';
import type { PageNode } from '../../page/node';
import type { FixedPlace } from '../../page/place';
import { walkNodes } from '../../page/walk';
import type { FluidLetters, WindowChange } from '../../page/windows/windowChange';
import { isIndented, sideRoomOfMiddle, TIGHT_PADDING, windowSteps } from '../../page/windows/windowChanges';
import type { EmitInput } from '../target';
import { classSelector, modifiersOf } from './modifiers';
import { framesOf } from './frames';
import { placedClasses } from './placedClasses';

type WindowInput = Pick<EmitInput, 'pages' | 'sheet'>;

/**
 * The rules of narrower windows (Media Queries 4, §4.1 and §2.4.3 ranges): rows that do not fit stand in lines, cells or
 * columns. A class changes where one of its elements has to.
 * @param wide the rules of classes in every window
 */
export function windowRules(input: WindowInput, wide: readonly CssRule[]): readonly CssRule[] {
  const steps = input.pages.flatMap(windowSteps);
  const widths = [...new Set(steps.map(({ below }) => below))].toSorted((one, other) => other - one);
  if (widths.length === 0) return [];
  const said = new Map<string, Said>();
  for (const { selector, declarations } of wide)
    said.set(selector, new Map([...(said.get(selector) ?? []), ...declarations]));
  const { baseOf } = modifiersOf(input.sheet);
  const bases = new Map(
    input.sheet.classes.flatMap((style) => {
      const base = baseOf(style);
      return base ? [[classSelector(style), classSelector(base)] as const] : [];
    }),
  );
  const worn = wornTogether(input);
  // What is said before each window, in every window first, then in the wider ones.
  const before: SaidBySelector[] = [said];
  return widths.flatMap((width) => {
    const changes = steps.flatMap((step) => (step.below === width ? [...step.changes] : []));
    const own = saidOf(changes, input);
    const news = newsOf(own, { before, worn, bases });
    before.push(own);
    return rulesOf(news, `(width < ${width}px)`);
  });
}

/** Values by their properties. */
type Said = ReadonlyMap<string, string>;
type SaidBySelector = ReadonlyMap<string, Said>;

/** What the rules of a window come after, and which classes stand together. */
interface Surroundings {
  /** What is said in every window, then in the wider ones, the widest first. */
  readonly before: readonly SaidBySelector[];
  /** The selectors of the classes that an element wears beside one. */
  readonly worn: ReadonlyMap<string, ReadonlySet<string>>;
  /** The selectors of the classes that modifiers change. */
  readonly bases: ReadonlyMap<string, string>;
}

type Changed = readonly [node: PageNode | Page, change: WindowChange];

/** What is said of a class by several elements is one rule. */
function saidOf(changes: readonly Changed[], input: WindowInput): SaidBySelector {
  const bySelector = new Map<string, Said>();
  for (const [node, change] of changes) {
    const own = selectorOf(node, input);
    if (own === null) continue;
    const add = (selector: string, said: readonly Declaration[]) => {
      if (said.length > 0) bySelector.set(selector, new Map([...(bySelector.get(selector) ?? []), ...said]));
    };
    add(own, declarationsOf(node, change));
    // Other things may wear the class of the rows.
    add(`${own} tr`, rowDeclarations(change));
  }
  return bySelector;
}

/** What a window says anew: what holds there anyway is left out, where no other class of an element says otherwise. */
function newsOf(own: SaidBySelector, around: Surroundings): SaidBySelector {
  return new Map(
    [...own].map(([selector, said]) => {
      const news = [...said].filter(
        ([property, value]) =>
          isDisputed(selector, property, value, own, around) ||
          valueHeld(selector, property, own, around) !== value,
      );
      const kept = new Map(news);
      // A shorthand that stays would reset a longhand that is left out.
      const isReset = [...said.keys()].some(
        (property) => !kept.has(property) && SHORTHANDS[property]?.some((each) => kept.has(each)),
      );
      return [selector, isReset ? said : kept] as const;
    }),
  );
}

/** True where another class of an element has another value in this window or a wider one. */
function isDisputed(
  selector: string,
  property: string,
  value: string,
  own: SaidBySelector,
  { before, worn }: Surroundings,
): boolean {
  const beside = [...(worn.get(selector) ?? [])];
  return [...before.slice(1), own].some((layer) =>
    beside.some((other) => (layer.get(other)?.get(property) ?? value) !== value),
  );
}

/** The value that a class has in a window without saying it there: its base's in this window, or what was said last. */
function valueHeld(
  selector: string,
  property: string,
  own: SaidBySelector,
  { before, bases }: Surroundings,
): string | undefined {
  const base = bases.get(selector) ?? '';
  const saidIn = (layer: SaidBySelector) =>
    layer.get(selector)?.get(property) ?? layer.get(base)?.get(property);
  const last = before.findLast((layer) => saidIn(layer) !== undefined);
  return own.get(base)?.get(property) ?? (last && saidIn(last));
}

/** The shorthands that set a property, of those that windows say. */
const SHORTHANDS: Readonly<Record<string, readonly string[]>> = {
  'flex-shrink': ['flex'],
  'margin-left': ['margin-inline'],
  'margin-right': ['margin-inline'],
};

/** What several classes say is one rule. */
function rulesOf(bySelector: SaidBySelector, media: string): readonly CssRule[] {
  const alike = new Map<string, CssRule>();
  for (const [selector, said] of bySelector) {
    if (said.size === 0) continue;
    const mark = JSON.stringify([...said]);
    const known = alike.get(mark);
    const whole = known ? `${known.selector},\n${selector}` : selector;
    alike.set(mark, { selector: whole, declarations: [...said], media });
  }
  return [...alike.values()];
}

/** For every class the others that one of its elements wears. */
function wornTogether(input: WindowInput): Surroundings['worn'] {
  const worn = new Map<string, Set<string>>();
  const { baseOf } = modifiersOf(input.sheet);
  for (const node of input.pages.flatMap(({ children }) => walkNodes(children))) {
    const style = input.sheet.classOf(node);
    const base = style && baseOf(style);
    const placed = placedClasses(input).classOf(node);
    const all = [base && classSelector(base), style && classSelector(style), placed && `.${placed}`].flatMap(
      (each) => each ?? [],
    );
    if (all.length < 2) continue;
    for (const each of all) {
      const known = worn.get(each) ?? new Set();
      for (const other of all) if (other !== each) known.add(other);
      worn.set(each, known);
    }
  }
  return worn;
}

/** The class that the change is said of: what stands last wins, so it is the last class of the element. */
function selectorOf(node: PageNode | Page, input: WindowInput): string | null {
  if ('screen' in node) {
    const own = framesOf(input).classOf(node);
    return own === null ? '.screen' : `.${own}`;
  }
  const placed = placedClasses(input).classOf(node);
  if (placed !== null) return `.${placed}`;
  const style = input.sheet.classOf(node);
  return style ? classSelector(style) : null;
}

/** What the rows of a table say: their columns share the width in the proportions that were drawn. */
function rowDeclarations({ columns, least }: WindowChange): readonly Declaration[] {
  const tracks = columns?.map((column) => `minmax(${px(column.least)}, ${column.drawn}fr)`);
  return [
    ...(tracks ? [['grid-template-columns', tracks.join(' ')] as const] : []),
    ...(least === undefined ? [] : [['min-width', px(least)] as const]),
  ];
}

type Flag = Exclude<
  keyof WindowChange,
  'parts' | 'cell' | 'isCapped' | 'columns' | 'least' | 'letters' | 'sideRoom'
>;

/** What each change of one element says. */
const SAID: Readonly<Record<Flag, readonly Declaration[]>> = {
  isTight: [['padding-inline', px(TIGHT_PADDING)]],
  grows: [
    ['flex', '1 1 auto'],
    ['min-width', 'min-content'],
  ],
  shares: [['flex', '1 1 auto']],
  fills: [
    ['width', 'auto'],
    ['margin-inline', '0'],
  ],
  shrinks: [
    ['flex-shrink', '1'],
    ['min-width', '0'],
  ],
  isStatic: [
    ['position', 'static'],
    ['width', 'auto'],
    ['height', 'auto'],
  ],
  isFlush: [['margin-left', '0']],
  endsInside: [['margin-right', '0']],
  scrolls: [['overflow-x', 'auto']],
  wraps: [['white-space', 'normal']],
  breaks: [['overflow-wrap', 'anywhere']],
  isFree: [
    ['height', 'auto'],
    ['min-height', '0'],
  ],
};
const FLAGS = Object.keys(SAID) as readonly Flag[];

function declarationsOf(node: PageNode | Page, change: WindowChange): readonly Declaration[] {
  return [
    ...partsDeclarations(change, 'layout' in node ? node.layout : undefined),
    ...FLAGS.flatMap((flag) => (change[flag] ? SAID[flag] : [])),
    ...(change.letters ? lettersDeclarations(change.letters) : []),
    ...(change.sideRoom === undefined ? [] : [['width', `calc(100% - ${px(2 * change.sideRoom)})`] as const]),
    ...(change.isCapped ? cappedDeclarations(node, change) : []),
  ];
}

/** Letters as wide for the window as they are where they just fit (CSS Values 4, §10.2 clamp()). */
function lettersDeclarations({ least, window, drawn, lineHeight }: FluidLetters): readonly Declaration[] {
  const share = Math.floor((1000 * least) / window) / 10;
  return [
    ['font-size', `clamp(${px(least)}, ${share}vw, ${px(drawn)})`],
    ['line-height', String(Math.round(lineHeight * 100) / 100)],
  ];
}

/** A percentage counts as nothing where the content gives the width of what is around (CSS Sizing 3, §5.2.1). */
function cappedDeclarations(node: PageNode | Page, { isFlush }: WindowChange): readonly Declaration[] {
  if (!('kind' in node) || node.kind === 'picture')
    return [
      ['max-width', '100%'],
      ['height', 'auto'],
    ];
  if (node.place.kind === 'fixed') return cappedPinDeclarations(node, node.place);
  const { left, right } = node.place.margin;
  const beside = (isFlush ? 0 : Math.max(0, left ?? 0)) + Math.max(0, right ?? 0);
  return [
    ['width', px(beside) === '0' ? '100%' : `calc(100% - ${px(beside)})`],
    ['max-width', px(node.place.width)],
  ];
}

/** What is out of the flow ends at the edges of what is around it. */
function cappedPinDeclarations(node: PageNode, { x, width, pins }: FixedPlace): readonly Declaration[] {
  if (pins?.x !== 'middle' || pins.widthMode !== 'drawn')
    return [...(isIndented(node) ? ([['left', '0']] as const) : []), ['max-width', '100%']];
  const beside = sideRoomOfMiddle(node);
  return [
    ['left', `max(${px(beside)}, 50% - ${px((width + pins.right - x) / 2)})`],
    ['max-width', beside === 0 ? '100%' : `calc(100% - ${px(2 * beside)})`],
  ];
}

/** The most gaps between what stands in lines and cells, px. */
const [ACROSS, DOWN] = [24, 16];

function partsDeclarations(
  { parts, cell = 0 }: WindowChange,
  layout: Layout | undefined,
): readonly Declaration[] {
  if (parts === undefined || !layout) return [];
  const isGrid = layout.direction === 'grid';
  const least = layout.justify === 'between' || layout.gap > 0 ? 8 : 0;
  const across = px(Math.min(ACROSS, Math.max(least, layout.gap)));
  const down = px(Math.min(DOWN, Math.max(least, layout.gap)));
  const gap: Declaration = ['gap', down === across ? down : `${down} ${across}`];
  switch (parts) {
    case 'lines':
      return [...(isGrid ? ([['display', 'flex']] as const) : []), ['flex-wrap', 'wrap'], gap];
    case 'cells':
      return [
        ...(isGrid ? [] : ([['display', 'grid']] as const)),
        ['grid-template-columns', `repeat(auto-fit, minmax(min(100%, ${px(cell)}), 1fr))`],
        gap,
      ];
    case 'column':
      return [
        ...(isGrid
          ? ([
              ['display', 'grid'],
              ['grid-template-columns', 'minmax(0, 1fr)'],
            ] as const)
          : ([
              ['flex-direction', 'column'],
              ['align-items', 'stretch'],
            ] as const)),
        ...(layout.gap > DOWN ? ([['gap', px(DOWN)]] as const) : []),
      ];
  }
}
