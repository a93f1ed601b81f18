import Specificity from '@bramus/specificity';
import { compile } from 'css-select';
import * as cssTree from 'css-tree';
import type { Report } from '../../findings/finding';
import { elementsIn, textIn, descendants, type XmlNode } from '../xml/node';
import { expandShorthand } from './shorthands';
import { isPresentationAttribute, isProperty, type Property } from './properties';

/** The declarations that win on one element, before inheritance. Custom properties keep their dashes. */
export type Declared = ReadonlyMap<string, string>;

/** A `@font-face` rule's descriptors, by name. */
export type FontFaceRule = Readonly<Record<string, string>>;

export interface Cascade {
  declaredOn(node: XmlNode): Declared;
  readonly fontFaces: readonly FontFaceRule[];
}

interface Declaration {
  readonly property: string;
  readonly value: string;
  readonly important: boolean;
}

interface Rule {
  readonly matches: (node: XmlNode) => boolean;
  readonly specificity: number;
  readonly declarations: readonly Declaration[];
}

/** Gathers every style sheet below `root` and answers which declarations win (CSS Cascade 4, §6). */
export function readCascade(root: XmlNode, report: Report): Cascade {
  const rules: Rule[] = [];
  const fontFaces: FontFaceRule[] = [];
  for (const node of descendants(root)) {
    if (node.name === 'style') readSheet(textIn(node), rules, fontFaces, report);
  }
  // Array.sort is stable, so equal specificity keeps the order of appearance.
  rules.sort((one, other) => one.specificity - other.specificity);
  return { declaredOn: (node) => declaredOn(node, rules, report), fontFaces };
}

function declaredOn(node: XmlNode, rules: readonly Rule[], report: Report): Declared {
  const normal = new Map<string, string>();
  const important = new Map<string, string>();
  const add = ({ property, value, important: strong }: Declaration) => {
    if (strong) important.set(property, value);
    else normal.set(property, value);
  };
  for (const [name, value] of Object.entries(node.attributes)) {
    if (isPresentationAttribute(node.name, name)) normal.set(name, value.trim());
    else if (name === 'font' || name === 'marker')
      for (const part of expandShorthand(name, value)) normal.set(...part);
  }
  for (const rule of rules) if (rule.matches(node)) rule.declarations.forEach(add);
  const inline = node.attributes.style;
  if (inline) {
    const list = parseCss(inline, 'declarationList', report);
    if (list?.type === 'DeclarationList') readDeclarations(list.children, report).forEach(add);
  }
  for (const [property, value] of important) normal.set(property, value);
  return normal;
}

function parseCss(
  text: string,
  context: 'stylesheet' | 'declarationList',
  report: Report,
): cssTree.CssNode | null {
  return cssTree.parse(text, {
    context,
    parseCustomProperty: false,
    onParseError: (error) => report('css-ignored', null, { what: error.message }),
  });
}

function readSheet(text: string, rules: Rule[], fontFaces: FontFaceRule[], report: Report): void {
  const sheet = parseCss(text, 'stylesheet', report);
  if (sheet?.type === 'StyleSheet') readRules(sheet.children, rules, fontFaces, report);
}

function readRules(
  nodes: Iterable<cssTree.CssNode>,
  rules: Rule[],
  fontFaces: FontFaceRule[],
  report: Report,
): void {
  for (const node of nodes) {
    if (node.type === 'Rule') readRule(node, rules, report);
    else if (node.type === 'Atrule') readAtRule(node, rules, fontFaces, report);
  }
}

function readAtRule(node: cssTree.Atrule, rules: Rule[], fontFaces: FontFaceRule[], report: Report): void {
  const prelude = node.prelude ? cssTree.generate(node.prelude) : '';
  if (node.name === 'font-face' && node.block) {
    const entries = readDeclarations(node.block.children, report, () => true);
    fontFaces.push(Object.fromEntries(entries.map(({ property, value }) => [property, value])));
  } else if (node.name === 'media' && node.block) {
    if (appliesToScreen(prelude)) readRules(node.block.children, rules, fontFaces, report);
    else if (!/^print\b/.test(prelude)) report('css-ignored', null, { what: `@media ${prelude}` });
  } else if (node.name === 'import') {
    report('outside-reference', null, { what: '@import', target: prelude });
  } else if (!['charset', 'namespace'].includes(node.name)) {
    report('css-ignored', null, { what: `@${node.name}` });
  }
}

/** A query without conditions on screens applies; a conditional one depends on a viewer that a mockup has not. */
function appliesToScreen(query: string): boolean {
  return query
    .split(',')
    .some((part) => ['', 'all', 'screen', 'only screen'].includes(part.trim().toLowerCase()));
}

function readRule(node: cssTree.Rule, rules: Rule[], report: Report): void {
  if (node.prelude.type !== 'SelectorList') return;
  const declarations = readDeclarations(node.block.children, report);
  if (declarations.length === 0) return;
  for (const selector of node.prelude.children) {
    const text = cssTree.generate(selector);
    try {
      const matches = compile<XmlNode | string, XmlNode>(text, {
        adapter: ADAPTER,
        xmlMode: true,
        cacheResults: false,
      });
      rules.push({ matches, specificity: specificityOf(text), declarations });
    } catch {
      report('css-ignored', null, { what: `selector ${text}` });
    }
  }
}

/** One number that orders as the three of CSS Selectors 4, §17 do. */
function specificityOf(selector: string): number {
  const { a, b, c } = Specificity.calculate(selector)[0]?.toObject() ?? { a: 0, b: 0, c: 0 };
  return a * 1e6 + b * 1e3 + c;
}

function readDeclarations(
  nodes: Iterable<cssTree.CssNode>,
  report: Report,
  wanted: (property: string) => boolean = (property) => isProperty(property) || property.startsWith('--'),
): Declaration[] {
  const found: Declaration[] = [];
  for (const node of nodes) {
    if (node.type !== 'Declaration') continue;
    const value = cssTree.generate(node.value).trim();
    const important = node.important !== false;
    const parts = expandShorthand(node.property, value);
    if (parts.length > 0) {
      for (const [property, part] of parts) found.push({ property, value: part, important });
    } else if (wanted(node.property)) {
      found.push({ property: node.property, value, important });
    }
  }
  return found;
}

/** Lets css-select walk our own tree. */
const ADAPTER = {
  isTag: (node: XmlNode | string): node is XmlNode => typeof node !== 'string',
  getAttributeValue: (node: XmlNode, name: string) => node.attributes[name],
  getChildren: (node: XmlNode | string) => (typeof node === 'string' ? [] : [...node.children]),
  getName: (node: XmlNode) => node.name,
  getParent: (node: XmlNode | string) => (typeof node === 'string' ? null : node.parent),
  getSiblings: (node: XmlNode | string) =>
    typeof node === 'string' ? [] : node.parent ? elementsIn(node.parent) : [node],
  getText: (node: XmlNode | string) => (typeof node === 'string' ? node : textIn(node)),
  hasAttrib: (node: XmlNode, name: string) => Object.hasOwn(node.attributes, name),
  removeSubsets: (nodes: (XmlNode | string)[]) => nodes,
  equals: (one: XmlNode | string, other: XmlNode | string) => one === other,
};

/** The values after inheritance: every property has one. */
export type ComputedStyle = Readonly<Record<Property, string>>;
