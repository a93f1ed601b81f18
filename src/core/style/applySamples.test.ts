import { TARGETS } from '../emit/targets';
import { idAt } from '../../../tests/support/ids';
import { convertReading, readDemo, readInside } from '../../../tests/support/mockups';
import type { Layer, ShapeLayer, TextLayer } from '../mockup/layer';
import { layersByKey } from '../mockup/walk';
import { measureMockup } from '../mockup/bounds';
import { printColour } from '../markup/colours';
import { applyStructuralTags } from '../sort/structuralTags';
import { decide } from '../sort/decide/decide';
import { findSamples, themesOf } from './samples';
import { applySamples } from './applySamples';

function dressed(content: string, theme: string | null = null) {
  const mockup = applyStructuralTags(readInside(content).mockup, new Map());
  const measures = measureMockup(mockup);
  const decisions = decide(mockup, measures, new Map(), TARGETS.html.capabilities);
  const decided = { mockup, measures, decisions };
  const samples = findSamples(decided);
  const layers = layersByKey(applySamples(decided, samples, theme));
  return { samples, layer: (name: string) => layers.get(idAt(`/${name}`)) };
}

function fillOf(layer: Layer | undefined): string {
  const paint = (layer as ShapeLayer).fill;
  return paint?.kind === 'solid' ? printColour(paint.colour) : String(paint?.kind);
}

const SAMPLES = `<g data-name="Looks [style]">
  <rect id="card" x="300" width="40" height="20" rx="4" fill="#ff0000" stroke="#000" stroke-width="2"/>
  <text id="price" x="300" y="20" font-size="20" font-weight="700" fill="#00ff00">9</text>
  <g data-name="card"><text id="price" x="300" y="40" font-size="30" fill="#0000ff">9</text></g>
  <g data-name=".fog"><rect id="card" x="300" y="60" width="40" height="20" fill="#888888"/>
    <g data-name="card"><rect id="plate" x="300" y="90" width="40" height="20" fill="#777777"/></g></g>
</g>`;
const CARD = '<rect id="a" data-tags=".card" width="100" height="10" fill="#ddd"/>';

describe('samples', () => {
  it('are classes by name, nested by classes and themes of the groups around', () => {
    const { samples } = dressed(SAMPLES);
    expect(samples.map(({ path, theme }) => [theme, path.join(' ')])).toEqual([
      [null, 'card'],
      [null, 'price'],
      [null, 'card price'],
      ['fog', 'card'],
      ['fog', 'card plate'],
    ]);
    expect(themesOf(samples)).toEqual(['fog']);
  });

  it('are never on the page, nor are pictures in them', () => {
    const { pages, plan, findings } = convertReading(
      readInside(`${SAMPLES}<g data-name="More [style]"><path id="leaf" d="M0 0L9 3L2 9Z"/></g>`),
    );
    expect(pages[0]!.children).toEqual([]);
    expect(plan.pictures).toEqual([]);
    expect(new Set(findings.map(({ code }) => code))).toEqual(new Set(['sample-unused']));
  });
});

describe("a layer with a sample's class", () => {
  it('takes its whole look, with corners as far as there is room', () => {
    const card = dressed(SAMPLES + CARD).layer('a') as ShapeLayer;
    expect(fillOf(card)).toBe('#f00');
    expect(card.stroke?.width).toBe(2);
    expect(card.outline).toMatchObject({
      box: { width: 100, height: 10 },
      radii: [{ x: 4, y: 4 }, {}, {}, {}],
    });
  });

  it('takes the look of the active theme, and the common one where the theme has none', () => {
    const inFog = dressed(`${SAMPLES}${CARD}<text id="b" data-tags=".price" y="50">5</text>`, 'fog');
    expect(fillOf(inFog.layer('a'))).toBe('#888');
    expect((inFog.layer('b') as TextLayer).lines[0]!.runs[0]!.style).toMatchObject({ size: 20, weight: 700 });
    expect(fillOf(dressed(SAMPLES + CARD, 'fair').layer('a'))).toBe('#f00');
  });

  it('takes the inner sample inside its class, the outer one elsewhere', () => {
    const { layer } = dressed(
      `${SAMPLES}<text id="out" data-tags=".price" y="50">5</text>
       <g id="c" data-tags=".card"><g id="d"><text id="in" data-tags=".price" y="90">5</text></g></g>`,
    );
    const size = (name: string) => (layer(name) as TextLayer).lines[0]!.runs[0]!.style.size;
    expect([size('out'), size('c/d/in')]).toEqual([20, 30]);
  });

  it('scales with the groups around, and runs gradients over its own box', () => {
    const { layer } = dressed(
      `<linearGradient id="wash" gradientUnits="userSpaceOnUse" x1="0" x2="50"><stop stop-color="red"/><stop offset="1"/></linearGradient>
       <g data-name="Looks [style]"><rect id="bar" width="50" height="10" stroke="#000" stroke-width="4" fill="url(#wash)"/></g>
       <g id="twice" transform="scale(2)"><rect id="a" data-tags=".bar" x="10" y="20" width="25" height="5"/></g>`,
    );
    const { fill, stroke } = layer('twice/a') as ShapeLayer;
    expect(stroke?.width).toBe(2);
    expect(fill).toMatchObject({ kind: 'linear', x1: 0, x2: 50, transform: [0.5, 0, 0, 0.5, 10, 20] });
  });

  it('passes the look to the backdrop and the letters of a group', () => {
    const { layer } = dressed(
      `${SAMPLES}<g data-name="box [.card]"><rect id="back" width="90" height="40"/><rect id="mark" x="9" y="9" width="9" height="9" fill="#123456"/></g>
       <g data-name="sum [.price]"><text id="a" y="70">12 <tspan fill="#abcdef">kr</tspan></text></g>`,
    );
    expect([fillOf(layer('box/back')), fillOf(layer('box/mark'))]).toEqual(['#f00', '#123456']);
    const [first, second] = (layer('sum/a') as TextLayer).lines[0]!.runs;
    expect(first).toMatchObject({ style: { size: 20 }, fill: { colour: { g: 255 } } });
    expect(second).toMatchObject({ style: { size: 20 }, fill: { colour: { r: 0xab } } });
  });

  it('gives its size too, where that is said of the sample', () => {
    const { layer } = dressed(
      `${SAMPLES.replace('id="card" x="300" width="40"', 'data-name="card [data-holds=size]" x="300" width="40"')}${CARD}`,
    );
    expect((layer('a') as ShapeLayer).outline).toMatchObject({ box: { x: 0, y: 0, width: 40, height: 20 } });
  });

  it('stays as it is drawn without a sample of its class', () => {
    const plain = readInside('<rect id="a" data-tags=".card" width="9" height="9"/>').mockup;
    const measures = measureMockup(plain);
    const decided = {
      mockup: plain,
      measures,
      decisions: decide(plain, measures, new Map(), TARGETS.html.capabilities),
    };
    expect(applySamples(decided, findSamples(decided), 'fog')).toBe(plain);
  });
});

it('the wheelhouse looks as drawn in its own samples, and different in each theme', () => {
  const { mockup: read } = readDemo('wheelhouse.svg');
  const mockup = applyStructuralTags(read, new Map());
  const measures = measureMockup(mockup);
  const decisions = decide(mockup, measures, new Map(), TARGETS.html.capabilities);
  const paints = (theme: string | null) => {
    const decided = { mockup, measures, decisions };
    const layers = layersByKey(applySamples(decided, findSamples(decided), theme));
    return ['panel-ground', 'header/rect'].map((name) => fillOf(layers.get(idAt(`/${name}`))));
  };
  expect(paints(null)).toEqual(['#122530', '#0c1a22']);
  expect(paints('fair')).toEqual(['#dbe7ea', '#c3d3d8']);
  expect(paints('night')).toEqual(['#120a0a', '#0a0505']);
});
