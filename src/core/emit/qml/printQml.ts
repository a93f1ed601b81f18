import { camelCase, kebabCase } from '../components/identifiers';
import { freeName } from '../../markup/freeName';
import { elementsOf } from '../components/uses';
import { areRows } from '../components/rows';
import type {
  Component,
  Field,
  FieldReference,
  FieldValue,
  Row,
  TemplateElement,
  TemplateNode,
  TemplateValue,
} from '../components/template';
import { hardline, joinPrinted, MarkedPrinter, type Doc, type PrintedCode } from '../components/printing';
import { qmlSum } from './values';

/** What files are printed with. */
export interface QmlStyle {
  /** The token of a value as QML writes it; null for none. */
  readonly tokenOf: (value: string) => string | null;
  /** The type of each field of a component. */
  readonly typeOf: (component: Component, field: Field) => QmlType;
  /** True for a field of which some use says something. */
  readonly isSaid: (component: Component, field: Field) => boolean;
}

export type QmlType = 'string' | 'color' | 'real' | 'bool' | 'int' | 'var' | 'ListModel';

/** What a property is where nothing sets it (Qt, the documentation of each type). */
const NEUTRAL: Readonly<Record<string, string>> = {
  'font.weight': 'Font.Normal',
  'font.capitalization': 'Font.MixedCase',
  'Layout.preferredWidth': '-1',
  'Layout.preferredHeight': '-1',
  'Layout.maximumWidth': '100000',
  'Layout.alignment': 'Qt.AlignVCenter',
  'Layout.fillWidth': 'false',
  horizontalAlignment: 'Text.AlignLeft',
  textFormat: 'Text.AutoText',
  wrapMode: 'Text.NoWrap',
  lineHeightMode: 'Text.ProportionalHeight',
  opacity: '1',
  visible: 'true',
};

/** What objects know and no property says. */
const UNPRINTED = new Set(['class', 'data-slot', 'key', 'state.id', 'is.content']);

/** The empty value of each type. */
const EMPTY: Readonly<Record<QmlType, string>> = {
  string: '""',
  color: '"transparent"',
  real: '0',
  bool: 'false',
  int: '0',
  var: 'null',
  ListModel: 'null',
};

/** Properties that objects have by themselves: no field may have their names (Qt, QML types `Item` and `Text`). */
const OWN_PROPERTIES = new Set(
  `x y z width height text state states color source font visible opacity scale rotation data parent children index
  model radius enabled focus clip smooth layer transform transitions resources border gradient status textFormat wrapMode
  horizontalAlignment verticalAlignment lineHeight lineHeightMode topPadding rightPadding bottomPadding leftPadding
  implicitWidth implicitHeight elide fillMode spacing columns`.split(/\s+/),
);

/** The name of a field as a property. */
export function propertyName(field: string): string {
  if (field === 'text') return 'caption';
  return OWN_PROPERTIES.has(field) ? `${field}Value` : field;
}

/** A component as a QML file, with the lines of its layers. */
export function qmlFile(component: Component, style: QmlStyle): PrintedCode {
  return new FileWriter(component, style).file();
}

class FileWriter {
  private readonly printer = new MarkedPrinter();
  private readonly ids = new Set<string>(['root']);
  private readonly types = new Set<string>();
  private readonly aliases: string[] = [];
  private readonly empties = new Map<Field, string>();
  /** The ids of the controls around, by the keys of their objects; the innermost last. */
  private readonly controls: Map<string, string>[] = [];
  private readonly switches = new Map<string, string>();

  constructor(
    private readonly component: Component,
    private readonly style: QmlStyle,
  ) {}

  file(): PrintedCode {
    const { root, fields } = this.component;
    const inner = this.inside(root, '', 'root');
    const properties = fields.map((field) => this.property(field));
    const head = [...properties, ...this.aliases];
    const note = root.note === undefined ? [] : [`// ${root.note.replace(/\s+/g, ' ')}`, hardline];
    const body: Doc = [
      ...note,
      `${root.name} {`,
      hardline,
      '    id: root',
      hardline,
      ...(head.length > 0 ? [hardline, ...head.flatMap((each): Doc[] => [`    ${each}`, hardline])] : []),
      ...(inner.length > 0 ? [hardline, ...inner] : []),
      '}',
      hardline,
    ];
    const imports = ['import QtQuick', ...this.imports()].join('\n');
    return joinPrinted(`${imports}\n\n`, this.printer.printLines(this.printer.from(root.origin, body)));
  }

  private imports(): readonly string[] {
    const has = (word: RegExp) => [...this.types].some((type) => word.test(type));
    return [
      ...(has(/Layout$/) || has(/^Layout\./) ? ['import QtQuick.Layouts'] : []),
      ...(has(/^Shape/) ? ['import QtQuick.Shapes'] : []),
    ];
  }

  private property(field: Field): string {
    const { name, usual } = field;
    const type = this.style.typeOf(this.component, field);
    // Only what is required takes its value from a model.
    if (usual === null || this.style.isSaid(this.component, field))
      return `required property ${type} ${propertyName(name)}`;
    return `property ${type} ${propertyName(name)}: ${String(usual)}`;
  }

  /**
   * The lines inside of an object: its id, its properties, then the objects in it, each apart by an empty line.
   * @param given the id that the object has already; null for none
   */
  private inside(element: TemplateElement, margin: string, given: string | null): Doc[] {
    const isRoot = given === 'root';
    this.types.add(element.name);
    const isControl = element.children.some((child) => child.kind === 'element' && child.name === 'states');
    if (isControl) this.controls.push(new Map());
    const content = element.children.find((child) => child.kind === 'element' && isContent(child));
    const contentId =
      content && Object.keys(element.attributes).some((each) => each.startsWith('content.'))
        ? this.freeId(`${idWord(element)}-content`)
        : null;
    const id = given ?? this.ownId(element);
    this.tell(element, id, isRoot);
    const lines = [
      ...(id === null || isRoot ? [] : [`id: ${id}`]),
      ...Object.entries(element.attributes).flatMap(([name, value]) => this.line(name, value, contentId)),
    ].map((each) => `${margin}    ${each}`);
    if (element.shownBy !== null) {
      const field = this.component.fields.find(({ name }) => name === element.shownBy)!;
      const type = this.style.typeOf(this.component, field);
      const name = `root.${propertyName(field.name)}`;
      lines.push(
        `${margin}    visible: ${type === 'bool' ? name : `${name} !== ${this.empty(this.component, field)}`}`,
      );
    }
    const own = lines.flatMap((each): Doc[] => [each, hardline]);
    const inner = element.children.flatMap((child, at): Doc[] => {
      const printed = this.node(child, `${margin}    `, child === content ? contentId : null);
      return at > 0 || own.length > 0 ? [hardline, ...printed] : printed;
    });
    if (isControl) this.controls.pop();
    return [...own, ...inner];
  }

  private line(name: string, value: TemplateValue, contentId: string | null): readonly string[] {
    if (UNPRINTED.has(name)) return [];
    if (name.startsWith('Layout.')) this.types.add(name);
    const text = this.value(value);
    if (name === 'baseline.y') return [`y: ${text} - baselineOffset`];
    if (name === 'stretch.x') return [`transform: Scale { xScale: ${text} }`];
    if (name === 'content.baseline')
      return contentId === null ? [] : [`baselineOffset: ${contentId}.baselineOffset`];
    if (name === 'content.width' || name === 'content.height') {
      const size = name === 'content.width' ? 'implicitWidth' : 'implicitHeight';
      const term = contentId === null ? '0' : `${contentId}.${size}`;
      return [`${size}: ${Number.isFinite(Number(text)) ? qmlSum(term, Number(text)) : `${term} + ${text}`}`];
    }
    return [`${name}: ${text}`];
  }

  /** The id of an object that states change, or whose content a program fills in; null for any other. */
  private ownId({ attributes, ...element }: TemplateElement): string | null {
    const key = this.controls.length > 0 ? attributes['state.id'] : undefined;
    if (typeof key === 'string') return this.freeId(key === 'control' ? key : `control-${key}`);
    return isContentSlot({ attributes, ...element }) ? this.freeId(String(attributes['data-slot'])) : null;
  }

  /** Notes the id of an object for its control, and for the program that fills it in. */
  private tell(element: TemplateElement, id: string | null, isRoot: boolean): void {
    if (id === null) return;
    const { 'state.id': key } = element.attributes;
    if (typeof key === 'string') this.controls.at(-1)?.set(key, id);
    if (!isRoot && isContentSlot(element)) this.aliases.push(`property alias ${propertyName(id)}Slot: ${id}`);
  }

  /** The states of a control, those alone whose objects stand in this file. */
  private states({ children }: TemplateElement, margin: string): Doc[] {
    const ids = this.controls.at(-1) ?? new Map<string, string>();
    const states = children.flatMap((state): Doc[][] => {
      if (state.kind !== 'element') return [];
      const changes = state.children.flatMap((change): Doc[] => {
        if (change.kind !== 'element') return [];
        const target = ids.get(String(change.attributes['state.target']));
        if (target === undefined) return [];
        const lines = Object.entries(change.attributes).filter(([name]) => name !== 'state.target');
        return [
          hardline,
          `${margin}        PropertyChanges {`,
          hardline,
          `${margin}            target: ${target}`,
          hardline,
          ...lines.flatMap(([name, value]): Doc[] => {
            return [`${margin}            ${name}: ${this.value(value)}`, hardline];
          }),
          `${margin}        }`,
          hardline,
        ];
      });
      if (changes.length === 0) return [];
      const { name, 'state.when': when } = state.attributes;
      return [
        [
          `${margin}    State {`,
          hardline,
          `${margin}        name: ${String(name)}`,
          hardline,
          `${margin}        when: ${this.when(String(when), ids)}`,
          hardline,
          ...changes,
          `${margin}    }`,
        ],
      ];
    });
    if (states.length === 0) return [];
    const list = states.flatMap((state, at): Doc[] => [
      ...state,
      at < states.length - 1 ? ',' : '',
      hardline,
    ]);
    return [`${margin}states: [`, hardline, ...list, `${margin}]`, hardline];
  }

  /** When a state holds: by the ids of its control, and by properties of the file that a program sets. */
  private when(form: string, ids: ReadonlyMap<string, string>): string {
    return form.replace(/\{(?:property )?(\w+)\}/g, (part: string, key: string) => {
      if (!part.startsWith('{property')) return ids.get(key) ?? 'root';
      const control = ids.get('control') ?? 'root';
      const name =
        this.switches.get(`${control} ${key}`) ??
        this.freeId(control === 'root' ? `is-${key}` : `${control}-${key}`);
      if (!this.switches.has(`${control} ${key}`))
        this.aliases.push(`property bool ${name}: ${form.startsWith('!')}`);
      this.switches.set(`${control} ${key}`, name);
      return `root.${name}`;
    });
  }

  private value(value: TemplateValue): string {
    if (typeof value === 'object') return `root.${propertyName(value.field)}`;
    return this.style.tokenOf(String(value)) ?? String(value);
  }

  private node(node: TemplateNode, margin: string, id: string | null): Doc[] {
    switch (node.kind) {
      case 'element':
        return node.name === 'states' ? this.states(node, margin) : this.element(node, margin, id);
      case 'list':
        return this.list(node.component, node.rows, margin);
      case 'use':
        return this.use(node.component, node.row, margin);
      case 'slot':
        return node.sample.flatMap((each, at) => [
          ...(at > 0 ? [hardline] : []),
          ...this.node(each, margin, null),
        ]);
      case 'text':
        return [];
    }
  }

  private element(element: TemplateElement, margin: string, id: string | null): Doc[] {
    const note =
      element.note === undefined ? [] : [`${margin}// ${element.note.replace(/\s+/g, ' ')}`, hardline];
    const inner = this.inside(element, margin, id);
    if (inner.length === 0)
      return [
        ...note,
        this.printer.from(element.origin, [`${margin}${element.name} {`, hardline, `${margin}}`]),
        hardline,
      ];
    const body: Doc = [`${margin}${element.name} {`, hardline, ...inner, `${margin}}`];
    return [...note, this.printer.from(element.origin, body), hardline];
  }

  private list(component: Component, rows: readonly Row[] | FieldReference, margin: string): Doc[] {
    // Rows of a model have no rows of their own: each is written as a use.
    if (!('field' in rows) && component.fields.some(({ type }) => type.kind === 'rows'))
      return rows.flatMap((row, at) => [...(at > 0 ? [hardline] : []), ...this.use(component, row, margin)]);
    const inner = `${margin}    `;
    const model: Doc[] =
      'field' in rows
        ? [`${inner}model: root.${propertyName(rows.field)}`, hardline]
        : [
            `${inner}model: ListModel {`,
            hardline,
            ...this.rows(component, rows, inner),
            `${inner}}`,
            hardline,
          ];
    return [
      `${margin}Repeater {`,
      hardline,
      ...model,
      `${inner}delegate: ${component.name} {`,
      hardline,
      `${inner}}`,
      hardline,
      `${margin}}`,
      hardline,
    ];
  }

  /** The rows of a model. @param between what stands between two of them */
  private rows(component: Component, rows: readonly Row[], margin: string, between = ''): Doc[] {
    return rows.flatMap((row, at): Doc[] => {
      const lines = this.fieldLines(component, row, `${margin}    `, 'within a row');
      const body: Doc = [`${margin}    ListElement {`, hardline, ...lines, `${margin}    }`];
      return [this.printer.from(row.origin, body), at < rows.length - 1 ? between : '', hardline];
    });
  }

  private use(component: Component, row: Row, margin: string): Doc[] {
    const lines = this.fieldLines(component, row, margin, 'of an object');
    const body: Doc = [`${margin}${component.name} {`, hardline, ...lines, `${margin}}`];
    return [this.printer.from(row.origin, body), hardline];
  }

  /**
   * What a use says of all fields: all rows of a model have the same ones.
   * @param lists where a field with rows stands: a row lists them, an object has a model of them
   */
  private fieldLines(
    component: Component,
    row: Row,
    margin: string,
    lists: 'within a row' | 'of an object',
  ): Doc[] {
    return component.fields.flatMap((field): Doc[] => {
      const value = this.saidOf(component, field, row);
      if (value === null) return [];
      const name = `${margin}    ${propertyName(field.name)}`;
      if (typeof value === 'boolean' || !areRows(value) || field.type.kind !== 'rows')
        return [`${name}: ${String(value)}`, hardline];
      const [open, close, between] = lists === 'of an object' ? ['ListModel {', '}', ''] : ['[', ']', ','];
      const inner = this.rows(field.type.of, value, `${margin}    `, between);
      return [`${name}: ${open}`, hardline, ...inner, `${margin}    ${close}`, hardline];
    });
  }

  /** What a use says of a field, in full; null where the field has its usual value in all uses. */
  private saidOf(component: Component, field: Field, { values }: Row): FieldValue | null {
    const said = values[field.name];
    if (said !== undefined) return said;
    if (field.usual === null) return this.empty(component, field);
    return this.style.isSaid(component, field) ? field.usual : null;
  }

  /** What a field is where a use leaves it out: as the property that it sets is by itself. */
  private empty(component: Component, field: Field): string {
    const known = this.empties.get(field) ?? this.emptyAnew(component, field);
    this.empties.set(field, known);
    return known;
  }

  private emptyAnew(component: Component, field: Field): string {
    const set = elementsOf(component).flatMap(({ attributes }) =>
      Object.entries(attributes).filter(
        ([, value]) => typeof value === 'object' && value.field === field.name,
      ),
    );
    const neutral = set.map(([name]) => NEUTRAL[name]).find((each) => each !== undefined);
    return neutral ?? EMPTY[this.style.typeOf(component, field)];
  }

  private freeId(wanted: string): string {
    const id = camelCase(freeName(kebabCase(wanted), (each) => this.ids.has(camelCase(each))));
    this.ids.add(id);
    return id;
  }
}

/** True for an object whose content a program fills in; words and pictures are fields. */
function isContentSlot({ name, attributes }: TemplateElement): boolean {
  return typeof attributes['data-slot'] === 'string' && name !== 'Text' && name !== 'Image';
}

/** True for what gives the object around it its size. */
function isContent({ name, attributes }: TemplateElement): boolean {
  if ('is.content' in attributes) return true;
  return /(?:^Text|Layout)$/.test(name) && ('anchors.fill' in attributes || 'anchors.left' in attributes);
}

function idWord({ classes, name }: TemplateElement): string {
  return classes[0] ?? name.toLowerCase();
}

/** The type of a field by all that uses say. */
export function typeOfValues(values: readonly string[], name: string): QmlType {
  const every = (form: RegExp) => values.length > 0 && values.every((value) => form.test(value));
  if (every(/^"#(?:[0-9a-f]{6}|[0-9a-f]{8})"$/) || (every(/^"/) && /color$/i.test(name))) return 'color';
  if (every(/^"/)) return 'string';
  if (every(/^(?:true|false)$/)) return 'bool';
  if (every(/^-?\d+(?:\.\d+)?$/)) return 'real';
  return every(/^[A-Z]\w*\.[A-Z]\w*$/) ? 'int' : 'var';
}
