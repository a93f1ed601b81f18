import { lineText, type PageNode } from '../../page/node';
import { withoutEffects } from '../nearly';
import { isBeyondMarks } from './styledWords';

/** Degrees between the axes of a turned box, from which it is seen to be slanted. */
const SLANTED = 0.5;

/** What views say only nearly, each in words for a finding. */
export function nearly(node: PageNode): readonly string[] {
  const { look, place } = node;
  const { shadows = [], fills = [] } = look;
  const isOval = fills.some((fill) => fill.kind === 'radial' && Math.abs(fill.rx - fill.ry) > 0.5);
  const spans =
    node.kind === 'text' ? node.lines.flatMap((line) => (lineText(line) === '' ? [] : line.spans)) : [];
  const base = look.type;
  return [
    ...withoutEffects(node),
    ...(shadows.some(({ inset }) => !inset)
      ? ['its shadow is an elevation, which the platform draws in its own way']
      : []),
    ...(isOval ? ['its oval gradient is a round one'] : []),
    ...(base && spans.some((span) => isBeyondMarks(span, base))
      ? ['its letters have one family, size and ground']
      : []),
    ...(place.linear && slant(place.linear) > SLANTED ? ['it is turned and scaled, not slanted'] : []),
  ];
}

/** By how many degrees the axes of a transform are off a right angle. */
function slant([a, b, c, d]: NonNullable<PageNode['place']['linear']>): number {
  const between = Math.abs(Math.atan2(b, a) - Math.atan2(d, c));
  const degrees = (between * 180) / Math.PI;
  return Math.abs((degrees % 180) - 90);
}
