import { useMemo } from 'react';
import type { ConvertOptions } from '../../core/convert';
import type { PictureRecipes, Recipe } from '../../core/pictures/recipes/recipe';
import type { Facet, FacetValue } from '../../core/sort/facets/facets';
import { USUAL_OPTIONS } from '../../core/usualOptions';
import type { TagEdit } from '../../server/useCases/editTags';
import type { OpenedMockup } from '../../server/useCases/openMockup';
import type { PictureList } from '../../server/pictureTypes';
import { keepOptions } from '../shared/buildOptions';
import { useEdits, type Edits } from '../shared/useEdits';
import { useResource } from '../shared/useResource';

export interface PicturesState extends Pick<Edits, 'undo' | 'redo'> {
  readonly opened: OpenedMockup | null;
  readonly list: PictureList | null;
  readonly problem: string | null;
  readonly recipes: PictureRecipes;
  /** Sets a facet of layers; null for what Orden decides. */
  readonly setFacet: (layers: readonly string[], facet: Facet, value: FacetValue | null) => void;
  /** Keeps the recipes of the project. */
  readonly keepRecipes: (recipes: readonly Recipe[]) => void;
  /** Keeps a recipe in the project, and gives it to layers alone. */
  readonly giveRecipe: (layers: readonly string[], recipe: Recipe) => void;
}

/** The pictures of a mockup as a build would make them now, and what a person says of them. */
export function usePictures(mockupId: string): PicturesState {
  const address = `/api/mockups/${mockupId}`;
  const opened = useResource<OpenedMockup>(address);
  const list = useResource<PictureList>(`${address}/pictures`);
  const {
    send,
    refused,
    sendAndSay,
    edit: editNow,
    undo,
    redo,
  } = useEdits(mockupId, () => {
    opened.reload();
    list.reload();
  });
  const options: ConvertOptions = opened.data?.options ?? USUAL_OPTIONS;
  const recipes = useMemo(() => options.pictures ?? { recipes: [] }, [options.pictures]);
  const edit = (layers: readonly string[], facet: Facet, value: FacetValue | null) =>
    editNow(layers.map((layer): TagEdit => ({ layer, facet, value: value as TagEdit['value'] })));
  const keep = (all: readonly Recipe[]) =>
    keepOptions(mockupId, { ...options, pictures: { ...recipes, recipes: all } });
  return {
    opened: opened.data,
    list: list.data,
    problem: refused ?? opened.problem ?? list.problem,
    recipes,
    setFacet: (layers, facet, value) => send(() => edit(layers, facet, value)),
    keepRecipes: (all) => sendAndSay(() => keep(all), 'The recipes are kept.'),
    giveRecipe: (layers, recipe) =>
      sendAndSay(async () => {
        await keep([...recipes.recipes.filter(({ name }) => name !== recipe.name), recipe]);
        await edit(layers, 'recipes', [recipe.name]);
      }, `The recipe ${recipe.name} is kept and used.`),
    undo,
    redo,
  };
}
