import { memberAt } from '../../lists';
import { genAt, lanesAt } from '../../solve/checkLayout';
import { linkMBps, PCI_MBPS } from '../../links/rates';
import { groupAt } from '../../machine/spotAt';
import { isKind, ofKind, unitsById } from '../../machine/units';
import { asksMBps, chipsetAsked, needOf, usedLanes, wishesOn } from '../../wiring/asked';
import { drivesOn } from '../../wiring/drivesOn';
import { isSeated, seatedBoard, spotOf, type Situation } from '../situation';
import type { Found } from '../words';
import { seatedCards } from '../cards';
import { feltIn } from './felt';

/**
 * A card on fewer lanes or an older generation than its own: said, and a caution where it then carries less than it
 * should.
 */
export function cardLink(situation: Situation): Found<'reaches.slotLink'>[] {
  const byId = unitsById(situation.units);
  const lanes = lanesAt(situation.units, situation.layout);
  return seatedCards(situation).flatMap((unit): Found<'reaches.slotLink'>[] => {
    const { part } = unit;
    const spot = spotOf(situation, unit)!;
    const group = groupAt(byId, spot);
    if (!spot || (group?.type !== 'slot' && group?.type !== 'm2')) return [];
    if (part.bus === 'pci') {
      const asked = part.kind === 'controller' ? wishesOn(situation, unit.id) : 0;
      if (asked <= PCI_MBPS) return [];
      const felt = feltIn(situation, ({ key }) => key === 'pci', asked > PCI_MBPS * 1.5 ? 'caution' : 'note');
      return [
        {
          severity: felt.severity,
          at: [{ unit: unit.id }],
          gap: { have: PCI_MBPS, limit: asked, gap: PCI_MBPS - asked, unit: 'MB/s' },
          facts: { card: part.name, bus: 'pci', drives: drivesOn(situation, unit.id).length, ...felt.facts },
        },
      ];
    }
    const have = Math.min(part.lanes, lanes(spot));
    const gen = Math.min(part.gen, genAt(situation.units, situation.layout)(spot));
    const need = needOf(situation, unit);
    const carries = have === 0 ? 0 : linkMBps(have, gen);
    const facts = { card: part.name, slot: group.label, lanes: have, own: part.lanes, gen, ownGen: part.gen, carries };
    if (part.kind === 'expander' || part.kind === 'carrier') return [];
    if (have === 0)
      return [
        {
          severity: 'blocker',
          at: [{ unit: unit.id }],
          gap: { have: 0, limit: part.lanes, gap: -part.lanes, unit: 'lanes' },
          facts,
        },
      ];
    if (need !== null && carries < need * NEARLY && carries < linkMBps(part.lanes, part.gen)) {
      const felt = feltIn(situation, ({ key }) => key === `slot ${unit.id}`, 'caution');
      return [
        {
          severity: felt.severity,
          at: [{ unit: unit.id }],
          gap: { have: carries, limit: Math.round(need), gap: carries - Math.round(need), unit: 'MB/s' },
          facts: { ...facts, ...felt.facts },
        },
      ];
    }
    return have < part.lanes
      ? [
          {
            severity: 'note',
            at: [{ unit: unit.id }],
            gap: { have, limit: part.lanes, gap: have - part.lanes, unit: 'lanes' },
            facts,
          },
        ]
      : [];
  });
}

/**
 * Controllers whose drives could give more than the whole card carries, however good its slot; cards that are asked
 * alike together.
 */
export function cardUplink(situation: Situation): Found<'reaches.cardUplink'>[] {
  const [lanes, gens] = [lanesAt(situation.units, situation.layout), genAt(situation.units, situation.layout)];
  const found = ofKind(situation.units, 'controller').flatMap((unit) => {
    const spot = spotOf(situation, unit);
    if (!spot || unit.part.bus === 'pci') return [];
    const [have, gen] = [Math.min(unit.part.lanes, lanes(spot)), Math.min(unit.part.gen, gens(spot))];
    const link = linkMBps(have, gen);
    const [carries, asked] = [Math.min(link, unit.part.throughputMBps), wishesOn(situation, unit.id)];
    // On fewer lanes than its own the slot is what is spoken of.
    if (have === 0 || asked <= carries || link < Math.min(linkMBps(unit.part.lanes, unit.part.gen), asked)) return [];
    return [{ unit, have, gen, carries, asked, chip: carries < link, drives: drivesOn(situation, unit.id).length }];
  });
  const alike = new Map<string, typeof found>();
  for (const one of found) {
    const key = `${one.unit.part.id}|${one.asked}|${one.carries}|${one.drives}`;
    alike.set(key, [...(alike.get(key) ?? []), one]);
  }
  return [...alike.values()].map((cards): Found<'reaches.cardUplink'> => {
    const { unit, have, gen, carries, asked, chip, drives } = memberAt(cards, 0);
    const own = new Set(cards.flatMap((one) => [`card ${one.unit.id}`, `slot ${one.unit.id}`]));
    const felt = feltIn(situation, ({ key }) => own.has(key), asked > carries * 1.5 ? 'caution' : 'note');
    return {
      severity: felt.severity,
      at: cards.map((one) => ({ unit: one.unit.id })),
      gap: { have: asked, limit: carries, gap: carries - asked, unit: 'MB/s' },
      facts: {
        card: unit.part.name,
        cards: cards.length,
        drives,
        lanes: have,
        gen,
        chip: chip ? 'yes' : '',
        ...felt.facts,
      },
    };
  });
}

/** Less than all by so little is not felt. */
const NEARLY = 0.98;

/** M.2 modules whose socket carries less than they give. */
export function m2Link(situation: Situation): Found<'reaches.m2Link'>[] {
  const byId = unitsById(situation.units);
  const lanes = lanesAt(situation.units, situation.layout);
  const asks = asksMBps(situation.units);
  return ofKind(situation.units, 'drive').flatMap((unit): Found<'reaches.m2Link'>[] => {
    const spot = spotOf(situation, unit);
    const group = spot && groupAt(byId, spot);
    const { part } = unit;
    if (!spot || group?.type !== 'm2' || part.interface !== 'nvme') return [];
    const gen = Math.min(part.pcieGen ?? 3, genAt(situation.units, situation.layout)(spot));
    const have = Math.min(part.lanes, lanes(spot));
    const carries = linkMBps(have, gen);
    const own = Math.min(linkMBps(part.lanes, part.pcieGen ?? 3), part.sequentialMBps);
    if (carries >= own * NEARLY) return [];
    const felt = feltIn(
      situation,
      ({ key }) => key === `socket ${unit.id}`,
      carries < asks(unit) * 0.67 ? 'caution' : 'note',
    );
    return [
      {
        severity: felt.severity,
        at: [{ unit: unit.id }],
        gap: { have: carries, limit: own, gap: carries - own, unit: 'MB/s' },
        facts: {
          drive: part.name,
          socket: group.label,
          gen,
          ownGen: part.pcieGen ?? 3,
          lanes: have,
          own: part.lanes,
          ...felt.facts,
        },
      },
    ];
  });
}

/** Sockets of a carrier that its slot gives no lanes: it does not part, or not into as many. */
export function bifurcation(situation: Situation): Found<'reaches.bifurcation'>[] {
  const byId = unitsById(situation.units);
  const lanes = lanesAt(situation.units, situation.layout);
  const sockets = ofKind(situation.units, 'carrier').flatMap((unit): Found<'reaches.bifurcation'>[] => {
    const spot = spotOf(situation, unit);
    const group = spot && groupAt(byId, spot);
    if (!spot || group?.type !== 'slot') return [];
    const dead = unit.part.m2Sockets.filter((socket) => lanes({ host: unit.id, key: socket.key }) === 0);
    if (dead.length === 0) return [];
    const waiting = situation.outcome.unplaced.filter(
      (one) => isKind(one, 'drive') && one.part.size === 'm2' && one.part.interface === 'nvme',
    );
    return [
      {
        severity: waiting.length > 0 ? 'blocker' : 'caution',
        at: [{ unit: unit.id }, ...waiting.map(({ id }) => ({ unit: id }))],
        gap: {
          have: unit.part.m2Sockets.length - dead.length,
          limit: unit.part.m2Sockets.length,
          gap: -dead.length,
          unit: 'sockets',
        },
        facts: {
          carrier: unit.part.name,
          slot: group.label,
          ways: group.slot.bifurcates?.join(', ') ?? '',
          by: 'sockets',
        },
        because: [{ unit: group.host }],
      },
    ];
  });
  return [...sockets, ...partedPorts(situation)];
}

const LANES_A_DRIVE = 4;

/** Parts of a slot that a drive can use and that begin and end under an edge of so many lanes. */
function partsUnder(way: readonly number[], edgeLanes: number): number {
  let end = 0;
  return way.filter((one) => (end += one) <= edgeLanes && one >= LANES_A_DRIVE).length;
}

/**
 * NVMe drives on the ports of a card that hands its slot's lanes on as they are: as many are seen as the slot parts
 * into. Where the sheet does not say how ports share, that is told as what may be.
 */
function partedPorts(situation: Situation): Found<'reaches.bifurcation'>[] {
  const byId = unitsById(situation.units);
  const lanes = lanesAt(situation.units, situation.layout);
  return ofKind(situation.units, 'controller').flatMap((unit): Found<'reaches.bifurcation'>[] => {
    const { part } = unit;
    const spot = spotOf(situation, unit);
    const group = spot && groupAt(byId, spot);
    const mayBePlain = part.connectors.every(({ carries }) => carries.every((way) => way === 'pcie'));
    if (!spot || group?.type !== 'slot' || (part.pcieBy ?? (mayBePlain ? 'retimer' : 'triMode')) !== 'retimer')
      return [];
    const fed = drivesOn(situation, unit.id).filter(({ part: drive }) => drive.interface === 'nvme');
    const wired = lanes(spot);
    const ways = (group.slot.bifurcates ?? [])
      .map((way) => way.split('x').filter(Boolean).map(Number))
      .filter((way) => way.reduce((sum, one) => sum + one, 0) <= wired);
    const seen = Math.max(1, ...ways.map((way) => partsUnder(way, part.lanes)));
    return fed.length <= seen
      ? []
      : [
          {
            severity: part.pcieBy === 'retimer' ? 'blocker' : 'caution',
            at: [{ unit: unit.id }, ...fed.map(({ id }) => ({ unit: id }))],
            gap: { have: seen, limit: fed.length, gap: seen - fed.length, unit: 'drives' },
            facts: {
              carrier: part.name,
              slot: group.label,
              ways: group.slot.bifurcates?.join(', ') ?? '',
              by: 'ports',
            },
            because: [{ unit: group.host }],
          },
        ];
  });
}

/** Lanes asked of the processor against those it has. */
export function laneBudget(situation: Situation): Found<'reaches.laneBudget'>[] {
  const board = seatedBoard(situation);
  const processor = ofKind(situation.units, 'processor').find((unit) => isSeated(situation, unit));
  if (!board || !processor) return [];
  const used = usedLanes(situation, board, 'processor');
  const sum = used.reduce((all, one) => all + one.lanes, 0);
  if (sum <= processor.part.lanes) return [];
  return [
    {
      severity: 'caution',
      at: [{ unit: processor.id }, ...used.map(({ unit }) => ({ unit: unit.id }))],
      gap: { have: sum, limit: processor.part.lanes, gap: processor.part.lanes - sum, unit: 'lanes' },
      facts: { processor: processor.part.name, board: board.part.name },
    },
  ];
}

/** What hangs on the chipset against its uplink to the processor: drives, cards and network ports share it. */
export function chipsetUplink(situation: Situation): Found<'reaches.chipsetUplink'>[] {
  const board = seatedBoard(situation);
  if (!board || board.part.uplinkLanes === 0) return [];
  const carries = linkMBps(board.part.uplinkLanes, board.part.uplinkGen);
  const on = usedLanes(situation, board, 'chipset');
  const asked = chipsetAsked(situation, board, on);
  if (asked <= carries) return [];
  const felt = feltIn(situation, ({ key }) => key === `uplink ${board.id}`, asked > carries * 1.5 ? 'caution' : 'note');
  return [
    {
      severity: felt.severity,
      at: [{ unit: board.id }, ...on.map(({ unit }) => ({ unit: unit.id }))],
      gap: { have: asked, limit: carries, gap: carries - asked, unit: 'MB/s' },
      facts: { board: board.part.name, lanes: board.part.uplinkLanes, gen: board.part.uplinkGen, ...felt.facts },
    },
  ];
}
