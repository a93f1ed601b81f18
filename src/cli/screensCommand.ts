import type { Screen } from '../core/mockup/mockup';
import { drawScreens } from '../engine/screens/drawScreens';
import { SCREEN_FORMATS, type ScreenFormat } from '../engine/screens/screenFiles';
import { writeFiles } from '../engine/writeFiles';
import { convertFile } from './convertFile';
import { InputError, UsageError } from './errors';
import type { CommandInput, ConvertFlags } from './input';

/** `orden screens FILE --out DIR`: whole screens as pictures and PDFs, to be sent for comment. */
export async function screensCommand(
  input: CommandInput,
  { out, formats = 'png', screens: asked, json }: Pick<ConvertFlags, 'out' | 'formats' | 'screens' | 'json'>,
): Promise<void> {
  if (out === undefined) throw new UsageError('Say with --out where the screens are to be written.');
  const wanted = formats.split(',').map((word) => formatOf(word.trim()));
  const { product, reading } = await convertFile(input);
  const { mockup } = product.conversion;
  const screens =
    asked === undefined
      ? mockup.screens
      : asked.split(',').map((name) => screenCalled(name.trim(), mockup.screens));
  const { assets } = reading;
  const files = await drawScreens({ mockup, assets, screens, built: product.files, formats: wanted });
  await writeFiles(out, files);
  const listed = files.map(({ path, bytes }) => ({ file: path, bytes: bytes.length }));
  const lines = listed.map(({ file, bytes }) => `${file}  ${bytes} B`);
  console.log(json ? JSON.stringify({ files: listed }) : lines.join('\n'));
}

function formatOf(word: string): ScreenFormat {
  const found = SCREEN_FORMATS.find((format) => format === word);
  if (!found) throw new UsageError(`--formats takes ${SCREEN_FORMATS.join(', ')}, not "${word}".`);
  return found;
}

/** @throws InputError for a name that no screen has */
function screenCalled(name: string, screens: readonly Screen[]): Screen {
  const found = screens.find((screen) => screen.name === name);
  if (found) return found;
  throw new InputError(
    `No screen is called ${name}; there is ${screens.map((screen) => screen.name).join(', ')}.`,
  );
}
