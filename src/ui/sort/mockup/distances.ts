import { bottom, contains, right, type Box } from '../../../core/mockup/box';

/** The position of the other box relative to the first, in words; px with one decimal. */
export function distanceWords(one: Box, other: Box): string {
  if (contains(one, other, 0.01)) return `inside of it, ${insets(one, other)}`;
  if (contains(other, one, 0.01)) return `around it, ${insets(other, one)}`;
  const parts = [
    apart(one.x, right(one), other.x, right(other), 'to the left', 'to the right', 'left edges'),
    apart(one.y, bottom(one), other.y, bottom(other), 'above', 'below', 'upper edges'),
  ];
  return parts.join(', ');
}

function insets(outer: Box, inner: Box): string {
  const [left, top] = [inner.x - outer.x, inner.y - outer.y];
  const [far, low] = [right(outer) - right(inner), bottom(outer) - bottom(inner)];
  return `${px(left)} px from its left, ${px(top)} from its top, ${px(far)} from its right, ${px(low)} from its bottom`;
}

function apart(
  start: number,
  end: number,
  otherStart: number,
  otherEnd: number,
  before: string,
  after: string,
  edges: string,
): string {
  if (otherStart >= end) return `${px(otherStart - end)} px ${after}`;
  if (otherEnd <= start) return `${px(start - otherEnd)} px ${before}`;
  const off = otherStart - start;
  return Math.abs(off) < 0.05 ? `${edges} in line` : `${edges} ${px(Math.abs(off))} px apart`;
}

function px(length: number): string {
  return String(Math.round(length * 10) / 10);
}
