import type { MarkupElement } from '../../markup/element';
import { isOfFirstUse, themedAttribute } from './themed';

/**
 * A view with a key that tells which are alike: those that say the same, apart from what a theme can say. What stands
 * in a row or column is no part of the key of the view around it.
 */
export function withKeys(of: MarkupElement): MarkupElement {
  const said = Object.entries(of.attributes).flatMap(([name, value]) => {
    if (name === 'class' || isOfFirstUse(name)) return [];
    const themed = themedAttribute(name);
    if (themed === null) return [`${name}=${String(value)}`];
    return themed.absent === null ? [name] : [];
  });
  const children = of.children.map((child) => (typeof child === 'string' ? child : withKeys(child)));
  return { ...of, children, attributes: { ...of.attributes, key: said.join(' ') } };
}
