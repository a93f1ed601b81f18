import { element, type MarkupElement } from '../../markup/element';
import { printHtml, printHtmlWithSpans, type PrintedSpan } from '../../markup/printHtml';
import { withAnyMemo } from '../../mockup/memoize';
import type { SourceSpan } from '../sourceMap';
import type { Page } from '../../page/frame';
import type { BookInput, EmitInput, FragmentInput, Target, TargetOutput } from '../target';
import type { LayerId } from '../../mockup/layer';
import { styleBook } from '../css/styleBook';
import { furnitureFiles } from './furnitureFiles';
import { pageFile } from './pageFile';
import { BROWSER_TARGET } from '../browserTarget';
import { printSheet, tokenFile } from '../css/sheetFiles';
import { layerFragment, type MarkupPrinter } from '../markup/layerFragment';
import { writtenMarkup } from '../implied/writtenMarkup';
import { symbolsOf, withIcons } from './icons';
import { HTML_OPTIONS, isSharedApart } from './options';

const PRINTER: MarkupPrinter = {
  title: 'HTML',
  language: 'html',
  addressOfPage: pageFile,
  print: (markup) => printHtml([markup]),
};

/** HTML and CSS: a file a screen, one style sheet for all. */
export const html = {
  ...BROWSER_TARGET,
  name: 'html',
  label: 'HTML',
  options: HTML_OPTIONS,
  emit: (input: EmitInput): TargetOutput => withAnyMemo(() => emitPages(withIcons(input))),
  pageFile,
  fragment: (input: FragmentInput, layer: LayerId) =>
    withAnyMemo(() => layerFragment(withIcons(input), layer, PRINTER)),
  styleBook: (input: BookInput) => withAnyMemo(() => styleBook(withIcons(input))),
} as const satisfies Target;

function emitPages(input: EmitInput): TargetOutput {
  const marked = writtenMarkup(input, pageFile);
  const pages = input.pages.map((page, at) => ({
    path: pageFile(input.pages, at),
    screen: page.screen,
    ...printPage(page, marked[at]!, input),
  }));
  return {
    files: [
      ...pages.map(({ path, text }) => ({ path, text })),
      { path: 'styles.css', text: printSheet(input) },
      ...tokenFile(input),
      ...(isSharedApart(input) ? furnitureFiles(input) : []),
    ],
    ...(input.icons && { heldPictures: [...input.icons.keys()] }),
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

function printPage(page: Page, screen: MarkupElement, { language, icons }: EmitInput) {
  const { title } = page;
  const symbols = symbolsOf(page, icons);
  const head = element('head', {}, [
    element('meta', { charset: 'utf-8' }),
    element('meta', { name: 'viewport', content: 'width=device-width, initial-scale=1' }),
    element('title', {}, [title]),
    element('link', { rel: 'stylesheet', href: 'styles.css' }),
  ]);
  const body = element('body', {}, symbols ? [screen, symbols] : [screen]);
  const doctype = '<!doctype html>\n';
  const { text, spans } = printHtmlWithSpans([element('html', { lang: language }, [head, body])]);
  return {
    text: doctype + text,
    spans: spans.map((span) => ({ ...span, line: span.line + 1, lastLine: span.lastLine + 1 })),
  };
}
