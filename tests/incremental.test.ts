import { deepStrictEqual } from 'node:assert';
import { USUAL_LANGUAGE } from '../src/core/page/frame';
import { idAt } from './support/ids';
import fc from 'fast-check';
import { convert, type Conversion } from '../src/core/convert';
import { wornSheetRules } from '../src/core/emit/css/sheet';
import { asInSheet } from '../src/core/emit/css/sheetTokens';
import { pageFile } from '../src/core/emit/html/pageFile';
import { impliedClasses } from '../src/core/emit/implied/impliedClasses';
import { linkContext } from '../src/core/emit/markup/linkContext';
import { pageMarkup } from '../src/core/emit/markup/pageMarkup';
import type { PagePiece } from '../src/core/emit/preview';
import { TARGETS } from '../src/core/emit/targets';
import { printCss } from '../src/core/markup/printCss';
import { printHtml } from '../src/core/markup/printHtml';
import { createMemo, usingMemo, type Memo } from '../src/core/mockup/memoize';
import { layersOf } from '../src/core/mockup/walk';
import { ARRANGEMENTS } from '../src/core/page/frame';
import type { Reading } from '../src/core/read/reading';
import { applyStructuralTags } from '../src/core/sort/structuralTags';
import type { Tag, Tags } from '../src/core/sort/tag';
import { outlinerOf } from '../src/engine/outliner';
import { readCase, readDemo } from './support/mockups';

/**
 * Checks that a memo never changes a result: after any edits, the result equals that of a run without one. The
 * mockup is frozen, so nothing can be kept on it.
 */
const EDITS: readonly Tag[] = [
  { outcome: 'aside' },
  { outcome: 'picture' },
  { outcome: 'element', role: 'section' },
  { role: 'heading-2' },
  { classes: ['plate', 'wide'] },
  { hidden: true },
  { outputName: 'other' },
  { contents: 'row' },
  { contents: 'column', gap: 7 },
  { slot: 'words' },
  { note: 'Mind this' },
  { merge: 'both' },
  { state: 'hover' },
  { contents: 'exact' },
  { contents: 'grid' },
];

function build(
  { mockup, assets, book }: Reading,
  tags: Tags,
  arrangement: (typeof ARRANGEMENTS)[number],
  memo?: Memo,
) {
  const outliner = outlinerOf(book);
  return convert({ mockup, assets, tags, options: { arrangement, target: 'html' }, outliner }, memo);
}

/** Freezes plain objects and arrays with all that they hold. */
function freezeDeep<Value>(value: Value): Value {
  if (typeof value !== 'object' || value === null || Object.isFrozen(value)) return value;
  if (ArrayBuffer.isView(value)) return value;
  Object.values(value).forEach(freezeDeep);
  return Object.freeze(value);
}

function piecesOf(conversion: Conversion, memo: Memo) {
  return usingMemo(memo, () =>
    conversion.pages.map((page) => {
      const { parts, ...around } = TARGETS.html.preview(page, { ...conversion, settings: {} });
      return { ...around, parts: parts.map((part) => ({ ...part, html: part.html() })) };
    }),
  );
}

it.each([
  ['harbour', () => readDemo()],
  ['wheelhouse', () => readDemo('wheelhouse.svg')],
  ['bs5-pricing', () => readCase('bs5-pricing.svg')],
  ['uikit-card', () => readCase('uikit-card.svgz')],
])('%s after any edits is as if they were the first', (_, read) => {
  const reading = read();
  const mockup = freezeDeep(applyStructuralTags(reading.mockup, new Map()));
  const memo = createMemo();
  const keys = layersOf(mockup).map(({ id }) => id);
  const edit = fc.tuple(fc.constantFrom(...keys), fc.constantFrom(...EDITS));
  const tagged = fc.array(edit, { maxLength: 4 }).map((edits) => new Map(edits));
  fc.assert(
    fc.property(tagged, fc.constantFrom(...ARRANGEMENTS), (tags, arrangement) => {
      const again = build({ ...reading, mockup }, tags, arrangement, memo);
      const first = build({ ...reading, mockup }, tags, arrangement);
      const comparedOf = (built: Conversion, of: Memo) => [
        built.emission,
        piecesOf(built, of),
        built.findings,
        built.decisions,
      ];
      deepStrictEqual(comparedOf(again, memo), comparedOf(first, createMemo()));
    }),
    { numRuns: 25 },
  );
});

/** The text of pieces with their nested pieces. */
function assembled(parts: readonly PagePiece[], within: string | null): string {
  return parts
    .filter((part) => part.within === within)
    .map(({ id, isOpen, html }) =>
      isOpen
        ? html()
            .trim()
            .replace(/(?=<\/\w+>$)/, `\n${assembled(parts, id)}\n`)
        : html().trim(),
    )
    .join('\n');
}

it('the page in pieces is the page', () =>
  usingMemo(createMemo(), () => {
    const reading = readDemo();
    const lines = (html: string) => html.split('\n').map((line) => line.trim());
    for (const arrangement of ARRANGEMENTS) {
      for (const tags of [new Map(), new Map([[idAt('/hero'), { outcome: 'aside' } as const]])]) {
        const conversion = build(reading, tags, arrangement);
        // The pieces have their values written out, and icons as files: they are not read, only shown.
        const settings = { values: 'plain', icons: 'files' };
        const input = { ...conversion, settings, language: USUAL_LANGUAGE, keyed: true } as const;
        const [page, sheet] = TARGETS.html.emit(input).files;
        const { rules, parts } = TARGETS.html.preview(conversion.pages[0]!, input);
        if (arrangement === 'flow') {
          // Places say some classes of the page: its pieces wear all of them.
          const [only] = conversion.pages;
          const worn = pageMarkup(only!, { ...input, ...linkContext(only!, conversion.pages, pageFile) });
          expect(rules.join('\n')).toBe(printCss(asInSheet(wornSheetRules(input), input, false)));
          expect(lines(printHtml([worn])).join('\n')).toContain(lines(assembled(parts, null)).join('\n'));
          const { inMarkup, inSelectors } = impliedClasses(input);
          expect(lines(page!.text).join('\n')).toContain(
            lines(printHtml([inMarkup(worn)]))
              .join('\n')
              .trim(),
          );
          expect(sheet!.text).toBe(printCss(asInSheet(inSelectors(wornSheetRules(input)), input, false)));
          continue;
        }
        expect(rules.join('\n')).toBe(sheet!.text);
        expect(lines(page!.text).join('\n')).toContain(lines(assembled(parts, null)).join('\n'));
      }
    }
  }));
