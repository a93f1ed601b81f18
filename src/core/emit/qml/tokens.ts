import { parseColour } from '../../read/svg/colours';
import { namedValues } from '../css/sheetTokens';
import { camelCase } from '../components/identifiers';
import type { EmitInput, FontFile } from '../target';
import { qmlColour, qmlString } from './values';

/** The values that the files of a build share, as a singleton. */
export interface QmlTokens {
  readonly text: string;
  /** The token of a colour as QML writes it; null for none. */
  readonly colour: (value: string) => string | null;
  /** The token of a family that the build brings; null for one of the system. */
  readonly family: (name: string) => string | null;
}

const NAME = 'Tokens';

export function qmlTokens(input: Pick<EmitInput, 'pages' | 'sheet' | 'plan' | 'fonts'>): QmlTokens {
  const colours = namedValues(input).flatMap(({ kind, name, value }) => {
    const colour = kind === 'colour' ? parseColour(value) : null;
    return colour ? [{ name: camelCase(name), value: qmlColour(colour) }] : [];
  });
  const families = [...new Set(input.fonts.map(({ family }) => family))].map((family) => ({
    family,
    name: camelCase(family),
    files: input.fonts.filter((font) => font.family === family),
  }));
  const lines = [
    ...colours.map(({ name, value }) => `    readonly property color ${name}: ${value}`),
    ...(colours.length > 0 && families.length > 0 ? [''] : []),
    ...families.flatMap(({ name, files }) => [
      ...files.map((file) => loaderOf(name, file)),
      `    readonly property string ${name}: ${loaderName(name, files[0]!)}.name`,
    ]),
  ];
  const byValue = new Map(colours.map(({ name, value }) => [value, `${NAME}.${name}`]));
  const byFamily = new Map(families.map(({ family, name }) => [family, `${NAME}.${name}`]));
  return {
    text: `pragma Singleton\n\nimport QtQuick\n\nQtObject {\n${lines.map((each) => `${each}\n`).join('')}}\n`,
    colour: (value) => byValue.get(value) ?? null,
    family: (name) => byFamily.get(name) ?? null,
  };
}

function loaderName(name: string, { weight, italic }: FontFile): string {
  return `${name}${weight}${italic ? 'Italic' : ''}`;
}

/** A face of a family: the loader says under which name the system knows it. */
function loaderOf(name: string, font: FontFile): string {
  const inner = `source: ${qmlString(font.path)}`;
  return `    readonly property FontLoader ${loaderName(name, font)}: FontLoader {\n        ${inner}\n    }`;
}
