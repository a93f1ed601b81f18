import { typeOfAttribute } from './attributeTypes';
import { arrayLiteral, objectLiteral } from './literals';
import type { Doc, MarkedPrinter } from './printing';
import type { Component, FieldType, FieldValue, Row } from './template';

/** How the values of fields are written. */
export interface ValueWriter {
  readonly from: MarkedPrinter['from'];
  /** The name of an attribute among several. */
  readonly attributeName: (name: string) => string;
  /** Words, an address, names of classes or declarations as an expression. */
  readonly literal: (kind: FieldType['kind'], value: string) => Doc;
}

/** What a row says, as an object. */
export function rowLiteral({ fields }: Component, { values, origin }: Row, writer: ValueWriter): Doc {
  const entries = fields.flatMap(({ name, type }) => {
    const value = values[name];
    return value === undefined ? [] : [[name, valueLiteral(type, value, writer)] as const];
  });
  return writer.from(origin, objectLiteral(entries));
}

/** Rows as a list; several rows of more than one value have a line for each. */
export function rowsLiteral(component: Component, rows: readonly Row[], writer: ValueWriter): Doc {
  return arrayLiteral(
    rows.map((row) => rowLiteral(component, row, writer)),
    rows.every(({ values }) => Object.keys(values).length > 1),
  );
}

/** The value of a field as an expression. */
export function valueLiteral(type: FieldType, value: FieldValue, writer: ValueWriter): Doc {
  if (typeof value === 'boolean') return String(value);
  if (typeof value === 'string') return writer.literal(type.kind, value);
  if (areRows(value)) return type.kind === 'rows' ? rowsLiteral(type.of, value, writer) : '[]';
  return objectLiteral(
    Object.entries(value).map(([name, each]) => [
      writer.attributeName(name),
      each === true ? 'true' : writer.literal(typeOfAttribute(name).kind, each),
    ]),
  );
}

/** True for the rows of a list. */
export function areRows(value: FieldValue): value is readonly Row[] {
  return Array.isArray(value);
}

/** A field whose words differ in all rows; null for none. */
export function keyField({ fields }: Component, rows: readonly Row[]): string | null {
  const found = fields.find(
    ({ name, type, isOptional }) =>
      (type.kind === 'text' || type.kind === 'address') &&
      !isOptional &&
      new Set(rows.map(({ values }) => values[name])).size === rows.length,
  );
  return found?.name ?? null;
}
