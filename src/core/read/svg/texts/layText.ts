import type { TextLayer } from '../../../mockup/layer';
import type { XmlNode } from '../../xml/node';
import type { Here } from '../context';
import { lettersOf } from './letters';
import { alignmentOf, joinLines, trimLine } from './lines';
import type { PlainLine } from './runs';
import { placeLetters, type PlainPlacedLetter } from './placedLetters';
import { placeSegments } from './segments';

export interface LaidText extends Pick<TextLayer, 'align' | 'rightToLeft' | 'oddities'> {
  readonly lines: readonly PlainLine[];
  /** The letters one by one, where they do not stand in lines. */
  readonly placed: readonly PlainPlacedLetter[] | null;
}

/** Lays out a `text` element: anchors, positions and lengths worked in, letters in line with each other joined. */
export function layText(node: XmlNode, here: Here): LaidText {
  const flat = lettersOf(node, here);
  const lines = joinLines(placeSegments(flat, here), here.context)
    .filter((line) => line.runs.some((run) => run.text.trim() !== ''))
    .map((line) => trimLine(line, here.context));
  const { 'text-anchor': anchor, direction } = here.computed.style;
  const said = anchor === 'middle' || anchor === 'end' ? anchor : 'start';
  return {
    lines,
    align: said === 'start' && direction === 'ltr' ? alignmentOf(lines) : said,
    rightToLeft: direction === 'rtl',
    oddities: [...flat.oddities],
    placed: placeLetters(flat, here),
  };
}
