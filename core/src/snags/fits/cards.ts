import { cableKindById } from '../../links/cableKinds';
import { boardSlot, boxOf, coveredBy, seatsOf } from '../../machine/hosts';
import { limitFor, needsRiser, openingAt } from '../../geometry/clearance';
import { cardReachMm, isCard, isKind, isModule, ofKind, type CardPart, unitsById } from '../../machine/units';
import { FULL_HEIGHT_CARD_MM, LOW_PROFILE_CARD_MM } from '../../parts/geometry';
import { boxAround, occupiedFeatures, seatedBoard, spotOf, type Situation, unitById } from '../situation';
import type { Found } from '../words';
import { mismatch } from '../../machine/accepts';
import { spotsOf } from '../../machine/spots';
import { isForOutside, openingOf, outsidePorts, seatedCards } from '../cards';
import { lengthFinding } from './gaps';

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

const cardWords = (part: CardPart): string => (part.plugEndMm ? `${part.name} with its plug` : part.name);

export function cardLength(situation: Situation): Found<'fits.cardLength'>[] {
  return situation.units.flatMap((unit) => {
    if (!isCard(unit.part)) return [];
    const box = boxAround(situation, unit);
    const found = boardSlot(spotOf(situation, unit), unitsById(situation.units), (one) => spotOf(situation, one));
    if (!box || !found) return [];
    const limit = limitFor(box.part, 'card', { occupied: occupiedFeatures(situation, box), slot: found.slot.position });
    return limit ? lengthFinding(cardReachMm(unit.part), limit, unit, { card: cardWords(unit.part) }, box) : [];
  });
}

export function cardSlot(situation: Situation): Found<'fits.cardSlot'>[] {
  const board = seatedBoard(situation);
  if (!board) return [];
  return situation.outcome.unplaced.flatMap((unit): Found<'fits.cardSlot'>[] => {
    if (!isCard(unit.part)) return [];
    if (isModule(unit)) {
      const sockets = spotsOf(board.id, board.part).filter((spot) => spot.type === 'm2');
      const fitting = sockets.filter((spot) => !mismatch(unit.part, spot));
      const reason =
        sockets.length === 0
          ? `${board.part.name} has no M.2 socket.`
          : fitting.length === 0
            ? 'No M.2 socket here takes it: it wants PCIe lanes, its length and its notch.'
            : fitting.length === 1
              ? 'The only M.2 socket that takes it is in use, or has no lanes.'
              : `All ${fitting.length} M.2 sockets that take it are in use, or have no lanes.`;
      return [
        {
          severity: 'blocker',
          at: [{ unit: unit.id }],
          facts: { card: unit.part.name, place: 'M.2 socket', reason },
          because: [{ unit: board.id }],
        },
      ];
    }
    const { slots } = board.part;
    const taken = slots.filter((slot) =>
      Object.values(situation.layout.at).some((seat) => seat.spot.host === board.id && seat.spot.key === slot.key),
    ).length;
    const groups = spotsOf(board.id, board.part).filter((spot) => spot.type === 'slot');
    const takes = groups.filter((spot) => !mismatch(unit.part, spot)).length;
    const reason =
      slots.length === 0
        ? `${board.part.name} has no slots.`
        : takes === 0
          ? `It is ${unit.part.bus === 'pci' ? 'PCI' : `x${unit.part.lanes}`}; the slots are ` +
            `${[...new Set(slots.map((slot) => (slot.bus === 'pci' ? 'PCI' : `x${slot.lanes}`)))].join(', ')}.`
          : slots.length === 1
            ? 'The only one is in use.'
            : `${taken} of ${slots.length} are in use.`;
    return [
      {
        severity: 'blocker',
        at: [{ unit: unit.id }],
        facts: { card: unit.part.name, place: 'slot', reason },
        because: [{ unit: board.id }],
      },
    ];
  });
}

/** A thick card: the slots it lies over, and whether the chassis has openings for all of it. */
export function cardCovers(situation: Situation): Found<'fits.cardCovers'>[] {
  return situation.units.flatMap((unit): Found<'fits.cardCovers'>[] => {
    const { part } = unit;
    const spot = spotOf(situation, unit);
    const board = spot && unitById(situation, spot.host)?.part;
    if (!spot || !isCard(part) || part.thickSlots <= 1 || board?.kind !== 'board') return [];
    const slot = board.slots.find((one) => one.key === spot.key);
    if (!slot) return [];
    const covered = coveredBy(unit, spot, situation.units);
    const openings = boxAround(situation, unit)?.part.openings.reduce((sum, one) => sum + one.count, 0);
    const last = slot.position + Math.ceil(part.thickSlots);
    const facts = {
      card: part.name,
      slots: Math.ceil(part.thickSlots),
      covered: covered
        .map((name) => board.slots.find((one) => name.endsWith(`/${one.key}`))?.label ?? name)
        .join(' and '),
    };
    if (openings !== undefined && part.brackets.length > 0 && last > openings)
      return [
        {
          severity: 'blocker',
          at: [{ unit: unit.id }],
          gap: { have: last, limit: openings, gap: openings - last, unit: 'openings' },
          facts,
        },
      ];
    return covered.length ? [{ severity: 'note', at: [{ unit: unit.id }, { spot }], facts }] : [];
  });
}

/** A bracket in a slot opening leads two cables through the wall. */
const CABLES_A_BRACKET = 2;

/** Cables led through the wall of a box by a bracket, where cards leave it too few slot openings. */
export function bracketOpening(situation: Situation): Found<'fits.bracketOpening'>[] {
  const through = new Map<string, number>();
  for (const wire of situation.layout.wires) {
    const at = cableKindById(wire.cable)?.bracketAt;
    const box = at && boxOf(wire[at][0].host, seatsOf(situation.layout), situation.units);
    if (box) through.set(box.id, (through.get(box.id) ?? 0) + 1);
  }
  return [...through].flatMap(([id, cables]): Found<'fits.bracketOpening'>[] => {
    const box = unitsById(situation.units).get(id);
    if (!box || !isKind(box, 'chassis')) return [];
    const openings = box.part.openings.reduce((sum, one) => sum + one.count, 0);
    const taken = seatedCards(situation)
      .filter((card) => boxAround(situation, card)?.id === id && openingOf(situation, card)?.height)
      .reduce((sum, { part }) => sum + Math.ceil(part.thickSlots), 0);
    const [free, brackets] = [Math.max(0, openings - taken), Math.ceil(cables / CABLES_A_BRACKET)];
    return brackets <= free
      ? []
      : [
          {
            severity: 'caution',
            at: [{ unit: box.id }],
            gap: { have: brackets, limit: free, gap: free - brackets, unit: 'openings' },
            facts: { box: box.part.name, cables, brackets },
          },
        ];
  });
}
