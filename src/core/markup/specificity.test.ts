import { OF_CLASS, specificityOf } from './specificity';

/** Examples of Selectors 4, §17. */
describe('specificity', () => {
  it('orders selectors as the standard does', () => {
    const order = [
      '*',
      'li',
      'ul li',
      'ul ol + li',
      'h1 + *[rel=up]',
      'ul ol li.red',
      'li.red.level',
      '#x34y',
    ];
    expect(order.map(specificityOf)).toEqual(order.map(specificityOf).toSorted((one, other) => one - other));
    expect(new Set(order.map(specificityOf)).size).toBe(order.length);
  });

  it('is that of the heaviest in a list, and nothing inside of :where()', () => {
    expect(specificityOf('.a, li')).toBe(OF_CLASS);
    expect(specificityOf(':where(.a) li')).toBe(1);
  });
});
