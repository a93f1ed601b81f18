import { TARGETS } from './targets';
import { problemOfSettings, settingOf, usualSettings, knownSettings } from './targetOptions';
import { convertReading, readInside } from '../../../tests/support/mockups';

const { options } = TARGETS.html;

describe('the options of a target', () => {
  it('have a usual value, which settings change', () => {
    expect(usualSettings(options)).toEqual({
      unit: 'px',
      values: 'named',
      tokens: 'none',
      icons: 'symbols',
      shared: 'within',
    });
    expect(settingOf(options, {}, 'unit')).toBe('px');
    expect(settingOf(options, { unit: 'rem' }, 'unit')).toBe('rem');
  });

  it('are refused by name and by value', () => {
    expect(problemOfSettings(options, { unit: 'rem' })).toBeNull();
    expect(problemOfSettings(options, { unit: 'em' })).toBe('The option unit is px or rem, not em.');
    expect(problemOfSettings(options, { colour: 'red' })).toBe(
      'There is no option colour; there is unit, values, tokens, icons, shared.',
    );
    expect(problemOfSettings(options, { toString: 'px' } as never)).toMatch(/^There is no option toString/);
  });

  it('reach the code', () => {
    const reading = readInside('<rect id="deck" width="32" height="16" fill="#864"/>');
    const text = (settings: Readonly<Record<string, string>>) =>
      convertReading(reading, 'nested', new Map(), { settings }).emission.files[0]!.text;
    expect(text({})).toContain('width: 32px');
    expect(text({ unit: 'rem' })).toContain('width: 2rem');
  });
});

it('of settings for another target, a target takes those that it knows', () => {
  const chosen = { unit: 'rem', shared: 'apart', styles: 'modules' };
  expect(knownSettings(TARGETS.react.options, chosen)).toEqual({ unit: 'rem', styles: 'modules' });
  expect(knownSettings(TARGETS.vue.options, chosen)).toEqual({ unit: 'rem' });
  expect(knownSettings(TARGETS.qml.options, chosen)).toEqual({});
});
