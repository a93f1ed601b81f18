import { printColour } from '../../markup/colours';
import type { CssRule } from '../../markup/printCss';
import type { Colour } from '../../mockup/paint';
import { rememberOf } from '../../mockup/remember';
import type { Page, PageNode } from '../../page/node';

/** Everything stands at its coordinates. */
const PLACED: readonly CssRule[] = [
  {
    selector: '.screen',
    declarations: [
      ['position', 'relative'],
      ['overflow', 'hidden'],
      ['white-space', 'nowrap'],
    ],
  },
  {
    selector: ':where(.screen *)',
    declarations: [
      ['position', 'absolute'],
      ['margin', '0'],
      ['padding', '0'],
    ],
  },
];

/** A page of coordinates in which some box lays out what is inside of it. */
function flowsWithin({ layout, children }: Page): boolean {
  return !layout && children.some(laysOut);
}

const laysOut = rememberOf(
  (node: PageNode): boolean =>
    node.kind === 'box' && (node.layout !== undefined || node.children.some(laysOut)),
);

const FLOWING_WITHIN: readonly CssRule[] = [
  { selector: '.flow', declarations: [['white-space', 'normal']] },
  { selector: ':where(.flow > *)', declarations: [['position', 'relative']] },
  { selector: ':where(.flow > img)', declarations: [['flex', 'none']] },
];

/** Everything stands where its box lays it out, and is painted in the order of the code. */
const FLOWING: readonly CssRule[] = [
  {
    selector: '.screen',
    declarations: [
      ['position', 'relative'],
      ['overflow-x', 'clip'],
    ],
  },
  {
    selector: ':where(.screen *)',
    declarations: [
      ['position', 'relative'],
      ['margin', '0'],
      ['padding', '0'],
    ],
  },
  {
    selector: ':where(.screen img)',
    declarations: [
      ['flex', 'none'],
      ['object-fit', 'cover'],
    ],
  },
  { selector: '[hidden]', declarations: [['display', 'none !important']] },
];

/** The colour behind the pages; one that has another says so itself. */
export function commonGround(pages: readonly Page[]): Colour | null {
  return pages.find((page) => page.ground)?.ground ?? null;
}

/** What every page needs before its own classes: placed elements, and browsers' own looks taken away. */
export function baseRules(pages: readonly Page[]): CssRule[] {
  const ground = commonGround(pages);
  return [
    { selector: '*,\n*::before,\n*::after', declarations: [['box-sizing', 'border-box']] },
    {
      selector: 'body',
      declarations: [['margin', '0'], ...(ground ? [['background', printColour(ground)] as const] : [])],
    },
    ...(pages.some((page) => page.layout) ? FLOWING : PLACED),
    ...(pages.some(flowsWithin) ? FLOWING_WITHIN : []),
    { selector: ':where(.screen .run, .screen br)', declarations: [['position', 'static']] },
    {
      selector: ':where(.screen a)',
      declarations: [
        ['color', 'inherit'],
        ['text-decoration', 'none'],
      ],
    },
    {
      selector: ':where(.screen button)',
      declarations: [
        ['border', '0'],
        ['background', 'none'],
        ['color', 'inherit'],
        ['font', 'inherit'],
        ['text-align', 'start'],
        ['cursor', 'pointer'],
      ],
    },
    {
      selector: ':where(.screen input)',
      declarations: [
        ['border', '0'],
        ['background', 'none'],
        ['color', 'inherit'],
        ['font', 'inherit'],
      ],
    },
    {
      selector: '.screen input::placeholder',
      declarations: [
        ['color', 'inherit'],
        ['opacity', '1'],
      ],
    },
    ...(pages.some((page) => page.narrow)
      ? [{ selector: '.screen picture', declarations: [['display', 'contents'] as const] }]
      : []),
    { selector: ':where(.screen ul)', declarations: [['list-style', 'none']] },
  ];
}
