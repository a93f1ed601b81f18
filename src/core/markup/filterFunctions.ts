import type { FunctionEffect } from '../mockup/layer';
import { printColour } from './colours';
import { formatNumber, px } from './numbers';

/** The effect as a CSS filter function (Filter Effects 1, §5); a shadow's third length is the deviation itself. */
export function printFunction(effect: FunctionEffect): string {
  switch (effect.kind) {
    case 'blur':
      return `blur(${px(effect.deviation)})`;
    case 'drop-shadow':
      return `drop-shadow(${px(effect.dx)} ${px(effect.dy)} ${px(effect.deviation)} ${printColour(effect.colour)})`;
    case 'colour': {
      const amount = formatNumber(effect.amount, 4);
      return `${effect.function}(${effect.function === 'hue-rotate' ? `${amount}deg` : amount})`;
    }
  }
}
