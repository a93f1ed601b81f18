import { element, type Attributes, type MarkupElement } from '../../markup/element';
import { formatNumber } from '../../markup/numbers';
import { isWrapped, type PictureNode } from '../../page/node';
import { onNarrow } from '../../page/join/narrow';
import { narrowMedia } from '../css/widthRules';
import { pictureNamed } from '../../pictures/picture';
import type { MarkupContext } from './context';
import { sharedAttributes, placeStyle, ofNode } from './attributes';

export function pictureMarkup(node: PictureNode, context: MarkupContext): MarkupElement {
  const around = isWrapped(node);
  const image = withNarrow(node, context, {
    ...(around ? {} : sharedAttributes(node, context)),
    src: filesOf(node.picture, context)[0]?.path,
    srcset: sourceSet(node.picture, context, 2),
    width: formatNumber(node.place.width),
    height: formatNumber(node.place.height),
    alt: node.alternative,
    style: around ? null : placeStyle(node, context, [], true),
  });
  if (!around) return image;
  const attributes = { ...sharedAttributes(node, context), style: placeStyle(node, context) };
  return ofNode(node, element(node.href === undefined ? 'button' : 'a', attributes, [image]));
}

function filesOf(picture: string, { plan }: MarkupContext) {
  return pictureNamed(plan, picture)?.files ?? [];
}

/** The files of a picture by scale; null for fewer than `least`. */
function sourceSet(picture: string, context: MarkupContext, least: number): string | null {
  const files = filesOf(picture, context);
  return files.length >= least ? files.map(({ path, scale }) => `${path} ${scale}x`).join(', ') : null;
}

/** An image, in a `picture` where the narrow screen shows another picture or size (HTML, §4.8.1). */
function withNarrow(node: PictureNode, context: MarkupContext, attributes: Attributes): MarkupElement {
  const image = isWrapped(node) ? element('img', attributes) : ofNode(node, element('img', attributes));
  const narrow = onNarrow(node);
  if (narrow?.kind !== 'picture' || context.below === undefined) return image;
  const { picture, place } = narrow;
  const [width, height] = [formatNumber(place.width), formatNumber(place.height)];
  if (picture === node.picture && width === attributes.width && height === attributes.height) return image;
  const media = narrowMedia(context.below);
  const source = element('source', { media, srcset: sourceSet(picture, context, 1), width, height });
  return element('picture', {}, [source, image]);
}
