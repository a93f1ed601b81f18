import svgpath from 'svgpath';
import type { Outliner } from '../core/pictures/standaloneOptions';
import type { FontBook } from '../core/type/fontBook';
import { smallCapsParts } from '../core/type/smallCaps';

/** Outlines a run of text by the book's fonts. */
export function outlinerOf(book: FontBook): Outliner {
  return ({ face, text, style }) => {
    if (!style.smallCaps) return book.outline(face, text, style.size, style.letterSpacing);
    let pen = 0;
    const parts = smallCapsParts(text).map((part) => {
      const size = style.size * part.scale;
      const outline = book.outline(face, part.text, size, style.letterSpacing);
      const placed = outline && svgpath(outline).translate(pen, 0).toString();
      pen += book.advance(face, part.text, size) + [...part.text].length * style.letterSpacing;
      return placed;
    });
    return parts.some((part) => part === null) ? null : parts.join('');
  };
}
