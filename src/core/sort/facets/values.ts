import Joi from 'joi';
import { TOKEN_KINDS, type StyleValue } from '../../look/styleValue';
import type { FacetEntry } from './facet';

/** What a person said of a value of the style sheet. */
export interface SaidValue extends StyleValue {
  /** The value that is written in its place. */
  readonly into?: string;
  /** The name of its custom property, without the hyphens before it. */
  readonly name?: string;
}

/** A CSS value that closes no declaration and holds no address. */
const VALUE = /^[#\w.,%() /-]{1,200}$/;
/** A name of a custom property that reads like other names (CSS Syntax 3, §4.3.11; letters of ASCII only). */
export const TOKEN_NAME = /^[a-z][a-z0-9-]{0,63}$/;

/** What is said of the values of the style sheet: a facet of the whole mockup. */
export const values: FacetEntry<readonly SaidValue[]> = {
  schema: Joi.array()
    .items(
      Joi.object<SaidValue>({
        kind: Joi.valid(...TOKEN_KINDS).required(),
        value: Joi.string().pattern(VALUE).required(),
        into: Joi.string().pattern(VALUE),
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
  isShared: false,
  isCopied: false,
  current: () => null,
  search: null,
  editor: null,
};
