import type { Layer } from '../../mockup/layer';
import type { Facts } from '../facts';
import type { Outcome } from '../vocabulary';

export interface Verdict {
  readonly outcome: Outcome;
  /** The reason in plain words, with the measured facts. */
  readonly reason: string;
}

/** One automatic rule: a verdict on the layers that it applies to, null on all others. */
export interface Rule {
  readonly name: string;
  readonly judge: (layer: Layer, facts: Facts) => Verdict | null;
}

/** A length for people: at most one decimal. */
export function px(length: number): string {
  return String(Math.round(length * 10) / 10);
}
