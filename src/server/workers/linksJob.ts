import { convert, type ConvertInput } from '../../core/convert';
import { linkElements, type ElementLink } from '../../core/emit/html/links';
import { pageOfScreen } from '../../core/page/join/joinPages';
import { TARGETS } from '../../core/emit/targets';

export type LinksJob = Omit<ConvertInput, 'outliner'>;

/** By page file. */
export type PageLinks = Readonly<Record<string, readonly ElementLink[]>>;

/** Finds the element of each layer in the pages of a build. */
export function links({ mockup, assets, tags, options }: LinksJob): PageLinks {
  const conversion = convert({ mockup, assets, tags, options, outliner: null });
  const target = TARGETS[options.target];
  const files = target.emit({ ...conversion, unit: options.unit ?? 'px', keyed: true });
  const { mockup: shown, emission } = conversion;
  const pages = new Map(
    emission.screens.map(({ file }, at) => [
      file,
      pageOfScreen(conversion.pages, shown.screens[at]?.key ?? ''),
    ]),
  );
  return Object.fromEntries(
    files.flatMap(({ path, text }) => {
      const page = pages.get(path);
      return page ? [[path, linkElements(text, page.children)]] : [];
    }),
  );
}
