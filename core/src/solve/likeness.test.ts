import type { Part } from '../parts/resolve';
import { roomForDrives } from '../figures/room';
import { catalogue, cube, fixture, tweak, type Fixture } from '../testing/fixture';
import { checkLayout } from './checkLayout';
import { dealtAlike, dealtUnits, DRIVE_SHAPE, layoutsAlike } from './likeness';
import { problemOf } from './problem';
import { scoreOf, solve } from './solve';
import type { PlannedUnit } from '../machine/units';

const machines: Record<string, () => Fixture> = {
  'a cube with eight drives and an HBA': () => cube().add('tern-8i').add('barge-8', 8).add('pike-960', 2),
  'a cube short of ports with a module that switches some off': () => cube().add('reed-250').add('barge-8', 8),
  'a tower with SAS drives on a breakout': () =>
    fixture().add('steading-t9').add('plover-a6').add('tern-8i').add('sluice-8', 3).add('barge-8', 3),
};

/** The same units with drives that refuse to be asked anything but their shape and who they are. */
function guarded(units: readonly PlannedUnit[]): PlannedUnit[] {
  const allowed = new Set<PropertyKey>([...DRIVE_SHAPE, 'id', 'name', 'builtIn']);
  const guard = (part: Part) =>
    new Proxy(part, {
      get(target, field) {
        if (!allowed.has(field)) throw new Error(`placing read ${String(field)} of a drive: add it to DRIVE_SHAPE`);
        return Reflect.get(target, field) as unknown;
      },
    });
  return units.map((unit) => (unit.part.kind === 'drive' ? { ...unit, part: guard(unit.part) } : unit));
}

test.each(Object.entries(machines))(
  'placing, checking and room read nothing of a drive but its shape: %s',
  (_name, make) => {
    const { build } = make();
    const { units } = problemOf(build);
    const plain = solve({ units }, { at: {}, wires: [], plugs: [], dormant: {} });
    const blind = guarded(units);
    const outcome = solve({ units: blind }, { at: {}, wires: [], plugs: [], dormant: {} });
    expect(outcome.layout).toEqual(plain.layout);
    expect(checkLayout({ units: blind }, outcome.layout)).toEqual([]);
    expect(roomForDrives(blind, outcome.layout)).toEqual(roomForDrives(units, plain.layout));
  },
);

test('drives of one shape are dealt alike, another height, interface or role is not', () => {
  const copy = (values: Record<string, unknown>) =>
    problemOf(cube(tweak('barge-8', values)).add('barge-8', 2).build).units;
  const base = problemOf(cube().add('barge-8', 2).build).units;
  expect(dealtAlike(base, copy({ idleW: 9, capacityBytes: 1e12, name: 'Other' }))).toBe(true);
  expect(dealtAlike(base, copy({ heightMm: 20 }))).toBe(false);
  expect(dealtAlike(base, copy({ interface: 'sas' }))).toBe(false);
  expect(dealtAlike(base, problemOf(cube().add('barge-8', 2, { role: 'boot' }).build).units)).toBe(false);
  expect(dealtAlike(base, base.slice(1))).toBe(false);
});

test('layouts are alike by the value of their seats, not by how they were made', () => {
  const { layout } = cube().add('barge-8', 2).build;
  const [id, seat] = Object.entries(layout.at).at(-1)!;
  expect(layoutsAlike(layout, { ...layout, at: { ...layout.at, [id]: { ...seat, spot: { ...seat.spot } } } })).toBe(
    true,
  );
  expect(layoutsAlike(layout, { ...layout, at: { ...layout.at, [id]: { ...seat, how: 'held' } } })).toBe(false);
  expect(layoutsAlike(layout, { ...layout, wires: [...layout.wires] })).toBe(false);
  expect(layoutsAlike({ ...layout, modes: { u4: 'storage' } }, { ...layout, modes: { u4: 'storage' } })).toBe(true);
  expect(layoutsAlike(layout, { ...layout, modes: { u4: 'storage' } })).toBe(false);
});

test('what is solved after another problem of the same shape is what is solved alone', () => {
  const drives = Object.values(catalogue.sheets)
    .filter((sheet) => sheet.kind === 'drive')
    .map((sheet) => sheet.id);
  const base = cube().add('tern-8i').add('barge-8', 3);
  const inOrder = (list: readonly string[]) => new Map(list.map((id) => [id, base.add(id).build.layout]));
  const forward = inOrder(drives);
  const backward = inOrder([...drives].reverse());
  for (const id of drives) expect(backward.get(id)).toEqual(forward.get(id));
});

test.each(Object.entries(machines))(
  'supplies, fans, coolers, memory and small parts change nothing for drives and cards: %s',
  (_name, make) => {
    const apart = ['supply', 'processor', 'cooler', 'memory', 'fan', 'powerAdapter', 'sundry'].map(
      (kind) => Object.values(catalogue.sheets).find((sheet) => sheet.kind === kind)!.id,
    );
    const full = apart.reduce((machine, id) => machine.add(id, 2), make());
    const { layout } = full.build;
    const { units } = problemOf(full.build);
    const dealt = dealtUnits(units);
    expect(dealt.length).toBeLessThanOrEqual(units.length - 2 * apart.length);
    for (const hint of [layout, { ...layout, wires: [] }, { at: {}, wires: [], plugs: [], dormant: {} }])
      expect(scoreOf({ units: dealt }, hint)).toEqual(scoreOf({ units }, hint));
    const fresh = make().build;
    const seatsOf = ({ at }: typeof layout) => dealtUnits(problemOf(fresh).units).map(({ id }) => at[id]);
    expect(seatsOf(layout)).toEqual(seatsOf(fresh.layout));
    expect(layout.wires).toEqual(fresh.layout.wires);
  },
);
