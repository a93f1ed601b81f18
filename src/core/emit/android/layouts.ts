import { element, type Attributes, type MarkupElement } from '../../markup/element';
import { kebabCase } from '../components/identifiers';
import { rowsOfComponents } from '../components/uses';
import type {
  Component,
  Components,
  FieldReference,
  Row,
  TemplateElement,
  TemplateNode,
  TemplateValue,
} from '../components/template';
import { resourceName } from '../../sort/outputNames';
import type { AndroidResources } from './resources';
import { isOfFirstUse, isOfPlace, themedAttribute, VISIBILITY, type ThemedAttribute } from './themed';
import { NAMES } from './views';

/** What a use of a layout says, by the name of the theme's attribute. */
interface Said {
  readonly attribute: string;
  readonly valueIn: (row: Row) => string;
}

/** The layout file of a component. */
export function layoutName({ name }: Pick<Component, 'name'>): string {
  return resourceName(kebabCase(name));
}

/**
 * Layouts of components. Each use includes the layout under a theme of its own, from which the layout takes what differs
 * (Android, `<include>` with `android:theme`; `LayoutInflater`): words, pictures and lengths are rows of data in styles,
 * and the layout is written once.
 */
export class Layouts {
  private readonly rows: ReadonlyMap<Component, readonly Row[]>;
  private readonly said = new Map<Component, readonly Said[]>();

  constructor(
    private readonly resources: AndroidResources,
    { parts, screens }: Components,
  ) {
    const all = [...parts, ...screens];
    this.rows = rowsOfComponents(all);
    for (const component of all) this.said.set(component, this.saidBy(component));
  }

  /** The root of a component's file. */
  rootOf(component: Component): MarkupElement {
    const [first] = this.rows.get(component) ?? [];
    const { root } = component;
    const size = ['android:layout_width', 'android:layout_height'].map((name) => [
      name,
      valueOf(root.attributes[name], first),
    ]);
    const isUsed = first !== undefined;
    const made = this.view(root, component);
    const own = Object.entries(made.attributes).filter(([name]) => !isUsed || !isOfPlace(name));
    const isThemed = this.said.get(component)!.length > 0;
    const notes = [made.note, isThemed ? NOTE : undefined].filter((each) => each !== undefined);
    return {
      ...made,
      attributes: { ...NAMES, ...(isUsed && Object.fromEntries(size)), ...Object.fromEntries(own) },
      ...(notes.length > 0 && { note: notes.join(' ') }),
    };
  }

  private views(nodes: readonly TemplateNode[], owner: Component): readonly MarkupElement[] {
    return nodes.flatMap((node): readonly MarkupElement[] => {
      switch (node.kind) {
        case 'element':
          return [this.view(node, owner)];
        case 'list':
          if ('field' in node.rows)
            throw new Error(`The rows of ${node.component.name} are no data of a theme.`);
          return node.rows.map((row) => this.include(node.component, row));
        case 'use':
          return [this.include(node.component, node.row)];
        default:
          return [];
      }
    });
  }

  private view(template: TemplateElement, owner: Component): MarkupElement {
    const { name, attributes, children, note, origin, shownBy } = template;
    const [first] = this.rows.get(owner) ?? [];
    const isRoot = template === owner.root;
    const written = Object.entries(attributes).flatMap(([key, value]) => {
      if (key === 'key' || key === 'class') return [];
      const isThemed = typeof value === 'object' && isSaidByTheme(key, isRoot);
      return [
        [key, isThemed ? `?attr/${this.attributeOf(owner, value, key)}` : valueOf(value, first)] as const,
      ];
    });
    const shown =
      shownBy === null ? {} : { 'android:visibility': `?attr/${this.visibilityOf(owner, shownBy)}` };
    return {
      ...element(name, { ...shown, ...Object.fromEntries(written) }, this.views(children, owner)),
      ...(note !== undefined && { note }),
      ...(origin && { origin }),
    };
  }

  private include(component: Component, row: Row): MarkupElement {
    const { root } = component;
    const place: Attributes = Object.fromEntries(
      Object.entries(root.attributes).flatMap(([name, value]) =>
        isOfPlace(name) ? [[name, valueOf(value, row)] as const] : [],
      ),
    );
    const said = this.said.get(component)!;
    const theme = this.resources.theme(
      component.name,
      said.map(({ attribute, valueIn }) => [attribute, valueIn(row)]),
    );
    const made = element('include', {
      layout: `@layout/${layoutName(component)}`,
      'android:theme': theme,
      ...place,
    });
    return { ...made, ...(row.origin && { origin: row.origin }) };
  }

  /** All that uses of a layout say, in the order of its views. */
  private saidBy(component: Component): readonly Said[] {
    const said = new Map<string, Said>();
    const rows = this.rows.get(component) ?? [];
    const visit = (template: TemplateElement): void => {
      const isRoot = template === component.root;
      for (const [name, value] of Object.entries(template.attributes)) {
        if (typeof value !== 'object' || !isSaidByTheme(name, isRoot)) continue;
        const attribute = this.attributeOf(component, value, name);
        // A view that a use leaves out is gone there, and is laid out nevertheless.
        const anyUse = rows.map((row) => valueOf(value, row)).find((each) => each !== null);
        const absent = themedOf(name).absent ?? anyUse ?? '@null';
        said.set(attribute, { attribute, valueIn: (row) => valueOf(value, row) ?? absent });
      }
      const { shownBy } = template;
      if (shownBy !== null) {
        const attribute = this.visibilityOf(component, shownBy);
        const valueIn = ({ values }: Row) => (values[shownBy] === undefined ? 'gone' : 'visible');
        said.set(attribute, { attribute, valueIn });
      }
      for (const child of template.children) if (child.kind === 'element') visit(child);
    };
    visit(component.root);
    return [...said.values()];
  }

  private attributeOf(component: Component, { field }: FieldReference, name: string): string {
    return this.resources.attribute(`${component.name}-${field}`, themedOf(name));
  }

  private visibilityOf(component: Component, field: string): string {
    return this.resources.attribute(`${component.name}-${field}-shown`, VISIBILITY);
  }
}

const NOTE = 'What differs between uses comes from the theme of each: see res/values/styles.xml.';

/** True for an attribute that the theme of a use says where uses differ. */
function isSaidByTheme(name: string, isRoot: boolean): boolean {
  return !isOfFirstUse(name) && !(isRoot && isOfPlace(name));
}

function themedOf(name: string): ThemedAttribute {
  const themed = themedAttribute(name);
  if (!themed) throw new Error(`No theme says ${name}.`);
  return themed;
}

/** A value of a template in one use; null where it says none. */
function valueOf(value: TemplateValue | undefined, row: Row | undefined): string | null {
  if (value === undefined) return null;
  if (typeof value !== 'object') return String(value);
  const said = row?.values[value.field];
  return typeof said === 'string' ? said : null;
}
