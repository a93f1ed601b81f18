import { fileEnding, SHOWN_FORMATS } from '../../pictures/picture';
import type { EmittedFile } from '../target';

/** What a bundler gives for files that are no modules. */
export function fileTypes(hasModules: boolean): EmittedFile {
  const pictures = SHOWN_FORMATS.map(
    (format) =>
      `declare module "*.${fileEnding(format)}" {\n  const address: string;\n  export default address;\n}\n`,
  );
  const sheet = hasModules
    ? 'declare module "*.module.css" {\n  const classes: Readonly<Record<string, string>>;\n  export default classes;\n}\n'
    : 'declare module "*.css";\n';
  return { path: 'files.d.ts', text: [...pictures, sheet].join('\n') };
}
