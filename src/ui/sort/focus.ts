/** The parts of the Sort step that keys can focus. */
export const FIND_FIELD = 'find-layers';
export const TAG_PANEL = 'tags-of-chosen';

export function focusFind(): void {
  document.getElementById(FIND_FIELD)?.focus();
}

export function focusTags(): void {
  document.querySelector<HTMLElement>(`#${TAG_PANEL} [tabindex], #${TAG_PANEL} input`)?.focus();
}

export function focusWorksheet(): void {
  document.querySelector<HTMLElement>('[role="treegrid"]')?.focus();
}
