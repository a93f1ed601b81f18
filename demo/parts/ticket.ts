import { box, embeddedFont, group, HOUSE_TYPE, text } from './svg';

/** The coordinates of one of the two screens, px. */
interface Sheet {
  readonly name: string;
  readonly x: number;
  readonly width: number;
  readonly height: number;
  readonly margin: number;
  readonly title: { readonly size: number; readonly y: number };
  readonly copy: { readonly y: number; readonly lines: readonly string[] };
  readonly card: { readonly width: number; readonly at: (index: number) => readonly [x: number, y: number] };
  readonly price: { readonly x: number; readonly y: number; readonly width: number };
  readonly footer: { readonly y: number; readonly height: number };
}

const WIDE: Sheet = {
  name: 'ticket 1280',
  x: 0,
  width: 1280,
  height: 800,
  margin: 40,
  title: { size: 40, y: 150 },
  copy: {
    y: 188,
    lines: [
      'All harbours until the last boat. One small dog travels free,',
      'and the ticket holds for the ship after, if yours is full.',
    ],
  },
  card: { width: 384, at: (index) => [40 + index * 408, 260] },
  price: { x: 40, y: 480, width: 1200 },
  footer: { y: 736, height: 64 },
};

const NARROW: Sheet = {
  name: 'ticket 390',
  x: 1360,
  width: 390,
  height: 844,
  margin: 20,
  title: { size: 30, y: 124 },
  copy: {
    y: 156,
    lines: [
      'All harbours until the last boat. One small',
      'dog travels free, and the ticket holds for the',
      'ship after, if yours is full.',
    ],
  },
  card: { width: 350, at: (index) => [20, 238 + index * 140] },
  price: { x: 20, y: 662, width: 350 },
  footer: { y: 780, height: 64 },
};

const STEPS = [
  ['choose', 'Choose a day', 'Any day this season. The day begins', 'at four in the morning.'],
  ['name', 'Say who travels', 'Names for the list on board. Children', 'under six need none.'],
  ['show', 'Show the ticket', 'On paper or on your phone, at the', 'ramp, before the ropes are off.'],
] as const;

/** The page of the day ticket, drawn for two widths side by side, as a designer leaves it. */
export function ticket(): string {
  return `<svg xmlns="http://www.w3.org/2000/svg" width="1750" height="844" viewBox="0 0 1750 844">
<title>ticket</title>
<style>${[400, 600].map((weight) => embeddedFont('Commissioner', weight)).join('\n')}
${embeddedFont('Aleo', 700)}
${HOUSE_TYPE}
</style>
<defs>
  <linearGradient id="press" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#d1583c"/><stop offset="1" stop-color="#b5442e"/></linearGradient>
  ${[WIDE, NARROW].map(({ x, width, height }, at) => `<clipPath id="edge-${at}"><rect x="${x}" width="${width}" height="${height}"/></clipPath>`).join('')}
</defs>
${[WIDE, NARROW].map((sheet, at) => group(sheet.name, group(null, screen(sheet), ` transform="translate(${sheet.x} 0)"`), ` clip-path="url(#edge-${at})"`)).join('\n')}
</svg>
`;
}

function screen(sheet: Sheet): string {
  const { width, height, margin, title, copy, card } = sheet;
  const lines = copy.lines.map((line, at) => `<tspan x="${margin}" y="${copy.y + at * 24}">${line}</tspan>`);
  return (
    box(0, 0, width, height, 'fill="#f6f1e7"') +
    header(sheet) +
    group(
      'intro',
      text(margin, title.y, 'serif', 'Day ticket', ` style="font-size:${title.size}px"`) +
        `<text style="font-size:16px">${lines.join('')}</text>`,
    ) +
    group('steps', STEPS.map((step, at) => stepCard(step, card.at(at), card.width)).join('')) +
    price(sheet) +
    footer(sheet)
  );
}

function header({ width, margin }: Sheet): string {
  const isWide = width > 600;
  const links = ['Sailings', 'Tickets', 'Harbours', 'Contact'].map(
    (label, at) =>
      `<a href="harbour.html#${label.toLowerCase()}">${text(820 + at * 108, 43, 'light', label)}</a>`,
  );
  const menu = group(
    'menu-button',
    `${box(width - margin - 72, 18, 72, 36, 'rx="18" fill="#2c5a6b"')}${text(width - margin - 36, 41, 'strong light', 'Menu', ' text-anchor="middle"')}`,
  );
  return group(
    'header',
    box(0, 0, width, 72, 'fill="#16303e"') +
      text(margin, 45, 'serif light', 'Ternholm Ferries', ' style="font-size:22px"') +
      (isWide ? group('main-navigation', links.join('')) : menu),
  );
}

function stepCard(
  [name, title, ...lines]: (typeof STEPS)[number],
  [x, y]: readonly [number, number],
  width: number,
): string {
  const copy = lines.map((line, at) => `<tspan x="${x + 20}" y="${y + 64 + at * 20}">${line}</tspan>`);
  return group(
    `step-${name}`,
    box(x, y, width, 124, 'rx="12" fill="#fffdf8"') +
      text(x + 20, y + 36, 'serif', title, ' style="font-size:20px"') +
      `<text class="quiet">${copy.join('')}</text>`,
  );
}

function price({ price: { x, y, width } }: Sheet): string {
  return group(
    'price',
    box(x, y, width, 96, 'rx="12" fill="#f3ddb0"') +
      text(x + 20, y + 58, 'serif', '28 crowns', ' style="font-size:28px"') +
      group(
        'buy-button',
        `${box(x + width - 160, y + 30, 140, 36, 'rx="18" fill="url(#press)"')}${text(x + width - 90, y + 53, 'strong light', 'Buy the ticket', ' text-anchor="middle"')}`,
      ),
  );
}

function footer({ width, margin, footer: { y, height } }: Sheet): string {
  return group(
    'footer',
    box(0, y, width, height, 'fill="#e8dfcb"') +
      text(margin, y + 38, 'quiet', 'Harbour Row 1. All times are island time.') +
      `<a href="harbour.html">${text(width - margin, y + 38, 'quiet', 'Departures', ' text-anchor="end"')}</a>`,
  );
}
