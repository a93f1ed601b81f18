import {
  box,
  CHALK,
  FOG,
  INK,
  pageOf,
  printTree,
  rounded,
  solid,
  words,
  shadow,
} from '../../../../tests/support/pageTree';
import type { PageNode } from '../node';
import { rewritePage } from './rewritePage';
import { REWRITES } from './rewrites';

const plate = { fills: [solid(CHALK)] };
const dark = { fills: [solid(INK)] };
const clip = { kind: 'box' } as const;
const line = { width: 2, colour: INK };

/** For each rewrite: nodes as drawn, and the page after all rewrites as text. */
const EXAMPLES: Readonly<Record<string, readonly [drawn: PageNode, after: readonly string[]]>> = {
  'drop-clipped-shadows': [
    box(
      'bay',
      [0, 0, 80, 40],
      { clip },
      box('glow', [0, 0, 80, 40], { shadows: [shadow({ deviation: 0.1 })] }),
      box('buoy', [-8, 4, 20, 20], dark),
      box('mast', [70, 4, 20, 20], dark),
    ),
    [
      'bay 0,0 80x40; overflow: hidden',
      '  buoy -8,4 20x20; background: #102030',
      '  mast 70,4 20x20; background: #102030',
    ],
  ],
  'shadow-from-clipped-shape': [
    box(
      'berth',
      [0, 0, 80, 40],
      {},
      box(
        'shade',
        [-20, -20, 120, 80],
        { clip: { kind: 'path', d: 'M0 0H120V80H0Z M20 20V60H100V20Z', rule: 'evenodd' } },
        box('blur', [0, 2, 80, 40], { ...dark, filters: [{ kind: 'blur', deviation: 3, linear: false }] }),
      ),
      box('plate', [0, 0, 80, 40], plate),
      words('name', [8, 10, 40, 17], 'Holm'),
    ),
    ['berth 0,0 80x40; background: #fff; box-shadow: 0 2px 6px #102030', '  name 8,10 40x17'],
  ],
  'shrink-clips': [
    box(
      'quay',
      [0, 0, 100, 60],
      {},
      box('window', [0, 0, 100, 60], { clip }, box('crane', [0, 0, 40, 80], dark)),
      box('shed', [50, 10, 40, 40], dark),
    ),
    [
      'quay 0,0 100x60',
      '  window 0,0 40x60; overflow: hidden',
      '    crane 0,0 40x80; background: #102030',
      '  shed 50,10 40x40; background: #102030',
    ],
  ],
  'distribute-overlay': [
    box(
      'badge',
      [0, 0, 100, 20],
      {},
      box('left', [0, 0, 60, 20], dark),
      box('right', [60, 0, 40, 20], plate),
      box('shine', [0, 0, 100, 20], { fills: [solid(FOG)] }),
    ),
    [
      'badge 0,0 100x20',
      '  left 0,0 60x20; background: rgb(16 32 48 / 30%), #102030',
      '  right 60,0 40x20; background: rgb(16 32 48 / 30%), #fff',
    ],
  ],
  'attach-shadows': [
    box(
      'card',
      [0, 0, 80, 40],
      {},
      box('shade', [0, 0, 80, 40], { shadows: [shadow({ dy: 2, deviation: 2 })] }),
      { ...box('plate', [0, 0, 80, 40], plate), role: 'button' },
      words('name', [0, 50, 40, 17], 'Sund'),
    ),
    [
      'card 0,0 80x40',
      '  plate 0,0 80x40; background: #fff; box-shadow: 0 2px 4px rgb(16 32 48 / 30%)',
      '  name 0,50 40x17',
    ],
  ],
  'duplicate-text-to-shadow': [
    box(
      'title',
      [0, 0, 40, 18],
      {},
      words('under', [1, 1, 40, 17], 'Ferry', FOG),
      words('over', [0, 0, 40, 17], 'Ferry'),
    ),
    ['over 0,0 40x17; box-shadow: 1px 1px 0 rgb(16 32 48 / 30%)'],
  ],
  'frame-bars-to-border': [
    box(
      'frame',
      [0, 0, 100, 50],
      {},
      box('above', [0, 0, 100, 2], dark),
      box('beside', [98, 0, 2, 50], dark),
      box('below', [0, 48, 100, 2], dark),
      box('before', [0, 0, 2, 50], dark),
      words('name', [20, 20, 40, 17], 'Kai'),
    ),
    ['frame 0,0 100x50; border: 2px solid #102030', '  name 20,20 40x17'],
  ],
  'merge-decorations': [
    box(
      'row',
      [0, 0, 100, 50],
      {},
      box('plate', [0, 0, 100, 40], plate),
      box('frame', [0, 0, 100, 40], { border: line }),
      words('name', [0, 45, 40, 17], 'Holm'),
    ),
    [
      'row 0,0 100x50',
      '  plate 0,0 100x40; background: #fff; border: 2px solid #102030',
      '  name 0,45 40x17',
    ],
  ],
  'clipped-bars-to-borders': [
    box(
      'ring',
      [0, 0, 100, 40],
      { clip, radii: rounded(6) },
      box('above', [0, 0, 100, 4], dark),
      box('below', [0, 38, 100, 2], dark),
    ),
    ['ring 0,0 100x40; border-top: 4px solid #102030; border-bottom: 2px solid #102030; border-radius: 6px'],
  ],
  'clipped-stroke-to-border': [
    box(
      'field',
      [0, 0, 100, 40],
      { clip },
      box('stroke', [-1, -1, 102, 42], { ...plate, border: line }),
      words('hint', [8, 10, 40, 17], 'Berth'),
    ),
    ['field 0,0 100x40; background: #fff; border: 1px solid #102030', '  hint 8,10 40x17'],
  ],
  'drop-clipped-borders': [
    box(
      'pane',
      [0, 0, 100, 40],
      { clip },
      box('ground', [-2, -2, 104, 44], { ...plate, border: line }),
      words('name', [8, 10, 40, 17], 'Pier'),
    ),
    ['pane 0,0 100x40; background: #fff', '  name 8,10 40x17'],
  ],
  'merge-backdrop': [
    box(
      'button',
      [0, 0, 100, 40],
      {},
      box('plate', [0, 0, 100, 40], { ...dark, radii: rounded(8) }),
      words('name', [8, 10, 40, 17], 'Moor', CHALK),
    ),
    ['button 0,0 100x40; background: #102030; border-radius: 8px', '  name 8,10 40x17'],
  ],
  'edge-bars-to-borders': [
    box(
      'cell',
      [0, 0, 100, 40],
      {},
      words('name', [8, 10, 40, 17], '08:15'),
      box('rule', [0, 39, 100, 1], dark),
    ),
    ['cell 0,0 100x40; border-bottom: 1px solid #102030', '  name 8,10 40x17'],
  ],
  'adopt-child-clip': [
    box(
      'map',
      [0, 0, 100, 40],
      plate,
      box('window', [0, 0, 100, 40], { clip }, box('isle', [-10, 10, 60, 60], dark)),
    ),
    ['map 0,0 100x40; background: #fff; overflow: hidden', '  isle -10,10 60x60; background: #102030'],
  ],
  'drop-ineffective-clip': [
    box(
      'crew',
      [0, 0, 100, 40],
      { clip },
      words('one', [8, 10, 40, 17], 'Ask'),
      words('two', [50, 10, 40, 17], 'Una'),
    ),
    ['crew 8,10 82x17', '  one 8,10 40x17', '  two 50,10 40x17'],
  ],
  'unwrap-text-group': [
    { ...box('heading', [0, 0, 40, 17], {}, words('text', [0, 0, 40, 17], 'Fares')), role: 'heading-2' },
    ['text 0,0 40x17'],
  ],
  'apply-group-opacity': [
    box('fog', [0, 0, 40, 20], { opacity: 0.5 }, box('isle', [0, 0, 40, 20], dark)),
    ['isle 0,0 40x20; background: #102030; opacity: 0.5'],
  ],
  'unwrap-single-child': [
    box('isle', [0, 0, 40, 20], {}, { ...box('rect', [0, 0, 40, 20], dark), named: false }),
    ['isle 0,0 40x20; background: #102030'],
  ],
  'dissolve-group': [
    {
      ...box(
        'group',
        [0, 0, 100, 20],
        {},
        box('one', [0, 0, 40, 20], dark),
        box('two', [60, 0, 40, 20], dark),
      ),
      named: false,
    },
    ['one 0,0 40x20; background: #102030', 'two 60,0 40x20; background: #102030'],
  ],
  'border-as-shadow': [
    box(
      'plate',
      [9.5, 9.5, 61, 31],
      { ...plate, border: { ...line, width: 1 } },
      words('name', [18, 18, 40, 17], 'Holm'),
    ),
    [
      'plate 10,10 60x30; background: #fff; box-shadow: inset 0 0 0 0.5px #102030, 0 0 0 0.5px #102030',
      '  name 18,18 40x17',
    ],
  ],
};

it.each(REWRITES.map(({ name }) => name))('%s has an example', (name) => {
  const [drawn, after] = EXAMPLES[name]!;
  const { children, rewrites } = rewritePage(pageOf(drawn));
  expect(printTree(children).split('\n')).toEqual(after);
  expect(rewrites?.map((each) => each.rewrite)).toContain(name);
});
