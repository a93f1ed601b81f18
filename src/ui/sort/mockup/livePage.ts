import { diffArrays } from 'diff';
import equal from 'fast-deep-equal';
import morphdom from 'morphdom';
import type { Box } from '../../../core/mockup/box';
import type { ShownPage, WrittenPiece } from '../pageNews';
import { keepResting, restingIn } from './resting';

/** A page that is shown in a document of its own and follows what edits make of it. */
export interface LivePage {
  /** Shows the page as it is now; of many changes the urgent ones at once, and the others soon after. */
  put(page: ShownPage): void;
  /** Leaves what is still to come. */
  stop(): void;
}

interface ShownPiece extends WrittenPiece {
  readonly element: Element;
}

type ShownPieces = ReadonlyMap<string, ShownPiece>;

/** So many pieces change in one go: reading and changing one takes about a fifth of a ms. */
const AT_ONCE = 40;
/** And so many of those that come after: what stands in the flow is laid out anew each time. */
const AFTER = 200;

/** Of a page of so many pieces those rest that nobody sees. */
const MANY = 200;

/** @param seenArea what is seen of the page, px of the document */
export function livePage(shown: Document, seenArea: () => Box): LivePage {
  const style = shown.head.appendChild(shown.createElement('style'));
  let rules: readonly string[] = [];
  let pieces: ShownPieces = new Map();
  let waiting: ReturnType<typeof setTimeout> | undefined;
  let frame = 0;
  const resting = restingIn(shown);
  /** A piece that is seen, and where it stays as long as others, which it stands below, are still to come. */
  let held: { readonly id: string; readonly top: number } | null = null;

  /** @param isLast whether all has come: then everything stands where it should, and what nobody sees may rest */
  const keepHeld = (isLast: boolean) => {
    cancelAnimationFrame(frame);
    // Once before each frame: to measure a page that was changed is to lay it out.
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
      held ??= heldPiece(pieces, seenArea());
      putRules(style, now, rules);
      rules = now;
      const changed = parts.filter((piece) => isOtherwise(piece, pieces.get(piece.id)));
      const known = changed.filter(({ id, isOpen }) => pieces.get(id)?.isOpen === isOpen);
      const canWait = ({ id }: WrittenPiece, at: number) => (urgent ? !urgent.has(id) : at >= AT_ONCE);
      const rest = known.length <= AT_ONCE ? [] : known.filter(canWait);
      const waits = new Set(rest);
      const next = withChanged(
        pieces,
        changed.filter((piece) => !waits.has(piece)),
        shown,
      );
      pieces = arranged(putAround(screen, shown), parts, next, pieces);
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

/** The first piece that begins in what is seen, if it stands in the flow: what is placed stays anyway. */
function heldPiece(pieces: ShownPieces, { y, height }: Box) {
  for (const [id, { element, isOpen }] of pieces) {
    if (isOpen) continue;
    const { top } = element.getBoundingClientRect();
    if (top < y || top > y + height) continue;
    const { position } = getComputedStyle(element);
    return position === 'absolute' ? null : { id, top };
  }
  return null;
}

/** Changes the rules that are otherwise: a browser that gets a new sheet looks at every element again. */
function putRules(style: HTMLStyleElement, rules: readonly string[], before: readonly string[]): void {
  const { sheet } = style;
  // A browser leaves rules out that it does not know.
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

/** The element around everything, with the attributes that it has now. */
function putAround(screen: string, shown: Document): Element {
  const wanted = elementsOf(screen, shown)[0] ?? shown.createElement('div');
  const around = shown.body.firstElementChild ?? shown.body.appendChild(wanted.cloneNode() as Element);
  for (const { name, value } of wanted.attributes)
    if (around.getAttribute(name) !== value) around.setAttribute(name, value);
  return around;
}

function isOtherwise({ html, isOpen }: WrittenPiece, known: ShownPiece | undefined): boolean {
  return known?.html !== html || known.isOpen !== isOpen;
}

/** The shown pieces, with some as they are now. */
function withChanged(before: ShownPieces, changed: readonly WrittenPiece[], shown: Document): ShownPieces {
  const made = elementsOf(changed.map(({ html }) => html).join(''), shown);
  const after = new Map(before);
  changed.forEach((piece, at) => {
    after.set(piece.id, { ...piece, element: takenOver(before.get(piece.id), piece, made[at]!) });
  });
  return after;
}

/** Puts every piece where it stands, and takes those away that are none any more. */
function arranged(
  around: Element,
  pieces: readonly WrittenPiece[],
  made: ShownPieces,
  before: ShownPieces,
): ShownPieces {
  const shown = new Map(
    pieces.map(({ id, within, isOpen }) => [id, { ...made.get(id)!, within, isOpen }] as const),
  );
  for (const [id, { element }] of before) if (shown.get(id)?.element !== element) element.remove();
  /** Where the next piece goes, by the element around. */
  const last = new Map<Element, Element>();
  for (const { element, within } of shown.values()) {
    const parent = within === null ? around : shown.get(within)!.element;
    const next = last.get(parent)?.nextElementSibling ?? (last.has(parent) ? null : parent.firstElementChild);
    if (next !== element) parent.insertBefore(element, next);
    last.set(parent, element);
  }
  return shown;
}

/** The shown element, changed into what it is now. */
function takenOver(known: ShownPiece | undefined, { isOpen }: WrittenPiece, element: Element): Element {
  if (known?.isOpen !== isOpen) return element;
  keepResting(known.element, element);
  return morphdom(known.element, element, isOpen ? OPEN : KEYED) as Element;
}

/** Elements of another document are none of this window's own classes. */
const KEYED = { getNodeKey: (node: Node) => (node as Partial<HTMLElement>).dataset?.layer };
/** What stands in an open piece are pieces of their own. */
const OPEN = { ...KEYED, onBeforeElChildrenUpdated: () => false };

/** The elements that a text of code gives: parsing it at once is quicker than one by one. */
function elementsOf(html: string, page: Document): readonly Element[] {
  const template = page.createElement('template');
  template.innerHTML = html;
  return [...template.content.children];
}
