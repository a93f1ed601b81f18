import { withoutEffects } from '../nearly';
import { withoutFilters } from '../plainCapabilities';
import { withAnyMemo } from '../../mockup/memoize';
import type { LayerId } from '../../mockup/layer';
import type { Page } from '../../page/frame';
import { findNode } from '../../page/findNode';
import { componentOfElement, componentsOf, screenNames } from '../components/components';
import type { ComponentStyle } from '../components/generalise';
import { spansOfPage } from '../components/printing';
import type { Component, Field, FieldValue } from '../components/template';
import { elementsOf, rowsOfComponents } from '../components/uses';
import type { EmitInput, EmittedFile, Fragment, FragmentInput, Target, TargetOutput } from '../target';
import { BOX_SHADOW } from './boxShadow';
import { nodeObject, screenObject } from './objects';
import { qmlFile, typeOfValues, type QmlStyle, type QmlType } from './printQml';
import { qmlTokens } from './tokens';

/** Types of Qt Quick: no component has their names. */
const TYPES = new Set(
  `Item Rectangle Text Image Shape Row Column Grid Flow Repeater Loader State Timer Window Binding Connections Gradient
  Path Transition Animation Keys Scale Rotation Translate Flickable Component Tokens BoxShadow Qt Font`.split(
    /\s+/,
  ),
);

const STYLE: ComponentStyle = {
  hasClasses: false,
  hasGroups: false,
  words: { name: 'text', wordsOf: (value) => (value.startsWith('"') ? value.slice(1, -1) : null) },
  hasStates: true,
  // The rows of a model have no models of their own; what has a model is written use by use.
  lists: { mostNested: 2, inShared: true, leastElements: 1 },
  isName: (name) => !TYPES.has(name),
};

/** QML for Qt Quick 6: a file for each screen, shared block and list. */
export const qml = {
  name: 'qml',
  label: 'QML',
  capabilities: withoutFilters('Qt Quick'),
  options: {},
  nearly: withoutEffects,
  // Debian's packages of Qt read no WebP; its SVG is that of SVG Tiny 1.2.
  pictures: { photos: 'jpeg', svg: 'plain' },
  fitsBrowsers: false,
  emit: (input: EmitInput): TargetOutput => withAnyMemo(() => emitFiles(input)),
  pageFile: (pages: readonly Page[], at: number) => `${screenNames(pages, STYLE)[at]}.qml`,
  fragment: (input: FragmentInput, layer: LayerId) => withAnyMemo(() => fragment(input, layer)),
} as const satisfies Target;

function emitFiles(input: EmitInput): TargetOutput {
  const tokens = qmlTokens(input);
  const context = { ...input, tokenOf: tokens.family };
  const pages = input.pages.map((page) => ({ page, markup: screenObject(page, context), address: '' }));
  const { parts, screens } = componentsOf(pages, STYLE);
  const all = [...parts, ...screens];
  const style: QmlStyle = { tokenOf: tokens.colour, ...fieldFacts(all) };
  const written = screens.map((screen, at) => {
    const { text, spans } = qmlFile(screen, style);
    return { path: `${screen.name}.qml`, text, spans: spansOfPage(pages[at]!.markup, spans) };
  });
  const hasShadows = all.some((each) => elementsOf(each).some(({ name }) => name === 'BoxShadow'));
  const files: EmittedFile[] = [
    ...written.map(({ path, text }) => ({ path, text })),
    ...parts.map((part) => ({ path: `${part.name}.qml`, text: qmlFile(part, style).text })),
    ...(hasShadows ? [BOX_SHADOW] : []),
    { path: 'Tokens.qml', text: tokens.text },
  ];
  return {
    files: [...files, directory(files)],
    sourceMap: Object.fromEntries(written.map(({ path, spans }) => [path, spans])),
  };
}

/** The list of the types in a folder (Qt, Module Definition qmldir Files). */
function directory(files: readonly EmittedFile[]): EmittedFile {
  const lines = files.map(({ path }) => {
    const name = path.replace(/\.qml$/, '');
    return `${name === 'Tokens' ? 'singleton ' : ''}${name} 1.0 ${path}\n`;
  });
  return { path: 'qmldir', text: lines.join('') };
}

/** The types of fields by all that their uses say, and whether any does. */
function fieldFacts(components: readonly Component[]): Pick<QmlStyle, 'typeOf' | 'isSaid'> {
  const rows = rowsOfComponents(components);
  const known = new Map<Field, QmlType>();
  const typeOf = (component: Component, { name, type, usual }: Field): QmlType => {
    if (type.kind === 'flag') return 'bool';
    if (type.kind === 'rows') return 'ListModel';
    const said = (rows.get(component) ?? []).map(({ values }) => values[name]);
    return typeOfValues([...said, usual ?? undefined].filter(isWords), name);
  };
  return {
    typeOf: (component, field) => {
      const found = known.get(field) ?? typeOf(component, field);
      known.set(field, found);
      return found;
    },
    isSaid: (component, { name }) =>
      (rows.get(component) ?? []).some(({ values }) => values[name] !== undefined),
  };
}

function isWords(value: FieldValue | undefined): value is string {
  return typeof value === 'string';
}

/** The code of one layer as a component, and the components of its lists. */
function fragment(input: FragmentInput, layer: LayerId): Fragment {
  const found = findNode(input.pages, input.decisions, layer);
  const partsOf = (own: string, lists: string) => [
    { title: 'QML', language: 'jsx' as const, code: own },
    { title: 'Its lists', language: 'jsx' as const, code: lists },
  ];
  if (!found) return { shown: null, parts: partsOf('', '') };
  const tokens = qmlTokens(input);
  const made = nodeObject(found.node, { ...input, tokenOf: tokens.family });
  const { whole, parts } = componentOfElement(found.node.name, made, STYLE);
  const style: QmlStyle = { tokenOf: tokens.colour, ...fieldFacts([whole, ...parts]) };
  return {
    shown: found.node.layer,
    parts: partsOf(qmlFile(whole, style).text, parts.map((part) => qmlFile(part, style).text).join('\n')),
  };
}
