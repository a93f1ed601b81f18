import type { MarkupElement, MarkupNode } from '../../markup/element';

/**
 * Objects with a key that tells which are alike: those with equal anchors, role, turn, paint,
 * states and way to their size. What a model says of a
 * row are words, numbers and colours; none of these is one.
 */
export function withKeys(of: MarkupElement): MarkupElement {
  const children = of.children.map((child) => (typeof child === 'string' ? child : withKeys(child)));
  const said = Object.entries(of.attributes).flatMap(([name, value]) => {
    if (name === 'Accessible.role' || name === 'transform') return [String(value)];
    if (name === 'content.width') return ['content'];
    return /^anchors\.\w+$/.test(name) && !/(?:Margin|Offset)$/.test(name)
      ? [`${name} ${String(value)}`]
      : [];
  });
  const parts = children.flatMap((child) => {
    if (typeof child === 'string') return [];
    if (child.name === 'states') return child.children.map(changesOf);
    return isPart(child.name) ? [`${child.name} ${child.children.length}`] : [];
  });
  const key = [...said, ...parts].join('; ');
  return { ...of, children, attributes: key === '' ? of.attributes : { ...of.attributes, key } };
}

/** True for what belongs to the object around it: it cannot be left out by itself. */
function isPart(name: string): boolean {
  return name === 'ShapePath' || /^(?:gradient|fillGradient): /.test(name);
}

/** What a state changes, without the values. */
function changesOf(state: MarkupNode): string {
  if (typeof state === 'string') return state;
  const changes = state.children.map((change) =>
    typeof change === 'string'
      ? change
      : `${String(change.attributes['state.target'])} ${Object.keys(change.attributes).join(' ')}`,
  );
  return `${String(state.attributes.name)} ${changes.join(', ')}`;
}
