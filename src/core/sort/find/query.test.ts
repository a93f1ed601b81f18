import { namesInPath } from '../../mockup/identity';
import { treeOf } from '../../mockup/tree';
import { idAt } from '../../../../tests/support/ids';
import { convertReading, readDemo } from '../../../../tests/support/mockups';
import type { Finding } from '../../findings/finding';
import { findLayers, parseQuery, READY_VIEWS } from './query';

describe('finding', () => {
  const reading = readDemo();
  const { decisions } = convertReading(reading);
  const find = (text: string, findings = new Map<string, Finding[]>()) => {
    const { test, problem } = parseQuery(text);
    if (!test) return problem;
    return findLayers(reading.mockup.screens[0]!.root, test, {
      decisions,
      findings,
      isTagged: () => false,
    }).map((id) => namesInPath(treeOf(reading.mockup).layer(id)!.path).at(-1));
  };

  it.each([
    ['kind:text role:heading', ['serif', 'serif', 'serif', 'serif']],
    ['role:heading under:tickets', ['serif', 'serif']],
    [
      'becomes:picture -by:within',
      ['harbour-photo', 'ferry-mark', 'icon-wind', 'icon-sea', 'icon-sun', 'icon-sight'],
    ],
    ['"book a"', ['strong']],
    ['state:any', ['book-button:hover']],
    [
      'role:item under:"sailing-list"',
      ['sailing-1', 'sailing-2', 'sailing-3', 'sailing-4', 'sailing-5', 'sailing-6'],
    ],
    ['name:sailings class:none finding:none', ['sailings']],
    ['finding:any', []],
    ['nothing-like-it', []],
  ])('%s', (text, expected) => {
    expect(find(text)).toEqual(expected);
  });

  it('finds by finding', () => {
    expect(
      find(
        'finding:half',
        new Map([[idAt('/hero'), [{ code: 'half-pixel', layer: idAt('/hero'), data: {} }]]]),
      ),
    ).toEqual(['hero']);
  });

  it('reports unknown fields', () => {
    expect(find('colour:red')).toMatch(/^"colour" cannot be asked for; ask for kind, becomes, /);
  });

  it.each(READY_VIEWS.map(({ name, query }) => [name, query]))('%s is a query', (_, query) => {
    expect(parseQuery(query).problem).toBeNull();
  });
});
