import { CSS_CAPABILITIES } from '../css/capabilities';
import { element } from '../../markup/element';
import { printCss, type CssRule } from '../../markup/printCss';
import { printHtmlWithSpans, type PrintedSpan } from '../../markup/printHtml';
import { withAnyMemo } from '../../mockup/memoize';
import type { SourceSpan } from '../sourceMap';
import type { Page } from '../../page/frame';
import type { BookInput, EmitInput, EmittedFile, FragmentInput, Target, TargetOutput } from '../target';
import type { LayerId } from '../../mockup/layer';
import { furnitureFiles } from './furnitureFiles';
import { pageFile } from './pageFile';
import { linkContext } from './linkContext';
import { layerFragment } from './layerFragment';
import { pageMarkup } from '../markup/pageMarkup';
import { HTML_OPTIONS, isSharedApart, namesValues, tokenFormatOf, unitOf } from './options';
import { pagePieces } from './pagePieces';
import { sheetRules } from '../css/sheet';
import { asInSheet, tokenSheet } from '../css/sheetTokens';
import { styleBook } from '../css/styleBook';
import { rulesInUnit } from '../css/units';

/** HTML and CSS: a file a screen, one style sheet for all. */
export const html = {
  name: 'html',
  label: 'HTML',
  capabilities: CSS_CAPABILITIES,
  options: HTML_OPTIONS,
  fitsBrowsers: true,
  emit: (input: EmitInput): TargetOutput => withAnyMemo(() => emitPages(input)),
  pageFile,
  fragment: (input: FragmentInput, layer: LayerId) => withAnyMemo(() => layerFragment(input, layer)),
  preview: pagePieces,
  styleBook: (input: BookInput) => withAnyMemo(() => styleBook(input)),
} as const satisfies Target;

function emitPages(input: EmitInput): TargetOutput {
  const pages = input.pages.map((page, at) => ({
    path: pageFile(input.pages, at),
    screen: page.screen,
    ...printPage(page, input),
  }));
  return {
    files: [
      ...pages.map(({ path, text }) => ({ path, text })),
      { path: 'styles.css', text: printSheet(input) },
      ...tokenFile(input),
      ...(isSharedApart(input) ? furnitureFiles(input) : []),
    ],
    sourceMap: Object.fromEntries(
      pages.map(({ path, screen, spans }) => [path, insideScreen(spans, screen)]),
    ),
  };
}

/** The spans inside the screen's own element, their elements counted from there. */
function insideScreen(spans: readonly PrintedSpan[], screen: string): readonly SourceSpan[] {
  const [own, ...others] = spans;
  if (own?.layer !== screen) throw new Error('The page does not begin with its screen.');
  return others.map((span) => ({ ...span, element: span.element - own.element - 1 }));
}

/** The style sheet that all pages share. */
export function printSheet(input: EmitInput): string {
  return printCss(rulesOfSheet(input));
}

/** Its rules, in the unit and with the values that a person chose. */
export function rulesOfSheet(input: EmitInput): readonly CssRule[] {
  const rules = namesValues(input) ? tokenSheet(input).rules : asInSheet(sheetRules(input), input, false);
  return rulesInUnit(rules, unitOf(input));
}

/** The tokens for other tools, in the format that a person chose. */
export function tokenFile(input: EmitInput): readonly EmittedFile[] {
  const format = tokenFormatOf(input);
  return format ? [{ path: format.file, text: format.print(tokenSheet(input).tokens) }] : [];
}

function printPage(page: Page, input: EmitInput) {
  const head = element('head', {}, [
    element('meta', { charset: 'utf-8' }),
    element('meta', { name: 'viewport', content: 'width=device-width, initial-scale=1' }),
    element('title', {}, [page.title]),
    element('link', { rel: 'stylesheet', href: 'styles.css' }),
  ]);
  const body = element('body', {}, [
    pageMarkup(page, { ...input, unit: unitOf(input), ...linkContext(page, input.pages) }),
  ]);
  const doctype = '<!doctype html>\n';
  const { text, spans } = printHtmlWithSpans([element('html', { lang: input.language }, [head, body])]);
  return {
    text: doctype + text,
    spans: spans.map((span) => ({ ...span, line: span.line + 1, lastLine: span.lastLine + 1 })),
  };
}
