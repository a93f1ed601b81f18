import { element, type MarkupElement } from '../../markup/element';
import { freeName } from '../../markup/freeName';
import { memoizeLast } from '../../mockup/memoize';
import type { Page } from '../../page/frame';
import type { PageNode } from '../../page/node';
import { pageNodes } from '../../page/walk';
import { iconSymbol, type Icon, type Icons, type IconSymbol } from '../../pictures/iconSymbol';
import { pageFiles, type Picture, type PicturePlan } from '../../pictures/picture';
import type { EmitInput } from '../target';
import { settingOf } from '../targetOptions';
import { HTML_OPTIONS } from './options';

/**
 * The input of pages in the flow that hold their icons as symbols. Icons drawn alike in several colours share one: each
 * use says its colour.
 */
export function withIcons<Input extends Pick<EmitInput, 'pages' | 'plan' | 'settings' | 'icons'>>(
  input: Input,
): Input {
  const { pages, plan, settings } = input;
  if (settingOf(HTML_OPTIONS, settings, 'icons') === 'files' || !pages.some(({ layout }) => layout))
    return input;
  const icons = lastIcons(plan, pages, () => iconsOf(input));
  return icons.size > 0 ? { ...input, icons } : input;
}

const lastIcons = memoizeLast<PicturePlan, Icons>();

function iconsOf({ pages, plan }: Pick<EmitInput, 'pages' | 'plan'>): Icons {
  const varying = new Set(pages.flatMap(pageNodes).flatMap(varyingPictures));
  // Links lead to elements by ids of their own.
  const ofElements = pages.flatMap(({ links, fieldIds }) => [
    ...(links?.ids.values() ?? []),
    ...(fieldIds?.values() ?? []),
  ]);
  const ids = new Map<string, string>();
  const icons = new Map<string, Icon>();
  for (const picture of plan.pictures) {
    const symbol = varying.has(picture.name) ? null : symbolOf(picture);
    if (!symbol) continue;
    const drawn = JSON.stringify([symbol.viewBox, symbol.content]);
    const taken = new Set([...ofElements, ...ids.values()]);
    const id = ids.get(drawn) ?? freeName(idOf(picture), (each) => taken.has(each));
    ids.set(drawn, id);
    icons.set(picture.name, { ...symbol, id });
  }
  return icons;
}

function idOf({ name }: Picture): string {
  const own = name.split('/').at(-1) ?? name;
  return own.startsWith('icon') ? own : `icon-${own}`;
}

function symbolOf(picture: Picture): IconSymbol | null {
  const { source, isAsked } = picture;
  const [file, ...others] = pageFiles(picture);
  const isOneSvg = file?.format === 'svg' && others.length === 0 && !isAsked;
  return isOneSvg && source.kind === 'svg' ? iconSymbol(source.svg) : null;
}

/** The pictures that states or a narrow window put in place of each other. */
function varyingPictures(node: PageNode): readonly string[] {
  if (node.kind !== 'picture') return [];
  const inStates = (node.states ?? []).flatMap(({ picture }) => picture?.name ?? []);
  const isVarying = inStates.length > 0 || node.shared !== undefined;
  return isVarying ? [node.picture, ...inStates] : [];
}

/** The symbols that a page uses, in an element that shows nothing by itself (SVG 2, §5.5). Null for none. */
export function symbolsOf(page: Page, icons: Icons | undefined): MarkupElement | null {
  const used = new Map<string, Icon>();
  for (const node of pageNodes(page)) {
    const icon = node.kind === 'picture' ? icons?.get(node.picture) : undefined;
    if (icon) used.set(icon.id, icon);
  }
  if (used.size === 0) return null;
  const symbols = [...used.values()].map(({ id, viewBox, content }) =>
    element('symbol', { id, viewBox }, content),
  );
  return element('svg', { hidden: true, 'aria-hidden': 'true' }, symbols);
}
