import { mockup, editOfC } from '../../../../tests/support/sortMockup';
import type { Decision } from '../../../core/sort/decision';
import type { OpenedMockup } from '../../../server/useCases/openMockup';
import { createSortStore } from './store';

describe('the store', () => {
  const opened: OpenedMockup = {
    id: 'm',
    projectId: 'p',
    project: 's',
    options: null,
    fileName: 's.svg',
    revision: 1,
    picture: 'd',
    mockup,
    findings: [],
    lastEdit: '0',
    tags: { a1: { role: 'link' } },
    views: [],
    canUndo: false,
    canRedo: false,
  };
  const answers: { address: string; body: unknown }[] = [];
  let fails = false;

  beforeEach(() => {
    answers.length = 0;
    fails = false;
    globalThis.fetch = jest.fn(async (address: string | URL | Request, init?: RequestInit) => {
      const body: unknown = JSON.parse(String(init?.body));
      answers.push({ address: String(address), body });
      const { edits = [] } = body as { edits?: { layer: string; facet: string; value: unknown }[] };
      const changes = edits.map(({ layer, facet, value }) => ({ layer, facet, before: null, after: value }));
      const json = fails
        ? { message: 'The mockup is gone.' }
        : { changes, conflicts: [], canUndo: true, canRedo: false };
      return { ok: !fails, status: fails ? 404 : 200, json: async () => json } as Response;
    });
  });

  /** Longer than an edit waits before it is sent. */
  const settle = () => new Promise((resolve) => setTimeout(resolve, 240));

  it('walks, extends and toggles the selection', () => {
    const store = createSortStore(opened);
    const { moveTo, toggleSelected, selectAll } = store.getState();
    moveTo('a1', 'role', false);
    moveTo('b1', 'role', true);
    expect([...store.getState().selection]).toEqual(['a1', 'b', 'b1']);
    moveTo('a', 'role', true);
    expect([...store.getState().selection]).toEqual(['a', 'a1']);
    toggleSelected('c');
    expect([...store.getState().selection]).toEqual(['a', 'a1', 'c']);
    selectAll();
    expect(store.getState().selection.size).toBe(6);
  });

  it('shows an edit at once and saves it for the whole selection', async () => {
    const store = createSortStore(opened);
    store.getState().moveTo('b1', 'role', false);
    store.getState().moveTo('b2', 'role', true);
    store.getState().setFacet('role', 'button');
    expect(store.getState().tags.get('b2')).toEqual({ role: 'button' });
    expect(store.getState().pending).toBe(1);
    await settle();
    expect(answers).toEqual([
      {
        address: '/api/mockups/m/edits',
        body: {
          edits: [
            { layer: 'b1', facet: 'role', value: 'button' },
            { layer: 'b2', facet: 'role', value: 'button' },
          ],
          after: '0',
          editor: { id: expect.any(String), name: '' },
          request: expect.any(String),
        },
      },
    ]);
    expect(store.getState()).toMatchObject({ pending: 0, canUndo: true, problem: null });
  });

  it("shows the server's refusal", async () => {
    fails = true;
    const store = createSortStore(opened);
    store.getState().setFacet('role', 'button');
    await settle();
    expect(store.getState()).toMatchObject({ pending: 0, problem: 'The mockup is gone.' });
    store.getState().dismiss();
    expect(store.getState().problem).toBeNull();
  });

  it('takes edits of others, but not over its own pending ones', async () => {
    const store = createSortStore(opened);
    const news = {
      lastEdit: '7',
      changes: [editOfC('link')],
      canUndo: true,
      canRedo: false,
    };
    globalThis.fetch = jest.fn(async () => ({ ok: true, status: 200, json: async () => news }) as Response);
    store.getState().setFacet('role', 'button');
    await store.getState().follow();
    expect(store.getState().lastEdit).toBe('0');
    await settle();
    await store.getState().follow();
    expect(store.getState()).toMatchObject({ lastEdit: '7', canUndo: true });
    expect(store.getState().tags.get('c')).toEqual({ role: 'link' });
  });

  it('keeps newer edits over older responses', async () => {
    const store = createSortStore(opened);
    const stale = { lastEdit: '5', changes: [editOfC('link')], conflicts: [], canUndo: true, canRedo: false };
    let answer = (_: unknown): void => undefined;
    globalThis.fetch = jest.fn(async () => {
      await new Promise((resolve) => (answer = resolve));
      return { ok: true, status: 200, json: async () => stale } as Response;
    });
    const following = store.getState().follow();
    const late = answer;
    store.getState().moveTo('c', 'role', false);
    store.getState().setFacet('role', 'link');
    await settle();
    store.getState().setFacet('role', 'button');
    answer(null);
    await settle();
    expect(store.getState()).toMatchObject({ pending: 1 });
    expect(store.getState().tags.get('c')).toEqual({ role: 'button' });
    stale.changes = [editOfC('button')];
    answer(null);
    await settle();
    stale.changes = [editOfC('link')];
    late(null);
    await following;
    expect(store.getState()).toMatchObject({ pending: 0, lastEdit: '0' });
    expect(store.getState().tags.get('c')).toEqual({ role: 'button' });
  });

  it('retries while the server is away', async () => {
    let away = true;
    const answer = { changes: [], conflicts: [], canUndo: true, canRedo: false };
    globalThis.fetch = jest.fn(async () => {
      if (away) throw new TypeError('Failed to fetch');
      return { ok: true, status: 200, json: async () => answer } as Response;
    });
    const store = createSortStore(opened);
    store.getState().setFacet('role', 'button');
    await settle();
    expect(store.getState()).toMatchObject({ pending: 1, waiting: true, problem: null });
    away = false;
    await new Promise((resolve) => setTimeout(resolve, 1100));
    expect(store.getState()).toMatchObject({ pending: 0, waiting: false, canUndo: true });
  });

  it('pastes copied tags on the selection as one edit', async () => {
    const store = createSortStore(opened);
    store.getState().moveTo('a1', 'role', false);
    store.getState().copyTags();
    store.getState().moveTo('b1', 'role', false);
    store.getState().moveTo('b2', 'role', true);
    store.getState().pasteTags();
    expect(['b1', 'b2'].map((key) => store.getState().tags.get(key))).toEqual([
      { role: 'link' },
      { role: 'link' },
    ]);
    await settle();
    expect(answers).toHaveLength(1);
  });

  it('finds by query, walks the results, and shows only those', () => {
    const store = createSortStore(opened);
    const decision = {
      outcome: 'element',
      role: 'box',
      origin: 'box',
      classes: [],
      outputName: 'x',
      repeat: null,
      state: null,
      slot: null,
    };
    const decisions = new Map(
      ['a', 'a1', 'b', 'b1', 'b2', 'c'].map((key) => [
        key,
        { ...decision, role: key === 'b2' ? 'link' : 'box' } as unknown as Decision,
      ]),
    );
    store.getState().settle({ decisions, boxes: new Map(), findings: [], themes: null });
    store.getState().look('role:link');
    expect(store.getState().found).toEqual(['b2']);
    store.getState().seek(1);
    expect(store.getState().cursor).toBe('b2');
    store.getState().showOnlyFound(true);
    expect(store.getState().rows.map((row) => row.layer.id)).toEqual(['a', 'b', 'b2']);
    store.getState().look('size:large');
    expect(store.getState().queryProblem).toMatch(/^"size" cannot be asked for/);
    store.getState().look('');
    expect(store.getState()).toMatchObject({ found: [], queryProblem: null });
    expect(store.getState().rows).toHaveLength(6);
  });

  it('opens the groups around a hovered layer', () => {
    const store = createSortStore(opened);
    store.getState().toggleFold('a');
    expect(store.getState().rows).toHaveLength(2);
    store.getState().reveal('b2');
    expect(store.getState()).toMatchObject({ cursor: 'b2' });
    expect(store.getState().rows).toHaveLength(6);
  });
});
