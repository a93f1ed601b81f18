import type { MarkupElement } from '../../markup/element';
import { typeOfAttribute } from './attributeTypes';
import { alignSequences } from './alignSequences';
import {
  classesOf,
  GENERIC,
  isPartList,
  keyOf,
  type ListLimits,
  type Part,
  type PartElement,
} from './likeParts';
import { kebabCase } from './identifiers';
import { FieldNames, nameByElement, nameByWords, withinOwner } from './fieldNames';
import { nameOfItems } from './itemNames';
import type { StateName } from './states';
import type {
  Component,
  Field,
  FieldType,
  FieldValue,
  Row,
  TemplateElement,
  TemplateNode,
  TemplateText,
  TemplateValue,
} from './template';

/** What every component of a build is made with. */
export interface Making {
  /** How the target says what differs between uses. */
  readonly style: ComponentStyle;
  /** The component of like siblings, the same for equal ones. */
  readonly componentOf: (name: string, general: General) => Component;
  /** What a program sets on the element of a layer. */
  readonly statesOf: (element: MarkupElement) => readonly StateName[];
  /** The name that the mockup gives to the layer of an element; null for none. */
  readonly nameOf: (element: MarkupElement) => string | null;
  /** The furniture that an element is, wherever it stands; null for none. */
  readonly furnitureOf: (element: MarkupElement) => string | null;
  readonly useOf: (pattern: string, element: MarkupElement) => TemplateNode;
}

/** How a target says what differs between uses. */
export interface ComponentStyle {
  /** True where elements have classes. */
  readonly hasClasses: boolean;
  /** True where a field may hold several attributes of an element. */
  readonly hasGroups: boolean;
  /** The attribute that holds words; null where elements hold them. */
  readonly words: WordsAttribute | null;
  /** True where a field says whether an element is in a state that a program sets. */
  readonly hasStates: boolean;
  readonly lists: ListLimits;
  /** Whether a component may have a name, in PascalCase; another one gets a word more. */
  readonly isName: (name: string) => boolean;
}

/** An attribute that holds words in some form. */
export interface WordsAttribute {
  readonly name: string;
  /** The words that a value says; null for a value that is none. */
  readonly wordsOf: (value: string) => string | null;
}

/** A template for several elements, and what each of them says of its fields. */
export interface General {
  readonly root: TemplateElement;
  readonly fields: readonly Field[];
  readonly rows: readonly Row[];
}

/** What an attribute says; null where it is absent. An empty word at a yes or no says yes (HTML, §2.3.2). */
function attributeOf({ attributes }: MarkupElement, name: string): string | true | null {
  const value = attributes[name] ?? null;
  return value === '' && name === 'checked' ? true : value;
}

function isFirstOfName({ name }: StateName, at: number, all: readonly StateName[]): boolean {
  return all.findIndex((each) => each.name === name) === at;
}

function isHeading({ name }: MarkupElement): boolean {
  return /^h[1-6]$/.test(name);
}

/**
 * The most special template of which all elements are uses (anti-unification; Plotkin, 1970, for terms): what is the
 * same stays, what differs becomes a field, and what some have alone is left out by the others.
 * @param items elements of one name
 * @param name the name of what they are, such as `sailing-row`
 */
export function generalise(items: readonly PartElement[], name: string, making: Making): General {
  return new Generaliser(items, name, making).general();
}

class Generaliser {
  private readonly names = new FieldNames();
  private readonly fields: Field[] = [];
  private readonly values: Record<string, FieldValue>[];
  private isRoot = true;

  constructor(
    private readonly items: readonly PartElement[],
    private readonly name: string,
    private readonly making: Making,
  ) {
    this.values = items.map(() => ({}));
  }

  general(): General {
    const root = this.element(this.items, this.items);
    const fields = this.fields.map((field) => ({
      ...field,
      isOptional: field.usual !== null || this.values.some((values) => values[field.name] === undefined),
    }));
    const rows = this.values.map((values, at) => {
      const { origin } = this.items[at]!.element;
      return { values, ...(origin && { origin }) };
    });
    return { root, fields, rows };
  }

  /** A field that says in each use what the use has; null there leaves it out. */
  private field(
    wanted: string,
    type: FieldType,
    values: readonly (FieldValue | null)[],
    usual: FieldValue | null = null,
  ): string {
    const name = this.names.give(wanted);
    this.fields.push({ name, type, isOptional: false, usual });
    for (const [at, value] of values.entries()) if (value !== null) this.values[at]![name] = value;
    return name;
  }

  /** @param around the elements around them; a missing one is left out with what is around it */
  private element(
    items: readonly (PartElement | null)[],
    around: readonly (PartElement | null)[],
  ): TemplateElement {
    const present = items.filter((item) => item !== null);
    const [{ element: first }] = present as [PartElement];
    const own = this.isRoot ? '' : this.ownName(present);
    this.isRoot = false;
    const before = this.fields.length;
    const lists = present.map(({ element }) => classesOf(element));
    const { hasClasses } = this.making.style;
    const classes = lists[0]!.filter((name) => lists.every((list) => list.includes(name)));
    const isClassed = hasClasses && lists.some((list) => list.length > classes.length);
    const further = (item: PartElement | null) =>
      item
        ? classesOf(item.element)
            .filter((name) => !classes.includes(name))
            .join(' ') || null
        : null;
    const classField = isClassed
      ? this.field(own ? `${own}-look` : 'look', { kind: 'classes' }, items.map(further))
      : null;
    const stateful = this.making.style.hasStates ? present : [];
    const states = stateful
      .flatMap(({ element }) => this.making.statesOf(element))
      .filter(isFirstOfName)
      .map((state) => ({
        ...state,
        off: first.attributes[state.attribute] === undefined ? null : state.off,
        field: this.stateField(items, own, state),
      }));
    const said = this.attributes(items, own, new Set(states.map(({ attribute }) => attribute)));
    const children = this.children(items, own);
    const { origin } = first;
    return {
      kind: 'element',
      name: first.name,
      ...said,
      classes,
      classField,
      states: states.map(({ attribute, on, off, field }) => ({ attribute, on, off, field })),
      shownBy: this.shownBy(items, around, own, before),
      children,
      isInline: first.inline === true,
      ...(first.note !== undefined && { note: first.note }),
      ...(origin && { origin }),
    };
  }

  /** A field that says whether an element is in a state; where it is at rest in all uses, or in none, none says it. */
  private stateField(
    items: readonly (PartElement | null)[],
    own: string,
    { name, attribute, on }: StateName,
  ): string {
    const are = items.map((item) => item !== null && item.element.attributes[attribute] === on);
    const usual = are.every((is) => is);
    return this.field(
      own ? `${own}-${name}` : name,
      { kind: 'flag' },
      usual ? [] : are.map((is) => is || null),
      usual,
    );
  }

  /**
   * What an element is called: as its slot, by the form of its words, as its layer, its element, or its class.
   */
  private ownName(present: readonly PartElement[]): string {
    const [{ element: first }] = present as [PartElement];
    const slot = this.slotOf(present);
    if (slot !== null) return slot;
    const words = present.flatMap((item) => this.wordsOf(item));
    const byWords =
      words.length > 0 ? (nameByWords(words) ?? (isHeading(first) ? 'title' : undefined)) : undefined;
    if (byWords !== undefined) return byWords;
    const names = new Set(present.map(({ element }) => this.making.nameOf(element)));
    const [said] = names;
    if (names.size === 1 && said) return withinOwner(said, this.name);
    const [common] = classesOf(first).filter((name) => !GENERIC.has(name));
    const byClass = common === undefined ? '' : withinOwner(common, this.name);
    return nameByElement(first.name) || byClass;
  }

  private wordsOf({ element, parts }: PartElement): readonly string[] {
    const { words } = this.making.style;
    const said = words === null ? undefined : element.attributes[words.name];
    const own = typeof said === 'string' ? words!.wordsOf(said) : null;
    return own !== null ? [own] : parts.filter((part) => typeof part === 'string');
  }

  /** The field without which an element of some uses is left out: one that all of these have, else one of its own. */
  private shownBy(
    items: readonly (PartElement | null)[],
    around: readonly (PartElement | null)[],
    own: string,
    before: number,
  ): string | null {
    if (items.every((item, at) => item !== null || around[at] === null)) return null;
    const telling = this.fields
      .slice(before)
      .find(
        ({ name, type }) =>
          type.kind !== 'flag' &&
          items.every((item, at) => (item !== null) === this.isTold(this.values[at]![name])),
      );
    if (telling) return telling.name;
    return this.field(
      `has-${own || 'part'}`,
      { kind: 'flag' },
      items.map((item) => (item ? true : null)),
    );
  }

  /** True for a value that cannot be taken for none. */
  private isTold(value: FieldValue | undefined): boolean {
    const { words } = this.making.style;
    if (words === null) return value !== undefined;
    return typeof value === 'string' && (words.wordsOf(value) ?? '') !== '';
  }

  private attributes(
    items: readonly (PartElement | null)[],
    own: string,
    states: ReadonlySet<string>,
  ): Pick<TemplateElement, 'attributes' | 'spread'> {
    const present = items.filter((item) => item !== null);
    const names = new Set(present.flatMap(({ element }) => Object.keys(element.attributes)));
    const attributes: Record<string, TemplateValue> = {};
    const differing: string[] = [];
    let spread: string | null = null;
    for (const name of names) {
      if (name === 'class' || states.has(name)) continue;
      // In a list the field of the words is the slot.
      if (name === 'data-slot' && this.making.style.words !== null && items.length > 1) continue;
      const isFilled = name === 'src' || name === 'source' || name === this.making.style.words?.name;
      if (isFilled && this.items.length === 1 && this.slotOf(items) !== null) {
        const sample = present[0]!.element.attributes[name] ?? '';
        attributes[name] = { field: this.field(this.slotOf(items)!, typeOfAttribute(name), [], sample) };
        continue;
      }
      const values = present.map(({ element }) => attributeOf(element, name));
      if (values[0] !== null && values[0] !== undefined && values.every((value) => value === values[0]))
        attributes[name] = values[0];
      else differing.push(name);
    }
    const valueOf = (item: PartElement | null, name: string) => item && attributeOf(item.element, name);
    const grouped = this.making.style.hasGroups ? differing.filter((name) => !name.startsWith('data-')) : [];
    if (grouped.length > 1) {
      const together = items.map((item) => {
        if (!item) return null;
        const entries = grouped.map((name) => [name, valueOf(item, name)] as const);
        return Object.fromEntries(
          entries.filter((entry): entry is [string, string | true] => entry[1] !== null),
        );
      });
      spread = this.field(own || 'attributes', { kind: 'attributes', names: grouped }, together);
    }
    for (const name of grouped.length > 1 ? differing.filter((each) => !grouped.includes(each)) : differing) {
      const said = kebabCase(name.replace(/^(?:data|aria)-|^.*[.:]/, ''));
      const isPlain = name === 'href' || !own;
      const wanted = name === this.making.style.words?.name ? own || said : isPlain ? said : `${own}-${said}`;
      const isFlag = items.every((item) => typeof valueOf(item, name) !== 'string');
      const type: FieldType = isFlag ? { kind: 'flag' } : typeOfAttribute(name);
      attributes[name] = {
        field: this.field(
          wanted,
          type,
          items.map((item) => valueOf(item, name)),
        ),
      };
    }
    return { attributes, spread };
  }

  private children(items: readonly (PartElement | null)[], own: string): readonly TemplateNode[] {
    const slot = this.slotOf(items);
    const columns = alignSequences(
      items.map((item) => item?.parts ?? []),
      keyOf,
    );
    if (slot !== null && this.items.length === 1 && columns.length > 0) return [this.slot(slot, columns)];
    return columns.map((column) => this.part(column, slot ?? own, items, slot !== null));
  }

  /** What the elements around a list are called. */
  private nameAround(around: readonly (PartElement | null)[]): string {
    const present = around.filter((item) => item !== null);
    const [first] = present;
    if (!first) return this.name;
    const [common] = classesOf(first.element).filter((name) => !GENERIC.has(name));
    return this.making.nameOf(first.element) ?? common ?? this.name;
  }

  private slotOf(items: readonly (PartElement | null)[]): string | null {
    const slot = items.find((item) => item !== null)?.element.attributes['data-slot'];
    return typeof slot === 'string' ? slot : null;
  }

  /** What a program fills in: words become a field with the sample as its usual value, all else is content. */
  private slot(name: string, columns: readonly (readonly (Part | null)[])[]): TemplateNode {
    const words = columns.map(([part]) => part);
    if (words.every((part) => typeof part === 'string')) {
      const field = this.field(name, { kind: 'text' }, [], words.join(''));
      return { kind: 'text', value: { field } };
    }
    return {
      kind: 'slot',
      name: this.names.give(name),
      sample: columns.map((column) => this.part(column, '', this.items, false)),
    };
  }

  private part(
    column: readonly (Part | null)[],
    own: string,
    around: readonly (PartElement | null)[],
    isSlot: boolean,
  ): TemplateNode {
    const first = column.find((part) => part !== null)!;
    if (typeof first === 'string')
      return this.text(column as readonly (string | null)[], own, around, isSlot);
    if (isPartList(first)) return this.list(column, this.nameAround(around));
    const elements = column as readonly (PartElement | null)[];
    const pattern = elements.length === 1 ? this.making.furnitureOf(elements[0]!.element) : null;
    return pattern === null
      ? this.element(elements, around)
      : this.making.useOf(pattern, elements[0]!.element);
  }

  private text(
    column: readonly (string | null)[],
    own: string,
    around: readonly (PartElement | null)[],
    isSlot: boolean,
  ): TemplateText {
    const [first] = column;
    // Words that their element leaves out with itself need no condition of their own.
    const isEverywhere = column.every((words, at) => words !== null || !around[at]);
    if (!isSlot && isEverywhere && column.every((words) => words === null || words === first) && first)
      return { kind: 'text', value: first };
    const field = this.field(own || 'text', { kind: 'text' }, column);
    return { kind: 'text', value: { field } };
  }

  private list(column: readonly (Part | null)[], around: string): TemplateNode {
    const lists = column.map((part) => (part !== null && isPartList(part) ? part.items : null));
    const items = lists.flatMap((list) => list ?? []);
    const name = nameOfItems(items, around, (element) => this.making.nameOf(element));
    const general = generalise(items, name, this.making);
    const component = this.making.componentOf(name, general);
    if (lists.length === 1) return { kind: 'list', component, rows: general.rows };
    let at = 0;
    const rows = lists.map((list) => {
      if (list === null) return null;
      at += list.length;
      return general.rows.slice(at - list.length, at);
    });
    const field = this.field(`${name}-list`, { kind: 'rows', of: component }, rows);
    return { kind: 'list', component, rows: { field } };
  }
}
