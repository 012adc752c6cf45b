import { isNonEmpty } from '../lists';
import { printSpot, type Layout, type Wire } from '../build/layout';
import { drawn } from '../testing/drawn';
import { machine } from '../testing/mip/machines';
import { checkLayout } from './checkLayout';
import { cableKindById } from '../links/cableKinds';
import { expanderPorts, portsIn } from '../links/ports';
import { scoreOf, solve } from './solve';
import { LEVELS, levelsOf } from './solver/score';
import { seatSpot } from '../machine/units';

type LevelName = (typeof LEVELS)[number];
const SEEDS = Array.from({ length: 60 }, (_, i) => 4_000 + i);
const ends = (wire: Wire) => wire.device.map(printSpot);
const hosts = (wire: Wire) => wire.host.map(printSpot);
const count = (levels: readonly number[], ...names: LevelName[]) =>
  names.reduce((sum, name) => sum + levels[LEVELS.indexOf(name)]!, 0);
const LOST: readonly LevelName[] = ['dataOut', 'bootOut', 'cardsOut', 'restOut', 'dataLoose', 'bootLoose', 'restLoose'];

/** A drawn machine as it was laid out, one of its cables put or held by hand; null where it has none that is. */
function withFirm(
  seed: number,
  how: 'put' | 'held',
): { problem: ReturnType<typeof machine>['problem']; hint: Layout; firm: Wire } | null {
  const { problem, hint } = machine(seed);
  const { layout } = solve(problem, hint);
  const movable = layout.wires.filter((wire) => cableKindById(wire.cable)!.shape !== 'reverse');
  const firm = movable.length > 0 ? movable[drawn(seed)(movable.length)]! : undefined;
  return firm
    ? {
        problem,
        firm,
        hint: { ...layout, wires: layout.wires.map((wire) => (wire === firm ? { ...firm, how } : wire)) },
      }
    : null;
}

test('most drawn machines have a cable that can be put or held', () => {
  expect(SEEDS.filter((seed) => withFirm(seed, 'held')).length).toBeGreaterThan(SEEDS.length / 2);
});

test.each(SEEDS)('drawn machine %i: a cable held where it lies changes nothing', (seed) => {
  const made = withFirm(seed, 'held');
  // A drive that sleeps for a place it cannot have has no other it would keep.
  if (!made || made.problem.units.some(({ id }) => made.hint.dormant[id])) return;
  const { layout } = solve(made.problem, made.hint);
  expect(layout.at).toEqual(made.hint.at);
  expect(layout.wires).toEqual(made.hint.wires);
});

test.each(SEEDS)(
  'drawn machine %i: with other drives in it a held cable keeps its port or sleeps, and what is laid is valid',
  (seed) => {
    const made = withFirm(seed, 'held');
    if (!made) return;
    const { problem, hint, firm } = made;
    // Every second drive is gone, and a like one of each that stays has come.
    const drives = problem.units.filter((unit) => unit.part.kind === 'drive' && !unit.builtIn);
    const gone = new Set(drives.filter((_, i) => i % 2 === 1).map(({ id }) => id as string));
    const units = [
      ...problem.units.filter(({ id }) => !gone.has(id)),
      ...drives
        .filter(({ id }) => !gone.has(id))
        .slice(0, 2)
        .map((unit) => ({ ...unit, id: `${unit.id}x` as typeof unit.id })),
    ];
    const wires = hint.wires.flatMap((wire): Wire[] => {
      const left = wire.device.filter(({ host }) => !gone.has(host));
      return left.length === wire.device.length
        ? [wire]
        : isNonEmpty(left)
          ? [{ ...wire, device: left, lanes: wire.lanes?.filter((_, i) => !gone.has(wire.device[i]!.host)) }]
          : [];
    });
    const { layout } = solve(
      { ...problem, units },
      { ...hint, at: Object.fromEntries(Object.entries(hint.at).filter(([id]) => !gone.has(id))), wires },
    );
    expect(checkLayout({ ...problem, units }, layout)).toEqual([]);
    for (const end of ends(firm).filter((name) => !gone.has(name.split('/')[0]!))) {
      const now = layout.wires.find((wire) => ends(wire).includes(end));
      const there =
        portsIn(units, layout).some(({ name, lanes }) => name === hosts(firm)[0] && lanes > 0) ||
        expanderPorts(units, (unit) => seatSpot(layout, unit)).some(({ name }) => name === hosts(firm)[0]);
      if (now && there) expect({ end, on: hosts(now) }).toEqual({ end, on: hosts(firm) });
      else expect({ end, sleeps: layout.dormant[end]?.how }).toEqual({ end, sleeps: 'held' });
    }
  },
);

test.each(SEEDS)(
  'drawn machine %i: a cable put by hand leaves no drive without a cable that had one, a held one leaves none better',
  (seed) => {
    const made = withFirm(seed, 'put');
    if (!made) return;
    const { problem, hint, firm } = made;
    const lost = (layout: Layout) => count(levelsOf(scoreOf(problem, layout)), ...LOST);
    const loosened: Layout = { ...hint, wires: hint.wires.map((wire) => ({ ...wire, how: 'solved' as const })) };
    const free = lost(loosened);
    const held = lost({
      ...hint,
      wires: hint.wires.map((wire) =>
        printSpot(wire.device[0]) === printSpot(firm.device[0]) ? { ...wire, how: 'held' as const } : wire,
      ),
    });
    expect(solve(problem, hint).unconnected.length + solve(problem, hint).unplaced.length).toBe(free);
    expect(held).toBeGreaterThanOrEqual(free);
  },
);
