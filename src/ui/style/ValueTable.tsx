import { Box, Button, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { StyleBook } from '../../core/emit/styleBook';
import { TOKEN_KINDS, type StyleValue, type TokenKind } from '../../core/look/styleValue';
import type { SaidValue } from '../../core/sort/facets/values';
import type { NearValues, Token, UsedValue } from '../../core/style/tokens/token';
import { MONO } from '../shared/theme';
import { NameField } from './NameField';

const KIND_WORDS: Readonly<Record<TokenKind, string>> = {
  colour: 'Colours',
  font: 'Fonts',
  text: 'Sizes of type',
  space: 'Distances',
  radius: 'Radii',
  shadow: 'Shadows',
};

interface ValueTableProps {
  readonly book: StyleBook;
  readonly said: readonly SaidValue[];
  readonly onSay: (value: StyleValue, change: Pick<SaidValue, 'into' | 'name'>) => string | null;
}

/** The values that are used again, by kind, with their names, and the pairs that are nearly equal. */
export function ValueTable({ book, said, onSay }: ValueTableProps) {
  const merged = said.flatMap((each) => (each.into === undefined ? [] : [{ ...each, into: each.into }]));
  return (
    <Box
      sx={{
        flex: 1,
        minHeight: 0,
        overflow: 'auto',
        p: 1.5,
        display: 'grid',
        gap: 2,
        gridTemplateColumns: 'minmax(0, 1fr) minmax(300px, 400px)',
        alignItems: 'start',
      }}
    >
      <Table size="small" aria-label="Values that are used again">
        <TableHead>
          <TableRow>
            <TableCell sx={{ width: 64 }}>Looks</TableCell>
            <TableCell>Name</TableCell>
            <TableCell>Value</TableCell>
            <TableCell align="right">Uses</TableCell>
          </TableRow>
        </TableHead>
        {TOKEN_KINDS.map((kind) => (
          <Kind
            key={kind}
            kind={kind}
            tokens={book.tokens.filter((token) => token.kind === kind)}
            onSay={onSay}
          />
        ))}
      </Table>
      <Box sx={{ display: 'grid', gap: 2 }}>
        <Near near={book.near} onSay={onSay} />
        <Seldom values={book.seldom} onSay={onSay} />
        {merged.length > 0 && (
          <Box component="section" aria-label="Merged values">
            <Typography variant="h3" component="h2">
              Merged by you
            </Typography>
            <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
              {merged.map(({ kind, value, into }) => (
                <Box
                  component="li"
                  key={`${kind} ${value}`}
                  sx={{ display: 'flex', alignItems: 'center', gap: 1, py: 0.5 }}
                >
                  <Swatch kind={kind} value={value} />
                  <Code>{value}</Code> → <Swatch kind={kind} value={into} />
                  <Code>{into}</Code>
                  <Button
                    color="inherit"
                    aria-label={`Take back: ${value} as ${into}`}
                    onClick={() => onSay({ kind, value }, { into: undefined })}
                    sx={{ ml: 'auto' }}
                  >
                    Take back
                  </Button>
                </Box>
              ))}
            </Box>
          </Box>
        )}
      </Box>
    </Box>
  );
}

interface KindProps {
  readonly kind: TokenKind;
  readonly tokens: readonly Token[];
  readonly onSay: ValueTableProps['onSay'];
}

function Kind({ kind, tokens, onSay }: KindProps) {
  if (tokens.length === 0) return null;
  return (
    <TableBody>
      <TableRow>
        <TableCell colSpan={4} component="th" scope="rowgroup" sx={{ fontWeight: 600, pt: 1.5 }}>
          {KIND_WORDS[kind]}
        </TableCell>
      </TableRow>
      {tokens.map(({ name, value, uses }) => (
        <TableRow key={value}>
          <TableCell>
            <Swatch kind={kind} value={value} />
          </TableCell>
          <TableCell sx={{ minWidth: 150 }}>
            <NameField
              label={`Name of ${value}`}
              value={name}
              onName={(next) => onSay({ kind, value }, { name: next === '' ? undefined : next })}
            />
          </TableCell>
          <TableCell>
            <Code>{value}</Code>
          </TableCell>
          <TableCell align="right">{uses}</TableCell>
        </TableRow>
      ))}
    </TableBody>
  );
}

/** Pairs that may be slips, each with the offer to write one for both. */
function Near({
  near,
  onSay,
}: {
  readonly near: readonly NearValues[];
  readonly onSay: ValueTableProps['onSay'];
}) {
  return (
    <Box component="section" aria-label="Nearly equal values">
      <Typography variant="h3" component="h2">
        Nearly equal
      </Typography>
      <Typography sx={{ fontSize: 12.5, color: 'text.secondary', mb: 0.5 }}>
        {near.length === 0
          ? 'No two values are so near that one may be a slip.'
          : 'One of each pair may be a slip. Nothing is merged before you say so; the proof shows what it changes.'}
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {near.map(({ kind, kept, other, difference }) => (
          <Box
            component="li"
            key={`${kind} ${other.value}`}
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 1,
              fontSize: 12.5,
              py: 0.75,
              borderBottom: 1,
              borderColor: 'divider',
              flexWrap: 'wrap',
            }}
          >
            <Swatch kind={kind} value={other.value} />
            <Code>{other.value}</Code>
            <span>×{other.uses}</span>
            <Swatch kind={kind} value={kept.value} />
            <Code>{kept.value}</Code>
            <span>×{kept.uses}</span>
            <Typography component="span" sx={{ fontSize: 12, color: 'text.secondary' }}>
              {kind === 'colour' ? `ΔE ${difference.toFixed(1)}` : `${difference} px apart`}
            </Typography>
            <Button
              variant="outlined"
              onClick={() => onSay({ kind, value: other.value }, { into: kept.value })}
              sx={{ ml: 'auto' }}
            >
              Use {kept.value} for both
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** Values that have no name by themselves, each with the offer to name it. */
function Seldom({
  values,
  onSay,
}: {
  readonly values: readonly UsedValue[];
  readonly onSay: ValueTableProps['onSay'];
}) {
  const shown = values
    .filter(({ kind }) => kind !== 'shadow')
    .toSorted((one, other) => other.uses - one.uses);
  if (shown.length === 0) return null;
  return (
    <Box component="section" aria-label="Values without a name">
      <Typography variant="h3" component="h2">
        Without a name
      </Typography>
      <Typography sx={{ fontSize: 12.5, color: 'text.secondary', mb: 0.5 }}>
        Used too seldom, or measured. A name makes one a custom property.
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {shown.slice(0, 60).map(({ kind, value, uses }) => (
          <Box
            component="li"
            key={`${kind} ${value}`}
            sx={{ display: 'flex', alignItems: 'center', gap: 1, py: 0.25, fontSize: 12.5 }}
          >
            <Swatch kind={kind} value={value} />
            <Code>{value}</Code>
            <span>×{uses}</span>
            <Box sx={{ flex: 1, minWidth: 90 }}>
              <NameField
                label={`Name for ${value}`}
                value=""
                placeholder="name it"
                onName={(name) => (name === '' ? null : onSay({ kind, value }, { name }))}
              />
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function Code({ children }: { readonly children: string }) {
  return (
    <Box component="code" sx={{ fontFamily: MONO, fontSize: 12.5, overflowWrap: 'anywhere' }}>
      {children}
    </Box>
  );
}

/** A value to look at. */
function Swatch({ kind, value }: StyleValue) {
  const box = {
    width: 40,
    height: 22,
    flex: 'none',
    border: '1px solid rgb(0 0 0 / 18%)',
    bgcolor: '#fff',
  } as const;
  if (kind === 'colour')
    return (
      <Box
        aria-hidden
        component="span"
        style={{ background: value }}
        sx={{ ...box, display: 'inline-block' }}
      />
    );
  if (kind === 'text')
    return (
      <Box
        aria-hidden
        component="span"
        style={{ fontSize: `min(${value}, 28px)` }}
        sx={{ lineHeight: 1, width: 40, flex: 'none', display: 'inline-block' }}
      >
        Ag
      </Box>
    );
  if (kind === 'font')
    return (
      <Box
        aria-hidden
        component="span"
        style={{ fontFamily: value }}
        sx={{ fontSize: 18, width: 40, flex: 'none' }}
      >
        Ag
      </Box>
    );
  if (kind === 'space')
    return (
      <Box
        aria-hidden
        component="span"
        style={{ width: `min(${value}, 56px)` }}
        sx={{ height: 10, bgcolor: 'primary.main', flex: 'none', display: 'inline-block' }}
      />
    );
  if (kind === 'radius')
    return (
      <Box
        aria-hidden
        component="span"
        style={{ borderTopLeftRadius: value }}
        sx={{
          ...box,
          borderRight: 0,
          borderBottom: 0,
          borderColor: 'text.primary',
          bgcolor: 'transparent',
          display: 'inline-block',
        }}
      />
    );
  return (
    <Box
      aria-hidden
      component="span"
      style={{ boxShadow: value }}
      sx={{ ...box, border: 0, m: 0.5, display: 'inline-block' }}
    />
  );
}
