import { memberAt } from '../lists';
import { genAt, lanesAt } from '../solve/checkLayout';
import { boardSlot } from '../machine/hosts';
import { needsRiser, openingAt } from '../geometry/clearance';
import { linkMBps, PCI_MBPS } from '../links/rates';
import { groupAt } from '../machine/spotAt';
import { isCard, isKind, ofKind, unitsById } from '../machine/units';
import { factOf, type Part, type PartOf } from '../parts/resolve';
import { FULL_HEIGHT_CARD_MM, LOW_PROFILE_CARD_MM } from '../parts/geometry';
import { asksMBps, chipsetAsked, needOf, usedLanes, wishesOn, type CardUnit } from '../wiring/asked';
import { drivesOn } from '../wiring/drivesOn';
import { boxAround, isSeated, seatedBoard, spotOf, type Situation } from './situation';
import type { Found } from './words';

const seatedCards = (situation: Situation): CardUnit[] =>
  situation.units.filter((unit): unit is CardUnit => isCard(unit.part) && !!spotOf(situation, unit));

/**
 * Where a card meets the rear wall, also through a riser: its position and the opening there, null where the wall is
 * closed.
 */
function openingOf(
  situation: Situation,
  unit: CardUnit,
): {
  readonly position: number;
  readonly openings: number;
  readonly height: 'full' | 'low' | null;
  readonly raised: boolean;
  readonly box: PartOf<'chassis'>;
} | null {
  const found = boardSlot(spotOf(situation, unit), unitsById(situation.units), (one) => spotOf(situation, one));
  const box = boxAround(situation, unit);
  if (!found || !box) return null;
  const { position } = found.slot;
  return {
    position,
    openings: box.part.openings.reduce((sum, one) => sum + one.count, 0),
    height: openingAt(box.part, position)?.height ?? null,
    raised: !!found.riser,
    box: box.part,
  };
}

/** A card that stands in the board's own slot where only one lying on a riser has room. */
export function cardHeight(situation: Situation): Found<'fits.cardHeight'>[] {
  return seatedCards(situation).flatMap((unit): Found<'fits.cardHeight'>[] => {
    const opening = openingOf(situation, unit);
    if (!opening || opening.raised || !needsRiser(opening.box, opening.position)) return [];
    const { box } = opening;
    const room = box.boardPose === 'flat' ? box.heightMm - (box.boardAt?.yMm ?? 0) : box.widthMm;
    const have = unit.part.height === 'full' ? FULL_HEIGHT_CARD_MM : LOW_PROFILE_CARD_MM;
    return have <= room
      ? []
      : [
          {
            severity: 'blocker',
            at: [{ unit: unit.id }],
            gap: { have, limit: room, gap: room - have, unit: 'mm' },
            facts: { card: unit.part.name, chassis: box.name },
          },
        ];
  });
}

/** A riser that lays its cards to one side of the slot where the chassis has the opening on the other. */
export function riserHand(situation: Situation): Found<'fits.riserHand'>[] {
  return ofKind(situation.units, 'riser').flatMap((unit): Found<'fits.riserHand'>[] => {
    const found = boardSlot(spotOf(situation, unit), unitsById(situation.units), (one) => spotOf(situation, one));
    const box = boxAround(situation, unit);
    const want = found && box && openingAt(box.part, found.slot.position)?.hand;
    const have = unit.part.hand;
    if (!want || !have || want === have) return [];
    return [
      {
        severity: 'blocker',
        at: [{ unit: unit.id }],
        facts: { riser: unit.part.name, have, chassis: box.part.name, want },
      },
    ];
  });
}

/** Outside ports a card brings: what a wall without an opening takes away. */
function outsidePorts({ part }: CardUnit): number {
  if (part.kind === 'networkCard') return part.networkPorts.reduce((sum, one) => sum + one.count, 0);
  if (part.kind === 'accelerator') return part.displayOutput ? 1 : 0;
  return part.kind === 'controller' || part.kind === 'expander'
    ? part.connectors.reduce((sum, one) => sum + (one.side === 'outside' ? one.count : 0), 0)
    : 0;
}

/** A card whose bracket or board is not of the height of its opening (PCI-SIG CEM: 111.15 and 68.9 mm). */
export function cardBracket(situation: Situation): Found<'fits.bracket'>[] {
  const spare = ofKind(situation.units, 'sundry').some(({ part }) => part.use === 'bracket');
  return seatedCards(situation).flatMap((unit): Found<'fits.bracket'>[] => {
    const opening = openingOf(situation, unit);
    const { part } = unit;
    if (!opening?.height || opening.raised || needsRiser(opening.box, opening.position) || part.brackets.length === 0)
      return [];
    const facts = {
      card: part.name,
      opening: opening.height === 'low' ? 'low-profile' : 'full-height',
      brackets: part.brackets.map((one) => (one === 'low' ? 'low-profile' : 'full-height')).join(' and '),
    };
    if (part.height === 'full' && opening.height === 'low')
      return [
        {
          severity: 'blocker',
          at: [{ unit: unit.id }],
          gap: {
            have: FULL_HEIGHT_CARD_MM,
            limit: LOW_PROFILE_CARD_MM,
            gap: LOW_PROFILE_CARD_MM - FULL_HEIGHT_CARD_MM,
            unit: 'mm',
          },
          facts,
        },
      ];
    if (part.brackets.includes(opening.height) || (spare && opening.height === 'low')) return [];
    return [{ severity: opening.height === 'low' ? 'blocker' : 'caution', at: [{ unit: unit.id }], facts }];
  });
}

/** A card whose outside sockets are what it is for: behind a closed wall it does nothing. */
export const isForOutside = (part: Part): boolean =>
  part.kind === 'networkCard' ||
  ((part.kind === 'controller' || part.kind === 'expander') &&
    part.connectors.length > 0 &&
    part.connectors.every((one) => one.side === 'outside'));

/** A card before a wall without an opening: it goes in without its bracket, and its outside ports are lost. */
export function cardOpening(situation: Situation): Found<'fits.opening'>[] {
  return seatedCards(situation).flatMap((unit): Found<'fits.opening'>[] => {
    const opening = openingOf(situation, unit);
    const { part } = unit;
    if (!opening || part.thickSlots > 1) return [];
    if (opening.height || part.brackets.length === 0) return [];
    const lost = outsidePorts(unit);
    const useless = isForOutside(part);
    return [
      {
        severity: useless ? 'blocker' : 'caution',
        at: [{ unit: unit.id }],
        gap: {
          have: opening.position + 1,
          limit: opening.openings,
          gap: opening.openings - opening.position - 1,
          unit: 'openings',
        },
        facts: { card: part.name, lost, useless: useless ? 'yes' : '' },
      },
    ];
  });
}

/** A card whose bracket was left off: it goes in, and only the slot holds it. */
export function bracketOff(situation: Situation): Found<'fits.bracketOff'>[] {
  return seatedCards(situation).flatMap((unit): Found<'fits.bracketOff'>[] => {
    const { part } = unit;
    const own =
      ('brackets' in part.sheet ? part.sheet.brackets : undefined) ??
      ('brackets' in part.typical ? part.typical.brackets : []);
    if (part.brackets.length > 0 || own.length === 0) return [];
    const isClosed = !openingOf(situation, unit)?.height;
    return [
      {
        severity: isClosed && isForOutside(part) ? 'blocker' : 'note',
        at: [{ unit: unit.id }],
        facts: { card: part.name, lost: isClosed ? outsidePorts(unit) : 0 },
      },
    ];
  });
}

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
      return asked > PCI_MBPS
        ? [
            {
              severity: asked > PCI_MBPS * 1.5 ? 'caution' : 'note',
              at: [{ unit: unit.id }],
              gap: { have: PCI_MBPS, limit: asked, gap: PCI_MBPS - asked, unit: 'MB/s' },
              facts: { card: part.name, bus: 'pci', drives: drivesOn(situation, unit.id).length },
            },
          ]
        : [];
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
    if (need !== null && carries < need * NEARLY && carries < linkMBps(part.lanes, part.gen))
      return [
        {
          severity: 'caution',
          at: [{ unit: unit.id }],
          gap: { have: carries, limit: Math.round(need), gap: carries - Math.round(need), unit: 'MB/s' },
          facts,
        },
      ];
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
    return {
      severity: asked > carries * 1.5 ? 'caution' : 'note',
      at: cards.map((one) => ({ unit: one.unit.id })),
      gap: { have: asked, limit: carries, gap: carries - asked, unit: 'MB/s' },
      facts: { card: unit.part.name, cards: cards.length, drives, lanes: have, gen, chip: chip ? 'yes' : '' },
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
    return [
      {
        severity: carries < asks(unit) * 0.67 ? 'caution' : 'note',
        at: [{ unit: unit.id }],
        gap: { have: carries, limit: own, gap: carries - own, unit: 'MB/s' },
        facts: { drive: part.name, socket: group.label, gen, ownGen: part.pcieGen ?? 3, lanes: have, own: part.lanes },
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
  return [
    {
      severity: asked > carries * 1.5 ? 'caution' : 'note',
      at: [{ unit: board.id }, ...on.map(({ unit }) => ({ unit: unit.id }))],
      gap: { have: asked, limit: carries, gap: carries - asked, unit: 'MB/s' },
      facts: { board: board.part.name, lanes: board.part.uplinkLanes, gen: board.part.uplinkGen },
    },
  ];
}

/** W that a card may take from a slot, by the smaller of its own connector and the slot (PCI-SIG CEM). */
function slotAllowanceW(lanes: number, height: 'full' | 'low'): number {
  if (lanes === 1) return height === 'full' ? 25 : 10;
  // A board does not know how high a card is: a low-profile one in a slot of 16 lanes gets what that gives.
  return lanes < 16 ? 25 : 75;
}

/** A card without a plug of its own that draws more than its slot gives. */
export function slotPower(situation: Situation): Found<'powered.slot'>[] {
  const byId = unitsById(situation.units);
  return seatedCards(situation).flatMap((unit): Found<'powered.slot'>[] => {
    const { part } = unit;
    const spot = spotOf(situation, unit);
    const group = spot && groupAt(byId, spot);
    if (
      !spot ||
      group?.type !== 'slot' ||
      part.bus !== 'pcie' ||
      (part.kind === 'expander' && part.poweredBy === 'plug') ||
      ('powerInputs' in part && (part.powerInputs ?? []).length > 0)
    )
      return [];
    const { value, lo, hi } = factOf(part, 'peakW');
    const limit = slotAllowanceW(Math.min(part.lanes, group.slot.lanes), part.height);
    // A card is made to its slot: what is typical of its class passes that by its likely value or not at all.
    if (value <= limit) return [];
    const most = slotAllowanceW(Math.min(part.lanes, group.slot.lanes), 'full');
    return [
      {
        // A slot of one lane that gives a high card 25 W gives them to a low one too; that it does is not sure.
        severity: lo > most ? 'blocker' : 'caution',
        at: [{ unit: unit.id }],
        gap: { have: value, limit, gap: limit - value, unit: 'W', lo, hi },
        facts: { card: part.name, slot: group.label },
      },
    ];
  });
}
