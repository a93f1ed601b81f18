import { builders, printer } from 'prettier/doc';
import type { Doc } from 'prettier';
import type { MarkupElement, Origin } from '../../markup/element';
import type { LayerId } from '../../mockup/layer';
import type { SourceSpan } from '../sourceMap';

export const { group, indent, fill, join, line, softline, hardline, ifBreak } = builders;
export type { Doc };

/** The widest line of code, as formatters have it where nobody says otherwise. */
const WIDTH = 80;

/** The lines of a file that come from a layer, from 1. */
export interface LineSpan {
  readonly layer: LayerId;
  readonly line: number;
  readonly lastLine: number;
}

/** Code with the lines of its layers. */
export interface PrintedCode {
  readonly text: string;
  readonly spans: readonly LineSpan[];
}

/** Pieces of code one after the other, the lines of their layers counted through. */
export function joinPrinted(...pieces: readonly (string | PrintedCode)[]): PrintedCode {
  let text = '';
  const spans: LineSpan[] = [];
  for (const piece of pieces) {
    const before = text.split('\n').length - 1;
    const own = typeof piece === 'string' ? [] : piece.spans;
    spans.push(
      ...own.map((span) => ({ ...span, line: span.line + before, lastLine: span.lastLine + before })),
    );
    text += typeof piece === 'string' ? piece : piece.text;
  }
  return { text, spans };
}

/**
 * Marks around the code of a layer: control characters, which formatters measure as nothing and no mockup has (XML 1.0,
 * §2.2). The layer is named by its index in octal digits between them.
 */
const [OPEN, CLOSE, DIGITS] = [
  '\u0001',
  '\u0002',
  '\u0010\u0011\u0012\u0013\u0014\u0015\u0016\u0017',
] as const;
// eslint-disable-next-line no-control-regex
const MARK = /\u0001([\u0010-\u0017]+)|\u0002|\n/g;

/** Prints documents and records which lines come from which layers. */
export class MarkedPrinter {
  private readonly layers: LayerId[] = [];

  /** Code that comes from a layer; from none without an origin. */
  readonly from = (origin: Origin | undefined, code: Doc): Doc => {
    if (!origin) return code;
    const digits = [...this.layers.length.toString(8)].map((digit) => DIGITS[Number(digit)]!);
    this.layers.push(origin.layer);
    return [`${OPEN}${digits.join('')}`, code, CLOSE];
  };

  /** Prints code of strings and line breaks alone, which needs no measuring. */
  printLines(code: Doc): PrintedCode {
    const pieces: string[] = [];
    const visit = (doc: Doc): void => {
      if (typeof doc === 'string') pieces.push(doc);
      else if (doc === hardline) pieces.push('\n');
      else if (Array.isArray(doc)) doc.forEach(visit);
    };
    visit(code);
    return this.withSpans(pieces.join(''));
  }

  print(code: Doc): PrintedCode {
    const { formatted } = printer.printDocToString(code, {
      printWidth: WIDTH,
      tabWidth: 2,
      useTabs: false,
    });
    return this.withSpans(formatted);
  }

  private withSpans(marked: string): PrintedCode {
    const spans: LineSpan[] = [];
    const open: number[] = [];
    let at = 1;
    const text = marked.replace(MARK, (mark: string, digits: string | undefined) => {
      if (mark === '\n') {
        at += 1;
        return mark;
      }
      if (digits === undefined) {
        // A sign that somebody typed closes nothing.
        const span = open.pop();
        if (span !== undefined) spans[span] = { ...spans[span]!, lastLine: at };
      } else {
        const index = Number.parseInt([...digits].map((digit) => DIGITS.indexOf(digit)).join(''), 8);
        const layer = this.layers[index];
        if (layer !== undefined) {
          open.push(spans.length);
          spans.push({ layer, line: at, lastLine: at });
        }
      }
      return '';
    });
    return { text, spans };
  }
}

/**
 * The source map of a page whose elements are written in components: an element without lines of its own has those of
 * the element around it, as the rows of a list have.
 * @param page its own element, with everything in it
 */
export function spansOfPage(page: MarkupElement, spans: readonly LineSpan[]): readonly SourceSpan[] {
  const lines = new Map<LayerId, LineSpan>();
  for (const span of spans) if (!lines.has(span.layer)) lines.set(span.layer, span);
  const found: SourceSpan[] = [];
  let count = 0;
  const visit = (element: MarkupElement, around: LineSpan): void => {
    for (const child of element.children) {
      if (typeof child === 'string') continue;
      const { origin } = child;
      const own = (origin && lines.get(origin.layer)) ?? around;
      if (origin) found.push({ ...origin, line: own.line, lastLine: own.lastLine, element: count });
      count += 1;
      visit(child, own);
    }
  };
  const [whole = { layer: '' as LayerId, line: 1, lastLine: 1 }] = spans;
  visit(page, whole);
  return found;
}
