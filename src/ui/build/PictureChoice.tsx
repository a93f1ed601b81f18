import { Button } from '@mui/material';
import { useState } from 'react';
import { READY_RECIPES } from '../../core/pictures/recipes/readyRecipes';
import type { PictureRecipes } from '../../core/pictures/recipes/recipe';
import { Choice } from './Choice';
import { RecipeDialog } from '../pictures/RecipeDialog';

interface PictureChoiceProps {
  readonly value: PictureRecipes;
  readonly onChange: (next: PictureRecipes) => void;
}

/** The recipe of pictures that say none, and the recipes of the project. */
export function PictureChoice({ value, onChange }: PictureChoiceProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Choice
        label="Pictures"
        value={value.usual?.[0] ?? ''}
        onChange={(name) => onChange({ recipes: value.recipes, ...(name !== '' && { usual: [name] }) })}
      >
        <option value="">each by what it is</option>
        {[...READY_RECIPES, ...value.recipes].map(({ name, label = name }) => (
          <option key={name} value={name}>
            {label}
          </option>
        ))}
      </Choice>
      <Button color="inherit" onClick={() => setOpen(true)} sx={{ px: 0.75 }}>
        Recipes…
      </Button>
      {isOpen && (
        <RecipeDialog
          recipes={value.recipes}
          onKeep={(recipes) => onChange({ ...value, recipes })}
          onClose={() => setOpen(false)}
        />
      )}
    </>
  );
}
