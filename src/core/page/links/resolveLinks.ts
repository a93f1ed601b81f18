import { freeName } from '../../markup/freeName';
import type { Report } from '../../findings/finding';
import type { Layer, LayerId } from '../../mockup/layer';
import { splitName } from '../../mockup/layerName';
import type { Mockup, Screen } from '../../mockup/mockup';
import { treeOf } from '../../mockup/tree';
import { walk } from '../../mockup/walk';
import { safeName } from '../../sort/outputNames';
import type { Page } from '../frame';
import type { PageNode } from '../node';
import { collectFromNodes, pageNodes } from '../walk';

/** Where a link leads: to a page, or to an element of it. */
export interface LinkTarget {
  /** The screen of the page. */
  readonly screen: string;
  /** The id of the element; null for the page itself. */
  readonly id: string | null;
}

/** The links of a page to screens and layers. */
export interface PageLinks {
  /** Where its links lead, by what they say. */
  readonly targets: ReadonlyMap<string, LinkTarget>;
  /** The ids of its elements that links lead to, by layer. */
  readonly ids: ReadonlyMap<LayerId, string>;
}

/**
 * The pages with their links to screens and layers by name. A layer on the link's own page is preferred. A
 * name that no page has is reported.
 */
export function resolveLinks(pages: readonly Page[], mockup: Mockup, report: Report): readonly Page[] {
  const said = pages.map((page) => linksIn(page.children));
  const places = new PlacesOfNames(pages, mockup);
  const targets = pages.map((page, at) => {
    const found = new Map<string, LinkTarget>();
    for (const { href, layer } of said[at]!) {
      const name = nameIn(href);
      if (name === null || found.has(href)) continue;
      const target = places.find(name, page, href.startsWith('#'));
      if (target) found.set(href, target);
      else if (href.startsWith('#')) report('link-nowhere', layer, { href });
    }
    return found;
  });
  return pages.map((page, at) => {
    const ids = places.idsOf(page);
    return targets[at]!.size === 0 && ids.size === 0
      ? page
      : { ...page, links: { targets: targets[at]!, ids } };
  });
}

interface SaidLink {
  readonly href: string;
  readonly layer: LayerId;
}

const linksIn = collectFromNodes<SaidLink>((node) => {
  const { layer } = node;
  const own = node.href === undefined ? [] : [{ href: node.href, layer }];
  if (node.kind !== 'text') return own;
  const spans = node.lines.flatMap(({ spans }) => spans);
  return [...own, ...spans.flatMap(({ href }) => (href === undefined ? [] : [{ href, layer }]))];
});

/** The name of a screen or layer in a link; null for an address. */
function nameIn(href: string): string | null {
  const name = href.startsWith('#') ? href.slice(1) : /^[\w-]+$/.test(href) ? href : '';
  try {
    return name === '' ? null : decodeURIComponent(name);
  } catch {
    return name;
  }
}

/** Finds screens and layers of pages by their names, and gives ids to the elements that are found. */
class PlacesOfNames {
  private readonly ids = new Map<Page, Map<LayerId, string>>();
  private readonly layers: ReadonlyMap<string, ReadonlyMap<string, readonly LayerId[]>>;

  constructor(
    private readonly pages: readonly Page[],
    private readonly mockup: Mockup,
  ) {
    this.layers = new Map(mockup.screens.map((screen) => [screen.id, layersByName(screen)]));
    for (const page of pages)
      for (const [layer, id] of saidIds(this.screensOf(page))) this.giveId(page, layer, id);
  }

  find(name: string, from: Page, isLayer: boolean): LinkTarget | null {
    const screen = this.screenCalled(name);
    if (screen) return { screen: screen.screen, id: null };
    if (!isLayer) return null;
    for (const page of [from, ...this.pages.filter((other) => other !== from)]) {
      for (const layer of this.layersCalled(name, page)) {
        const id = this.giveId(page, layer, safeName(name) || 'part');
        if (id !== null) return { screen: page.screen, id };
      }
    }
    return null;
  }

  idsOf(page: Page): ReadonlyMap<LayerId, string> {
    return this.ids.get(page) ?? new Map();
  }

  private screenCalled(name: string): Page | undefined {
    const isCalled = (same: (screen: Screen) => boolean) =>
      this.pages.find((page) => this.screensOf(page).some(same));
    return isCalled((screen) => screen.name === name) ?? isCalled((screen) => isSameName(screen.name, name));
  }

  private screensOf({ screen, narrow }: Page): readonly Screen[] {
    return this.mockup.screens.filter(({ id }) => id === screen || id === narrow?.screen);
  }

  private layersCalled(name: string, page: Page): readonly LayerId[] {
    const screens = this.screensOf(page).map(({ id }) => this.layers.get(id));
    const called = (key: string) => screens.flatMap((layers) => layers?.get(key) ?? []);
    return [...called(name), ...called(safeName(name))];
  }

  /** The node that shows a layer; of a group without an element, its first part that has one. */
  private nodeOf(page: Page, layer: LayerId): PageNode | undefined {
    const nodes = pageNodes(page).filter((node) => node.kind !== 'box' || !node.anonymous);
    const own = (id: LayerId) =>
      nodes.find((node) => node.layer === id) ?? nodes.find((node) => node.merged?.includes(id));
    const found = own(layer);
    const drawn = treeOf(this.mockup).layer(layer);
    if (found || !drawn) return found;
    for (const part of walk(drawn)) {
      const node = own(part.id);
      if (node) return node;
    }
    return undefined;
  }

  /** The id of the element that shows a layer; null when none does. */
  private giveId(page: Page, layer: LayerId, wanted: string): string | null {
    const node = this.nodeOf(page, layer);
    if (!node) return null;
    const ids = this.ids.get(page) ?? new Map<LayerId, string>();
    this.ids.set(page, ids);
    const known = ids.get(node.layer);
    if (known !== undefined) return known;
    const taken = new Set(ids.values());
    const id = freeName(wanted, (each) => taken.has(each));
    ids.set(node.layer, id);
    return id;
  }
}

/** The layers of a screen by all names that a link may use. */
function layersByName({ root }: Screen): ReadonlyMap<string, readonly LayerId[]> {
  const found = new Map<string, LayerId[]>();
  for (const layer of walk(root)) {
    if (layer === root) continue;
    const names = namesOf(layer);
    for (const name of new Set([...names, ...names.map(safeName)]))
      if (name) found.set(name, [...(found.get(name) ?? []), layer.id]);
  }
  return found;
}

function namesOf({ sourceName, hints }: Layer): readonly string[] {
  const { bare, brackets } = splitName(sourceName ?? '');
  return [bracketId(brackets), hints.id, bare].filter((name): name is string => Boolean(name));
}

/** The ids that layers carry in their brackets, such as `[section#fares]`. */
function saidIds(screens: readonly Screen[]): readonly (readonly [LayerId, string])[] {
  return screens.flatMap(({ root }) =>
    walk(root).flatMap(({ id, sourceName }) => {
      const said = bracketId(splitName(sourceName ?? '').brackets);
      return said === null ? [] : [[id, said] as const];
    }),
  );
}

/** The id in a compound selector (Selectors 4, §6.7). */
function bracketId(brackets: string | null): string | null {
  return /^[\w-]*(?:[.:][\w-]+)*#([A-Za-z_][\w-]*)/.exec(brackets ?? '')?.[1] ?? null;
}

function isSameName(one: string, other: string): boolean {
  return safeName(one) !== '' && safeName(one) === safeName(other);
}
