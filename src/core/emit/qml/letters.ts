import { element, type MarkupElement } from '../../markup/element';
import { escapeText } from '../../markup/printHtml';
import type { TypeLook } from '../../look/look';
import { lineText, type TextNode, type TextNodeLine, type TextSpan } from '../../page/node';
import { qmlColour, qmlNumber, qmlString } from './values';

type Properties = Readonly<Record<string, string | null>>;

/** Qt's names of weights (Qt, `QFont::Weight`). */
const WEIGHTS: Readonly<Record<number, string>> = {
  100: 'Font.Thin',
  200: 'Font.ExtraLight',
  300: 'Font.Light',
  500: 'Font.Medium',
  600: 'Font.DemiBold',
  700: 'Font.Bold',
  800: 'Font.ExtraBold',
  900: 'Font.Black',
};

/** The name of a family as the build loads it; null for one of the system. */
export type FamilyToken = (family: string) => string | null;

/** How letters look. */
export function letterProperties(type: TypeLook, tokenOf: FamilyToken): Properties {
  const [family] = type.families;
  const weight = Math.round(type.weight / 100) * 100;
  return {
    color: type.colour ? qmlColour(type.colour) : '"transparent"',
    'font.family': family === undefined ? null : (tokenOf(family) ?? qmlString(family)),
    'font.pixelSize': qmlNumber(Math.max(1, Math.round(type.size))),
    'font.weight': weight === 400 ? null : (WEIGHTS[weight] ?? null),
    'font.italic': type.italic ? 'true' : null,
    'font.letterSpacing': type.letterSpacing === 0 ? null : qmlNumber(type.letterSpacing),
    'font.wordSpacing': type.wordSpacing === 0 ? null : qmlNumber(type.wordSpacing),
    'font.capitalization': type.smallCaps ? 'Font.SmallCaps' : null,
    'font.underline': type.decorations.includes('underline') ? 'true' : null,
    'font.overline': type.decorations.includes('overline') ? 'true' : null,
    'font.strikeout': type.decorations.includes('line-through') ? 'true' : null,
  };
}

/** The words of lines: plain, or with looks of their own as rich text. */
export function wordProperties(lines: readonly TextNodeLine[], separator: ' ' | '\n'): Properties {
  const spans = lines.flatMap((line) => line.spans);
  const isRich = spans.some(({ look, href }) => Object.keys(look).length > 0 || href !== undefined);
  if (!isRich) {
    const words = lines.map(lineText).join(separator);
    // Words that look like markup are words.
    return { text: qmlString(words), textFormat: /[<&]/.test(words) ? 'Text.PlainText' : null };
  }
  const rich = lines.map((line) => line.spans.map(richSpan).join('')).join(separator === ' ' ? ' ' : '<br>');
  return { text: qmlString(rich), textFormat: 'Text.RichText' };
}

/** Letters as Qt's rich text (Qt, Supported HTML Subset). */
function richSpan({ text, look: { type }, href }: TextSpan): string {
  const words = escapeText(text);
  const style = type
    ? [
        ...(type.families[0] === undefined ? [] : [`font-family:'${type.families[0].replaceAll("'", '')}'`]),
        `font-size:${qmlNumber(Math.round(type.size))}px`,
        `font-weight:${type.weight}`,
        ...(type.italic ? ['font-style:italic'] : []),
        ...(type.decorations.length > 0 ? [`text-decoration:${type.decorations[0]}`] : []),
        ...(type.colour ? [`color:${qmlColour({ ...type.colour, alpha: 1 }).slice(1, -1)}`] : []),
      ].join('; ')
    : '';
  const styled = style === '' ? words : `<span style="${style}">${words}</span>`;
  return href === undefined ? styled : `<a href="${escapeText(href)}">${styled}</a>`;
}

const ALIGN = { start: null, middle: 'Text.AlignHCenter', end: 'Text.AlignRight' } as const;

/** The lines of a text that stand at a distance of their own. */
export function lineProperties({ lines, look }: TextNode): Properties {
  const height = look.type?.lineHeight ?? null;
  if (height === null || lines.length < 2) return {};
  return { lineHeightMode: 'Text.FixedHeight', lineHeight: qmlNumber(height) };
}

/** A text at fixed coordinates: its baseline stands in the mockup's row of px, whatever the font's own height is. */
export function placedText(
  node: TextNode,
  corner: { x: number; y: number },
  tokenOf: FamilyToken,
): readonly MarkupElement[] {
  const { place, lines, look } = node;
  const type = look.type!;
  const letters = letterProperties(type, tokenOf);
  const [left, top] = [corner.x + place.x, corner.y + place.y];
  const apart = lines.filter(({ at }) => at !== null);
  if (apart.length === 0) {
    const align = node.anchor ?? type.align;
    const isAligned = align !== 'start' && !place.fitsContent;
    return [
      element('Text', {
        x: qmlNumber(left),
        'baseline.y': qmlNumber(top + node.baseline),
        width: isAligned ? qmlNumber(place.width) : null,
        horizontalAlignment: isAligned ? ALIGN[align] : null,
        ...wordProperties(lines, '\n'),
        ...letters,
        ...lineProperties(node),
      }),
    ];
  }
  return lines.map((line) => {
    const { x, y, stretch } = line.at ?? { x: 0, y: 0, stretch: 1 };
    return element('Text', {
      x: qmlNumber(left + x),
      'baseline.y': qmlNumber(top + y + node.baseline),
      'stretch.x': Math.abs(stretch - 1) < 0.001 ? null : qmlNumber(stretch),
      ...wordProperties([line], '\n'),
      ...letters,
    });
  });
}
