import { diffArrays } from 'diff';
import equal from 'fast-deep-equal';
import morphdom from 'morphdom';
import type { Box } from '../../../core/mockup/box';
import type { ShownPage, WrittenPiece } from '../pageDelta';
import { keepContainment, containOffscreen } from './offscreenContainment';

/** A page in a document of its own that follows edits. */
export interface LivePage {
  /** Shows the current page; of many changes the urgent ones at once, the others soon after. */
  put(page: ShownPage): void;
  /** Cancels pending changes. */
  stop(): void;
}

interface ShownPiece extends WrittenPiece {
  readonly element: Element;
}

type ShownPieces = ReadonlyMap<string, ShownPiece>;

/** The number of pieces that change at once: parsing and patching one takes about a fifth of a ms. */
const AT_ONCE = 40;
/** The number of pieces in each later batch: the flow is laid out anew after each. */
const AFTER = 200;

/** On a page with this many pieces, off-screen ones get containment. */
const MANY = 200;

/** @param seenArea the visible area of the page, px of the document */
export function livePage(shown: Document, seenArea: () => Box): LivePage {
  const style = shown.head.appendChild(shown.createElement('style'));
  let rules: readonly string[] = [];
  let pieces: ShownPieces = new Map();
  let waiting: ReturnType<typeof setTimeout> | undefined;
  let frame = 0;
  const resting = containOffscreen(shown);
  /** A visible piece that keeps its position while pieces above it are still changing. */
  let held: { readonly id: string; readonly top: number } | null = null;

  /**
   * @param isLast whether all changes have come: then nothing is held, and off-screen pieces may be contained
   */
  const keepHeld = (isLast: boolean) => {
    cancelAnimationFrame(frame);
    // Once before each frame: measuring a changed page forces a layout.
    frame = requestAnimationFrame(() => {
      const element = held && pieces.get(held.id)?.element;
      shown.body.style.transform = '';
      const by = held && element && !isLast ? held.top - element.getBoundingClientRect().top : 0;
      if (by !== 0) shown.body.style.transform = `translateY(${by}px)`;
      if (!isLast) return;
      held = null;
      if (pieces.size >= MANY) resting.renew(closedElements(pieces));
    });
  };
  const changeSoon = (changed: readonly WrittenPiece[], isWhole: boolean) => {
    if (changed.length === 0) return;
    waiting = setTimeout(() => {
      pieces = withChanged(pieces, changed.slice(0, AFTER), shown);
      keepHeld(isWhole && changed.length <= AFTER);
      changeSoon(changed.slice(AFTER), isWhole);
    });
  };
  return {
    put({ rules: now, screen, parts, urgent }) {
      clearTimeout(waiting);
      resting.stop();
      held ??= scrollAnchor(pieces, seenArea());
      putRules(style, now, rules);
      rules = now;
      const changed = parts.filter((piece) => isChanged(piece, pieces.get(piece.id)));
      const known = changed.filter(({ id, isOpen }) => pieces.get(id)?.isOpen === isOpen);
      const canWait = ({ id }: WrittenPiece, at: number) => (urgent ? !urgent.has(id) : at >= AT_ONCE);
      const rest = known.length <= AT_ONCE ? [] : known.filter(canWait);
      const waits = new Set(rest);
      const next = withChanged(
        pieces,
        changed.filter((piece) => !waits.has(piece)),
        shown,
      );
      pieces = inOrder(putAround(screen, shown), parts, next, pieces);
      keepHeld(urgent === null && rest.length === 0);
      changeSoon(rest, urgent === null);
    },
    stop() {
      clearTimeout(waiting);
      cancelAnimationFrame(frame);
      resting.stop();
    },
  };
}

function closedElements(pieces: ShownPieces): readonly Element[] {
  return [...pieces.values()].flatMap(({ element, isOpen }) => (isOpen ? [] : [element]));
}

/** The first piece that starts in the visible area, if it is in the flow: an absolute one does not move. */
function scrollAnchor(pieces: ShownPieces, { y, height }: Box) {
  for (const [id, { element, isOpen }] of pieces) {
    if (isOpen) continue;
    const { top } = element.getBoundingClientRect();
    if (top < y || top > y + height) continue;
    const { position } = getComputedStyle(element);
    return position === 'absolute' ? null : { id, top };
  }
  return null;
}

/** Patches the changed rules: a new style sheet would make the browser restyle every element. */
function putRules(style: HTMLStyleElement, rules: readonly string[], before: readonly string[]): void {
  const { sheet } = style;
  // A browser drops rules that it does not know.
  if (!sheet || sheet.cssRules.length !== before.length || before.length === 0) {
    if (!equal(rules, before)) style.textContent = rules.join('\n');
    return;
  }
  let at = 0;
  for (const { value, added, removed } of diffArrays([...before], [...rules])) {
    if (removed) value.forEach(() => sheet.deleteRule(at));
    else if (added) value.forEach((rule, index) => sheet.insertRule(rule, at + index));
    if (!removed) at += value.length;
  }
}

/** The root element, with its current attributes. */
function putAround(screen: string, shown: Document): Element {
  const wanted = elementsOf(screen, shown)[0] ?? shown.createElement('div');
  const around = shown.body.firstElementChild ?? shown.body.appendChild(wanted.cloneNode() as Element);
  for (const { name, value } of wanted.attributes)
    if (around.getAttribute(name) !== value) around.setAttribute(name, value);
  return around;
}

function isChanged({ html, isOpen }: WrittenPiece, known: ShownPiece | undefined): boolean {
  return known?.html !== html || known.isOpen !== isOpen;
}

/** The shown pieces with some replaced. */
function withChanged(before: ShownPieces, changed: readonly WrittenPiece[], shown: Document): ShownPieces {
  const made = elementsOf(changed.map(({ html }) => html).join(''), shown);
  const after = new Map(before);
  changed.forEach((piece, at) => {
    after.set(piece.id, { ...piece, element: adopt(before.get(piece.id), piece, made[at]!) });
  });
  return after;
}

/** Puts every piece in its place, and removes those that are gone. */
function inOrder(
  around: Element,
  pieces: readonly WrittenPiece[],
  made: ShownPieces,
  before: ShownPieces,
): ShownPieces {
  const shown = new Map(
    pieces.map(({ id, within, isOpen }) => [id, { ...made.get(id)!, within, isOpen }] as const),
  );
  for (const [id, { element }] of before) if (shown.get(id)?.element !== element) element.remove();
  /** The last placed child of each parent. */
  const last = new Map<Element, Element>();
  for (const { element, within } of shown.values()) {
    const parent = within === null ? around : shown.get(within)!.element;
    const next = last.get(parent)?.nextElementSibling ?? (last.has(parent) ? null : parent.firstElementChild);
    if (next !== element) parent.insertBefore(element, next);
    last.set(parent, element);
  }
  return shown;
}

/** The shown element, patched to its new code. */
function adopt(known: ShownPiece | undefined, { isOpen }: WrittenPiece, element: Element): Element {
  if (known?.isOpen !== isOpen) return element;
  keepContainment(known.element, element);
  return morphdom(known.element, element, isOpen ? OPEN : KEYED) as Element;
}

/** Elements of another document are no instances of this window's classes. */
const KEYED = { getNodeKey: (node: Node) => (node as Partial<HTMLElement>).dataset?.layer };
/** The content of an open piece consists of pieces of their own. */
const OPEN = { ...KEYED, onBeforeElChildrenUpdated: () => false };

/** The elements of a piece of HTML: parsing them at once is faster than one by one. */
function elementsOf(html: string, page: Document): readonly Element[] {
  const template = page.createElement('template');
  template.innerHTML = html;
  return [...template.content.children];
}
