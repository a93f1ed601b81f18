/** Attributes that React names otherwise than HTML (React DOM, common components, from memory). */
export const REACT_ATTRIBUTES: Readonly<Record<string, string>> = {
  class: 'className',
  for: 'htmlFor',
  srcset: 'srcSet',
  checked: 'defaultChecked',
  tabindex: 'tabIndex',
  readonly: 'readOnly',
  autocomplete: 'autoComplete',
  colspan: 'colSpan',
  rowspan: 'rowSpan',
};

/** A property of CSS as React's style objects name it; custom properties keep their names. */
export function inlineStyleProperty(property: string): string {
  if (property.startsWith('--')) return property;
  const camel = property.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase());
  return property.startsWith('-ms-') ? camel.replace(/^Ms/, 'ms') : camel;
}
