import path from 'node:path';
import { parseArgs } from 'node:util';
import { ReadError } from '../core/read/readError';
import { readInput, type CommandInput, type ConvertFlags } from './input';
import { InputError, UsageError } from './errors';

const USAGE = `orden convert FILE --out DIR [--arrange fixed|nested|flow] [--target NAME] [--tags TAGS.json]
              [--unit px|rem] [--lang TAG] [--themes NAMES] [--light NAME] [--dark NAME]
              [--frame WORDS] [--join] [--fragments] [--style STYLE.json]
              [--recipes RECIPES.json] [--pictures-only] [--only LAYERS]
              [--tokens css|scss|dtcg] [--set NAME=VALUE] [--json] [--force]

  Reads the mockup FILE and writes its page into DIR: index.html, styles.css,
  pictures/, fonts/ and orden.json, the list of what was written. --target is html, react,
  vue, qml or android; said more than once, each is written into a folder of DIR. WORDS say how the page
  stands in its window: left or centred, clipped or spilling, screen or content (how high
  it is), such as --frame centred,content. With --join, screens of one name and different
  widths that flow become one page with a media query. With --fragments, what several
  screens share stands in furniture/ as well, for a build tool. NAMES are the themes that
  are written, such as --themes fair,night: a class of that name on the root shows one;
  --light and --dark name the one that readers with such a system get by themselves.
  --style takes what was said of classes and values, as the Style step exports it; --tokens
  writes the values that are used again for other tools: as CSS, as SCSS, or in the Design
  Tokens format. TAG is the language of the words; --set says an option of the target by
  its name. Files that somebody changed since they were written stay, and then nothing is
  written; --force overwrites them.

orden pictures FILE (--out DIR | --list) [--recipes RECIPES.json] [--only LAYERS]
               [--tags TAGS.json] [--json]

  Makes the pictures of FILE alone, or those of the LAYERS that are named, over the files
  of the same names; the rest of DIR stays. --list prints every file with its format, px
  and bytes, and writes none. RECIPES say formats and sizes; ready ones are web, icon,
  photo, clear-photo, responsive, ios and android.

orden screens FILE --out DIR [--formats png,jpeg,webp,pdf,pdf-each] [--screens NAMES] [--json]

  Writes whole screens as pictures; pdf is one file with a page for each, in which the
  letters can be selected, and pdf-each one for each.

orden proof FILE [--arrange fixed|nested|flow] [--target NAME] [--tags TAGS.json] [--out DIR]
            [--unit px|rem] [--frame WORDS] [--join] [--json] [--force]

  Builds the page of FILE, draws page and mockup with Chromium at the mockup's size and
  says what differs, by screen and by layer. With --out it keeps the page, and in proof/
  the pictures of mockup, page and difference.`;

/** Loaded on demand, so that help and bad usage are answered at once. */
const COMMANDS: Readonly<Record<string, () => Promise<Command>>> = {
  convert: async () => (await import('./convertCommand')).convertCommand,
  pictures: async () => (await import('./picturesCommand')).picturesCommand,
  screens: async () => (await import('./screensCommand')).screensCommand,
  proof: async () => (await import('./proofCommand')).proofCommand,
};
type Command = (input: CommandInput, flags: ConvertFlags) => Promise<void>;

async function main(argv: readonly string[]): Promise<number> {
  try {
    const { values, positionals } = parseArgs({
      args: [...argv],
      allowPositionals: true,
      options: {
        out: { type: 'string' },
        arrange: { type: 'string', default: 'nested' },
        target: { type: 'string', multiple: true, default: ['html'] },
        tags: { type: 'string' },
        unit: { type: 'string' },
        lang: { type: 'string' },
        tokens: { type: 'string' },
        style: { type: 'string' },
        recipes: { type: 'string' },
        only: { type: 'string' },
        formats: { type: 'string' },
        screens: { type: 'string' },
        'pictures-only': { type: 'boolean', default: false },
        list: { type: 'boolean', default: false },
        themes: { type: 'string' },
        light: { type: 'string' },
        dark: { type: 'string' },
        set: { type: 'string', multiple: true },
        frame: { type: 'string' },
        join: { type: 'boolean', default: false },
        fragments: { type: 'boolean', default: false },
        force: { type: 'boolean', default: false },
        json: { type: 'boolean', default: false },
        help: { type: 'boolean', short: 'h', default: false },
      },
    });
    const [command, ...files] = positionals;
    if (values.help) {
      console.log(USAGE);
      return 0;
    }
    const load = COMMANDS[command ?? ''];
    if (!load) throw new UsageError(command ? `There is no command "${command}".` : 'Which command?');
    if (command === 'convert' && values.out === undefined)
      throw new UsageError('Say with --out where the page is to be written.');
    // All that is asked for is checked before the work starts.
    const asked = [...new Set(values.target)];
    const jobs = await Promise.all(
      asked.map(async (target) => {
        const flags = {
          ...values,
          target,
          ...(asked.length > 1 && values.out !== undefined && { out: path.join(values.out, target) }),
        };
        return { flags, input: await readInput(files, flags) };
      }),
    );
    const run = await load();
    for (const { input, flags } of jobs) await run(input, flags);
    return 0;
  } catch (error) {
    return explain(error);
  }
}

/** One sentence on standard error, and the exit status: 2 for bad usage, 1 for everything else. */
function explain(error: unknown): number {
  if (error instanceof UsageError || isArgumentError(error)) {
    console.error(`orden: ${error.message}\n\n${USAGE}`);
    return 2;
  }
  const known = error instanceof ReadError || error instanceof InputError || isUnproven(error);
  console.error(
    `orden: ${known ? error.message : `something went wrong: ${error instanceof Error ? error.message : String(error)}`}`,
  );
  return 1;
}

/** By name, since the module that defines it is loaded only for proofs. */
function isUnproven(error: unknown): error is Error {
  return error instanceof Error && ['NoChromium', 'NotShown'].includes(error.name);
}

function isArgumentError(error: unknown): error is Error {
  return error instanceof Error && 'code' in error && String(error.code).startsWith('ERR_PARSE_ARGS');
}

process.exitCode = await main(process.argv.slice(2));
