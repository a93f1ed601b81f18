import { Box, Button, Typography } from '@mui/material';
import type { BookClass, ClassUser } from '../../core/emit/styleBook';
import type { Screen } from '../../core/mockup/mockup';
import { CodeBlock } from '../shared/CodeBlock';
import { DetailPane } from '../shared/DetailPane';
import { ScreenPicture } from '../shared/ScreenPicture';
import { AlikeChoice } from './AlikeChoice';
import { isWorn, ORIGIN_WORDS } from './ClassShelf';
import { ClassUsers } from './ClassUsers';
import type { DrawnMockup } from './drawnMockup';
import type { StyleState } from './useStyle';
import { KeptField } from '../shared/KeptField';
import { MONO } from '../shared/theme';
import { Specimen, type DrawnSheet } from './Specimen';

interface ClassDetailProps {
  readonly of: BookClass;
  readonly mockupId: string;
  readonly drawn: DrawnMockup;
  /** All classes of the sheet. */
  readonly classes: readonly BookClass[];
  readonly style: StyleState;
}

/** Frames that are drawn at most: more of them hide the mockup. */
const MOST_FRAMES = 1000;

/** Why no layer names a class; letters inside of texts have none. */
const WITHOUT_LAYER: Readonly<Partial<Record<BookClass['origin'], string>>> = {
  sample: '; its sample names it',
  place: '; its layers stand otherwise than the others of their class',
};

function countText(of: BookClass): string {
  const { length } = of.users;
  if (!isWorn(of)) return length === 1 ? 'of one element' : `of ${length} elements`;
  return length === 1 ? 'worn once' : `worn ${length} times`;
}

/** A class: its name, its rules, and where it is worn. */
export function ClassDetail({ of, mockupId, drawn, classes, style }: ClassDetailProps) {
  const { nameClass: onName } = style;
  const { namedBy, states, users } = of;
  const screen = drawn.screens.find(({ id }) => id === users[0]?.screen) ?? drawn.screens[0];
  const themes = screen ? drawn.inThemes(screen) : [];
  return (
    <DetailPane label={`Class ${of.name}`}>
      <Box>
        {namedBy === null ? (
          <Typography variant="h2">{of.selector}</Typography>
        ) : (
          <Box sx={{ display: 'flex', alignItems: 'start', gap: 1 }}>
            <Box sx={{ flex: 1 }}>
              <KeptField
                most={64}
                fontFamily={MONO}
                label="Name of the class"
                value={of.name}
                placeholder="automatic"
                onKeep={(name) => onName(namedBy, name)}
              />
            </Box>
            {of.origin === 'person' ? (
              <Button color="inherit" onClick={() => onName(namedBy, '')} title="Let Orden name it">
                Automatic
              </Button>
            ) : (
              <>
                <Button
                  color="inherit"
                  onClick={() => onName(namedBy, of.name)}
                  title="It keeps this name whatever becomes of the layers around it"
                >
                  Keep the name
                </Button>
                {of.origin !== 'sample' && (
                  <Button
                    color="inherit"
                    onClick={() => style.forbid([...style.forbidden, of.name])}
                    title="No class may have this name"
                  >
                    Another name
                  </Button>
                )}
              </>
            )}
          </Box>
        )}
        <Typography sx={{ fontSize: 12.5, color: 'text.secondary', mt: 0.5 }}>
          {ORIGIN_WORDS[of.origin]}; {countText(of)}
          {states.length > 0 && `; states: ${states.join(', ')}`}
          {namedBy === null && (WITHOUT_LAYER[of.origin] ?? '; letters inside of texts')}
        </Typography>
        {namedBy !== null && !isWorn(of) && (
          <Typography sx={{ fontSize: 12.5, color: 'text.secondary', mt: 0.5 }}>
            Its place says which elements it is of, so none wears it: the rules begin with{' '}
            <Box component="code" sx={{ fontFamily: MONO }}>
              {of.selector}
            </Box>
            . Keep the name to have it worn.
          </Typography>
        )}
      </Box>
      <Box sx={{ border: 1, borderColor: 'divider', flex: 'none' }}>
        <CodeBlock title="Rules" code={of.css} language="css" none="Nothing of its own." />
      </Box>
      {themes.length > 0 && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          {themes.map(({ theme, ...sheet }) => (
            <Box key={theme}>
              <Specimen user={users[0]} {...sheet} />
              <Typography sx={{ fontSize: 12, color: 'text.secondary' }}>in the theme {theme}</Typography>
            </Box>
          ))}
        </Box>
      )}
      {screen && (
        <Worn
          drawn={drawn.asRead}
          screen={screen}
          users={users.filter((user) => user.screen === screen.id).slice(0, MOST_FRAMES)}
        />
      )}
      <ClassUsers
        users={users}
        mockupId={mockupId}
        tagOf={(layer) => style.opened?.tags[layer]}
        onSplit={style.splitOff}
        onShare={style.share}
        onOwnLook={(layers) => style.lookLike(layers, null)}
      />
      {namedBy !== null && (
        <AlikeChoice
          of={of}
          classes={classes}
          onTake={(model) =>
            style.lookLike(
              users.map(({ layer }) => layer),
              model,
            )
          }
        />
      )}
    </DetailPane>
  );
}

interface WornProps {
  readonly drawn: DrawnSheet;
  readonly screen: Screen;
  readonly users: readonly ClassUser[];
}

/** The screen with a frame around every layer that wears the class. */
function Worn({ drawn, screen, users }: WornProps) {
  const share = (value: number, of: number) => `${(value / of) * 100}%`;
  const { width, height, origin, name } = screen;
  return (
    <Box
      sx={{
        position: 'relative',
        flex: 'none',
        width: '100%',
        aspectRatio: `${width} / ${height}`,
        bgcolor: '#fff',
        overflow: 'hidden',
        boxShadow: '0 0 0 1px rgb(0 0 0 / 18%)',
      }}
    >
      <ScreenPicture
        src={drawn.src}
        sheet={drawn.sheet}
        part={{ ...origin, width, height }}
        alt={`The mockup ${name}`}
      />
      {users.map(
        ({ layer, box }, at) =>
          box && (
            <Box
              key={`${layer} ${at}`}
              aria-hidden
              style={{
                left: share(box.x, width),
                top: share(box.y, height),
                width: share(box.width, width),
                height: share(box.height, height),
              }}
              sx={{ position: 'absolute', boxShadow: '0 0 0 1px #fffaf2, 0 0 0 3px #a63a1e' }}
            />
          ),
      )}
    </Box>
  );
}
