import { convertReading, emitted, readInside } from '../../../tests/support/mockups';
import { isIconText } from './iconText';

const BELL = '\uE7F4';

describe('letters of an icon font', () => {
  it('stand in the private use areas (Unicode 16, §23.5)', () => {
    expect([BELL, ` ${BELL}\u{F0001} `, '\u{10FFFD}'].every(isIconText)).toBe(true);
    expect(['', ' ', 'bell', `${BELL} 3`, '\u2605'].some(isIconText)).toBe(false);
  });

  it('are as wide as they were drawn, whatever font readers have, and say nothing to screen readers', () => {
    const icon = `<text x="20" y="40" font-size="14" font-family="Lights Of The Sound" textLength="24" lengthAdjust="spacingAndGlyphs">${BELL}</text>`;
    const words = '<text x="54" y="40" font-size="14" font-family="Commissioner">Weather of the sound</text>';
    const quay = `<g id="quay"><rect width="300" height="60" fill="#eee"/><g id="bell">${icon}</g>${words}</g>`;
    const conversion = convertReading(readInside(quay), 'flow');
    const [, name] = new RegExp(`<span class="([\\w-]+)" aria-hidden="true">${BELL}`).exec(
      emitted(conversion, 'index.html'),
    )!;
    const rule = new RegExp(`\\.${name} \\{[^}]*width: 24px;\\s+flex: none`);
    expect(emitted(conversion, 'styles.css')).toMatch(rule);
  });
});
