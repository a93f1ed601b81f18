import { element, inlineElement, type MarkupElement } from '../../markup/element';
import { componentOfElement, MARKUP } from './components';
import { camelCase, kebabCase, pascalCase, pluralOf } from './identifiers';
import { FieldNames, nameByWords } from './fieldNames';
import { ModuleImports } from './moduleImports';
import type { Component, TemplateElement, TemplateList } from './template';

const card = (title: string, price: string, more: readonly MarkupElement[] = [], look = '') =>
  element('article', { class: `card${look}` }, [
    inlineElement('h3', { class: 'card-title' }, [title]),
    inlineElement('span', { class: 'card-sum' }, [price]),
    ...more,
  ]);
const badge = inlineElement('span', { class: 'card-badge' }, ['New']);

function made(children: readonly MarkupElement[]): {
  readonly whole: Component;
  readonly parts: readonly Component[];
} {
  return componentOfElement('shelf', element('div', { class: 'shelf' }, children), MARKUP);
}

function listIn({ root }: Component): TemplateList {
  const [list] = root.children;
  if (list?.kind !== 'list') throw new Error(`No list but ${list?.kind}`);
  return list;
}

describe('like siblings', () => {
  it('become a component, and a row of data for each', () => {
    const { whole, parts } = made([card('Skerry', '12 kr'), card('Auk', '9 kr'), card('Tern', '7 kr')]);
    const list = listIn(whole);
    expect(parts).toEqual([list.component]);
    expect(list.component.name).toBe('Card');
    expect(list.component.fields.map(({ name, isOptional }) => [name, isOptional])).toEqual([
      ['title', false],
      ['price', false],
    ]);
    expect(list.rows).toEqual([
      { values: { title: 'Skerry', price: '12 kr' } },
      { values: { title: 'Auk', price: '9 kr' } },
      { values: { title: 'Tern', price: '7 kr' } },
    ]);
  });

  it('may lack parts: a field says whether they are there', () => {
    const { whole } = made([
      card('Skerry', '12 kr', [badge]),
      card('Auk', '9 kr'),
      card('Tern', '7 kr', [badge]),
    ]);
    const { component, rows } = listIn(whole);
    const last = component.root.children.at(-1) as TemplateElement;
    expect(last.shownBy).toBe('hasBadge');
    expect(rows).toMatchObject([{ values: { hasBadge: true } }, {}, { values: { hasBadge: true } }]);
    expect(component.fields.find(({ name }) => name === 'hasBadge')).toMatchObject({
      type: { kind: 'flag' },
      isOptional: true,
    });
  });

  it('that look otherwise say their further classes', () => {
    const { whole } = made([
      card('Skerry', '12 kr'),
      card('Auk', '9 kr', [], ' card-wide'),
      card('Tern', '7 kr'),
    ]);
    const { component, rows } = listIn(whole);
    expect(component.root.classes).toEqual(['card']);
    expect(component.root.classField).toBe('look');
    expect(rows).toMatchObject([{}, { values: { look: 'card-wide' } }, {}]);
  });

  it('hold lists of their own: rows have rows', () => {
    const menu = (title: string, ...entries: readonly string[]) =>
      element('section', { class: 'menu' }, [
        inlineElement('h2', {}, [title]),
        element(
          'ul',
          { class: 'menu-list' },
          entries.map((entry) => element('li', {}, [inlineElement('a', { href: '#' }, [entry])])),
        ),
      ]);
    const { whole, parts } = made([menu('Boats', 'Auk', 'Tern'), menu('Piers', 'North', 'South', 'East')]);
    expect(parts).toHaveLength(2);
    const { component, rows } = listIn(whole);
    const field = component.fields.find(({ type }) => type.kind === 'rows')!;
    const counts = (rows as readonly { values: Record<string, unknown> }[]).map(
      ({ values }) => (values[field.name] as readonly unknown[]).length,
    );
    expect(counts).toEqual([2, 3]);
  });

  it('are not what has nothing to differ in, nor two small things', () => {
    const dot = element('div', { class: 'dot' });
    expect(made([dot, dot, dot]).parts).toEqual([]);
    expect(
      made([inlineElement('p', { class: 'note' }, ['one']), inlineElement('p', { class: 'note' }, ['two'])])
        .parts,
    ).toEqual([]);
  });

  it('of equal lists share a component', () => {
    const rows = (...words: readonly string[]) =>
      element(
        'ul',
        { class: 'steps' },
        words.map((each) => inlineElement('li', { class: 'step' }, [each])),
      );
    expect(made([rows('a', 'b'), element('hr'), rows('c', 'd', 'e')]).parts).toHaveLength(1);
  });
});

describe('names', () => {
  it('follow the language, and none is taken twice', () => {
    expect(pascalCase('sailing-row')).toBe('SailingRow');
    expect(camelCase('sailing-row')).toBe('sailingRow');
    expect(camelCase('default')).toBe('defaultValue');
    expect(kebabCase('SailingRow2')).toBe('sailing-row2');
    expect([pluralOf('card'), pluralOf('entry'), pluralOf('box')]).toEqual(['cards', 'entries', 'boxes']);
    const names = new FieldNames();
    expect([names.give('title'), names.give('title'), names.give('class')]).toEqual([
      'title',
      'title2',
      'classValue',
    ]);
  });

  it('of fields are told from the form of their words', () => {
    expect(nameByWords(['07:40', '12:05'])).toBe('time');
    expect(nameByWords(['12.40 kr', '€ 9'])).toBe('price');
    expect(nameByWords(['3 May', '2026-11-29'])).toBe('date');
    expect(nameByWords(['40%', '-3 %'])).toBe('share');
    expect(nameByWords(['Auk', '7'])).toBeNull();
  });
});

describe('imports', () => {
  it('name each file once, in the order of their sources', () => {
    const imports = new ModuleImports('../', new Set(['auk']));
    expect(imports.file('pictures/auk.svg')).toBe('auk2');
    expect(imports.file('pictures/auk.svg')).toBe('auk2');
    expect(
      imports.fileLiteral(
        'pictures/auk.svg 1x, pictures/auk@2x.png 2x',
        new Set(['pictures/auk.svg', 'pictures/auk@2x.png']),
      ),
    ).toBe('`${auk2} 1x, ${auk2x} 2x`');
    imports.name('Card', 'components/Card');
    imports.name('type CardProps', 'components/Card');
    expect(imports.print('react')).toBe(
      `import { Card, type CardProps } from "../components/Card";\nimport auk2 from "../pictures/auk.svg";\nimport auk2x from "../pictures/auk@2x.png";\n`,
    );
  });
});
