import { existsSync, readdirSync } from 'node:fs';
import path from 'node:path';

/** The demo, and pages that were drawn as mockups. */
const PAGES =
  /^(?:harbour|wheelhouse|adminlte4|bs5|gentelella|m-|raw-|sbadmin2|semantic|spectre|tabler|uikit|win98)/;

/** The mockups in some folders; without any, those of the demo and of the cases. */
export function pageFiles(folders: readonly string[]): readonly string[] {
  const isAsked = folders.length > 0;
  return (isAsked ? folders : ['demo', 'tests/cases'])
    .filter((folder) => existsSync(folder))
    .flatMap((folder) =>
      readdirSync(folder)
        .filter((file) => /\.svgz?$/.test(file) && (isAsked || PAGES.test(file)))
        .map((file) => path.join(folder, file)),
    );
}
