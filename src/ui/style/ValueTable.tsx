import { Box, Button, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { StyleBook } from '../../core/emit/styleBook';
import { TOKEN_KINDS, type TokenKind } from '../../core/look/styleValue';
import type { SaidValue } from '../../core/sort/facets/values';
import type { Token, UsedValue } from '../../core/style/tokens/token';
import { KeptField } from '../shared/KeptField';
import { MONO } from '../shared/theme';
import { NearList } from './NearList';
import { Code, Swatch } from './Swatch';
import type { SayValue } from './useStyle';

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
  readonly onSay: SayValue;
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
        <NearList near={book.near} onSay={onSay} />
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
  readonly onSay: SayValue;
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
            <KeptField
              most={64}
              fontFamily={MONO}
              label={`Name of ${value}`}
              value={name}
              onKeep={(next) => onSay({ kind, value }, { name: next === '' ? undefined : next })}
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

/** Values that have no name by themselves, each with the offer to name it. */
function Seldom({ values, onSay }: { readonly values: readonly UsedValue[]; readonly onSay: SayValue }) {
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
              <KeptField
                most={64}
                fontFamily={MONO}
                label={`Name for ${value}`}
                value=""
                placeholder="name it"
                onKeep={(name) => (name === '' ? null : onSay({ kind, value }, { name }))}
              />
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
