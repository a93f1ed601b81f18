import Joi from 'joi';
import { searchBy, textAttribute, textEditor, type FacetEntry } from './facet';

/** A size in px that a person typed, such as `64x48`. */
const TYPED = /^([1-9]\d{0,3})x([1-9]\d{0,3})$/;

/** What the box of a picture is cut to, or its size in px, such as `64x48`. */
export const PICTURE_BOXES = ['seen', 'shape', 'clip', 'group'] as const;

/** The size that a person typed; null for a word. */
export function typedSize(box: string): { readonly width: number; readonly height: number } | null {
  const [, width, height] = TYPED.exec(box) ?? [];
  return width === undefined ? null : { width: Number(width), height: Number(height) };
}

/**
 * The box of a picture: what is seen of it, its shape without shadows and strokes, the clip around it, the group around
 * it, or a size around its centre.
 */
export const pictureBox: FacetEntry<string> = {
  schema: Joi.string()
    .pattern(new RegExp(`^(?:${PICTURE_BOXES.join('|')})$|${TYPED.source}`))
    .messages({
      'string.pattern.base': `{#value} is no box: write ${PICTURE_BOXES.join(', ')}, or a size such as 64x48`,
    }),
  attribute: textAttribute('data-picture-box'),
  isShared: true,
  isCopied: true,
  current: (decision) => decision.pictureOverride.box ?? null,
  search: searchBy('box', (decision) => decision.pictureOverride.box ?? null),
  editor: {
    ...textEditor<string>(
      'Picture box',
      'seen, shape (without shadows and strokes), clip, group, or a size such as 64x48. Empty: automatic.',
    ),
    none: 'automatic',
    isFor: ({ outcome }) => outcome === 'picture',
  },
};
