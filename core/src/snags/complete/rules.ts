import { portsIn } from '../../links/ports';
import { canStart } from '../../machine/roles';
import { spotsOf } from '../../machine/spots';
import { isKind, ofKind, type PlannedUnit } from '../../machine/units';
import { drivesOn } from '../../wiring/drivesOn';
import { boardsOf, boxAround, isSeated, seatedBoard, type Situation } from '../situation';
import type { Found } from '../words';

/** Small parts that are in no box and not in the kit. */
export function smallParts({ small }: Situation): Found<'complete.smallParts'>[] {
  const missing = small.filter(({ toBuy }) => toBuy > 0);
  if (missing.length === 0) return [];
  return [
    {
      severity: 'note',
      at: [...new Set(missing.flatMap((need) => need.for))].map((unit) => ({ unit })),
      facts: {
        count: missing.length,
        parts: missing.map(({ what, toBuy }) => (toBuy > 1 ? `${toBuy} × ${lower(what)}` : lower(what))).join(', '),
      },
    },
  ];
}

const lower = (words: string) =>
  /^[A-Z]\/|^[A-Z]{2}/.test(words) ? words : words.charAt(0).toLowerCase() + words.slice(1);

/** So many ports more than bays are on any ordinary board. */
const FEW_PORTS = 4;

/** Data ports of the board that no bay of this machine could ever use, and slots behind a closed wall. */
export function uselessPorts(situation: Situation): Found<'complete.uselessPorts'>[] {
  const board = seatedBoard(situation);
  const box = board && boxAround(situation, board);
  if (!board || !box) return [];
  const lanes = portsIn(situation.units, situation.layout)
    .filter((port) => port.unit === board && port.inside && port.carries.includes('sata'))
    .reduce((sum, port) => sum + Math.min(4, port.lanes), 0);
  const hosts: PlannedUnit[] = situation.units.filter(
    (unit) => isKind(unit, 'adapter') && boxAround(situation, unit) === box,
  );
  const within = [box as PlannedUnit, ...hosts]
    .flatMap((unit) => spotsOf(unit.id, unit.part))
    .filter((spot) => spot.type === 'bay');
  const covered = hosts.reduce((sum, unit) => sum + (isKind(unit, 'adapter') ? unit.part.span : 0), 0);
  // A bay for an adapter holds at most what the densest cage does.
  const bays =
    within.reduce(
      (sum, spot) => sum + (spot.type === 'bay' ? spot.count * (spot.group.takes.includes('5.25') ? 6 : 1) : 0),
      0,
    ) - covered;
  const idle = lanes - Math.max(0, bays);
  return idle > FEW_PORTS
    ? [
        {
          severity: 'note',
          at: [{ unit: board.id }],
          gap: { have: lanes, limit: Math.max(0, bays), gap: -idle, unit: 'ports' },
          facts: { board: board.part.name, chassis: box.part.name, bays: Math.max(0, bays) },
        },
      ]
    : [];
}

const WHOLE = ['board', 'processor', 'memory', 'supply'] as const;

/** Drives, and none among them to start from: neither one set to it by hand nor a small one beside the others. */
export function bootDrive(situation: Situation): Found<'complete.boot'>[] {
  const drives = ofKind(situation.units, 'drive');
  // A machine that is not chosen yet is not asked what it starts from.
  const kinds = new Set(situation.units.map(({ part }) => part.kind));
  if (drives.length === 0 || !WHOLE.every((kind) => kinds.has(kind))) return [];
  if (canStart(situation.units)) return [];
  return [
    {
      severity: 'caution',
      at: boardsOf(situation).map(({ id }) => ({ unit: id })),
      facts: { drives: drives.length },
    },
  ];
}

/** Controllers and expanders in a slot that no drive hangs on, while all drives have their cables. */
export function idleCard(situation: Situation): Found<'complete.idleCard'>[] {
  const { units, layout, outcome } = situation;
  if (ofKind(units, 'drive').length === 0 || outcome.unconnected.length > 0 || outcome.unplaced.length > 0) return [];
  const used = new Set(layout.wires.flatMap(({ host, device }) => [...host, ...device].map((end) => end.host)));
  return units.flatMap((unit): Found<'complete.idleCard'>[] => {
    if (!(isKind(unit, 'controller') || isKind(unit, 'expander')) || unit.builtIn || used.has(unit.id)) return [];
    if (!isSeated(situation, unit) || drivesOn({ units, layout }, unit.id).length > 0) return [];
    return [
      {
        severity: 'note',
        at: [{ unit: unit.id }],
        facts: { card: unit.part.name, watts: Math.round(unit.part.idleW) },
      },
    ];
  });
}

/** Second supplies, boards and chassis that nothing runs on or in, while the first does its work. */
export function runsNothing(situation: Situation): Found<'complete.runsNothing'>[] {
  const { units, layout } = situation;
  const hosts = new Set([
    ...Object.values(layout.at).map(({ spot }) => spot.host),
    ...units.flatMap(({ builtIn, part }) => (builtIn && part.kind === 'board' ? [builtIn.spot.host] : [])),
  ]);
  const idle = units.flatMap((unit): { unit: PlannedUnit; beside: PlannedUnit }[] => {
    if (unit.builtIn || !(isKind(unit, 'supply') || isKind(unit, 'board') || isKind(unit, 'chassis'))) return [];
    const others = units.filter((one) => one !== unit && one.part.kind === unit.part.kind);
    // A chassis stands on the floor of the drawing: what makes it idle is that nothing is in it.
    const isIdle = isKind(unit, 'chassis') ? !hosts.has(unit.id) : !layout.at[unit.id];
    const beside = others.find((one) => (isKind(one, 'chassis') ? hosts.has(one.id) : isSeated(situation, one)));
    return isIdle && beside ? [{ unit, beside }] : [];
  });
  return idle.map(({ unit, beside }): Found<'complete.runsNothing'> => ({
    severity: 'caution',
    at: [{ unit: unit.id }],
    facts: { part: unit.part.name, kind: unit.part.kind as 'supply', beside: beside.part.name },
  }));
}
