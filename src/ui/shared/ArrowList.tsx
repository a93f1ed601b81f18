import { List, type ListProps } from '@mui/material';
import type { KeyboardEvent } from 'react';

const STEPS: Readonly<Record<string, (at: number, length: number) => number>> = {
  ArrowDown: (at, length) => Math.min(at + 1, length - 1),
  ArrowUp: (at) => Math.max(at - 1, 0),
  Home: () => 0,
  End: (_, length) => length - 1,
};

/** A list of buttons: the arrow keys, Home and End move the focus. */
export function ArrowList(props: ListProps) {
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const step = STEPS[event.key];
    const buttons = [...event.currentTarget.querySelectorAll<HTMLElement>('[role="button"], button')];
    const at = buttons.findIndex((button) => button === document.activeElement);
    if (!step || at < 0) return;
    event.preventDefault();
    buttons[step(at, buttons.length)]?.focus();
  };
  return <List dense {...props} onKeyDown={onKeyDown} />;
}
