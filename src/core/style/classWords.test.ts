import { convertReading, readInside } from '../../../tests/support/mockups';
import { nameOfWords } from './classWords';

const names = (content: string) => convertReading(readInside(content)).sheet.classes.map(({ name }) => name);
const line = (y: number, size: number, words: string) =>
  `<text x="5" y="${y}" font-size="${size}">${words}</text>`;

describe('names by what is said', () => {
  it('tell texts of one owner apart that look the same by weight and colour', () => {
    const card = `<g id="card"><rect width="90" height="90" fill="#fff"/>${line(20, 18, 'Crossings')}${line(40, 12, 'Departures')}${line(60, 10, 'Since the 1st of May')}${line(80, 11, '214')}</g>`;
    expect(names(card)).toEqual(['card-fill', 'card-title', 'card-departures', 'card-text', 'card-text-2']);
  });

  it('are short, without small words and numbers', () => {
    expect(nameOfWords('The price of a return ticket to Holm')).toBe('price-return-ticket');
    expect(nameOfWords('Incomprehensibilities everywhere')).toBe('incomprehensibilities');
    expect(['214', 'to', '', '7 to 9'].map(nameOfWords)).toEqual([null, null, null, null]);
  });
});
