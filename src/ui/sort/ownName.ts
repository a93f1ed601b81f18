const PLACE = 'orden-own-name';

/** The name that others see beside this person's edits; stored in this browser. */
export function ownName(): string {
  return localStorage.getItem(PLACE) ?? '';
}

export function setOwnName(name: string): void {
  localStorage.setItem(PLACE, name.trim().slice(0, 40));
}
