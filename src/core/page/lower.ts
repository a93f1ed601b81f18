import type { Measure, Measures } from '../mockup/bounds';
import { sameBox, union, type Box } from '../mockup/box';
import { changedKeys, withAncestors } from '../mockup/changedKeys';
import { walk } from '../mockup/walk';
import { flatMap } from '../mockup/flatMap';
import type { GroupLayer, Layer, LayerId } from '../mockup/layer';
import type { Matrix } from '../mockup/matrix';
import type { Mockup, Screen } from '../mockup/mockup';
import { continueLast, memoizeLast } from '../mockup/memoize';
import { isButton } from '../sort/vocabulary';
import { alternativeOf, wordsOfName } from './alternativeText';
import { shadowBearer } from '../look/boxShadows';
import { drawsLine } from '../look/drawsLine';
import { isPlain } from '../look/look';
import type { PicturePlan } from '../pictures/picture';
import type { Version } from '../sort/decide/stateVersions';
import type { Decision, Decisions } from '../sort/decision';
import { effectsLook, groupClip } from './layerEffects';
import { meaningOf, type Meaning } from './meaning';
import { treeOf } from '../mockup/tree';
import { lowerShape } from './lowerShape';
import { lowerText } from './lowerText';
import { paintedBox, placedBox } from './placed';
import type { StateNode } from './states/stateNode';
import { leavesOf, walkNodes } from './walk';
import { nodeWords, type BoxNode, type PageNode, type PictureNode } from './node';
import type { FixedPlace } from './place';
import type { Page, PageFrame } from './frame';

export interface LowerContext {
  readonly screen: Screen;
  readonly mockup: Mockup;
  /**
   * In the flow, the mockup without the stand-ins of missing fonts: what is wanted exactly as drawn has its letters.
   */
  readonly asDrawn?: Mockup;
  readonly measures: Measures;
  readonly decisions: Decisions;
  readonly plan: PicturePlan;
  /** True when scaled letters get the size that is visible. */
  readonly flows: boolean;
}

/**
 * Turns a screen's layers and decisions into a page tree that follows the groups. Places are px of the
 * screen. A layer whose inputs did not change keeps its node.
 */
export function lower(context: LowerContext, frame: PageFrame): Page {
  const { id, name, width, height, ground, root } = context.screen;
  const { children } = continueLowering(context.screen, (last) => {
    const lowered: Lowered = {
      changed: last ? changedLayers(context, last.context) : null,
      nodes: last?.nodes ?? new Map<LayerId, PageNode | null>(),
    };
    const nodes = flatMap(root.layers, (layer) => lowerLayer(layer, context, lowered) ?? []);
    return { context, nodes: lowered.nodes, children: nodes };
  });
  return { screen: id, name, title: name, width, height, ground, frame, children };
}

interface Lowered {
  /** The layers to lower; null for all. */
  readonly changed: ReadonlySet<LayerId> | null;
  /** The node of each layer, null for one that shows nothing. */
  readonly nodes: Map<LayerId, PageNode | null>;
}

const continueLowering = continueLast<
  Screen,
  {
    readonly context: LowerContext;
    readonly nodes: Lowered['nodes'];
    readonly children: readonly PageNode[];
  }
>();

/** The layers whose inputs changed since the last run, with the groups around them; null for all. */
function changedLayers(now: LowerContext, last: LowerContext): ReadonlySet<LayerId> | null {
  const isAlike =
    now.measures === last.measures && now.mockup.faces === last.mockup.faces && now.flows === last.flows;
  if (!isAlike) return null;
  const decided = changedKeys(last.decisions, now.decisions);
  const switched = decided.filter(
    (key) => isExact(last.decisions.get(key)) !== isExact(now.decisions.get(key)),
  );
  return withAncestors(now.screen, [
    ...decided,
    // All inside of a part that is exactly as drawn, or no longer, is lowered anew.
    ...switched.flatMap((key) => {
      const layer = treeOf(now.mockup).layer(key);
      return layer ? walk(layer).map(({ id }) => id) : [];
    }),
    ...changedKeys(
      last.plan.placed,
      now.plan.placed,
      (one, other) => one.picture === other.picture && sameBox(one.box, other.box, 0),
    ),
  ]);
}

/** True for a layer whose content a person wants exactly as drawn. */
function isExact(decision: Decision | undefined): boolean {
  return decision?.layoutOverride.contents === 'exact';
}

/** The versions of layers on a screen as nodes; places are px of the screen. */
export function lowerVersions(versions: readonly Version[], context: LowerContext): readonly StateNode[] {
  return versions.flatMap(({ base, state, control, layer, decisions }): StateNode[] => {
    if (!context.measures.has(layer.id)) return [];
    const node = lowerLayer(layer, { ...context, decisions }, { changed: null, nodes: new Map() });
    return node ? [{ layer: layer.id, base, state, control, node }] : [];
  });
}

function lowerLayer(layer: Layer, context: LowerContext, lowered: Lowered): PageNode | null {
  if (lowered.changed && !lowered.changed.has(layer.id)) return lowered.nodes.get(layer.id) ?? null;
  const node = lowerAnew(layer, context, lowered);
  lowered.nodes.set(layer.id, node);
  return node;
}

function lowerAnew(layer: Layer, context: LowerContext, lowered: Lowered): PageNode | null {
  const decision = context.decisions.get(layer.id);
  const measure = context.measures.get(layer.id);
  if (!decision || !measure || decision.outcome === 'aside' || decision.outcome === 'sample') return null;
  const { mockup } = context;
  const first = decision.repeat ? treeOf(mockup).layer(decision.repeat.pattern) : undefined;
  if (decision.outcome === 'picture') {
    const placed = context.plan.placed.get(layer.id);
    return lastNode(layer, [decision, measure, first, placed?.picture], () =>
      lowerPicture(layer, decision, measure.matrix, context),
    );
  }
  const shared = () => sharedParts(layer, decision, context.mockup);
  switch (layer.kind) {
    case 'group': {
      const { asDrawn, ...others } = context;
      const drawn = asDrawn && isExact(decision) ? treeOf(asDrawn).layer(layer.id) : undefined;
      if (asDrawn && drawn?.kind === 'group')
        return lowerAnew(drawn, { ...others, mockup: asDrawn, flows: false }, lowered);
      // The shadows of a group around a single box become that box's own.
      const bearer = layer.effects.length > 0 ? shadowBearer(layer) : null;
      const children = flatMap(
        bearer ? [bearer] : layer.layers,
        (part) => lowerLayer(part, context, lowered) ?? [],
      );
      return lastNode(layer, [decision, measure, first, ...children], () =>
        lowerGroup(
          bearer ? { ...layer, effects: [] } : layer,
          measure.matrix,
          shared(),
          children,
          context.screen,
        ),
      );
    }
    case 'shape':
      return lastNode(layer, [decision, measure, first], () => lowerShape(layer, measure.matrix, shared()));
    case 'text': {
      const { faces } = context.mockup;
      return lastNode(layer, [decision, measure, first, faces, context.flows], () =>
        lowerText(layer, measure.matrix, shared(), faces, context.flows),
      );
    }
    case 'bitmap':
      return lastNode(layer, [decision, measure, first], () => lowerSlot(measure, shared()));
  }
}

/** An unchanged layer keeps its node. */
const lastNode = memoizeLast<Layer, PageNode | null>();

/** The fields that every node takes from its layer and decision. */
export type SharedParts = Pick<
  PageNode,
  | 'layer'
  | 'path'
  | 'name'
  | 'named'
  | 'nameSaid'
  | 'role'
  | 'roleSaid'
  | 'classes'
  | 'hidden'
  | 'href'
  | 'label'
  | 'labelFor'
  | 'labels'
  | 'lookName'
  | 'ownClass'
  | 'inputType'
  | 'slot'
  | 'scroll'
  | 'note'
  | 'layoutOverride'
  | keyof Meaning
>;

function sharedParts(layer: Layer, decision: Decision, mockup: Mockup): SharedParts {
  const { outputName: name, named, role, classes, hidden, note } = decision;
  return {
    layer: layer.id,
    path: layer.path,
    name,
    named,
    ...(decision.nameSaid && { nameSaid: true as const }),
    role,
    ...(decision.roleSaid && { roleSaid: true as const }),
    classes,
    hidden,
    ...(decision.href !== null && { href: decision.href }),
    ...(layer.hints.label !== undefined && { label: layer.hints.label }),
    ...(decision.labelFor !== null && { labelFor: decision.labelFor }),
    ...(decision.lookName !== null && { lookName: decision.lookName }),
    ...(decision.ownClass !== null && { ownClass: decision.ownClass }),
    ...(decision.labels !== null && { labels: decision.labels }),
    ...(decision.inputType !== null && { inputType: decision.inputType }),
    ...(decision.slot !== null && { slot: decision.slot }),
    ...(decision.scroll !== null && { scroll: decision.scroll }),
    ...(Object.keys(decision.layoutOverride).length > 0 && { layoutOverride: decision.layoutOverride }),
    ...(note !== null && { note }),
    ...meaningOf(layer, decision, mockup),
  };
}

/** A slot bitmap: an empty element of its size, filled by the program. */
function lowerSlot({ painted }: Measure, shared: SharedParts): BoxNode | null {
  if (!painted) return null;
  const place: FixedPlace = { kind: 'fixed', ...painted, fitsContent: false, linear: null };
  return { kind: 'box', ...shared, place, look: {}, children: [] };
}

const NO_DRESS = { opacity: 1, blend: 'normal' } as const;

function lowerPicture(
  layer: Layer,
  decision: Decision,
  matrix: Matrix,
  { plan, mockup }: LowerContext,
): PictureNode | null {
  const placed = plan.placed.get(layer.id);
  if (!placed) return null;
  // A picture of several layers already contains their opacity and blending.
  const isWhole = decision.merge !== null || decision.pictureOverride.contents !== undefined;
  const { opacity, blend } = isWhole ? NO_DRESS : layer;
  const look = effectsLook({ opacity, blend, effects: [], isolated: false }, matrix);
  const place: FixedPlace = { kind: 'fixed', ...placed.box, fitsContent: false, linear: null };
  const alternative = decision.alternative ?? alternativeOf(layer, decision);
  return {
    kind: 'picture',
    ...sharedParts(layer, decision, mockup),
    place,
    look,
    picture: placed.picture,
    alternative,
    ...(drawsLine(layer) && { isConnector: true }),
  };
}

function lowerGroup(
  group: GroupLayer,
  matrix: Matrix,
  shared: SharedParts,
  children: readonly PageNode[],
  { width, height }: Screen,
): BoxNode | null {
  const content = children.reduce<Box | null>((box, child) => union(box, placedBox(child.place)), null);
  if (!content) return null;
  const clip = group.clip?.kind === 'outline' ? group.clip.outline : null;
  const cut =
    clip &&
    groupClip(clip, matrix, {
      content,
      painted: children.map(paintedBox),
      screen: { x: 0, y: 0, width, height },
    });
  const look = { ...effectsLook(group, matrix), ...cut?.look };
  if (isPlain(look) && children.length === 0) return null;
  const place: FixedPlace = { kind: 'fixed', ...(cut?.box ?? content), fitsContent: false, linear: null };
  return nameControl(nameFromGroup({ kind: 'box', ...shared, place, look, children }));
}

/** A link or button without words is named by what is in it, else by its own layer: without a name nobody could use it. */
function nameControl(group: BoxNode): BoxNode {
  const isControl = isButton(group.role) || group.role === 'link' || group.href !== undefined;
  if (group.label !== undefined || !isControl) return group;
  const parts = walkNodes([group]);
  if (parts.some(saysWords)) return group;
  const pictures = parts.filter(({ kind }) => kind === 'picture');
  const names = [...pictures, ...parts].flatMap(({ named, name }) => (named ? wordsOfName(name, true) : []));
  const words = names.find((each) => each !== '');
  return { ...group, label: words ?? (isButton(group.role) ? 'Button' : 'Link') };
}

/** True for words and described pictures; letters of an icon font say nothing (Unicode 15, §23.5). */
function saysWords(node: PageNode): boolean {
  if (node.kind === 'picture') return node.alternative !== '';
  return node.kind === 'text' && /[^\p{Co}\s]/u.test(nodeWords(node));
}

/** A group around a single picture gives that picture its name. */
function nameFromGroup(group: BoxNode): BoxNode {
  const { label, ...others } = group;
  const leaves = leavesOf(group);
  const [picture] = leaves;
  if (label === undefined || group.role !== 'box' || leaves.length !== 1 || picture?.kind !== 'picture')
    return group;
  const named = (node: PageNode): PageNode =>
    node === picture
      ? { ...picture, alternative: label }
      : node.kind === 'box'
        ? { ...node, children: node.children.map(named) }
        : node;
  return { ...others, children: group.children.map(named) };
}
