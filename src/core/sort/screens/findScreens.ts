import { measureScreen, type Measures } from '../../mockup/bounds';
import { area, contains, touches, type Box } from '../../mockup/box';
import type { GroupLayer, Layer, LayerId } from '../../mockup/layer';
import { splitName } from '../../mockup/layerName';
import type { Mockup, Screen } from '../../mockup/mockup';
import type { Tags } from '../tag';
import { framesOf, isSameSize, ownFrame, type Frame } from './frames';

/** A group of a sheet that is, or could be, a screen. */
export interface ScreenCandidate {
  readonly layer: LayerId;
  readonly name: string;
  /** Its place on the sheet, px. */
  readonly box: Box;
  readonly isScreen: boolean;
  /** Whether a person or a name decided; else the sizes and places of all candidates did. */
  readonly said: boolean;
}

/** Common practice, no source: the widths that screens of phones, tablets and desktops are drawn in, px. */
const WIDTHS = new Set([
  320, 360, 375, 384, 390, 393, 402, 411, 412, 414, 428, 430, 440, 480, 540, 600, 640, 744, 768, 800, 810,
  820, 834, 912, 960, 1024, 1080, 1112, 1120, 1152, 1180, 1194, 1200, 1280, 1360, 1366, 1400, 1440, 1512,
  1536, 1600, 1680, 1728, 1920, 2048, 2560,
]);
const MOST = 400;
const SCREEN_NAME = /\b(screen|page|view|artboard|mobile|desktop|tablet|phone)\b/i;

/**
 * The groups of a sheet that may be screens, each with the verdict. They are screens when several lie side by
 * side without overlap, have the size of a screen, and little else is drawn beside them. A tag or name takes
 * precedence.
 */
export function findScreens(mockup: Mockup, tags: Tags): readonly ScreenCandidate[] {
  const [sheet] = mockup.screens;
  if (!sheet || mockup.screens.length > 1) return [];
  const measures = measureScreen(sheet, mockup.faces);
  const top = topLayers(sheet);
  const saidOf = ({ id }: Layer) => tags.get(id)?.screen;
  const groups = top.filter((layer): layer is GroupLayer => layer.kind === 'group');
  // A sheet with more groups is a pattern; comparing each pair would take quadratic time.
  const framed =
    groups.length > MOST
      ? []
      : framesOf(
          groups.filter(({ visible }) => visible),
          sheet.width,
          measures,
        );
  const boxes = framed.map(({ box }) => box);
  const likely = framed.filter((frame) => isScreenSized(frame, boxes, sheet));
  const automatic = areScreens(
    likely.map(({ box }) => box),
    top,
    sheet,
    measures,
  );
  const candidates = groups.flatMap((layer): ScreenCandidate[] => {
    const said = saidOf(layer);
    const found = framed.find((frame) => frame.layer === layer);
    const box = found?.box ?? (said ? ownFrame(layer, measures)?.box : undefined);
    if (!box) return [];
    return [
      {
        layer: layer.id,
        name: splitName(layer.sourceName ?? '').bare || 'screen',
        box,
        isScreen: said ?? (automatic && likely.some((one) => one.layer === layer)),
        said: said !== undefined,
      },
    ];
  });
  return inReadingOrder(candidates);
}

/** By rows from the top, each from the left: the order of drawing says nothing about screens side by side. */
function inReadingOrder(candidates: readonly ScreenCandidate[]): readonly ScreenCandidate[] {
  const rows: ScreenCandidate[][] = [];
  for (const each of [...candidates].sort((one, other) => one.box.y - other.box.y)) {
    const row = rows.find(([first]) => first && each.box.y < first.box.y + first.box.height / 2);
    if (row) row.push(each);
    else rows.push([each]);
  }
  return rows.flatMap((row) => row.sort((one, other) => one.box.x - other.box.x));
}

/**
 * The sheet's groups. Wrappers around all of them, as drawing programs write for their own layers, are
 * opened.
 */
function topLayers(sheet: Screen): readonly Layer[] {
  let layers = sheet.root.layers;
  for (;;) {
    const groups = layers.filter((layer): layer is GroupLayer => layer.kind === 'group' && layer.visible);
    const [only] = groups;
    const opens =
      groups.length === 1 &&
      only &&
      isPlain(only) &&
      only.layers.filter((one) => one.kind === 'group').length > 1;
    if (!opens) return layers;
    layers = [...layers.filter((layer) => layer !== only), ...only.layers];
  }
}

function isPlain({ clip, mask, effects, opacity, blend }: GroupLayer): boolean {
  return clip === null && mask === null && effects.length === 0 && opacity === 1 && blend === 'normal';
}

function isScreenSized({ layer, box, isDrawn }: Frame, all: readonly Box[], sheet: Screen): boolean {
  if (SCREEN_NAME.test(layer.sourceName ?? '')) return true;
  const { width, height } = box;
  // Parts as wide as the sheet are the sections of one page.
  if (width >= sheet.width - 1) return false;
  const twins = all.filter((other) => isSameSize(box, other)).length > 1;
  const known = WIDTHS.has(Math.round(width)) && height >= width / 3;
  const isTall = width >= 320 && height >= 400;
  return isDrawn ? known || (twins && isTall) : (known || twins) && isTall;
}

/** True when the boxes lie side by side and only titles and notes stand beside them. */
function areScreens(
  boxes: readonly Box[],
  top: readonly Layer[],
  sheet: Screen,
  measures: Measures,
): boolean {
  if (boxes.length < 2) return false;
  // Columns of one page touch; screens on a sheet never do.
  const touching = boxes.some((one, at) => boxes.slice(at + 1).some((other) => touches(one, other)));
  if (touching) return false;
  const together = boxes.reduce((sum, box) => sum + area(box), 0);
  const whole = sheet.width * sheet.height;
  const beside = top.reduce((sum, layer) => {
    const painted = layer.kind === 'group' ? measures.get(layer.id)?.painted : null;
    const inside = painted && boxes.some((box) => contains(box, painted, 1) || contains(painted, box, 1));
    return painted && !inside ? sum + area(painted) : sum;
  }, 0);
  return together >= whole / 4 && beside <= together / 10;
}
