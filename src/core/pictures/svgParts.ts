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

export function boxAttributes(box: Box): Record<string, string> {
  return {
    x: formatNumber(box.x),
    y: formatNumber(box.y),
    width: formatNumber(box.width),
    height: formatNumber(box.height),
  };
}

export function viewBox(box: Box): string {
  return [box.x, box.y, box.width, box.height].map((value) => formatNumber(value)).join(' ');
}

type ElementParts = [name: string, attributes: Record<string, string | null | undefined>];

export function outlineElement(
  outline: Outline,
  attributes: Record<string, string | null | undefined>,
): ElementParts {
  switch (outline.kind) {
    case 'line': {
      const { x1, y1, x2, y2 } = outline;
      return [
        'line',
        {
          x1: formatNumber(x1),
          y1: formatNumber(y1),
          x2: formatNumber(x2),
          y2: formatNumber(y2),
          ...attributes,
        },
      ];
    }
    case 'ellipse': {
      const { x, y, width, height } = outline.box;
      const [rx, ry] = [width / 2, height / 2];
      const centre = {
        cx: formatNumber(x + rx),
        cy: formatNumber(y + ry),
        rx: formatNumber(rx),
        ry: formatNumber(ry),
      };
      return ['ellipse', { ...centre, ...attributes }];
    }
    case 'rect': {
      const [first, ...others] = outline.radii;
      if (!others.every((radius) => radius.x === first.x && radius.y === first.y)) {
        return ['path', { d: pathData(outline), ...attributes }];
      }
      const radii = first.x > 0 ? { rx: formatNumber(first.x), ry: formatNumber(first.y) } : {};
      return ['rect', { ...boxAttributes(outline.box), ...radii, ...attributes }];
    }
    case 'path':
      return ['path', { d: outline.d, ...attributes }];
  }
}
