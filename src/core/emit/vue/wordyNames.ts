import { freeName } from '../../markup/freeName';
import { kebabCase, pascalCase } from '../components/identifiers';
import type { Component, Components, FieldType, TemplateNode } from '../components/template';

/**
 * The components with names of at least two words, so that none is ever an element of HTML (style guide of Vue,
 * multi-word component names).
 */
export function inWordyNames({ parts, screens }: Components): Components {
  const own = screens.map(({ name }) => name);
  const names = new Map(wordyScreenNames(own).map((name, at) => [own[at]!, name]));
  const taken = new Set([...names.values(), ...parts.map(({ name }) => name).filter(isWordy)]);
  for (const { name } of parts) if (!isWordy(name)) names.set(name, wordyName(name, 'part', taken));
  const known = new Map<Component, Component>();
  const renamed = <Of extends Component>(component: Of): Of => {
    const found = known.get(component);
    if (found) return found as Of;
    const made = {
      ...component,
      name: names.get(component.name) ?? component.name,
      fields: component.fields.map((field) => ({ ...field, type: ofType(field.type) })),
      root: within(component.root) as Component['root'],
    };
    known.set(component, made);
    return made;
  };
  const ofType = (type: FieldType): FieldType =>
    type.kind === 'rows' ? { ...type, of: renamed(type.of) } : type;
  const within = (node: TemplateNode): TemplateNode => {
    switch (node.kind) {
      case 'element':
        return { ...node, children: node.children.map(within) };
      case 'slot':
        return { ...node, sample: node.sample.map(within) };
      case 'list':
      case 'use':
        return { ...node, component: renamed(node.component) };
      case 'text':
        return node;
    }
  };
  return { parts: parts.map(renamed), screens: screens.map(renamed) };
}

/** The names of screens with at least two words, no two the same. */
export function wordyScreenNames(names: readonly string[]): readonly string[] {
  const taken = new Set(names);
  return names.map((name) => (isWordy(name) ? name : wordyName(name, 'screen', taken)));
}

function wordyName(name: string, word: string, taken: Set<string>): string {
  const free = pascalCase(freeName(`${kebabCase(name)}-${word}`, (each) => taken.has(pascalCase(each))));
  taken.add(free);
  return free;
}

function isWordy(name: string): boolean {
  return kebabCase(name).includes('-');
}
