'use client';
import { createTheme, type Theme } from '@mui/material/styles';

/** A ring around what has the focus; outside of the control, so that it contrasts with its ground, not its colour. */
const focusRing = ({ theme }: { readonly theme: Theme }) => ({
  '&.Mui-focusVisible, &:focus-visible': {
    outline: `2px solid ${(theme.vars ?? theme).palette.primary.main}`,
    outlineOffset: 1,
  },
});

function mainLandmark(): HTMLElement {
  return document.querySelector('main') ?? document.body;
}

/** The least height of a control, px (WCAG 2.2, 2.5.8 target size). */
const LEAST_TARGET = 24;

/** Ink on warm paper, or paper on ink, with vermilion for selection and the main action. */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data-scheme' },
  colorSchemes: {
    light: {
      palette: {
        primary: { main: '#a63a1e', contrastText: '#fffaf2' },
        secondary: { main: '#3b4a44' },
        background: { default: '#f4efe4', paper: '#fbf8f1' },
        text: { primary: '#22201c', secondary: '#5b554b' },
        divider: '#d8cfbc',
        error: { main: '#9b1c1c', contrastText: '#fffaf2' },
      },
    },
    dark: {
      palette: {
        primary: { main: '#f0906f', contrastText: '#1d1714' },
        secondary: { main: '#b8c4bc' },
        background: { default: '#171613', paper: '#201f1b' },
        text: { primary: '#ece5d6', secondary: '#b3ab9b' },
        divider: '#3b3830',
        error: { main: '#ff9a8a', contrastText: '#1d1714' },
      },
    },
  },
  shape: { borderRadius: 3 },
  typography: {
    fontFamily: 'Commissioner, sans-serif',
    fontSize: 13,
    h1: { fontSize: 20, fontWeight: 600, lineHeight: 1.25 },
    h2: { fontSize: 17, fontWeight: 600, lineHeight: 1.3 },
    h3: { fontSize: 14, fontWeight: 600, lineHeight: 1.3 },
    button: { textTransform: 'none', fontWeight: 600 },
  },
  components: {
    MuiButton: {
      defaultProps: { disableElevation: true, size: 'small' },
      // Buttons change at once: a half-way colour would lack contrast.
      styleOverrides: { root: { transition: 'none', minHeight: LEAST_TARGET } },
    },
    MuiToggleButton: {
      styleOverrides: { root: ({ theme }) => ({ color: (theme.vars ?? theme).palette.text.primary }) },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true }, styleOverrides: { root: focusRing } },
    MuiLink: { styleOverrides: { root: focusRing } },
    MuiSelect: {
      styleOverrides: {
        select: ({ theme }) => ({
          '&:focus-visible': {
            outline: `2px solid ${(theme.vars ?? theme).palette.primary.main}`,
            outlineOffset: 1,
            backgroundColor: 'transparent',
          },
        }),
      },
    },
    // Dialogs are there at once: a half-way colour would lack contrast.
    MuiDialog: { defaultProps: { transitionDuration: 0 } },
    // Inside the page's main landmark, where assistive technology looks for it.
    MuiMenu: { defaultProps: { container: mainLandmark } },
    MuiPopover: { defaultProps: { container: mainLandmark } },
    MuiTooltip: { defaultProps: { enterDelay: 400 } },
  },
});

export const MONO = '"Red Hat Mono", monospace';
