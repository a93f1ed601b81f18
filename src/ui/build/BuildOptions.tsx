'use client';
import { Box, Input, Typography } from '@mui/material';
import { useId, useState } from 'react';
import type { ConvertOptions } from '../../core/convert';
import { FRAME_WORDS, LANGUAGE_TAG, plainFrame, USUAL_LANGUAGE, type PageFrame } from '../../core/page/frame';
import { TARGETS } from '../../core/emit/targets';
import { knownSettings, settingOf, type TargetOptions } from '../../core/emit/targetOptions';
import type { Screen } from '../../core/mockup/mockup';
import type { WidthPair } from '../../core/page/join/pairs';
import { ArrangementToggle } from '../shared/ArrangementToggle';
import { Choice } from './Choice';
import { PageTitles } from './PageTitles';
import { PictureChoice } from './PictureChoice';
import { TargetChoice } from './TargetChoice';
import { ThemeChoice } from './ThemeChoice';

interface BuildOptionsProps {
  readonly value: ConvertOptions;
  readonly onChange: (next: ConvertOptions) => void;
  /** Screens that can be one page at different widths. */
  readonly pairs: readonly WidthPair[];
  /** The themes that the mockup has samples of. */
  readonly themes: readonly string[];
  /** The screens of the mockup: several may share furniture. */
  readonly screens: readonly Screen[];
}

const OPTION_WORDS: Readonly<Record<string, string>> = {
  left: 'left',
  centred: 'centred',
  clipped: 'cut off',
  spilling: 'shown',
  screen: 'of the screen',
  content: 'of its content',
};

const LABELS: Readonly<Record<keyof PageFrame, string>> = {
  stands: 'Align',
  edge: 'Overflow',
  reaches: 'Height',
};

/** The arrangement of the page, its frame, and its unit. */
export function BuildOptions({ value, onChange, pairs, themes, screens }: BuildOptionsProps) {
  const frame = value.frame ?? plainFrame(value.arrangement);
  const keys = Object.keys(FRAME_WORDS) as (keyof PageFrame)[];
  const options: TargetOptions = TARGETS[value.target].options;
  const { frame: _, join: __, ...others } = value;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', columnGap: 2, rowGap: 0.5, flexWrap: 'wrap' }}>
      <TargetChoice
        value={value.target}
        also={value.also ?? []}
        onChange={(target, also) =>
          onChange({
            ...value,
            target,
            also,
            settings: knownSettings(TARGETS[target].options, value.settings ?? {}),
          })
        }
      />
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Typography component="span" sx={{ fontSize: 12, color: 'text.secondary' }}>
          Layout
        </Typography>
        <ArrangementToggle
          value={value.arrangement}
          onChange={(arrangement) => onChange({ ...others, arrangement })}
        />
      </Box>
      {keys.map((key) => (
        <Choice
          key={key}
          label={LABELS[key]}
          value={frame[key]}
          onChange={(next) => onChange({ ...value, frame: { ...frame, [key]: next } })}
        >
          {FRAME_WORDS[key].map((word) => (
            <option key={word} value={word}>
              {OPTION_WORDS[word]}
            </option>
          ))}
        </Choice>
      ))}
      {Object.entries(options)
        .filter(([, { isFor }]) => isFor !== 'several screens' || screens.length > 1)
        .map(([name, { label, values }]) => (
          <Choice
            key={name}
            label={label}
            value={settingOf(options, value.settings ?? {}, name)}
            onChange={(next) => onChange({ ...value, settings: { ...value.settings, [name]: next } })}
          >
            {Object.entries(values).map(([each, words]) => (
              <option key={each} value={each}>
                {words}
              </option>
            ))}
          </Choice>
        ))}
      {themes.length > 0 && (
        <ThemeChoice
          all={themes}
          value={value.themes ?? []}
          schemes={value.schemes ?? {}}
          onChange={(chosen, schemes) => onChange({ ...value, themes: chosen, schemes })}
        />
      )}
      <PictureChoice
        value={value.pictures ?? { recipes: [] }}
        onChange={(pictures) => onChange({ ...value, pictures })}
      />
      <PageTitles
        screens={screens}
        value={value.titles ?? {}}
        onChange={(titles) => onChange({ ...value, titles })}
      />
      <Language
        value={value.language ?? USUAL_LANGUAGE}
        onChange={(language) => onChange({ ...value, language })}
      />
      {pairs.length > 0 && value.arrangement === 'flow' && (
        <Choice
          label="Widths"
          value={value.join ? 'one' : 'each'}
          onChange={(next) => onChange({ ...value, join: next === 'one' })}
        >
          <option value="each">a page for each width</option>
          <option value="one">one page for {widthsOf(pairs)}</option>
        </Choice>
      )}
    </Box>
  );
}

interface LanguageProps {
  readonly value: string;
  readonly onChange: (language: string) => void;
}

/** The language of the page, as a tag that is kept as soon as it is one. */
function Language({ value, onChange }: LanguageProps) {
  const id = useId();
  const [text, setText] = useState(value);
  const isValid = LANGUAGE_TAG.test(text);
  return (
    <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 0.75 }}>
      <Typography component="label" htmlFor={id} sx={{ fontSize: 12, color: 'text.secondary' }}>
        Language
      </Typography>
      <Input
        value={text}
        error={!isValid}
        onChange={(event) => {
          const next = event.target.value.trim();
          setText(next);
          if (LANGUAGE_TAG.test(next)) onChange(next);
        }}
        title="A language tag, such as en, da or pt-BR"
        inputProps={{ id, 'aria-invalid': !isValid, spellCheck: false, maxLength: 35 }}
        sx={{ fontSize: 13, width: 52 }}
      />
    </Box>
  );
}

function widthsOf(pairs: readonly WidthPair[]): string {
  const [pair, ...others] = pairs;
  return pair && others.length === 0 ? `${pair.wide.width} and ${pair.narrow.width} px` : 'both widths';
}
