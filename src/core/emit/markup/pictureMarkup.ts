import { element, type Attributes, type MarkupElement } from '../../markup/element';
import { formatNumber } from '../../markup/numbers';
import { isWrapped, type PictureNode } from '../../page/node';
import { onNarrow } from '../../page/join/narrow';
import { bodyTypeOf } from '../css/bodyType';
import { narrowMedia } from '../css/widthRules';
import type { Icon } from '../../pictures/iconSymbol';
import { mainFile, newerFormats, pageFiles, pictureNamed, type PictureFile } from '../../pictures/picture';
import type { MarkupContext } from './context';
import { sharedAttributes, placeStyle, ofNode } from './attributes';

export function pictureMarkup(node: PictureNode, context: MarkupContext): MarkupElement {
  const around = isWrapped(node);
  const own = { ...sharedAttributes(node, context), style: placeStyle(node, context) };
  const shown = around ? {} : own;
  const icon = context.icons?.get(node.picture);
  const image = icon ? iconMarkup(node, icon, shown, context) : imageMarkup(node, shown, context);
  if (!around) return image;
  return ofNode(node, element(node.href === undefined ? 'button' : 'a', own, [image]));
}

/** A use of a symbol (SVG 2, §5.6), in its colour unless that is the colour of the page's words. */
function iconMarkup(
  node: PictureNode,
  { id, colour }: Icon,
  { style, ...shown }: Attributes,
  { sheet }: MarkupContext,
): MarkupElement {
  const { alternative, place } = node;
  const isPlain = new Map(bodyTypeOf(sheet).declarations).get('color') === colour;
  const svg = element(
    'svg',
    {
      ...shown,
      width: formatNumber(place.width),
      height: formatNumber(place.height),
      color: isPlain ? null : colour,
      ...(alternative === '' ? { 'aria-hidden': 'true' } : { role: 'img', 'aria-label': alternative }),
      style,
    },
    [element('use', { href: `#${id}` })],
  );
  return isWrapped(node) ? svg : ofNode(node, svg);
}

/** @param shown what the image itself wears, where no link or button is around it */
function imageMarkup(
  node: PictureNode,
  { style, ...shown }: Attributes,
  context: MarkupContext,
): MarkupElement {
  const main = mainFile(context.plan, node.picture);
  return withSources(node, context, {
    ...shown,
    src: main?.path,
    ...(main && sourceSet(filesLike(main, node.picture, context), node.place.width, 2)),
    width: formatNumber(node.place.width),
    height: formatNumber(node.place.height),
    alt: node.alternative,
    style,
  });
}

function filesOf(picture: string, { plan }: MarkupContext): readonly PictureFile[] {
  const found = pictureNamed(plan, picture);
  return found ? pageFiles(found) : [];
}

function filesLike(file: PictureFile, picture: string, context: MarkupContext): readonly PictureFile[] {
  return filesOf(picture, context).filter(({ format }) => format === file.format);
}

/**
 * The files of one format for a browser to choose from, by their scale or, where sizes are widths, by width (HTML,
 * §4.8.4.2.1 srcset, sizes); nothing for fewer than `least`.
 * @param width px of the element
 */
function sourceSet(files: readonly PictureFile[], width: number, least: number): Attributes {
  if (files.length < least) return {};
  if (files.some(({ byWidth }) => byWidth)) {
    const px = formatNumber(width);
    return {
      srcset: files.map((file) => `${file.path} ${file.width}w`).join(', '),
      // A narrower window shows it as wide as itself.
      sizes: `(max-width: ${px}px) 100vw, ${px}px`,
    };
  }
  return { srcset: files.map(({ path, scale }) => `${path} ${formatNumber(scale, 3)}x`).join(', ') };
}

/**
 * An image, in a `picture` where it has files in newer formats, or where the narrow screen shows another picture or
 * size (HTML, §4.8.1).
 */
function withSources(node: PictureNode, context: MarkupContext, attributes: Attributes): MarkupElement {
  const image = isWrapped(node) ? element('img', attributes) : ofNode(node, element('img', attributes));
  const sources = [...narrowSources(node, context, attributes), ...newerSources(node, context)];
  return sources.length === 0 ? image : element('picture', {}, [...sources, image]);
}

function newerSources(node: PictureNode, context: MarkupContext): readonly MarkupElement[] {
  const picture = pictureNamed(context.plan, node.picture);
  return (picture ? newerFormats(picture) : []).map((format) => {
    const files = filesOf(node.picture, context).filter((file) => file.format === format);
    return element('source', { type: `image/${format}`, ...sourceSet(files, node.place.width, 1) });
  });
}

function narrowSources(
  node: PictureNode,
  context: MarkupContext,
  attributes: Attributes,
): readonly MarkupElement[] {
  const narrow = onNarrow(node);
  if (narrow?.kind !== 'picture' || context.below === undefined) return [];
  const { picture, place } = narrow;
  const [width, height] = [formatNumber(place.width), formatNumber(place.height)];
  if (picture === node.picture && width === attributes.width && height === attributes.height) return [];
  const media = narrowMedia(context.below);
  const main = mainFile(context.plan, picture);
  const set = main ? sourceSet(filesLike(main, picture, context), place.width, 1) : {};
  return [element('source', { media, ...set, width, height })];
}
