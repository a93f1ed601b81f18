import type { CssRule, Declaration } from '../../markup/printCss';
import { pageClass, widthClass } from '../../page/join/names';
import { pageNodes, type Page, type Width } from '../../page/node';
import type { EmitInput } from '../target';
import { commonGround } from './base';
import { changes } from './changes';
import { classDeclarations } from './declarations';
import { frameDeclarations } from './frame';

/** What holds in windows of up to that many px (Media Queries 4, §4.1). */
export function narrowMedia(below: number): string {
  return `(max-width: ${below}px)`;
}

/** The rules of pages that are for two screens: how each stands, and what is otherwise on the narrow one. */
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
    declarations: changes(frameDeclarations(page, common), frameDeclarations(asPage(page, narrow), common)),
    media,
  }));
  const classes = sheet.classes.flatMap((each) =>
    each.narrow
      ? [
          {
            selector: `.${each.name}`,
            declarations: changes(classDeclarations(each), classDeclarations({ ...each, ...each.narrow })),
            media,
          },
        ]
      : [],
  );
  const nodes = joined.flatMap(({ page }) => pageNodes(page));
  const worn = new Set(nodes.map(({ shared }) => widthClass(shared)));
  return [
    ...frames,
    ...[...narrowFrames, ...classes].filter(({ declarations }) => declarations.length > 0),
    ...onlyRules('wide', media, worn),
    ...onlyRules('narrow', `not all and ${media}`, worn),
  ];
}

function asPage(page: Page, narrow: NonNullable<Page['narrow']>): Page {
  const { layout: _, narrow: __, ...wide } = page;
  return { ...wide, ...narrow };
}

/** What is on one screen only is not shown on the other, and a container of one of them is none on the other. */
function onlyRules(on: Width, elsewhere: string, worn: ReadonlySet<string | null>): readonly CssRule[] {
  const rule = (kind: 'only' | 'box', display: string): CssRule[] => {
    const name = widthClass({ kind, on });
    const declarations: Declaration[] = [['display', `${display} !important`]];
    return worn.has(name) ? [{ selector: `.${name}`, declarations, media: elsewhere }] : [];
  };
  return [...rule('only', 'none'), ...rule('box', 'contents')];
}
