import * as cssTree from 'css-tree';
import type { Report } from '../../findings/finding';
import { textIn, descendants, type XmlNode } from '../xml/node';
import { LIMITS } from '../limits';
import { nestsDeeper } from './cssDepth';
import { matchesMedia, type Viewport } from './media';
import { createMatcher, type Declaration, type Matcher, type Rule } from './matcher';
import { expandShorthand } from './shorthands';
import { GEOMETRY, isPresentationAttribute, isProperty, type Property } from './properties';

/** The declarations that win on one element, before inheritance. Custom properties keep their dashes. */
export type Declared = ReadonlyMap<string, string>;

/** A `@font-face` rule's descriptors, by name. */
export type FontFaceRule = Readonly<Record<string, string>>;

export interface Cascade {
  /** @param scope the target of the `use` that draws the node: selectors see nothing around it (SVG 2, §5.6.4) */
  declaredOn(node: XmlNode, scope?: XmlNode | null): Declared;
  readonly fontFaces: readonly FontFaceRule[];
}

/** Gathers every style sheet below `root` and answers which declarations win (CSS Cascade 4, §6). */
export function readCascade(root: XmlNode, report: Report, viewport: Viewport): Cascade {
  const matcher = createMatcher(report);
  const fontFaces: FontFaceRule[] = [];
  for (const node of descendants(root)) {
    if (node.name === 'style' && isCss(node))
      readSheet(textIn(node), { matcher, fontFaces, report, viewport });
  }
  // Drawings repeat their inline styles thousands of times.
  const inlines = new Map<string, readonly Declaration[]>();
  const inlineOf = (text: string): readonly Declaration[] => {
    const known = inlines.get(text);
    if (known) return known;
    const list = parseCss(text, 'declarationList', report);
    const read = list?.type === 'DeclarationList' ? readDeclarations(list.children, report, false) : [];
    inlines.set(text, read);
    return read;
  };
  return {
    declaredOn: (node, scope = null) => declaredOn(node, matcher.rulesFor(node, scope), inlineOf),
    fontFaces,
  };
}

function isCss({ attributes: { type } }: XmlNode): boolean {
  return type === undefined || type.trim() === '' || /^text\/css\b/i.test(type.trim());
}

function declaredOn(
  node: XmlNode,
  rules: Iterable<Rule>,
  inlineOf: (text: string) => readonly Declaration[],
): Declared {
  const normal = new Map<string, string>();
  const important = new Map<string, string>();
  const add = ({ property, value, important: strong }: Declaration) => {
    if (strong) important.set(property, value);
    else normal.set(property, value);
  };
  for (const name in node.attributes) {
    if (isPresentationAttribute(node.name, name)) normal.set(name, node.attributes[name]!.trim());
  }
  for (const rule of rules) rule.declarations.forEach(add);
  if (node.attributes.style) inlineOf(node.attributes.style).forEach(add);
  for (const [property, value] of important) normal.set(property, value);
  return normal;
}

function parseCss(
  text: string,
  context: 'stylesheet' | 'declarationList',
  report: Report,
): cssTree.CssNode | null {
  if (nestsDeeper(text, LIMITS.depth)) {
    report('css-ignored', null, { what: `it nests more than ${LIMITS.depth} deep` });
    return null;
  }
  return cssTree.parse(text, {
    context,
    parseCustomProperty: false,
    onParseError: (error) => report('css-ignored', null, { what: error.message }),
  });
}

/** What the rules of a style sheet are read into. */
interface SheetReader {
  readonly matcher: Matcher;
  readonly fontFaces: FontFaceRule[];
  readonly report: Report;
  readonly viewport: Viewport;
}

function readSheet(text: string, reader: SheetReader): void {
  const sheet = parseCss(text, 'stylesheet', reader.report);
  if (sheet?.type === 'StyleSheet') readRules(sheet.children, reader);
}

function readRules(nodes: Iterable<cssTree.CssNode>, reader: SheetReader): void {
  for (const node of nodes) {
    if (node.type === 'Rule') readRule(node, reader.matcher, reader.report);
    else if (node.type === 'Atrule') readAtRule(node, reader);
  }
}

function readAtRule(node: cssTree.Atrule, reader: SheetReader): void {
  const { fontFaces, report, viewport } = reader;
  const prelude = node.prelude ? cssTree.generate(node.prelude) : '';
  if (node.name === 'font-face' && node.block) {
    const entries = readDeclarations(node.block.children, report, false, () => true);
    fontFaces.push(Object.fromEntries(entries.map(({ property, value }) => [property, value])));
  } else if (node.name === 'media' && node.block) {
    const applies = matchesMedia(prelude, viewport);
    if (applies === null) report('css-ignored', null, { what: `@media ${prelude}` });
    else if (applies) readRules(node.block.children, reader);
  } else if (node.name === 'import') {
    report('outside-reference', null, { what: '@import', target: prelude });
  } else if (!['charset', 'namespace'].includes(node.name)) {
    report('css-ignored', null, { what: `@${node.name}` });
  }
}

function readRule(node: cssTree.Rule, matcher: Matcher, report: Report): void {
  if (node.prelude.type !== 'SelectorList') return;
  const declarations = readDeclarations(node.block.children, report, true);
  if (declarations.length === 0) return;
  for (const selector of node.prelude.children) {
    if (selector.type === 'Selector') matcher.add(selector, declarations);
  }
}

function readDeclarations(
  nodes: Iterable<cssTree.CssNode>,
  report: Report,
  strict: boolean,
  wanted: (property: string) => boolean = (property) => isProperty(property) || property.startsWith('--'),
): Declaration[] {
  const found: Declaration[] = [];
  for (const node of nodes) {
    if (node.type !== 'Declaration') continue;
    const value = cssTree.generate(node.value).trim();
    const important = node.important !== false;
    if (strict && WITH_UNIT.has(node.property) && isBareNumber(value)) continue;
    const parts = expandShorthand(node.property, value);
    if (parts.length > 0) {
      for (const [property, part] of parts) found.push({ property, value: part, important });
    } else if (wanted(node.property)) {
      found.push({ property: node.property, value, important });
    }
  }
  return found;
}

/** Lengths that a style sheet must give a unit, where attributes and inline styles take a bare number, as browsers do. */
const WITH_UNIT: ReadonlySet<string> = new Set([
  ...GEOMETRY,
  'font-size',
  'letter-spacing',
  'word-spacing',
  'baseline-shift',
]);

function isBareNumber(value: string): boolean {
  return /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(value) && Number(value) !== 0;
}

/** The values after inheritance: every property has one. */
export type ComputedStyle = Readonly<Record<Property, string>>;
