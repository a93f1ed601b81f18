import { isPlain, type Look } from '../look/look';
import { walkNodes, type Page } from '../page/node';
import type { StyleClass, StyleSheet } from './styleSheet';

interface Use {
  readonly look: Look;
  /** How often each name asks for the look; names that Orden made up count as none. */
  readonly names: Map<string, number>;
}

/** Names that the base style sheet uses itself. */
const RESERVED = ['screen', 'run'];

/** Gives every look one class, shared by all that look alike, named after the layers that wear it. */
export function factorClasses(pages: readonly Page[]): StyleSheet {
  const uses = new Map<string, Use>();
  const given = new Set<string>(RESERVED);
  const note = (look: Look, name: string | null) => {
    if (isPlain(look)) return;
    const mark = JSON.stringify(look);
    const use = uses.get(mark) ?? { look, names: new Map<string, number>() };
    uses.set(mark, use);
    if (name !== null) use.names.set(name, (use.names.get(name) ?? 0) + 1);
  };
  for (const node of pages.flatMap((page) => [...walkNodes(page.children)])) {
    note(node.look, node.named ? withoutNumber(node.name) : null);
    node.classes.forEach((name) => given.add(name));
    if (node.kind === 'text')
      for (const line of node.lines) for (const span of line.spans) note(span.look, null);
  }
  const names = new Map<string, string>();
  const classes = [...uses].map(([mark, use]): StyleClass => {
    const name = freeName(commonest(use.names) ?? describe(use.look), given);
    names.set(mark, name);
    return { name, look: use.look };
  });
  return { classes, classFor: (look) => names.get(JSON.stringify(look)) ?? null };
}

/** `row-3` and `row-4` look alike as `row`. */
function withoutNumber(name: string): string {
  return name.replace(/(?:-\d+)+$/, '') || name;
}

function commonest(names: ReadonlyMap<string, number>): string | null {
  let best: string | null = null;
  for (const [name, count] of names) if (best === null || count > (names.get(best) ?? 0)) best = name;
  return best;
}

/** A name from what the look is, for looks that no named layer wears. */
function describe(look: Look): string {
  const { type } = look;
  if (type) {
    const weight = type.weight >= 600 ? '-bold' : type.weight < 400 ? '-light' : '';
    return `text-${Math.round(type.size)}${weight}`;
  }
  if (look.fills?.some((fill) => fill.kind !== 'solid')) return 'gradient';
  if (look.fills) return look.radii ? 'rounded' : 'fill';
  if (look.border) return 'frame';
  if (look.clip) return 'window';
  return look.opacity === undefined ? 'effect' : 'faded';
}

function freeName(wanted: string, given: Set<string>): string {
  let name = wanted;
  for (let count = 2; given.has(name); count++) name = `${wanted}-${count}`;
  given.add(name);
  return name;
}
