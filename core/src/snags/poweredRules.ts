import { boxesOf } from '../figures/boxes';
import { boxStart12A } from '../figures/power/start';
import { boxLoadW, supplyOf } from '../figures/power/wall';
import { Ledger, rangeOfQuantity, type Quantity } from '../figures/quantity';
import { ofKind, type PlannedUnit } from '../machine/units';
import { plugBalance } from '../needs/plugs';
import { isSplittable } from '../needs/splitters';
import type { Situation } from './situation';
import type { Facts, Finding } from './finding';
import type { Found } from './words';

type Supply = NonNullable<ReturnType<typeof supplyOf>>;

/** Boxes that have a supply, each with it. */
const suppliedBoxes = (situation: Situation) =>
  boxesOf(situation.context).flatMap((box) => {
    const supply = supplyOf(situation.context, box);
    return supply ? [{ box, supply }] : [];
  });

type Load = { readonly value: number; readonly lo: number; readonly hi: number };
const ranged = (load: Quantity | null): Load | null => load && { value: load.value, ...rangeOfQuantity(load) };

/** A load against a supply's limit: the likely value past it blocks, only the bad end past it cautions. */
function loadFinding<F extends Facts>(
  load: Load | null | undefined,
  limit: number,
  unit: 'A' | 'W',
  supply: Supply,
  others: readonly PlannedUnit[],
  facts: F,
): Finding<F & { supply: string }>[] {
  if (!load) return [];
  const { lo, hi } = load;
  if (hi <= limit) return [];
  return [
    {
      severity: load.value > limit ? 'blocker' : 'caution',
      at: [{ unit: supply.id }, ...others.map((one) => ({ unit: one.id }))],
      gap: { have: load.value, limit, gap: limit - load.value, unit, lo, hi },
      facts: { ...facts, supply: supply.part.name },
    },
  ];
}

export function start12V(situation: Situation): Found<'powered.start12V'>[] {
  // The figure is that of the box that draws most: with one box it is the very number wanted.
  const alone = boxesOf(situation.context).length === 1;
  return suppliedBoxes(situation).flatMap(({ box, supply }) => {
    const drives = ofKind(situation.units, 'drive').filter((unit) => unit.part.spinUp.some((step) => step.a12 > 0));
    return loadFinding(
      alone ? situation.figures['power.start12A'] : ranged(boxStart12A(situation.context, box, new Ledger(false))),
      supply.part.rail12A,
      'A',
      supply,
      drives,
      { drives: drives.length },
    );
  });
}

/** Everything at its most together against what the supply is rated for. */
export function supplyTotal(situation: Situation): Found<'powered.total'>[] {
  return suppliedBoxes(situation).flatMap(({ box, supply }) =>
    loadFinding(
      ranged(boxLoadW(situation.context, box, 'peak', new Ledger(false))),
      supply.part.ratedW,
      'W',
      supply,
      [],
      {},
    ),
  );
}

const hasSplittable = ({ cables }: Supply['part']): boolean =>
  cables.some((cable) => cable.plugs.some(({ plug }) => isSplittable(plug)));

/** Plugs on drives, cages, boards and cards against those on the supply's cables. */
export function plugsShort(situation: Situation): Found<'powered.plugs'>[] {
  return suppliedBoxes(situation).flatMap(({ box, supply }) =>
    plugBalance(situation.units, situation.layout, box, supply)
      .filter((one) => one.short > 0)
      .map((one): Found<'powered.plugs'> => ({
        severity: one.splittable ? 'caution' : 'blocker',
        at: [{ unit: supply.id }, ...one.wantedBy.map((unit) => ({ unit: unit.id }))],
        gap: { have: one.have, limit: one.need, gap: -one.short, unit: 'plugs' },
        facts: {
          plug: one.plug,
          need: one.need,
          have: one.have,
          supply: supply.part.name,
          short: one.short,
          overload: isSplittable(one.plug) && hasSplittable(supply.part) ? 'yes' : '',
        },
      })),
  );
}
