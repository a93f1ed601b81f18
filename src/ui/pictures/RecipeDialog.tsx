import {
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  TextField,
  Typography,
} from '@mui/material';
import { useState } from 'react';
import { READY_RECIPES } from '../../core/pictures/recipes/readyRecipes';
import { recipeSchema, type Recipe } from '../../core/pictures/recipes/recipe';
import { MONO } from '../shared/theme';

const EXAMPLE: Recipe = {
  name: 'shop',
  label: 'WebP in two widths, PNG to be safe',
  files: [
    { format: 'webp', size: '512w', quality: 75 },
    { format: 'webp', size: '1024w', quality: 70 },
    { format: 'png', size: '512w', forPage: false },
  ],
};

interface RecipeDialogProps {
  readonly recipes: readonly Recipe[];
  readonly onKeep: (recipes: readonly Recipe[]) => void;
  readonly onClose: () => void;
}

/** The recipes of a project as JSON, to be written, copied to another project, and brought from one. */
export function RecipeDialog({ recipes, onKeep, onClose }: RecipeDialogProps) {
  const [text, setText] = useState(() => JSON.stringify(recipes.length > 0 ? recipes : [EXAMPLE], null, 2));
  const read = readRecipes(text);
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md">
      <DialogTitle>Recipes of this project</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5 }}>
        <Typography sx={{ fontSize: 13 }}>
          A recipe is a list of files that are made of a picture. Formats: svg, png, png8, jpeg, webp, avif,
          pdf. Sizes: 2x, 512w or 512h. A file may have a folder, a prefix, a suffix and a quality, and lie
          beside the page.
        </Typography>
        <TextField
          label="Recipes"
          multiline
          minRows={12}
          maxRows={20}
          value={text}
          error={'problem' in read}
          helperText={'problem' in read ? read.problem : ' '}
          onChange={(event) => setText(event.target.value)}
          slotProps={{
            input: { sx: { fontFamily: MONO, fontSize: 12.5 } },
            htmlInput: { spellCheck: false },
          }}
        />
        <Typography sx={{ fontSize: 12.5, color: 'text.secondary' }}>
          Ready in every project:{' '}
          {READY_RECIPES.map(({ name, label = '' }) => `${name} (${label})`).join(', ')}.
        </Typography>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
        <Button
          variant="contained"
          aria-disabled={'problem' in read}
          onClick={() => {
            if ('problem' in read) return;
            onKeep(read.recipes);
            onClose();
          }}
        >
          Keep the recipes
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function readRecipes(text: string): { readonly recipes: readonly Recipe[] } | { readonly problem: string } {
  let json: unknown;
  try {
    json = text.trim() === '' ? [] : JSON.parse(text);
  } catch {
    return { problem: 'This is no JSON: look for a missing comma or bracket.' };
  }
  if (!Array.isArray(json)) return { problem: 'Write a list of recipes: [{"name": …, "files": […]}].' };
  const recipes: Recipe[] = [];
  for (const each of json as readonly unknown[]) {
    const { value, error } = recipeSchema.validate(each, { errors: { wrap: { label: false } } });
    if (error) return { problem: `${error.message.replaceAll('"', '')}.` };
    if (recipes.some(({ name }) => name === value.name))
      return { problem: `Two recipes are called ${value.name}.` };
    recipes.push(value);
  }
  return { recipes };
}
