import { convertFor } from '../src/core/convert';
import { CSS_CAPABILITIES } from '../src/core/emit/css/capabilities';
import type { Target } from '../src/core/emit/target';
import type { PageNode } from '../src/core/page/node';
import { lineText } from '../src/core/page/node';
import { readInside } from './support/mockups';

/** A toy target: the page tree as indented text. It shows that a target needs nothing outside of its own folder. */
const outline: Target = {
  name: 'outline',
  label: 'Outline',
  fitsBrowsers: false,
  options: {},
  capabilities: {
    name: 'an outline',
    draws: { ...CSS_CAPABILITIES.draws, 'linear-gradient': false, 'drop-shadow': false },
  },
  emit({ pages }) {
    const files = pages.map((page, at) => {
      const lines = page.children.flatMap((node) => linesOf(node, 0));
      return {
        path: outline.pageFile(pages, at),
        text: lines.map(({ text }) => `${text}\n`).join(''),
        lines,
      };
    });
    return {
      files: files.map(({ path, text }) => ({ path, text })),
      sourceMap: Object.fromEntries(
        files.map(({ path, lines }) => [
          path,
          lines.map(({ layer }, at) => ({ layer, merged: [], line: at + 1, lastLine: at + 1, element: at })),
        ]),
      ),
    };
  },
  pageFile: (pages, at) => `${pages[at]!.name}.txt`,
  fragment: () => ({ shown: null, parts: [] }),
};

function linesOf(
  node: PageNode,
  depth: number,
): readonly { readonly text: string; readonly layer: string }[] {
  const words = node.kind === 'text' ? ` "${node.lines.map(lineText).join(' ')}"` : '';
  const part = node.repeat ? ` ${node.repeat.index + 1}/${node.repeat.count}` : '';
  const text = `${'  '.repeat(depth)}${node.kind} ${node.role}${words}${part}`;
  const children = node.kind === 'box' ? node.children.flatMap((child) => linesOf(child, depth + 1)) : [];
  return [{ text, layer: node.layer }, ...children];
}

function outlined(content: string) {
  const { mockup, assets } = readInside(content);
  const options = { arrangement: 'nested', target: 'html' } as const;
  return convertFor(outline, { mockup, assets, tags: new Map(), options, outliner: null });
}

describe('a second target', () => {
  const row = (name: string, y: number) =>
    `<g id="${name}"><rect y="${y}" width="90" height="18" rx="3" fill="#246"/><text x="40" y="${y + 14}" font-size="12">${name}</text><circle cx="9" cy="${y + 9}" r="4"/></g>`;

  it('prints the page tree with its repeats', () => {
    const { emission } = outlined(`<g id="rows">${row('Sund', 0)}${row('Holm', 30)}${row('Skerry', 60)}</g>`);
    expect(emission.files).toHaveLength(1);
    expect(emission.files[0]!.text).toBe(`box list
  box item 1/3
    text text "Sund"
    box box
  box item 2/3
    text text "Holm"
    box box
  box item 3/3
    text text "Skerry"
    box box
`);
    expect(emission.sourceMap['test.txt']).toHaveLength(10);
  });

  it('gets strokes and thin lines as they were drawn, without what only browsers need', () => {
    const { pages } = outlined(
      '<rect x="10" y="10" width="30" height="20" fill="#00f" stroke="#000"/><rect y="40.3" width="90" height=".5"/>',
    );
    expect(pages[0]!.children).toMatchObject([
      { place: { x: 9.5, y: 9.5, width: 31, height: 21 }, look: { border: { width: 1 } } },
      { place: { x: 0, y: 40.3, width: 90, height: 0.5 } },
    ]);
  });

  it('gets a picture of what it cannot draw, and the reason names it', () => {
    const gradient = '<linearGradient id="g"><stop/><stop offset="1" stop-color="#fff"/></linearGradient>';
    const { decisions } = outlined(`${gradient}<rect id="sea" width="90" height="40" fill="url(#g)"/>`);
    expect([...decisions.values()]).toMatchObject([
      {
        outcome: 'picture',
        reason: 'vector picture: it is filled with a gradient, which an outline cannot draw',
      },
    ]);
  });
});
