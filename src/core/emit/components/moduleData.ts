import { freeName } from '../../markup/freeName';
import { camelCase, kebabCase, pluralOf } from './identifiers';
import { hardline, type Doc } from './printing';
import { rowLiteral, rowsLiteral, type ValueWriter } from './rows';
import type { Component, Row } from './template';

/** The data of a module: the rows of its lists, each under a name of its own. */
export class ModuleData {
  private readonly kept: {
    readonly name: string;
    readonly component: Component;
    readonly rows: readonly Row[];
    readonly isOne: boolean;
  }[] = [];

  /** @param taken names that the module has already */
  constructor(private readonly taken: ReadonlySet<string>) {}

  /** Keeps the rows of a list. @returns the name of the constant */
  readonly keepRows = (component: Component, rows: readonly Row[]): string =>
    this.keep(component, rows, false);

  /** Keeps what one use says. @returns the name of the constant */
  readonly keepUse = (component: Component, row: Row): string => this.keep(component, [row], true);

  private keep(component: Component, rows: readonly Row[], isOne: boolean): string {
    const own = kebabCase(component.name);
    const wanted = isOne ? `${own}-fields` : pluralOf(own);
    const isTaken = (each: string) =>
      this.taken.has(camelCase(each)) || this.kept.some(({ name }) => name === camelCase(each));
    const name = camelCase(freeName(wanted, isTaken));
    this.kept.push({ name, component, rows, isOne });
    return name;
  }

  /**
   * The constants in the order of their use, each with an empty line behind it.
   * @param typeOf the name of a component's type, imported
   */
  print(writer: ValueWriter, typeOf: (component: Component) => string): Doc {
    return this.kept.map(({ name, component, rows, isOne }): Doc => [
      `const ${name}: ${isOne ? typeOf(component) : `readonly ${typeOf(component)}[]`} = `,
      isOne ? rowLiteral(component, rows[0]!, writer) : rowsLiteral(component, rows, writer),
      ';',
      hardline,
      hardline,
    ]);
  }
}
