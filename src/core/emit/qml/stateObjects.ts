import { element, type MarkupElement } from '../../markup/element';
import type { BoxNode, PageNode, StateLook, TextNode } from '../../page/node';
import { walkNodes } from '../../page/walk';
import { mainFile } from '../../pictures/picture';
import type { State } from '../../sort/vocabulary';
import { letterProperties } from './letters';
import type { ObjectContext } from './objects';
import { boxPaint } from './paints';
import { qmlNumber, qmlString } from './values';

/**
 * The states in the order in which they are tried: the first that holds is shown. A part of a name in braces is the id of
 * an object of the control, or a property of the file.
 */
const WHEN: Readonly<Record<State, string>> = {
  disabled: '!{control}.enabled',
  active: '{tap}.pressed',
  hover: '{hover}.hovered',
  focus: '{control}.activeFocus',
  checked: '{property checked}',
  unchecked: '!{property checked}',
  selected: '{property selected}',
  open: '{property open}',
  closed: '!{property open}',
};

type Properties = Readonly<Record<string, string | null>>;

/** The states of a control that the target says. */
function statesOf({ states = [] }: PageNode): readonly State[] {
  const own = new Set(states.filter(({ isControl }) => isControl).map(({ state }) => state));
  return (Object.keys(WHEN) as State[]).filter((state) => own.has(state));
}

/** The key of an object in its control: `control`, or a part by its place; null for one that no state changes. */
export function keysOfControl(node: PageNode): ReadonlyMap<PageNode, string> {
  const keys = new Map<PageNode, string>();
  if (statesOf(node).length === 0) return keys;
  keys.set(node, 'control');
  for (const part of node.kind === 'box' ? walkNodes(node.children) : [])
    if ((part.states ?? []).some(({ isControl }) => !isControl)) keys.set(part, `part ${keys.size}`);
  return keys;
}

/** What a control needs to be in its states, and what they change in it and its parts. */
export function stateObjects(
  node: BoxNode | TextNode,
  keys: ReadonlyMap<PageNode, string>,
  context: ObjectContext,
): readonly MarkupElement[] {
  const states = statesOf(node);
  if (states.length === 0) return [];
  const handlers = [
    ...(states.includes('hover') ? [element('HoverHandler', { 'state.id': 'hover' })] : []),
    ...(states.includes('active') ? [element('TapHandler', { 'state.id': 'tap' })] : []),
  ];
  const list = states.flatMap((state) => {
    const changes = [...keys].flatMap(([part, key]) => {
      const look = part.states?.find((each) => each.state === state);
      if (!look) return [];
      return [...changesOf(part, key, look, context)].flatMap(([target, changed]) =>
        Object.keys(changed).length === 0
          ? []
          : [element('PropertyChanges', { 'state.target': target, ...changed })],
      );
    });
    return changes.length === 0
      ? []
      : [element('State', { name: qmlString(state), 'state.when': WHEN[state] }, changes)];
  });
  return list.length === 0 ? handlers : [...handlers, element('states', {}, list)];
}

/**
 * The properties that differ in a state, by the key of their object. A text with a background has its letters in an
 * object of their own.
 */
function changesOf(
  node: PageNode,
  key: string,
  state: StateLook,
  context: ObjectContext,
): readonly (readonly [string, Properties])[] {
  if (state.visibility) return [[key, { visible: String(state.visibility === 'shown') }]];
  const changed = differences(node, state, context);
  const paint = boxPaint(node.look, node.place);
  if (node.kind !== 'text' || (paint.isEmpty && paint.beneath.length === 0)) return [[key, changed]];
  const ground = differences({ ...node, kind: 'box', children: [] }, state, context);
  const letters = Object.entries(changed).filter(([name]) => name !== 'opacity');
  return [
    [key, ground],
    ['words', Object.fromEntries(letters)],
  ];
}

function differences(node: PageNode, state: StateLook, context: ObjectContext): Properties {
  const [rest, now] = [propertiesOf(node, node.look, context), propertiesOf(node, state.look, context)];
  const names = new Set([...Object.keys(rest), ...Object.keys(now)]);
  const changed = [...names].flatMap((name) =>
    rest[name] === now[name] ? [] : [[name, now[name] ?? UNSET[name] ?? null] as const],
  );
  const file = state.picture && mainFile(context.plan, state.picture.name);
  return {
    ...Object.fromEntries(changed.filter(([, value]) => value !== null)),
    ...(file && { source: qmlString(file.path) }),
  };
}

function propertiesOf(node: PageNode, look: PageNode['look'], { tokenOf }: ObjectContext): Properties {
  const { properties, beneath } = boxPaint(look, node.place);
  const hasGradient = beneath.some(({ name }) => name.startsWith('gradient: '));
  const letters = node.kind === 'text' && look.type ? letterProperties(look.type, tokenOf) : {};
  return {
    ...(node.kind === 'text' ? {} : { ...properties, ...(hasGradient ? {} : { gradient: 'null' }) }),
    ...letters,
    opacity: look.opacity === undefined ? null : qmlNumber(look.opacity),
  };
}

/** What a property is where nothing sets it. */
const UNSET: Readonly<Record<string, string>> = {
  opacity: '1',
  radius: '0',
  'border.width': '0',
  color: '"transparent"',
  'font.weight': 'Font.Normal',
  'font.underline': 'false',
};
