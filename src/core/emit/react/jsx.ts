import { REACT_ATTRIBUTES } from './reactNames';
import { styleLiteral } from '../components/inlineStyle';
import { stringLiteral } from '../components/literals';
import {
  fill,
  group,
  hardline,
  ifBreak,
  indent,
  join,
  line,
  softline,
  type Doc,
} from '../components/printing';
import type { PrintContext } from '../components/printContext';
import { typeOfAttribute } from '../components/attributeTypes';
import { areRows, keyField, valueLiteral, type ValueWriter } from '../components/rows';
import type {
  Component,
  Field,
  FieldReference,
  Row,
  TemplateElement,
  TemplateNode,
  TemplateValue,
} from '../components/template';

/** What JSX is printed with. */
export interface JsxContext extends PrintContext {
  /** True where class names are looked up in a CSS module. */
  readonly hasModules: boolean;
  /** How the values of fields are written. */
  readonly values: ValueWriter;
}

/** Elements that a router takes over. */
const LINK = 'Link';

/** One node as JSX. */
export function jsxOf(node: TemplateNode, context: JsxContext): Doc {
  switch (node.kind) {
    case 'element':
      return context.from(node.origin, conditional(node.shownBy, elementJsx(node, context), context));
    case 'text':
      return `{${typeof node.value === 'string' ? stringLiteral(node.value) : node.value.field}}`;
    case 'slot':
      return slotJsx(node.name, node.sample, context);
    case 'list':
      return listJsx(node.component, node.rows, context);
    case 'use':
      return context.from(node.row.origin, useJsx(node.component, node.row, context));
  }
}

/** An element that is left out without a field. */
function conditional(field: string | null, code: Doc, { fields }: JsxContext): Doc {
  if (field === null) return code;
  const condition = fields.get(field)?.type.kind === 'flag' ? field : `${field} !== undefined`;
  return [
    '{',
    condition,
    ' && ',
    group([ifBreak('('), indent([softline, code]), softline, ifBreak(')')]),
    '}',
  ];
}

function elementJsx(element: TemplateElement, context: JsxContext): Doc {
  const isLink = element.name === 'a';
  const name = isLink ? context.imports.name(LINK, 'components/Link') : element.name;
  const attributes = attributesOf(element, context);
  const isMultiline = element.name === 'textarea';
  const children = isMultiline ? [] : element.children;
  const opening = openingTag(name, attributes, children.length === 0);
  if (children.length === 0) return opening;
  const inner = childrenJsx(children, context);
  const mustBreak =
    attributes.length > 1 ||
    children.some(({ kind }) => kind !== 'text') ||
    children.filter((child) => child.kind === 'text' && typeof child.value !== 'string').length > 1;
  const around = mustBreak ? hardline : softline;
  return group([opening, indent([around, fill([...inner])]), around, `</${name}>`]);
}

function openingTag(name: string, attributes: readonly Doc[], isEmpty: boolean): Doc {
  if (attributes.length === 0) return isEmpty ? `<${name} />` : `<${name}>`;
  const [only] = attributes;
  const end = isEmpty ? '/>' : '>';
  if (attributes.length === 1 && typeof only === 'string' && /="[^"]*"$/.test(only))
    return `<${name} ${only}${isEmpty ? ' />' : '>'}`;
  return group([
    `<${name}`,
    indent(attributes.map((each): Doc => [line, each])),
    isEmpty ? line : softline,
    end,
  ]);
}

/** White space as JSX keeps it at the end of a line. */
const SPACE = '{" "}';

/** Children with what stands between them, as `fill` takes them. */
function childrenJsx(children: readonly TemplateNode[], context: JsxContext): readonly Doc[] {
  const inner: Doc[] = [];
  const push = (code: Doc, before: Doc) => {
    if (inner.length > 0) inner.push(before);
    inner.push(code);
  };
  const space: Doc = ifBreak([SPACE, softline], ' ');
  // What the words after a node stand apart by; other nodes stand on lines of their own.
  let after: Doc = softline;
  let areWords = false;
  for (const [index, child] of children.entries()) {
    if (child.kind === 'text' && typeof child.value === 'string' && isPlainAt(child.value, index, children)) {
      const text = child.value;
      const words = text.split(' ').filter((word) => word !== '');
      for (const [at, word] of words.entries())
        push(word, at > 0 ? line : text.startsWith(' ') ? space : after);
      after = text.endsWith(' ') ? space : softline;
      areWords = true;
      continue;
    }
    const isTag = child.kind === 'element' && child.children.length > 0;
    const before = areWords && (after === space || isTag) ? after : hardline;
    if (child.kind === 'element' && child.note !== undefined) {
      push(`{/* ${commentText(child.note)} */}`, before);
      push(jsxOf(child, context), hardline);
    } else push(jsxOf(child, context), before);
    after = isTag ? softline : hardline;
    areWords = false;
  }
  return inner;
}

/** True for plain words without white space at an edge of what they stand in, where JSX drops it. */
function isPlainAt(text: string, at: number, children: readonly TemplateNode[]): boolean {
  const isCut = (at === 0 && text.startsWith(' ')) || (at === children.length - 1 && text.endsWith(' '));
  return isPlain(text) && !isCut;
}

/** Words that do not end the comment that they stand in. */
export function commentText(words: string): string {
  return words.replaceAll('*/', '* /');
}

/** True for words that stand in JSX as they are: its own signs and further spaces must be written as code. */
function isPlain(text: string): boolean {
  return !/[{}<>&\u00a0]|[^\S ]| {2}/.test(text);
}

function attributesOf(element: TemplateElement, context: JsxContext): readonly Doc[] {
  const classes = classJsx(element, context);
  const entries = Object.entries(element.attributes).map(([name, value]) =>
    attributeJsx(element, name, value, context),
  );
  const states = element.states.map(({ attribute, on, off, field }): Doc => {
    const name = REACT_ATTRIBUTES[attribute] ?? attribute;
    if (on === true) return `${name}={${field}}`;
    return off === null ? `${name}={${field} || undefined}` : `${name}={${field}}`;
  });
  const words = element.name === 'textarea' ? textareaValue(element) : [];
  const spread = element.spread === null ? [] : [`{...${element.spread}}`];
  return [...classes, ...entries, ...words, ...states, ...spread];
}

/** The words of a text area are its value (React DOM, `<textarea>`). */
function textareaValue({ children }: TemplateElement): readonly Doc[] {
  return children.flatMap((child) => {
    if (child.kind !== 'text') return [];
    return typeof child.value === 'string'
      ? [valueOf('defaultValue', stringLiteral(child.value))]
      : [`defaultValue={${child.value.field}}`];
  });
}

function classJsx(
  { classes, classField }: TemplateElement,
  { hasModules, fields }: JsxContext,
): readonly Doc[] {
  if (classes.length === 0 && classField === null) return [];
  if (classField === null)
    return [hasModules ? `className={${classesInModule(classes)}}` : `className="${classes.join(' ')}"`];
  if (classes.length === 0) return [`className={${classField}}`];
  const own = hasModules ? classesInModule(classes).replace(/^`|`$/g, '') : classes.join(' ');
  const fixed = hasModules && classes.length === 1 ? `\${${own}}` : own;
  const isOptional = fields.get(classField)?.isOptional ?? false;
  const both = `\`${fixed} \${${classField}}\``;
  if (!isOptional) return [group(['className={', indent([softline, both]), softline, '}'])];
  const alone = hasModules ? classesInModule(classes) : stringLiteral(classes.join(' '));
  const choice = group([classField, indent([line, '? ', both, line, ': ', alone])]);
  return [group(['className={', indent([softline, choice]), softline, '}'])];
}

/** The names of classes as a CSS module gives them. */
function classesInModule(classes: readonly string[]): string {
  const looked = classes.map((name) =>
    /^[a-z]\w*$/i.test(name) ? `styles.${name}` : `styles[${stringLiteral(name)}]`,
  );
  return looked.length === 1 ? looked[0]! : `\`${looked.map((each) => `\${${each}}`).join(' ')}\``;
}

function attributeJsx(
  element: TemplateElement,
  name: string,
  value: TemplateValue,
  context: JsxContext,
): Doc {
  const own = reactName(element.name, name);
  if (typeof value === 'object') return `${own}={${value.field}}`;
  if (value === true) return own;
  const { kind } = typeOfAttribute(name);
  if (kind === 'style') return [`${own}={`, styleLiteral(value), '}'];
  if (kind === 'file' || kind === 'files')
    return valueOf(own, context.imports.fileLiteral(value, context.files));
  return valueOf(own, stringLiteral(value));
}

/** The name of an attribute in JSX: what a reader may change begins with what is drawn. */
function reactName(element: string, name: string): string {
  if (name === 'value' && element === 'input') return 'defaultValue';
  return REACT_ATTRIBUTES[name] ?? name;
}

/** A string in its quotes; what JSX would read otherwise, or an expression, in braces. */
function valueOf(name: string, code: string): Doc {
  const isPlainString = code.startsWith('"') && !/[&\\]/.test(code);
  return `${name}=${isPlainString ? code : `{${code}}`}`;
}

function slotJsx(name: string, sample: readonly TemplateNode[], context: JsxContext): Doc {
  const inner = fill([...childrenJsx(sample, context)]);
  const shown: Doc = ['<>', indent([hardline, inner]), hardline, '</>'];
  return ['{', name, ' ?? ', group(['(', indent([hardline, shown]), hardline, ')']), '}'];
}

function listJsx(component: Component, rows: readonly Row[] | FieldReference, context: JsxContext): Doc {
  const isField = 'field' in rows;
  const data = isField ? rows.field : context.keepRows(component, rows);
  const isOptional = isField && (context.fields.get(rows.field)?.isOptional ?? false);
  const name = context.imports.name(component.name, `components/${component.name}`);
  const key = isField ? null : keyField(component, rows);
  const [parameters, identity] = key === null ? ['(row, index)', 'index'] : ['(row)', `row.${key}`];
  const item = openingTag(name, [`key={${identity}}`, '{...row}'], true);
  return [
    `{${data}${isOptional ? '?' : ''}.map(${parameters} => `,
    group(['(', indent([hardline, item]), hardline, ')']),
    ')}',
  ];
}

function useJsx(component: Component, { values }: Row, context: JsxContext): Doc {
  const name = context.imports.name(component.name, `components/${component.name}`);
  const attributes = component.fields.flatMap(({ name: field, type }): Doc[] => {
    const value = values[field];
    if (value === undefined) return [];
    if (value === true) return [field];
    if (typeof value !== 'boolean' && areRows(value)) {
      const rows = type.kind === 'rows' ? context.keepRows(type.of, value) : '[]';
      return [`${field}={${rows}}`];
    }
    const code = valueLiteral(type, value, context.values);
    return [
      typeof code === 'string' && typeof value === 'string'
        ? valueOf(field, code)
        : [`${field}={`, code, '}'],
    ];
  });
  return openingTag(name, attributes, true);
}

/** How React's values are written. */
export function valueWriter(context: Omit<JsxContext, 'values'>): ValueWriter {
  return {
    from: context.from,
    attributeName: (name) => reactName('input', name),
    literal: (kind, value) => {
      if (kind === 'style') return styleLiteral(value);
      if (kind === 'classes' && context.hasModules) return classesInModule(value.split(' '));
      return kind === 'file' || kind === 'files'
        ? context.imports.fileLiteral(value, context.files)
        : stringLiteral(value);
    },
  };
}

/** Fields in the order of the parameters: one on each line where they have no room. */
export function parametersOf(fields: readonly Field[], names: readonly string[], context: JsxContext): Doc {
  const entries: Doc[] = [
    ...fields.map(({ name, usual, type }): Doc =>
      usual === null ? name : [name, ' = ', valueLiteral(type, usual, context.values)],
    ),
    ...names,
  ];
  return group(['{', indent([line, join([',', line], entries)]), ifBreak(','), line, '}']);
}
