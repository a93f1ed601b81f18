import { Box, ListItemButton, Typography } from '@mui/material';
import type { BookClass, NameOrigin } from '../../core/emit/styleBook';
import { ArrowList } from '../shared/ArrowList';
import { MONO } from '../shared/theme';
import { Specimen, type DrawnSheet } from './Specimen';

export const ORIGIN_WORDS: Readonly<Record<NameOrigin, string>> = {
  person: 'named by you',
  sample: 'from a sample',
  layers: 'named after its layers',
  'made up': 'name made up',
  place: 'named by its place',
};

/** True for a class that elements wear; of another one, a place says which elements it is of. */
export function isWorn({ name, selector }: BookClass): boolean {
  return selector === `.${name}`;
}

/** What a class is known by while its name changes: the layer that names it. */
export function classId({ namedBy, name }: BookClass): string {
  return namedBy ?? name;
}

interface ClassShelfProps {
  readonly classes: readonly BookClass[];
  readonly chosen: string | null;
  /** @param id see `classId` */
  readonly onChoose: (id: string) => void;
  readonly drawn: DrawnSheet;
}

/** Every class as it looks, with the number of its uses. */
export function ClassShelf({ classes, chosen, onChoose, drawn }: ClassShelfProps) {
  return (
    <ArrowList
      aria-label="Classes"
      sx={{
        display: 'grid',
        gridTemplateColumns: 'repeat(auto-fill, minmax(176px, 1fr))',
        gap: 1,
        p: 1.5,
        alignContent: 'start',
      }}
    >
      {classes.map((each) => {
        const { selector, users, origin } = each;
        const [first] = users;
        const id = classId(each);
        return (
          <li key={id}>
            <ListItemButton
              selected={id === chosen}
              aria-current={id === chosen ? 'true' : undefined}
              onClick={() => onChoose(id)}
              onFocus={() => onChoose(id)}
              sx={{
                flexDirection: 'column',
                alignItems: 'stretch',
                p: 0,
                border: 1,
                borderColor: id === chosen ? 'primary.main' : 'divider',
                bgcolor: 'background.paper',
                // Cards out of sight are not drawn.
                contentVisibility: 'auto',
                containIntrinsicHeight: 110,
              }}
            >
              <Specimen user={first} {...drawn} />
              <Box sx={{ px: 1, py: 0.5, minWidth: 0 }}>
                <Typography noWrap title={selector} sx={{ fontFamily: MONO, fontSize: 12.5 }}>
                  {selector}
                </Typography>
                <Typography noWrap sx={{ fontSize: 12, color: 'text.secondary' }}>
                  {users.length === 1 ? 'one use' : `${users.length} uses`}, {ORIGIN_WORDS[origin]}
                </Typography>
              </Box>
            </ListItemButton>
          </li>
        );
      })}
    </ArrowList>
  );
}
