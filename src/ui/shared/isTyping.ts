/** True while a key belongs to a field: what is typed there is no command. */
export function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target.isContentEditable) return true;
  return target.matches('input:not([type=checkbox]):not([type=radio]):not([type=range]), textarea, select');
}

/** True while a dialog, a menu or a list is open over the page: its keys are its own. */
export function isOverlaid(): boolean {
  return document.querySelector('[role="dialog"], [role="menu"], [role="listbox"]') !== null;
}
