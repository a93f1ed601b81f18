import morphdom from 'morphdom';
import type { PagePieces, PagePiece } from '../../../core/emit/html/pagePieces';
import { touches, type Box } from '../../../core/mockup/box';

/** A page that is shown in a document of its own and follows what edits make of it. */
export interface LivePage {
  /** Shows the page as it is now; of many changes those that are seen at once, and the others soon after. */
  put(page: PagePieces): void;
  /** Leaves what is still to come. */
  stop(): void;
}

interface ShownPart extends PagePiece {
  readonly element: Element;
}

type ShownParts = ReadonlyMap<string, ShownPart>;

/** So many parts change in one go: reading and changing one takes about a fifth of a ms. */
const AT_ONCE = 40;

/** @param seenArea what a person sees of the page right now, px of the page */
export function livePage(shown: Document, seenArea: () => Box): LivePage {
  const style = shown.head.appendChild(shown.createElement('style'));
  let rules: readonly string[] = [];
  let parts: ShownParts = new Map();
  let waiting: ReturnType<typeof setTimeout> | undefined;

  const changeSoon = (changed: readonly PagePiece[]) => {
    if (changed.length === 0) return;
    waiting = setTimeout(() => {
      parts = withChanged(parts, changed.slice(0, AT_ONCE), shown);
      changeSoon(changed.slice(AT_ONCE));
    });
  };
  return {
    put(page) {
      clearTimeout(waiting);
      putRules(style, page.rules, rules);
      rules = page.rules;
      const around = putAround(page.screen, shown);
      const changed = page.parts.filter((part) => isOtherwise(part, parts.get(part.id)));
      if (changed.length <= AT_ONCE || !standAlike(page.parts, parts)) {
        parts = arranged(around, page.parts, withChanged(parts, changed, shown), parts);
        return;
      }
      const area = seenArea();
      const isSeen = ({ id }: PagePiece) => touches(parts.get(id)!.element.getBoundingClientRect(), area);
      const seen = new Set(changed.filter(isSeen));
      parts = withChanged(parts, [...seen], shown);
      changeSoon(changed.filter((part) => !seen.has(part)));
    },
    stop: () => clearTimeout(waiting),
  };
}

/** Changes the rules that are otherwise: a browser that gets a new sheet looks at every element again. */
function putRules(style: HTMLStyleElement, rules: readonly string[], before: readonly string[]): void {
  const { sheet } = style;
  const most = Math.min(rules.length, before.length);
  let same = 0;
  while (same < most && rules[same] === before[same]) same += 1;
  let alike = 0;
  while (alike < most - same && rules.at(-1 - alike) === before.at(-1 - alike)) alike += 1;
  if (same + alike === rules.length && rules.length === before.length) return;
  // A browser leaves rules out that it does not know.
  if (!sheet || sheet.cssRules.length !== before.length || before.length === 0) {
    style.textContent = rules.join('\n');
    return;
  }
  for (let at = before.length - alike - 1; at >= same; at--) sheet.deleteRule(at);
  rules.slice(same, rules.length - alike).forEach((rule, at) => sheet.insertRule(rule, same + at));
}

/** The element around everything, with the attributes that it has now. */
function putAround(screen: string, shown: Document): Element {
  const wanted = elementsOf(screen, shown)[0] ?? shown.createElement('div');
  const around = shown.body.firstElementChild ?? shown.body.appendChild(wanted.cloneNode() as Element);
  for (const { name, value } of wanted.attributes)
    if (around.getAttribute(name) !== value) around.setAttribute(name, value);
  return around;
}

function isOtherwise({ html, isOpen }: PagePiece, known: ShownPart | undefined): boolean {
  return known?.html !== html || known.isOpen !== isOpen;
}

/** True where all parts stand where they stood, whatever they are now. */
function standAlike(parts: readonly PagePiece[], before: ShownParts): boolean {
  const known = [...before.values()];
  return (
    parts.length === known.length &&
    parts.every(({ id, within, isOpen }, at) => {
      const other = known[at]!;
      return id === other.id && within === other.within && isOpen === other.isOpen;
    })
  );
}

/** The shown parts, with some as they are now. */
function withChanged(before: ShownParts, changed: readonly PagePiece[], shown: Document): ShownParts {
  const made = elementsOf(changed.map(({ html }) => html).join(''), shown);
  const after = new Map(before);
  changed.forEach((part, at) => {
    after.set(part.id, { ...part, element: takenOver(before.get(part.id), part, made[at]!) });
  });
  return after;
}

/** Puts every part where it stands, and takes those away that are none any more. */
function arranged(
  around: Element,
  parts: readonly PagePiece[],
  made: ShownParts,
  before: ShownParts,
): ShownParts {
  const shown = new Map(parts.map((part) => [part.id, { ...part, element: made.get(part.id)!.element }]));
  for (const [id, { element }] of before) if (shown.get(id)?.element !== element) element.remove();
  /** Where the next part goes, by the element around. */
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
function takenOver(known: ShownPart | undefined, { isOpen }: PagePiece, element: Element): Element {
  if (known?.isOpen !== isOpen) return element;
  return morphdom(known.element, element, isOpen ? OPEN : KEYED) as Element;
}

/** Elements of another document are none of this window's own classes. */
const KEYED = { getNodeKey: (node: Node) => (node as Partial<HTMLElement>).dataset?.layer };
/** What stands in an open part are parts of their own. */
const OPEN = { ...KEYED, onBeforeElChildrenUpdated: () => false };

/** The elements that a text of code gives: parsing it at once is quicker than one by one. */
function elementsOf(html: string, page: Document): readonly Element[] {
  const template = page.createElement('template');
  template.innerHTML = html;
  return [...template.content.children];
}
