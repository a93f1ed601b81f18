import type { CssRule } from '../../markup/printCss';
import { printCss } from '../../markup/printCss';
import { combinedValues } from './saidValues';
import { NOTHING_SAID } from './token';
import { withTokens } from './tokens';

const rule = (selector: string, ...declarations: CssRule['declarations']): CssRule => ({
  selector,
  declarations,
});
const sheet = (rules: readonly CssRule[], said = NOTHING_SAID) => {
  const made = withTokens(rules, said);
  return {
    ...made,
    names: Object.fromEntries(made.tokens.map(({ name, value }) => [name, value])),
    css: printCss(made.rules),
  };
};

describe('tokens', () => {
  it('are the values that are used again, on the root', () => {
    const { css } = sheet([
      rule('.card', ['background', '#fff'], ['border', '1px solid #cde']),
      rule('.note', ['background', '#fff'], ['color', '#222']),
    ]);
    expect(css).toBe(
      ':root {\n  --white: #fff;\n}\n\n.card {\n  background: var(--white);\n  border: 1px solid #cde;\n}\n\n.note {\n  background: var(--white);\n  color: #222;\n}\n',
    );
  });

  it('name neutral letters by how much they stand out, and colours by their hue', () => {
    const twice = (property: string, value: string) => [
      rule('.a', [property, value]),
      rule('.b', [property, value]),
    ];
    const { names } = sheet([
      ...twice('color', '#888'),
      ...twice('color', '#222'),
      ...twice('border', '1px solid #ddd'),
      ...twice('background', '#1e87f0'),
      ...twice('background', '#0d5eb0'),
      ...twice('background', 'rgb(30 135 240 / 40%)'),
      ...twice('background', '#c0392b'),
    ]);
    expect(names).toEqual({
      'ink-soft': '#888',
      ink: '#222',
      line: '#ddd',
      blue: '#1e87f0',
      'blue-dark': '#0d5eb0',
      'blue-40': 'rgb(30 135 240 / 40%)',
      red: '#c0392b',
    });
  });

  it('name distances by steps of their grid, and sizes of type from the most used one', () => {
    const text = (size: number) => rule('.t', ['font', `600 ${size}px/20px Commissioner`]);
    const { names, css } = sheet([
      ...[8, 8, 8, 16, 16, 16, 12, 12, 12].map((gap) => rule('.g', ['gap', `${gap}px`])),
      ...[14, 14, 14, 11, 11, 24, 24].map(text),
    ]);
    expect(names).toEqual({
      font: 'Commissioner',
      'text-small': '11px',
      'text-base': '14px',
      'text-large': '24px',
      'space-2': '8px',
      'space-3': '12px',
      'space-4': '16px',
    });
    expect(css).toContain('font: 600 var(--text-base)/20px var(--font);');
  });

  it('hold whole shadows, and the colours in them', () => {
    const shadow = ['box-shadow', '0 2px 4px #234'] as const;
    const { css } = sheet([rule('.a', shadow), rule('.b', shadow), rule('.c', ['color', '#234'])]);
    expect(css).toContain('--shadow: 0 2px 4px var(--ink);');
    expect(css).toContain('box-shadow: var(--shadow);');
  });

  it('are no measured lengths, and nothing wholly clear', () => {
    const rules = ['26.671px', '26.671px', '26.671px'].map((gap) => rule('.g', ['gap', gap]));
    const clear = ['background', 'linear-gradient(0deg, rgb(0 0 0 / 0%), rgb(0 0 0 / 0%))'] as const;
    expect(sheet([...rules, rule('.c', clear)]).tokens).toEqual([]);
  });
});

describe('what a person says of values', () => {
  const rules = [
    rule('.a', ['color', '#222222'], ['gap', '15px']),
    rule('.b', ['color', '#222222'], ['gap', '16px']),
    rule('.c', ['color', '#232222'], ['gap', '16px']),
  ];

  it('is asked where values are nearly equal, the more used one first', () => {
    const { near } = sheet(rules);
    expect(near.map(({ kept, other }) => [kept.value, other.value])).toEqual([
      ['#222222', '#232222'],
      ['16px', '15px'],
    ]);
    // CIEDE2000 of the pair as culori computes it.
    expect(near[0]!.difference).toBeCloseTo(0.4, 0);
    expect(near[1]!.difference).toBe(1);
  });

  it('is kept beside what is said later, which takes its names', () => {
    const value = (text: string, said: { name?: string; into?: string }) =>
      ({ kind: 'colour', value: text, ...said }) as const;
    expect(
      combinedValues(
        [value('#111', { name: 'ink' }), value('#222', { into: '#111' }), value('#333', { name: 'fog' })],
        [value('#444', { name: 'ink' }), value('#222', { name: 'tar' })],
      ),
    ).toEqual([
      value('#222', { into: '#111', name: 'tar' }),
      value('#333', { name: 'fog' }),
      value('#444', { name: 'ink' }),
    ]);
  });

  it('merges one into another, and names a token', () => {
    const { css, near } = sheet(rules, {
      merged: new Map([['colour #232222', '#222222']]),
      names: new Map([['space 15px', 'gutter']]),
    });
    expect(css).toContain('.c {\n  color: var(--ink);');
    expect(css).toContain('.a {\n  color: var(--ink);\n  gap: var(--gutter);');
    expect(near).toHaveLength(1);
  });
});
