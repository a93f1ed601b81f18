import { generate, parse } from 'css-tree';
import { objectLiteral, stringLiteral } from './literals';
import type { Doc } from './printing';
import type { Declaration } from '../../markup/printCss';

/** The declarations of a `style` attribute (CSS Style Attributes, §3). */
function declarationsOfStyle(text: string): readonly Declaration[] {
  const list = parse(text, { context: 'declarationList', parseValue: false });
  if (list.type !== 'DeclarationList') return [];
  return list.children.toArray().flatMap((each): Declaration[] => {
    if (each.type !== 'Declaration') return [];
    return [[each.property, generate(each.value).trim()]];
  });
}

/** The declarations of a `style` attribute as an object. */
export function styleLiteral(text: string): Doc {
  return objectLiteral(
    declarationsOfStyle(text).map(
      ([property, value]) => [styleProperty(property), stringLiteral(value)] as const,
    ),
  );
}

/** A property of CSS as the style objects of components name it (CSSOM, §6.6.1); custom properties keep their names. */
function styleProperty(property: string): string {
  if (property.startsWith('--')) return property;
  const camel = property.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase());
  return property.startsWith('-ms-') ? camel.replace(/^Ms/, 'ms') : camel;
}
