import { ofKind, type PlannedUnit } from '../../machine/units';
import { countsWith, type Box } from '../boxes';
import type { FigureContext } from '../context';
import type { Ledger, Quantity } from '../quantity';
import { draw, type DrawLine, type PowerState } from './draw';
import { lossTolerance, supplyLossW } from './supplyLoss';

/** Fan duty of the policy; one that holds a temperature runs at the plain duty until air is computed. */
const PLAIN_DUTY = 0.4;
export const fanDutyOf = (context: Pick<FigureContext, 'policy'>): number =>
  context.policy.fans.kind === 'fixed' ? context.policy.fans.duty : PLAIN_DUTY;

const STATE_WORDS: Record<PowerState, string> = { asleep: 'asleep', idle: 'idle', busy: 'busy', peak: 'peak' };

/**
 * W at the wall: per box the sum of its parts and the loss of its own supply. Parts on the table
 * count with the first box; without a supply its loss is left out and the working says so.
 */
export function wallW(context: FigureContext, state: PowerState, ledger: Ledger): Quantity | null {
  const lines = draw(context, state, state === 'peak' ? 1 : fanDutyOf(context), ledger);
  if (lines.length === 0) return null;
  const perBox = groupByBox(context, lines).map(([box, own]) => boxWallW(context, box, own, state, ledger));
  return perBox.length === 1 ? perBox[0]! : ledger.sum(`At the wall, ${STATE_WORDS[state]}`, 'W', perBox);
}

/**
 * W at a box's supply outputs in a state, fans at the policy's duty or at full for the peak; null where the box draws
 * nothing.
 */
export function boxLoadW(
  context: FigureContext,
  box: PlannedUnit | null,
  state: PowerState,
  ledger: Ledger,
): Quantity | null {
  const all = draw(context, state, state === 'peak' ? 1 : fanDutyOf(context), ledger);
  const lines = groupByBox(context, all).find(([own]) => own === box)?.[1] ?? [];
  return lines.length
    ? ledger.sum(
        'Parts together',
        'W',
        lines.map((line) => line.watts),
        'sum of the parts',
      )
    : null;
}

function groupByBox(context: FigureContext, lines: readonly DrawLine[]): [Box, DrawLine[]][] {
  const groups = new Map<Box, DrawLine[]>();
  for (const line of lines) {
    const box = countsWith(context, line.of.box);
    groups.set(box, [...(groups.get(box) ?? []), line]);
  }
  return [...groups];
}

function boxWallW(
  context: FigureContext,
  box: PlannedUnit | null,
  lines: readonly DrawLine[],
  state: PowerState,
  ledger: Ledger,
): Quantity {
  const inside = ledger.sum(
    'Parts together',
    'W',
    lines.map((line) => line.watts),
    'sum of the parts',
  );
  const supply = supplyOf(context, box);
  if (!supply)
    return ledger.sum(
      `At the wall, ${STATE_WORDS[state]}, without a supply's loss`,
      'W',
      [inside],
      'no supply chosen: its loss is left out',
    );
  const { part } = supply;
  const half = lossTolerance(part);
  const withLoss = (factor: number) => (watts: number) => watts + factor * supplyLossW(part, watts);
  return ledger.systematic(
    `At the wall, ${STATE_WORDS[state]}, through ${part.name}`,
    'W',
    inside,
    `P + loss(P): ${inside.value.toFixed(1)} + ${supplyLossW(part, inside.value).toFixed(1)} ` +
      `W (loss ± ${half * 100} %)`,
    { low: withLoss(1 - half), likely: withLoss(1), high: withLoss(1 + half) },
    { id: `${part.id}.loss`, draw: (watts, at) => withLoss(1 + at * half)(watts) },
  );
}

/** The supply in a box, else one still on the table. */
export function supplyOf(context: Pick<FigureContext, 'units' | 'layout'>, box: PlannedUnit | null) {
  const supplies = ofKind(context.units, 'supply');
  return (
    supplies.find(
      (unit) => box && (context.layout.at[unit.id]?.spot.host === box.id || unit.builtIn?.spot.host === box.id),
    ) ??
    supplies.find((unit) => !context.layout.at[unit.id] && !unit.builtIn) ??
    null
  );
}
