import { isPlain, type LookFilter, type TextShadow } from '../../look/look';
import { lineText, type PageNode, type TextNode } from '../node';
import { NO_TURN } from '../placed';
import { hasSemantics } from '../semantics';
import { toThousandths } from '../arrange/lengths';

/**
 * The same words drawn once more beneath, in another colour, blurred or offset, become the shadow of the
 * words above (CSS Text Decoration 3, §4). Children are in drawing order, places are px of the screen.
 */
export function duplicateTextToShadow(children: readonly PageNode[]): readonly PageNode[] {
  const merged: PageNode[] = [];
  for (const child of children) {
    let top = child;
    for (let under = merged.at(-1); under; under = merged.at(-1)) {
      const shadows = shadowsOf(under, top);
      if (shadows.length === 0 || top.kind !== 'text') break;
      merged.pop();
      top = withShadows(top, under, shadows);
    }
    merged.push(top);
  }
  return merged;
}

function withShadows(text: TextNode, under: PageNode, shadows: readonly TextShadow[]): TextNode {
  const type = text.look.type!;
  return {
    ...text,
    merged: [...(text.merged ?? []), under.layer, ...(under.merged ?? [])],
    look: { ...text.look, type: { ...type, shadows: [...(type.shadows ?? []), ...shadows] } },
  };
}

/** The largest offset of a shadow, as a share of the font size: common practice, no source. */
const FARTHEST_SHADOW = 0.5;

/** The shadows that words beneath equal words draw, their own shadows included; none for other words. */
function shadowsOf(under: PageNode, over: PageNode): readonly TextShadow[] {
  if (under.kind !== 'text' || over.kind !== 'text') return [];
  const move = moveTo(under, over);
  if (!move || over.hidden || hasSemantics({ ...under, role: 'box' }) || !isSet(under, over)) return [];
  const { type, filters = [], opacity = 1, ...others } = under.look;
  const blur = deviationOf(filters);
  if (!type?.colour || type.outline || blur === null || !isPlain(others)) return [];
  // A blur or an opacity would apply to the letters' own shadows as well.
  if (type.shadows && (blur > 0 || opacity < 1)) return [];
  if (over.look.filters || over.look.opacity !== undefined || over.look.blend || over.look.clip) return [];
  const { colour } = type;
  const own = { ...move, deviation: blur, colour: { ...colour, alpha: colour.alpha * opacity } };
  return [
    own,
    ...(type.shadows ?? []).map((each) => ({ ...each, dx: each.dx + move.dx, dy: each.dy + move.dy })),
  ];
}

/** The offset from words to their duplicate beneath, px; null when it is too far for a shadow. */
function moveTo(under: TextNode, over: TextNode): Pick<TextShadow, 'dx' | 'dy'> | null {
  const [across, slant, lean, down] = over.place.linear ?? NO_TURN;
  const farthest = FARTHEST_SHADOW * (over.look.type?.size ?? 0);
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
  return place.x + (place.subpixelShift ?? 0);
}

/** True for the same words in the same type, apart from the colour. */
function isSet(one: TextNode, other: TextNode): boolean {
  const set = ({ look, lines, place }: TextNode) => {
    const type = { ...look.type, colour: null, outline: null, outlineFirst: false, shadows: [] };
    const turn = (place.linear ?? NO_TURN).map((part) => Math.round(part * 1000));
    return JSON.stringify([type, turn, lines.map((line) => [lineText(line), line.spans.length, line.at])]);
  };
  return set(one) === set(other);
}
