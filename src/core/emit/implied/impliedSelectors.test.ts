import { element, type MarkupElement } from '../../markup/element';
import type { CssRule } from '../../markup/printCss';
import { impliedSelectors } from './impliedSelectors';
import { outlineOf } from './outline';

const of = (name: string, classes: string, ...children: MarkupElement[]) =>
  element(name, { class: classes }, children);
const rule = (name: string, property = 'color', value = 'red', media?: string): CssRule => ({
  selector: `.${name}`,
  declarations: [[property, value]],
  ...(media !== undefined && { media }),
});
const implied = (root: MarkupElement, rules: readonly CssRule[], fixed: readonly string[] = []) =>
  Object.fromEntries(impliedSelectors(outlineOf([root]), rules, new Set(['screen', ...fixed])));

describe('classes that places imply', () => {
  const list = (...last: string[]) =>
    of(
      'div',
      'screen',
      of('div', 'list', of('a', 'row'), of('a', 'row'), of('a', ['row', ...last].join(' '))),
    );
  const rows = [rule('list', 'gap', '4px'), rule('row', 'border-bottom', '1px solid red')];

  it('are those of the first, the last and all but the first of like siblings, for what spaces them', () => {
    expect(implied(list('row-plain'), [...rows, rule('row-plain', 'border-bottom', '0')])).toEqual({
      'row-plain': '.row:last-child',
    });
    const apart = of('div', 'screen', of('a', 'row'), of('a', 'row row-apart'), of('a', 'row row-apart'));
    expect(implied(apart, [rule('row'), rule('row-apart', 'margin-top', '4px')])).toEqual({
      'row-apart': '.row + .row',
    });
  });

  it('are not those of looks that no place explains', () => {
    expect(implied(list('row-red'), [...rows, rule('row-red', 'background', 'red')])).toEqual({});
  });

  it('are stripes', () => {
    const striped = of(
      'div',
      'screen',
      ...[1, 2, 3, 4].map((at) => of('p', at % 2 ? 'row' : 'row row-grey')),
    );
    expect(implied(striped, [rule('row'), rule('row-grey', 'background', '#eee')])).toEqual({
      'row-grey': '.row:nth-child(even)',
    });
  });

  it('are those of what stands in another thing than its likes', () => {
    const page = of(
      'div',
      'screen',
      of('div', 'bar', of('a', 'link link-small'), of('a', 'link link-small')),
      of('div', 'menu', of('a', 'link')),
    );
    expect(
      implied(page, [rule('bar'), rule('menu'), rule('link'), rule('link-small', 'padding', '2px')]),
    ).toEqual({
      'link-small': '.bar > .link',
    });
  });

  it('are those of the only element of its kind in its parent, whose class stays', () => {
    const card = () =>
      of('article', 'card', of('h3', 'card-title'), of('p', 'card-text'), of('div', 'card-foot'));
    const page = of('div', 'screen', card(), card());
    const rules = ['card', 'card-title', 'card-text', 'card-foot'].map((name) => rule(name));
    expect(implied(page, rules)).toEqual({ 'card-title': '.card > h3', 'card-text': '.card > p' });
    expect(implied(page, rules, ['card-title'])).toEqual({ 'card-text': '.card > p' });
    // Another heading in a card would take its look.
    const two = of('div', 'screen', card(), of('div', 'card', of('h3', 'card-note')));
    expect(implied(two, [...rules, rule('card-note')])).toEqual({ 'card-text': '.card > p' });
  });

  it('are none of what stands around others and has a name of the mockup', () => {
    const page = of(
      'div',
      'screen',
      of('ul', 'weather', of('li', 'item')),
      of('nav', 'nav', of('a', 'link')),
    );
    const elements = outlineOf([page]);
    const rules = ['weather', 'nav'].map((name) => rule(name));
    const found = impliedSelectors(elements, rules, new Set(['screen']), new Set(['weather', 'nav']));
    expect(Object.fromEntries(found)).toEqual({ nav: '.screen > nav' });
  });

  it('are none whose heavier selector would win where the class did not', () => {
    const page = of('div', 'screen', of('article', 'card', of('h3', 'title title-quiet')));
    const own = [rule('card'), rule('title', 'color', 'red'), rule('title-quiet', 'color', 'grey')];
    // The class of the title comes before, and stays lighter.
    expect(implied(page, own)).toEqual({ 'title-quiet': '.card > h3' });
    const narrow = [...own, rule('title', 'color', 'blue', '(width < 640px)')];
    expect(implied(page, narrow)).toEqual({});
    // What says something else decides nothing.
    expect(implied(page, [...own, rule('title', 'margin', '0', '(width < 640px)')])).toEqual({
      'title-quiet': '.card > h3',
    });
  });

  it('are none that other selectors name', () => {
    const page = of('div', 'screen', of('article', 'card', of('h3', 'title')));
    const hover = { selector: '.title:hover', declarations: [['color', 'blue']] } as const;
    expect(implied(page, [rule('card'), rule('title'), hover])).toEqual({});
  });
});
