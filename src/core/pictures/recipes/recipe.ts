import Joi from 'joi';
import { RECIPE_NAME } from '../../sort/facets/recipes';
import type { PictureFormat } from '../picture';

/** The formats that a recipe can ask for. */
export const RECIPE_FORMATS = ['svg', 'png', 'png8', 'jpeg', 'webp', 'avif', 'pdf'] as const;
export type RecipeFormat = (typeof RECIPE_FORMATS)[number];

/** A size: a multiple of the size on the screen (`1.5x`), or a width or height in px (`512w`, `512h`). */
export type RecipeSize = string;

/** How an SVG is written; what is left out is usual. */
export interface SvgStyle {
  /** Decimals of coordinates, 0–6. Absent for 3. */
  readonly decimals?: number;
  /** `fluid`: as wide as what is around it. Absent for `fixed`. */
  readonly size?: 'fixed' | 'fluid';
  /** `prefixed`: with the name of the picture before them, so that two inlined files never clash. Absent for `short`. */
  readonly ids?: 'short' | 'prefixed';
  /** Absent for `attributes`. */
  readonly styles?: 'attributes' | 'inline' | 'block';
  /** `text`: letters that stay letters, which look the same only where the font is. Absent for `outlines`. */
  readonly text?: 'outlines' | 'text';
  /**
   * A picture with bitmaps may be an SVG that holds them (`embedded`), or that refers to files of them (`beside`). Absent
   * for none.
   */
  readonly bitmaps?: 'embedded' | 'beside';
  /** True for a title that assistive technology reads. */
  readonly title?: boolean;
}

/** One file that is made of every picture with the recipe. */
export interface RecipeFile {
  readonly format: RecipeFormat;
  readonly size: RecipeSize;
  /** From the page's folder. Absent for `pictures`. */
  readonly folder?: string;
  readonly prefix?: string;
  /** Absent for the usual one: nothing at 1x, else `@2x` or `-512w`. */
  readonly suffix?: string;
  /** 1–100, for lossy formats. Absent for 80. */
  readonly quality?: number;
  /** For WebP and AVIF. */
  readonly lossless?: boolean;
  /** For SVG. Absent for the usual way. */
  readonly svg?: SvgStyle;
  /** Absent for a file that the page may show; false for one that lies beside it. */
  readonly forPage?: boolean;
}

/** A named list of files. */
export interface Recipe {
  readonly name: string;
  /** What it is for, in a few words. */
  readonly label?: string;
  /** `resource`: letters, digits and underscores only, as resource compilers ask for. Absent for names as they are. */
  readonly naming?: 'resource';
  /** The name of one more file, which holds every picture with this recipe as a symbol (SVG 2, §5.5). */
  readonly symbols?: string;
  readonly files: readonly RecipeFile[];
}

const FOLDER = /^[\w-]+(?:\/[\w-]+){0,5}$/;
const AFFIX = /^[\w@.-]{0,24}$/;

export const recipeSchema = Joi.object<Recipe>({
  name: Joi.string()
    .pattern(RECIPE_NAME)
    .required()
    .messages({ 'string.pattern.base': '{#value} is no name: lower case letters, digits and hyphens' }),
  label: Joi.string().max(120),
  naming: Joi.valid('resource'),
  symbols: Joi.string().pattern(RECIPE_NAME),
  files: Joi.array()
    .items(
      Joi.object<RecipeFile>({
        format: Joi.valid(...RECIPE_FORMATS)
          .required()
          .messages({ 'any.only': `{#value} is no format: there is ${RECIPE_FORMATS.join(', ')}` }),
        size: Joi.string()
          .pattern(/^(?:\d{1,2}(?:\.\d{1,3})?x|\d{1,5}[wh])$/)
          .required()
          .messages({ 'string.pattern.base': '{#value} is no size: write 2x, 512w or 512h' }),
        folder: Joi.string()
          .pattern(FOLDER)
          .messages({ 'string.pattern.base': '{#value} is no folder inside of the page' }),
        prefix: Joi.string().pattern(AFFIX),
        suffix: Joi.string().pattern(AFFIX),
        quality: Joi.number().integer().min(1).max(100),
        lossless: Joi.boolean(),
        svg: Joi.object<SvgStyle>({
          decimals: Joi.number().integer().min(0).max(6),
          size: Joi.valid('fixed', 'fluid'),
          ids: Joi.valid('short', 'prefixed'),
          styles: Joi.valid('attributes', 'inline', 'block'),
          text: Joi.valid('outlines', 'text'),
          bitmaps: Joi.valid('embedded', 'beside'),
          title: Joi.boolean(),
        }),
        forPage: Joi.boolean(),
      }),
    )
    .min(1)
    .max(60)
    .required(),
});

/** What a project or a command says of pictures. */
export interface PictureRecipes {
  /** Recipes beside the ready ones; one of the same name replaces it. */
  readonly recipes: readonly Recipe[];
  /** The recipes of pictures that say none, by name. Absent for the automatic choice. */
  readonly usual?: readonly string[];
}

export const pictureRecipesSchema = Joi.object<PictureRecipes>({
  recipes: Joi.array().items(recipeSchema).unique('name').max(100).default([]),
  usual: Joi.array().items(Joi.string().pattern(RECIPE_NAME)).min(1).max(10),
});

/** The kind of file of a format. */
export const FILE_FORMATS: Readonly<Record<RecipeFormat, PictureFormat>> = {
  svg: 'svg',
  png: 'png',
  png8: 'png',
  jpeg: 'jpeg',
  webp: 'webp',
  avif: 'avif',
  pdf: 'pdf',
};
