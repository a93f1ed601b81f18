import Joi from 'joi';
import { TOKEN_KINDS, type StyleValue } from '../../look/styleValue';
import { SAID_ELSEWHERE, type FacetEntry } from './facet';

/** What a person said of a value of the style sheet. */
export interface SaidValue extends StyleValue {
  /** The value that is written in its place. */
  readonly into?: string;
  /** The name of its custom property, without the hyphens before it. */
  readonly name?: string;
}

/** A CSS value of plain letters and whole strings, which closes no declaration and holds no address. */
const VALUE = /^(?:[#\w.,%() /-]|"[\w .,-]*"){1,200}$/;

/** True for a value whose parentheses close: an open one would swallow what comes after (CSS Syntax 3, §5.4.8). */
function closes(value: string): boolean {
  let open = 0;
  for (const letter of value) {
    if (letter === '(') open += 1;
    if (letter === ')') open -= 1;
    if (open < 0) return false;
  }
  return open === 0;
}

const valueText = Joi.string()
  .pattern(VALUE)
  .custom((value: string, helpers) => (closes(value) ? value : helpers.error('string.pattern.base')));

/** A name of a custom property that reads like other names (CSS Syntax 3, §4.3.11; letters of ASCII only). */
export const TOKEN_NAME = /^[a-z][a-z0-9-]{0,63}$/;

/** What is said of the values of the style sheet: a facet of the whole mockup. */
export const values: FacetEntry<readonly SaidValue[]> = {
  schema: Joi.array()
    .items(
      Joi.object<SaidValue>({
        kind: Joi.valid(...TOKEN_KINDS).required(),
        value: valueText.required(),
        into: valueText,
        name: Joi.string().pattern(TOKEN_NAME),
      }).or('into', 'name'),
    )
    .unique((one: SaidValue, other: SaidValue) => one.kind === other.kind && one.value === other.value)
    .unique((one: SaidValue, other: SaidValue) => one.name !== undefined && one.name === other.name)
    .max(500)
    .messages({
      'array.unique': 'two values have the same name, or one is named twice',
      'string.pattern.base': '{#value} cannot be written in a style sheet',
    }),
  attribute: null,
  ...SAID_ELSEWHERE,
};
