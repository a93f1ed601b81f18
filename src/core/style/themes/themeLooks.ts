import equal from 'fast-deep-equal';
import { measureMockup } from '../../mockup/bounds';
import type { LayerId } from '../../mockup/layer';
import type { Look, TypeLook } from '../../look/look';
import type { Page } from '../../page/frame';
import { plainFrame } from '../../page/frame';
import { browserStrokes } from '../../page/browserFit/browserStrokes';
import { lower } from '../../page/lower';
import type { PageNode, ThemeLook } from '../../page/node';
import { rewritePage } from '../../page/rewrite/rewritePage';
import { walkNodes } from '../../page/walk';
import type { PicturePlan } from '../../pictures/picture';
import type { Decided } from '../../sort/decision';
import { applySamples } from '../applySamples';
import type { Sample } from '../samples';

/** The looks of layers, as their samples say. */
type Looks = ReadonlyMap<LayerId, Look>;

/** The looks without a theme, and in each theme. */
export interface ThemeLooks {
  readonly plain: Looks;
  readonly themes: readonly { readonly theme: string; readonly looks: Looks }[];
}

/** The looks that the samples of each theme give to the layers of a mockup, before its pages are arranged. */
export function themeLooks(
  decided: Decided,
  samples: readonly Sample[],
  themes: readonly string[],
  plan: PicturePlan,
  fitsBrowsers: boolean,
): ThemeLooks {
  const looksIn = (theme: string | null): Looks => {
    const mockup = applySamples(decided, samples, theme);
    const measures = mockup === decided.mockup ? decided.measures : measureMockup(mockup);
    const nodes = mockup.screens.flatMap((screen) => {
      const context = {
        screen,
        mockup,
        measures: measures.get(screen.id)!,
        decisions: decided.decisions,
        plan,
        flows: false,
      };
      const page = lower(context, plainFrame('nested'));
      const drawn = fitsBrowsers ? { ...page, children: page.children.map(browserStrokes) } : page;
      return walkNodes(rewritePage(drawn, [], fitsBrowsers).children);
    });
    return new Map(nodes.map(({ layer, look }) => [layer, look]));
  };
  return { plain: looksIn(null), themes: themes.map((theme) => ({ theme, looks: looksIn(theme) })) };
}

/** The page whose nodes know how they look in each theme. */
export function withThemes(page: Page, all: ThemeLooks): Page {
  const themed = (node: PageNode): PageNode => {
    const inside = node.kind === 'box' ? { ...node, children: node.children.map(themed) } : node;
    const themes = lookInThemes(node.look, [node.layer, ...(node.merged ?? [])], all);
    return themes.length > 0 ? { ...inside, themes } : inside;
  };
  const ground = page.groundLayer;
  const grounds =
    ground === undefined || !page.ground
      ? []
      : lookInThemes({ fills: [{ kind: 'solid', colour: page.ground }] }, [ground], all);
  return { ...page, children: page.children.map(themed), ...(grounds.length > 0 && { themes: grounds }) };
}

/** What differs in each theme, put on the look that a node has after its page was arranged. */
function lookInThemes(
  look: Look,
  layers: readonly LayerId[],
  { plain, themes }: ThemeLooks,
): readonly ThemeLook[] {
  return themes.flatMap(({ theme, looks }): ThemeLook[] => {
    let made = look;
    for (const layer of layers) {
      const [before, after] = [plain.get(layer), looks.get(layer)];
      if (before && after && before !== after) made = changed(made, before, after);
    }
    return made === look ? [] : [{ theme, look: made }];
  });
}

function changed(look: Look, before: Look, after: Look): Look {
  const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])] as (keyof Look)[];
  const differing = keys.filter((key) => !equal(before[key], after[key]));
  if (differing.length === 0) return look;
  const made: { -readonly [Key in keyof Look]: Look[Key] } & Record<string, unknown> = { ...look };
  for (const key of differing) {
    if (key === 'type') {
      const type = changedType(look.type, before.type, after.type);
      if (type) made.type = type;
    } else if (after[key] === undefined) delete made[key];
    else made[key] = after[key] as never;
  }
  return equal(made, look) ? look : made;
}

/** Letters keep the height of their lines and their alignment, which the page gave them. */
function changedType(
  type: TypeLook | undefined,
  before: TypeLook | undefined,
  after: TypeLook | undefined,
): TypeLook | undefined {
  if (!type || !before || !after) return type;
  const keys = (Object.keys(after) as (keyof TypeLook)[]).filter(
    (key) => key !== 'lineHeight' && key !== 'align' && !equal(before[key], after[key]),
  );
  return { ...type, ...Object.fromEntries(keys.map((key) => [key, after[key]])) };
}
