import type { Box } from '../mockup/box';
import { pathData, type Outline } from '../mockup/outline';
import type { GradientStop } from '../mockup/paint';
import { printOpaque } from '../markup/colours';
import { element, type MarkupElement } from '../markup/element';
import { formatNumber } from '../markup/numbers';

export function stopElement({ offset, colour }: GradientStop): MarkupElement {
  return element('stop', {
    offset: formatNumber(offset, 5),
    'stop-color': printOpaque(colour),
    'stop-opacity': colour.alpha === 1 ? null : formatNumber(colour.alpha, 4),
  });
}

/** How numbers are written. */
export type Print = (value: number) => string;

export function boxAttributes(box: Box, print: Print): Record<string, string> {
  return {
    x: print(box.x),
    y: print(box.y),
    width: print(box.width),
    height: print(box.height),
  };
}

export function viewBox(box: Box, print: Print): string {
  return [box.x, box.y, box.width, box.height].map(print).join(' ');
}

type ElementParts = [name: string, attributes: Record<string, string | null | undefined>];

export function outlineElement(
  outline: Outline,
  print: Print,
  attributes: Record<string, string | null | undefined>,
): ElementParts {
  switch (outline.kind) {
    case 'line': {
      const { x1, y1, x2, y2 } = outline;
      return [
        'line',
        {
          x1: print(x1),
          y1: print(y1),
          x2: print(x2),
          y2: print(y2),
          ...attributes,
        },
      ];
    }
    case 'ellipse': {
      const { x, y, width, height } = outline.box;
      const [rx, ry] = [width / 2, height / 2];
      const centre = {
        cx: print(x + rx),
        cy: print(y + ry),
        rx: print(rx),
        ry: print(ry),
      };
      return ['ellipse', { ...centre, ...attributes }];
    }
    case 'rect': {
      const [first, ...others] = outline.radii;
      if (!others.every((radius) => radius.x === first.x && radius.y === first.y)) {
        return ['path', { d: pathData(outline), ...attributes }];
      }
      const radii = first.x > 0 ? { rx: print(first.x), ry: print(first.y) } : {};
      return ['rect', { ...boxAttributes(outline.box, print), ...radii, ...attributes }];
    }
    case 'path':
      return ['path', { d: outline.d, ...attributes }];
  }
}
