import { groupedBy, memberAt } from '../../lists';
import { ofKind, type PlannedUnit } from '../../machine/units';
import { kept } from '../kept';
import { boxesOf, countsWith, type Box } from '../boxes';
import { classesOf, type FigureContext } from '../context';
import { Ledger, type Quantity } from '../quantity';
import { phases, type DrivePhase } from './currents';
import { draw, spinsUp, type DrawLine, type PowerState } from './draw';
import { lossTolerance, mainsFactor, supplyLossW } from './supplyLoss';

const STATE_WORDS: Record<PowerState, string> = {
  asleep: 'asleep',
  idle: 'idle',
  working: 'at work',
  busy: 'busy',
  peak: 'peak',
  start: 'while the drives start',
};

/**
 * W at the wall: per box the sum of its parts and the loss of its own supply. Parts on the table
 * count with the first box; without a supply its loss is left out and the working says so.
 */
export function wallW(context: FigureContext, state: PowerState, ledger: Ledger): Quantity | null {
  if (state === 'start') return startWallW(context, ledger);
  const lines = draw(context, state, ledger);
  if (lines.length === 0) return null;
  const perBox = groupByBox(context, lines).map(([box, own]) =>
    boxWallW(
      context,
      box,
      own.map(({ watts }) => watts),
      state,
      ledger,
    ),
  );
  return perBox.length === 1 ? memberAt(perBox, 0) : ledger.sum(`At the wall, ${STATE_WORDS[state]}`, 'W', perBox);
}

/** W at the wall of one box in a state; at the start, of its own drives at their own worst moment. */
export function boxWall(context: FigureContext, box: Box, state: PowerState, ledger: Ledger): Quantity | null {
  if (state === 'start') return startWallW(context, ledger, [box]);
  const lines = groupByBox(context, draw(context, state, ledger)).find(([own]) => own === box)?.[1];
  return lines
    ? boxWallW(
        context,
        box,
        lines.map(({ watts }) => watts),
        state,
        ledger,
      )
    : null;
}

/** W at a box's supply outputs in a state; null where the box draws nothing, or nothing of it starts. */
export function boxLoadW(
  context: FigureContext,
  box: PlannedUnit | null,
  state: PowerState,
  ledger: Ledger,
): Quantity | null {
  return kept(context, ledger, `load ${state} ${box?.id}`, () => loadAfresh(context, box, state, ledger));
}

function loadAfresh(context: FigureContext, box: Box, state: PowerState, ledger: Ledger): Quantity | null {
  if (state === 'start') {
    const terms = startTerms(context, [box], ledger)?.byBox.get(box);
    return terms?.length ? ledger.sum('Parts together', 'W', terms, 'sum of the parts') : null;
  }
  const lines = groupByBox(context, draw(context, state, ledger)).find(([own]) => own === box)?.[1] ?? [];
  return lines.length
    ? ledger.sum(
        'Parts together',
        'W',
        lines.map((line) => line.watts),
        'sum of the parts',
      )
    : null;
}

/**
 * The most at the wall while drives start: boxes on one socket start together, so the worst moment is that of their sum
 * over time. The host is near busy in its self-test, fans are at full. Null where no drive spins up.
 */
function startWallW(context: FigureContext, ledger: Ledger, of: readonly Box[] = boxesOf(context)): Quantity | null {
  const start = startTerms(context, of, ledger);
  if (!start) return null;
  const perBox = of.flatMap((box) => {
    const terms = start.byBox.get(box) ?? [];
    return terms.length > 0 ? [boxWallW(context, box, terms, 'start', ledger)] : [];
  });
  return ledger.sum(`At the wall, ${STATE_WORDS.start}`, 'W', perBox, `at ${start.atS.toFixed(1)} s`);
}

/** W of each of some boxes at the moment of a start at which all of them together take most. */
function startTerms(context: FigureContext, of: readonly Box[], ledger: Ledger): StartTerms | null {
  return kept(context, ledger, `start ${of.map((box) => box?.id).join()}`, () => startAfresh(context, of, ledger));
}
type StartTerms = { readonly atS: number; readonly byBox: ReadonlyMap<Box, readonly Quantity[]> };

function startAfresh(context: FigureContext, of: readonly Box[], ledger: Ledger): StartTerms | null {
  const boxes = of.map((box) => ({ box, ...phases(context, box, () => true) }));
  const momentsS = [...new Set(boxes.flatMap((one) => one.momentsS))].sort((a, b) => a - b);
  if (momentsS.length === 0) return null;
  const roughly = (second: number) =>
    boxes.reduce((sum, { at }) => sum + at(second).reduce((all, phase) => all + phase.count * likelyW(phase), 0), 0);
  const atS = momentsS.reduce((best, second) => (roughly(second) > roughly(best) ? second : best));
  const rest = new Map(groupByBox(context, draw(context, 'start', ledger)));
  const byBox = boxes.map(({ box, at }): [Box, readonly Quantity[]] => [
    box,
    [...(rest.get(box) ?? []).map(({ watts }) => watts), ...drivesW(at(atS), ledger)],
  ]);
  return { atS, byBox: new Map(byBox) };
}

const stepW = ({ a12, a5, a33 }: { a12: number; a5: number; a33: number }) => 12 * a12 + 5 * a5 + 3.3 * a33;
const likelyW = ({ drive: { part }, step, waits }: DrivePhase): number =>
  !spinsUp(part) ? 0 : step ? stepW(step) : waits ? part.standbyW : part.idleW;

/** W of the drives that spin up at one moment, like ones together. */
function drivesW(now: readonly DrivePhase[], ledger: Ledger): Quantity[] {
  const classes = new Map<string, { one: DrivePhase; count: number }>();
  for (const one of now) {
    if (!spinsUp(one.drive.part)) continue;
    const key = `${one.drive.part.id}|${one.step?.atS ?? ''}|${one.waits}`;
    classes.set(key, { one, count: (classes.get(key)?.count ?? 0) + one.count });
  }
  return [...classes.values()].map(({ one: { drive, step, waits }, count }) => {
    const { part } = drive;
    const each = step
      ? ledger.fact(part, 'spinUp', stepW(step), 'spinUpW')
      : ledger.fact(part, waits ? 'standbyW' : 'idleW');
    return ledger.times(`${count} × ${part.name}, ${step ? 'starting' : waits ? 'waiting' : 'turning'}`, each, count);
  });
}

/** Likely W at a box's supply outputs over its start; between two moments nothing changes. */
export function startW(
  context: FigureContext,
  box: Box,
): { readonly momentsS: readonly number[]; readonly at: (second: number) => number } {
  const { momentsS, at } = phases(context, box, () => true);
  const lines = groupByBox(context, draw(context, 'start', new Ledger(false))).find(([own]) => own === box)?.[1] ?? [];
  const rest = lines.reduce((sum, { watts }) => sum + watts.value, 0);
  return {
    momentsS,
    at: (second) => at(second).reduce((sum, phase) => sum + phase.count * likelyW(phase), rest),
  };
}

/** What draws in a box in a state, likely W: parts of a class together, drives as at the worst moment of a start. */
type Drawing = { readonly label: string; readonly units: readonly PlannedUnit[]; readonly watts: number };
type BoxDrawing = {
  readonly parts: readonly Drawing[];
  readonly supply: PlannedUnit | null;
  readonly lossW: number;
};

/** What draws in each box in a state, and what its supply turns to heat; together it is the figure at the wall. */
export function drawingAtWall(context: FigureContext, state: PowerState): readonly BoxDrawing[] {
  const ledger = new Ledger(false);
  const start = state === 'start' ? startTerms(context, boxesOf(context), ledger) : null;
  const likely = start && momentOf(context, start.atS);
  const lines = new Map(groupByBox(context, draw(context, state, ledger)));
  // A box may hold nothing but drives that start.
  return boxesOf(context).flatMap((box): BoxDrawing[] => {
    const parts = [
      ...(lines.get(box) ?? []).map(({ of, watts }) => ({
        label: of.units.length === 0 ? 'Processor kept awake by a card' : of.part.name,
        units: of.units,
        watts: watts.value,
      })),
      ...(likely?.get(box) ?? []),
    ];
    if (parts.length === 0) return [];
    const insideW = parts.reduce((sum, { watts }) => sum + watts, 0);
    const supply = supplyOf(context, box);
    const lossW = supply ? mainsFactor(context.site.mainsV).likely * supplyLossW(supply.part, insideW) : 0;
    return [{ parts, supply, lossW }];
  });
}

/** Drives that spin up, by box and sheet, at a second of a start. */
function momentOf(context: FigureContext, second: number): ReadonlyMap<Box, readonly Drawing[]> {
  return new Map(
    boxesOf(context).map((box) => {
      // Drives on the table count with a box as those in it do: of one sheet they are one line.
      const own = classesOf(context.running, context.units, context.layout)
        .filter(({ box: of }) => countsWith(context, of) === box)
        .flatMap(({ units }) => units);
      const bySheet = groupedBy(
        phases(context, box, () => true)
          .at(second)
          .filter(({ drive }) => spinsUp(drive.part)),
        ({ drive }) => drive.part.id,
      );
      const drives = [...bySheet].map(([sheet, these]): Drawing => ({
        label: these[0].drive.part.name,
        units: own.filter(({ part }) => part.id === sheet),
        watts: these.reduce((sum, phase) => sum + phase.count * likelyW(phase), 0),
      }));
      return [box, drives];
    }),
  );
}

/** The state in which socket and UPS have to stand most. */
export function peakState(context: FigureContext, quiet = new Ledger(false)): 'peak' | 'start' {
  const [peak, start] = [wallW(context, 'peak', quiet), wallW(context, 'start', quiet)];
  return start && peak && start.value > peak.value ? 'start' : 'peak';
}

/** What socket and UPS must stand: the larger of everything at its most and the start of the drives. */
export function peakWallW(context: FigureContext, ledger: Ledger): Quantity | null {
  const state = peakState(context, ledger.plain ? ledger : new Ledger(false));
  const worst = wallW(context, state, ledger);
  return worst && state === 'start' ? { ...worst, note: 'at the start' } : worst;
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
  terms: readonly Quantity[],
  state: PowerState,
  ledger: Ledger,
): Quantity {
  const inside = ledger.sum('Parts together', 'W', terms, 'sum of the parts');
  const supply = supplyOf(context, box);
  if (!supply)
    return ledger.sum(
      `At the wall, ${STATE_WORDS[state]}, without a supply's loss`,
      'W',
      [inside],
      'no supply chosen: its loss is left out',
    );
  const { part } = supply;
  const mains = mainsFactor(context.site.mainsV);
  const half = Math.hypot(lossTolerance(part), (mains.hi - mains.lo) / 2 / mains.likely);
  const withLoss = (factor: number) => (watts: number) => watts + factor * supplyLossW(part, watts);
  return ledger.systematic(
    `At the wall, ${STATE_WORDS[state]}, through ${part.name}`,
    'W',
    inside,
    `P + loss(P): ${inside.value.toFixed(1)} + ${(mains.likely * supplyLossW(part, inside.value)).toFixed(1)} ` +
      `W (loss ± ${Math.round(half * 100)} %${mains.likely === 1 ? '' : `, × ${mains.likely} on 115 V`})`,
    {
      low: withLoss(mains.likely * (1 - half)),
      likely: withLoss(mains.likely),
      high: withLoss(mains.likely * (1 + half)),
    },
    { id: `${part.id}.loss`, draw: (watts, at) => withLoss(mains.likely * (1 + at * half))(watts) },
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
