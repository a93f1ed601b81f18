import { printColour } from '../../markup/colours';
import type { CssRule, Declaration } from '../../markup/printCss';
import type { Colour } from '../../mockup/paint';
import { memoizeByObject } from '../../mockup/memoize';
import type { Page } from '../../page/frame';
import { isField, valueOf } from '../../page/fieldParts';
import { isWrapped, type PageNode } from '../../page/node';
import { isCheckRole } from '../../sort/vocabulary';
import type { BodyType } from './bodyType';
import { withFontShorthand } from './fontShorthand';
import { pressRules } from './pressRules';

/** Rules for pages with fixed coordinates. */
const FIXED_RULES: readonly CssRule[] = [
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

/** True for a page with fixed coordinates in which some box has a layout. */
function flowsWithin({ layout, children }: Page): boolean {
  return !layout && children.some(hasLayout);
}

/** Whether a node or one inside it passes a test. */
function holding(test: (node: PageNode) => boolean): (node: PageNode) => boolean {
  const holds = memoizeByObject(
    (node: PageNode): boolean => test(node) || (node.kind === 'box' && node.children.some(holds)),
  );
  return holds;
}

const hasLayout = holding((node) => node.kind === 'box' && node.layout !== undefined);

/** A control over all of its box. */
const WHOLE_BOX: readonly Declaration[] = [
  ['position', 'absolute'],
  ['inset', '0'],
  ['width', '100%'],
  ['height', '100%'],
];

/** The control of a field without words takes all of its box. */
const CONTROL_RULE: CssRule = { selector: '.screen .control', declarations: WHOLE_BOX };

const holdsEmptyField = holding((node) => node.kind === 'box' && isField(node) && !valueOf(node));

/** The native control lies over what is drawn for it, and is not seen itself. */
const CHECK_RULE: CssRule = {
  selector: ".screen :is([type='checkbox'], [type='radio'])",
  declarations: [...WHOLE_BOX, ['opacity', '0'], ['cursor', 'pointer']],
};

const holdsCheck = holding(({ role }) => isCheckRole(role));

/** A picture fills the link or button around it. Buttons centre what has no place of its own. */
const wrappedPictureRule = (picture: string): CssRule => ({
  selector: `:where(.screen :is(a, button) > ${picture})`,
  declarations: [
    ['display', 'block'],
    ['left', '0'],
    ['top', '0'],
  ],
});

/** True for a picture with a link or button around it: a line of text would leave room beneath it. */
const holdsWrappedPicture = holding((node) => node.kind === 'picture' && isWrapped(node));

/** Rows and cells stand as their classes say; the sections between a table and its rows take no part. */
const TABLE_RULES: readonly CssRule[] = [
  { selector: ':where(.screen :is(thead, tbody))', declarations: [['display', 'contents']] },
  {
    selector: ':where(.screen th)',
    declarations: [
      ['font', 'inherit'],
      ['text-align', 'start'],
    ],
  },
];

const holdsTable = holding(({ role }) => role === 'table');

const holdsOrdered = holding(({ role }) => role === 'ordered-list');

const PARTLY_FLOWING_RULES: readonly CssRule[] = [
  { selector: '.flow', declarations: [['white-space', 'normal']] },
  { selector: ':where(.flow > *)', declarations: [['position', 'relative']] },
  { selector: ':where(.flow > img)', declarations: [['flex', 'none']] },
];

/** Rules for pages in the flow: the layout places every element, in the order of the code. */
const flowingRules = (picture: string): readonly CssRule[] => [
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
    selector: `:where(.screen ${picture})`,
    declarations: [
      ['flex', 'none'],
      ['object-fit', 'cover'],
    ],
  },
  { selector: ':where(.screen button)', declarations: [['white-space', 'nowrap']] },
  { selector: '[hidden]', declarations: [['display', 'none !important']] },
];

/** Headings take the type of the body (HTML, §15.3.7, gives them one of their own). */
const HEADING_RULE: CssRule = {
  selector: ':where(.screen :is(h1, h2, h3, h4, h5, h6))',
  declarations: [['font', 'inherit']],
};

/** The background colour of the pages; a page with another one declares it itself. */
export function commonGround(pages: readonly Page[]): Colour | null {
  return pages.find((page) => page.ground)?.ground ?? null;
}

/**
 * The rules before the page's own classes: placement, and a reset of browser styles.
 * @param hasSources whether pictures have files in newer formats
 * @param body the type that texts inherit
 * @param hasIcons whether icons are symbols in the page
 */
export function baseRules(
  pages: readonly Page[],
  hasSources: boolean,
  body: BodyType,
  hasIcons: boolean,
): CssRule[] {
  const picture = hasIcons ? ':is(img, svg)' : 'img';
  const ground = commonGround(pages);
  return [
    { selector: '*,\n*::before,\n*::after', declarations: [['box-sizing', 'border-box']] },
    {
      selector: 'body',
      declarations: [
        ['margin', '0'],
        ...(ground ? [['background', printColour(ground)] as const] : []),
        ...withFontShorthand(body.declarations),
      ],
    },
    ...(body.declarations.length > 0 ? [HEADING_RULE] : []),
    ...(pages.some((page) => page.layout) ? flowingRules(picture) : FIXED_RULES),
    ...(pages.some(({ children }) => children.some(holdsTable)) ? TABLE_RULES : []),
    ...(pages.some(flowsWithin) ? PARTLY_FLOWING_RULES : []),
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
      selector: ':where(.screen :is(input, select, textarea))',
      declarations: [
        ['border', '0'],
        ['background', 'none'],
        ['color', 'inherit'],
        ['font', 'inherit'],
        ['appearance', 'none'],
        ['resize', 'none'],
      ],
    },
    {
      selector: '.screen :is(input, textarea)::placeholder',
      declarations: [
        ['color', 'inherit'],
        ['opacity', '1'],
      ],
    },
    ...(pages.some(({ children }) => children.some(holdsCheck)) ? [CHECK_RULE] : []),
    ...(pages.some(({ children }) => children.some(holdsEmptyField)) ? [CONTROL_RULE] : []),
    ...(pages.some((page) => page.narrow) || hasSources
      ? [{ selector: '.screen picture', declarations: [['display', 'contents'] as const] }]
      : []),
    ...(pages.some(({ children }) => children.some(holdsWrappedPicture))
      ? [wrappedPictureRule(picture)]
      : []),
    {
      selector: pages.some(({ children }) => children.some(holdsOrdered))
        ? ':where(.screen :is(ul, ol))'
        : ':where(.screen ul)',
      declarations: [['list-style', 'none']],
    },
    ...pressRules(pages),
  ];
}
