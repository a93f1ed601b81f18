import { escapeAttribute, escapeComment, escapeText, VOID_ELEMENTS } from '../../markup/printHtml';
import { kebabCase } from '../components/identifiers';
import { keyField } from '../components/rows';
import type { PrintContext } from '../components/printContext';
import { typeOfAttribute } from '../components/attributeTypes';
import { hardline, type Doc } from '../components/printing';
import type {
  Component,
  FieldReference,
  Row,
  TemplateElement,
  TemplateNode,
  TemplateValue,
} from '../components/template';

/** What a template is printed with. */
export interface TemplateContext extends PrintContext {
  /** Keeps what one use of a component says. @returns the name of the constant */
  readonly keepUse: (component: Component, row: Row) => string;
}

/** The component that every link goes through. */
const LINK = 'SiteLink';

/**
 * The attributes of an element by their order in the style guide of Vue: lists, conditions, ids, keys, all others
 * (eslint-plugin-vue, attributes-order).
 */
interface Attributes {
  readonly list?: string;
  readonly condition?: string;
  readonly key?: string;
  readonly others: readonly string[];
}

/** One node as the lines of a template. */
export function templateOf(node: TemplateNode, margin: string, context: TemplateContext): Doc {
  switch (node.kind) {
    case 'element':
      return context.from(node.origin, elementLines(node, margin, context));
    case 'text':
      return margin + textOf(node.value);
    case 'slot':
      return slotLines(node.name, node.sample, margin, context);
    case 'list':
      return listLine(node.component, node.rows, margin, context);
    case 'use':
      return context.from(node.row.origin, useLine(node.component, node.row, margin, context));
  }
}

function elementLines(element: TemplateElement, margin: string, context: TemplateContext): Doc {
  const isLink = element.name === 'a';
  const name = isLink ? context.imports.whole(LINK, `components/${LINK}.vue`) : element.name;
  const attributes = attributesOf(element, context);
  const { children } = element;
  if (VOID_ELEMENTS.has(name)) return margin + tag(name, attributes, margin, '>');
  if (children.length === 0) return margin + tag(name, attributes, margin, ' />');
  const opening = margin + tag(name, attributes, margin, '>');
  // White space around words is drawn where a text keeps its spaces: words stand close to their element.
  if (isClose(element))
    return [opening, ...children.map((child) => closeTo(child, margin, context)), `</${name}>`];
  const inner = children.flatMap((child): Doc[] => [
    hardline,
    ...(child.kind === 'element' && child.note !== undefined
      ? [`${margin}  <!-- ${escapeComment(child.note)} -->`, hardline]
      : []),
    templateOf(child, `${margin}  `, context),
  ]);
  return [opening, ...inner, hardline, `${margin}</${name}>`];
}

/** True for an element with words, or inside of words. */
function isClose({ children, isInline }: TemplateElement): boolean {
  return isInline || children.some(({ kind }) => kind === 'text');
}

/** A node between words, on their line. */
function closeTo(node: TemplateNode, margin: string, context: TemplateContext): Doc {
  if (node.kind === 'text') return textOf(node.value);
  if (node.kind !== 'element') return templateOf(node, '', context);
  const name = node.name === 'a' ? context.imports.whole(LINK, `components/${LINK}.vue`) : node.name;
  const attributes = attributesOf(node, context);
  const opening = tag(name, attributes, margin, '>');
  if (VOID_ELEMENTS.has(name)) return context.from(node.origin, opening);
  const inner = node.children.map((child) => closeTo(child, margin, context));
  return context.from(node.origin, [opening, ...inner, `</${name}>`]);
}

/** An opening tag: one attribute on its line, several on lines of their own. */
function tag(
  name: string,
  { list, condition, key, others }: Attributes,
  margin: string,
  end: string,
): string {
  const all = [list, condition, ...others.filter((each) => each.startsWith('id=')), key]
    .filter((each) => each !== undefined)
    .concat(others.filter((each) => !each.startsWith('id=')));
  if (all.length === 0) return `<${name}${end}`;
  if (all.length === 1) return `<${name} ${all[0]!}${end}`;
  return `<${name}${all.map((each) => `\n${margin}  ${each}`).join('')}\n${margin}${end.trimStart()}`;
}

function attributesOf(element: TemplateElement, context: TemplateContext): Attributes {
  const { classes, classField, spread, states, shownBy } = element;
  const condition =
    shownBy === null
      ? undefined
      : context.fields.get(shownBy)?.type.kind === 'flag'
        ? `v-if="${shownBy}"`
        : `v-if="${shownBy} !== undefined"`;
  const others = [
    ...(classes.length > 0 ? [`class="${escapeAttribute(classes.join(' '))}"`] : []),
    ...(classField === null ? [] : [`:class="${classField}"`]),
    ...Object.entries(element.attributes).map(([name, value]) => attributeOf(name, value, context)),
    ...states.map(({ attribute, on, off, field }) =>
      on === true || off !== null ? `:${attribute}="${field}"` : `:${attribute}="${field} || undefined"`,
    ),
    ...(spread === null ? [] : [`v-bind="${spread}"`]),
  ];
  return { ...(condition && { condition }), others };
}

function attributeOf(name: string, value: TemplateValue, { files }: TemplateContext): string {
  if (typeof value === 'object') return `:${name}="${value.field}"`;
  if (value === true) return name;
  const { kind } = typeOfAttribute(name);
  const isFile = kind === 'file' || kind === 'files';
  return `${name}="${escapeAttribute(isFile ? fromFolder(value, files) : value)}"`;
}

/** Addresses of files from a component's folder, as bundlers import them. */
function fromFolder(value: string, files: ReadonlySet<string>): string {
  return value
    .split(', ')
    .map((each) => (files.has(each.split(' ')[0]!) ? `../${each}` : each))
    .join(', ');
}

/** Words in a template; an expression where they would be read otherwise, or lose white space. */
function textOf(value: string | FieldReference): string {
  if (typeof value !== 'string') return `{{ ${value.field} }}`;
  if (!/\{\{|\}\}|[^\S ]| {2}/.test(value)) return escapeText(value);
  const literal = JSON.stringify(value)
    .replaceAll('&', '\\u0026')
    .replaceAll('<', '\\u003c')
    .replaceAll('}}', '}\\u007d');
  return `{{ ${literal} }}`;
}

function slotLines(
  name: string,
  sample: readonly TemplateNode[],
  margin: string,
  context: TemplateContext,
): Doc {
  const inner = sample.flatMap((child): Doc[] => [hardline, templateOf(child, `${margin}  `, context)]);
  return [`${margin}<slot name="${name}">`, ...inner, hardline, `${margin}</slot>`];
}

function listLine(
  component: Component,
  rows: readonly Row[] | FieldReference,
  margin: string,
  context: TemplateContext,
): string {
  const isField = 'field' in rows;
  const data = isField ? rows.field : context.keepRows(component, rows);
  const isOptional = isField && (context.fields.get(rows.field)?.isOptional ?? false);
  const name = context.imports.whole(component.name, `components/${component.name}.vue`);
  const key = isField ? null : keyField(component, rows);
  const [each, identity] = key === null ? ['(row, index)', 'index'] : ['row', `row.${key}`];
  const attributes = {
    list: `v-for="${each} in ${data}${isOptional ? ' ?? []' : ''}"`,
    key: `:key="${identity}"`,
    others: ['v-bind="row"'],
  };
  return margin + tag(name, attributes, margin, ' />');
}

function useLine(component: Component, { values }: Row, margin: string, context: TemplateContext): string {
  const name = context.imports.whole(component.name, `components/${component.name}.vue`);
  const entries = Object.entries(values);
  const isPlain = entries.every(([, value]) => value === true || typeof value === 'string');
  const others = isPlain
    ? entries.map(([field, value]) =>
        value === true ? kebabCase(field) : `${kebabCase(field)}="${escapeAttribute(String(value))}"`,
      )
    : [`v-bind="${context.keepUse(component, { values })}"`];
  return margin + tag(name, { others }, margin, ' />');
}
