import { wordsOf } from '../look/layerTitle';
import { splitName } from '../mockup/layerName';
import type { Layer } from '../mockup/layer';
import { walk } from '../mockup/walk';
import type { Decision } from '../sort/decision';
import { saysSomething } from '../sort/tellingNames';
import { isInteractiveRole } from '../sort/vocabulary';

/**
 * The alternative text of a picture that nobody wrote: what the file says of it, the words that are drawn in it, or a
 * name that says what is to be seen. A name that only says of what kind the picture is makes it decoration (HTML,
 * §4.8.4.4.5: an empty text where the picture adds nothing).
 */
export function alternativeOf(layer: Layer, decision: Decision): string {
  if (layer.hints.label !== undefined) return layer.hints.label;
  const words = walk(layer)
    .flatMap((each) => (each.kind === 'text' ? [wordsOf(each)] : []))
    .join(' ')
    .trim();
  if (words !== '') return words.slice(0, MOST);
  const name = decision.nameSaid
    ? decision.outputName
    : decision.named
      ? splitName(layer.sourceName ?? '').bare
      : '';
  const mustSay = isInteractiveRole(decision.role) || decision.href !== null;
  const inside = mustSay ? walk(layer).map((each) => splitName(each.sourceName ?? '').bare) : [];
  return [name, ...inside].map((each) => wordsOfName(each, mustSay)).find((each) => each !== '') ?? '';
}

const MOST = 300;

/** Words that say of what kind a picture is, not what it shows. */
const KINDS = new Set(
  'image img picture pic photo photograph bitmap raster illustration graphic graphics vector svg png jpg jpeg webp icon ico glyph symbol shape path layer group rect ellipse mask frame copy merged thumb thumbnail placeholder background'.split(
    ' ',
  ),
);
const ICONS = /^(?:icons?|ico|glyph)$/;

/**
 * The telling words of a name; empty for none.
 * @param mustSay true for a picture that is a link or a button: without words nobody could use it
 */
export function wordsOfName(name: string, mustSay: boolean): string {
  const parts = name
    .split('/')
    .at(-1)!
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .replace(/\.\w{2,4}$/, '')
    .split(/[-_\s.]+/)
    .filter(Boolean);
  const telling = parts.filter(
    (part) => !KINDS.has(part.toLowerCase()) && !/^\d+(?:x\d+)?$|^[a-z]?\d+$/i.test(part),
  );
  const isIcon = parts.some((part) => ICONS.test(part.toLowerCase()));
  // An icon stands beside the words that it illustrates.
  if (!mustSay && (isIcon || !saysSomething(telling.join('-').toLowerCase()))) return '';
  return telling.join(' ');
}
