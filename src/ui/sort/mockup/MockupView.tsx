'use client';
import { Box, Button, NativeSelect, Typography } from '@mui/material';
import { useEffect, useState, type ComponentProps } from 'react';
import { BLEED } from '../../../core/pictures/drawings';
import { ScreenPicture } from '../../shared/ScreenPicture';
import { useSort } from '../SortContext';
import { appearanceChoices } from '../store/view';
import type { Appearance, Shown } from '../store/state';
import { MockupStage } from './MockupStage';
import { PagePicture } from './PagePicture';
import { Readout } from './Readout';
import { ScreenChoice } from './ScreenChoice';

const SHOWN: readonly { readonly value: Shown; readonly label: string }[] = [
  { value: 'screen', label: 'Visible layers' },
  { value: 'page', label: 'Built page, live' },
  { value: 'all', label: 'Include overflow' },
  { value: 'hidden', label: 'Include hidden layers' },
  { value: 'pictures', label: 'Pictures only' },
  { value: 'layers', label: 'Selection only' },
];

/** The mockup beside the worksheet: hover and selection are linked both ways. */
export function MockupView() {
  const screens = useSort((state) => state.mockup.screens);
  const screen = useSort((state) => state.screen);
  const showScreen = useSort((state) => state.showScreen);
  const shown = useSort((state) => state.shown);
  const show = useSort((state) => state.show);
  const askZoom = useSort((state) => state.askZoom);
  const [scale, setScale] = useState(1);
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', height: '100%', minHeight: 0 }}>
      <Box
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 0.5,
          px: 1,
          minHeight: 32,
          borderBottom: 1,
          borderColor: 'divider',
        }}
      >
        <ScreenChoice screens={screens} screen={screen} onChoose={showScreen} />
        <NativeSelect
          value={shown}
          onChange={(event) => show(event.target.value as Shown)}
          inputProps={{ 'aria-label': 'What the mockup shows' }}
          sx={{ fontSize: 12 }}
        >
          {SHOWN.map(({ value, label }) => (
            <option key={value} value={value}>
              {label}
            </option>
          ))}
        </NativeSelect>
        {shown !== 'page' && <ThemeChoice />}
      </Box>
      <MockupStage onScale={setScale}>
        {shown === 'page' ? <LivePage screen={screen} scale={scale} /> : <Picture shown={shown} />}
      </MockupStage>
      <Box
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 0.25,
          px: 1,
          minHeight: 30,
          borderTop: 1,
          borderColor: 'divider',
        }}
      >
        <ZoomButton label="Zoom out" text="−" onClick={() => askZoom('farther')} />
        <Typography sx={{ fontSize: 12, width: 40, textAlign: 'center' }}>
          {Math.round(scale * 100)}%
        </Typography>
        <ZoomButton label="Zoom in" text="+" onClick={() => askZoom('closer')} />
        <ZoomButton label="Fit the screen (W)" text="Fit" onClick={() => askZoom('whole')} />
        <ZoomButton label="Zoom to 100 % (1)" text="100 %" onClick={() => askZoom('actual')} />
        <ZoomButton label="Zoom to the selection (Z)" text="Selection" onClick={() => askZoom('chosen')} />
      </Box>
      <Readout />
    </Box>
  );
}

/** The live page; nothing until it is built. */
function LivePage(props: ComponentProps<typeof PagePicture>) {
  const isMade = useSort((state) => state.code.page !== null);
  return isMade && <PagePicture {...props} />;
}

/** The choice of looks, for a mockup with samples. */
function ThemeChoice() {
  const themes = useSort((state) => state.result?.themes ?? null);
  const appearance = useSort((state) => state.appearance);
  const setAppearance = useSort((state) => state.setAppearance);
  if (!themes) return null;
  return (
    <NativeSelect
      value={appearance}
      onChange={(event) => setAppearance(event.target.value as Appearance)}
      inputProps={{ 'aria-label': 'Looks of the mockup' }}
      sx={{ fontSize: 12 }}
    >
      {appearanceChoices(themes).map((choice) => (
        <option key={choice} value={choice}>
          {choice === 'drawn' ? 'As drawn' : choice === 'all' ? 'As its samples' : `Theme ${choice.slice(1)}`}
        </option>
      ))}
    </NativeSelect>
  );
}

interface ZoomButtonProps {
  readonly label: string;
  readonly text: string;
  readonly onClick: () => void;
}

function ZoomButton({ label, text, onClick }: ZoomButtonProps) {
  return (
    <Button
      color="inherit"
      aria-label={label}
      title={label}
      onClick={onClick}
      sx={{ minWidth: 24, px: 0.75, py: 0 }}
    >
      {text}
    </Button>
  );
}

/** Ms after which the picture is requested in any case. */
const LONGEST = 1500;

/** False until the worksheet is rendered: drawing thousands of shapes would delay its rows. */
function useIsIdle(): boolean {
  const [isFree, setFree] = useState(false);
  useEffect(() => {
    const id = requestIdleCallback(() => setFree(true), { timeout: LONGEST });
    return () => cancelIdleCallback(id);
  }, []);
  return isFree;
}

/** The screen as it was read, or a drawing of a selection. */
function Picture({ shown }: { readonly shown: Exclude<Shown, 'page'> }) {
  const { id, mockup: sheet, picture } = useSort((state) => state.opened);
  const screen = useSort((state) => state.screen);
  // Only a drawing of the selection depends on the selection; drawings of pictures and samples depend on
  // edits.
  const chosen = useSort((state) => (state.shown === 'layers' ? state.selection : null));
  const appearance = useSort((state) => (state.result?.themes ? state.appearance : 'drawn'));
  const edited = useSort((state) =>
    state.shown === 'pictures' || state.appearance !== 'drawn' ? state.lastEdit : '',
  );
  const whole = sheet.screens[0];
  const { width, height, origin, name } = screen;
  const isFree = useIsIdle();
  if (!whole || !isFree) return null;
  if (shown === 'screen' && appearance === 'drawn') {
    return (
      <ScreenPicture
        src={`/api/mockups/${id}/picture?reading=${picture}`}
        sheet={whole}
        part={{ ...origin, width, height }}
        alt={`The mockup ${name}`}
      />
    );
  }
  const of = shown === 'screen' ? 'all' : shown;
  const asked = new URLSearchParams({ screen: screen.id, of, reading: picture, edited });
  if (appearance !== 'drawn') asked.set('appearance', appearance);
  for (const key of [...(chosen ?? [])].slice(0, 200)) asked.append('layer', key);
  return (
    <ScreenPicture
      src={`/api/mockups/${id}/drawing?${asked}`}
      sheet={{ width: width + 2 * BLEED, height: height + 2 * BLEED }}
      part={{ x: BLEED, y: BLEED, width, height }}
      alt={`The mockup ${name}`}
      spills={shown !== 'screen'}
    />
  );
}
