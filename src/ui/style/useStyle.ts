import type { StyleBook } from '../../core/emit/styleBook';
import type { StyleValue } from '../../core/look/styleValue';
import { SHEET } from '../../core/mockup/identity';
import { checkFacet } from '../../core/sort/facets/facets';
import type { SaidValue } from '../../core/sort/facets/values';
import type { TagEdit } from '../../server/useCases/editTags';
import type { OpenedMockup } from '../../server/useCases/openMockup';
import { useEdits, type Edits } from '../shared/useEdits';
import { useResource } from '../shared/useResource';
import { useUnconfirmed } from '../shared/useUnconfirmed';

/** Says something of a value; nothing is left of what is neither merged nor named. Gives what is wrong, or null. */
export type SayValue = (value: StyleValue, change: Pick<SaidValue, 'into' | 'name'>) => string | null;

export interface StyleState extends Pick<Edits, 'undo' | 'redo'> {
  readonly opened: OpenedMockup | null;
  readonly book: StyleBook | null;
  readonly problem: string | null;
  /** What is said of values, the values of which are merged or named. */
  readonly said: readonly SaidValue[];
  readonly sayValue: SayValue;
  /** Names a class by one of its layers; empty for an automatic name. Gives what is wrong, or null. */
  readonly nameClass: (layer: string, name: string) => string | null;
  /** The names that no class may have. */
  readonly forbidden: readonly string[];
  readonly forbid: (names: readonly string[]) => void;
  /**
   * Gives layers a class apart from equal looks. Gives what is wrong, or null.
   * @param rest the layers that keep the class, and its name
   */
  readonly splitOff: (layers: readonly string[], rest: readonly string[], name: string) => string | null;
  /** Takes the class apart from layers. */
  readonly share: (layers: readonly string[]) => void;
  /** Gives layers the look of another one, or their own look again. */
  readonly lookLike: (layers: readonly string[], model: string | null) => void;
  readonly reload: () => void;
}

/** The style sheet of a mockup, and what a person says of it. */
export function useStyle(mockupId: string): StyleState {
  const address = `/api/mockups/${mockupId}`;
  const opened = useResource<OpenedMockup>(address);
  const book = useResource<StyleBook>(`${address}/style`);
  const reload = () => {
    opened.reload();
    book.reload();
  };
  const { refused, sendAndSay, edit: editNow, undo, redo } = useEdits(mockupId, reload);
  const editAll = (edits: readonly TagEdit[], done: string) => sendAndSay(() => editNow(edits), done);
  const edit = (change: TagEdit, done: string) => editAll([change], done);
  const [said, setSaid] = useUnconfirmed(opened.data?.tags[SHEET.id]?.values ?? [], opened.data);
  return {
    opened: opened.data,
    book: book.data,
    problem: refused ?? opened.problem ?? book.problem,
    said,
    sayValue: ({ kind, value }, change) => {
      const { into, name } = {
        ...said.find((each) => each.kind === kind && each.value === value),
        ...change,
      };
      const others = said.filter((each) => each.kind !== kind || each.value !== value);
      const own = { kind, value, ...(into !== undefined && { into }), ...(name !== undefined && { name }) };
      const next = into === undefined && name === undefined ? others : [...others, own];
      const check = checkFacet('values', next);
      if ('problem' in check) return check.problem;
      setSaid(next);
      edit(
        { layer: SHEET.id, facet: 'values', value: next.length > 0 ? next : null },
        into === undefined ? `${value} was changed.` : `${value} is written as ${into}.`,
      );
      return null;
    },
    nameClass: (layer, name) => {
      const check = name === '' ? null : checkFacet('lookName', name);
      if (check && 'problem' in check) return check.problem;
      edit(
        { layer, facet: 'lookName', value: name || null },
        name === '' ? 'The class has its automatic name.' : `The class is called ${name}.`,
      );
      return null;
    },
    forbidden: opened.data?.tags[SHEET.id]?.forbidden ?? [],
    forbid: (names) =>
      edit(
        { layer: SHEET.id, facet: 'forbidden', value: names.length > 0 ? names : null },
        'The classes were named anew.',
      ),
    splitOff: (layers, rest, name) => {
      const check = checkFacet('ownClass', name);
      if ('problem' in check) return check.problem;
      const named = layers.find((layer) => opened.data?.tags[layer]?.lookName !== undefined);
      const [heir] = rest;
      const moved = (named && heir && opened.data?.tags[named]?.lookName) ?? null;
      editAll(
        [
          ...layers.map((layer): TagEdit => ({ layer, facet: 'ownClass', value: name })),
          ...(moved && named && heir
            ? ([
                { layer: named, facet: 'lookName', value: null },
                { layer: heir, facet: 'lookName', value: moved },
              ] as const)
            : []),
        ],
        `They have a class of their own, ${name}.`,
      );
      return null;
    },
    share: (layers) =>
      editAll(
        layers.map((layer): TagEdit => ({ layer, facet: 'ownClass', value: null })),
        'They share the class of equal looks.',
      ),
    lookLike: (layers, model) =>
      editAll(
        layers.map((layer): TagEdit => ({ layer, facet: 'looksLike', value: model })),
        model === null ? 'They have their own look again.' : 'They look alike now.',
      ),
    reload,
    undo,
    redo,
  };
}
