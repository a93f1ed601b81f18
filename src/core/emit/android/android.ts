import { nearly } from './nearly';
import { withoutFilters } from '../plainCapabilities';
import { withAnyMemo } from '../../mockup/memoize';
import type { LayerId } from '../../mockup/layer';
import type { Page } from '../../page/frame';
import { findNode } from '../../page/findNode';
import { componentOfElement, componentsOf, screenNames } from '../components/components';
import type { ComponentStyle } from '../components/generalise';
import { MarkedPrinter, spansOfPage } from '../components/printing';
import type { Component } from '../components/template';
import type { EmitInput, Fragment, FragmentInput, Target, TargetOutput } from '../target';
import { withDimens } from './dimens';
import { layoutName, Layouts } from './layouts';
import { resourceFile } from './printXml';
import { AndroidResources } from './resources';
import { nodeView, screenView } from './views';

/** Layouts, values and drawables for views of the Android framework. */
export const android = {
  name: 'android',
  label: 'Android',
  capabilities: withoutFilters('Android'),
  options: {},
  pictures: { photos: 'jpeg', svg: 'drawable', hasDensities: true },
  nearly,
  // Folders of resources hold resources alone.
  fonts: { folder: 'res/font', licences: 'licences', isPlain: true },
  fitsBrowsers: false,
  emit: (input: EmitInput): TargetOutput => withAnyMemo(() => emitFiles(input)),
  pageFile: (pages: readonly Page[], at: number) => `res/layout/${layoutNames(pages)[at]}.xml`,
  fragment: (input: FragmentInput, layer: LayerId) => withAnyMemo(() => fragment(input, layer)),
} as const satisfies Target;

/** Views have no classes; the theme of a use says values, no rows. */
function styleOf(resources: AndroidResources): ComponentStyle {
  return {
    hasClasses: false,
    hasGroups: false,
    hasStates: false,
    words: { name: 'android:text', wordsOf: (value) => resources.wordsOf(value) },
    // One view is as short as the use of a layout.
    lists: { mostNested: 1, inShared: false, leastElements: 2 },
    isName: () => true,
  };
}

/** The names of the layouts of screens, no two the same. */
function layoutNames(pages: readonly Page[]): readonly string[] {
  return screenNames(pages, { isName: () => true }).map((name) => layoutName({ name }));
}

function emitFiles(input: EmitInput): TargetOutput {
  const resources = new AndroidResources(input);
  const pages = input.pages.map((page) => ({
    page,
    markup: withDimens(screenView(page, resources), resources.dimen),
    address: '',
  }));
  const components = componentsOf(pages, styleOf(resources));
  const layouts = new Layouts(resources, components);
  const written = components.screens.map((screen, at) => {
    const { path, text, spans } = layoutFile(screen, layouts);
    return { path, text, spans: spansOfPage(pages[at]!.markup, spans) };
  });
  const parts = components.parts.map((part) => layoutFile(part, layouts));
  return {
    files: [...[...written, ...parts].map(({ path, text }) => ({ path, text })), ...resources.files()],
    sourceMap: Object.fromEntries(written.map(({ path, spans }) => [path, spans])),
  };
}

function layoutFile(component: Component, layouts: Layouts) {
  const printer = new MarkedPrinter();
  const { text, spans } = printer.printLines(resourceFile(layouts.rootOf(component), printer.from));
  return { path: `res/layout/${layoutName(component)}.xml`, text, spans };
}

/** The layout of one layer, and what it needs: the layouts of its lists, and resources. */
function fragment(input: FragmentInput, layer: LayerId): Fragment {
  const partsOf = (layout: string, lists: string, values: string) => [
    { title: 'Layout', language: 'html' as const, code: layout },
    { title: 'Its lists', language: 'html' as const, code: lists },
    { title: 'Resources', language: 'html' as const, code: values },
  ];
  const found = findNode(input.pages, input.decisions, layer);
  if (!found) return { shown: null, parts: partsOf('', '', '') };
  const resources = new AndroidResources(input);
  const made = withDimens(nodeView(found.node, resources), resources.dimen);
  const { whole, parts } = componentOfElement(found.node.name, made, styleOf(resources));
  const layouts = new Layouts(resources, { parts, screens: [{ ...whole, title: '', address: '' }] });
  const textOf = (component: Component) => layoutFile(component, layouts).text;
  const shown = textOf(whole);
  const lists = parts.map(textOf);
  const values = resources.files().map((file) => file.text);
  return { shown: found.node.layer, parts: partsOf(shown, lists.join('\n'), values.join('\n')) };
}
