import { nodes, single } from '../../../tests/support/pageNodes';
import { idAt } from '../../../tests/support/ids';
import { convertReading, readInside } from '../../../tests/support/mockups';

describe('shapes as boxes', () => {
  it('includes scales in the sizes', () => {
    expect(
      single('<g transform="translate(10 20) scale(2)"><rect x="1" y="1" width="10" height="5" rx="2"/></g>'),
    ).toMatchObject({
      place: { x: 12, y: 22, width: 20, height: 10, linear: null },
      look: { radii: [{ x: 4, y: 4 }, {}, {}, {}] },
    });
  });

  it('transforms a rotated shape about its corner', () => {
    const { place } = single('<rect x="10" y="10" width="20" height="10" transform="rotate(30 10 10)"/>');
    expect([place.x, place.y, place.width, place.height]).toEqual([10, 10, 20, 10]);
    const [cos, sin] = [Math.sqrt(3) / 2, 1 / 2];
    place.linear!.forEach((value, at) => expect(value).toBeCloseTo([cos, sin, -sin, cos][at]!));
  });

  // By hand: quarters and mirrors of a 20 × 10 box about its corner at (100, 50), and where its rounded top left corner goes.
  it.each([
    ['rotate(90)', { x: 90, y: 50, width: 10, height: 20 }, 1],
    ['rotate(180)', { x: 80, y: 40, width: 20, height: 10 }, 2],
    ['rotate(-90)', { x: 100, y: 30, width: 10, height: 20 }, 3],
    ['scale(-1 1)', { x: 80, y: 50, width: 20, height: 10 }, 1],
    ['scale(1 -1)', { x: 100, y: 40, width: 20, height: 10 }, 3],
    ['scale(2 2) rotate(90)', { x: 80, y: 50, width: 20, height: 40 }, 1],
  ])('sets what is turned by %s upright', (transform, box, corner) => {
    const node = single(
      `<path d="M4 0H20V10H0V4A4 4 0 0 1 4 0Z" fill="#147" transform="translate(100 50) ${transform}"/>`,
    );
    const { x, y, width, height, linear } = node.place;
    expect(linear).toBeNull();
    [x, y, width, height].forEach((value, at) => expect(value).toBeCloseTo(Object.values(box)[at]!));
    const rounded = node.look.radii!.map((radius) => radius.x > 0 && radius.y > 0);
    expect(rounded).toEqual([0, 1, 2, 3].map((at) => at === corner));
  });

  it('turns gradients and shadows with the box that is set upright', () => {
    const { look, place } = single(
      `<linearGradient id="g" gradientUnits="userSpaceOnUse" x1="0" y1="0" x2="20" y2="0"><stop stop-color="#fff"/><stop offset="1" stop-color="#000"/></linearGradient>
<rect width="20" height="10" fill="url(#g)" transform="translate(100 50) rotate(90)" style="filter: drop-shadow(3px 0 2px #000)"/>`,
    );
    expect(place.linear).toBeNull();
    const [fill] = look.fills!;
    const [shadow] = look.shadows!;
    // By hand: a gradient that ran to the right runs down.
    expect(fill).toMatchObject({ kind: 'linear', width: 10, height: 20 });
    if (fill?.kind === 'linear') {
      expect(fill.to.x - fill.from.x).toBeCloseTo(0);
      expect([fill.from.y, fill.to.y].map((y) => Math.round(y))).toEqual([0, 20]);
    }
    expect(shadow!.dx).toBeCloseTo(0);
    expect(shadow!.dy).toBeCloseTo(3);
  });

  it('draws the border of a transformed box as a shadow when its width is fractional', () => {
    const turned = (width: number) =>
      single(
        `<rect width="40" height="20" rx="6" fill="#fff" stroke="#000" stroke-width="${width}" transform="translate(50 50) rotate(30)"/>`,
      );
    expect(turned(2).look).toMatchObject({ border: { width: 2 } });
    const { look, place } = turned(2.5);
    expect(look.border).toBeUndefined();
    expect(look.shadows).toMatchObject([{ inset: false, spread: 2.5, deviation: 0 }]);
    expect(place).toMatchObject({ width: 37.5, height: 17.5 });
    expect(look.radii![0]).toEqual({ x: 4.75, y: 4.75 });
  });

  it('centres a border on the outline, and its corners too', () => {
    expect(
      single('<rect x="10.5" y="10.5" width="19" height="9" rx="3" fill="#fff" stroke="#000"/>'),
    ).toMatchObject({
      place: { x: 10, y: 10, width: 20, height: 10 },
      look: { border: { width: 1 }, radii: [{ x: 3.5, y: 3.5 }, {}, {}, {}] },
    });
  });

  it('draws a stroke on whole px around content as a shadow on either side', () => {
    const card = (rects: string) =>
      nodes(readInside(`<g id="card">${rects}<text x="30" y="40">Sund</text></g>`)).find(
        ({ name }) => name === 'card',
      );
    const rect = (paints: string) => `<rect x="10" y="10" width="90" height="50" ${paints}/>`;
    for (const rects of [
      rect('fill="none" stroke="#000"'),
      rect('fill="#fff" stroke="#000"'),
      rect('fill="#fff"') + rect('fill="none" stroke="#000"'),
    ])
      expect(card(rects)).toMatchObject({
        place: { x: 10, y: 10, width: 90, height: 50 },
        look: {
          shadows: [
            { inset: true, spread: 0.5 },
            { inset: false, spread: 0.5 },
          ],
        },
      });
    expect(card(rect('rx="3" fill="none" stroke="#000"'))!.look.radii![0]).toEqual({ x: 3, y: 3 });
    // A border on whole px is one.
    const whole = card('<rect x="10.5" y="10.5" width="90" height="50" fill="none" stroke="#000"/>');
    expect(whole).toMatchObject({ place: { x: 10, width: 91 }, look: { border: { width: 1 } } });
  });

  it('makes hairlines a px wide and as pale as they are thin', () => {
    expect(
      single(
        '<rect x="10.2" y="20.2" width="50.6" height="9.6" fill="none" stroke="#00f" stroke-width=".4"/>',
      ),
    ).toMatchObject({
      place: { x: 10, y: 20, width: 51, height: 10 },
      look: { border: { width: 1, colour: { alpha: 0.4 } } },
    });
    expect(single('<rect x="10" y="20.3" width="50" height=".5"/>')).toMatchObject({
      place: { x: 10, y: 20, width: 50, height: 1 },
      look: { fills: [{ colour: { alpha: 0.5 } }] },
    });
  });

  it('reports where CSS rounds a border', () => {
    const { findings } = convertReading(
      readInside(
        '<rect id="a" x="9" y="9" width="30" height="20" fill="#fff" stroke="#eee" stroke-width="1.5"/>',
      ),
    );
    expect(findings).toEqual([{ code: 'stroke-inexact', layer: idAt('/a'), data: { width: 1.5 } }]);
  });

  it('stretches a border with a fractional width to its width', () => {
    const { place, look } = single(
      '<rect x="10" y="10" width="30" height="20" fill="none" stroke="#000" stroke-width="1.5"/>',
    );
    expect(look.border?.width).toBe(1.5);
    const { snapCompensation, x, y, width, height } = place;
    expect([x, y]).toEqual([9, 9]);
    expect([x + snapCompensation!.move.x, y + snapCompensation!.move.y]).toEqual([9.25, 9.25]);
    expect([width * snapCompensation!.scale.x, height * snapCompensation!.scale.y]).toEqual([31.5, 21.5]);
    // Browsers draw two px; scaled, the border has its drawn width except for the rounding of the box.
    expect(2 * snapCompensation!.scale.x).toBeCloseTo(1.5, 1);
  });

  it('draws a visible stroke between two px as a line on either side of its middle, when that is on whole px', () => {
    const { place, look } = single('<rect x="10" y="10" width="30" height="20" fill="#00f" stroke="#000"/>');
    expect(place).toMatchObject({ x: 10, y: 10, width: 30, height: 20 });
    expect(place.snapCompensation).toBeUndefined();
    expect(look.shadows).toMatchObject([
      { inset: true, spread: 0.5 },
      { inset: false, spread: 0.5, deviation: 0 },
    ]);
  });

  it('draws one whose middle is between two px as a shadow around the fill', () => {
    expect(single('<rect x="10.25" y="10" width="30" height="20" fill="#00f" stroke="#000"/>')).toMatchObject(
      {
        place: { x: 10, y: 10, width: 29, height: 19, snapCompensation: { move: { x: 0.75, y: 0.5 } } },
        look: { shadows: [{ inset: false, spread: 1, deviation: 0 }] },
      },
    );
  });

  it('draws half of a translucent stroke over the fill, and half around it', () => {
    expect(
      single(
        '<rect x="10" y="10" width="30" height="20" rx="4" fill="#00f" stroke="#000" stroke-width="2" stroke-opacity=".5"/>',
      ),
    ).toMatchObject({
      place: { x: 10, y: 10, width: 30, height: 20 },
      look: {
        radii: [{ x: 4 }, {}, {}, {}],
        shadows: [
          { inset: true, spread: 1 },
          { inset: false, spread: 1 },
        ],
      },
    });
  });

  it('draws a translucent stroke around a circle in one piece, and the fill up to its middle', () => {
    expect(
      single(
        '<circle cx="40" cy="40" r="30" fill="#000" stroke="#0f0" stroke-opacity=".5" stroke-width="4"/>',
      ),
    ).toMatchObject({
      place: { x: 8, y: 8, width: 64, height: 64 },
      look: { fillInset: 2, radii: [{ x: 32, y: 32 }, {}, {}, {}], shadows: [{ inset: true, spread: 4 }] },
    });
  });

  it('lets browsers round edges whose difference is invisible', () => {
    expect(
      single('<rect x="10.3" y="10.4" width="30" height="20" fill="#eee"/>').place.snapCompensation,
    ).toBeUndefined();
  });

  it('paints a straight line as a thin box, and dashes as a pattern along it', () => {
    expect(single('<line x1="5" y1="10" x2="45" y2="10" stroke="#f00" stroke-width="2"/>')).toMatchObject({
      place: { x: 5, y: 9, width: 40, height: 2 },
    });
    const dashed = single(
      '<line x1="5" y1="10" x2="45" y2="10" stroke="#f00" stroke-dasharray="3 1" stroke-dashoffset="2"/>',
    );
    expect(dashed.look.fills).toMatchObject([
      { kind: 'linear', repeating: true, from: { x: -2 }, to: { x: 2 } },
    ]);
  });

  it('makes a drop shadow of a full box a box shadow, and filters any other shape', () => {
    const filter = '<filter id="f"><feDropShadow dx="1" dy="2" stdDeviation="3"/></filter>';
    expect(single(`${filter}<rect width="9" height="9" filter="url(#f)"/>`).look.shadows).toMatchObject([
      { dx: 1, dy: 2, deviation: 3 },
    ]);
    expect(
      single(`${filter}<rect width="9" height="9" fill-opacity=".5" filter="url(#f)"/>`).look.filters,
    ).toMatchObject([{ kind: 'drop-shadow' }]);
  });

  it('clips by a path only where something is cut off', () => {
    const clip = (width: number) =>
      `<clipPath id="c"><rect width="${width}" height="50"/></clipPath><rect width="20" height="20" clip-path="url(#c)"/>`;
    expect(single(clip(30)).look.clip).toBeUndefined();
    expect(single(clip(10))).toMatchObject({ place: { width: 10, height: 20 } });
    expect(single(clip(10)).look.clip).toBeUndefined();
    const round = `<clipPath id="c"><circle r="9"/></clipPath><rect width="20" height="20" clip-path="url(#c)"/>`;
    expect(single(round).look.clip).toMatchObject({ kind: 'path' });
  });
});
