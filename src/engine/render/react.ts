import path from 'node:path';
import { renderInBrowser } from './inBrowser';
import type { Renderer } from './renderers';

/** Draws React components by React itself, in Chromium. */
export const renderReact: Renderer = (input) =>
  renderInBrowser(
    input,
    (file) => `import { createRoot } from 'react-dom/client';
      import { flushSync } from 'react-dom';
      import { ${path.basename(file, '.tsx')} as Screen } from './${file.replace(/\.tsx$/, '')}';
      flushSync(() => createRoot(document.getElementById('root')).render(<Screen />));`,
    [],
  );
