import type { LayerId } from '../../mockup/layer';
import type { Page } from '../../page/frame';
import type { MarkupContext } from '../markup/context';
import { pageFile } from './pageFile';

/** How the elements of a page write their ids and links: to files and ids in place of names. */
export function linkContext(
  page: Page,
  pages: readonly Page[],
): Pick<MarkupContext, 'idOf' | 'address' | 'fieldIdOf'> {
  const { links, fieldIds } = page;
  const fields = fieldIds && { fieldIdOf: (layer: LayerId) => fieldIds.get(layer) };
  if (!links) return { ...fields };
  const address = (href: string): string => {
    const target = links.targets.get(href);
    if (!target) return href;
    const at = pages.findIndex(({ screen }) => screen === target.screen);
    const file = target.screen === page.screen && target.id !== null ? '' : pageFile(pages, at);
    return file + (target.id === null ? '' : `#${target.id}`);
  };
  return { ...fields, address, idOf: (layer) => links.ids.get(layer) };
}
