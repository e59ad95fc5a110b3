import { afterEach, beforeAll, beforeEach, describe, expect, jest, test } from '@jest/globals';
import type { StyleDocument } from '@garnish/core/system/document';
import { contestedPaths } from '@garnish/core/system/contest';
import { patched, valueAt, type Patch } from '@garnish/core/system/patch';
import { sampleDocument } from '@garnish/core/system/sample';
import type { ChangeRecord } from '../api/resources.ts';
import { createSystemStore, type SystemStore } from './store.ts';
import type { Pending, Settled, Unsaved } from './unsaved.ts';

const ME = '00000000-0000-4000-8000-000000000001';
const OTHER = '00000000-0000-4000-8000-000000000002';
const HERE = { person: ME, window: '00000000-0000-4000-8000-000000000003' };
const ELSEWHERE = '00000000-0000-4000-8000-000000000004';

interface Posted {
  readonly id: string;
  readonly base: number;
  readonly patch: Patch;
  readonly label: string;
  readonly window: string;
  readonly settled: readonly Settled[];
  readonly gesture: string;
  readonly kind: ChangeRecord['kind'];
}

/** A server that takes changes by the rules of the real one, and can fall silent. */
function fakeServer() {
  let document: StyleDocument = sampleDocument();
  const changes: ChangeRecord[] = [];
  const server = {
    silent: false,
    /** Whether answers get lost on their way back. */
    mute: false,
    /** The status of a server that fails by itself; nothing while it does not. */
    failing: 0,
    document: () => document,
    changes,
    take(posted: Posted): { status: number; body: unknown } {
      const { base, kind, window } = posted;
      const author = window === HERE.window ? ME : OTHER;
      const since = changes.filter(
        (change) =>
          change.sequence > base &&
          (kind === 'change' ? change.window !== window : change.author !== author),
      );
      const places = contestedPaths(posted, since);
      if (places.length > 0)
        return {
          status: 409,
          body: {
            type: '/problems/conflict',
            title: 'The same value was changed elsewhere',
            detail: '',
            conflict: {
              places: places.map((path) => ({ path, value: valueAt(document, path) })),
              sequence: changes.length,
            },
          },
        };
      const result = patched(document, posted.patch);
      if (!result.ok) return { status: 422, body: { type: 'x', title: 'no', detail: 'no' } };
      const record: ChangeRecord = {
        ...posted,
        author,
        patch: [...posted.patch],
        inverse: [...result.inverse],
        sequence: changes.length + 1,
        at: '2026-01-01T00:00:00.000Z',
      };
      document = result.document;
      changes.push(record);
      return { status: 200, body: record };
    },
    other(value: number): void {
      server.elsewhere([{ op: 'replace', path: '/space/unit', value }]);
    },
    elsewhere(patch: Patch): void {
      server.take({
        id: crypto.randomUUID(),
        base: changes.length,
        settled: [],
        patch,
        label: 'other',
        window: ELSEWHERE,
        gesture: crypto.randomUUID(),
        kind: 'change',
      });
    },
  };
  globalThis.fetch = (input, init) => {
    if (server.silent) return Promise.reject(new TypeError('no network'));
    if (server.failing > 0)
      return Promise.resolve(
        new Response(
          JSON.stringify({ type: 'x', title: 'The database does not answer', detail: 'Wait.' }),
          { status: server.failing },
        ),
      );
    const address = input instanceof Request ? input.url : input;
    const url = new URL(address, 'http://garnish.test');
    if (init?.method === 'PUT') {
      told.push([url.pathname, JSON.parse(typeof init.body === 'string' ? init.body : 'null')]);
      return Promise.resolve(new Response(null, { status: 204 }));
    }
    const answer =
      init?.method === 'POST'
        ? server.take(JSON.parse(typeof init.body === 'string' ? init.body : 'null') as Posted)
        : {
            status: 200,
            body: changes.filter(
              ({ sequence }) => sequence > Number(url.searchParams.get('after')),
            ),
          };
    if (server.mute) return Promise.reject(new TypeError('no network'));
    return Promise.resolve(new Response(JSON.stringify(answer.body), { status: answer.status }));
  };
  return server;
}

/** What was put to the server: what was measured. */
const told: (readonly [path: string, body: unknown])[] = [];
let server: ReturnType<typeof fakeServer>;
let store: SystemStore;

const open = (): SystemStore =>
  createSystemStore(
    'one',
    { document: server.document(), sequence: server.changes.length },
    [...server.changes],
    HERE,
  );

const setUnit = (value: number, gesture?: string): boolean =>
  store.change(
    [{ op: 'replace', path: '/space/unit', value }],
    'base unit',
    gesture === undefined ? {} : { gesture },
  );

const unit = (): number => store.state().decided.document.space.unit;

/** Lets timers run and promises settle. */
const settle = (ms = 500): Promise<void> => jest.advanceTimersByTimeAsync(ms);

/** The checks come after the frame that shows a change. */
const looked = (): Promise<void> => settle(1);

beforeAll(async () => {
  // Fetched once here, so that no test waits for it.
  await import('@garnish/core/checks/checks');
});

beforeEach(() => {
  jest.useFakeTimers();
  server = fakeServer();
  store = open();
});
afterEach(() => {
  jest.useRealTimers();
});

test('what was not saved before a reload is there again, and is sent once', async () => {
  const server = fakeServer();
  let kept: readonly Pending[] = [];
  const unsaved: Unsaved = {
    load: () => kept,
    keep: (pending) => {
      kept = JSON.parse(JSON.stringify(pending)) as Pending[];
      return true;
    },
  };
  const opened = () => ({ document: server.document(), sequence: server.changes.length });
  const before = createSystemStore('one', opened(), server.changes, HERE, { unsaved });
  server.silent = true;
  before.change([{ op: 'replace', path: '/space/unit', value: 6 }], 'unit');
  await jest.advanceTimersByTimeAsync(600);
  expect(before.state().saving).toBe('waiting');
  expect(kept).toHaveLength(1);
  // The page is loaded anew while the server is silent, and opens when it answers.
  const after = createSystemStore('one', opened(), server.changes, HERE, { unsaved });
  expect(after.state().decided.document.space.unit).toBe(6);
  expect(after.state().stacks.undo.at(-1)?.label).toBe('unit');
  server.silent = false;
  after.undo();
  after.redo();
  await jest.advanceTimersByTimeAsync(3000);
  expect(server.document().space.unit).toBe(6);
  expect(kept).toEqual([]);
  expect(after.state().saving).toBe('saved');
  // A change that arrived although its answer was lost is not made twice.
  const again = createSystemStore('one', opened(), server.changes, HERE, {
    unsaved: {
      ...unsaved,
      load: () => server.changes.slice(0, 1).map((one) => ({ ...one, base: 0, settled: [] })),
    },
  });
  expect(again.state().saving).toBe('saved');
});

describe('a change', () => {
  test('shows at once, is saved a moment later, and says which', async () => {
    expect(setUnit(4)).toBe(true);
    expect([unit(), store.state().saving]).toEqual([4, 'saving']);
    await settle();
    expect([server.document().space.unit, store.state().saving]).toEqual([4, 'saved']);
  });

  test('that is not valid is refused in words and changes nothing', async () => {
    expect(setUnit(-1)).toBe(false);
    expect(store.state().refused).toBeDefined();
    await settle();
    expect([unit(), server.changes.length]).toEqual([8, 0]);
  });

  test('of a color lets go of what was measured on the page, of type keeps it', async () => {
    const measured = {
      id: 'vivid-hues:light',
      severity: 'look',
      area: 'color',
      decision: '/color/roles',
      title: 'four',
      figures: '4',
      reason: '',
      source: '',
      where: { selector: '.site' },
    } as const;
    store.found('colors', [measured]);
    expect(store.state().findings).toContain(measured);
    store.change([{ op: 'replace', path: '/type/anchors/items/wide/base', value: 19 }], 'base');
    await looked();
    expect(store.state().findings).toContain(measured);
    store.change([{ op: 'replace', path: '/color/neutral/tint', value: 0.5 }], 'tint');
    await looked();
    expect(store.state().findings).not.toContain(measured);
  });

  test('the server is told what was measured of what is saved, and of nothing else', async () => {
    const measured = {
      id: 'reflow:table',
      severity: 'repair',
      area: 'space',
      decision: '/layout/widths',
      title: 'The page scrolls',
      figures: '12 px',
      reason: '',
      source: '',
      where: { selector: '.site' },
    } as const;
    told.length = 0;
    store.found('layout', [measured]);
    store.measuredAll(store.state().decided.document);
    const { id, severity, title, figures } = measured;
    expect(told).toEqual([
      [
        '/api/systems/one/measured',
        {
          sequence: 0,
          findings: [{ id, of: 'reflow of /layout/widths', severity, title, figures }],
        },
      ],
    ]);
    // What is on its way is measured again when it has arrived; what was before it is no matter any more.
    const before = store.state().decided.document;
    setUnit(9);
    store.measuredAll(store.state().decided.document);
    await settle();
    store.measuredAll(before);
    expect(told).toHaveLength(1);
    store.measuredAll(store.state().decided.document);
    expect(told.at(-1)?.[1]).toMatchObject({ sequence: 1 });
  });

  test('of what a finding speaks of lets go of it until the page is measured again', async () => {
    const measured = {
      id: 'off-scale:card.gap',
      severity: 'look',
      area: 'space',
      decision: '/space/parts/card.gap',
      title: '22 px',
      figures: '',
      reason: '',
      source: '',
      where: { selector: '.card' },
    } as const;
    store.change([{ op: 'add', path: '/space/parts/card.gap', value: { px: 22 } }], 'a gap');
    store.found('layout', [measured]);
    setUnit(4);
    await looked();
    expect(store.state().findings).toContain(measured);
    store.change([{ op: 'remove', path: '/space/parts/card.gap' }], 'its usual role');
    await looked();
    expect(store.state().findings).not.toContain(measured);
  });

  test('is shown at once, and looked at by the checks after the frame', async () => {
    const before = store.state().findings;
    store.change(
      [{ op: 'replace', path: '/type/anchors/items/narrow/base', value: 9 }],
      'a small base',
    );
    expect(store.state().decided.document.type.anchors.items['narrow']?.base).toBe(9);
    expect(store.state().findings).toBe(before);
    await looked();
    expect(store.state().findings.map(({ id }) => id)).toContain('size:body');
  });

  test('that changes no finding leaves the list of them the very same', async () => {
    store.change(
      [{ op: 'replace', path: '/type/anchors/items/narrow/base', value: 9 }],
      'a small base',
    );
    await looked();
    const before = store.state().findings;
    store.change([{ op: 'replace', path: '/name', value: 'another name' }], 'name');
    await looked();
    expect(store.state().findings).toBe(before);
  });

  describe('and the repairs of its findings', () => {
    let questions: StyleDocument[];
    let answer: (of: StyleDocument) => void;

    beforeEach(() => {
      questions = [];
      store = createSystemStore(
        'one',
        { document: server.document(), sequence: server.changes.length },
        [],
        HERE,
        {
          makeTrier: (tell) => {
            answer = (of) => tell(of, undefined);
            return { ask: (of) => questions.push(of), close: () => undefined };
          },
        },
      );
      store.change(
        [{ op: 'replace', path: '/type/anchors/items/narrow/base', value: 9 }],
        'a small base',
      );
    });

    test('are tried only while somebody looks at them', async () => {
      await settle();
      expect([questions, store.state().trying]).toEqual([[], false]);
      const leave = store.watchRepairs();
      await settle();
      expect(questions).toEqual([store.state().decided.document]);
      answer(store.state().decided.document);
      leave();
      store.change([{ op: 'replace', path: '/name', value: 'another name' }], 'name');
      await settle();
      expect(questions).toHaveLength(1);
      store.watchRepairs();
      await settle();
      expect(questions.at(-1)).toBe(store.state().decided.document);
    });

    test('are tried anew for the document as it is now, whatever it leaves as it was', async () => {
      store.watchRepairs();
      await settle();
      const first = questions.at(-1);
      expect(store.state().trying).toBe(true);
      // A name changes no finding; what is answered for the document before is answered for nobody.
      store.change([{ op: 'replace', path: '/name', value: 'another name' }], 'name');
      if (first) answer(first);
      await settle();
      expect(questions.at(-1)).toBe(store.state().decided.document);
      expect(questions.at(-1)).not.toBe(first);
      answer(store.state().decided.document);
      expect(store.state().trying).toBe(false);
    });
  });

  test('that would not fit is told beforehand, and nothing is changed', () => {
    const problem = store.problemOf([
      { op: 'replace', path: '/layout/breakpoints/items/wide/width', value: 300 },
    ]);
    expect(problem).toMatch(/from the narrowest up/);
    expect(store.problemOf([{ op: 'replace', path: '/space/unit', value: 4 }])).toBeUndefined();
    expect([unit(), store.state().refused]).toEqual([8, undefined]);
  });

  test('that does not fit is told to whoever asked, or to everybody', () => {
    const narrow: Patch = [
      { op: 'replace', path: '/layout/breakpoints/items/wide/width', value: 300 },
    ];
    expect(store.decide(narrow, 'width')).toMatch(/from the narrowest up/);
    expect(store.state().refused).toBeUndefined();
    expect(store.change(narrow, 'width')).toBe(false);
    expect(store.state().refused?.why).toMatch(/from the narrowest up/);
    // What fits is taken, and nothing is the matter any more.
    expect(
      store.decide([{ op: 'replace', path: '/space/unit', value: 4 }], 'unit'),
    ).toBeUndefined();
    expect([unit(), store.state().refused]).toEqual([4, undefined]);
  });

  test('that does not fit leaves what is tried as it is, and one that fits ends it', () => {
    store.tryOut([{ op: 'replace', path: '/space/unit', value: 5 }]);
    expect(store.decide([{ op: 'replace', path: '/space/unit', value: -1 }], 'unit')).toBeDefined();
    expect(store.state().shown.document.space.unit).toBe(5);
    store.decide([{ op: 'replace', path: '/name', value: 'another' }], 'name');
    expect(store.state().shown.document.space.unit).toBe(8);
  });

  test('many of one gesture are sent as one and undone as one', async () => {
    for (const value of [5, 6, 7]) setUnit(value, 'drag');
    await settle();
    expect(server.changes.map(({ patch }) => patch)).toEqual([
      [{ op: 'replace', path: '/space/unit', value: 7 }],
    ]);
    store.undo();
    await settle();
    expect([unit(), server.document().space.unit]).toEqual([8, 8]);
  });

  test('keeps the parts of the document that it does not touch', () => {
    const before = store.state().decided;
    setUnit(4);
    const after = store.state().decided;
    expect(after.document.color).toBe(before.document.color);
    expect(after.derived.ramps).toBe(before.derived.ramps);
    expect(after.sheet).not.toEqual(before.sheet);
  });
});

describe('undo and redo', () => {
  test('lead back and forth, and survive opening anew', async () => {
    setUnit(4, 'one');
    await settle();
    store = open();
    expect(store.state().stacks.undo.map(({ label }) => label)).toEqual(['base unit']);
    store.undo();
    await settle();
    expect(unit()).toBe(8);
    store.redo();
    await settle();
    expect([unit(), server.document().space.unit]).toEqual([4, 4]);
  });

  test('with nothing to take back do nothing', async () => {
    store.undo();
    store.redo();
    await settle();
    expect(server.changes).toHaveLength(0);
  });

  test('of a value that somebody else has changed since is a choice', async () => {
    setUnit(4);
    await settle();
    server.other(12);
    store.undo();
    await settle();
    expect(store.state().conflict).toMatchObject({
      places: [{ path: '/space/unit', theirs: 12 }],
    });
  });
});

describe('trying', () => {
  test('shows in the proof and changes nothing that is decided', () => {
    store.tryOut([{ op: 'replace', path: '/space/unit', value: 20 }]);
    expect(store.state().shown.document.space.unit).toBe(20);
    expect(unit()).toBe(8);
    store.tryOut(undefined);
    expect(store.state().shown).toBe(store.state().decided);
  });

  test('an act is tried by rehearsing it: all of it is shown, nothing decided, sent or told', async () => {
    const told: unknown[] = [];
    store.onChange((change) => told.push(change));
    let answer: unknown;
    store.rehearse(() => {
      answer = store.change([{ op: 'replace', path: '/space/unit', value: 20 }], 'unit');
      store.decide([{ op: 'replace', path: '/name', value: 'Rehearsed' }], 'name');
    });
    await settle();
    expect([answer, unit(), server.changes.length, told.length]).toEqual([true, 8, 0, 0]);
    const { document } = store.state().shown;
    expect([document.space.unit, document.name]).toEqual([20, 'Rehearsed']);
    // An act that changes nothing, or does not fit, shows what is decided.
    for (const act of [
      () => undefined,
      () => void store.decide([{ op: 'replace', path: '/space/unit', value: -1 }], 'unit'),
    ]) {
      store.rehearse(act);
      expect(store.state().shown).toBe(store.state().decided);
    }
    expect(store.state().refused).toBeUndefined();
  });

  test('an act that fails in the middle leaves nothing rehearsed behind', () => {
    expect(() =>
      store.rehearse(() => {
        throw new Error('in the middle');
      }),
    ).toThrow('in the middle');
    setUnit(4);
    expect(unit()).toBe(4);
  });

  test('ends when something is taken', () => {
    store.tryOut([{ op: 'replace', path: '/space/unit', value: 20 }]);
    setUnit(4);
    expect(store.state().shown.document.space.unit).toBe(4);
  });
});

describe('while the server is silent', () => {
  test('work goes on, says so, and is saved when it is back', async () => {
    server.silent = true;
    setUnit(4);
    await settle();
    setUnit(5);
    await settle();
    expect([unit(), store.state().saving]).toEqual([5, 'waiting']);
    server.silent = false;
    await settle(5000);
    expect([server.document().space.unit, store.state().saving]).toEqual([5, 'saved']);
  });
});

describe('a server that fails by itself', () => {
  test.each([500, 502, 503, 507])(
    'with %i is as good as silent: the change waits and arrives',
    async (status) => {
      server.failing = status;
      setUnit(4);
      await settle(1000);
      expect([unit(), store.state().saving]).toEqual([4, 'waiting']);
      expect(store.state().why).toBe('the database does not answer');
      expect(store.state().refused).toBeUndefined();
      server.failing = 0;
      await settle(5000);
      expect([server.document().space.unit, store.state().saving]).toEqual([4, 'saved']);
    },
  );
});

describe('what could not be saved', () => {
  test('is told with the words that were typed, when the server refuses it', async () => {
    const unsaved: Unsaved = { load: () => [], keep: () => true };
    server.take = () => ({ status: 422, body: { type: 'x', title: 'No', detail: 'no' } });
    store = createSystemStore('one', { document: server.document(), sequence: 0 }, [], HERE, {
      unsaved,
    });
    store.change(
      [{ op: 'replace', path: '/description', value: 'Long and careful words' }],
      'words',
    );
    await settle();
    expect(store.state().refused).toEqual({
      why: 'No. no',
      kept: '/description: Long and careful words',
    });
  });

  test('is told too when what was changed elsewhere leaves no place for it', async () => {
    const step = 'extra';
    const path = `/space/steps/items/${step}`;
    server.elsewhere([
      { op: 'add', path, value: { name: 'extra', multiple: 40 } },
      {
        op: 'replace',
        path: '/space/steps/order',
        value: [...server.document().space.steps.order, step],
      },
    ]);
    store = open();
    server.silent = true;
    store.change([{ op: 'add', path: '/space/parts/card.gap', value: { step } }], 'a gap');
    await settle();
    server.silent = false;
    const { order } = server.document().space.steps;
    server.elsewhere([
      { op: 'remove', path },
      { op: 'replace', path: '/space/steps/order', value: order.filter((one) => one !== step) },
    ]);
    expect(server.changes).toHaveLength(2);
    await settle(5000);
    expect(store.state().saving).toBe('saved');
    expect(store.state().refused?.kept).toBe(`/space/parts/card.gap: {"step":"${step}"}`);
  });
});

test('a gesture that goes on after an answer was lost arrives whole', async () => {
  server.mute = true;
  setUnit(5, 'drag');
  await settle();
  setUnit(6, 'drag');
  await settle();
  server.mute = false;
  await settle(5000);
  expect([server.document().space.unit, store.state().saving]).toEqual([6, 'saved']);
  expect(store.state().refused).toBeUndefined();
});

describe('a long gesture', () => {
  test('is one operation a place, however often it moves: the last value counts, in both directions', async () => {
    const { wide } = store.state().decided.document.type.anchors.items;
    for (let move = 0; move < 30; move += 1)
      store.change(
        [
          { op: 'replace', path: '/type/anchors/items/wide/base', value: 18 + (move % 7) },
          { op: 'add', path: '/type/root', value: 100 + (move % 5) },
        ],
        'drag',
        { gesture: 'drag' },
      );
    await settle();
    expect(server.changes).toHaveLength(1);
    expect(server.changes[0]?.patch).toEqual([
      { op: 'replace', path: '/type/anchors/items/wide/base', value: 18 + (29 % 7) },
      { op: 'add', path: '/type/root', value: 100 + (29 % 5) },
    ]);
    store.undo();
    await settle();
    expect(server.document().type.anchors.items['wide']).toEqual(wide);
    expect(server.document().type.root).toBeUndefined();
  });
});

describe('three values changed in two windows at once', () => {
  const patch = (name: string, description: string, unitPx: number): Patch => [
    { op: 'replace', path: '/name', value: name },
    { op: 'replace', path: '/description', value: description },
    { op: 'replace', path: '/space/unit', value: unitPx },
  ];
  const now = () => {
    const { name, description, space } = server.document();
    return [name, description, space.unit];
  };

  test('are all asked about, each is answered by itself, and nothing else is touched', async () => {
    server.elsewhere(patch('Theirs', 'their words', 12));
    store.change(
      [
        ...patch('Mine', 'my words', 4),
        { op: 'replace', path: '/brief/purpose', value: 'mine alone' },
      ],
      'all',
    );
    await settle();
    expect(store.state().conflict?.places.map(({ path, theirs }) => [path, theirs])).toEqual([
      ['/name', 'Theirs'],
      ['/description', 'their words'],
      ['/space/unit', 12],
    ]);
    store.resolve(
      new Map([
        ['/name', 'mine'],
        ['/description', 'theirs'],
        ['/space/unit', 'mine'],
      ]),
    );
    await settle();
    expect(now()).toEqual(['Mine', 'their words', 4]);
    expect(server.document().brief.purpose).toBe('mine alone');
    expect(store.state().saving).toBe('saved');
    store.undo();
    await settle();
    // What was theirs stays: undoing takes back one’s own.
    expect(now()).toEqual(['Theirs', 'their words', 12]);
  });

  test('do not settle what a colleague changes after the question', async () => {
    server.elsewhere(patch('Theirs', 'their words', 12));
    store.change(patch('Mine', 'my words', 4), 'all');
    store.change([{ op: 'replace', path: '/brief/audience', value: 'mine, later' }], 'later');
    await settle();
    server.elsewhere([
      { op: 'replace', path: '/space/unit', value: 20 },
      { op: 'replace', path: '/brief/audience', value: 'theirs' },
    ]);
    store.resolve(
      new Map([
        ['/name', 'mine'],
        ['/description', 'mine'],
        ['/space/unit', 'mine'],
      ]),
    );
    await settle();
    // Both waiting changes are asked about together, at the places that are new.
    expect(store.state().conflict?.places).toEqual([
      { path: '/space/unit', mine: 4, theirs: 20 },
      { path: '/brief/audience', mine: 'mine, later', theirs: 'theirs' },
    ]);
    store.resolve(
      new Map([
        ['/space/unit', 'theirs'],
        ['/brief/audience', 'mine'],
      ]),
    );
    await settle();
    expect(now()).toEqual(['Mine', 'my words', 20]);
    expect(server.document().brief.audience).toBe('mine, later');
  });
});

describe('two changes of one value', () => {
  const clash = async (): Promise<void> => {
    server.other(12);
    setUnit(4);
    await settle();
    expect(store.state().conflict).toEqual({
      sequence: 1,
      places: [{ path: '/space/unit', mine: 4, theirs: 12 }],
    });
    expect(unit()).toBe(4);
  };

  test('are offered as a choice; mine stays', async () => {
    await clash();
    store.resolve(new Map([['/space/unit', 'mine']]));
    await settle();
    expect([unit(), server.document().space.unit]).toEqual([4, 4]);
    expect(store.state().conflict).toBeUndefined();
  });

  test('are offered as a choice; theirs stays', async () => {
    await clash();
    store.resolve(new Map([['/space/unit', 'theirs']]));
    await settle();
    expect([unit(), server.document().space.unit]).toEqual([12, 12]);
    expect(store.state().saving).toBe('saved');
  });

  test('of different values are merged without a word', async () => {
    server.other(12);
    store.change([{ op: 'replace', path: '/name', value: 'Mine' }], 'name');
    await settle();
    expect(store.state().conflict).toBeUndefined();
    expect([store.state().decided.document.name, unit()]).toEqual(['Mine', 12]);
  });
});
