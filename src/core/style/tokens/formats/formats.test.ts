import { execFileSync } from 'node:child_process';
import type { Token } from '../token';
import { TOKEN_FORMATS } from './formats';

const token = (kind: Token['kind'], name: string, value: string): Token => ({
  kind,
  name,
  value,
  uses: 2,
  places: {},
});
const TOKENS = [
  token('colour', 'ink', '#246'),
  token('colour', 'white-40', 'rgb(255 255 255 / 40%)'),
  token('space', 'space-3', '12px'),
  token('font', 'font', '"Red Hat Mono", monospace'),
  token('shadow', 'shadow', 'inset 0 1px 2px #000, 0 3px 10px 1px rgb(19 39 51 / 18%)'),
];

describe('tokens for other tools', () => {
  it('are custom properties, and variables of SCSS', () => {
    expect(TOKEN_FORMATS.css.print(TOKENS.slice(0, 1))).toBe(':root {\n  --ink: #246;\n}\n');
    expect(TOKEN_FORMATS.scss.print(TOKENS.slice(0, 3))).toBe(
      '$ink: #246;\n$white-40: rgb(255 255 255 / 40%);\n$space-3: 12px;\n',
    );
  });

  // The reader is an ES module, which needs a process of its own.
  it('are read by the parser of another project, which checks the format (@terrazzo/parser)', () => {
    const script = `
      import { defineConfig, parse } from '@terrazzo/parser';
      const cwd = new URL('file://' + process.cwd() + '/');
      const config = defineConfig({ plugins: [] }, { cwd });
      const src = process.argv[1];
      const { tokens } = await parse([{ filename: new URL('tokens.json', cwd), src }], { config });
      console.log(JSON.stringify(Object.entries(tokens).map(([id, { $type, $value }]) => [id, $type, $value])));`;
    const printed = execFileSync(
      'node',
      ['--input-type=module', '-e', script, TOKEN_FORMATS.dtcg.print(TOKENS)],
      {
        encoding: 'utf8',
      },
    );
    const read = new Map(
      (JSON.parse(printed) as [string, string, unknown][]).map(([id, type, value]) => [id, { type, value }]),
    );
    expect([...read].map(([id, { type }]) => [id, type])).toEqual([
      ['color.ink', 'color'],
      ['color.white-40', 'color'],
      ['font.font', 'fontFamily'],
      ['shadow.shadow', 'shadow'],
      ['space.space-3', 'dimension'],
    ]);
    expect(read.get('space.space-3')!.value).toEqual({ value: 12, unit: 'px' });
    expect(read.get('color.white-40')!.value).toMatchObject({ components: [1, 1, 1], alpha: 0.4 });
    expect(read.get('font.font')!.value).toEqual(['Red Hat Mono', 'monospace']);
    expect(read.get('shadow.shadow')!.value).toMatchObject([
      { inset: true, blur: { value: 2, unit: 'px' } },
      { inset: false, offsetY: { value: 3, unit: 'px' }, spread: { value: 1, unit: 'px' } },
    ]);
  });
});
