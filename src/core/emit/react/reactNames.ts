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
