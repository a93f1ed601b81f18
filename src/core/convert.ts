import { distanceToWholePx } from './mockup/box';
import { findingList, type Finding, type Report } from './findings/finding';
import { emit, type Emission } from './emit/emit';
import { reportNearly } from './emit/nearly';
import { TARGETS, type TargetName } from './emit/targets';
import type { StyleBook } from './emit/styleBook';
import { WEB_FONTS, type FontFile, type Target } from './emit/target';
import type { TargetSettings } from './emit/targetOptions';
import { fontFiles } from './fontFiles';
import { SHEET } from './mockup/identity';
import type { Measures } from './mockup/bounds';
import type { LayerId } from './mockup/layer';
import { createMemo, usingMemo } from './mockup/memoize';
import type { Assets, Mockup } from './mockup/mockup';
import { arrange } from './page/arrange/arrange';
import { joinPages } from './page/join/joinPages';
import { lower, lowerVersions } from './page/lower';
import { reportLayout } from './page/reportLayout';
import { labelFields } from './page/links/labelFields';
import { resolveLinks } from './page/links/resolveLinks';
import { guessTitle } from './page/pageTitle';
import { collectFromNodes } from './page/walk';
import { plainFrame, USUAL_LANGUAGE, type Arrangement, type Page, type PageFrame } from './page/frame';
import type { PageNode } from './page/node';
import type { PicturePlan } from './pictures/picture';
import type { PictureRecipes } from './pictures/recipes/recipe';
import type { Outliner } from './pictures/standaloneOptions';
import type { Decided, Decisions } from './sort/decision';
import type { Tags } from './sort/tag';
import { decidedOf, planOf } from './plannedPictures';
import { STAGES, stopwatch, type Stage, type StageTimes } from './stopwatch';
import { standInsOf, withStandIns } from './type/standIns';
import { factorClasses } from './style/factor';
import { sampledClasses } from './style/lookClasses';
import { findSamples, themesOf, type Sample } from './style/samples';
import { reportContrast } from './style/themes/reportContrast';
import { writtenThemes } from './style/themes/writtenThemes';
import { themeLooks, withThemes } from './style/themes/themeLooks';
import type { Schemes, StyleSheet } from './style/styleSheet';
import { saidValues } from './style/tokens/saidValues';

export interface ConvertOptions {
  readonly arrangement: Arrangement;
  readonly target: TargetName;
  /** Further targets that are built together with it, each on its own. Absent for none. */
  readonly also?: readonly TargetName[];
  /** Absent for the default frame of the arrangement. */
  readonly frame?: PageFrame;
  /** What a person chose about the target. Absent for the usual values. */
  readonly settings?: TargetSettings;
  /** The language of the page's words, a BCP 47 tag. Absent for the usual one. */
  readonly language?: string;
  /**
   * True to join screens that have one name and different widths into one page. Only pages in the flow are
   * joined.
   */
  readonly join?: boolean;
  /** The titles of pages, by the ids of their screens. A page without one is called by its first heading. */
  readonly titles?: Readonly<Record<string, string>>;
  /** The recipes of pictures. Absent for the ready ones and the automatic choice. */
  readonly pictures?: PictureRecipes;
  /** The themes that are written, by their names. Absent for none. */
  readonly themes?: readonly string[];
  /** The themes that are shown by themselves where the reader's system is light or dark. Absent for none. */
  readonly schemes?: Schemes;
}

export interface ConvertInput {
  readonly mockup: Mockup;
  readonly assets: Assets;
  readonly tags: Tags;
  readonly options: ConvertOptions;
  /** Converts text inside pictures to outlines. Null keeps it as text. */
  readonly outliner: Outliner;
  /** Layers that get no class yet, since their next change is on its way. Absent for none. */
  readonly waiting?: ReadonlySet<LayerId>;
}

export interface Conversion {
  /** The mockup after structural tags were applied, with each layer in the look of its class's sample. */
  readonly mockup: Mockup;
  readonly measures: ReadonlyMap<string, Measures>;
  readonly decisions: Decisions;
  readonly plan: PicturePlan;
  readonly pages: readonly Page[];
  readonly sheet: StyleSheet;
  readonly fonts: readonly FontFile[];
  readonly emission: Emission;
  readonly findings: readonly Finding[];
  readonly ms: StageTimes;
}

/** A conversion without the output of a target: the input of every printer. */
export type ConvertedPages = Omit<Conversion, 'emission'>;

/**
 * The whole conversion after reading: decisions, pictures, pages, classes, files.
 * @param memo makes a further run on the same mockup fast; the result does not depend on it
 */
export function convert(input: ConvertInput, memo = createMemo()): Conversion {
  return convertFor(TARGETS[input.options.target], input, memo);
}

/** The same for any target, whatever the options name. */
export function convertFor(target: Target, input: ConvertInput, memo = createMemo()): Conversion {
  return usingMemo(memo, () => convertNow(target, input));
}

/**
 * The style sheet of a mockup's pages to look at. Of a target without one it is that of HTML, whose names its values and
 * parts have.
 */
export function bookOfStyles(input: ConvertInput): StyleBook {
  const target: Target = TARGETS[input.options.target];
  if (!target.styleBook) {
    const options = { ...input.options, target: 'html' as const };
    return { ...bookOfStyles({ ...input, options }), standsFor: target.label };
  }
  const shaped = pagesOf(input, target);
  const { settings = {}, language = USUAL_LANGUAGE } = input.options;
  const samples = new Set(findSamples(shaped).map(({ path }) => path.at(-1) ?? ''));
  return target.styleBook({ ...shaped, settings, language, samples });
}

function convertNow(target: Target, input: ConvertInput): Conversion {
  const shaped = pagesOf(input, target);
  const clock = stopwatch();
  const { settings = {}, language = USUAL_LANGUAGE } = input.options;
  const emission = emit(target, { ...shaped, settings, language });
  clock.lap('emit');
  return { ...shaped, emission, ms: addTimes(shaped.ms, clock.ms) };
}

/** The conversion up to the pages and their classes. */
function pagesOf(input: ConvertInput, target: Target): ConvertedPages {
  const { findings, report } = findingList();
  const clock = stopwatch();
  const decided = decidedOf(input, target, report);
  clock.lap('sort');
  const shaped = pagesFromDecisions(decided, input, report, target);
  reportNearly({ pages: shaped.pages, themes: shaped.sheet.themes }, target, report);
  return { ...shaped, findings, ms: addTimes(shaped.ms, clock.ms) };
}

/** The conversion from the decisions to the pages and their classes. */
export function pagesFromDecisions(
  decided: Decided,
  { assets, tags, options, outliner, waiting }: Omit<ConvertInput, 'mockup'>,
  report: Report,
  target: Target = TARGETS[options.target],
): Omit<ConvertedPages, 'findings'> {
  const clock = stopwatch();
  const { decisions } = decided;
  const { samples, mockup, measures, versions, plan } = planOf(
    decided,
    { tags, options, outliner },
    report,
    target,
    clock,
  );

  const flows = options.arrangement === 'flow';
  const lettered = flows ? withStandIns(mockup) : mockup;
  const apart = lettered.screens.map((screen) => {
    const measured = measures.get(screen.id) ?? new Map<string, never>();
    const context = {
      screen,
      mockup: lettered,
      measures: measured,
      decisions,
      plan,
      flows,
      ...(flows && { asDrawn: mockup }),
    };
    const page = lower(context, options.frame ?? plainFrame(options.arrangement));
    const states = lowerVersions(versions, context);
    const arranged = arrange(page, options.arrangement, states, target.fitsBrowsers);
    for (const { layer, state } of arranged.lostStates ?? []) report('state-lost', layer, { state });
    reportInexactBorders(arranged, report);
    reportLayout(arranged, report);
    return arranged;
  });
  const joined = options.join ? joinPages(apart, mockup.screens) : apart;
  const titled = joined.map((page) => ({
    ...page,
    title: options.titles?.[page.screen] ?? guessTitle(page),
  }));
  const linked = resolveLinks(titled, mockup, report).map((page) => labelFields(page, report));
  const asked = writtenThemes(options);
  const themes = themesOf(samples).filter((theme) => asked.includes(theme));
  const pages =
    themes.length === 0 ? linked : themedPages(linked, { decided, samples, plan, target }, themes, report);
  clock.lap('page');

  const factored = factorClasses(pages, sampledClasses(samples), waiting, themes, {
    values: saidValues(tags),
    forbidden: tags.get(SHEET.id)?.forbidden ?? [],
  });
  const standIns = flows ? [...standInsOf(mockup).values()] : [];
  const sheet: StyleSheet = {
    ...factored,
    ...(options.schemes && { schemes: options.schemes }),
    ...(standIns.length > 0 && { standIns }),
  };
  const fonts = fontFiles(pages, mockup, assets, target.fonts ?? WEB_FONTS);
  clock.lap('style');

  return { mockup, measures, decisions, plan, pages, sheet, fonts, ms: clock.ms };
}

interface ThemeInput {
  readonly decided: Decided;
  readonly samples: readonly Sample[];
  readonly plan: PicturePlan;
  readonly target: Target;
}

function themedPages(
  pages: readonly Page[],
  { decided, samples, plan, target }: ThemeInput,
  themes: readonly string[],
  report: Report,
): readonly Page[] {
  const looks = themeLooks(decided, samples, themes, plan, target.fitsBrowsers);
  const themed = pages.map((page) => withThemes(page, looks));
  for (const page of themed) reportContrast(page, themes, report);
  return themed;
}

function addTimes(one: Conversion['ms'], other: Conversion['ms']): Conversion['ms'] {
  return Object.fromEntries(STAGES.map((stage) => [stage, one[stage] + other[stage]])) as Record<
    Stage,
    number
  >;
}

/** Reports strokes whose width CSS rounds to whole px. */
function reportInexactBorders(page: Page, report: Report): void {
  for (const { layer, look } of inexactlyBordered(page.children))
    report('stroke-inexact', layer, { width: Math.round((look.border?.width ?? 0) * 100) / 100 });
}

const inexactlyBordered = collectFromNodes<PageNode>((node) =>
  distanceToWholePx(node.look.border?.width ?? 0) > 0.01 && !node.place.snapCompensation ? [node] : [],
);
