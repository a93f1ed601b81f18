import type { LayerId } from '../../mockup/layer';
import type { Page } from '../../page/frame';
import type { MarkupContext } from './context';

/** Where a page is found, of all that are written together. */
export type AddressOfPage = (pages: readonly Page[], at: number) => string;

/**
 * How the elements of a page write their ids and links: to addresses and ids in place of names.
 * @param addressOfPage where a page is found
 */
export function linkContext(
  page: Page,
  pages: readonly Page[],
  addressOfPage: AddressOfPage,
): Pick<MarkupContext, 'idOf' | 'address' | 'fieldIdOf'> {
  const { links, fieldIds } = page;
  const fields = fieldIds && { fieldIdOf: (layer: LayerId) => fieldIds.get(layer) };
  if (!links) return { ...fields };
  const address = (href: string): string => {
    const target = links.targets.get(href);
    if (!target) return href;
    const at = pages.findIndex(({ screen }) => screen === target.screen);
    const file = target.screen === page.screen && target.id !== null ? '' : addressOfPage(pages, at);
    return file + (target.id === null ? '' : `#${target.id}`);
  };
  return { ...fields, address, idOf: (layer) => links.ids.get(layer) };
}
