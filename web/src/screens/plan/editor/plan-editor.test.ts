import { describe, expect, it } from 'vitest';
import { Plan } from '@wrenfern/core/plan/plan';
import { RequestProblem } from '../../../data/request.ts';
import type { Unsaved } from '../../../data/autosave.ts';
import { createPlanEditor } from './plan-editor.ts';

const plan = Plan.parse({
  format: 'wrenfern-plan/2',
  title: 'Evening',
  targetS: 1800,
  segments: [
    {
      id: 'one',
      name: 'One',
      items: [
        { kind: 'exercise', id: 'a', exercise: 'plank' },
        { kind: 'exercise', id: 'b', exercise: 'clam' },
      ],
    },
  ],
});

type Send = (revision: number, sent: Plan) => Promise<{ revision: number }>;

/** An editor whose server and clock are ours. */
function setUp(send: Send = (revision) => Promise.resolve({ revision: revision + 1 })) {
  const sent: { revision: number; plan: Plan }[] = [];
  const drafts: (Unsaved<Plan> | undefined)[] = [];
  const timers: { ms: number; call: () => void }[] = [];
  const editor = createPlanEditor({
    plan,
    revision: 1,
    send: (revision, document) => {
      sent.push({ revision, plan: document });
      return send(revision, document);
    },
    keepUnsaved: (draft) => drafts.push(draft),
    later: (ms, call) => {
      const timer = { ms, call };
      timers.push(timer);
      return () => void timers.splice(timers.indexOf(timer), 1);
    },
  });
  const now = () => editor.getState();
  const rename = (title: string) => now().edit({ type: 'setDetails', details: { title } });
  return { now, rename, sent, drafts, timers };
}

const stale = (theirs: Plan) =>
  new RequestProblem('stale', 409, 'Changed.', [], { current: { revision: 7, plan: theirs } });

describe('editing', () => {
  it('changes the plan and waits a moment before it saves', () => {
    const { now, rename, sent, timers } = setUp();
    rename('Morning');
    expect(now().plan.title).toBe('Morning');
    expect(now().save.status).toBe('waiting');
    expect(timers).toHaveLength(1);
    expect(sent).toHaveLength(0);
  });

  it('saves once for many quick edits', async () => {
    const { now, rename, sent, timers } = setUp();
    for (const title of ['A', 'B', 'C']) rename(title);
    expect(timers).toHaveLength(1);
    await now().saveNow();
    expect(sent.map(({ plan: { title } }) => title)).toEqual(['C']);
    expect(now().save.status).toBe('saved');
    rename('D');
    await now().saveNow();
    expect(sent.at(-1)?.revision).toBe(2);
  });

  it('says why an edit was refused, and changes nothing', () => {
    const { now } = setUp();
    now().edit({ type: 'removeItem', itemId: 'nobody' });
    expect(now().refusal).toEqual({ code: 'no-item', id: 'nobody' });
    expect(now().plan).toBe(plan);
    expect(now().save.status).toBe('saved');
  });
});

describe('somebody who may only look', () => {
  it('changes nothing, and is told so', () => {
    let told = 0;
    const editor = createPlanEditor({
      plan,
      revision: 1,
      refuse: () => (told += 1),
      send: () => Promise.reject(new Error('nothing is sent')),
      keepUnsaved: () => {
        throw new Error('nothing is kept');
      },
      later: () => () => undefined,
    });
    editor.getState().edit({ type: 'setDetails', details: { title: 'Mine' } });
    expect(editor.getState()).toMatchObject({ plan, save: { status: 'saved' } });
    expect(told).toBe(1);
  });
});

describe('undo and redo', () => {
  it('walk back and forth over every edit', () => {
    const { now, rename } = setUp();
    rename('A');
    now().edit({ type: 'removeItem', itemId: 'a' });
    now().undo();
    now().undo();
    expect(now().plan).toEqual(plan);
    now().redo();
    now().redo();
    expect(now().plan.title).toBe('A');
    expect(now().plan.segments[0]?.items).toHaveLength(1);
  });

  it('clear the way forward when something new is done', () => {
    const { now, rename } = setUp();
    rename('A');
    now().undo();
    rename('B');
    expect(now().future).toEqual([]);
    now().redo();
    expect(now().plan.title).toBe('B');
  });

  it('do nothing at either end', () => {
    const { now } = setUp();
    now().undo();
    now().redo();
    expect(now().plan).toBe(plan);
    expect(now().save.status).toBe('saved');
  });

  it('are saved like any edit', async () => {
    const { now, rename, sent } = setUp();
    rename('A');
    await now().saveNow();
    now().undo();
    await now().saveNow();
    expect(sent.map(({ revision, plan: { title } }) => [revision, title])).toEqual([
      [1, 'A'],
      [2, 'Evening'],
    ]);
  });
});

describe('saving', () => {
  it('sends what was edited while it was sending, with the revision that came of it', async () => {
    const answers: ((saved: { revision: number }) => void)[] = [];
    const { now, rename, sent, timers } = setUp(() => new Promise((done) => answers.push(done)));
    rename('A');
    const saving = now().saveNow();
    rename('B');
    // One save at a time: asked for again, it waits for the one under way.
    void now().saveNow();
    expect(sent).toHaveLength(1);
    expect(now().save.status).toBe('saving');
    answers[0]?.({ revision: 2 });
    await saving;
    expect(now().save.status).toBe('waiting');
    expect(timers).toHaveLength(1);
    void now().saveNow();
    expect(sent.at(-1)).toMatchObject({ revision: 2, plan: { title: 'B' } });
    expect(sent).toHaveLength(2);
  });

  it('keeps a draft until the server has it', async () => {
    const { now, rename, drafts } = setUp();
    rename('A');
    expect(drafts.at(-1)).toMatchObject({ revision: 1, value: { title: 'A' }, base: plan });
    await now().saveNow();
    expect(drafts.at(-1)).toBeUndefined();
  });

  it('is offline without a line, keeps the draft, and tries again by itself', async () => {
    let isDown = true;
    const { now, rename, timers, drafts } = setUp((revision) =>
      isDown
        ? Promise.reject(new RequestProblem('offline', 0, 'Away.'))
        : Promise.resolve({ revision: revision + 1 }),
    );
    rename('A');
    await now().saveNow();
    expect(now().save.status).toBe('offline');
    expect(drafts.at(-1)).toBeDefined();
    expect(timers.map(({ ms }) => ms)).toEqual([4000]);
    isDown = false;
    await now().saveNow();
    expect(now().save.status).toBe('saved');
  });

  it('tells in words what the server refuses', async () => {
    const { now, rename } = setUp(() =>
      Promise.reject(
        new RequestProblem('invalid', 422, 'Not right.', [
          { path: ['plan', 'title'], message: 'give it a name' },
        ]),
      ),
    );
    rename('A');
    await now().saveNow();
    expect(now().save).toEqual({
      status: 'refused',
      sentence: 'Not right. plan › title: give it a name',
    });
  });
});

describe('a newer version on the server', () => {
  const theirs = { ...plan, title: 'Theirs' };

  /** An editor whose first save is answered with a newer document. */
  async function beaten(newer: Plan, mine: (parts: ReturnType<typeof setUp>) => void) {
    let first = true;
    const parts = setUp((revision) => {
      if (!first) return Promise.resolve({ revision: revision + 1 });
      first = false;
      return Promise.reject(stale(newer));
    });
    mine(parts);
    await parts.now().saveNow();
    return parts;
  }

  const inConflict = () => beaten(theirs, ({ rename }) => rename('Mine'));

  it('is merged without a word where it does not touch what was done here', async () => {
    const { now, sent } = await beaten(theirs, ({ now: editor }) =>
      editor().edit({ type: 'removeItem', itemId: 'a' }),
    );
    await now().saveNow();
    const [segment] = sent.at(-1)?.plan.segments ?? [];
    expect(sent.at(-1)).toMatchObject({ revision: 7, plan: { title: 'Theirs' } });
    expect(segment?.items.map(({ id }) => id)).toEqual(['b']);
    expect(now().save.status).toBe('saved');
  });

  it('holds both where the same was changed, tells what, and saves nothing more', async () => {
    const { now, rename, sent } = await inConflict();
    expect(now().save).toEqual({
      status: 'conflict',
      theirs: { revision: 7, value: theirs },
      clashes: [{ path: ['title'], mine: 'Mine', theirs: 'Theirs' }],
    });
    rename('Mine too');
    await now().saveNow();
    expect(sent).toHaveLength(1);
    expect(now().plan.title).toBe('Mine too');
  });

  it('is none when it says the same: an answer of ours was lost', async () => {
    const { note, ...rest } = plan;
    const { now, rename, drafts, sent } = setUp(() =>
      Promise.reject(stale({ note, ...rest, title: 'Mine' })),
    );
    rename('Mine');
    await now().saveNow();
    expect(now().save.status).toBe('saved');
    expect(drafts.at(-1)).toBeUndefined();
    rename('Later');
    await now().saveNow();
    expect(sent.at(-1)?.revision).toBe(7);
  });

  it('keeps mine by saving it over theirs', async () => {
    const { now, sent } = await inConflict();
    now().settle('mine');
    await now().saveNow();
    expect(sent.at(-1)).toMatchObject({ revision: 7, plan: { title: 'Mine' } });
    expect(now().save.status).toBe('saved');
  });

  it('takes theirs and forgets the steps that led to mine', async () => {
    const { now, drafts } = await inConflict();
    now().settle('theirs');
    expect(now()).toMatchObject({ plan: theirs, past: [], save: { status: 'saved' } });
    expect(drafts.at(-1)).toBeUndefined();
  });
});

describe('edits of an earlier visit', () => {
  const resume = async (unsaved: Unsaved<Plan>) => {
    const sent: [number, string][] = [];
    const editor = createPlanEditor({
      plan: { ...plan, title: 'Theirs' },
      revision: 4,
      unsaved,
      send: (revision, document) => {
        sent.push([revision, document.title]);
        return revision === 4
          ? Promise.resolve({ revision: 5 })
          : Promise.reject(
              new RequestProblem('stale', 409, 'Changed.', [], {
                current: { revision: 4, plan: { ...plan, title: 'Theirs' } },
              }),
            );
      },
      keepUnsaved: () => undefined,
      later: () => () => undefined,
    });
    editor.getState().resume();
    await editor.getState().saveNow();
    return { editor, sent };
  };

  it('are sent with the revision that they were made on', async () => {
    const mine = { ...plan, title: 'Mine' };
    const { editor, sent } = await resume({ revision: 3, value: mine, base: plan });
    expect(sent).toEqual([[3, 'Mine']]);
    expect(editor.getState().save.status).toBe('conflict');
  });

  it('never overwrite a newer plan when nobody knows what they were made on', async () => {
    const { editor } = await resume({ revision: 3, value: { ...plan, title: 'Mine' } });
    expect(editor.getState().save.status).toBe('conflict');
  });
});
