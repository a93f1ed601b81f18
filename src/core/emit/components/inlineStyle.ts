import { generate, parse } from 'css-tree';
import type { Declaration } from '../../markup/printCss';

/** The declarations of a `style` attribute (CSS Style Attributes, §3). */
export function declarationsOfStyle(text: string): readonly Declaration[] {
  const list = parse(text, { context: 'declarationList', parseValue: false });
  if (list.type !== 'DeclarationList') return [];
  return list.children.toArray().flatMap((each): Declaration[] => {
    if (each.type !== 'Declaration') return [];
    return [[each.property, generate(each.value).trim()]];
  });
}
