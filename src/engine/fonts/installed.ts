import { execFileSync } from 'node:child_process';

export interface InstalledFace {
  readonly families: readonly string[];
  readonly weight: number;
  readonly italic: boolean;
  readonly path: string;
  /** The name of the face for people. */
  readonly fullName: string;
  /** The face's name inside a collection file. */
  readonly postscriptName: string;
}

export interface InstalledFonts {
  readonly faces: readonly InstalledFace[];
  /** The family that this machine uses for a generic name, such as `sans-serif`. */
  readonly generic: (name: string) => string | null;
}

/** The families that Chromium on Linux takes for generic ones before it asks fontconfig (its default settings; from memory). */
const CHROMIUM_FAMILIES: Readonly<Record<string, string>> = {
  serif: 'Times New Roman',
  'sans-serif': 'Arial',
  monospace: 'Monospace',
  cursive: 'Comic Sans MS',
  fantasy: 'Impact',
};

/** fontconfig's weights against those of CSS (fontconfig, fcweight.c). */
const WEIGHTS: readonly (readonly [fontconfig: number, css: number])[] = [
  [0, 100],
  [40, 200],
  [50, 300],
  [55, 350],
  [75, 380],
  [80, 400],
  [100, 500],
  [180, 600],
  [200, 700],
  [205, 800],
  [210, 900],
];

/** The machine's own fonts as fontconfig lists them; none without fontconfig. */
export function listInstalled(): InstalledFonts {
  const listed = run('fc-list', [
    '--format',
    '%{family}|%{weight}|%{slant}|%{width}|%{postscriptname}|%{fullname[0]}|%{file}\n',
  ]);
  const faces = listed.split('\n').flatMap((line): InstalledFace[] => {
    const [family = '', weight = '', slant = '', width = '', postscriptName = '', fullName = '', path = ''] =
      line.split('|');
    // Condensed faces share the family's name and are used only on request, which never happens.
    const usable = /\.(ttf|otf|ttc|otc|woff2?)$/i.test(path) && (width === '' || width === '100');
    if (!usable) return [];
    return [
      {
        families: family.split(','),
        weight: cssWeight(parseFloat(weight)),
        italic: slant !== '0',
        postscriptName,
        fullName,
        path,
      },
    ];
  });
  const generics = new Map<string, string | null>();
  return {
    faces,
    generic(name) {
      if (!generics.has(name)) {
        const family = run('fc-match', ['--format', '%{family}', CHROMIUM_FAMILIES[name] ?? name]).split(
          ',',
        )[0];
        generics.set(name, family || null);
      }
      return generics.get(name) ?? null;
    },
  };
}

function run(command: string, args: readonly string[]): string {
  try {
    return execFileSync(command, args, {
      encoding: 'utf8',
      timeout: 10_000,
      stdio: ['ignore', 'pipe', 'ignore'],
    });
  } catch {
    return '';
  }
}

function cssWeight(weight: number): number {
  const nearest = WEIGHTS.reduce((best, entry) =>
    Math.abs(entry[0] - weight) < Math.abs(best[0] - weight) ? entry : best,
  );
  return Number.isFinite(weight) ? nearest[1] : 400;
}
