import { nodes } from '../../../tests/support/pageNodes';
import { idAt } from '../../../tests/support/ids';
import { convertReading, readCase, readDemo, readInside } from '../../../tests/support/mockups';
import { layersByKey } from '../mockup/walk';
import type { Tag } from '../sort/tag';
import { walkNodes } from './walk';
import type { BoxNode, PageNode } from './node';

describe('arrangements', () => {
  const reading = readInside(
    `<g id="card" opacity=".9"><rect x="10" y="10" width="80" height="60" fill="#eee"/><g id="inner"><rect id="a" x="20" y="20" width="10" height="10"/><rect id="b" x="40" y="20" width="10" height="10"/></g></g>`,
  );

  it('nested: keeps groups, and gives a backdrop to its group', () => {
    const [card, inner, first] = nodes(reading);
    expect(card).toMatchObject({
      name: 'card',
      place: { x: 10, y: 10, width: 80, height: 60 },
      look: { opacity: 0.9, fills: [{}] },
      merged: [idAt('/card/rect')],
    });
    expect(inner).toMatchObject({ name: 'inner', place: { x: 10, y: 10, width: 30, height: 10 } });
    expect(first).toMatchObject({ name: 'a', place: { x: 0, y: 0 } });
  });

  it('fixed: keeps only groups that affect their content', () => {
    expect(nodes(reading, 'fixed').map((node) => [node.name, node.place.x])).toEqual([
      ['card', 10],
      ['box', 0],
      ['a', 10],
      ['b', 30],
    ]);
  });

  it('measures children from inside the border', () => {
    const bordered = readInside(
      '<g id="card"><rect x="10" y="10" width="80" height="60" fill="#eee" stroke="#000" stroke-width="2"/><rect id="a" x="20" y="20" width="9" height="9"/></g>',
    );
    const [card, a] = nodes(bordered);
    expect(card!.place).toMatchObject({ x: 9, y: 9, width: 82, height: 62 });
    expect(a!.place).toMatchObject({ x: 9, y: 9 });
  });

  it('drops wrappers without a purpose', () => {
    expect(
      nodes(
        readInside(
          '<g><g><g id="kept"><rect id="a" width="9" height="9"/><rect id="b" x="20" width="9" height="9"/></g></g></g>',
        ),
      ).map((node) => node.name),
    ).toEqual(['kept', 'a', 'b']);
  });

  const cutBy = (clip: string, inside: string, tags: Record<string, Tag> = {}) =>
    nodes(
      readInside(
        `<clipPath id="c"><rect x="8" y="8" width="80" height="40" ${clip}/></clipPath><g id="g" clip-path="url(#c)">${inside}<g id="h"><rect x="20" y="20" width="9" height="9"/></g></g>`,
      ),
      'nested',
      tags,
    ).find(({ path }) => path.endsWith('/g'));

  it('clips shadows, and the outer half of a stroke between two px', () => {
    const cut = (inside: string) => cutBy('', inside);
    const box = { place: { x: 8, y: 8, width: 80, height: 40 }, look: { clip: { kind: 'box' } } };
    expect(cut('<rect x="8" y="8" width="80" height="40" fill="#fff" stroke="#246"/>')?.look).toMatchObject({
      shadows: [{ inset: true, spread: 0.5 }],
    });
    const shadow = '<filter id="f"><feDropShadow dx="0" dy="2" stdDeviation="3"/></filter>';
    expect(
      cut(`${shadow}<rect x="9" y="9" width="70" height="30" fill="#fff" filter="url(#f)"/>`),
    ).toMatchObject(box);
    expect(cut('<rect x="9" y="9" width="70" height="30" fill="#fff"/>')?.look.clip).toBeUndefined();
  });

  it('keeps the inner half of a stroke that is clipped along its middle', () => {
    const cut = (stroke: number) =>
      nodes(
        readInside(
          `<clipPath id="c"><rect x="10" y="8" width="80" height="40"/></clipPath><g id="g" clip-path="url(#c)"><rect x="10" y="8" width="80" height="40" fill="#fff" stroke="#000" stroke-width="${stroke}"/><rect x="20" y="20" width="9" height="9"/></g>`,
        ),
      )[0];
    const black = { r: 0, g: 0, b: 0, alpha: 1 };
    const place = { x: 10, y: 8, width: 80, height: 40 };
    expect(cut(4)).toMatchObject({
      place,
      look: { border: { width: 2, colour: black } },
    });
    expect(cut(1)).toMatchObject({ place, look: { shadows: [{ inset: true, spread: 0.5, colour: black }] } });
  });

  it('has no border and no shadow where the clip cuts all of it off', () => {
    const shadow = '<filter id="f"><feDropShadow dx="0" dy="0" stdDeviation="3"/></filter>';
    const cut = (rect: string) => cutBy('rx="5"', `${shadow}<rect ${rect} fill="#fff"/>`);
    const framed = cut('x="7.5" y="7.5" width="81" height="41" rx="5.5" stroke="#246"');
    expect(framed?.place).toMatchObject({ x: 8, y: 8, width: 80, height: 40 });
    expect(Object.keys(framed?.look ?? {})).toEqual(['fills', 'radii']);
    const shaded = cut('x="8" y="8" width="80" height="40" rx="5" filter="url(#f)"');
    expect(Object.keys(shaded?.look ?? {})).toEqual(['fills', 'radii']);
    // Half a px of a dark border is visible.
    expect(cut('x="8" y="8" width="80" height="40" rx="5" stroke="#246"')?.look.shadows).toBeDefined();
    // Sharp corners show behind the round ones of the clip only when the clip is sharper.
    expect(cut('x="7" y="7" width="82" height="42" rx="20" stroke="#246"')?.look.clip).toBeDefined();
  });

  it('has no clip where nothing is cut off, also at round corners, unless it scrolls', () => {
    const cut = (rect: string) => cutBy('rx="10"', `<rect ${rect} fill="#fff"/>`);
    expect(cut('x="9" y="20" width="70" height="10"')).toMatchObject({
      place: { x: 9, y: 20, width: 70, height: 10 },
      look: {},
    });
    expect(cut('x="9" y="9" width="70" height="30"')?.look.clip).toBeDefined();
    const idle = '<rect x="8" y="8" width="80" height="40" fill="#fff"/>';
    const { layer, look } = cutBy('', idle)!;
    expect(look.clip).toBeUndefined();
    expect(cutBy('', idle, { [layer]: { scroll: 'y' } })).toMatchObject({ scroll: 'y', look });
  });

  it('has no clip where each part lies inside a box of the clip', () => {
    const cut = (width: number) =>
      nodes(
        readInside(
          `<clipPath id="c"><rect x="8" y="8" width="30" height="20"/><rect x="50" y="8" width="30" height="20"/></clipPath><g id="g" clip-path="url(#c)"><rect x="10" y="10" width="20" height="10"/><rect x="52" y="10" width="${width}" height="10"/></g>`,
        ),
      )[0]?.look.clip;
    expect(cut(20)).toBeUndefined();
    expect(cut(40)).toMatchObject({ kind: 'path' });
  });

  it('clips no more than its content needs where a clip would lie over other nodes', () => {
    const cut = (y: number) =>
      nodes(
        readInside(
          `<clipPath id="c"><rect x="8" y="8" width="80" height="60"/></clipPath><rect x="10" y="10" width="40" height="${y - 12}"/><g clip-path="url(#c)" id="g"><rect x="12" y="${y}" width="20" height="60"/><rect x="40" y="${y}" width="20" height="60"/></g>`,
        ),
      ).find(({ path }) => path.endsWith('/g'))?.place;
    expect(cut(30)).toMatchObject({ x: 12, y: 30, width: 48, height: 38 });
  });

  it('a blurred shape clipped to the outside of its caster is a shadow', () => {
    const shade =
      '<filter id="b"><feGaussianBlur stdDeviation="4"/></filter><mask id="m" maskUnits="userSpaceOnUse" x="-40" y="-40" width="300" height="200"><rect x="-40" y="-40" width="300" height="200" fill="white"/><rect x="10" y="10" width="60" height="40" rx="6" fill="black"/></mask><g mask="url(#m)"><rect x="10" y="14" width="60" height="40" rx="6" fill-opacity=".2" filter="url(#b)"/></g>';
    const [card, ...others] = nodes(
      readInside(`${shade}<rect x="10" y="10" width="60" height="40" rx="6" fill="#fff" fill-opacity=".5"/>`),
    );
    expect(others).toEqual([]);
    expect(card).toMatchObject({
      place: { x: 10, y: 10, width: 60, height: 40 },
      look: { shadows: [{ inset: false, dx: 0, dy: 4, deviation: 4, colour: { alpha: 0.2 } }] },
    });
    // The clip removes the shadow again.
    const picture = `<clipPath id="c"><rect x="10" y="10" width="60" height="40" rx="6"/></clipPath><g id="g" clip-path="url(#c)">${shade}<rect x="0" y="0" width="90" height="50" fill="#246"/><rect x="20" y="20" width="9" height="9"/></g>`;
    expect(JSON.stringify(nodes(readInside(picture)))).not.toContain('deviation');
  });

  it('a single child takes the opacity of its group', () => {
    const [only, ...others] = nodes(
      readInside('<g id="faded" opacity=".5"><rect id="a" width="9" height="9"/></g>'),
    );
    expect(others).toEqual([]);
    expect(only).toMatchObject({ look: { opacity: 0.5 }, merged: [idAt('/faded')] });
  });

  it('a box whose only child is a clip by the same box clips by itself', () => {
    const found = nodes(
      readInside(
        '<clipPath id="c"><rect x="8" y="8" width="40" height="40" rx="20"/></clipPath><g id="face"><rect x="8" y="8" width="40" height="40" rx="20" fill="#eee"/><g clip-path="url(#c)"><rect x="8" y="8" width="40" height="20"/><rect x="8" y="30" width="40" height="20"/></g></g>',
      ),
    );
    expect(found[0]?.look).toMatchObject({ fills: [{}], clip: { kind: 'box' } });
    expect(found).toHaveLength(3);
  });

  it('is clipped by the box of the mask that lies over it', () => {
    const masked = (parts: string) =>
      nodes(
        readInside(
          `<mask id="m" fill="#fff"><rect x="8" y="8" width="80" height="40"/>${parts}</mask><g id="g" mask="url(#m)"><rect width="99" height="9"/><rect y="20" width="99" height="90"/></g>`,
        ),
      ).find(({ path }) => path.endsWith('/g'));
    const elsewhere = '<rect x="-1" y="-1" width="1" height="1"/><rect x="20" y="20" width="2" height="2"/>';
    expect(masked(elsewhere)).toMatchObject({
      place: { x: 8, y: 8, width: 80, height: 40 },
      look: { clip: { kind: 'box' } },
    });
    expect(masked('<rect x="20" y="60" width="9" height="9"/>')?.look.clip?.kind).toBe('path');
    const away = nodes(
      readInside(
        '<clipPath id="c"><rect x="300" width="9" height="9"/><rect x="320" width="9" height="9"/></clipPath><g id="g" clip-path="url(#c)"><rect width="99" height="9"/><rect y="20" width="99" height="9"/></g><rect y="50" width="9" height="9"/>',
      ),
    ).filter(({ path }) => path.endsWith('/g'));
    for (const { look } of away) expect(look.clip).not.toMatchObject({ d: '' });
  });

  it('has no clip where the page itself ends', () => {
    const [group] = nodes(
      readInside(
        '<clipPath id="c"><rect width="200" height="100"/></clipPath><g id="deck" clip-path="url(#c)" opacity=".5"><rect x="-5" width="90" height="60"/><rect x="20" y="60" width="9" height="90"/></g>',
      ),
    );
    expect(group!.look).toEqual({ opacity: 0.5 });
  });

  it('lets a stray speck overflow its group', () => {
    const group = (tip: string) =>
      nodes(
        readInside(
          `<g id="menu">${tip}<rect x="60" y="40" width="40" height="20"/><rect x="110" y="40" width="40" height="20" rx="2"/></g>`,
        ),
      ).find(({ path }) => path.endsWith('/menu'))!.place;
    expect(group('<circle cx="5" cy="5" r="2.5"/>')).toMatchObject({ x: 60, y: 40, width: 90, height: 20 });
    // Aligned with the others it is one of them.
    expect(group('<circle cx="5" cy="50" r="2.5"/>')).toMatchObject({ x: 2.5, width: 147.5 });
    expect(group('<rect width="12" height="12"/>')).toMatchObject({ x: 0, y: 0 });
  });

  it('is no group when it clips only the box that it is clipped by', () => {
    const clipped = (width: number) =>
      nodes(
        readInside(
          `<clipPath id="c"><rect x="5" y="5" width="50" height="20"/></clipPath><g id="g" clip-path="url(#c)"><rect x="5" y="5" width="${width}" height="20" fill="#fff"/></g>`,
        ),
      ).map(({ look, place }) => [look.clip?.kind, place.width]);
    expect(clipped(50)).toEqual([[undefined, 50]]);
    expect(clipped(60)).toEqual([[undefined, 50]]);
  });

  it('cuts a group by the box of its clip', () => {
    const [group] = nodes(
      readInside(
        '<clipPath id="c"><rect x="5" y="5" width="50" height="40" rx="6"/></clipPath><g id="g" clip-path="url(#c)"><rect width="99" height="9"/><rect y="20" width="99" height="9"/></g>',
      ),
    );
    expect(group).toMatchObject({
      place: { x: 5, y: 5, width: 50, height: 40 },
      look: { clip: { kind: 'box' }, radii: [{ x: 6, y: 6 }, {}, {}, {}] },
    });
  });

  it('keeps the order of drawing and every layer that is an element', () => {
    for (const arrangement of ['fixed', 'nested'] as const) {
      const reading = readCase('bs5-pricing.svg');
      const conversion = convertReading(reading, arrangement);
      const all = walkNodes(conversion.pages[0]!.children);
      const seen = new Set(all.flatMap((node) => [node.layer, ...(node.merged ?? [])]));
      const leaves = [...layersByKey(reading.mockup).values()].filter((layer) => layer.kind !== 'group');
      const lost = leaves.filter(({ id }) => {
        const decision = conversion.decisions.get(id)!;
        return decision.outcome !== 'aside' && decision.within === null && !seen.has(id);
      });
      expect(lost).toEqual([]);
    }
  });

  it('has at most 1.1 elements per visible layer on the demo, and nests no deeper than its groups', () => {
    const conversion = convertReading(readDemo());
    const elements = walkNodes(conversion.pages[0]!.children);
    const visible = [...conversion.decisions.values()].filter(
      (decision) => decision.outcome !== 'aside' && decision.within === null,
    );
    expect(elements.length).toBeLessThanOrEqual(visible.length * 1.1);
    const depth = (list: readonly PageNode[]): number =>
      1 + Math.max(-1, ...list.map((node) => (node.kind === 'box' ? depth((node as BoxNode).children) : 0)));
    expect(depth(conversion.pages[0]!.children)).toBeLessThanOrEqual(5);
  });
});

describe('tags on the page', () => {
  const reading = readInside(
    '<rect id="a" width="9" height="9"/><rect id="b" x="20" width="9" height="9" display="none"/>',
  );

  it('leaves out layers that are aside, and keeps layers that start hidden', () => {
    const page = nodes(reading, 'nested', {
      [idAt('/a')]: { outcome: 'aside' },
      [idAt('/b')]: { hidden: true },
    });
    expect(page.map((node) => [node.name, node.hidden])).toEqual([['b', true]]);
  });
});
