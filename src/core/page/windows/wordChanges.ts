import type { TextNode } from '../node';
import { longestWord } from './comfort';
import { note, type WindowTrial } from './windowChange';

/** Letters from this size are display type, which gets smaller in narrow windows, px (common practice, no source). */
const DISPLAY = 24;

/** A word that does not fit is set smaller where it is display type, and breaks where that is not enough. */
export function wordsIn(node: TextNode, room: number, trial: WindowTrial): void {
  const { look, lines, place } = node;
  const word = longestWord(node);
  if (!look.type || look.type.keepsSpaces || place.linear || word <= room + 1) return;
  const { size: drawn, lineHeight } = look.type;
  const isOneSize = lines.every(({ spans }) =>
    spans.every((span) => (span.look.type?.size ?? drawn) === drawn),
  );
  const least = Math.max(DISPLAY, Math.floor((drawn * room) / word));
  if (isOneSize && least < drawn)
    note(trial, node, {
      letters: { least, window: trial.width, drawn, lineHeight: (lineHeight ?? drawn) / drawn },
    });
  if (!isOneSize || (word * Math.min(least, drawn)) / drawn > room + 1) note(trial, node, { breaks: true });
}
