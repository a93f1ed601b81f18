import { renderInBrowser } from './inBrowser';
import type { Renderer } from './renderers';
import { vueFiles } from './vueFiles';

/** Draws Vue components by Vue itself, in Chromium. */
export const renderVue: Renderer = (input) =>
  renderInBrowser(
    input,
    (file) => `import { createApp } from 'vue';
      import Screen from './${file}';
      createApp(Screen).mount('#root');`,
    [vueFiles(false)],
  );
