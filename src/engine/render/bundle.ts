import path from 'node:path';
import { fileEnding, SHOWN_FORMATS } from '../../core/pictures/picture';
import { build, type Plugin } from 'esbuild';

/** The modules of the application: those of a build import what they need from here. */
const MODULES = path.join(process.env.ORDEN_HOME ?? process.cwd(), 'node_modules');

/** Pictures and fonts. */
const FILES = new RegExp(`\\.(?:${[...SHOWN_FORMATS.map(fileEnding), 'woff2?', 'ttf', 'otf'].join('|')})$`);

/** A program for the browser, and its style sheet. */
export interface Bundle {
  readonly script: string;
  readonly css: string;
}

/**
 * Bundles a module of a build with all that it imports. Pictures keep their places in the build's folder.
 * @param folder the folder of the build
 * @param code the module, with imports from that folder
 * @param platform where it runs
 * @param toFiles the path from what is made to the build's folder, such as `../`
 */
export async function bundle(
  folder: string,
  code: string,
  platform: 'browser' | 'node',
  plugins: readonly Plugin[] = [],
  toFiles = '',
): Promise<Bundle> {
  const { outputFiles } = await build({
    stdin: { contents: code, resolveDir: path.resolve(folder), loader: 'tsx' },
    bundle: true,
    write: false,
    outdir: path.resolve(folder),
    format: platform === 'browser' ? 'iife' : 'cjs',
    platform,
    jsx: 'automatic',
    ...(platform === 'node' && { packages: 'external' as const }),
    nodePaths: [MODULES],
    define: { 'process.env.NODE_ENV': '"production"' },
    loader: { '.module.css': 'local-css' },
    logLevel: 'silent',
    plugins: [filesIn(folder, toFiles), ...plugins],
  });
  const text = (ending: string) => outputFiles.find(({ path: file }) => file.endsWith(ending))?.text ?? '';
  return { script: text('.js'), css: text('.css') };
}

/** Imported pictures and fonts are their addresses, from what is made. */
function filesIn(folder: string, toFiles: string): Plugin {
  const root = path.resolve(folder);
  return {
    name: 'files',
    setup(of) {
      of.onResolve({ filter: FILES }, ({ path: asked, resolveDir, kind }) => {
        const file = path.relative(root, path.resolve(resolveDir, asked));
        const address = toFiles + file.split(path.sep).join('/');
        return kind === 'import-statement'
          ? { path: address, namespace: 'address' }
          : { path: address, external: true };
      });
      of.onLoad({ filter: /.*/, namespace: 'address' }, ({ path: address }) => ({
        contents: `export default ${JSON.stringify(address)}`,
        loader: 'js',
      }));
    },
  };
}
