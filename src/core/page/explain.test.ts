import { convertReading, readInside } from '../../../tests/support/mockups';
import { layersOf } from '../mockup/walk';
import { explainLayer } from './explain';
import type { Tags } from '../sort/tag';

const CARD =
  '<g id="card"><rect x="20" y="20" width="300" height="60" fill="#e8eef2"/>' +
  '<g id="icon"><rect x="32" y="38" width="24" height="24" fill="#a33"/></g>' +
  '<text id="name" x="68" y="55" font-size="14" font-family="Commissioner">Holm</text></g>';

function explain(name: string, content: string, arrangement: 'nested' | 'flow', tags: Tags = new Map()) {
  const reading = readInside(content);
  const { pages, decisions, mockup } = convertReading(reading, arrangement, tags);
  const { id } = layersOf(mockup).find(({ path }) => path.endsWith(`/${name}`))!;
  return { id, sentences: explainLayer(pages, decisions, id).map(({ sentence }) => sentence) };
}

it('names the rewrite that merged a layer, and the layers', () => {
  expect(explain('card', CARD, 'nested').sentences).toEqual([
    'The lowest box, around all the others, is the background of its group.',
  ]);
});

it('says why a container is laid out as it is', () => {
  const { sentences } = explain('card', CARD, 'flow');
  expect(sentences).toContain('A row: its 2 parts are drawn beside each other.');
  expect(sentences).toContain('Gap 12 px: the distance that its parts share.');
  expect(sentences).toContain('Padding 18 12 18 12 px: from its edges to its content.');
});

it('says what a tag overruled', () => {
  const { id } = explain('card', CARD, 'flow');
  const tags = new Map([[id, { contents: 'column', gap: 7 } as const]]);
  const { sentences } = explain('card', CARD, 'flow', tags);
  expect(sentences).toContain('A column of 2 parts, as its tag says.');
  expect(sentences).toContain('Gap 7 px, as its tag says.');
});

it('says what stands at coordinates as a tag says', () => {
  const { id } = explain('card', CARD, 'flow');
  const { sentences } = explain('card', CARD, 'flow', new Map([[id, { contents: 'exact' } as const]]));
  expect(sentences).toContain('Its parts stand exactly as drawn, with all inside, as its tag says.');
});

it('is silent about a layer without an element', () => {
  expect(
    explain('off', `${CARD}<rect id="off" width="9" height="9" display="none"/>`, 'flow').sentences,
  ).toEqual([]);
});
