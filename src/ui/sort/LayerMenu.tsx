'use client';
import { Divider, ListItemText, Menu, MenuItem, Typography } from '@mui/material';
import { MONO } from '../shared/theme';
import { isPossible, MAIN_ACTIONS, ACTIONS, type Action } from './actions';
import { focusWorksheet } from './focus';
import { useSort, useSortStore } from './SortContext';

const OUTCOME_ACTIONS = ACTIONS.filter(({ name }) => name.startsWith('Becomes '));

/** The context menu of worksheet and mockup: what can be done with the selection. */
export function LayerMenu() {
  const at = useSort((state) => state.menuAt);
  return at && <OpenMenu at={at} />;
}

function OpenMenu({ at }: { readonly at: { readonly x: number; readonly y: number } }) {
  const store = useSortStore();
  const openMenu = useSort((state) => state.openMenu);
  const close = () => {
    openMenu(null);
    setTimeout(focusWorksheet);
  };
  const run = (action: Action) => {
    close();
    setTimeout(() => action.run(store.getState()));
  };
  const item = (action: Action, label: string) => (
    <MenuItem key={action.name} dense onClick={() => run(action)}>
      <ListItemText>{label}</ListItemText>
      <Typography component="kbd" sx={{ fontFamily: MONO, fontSize: 12, color: 'text.secondary', ml: 3 }}>
        {action.keys.replace(/ in Becomes$/, '')}
      </Typography>
    </MenuItem>
  );
  return (
    <Menu
      open
      onClose={close}
      anchorReference="anchorPosition"
      anchorPosition={{ left: at.x, top: at.y }}
      transitionDuration={0}
    >
      {OUTCOME_ACTIONS.map((action) => item(action, action.name))}
      <Divider component="li" role="none" />
      {MAIN_ACTIONS.filter((action) => isPossible(action, store.getState())).map((action) =>
        item(action, action.name),
      )}
    </Menu>
  );
}
