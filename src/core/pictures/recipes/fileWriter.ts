import type { Report } from '../../findings/finding';
import { freeName } from '../../markup/freeName';
import type { LayerId } from '../../mockup/layer';
import { pageFiles, type PictureFile } from '../picture';
import type { ChosenRecipe } from './automaticRecipe';
import { READY_RECIPES } from './readyRecipes';
import type { PictureRecipes, Recipe } from './recipe';
import { recipeFiles, type PictureShape } from './recipeFiles';

export const NO_RECIPES: PictureRecipes = { recipes: [] };

/** A file that no recipe makes. */
export interface ReadyFile {
  readonly reason: string;
  readonly ready: PictureFile;
}

/** The files of a picture, and why it has them. */
export interface ChosenFiles {
  readonly files: readonly PictureFile[];
  readonly reason: string;
  /** The names of the files of symbols that hold it. */
  readonly symbols: readonly string[];
}

/** Gives pictures their files by their recipes, and no path twice. */
export interface FileWriter {
  /**
   * @param asked the names of recipes; null for the automatic choice
   * @param automatic the automatic choice, made when it is needed
   */
  readonly filesOf: (
    picture: PictureShape,
    layer: LayerId,
    asked: readonly string[] | null,
    automatic: () => ChosenRecipe | ReadyFile,
  ) => ChosenFiles;
  /** A path that no other file has: with a number before its ending where the wanted one is taken. */
  readonly freePath: (stem: string, ending: string) => string;
}

/** Starts to give files; what cannot be made is reported, and the rest is made. */
export function createFileWriter({ recipes }: PictureRecipes, report: Report): FileWriter {
  const byName = new Map([...READY_RECIPES, ...recipes].map((recipe) => [recipe.name, recipe]));
  // Some systems do not tell letters of different case apart.
  const taken = new Set<string>();
  const take = (files: readonly PictureFile[], layer: LayerId) =>
    files.filter(({ path }) => {
      const isFree = !taken.has(path.toLowerCase());
      if (!isFree) report('file-twice', layer, { path });
      taken.add(path.toLowerCase());
      return isFree;
    });
  const made = (picture: PictureShape, layer: LayerId, recipe: Recipe) => {
    const { files, refused } = recipeFiles(picture, recipe);
    for (const { path, why } of refused) report('file-refused', layer, { path, why });
    return take(files, layer);
  };
  return {
    freePath: (stem, ending) => {
      const free = freeName(stem, (each) => taken.has(`${each}.${ending}`.toLowerCase()));
      const path = `${free}.${ending}`;
      taken.add(path.toLowerCase());
      return path;
    },
    filesOf: (picture, layer, asked, automatic) => {
      const byItself = (): ChosenFiles => {
        const chosen = automatic();
        return {
          files: 'ready' in chosen ? take([chosen.ready], layer) : made(picture, layer, chosen),
          reason: chosen.reason,
          symbols: [],
        };
      };
      if (asked === null) return byItself();
      const found = asked.flatMap((name) => {
        const recipe = byName.get(name);
        if (!recipe) report('recipe-unknown', layer, { name });
        return recipe ?? [];
      });
      const files = found.flatMap((recipe) => made(picture, layer, recipe));
      const reason = `by ${found.map(({ name }) => name).join(' and ')}`;
      const symbols = picture.isVector ? found.flatMap((recipe) => recipe.symbols ?? []) : [];
      if (pageFiles({ files }).length > 0) return { files, reason, symbols };
      // The page has to show something.
      const shown = byItself();
      return {
        files: [...shown.files, ...files],
        symbols,
        reason: found.length === 0 ? shown.reason : `${reason}; for the page: ${shown.reason}`,
      };
    },
  };
}
