import { Box, Button, Chip, NativeSelect, Typography } from '@mui/material';
import { useId, useState } from 'react';
import type { Recipe } from '../../core/pictures/recipes/recipe';

interface RecipeChoiceProps {
  readonly recipes: readonly Recipe[];
  /** What is said of each layer; null for the automatic choice. */
  readonly said: readonly (readonly string[] | null)[];
  readonly onSet: (names: readonly string[] | null) => void;
}

/** The recipes of pictures: one is added to theirs, or takes the place of them. */
export function RecipeChoice({ recipes, said, onSet }: RecipeChoiceProps) {
  const id = useId();
  const [name, setName] = useState(recipes[0]?.name ?? '');
  const [first = null, ...others] = said;
  const differs = others.some((each) => JSON.stringify(each) !== JSON.stringify(first));
  const own = differs ? [] : (first ?? []);
  return (
    <Box sx={{ display: 'grid', gap: 0.5, my: 0.5 }}>
      <Box
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          gap: 0.5,
          alignItems: 'center',
          fontSize: 13,
          minHeight: 25,
        }}
      >
        <Typography component="span" sx={{ fontSize: 12, color: 'text.secondary', width: 82 }}>
          Recipes
        </Typography>
        {differs ? 'mixed' : own.length === 0 && 'each by what it is'}
        {own.map((each) => (
          <Chip
            key={each}
            size="small"
            label={each}
            title="Delete takes the recipe away"
            onDelete={() => {
              const left = own.filter((other) => other !== each);
              onSet(left.length > 0 ? left : null);
            }}
          />
        ))}
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 0.5 }}>
        <NativeSelect
          value={name}
          onChange={(event) => setName(event.target.value)}
          inputProps={{ id, 'aria-label': 'A recipe' }}
          sx={{ fontSize: 13, flex: 1, minWidth: 0 }}
        >
          {recipes.map((each) => (
            <option key={each.name} value={each.name}>
              {each.name}
              {each.label ? `: ${each.label}` : ''}
            </option>
          ))}
        </NativeSelect>
        <Button color="inherit" onClick={() => onSet([name])}>
          Use
        </Button>
        <Button
          color="inherit"
          disabled={differs || own.includes(name)}
          onClick={() => onSet([...own, name])}
        >
          Add
        </Button>
        <Button color="inherit" disabled={!differs && own.length === 0} onClick={() => onSet(null)}>
          Automatic
        </Button>
      </Box>
    </Box>
  );
}
