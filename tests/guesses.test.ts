import { TARGETS } from '../src/core/emit/targets';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';
import { measureMockup } from '../src/core/mockup/bounds';
import type { Reading } from '../src/core/read/reading';
import { decide } from '../src/core/sort/decide/decide';
import { applyStructuralTags } from '../src/core/sort/structuralTags';
import { pathFinder } from '../src/core/sort/tagPaths';
import { casePath, readCase, readDemo } from './support/mockups';

/** The share of correct automatic decisions, by a person's labels of every layer (labels/). */
const NOBODY = new Map();

interface Score {
  readonly layers: number;
  readonly outcomes: number;
  readonly elements: number;
  readonly roles: number;
}

const LABELS = path.resolve('tests/labels');
const DRAWN = 'drawn';

/** The mockup that a file of labels is about: one of the demo's or a case. */
function readNamed(name: string): Reading {
  const extension = ['.svg', '.svgz', '.ora'].find((one) => existsSync(casePath(name + one)));
  return extension === undefined ? readDemo(`${name}.svg`) : readCase(name + extension);
}

function readLabels(file: string): readonly string[] {
  const bytes = readFileSync(path.join(LABELS, file));
  const text = (file.endsWith('.gz') ? gunzipSync(bytes) : bytes).toString('utf8');
  return text.trim().split('\n');
}

function score(file: string): Score {
  const reading = readNamed(file.replace(/\.tsv.*$/, ''));
  const mockup = applyStructuralTags(reading.mockup, NOBODY);
  const decisions = decide(mockup, measureMockup(mockup), NOBODY, TARGETS.html.capabilities);
  const lines = readLabels(file);
  const find = pathFinder(mockup);
  let [outcomes, elements, roles] = [0, 0, 0];
  for (const line of lines) {
    const [key = '', outcome, role] = line.split('\t');
    const decision = decisions.get(find(key));
    if (!decision) throw new Error(`${key} is labelled, but not there.`);
    if (decision.outcome === outcome) outcomes += 1;
    if (outcome !== 'element') continue;
    elements += 1;
    if (decision.outcome === 'element' && decision.role === role) roles += 1;
  }
  return { layers: lines.length, outcomes, elements, roles };
}

/** The mockups whose labels stand in a folder, with what is wanted of the guesses on them. */
it.each([
  { folder: '', layers: 6000, outcomes: 0.95, roles: 0.85 },
  { folder: DRAWN, layers: 500, outcomes: 0.98, roles: 0.92 },
])('labels/$folder: of the outcomes, $outcomes need no change; of the roles, $roles', (wanted) => {
  const scores = readdirSync(path.join(LABELS, wanted.folder))
    .filter((file) => file.includes('.tsv'))
    .map((file) => score(path.join(wanted.folder, file)));
  const sum = (of: (one: Score) => number) => scores.reduce((all, one) => all + of(one), 0);
  expect(sum((one) => one.layers)).toBeGreaterThan(wanted.layers);
  expect(sum((one) => one.outcomes) / sum((one) => one.layers)).toBeGreaterThanOrEqual(wanted.outcomes);
  expect(sum((one) => one.roles) / sum((one) => one.elements)).toBeGreaterThanOrEqual(wanted.roles);
});
