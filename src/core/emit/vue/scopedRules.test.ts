import { element, inlineElement } from '../../markup/element';
import type { CssRule } from '../../markup/printCss';
import { componentOfElement, MARKUP } from '../components/components';
import { scopedRules } from './scopedRules';

const rule = (selector: string, media?: string): CssRule => ({
  selector,
  declarations: [['color', 'red']],
  ...(media !== undefined && { media }),
});

const item = (words: string) =>
  element('li', { class: 'step' }, [inlineElement('span', { class: 'step-words quiet' }, [words])]);
const { whole, parts } = componentOfElement(
  'page',
  element('div', { class: 'page' }, [
    element('ul', { class: 'steps' }, [item('a'), item('b')]),
    inlineElement('p', { class: 'quiet' }, ['c']),
  ]),
  MARKUP,
);
const components = [...parts, whole];
const [part] = parts;

const namesOf = (rules: readonly CssRule[] | undefined) => (rules ?? []).map(({ selector }) => selector);

describe('rules of components', () => {
  it('stand with the only component that has their classes', () => {
    const { shared, own } = scopedRules(
      [rule('body'), rule('.page'), rule('.quiet'), rule('.step')],
      components,
    );
    expect(namesOf(shared)).toEqual(['body', '.quiet']);
    expect(namesOf(own.get('Page'))).toEqual(['.page']);
    expect(namesOf(own.get(part!.name))).toEqual(['.step']);
  });

  it('stay shared where a shared rule for the same element comes after: a scoped one would outweigh it', () => {
    const early = scopedRules([rule('.step-words'), rule('.quiet')], components);
    expect(namesOf(early.shared)).toEqual(['.step-words', '.quiet']);
    const late = scopedRules([rule('.quiet'), rule('.step-words')], components);
    expect(namesOf(late.own.get(part!.name))).toEqual(['.step-words']);
    const inWindows = scopedRules(
      [rule('.quiet'), rule('.step-words'), rule('.quiet', '(width < 768px)')],
      components,
    );
    expect(namesOf(inWindows.shared)).toEqual(['.quiet', '.step-words', '.quiet']);
  });

  it('stay shared where they reach into another component', () => {
    const { shared } = scopedRules([rule('.steps'), rule('.steps .step'), rule('.page p')], components);
    expect(namesOf(shared)).toEqual(['.steps', '.steps .step', '.page p']);
  });
});
