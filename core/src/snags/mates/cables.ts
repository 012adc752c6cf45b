import { memberAt } from '../../lists';
import { printSpot, type SpotRef, type Wire } from '../../build/layout';
import { cableKindById, type CableKind } from '../../links/cableKinds';
import { carriedBy, longestMm } from '../../links/cableLimit';
import { clashingPlugs } from '../../links/halfPlugs';
import { demandsFor } from '../../links/demands';
import { portsIn } from '../../links/ports';
import { ofKind, unitsById, type UnitOf } from '../../machine/units';
import type { PartOf } from '../../parts/resolve';
import { runMm } from '../../wiring/runLength';
import { servedBy } from '../../wiring/servedBy';
import { byPart, type Situation } from '../situation';
import type { Found } from '../words';

/** Cables of the kit that no cable of the layout is made of: the wrong way round, or of the wrong ends. */
export function spareCables({ cables, units }: Situation): Found<'mates.spareCables'>[] {
  if (units.every(({ part }) => part.kind !== 'drive')) return [];
  const wanted = cables.needs.filter(({ toBuy }) => toBuy > 0);
  return byPart(cables.spare).map((spare): Found<'mates.spareCables'> => {
    const part = spare[0].part as PartOf<'cable'>;
    const kinds = part.ends.map(({ kind }) => kind);
    const twin = cables.needs.find(({ cable }) => kinds.includes(cable.host) && kinds.includes(cable.device));
    const turned = twin && twin.cable.shape !== 'straight' && part.ends.some(({ tails }) => tails > 1);
    const right = twin ?? wanted[0];
    return {
      severity: turned || wanted.length > 0 ? 'caution' : 'note',
      at: spare.map(({ id }) => ({ unit: id })),
      facts: {
        count: spare.length,
        cable: part.name,
        turned: turned ? (twin.cable.shape === 'reverse' ? 'forward' : 'reverse') : '',
        right: right ? `${right.count} × ${right.cable.name}` : '',
      },
    };
  });
}

/** What is under by less than a tenth is pulled straighter. */
const SPARE = 0.9;

/** So much more than its way, and more than twice as long, a cable lies in coils. */
const COILS_MM = 500;

/**
 * A cable of the layout: the way it goes, null from box to box, where nobody knows how far they stand apart; and how
 * far what it carries goes over a passive one.
 */
type Run = { readonly wire: Wire; readonly cable: CableKind; readonly wayMm: number | null; readonly mostMm: number };
/** One whose way is known. */
type Measured = Run & { readonly wayMm: number };
const isMeasured = (run: Run): run is Measured => run.wayMm !== null;

/** The bays that a connector of a backplane is of. */
const bayOf = ({ host, key }: SpotRef): string => `${host}/${key.replace(/-[^-]+$/, '')}`;

function runsOf(situation: Situation): Run[] {
  const { units, layout } = situation;
  const served = servedBy(units, layout);
  const ports = new Map(portsIn(units, layout).map((port) => [port.name, port]));
  const shared = new Set(
    demandsFor(units, layout).flatMap((demand) =>
      demand.kind === 'backplane' && demand.target.shared ? [bayOf(demand.target.ref)] : [],
    ),
  );
  return layout.wires.flatMap((wire): Run[] => {
    const cable = cableKindById(wire.cable);
    if (!cable) return [];
    const isShared = wire.device.some((end) => shared.has(bayOf(end)));
    const carried = carriedBy(cable, ports.get(printSpot(wire.host[0])), served.get(wire) ?? [], isShared);
    return [{ wire, cable, wayMm: runMm(situation, wire), mostMm: longestMm(cable, carried) }];
  });
}

/**
 * Cables of the kit too short for the way they are to go, longer than what they carry allows, or lying in coils; and
 * ways longer than any passive cable goes.
 */
export function cableLength(situation: Situation): Found<'mates.cableLength'>[] {
  if (situation.layout.wires.length === 0) return [];
  const runs = runsOf(situation);
  return [...tooFar(runs.filter(isMeasured)), ...ofTheKit(situation, runs)];
}

function tooFar(runs: readonly Measured[]): Found<'mates.cableLength'>[] {
  const far = runs.filter(({ wayMm, mostMm }) => wayMm * SPARE > mostMm);
  const kinds = new Map<CableKind, Measured[]>();
  for (const run of far) kinds.set(run.cable, [...(kinds.get(run.cable) ?? []), run]);
  return [...kinds].map(([cable, these]): Found<'mates.cableLength'> => {
    const wayMm = Math.max(...these.map((run) => run.wayMm));
    const mostMm = Math.min(...these.map((run) => run.mostMm));
    return {
      severity: 'caution',
      at: [...new Set(these.flatMap(({ wire }) => [...wire.host, ...wire.device].map(({ host }) => host)))].map(
        (unit) => ({ unit }),
      ),
      gap: { have: wayMm, limit: mostMm, gap: mostMm - wayMm, unit: 'mm' },
      facts: { cable: cable.name, count: these.length, is: 'tooFar' },
    };
  });
}

/** The runs that cables of one part are for: the shortest take those there are. */
function runsFor({ cables }: Situation, part: PartOf<'cable'>, count: number, runs: readonly Run[]): Run[] {
  const served = cables.needs.find(({ cable, fromKit }) =>
    fromKit > 0 && cable.host !== cable.device
      ? part.ends.some(({ kind }) => kind === cable.host) && part.ends.some(({ kind }) => kind === cable.device)
      : fromKit > 0 && part.ends.every(({ kind }) => kind === cable.host),
  );
  return runs
    .filter(({ cable }) => cable === served?.cable)
    .sort((a, b) => (a.wayMm ?? 0) - (b.wayMm ?? 0))
    .slice(0, count);
}

function ofTheKit(situation: Situation, runs: readonly Run[]): Found<'mates.cableLength'>[] {
  const spare = new Set(situation.cables.spare.map(({ id }) => id as string));
  const used: UnitOf<'cable'>[] = ofKind(situation.units, 'cable').filter(({ id }) => !spare.has(id));
  return byPart(used).flatMap((like): Found<'mates.cableLength'>[] => {
    const { part } = like[0];
    const mine = runsFor(situation, part, like.length, runs);
    if (mine.length === 0) return [];
    const have = part.lengthMm;
    const finding = (severity: 'caution' | 'note', limit: number, is: LengthTrouble, count: number) => [
      {
        severity,
        at: like.map(({ id }) => ({ unit: id })),
        gap: { have, limit, gap: is === 'short' ? have - limit : limit - have, unit: 'mm' },
        facts: { cable: part.name, count, is },
      },
    ];
    const most = Math.min(part.maxTotalMm ?? Infinity, ...mine.map(({ mostMm }) => mostMm));
    if (have > most) return finding('caution', most, 'long', mine.length);
    const measured = mine.filter(isMeasured);
    if (measured.length === 0) return [];
    const short = measured.filter(({ wayMm }) => wayMm * SPARE > have);
    if (short.length > 0)
      return finding('caution', Math.max(...short.map(({ wayMm }) => wayMm)), 'short', short.length);
    const longest = Math.max(...measured.map(({ wayMm }) => wayMm));
    return have > 2 * longest && have > longest + COILS_MM ? finding('note', longest, 'coils', measured.length) : [];
  });
}

type LengthTrouble = Found<'mates.cableLength'>['facts']['is'];

/** Plugs of eight lanes whose halves go to what no one cable goes to: one plug takes one cable. */
export function halfPlugs({ units, layout }: Situation): Found<'mates.halfPlugs'>[] {
  const byId = unitsById(units);
  return clashingPlugs(layout.wires).flatMap((uses): Found<'mates.halfPlugs'>[] => {
    const unit = byId.get(memberAt(uses, 0).at.host);
    const names = uses.flatMap(({ wire }) => cableKindById(wire.cable)?.name ?? []);
    return unit
      ? [
          {
            severity: 'blocker',
            at: [
              unit.id,
              ...uses.map(({ wire, at }) => (at === wire.host[0] ? wire.device[0] : wire.host[0]).host),
            ].map((id) => ({ unit: id })),
            facts: {
              part: unit.part.name,
              plug: Math.ceil((memberAt(uses, 0).at.n ?? 1) / 2),
              cables: [...new Set(names)].sort().join('; '),
            },
          },
        ]
      : [];
  });
}
