import { rack } from '../../testing/racks';
import { solve } from '../solve';
import { seatSpot, type PlannedUnit } from '../../machine/units';
import { seatedBays } from './bayPlans';
import type { Room } from './least';
import { deal, type Dealing } from './search';
import { layTable } from './buildTable';
import { layersOf } from './layers';
import { levelsOf } from './score';
import { wishesOf } from './wishes';

/** Nothing is known of what is left: nothing is cut. */
const BLIND: Room = {
  nowhere: 0,
  homes: [],
  waiting: [{ ranked: [0, 0, 0], reach: 0 }],
  narrow: null,
  carry: null,
  board: null,
  whole: { wishMBps: [], counts: [], apart: 0, mbPerS: 0 },
  lost: 0,
  shared: [],
  straight: 0,
  breakouts: 0,
  owned: 0,
  away: 0,
};
const blind = (dealing: Dealing): Dealing => ({
  ...dealing,
  layers: dealing.layers.map((layer) => ({ ...layer, room: () => BLIND })),
});

function dealingOf(seed: number, drives: number): Dealing {
  const {
    problem: { units, owned },
    hint,
  } = rack(seed, drives);
  const { layout } = solve({ units, ...(owned ? { owned } : {}) }, hint);
  const groups = seatedBays(units, new Map(Object.entries(layout.at)));
  return layersOf(
    layTable({
      units,
      groups,
      covered: new Set(),
      seatOf: (unit: PlannedUnit) => seatSpot(layout, unit),
      modes: layout.modes,
      wishes: wishesOf(units, hint),
      wires: hint.wires,
      owned: owned ?? new Map(),
    }).table,
    { left: Infinity },
  );
}

test('racks of 25 to 40 drives: cut by the bounds the dealing comes out as it does without any', () => {
  const compared = Array.from({ length: 16 }, (_, i) => i).flatMap((i) => {
    const dealing = dealingOf(700 + i, 25 + i);
    const whole = deal(blind(dealing), null, { left: 400_000 * dealing.cost });
    // What takes longer than that without bounds says nothing.
    if (!whole.whole) return [];
    const cut = deal(dealing, null, { left: 1_000_000 * dealing.cost });
    expect(cut.whole).toBe(true);
    expect(levelsOf(cut.found!.score)).toEqual(levelsOf(whole.found!.score));
    return [i];
  });
  expect(compared.length).toBeGreaterThanOrEqual(9);
});
