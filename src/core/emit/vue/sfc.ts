import type { EmittedFile } from '../target';
import { styleLiteral } from '../components/inlineStyle';
import { stringLiteral } from '../components/literals';
import { ModuleData } from '../components/moduleData';
import { ModuleImports } from '../components/moduleImports';
import {
  group,
  hardline,
  ifBreak,
  indent,
  join,
  joinPrinted,
  line,
  MarkedPrinter,
  type Doc,
  type PrintedCode,
} from '../components/printing';
import { valueLiteral, type ValueWriter } from '../components/rows';
import { fieldLine, propsType, type FieldTyping } from '../components/fieldTypes';
import type { Component } from '../components/template';
import { slotsIn } from '../components/slots';
import { escapeComment } from '../../markup/printHtml';
import { templateOf } from './template';

const TYPING: FieldTyping = {
  fileOf: (component) => `components/${component}.vue`,
  attributesOf: (type) => type,
};

/** What a component is written with. */
export interface SfcStyle {
  /** The files of the build, by their paths in it. */
  readonly files: ReadonlySet<string>;
  /** The rules that only this component needs, as CSS; empty for none. */
  readonly css: string;
}

/** A component as a single file, with the lines of its layers. */
export function componentFile(
  component: Component,
  { files, css }: SfcStyle,
  isScreen: boolean,
): PrintedCode {
  const { name, fields, root } = component;
  const taken = new Set([name, ...fields.map((field) => field.name), ...slotsIn([root]), 'row', 'index']);
  const imports = new ModuleImports('../', taken);
  const printer = new MarkedPrinter();
  const data = new ModuleData(taken);
  const markup = templateOf(root, '  ', {
    imports,
    from: printer.from,
    files,
    fields: new Map(fields.map((field) => [field.name, field])),
    keepRows: data.keepRows,
    keepUse: data.keepUse,
  });
  const writer = valueWriter(imports, files, printer.from);
  const constants = data.print(writer, ({ name: of }) => propsType(of, imports, TYPING));
  const props = propsOf(component, imports);
  if (isScreen) imports.effect('styles.css');
  const head = imports.print('vue');
  const body = printer.print([props, constants, definition(component, writer)]);
  const script = joinPrinted(head, head !== '' && body.text !== '' ? '\n' : '', trimmed(body));
  const template = printer.print([
    root.note === undefined ? '' : [`<!-- ${escapeComment(root.note)} -->`, hardline],
    '<template>',
    hardline,
    markup,
    hardline,
    '</template>',
    hardline,
  ]);
  return joinPrinted(
    ...(script.text === '' ? [] : ['<script setup lang="ts">\n', script, '</script>\n\n']),
    template,
    css === '' ? '' : `\n<style scoped>\n${css}</style>\n`,
  );
}

/** Code that ends with its last line. */
function trimmed({ text, spans }: PrintedCode): PrintedCode {
  return { text: text.replace(/\n+$/, '\n'), spans };
}

/** The fields with their usual values; nothing for a component without any. */
function definition({ name, fields }: Component, writer: ValueWriter): Doc {
  if (fields.length === 0) return '';
  const usual = fields.filter((field) => field.usual !== null && field.usual !== false);
  if (usual.length === 0) return [`defineProps<${name}Props>();`, hardline];
  const entries = usual.map(({ name: field, type, usual: value }): Doc => [
    `${field} = `,
    valueLiteral(type, value!, writer),
  ]);
  const parameters = group(['{', indent([line, join([',', line], entries)]), ifBreak(','), line, '}']);
  return ['const ', parameters, ` = defineProps<${name}Props>();`, hardline];
}

function propsOf({ name, fields }: Component, imports: ModuleImports): Doc {
  if (fields.length === 0) return '';
  const lines = fields.map((field): Doc => [hardline, fieldLine(field, imports, TYPING)]);
  return [`export interface ${name}Props {`, ...lines, hardline, '}', hardline, hardline];
}

function valueWriter(
  imports: ModuleImports,
  files: ReadonlySet<string>,
  from: MarkedPrinter['from'],
): ValueWriter {
  return {
    from,
    attributeName: (name) => name,
    literal: (kind, value) => {
      if (kind === 'style') return styleLiteral(value);
      if (kind === 'file' || kind === 'files') return imports.fileLiteral(value, files);
      // An end tag in a script ends it (HTML, §4.12.1.3).
      return stringLiteral(value).replaceAll('</', '<\\/');
    },
  };
}

/** Every link of the screens goes through this component. */
export const LINK_FILE: EmittedFile = {
  path: 'components/SiteLink.vue',
  text: `<!-- Every link of the screens: the link of a router takes the place of \`a\` here. -->
<template>
  <a><slot /></a>
</template>
`,
};
