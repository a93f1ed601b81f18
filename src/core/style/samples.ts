import { layerTitle } from '../look/layerTitle';
import type { Layer, ShapeLayer, TextLayer } from '../mockup/layer';
import { splitName } from '../mockup/layerName';
import type { Holds } from '../sort/facets/holds';
import type { Decided, Decisions } from '../sort/decision';
import { safeName } from '../sort/outputNames';

/** A layer whose look defines a class: a shape for boxes, a text for letters. */
export interface Sample {
  readonly layer: ShapeLayer | TextLayer;
  /** The class, preceded by the classes that it must stand inside, outermost first. */
  readonly path: readonly string[];
  /** The theme of the sample; null for all themes. */
  readonly theme: string | null;
  /** What its class holds. */
  readonly holds: Holds;
}

/**
 * The samples of a mockup in drawing order. A layer in a samples group defines a class by its look; a group
 * inside is a class around the others (`.ticket .price`), or, when its name starts with a full stop, a theme.
 */
export function findSamples({ mockup, decisions }: Pick<Decided, 'mockup' | 'decisions'>): readonly Sample[] {
  const samples: Sample[] = [];
  if (!hasSamples(decisions)) return samples;
  for (const { root } of mockup.screens) for (const layer of root.layers) search(layer, decisions, samples);
  return samples;
}

function hasSamples(decisions: Decisions): boolean {
  for (const { outcome } of decisions.values()) if (outcome === 'sample') return true;
  return false;
}

/** The themes in the order in which they are drawn. */
export function themesOf(samples: readonly Sample[]): readonly string[] {
  return [...new Set(samples.flatMap(({ theme }) => theme ?? []))];
}

function search(layer: Layer, decisions: Decisions, into: Sample[]): void {
  const decision = decisions.get(layer.id);
  if (decision?.outcome === 'sample') collect(layer, { path: [], theme: null }, true, decisions, into);
  else if (layer.kind === 'group') for (const child of layer.layers) search(child, decisions, into);
}

function collect(
  layer: Layer,
  around: Pick<Sample, 'path' | 'theme'>,
  isOuter: boolean,
  decisions: Decisions,
  into: Sample[],
): void {
  if (layer.kind === 'bitmap') return;
  const name = className(layer, decisions);
  if (layer.kind !== 'group') {
    if (name !== '')
      into.push({
        ...around,
        layer,
        path: [...around.path, name],
        holds: decisions.get(layer.id)?.holds ?? 'look',
      });
    return;
  }
  const inside = isOuter || name === '' ? around : groupAround(layer, name, around);
  for (const child of layer.layers) collect(child, inside, false, decisions, into);
}

function groupAround(
  { sourceName }: Layer,
  name: string,
  { path, theme }: Pick<Sample, 'path' | 'theme'>,
): Pick<Sample, 'path' | 'theme'> {
  return isThemeName(sourceName) ? { path, theme: name } : { path: [...path, name], theme };
}

/** True for the name of a group of samples that holds a theme: it begins with a full stop. */
export function isThemeName(sourceName: string | null): boolean {
  return splitName(sourceName ?? '').bare.startsWith('.');
}

/** A sample's class: its tag, else its own name; empty for an unnamed one. */
function className(layer: Layer, decisions: Decisions): string {
  const [said] = decisions.get(layer.id)?.classes ?? [];
  const { text, own } = layerTitle(layer);
  return said ?? (own ? safeName(text) : '');
}

/**
 * True when the classes occur around in this order, with others between (Selectors 4, §14.1, descendants).
 */
export function liesIn(path: readonly string[], around: readonly (readonly string[])[]): boolean {
  let at = 0;
  for (const classes of around) if (at < path.length && classes.includes(path[at] ?? '')) at += 1;
  return at === path.length;
}
