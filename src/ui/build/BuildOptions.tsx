'use client';
import { Box, NativeSelect } from '@mui/material';
import type { ConvertOptions } from '../../core/convert';
import { FRAME_WORDS, plainFrame, UNITS, type PageFrame, type Unit } from '../../core/page/frame';
import type { WidthPair } from '../../core/page/join/pairs';
import { ArrangementToggle } from '../shared/ArrangementToggle';

export type BuildChoice = Omit<ConvertOptions, 'target'>;

interface BuildOptionsProps {
  readonly value: BuildChoice;
  readonly onChange: (next: BuildChoice) => void;
  /** Screens that can be one page at different widths. */
  readonly pairs: readonly WidthPair[];
  /** How many screens the mockup has: several may share furniture. */
  readonly screens: number;
}

const OPTION_WORDS: Readonly<Record<string, string>> = {
  left: 'from the left',
  centred: 'centred',
  clipped: 'clipped at its edges',
  spilling: 'spilling over its edges',
  screen: 'as high as the screen',
  content: 'as high as its content',
};

const LABELS: Readonly<Record<keyof PageFrame, string>> = {
  stands: 'Where the page stands',
  edge: 'What lies past its edges',
  reaches: 'How high the page is',
};

/** The arrangement of the page, its frame, and its unit. */
export function BuildOptions({ value, onChange, pairs, screens }: BuildOptionsProps) {
  const frame = value.frame ?? plainFrame(value.arrangement);
  const keys = Object.keys(FRAME_WORDS) as (keyof PageFrame)[];
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap' }}>
      <ArrangementToggle
        value={value.arrangement}
        onChange={(arrangement) => onChange({ arrangement, ...(value.unit && { unit: value.unit }) })}
      />
      {keys.map((key) => (
        <NativeSelect
          key={key}
          value={frame[key]}
          onChange={(event) => onChange({ ...value, frame: { ...frame, [key]: event.target.value } })}
          inputProps={{ 'aria-label': LABELS[key] }}
          sx={{ fontSize: 12 }}
        >
          {FRAME_WORDS[key].map((word) => (
            <option key={word} value={word}>
              {OPTION_WORDS[word]}
            </option>
          ))}
        </NativeSelect>
      ))}
      <NativeSelect
        value={value.unit ?? 'px'}
        onChange={(event) => onChange({ ...value, unit: event.target.value as Unit })}
        inputProps={{ 'aria-label': 'Unit of sizes' }}
        sx={{ fontSize: 12 }}
      >
        {UNITS.map((unit) => (
          <option key={unit} value={unit}>
            in {unit}
          </option>
        ))}
      </NativeSelect>
      {screens > 1 && (
        <NativeSelect
          value={value.fragments ? 'apart' : 'within'}
          onChange={(event) => onChange({ ...value, fragments: event.target.value === 'apart' })}
          inputProps={{ 'aria-label': 'What several screens share' }}
          sx={{ fontSize: 12 }}
        >
          <option value="within">shared parts in each page</option>
          <option value="apart">shared parts also as files of their own</option>
        </NativeSelect>
      )}
      {pairs.length > 0 && value.arrangement === 'flow' && (
        <NativeSelect
          value={value.join ? 'one' : 'each'}
          onChange={(event) => onChange({ ...value, join: event.target.value === 'one' })}
          inputProps={{ 'aria-label': 'Screens of one page at different widths' }}
          sx={{ fontSize: 12 }}
        >
          <option value="each">a page for each width</option>
          <option value="one">one page for {widthsOf(pairs)}</option>
        </NativeSelect>
      )}
    </Box>
  );
}

function widthsOf(pairs: readonly WidthPair[]): string {
  const [pair, ...others] = pairs;
  return pair && others.length === 0 ? `${pair.wide.width} and ${pair.narrow.width} px` : 'both widths';
}
