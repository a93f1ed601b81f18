import { withAnyMemo } from '../../mockup/memoize';
import type { Page } from '../../page/frame';
import type { LayerId } from '../../mockup/layer';
import { componentsOf, screenNames } from '../components/components';
import { filesOfBuild, markedPages } from '../components/marked';
import { spansOfPage } from '../components/printing';
import { CSS_CAPABILITIES } from '../css/capabilities';
import { styleBook } from '../css/styleBook';
import { pagePieces } from '../html/pagePieces';
import { printSheet, tokenFile } from '../html/html';
import type { BookInput, EmitInput, FragmentInput, Target, TargetOutput } from '../target';
import { screenListFile } from '../components/screenList';
import { fileTypes } from '../components/fileTypes';
import { componentFile, LINK_FILE } from './files';
import { jsxFragment } from './jsxFragment';
import { hasModules, REACT_OPTIONS } from './options';

/** React: a function component for each screen, shared block and list, in TypeScript. */
export const react = {
  name: 'react',
  label: 'React',
  capabilities: CSS_CAPABILITIES,
  options: REACT_OPTIONS,
  fitsBrowsers: true,
  emit: (input: EmitInput): TargetOutput => withAnyMemo(() => emitComponents(input)),
  pageFile: (pages: readonly Page[], at: number) => `screens/${screenNames(pages)[at]}.tsx`,
  fragment: (input: FragmentInput, layer: LayerId) => withAnyMemo(() => jsxFragment(input, layer)),
  preview: pagePieces,
  styleBook: (input: BookInput) => withAnyMemo(() => styleBook(input)),
} as const satisfies Target;

function emitComponents(input: EmitInput): TargetOutput {
  const pages = markedPages(input);
  const { parts, screens } = componentsOf(pages);
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

/** The style sheet of a CSS module: the classes of themes stand on the root, which is no component's. */
function moduleSheet(css: string, { sheet }: EmitInput): string {
  if (sheet.themes.length === 0) return css;
  const themes = new RegExp(`\\.(${sheet.themes.join('|')})(?![\\w-])`, 'g');
  return css.replace(themes, ':global(.$1)');
}
