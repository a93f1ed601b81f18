import { freeName } from '../../markup/freeName';
import { safeName } from '../../sort/outputNames';
import { camelCase } from './identifiers';
import { stringLiteral } from './literals';

/** What a module of code imports, each under one name, in the order of their sources. */
export class ModuleImports {
  private readonly files = new Map<string, string>();
  private readonly named = new Map<string, Set<string>>();
  private readonly types = new Set<string>();
  private readonly wholes = new Map<string, string>();
  private readonly effects = new Set<string>();

  /**
   * @param toRoot the path from the module's folder to the folder of the build, such as `../`
   * @param taken names that the module has already
   */
  constructor(
    private readonly toRoot: string,
    private readonly taken: ReadonlySet<string>,
  ) {}

  /** The name under which the address of a file of the build is imported. */
  file(path: string): string {
    const known = this.files.get(path);
    if (known !== undefined) return known;
    const base = (path.split('/').at(-1) ?? path).replace(/\.\w+$/, '').replaceAll('@', '-');
    const used = new Set([...this.files.values(), ...this.taken]);
    const name = camelCase(freeName(safeName(base) || 'file', (each) => used.has(camelCase(each))));
    this.files.set(path, name);
    return name;
  }

  /**
   * An address, or addresses with their sizes, as an expression: each file of the build under its imported name.
   * @param files the files of the build, by their paths in it
   */
  fileLiteral(value: string, files: ReadonlySet<string>): string {
    if (files.has(value)) return this.file(value);
    const parts = value.split(', ').map((each) => {
      const [path = '', ...size] = each.split(' ');
      return files.has(path) ? [`\${${this.file(path)}}`, ...size].join(' ') : null;
    });
    return parts.includes(null) ? stringLiteral(value) : `\`${parts.join(', ')}\``;
  }

  /** Imports a name from a module of the build. */
  name(name: string, path: string): string {
    this.named.set(path, (this.named.get(path) ?? new Set()).add(name));
    return name;
  }

  /** Imports a type from a package. */
  type(name: string): string {
    this.types.add(name);
    return name;
  }

  /** Imports what a module exports by default. */
  whole(name: string, path: string): string {
    this.wholes.set(name, path);
    return name;
  }

  /** Imports a module for what it does alone. */
  effect(path: string): void {
    this.effects.add(path);
  }

  /** The statements. @param typesFrom the package of the types */
  print(typesFrom: string): string {
    const from = (path: string) => stringLiteral(this.toRoot + path);
    const sorted = (entries: Iterable<readonly [string, string]>) =>
      [...entries].sort(([, one], [, other]) => (one < other ? -1 : 1));
    const swapped = [...this.files].map(([path, name]) => [name, path] as const);
    const lines = [
      ...(this.types.size > 0
        ? [importOf(undefined, [...this.types].sort(), stringLiteral(typesFrom), 'import type')]
        : []),
      ...[...new Set([...this.named.keys(), ...this.wholes.values()])].sort().map((path) => {
        const whole = [...this.wholes].find(([, other]) => other === path)?.[0];
        return importOf(whole, [...(this.named.get(path) ?? [])], from(path));
      }),
      ...sorted(swapped).map(([name, path]) => `import ${name} from ${from(path)};`),
      ...[...this.effects].sort().map((path) => `import ${from(path)};`),
    ];
    return lines.map((each) => `${each}\n`).join('');
  }
}

/** The widest statement that stands on one line. */
const WIDTH = 80;

function importOf(
  whole: string | undefined,
  names: readonly string[],
  from: string,
  keyword = 'import',
): string {
  const first = whole === undefined ? '' : `${whole}${names.length > 0 ? ', ' : ''}`;
  const list = names.length > 0 ? `{ ${names.join(', ')} }` : '';
  const line = `${keyword} ${first}${list} from ${from};`;
  if (line.length <= WIDTH || names.length === 0) return line;
  return `${keyword} ${first}{\n${names.map((name) => `  ${name},\n`).join('')}} from ${from};`;
}
