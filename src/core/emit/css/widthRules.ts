import type { CssRule, Declaration } from '../../markup/printCss';
import { pageClass, widthClass } from '../../page/join/names';
import { pageNodes } from '../../page/walk';
import type { Page } from '../../page/frame';
import type { Width } from '../../page/node';
import type { EmitInput } from '../target';
import { commonGround } from './base';
import { declarationDiff } from './declarationDiff';
import { classDeclarations } from './declarations';
import { frameDeclarations } from './frame';

/** The media query for windows up to that many px (Media Queries 4, §4.1). */
export function narrowMedia(below: number): string {
  return `(max-width: ${below}px)`;
}

/** The rules of pages for two screens: their frames, and the differences on the narrow one. */
export function widthRules({ pages, sheet }: Pick<EmitInput, 'pages' | 'sheet'>): readonly CssRule[] {
  const joined = pages.flatMap((page) => (page.narrow ? [{ page, narrow: page.narrow }] : []));
  const below = joined[0]?.narrow.below;
  if (below === undefined) return [];
  const media = narrowMedia(below);
  const common = commonGround(pages);
  const frames = joined.map(({ page }) => ({
    selector: `.${pageClass(page)}`,
    declarations: frameDeclarations(page, common),
  }));
  const narrowFrames = joined.map(({ page, narrow }) => ({
    selector: `.${pageClass(page)}`,
    declarations: declarationDiff(
      frameDeclarations(page, common),
      frameDeclarations(asPage(page, narrow), common),
    ),
    media,
  }));
  const classes = sheet.classes.flatMap((each) =>
    each.narrow
      ? [
          {
            selector: `.${each.name}`,
            declarations: declarationDiff(
              classDeclarations(each),
              classDeclarations({ ...each, ...each.narrow }),
            ),
            media,
          },
        ]
      : [],
  );
  const nodes = joined.flatMap(({ page }) => pageNodes(page));
  const usedClasses = new Set(nodes.map(({ shared }) => widthClass(shared)));
  return [
    ...frames,
    ...[...narrowFrames, ...classes].filter(({ declarations }) => declarations.length > 0),
    ...onlyRules('wide', media, usedClasses),
    ...onlyRules('narrow', `not all and ${media}`, usedClasses),
  ];
}

function asPage(page: Page, narrow: NonNullable<Page['narrow']>): Page {
  const { layout: _, narrow: __, ...wide } = page;
  return { ...wide, ...narrow };
}

/**
 * Hides an element on the other screen, and removes the box of a container that exists on one screen only.
 */
function onlyRules(
  on: Width,
  elsewhere: string,
  usedClasses: ReadonlySet<string | null>,
): readonly CssRule[] {
  const rule = (kind: 'only' | 'box', display: string): CssRule[] => {
    const name = widthClass({ kind, on });
    const declarations: Declaration[] = [['display', `${display} !important`]];
    return usedClasses.has(name) ? [{ selector: `.${name}`, declarations, media: elsewhere }] : [];
  };
  return [...rule('only', 'none'), ...rule('box', 'contents')];
}
