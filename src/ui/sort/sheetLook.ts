import { styled } from '@mui/material/styles';
import { MONO } from '../shared/theme';

export const ROW_HEIGHT = 26;

/**
 * The worksheet's style sheet; `--tracks` and `--least` say the tracks of a row and their least width. Styles on each cell
 * would be parsed and hashed with every row.
 */
export const Sheet = styled('div')(({ theme }) => {
  const { palette } = theme.vars ?? theme;
  return {
    position: 'relative',
    height: '100%',
    overflow: 'auto',
    backgroundColor: palette.background.paper,
    '&:focus-visible': { outline: `2px solid ${palette.primary.main}`, outlineOffset: -2 },
    '& [role=row]': {
      display: 'grid',
      gridTemplateColumns: 'var(--tracks)',
      height: ROW_HEIGHT,
      alignItems: 'center',
    },
    '& .headings': {
      position: 'sticky',
      top: 0,
      zIndex: 1,
      minWidth: 'var(--least)',
      backgroundColor: palette.background.default,
      borderBottom: `1px solid ${palette.text.secondary}`,
      fontSize: 12,
      fontWeight: 600,
      color: palette.text.secondary,
      lineHeight: `${ROW_HEIGHT}px`,
    },
    '& .heading': { position: 'relative', padding: '0 6px', whiteSpace: 'nowrap', overflow: 'hidden' },
    '& .grip': {
      position: 'absolute',
      right: 0,
      top: 0,
      bottom: 0,
      width: 7,
      cursor: 'col-resize',
      borderRight: `1px solid ${palette.divider}`,
      touchAction: 'none',
    },
    '& .grip:hover, & .grip:focus-visible': {
      borderRight: `3px solid ${palette.primary.main}`,
      outline: 'none',
    },
    '& .columns': { position: 'absolute', right: 2, top: 0, minHeight: 24 },
    '& .rows': { position: 'relative', minWidth: 'var(--least)' },
    '& .line': {
      position: 'absolute',
      left: 0,
      right: 0,
      borderBottom: `1px solid ${palette.divider}`,
      cursor: 'default',
      userSelect: 'none',
    },
    '& .line.hovered': { backgroundColor: palette.action.hover },
    '& .line[aria-selected=true]': {
      backgroundColor: palette.action.selected,
      boxShadow: `inset 3px 0 0 ${palette.primary.main}`,
    },
    '& .cell': {
      height: ROW_HEIGHT,
      lineHeight: `${ROW_HEIGHT}px`,
      padding: '0 6px',
      overflow: 'hidden',
      textOverflow: 'ellipsis',
      whiteSpace: 'nowrap',
      fontSize: 13,
      color: palette.text.primary,
    },
    '& .cell.code': { fontFamily: MONO, fontSize: 12 },
    '& .cell.settled': { fontWeight: 700 },
    '& .cell.active': { outline: `2px solid ${palette.primary.main}`, outlineOffset: -2 },
    '& .off .cell': { color: palette.text.secondary },
    '& .cell.unnamed': { fontStyle: 'italic' },
    '& .cell.findings': { fontWeight: 700, textAlign: 'center', padding: 0 },
    // The name shrinks before the count of its repeat does.
    '& .cell.layer': { display: 'flex', alignItems: 'center' },
    '& .name': { overflow: 'hidden', textOverflow: 'ellipsis', minWidth: 24 },
    '& .fold': { flex: 'none', width: 14, textAlign: 'center', color: palette.text.secondary },
    '& .small': {
      flex: 'none',
      width: 22,
      height: 20,
      marginRight: 5,
      objectFit: 'contain',
      // Contrasts with white and with black letters.
      backgroundColor: '#cdc5b3',
      outline: `1px solid ${palette.divider}`,
    },
    '& .alike': {
      flex: 'none',
      color: palette.text.secondary,
      fontSize: 12,
      marginLeft: 6,
      fontStyle: 'normal',
    },
    // Outcomes differ by letter and shape: filled for an element, framed for a picture, round for a sample.
    '& .mark': {
      width: 16,
      height: 16,
      lineHeight: '14px',
      marginLeft: 6,
      textAlign: 'center',
      fontSize: 12,
      fontWeight: 700,
      border: '1px solid transparent',
      color: palette.text.primary,
    },
    '& .mark.element': {
      borderColor: palette.text.primary,
      backgroundColor: palette.text.primary,
      color: palette.background.paper,
    },
    '& .mark.picture': { borderColor: palette.text.primary },
    '& .mark.sample': { borderColor: palette.primary.main, borderRadius: '50%' },
    '& .mark.inside': { opacity: 0.45 },
  };
});
