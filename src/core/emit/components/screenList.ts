import type { EmittedFile } from '../target';
import { arrayLiteral, objectLiteral, stringLiteral } from './literals';
import { hardline, MarkedPrinter } from './printing';
import type { ScreenComponent } from './template';

/**
 * The screens with their addresses and titles, for a router.
 * @param importOf the statement that imports a screen
 */
export function screenListFile(
  screens: readonly ScreenComponent[],
  importOf: (name: string) => string,
): EmittedFile {
  const entries = screens.map(({ name, address, title }) =>
    objectLiteral([
      ['address', stringLiteral(address)],
      ['title', stringLiteral(title)],
      ['Screen', name],
    ]),
  );
  const names = screens.map(({ name }) => name).sort();
  const { text } = new MarkedPrinter().print([
    '/** Every screen with its address and title. */',
    hardline,
    'export const screens = ',
    arrayLiteral(entries, true),
    ' as const;',
    hardline,
  ]);
  return { path: 'screens.ts', text: `${names.map((name) => `${importOf(name)}\n`).join('')}\n${text}` };
}
