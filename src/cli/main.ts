import { parseArgs } from 'node:util';
import { ReadError } from '../core/read/readError';
import { InputError, UsageError } from './errors';

const USAGE = `orden convert FILE --out DIR [--arrange fixed|nested] [--target html] [--tags TAGS.json] [--json]

  Reads the mockup FILE and writes its page into DIR: index.html, styles.css,
  pictures/, fonts/ and orden.json, the list of what was written.`;

async function main(argv: readonly string[]): Promise<number> {
  try {
    const { values, positionals } = parseArgs({
      args: [...argv],
      allowPositionals: true,
      options: {
        out: { type: 'string' },
        arrange: { type: 'string', default: 'nested' },
        target: { type: 'string', default: 'html' },
        tags: { type: 'string' },
        json: { type: 'boolean', default: false },
        help: { type: 'boolean', short: 'h', default: false },
      },
    });
    const [command, ...files] = positionals;
    if (values.help) {
      console.log(USAGE);
      return 0;
    }
    if (command !== 'convert')
      throw new UsageError(command ? `There is no command "${command}".` : 'Which command?');
    // Loaded when it is needed: help and bad usage are answered at once.
    const { convertCommand } = await import('./convertCommand');
    await convertCommand(files, values);
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
  const known = error instanceof ReadError || error instanceof InputError;
  console.error(
    `orden: ${known ? error.message : `something went wrong: ${error instanceof Error ? error.message : String(error)}`}`,
  );
  return 1;
}

function isArgumentError(error: unknown): error is Error {
  return error instanceof Error && 'code' in error && String(error.code).startsWith('ERR_PARSE_ARGS');
}

process.exitCode = await main(process.argv.slice(2));
