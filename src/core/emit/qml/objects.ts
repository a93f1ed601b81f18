import { element, type MarkupElement } from '../../markup/element';
import { paints } from '../../look/look';
import type { Page } from '../../page/frame';
import type { Layout } from '../../page/layout';
import type { BoxNode, PageNode, PictureNode, TextNode } from '../../page/node';
import { hasGreatestWidth } from '../../page/place';
import { mainFile, type PicturePlan } from '../../pictures/picture';
import type { Role } from '../../sort/vocabulary';
import type { StyleSheet } from '../../style/styleSheet';
import { ofNode } from '../markup/attributes';
import { letterProperties, lineProperties, placedText, wordProperties, type FamilyToken } from './letters';
import { depthInRow, hasOwnWidth } from '../../page/placed';
import { classNamesOf } from '../components/classNames';
import { withKeys } from './likeObjects';
import { boxPaint, contentCorner } from './paints';
import { keysOfControl, stateObjects } from './stateObjects';
import {
  fixedProperties,
  layoutStanding,
  turnProperties,
  type LayoutStanding,
  type Properties,
} from './standing';
import { qmlColour, qmlNumber, qmlString } from './values';

/** What objects are made with. */
export interface ObjectContext {
  readonly plan: PicturePlan;
  readonly sheet: StyleSheet;
  readonly tokenOf: FamilyToken;
  /** The keys of the objects of the control around, which its states change. Absent outside of one. */
  readonly keys?: ReadonlyMap<PageNode, string>;
}

/** A screen as one object with all that is in it. */
export function screenObject(page: Page, context: ObjectContext): MarkupElement {
  const { layout, children, width, height, ground } = page;
  const size = { width: qmlNumber(width), height: qmlNumber(height) };
  const root = { x: 0, y: 0 };
  const inner = layout
    ? contentObjects(children, layout, { corner: root, fills: 'top', classes: null }, context)
    : children.flatMap((node) => placedObjects(node, root, context));
  const name = ground ? 'Rectangle' : 'Item';
  const properties = { ...size, color: ground ? qmlColour(ground) : null, clip: 'true' };
  return withKeys({ ...element(name, properties, inner), origin: { layer: page.screen, merged: [] } });
}

/** One node as it stands on its page. */
export function nodeObject(node: PageNode, context: ObjectContext): MarkupElement {
  const [made] = node.place.kind === 'fixed' ? placedObjects(node, { x: 0, y: 0 }, context) : [];
  return withKeys(made ?? object(node, {}, context));
}

/** A node at its own coordinates in an item. */
function placedObjects(
  node: PageNode,
  corner: { readonly x: number; readonly y: number },
  context: ObjectContext,
): readonly MarkupElement[] {
  const { place } = node;
  if (node.kind === 'text' && !(place.kind === 'fixed' && place.pins && place.pins.x !== 'start')) {
    const own = { ...commonProperties(node, context), ...turnProperties(place) };
    const lines = placedText(node, corner, context.tokenOf);
    return lines.map((line) => withProperties(line, own, node));
  }
  const standing = place.kind === 'fixed' ? fixedProperties(place, corner) : {};
  return [object(node, { ...standing, ...turnProperties(place) }, context)];
}

function withProperties(of: MarkupElement, more: Properties, node: PageNode): MarkupElement {
  const made = element(of.name, { ...more, ...of.attributes }, of.children);
  return ofNode(node, made);
}

/** One node with the properties of its place. */
function object(node: PageNode, standing: Properties, context: ObjectContext): MarkupElement {
  const made = OBJECTS[node.kind](node as never, standing, context);
  return withNote(node, ofNode(node, made));
}

function withNote({ note }: PageNode, made: MarkupElement): MarkupElement {
  return note === undefined ? made : { ...made, note };
}

const OBJECTS: {
  readonly [Kind in PageNode['kind']]: (
    node: Extract<PageNode, { kind: Kind }>,
    standing: Properties,
    context: ObjectContext,
  ) => MarkupElement;
} = { box: boxObject, text: textObject, picture: pictureObject };

/** What every object says: its names, whether it is seen, and what it is. */
function commonProperties(node: PageNode, context: ObjectContext): Properties {
  const role = ACCESSIBLE[node.role];
  // A text is called by its own words.
  const name = node.label ?? (node.kind === 'picture' ? node.alternative : '');
  return {
    class: classNamesOf(node, context.sheet),
    'data-slot': node.slot ?? null,
    'state.id': context.keys?.get(node) ?? null,
    visible:
      node.hidden || (node.states ?? []).some(({ visibility }) => visibility === 'shown') ? 'false' : null,
    activeFocusOnTab: (node.states ?? []).some(({ state, isControl }) => isControl && state === 'focus')
      ? 'true'
      : null,
    opacity: node.look.opacity === undefined ? null : qmlNumber(node.look.opacity),
    'Accessible.role': role ?? null,
    'Accessible.name': role && name && node.kind !== 'text' ? qmlString(name) : null,
  };
}

/** Qt's names of roles (Qt, QML type `Accessible`); those that only group have none. */
const ACCESSIBLE: Readonly<Partial<Record<Role, string>>> = {
  button: 'Accessible.Button',
  switch: 'Accessible.CheckBox',
  checkbox: 'Accessible.CheckBox',
  radio: 'Accessible.RadioButton',
  link: 'Accessible.Link',
  field: 'Accessible.EditableText',
  select: 'Accessible.ComboBox',
  list: 'Accessible.List',
  item: 'Accessible.ListItem',
  table: 'Accessible.Table',
  row: 'Accessible.Row',
  cell: 'Accessible.Cell',
  'header-cell': 'Accessible.ColumnHeader',
  picture: 'Accessible.Graphic',
  'heading-1': 'Accessible.Heading',
  'heading-2': 'Accessible.Heading',
  'heading-3': 'Accessible.Heading',
  'heading-4': 'Accessible.Heading',
  'heading-5': 'Accessible.Heading',
  'heading-6': 'Accessible.Heading',
};

function boxObject(node: BoxNode, standing: Properties, around: ObjectContext): MarkupElement {
  const own = keysOfControl(node);
  const context = own.size > 0 ? { ...around, keys: own } : around;
  const { look, layout, children, place } = node;
  const paint = boxPaint(look, place);
  const corner = contentCorner(look);
  const inner = layout
    ? contentObjects(
        children,
        layout,
        { corner, fills: 'all', classes: classNamesOf(node, context.sheet) },
        context,
      )
    : children.flatMap((child) => placedObjects(child, corner, context));
  const fits = layout && children.some((child) => child.place.kind === 'flow');
  const { padding } = layout ?? {};
  const properties: Properties = {
    ...commonProperties(node, context),
    ...standing,
    ...(fits && padding
      ? {
          'content.width': qmlNumber(padding.left + padding.right + 2 * corner.x),
          'content.height': qmlNumber(padding.top + padding.bottom + 2 * corner.y),
        }
      : layout || place.kind === 'flow'
        ? { implicitWidth: qmlNumber(place.width), implicitHeight: qmlNumber(place.height) }
        : {}),
    ...paint.properties,
    clip: look.clip ? 'true' : null,
  };
  // What a state paints needs a rectangle at rest, too.
  const isPainted =
    !paint.isEmpty || (node.states ?? []).some((state) => !boxPaint(state.look, place).isEmpty);
  const ground = paint.isEmpty && isPainted ? { color: '"transparent"' } : {};
  return element(isPainted ? 'Rectangle' : 'Item', { ...properties, ...ground }, [
    ...paint.beneath,
    ...inner,
    ...(own.size > 0 ? stateObjects(node, own, context) : []),
  ]);
}

/** How content stands in its box. */
interface ContentPlace {
  /** Where it begins without padding, px. */
  readonly corner: { readonly x: number; readonly y: number };
  /** Whether it fills the box, or only its width. */
  readonly fills: 'all' | 'top';
  /** The classes of the box; null for none. */
  readonly classes: string | null;
}

/** The children of a box with a layout: those at coordinates in their order, and one layout with all others. */
function contentObjects(
  children: readonly PageNode[],
  layout: Layout,
  within: ContentPlace,
  context: ObjectContext,
): readonly MarkupElement[] {
  const flowing = children.filter((child) => child.place.kind === 'flow');
  const first = flowing[0];
  return children.flatMap((child) => {
    if (child === first) return [layoutObject(flowing, layout, within, context)];
    return child.place.kind === 'flow' ? [] : placedObjects(child, within.corner, context);
  });
}

const LAYOUTS = { row: 'RowLayout', words: 'RowLayout', column: 'ColumnLayout', grid: 'GridLayout' } as const;

function layoutObject(
  flowing: readonly PageNode[],
  layout: Layout,
  { corner, fills, classes }: ContentPlace,
  context: ObjectContext,
): MarkupElement {
  const { direction, gap, rowGap, padding, justify, tracks } = layout;
  const edges = [
    ['left', padding.left + corner.x],
    ['right', padding.right + corner.x],
    ['top', padding.top + corner.y],
    ['bottom', padding.bottom + corner.y],
  ] as const;
  // Down a column, room that is left over lies behind its parts: a layout would put it between them.
  const isWhole = fills === 'all' && (direction === 'row' || direction === 'words' || justify === 'between');
  const held = justify === 'end' ? 'bottom' : 'top';
  const anchors: Record<string, string | null> = isWhole
    ? { 'anchors.fill': 'parent' }
    : {
        'anchors.left': 'parent.left',
        'anchors.right': 'parent.right',
        ...(justify === 'middle' && fills === 'all'
          ? { 'anchors.verticalCenter': 'parent.verticalCenter' }
          : { [`anchors.${held}`]: `parent.${held}` }),
      };
  for (const [edge, length] of edges)
    if (isWhole || `anchors.${edge}` in anchors)
      anchors[`anchors.${edge}Margin`] = qmlNumber(length) === '0' ? null : qmlNumber(length);
  const spacing =
    direction === 'grid'
      ? { columns: String(tracks.length), columnSpacing: qmlNumber(gap), rowSpacing: qmlNumber(rowGap) }
      : { spacing: qmlNumber(justify === 'between' ? 0 : gap) };
  const objects = flowing.map((node, at) => {
    const { properties, isPushed } = layoutStanding(
      node.place as Extract<PageNode['place'], { kind: 'flow' }>,
      layout,
    );
    const track = direction === 'grid' ? tracks[at % tracks.length] : undefined;
    const line = direction === 'grid' ? Math.floor(at / tracks.length) * tracks.length : 0;
    const row = direction === 'grid' ? flowing.slice(line, line + tracks.length) : flowing;
    const isHeld = track?.kind === 'share' && hasOwnWidth(node);
    const onLine = isHeld || node.kind !== 'text' ? withoutBaseline(properties, node, row) : properties;
    if (isHeld) return { isPushed, made: heldObject(node, onLine, isPushed, context) };
    const inTrack = trackProperties(node, track, isPushed);
    return {
      isPushed,
      made: object(node, { ...onLine, ...inTrack, ...turnProperties(node.place) }, context),
    };
  });
  const isRow = direction === 'row' || direction === 'words';
  // Free room has no gap of its own beside it.
  const less = justify === 'between' || gap === 0 ? null : qmlNumber(-gap);
  const space = element(
    'Item',
    isRow ? { 'Layout.fillWidth': 'true', 'Layout.leftMargin': less } : { 'Layout.fillHeight': 'true' },
  );
  const inner = objects.flatMap(({ made, isPushed }, at) => [
    ...(isRow && (isPushed.before || (at === 0 && (justify === 'middle' || justify === 'end')))
      ? [space]
      : []),
    ...(justify === 'between' && at > 0 ? [space] : []),
    made,
    ...(isRow && (isPushed.after || (at === objects.length - 1 && justify === 'middle')) ? [space] : []),
  ]);
  // Rows keep their content at the start where nothing fills them.
  const isLoose =
    isRow &&
    justify === 'start' &&
    !inner.some(({ attributes }) => attributes['Layout.fillWidth'] === 'true');
  return element(
    LAYOUTS[direction],
    { class: classes, ...anchors, ...spacing },
    isLoose ? [...inner, space] : inner,
  );
}

/** Layouts know the baseline of words alone: anything else on a baseline stands as far beneath its row as it was drawn. */
function withoutBaseline(properties: Properties, node: PageNode, row: readonly PageNode[]): Properties {
  if (properties['Layout.alignment'] !== 'Qt.AlignBaseline') return properties;
  const down = depthInRow(node, row);
  return {
    ...properties,
    'Layout.alignment': 'Qt.AlignTop',
    'Layout.topMargin': down === 0 ? null : qmlNumber(down),
  };
}

/** An object of its own width in an item that fills its cell. */
function heldObject(
  node: PageNode,
  properties: Properties,
  { before, after }: LayoutStanding['isPushed'],
  context: ObjectContext,
): MarkupElement {
  const held = before ? (after ? 'horizontalCenter' : 'right') : 'left';
  const standing = {
    'is.content': 'true',
    [`anchors.${held}`]: `parent.${held}`,
    width: qmlNumber(node.place.width),
  };
  const fills = { 'Layout.fillWidth': 'true', 'Layout.preferredWidth': '1', 'content.height': '0' };
  return element('Item', { ...properties, ...fills }, [
    object(node, { ...standing, ...turnProperties(node.place) }, context),
  ]);
}

/** The width of a cell of a grid: what paints keeps its own width in it. */
function trackProperties(
  { look, place, kind }: PageNode,
  track: Layout['tracks'][number] | undefined,
  { before, after }: LayoutStanding['isPushed'],
): Properties {
  if (track?.kind === 'share') return { 'Layout.fillWidth': 'true', 'Layout.preferredWidth': '1' };
  if (track?.kind !== 'px') return {};
  const free = track.width - place.width;
  if ((before || after) && (paints(look) || kind !== 'box') && free > 0.5)
    return {
      'Layout.preferredWidth': qmlNumber(place.width),
      [after ? 'Layout.rightMargin' : 'Layout.leftMargin']: qmlNumber(free),
    };
  return {
    'Layout.fillWidth': 'true',
    'Layout.preferredWidth': null,
    'Layout.maximumWidth': qmlNumber(track.width),
  };
}

const ALIGN = { start: null, middle: 'Text.AlignHCenter', end: 'Text.AlignRight' } as const;

/** A text in a layout, as high as its lines, with its letters where browsers put them (CSS 2.2, §10.8.1). */
function textObject(node: TextNode, standing: Properties, context: ObjectContext): MarkupElement {
  const { look, layout, lines, wraps, baseline, extents } = node;
  const type = look.type!;
  const { top = 0, right = 0, bottom = 0, left = 0 } = layout?.padding ?? {};
  const leading = baseline - extents.ascent;
  const paint = boxPaint(look, node.place);
  const isFree = wraps === 'freely';
  const isFull = node.place.kind === 'flow' && hasGreatestWidth(node.place.widthMode);
  const sides: Properties = {
    topPadding: qmlNumber(top + leading) === '0' ? null : qmlNumber(top + leading),
    bottomPadding: qmlNumber(bottom - leading) === '0' ? null : qmlNumber(bottom - leading),
    leftPadding: left === 0 ? null : qmlNumber(left),
    rightPadding: right === 0 ? null : qmlNumber(right),
  };
  const letters: Properties = {
    ...wordProperties(lines, isFree ? ' ' : '\n'),
    ...letterProperties(type, context.tokenOf),
    ...sides,
    ...(type.lineHeight === null
      ? lineProperties(node)
      : { lineHeightMode: 'Text.FixedHeight', lineHeight: qmlNumber(type.lineHeight) }),
    // One line stays one: fonts are set a little wider or narrower by each system.
    wrapMode: isFree && (lines.length > 1 || isFull) ? 'Text.WordWrap' : null,
    horizontalAlignment: ALIGN[node.anchor ?? type.align],
  };
  // A paragraph asks for the width that it was drawn in: its words alone would ask for one line.
  const wide: Properties =
    isFree && lines.length > 1 && node.place.kind === 'flow'
      ? { 'Layout.preferredWidth': qmlNumber(node.place.width) }
      : {};
  const keys = keysOfControl(node);
  const common = commonProperties(node, keys.size > 0 ? { ...context, keys } : context);
  const states = keys.size > 0 ? stateObjects(node, keys, context) : [];
  if (paint.isEmpty && paint.beneath.length === 0)
    return element('Text', { ...common, ...standing, ...wide, ...letters }, states);
  const onBaseline = standing['Layout.alignment'] === 'Qt.AlignBaseline' ? { 'content.baseline': '0' } : {};
  // A text with a background is a rectangle around its words.
  return element(
    'Rectangle',
    {
      ...common,
      ...standing,
      ...wide,
      'content.width': '0',
      'content.height': '0',
      ...onBaseline,
      ...paint.properties,
    },
    [
      ...paint.beneath,
      element('Text', { 'state.id': keys.size > 0 ? 'words' : null, 'anchors.fill': 'parent', ...letters }),
      ...states,
    ],
  );
}

function pictureObject(node: PictureNode, standing: Properties, context: ObjectContext): MarkupElement {
  const { width, height, kind } = node.place;
  const file = mainFile(context.plan, node.picture);
  const wide =
    standing['Layout.fillWidth'] !== 'true' && (standing['Layout.preferredWidth'] ?? null) === null;
  const high =
    standing['Layout.fillHeight'] !== 'true' && (standing['Layout.preferredHeight'] ?? null) === null;
  const size: Properties =
    kind === 'flow'
      ? {
          ...(wide && { 'Layout.preferredWidth': qmlNumber(width) }),
          ...(high && { 'Layout.preferredHeight': qmlNumber(height) }),
        }
      : {};
  return element('Image', {
    ...commonProperties(node, context),
    ...standing,
    ...size,
    source: file ? qmlString(file.path) : null,
    'sourceSize.width': file?.format === 'svg' ? qmlNumber(width) : null,
    'sourceSize.height': file?.format === 'svg' ? qmlNumber(height) : null,
  });
}
