import { readFileSync } from 'node:fs';
import path from 'node:path';
import { convert, type Conversion, type ConvertOptions } from '../../src/core/convert';
import type { Layer } from '../../src/core/mockup/layer';
import { layersOf } from '../../src/core/mockup/walk';
import { read } from '../../src/core/read/read';
import type { Reading } from '../../src/core/read/reading';
import type { Tags } from '../../src/core/sort/tag';
import { createFontBook } from '../../src/engine/fonts/fontBook';
import { outlinerOf } from '../../src/engine/outliner';

const fonts = createFontBook();

export function readBytes(bytes: Uint8Array, fileName = 'test.svg'): Reading {
  return read(bytes, fileName, fonts);
}

/** Reads an SVG of 200×100 px with this inside. */
export function readInside(content: string, attributes = ''): Reading {
  return readText(
    `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="200" height="100" ${attributes}>${content}</svg>`,
  );
}

export function readText(svg: string): Reading {
  return readBytes(new TextEncoder().encode(svg));
}

export function casePath(name: string): string {
  return path.resolve('tests/cases', name);
}

export function readCase(name: string): Reading {
  return readBytes(readFileSync(casePath(name)), name);
}

export const DEMO = path.resolve('demo/harbour.svg');

export function readDemo(name = 'harbour.svg'): Reading {
  return readBytes(readFileSync(path.resolve('demo', name)), name);
}

/** The layer whose path ends so. */
export function layerNamed(reading: Reading, name: string): Layer {
  const found = layersOf(reading.mockup).find((layer) => layer.path.endsWith(`/${name}`));
  if (!found) {
    const keys = layersOf(reading.mockup).map((layer) => layer.path);
    throw new Error(`No layer ${name} among ${keys.join(', ')}`);
  }
  return found;
}

/** The only layer of that kind. */
export function only<K extends Layer['kind']>(reading: Reading, kind: K): Extract<Layer, { kind: K }> {
  const found = layersOf(reading.mockup).filter((layer) => layer.kind === kind);
  if (found.length !== 1) throw new Error(`${found.length} layers are ${kind}`);
  return found[0] as Extract<Layer, { kind: K }>;
}

export function codesOf(reading: Reading): string[] {
  return reading.findings.map((finding) => finding.code);
}

export function convertReading(
  reading: Reading,
  arrangement: ConvertOptions['arrangement'] = 'nested',
  tags: Tags = new Map(),
  more: Partial<Pick<ConvertOptions, 'join' | 'themes' | 'schemes' | 'settings' | 'target'>> = {},
): Conversion {
  const { mockup, assets, book } = reading;
  return convert({
    mockup,
    assets,
    tags,
    options: { arrangement, target: 'html', ...more },
    outliner: outlinerOf(book),
  });
}

export function emitted(conversion: Conversion, path: string): string {
  const file = conversion.emission.files.find((candidate) => candidate.path === path);
  if (!file) throw new Error(`${path} was not emitted`);
  return file.text;
}

/** The demo mockups and the pages among the cases. */
export const PAGE_MOCKUPS: readonly { readonly name: string; readonly read: () => Reading }[] = [
  { name: 'harbour', read: () => readDemo() },
  { name: 'wheelhouse', read: () => readDemo('wheelhouse.svg') },
  ...[
    'adminlte4-cards.svgz',
    'bs5-pricing.svg',
    'gentelella-widgets.svgz',
    'm-gentelella-dashboard.svgz',
    'm-weui-home.svgz',
    'raw-bs5-pricing.svgz',
    'sbadmin2-login.svgz',
    'semantic-homepage.svgz',
    'spectre-panels.svgz',
    'tabler-store.svgz',
    'uikit-card.svgz',
    'win98-gallery.svgz',
  ].map((name) => ({ name, read: () => readCase(name) })),
];
