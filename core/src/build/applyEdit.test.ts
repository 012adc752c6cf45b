import fc from 'fast-check';
import { catalogue, cube, fixture } from '../testing/fixture';
import { commit } from '../solve/settle';
import { replay } from './step';
import { closureOf } from '../parts/catalogue';
import type { SheetId, UnitId } from '../parts/ids';
import { applyEdit } from './applyEdit';
import type { Build, Item } from './build';
import { editSchema, type Edit } from './edits';
import { addItemEdit } from './newItem';
import { printSpot } from './layout';

/** A random edit that makes sense for a build, from a list of draws. */
function editFrom(build: Build, draw: readonly number[]): Edit {
  const pick = <T>(list: readonly T[], at: number): T | undefined => (list.length ? list[at % list.length] : undefined);
  const sheets = Object.keys(catalogue.sheets) as SheetId[];
  const unit = pick(
    build.items.flatMap((item) => item.units),
    draw[1]!,
  );
  const item = pick(build.items, draw[1]!);
  const seat = unit && build.layout.at[unit.id];
  switch (draw[0]! % 11) {
    case 0:
      return { type: 'set.name', value: `Name ${draw[1]}` };
    case 1:
      return unit ? { type: 'units.remove', units: [unit.id] } : { type: 'set.notes', value: 'n' };
    case 2:
      return item ? { type: 'item.remove', item: item.id } : { type: 'set.copies', value: 2 };
    case 3:
      return item
        ? { type: 'item.patch', item: item.id, patch: { deal: draw[2]! % 2 ? 'owned' : 'buy', hours: draw[2]! } }
        : { type: 'set.copies', value: 3 };
    case 4:
      return unit && seat
        ? { type: 'place.hold', unit: unit.id, spot: seat.spot }
        : { type: 'set.brief', value: { earDb: 25 } };
    case 5:
      return unit
        ? { type: 'unit.role', unit: unit.id, role: draw[2]! % 2 ? 'boot' : null }
        : { type: 'set.brief', value: {} };
    case 6:
      return item
        ? { type: 'units.add', item: item.id, units: [{ id: `u${build.counter.next}` as UnitId, mark: 'Z9' }] }
        : { type: 'set.stage', value: 0 };
    case 7: {
      const other = pick(
        build.items.flatMap((one) => one.units).filter((one) => build.layout.at[one.id]),
        draw[2]!,
      );
      return unit && other
        ? { type: 'place.put', unit: unit.id, spot: build.layout.at[other.id]!.spot }
        : { type: 'set.rates', value: { CHF: 1.05 } };
    }
    case 8:
      return seat && unit
        ? { type: 'place.release', unit: unit.id }
        : { type: 'set.policy', value: { spinUp: { kind: 'paced' }, fans: { kind: 'fixed', duty: 0.5 } } };
    default:
      return addItemEdit(build, catalogue, pick(sheets, draw[1]!)!, 1 + (draw[2]! % 4));
  }
}
const draws = fc.array(fc.tuple(fc.nat(1000), fc.nat(1000), fc.nat(1000)), { minLength: 1, maxLength: 14 });

test('taking back any sequence of settled steps gives the deep-equal build, doing it again the deep-equal result', () => {
  fc.assert(
    fc.property(draws, (sequence) => {
      const first = cube().build;
      let build = first;
      const steps = [];
      for (const draw of sequence) {
        const step = commit(build, [editFrom(build, draw)]);
        if (!step.ok) continue;
        steps.push(step);
        build = step.build;
      }
      const last = build;
      for (const step of [...steps].reverse()) build = replay(build, step.inverse) as Build;
      expect(build).toEqual(first);
      for (const step of steps) build = replay(build, step.edits) as Build;
      expect(build).toEqual(last);
    }),
    { numRuns: 120, seed: 20261101 },
  );
});

test('every edit made is a valid edit by its own schema, and so is its inverse', () => {
  fc.assert(
    fc.property(draws, (sequence) => {
      let build = cube().build;
      for (const draw of sequence) {
        const edit = editFrom(build, draw);
        expect(editSchema.safeParse(edit).success).toBe(true);
        const applied = applyEdit(build, edit);
        if (!applied.ok) continue;
        expect(editSchema.safeParse(applied.inverse).success).toBe(true);
        build = applied.build;
      }
    }),
    { numRuns: 30, seed: 7 },
  );
});

test('an edit never changes the build it is given', () => {
  const { build } = cube().add('barge-8', 2);
  const before = structuredClone(build);
  commit(build, [addItemEdit(build, catalogue, 'tern-8i' as SheetId, 1)]);
  commit(build, [{ type: 'item.remove', item: build.items[0]!.id }]);
  expect(build).toEqual(before);
});

test('ids and marks are never given twice, also after the highest is taken out', () => {
  const some = cube().add('barge-8', 2);
  const gone = some.edit({ type: 'units.remove', units: [some.unit('barge-8', 1), some.unit('barge-8', 2)] });
  const again = gone.add('barge-8', 1);
  expect(again.unit('barge-8')).not.toBe(some.unit('barge-8', 1));
  expect(again.build.items.at(-1)!.units[0].mark).not.toBe(some.build.items.at(-1)!.units[0].mark);
});

test('what cannot be done is refused in words and leaves the build as it was', () => {
  const { build } = cube();
  for (const edit of [
    { type: 'item.remove', item: 'i999' },
    { type: 'units.remove', units: ['u999'] },
    { type: 'place.put', unit: 'u999', spot: { host: 'u2', key: 'cage', n: 1 } },
    { type: 'change.remove', id: 'nothing' },
    { type: 'plug.release', device: { host: 'u1', key: 'power-24-pin', n: 1 } },
    {
      type: 'plug.put',
      plug: {
        cable: 'power',
        host: [{ host: 'u999', key: 'sata', n: 1 }],
        device: [{ host: 'u1', key: 'power-24-pin', n: 1 }],
        how: 'put',
      },
    },
    { type: 'set.stage', value: 4 },
    { type: 'set.stages', value: [] },
    { type: 'place.release', unit: 'u999' },
  ] as Edit[]) {
    const answer = commit(build, [{ type: 'set.name', value: 'half' }, edit]);
    expect(answer).toMatchObject({ ok: false, words: expect.any(String) as string });
  }
  expect(build.name).toBe('Test');
});

test('a corrected catalogue sheet changes no build by itself; a refresh does', () => {
  const made = cube().add('barge-8', 1);
  const corrected = { ...catalogue.sheets['barge-8']!, rev: 2, idleW: 9 } as never;
  const more = applyEdit(
    made.build,
    addItemEdit(
      made.build,
      { ...catalogue, sheets: { ...catalogue.sheets, 'barge-8': corrected } },
      'barge-8' as SheetId,
      1,
    ),
  );
  expect(more.ok && more.build.sheets['barge-8']!.rev).toBe(1);
  const refreshed = applyEdit(made.build, { type: 'sheet.refresh', sheets: [corrected], archetypes: [] });
  expect(refreshed.ok && refreshed.build.sheets['barge-8']!.rev).toBe(2);
});

test('past the limits an edit is refused with the limit', () => {
  const answer = applyEdit(fixture().build, addItemEdit(fixture().build, catalogue, 'barge-8' as SheetId, 501));
  expect(answer).toMatchObject({ ok: false, words: 'A build holds at most 500 drives; this would be 501.' });
});

test('taking a unit out takes its cables, its place in a set and the changes made to it', () => {
  const full = cube()
    .add('tern-8i')
    .add('barge-8', 2)
    .set({ pool: { sets: [{ id: 's', layout: 'mirror2', units: ['u16' as UnitId] }] } });
  const drive = full.unit('barge-8', 1);
  const out = full
    .set({ pool: { sets: [{ id: 's', layout: 'mirror2', units: [drive] }] } })
    .edit({ type: 'units.remove', units: [drive] }).build;
  expect(out.layout.at[drive]).toBeUndefined();
  expect(out.pool.sets[0]!.units).toEqual([]);
  expect(out.layout.wires.every((wire) => wire.device.every((end) => end.host !== drive))).toBe(true);
});

test('taking a unit out leaves what its builder said of the pool and of how it runs', () => {
  const software = { mostDrives: 6, supportedUntil: '2031-01-01' };
  const full = cube().add('tern-8i').add('barge-8', 2);
  const said = full.set({
    pool: {
      software,
      sets: [{ id: 's', layout: 'mirror2', units: [full.unit('barge-8', 1), full.unit('barge-8', 2)] }],
    },
  });
  const out = said.edit({ type: 'units.remove', units: [full.unit('barge-8', 1)] }).build;
  expect(out.pool).toEqual({ software, sets: [{ id: 's', layout: 'mirror2', units: [full.unit('barge-8', 2)] }] });
  // Nothing but what named the drive is another than before, in any section.
  const named = ['items', 'layout', 'pool'];
  const others = (build: typeof out) => Object.entries(build).filter(([key]) => !named.includes(key));
  expect(others(out)).toEqual(others(said.build));
});

test('putting a part on a taken place moves the other away unless that one is held', () => {
  const two = cube().add('barge-8', 2, { at: ['u2/cage.1', 'u2/cage.2'] });
  const moved = two.edit({ type: 'place.put', unit: two.unit('barge-8', 2), spot: { host: 'u2', key: 'cage', n: 1 } });
  expect(moved.seat('barge-8', 2)).toBe('cage.1');
  expect(printSpot(moved.build.layout.at[two.unit('barge-8', 1)]!.spot)).not.toBe('u2/cage.1');
  const held = two.edit({ type: 'place.hold', unit: two.unit('barge-8', 1), spot: { host: 'u2', key: 'cage', n: 1 } });
  const kept = held.edit({ type: 'place.put', unit: two.unit('barge-8', 2), spot: { host: 'u2', key: 'cage', n: 1 } });
  expect(kept.seat('barge-8', 1)).toBe('cage.1');
});

test('a part whose inside did not come with it is refused, added or put in place of another', () => {
  const base = cube();
  const hollow = {
    ...catalogue,
    sheets: {
      ...catalogue.sheets,
      'own-hollow': {
        ...catalogue.sheets['larder-8']!,
        id: 'own-hollow',
        name: 'Hollow',
        builtIn: [{ key: 'fan', sheet: 'own-gone', count: 1, spot: 'rear', fixed: false }],
      },
    },
  } as unknown as typeof catalogue;
  const add = addItemEdit(base.build, hollow, 'own-hollow' as SheetId, 1);
  expect(applyEdit(base.build, add)).toEqual({ ok: false, words: 'The sheet own-gone did not come with the edit.' });
  const chassis = base.build.items[0]!;
  expect(
    applyEdit(base.build, {
      type: 'item.replace',
      item: chassis.id,
      sheet: 'own-hollow' as SheetId,
      price: undefined,
      sheets: add.sheets,
      archetypes: add.archetypes,
    }),
  ).toMatchObject({ ok: false });
  const foreign = {
    type: 'item.replace' as const,
    item: chassis.id,
    sheet: 'stead-m6' as SheetId,
    price: undefined,
    sheets: [catalogue.sheets['stead-m6']!],
    archetypes: [],
  };
  expect(applyEdit(base.build, foreign)).toEqual({
    ok: false,
    words: 'The archetype tower-matx did not come with the edit.',
  });
});

test('taking back the first rate leaves none, also where the undo was kept as text', () => {
  const { build } = cube();
  const step = applyEdit(build, { type: 'set.rates', value: { CHF: 1.05 } });
  if (!step.ok) throw new Error(step.words);
  const back = applyEdit(step.build, JSON.parse(JSON.stringify(step.inverse)) as Edit);
  expect(back).toMatchObject({ ok: true });
  expect('rates' in (back as typeof step).build).toBe(false);
  expect((back as typeof step).build).toEqual(build);
});

test('what takes the place of an owned part is to be bought, unless it is owned too', () => {
  const made = fixture().add('coot-1', 2, { deal: 'owned' });
  const [item] = made.build.items;
  const old = { ...item!, stockId: 's1', year: 2014, hours: 41_000, condition: 'worn' as const };
  const build = { ...made.build, items: [old] };
  const replace = {
    type: 'item.replace' as const,
    item: item!.id,
    ...closureOf(catalogue, 'barge-8' as SheetId),
    sheet: 'barge-8' as SheetId,
  };
  const after = (edit: Edit): Item => {
    const applied = applyEdit(build, edit);
    if (!applied.ok) throw new Error(applied.words);
    const back = applyEdit(applied.build, applied.inverse);
    expect(back.ok && back.build).toEqual(build);
    return applied.build.items[0]!;
  };
  const bought = after(replace);
  expect(bought).toMatchObject({ sheet: 'barge-8', deal: 'buy' });
  for (const key of ['stockId', 'year', 'hours', 'condition']) expect(bought).not.toHaveProperty(key);
  expect(after({ ...replace, owned: { stockId: 's2', year: 2020 } })).toMatchObject({
    deal: 'owned',
    stockId: 's2',
    year: 2020,
  });
});

test('a power plug put by hand stays until it is released, taken back or one of its ends goes', () => {
  const made = cube().add('pike-960', 2);
  const [supply, drive] = [made.unit('ember-450s'), made.unit('pike-960')];
  const device = { host: drive, key: 'power-sata-power', n: 1 };
  const plug = (n: number, how: 'put' | 'held') => ({
    cable: 'power',
    host: [{ host: supply, key: 'sata', n }] as [{ host: UnitId; key: string; n: number }],
    device: [device] as [typeof device],
    how,
  });
  const put = made.edit({ type: 'plug.put', plug: plug(2, 'put') });
  expect(put.build.layout.plugs).toEqual([plug(2, 'put')]);
  const held = put.edit({ type: 'plug.put', plug: plug(1, 'held') });
  expect(held.build.layout.plugs).toEqual([plug(1, 'held')]);
  expect(held.edit({ type: 'plug.release', device }).build.layout.plugs).toEqual([]);
  expect(held.edit({ type: 'units.remove', units: [drive] }).build.layout.plugs).toEqual([]);
  expect(held.edit({ type: 'units.remove', units: [supply] }).build.layout.plugs).toEqual([]);
  // The supply a chassis came with goes with that.
  const chassis = made.unit('larder-8');
  const inside = { ...plug(1, 'put'), host: [{ host: `${chassis}+supply.1`, key: 'sata', n: 1 }] as never };
  const onIt = made.edit({ type: 'plug.put', plug: inside });
  expect(onIt.build.layout.plugs).toHaveLength(1);
  expect(onIt.edit({ type: 'units.remove', units: [chassis] }).build.layout.plugs).toEqual([]);
});
