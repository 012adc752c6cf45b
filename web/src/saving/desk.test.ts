import fc from 'fast-check';
import { commit, newBuild, replay, type Build, type Edit, type Step } from '@inch-tower/core';
import { createDesk, type Desk } from './desk';
import { saveStateOf, type Answer, type Kept, type KeptCopy } from './draft';

/** What the server does with a request whose turn has come. */
const FATES = ['ok', 'ok', 'ok', 'lostBefore', 'lostAfter', 'garbled', 'fault', 'refused'] as const;
type Fate = (typeof FATES)[number];
type Request = { readonly run: (fate: Fate) => void };
type Tab = {
  readonly n: number;
  readonly desk: Desk;
  alive: boolean;
  open: string | null;
  readonly past: { readonly step: Step; readonly token: string }[];
  timers: (() => void)[];
  writes: (() => void)[];
};

const IDS = ['one', 'two'] as const;
const token = (build: Build): Set<string> => new Set(build.changes.map((change) => change.id));
const mark = (id: string): Edit =>
  ({ type: 'change.add', change: { id, kind: 'option', host: 'u1', key: 'k' } }) as Edit;

/** A server, a browser's storage and tabs, in which every answer and every write comes when it is told to. */
class World {
  readonly server = new Map<string, Build>();
  readonly kept = new Map<string, KeptCopy>();
  readonly tabs: Tab[] = [];
  readonly requests: Request[] = [];
  blocked = false;
  slowStorage = false;
  /** Marks made by the builder that nobody gave up; the test is that each is somewhere. */
  readonly live = new Set<string>();
  private counter = 0;

  constructor() {
    for (const id of IDS) this.server.set(id, newBuild(id, id));
    this.openTab();
  }
  etag = (build: Build): string => JSON.stringify(build);
  fresh = (): string => `m${++this.counter}`;

  openTab(): Tab {
    const n = this.tabs.length;
    const never = new Promise<never>(() => undefined);
    const later = <T>(work: (fate: Fate) => T): Promise<T> =>
      new Promise((resolve) => {
        this.requests.push({
          run: (fate) => {
            const value = work(fate);
            if (tab.alive) resolve(value);
          },
        });
      });
    const write = (work: () => boolean): Promise<boolean> => {
      if (!tab.alive) return never;
      if (!this.slowStorage) {
        const done = work();
        return Promise.resolve(done);
      }
      return new Promise((resolve) => {
        tab.writes.push(() => resolve(work()));
      });
    };
    const at = (id: string) => `${id} ${n}`;
    const answer = (fate: Fate, apply: () => Answer): Answer => {
      if (fate === 'lostBefore') return { kind: 'away', words: 'no answer' };
      if (fate === 'fault') return { kind: 'fault', words: 'a fault' };
      if (fate === 'refused') return { kind: 'refused', words: 'refused' };
      const applied = apply();
      return fate === 'ok' ? applied : { kind: 'away', words: 'no answer' };
    };
    const desk = createDesk({
      save: (build, etag) =>
        later((fate) =>
          answer(fate, () => {
            const there = this.server.get(build.id);
            if (!there) return { kind: 'gone' };
            if (this.etag(there) !== etag && this.etag(there) !== this.etag(build))
              return { kind: 'stale', theirs: { build: there, etag: this.etag(there) } };
            this.server.set(build.id, build);
            return { kind: 'saved', etag: this.etag(build) };
          }),
        ),
      create: (build) =>
        later((fate) =>
          answer(fate, () => {
            if (this.server.has(build.id)) return { kind: 'refused', words: 'taken' };
            this.server.set(build.id, build);
            return { kind: 'saved', etag: this.etag(build) };
          }),
        ),
      read: (id) =>
        later((fate) => {
          const there = this.server.get(id);
          return fate !== 'ok' ? 'away' : there ? { build: there, etag: this.etag(there) } : 'gone';
        }),
      keptOf: (id) => {
        const open = new Set(this.tabs.filter((one) => one.alive).map((one) => `${id} ${one.n}`));
        const copies: Kept[] = [...this.kept]
          .filter(([key]) => key.startsWith(`${id} `) && !open.has(key))
          .map(([key, copy]) => ({ ...copy, key }));
        return Promise.resolve(this.blocked ? [] : copies);
      },
      keep: (id, copy) =>
        write(() => {
          if (!this.blocked) this.kept.set(at(id), structuredClone(copy));
          return !this.blocked;
        }),
      forget: (id) =>
        write(() => {
          if (!this.blocked) this.kept.delete(at(id));
          return true;
        }).then(() => undefined),
      forgetKeys: (keys) =>
        write(() => {
          if (!this.blocked) for (const key of keys) this.kept.delete(key);
          return true;
        }).then(() => undefined),
      settle: (build, edits) => Promise.resolve(commit(build, edits)),
      now: () => ++this.counter,
      later: (_ms, work) => {
        const timer = () => {
          if (tab.alive) work();
        };
        tab.timers.push(timer);
        return () => {
          tab.timers = tab.timers.filter((one) => one !== timer);
        };
      },
      changed: () => undefined,
    });
    const tab: Tab = { n, desk, alive: true, open: null, past: [], timers: [], writes: [] };
    this.tabs.push(tab);
    return tab;
  }

  get living(): Tab[] {
    return this.tabs.filter((tab) => tab.alive);
  }
  /** Lets what has been answered go on. */
  async turn(): Promise<void> {
    for (let i = 0; i < 12; i++) await Promise.resolve();
  }
  giveUp(marks: Iterable<string>): void {
    for (const one of marks) this.live.delete(one);
  }

  /** Everything answered, written and tried until nothing is left to do. */
  async calm(): Promise<void> {
    this.blocked = this.slowStorage = false;
    for (let i = 0; i < 60; i++) {
      await this.turn();
      for (const request of this.requests.splice(0)) request.run('ok');
      for (const tab of this.living) {
        for (const go of tab.writes.splice(0)) go();
        const due = tab.timers;
        tab.timers = [];
        for (const timer of due) timer();
      }
    }
  }

  /** Every mark nobody gave up is on the server, kept, or in an open page that does not call itself saved. */
  lost(): string[] {
    const safe = new Set<string>();
    for (const build of this.server.values()) for (const one of token(build)) safe.add(one);
    for (const copy of this.kept.values()) for (const one of token(copy.build)) safe.add(one);
    const faults: string[] = [];
    for (const tab of this.living) {
      for (const { draft, id } of IDS.flatMap((one) => {
        const found = tab.desk.draft(one);
        return found ? [{ draft: found, id: one }] : [];
      })) {
        const state = saveStateOf(draft);
        const mine = [...token(draft.build)].filter((one) => this.live.has(one));
        if (state === 'saved' && mine.some((one) => !safe.has(one)))
          faults.push(`tab ${tab.n} calls ${id} saved, which it is not`);
        if (state === 'saved' && draft.etag !== this.etag(draft.build))
          faults.push(`tab ${tab.n} calls ${id} saved and shows another version`);
        if (state === 'kept' && mine.some((one) => !safe.has(one)))
          faults.push(`tab ${tab.n} calls ${id} kept, which it is not`);
        if (!tab.desk.mustAsk() && mine.some((one) => !safe.has(one)))
          faults.push(`tab ${tab.n} may be closed without a word, with ${id} nowhere else`);
      }
    }
    for (const tab of this.living)
      for (const id of IDS) {
        const draft = tab.desk.draft(id);
        if (draft)
          for (const one of [...token(draft.build), ...draft.strays.flatMap((stray) => [...token(stray.build)])])
            safe.add(one);
      }
    return [...faults, ...[...this.live].filter((one) => !safe.has(one)).map((one) => `${one} is nowhere`)];
  }
}

type Act = { readonly name: string; readonly run: (world: World) => void | Promise<unknown> };
const withTab = (name: string, run: (world: World, tab: Tab) => void | Promise<unknown>) =>
  fc.nat(2).map((n): Act => ({
    name: `${name}(${n})`,
    run: (world) => {
      const tab = world.living[n % Math.max(1, world.living.length)];
      return tab && run(world, tab);
    },
  }));
const openIn = (tab: Tab, id: string) => {
  if (tab.open && tab.open !== id) tab.desk.leave(tab.open);
  tab.past.length = 0;
  tab.open = id;
  void tab.desk.open(id);
};

const acts = fc.oneof(
  {
    weight: 6,
    arbitrary: withTab('edit', (world, tab) => {
      const draft = tab.open ? tab.desk.draft(tab.open) : null;
      if (!draft) return;
      const id = world.fresh();
      const step = commit(draft.build, [mark(id)]) as Step;
      if (tab.desk.edited(tab.open!, step.build, step.edits)) {
        world.live.add(id);
        tab.past.push({ step, token: id });
      }
    }),
  },
  {
    weight: 2,
    arbitrary: withTab('undo', (world, tab) => {
      const draft = tab.open ? tab.desk.draft(tab.open) : null;
      const last = tab.past.pop();
      const before = draft && last && replay(draft.build, last.step.inverse);
      if (!before || 'ok' in before) return;
      // Taken back, and with it whatever else the version before did not have.
      world.giveUp([...token(draft.build)].filter((one) => !token(before).has(one)));
      tab.desk.undone(tab.open!, before, last.step.edits, last.step.inverse);
    }),
  },
  {
    weight: 4,
    arbitrary: fc
      .constantFrom(...FATES)
      .map((fate): Act => ({ name: `answer(${fate})`, run: (world) => world.requests.shift()?.run(fate) })),
  },
  {
    weight: 1,
    arbitrary: fc
      .constantFrom(...FATES)
      .map((fate): Act => ({ name: `answerLast(${fate})`, run: (world) => world.requests.pop()?.run(fate) })),
  },
  {
    weight: 3,
    arbitrary: withTab('wait', (_world, tab) => {
      const due = tab.timers;
      tab.timers = [];
      for (const timer of due) timer();
    }),
  },
  {
    weight: 2,
    arbitrary: withTab('written', (_world, tab) => {
      for (const go of tab.writes.splice(0)) go();
    }),
  },
  {
    weight: 2,
    arbitrary: withTab('leave', (_world, tab) => {
      if (tab.open) tab.desk.leave(tab.open);
      tab.open = null;
      tab.past.length = 0;
    }),
  },
  {
    weight: 4,
    arbitrary: fc.constantFrom(...IDS).chain((id) => withTab(`open ${id}`, (_world, tab) => openIn(tab, id))),
  },
  {
    weight: 1,
    arbitrary: fc.constant<Act>({
      name: 'new tab',
      run: (world) => {
        if (world.living.length < 3) openIn(world.openTab(), 'one');
      },
    }),
  },
  {
    weight: 2,
    arbitrary: withTab('close', (world, tab) => {
      // The page asks where something would be lost, and the builder stays.
      if (tab.desk.mustAsk()) return;
      tab.alive = false;
      if (world.living.length === 0) world.openTab();
    }),
  },
  {
    weight: 1,
    arbitrary: fc.boolean().map((on): Act => ({
      name: `storage ${on ? 'blocked' : 'free'}`,
      run: (world) => {
        world.blocked = on;
      },
    })),
  },
  {
    weight: 1,
    arbitrary: fc.boolean().map((on): Act => ({
      name: `storage ${on ? 'slow' : 'quick'}`,
      run: (world) => {
        world.slowStorage = on;
      },
    })),
  },
  {
    weight: 1,
    arbitrary: fc.constantFrom(...IDS).map((id): Act => ({
      name: `saved elsewhere ${id}`,
      run: (world) => {
        const there = world.server.get(id);
        const mine = world.fresh();
        if (there) {
          world.server.set(id, (commit(there, [mark(mine)]) as Step).build);
        }
      },
    })),
  },
  {
    weight: 1,
    arbitrary: fc.constantFrom(...IDS).map((id): Act => ({
      name: `deleted elsewhere ${id}`,
      run: (world) => {
        const there = world.server.get(id);
        if (there) world.giveUp(token(there));
        world.server.delete(id);
      },
    })),
  },
  {
    weight: 2,
    arbitrary: withTab('join', (world, tab) => {
      if (tab.open) void tab.desk.join(tab.open, world.fresh());
    }),
  },
  {
    weight: 1,
    arbitrary: withTab('copy', (world, tab) => {
      if (tab.open)
        void tab.desk.keepAsCopy(tab.open, world.fresh()).then(({ words }) => {
          if (!words) {
            tab.open = null;
            tab.past.length = 0;
          }
        });
    }),
  },
  {
    weight: 1,
    arbitrary: withTab('take theirs', (world, tab) => {
      const draft = tab.open ? tab.desk.draft(tab.open) : null;
      if (draft?.trouble?.kind !== 'stale') return;
      const theirs = token(draft.trouble.theirs.build);
      world.giveUp([...token(draft.build)].filter((one) => !theirs.has(one)));
      tab.past.length = 0;
      return void tab.desk.takeTheirs(tab.open!);
    }),
  },
  {
    weight: 1,
    arbitrary: withTab('stray', (world, tab) => {
      const key = tab.open && tab.desk.draft(tab.open)?.strays[0]?.key;
      return key ? void tab.desk.joinStray(tab.open!, key, world.fresh()) : undefined;
    }),
  },
);

/** What is left after everything has become well again and the builder has answered every question. */
async function settle(world: World): Promise<void> {
  await world.calm();
  for (const tab of world.living) {
    for (const { id } of tab.desk.waiting()) {
      void tab.desk.open(id);
      await world.calm();
      await resolveAll(world, tab, id);
    }
    tab.alive = false;
  }
  for (let round = 0; round < 3; round++) {
    for (const id of IDS) {
      const tab = world.openTab();
      void tab.desk.open(id);
      await world.calm();
      await resolveAll(world, tab, id);
      tab.alive = false;
    }
  }
}
async function resolveAll(world: World, tab: Tab, id: string): Promise<void> {
  for (let i = 0; i < 12; i++) {
    const draft = tab.desk.draft(id);
    if (!draft) return;
    if (draft.trouble?.kind === 'stale') void tab.desk.join(id, world.fresh());
    else if (draft.trouble?.kind === 'gone') void tab.desk.keepAsCopy(id, world.fresh());
    else if (draft.trouble?.kind === 'refused') void tab.desk.tryAgain(id);
    else if (draft.strays[0]) void tab.desk.joinStray(id, draft.strays[0].key, world.fresh());
    else return;
    await world.calm();
  }
}

test('whatever happens to saves, tabs and storage, no edit is lost without a word', async () => {
  const runs = Number(process.env.SAVING_RUNS ?? 2_000);
  await fc.assert(
    fc.asyncProperty(fc.array(acts, { minLength: 5, maxLength: 60 }), async (list) => {
      const world = new World();
      openIn(world.tabs[0]!, 'one');
      await world.turn();
      for (const act of list) {
        await act.run(world);
        await world.turn();
        const lost = world.lost();
        if (lost.length)
          throw new Error(`after ${act.name}: ${lost.join('; ')}\n${list.map((one) => one.name).join(' ')}`);
      }
      await settle(world);
      const onServer = new Set([...world.server.values()].flatMap((build) => [...token(build)]));
      const missing = [...world.live].filter((one) => !onServer.has(one));
      if (missing.length)
        throw new Error(
          `at the end ${missing.join(', ')} is not on the server\n${list.map((one) => one.name).join(' ')}`,
        );
      expect([...world.kept.keys()]).toEqual([]);
    }),
    { numRuns: runs, seed: Number(process.env.SEED ?? 20_261_127) },
  );
}, 600_000);

/** One tab on machine one, with a mark made by each call of `edit`. */
async function bench() {
  const world = new World();
  const tab = world.tabs[0]!;
  openIn(tab, 'one');
  await world.calm();
  const edit = (id: string): Step => {
    const step = commit(tab.desk.draft('one')!.build, [mark(id)]) as Step;
    tab.desk.edited('one', step.build, step.edits);
    return step;
  };
  const due = async () => {
    const timers = tab.timers;
    tab.timers = [];
    for (const timer of timers) timer();
    await world.turn();
  };
  const answer = async (fate: Fate) => {
    world.requests.shift()!.run(fate);
    await world.turn();
  };
  const reopened = async () => {
    tab.alive = false;
    const next = world.openTab();
    openIn(next, 'one');
    await world.turn();
    await world.turn();
    world.requests.shift()!.run('ok');
    await world.turn();
    return next;
  };
  return {
    world,
    tab,
    edit,
    due,
    answer,
    reopened,
    state: () => saveStateOf(tab.desk.draft('one')!),
    onServer: () => [...token(world.server.get('one')!)],
  };
}

test('an edit made while a save is under way is sent after the bench was left', async () => {
  const { world, tab, edit, due, answer, onServer } = await bench();
  edit('A');
  await due();
  edit('B');
  tab.desk.leave('one');
  await answer('ok');
  expect(onServer()).toEqual(['A']);
  expect([...token(world.kept.get('one 0')!.build)]).toEqual(['A', 'B']);
  await due();
  await answer('ok');
  expect(onServer()).toEqual(['A', 'B']);
  expect(world.kept.size).toBe(0);
  expect(tab.desk.draft('one')).toBeNull();
});

test('an answer without a version saves nothing; asked again, it was our own', async () => {
  const { edit, due, answer, state } = await bench();
  edit('A');
  await due();
  await answer('garbled');
  expect(state()).toBe('kept');
  await due();
  await answer('ok');
  expect(state()).toBe('saved');
});

test('a save whose answer was lost is known again when the page is closed and opened, with edits made since', async () => {
  const { edit, due, answer, reopened } = await bench();
  edit('A');
  await due();
  edit('B');
  await answer('lostAfter');
  const next = await reopened();
  const draft = next.desk.draft('one')!;
  expect([draft.trouble, draft.unsaved.length]).toEqual([null, 1]);
});

test('an edit under way that is taken back is taken back on the server too', async () => {
  const { world, tab, edit, due, answer, onServer } = await bench();
  const before = tab.desk.draft('one')!.build;
  const step = edit('A');
  await due();
  tab.desk.undone('one', before, step.edits, step.inverse);
  await answer('ok');
  await world.calm();
  expect(onServer()).toEqual([]);
});

test('an edit never sent is taken back without a word to the server', async () => {
  const { world, tab, edit, due, state } = await bench();
  const before = tab.desk.draft('one')!.build;
  const step = edit('A');
  tab.desk.undone('one', before, step.edits, step.inverse);
  await due();
  expect([state(), world.requests.length, world.kept.size]).toEqual(['saved', 0, 0]);
});

test('with storage blocked and no answer the state says so, and closing asks', async () => {
  const { world, tab, edit, due, answer, state } = await bench();
  world.blocked = true;
  edit('A');
  await due();
  await answer('lostBefore');
  expect([state(), tab.desk.mustAsk()]).toEqual(['unkept', true]);
  tab.desk.leave('one');
  await world.turn();
  await answer('fault');
  // Opened again in this page it is there, and goes on from there.
  await tab.desk.open('one');
  expect([...token(tab.desk.draft('one')!.build)]).toEqual(['A']);
});

test('a fault is tried again by itself, a refusal with the next edit', async () => {
  const { world, edit, due, answer, state, onServer } = await bench();
  edit('A');
  await due();
  await answer('fault');
  await due();
  await answer('refused');
  await due();
  expect([state(), world.requests.length]).toEqual(['kept', 0]);
  edit('B');
  await due();
  await answer('ok');
  expect(onServer()).toEqual(['A', 'B']);
});

test('an edit made while a save is on its way to be refused is sent, not left', async () => {
  const { world, edit, due, answer, onServer } = await bench();
  edit('A');
  await due();
  edit('B');
  await answer('refused');
  await due();
  await answer('ok');
  expect([onServer(), world.kept.size]).toEqual([['A', 'B'], 0]);
});

test('two tabs keep their own copies, and what both left is there when the machine is opened next', async () => {
  const { world, tab, edit } = await bench();
  const other = world.openTab();
  openIn(other, 'one');
  await world.calm();
  edit('A');
  const step = commit(other.desk.draft('one')!.build, [mark('B')]) as Step;
  other.desk.edited('one', step.build, step.edits);
  await world.turn();
  expect([...world.kept.keys()].sort()).toEqual(['one 0', 'one 1']);
  tab.alive = other.alive = false;
  const third = world.openTab();
  openIn(third, 'one');
  await world.turn();
  world.requests.shift()!.run('ok');
  await world.turn();
  const draft = third.desk.draft('one')!;
  expect([[...token(draft.build)], draft.strays.map((stray) => [...token(stray.build)])]).toEqual([['B'], [['A']]]);
  await third.desk.joinStray('one', draft.strays[0]!.key, 'copy');
  await world.calm();
  expect([...token(world.server.get('one')!)].sort()).toEqual(['A', 'B']);
  expect(world.kept.size).toBe(0);
});

test('a machine deleted elsewhere keeps its edits until they are a machine of their own', async () => {
  const { world, tab, edit, due, answer, state } = await bench();
  world.server.delete('one');
  edit('A');
  await due();
  await answer('ok');
  expect(state()).toBe('gone');
  const made = tab.desk.keepAsCopy('one', 'saved-as-new');
  await answer('ok');
  expect(await made).toEqual({ words: null });
  expect([...token(world.server.get('saved-as-new')!)]).toEqual(['A']);
  expect(world.kept.size).toBe(0);
});
