import type { ModuleImports } from './moduleImports';
import type { MarkedPrinter } from './printing';
import type { Component, Field, Row } from './template';

/** What the template of a component is printed with. */
export interface PrintContext {
  readonly imports: ModuleImports;
  readonly from: MarkedPrinter['from'];
  /** The files that modules import, by their paths in the build. */
  readonly files: ReadonlySet<string>;
  /** The fields of the component that is printed. */
  readonly fields: ReadonlyMap<string, Field>;
  /** Keeps the rows of a list as data of the module. @returns the name of the constant */
  readonly keepRows: (component: Component, rows: readonly Row[]) => string;
}
