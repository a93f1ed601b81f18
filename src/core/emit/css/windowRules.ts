import { px } from '../../markup/numbers';
import type { CssRule, Declaration } from '../../markup/printCss';
import type { Page } from '../../page/frame';
import type { Layout } from '../../page/layout';
import type { PageNode } from '../../page/node';
import { TIGHT_PADDING, windowSteps, type WindowChange } from '../../page/windows/windowChanges';
import type { SheetInput } from './sheet';
import { classSelector } from './modifiers';
import { framesOf } from './frames';
import { placedClasses } from './placedClasses';

/**
 * The rules of narrower windows (Media Queries 4, §4.1 and §2.4.3 ranges): rows that do not fit stand in lines, cells or
 * columns. A class changes where one of its elements has to.
 */
export function windowRules(input: SheetInput): readonly CssRule[] {
  const bySteps = new Map<number, Map<string, Map<string, string>>>();
  for (const page of input.pages)
    for (const { below, changes } of windowSteps(page)) {
      const rules = bySteps.get(below) ?? new Map<string, Map<string, string>>();
      bySteps.set(below, rules);
      for (const [node, change] of changes) {
        const selector = selectorOf(node, input);
        if (selector === null) continue;
        const said = rules.get(selector) ?? new Map<string, string>();
        rules.set(selector, said);
        for (const [property, value] of declarationsOf(node, change)) said.set(property, value);
        if (said.size === 0) rules.delete(selector);
      }
    }
  return [...bySteps]
    .toSorted(([one], [other]) => other - one)
    .flatMap(([below, rules]) => {
      const media = `(width < ${below}px)`;
      const selectors = new Map<string, string[]>();
      for (const [selector, said] of rules) {
        const mark = JSON.stringify([...said]);
        selectors.set(mark, [...(selectors.get(mark) ?? []), selector]);
      }
      return [...selectors].map(([mark, alike]) => ({
        selector: alike.join(',\n'),
        declarations: JSON.parse(mark) as Declaration[],
        media,
      }));
    });
}

/** The class that the change is said of: what stands last wins, so it is the last class of the element. */
function selectorOf(node: PageNode | Page, input: SheetInput): string | null {
  if ('screen' in node) {
    const own = framesOf(input).classOf(node);
    return own === null ? '.screen' : `.${own}`;
  }
  const placed = placedClasses(input).classOf(node);
  if (placed !== null) return `.${placed}`;
  const style = input.sheet.classOf(node);
  return style ? classSelector(style) : null;
}

function declarationsOf(node: PageNode | Page, change: WindowChange): readonly Declaration[] {
  const layout: Layout | undefined = 'layout' in node ? node.layout : undefined;
  const list: (Declaration | false)[] = [
    ...partsDeclarations(change, layout),
    change.isTight === true && ['padding-inline', px(TIGHT_PADDING)],
    ...(change.fills
      ? ([
          ['width', 'auto'],
          ['margin-inline', '0'],
        ] as const)
      : []),
    ...(change.isCapped ? cappedDeclarations(node) : []),
    ...(change.shrinks
      ? ([
          ['flex-shrink', '1'],
          ['min-width', '0'],
        ] as const)
      : []),
    ...(change.isStatic
      ? ([
          ['position', 'static'],
          ['width', 'auto'],
          ['height', 'auto'],
        ] as const)
      : []),
    change.isFlush === true && ['margin-left', '0'],
    change.scrolls === true && ['overflow-x', 'auto'],
    change.wraps === true && !change.scrolls && ['white-space', 'normal'],
    change.isFree === true && ['height', 'auto'],
  ];
  return list.filter((each) => each !== false);
}

/** A percentage counts as nothing where the content gives the width of what is around (CSS Sizing 3, §5.2.1). */
function cappedDeclarations(node: PageNode | Page): readonly Declaration[] {
  if (!('kind' in node) || node.kind === 'picture')
    return [
      ['max-width', '100%'],
      ['height', 'auto'],
    ];
  return node.place.kind === 'fixed'
    ? [['max-width', '100%']]
    : [
        ['width', '100%'],
        ['max-width', px(node.place.width)],
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
