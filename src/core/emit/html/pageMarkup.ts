import {
  element,
  inlineElement,
  type Attributes,
  type MarkupElement,
  type MarkupNode,
} from '../../markup/element';
import { formatNumber, px } from '../../markup/numbers';
import { inRem } from '../../markup/units';
import { SHARE_BEFORE } from '../../mockup/type';
import { printInlineCss, type Declaration } from '../../markup/printCss';
import {
  isWrapped,
  breaksWord,
  lineText,
  type BoxNode,
  type LinePlace,
  type Page,
  type PageNode,
  type PictureNode,
  type Place,
  type TextNode,
  type TextNodeLine,
  type Unit,
} from '../../page/node';
import { onNarrow } from '../../page/join/narrow';
import { pageClass, widthClass } from '../../page/join/names';
import { commonGround } from './base';
import { frameDeclarations } from './frame';
import { narrowMedia } from './widthRules';
import { transformDeclarationsOf } from './placing';
import { ownPlacement } from './sharedPlacement';
import { pictureNamed, type PicturePlan } from '../../pictures/picture';
import { roleEntry, type Role, type Scroll } from '../../sort/vocabulary';
import type { StyleSheet } from '../../style/styleSheet';

export interface MarkupContext {
  readonly sheet: StyleSheet;
  readonly plan: PicturePlan;
  readonly keyed?: boolean;
  readonly unit?: Unit;
  /** True where nodes have fixed coordinates unless a parent has a layout. */
  readonly placed?: boolean;
  /** All pages that share the style sheet; absent for a single page. */
  readonly pages?: readonly Page[];
  /** The window width up to which a page for two screens shows the narrow one, px. */
  readonly below?: number;
}

/** Declarations for a `style` attribute, in the page's unit; null for none. */
function inline(declarations: readonly Declaration[], { unit }: MarkupContext): string | null {
  if (declarations.length === 0) return null;
  return printInlineCss(unit === 'rem' ? declarations.map(inRem) : declarations);
}

/** The page's body as HTML elements. */
export function pageMarkup(page: Page, input: MarkupContext): MarkupElement {
  const context = { ...input, placed: !page.layout, ...(page.narrow && { below: page.narrow.below }) };
  // The class of a page for two screens places it.
  const own = page.narrow ? [pageClass(page)] : [];
  const attributes = {
    class: ['screen', ...own, ...(page.classes ?? [])].join(' '),
    style: page.narrow
      ? null
      : inline(frameDeclarations(page, input.pages ? commonGround(input.pages) : page.ground), context),
  };
  const children = page.children.map((node) => nodeMarkup(node, context, FLOW));
  return { ...element('div', attributes, children), origin: { layer: page.screen, merged: [] } };
}

/** The content model of the surrounding elements (HTML, §3.2.5.2). */
export interface Inside {
  readonly phrasing: boolean;
  /** True inside a link or button. */
  readonly interactive: boolean;
}

export const FLOW: Inside = { phrasing: false, interactive: false };

/** One node as HTML elements. */
export function nodeMarkup(node: PageNode, context: MarkupContext, inside: Inside = FLOW): MarkupElement {
  switch (node.kind) {
    case 'box':
      return boxMarkup(node, context, inside);
    case 'text':
      return withNote(node, textMarkup(node, context, inside));
    case 'picture':
      return withNote(node, pictureMarkup(node, context));
  }
}

function withNote({ note }: PageNode, markup: MarkupElement): MarkupElement {
  return note === undefined ? markup : { ...markup, note };
}

/** The element of a node, with its layers as origin. */
function ofNode(node: PageNode, markup: MarkupElement): MarkupElement {
  if (node.kind === 'box' && node.anonymous) return markup;
  return { ...markup, origin: { layer: node.layer, merged: node.merged ?? [] } };
}

function boxMarkup(node: BoxNode, context: MarkupContext, inside: Inside): MarkupElement {
  const around = emptyBoxMarkup(node, context, inside);
  const within = insideOf(node, inside);
  const children = node.children.map((child) =>
    around.name === 'label' && isInput(child)
      ? withNote(child, inputMarkup(child, context, node.place))
      : nodeMarkup(child, context, within),
  );
  return { ...around, children };
}

/** The element of a box without its children. */
export function emptyBoxMarkup(node: BoxNode, context: MarkupContext, inside: Inside): MarkupElement {
  const name = elementName(node.role, inside);
  const style = placeStyle(node, context, node.children.length === 0 ? [] : scrollDeclarations(node.scroll));
  const attributes = { ...sharedAttributes(node, context), ...nameAttributes(node, name), style };
  return withNote(node, ofNode(node, element(name, attributes)));
}

/** The content model inside a box. */
export function insideOf({ role }: BoxNode, inside: Inside): Inside {
  return {
    phrasing: inside.phrasing || roleEntry(role).phrasing,
    interactive: inside.interactive || isInteractive(elementName(role, inside)),
  };
}

/**
 * True for a text that becomes the placeholder of a field; a button or a text with a background stands beside
 * it.
 */
function isInput(node: PageNode): node is TextNode {
  if (node.kind !== 'text' || node.lines.length !== 1 || node.lines[0]?.at !== null) return false;
  return !isInteractive(roleEntry(node.role).element) && node.look.fills === undefined;
}

const OVERFLOWS: Readonly<Record<Scroll, Declaration>> = {
  x: ['overflow', 'auto hidden'],
  y: ['overflow', 'hidden auto'],
  both: ['overflow', 'auto'],
};

function scrollDeclarations(scroll: Scroll | undefined): Declaration[] {
  return scroll === undefined ? [] : [OVERFLOWS[scroll]];
}

/**
 * The placeholder of a field. The input extends to the right edge with the same inset as on the left (HTML,
 * §4.10.5.3.10 the placeholder attribute).
 */
function inputMarkup(node: TextNode, context: MarkupContext, field: Place): MarkupElement {
  const words = node.lines.map(lineText).join(' ');
  const width = Math.max(node.place.width, field.width - 2 * node.place.x);
  const place =
    node.place.kind === 'flow'
      ? ({ ...node.place, widthMode: 'full', heightMode: 'drawn' } as const)
      : { ...node.place, width, fitsContent: false };
  const attributes = {
    ...sharedAttributes(node, context),
    placeholder: words,
    'aria-label': node.label ?? words,
    style: placeStyle({ ...node, place }, context),
  };
  return ofNode(node, element('input', attributes));
}

const NEVER: readonly Declaration[] = [['white-space', 'nowrap']];

function textMarkup(node: TextNode, context: MarkupContext, inside: Inside): MarkupElement {
  const name = elementName(node.role, inside);
  const children = node.lines.flatMap((line, at): MarkupNode[] => [
    ...(at > 0 && !line.at ? lineBreak(node, at) : []),
    ...lineMarkup(line, node, context, inside.interactive || isInteractive(name)),
  ]);
  const never = node.wraps === 'never' ? NEVER : [];
  const style = placeStyle(node, context, never);
  const attributes = { ...sharedAttributes(node, context), ...nameAttributes(node, name), style };
  return ofNode(node, inlineElement(name, attributes, children));
}

/** The separator between a line and the one before: a space where the browser breaks lines. */
function lineBreak({ lines, wraps }: TextNode, at: number): readonly MarkupNode[] {
  if (wraps !== 'freely') return [element('br')];
  return breaksWord(lines[at - 1]!, lines[at]) ? [] : [' '];
}

/** Links and buttons hold no links (HTML, §4.5.1 and §4.10.6). */
function isInteractive(name: string): boolean {
  return name === 'a' || name === 'button' || name === 'label';
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
      return element('a', { class: style ?? 'run', href: span.href }, [span.text]);
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

function pictureMarkup(node: PictureNode, context: MarkupContext): MarkupElement {
  const around = isWrapped(node);
  const image = withNarrow(node, context, {
    ...(around ? {} : sharedAttributes(node, context)),
    src: filesOf(node.picture, context)[0]?.path,
    srcset: sourceSet(node.picture, context, 2),
    width: formatNumber(node.place.width),
    height: formatNumber(node.place.height),
    alt: node.alternative,
    style: around ? null : placeStyle(node, context, [], true),
  });
  if (!around) return image;
  const attributes = { ...sharedAttributes(node, context), style: placeStyle(node, context) };
  return ofNode(node, element(node.href === undefined ? 'button' : 'a', attributes, [image]));
}

function filesOf(picture: string, { plan }: MarkupContext) {
  return pictureNamed(plan, picture)?.files ?? [];
}

/** The files of a picture by scale; null for fewer than `least`. */
function sourceSet(picture: string, context: MarkupContext, least: number): string | null {
  const files = filesOf(picture, context);
  return files.length >= least ? files.map(({ path, scale }) => `${path} ${scale}x`).join(', ') : null;
}

/** An image, in a `picture` where the narrow screen shows another picture or size (HTML, §4.8.1). */
function withNarrow(node: PictureNode, context: MarkupContext, attributes: Attributes): MarkupElement {
  const image = isWrapped(node) ? element('img', attributes) : ofNode(node, element('img', attributes));
  const narrow = onNarrow(node);
  if (narrow?.kind !== 'picture' || context.below === undefined) return image;
  const { picture, place } = narrow;
  const [width, height] = [formatNumber(place.width), formatNumber(place.height)];
  if (picture === node.picture && width === attributes.width && height === attributes.height) return image;
  const media = narrowMedia(context.below);
  const source = element('source', { media, srcset: sourceSet(picture, context, 1), width, height });
  return element('picture', {}, [source, image]);
}

function sharedAttributes(node: PageNode, { sheet, keyed, placed }: MarkupContext) {
  const own = sheet.classOf(node)?.name;
  const flows = placed && node.kind === 'box' && node.layout !== undefined;
  const width = widthClass(node.shared);
  const classes = [
    ...new Set([
      ...node.classes,
      ...(own === undefined ? [] : [own]),
      ...(flows ? ['flow'] : []),
      ...(width === null ? [] : [width]),
    ]),
  ];
  const link = node.role === 'link' || node.kind === 'picture' ? node.href : undefined;
  return {
    class: classes.length > 0 ? classes.join(' ') : null,
    href: node.role === 'link' ? (node.href ?? '#') : link,
    type: node.role === 'button' && node.href === undefined ? 'button' : null,
    'data-slot': node.slot,
    'data-layer': keyed && !(node.kind === 'box' && node.anonymous) ? node.layer : undefined,
    hidden: node.hidden,
  };
}

/** Elements without a role may have no accessible name; a box with one becomes a group (ARIA in HTML, §4). */
const NAMELESS: ReadonlySet<string> = new Set(['div', 'span', 'p', 'label']);

function nameAttributes({ label, kind }: PageNode, name: string) {
  if (label === undefined) return {};
  if (!NAMELESS.has(name)) return { 'aria-label': label };
  return kind === 'box' && name !== 'label' ? { role: 'group', 'aria-label': label } : {};
}

/** The role's element, or `span` where only phrasing content is allowed. */
function elementName(role: Role, inside: Inside): string {
  const { element: name, phrasing } = roleEntry(role);
  const inline = ['span', 'button', 'a', 'img', 'label'].includes(name);
  return inside.phrasing && !(phrasing && inline) && name !== 'a' ? 'span' : name;
}

/**
 * The place of a node, as far as its class does not hold it.
 * @param isSized whether attributes of its element give its size
 */
function placeStyle(
  node: PageNode,
  context: MarkupContext,
  others: readonly Declaration[] = [],
  isSized = false,
): string | null {
  return inline([...ownPlacement(node, context.sheet.classOf(node), isSized), ...others], context);
}
