import { box, embeddedFont, group, HOUSE_TYPE, text } from './svg';

interface Sailing {
  readonly time: string;
  readonly to: string;
  readonly ship: string;
  readonly state: 'On time' | 'Boarding' | 'Delayed';
  readonly price: string;
}

const SAILINGS: readonly Sailing[] = [
  { time: '07:40', to: 'Skerrivane', ship: 'MV Auk', state: 'Boarding', price: '12.40' },
  { time: '08:15', to: 'Oldness Quay', ship: 'MV Fulmar', state: 'On time', price: '9.80' },
  { time: '09:05', to: 'Hallow Sound', ship: 'MV Kittiwake', state: 'On time', price: '17.20' },
  { time: '10:30', to: 'Skerrivane', ship: 'MV Petrel', state: 'Delayed', price: '12.40' },
  { time: '11:20', to: 'Brae of Lunn', ship: 'MV Auk', state: 'On time', price: '21.60' },
  { time: '12:45', to: 'Oldness Quay', ship: 'MV Fulmar', state: 'On time', price: '9.80' },
];

const STATE_COLOURS = {
  'On time': ['#e0ece4', '#2c6248'],
  Boarding: ['#f7e3c3', '#8a5410'],
  Delayed: ['#f6d9d2', '#9c3522'],
} as const;

/** The departures page of Ternholm Ferries, 1280×800, as a designer leaves it. */
export function harbour(photo: Buffer): string {
  return `<svg xmlns="http://www.w3.org/2000/svg" width="1280" height="800" viewBox="0 0 1280 800">
<title>harbour</title>
<style>${['Commissioner:400', 'Commissioner:600', 'Commissioner:700', 'Aleo:600', 'Aleo:700'].map(fontOf).join('\n')}
${HOUSE_TYPE}
</style>
<defs>
  <linearGradient id="shade" x1="0" y1="0" x2="1" y2="0"><stop offset="0" stop-color="#132733" stop-opacity=".86"/><stop offset=".6" stop-color="#132733" stop-opacity=".25"/><stop offset="1" stop-color="#132733" stop-opacity="0"/></linearGradient>
  <linearGradient id="press" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#d1583c"/><stop offset="1" stop-color="#b5442e"/></linearGradient>
  <linearGradient id="day-ticket" x1="0" y1="0" x2="1" y2="1"><stop offset="0" stop-color="#fff6e2"/><stop offset="1" stop-color="#f3ddb0"/></linearGradient>
  <linearGradient id="week-ticket" x1="0" y1="0" x2="1" y2="1"><stop offset="0" stop-color="#e9f1f3"/><stop offset="1" stop-color="#bfd5dc"/></linearGradient>
  <radialGradient id="lamp" cx=".5" cy=".5" r=".5"><stop offset="0" stop-color="#ffd98c"/><stop offset="1" stop-color="#e9a13b"/></radialGradient>
  <filter id="lift" x="-10%" y="-30%" width="120%" height="180%" color-interpolation-filters="sRGB"><feDropShadow dx="0" dy="3" stdDeviation="5" flood-color="#132733" flood-opacity=".18"/></filter>
  <clipPath id="hero-cut"><rect x="0" y="72" width="1280" height="248"/></clipPath>
</defs>
${box(0, 0, 1280, 800, 'id="page-ground" fill="#f6f1e7"')}
${hero(photo)}
${header()}
${weather()}
${sailings()}
${tickets()}
${footer()}
${group('fog-notice', `${box(340, 96, 600, 64, 'rx="8" fill="#fff"')}${text(364, 134, 'strong', 'Fog: expect slow crossings until noon.')}`, ' display="none"')}
</svg>
`;
}

function fontOf(face: string): string {
  const [family = '', weight = ''] = face.split(':');
  return embeddedFont(family, Number(weight));
}

function header(): string {
  const mark = group(
    'ferry-mark',
    `<path d="M2 20l4 8h24l4-8z" fill="#fdfaf3"/><path d="M7 18v-6h18l3 6z" fill="#d1583c"/><path d="M13 10V4h5v6z" fill="#fdfaf3"/><path d="M0 33c4 0 4-3 8-3s4 3 8 3 4-3 8-3 4 3 8 3 4-3 6-3" fill="none" stroke="#8fb1bd" stroke-width="2" stroke-linecap="round"/>`,
    ' transform="translate(40 18)"',
  );
  const links = { Sailings: '#sailings', Tickets: '#tickets', Harbours: '/harbours', Contact: '/contact' };
  const nav = Object.entries(links)
    .map(([label, href], at) => `<a href="${href}">${text(560 + at * 108, 43, 'light', label)}</a>`)
    .join('');
  const button = group(
    'book-button',
    `${box(1080, 18, 160, 36, 'rx="18" fill="url(#press)"')}${text(1160, 41, 'strong light', 'Book a crossing', ' text-anchor="middle"')}`,
  );
  const over = group(
    'book-button:hover',
    `${box(1080, 18, 160, 36, 'rx="18" fill="#9c3522"')}`,
    ' display="none"',
  );
  return group(
    'header',
    `${box(0, 0, 1280, 72, 'fill="#16303e"')}${mark}${text(92, 45, 'serif light', 'Ternholm Ferries', ' style="font-size:22px"')}${group('main-navigation', nav)}${button}${over}`,
  );
}

function hero(photo: Buffer): string {
  const data = photo.toString('base64');
  const lines = [
    'Six crossings before one o’clock. Cars check in',
    'twenty minutes early, feet ten. The café on deck',
    'two opens when the ropes are off.',
  ];
  const copy = lines.map((line, at) => `<tspan x="40" y="${226 + at * 24}">${line}</tspan>`).join('');
  return group(
    'hero',
    `<image id="harbour-photo" x="-20" y="46" width="1320" height="300" preserveAspectRatio="none" href="data:image/jpeg;base64,${data}"/>` +
      box(0, 72, 1280, 248, 'fill="url(#shade)"') +
      text(40, 178, 'serif light', 'Departures from Ternholm', ' style="font-size:44px"') +
      `<text class="light" style="font-size:17px">${copy}</text>`,
    ' clip-path="url(#hero-cut)"',
  );
}

const ICONS = {
  wind: '<path d="M2 9h13a4 4 0 1 0-4-4M2 15h18a4 4 0 1 1-4 4M2 12h8" fill="none" stroke="#2c5a6b" stroke-width="2" stroke-linecap="round"/>',
  sea: '<path d="M1 9c4 0 4-3 7-3s4 3 7 3 4-3 8-3M1 15c4 0 4-3 7-3s4 3 7 3 4-3 8-3M1 21c4 0 4-3 7-3s4 3 7 3 4-3 8-3" fill="none" stroke="#2c5a6b" stroke-width="2" stroke-linecap="round"/>',
  sun: '<circle cx="12" cy="12" r="5" fill="url(#lamp)"/><path d="M12 1v3M12 20v3M1 12h3M20 12h3M4.2 4.2l2.1 2.1M17.7 17.7l2.1 2.1M4.2 19.8l2.1-2.1M17.7 6.3l2.1-2.1" fill="none" stroke="#e9a13b" stroke-width="2" stroke-linecap="round"/>',
  sight:
    '<path d="M1 12c5-8 17-8 22 0-5 8-17 8-22 0z" fill="none" stroke="#2c5a6b" stroke-width="2"/><circle cx="12" cy="12" r="3.5" fill="#2c5a6b"/>',
} as const;

function weather(): string {
  const entries = [
    ['wind', 'Wind', 'SW 14 knots'],
    ['sea', 'Sea', '0.8 m, calm'],
    ['sun', 'Sky', 'Clear, 11°'],
    ['sight', 'Sight', '22 km'],
  ] as const;
  const cells = entries
    .map(([icon, label, value], at) => {
      const x = 64 + at * 196;
      return group(
        null,
        group(`icon-${icon}`, ICONS[icon], ` transform="translate(${x} 354)"`) +
          text(x + 36, 364, 'quiet', label) +
          text(x + 36, 382, 'strong', value),
      );
    })
    .join('');
  return group(
    'weather-strip',
    `${box(40, 336, 800, 60, 'rx="10" fill="#fffdf8" filter="url(#lift)"')}${cells}`,
  );
}

function sailings(): string {
  const rows = SAILINGS.map((sailing, at) => {
    const y = 452 + at * 44;
    const [ground, ink] = STATE_COLOURS[sailing.state];
    const rule = `<line x1="40" y1="${y + 43.5}" x2="840" y2="${y + 43.5}" stroke="#d9cfbb"/>`;
    return group(
      `sailing-${at + 1}`,
      text(40, y + 28, 'serif', sailing.time, ' style="font-size:18px"') +
        text(124, y + 27, 'strong', sailing.to) +
        text(324, y + 27, 'quiet', sailing.ship) +
        group(
          'state',
          box(520, y + 10, 84, 24, `rx="12" fill="${ground}"`) +
            text(
              562,
              y + 26.5,
              'strong',
              sailing.state,
              ` text-anchor="middle" style="font-size:13px;fill:${ink}"`,
            ),
        ) +
        text(840, y + 27, 'strong', `${sailing.price} kr`, ' text-anchor="end"') +
        rule,
    );
  }).join('');
  return group(
    'sailings',
    `${text(40, 436, 'serif', 'Today’s sailings', ' style="font-size:24px"')}${group('sailing-list', rows)}`,
  );
}

function tickets(): string {
  const card = (
    y: number,
    name: string,
    paint: string,
    title: string,
    price: string,
    note: readonly string[],
  ) =>
    group(
      name,
      box(872, y, 368, 164, `rx="14" fill="url(#${paint})" filter="url(#lift)"`) +
        `<line x1="1128" y1="${y + 12}" x2="1128" y2="${y + 152}" stroke="#8d7f62" stroke-width="2" stroke-dasharray="6 5"/>` +
        text(896, y + 40, 'serif', title, ' style="font-size:21px"') +
        `<text class="quiet">${note.map((line, at) => `<tspan x="896" y="${y + 68 + at * 19}">${line}</tspan>`).join('')}</text>` +
        text(1184, y + 78, 'serif', price, ' text-anchor="middle" style="font-size:30px"') +
        text(1184, y + 100, 'quiet', 'crowns', ' text-anchor="middle"') +
        `<circle cx="908" cy="${y + 136}" r="8" fill="none" stroke="#22313a" stroke-width="2"/>` +
        text(926, y + 141, 'strong', 'Add to basket'),
    );
  return group(
    'tickets',
    card(336, 'day-ticket-card', 'day-ticket', 'Day ticket', '28', [
      'All harbours until the last',
      'boat. One small dog free.',
    ]) +
      card(520, 'week-ticket-card', 'week-ticket', 'Week ticket', '96', [
        'Seven days from the first',
        'stamp, bicycles included.',
      ]),
  );
}

function footer(): string {
  return group(
    'footer',
    `${box(0, 736, 1280, 64, 'fill="#e8dfcb"')}${text(40, 774, 'quiet', 'Ternholm Ferries, Harbour Row 1. All times are island time.')}` +
      group(
        null,
        `<a href="/notices">${text(1000, 774, 'quiet', 'Notices')}</a><a href="/lost-property">${text(1076, 774, 'quiet', 'Lost property')}</a><a href="/terms">${text(1190, 774, 'quiet', 'Terms')}</a>`,
      ),
  );
}
