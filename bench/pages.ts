import { existsSync, readdirSync } from 'node:fs';
import path from 'node:path';

/** The demo, and pages that were drawn as mockups. */
const PAGES =
  /^(?:harbour|wheelhouse|adminlte4|bs5|gentelella|m-|raw-|sbadmin2|semantic|spectre|tabler|uikit|win98)/;

/** The mockups in some folders, and those given as files; without any, those of the demo and of the cases. */
export function pageFiles(given: readonly string[]): readonly string[] {
  const isAsked = given.length > 0;
  return (isAsked ? given : ['demo', 'tests/cases']).filter(existsSync).flatMap((source) => {
    if (isMockup(source)) return [source];
    return readdirSync(source)
      .filter((file) => isMockup(file) && (isAsked || PAGES.test(file)))
      .map((file) => path.join(source, file));
  });
}

function isMockup(file: string): boolean {
  return /\.svgz?$/.test(file);
}
