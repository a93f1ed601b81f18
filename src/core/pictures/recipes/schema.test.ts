import { readFileSync } from 'node:fs';
import Ajv from 'ajv/dist/2020';
import { READY_RECIPES } from './readyRecipes';
import { RECIPE_FORMATS, recipeSchema, type RecipeFile } from './recipe';

/** The published schema, by a validator from outside (JSON Schema 2020-12, ajv). */
const validate = new Ajv({ strict: false }).compile(
  JSON.parse(readFileSync('docs/recipes.schema.json', 'utf8')) as object,
);

const file = (more: object): object => ({ name: 'shop', files: [{ format: 'png', size: '2x', ...more }] });

describe('the published schema of recipes', () => {
  it('accepts the ready ones', () => {
    // A suffix may be empty inside of Orden: densities are told by folders.
    const written = READY_RECIPES.map((recipe) => ({
      ...recipe,
      files: recipe.files.map(({ suffix, ...rest }: RecipeFile) => ({ ...rest, ...(suffix && { suffix }) })),
    }));
    expect([validate(written), validate.errors]).toEqual([true, null]);
  });

  it.each<object>([
    ...RECIPE_FORMATS.map((format) => file({ format })),
    file({ size: '512w', folder: 'a/b', prefix: 'x-', suffix: '@2x', quality: 70, lossless: true }),
    file({ format: 'svg', svg: { ids: 'prefixed', text: 'text', bitmaps: 'embedded', styles: 'block' } }),
    file({ format: 'svg', svg: { bitmaps: 'beside' } }),
    file({ format: 'svg', svg: { bitmaps: 'outside' } }),
    { ...file({}), symbols: 'all', naming: 'resource' },
    file({ format: 'bmp' }),
    file({ size: '2' }),
    file({ folder: '../up' }),
    file({ quality: 0 }),
    file({ svg: { ids: 'none' } }),
    { name: 'Shop', files: [] },
    { files: [{ format: 'png', size: '1x' }] },
    { ...file({}), more: 1 },
  ])('says the same as Orden: %j', (recipe) => {
    expect(validate([recipe])).toBe(recipeSchema.validate(recipe).error === undefined);
  });
});
