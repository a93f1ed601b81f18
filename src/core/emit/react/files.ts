import type { EmittedFile } from '../target';
import type { Component, Field, FieldType, Row, ScreenComponent, TemplateNode } from '../components/template';
import { camelCase, kebabCase, pluralOf } from '../components/identifiers';
import { arrayLiteral, objectLiteral, stringLiteral } from '../components/literals';
import { ModuleImports } from '../components/moduleImports';
import { freeName } from '../../markup/freeName';
import {
  group,
  hardline,
  ifBreak,
  indent,
  MarkedPrinter,
  softline,
  type Doc,
  type LineSpan,
} from '../components/printing';
import { commentText, jsxOf, parametersOf, rowLiteral, type JsxContext } from './jsx';

/** How a build writes its classes and files. */
export interface ReactStyle {
  readonly hasModules: boolean;
  /** The files that modules import, by their paths in the build. */
  readonly files: ReadonlySet<string>;
}

/** A component as a module, with the lines of its layers. */
export function componentFile(
  component: Component,
  { hasModules, files }: ReactStyle,
  isScreen: boolean,
): { readonly text: string; readonly spans: readonly LineSpan[] } {
  const { name, fields, root } = component;
  const slots = slotsIn([root]);
  const taken = new Set([name, ...fields.map((field) => field.name), ...slots, 'row', 'index']);
  const imports = new ModuleImports('../', taken);
  const printer = new MarkedPrinter();
  const data: { readonly name: string; readonly component: Component; readonly rows: readonly Row[] }[] = [];
  const context: JsxContext = {
    imports,
    from: printer.from,
    hasModules,
    files,
    fields: new Map(fields.map((field) => [field.name, field])),
    keepRows: (of, rows) => {
      const wanted = pluralOf(kebabCase(of.name));
      const constant = camelCase(
        freeName(
          wanted,
          (each) => taken.has(camelCase(each)) || data.some((other) => other.name === camelCase(each)),
        ),
      );
      data.push({ name: constant, component: of, rows });
      return constant;
    },
  };
  const markup = jsxOf(root, context);
  const constants: Doc[] = [];
  // Rows may hold rows of their own constants.
  for (let at = 0; at < data.length; at++) {
    const { name: constant, component: of, rows } = data[at]!;
    const type = imports.name(`type ${of.name}Props`, `components/${of.name}`).slice('type '.length);
    const entries = rows.map((row) => rowLiteral(of, row, context));
    const areObjects = rows.every(({ values }) => Object.keys(values).length > 1);
    constants.push(
      `const ${constant}: readonly ${type}[] = `,
      arrayLiteral(entries, areObjects),
      ';',
      hardline,
      hardline,
    );
  }
  if (hasModules) imports.whole('styles', 'styles.module.css');
  else if (isScreen) imports.effect('styles.css');
  const parameters =
    fields.length + slots.length > 0 ? [parametersOf(fields, slots, context), `: ${name}Props`] : '';
  const code: Doc = [
    ...constants,
    ...(root.note === undefined ? [] : [`/** ${commentText(root.note)} */`, hardline]),
    `export function ${name}(`,
    parameters,
    ') {',
    indent([
      hardline,
      'return ',
      group([ifBreak('('), indent([softline, markup]), softline, ifBreak(')')]),
      ';',
    ]),
    hardline,
    '}',
    hardline,
  ];
  const props = propsOf(component, slots, imports);
  const head = `${imports.print('react')}\n${props}`.replace(/^\n+/, '');
  const before = head.split('\n').length - 1;
  const { text, spans } = printer.print(code);
  return {
    text: head + text,
    spans: spans.map((span) => ({ ...span, line: span.line + before, lastLine: span.lastLine + before })),
  };
}

/** The interface of a component's fields; nothing for a component without any. */
function propsOf({ name, fields }: Component, slots: readonly string[], imports: ModuleImports): string {
  if (fields.length + slots.length === 0) return '';
  const lines = [
    ...fields.map(
      (field) => `  readonly ${field.name}${field.isOptional ? '?' : ''}: ${typeOf(field, imports)};`,
    ),
    ...slots.map((slot) => `  readonly ${slot}?: ${imports.type('ReactNode')};`),
  ];
  return `export interface ${name}Props {\n${lines.join('\n')}\n}\n\n`;
}

function typeOf({ type }: Field, imports: ModuleImports): string {
  switch (type.kind) {
    case 'flag':
      return 'boolean';
    case 'style':
      return imports.type('CSSProperties');
    case 'attributes':
      return attributesType(type, imports);
    case 'rows':
      return `readonly ${imports.name(`type ${type.of.name}Props`, `components/${type.of.name}`).slice('type '.length)}[]`;
    default:
      return 'string';
  }
}

function attributesType(
  { names }: Extract<FieldType, { kind: 'attributes' }>,
  imports: ModuleImports,
): string {
  if (names.some((name) => name === 'src' || name === 'srcset'))
    return imports.type('ImgHTMLAttributes') + '<HTMLImageElement>';
  if (names.includes('href')) return imports.type('AnchorHTMLAttributes') + '<HTMLAnchorElement>';
  if (names.some((name) => ['placeholder', 'value', 'type', 'checked', 'name'].includes(name)))
    return imports.type('InputHTMLAttributes') + '<HTMLInputElement>';
  return names.includes('for')
    ? imports.type('LabelHTMLAttributes') + '<HTMLLabelElement>'
    : imports.type('HTMLAttributes') + '<HTMLElement>';
}

/** The slots of a component that hold more than words. */
function slotsIn(nodes: readonly TemplateNode[]): readonly string[] {
  return nodes.flatMap((node) => {
    if (node.kind === 'slot') return [node.name];
    return node.kind === 'element' ? slotsIn(node.children) : [];
  });
}

/** Every link of the screens goes through this component. */
export const LINK_FILE: EmittedFile = {
  path: 'components/Link.tsx',
  text: `import type { AnchorHTMLAttributes } from "react";

/** Every link of the screens: the link of a router takes the place of \`a\` here. */
export function Link(props: AnchorHTMLAttributes<HTMLAnchorElement>) {
  return <a {...props} />;
}
`,
};

/** The screens with their addresses and titles, for a router. */
export function screenListFile(screens: readonly ScreenComponent[]): EmittedFile {
  const printer = new MarkedPrinter();
  const entries = screens.map(({ name, address, title }) =>
    objectLiteral([
      ['address', stringLiteral(address)],
      ['title', stringLiteral(title)],
      ['Screen', name],
    ]),
  );
  const imports = [...screens]
    .sort((one, other) => (one.name < other.name ? -1 : 1))
    .map(({ name }) => `import { ${name} } from "./screens/${name}";\n`);
  const { text } = printer.print([
    '/** Every screen with its address and title. */',
    hardline,
    'export const screens = ',
    arrayLiteral(entries, true),
    ' as const;',
    hardline,
  ]);
  return { path: 'screens.ts', text: `${imports.join('')}\n${text}` };
}

const FORMATS = ['avif', 'jpg', 'png', 'svg', 'webp'];

/** What a bundler gives for files that are no modules. */
export function typesFile(hasModules: boolean): EmittedFile {
  const pictures = FORMATS.map(
    (format) => `declare module "*.${format}" {\n  const address: string;\n  export default address;\n}\n`,
  );
  const sheet = hasModules
    ? 'declare module "*.module.css" {\n  const classes: Readonly<Record<string, string>>;\n  export default classes;\n}\n'
    : 'declare module "*.css";\n';
  return { path: 'files.d.ts', text: [...pictures, sheet].join('\n') };
}
