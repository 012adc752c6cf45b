import type { UnitId } from '../parts/ids';
import type { PlannedUnit } from '../machine/units';
import type { FigureContext } from './context';
import { cableCost, itemCost, moneyLines, smallCost } from './cost/money';
import type { FigureId } from './figures';
import { drawingAtWall, peakState } from './power/wall';
import { Ledger } from './quantity';
import { soundSources } from './sound/ear';
import { sumLevels } from './sound/levels';

/**
 * What a part of the machine gives of a figure: its `value` in the figure's unit, of noise the dB(A) that go without
 * it; `of` is its part of the whole, 0 to 1.
 */
export type Share = {
  readonly label: string;
  readonly units: readonly UnitId[];
  readonly value: number;
  readonly of: number;
};

type Given = { readonly label: string; readonly units: readonly PlannedUnit[]; readonly value: number };

const named = (name: string, count: number): string => (count > 1 ? `${count} × ${name}` : name);

function watts(context: FigureContext, state: 'idle' | 'peak' | 'start'): Given[] {
  return drawingAtWall(context, state).flatMap(({ parts, feed: { supply, brick }, lossW }): Given[] => [
    ...parts.map(({ label, units, watts: value }) => ({ label: named(label, units.length), units, value })),
    ...(supply
      ? [{ label: `Heat in ${supply.part.name}`, units: brick ? [supply, brick] : [supply], value: lossW }]
      : []),
  ]);
}

function money(context: FigureContext): Given[] {
  const ledger = new Ledger(false);
  const { copies } = context;
  return [
    ...moneyLines(context.units).map(({ item, units }) => ({
      label: named(units[0]?.part.name ?? '', item.count ?? units.length),
      units,
      value: itemCost({ item, units }, context, ledger)?.value ?? 0,
    })),
    {
      label: 'Cables',
      units: [],
      value: context.needs.reduce((sum, need) => sum + (cableCost(need, context, ledger)?.value ?? 0), 0),
    },
    {
      label: 'Small parts',
      units: [],
      value: context.small.reduce((sum, need) => sum + (smallCost(need, context, ledger)?.value ?? 0), 0),
    },
  ].map((one) => ({ ...one, value: one.value * copies }));
}

/** Sound goes with energy: a source's part is that of its energy, and what goes without it is told in dB(A). */
function sound(context: FigureContext): Share[] {
  const sources = soundSources(context, new Ledger(false));
  const all = sumLevels(sources.map(({ power }) => power.value));
  return sources.map(({ label, units, power }): Share => {
    const of = 10 ** ((power.value - all) / 10);
    return {
      label: named(label, units.length),
      units: units.map(({ id }) => id),
      value: of < 1 ? -10 * Math.log10(1 - of) : all,
      of,
    };
  });
}

const byValue = (a: Share, b: Share) => b.value - a.value;

/** What a figure is made of, the most first; empty where it has no parts to name. */
export function sharesOf(id: FigureId, context: FigureContext): readonly Share[] {
  if (id === 'sound.earIdleDb') return sound(context).sort(byValue);
  const given =
    id === 'power.idleWallW'
      ? watts(context, 'idle')
      : id === 'power.peakWallW'
        ? watts(context, peakState(context))
        : id === 'cost.now'
          ? money(context)
          : [];
  const whole = given.reduce((sum, { value }) => sum + value, 0);
  return given
    .filter(({ value }) => value > 0)
    .map(({ label, units, value }) => ({ label, units: units.map((unit) => unit.id), value, of: value / whole }))
    .sort(byValue);
}
