import { printCss } from '../../markup/printCss';
import { withAnyMemo } from '../../mockup/memoize';
import type { LayerId } from '../../mockup/layer';
import type { Page } from '../../page/frame';
import { BROWSER_TARGET } from '../browserTarget';
import { componentFragment } from '../components/componentFragment';
import { componentsOf, screenNames } from '../components/components';
import { filesOfBuild, markedPages } from '../components/marked';
import { spansOfPage } from '../components/printing';
import { screenListFile } from '../components/screenList';
import { rulesOfSheet, tokenFile } from '../css/sheetFiles';
import type { EmitInput, Fragment, FragmentInput, Target, TargetOutput } from '../target';
import { isScoped, VUE_OPTIONS } from './options';
import { scopedRules } from './scopedRules';
import { fileTypes } from '../components/fileTypes';
import { componentFile, LINK_FILE } from './sfc';
import { WORDY } from './wordyNames';

/** Vue: a single-file component for each screen, shared block and list, in TypeScript. */
export const vue = {
  ...BROWSER_TARGET,
  name: 'vue',
  label: 'Vue',
  options: VUE_OPTIONS,
  emit: (input: EmitInput): TargetOutput => withAnyMemo(() => emitComponents(input)),
  pageFile: (pages: readonly Page[], at: number) => `screens/${screenNames(pages, WORDY)[at]}.vue`,
  fragment: (input: FragmentInput, layer: LayerId) => withAnyMemo(() => fragment(input, layer)),
} as const satisfies Target;

function emitComponents(input: EmitInput): TargetOutput {
  const pages = markedPages(input);
  const { parts, screens } = componentsOf(pages, WORDY);
  const files = filesOfBuild(input);
  const rules = rulesOfSheet(input);
  const { shared, own } = isScoped(input)
    ? scopedRules(rules, [...parts, ...screens])
    : { shared: rules, own: new Map<string, typeof rules>() };
  const styleOf = (name: string) => ({ files, css: fromComponents(printCss(own.get(name) ?? []), files) });
  const written = screens.map((screen, at) => {
    const { text, spans } = componentFile(screen, styleOf(screen.name), true);
    return { path: `screens/${screen.name}.vue`, text, spans: spansOfPage(pages[at]!.markup, spans) };
  });
  return {
    files: [
      ...written.map(({ path, text }) => ({ path, text })),
      ...parts.map((part) => ({
        path: `components/${part.name}.vue`,
        text: componentFile(part, styleOf(part.name), false).text,
      })),
      LINK_FILE,
      screenListFile(screens, (name) => `import ${name} from "./screens/${name}.vue";`),
      fileTypes(false),
      { path: 'styles.css', text: printCss(shared) },
      ...tokenFile(input),
    ],
    sourceMap: Object.fromEntries(written.map(({ path, spans }) => [path, spans])),
  };
}

/** The code of one layer as a component. */
function fragment(input: FragmentInput, layer: LayerId): Fragment {
  const files = filesOfBuild(input);
  return componentFragment(input, layer, {
    title: 'Vue',
    language: 'html',
    style: WORDY,
    print: (component) => componentFile(component, { files, css: '' }, false).text,
  });
}

/** Addresses of files from the folder of a component. */
function fromComponents(css: string, files: ReadonlySet<string>): string {
  return css.replace(/url\("([^"]+)"\)/g, (whole, path: string) =>
    files.has(path) ? `url("../${path}")` : whole,
  );
}
