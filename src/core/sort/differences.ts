import { layerTitle, wordsOf } from '../look/layerTitle';
import type { GroupLayer, Layer, LayerId } from '../mockup/layer';
import { pairParts } from './counterparts';
import type { Paint } from '../mockup/paint';

/** The kind of difference between a part of a layer and its counterpart. */
export type DifferenceKind = 'words' | 'colour' | 'picture' | 'form' | 'missing' | 'added';

export interface Difference {
  /** The part's title. */
  readonly part: string;
  /** The part in this layer; null for one that is missing. */
  readonly layer: LayerId | null;
  /** The same part in the other layer; null for one that only this layer has. */
  readonly other: LayerId | null;
  readonly kind: DifferenceKind;
}

const DIFFERENCE_WORDS: Readonly<Record<DifferenceKind, string>> = {
  words: 'other words',
  colour: 'another colour',
  picture: 'another picture',
  form: 'another form',
  missing: 'is missing',
  added: 'is there too',
};

/** The differences in words: `sign: other words, lamp: another colour`. */
export function sayDifferences(differences: readonly Difference[], most = 4): string {
  const said = differences.slice(0, most).map(({ part, kind }) => `${part}: ${DIFFERENCE_WORDS[kind]}`);
  const rest = differences.length - said.length;
  return rest > 0 ? `${said.join(', ')} and ${rest} more` : said.join(', ');
}

/**
 * The parts in which a layer differs from another of the same structure: a state version, or a sibling of a
 * repeat.
 * @param around the name of the group around it
 */
export function differencesOf(one: Layer, other: Layer, around?: string): readonly Difference[] {
  const at = (kind: DifferenceKind) => [
    { part: partName(one, around), layer: one.id, other: other.id, kind },
  ];
  if (one.kind !== other.kind) return at('form');
  if (one.kind === 'group' && other.kind === 'group') return groupDifferences(one, other, around);
  const kind = leafDifference(one, other);
  return kind ? at(kind) : [];
}

/** A part's own name or words; a shape without a name is known by the group around it. */
function partName(layer: Layer, around: string | undefined): string {
  const { text, own } = layerTitle(layer);
  return own || layer.kind === 'text' ? text : (around ?? text);
}

function groupDifferences(
  one: GroupLayer,
  other: GroupLayer,
  outer: string | undefined,
): readonly Difference[] {
  const { text, own } = layerTitle(one);
  const around = own ? text : outer;
  const { pairs, onlyOne, onlyOther } = pairParts(one, other);
  return [
    ...pairs.flatMap(([part, match]) => differencesOf(part, match, around)),
    ...onlyOne.map((part) => ({
      part: partName(part, around),
      layer: part.id,
      other: null,
      kind: 'added' as const,
    })),
    ...onlyOther.map((part) => ({
      part: partName(part, around),
      layer: null,
      other: part.id,
      kind: 'missing' as const,
    })),
  ];
}

function leafDifference(one: Layer, other: Layer): DifferenceKind | null {
  if (one.kind === 'text' && other.kind === 'text') {
    if (wordsOf(one) !== wordsOf(other)) return 'words';
    return samePaint(firstFill(one), firstFill(other)) ? null : 'colour';
  }
  if (one.kind === 'bitmap' && other.kind === 'bitmap') return one.bitmap === other.bitmap ? null : 'picture';
  if (one.kind !== 'shape' || other.kind !== 'shape') return null;
  if (!samePaint(one.fill, other.fill) || !samePaint(one.stroke?.paint ?? null, other.stroke?.paint ?? null))
    return 'colour';
  return JSON.stringify(one.outline) === JSON.stringify(other.outline) ? null : 'form';
}

function firstFill(text: Extract<Layer, { kind: 'text' }>): Paint | null {
  return text.lines[0]?.runs[0]?.fill ?? null;
}

function samePaint(one: Paint | null, other: Paint | null): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}
