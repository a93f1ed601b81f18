import { compile } from 'css-select';
import * as cssTree from 'css-tree';
import type { Report } from '../../findings/finding';
import { specificityOf } from '../../markup/specificity';
import { LIMITS } from '../limits';
import { elementsIn, textIn, type XmlNode } from '../xml/node';

export interface Declaration {
  readonly property: string;
  readonly value: string;
  readonly important: boolean;
}

export interface Rule {
  readonly declarations: readonly Declaration[];
}

interface SelectorRule extends Rule {
  readonly matches: (node: XmlNode) => boolean;
  readonly specificity: number;
  /** Its place among all rules. */
  readonly order: number;
}

export interface Matcher {
  add(selector: cssTree.Selector, declarations: readonly Declaration[]): void;
  /** The rules that match, the weakest first. Nothing outside of `scope` is seen. */
  rulesFor(node: XmlNode, scope: XmlNode | null): Iterable<Rule>;
}

/**
 * Finds the rules that match an element. Rules lie by the id, class or element that their last part asks for,
 * so that an element meets only those that can match it.
 */
export function createMatcher(report: Report): Matcher {
  const byMark = new Map<string, SelectorRule[]>();
  const walk = treeWalk();
  let order = 0;
  let tests = 0;
  const sorted = new Map<string, readonly SelectorRule[]>();
  const candidates = (node: XmlNode): readonly SelectorRule[] => {
    const { id, class: classes } = node.attributes;
    const ownMark = id !== undefined && byMark.has(`#${id}`) ? `#${id}` : '';
    const memory = `${node.name} ${ownMark} ${classes ?? ''}`;
    const ready = sorted.get(memory);
    if (ready) return ready;
    const marks = ['*', node.name, ownMark];
    for (const name of new Set(classes?.split(/\s+/))) marks.push(`.${name}`);
    const known = marks.filter((mark) => byMark.has(mark));
    const found = known.flatMap((mark) => byMark.get(mark) ?? []);
    found.sort((one, other) => one.specificity - other.specificity || one.order - other.order);
    sorted.set(memory, found);
    return found;
  };
  return {
    add(selector, declarations) {
      const text = cssTree.generate(selector);
      try {
        const matches = compile<XmlNode | string, XmlNode>(text, {
          adapter: walk.adapter,
          xmlMode: true,
          cacheResults: false,
          pseudos: PSEUDOS,
        });
        const rule = { matches, specificity: specificityOf(text), declarations, order: order++ };
        sorted.clear();
        const mark = markOf(selector);
        const alike = byMark.get(mark);
        if (alike) alike.push(rule);
        else byMark.set(mark, [rule]);
      } catch {
        report('css-ignored', null, { what: `selector ${text}` });
      }
    },
    rulesFor(node, scope) {
      if (order === 0) return [];
      const rules = candidates(node);
      tests += rules.length;
      if (tests > LIMITS.selectorTests) {
        report('css-too-much', null, { limit: LIMITS.selectorTests });
        return [];
      }
      return walk.within(scope, () => rules.filter((rule) => rule.matches(node)));
    },
  };
}

/** What an element must have to be matched: the last compound's id, else a class, else its name, else nothing. */
function markOf(selector: cssTree.Selector): string {
  const marks: { id?: string; class?: string; name?: string } = {};
  for (const part of selector.children) {
    if (part.type === 'Combinator') {
      delete marks.id;
      delete marks.class;
      delete marks.name;
    } else if (part.type === 'IdSelector') marks.id = `#${cssTree.ident.decode(part.name)}`;
    else if (part.type === 'ClassSelector') marks.class = `.${cssTree.ident.decode(part.name)}`;
    else if (part.type === 'TypeSelector') marks.name = part.name.replace(/^.*\|/, '');
  }
  return marks.id ?? marks.class ?? marks.name ?? '*';
}

/** Pseudo-classes that css-select asks of HTML's links; those of SVG have their address in XLink too. */
const PSEUDOS = {
  'any-link': isLink,
  link: isLink,
  visited: () => false,
};

function isLink({ name, attributes }: XmlNode): boolean {
  return name === 'a' && (attributes.href ?? attributes['xlink:href']) !== undefined;
}

/** An adapter of css-select to our own tree, limited to a scope. */
function treeWalk() {
  let scope: XmlNode | null = null;
  const siblings = new WeakMap<XmlNode, XmlNode[]>();
  const elements = (parent: XmlNode): XmlNode[] => {
    const known = siblings.get(parent) ?? elementsIn(parent);
    siblings.set(parent, known);
    return known;
  };
  const parentOf = (node: XmlNode): XmlNode | null => (node === scope ? null : node.parent);
  return {
    within<T>(limit: XmlNode | null, work: () => T): T {
      scope = limit;
      try {
        return work();
      } finally {
        scope = null;
      }
    },
    adapter: {
      isTag: (node: XmlNode | string): node is XmlNode => typeof node !== 'string',
      getAttributeValue: (node: XmlNode, name: string) => node.attributes[name],
      getChildren: (node: XmlNode | string) => (typeof node === 'string' ? [] : [...node.children]),
      getName: (node: XmlNode) => node.name,
      getParent: (node: XmlNode | string) => (typeof node === 'string' ? null : parentOf(node)),
      getSiblings: (node: XmlNode | string) => {
        if (typeof node === 'string') return [];
        const parent = parentOf(node);
        return parent ? elements(parent) : [node];
      },
      getText: (node: XmlNode | string) => (typeof node === 'string' ? node : textIn(node)),
      hasAttrib: (node: XmlNode, name: string) => Object.hasOwn(node.attributes, name),
      removeSubsets: (nodes: (XmlNode | string)[]) => nodes,
      equals: (one: XmlNode | string, other: XmlNode | string) => one === other,
    },
  };
}
