import { ANDROID, TOOLS } from '../../markup/androidNamespaces';
import { element, type MarkupElement } from '../../markup/element';
import { formatNumber } from '../../markup/numbers';
import { borderInsets, paints } from '../../look/look';
import type { Edges } from '../../mockup/box';
import type { Page } from '../../page/frame';
import { isField, valueOf } from '../../page/fieldParts';
import type { Layout } from '../../page/layout';
import {
  lineText,
  nodeWords,
  type BoxNode,
  type PageNode,
  type PictureNode,
  type TextNode,
} from '../../page/node';
import { hasGreatestWidth, type FixedPlace, type FlowPlace, type Place } from '../../page/place';
import { depthInRow, hasOwnWidth } from '../../page/placed';
import { isInteractiveRole } from '../../sort/vocabulary';
import { isShownByState } from '../css/stateRules';
import { ofNode } from '../markup/attributes';
import type { AndroidResources } from './resources';
import { viewId } from './resourceNames';
import { styledWords } from './styledWords';
import { withKeys } from './likeViews';
import { dp, sp } from './values';

type Attributes = Readonly<Record<string, string | null>>;

/** How views stand beside each other: the place of a view in the view around it. */
interface Standing {
  readonly attributes: Attributes;
  /** True where free room lies before or after the view. */
  readonly isPushed: { readonly before: boolean; readonly after: boolean };
}

/** The namespaces of a layout file. */
export const NAMES = {
  'xmlns:android': ANDROID,
  'xmlns:tools': TOOLS,
};

/** The views of a screen. */
export function screenView(page: Page, resources: AndroidResources): MarkupElement {
  const { layout, children, ground } = page;
  const frame = {
    'android:layout_width': 'match_parent',
    'android:layout_height': layout ? 'wrap_content' : 'match_parent',
    'android:background': ground ? resources.colour(ground) : null,
  };
  const views = new ViewMaker(resources);
  const inner = layout
    ? views.content(children, layout, frame)
    : element(
        'FrameLayout',
        frame,
        children.map((node) => views.placed(node)),
      );
  const whole = layout
    ? element(
        'ScrollView',
        {
          'android:layout_width': 'match_parent',
          'android:layout_height': 'match_parent',
          'android:fillViewport': 'true',
        },
        [inner],
      )
    : inner;
  return withKeys({ ...whole, origin: { layer: page.screen, merged: [] } });
}

/** One node in a frame. */
export function nodeView(node: PageNode, resources: AndroidResources): MarkupElement {
  return withKeys(new ViewMaker(resources).placed(node));
}

class ViewMaker {
  private readonly ids = new Set<string>();

  constructor(private readonly resources: AndroidResources) {}

  /** A node at its own coordinates in a frame. */
  placed(node: PageNode): MarkupElement {
    return this.view(node, placedAttributes(node.place));
  }

  private view(node: PageNode, standing: Attributes): MarkupElement {
    const own = { ...this.common(node), ...standing };
    const made =
      node.kind === 'text'
        ? this.text(node, own)
        : node.kind === 'picture'
          ? this.picture(node, own)
          : this.box(node, own);
    return ofNode(node, node.note === undefined ? made : { ...made, note: node.note });
  }

  private common(node: PageNode): Attributes {
    const { look, place, label, role } = node;
    const id = node.named ? viewId(node.name) : null;
    const isFree = id !== null && !this.ids.has(id);
    if (isFree) this.ids.add(id);
    const { linear } = place;
    const turn = linear ? turnAttributes(linear) : {};
    return {
      class: this.resources.classesOf(node),
      'android:id': isFree ? `@+id/${id}` : null,
      // What only a state shows is shown by the program.
      'android:visibility': node.hidden || isShownByState({ states: node.states ?? [] }) ? 'gone' : null,
      'android:alpha': look.opacity === undefined ? null : formatNumber(look.opacity),
      'android:elevation': elevationOf(node),
      'android:contentDescription':
        node.kind !== 'picture' && label !== undefined ? this.resources.string(label) : null,
      'android:clickable': isInteractiveRole(role) ? 'true' : null,
      'android:focusable': isInteractiveRole(role) ? 'true' : null,
      // The parts of a control are in its state.
      'android:duplicateParentState': (node.states ?? []).some(({ isControl }) => !isControl) ? 'true' : null,
      ...turn,
    };
  }

  private box(node: BoxNode, own: Attributes): MarkupElement {
    const { layout, children, look } = node;
    const background = this.resources.background(node);
    const attributes: Attributes = {
      ...own,
      'android:background': background,
    };
    const value = isField(node) ? valueOf(node) : null;
    if (value) return this.field(value, attributes);
    const edges = borderInsets(look);
    if (!layout)
      return element(
        children.length > 0 ? 'FrameLayout' : 'View',
        { ...attributes, ...(children.length > 0 && paddingAttributes(edges)) },
        children.map((child) => this.placed(child)),
      );
    return this.content(children, layout, attributes, edges);
  }

  /** The views of a layout; those that stand out of it lie with it in a frame. */
  content(
    children: readonly PageNode[],
    layout: Layout,
    attributes: Attributes,
    edges: Edges = NO_EDGES,
  ): MarkupElement {
    const flowing = children.filter(({ place }) => place.kind === 'flow');
    const loose = flowing.length < children.length;
    const { padding } = layout;
    const frame = paddingAttributes(edges);
    const inset = paddingAttributes(padding);
    const both = paddingAttributes({
      top: padding.top + edges.top,
      right: padding.right + edges.right,
      bottom: padding.bottom + edges.bottom,
      left: padding.left + edges.left,
    });
    if (!loose) return this.linear(flowing, layout, { ...attributes, ...both });
    const filled = { 'android:layout_width': 'match_parent', 'android:layout_height': 'match_parent' };
    const first = children.findIndex(({ place }) => place.kind === 'flow');
    const inner = children.flatMap((child, at) => {
      if (at === first) return [this.linear(flowing, layout, { ...filled, ...inset })];
      return child.place.kind === 'flow' ? [] : [this.placed(child)];
    });
    return element('FrameLayout', { ...attributes, ...frame }, inner);
  }

  private linear(flowing: readonly PageNode[], layout: Layout, attributes: Attributes): MarkupElement {
    const { direction, justify, align, tracks, gap, rowGap } = layout;
    if (direction === 'grid' && flowing.length > tracks.length) return this.rows(flowing, layout, attributes);
    const isRow = direction !== 'column';
    const space = element('Space', {
      'android:layout_width': isRow ? '0dp' : 'match_parent',
      'android:layout_height': isRow ? 'match_parent' : '0dp',
      'android:layout_weight': '1',
    });
    const views = flowing.flatMap((node, at) => {
      const standing = flowStanding(node.place as FlowPlace, layout, at === 0 ? 0 : isRow ? gap : rowGap);
      const track = direction === 'grid' ? tracks[at % tracks.length] : undefined;
      const width: Attributes =
        track?.kind === 'share'
          ? { 'android:layout_width': '0dp', 'android:layout_weight': '1' }
          : track?.kind === 'px'
            ? cellWidth(node, track.width, standing.isPushed)
            : {};
      const made =
        track?.kind === 'share' && hasOwnWidth(node)
          ? this.held(node, { ...standing, attributes: { ...standing.attributes, ...width } }, flowing)
          : this.view(node, { ...standing.attributes, ...width });
      return [
        ...(isRow && direction !== 'grid' && standing.isPushed.before ? [space] : []),
        ...(justify === 'between' && at > 0 ? [space] : []),
        made,
        ...(isRow && direction !== 'grid' && standing.isPushed.after ? [space] : []),
      ];
    });
    const gravity =
      justify === 'middle'
        ? isRow
          ? 'center_horizontal'
          : 'center_vertical'
        : justify === 'end'
          ? isRow
            ? 'end'
            : 'bottom'
          : null;
    return element(
      'LinearLayout',
      {
        ...attributes,
        'android:orientation': isRow ? 'horizontal' : 'vertical',
        'android:baselineAligned': isRow && align !== 'baseline' ? 'false' : null,
        'android:gravity': gravity,
      },
      views,
    );
  }

  /** A view of its own width in a frame that fills its cell; frames have no baseline, so that it stands as it was drawn. */
  private held(node: PageNode, { attributes, isPushed }: Standing, row: readonly PageNode[]): MarkupElement {
    const down = depthInRow(node, row);
    const gravity = isPushed.before ? (isPushed.after ? 'center_horizontal' : 'end') : null;
    const inner = {
      'android:layout_width': dp(node.place.width),
      'android:layout_height': attributes['android:layout_height'] ?? 'wrap_content',
      'android:layout_gravity': gravity,
      'android:layout_marginTop': down === 0 ? null : dp(down),
    };
    const outer = {
      'android:layout_width': attributes['android:layout_width'] ?? null,
      'android:layout_weight': attributes['android:layout_weight'] ?? null,
      'android:layout_marginStart': attributes['android:layout_marginStart'] ?? null,
      'android:layout_height': 'wrap_content',
    };
    return element('FrameLayout', outer, [this.view(node, inner)]);
  }

  /** The rows of a grid, each with its cells. */
  private rows(flowing: readonly PageNode[], layout: Layout, attributes: Attributes): MarkupElement {
    const count = layout.tracks.length;
    const rows = Array.from({ length: Math.ceil(flowing.length / count) }, (_, at) =>
      this.linear(flowing.slice(at * count, (at + 1) * count), layout, {
        'android:layout_width': 'match_parent',
        'android:layout_height': 'wrap_content',
        'android:layout_marginTop': at === 0 || layout.rowGap === 0 ? null : dp(layout.rowGap),
      }),
    );
    return element('LinearLayout', { ...attributes, 'android:orientation': 'vertical' }, rows);
  }

  private text(node: TextNode, own: Attributes): MarkupElement {
    const { lines, wraps, layout, slot, look } = node;
    const type = look.type!;
    const joint = lines.length > 1 && wraps !== 'freely' ? '\n' : ' ';
    const plain = joint === ' ' ? nodeWords(node) : lines.map(lineText).join(joint);
    // What a program fills in is seen in the editor alone: its sample is no resource of the program.
    const words: Attributes =
      slot === undefined
        ? { 'android:text': this.resources.string(plain, styledWords(node, plain, joint)) }
        : { 'tools:text': plain.replace(/^(?=[@?])/, '\\') };
    const padding = layout?.padding;
    return element('TextView', {
      ...own,
      style: this.resources.textStyle(node),
      'android:textColor': this.resources.textColours(node),
      ...words,
      'android:background': this.resources.background(node),
      'android:gravity': { start: null, middle: 'center_horizontal', end: 'end' }[node.anchor ?? type.align],
      'android:maxLines': lines.length === 1 && wraps !== 'freely' ? '1' : null,
      'android:paddingStart': padding?.left ? dp(padding.left) : null,
      'android:paddingTop': padding?.top ? dp(padding.top) : null,
      'android:paddingEnd': padding?.right ? dp(padding.right) : null,
      'android:paddingBottom': padding?.bottom ? dp(padding.bottom) : null,
      'android:accessibilityHeading': /^heading/.test(node.role) ? 'true' : null,
    });
  }

  private field(value: TextNode, own: Attributes): MarkupElement {
    return element('EditText', {
      ...own,
      style: this.resources.textStyle(value),
      'android:hint': this.resources.string(nodeWords(value)),
      'android:importantForAutofill': 'no',
      'android:inputType': 'text',
    });
  }

  private picture(node: PictureNode, own: Attributes): MarkupElement {
    const { width, height } = node.place;
    return element('ImageView', {
      'android:layout_width': dp(width),
      'android:layout_height': dp(height),
      ...Object.fromEntries(
        Object.entries(own).filter(([, value]) => value !== null && value !== 'wrap_content'),
      ),
      'android:src': this.resources.picture(node.picture),
      'android:scaleType': 'fitXY',
      'android:contentDescription':
        node.alternative === '' ? '@null' : this.resources.string(node.alternative),
    });
  }
}

/** The width of a cell: what paints keeps its own width in it. */
function cellWidth(
  { place, look, kind }: PageNode,
  track: number,
  { before, after }: Standing['isPushed'],
): Attributes {
  const free = track - place.width;
  if (!(before || after) || (kind === 'box' && !paints(look)) || free < 0.5)
    return { 'android:layout_width': dp(track) };
  return {
    'android:layout_width': dp(place.width),
    [after ? 'android:layout_marginEnd' : 'android:layout_marginStart']: dp(free),
  };
}

const NO_EDGES: Edges = { top: 0, right: 0, bottom: 0, left: 0 };

/** Padding on the sides that have one. */
function paddingAttributes({ top, right, bottom, left }: Edges): Attributes {
  return {
    'android:paddingStart': left === 0 ? null : dp(left),
    'android:paddingTop': top === 0 ? null : dp(top),
    'android:paddingEnd': right === 0 ? null : dp(right),
    'android:paddingBottom': bottom === 0 ? null : dp(bottom),
  };
}

/** The shadow that the platform casts by itself is the nearest to a drawn one. */
function elevationOf({ look }: PageNode): string | null {
  const [shadow] = (look.shadows ?? []).filter(({ inset }) => !inset);
  return shadow ? dp(Math.max(1, Math.round(shadow.deviation))) : null;
}

function placedAttributes(place: Place): Attributes {
  const { x, y, width, height } = place;
  const { horizontal, vertical } =
    place.kind === 'fixed' ? pinsOf(place) : { horizontal: 'start', vertical: 'top' };
  const right = place.kind === 'fixed' ? (place.pins?.right ?? 0) : 0;
  const bottom = place.kind === 'fixed' ? (place.pins?.bottom ?? 0) : 0;
  const fits = place.fitsContent;
  return {
    'android:layout_width': horizontal === 'fill' ? 'match_parent' : fits ? 'wrap_content' : dp(width),
    'android:layout_height': vertical === 'fill' ? 'match_parent' : fits ? 'wrap_content' : dp(height),
    'android:layout_gravity': gravityOf(horizontal, vertical),
    'android:layout_marginStart': horizontal === 'end' || horizontal === 'center' || x === 0 ? null : dp(x),
    'android:layout_marginTop': vertical === 'bottom' || vertical === 'center' || y === 0 ? null : dp(y),
    // What reaches past the frame does not make it larger.
    'android:layout_marginEnd': isHeld(horizontal, right) ? dp(right) : null,
    'android:layout_marginBottom': isHeld(vertical, bottom) ? dp(bottom) : null,
  };
}

function isHeld(pin: string, length: number): boolean {
  return length < 0 || (length !== 0 && (pin === 'end' || pin === 'bottom' || pin === 'fill'));
}

function pinsOf({ pins }: FixedPlace) {
  const across = { start: 'start', end: 'end', middle: 'center', both: 'fill' } as const;
  const down = { start: 'top', end: 'bottom', middle: 'center', both: 'fill' } as const;
  return { horizontal: pins ? across[pins.x] : 'start', vertical: pins ? down[pins.y] : 'top' };
}

function gravityOf(horizontal: string, vertical: string): string | null {
  const parts = [
    ...(horizontal === 'end' ? ['end'] : horizontal === 'center' ? ['center_horizontal'] : []),
    ...(vertical === 'bottom' ? ['bottom'] : vertical === 'center' ? ['center_vertical'] : []),
  ];
  return parts.length === 0 ? null : parts.join('|');
}

/** The place of a view in a linear layout (Android, LinearLayout.LayoutParams). */
function flowStanding(place: FlowPlace, layout: Layout, before: number): Standing {
  const { widthMode, heightMode, margin, width, height } = place;
  const isRow = layout.direction !== 'column';
  const align = place.align ?? layout.align;
  const isStretched = align === 'stretch';
  const fills =
    widthMode === 'rest' ||
    widthMode === 'full' ||
    (hasGreatestWidth(widthMode) && isStretched && margin.left !== null) ||
    (isStretched && !isRow && widthMode === 'fit');
  const across = fills ? (isRow ? '0dp' : 'match_parent') : widthMode === 'fit' ? 'wrap_content' : dp(width);
  const down = heightMode === 'drawn' ? dp(height) : isRow && isStretched ? 'match_parent' : 'wrap_content';
  const start = (margin.left ?? 0) + (isRow ? before : 0);
  const top = margin.top + (isRow ? 0 : before);
  const inRow = { start: null, middle: 'center_vertical', end: 'bottom', stretch: null, baseline: null };
  const inColumn = { start: null, middle: 'center_horizontal', end: 'end', stretch: null, baseline: null };
  const pushed =
    !isRow && margin.left === null ? (margin.right === null ? 'center_horizontal' : 'end') : null;
  return {
    attributes: {
      'android:layout_width': across,
      'android:layout_height': down,
      'android:layout_weight': fills && isRow ? '1' : null,
      'android:minHeight': heightMode === 'min' ? dp(height) : null,
      'android:layout_gravity': pushed ?? (isRow ? inRow : inColumn)[align],
      'android:layout_marginStart': start === 0 ? null : dp(start),
      'android:layout_marginTop': top === 0 ? null : dp(top),
      'android:layout_marginEnd': margin.right ? dp(margin.right) : null,
      'android:layout_marginBottom': margin.bottom === 0 ? null : dp(margin.bottom),
    },
    isPushed: { before: margin.left === null, after: margin.right === null },
  };
}

/** Turns and scales about the top left corner; the platform has no skew. */
function turnAttributes([a, b, c, d]: NonNullable<Place['linear']>): Attributes {
  const across = Math.hypot(a, b);
  const down = (a * d - b * c) / (across || 1);
  const degrees = (Math.atan2(b, a) * 180) / Math.PI;
  return {
    'android:transformPivotX': '0dp',
    'android:transformPivotY': '0dp',
    'android:rotation': Math.abs(degrees) < 0.01 ? null : formatNumber(degrees, 3),
    'android:scaleX': Math.abs(across - 1) < 0.001 ? null : formatNumber(across, 4),
    'android:scaleY': Math.abs(down - 1) < 0.001 ? null : formatNumber(down, 4),
  };
}

/**
 * The size of letters with their line, as attributes of a style.
 * @param fontOf the reference of the fonts that come with the build; null for a family of the device
 */
export function typeItems(
  node: TextNode,
  colourOf: (colour: NonNullable<NonNullable<TextNode['look']['type']>['colour']>) => string,
  fontOf: (node: TextNode) => string | null,
): readonly (readonly [string, string])[] {
  const type = node.look.type!;
  const font = fontOf(node);
  // A family of files has a file for each weight; those of devices have two.
  const isBold = font === null && type.weight >= 600;
  const style = [isBold ? 'bold' : '', type.italic ? 'italic' : ''].filter((each) => each !== '').join('|');
  return [
    ['android:textSize', sp(type.size)] as const,
    ...(type.colour ? [['android:textColor', colourOf(type.colour)] as const] : []),
    ['android:fontFamily', font ?? familyOf(type.families)] as const,
    ...(font === null ? [] : [['android:textFontWeight', String(type.weight)] as const]),
    ...(style === '' ? [] : [['android:textStyle', style] as const]),
    ...(type.lineHeight === null ? [] : [['android:lineHeight', sp(type.lineHeight)] as const]),
    ...(type.letterSpacing === 0
      ? []
      : [['android:letterSpacing', formatNumber(type.letterSpacing / type.size, 4)] as const]),
    ...(type.smallCaps ? [['android:fontFeatureSettings', 'smcp'] as const] : []),
    ['android:includeFontPadding', 'false'] as const,
  ];
}

/**
 * A family that every device has (Android, Typeface): the generic one of the list, else the kind that a family has in
 * its name, such as `Noto Serif`.
 */
function familyOf(families: readonly string[]): string {
  const generic = families.find((family) => DEVICE_FAMILIES.includes(family.toLowerCase()));
  if (generic !== undefined) return generic.toLowerCase();
  const words = families.flatMap((family) => family.toLowerCase().split(/[\s-]+/));
  if (words.includes('mono')) return 'monospace';
  return words.includes('serif') && !words.includes('sans') ? 'serif' : 'sans-serif';
}

const DEVICE_FAMILIES: readonly string[] = ['sans-serif', 'serif', 'monospace', 'cursive'];
