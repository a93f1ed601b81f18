import { isPlain, type LookFilter, type TextShadow } from '../../look/look';
import { lineText, type PageNode, type TextNode } from '../node';
import { NO_TURN } from '../placed';
import { isMeant } from './meaning';
import { toThousandths } from './lengths';

/**
 * The same words once more beneath, in another colour, blurred or a little aside, are the shadow of those above (CSS Text
 * Decoration 3, §4). Children in drawing order, places those of the screen.
 */
export function wearWordShadows(children: readonly PageNode[]): readonly PageNode[] {
  if (!children.some(({ kind }) => kind === 'text')) return children;
  const worn: PageNode[] = [];
  for (const child of children) {
    let top = child;
    for (let under = worn.at(-1); under; under = worn.at(-1)) {
      const shadows = shadowsOf(under, top);
      if (shadows.length === 0 || top.kind !== 'text') break;
      worn.pop();
      top = withShadows(top, under, shadows);
    }
    worn.push(top);
  }
  return worn;
}

function withShadows(text: TextNode, under: PageNode, shadows: readonly TextShadow[]): TextNode {
  const type = text.look.type!;
  return {
    ...text,
    merged: [...(text.merged ?? []), under.layer, ...(under.merged ?? [])],
    look: { ...text.look, type: { ...type, shadows: [...(type.shadows ?? []), ...shadows] } },
  };
}

/** How far aside a shadow is thrown at most, as a share of the letters' size: common practice, no source. */
const FARTHEST = 0.5;

/** The shadows that words beneath the same ones are, their own ones among them; none for other words. */
function shadowsOf(under: PageNode, over: PageNode): readonly TextShadow[] {
  if (under.kind !== 'text' || over.kind !== 'text') return [];
  const move = moveTo(under, over);
  if (!move || over.hidden || isMeant({ ...under, role: 'box' }) || !isSet(under, over)) return [];
  const { type, filters = [], opacity = 1, ...others } = under.look;
  const blur = deviationOf(filters);
  if (!type?.colour || type.outline || blur === null || !isPlain(others)) return [];
  // A blur or an opacity lies over the letters' own shadows as well.
  if (type.shadows && (blur > 0 || opacity < 1)) return [];
  if (over.look.filters || over.look.opacity !== undefined || over.look.blend || over.look.clip) return [];
  const { colour } = type;
  const own = { ...move, deviation: blur, colour: { ...colour, alpha: colour.alpha * opacity } };
  return [
    own,
    ...(type.shadows ?? []).map((each) => ({ ...each, dx: each.dx + move.dx, dy: each.dy + move.dy })),
  ];
}

/** Px of the words from where they stand to where they stand once more beneath; null where that is too far for a shadow. */
function moveTo(under: TextNode, over: TextNode): Pick<TextShadow, 'dx' | 'dy'> | null {
  const [across, slant, lean, down] = over.place.turn ?? NO_TURN;
  const farthest = FARTHEST * (over.look.type?.size ?? 0);
  const dx = (startOf(under) - startOf(over)) / across;
  const dy = (under.place.y - over.place.y) / down + under.baseline - over.baseline;
  const isNear = Math.abs(dx) <= Math.min(farthest, over.place.width / 2) && Math.abs(dy) <= farthest;
  return isNear && slant === 0 && lean === 0 ? { dx: toThousandths(dx), dy: toThousandths(dy) } : null;
}

function deviationOf(filters: readonly LookFilter[]): number | null {
  const [filter, ...more] = filters;
  if (!filter) return 0;
  return filter.kind === 'blur' && more.length === 0 ? filter.deviation : null;
}

function startOf({ place }: TextNode): number {
  return place.x + (place.shift ?? 0);
}

/** True for the same words, set in the same type but for the colour. */
function isSet(one: TextNode, other: TextNode): boolean {
  const set = ({ look, lines, place }: TextNode) => {
    const type = { ...look.type, colour: null, outline: null, outlineFirst: false, shadows: [] };
    const turn = (place.turn ?? NO_TURN).map((part) => Math.round(part * 1000));
    return JSON.stringify([type, turn, lines.map((line) => [lineText(line), line.spans.length, line.at])]);
  };
  return set(one) === set(other);
}
