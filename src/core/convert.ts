import { findingList, type Finding, type Report } from './findings/finding';
import { emit, type Emission } from './emit/emit';
import { TARGETS } from './emit/targets';
import type { FontFile, TargetName } from './emit/target';
import { fontFiles } from './fontFiles';
import { measureMockup, type Measures } from './mockup/bounds';
import type { Assets, Mockup } from './mockup/mockup';
import { arrange } from './page/arrange/arrange';
import { lower, lowerVersions } from './page/lower';
import { plainFrame, walkNodes, type Arrangement, type Page, type PageFrame, type Unit } from './page/node';
import { planPictures } from './pictures/planPictures';
import type { PicturePlan } from './pictures/picture';
import type { Outliner } from './pictures/standaloneSvg';
import { decide, decideVersions } from './sort/decide';
import { reportBeside } from './sort/report/beside';
import { reportPastEdge } from './sort/report/geometry';
import { reportStates } from './sort/report/states';
import type { Decisions } from './sort/decision';
import { reportMerges } from './sort/merges';
import { settleMockup } from './sort/settle';
import type { Tags } from './sort/tag';
import { factorClasses } from './style/factor';
import { wearSamples } from './style/wear';
import type { StyleSheet } from './style/styleSheet';

export interface ConvertOptions {
  readonly arrangement: Arrangement;
  readonly target: TargetName;
  /** Absent for what the arrangement asks for. */
  readonly frame?: PageFrame;
  /** Absent for px. */
  readonly unit?: Unit;
}

export interface ConvertInput {
  readonly mockup: Mockup;
  readonly assets: Assets;
  readonly tags: Tags;
  readonly options: ConvertOptions;
  /** Outlines the text inside pictures; null leaves it as text. */
  readonly outliner: Outliner;
}

/** The stages whose time is taken, in order. */
export const STAGES = ['sort', 'pictures', 'page', 'style', 'emit'] as const;
export type Stage = (typeof STAGES)[number];

export interface Conversion {
  /** The mockup as its tags arrange it, each layer in the look of its class's sample. */
  readonly mockup: Mockup;
  readonly measures: ReadonlyMap<string, Measures>;
  readonly decisions: Decisions;
  readonly plan: PicturePlan;
  readonly pages: readonly Page[];
  readonly sheet: StyleSheet;
  readonly fonts: readonly FontFile[];
  readonly emission: Emission;
  readonly findings: readonly Finding[];
  readonly ms: Readonly<Record<Stage, number>>;
}

/** Everything but the files of a target: what code is written from. */
export type Shaped = Omit<Conversion, 'emission'>;

/** The whole job after reading: what every layer becomes, its pictures, the pages, their classes, the files. */
export function convert(input: ConvertInput): Conversion {
  const shaped = shape(input);
  const clock = stopwatch(shaped.ms);
  const { target, unit = 'px' } = input.options;
  const emission = emit(TARGETS[target], { ...shaped, unit });
  clock.lap('emit');
  return { ...shaped, emission, ms: clock.ms };
}

/** The job up to the pages and their classes, for who needs code of some layers only, or with addresses of its own. */
export function shape({ mockup: read, assets, tags, options, outliner }: ConvertInput): Shaped {
  const { findings, report } = findingList();
  const clock = stopwatch();

  const settled = settleMockup(read, tags);
  const drawn = measureMockup(settled);
  reportBeside(read, settled, report);
  const decisions = decide(settled, drawn, tags);
  reportPastEdge(settled, drawn, decisions, report);
  const mockup = wearSamples(settled, drawn, decisions, null);
  const measures = mockup === settled ? drawn : measureMockup(mockup);
  reportStates(decisions, tags, report);
  reportMerges(mockup, measures, decisions, report);
  clock.lap('sort');

  const plan = planPictures(mockup, measures, decisions, outliner, report);
  clock.lap('pictures');

  const versions = decideVersions(mockup, measures, tags, decisions);
  const pages = mockup.screens.map((screen) => {
    const measured = measures.get(screen.key) ?? new Map<string, never>();
    const context = { mockup, measures: measured, decisions, plan };
    const page = lower(screen, context, options.frame ?? plainFrame(options.arrangement));
    reportInexactBorders(page, report);
    return arrange(page, options.arrangement, lowerVersions(versions, context, report));
  });
  clock.lap('page');

  const sheet = factorClasses(pages);
  const fonts = fontFiles(pages, mockup, assets);
  clock.lap('style');

  return { mockup, measures, decisions, plan, pages, sheet, fonts, findings, ms: clock.ms };
}

function stopwatch(taken: Readonly<Partial<Record<Stage, number>>> = {}) {
  const ms: Record<Stage, number> = { sort: 0, pictures: 0, page: 0, style: 0, emit: 0, ...taken };
  let last = performance.now();
  return {
    ms,
    lap(stage: Stage) {
      const now = performance.now();
      ms[stage] += now - last;
      last = now;
    },
  };
}

/** CSS draws borders in whole px; where the mockup has a fraction, that is said. */
function reportInexactBorders(page: Page, report: Report): void {
  for (const { layer, look } of walkNodes(page.children)) {
    const width = look.border?.width ?? 0;
    if (Math.abs(width - Math.round(width)) > 0.01)
      report('stroke-inexact', layer, { width: Math.round(width * 100) / 100 });
  }
}
