import type { ConvertInput } from './convert';
import { TARGETS } from './emit/targets';
import type { Target } from './emit/target';
import { findingList, type Finding, type Report } from './findings/finding';
import { measureMockup } from './mockup/bounds';
import { alignEdges } from './pictures/alignEdges';
import type { PicturePlan } from './pictures/picture';
import { planPictures } from './pictures/planPictures';
import { decide } from './sort/decide/decide';
import { decideVersions } from './sort/decide/stateVersions';
import type { Decided } from './sort/decision';
import { reportMerges } from './sort/merges';
import { reportBrackets } from './sort/names/bracketProblems';
import { reportBeside } from './sort/report/beside';
import { reportPastEdge } from './sort/report/geometry';
import { reportInputTypes } from './sort/report/inputTypes';
import { reportLeftOff } from './sort/report/leftOff';
import { reportStates } from './sort/report/states';
import { applyStructuralTags } from './sort/structuralTags';
import { stopwatch, type Stopwatch } from './stopwatch';
import { applySamples } from './style/applySamples';
import { reportSamples } from './style/reportSamples';
import { findSamples } from './style/samples';

/** The pictures of a mockup, without its pages. */
export interface PlannedPictures extends Decided {
  readonly plan: PicturePlan;
  readonly findings: readonly Finding[];
}

/** What pictures a build would make, and of which files. */
export function plannedPictures(input: ConvertInput): PlannedPictures {
  const target: Target = TARGETS[input.options.target];
  const { findings, report } = findingList();
  const clock = stopwatch();
  const decided = decidedOf(input, target, report);
  const { mockup, measures, plan } = planOf(decided, input, report, target, clock);
  return { mockup, measures, decisions: decided.decisions, plan, findings };
}

/** The decisions about every layer, and what is to be said of them. */
export function decidedOf({ mockup: read, tags }: ConvertInput, target: Target, report: Report): Decided {
  const mockup = applyStructuralTags(read, tags);
  const measures = measureMockup(mockup);
  reportBeside(read, mockup, report);
  reportBrackets(mockup, report);
  const decisions = decide(mockup, measures, tags, target.capabilities);
  reportPastEdge(mockup, measures, decisions, report);
  reportStates(decisions, tags, report);
  reportInputTypes(decisions, report);
  reportLeftOff(mockup, decisions, report);
  reportMerges(mockup, measures, decisions, report);
  return { mockup, measures, decisions };
}

/** The mockup in the look of its samples, and its pictures. */
export function planOf(
  decided: Decided,
  { tags, options, outliner }: Pick<ConvertInput, 'tags' | 'options' | 'outliner'>,
  report: Report,
  target: Target,
  clock: Stopwatch,
) {
  const { decisions } = decided;
  const samples = findSamples(decided);
  reportSamples(decisions, samples, report);
  const styled = applySamples(decided, samples, null);
  const styledMeasures = styled === decided.mockup ? decided.measures : measureMockup(styled);
  const mockup = alignEdges(styled, styledMeasures, decisions, report);
  const measures = mockup === styled ? styledMeasures : measureMockup(mockup);
  clock.lap('style');
  const versions = decideVersions(mockup, measures, tags, decisions, target.capabilities);
  clock.lap('sort');
  const shown =
    versions.length === 0
      ? decisions
      : new Map([decisions, ...versions.map((each) => each.decisions)].flatMap((each) => [...each]));
  const plan = planPictures(mockup, measures, shown, versions, outliner, report, {
    said: options.pictures,
    flows: options.arrangement === 'flow',
    ...(target.pictures && { support: target.pictures }),
  });
  clock.lap('pictures');
  return { samples, mockup, measures, versions, plan };
}
