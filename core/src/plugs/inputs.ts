import { printSpot, type Layout, type SpotRef, type Wire } from '../build/layout';
import { spotsOf } from '../machine/spots';
import { seatSpot, type PlannedUnit } from '../machine/units';
import { loadsOf, type End } from '../needs/plugLoads';
import type { PlugInput } from '../needs/plugInputs';
import type { Want } from './place';

/** One input of a part that wants a plug, by the place of that plug; `share` of its drives' current goes through it. */
export type Input = {
  readonly spot: SpotRef;
  readonly input: PlugInput;
  readonly share: number;
};

/** Every input by itself, in the order things stand in: neighbours follow each other. */
export function eachInput(
  inputs: readonly PlugInput[],
  { units, layout }: { readonly units: readonly PlannedUnit[]; readonly layout: Layout },
): readonly Input[] {
  const place = new Map<string, number>();
  for (const unit of units)
    for (const group of spotsOf(unit.id, unit.part)) place.set(`${unit.id}/${group.key}`, place.size);
  const placeOf = ({ by, drives }: PlugInput): readonly [number, number] => {
    const [drive] = drives;
    const spot = drive && seatSpot(layout, drive);
    return spot ? [place.get(`${spot.host}/${spot.key}`) ?? 0, by === drive ? (spot.n ?? 1) : 0] : [-1, 0];
  };
  return inputs
    .map((input) => ({ input, at: placeOf(input) }))
    .sort((a, b) => a.at[0] - b.at[0] || a.at[1] - b.at[1])
    .flatMap(({ input }) => {
      const all = inputs.filter(({ group }) => group === input.group).reduce((sum, { count }) => sum + count, 0);
      return Array.from({ length: input.count }, (_, i): Input => ({
        spot: { host: input.by.id, key: keyOf(input), n: i + 1 },
        input,
        share: 1 / all,
      }));
    });
}

/** `cage-sata-power` for a backplane, `power-24-pin` for a part's own. */
function keyOf({ group, by, plug }: PlugInput): string {
  const bay = group.startsWith(`${by.id}/`) ? group.slice(by.id.length + 1) : '';
  const isBackplane = bay !== '' && bay !== plug && bay !== 'cpu';
  return `${isBackplane ? bay.slice(0, 24) : 'power'}-${plug}`;
}

type Wishes = ReadonlyMap<string, { readonly chain: number; readonly how: Wire['how'] }>;

/** What each input asks of its plug, at one end of what its parts take. */
export function wantsOf(inputs: readonly Input[], end: End, together: boolean, wishes: Wishes = new Map()): Want[] {
  const parts = [...new Set(inputs.map(({ input }) => input))];
  const loadOf = new Map(
    parts.map((input) => [
      input,
      {
        start: loadsOf([input], end, together ? Infinity : 0, parts)[0]!,
        run: loadsOf([input], end, 0, parts)[0]!,
      },
    ]),
  );
  return inputs.map(({ input, spot }): Want => {
    const { start, run } = loadOf.get(input)!;
    const wish = wishes.get(printSpot(spot));
    return {
      plug: input.plug,
      start: { a12: start.a12, a5: start.a5 },
      run: { a12: run.a12, a5: run.a5 },
      disks: start.disks,
      ...(wish ? { wish } : {}),
    };
  });
}
