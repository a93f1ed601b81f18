import { convertReading, readDemo, readInside } from '../../../../tests/support/mockups';
import type { FixedPlace } from '../../page/place';
import { boxPaint } from './paints';
import { propertyName, typeOfValues } from './printQml';
import { fixedProperties } from './standing';
import { qmlColour, qmlString, qmlSum } from './values';

const code = (content: string, arrangement: 'nested' | 'flow' = 'nested') =>
  convertReading(readInside(content), arrangement, new Map(), { target: 'qml' }).emission.files;
const screenOf = (content: string, arrangement: 'nested' | 'flow' = 'nested') =>
  code(content, arrangement).find(({ path }) => path === 'Test.qml' || path === 'TestScreen.qml')!.text;

describe('values', () => {
  it('are written as Qt reads them', () => {
    expect(qmlColour({ r: 255, g: 0, b: 16, alpha: 1 })).toBe('"#ff0010"');
    expect(qmlColour({ r: 255, g: 0, b: 16, alpha: 0.5 })).toBe('"#80ff0010"');
    expect(qmlString('a "b"\n\u2028')).toBe('"a \\"b\\"\\n\\u2028"');
    expect([qmlSum('x', 2), qmlSum('x', -2), qmlSum('x', 0)]).toEqual(['x + 2', 'x - 2', 'x']);
  });

  it('tell the type of a field', () => {
    expect(typeOfValues(['"#ff0000"', '"#00ff00"'], 'plate')).toBe('color');
    expect(typeOfValues(['"Auk"'], 'title')).toBe('string');
    expect(typeOfValues(['1', '-2.5'], 'x')).toBe('real');
    expect(typeOfValues(['Font.Bold'], 'weight')).toBe('int');
    expect(typeOfValues(['1', '"a"'], 'mixed')).toBe('var');
    expect([propertyName('text'), propertyName('title'), propertyName('state')]).toEqual([
      'caption',
      'title',
      'stateValue',
    ]);
  });
});

describe('paint', () => {
  const size = { width: 100, height: 50 };
  const red = { r: 255, g: 0, b: 0, alpha: 1 };
  const stops = [
    { offset: 0, colour: red },
    { offset: 1, colour: { ...red, alpha: 0 } },
  ];
  const linear = (to: { x: number; y: number }) =>
    ({ kind: 'linear', from: { x: 0, y: 0 }, to, ...size, repeating: false, stops }) as const;

  it('of one colour, or a gradient across or down, is a property of the rectangle', () => {
    expect(boxPaint({}, size).isEmpty).toBe(true);
    expect(boxPaint({ fills: [{ kind: 'solid', colour: red }] }, size).properties).toEqual({
      color: '"#ff0000"',
    });
    const down = boxPaint({ fills: [linear({ x: 0, y: 50 })] }, size);
    expect(down.beneath.map(({ name }) => name)).toEqual(['gradient: Gradient']);
    const across = boxPaint({ fills: [linear({ x: 100, y: 0 })] }, size);
    expect(across.beneath[0]!.attributes).toEqual({ orientation: 'Gradient.Horizontal' });
  });

  it('in any other direction, or with corners that differ, is a shape', () => {
    const slanted = boxPaint({ fills: [linear({ x: 100, y: 50 })] }, size);
    expect(slanted.beneath.map(({ name }) => name)).toEqual(['Shape']);
    const round = { x: 8, y: 8 };
    const sharp = { x: 0, y: 0 };
    const corners = boxPaint(
      { fills: [{ kind: 'solid', colour: red }], radii: [round, sharp, sharp, sharp] },
      size,
    );
    expect(corners.beneath.map(({ name }) => name)).toEqual(['Shape']);
  });
});

describe('the place of an object', () => {
  const place = (x: 'start' | 'middle' | 'end' | 'both'): FixedPlace => ({
    kind: 'fixed',
    x: 10,
    y: 4,
    width: 30,
    height: 20,
    fitsContent: false,
    linear: null,
    pins: { x, y: 'start', right: 60, bottom: 0, widthMode: 'drawn', heightMode: 'drawn' },
  });
  const of = (x: Parameters<typeof place>[0]) => {
    const all = Object.entries(fixedProperties(place(x), { x: 1, y: 1 }));
    return Object.fromEntries(all.filter(([name, value]) => value !== null && !/^(?:y|height)$/.test(name)));
  };

  it('holds to the edges that it is near to', () => {
    expect(of('start')).toEqual({ x: '11', width: '30' });
    expect(of('end')).toEqual({ 'anchors.right': 'parent.right', 'anchors.rightMargin': '61', width: '30' });
    expect(of('middle')).toMatchObject({ 'anchors.horizontalCenter': 'parent.horizontalCenter' });
    expect(of('both')).toMatchObject({ 'anchors.left': 'parent.left', 'anchors.right': 'parent.right' });
  });
});

describe('a file', () => {
  it('reads like this', () => {
    expect(
      screenOf(
        '<g id="save-button"><rect x="10" y="10" width="80" height="30" rx="4" fill="#246"/><text x="20" y="30" font-family="Commissioner" font-size="12" fill="#fff">Save</text></g>',
      ),
    ).toMatchInlineSnapshot(`
     "import QtQuick

     Item {
         id: root

         width: 200
         height: 100
         clip: true

         Rectangle {
             Accessible.role: Accessible.Button
             x: 10
             y: 10
             width: 80
             height: 30
             color: "#224466"
             radius: 4

             Text {
                 x: 10
                 y: 20 - baselineOffset
                 text: "Save"
                 color: "#ffffff"
                 font.family: Tokens.commissioner
                 font.pixelSize: 12
             }
         }
     }
     "
    `);
  });

  it('has a model for like siblings, and a delegate that asks for its roles', () => {
    const row = (words: string, at: number) =>
      `<g id="row-${at}" transform="translate(0 ${at * 24})"><rect width="90" height="20" fill="#eee"/><circle cx="8" cy="10" r="4" fill="#a40"/><text x="20" y="14" font-family="Commissioner" font-size="11">${words}</text><text x="70" y="14" font-family="Commissioner" font-size="11">${at + 1}0:15</text></g>`;
    const files = code(`<g id="rows">${['Auk', 'Tern', 'Skua'].map(row).join('')}</g>`);
    const screen = files.find(({ text }) => text.includes('ListModel'))!.text;
    expect(screen.match(/ListElement/g)).toHaveLength(3);
    const delegate = /delegate: (\w+) \{/.exec(screen)![1]!;
    const component = files.find(({ path }) => path === `${delegate}.qml`)!.text;
    expect(component).toMatch(/required property string \w+/);
    expect(component).toMatch(/required property string time/);
  });
});

describe('cells of a grid', () => {
  const { emission } = convertReading(readDemo(), 'flow', new Map(), { target: 'qml' });
  const row = emission.files.find(({ path }) => path === 'Sailing.qml')!.text;

  it('hold what is narrower than they are, and fill the room themselves', () => {
    expect(row).toMatch(
      /Item \{\s+Layout\.fillWidth: true\s+Layout\.preferredWidth: 1[\s\S]*?implicitHeight: \w+\.implicitHeight[\s\S]*?anchors\.left: parent\.left\s+width: 84/,
    );
  });

  it('have words on one baseline, and boxes as far beneath the row as they were drawn', () => {
    expect(row.match(/Layout\.alignment: Qt\.AlignBaseline/g)).toHaveLength(3);
    expect(row).toMatch(/Item \{[^}]*Layout\.alignment: Qt\.AlignTop/);
  });
});
