import { px, verticalPx } from './numbers';
import { inRem } from './units';

// Source: CSS Values 4, §6.1.1, with browsers' initial font size of 16 px.
it.each([
  ['padding', '16px 0 8px', '1rem 0 0.5rem'],
  ['font', '700 24px/29px Aleo, serif', '700 1.5rem/1.8125rem Aleo, serif'],
  ['margin-left', '-4px', '-0.25rem'],
  [
    'grid-template-columns',
    'repeat(3, minmax(min-content, 108px)) auto',
    'repeat(3, minmax(min-content, 6.75rem)) auto',
  ],
  ['border-bottom', '1px solid #ccc', '1px solid #ccc'],
  ['box-shadow', '0 3px 10px #000', '0 3px 10px #000'],
])('%s: %s is %s', (property, value, expected) => {
  expect(inRem([property, value])).toEqual([property, expected]);
});

it('vertical lengths keep the layout unit that browsers would truncate', () => {
  // 239/64 px; LayoutUnit of Chromium, measured.
  expect(px(3.734375)).toBe('3.734px');
  expect([3.734375, 3.73, -3.734375].map(verticalPx)).toEqual(['3.735px', '3.735px', '-3.735px']);
  expect([12.5, 13.33, 0].map(verticalPx)).toEqual(['12.5px', '13.33px', '0']);
});
