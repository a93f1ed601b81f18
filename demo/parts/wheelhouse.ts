import { box, embeddedFont, group, text } from './svg';

interface Station {
  readonly name: string;
  readonly slot: string;
  readonly reading: string;
  readonly unit: string;
  /** How far the lever stands, 0–1. */
  readonly lever: number;
  readonly on: boolean;
}

const STATIONS: readonly Station[] = [
  { name: 'Port engine', slot: 'port-engine', reading: '1 140', unit: 'rpm', lever: 0.62, on: true },
  { name: 'Starboard engine', slot: 'starboard-engine', reading: '1 136', unit: 'rpm', lever: 0.6, on: true },
  { name: 'Bow thruster', slot: 'bow-thruster', reading: '0', unit: 'kN', lever: 0.5, on: false },
  { name: 'Car deck fans', slot: 'car-deck-fans', reading: '38', unit: '%', lever: 0.38, on: true },
  { name: 'Ballast pump', slot: 'ballast-pump', reading: '12', unit: 't/h', lever: 0.24, on: true },
  { name: 'Ramp winch', slot: 'ramp-winch', reading: '0', unit: 'm', lever: 0, on: false },
];

const QUIET = ' data-tags=".quiet"';

const FACES = [
  ['Commissioner', 400],
  ['Commissioner', 600],
  ['Red Hat Mono', 500],
] as const;

/** The bridge panel of MV Auk, 1024×768, as a designer leaves it: versions hidden on top of each other, a grid to draw by. */
export function wheelhouse(): string {
  return `<svg xmlns="http://www.w3.org/2000/svg" width="1024" height="768" viewBox="0 0 1024 768">
<title>wheelhouse</title>
<style>${FACES.map(([family, weight]) => embeddedFont(family, weight)).join('\n')}
text{font-family:Commissioner,sans-serif;font-size:14px;fill:#dfe8ea}
.strong{font-weight:600}
.quiet{fill:#8fa7ae;font-size:13px}
.read-out{font-family:"Red Hat Mono",monospace;font-weight:500;font-size:22px;fill:#ffd98c}
</style>
<defs>
  <linearGradient id="plate" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#24404c"/><stop offset="1" stop-color="#1b323d"/></linearGradient>
  <linearGradient id="brass" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#f3d493"/><stop offset="1" stop-color="#b98a34"/></linearGradient>
</defs>
${box(0, 0, 1024, 768, 'id="panel-ground" fill="#122530" data-tags=".ground"')}
${header()}
${gauges()}
${group('station-list', STATIONS.map(station).join(''))}
${alarm()}
${samples()}
${group('Guides', Array.from({ length: 9 }, (_, at) => box(24 + at * 122, 0, 1, 768, 'fill="#f0f"')).join(''), ' opacity=".2" display="none"')}
</svg>
`;
}

/** The looks of plates, bars and letters as classes, and again for the three themes. They lie hidden, off the page. */
function samples(): string {
  const looks = (
    ground: string,
    plate: string,
    bar: string,
    letters: string,
    quiet: string,
    readOut: string,
  ) =>
    `<rect id="ground" x="1064" width="80" height="40" fill="${ground}"/>` +
    `<rect id="plate" x="1064" y="50" width="80" height="40" rx="10" fill="${plate}"/>` +
    `<rect id="bar" x="1064" y="100" width="80" height="40" fill="${bar}"/>` +
    `<text id="title" x="1064" y="250" style="font-size:20px;font-weight:600;fill:${letters}">Title</text>` +
    `<text id="name" x="1064" y="160" style="font-size:16px;font-weight:600;fill:${letters}">Name</text>` +
    `<text id="quiet" x="1064" y="180" style="font-size:13px;fill:${quiet}">Quiet</text>` +
    `<text id="read-out" x="1064" y="210" class="read-out" style="fill:${readOut}">38</text>`;
  const theme = (name: string, inside: string) => `<g id="theme-${name}" data-name=".${name}">${inside}</g>`;
  return `<g id="looks" data-name="Looks [style]" display="none">
${looks('#122530', 'url(#plate)', '#0c1a22', '#dfe8ea', '#8fa7ae', '#ffd98c')}
${theme('fair', looks('#dbe7ea', '#f7fafa', '#c3d3d8', '#14303b', '#476470', '#8a5a00'))}
${theme('fog', looks('#5d6a70', '#6d7a80', '#4a565b', '#f4f6f7', '#d4dbde', '#ffe9b8'))}
${theme('night', looks('#120a0a', '#221111', '#0a0505', '#d98a7a', '#9a5a50', '#ff7a5c'))}
</g>`;
}

function header(): string {
  const clock = text(
    984,
    44,
    'read-out',
    '07:38',
    ' text-anchor="end" data-slot="clock" data-tags=".read-out"',
  );
  return group(
    'header',
    `${box(0, 0, 1024, 64, 'fill="#0c1a22" data-tags=".bar"')}${text(40, 40, 'strong', 'MV Auk, wheelhouse', ' style="font-size:20px" data-tags=".title"')}${clock}`,
  );
}

function gauges(): string {
  const dials = [
    ['Heading', 'heading', '214', '°', 214],
    ['Speed', 'speed', '13.2', 'kn', 132],
    ['Wind', 'wind', '14', 'kn', 225],
    ['Depth', 'depth', '31', 'm', 60],
  ] as const;
  const drawn = dials.map(([name, slot, reading, unit, turn], at) => {
    const x = 40 + at * 244;
    const ticks = Array.from({ length: 12 }, (_, tick) => {
      const angle = (tick * Math.PI) / 6;
      const point = (radius: number) =>
        `${(x + 56 + radius * Math.sin(angle)).toFixed(2)} ${(144 - radius * Math.cos(angle)).toFixed(2)}`;
      return `M${point(38)}L${point(44)}`;
    }).join('');
    const dial = group(
      `dial-${slot}`,
      `<circle cx="${x + 56}" cy="144" r="48" fill="#0c1a22" stroke="url(#brass)" stroke-width="3"/><path d="${ticks}" stroke="#8fa7ae" stroke-width="2"/><path d="M${x + 52} 144L${x + 56} 106L${x + 60} 144Z" fill="#e2725b" transform="rotate(${turn} ${x + 56} 144)"/>`,
    );
    return group(
      `gauge-${slot}`,
      box(x, 84, 212, 120, 'rx="10" fill="url(#plate)" data-tags=".plate"') +
        dial +
        text(x + 120, 124, 'quiet', name, QUIET) +
        text(x + 120, 154, 'read-out', reading, ` data-slot="${slot}" data-tags=".read-out"`) +
        text(x + 120, 178, 'quiet', unit, QUIET),
    );
  });
  return group('gauges', drawn.join(''));
}

function station({ name, slot, reading, unit, lever, on }: Station, at: number): string {
  const [x, y] = [40 + (at % 2) * 488, 228 + Math.floor(at / 2) * 136];
  const shown = (version: boolean) => (version ? '' : ' display="none"');
  const toggle = (version: 'on' | 'off') =>
    group(
      `switch ${version}`,
      box(x + 348, y + 20, 72, 32, `rx="16" fill="${version === 'on' ? '#2f7a5c' : '#0c1a22'}"`) +
        `<circle cx="${version === 'on' ? x + 404 : x + 364}" cy="${y + 36}" r="12" fill="url(#brass)"/>`,
      shown((version === 'on') === on),
    );
  const track = group(
    'lever',
    box(x + 24, y + 84, 280, 8, 'rx="4" fill="#0c1a22"') +
      box(x + 24, y + 84, Math.max(8, 280 * lever), 8, 'rx="4" fill="#e2725b"') +
      `<circle cx="${x + 24 + 280 * lever}" cy="${y + 88}" r="11" fill="url(#brass)"/>`,
  );
  return group(
    `station-${at + 1}`,
    box(x, y, 448, 116, 'rx="10" fill="url(#plate)" data-tags=".plate"') +
      text(x + 24, y + 41, 'strong', name, ' style="font-size:16px" data-tags=".name"') +
      text(
        x + 304,
        y + 42,
        'read-out',
        reading,
        ` text-anchor="end" data-slot="${slot}" data-tags=".read-out"`,
      ) +
      track +
      text(x + 348, y + 93, 'quiet', unit, QUIET) +
      toggle('off') +
      toggle('on'),
  );
}

function alarm(): string {
  const button = (version: string, fill: string, hidden: boolean) =>
    group(
      version,
      `${box(784, 652, 200, 48, `rx="8" fill="${fill}"`)}${text(884, 682, 'strong', 'Silence the horn', ' text-anchor="middle"')}`,
      hidden ? ' display="none"' : '',
    );
  return group(
    'footer',
    `${box(0, 636, 1024, 132, 'fill="#0c1a22" data-tags=".bar"')}${text(40, 676, 'strong', 'Oldness Quay in 26 minutes', ' style="font-size:20px" data-tags=".title"')}${text(40, 702, 'quiet', 'Speed limit 8 knots from the second buoy', QUIET)}` +
      button('silence-button', '#b5442e', false) +
      button('silence-button pressed', '#8c3322', true),
  );
}
