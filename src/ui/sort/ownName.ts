const PLACE = 'orden-own-name';

/** The name that others see beside this person's edits; stored in this browser. */
export function ownName(): string {
  return localStorage.getItem(PLACE) ?? '';
}

export function setOwnName(name: string): void {
  localStorage.setItem(PLACE, name.trim().slice(0, 40));
}

/**
 * Remembers who works in this browser, for a year: undo takes back one's own edits, in whatever window they were
 * made. Programs of other sites are not told (RFC 6265bis, §5.6.7).
 */
export function rememberPerson(): void {
  if (/(?:^|;\s*)orden-person=/.test(document.cookie)) return;
  document.cookie = `orden-person=${crypto.randomUUID()}; path=/; max-age=31536000; samesite=strict`;
}
