import type { MarkupElement } from '../../markup/element';
import { freeName } from '../../markup/freeName';
import type { Page } from '../../page/frame';
import type { PageNode } from '../../page/node';
import { safeName } from '../../sort/outputNames';
import { ownName } from '../../sort/tellingNames';
import { pageNodes } from '../../page/walk';
import type { LayerId } from '../../mockup/layer';
import { classesOf, gatherLists } from './likeParts';
import { generalise, type ComponentStyle, type General, type Making } from './generalise';
import { pascalCase } from './identifiers';
import { stateNamesOf, type StateName } from './states';
import type { Component, Components, Row, ScreenComponent } from './template';

/** Markup of a browser: elements with classes, words between tags. */
export const MARKUP: ComponentStyle = {
  hasClasses: true,
  hasGroups: true,
  words: null,
  hasStates: true,
  isName: () => true,
  lists: { mostNested: Infinity, inShared: true, leastElements: 1 },
};

/** A page with its markup. */
export interface MarkedPage {
  readonly page: Page;
  readonly markup: MarkupElement;
  /** Where a router finds it. */
  readonly address: string;
}

/**
 * The components of pages: one for each screen, for each block that several screens share, and for the like siblings
 * of a list. Equal lists share a component.
 */
export function componentsOf(pages: readonly MarkedPage[], style: ComponentStyle): Components {
  return new ComponentMaker(pages, style).components();
}

/** An element as a component of its own, with the parts that it needs. */
export function componentOfElement(
  name: string,
  markup: MarkupElement,
  style: ComponentStyle,
): Pick<Components, 'parts'> & { readonly whole: Component } {
  return new ComponentMaker([], style).alone(name, markup);
}

/** The names of the components of screens, no two the same. */
export function screenNames(
  pages: readonly Page[],
  style: Pick<ComponentStyle, 'isName'>,
): readonly string[] {
  const names = new Set<string>();
  for (const { name } of pages) names.add(freeComponentName(name, 'screen', names, style));
  return [...names];
}

function freeComponentName(
  name: string,
  word: string,
  taken: ReadonlySet<string>,
  { isName }: Pick<ComponentStyle, 'isName'>,
): string {
  const own = safeName(name) || word;
  const wanted = isName(pascalCase(own)) ? own : `${own}-${word}`;
  return pascalCase(freeName(wanted, (each) => taken.has(pascalCase(each))));
}

class ComponentMaker implements Making {
  private readonly parts: Component[] = [];
  private readonly known = new Map<string, Component>();
  private readonly names = new Set<string>();
  private readonly nodes = new Map<LayerId, PageNode>();
  private readonly furniture = new Map<string, readonly MarkupElement[]>();
  private readonly uses = new Map<MarkupElement, { readonly component: Component; readonly row: Row }>();

  constructor(
    private readonly pages: readonly MarkedPage[],
    readonly style: ComponentStyle,
  ) {
    for (const { page } of pages)
      for (const node of pageNodes(page)) {
        const isOwn = node.kind !== 'box' || !node.anonymous;
        if (isOwn && !this.nodes.has(node.layer)) this.nodes.set(node.layer, node);
      }
    for (const { markup } of pages) this.findFurniture(markup);
  }

  components(): Components {
    // Screens have the first right to their names.
    const names = screenNames(
      this.pages.map(({ page }) => page),
      this.style,
    );
    for (const name of names) this.names.add(name);
    const screens = this.pages.map(({ page, markup, address }, at): ScreenComponent => {
      const { root, fields } = generalise([gatherLists(markup, this.style.lists)], page.name, this);
      return { name: names[at]!, root, fields, title: page.title, address };
    });
    return { parts: this.parts, screens };
  }

  alone(name: string, markup: MarkupElement) {
    const whole = this.componentOf(name, generalise([gatherLists(markup, this.style.lists)], name, this));
    return { whole, parts: this.parts.filter((part) => part !== whole) };
  }

  componentOf(name: string, { root, fields }: General): Component {
    const known = this.known.get(keyOf(root, fields));
    if (known) return known;
    const component = { name: freeComponentName(name, 'part', this.names, this.style), root, fields };
    this.names.add(component.name);
    this.known.set(keyOf(root, fields), component);
    this.parts.push(component);
    return component;
  }

  statesOf({ origin }: MarkupElement): readonly StateName[] {
    const node = origin && this.nodes.get(origin.layer);
    return node ? stateNamesOf(node) : [];
  }

  nameOf({ origin }: MarkupElement): string | null {
    const node = origin && this.nodes.get(origin.layer);
    return node ? ownName(node) : null;
  }

  furnitureOf({ origin }: MarkupElement): string | null {
    const pattern = origin && this.nodes.get(origin.layer)?.furniture?.pattern;
    return pattern !== undefined && (this.furniture.get(pattern)?.length ?? 0) > 1 ? pattern : null;
  }

  useOf(pattern: string, element: MarkupElement) {
    if (!this.uses.has(element)) this.shareFurniture(pattern);
    return { kind: 'use' as const, ...this.uses.get(element)! };
  }

  private shareFurniture(pattern: string): void {
    const elements = this.furniture.get(pattern) ?? [];
    const { lists } = this.style;
    const limits = lists.inShared ? lists : { ...lists, mostNested: 0 };
    for (const kind of new Set(elements.map(({ name }) => name))) {
      const alike = elements.filter(({ name }) => name === kind);
      const name = this.nameOf(alike[0]!) ?? classesOf(alike[0]!)[0] ?? 'furniture';
      const general = generalise(
        alike.map((each) => gatherLists(each, limits)),
        name,
        this,
      );
      const component = this.componentOf(name, general);
      for (const [at, element] of alike.entries())
        this.uses.set(element, { component, row: general.rows[at]! });
    }
  }

  private findFurniture(element: MarkupElement): void {
    const pattern = element.origin && this.nodes.get(element.origin.layer)?.furniture?.pattern;
    if (pattern !== undefined) {
      this.furniture.set(pattern, [...(this.furniture.get(pattern) ?? []), element]);
      return;
    }
    for (const child of element.children) if (typeof child !== 'string') this.findFurniture(child);
  }
}

/** Equal for components that print the same: without the layers of the first use. */
function keyOf(root: Component['root'], fields: Component['fields']): string {
  return JSON.stringify([root, fields], (key, value: unknown) =>
    key === 'origin' || key === 'note' ? undefined : value,
  );
}
