import { element, inlineElement, type MarkupElement, type MarkupNode } from '../../markup/element';
import { formatNumber, px } from '../../markup/numbers';
import { SHARE_BEFORE } from '../../mockup/type';
import type { Declaration } from '../../markup/printCss';
import { breaksWord, nodeWords, type LinePlace, type TextNode, type TextNodeLine } from '../../page/node';
import { isIconText } from '../../type/iconText';
import { transformDeclarationsOf } from '../css/placing';
import { addressOf, type MarkupContext, inline } from './context';
import { isInteractiveElement } from '../../sort/vocabulary';
import { type Inside, elementName } from './elementNames';
import { placeStyle, sharedAttributes, nameAttributes, ofNode } from './attributes';

export function textMarkup(node: TextNode, context: MarkupContext, inside: Inside): MarkupElement {
  const labelled = node.labelFor === undefined ? undefined : context.fieldIdOf?.(node.labelFor);
  const name = labelled === undefined ? elementName(node, inside) : 'label';
  const children = node.lines.flatMap((line, at): MarkupNode[] => [
    ...(at > 0 && !line.at ? lineBreak(node, at) : []),
    ...lineMarkup(line, node, context, inside.interactive || isInteractiveElement(name)),
  ]);
  const style = placeStyle(node, context);
  const attributes = {
    ...sharedAttributes(node, context),
    for: labelled,
    ...nameAttributes(node, name),
    // Screen readers have no word for them.
    'aria-hidden': name === 'span' && isIconText(nodeWords(node)) ? 'true' : undefined,
    style,
  };
  return ofNode(node, inlineElement(name, attributes, children));
}

/** The separator between a line and the one before: a space where the browser breaks lines. */
function lineBreak({ lines, wraps }: TextNode, at: number): readonly MarkupNode[] {
  if (wraps !== 'freely') return [element('br')];
  return breaksWord(lines[at - 1]!, lines[at]) ? [] : [' '];
}

function lineMarkup(
  line: TextNodeLine,
  node: TextNode,
  context: MarkupContext,
  interactive: boolean,
): MarkupNode[] {
  const spans = line.spans.map((span): MarkupNode => {
    const look = context.sheet.classFor(span.look);
    const style = look === null ? null : `run ${look}`;
    if (span.href !== undefined && !interactive)
      return element('a', { class: style ?? 'run', href: addressOf(span.href, context) }, [span.text]);
    return style === null ? span.text : element('span', { class: style }, [span.text]);
  });
  if (!line.at) return spans;
  const { x, y, stretch } = line.at;
  if (node.hasRegularLines && node.wraps)
    return [inlineElement('span', { style: inline(evenLine(node, line.at, line.width), context) }, spans)];
  const placed: Declaration[] = [
    ['position', 'absolute'],
    ['left', px(stretch === 1 ? x : Math.floor(x))],
    ['top', px(y)],
    ['white-space', 'nowrap'],
    // A positioned element does not inherit the underline of its parent (CSS Text Decoration 3, §2).
    ...(node.look.type?.decorations.length ? [['text-decoration', 'inherit'] as const] : []),
    ...(stretch === 1
      ? []
      : transformDeclarationsOf([stretch, 0, 0, 1], x - Math.floor(x) + (node.place.subpixelShift ?? 0))),
  ];
  return [inlineElement('span', { style: inline(placed, context) }, spans)];
}

/** Px from which the indent of a line is intended. */
const INDENT = 1;

/** A line that wraps where its stretched letters have no more room. */
function evenLine(
  { look, place }: TextNode,
  { x, stretch, trailingSpace }: LinePlace,
  width: number,
): Declaration[] {
  const isIn = look.type?.align === 'start' && !look.type.rightToLeft && x > INDENT;
  const indent: Declaration[] = isIn ? [['text-indent', px(x / stretch)]] : [];
  if (stretch === 1 && trailingSpace === 0 && x + width <= place.width - 1)
    return [['display', 'block'], ...indent];
  const share = SHARE_BEFORE[look.type?.align ?? 'start'];
  const before = (1 - 1 / stretch) * share * 100;
  // The start of the line, rounded as browsers do before the stretch.
  const start = (place.subpixelShift ?? 0) + (before / 100) * place.width - share;
  const moved = px(start - Math.round(start) - trailingSpace * share);
  const turns = [
    ...(moved === '0' && stretch !== 1 ? [] : [`translateX(${moved})`]),
    ...(stretch === 1 ? [] : [`scaleX(${formatNumber(stretch, 5)})`]),
  ];
  const isTurned = stretch !== 1 || trailingSpace * share !== 0;
  const list: (Declaration | null)[] = [
    ['display', 'block'],
    // One px more than the letters need, against rounding; half of it on each side of centred letters.
    ['width', `calc(${formatNumber(100 / stretch)}% + 1px)`],
    share === 0
      ? null
      : ['margin-left', before === 0 ? px(-share) : `calc(${formatNumber(before)}% - ${px(share)})`],
    ...indent,
    isTurned ? ['transform', turns.join(' ')] : null,
    stretch === 1 ? null : ['transform-origin', `${formatNumber(share * 100)}% 0`],
  ];
  return list.filter((entry) => entry !== null);
}
