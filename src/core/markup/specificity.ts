import Specificity from '@bramus/specificity';
import { memoizeText } from '../mockup/memoize';

/** The specificity of a selector, that of the heaviest in a list, as one number that orders as its three do (Selectors 4, §17). */
export const specificityOf = memoizeText((selector: string): number => {
  const weights = Specificity.calculate(selector).map((each) => {
    const { a, b, c } = each.toObject();
    return a * 1e6 + b * OF_CLASS + c;
  });
  return Math.max(0, ...weights);
});

/** The specificity of one class. */
export const OF_CLASS = 1e3;
