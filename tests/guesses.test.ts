import { readFileSync } from 'node:fs';
import path from 'node:path';
import { measureMockup } from '../src/core/mockup/bounds';
import type { Reading } from '../src/core/read/reading';
import { decide } from '../src/core/sort/decide';
import { settleMockup } from '../src/core/sort/settle';
import { readCase, readDemo } from './support/mockups';

/** The share of guesses that need no change, by what a person said of every layer (labels/). */
const NOBODY = new Map();

const PAGES = [
  'adminlte4-cards',
  'gentelella-widgets',
  'm-gentelella-dashboard',
  'm-weui-home',
  'sbadmin2-login',
  'semantic-homepage',
  'spectre-panels',
  'uikit-card',
  'win98-gallery',
];

interface Score {
  readonly layers: number;
  readonly outcomes: number;
  readonly elements: number;
  readonly roles: number;
}

function score(reading: Reading, name: string): Score {
  const mockup = settleMockup(reading.mockup, NOBODY);
  const decisions = decide(mockup, measureMockup(mockup), NOBODY);
  const lines = readFileSync(path.resolve('tests/labels', `${name}.tsv`), 'utf8')
    .trim()
    .split('\n');
  let [outcomes, elements, roles] = [0, 0, 0];
  for (const line of lines) {
    const [key = '', outcome, role] = line.split('\t');
    const decision = decisions.get(key);
    if (!decision) throw new Error(`${key} is labelled, but not there.`);
    if (decision.outcome === outcome) outcomes += 1;
    if (outcome !== 'element') continue;
    elements += 1;
    if (decision.outcome === 'element' && decision.role === role) roles += 1;
  }
  return { layers: lines.length, outcomes, elements, roles };
}

it('of the outcomes, 95% need no change; of the roles, 85%', () => {
  const scores = [
    score(readDemo(), 'harbour'),
    score(readDemo('wheelhouse.svg'), 'wheelhouse'),
    score(readCase('bs5-pricing.svg'), 'bs5-pricing'),
    score(readCase('mobile-dashboard.ora'), 'mobile-dashboard'),
    ...PAGES.map((name) => score(readCase(`${name}.svgz`), name)),
  ];
  const sum = (of: (one: Score) => number) => scores.reduce((all, one) => all + of(one), 0);
  expect(sum((one) => one.layers)).toBeGreaterThan(1500);
  expect(sum((one) => one.outcomes) / sum((one) => one.layers)).toBeGreaterThanOrEqual(0.95);
  expect(sum((one) => one.roles) / sum((one) => one.elements)).toBeGreaterThanOrEqual(0.85);
});
