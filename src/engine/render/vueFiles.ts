import { readFile } from 'node:fs/promises';
import path from 'node:path';
import type { Plugin } from 'esbuild';
import { compileScript, compileStyle, compileTemplate, parse } from 'vue/compiler-sfc';

const STYLES = 'vue-styles';

/**
 * Compiles Vue's single files for esbuild, pictures as imports.
 * @param isServer true for the server's renderer
 */
export function vueFiles(isServer: boolean): Plugin {
  return {
    name: 'vue',
    setup(build) {
      const styles = new Map<string, string>();
      build.onLoad({ filter: /\.vue$/ }, async ({ path: file }) => {
        const source = await readFile(file, 'utf8');
        const { descriptor, errors } = parse(source, { filename: file });
        if (errors.length > 0) return { errors: errors.map(({ message }) => ({ text: message })) };
        const id = path.basename(file, '.vue').toLowerCase();
        const scopes = descriptor.styles.some(({ scoped }) => scoped) ? `data-v-${id}` : null;
        const options = {
          id,
          filename: file,
          source: descriptor.template?.content ?? '',
          scoped: scopes !== null,
          ssr: isServer,
          ssrCssVars: [],
          transformAssetUrls: { base: undefined, includeAbsolute: false },
          compilerOptions: { scopeId: scopes },
        };
        const css = descriptor.styles.map(
          ({ content, scoped = false }) =>
            compileStyle({ source: content, filename: file, id: `data-v-${id}`, scoped }).code,
        );
        styles.set(file, css.join('\n'));
        const contents = descriptor.scriptSetup
          ? compileScript(descriptor, {
              id,
              inlineTemplate: true,
              genDefaultAs: 'component',
              templateOptions: options,
            }).content
          : `${compileTemplate(options).code}\nconst component = { ${isServer ? 'ssrRender' : 'render'} };`;
        return {
          contents: `${contents}\n${css.length > 0 ? `import ${JSON.stringify(`${file}?styles`)};\n` : ''}${
            scopes === null ? '' : `component.__scopeId = ${JSON.stringify(scopes)};\n`
          }export default component;`,
          loader: 'ts',
          resolveDir: path.dirname(file),
        };
      });
      build.onResolve({ filter: /\?styles$/ }, ({ path: asked }) => ({ path: asked, namespace: STYLES }));
      build.onLoad({ filter: /.*/, namespace: STYLES }, ({ path: asked }) => {
        const file = asked.slice(0, -'?styles'.length);
        return { contents: styles.get(file) ?? '', loader: 'css', resolveDir: path.dirname(file) };
      });
    },
  };
}
