import { printColour } from '../../markup/colours';
import type { CssRule } from '../../markup/printCss';
import type { Page } from '../../page/node';

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

/** What every page needs before its own classes: placed elements, and browsers' own looks taken away. */
export function baseRules(pages: readonly Page[]): CssRule[] {
  const ground = pages.find((page) => page.ground)?.ground;
  return [
    { selector: '*,\n*::before,\n*::after', declarations: [['box-sizing', 'border-box']] },
    {
      selector: 'body',
      declarations: [['margin', '0'], ...(ground ? [['background', printColour(ground)] as const] : [])],
    },
    ...(pages.some((page) => page.layout) ? FLOWING : PLACED),
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
    { selector: ':where(.screen ul)', declarations: [['list-style', 'none']] },
  ];
}
