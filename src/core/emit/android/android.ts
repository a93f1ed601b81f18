import { nearly } from './nearly';
import { withoutFilters } from '../plainCapabilities';
import { withAnyMemo } from '../../mockup/memoize';
import type { LayerId } from '../../mockup/layer';
import { freeName } from '../../markup/freeName';
import type { Page } from '../../page/frame';
import { findNode } from '../../page/findNode';
import { MarkedPrinter, spansOfPage } from '../components/printing';
import type { EmitInput, Fragment, FragmentInput, Target, TargetOutput } from '../target';
import { resourceFile } from './printXml';
import { resourceName } from './resourceNames';
import { AndroidResources } from './resources';
import { nodeView, screenView } from './views';

/** Layouts, values and drawables for views of the Android framework. */
export const android = {
  name: 'android',
  label: 'Android',
  capabilities: withoutFilters('Android'),
  options: {},
  pictures: { photos: 'jpeg', svg: 'none', hasDensities: true },
  nearly,
  // The platform reads TrueType and OpenType alone; families of the device stand in.
  bringsFonts: false,
  fitsBrowsers: false,
  emit: (input: EmitInput): TargetOutput => withAnyMemo(() => emitFiles(input)),
  pageFile: (pages: readonly Page[], at: number) => `res/layout/${layoutNames(pages)[at]}.xml`,
  fragment: (input: FragmentInput, layer: LayerId) => withAnyMemo(() => fragment(input, layer)),
} as const satisfies Target;

/** The names of the layouts of screens, no two the same. */
function layoutNames(pages: readonly Page[]): readonly string[] {
  const names = new Set<string>();
  for (const { name } of pages)
    names.add(resourceName(freeName(resourceName(name), (each) => names.has(resourceName(each)))));
  return [...names];
}

function emitFiles(input: EmitInput): TargetOutput {
  const resources = new AndroidResources(input);
  const names = layoutNames(input.pages);
  const written = input.pages.map((page, at) => {
    const view = screenView(page, resources);
    const printer = new MarkedPrinter();
    const { text, spans } = printer.printLines(resourceFile(view, printer.from));
    return { path: `res/layout/${names[at]}.xml`, text, spans: spansOfPage(view, spans) };
  });
  return {
    files: [...written.map(({ path, text }) => ({ path, text })), ...resources.files()],
    sourceMap: Object.fromEntries(written.map(({ path, spans }) => [path, spans])),
  };
}

/** The layout of one layer, and the resources that it needs. */
function fragment(input: FragmentInput, layer: LayerId): Fragment {
  const partsOf = (layout: string, values: string) => [
    { title: 'Layout', language: 'html' as const, code: layout },
    { title: 'Resources', language: 'html' as const, code: values },
  ];
  const found = findNode(input.pages, input.decisions, layer);
  if (!found) return { shown: null, parts: partsOf('', '') };
  const resources = new AndroidResources(input);
  const { text } = new MarkedPrinter().printLines(resourceFile(nodeView(found.node, resources)));
  return {
    shown: found.node.layer,
    parts: partsOf(
      text,
      resources
        .files()
        .map((file) => file.text)
        .join('\n'),
    ),
  };
}
