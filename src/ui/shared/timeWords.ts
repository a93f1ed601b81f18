const RELATIVE = new Intl.RelativeTimeFormat('en', { numeric: 'auto' });
const STEPS: readonly (readonly [unit: Intl.RelativeTimeFormatUnit, seconds: number, below: number])[] = [
  ['second', 1, 60],
  ['minute', 60, 3600],
  ['hour', 3600, 86_400],
  ['day', 86_400, 7 * 86_400],
];

/** How long ago, such as "5 minutes ago"; the date for what is older than a week. */
export function agoWords(time: string | Date, now = Date.now()): string {
  const then = new Date(time);
  const seconds = Math.max(0, (now - then.getTime()) / 1000);
  const step = STEPS.find(([, , below]) => seconds < below);
  if (!step) return dateWords(then);
  const [unit, size] = step;
  return unit === 'second' ? 'just now' : RELATIVE.format(-Math.floor(seconds / size), unit);
}

/** A date and a time of day, the same everywhere. */
export function dateWords(time: string | Date): string {
  return new Date(time).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
}

/** A time of day; with the date when it is not of today. */
export function clockWords(time: string | Date, now = new Date()): string {
  const then = new Date(time);
  return then.toDateString() === now.toDateString()
    ? then.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
    : dateWords(then);
}
