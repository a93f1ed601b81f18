import { existsSync } from 'node:fs';
import path from 'node:path';
import { build, type Plugin } from 'esbuild';

/** The modules of the application: those of a build import what they need from here. */
const MODULES = path.resolve('node_modules');

const PICTURES = /\.(?:avif|jpe?g|png|svg|webp)$/;

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
 */
export async function bundle(
  folder: string,
  code: string,
  platform: 'browser' | 'node',
  plugins: readonly Plugin[] = [],
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
    plugins: [picturesIn(folder), ...plugins],
  });
  const text = (ending: string) => outputFiles.find(({ path: file }) => file.endsWith(ending))?.text ?? '';
  return { script: text('.js'), css: text('.css') };
}

/** Imported pictures are their addresses in the build's folder. */
function picturesIn(folder: string): Plugin {
  const root = path.resolve(folder);
  return {
    name: 'pictures',
    setup(of) {
      of.onResolve({ filter: PICTURES }, ({ path: asked, resolveDir, kind }) => {
        const file = path.resolve(resolveDir, asked);
        const address = path.relative(root, file).split(path.sep).join('/');
        return kind === 'import-statement'
          ? { path: address, namespace: 'picture' }
          : { path: address, external: true };
      });
      of.onLoad({ filter: /.*/, namespace: 'picture' }, ({ path: address }) => ({
        contents: `export default ${JSON.stringify(address)}`,
        loader: 'js',
      }));
      of.onResolve({ filter: /\.(?:woff2?|ttf|otf)$/ }, ({ path: asked }) => ({
        path: asked,
        external: true,
      }));
    },
  };
}

/** True where a build's folder has a file. */
export function hasFile(folder: string, file: string): boolean {
  return existsSync(path.join(folder, file));
}
