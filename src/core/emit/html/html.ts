import { element } from '../../markup/element';
import { printCss, type CssRule } from '../../markup/printCss';
import { inRem } from '../../markup/units';
import { printHtml } from '../../markup/printHtml';
import type { Page, Unit } from '../../page/node';
import { safeName } from '../../sort/outputNames';
import { quoteFamily } from '../../markup/families';
import type { EmitInput, FontFile, Target } from '../target';
import { baseRules } from './base';
import { classDeclarations } from './declarations';
import { pageMarkup } from './pageMarkup';
import { stateRules } from './stateRules';
import { widthRules } from './widthRules';

/** HTML and CSS: a file a screen, one style sheet for all. */
export const html: Target = {
  name: 'html',
  emit: (input) => [
    ...input.pages.map((page, at) => ({ path: pageFile(input.pages, at), text: printPage(page, input) })),
    { path: 'styles.css', text: printSheet(input) },
  ],
  pageFile,
};

/** The style sheet that all pages share. */
function printSheet(input: EmitInput): string {
  return printCss(sheetOf(input));
}

/** Its rules, lengths in the page's unit. */
export function sheetOf(input: EmitInput): readonly CssRule[] {
  return inUnit(sheetRules(input), input.unit);
}

function inUnit(rules: readonly CssRule[], unit: Unit): readonly CssRule[] {
  if (unit === 'px') return rules;
  return rules.map((rule) => ({ ...rule, declarations: rule.declarations.map(inRem) }));
}

/** The first screen is the index; the others have their own names. */
function pageFile(pages: readonly Page[], at: number): string {
  if (at === 0) return 'index.html';
  const names = pages.map((page) => safeName(page.name) || 'screen');
  const name = names[at] ?? 'screen';
  const earlier = names.slice(1, at).filter((other) => other === name).length;
  return `${name === 'index' ? 'index-screen' : name}${earlier > 0 ? `-${earlier + 1}` : ''}.html`;
}

function printPage(page: Page, input: EmitInput): string {
  const head = element('head', {}, [
    element('meta', { charset: 'utf-8' }),
    element('meta', { name: 'viewport', content: 'width=device-width, initial-scale=1' }),
    element('title', {}, [page.name]),
    element('link', { rel: 'stylesheet', href: 'styles.css' }),
  ]);
  const body = element('body', {}, [pageMarkup(page, input)]);
  return `<!doctype html>\n${printHtml([element('html', { lang: 'en' }, [head, body])])}`;
}

function sheetRules(input: EmitInput): CssRule[] {
  const { fonts, pages, sheet, plan } = input;
  const classes = sheet.classes.flatMap((each): CssRule[] => {
    const declarations = classDeclarations(each);
    const rules = stateRules(each, { sheet, plan });
    return declarations.length > 0 ? [{ selector: `.${each.name}`, declarations }, ...rules] : [...rules];
  });
  return [...fonts.map(fontRule), ...baseRules(pages), ...classes, ...widthRules(input)];
}

function fontRule(font: FontFile): CssRule {
  return {
    selector: '@font-face',
    declarations: [
      ['font-family', quoteFamily(font.family)],
      ['font-weight', String(font.weight)],
      ['font-style', font.italic ? 'italic' : 'normal'],
      ['src', `url("${font.path}")`],
    ],
  };
}
