import { printCss } from '../../markup/printCss';
import { withAnyMemo } from '../../mockup/memoize';
import type { LayerId } from '../../mockup/layer';
import type { Page } from '../../page/frame';
import { componentsOf, screenNames } from '../components/components';
import { filesOfBuild, markedPages } from '../components/marked';
import { spansOfPage } from '../components/printing';
import { screenListFile } from '../components/screenList';
import { CSS_CAPABILITIES } from '../css/capabilities';
import { styleBook } from '../css/styleBook';
import { rulesOfSheet, tokenFile } from '../html/html';
import { pagePieces } from '../html/pagePieces';
import type { BookInput, EmitInput, FragmentInput, Target, TargetOutput } from '../target';
import { isScoped, VUE_OPTIONS } from './options';
import { scopedRules } from './scopedRules';
import { fileTypes } from '../components/fileTypes';
import { componentFile, LINK_FILE } from './sfc';
import { vueFragment } from './vueFragment';
import { WORDY } from './wordyNames';

/** Vue: a single-file component for each screen, shared block and list, in TypeScript. */
export const vue = {
  name: 'vue',
  label: 'Vue',
  capabilities: CSS_CAPABILITIES,
  options: VUE_OPTIONS,
  fitsBrowsers: true,
  emit: (input: EmitInput): TargetOutput => withAnyMemo(() => emitComponents(input)),
  pageFile: (pages: readonly Page[], at: number) => `screens/${screenNames(pages, WORDY)[at]}.vue`,
  fragment: (input: FragmentInput, layer: LayerId) => withAnyMemo(() => vueFragment(input, layer)),
  preview: pagePieces,
  styleBook: (input: BookInput) => withAnyMemo(() => styleBook(input)),
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

/** Addresses of files from the folder of a component. */
function fromComponents(css: string, files: ReadonlySet<string>): string {
  return css.replace(/url\("([^"]+)"\)/g, (whole, path: string) =>
    files.has(path) ? `url("../${path}")` : whole,
  );
}
