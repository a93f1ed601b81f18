import type { Page } from 'playwright-core';
import type { Conversion } from '../src/core/convert';
import { TARGETS } from '../src/core/emit/targets';
import type { TargetSettings } from '../src/core/emit/targetOptions';
import { isField, valueOf } from '../src/core/page/fieldParts';
import { USUAL_LANGUAGE } from '../src/core/page/frame';
import { pageNodes } from '../src/core/page/walk';
import type { StyleClass, StyleSheet } from '../src/core/style/styleSheet';
import { inChromium } from './support/inChromium';
import { convertReading, PAGE_MOCKUPS, readDemo } from './support/mockups';

/** CSS as Orden shares it, against the plainest that says the same, as Chromium computes both. */
describe('the style sheet', () => {
  const here = inChromium();

  it.each([{ name: 'the demo', read: () => readDemo() }, ...PAGE_MOCKUPS])(
    'of $name gives every element the style that a rule of its own would give it',
    async ({ read }) => {
      const reading = read();
      const page = await here.browser.newPage({ viewport: { width: 1280, height: 800 } });
      for (const arrangement of ['nested', 'flow'] as const) {
        const conversion = convertReading(reading, arrangement);
        const apart = { ...conversion, sheet: withRuleForEach(conversion) };
        const plain = await computedStyles(page, apart, { values: 'plain' });
        expect(plain.length).toBeGreaterThan(10);
        const shared = await computedStyles(page, conversion, { values: 'named' });
        expect(shared).toHaveLength(plain.length);
        expect(shared.flatMap((style, index) => differences(style, plain[index]!))).toEqual([]);
      }
      await page.close();
    },
  );
});

/** The sheet with a class of its own for every element, so that nothing is shared and nothing is a modifier. */
function withRuleForEach({ pages, sheet }: Conversion): StyleSheet {
  const own = new Map<object, StyleClass>();
  const classes: StyleClass[] = [];
  for (const node of pages.flatMap(pageNodes)) {
    const style = sheet.classOf(node);
    if (!style) continue;
    // What is said by a person is said in full.
    const alone = { ...style, name: `own-${classes.length}`, thing: null, isSaid: true };
    own.set(node, alone);
    classes.push(alone);
  }
  // The control of a field is a copy of the text that is its value.
  const ofValues = new Map(
    pages.flatMap(pageNodes).flatMap((node) => {
      const value = node.kind === 'box' && isField(node) ? valueOf(node) : null;
      const style = value && own.get(value);
      return style ? [[value.layer, style] as const] : [];
    }),
  );
  // Letters and the classes of samples stay shared: no element is theirs alone.
  return {
    ...sheet,
    classes: [...sheet.classes, ...classes],
    classOf: (node) => own.get(node) ?? ofValues.get(node.layer) ?? null,
  };
}

/** What an element has otherwise than it should. */
function differences(style: ComputedStyle, expected: ComputedStyle): readonly string[] {
  return Object.keys(expected)
    .filter((property) => style[property] !== expected[property])
    .map((property) => `${property}: ${style[property]} (not ${expected[property]})`);
}

type ComputedStyle = Readonly<Record<string, string>>;

/** The computed style of every element. */
async function computedStyles(
  page: Page,
  conversion: Conversion,
  settings: TargetSettings,
): Promise<readonly ComputedStyle[]> {
  const { files } = TARGETS.html.emit({ ...conversion, settings, language: USUAL_LANGUAGE });
  const text = (name: string) => files.find(({ path }) => path === name)!.text;
  const html = text('index.html').replace(
    /<link rel="stylesheet"[^>]*>/,
    () => `<style>${text('styles.css')}</style>`,
  );
  await page.setContent(html);
  const styles = await page.evaluate(() => {
    const elements = [...document.body.querySelectorAll('*')].map((element) => {
      const style = getComputedStyle(element);
      const properties = [...style].filter((property) => !property.startsWith('--'));
      return Object.fromEntries(properties.map((property) => [property, style.getPropertyValue(property)]));
    });
    return JSON.stringify(elements);
  });
  return JSON.parse(styles) as readonly ComputedStyle[];
}
