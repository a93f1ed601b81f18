import morphdom from 'morphdom';
import { useEffect, useRef, useState } from 'react';
import type { PagePieces, PagePiece } from '../../../core/emit/html/pagePieces';
import type { Screen } from '../../../core/mockup/mockup';

interface PagePictureProps {
  readonly page: PagePieces;
  readonly screen: Screen;
  readonly scale: number;
}

const EMPTY =
  '<!doctype html><html lang="en"><head><title>The page</title><style></style></head><body></body></html>';

/** The page that a screen gives right now, without scripts; an edit changes only what it changes. */
export function PagePicture({ page, screen, scale }: PagePictureProps) {
  const frame = useRef<HTMLIFrameElement>(null);
  const parts = useRef<ReadonlyMap<string, ShownPart>>(new Map());
  const rules = useRef<readonly string[]>([]);
  const [isLoaded, setLoaded] = useState(false);
  useEffect(() => {
    const shown = frame.current?.contentDocument;
    const sheet = shown?.querySelector('style');
    if (!isLoaded || !shown || !sheet) return;
    putRules(sheet, page.rules, rules.current);
    rules.current = page.rules;
    const around = shown.body.firstElementChild ?? shown.body.appendChild(elementOf(page.screen, shown));
    const { attributes } = elementOf(page.screen, shown);
    for (const { name, value } of attributes)
      if (around.getAttribute(name) !== value) around.setAttribute(name, value);
    parts.current = putParts(around, page.parts, parts.current);
  }, [page, isLoaded]);
  return (
    <iframe
      ref={frame}
      title={`The page of ${screen.name}`}
      srcDoc={EMPTY}
      sandbox="allow-same-origin"
      tabIndex={-1}
      onLoad={() => setLoaded(true)}
      style={{
        width: screen.width,
        height: screen.height,
        border: 0,
        display: 'block',
        transform: `scale(${scale})`,
        transformOrigin: '0 0',
        pointerEvents: 'none',
      }}
    />
  );
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

interface ShownPart extends PagePiece {
  readonly element: Element;
}

function putParts(
  around: Element,
  parts: readonly PagePiece[],
  before: ReadonlyMap<string, ShownPart>,
): ReadonlyMap<string, ShownPart> {
  const changed = parts.filter(({ id, html, isOpen }) => {
    const known = before.get(id);
    return known?.html !== html || known.isOpen !== isOpen;
  });
  const made = elementsOf(changed.map(({ html }) => html).join(''), around.ownerDocument);
  const elements = new Map(changed.map(({ id }, at) => [id, made[at]!]));
  const shown = new Map<string, ShownPart>();
  for (const part of parts) {
    const known = before.get(part.id);
    const element = elements.get(part.id);
    shown.set(part.id, { ...part, element: element ? takenOver(known, part, element) : known!.element });
  }
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

function elementOf(html: string, page: Document): Element {
  return elementsOf(html, page)[0] ?? page.createElement('div');
}

/** The elements that a text of code gives: parsing it at once is quicker than one by one. */
function elementsOf(html: string, page: Document): readonly Element[] {
  const template = page.createElement('template');
  template.innerHTML = html;
  return [...template.content.children];
}
