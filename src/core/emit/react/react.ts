import { withAnyMemo } from '../../mockup/memoize';
import type { Page } from '../../page/frame';
import type { LayerId } from '../../mockup/layer';
import { BROWSER_TARGET } from '../browserTarget';
import { componentFragment } from '../components/componentFragment';
import { componentsOf, MARKUP, screenNames } from '../components/components';
import { filesOfBuild, markedPages } from '../components/marked';
import { spansOfPage } from '../components/printing';
import { printSheet, tokenFile } from '../css/sheetFiles';
import type { EmitInput, Fragment, FragmentInput, Target, TargetOutput } from '../target';
import { screenListFile } from '../components/screenList';
import { fileTypes } from '../components/fileTypes';
import { componentFile, LINK_FILE } from './files';
import { hasModules, REACT_OPTIONS } from './options';

/** React: a function component for each screen, shared block and list, in TypeScript. */
export const react = {
  ...BROWSER_TARGET,
  name: 'react',
  label: 'React',
  options: REACT_OPTIONS,
  emit: (input: EmitInput): TargetOutput => withAnyMemo(() => emitComponents(input)),
  pageFile: (pages: readonly Page[], at: number) => `screens/${screenNames(pages, MARKUP)[at]}.tsx`,
  fragment: (input: FragmentInput, layer: LayerId) => withAnyMemo(() => fragment(input, layer)),
} as const satisfies Target;

function emitComponents(input: EmitInput): TargetOutput {
  const pages = markedPages(input);
  const { parts, screens } = componentsOf(pages, MARKUP);
  const inModules = hasModules(input);
  const style = { hasModules: inModules, files: filesOfBuild(input) };
  const written = screens.map((screen, at) => {
    const { text, spans } = componentFile(screen, style, true);
    const path = `screens/${screen.name}.tsx`;
    return { path, text, spans: spansOfPage(pages[at]!.markup, spans) };
  });
  return {
    files: [
      ...written.map(({ path, text }) => ({ path, text })),
      ...parts.map((part) => ({ path: `components/${part.name}.tsx`, ...componentFile(part, style, false) })),
      LINK_FILE,
      screenListFile(screens, (name) => `import { ${name} } from "./screens/${name}";`),
      fileTypes(inModules),
      inModules
        ? { path: 'styles.module.css', text: moduleSheet(printSheet(input), input) }
        : { path: 'styles.css', text: printSheet(input) },
      ...tokenFile(input),
    ].map(({ path, text }) => ({ path, text })),
    sourceMap: Object.fromEntries(written.map(({ path, spans }) => [path, spans])),
  };
}

/** The code of one layer as a component. */
function fragment(input: FragmentInput, layer: LayerId): Fragment {
  const style = { hasModules: hasModules(input), files: filesOfBuild(input) };
  return componentFragment(input, layer, {
    title: 'TSX',
    language: 'jsx',
    style: MARKUP,
    print: (component) => componentFile(component, style, false).text,
  });
}

/** The style sheet of a CSS module: the classes of themes stand on the root, which is no component's. */
function moduleSheet(css: string, { sheet }: EmitInput): string {
  if (sheet.themes.length === 0) return css;
  const themes = new RegExp(`\\.(${sheet.themes.join('|')})(?![\\w-])`, 'g');
  return css.replace(themes, ':global(.$1)');
}
