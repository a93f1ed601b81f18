// Bundles the `orden` command and the server's workers, so that they start fast: loading hundreds of modules takes
// longer than converting.
// Native packages, and those that are loaded for proofs or some SVGs only, stay outside.
import { existsSync } from 'node:fs';
import { mkdir, mkdtemp, rename, rm } from 'node:fs/promises';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';

const home = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
const folder = path.join(home, '.orden');
const target = path.join(folder, 'command');

await mkdir(folder, { recursive: true });
const fresh = await mkdtemp(path.join(folder, 'command-'));
try {
  await build({
    absWorkingDir: home,
    entryPoints: {
      main: 'src/cli/main.ts',
      worker: 'src/server/workers/worker.ts',
      memoryWatch: 'src/server/workers/memoryWatch.ts',
    },
    outdir: fresh,
    bundle: true,
    splitting: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    minifySyntax: true,
    minifyWhitespace: true,
    logLevel: 'error',
    external: ['sharp', 'playwright-core', 'svgo', 'esbuild', 'vue', 'wawoff2'],
    // The package's own entry reads its tables from files beside it; this one has them inside.
    alias: { 'css-tree': 'css-tree/dist/csstree.esm' },
    banner: {
      js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
    },
  });
  // Another process may have bundled meanwhile: its bundle is as good.
  if (existsSync(target)) await rm(target, { recursive: true, force: true });
  await rename(fresh, target).catch((error) => {
    if (!existsSync(path.join(target, 'worker.js'))) throw error;
  });
} finally {
  await rm(fresh, { recursive: true, force: true });
}
