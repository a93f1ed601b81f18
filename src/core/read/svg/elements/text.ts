import { textBox } from '../../../mockup/bounds';
import type { Layer, LayerId, TextLayer, TextRun } from '../../../mockup/layer';
import { fadePaint } from '../../../mockup/paint';
import type { XmlNode } from '../../xml/node';
import type { Here } from '../context';
import { keepAsDrawn } from '../definitions';
import { readFill, readStroke } from '../paints';
import { layText } from '../texts/layText';
import type { PlainLine, PlainRun } from '../texts/runs';
import { base } from './base';
import { isStrokeFirst } from './shape';

/** The stretches of a line that are seen; hidden letters leave their room. */
function visibleParts(line: PlainLine): PlainLine[] {
  const parts: PlainLine[] = [];
  let x = line.x;
  let open = false;
  for (const run of line.runs) {
    const width = run.width * line.stretch;
    const visible = run.computed.style.visibility === 'visible';
    const last = parts.at(-1);
    if (visible && open && last)
      parts[parts.length - 1] = { ...last, width: last.width + width, runs: [...last.runs, run] };
    else if (visible) parts.push({ ...line, x, width, runs: [run] });
    open = visible;
    x += width;
  }
  return parts;
}

export function readText(node: XmlNode, here: Here, id: LayerId): Layer | null {
  const laid = layText(node, here);
  if (laid.lines.length === 0) return null;
  const plain = { lines: laid.lines, ...(laid.placed && { placed: laid.placed }) } as unknown as TextLayer;
  const box = () => textBox(plain, Object.fromEntries(here.context.faces));
  const paint = ({ computed, opacity, ...run }: PlainRun): TextRun => {
    const inRun = { ...here, computed };
    const [fill, stroke] = [readFill(inRun, box), readStroke(inRun, box)];
    return {
      ...run,
      fill: fill && fadePaint(fill, opacity),
      stroke: stroke && { ...stroke, paint: fadePaint(stroke.paint, opacity) },
    };
  };
  const seen = laid.lines.flatMap(visibleParts);
  // A text that is hidden as a whole keeps its words.
  const lines = (seen.length > 0 ? seen : laid.lines).map((line) => ({
    ...line,
    runs: line.runs.map((run) => paint(run)),
  }));
  const placed = laid.placed?.map(({ run, matrix }) => ({ run: paint(run), matrix }));
  if (lines.length === 0) return null;
  if (seen.length === 0) here.context.hiddenLayers.add(id);
  for (const what of laid.oddities) here.context.report('text-oddity', id, { what });
  return {
    kind: 'text',
    ...base(node, here, id, box),
    ...(seen.length === 0 && { visible: false }),
    align: laid.align,
    rightToLeft: laid.rightToLeft,
    strokeFirst: isStrokeFirst(here),
    lines,
    oddities: laid.oddities,
    ...(placed && { placed }),
    asDrawn: laid.oddities.length > 0 && !placed ? keepAsDrawn(id, node, here.computed, here.context) : null,
  };
}
