import type { ModuleImports } from './moduleImports';
import type { Field, FieldType } from './template';

/** The TypeScript of a framework's fields. */
export interface FieldTyping {
  /** The file that has a component and its type. */
  readonly fileOf: (component: string) => string;
  /** The type of several attributes of an element, such as `ImgHTMLAttributes`. */
  readonly attributesOf: (type: string, element: string) => string;
}

/** The name of a component's type, imported. */
export function propsType(name: string, imports: ModuleImports, { fileOf }: FieldTyping): string {
  imports.name(`type ${name}Props`, fileOf(name));
  return `${name}Props`;
}

/** The line of a field in the interface of its component. */
export function fieldLine(field: Field, imports: ModuleImports, typing: FieldTyping): string {
  return `  readonly ${field.name}${field.isOptional ? '?' : ''}: ${typeOf(field.type, imports, typing)};`;
}

function typeOf(type: FieldType, imports: ModuleImports, typing: FieldTyping): string {
  switch (type.kind) {
    case 'flag':
      return 'boolean';
    case 'style':
      return imports.type('CSSProperties');
    case 'attributes': {
      const [name, element] = attributesType(type.names);
      imports.type(name);
      return typing.attributesOf(name, element);
    }
    case 'rows':
      return `readonly ${propsType(type.of.name, imports, typing)}[]`;
    default:
      return 'string';
  }
}

/** Attributes that only fields have. */
const OF_INPUTS = ['placeholder', 'value', 'type', 'checked', 'name'];

/** The type of the attributes of an element, and that of the element, by what they are. */
function attributesType(names: readonly string[]): readonly [type: string, element: string] {
  if (names.includes('src') || names.includes('srcset')) return ['ImgHTMLAttributes', 'HTMLImageElement'];
  if (names.includes('href')) return ['AnchorHTMLAttributes', 'HTMLAnchorElement'];
  if (names.some((name) => OF_INPUTS.includes(name))) return ['InputHTMLAttributes', 'HTMLInputElement'];
  return names.includes('for')
    ? ['LabelHTMLAttributes', 'HTMLLabelElement']
    : ['HTMLAttributes', 'HTMLElement'];
}
