import {
  box,
  CHALK,
  FOG,
  INK,
  pageOf,
  paragraph,
  printTree,
  solid,
  words,
} from '../../../../tests/support/pageTree';
import type { Page } from '../frame';
import type { PageNode } from '../node';
import { setExactAside } from './flow/exactParts';
import { layOutPage } from './flow/layOutPage';
import { PASSES } from './passes';
import { scrollViewports } from './scrollViewports';

const plate = { fills: [solid(CHALK)] };
const dark = { fills: [solid(INK)] };
const line = { width: 2, colour: INK };

const row = box(
  'row',
  [20, 20, 200, 40],
  plate,
  box('icon', [32, 30, 20, 20], dark),
  words('name', [64, 31, 40, 17], 'Holm'),
);

/** Two boxes that reach past the edge of the screen, in a strip that scrolls. */
const strip = {
  ...box(
    'strip',
    [300, 0, 160, 20],
    {},
    box('one', [300, 0, 70, 20], dark),
    box('two', [380, 0, 80, 20], dark),
  ),
  scroll: 'x',
} as const;

/** For each pass: the page before it, and after it as text. */
const EXAMPLES: Readonly<Record<string, readonly [before: Page, after: readonly string[]]>> = {
  'browser-strokes': [
    pageOf(
      box('plate', [9.5, 9.5, 31, 21], { ...plate, border: { width: 1, colour: INK } }),
      box('hair', [10, 40.3, 50, 0.5], dark),
    ),
    [
      'plate 10,10 30x20; background: #fff; box-shadow: inset 0 0 0 0.5px #102030, 0 0 0 0.5px #102030',
      'hair 10,40 50x1; background: rgb(16 32 48 / 50%)',
    ],
  ],
  'flatten-groups': [
    pageOf(
      box('group', [0, 0, 50, 20], {}, box('one', [0, 0, 20, 20], dark)),
      box('two', [60, 0, 20, 20], dark),
    ),
    ['one 0,0 20x20; background: #102030', 'two 60,0 20x20; background: #102030'],
  ],
  'scroll-viewports': [
    pageOf(strip),
    [
      'strip 300,0 100x20',
      '  content 300,0 160x20',
      '    one 300,0 70x20; background: #102030',
      '    two 380,0 80x20; background: #102030',
    ],
  ],
  'pin-scrolled-content': [
    layOutPage(scrollViewports(pageOf(strip))),
    [
      'strip 300,0 100x20; fit width',
      '  content 300,0 160x20; row, gap 10; out of flow at start start',
      '    one 300,0 70x20; background: #102030; rigid width',
      '    two 380,0 80x20; background: #102030; rigid width',
    ],
  ],
  'form-fields': [
    pageOf(
      { ...box('from', [20, 20, 200, 40], plate), role: 'field' },
      words('holm', [32, 31, 40, 17], 'Holm'),
    ),
    ['from 20,20 200x40; background: #fff', '  holm 32,31 40x17'],
  ],
  'lay-out-overrides': [
    pageOf({ ...row, layoutOverride: { contents: 'column' } }),
    [
      'row 20,20 200x40; background: #fff; column, gap 12',
      '  icon 32,30 20x20; background: #102030; rigid width',
      // Below the icon, as far from it as it was drawn beside it.
      '  name 32,62 40x17; fit width',
    ],
  ],
  rewrite: [
    pageOf(
      box(
        'card',
        [0, 0, 80, 40],
        {},
        box('plate', [0, 0, 80, 40], plate),
        words('name', [8, 10, 40, 17], 'Sund'),
      ),
    ),
    ['card 0,0 80x40; background: #fff', '  name 8,10 40x17'],
  ],
  'trim-group-bounds': [
    pageOf(
      box(
        'group',
        [-20, 0, 100, 40],
        {},
        box('isle', [-20, 0, 60, 40], dark),
        words('name', [50, 8, 30, 17], 'Kai'),
      ),
    ),
    ['group 0,0 80x40', '  isle -20,0 60x40; background: #102030', '  name 50,8 30x17'],
  ],
  'join-sentences': [
    pageOf(
      box(
        'note',
        [0, 0, 200, 20],
        {},
        words('one', [0, 0, 40, 17], 'Mind the'),
        words('two', [44, 0, 24, 17], 'gap'),
      ),
    ),
    ['one 0,0 68x17'],
  ],
  'tight-line-heights': [
    pageOf(
      box(
        'title',
        [0, 0, 200, 28],
        {},
        words('one', [0, 0, 40, 17], 'Sund'),
        words('two', [0, 14, 40, 17], 'Holm'),
      ),
    ),
    ['title 0,2 200x25', '  one 0,2 40x14', '  two 0,16 40x14'],
  ],
  'line-heights': [
    pageOf(
      paragraph('text', [0, 0, 90, 42], ['To Sund', 'and back']),
      words('name', [0, 80, 40, 17], 'Holm'),
    ),
    ['text 0,0 90x42', 'name 0,78 40x21'],
  ],
  'whole-px': [
    pageOf(box('card', [9.6, 10.2, 100.3, 40.4], plate, words('name', [21.4, 19.7, 40.2, 17.4], 'Holm'))),
    ['card 10,10 100x41; background: #fff', '  name 21,20 41x17'],
  ],
  tables: [
    pageOf(
      box(
        'tides',
        [0, 0, 300, 90],
        {},
        ...['Harbour', 'Sund', 'Holm'].map((word, at) =>
          box(
            `line${at}`,
            [0, at * 30, 300, 20],
            {},
            ...[0, 1, 2].map((column) => {
              const cell = words(`w${column}`, [column * 100, at * 30, 40, 17], word);
              const { type } = cell.look;
              return at === 0 ? { ...cell, look: { ...cell.look, type: { ...type!, weight: 700 } } } : cell;
            }),
          ),
        ),
      ),
    ),
    [
      'tides 0,0 300x90',
      ...[0, 1, 2].flatMap((at) => [
        // A row ends where the next one begins.
        `  line${at} 0,${at * 30} 300x${at === 2 ? 20 : 30}`,
        ...[0, 1, 2].map((column) => `    w${column} ${column * 100},${at * 30} 40x17`),
      ]),
    ],
  ],
  'description-lists': [
    pageOf(
      box(
        'fares',
        [0, 0, 300, 90],
        {},
        ...['Berth', 'Dues', 'Sum'].map((word, at) =>
          box(
            `line${at}`,
            [0, at * 30, 300, 20],
            {},
            words('name', [0, at * 30, 40, 17], word, FOG),
            words('value', [200, at * 30, 40, 17], `${at}.50`),
          ),
        ),
      ),
    ),
    [
      'fares 0,0 300x90',
      ...[0, 1, 2].flatMap((at) => [
        `  line${at} 0,${at * 30} 300x20`,
        `    name 0,${at * 30} 40x17`,
        `    value 200,${at * 30} 40x17`,
      ]),
    ],
  ],
  'set-exact-aside': [
    pageOf({ ...row, layoutOverride: { contents: 'exact' } }),
    ['row 20,20 200x40; background: #fff'],
  ],
  'bring-exact-back': [
    setExactAside(pageOf({ ...row, layoutOverride: { contents: 'exact' } })),
    [
      'row 20,20 200x40; background: #fff',
      '  icon 32,30 20x20; background: #102030; out of flow at start start',
      '  name 64,31 40x17; out of flow at start start',
    ],
  ],
  'near-edges': [
    pageOf(
      box(
        'deck',
        [0, 0, 200, 100],
        plate,
        box('one', [20, 10, 160, 21], dark),
        box('two', [20.5, 30, 159.5, 20], dark),
        box('three', [20, 60, 160, 20], dark),
        words('name', [20.5, 84, 40, 17], 'Holm'),
      ),
    ),
    [
      'deck 0,0 200x100; background: #fff',
      '  one 20,10 160x20; background: #102030',
      '  two 20,30 160x20; background: #102030',
      '  three 20,60 160x20; background: #102030',
      '  name 20,84 40x17',
    ],
  ],
  'heading-levels': [
    pageOf({ ...words('title', [20, 20, 40, 17], 'Holm'), role: 'heading-3' }),
    ['title 20,20 40x17'],
  ],
  'landmark-names': [
    pageOf({ ...box('nav', [0, 0, 200, 40], plate), role: 'navigation' }),
    ['nav 0,0 200x40; background: #fff'],
  ],
  'like-siblings': [
    pageOf(
      ...[0, 60, 120].map((y, at) =>
        box(
          `card${at}`,
          [0, y, 100, 40],
          plate,
          box('mark', [at === 1 ? 9 : 8, y + 8, 20, 20], dark),
          words('name', [36, y + (at === 2 ? 11 : 10), 40, 17], 'Holm'),
        ),
      ),
    ),
    [0, 60, 120].flatMap((y, at) => [
      `card${at} 0,${y} 100x40; background: #fff`,
      `  mark 8,${y + 8} 20x20; background: #102030`,
      `  name 36,${y + 10} 40x17`,
    ]),
  ],
  'pressed-words': [
    layOutPage(
      pageOf({
        ...box('go', [20, 20, 60, 30], dark, words('find', [30, 26, 24, 17], 'Find', CHALK)),
        role: 'button',
      }),
    ),
    ['go 20,20 60x30; background: #102030; column, gap 0; drawn width', '  find 30,26 24x17; fit width'],
  ],
  'move-into-gaps': [
    pageOf(
      box(
        'all',
        [0, 0, 180, 80],
        {},
        words('title', [10, 10, 60, 17], 'Sailings'),
        box('seek', [10, 50, 100, 20], plate, words('hint', [16, 51, 40, 17], 'Holm')),
      ),
      box('go', [120, 50, 50, 20], dark, words('find', [130, 51, 24, 17], 'Find', CHALK)),
    ),
    [
      'all 0,0 180x80',
      '  title 10,10 60x17',
      '  seek 10,50 100x20; background: #fff',
      '    hint 16,51 40x17',
      '  go 120,50 50x20; background: #102030',
      '    find 130,51 24x17',
    ],
  ],
  ground: [
    pageOf(box('paper', [0, 0, 400, 300], plate), row),
    [
      'a ground',
      'row 20,20 200x40; background: #fff',
      '  icon 32,30 20x20; background: #102030',
      '  name 64,31 40x17',
    ],
  ],
  'one-main': [
    pageOf(
      { ...box('top', [0, 0, 400, 40], plate), role: 'header' },
      box('quay', [0, 40, 400, 200], dark),
      words('note', [0, 250, 40, 17], 'Holm'),
      { ...box('foot', [0, 270, 400, 30], plate), role: 'footer' },
    ),
    [
      'top 0,0 400x40; background: #fff',
      'main 0,40 400x227',
      '  quay 0,40 400x200; background: #102030',
      '  note 0,250 40x17',
      'foot 0,270 400x30; background: #fff',
    ],
  ],
  'lay-out': [
    pageOf(row, box('buoy', [40, 200, 30, 30], dark)),
    [
      'row 20,20 200x40; background: #fff; row, gap 12; fit width',
      '  icon 32,30 20x20; background: #102030; rigid width',
      '  name 64,31 40x17; fit width',
      'buoy 40,200 30x30; background: #102030; rigid width',
    ],
  ],
  'visible-room': [
    layOutPage(
      pageOf(
        box(
          'pane',
          [300, 0, 200, 100],
          plate,
          words('one', [310, 10, 60, 17], 'To Sund and back'),
          words('two', [310, 50, 60, 17], 'To Holm and back'),
        ),
      ),
    ),
    [
      'pane 300,0 200x100; background: #fff; column, gap 23; out of flow at end start',
      '  one 310,10 90x17; max width',
      '  two 310,50 90x17; max width',
    ],
  ],
  'grow-lines': [
    layOutPage(
      pageOf(
        box('ramp', [0, 0, 120, 40], plate, words('deck', [8, 10, 60, 17], 'Car deck')),
        words('closed', [100, 22, 40, 17], 'closed'),
        box('gull', [146, 22, 30, 17], dark),
      ),
    ),
    [
      'ramp 0,0 120x40; background: #fff; column, gap 0; drawn width',
      '  deck 8,10 60x17; fit width',
      'gull 146,22 30x17; background: #102030; rigid width',
      'closed 100,22 41.2x17; out of flow at start start',
    ],
  ],
  'list-items': [
    pageOf({
      ...box(
        'list',
        [0, 0, 200, 80],
        {},
        words('one', [0, 0, 40, 17], 'Sund'),
        words('two', [0, 30, 40, 17], 'Holm'),
      ),
      role: 'list',
    }),
    ['list 0,0 200x80', '  item 0,0 40x17', '    one 0,0 40x17', '  item 0,30 40x17', '    two 0,30 40x17'],
  ],
  'inline-text': [
    layOutPage(pageOf(box('button', [20, 20, 64, 33], dark, words('name', [32, 28, 40, 17], 'Moor', CHALK)))),
    ['button 20,20 64x33; background: #102030; words, gap 0; fit width'],
  ],
  'browser-fit': [
    pageOf(box('isle', [10.4, 20, 30, 30], dark)),
    ['isle 10,20 30x30; background: #102030; moved by a transform'],
  ],
  'local-coordinates': [
    pageOf(box('card', [20, 20, 80, 40], { ...plate, border: line }, box('isle', [30, 30, 20, 20], dark))),
    [
      'card 20,20 80x40; background: #fff; border: 2px solid #102030',
      '  isle 8,8 20x20; background: #102030',
    ],
  ],
};

const ALL = [
  ...new Map(
    Object.values(PASSES)
      .flat()
      .map((pass) => [pass.name, pass]),
  ).values(),
];

it.each(ALL)('$name: $gives', ({ name, apply }) => {
  const [before, after] = EXAMPLES[name]!;
  const page = apply(before, [], true);
  const ground = page.ground === before.ground ? [] : ['a ground'];
  expect([...ground, ...printTree(page.children as PageNode[]).split('\n')]).toEqual(after);
});
