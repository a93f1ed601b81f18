import type { EmittedFile } from '../target';
import { fieldLine, propsType, type FieldTyping } from '../components/fieldTypes';
import type { Component } from '../components/template';
import { ModuleData } from '../components/moduleData';
import { slotsIn } from '../components/slots';
import { ModuleImports } from '../components/moduleImports';
import {
  group,
  hardline,
  ifBreak,
  indent,
  joinPrinted,
  MarkedPrinter,
  softline,
  type Doc,
  type PrintedCode,
} from '../components/printing';
import { commentText, jsxOf, parametersOf, valueWriter, type JsxContext } from './jsx';

const TYPING: FieldTyping = {
  fileOf: (component) => `components/${component}`,
  attributesOf: (type, element) => `${type}<${element}>`,
};

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
): PrintedCode {
  const { name, fields, root } = component;
  const slots = slotsIn([root]);
  const taken = new Set([name, ...fields.map((field) => field.name), ...slots, 'row', 'index']);
  const imports = new ModuleImports('../', taken);
  const printer = new MarkedPrinter();
  const data = new ModuleData(taken);
  const style = {
    imports,
    from: printer.from,
    hasModules,
    files,
    fields: new Map(fields.map((field) => [field.name, field])),
    keepRows: data.keepRows,
  };
  const context: JsxContext = { ...style, values: valueWriter(style) };
  const markup = jsxOf(root, context);
  const constants = data.print(context.values, ({ name: of }) => propsType(of, imports, TYPING));
  if (hasModules) imports.whole('styles', 'styles.module.css');
  else if (isScreen) imports.effect('styles.css');
  const parameters =
    fields.length + slots.length > 0 ? [parametersOf(fields, slots, context), `: ${name}Props`] : '';
  const code: Doc = [
    constants,
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
  const head = [imports.print('react'), props].filter((each) => each !== '');
  return joinPrinted(head.map((each) => `${each}\n`).join(''), printer.print(code));
}

/** The interface of a component's fields; nothing for a component without any. */
function propsOf({ name, fields }: Component, slots: readonly string[], imports: ModuleImports): string {
  if (fields.length + slots.length === 0) return '';
  const lines = [
    ...fields.map((field) => fieldLine(field, imports, TYPING)),
    ...slots.map((slot) => `  readonly ${slot}?: ${imports.type('ReactNode')};`),
  ];
  return `export interface ${name}Props {\n${lines.join('\n')}\n}\n`;
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
