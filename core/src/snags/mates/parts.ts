import { isKind, ofKind, unitsById } from '../../machine/units';
import { basisOf } from '../../parts/resolve';
import { sustainedW } from '../../parts/sustained';
import { boardsOf, byPart, isSeated, seatedBoard, spotOf, unplacedOf, type Situation } from '../situation';
import type { Found } from '../words';
import { groupAt } from '../../machine/spotAt';
import { drivesOn } from '../../wiring/drivesOn';
import { missingFrontUsb } from '../../needs/frontUsb';
import { processorsOn } from './memory';

/** A processor or cooler whose socket is not the board's. */
export function socket(situation: Situation): Found<'mates.socket'>[] {
  const board = seatedBoard(situation);
  if (!board) return [];
  return byPart([...unplacedOf(situation, 'processor'), ...unplacedOf(situation, 'cooler')]).map(
    (units): Found<'mates.socket'> => {
      const { part } = units[0];
      const have = part.kind === 'processor' ? part.socket : part.kind === 'cooler' ? part.sockets.join(', ') : '';
      return {
        severity: 'blocker',
        at: units.map((unit) => ({ unit: unit.id })),
        because: [{ unit: board.id }],
        facts: { part: part.name, have, board: board.part.name, want: board.part.socket ?? '' },
      };
    },
  );
}

/** Nothing to see the setup on: no picture from processor or card, and no remote management. */
export function display(situation: Situation): Found<'mates.display'>[] {
  const board = seatedBoard(situation);
  const processor = ofKind(situation.units, 'processor')[0];
  if (!board || !processor || board.part.remoteManagement) return [];
  if (processor.part.graphics && board.part.displayOutput) return [];
  if (ofKind(situation.units, 'accelerator').some((unit) => unit.part.displayOutput && isSeated(situation, unit)))
    return [];
  return [
    {
      severity: 'caution',
      at: [{ unit: processor.id }, { unit: board.id }],
      facts: {
        processor: processor.part.name,
        board: board.part.name,
        graphics: processor.part.graphics ? 'has' : 'has no',
      },
    },
  ];
}

/** A processor of the board's socket, of a generation the board does not name, or names with a firmware. */
export function processorGeneration(situation: Situation): Found<'mates.generation'>[] {
  return boardsOf(situation).flatMap((board) =>
    processorsOn(situation, board).flatMap((processor): Found<'mates.generation'>[] => {
      const { generation, name } = processor.part;
      const { processors } = board.part;
      if (!generation || !processors) return [];
      const taken = processors.find((one) => one.generation.toLowerCase() === generation.toLowerCase());
      if (taken && taken.firmware === undefined) return [];
      return [
        {
          severity: taken ? 'caution' : 'blocker',
          at: [{ unit: processor.id }, { unit: board.id }],
          facts: {
            processor: name,
            generation,
            board: board.part.name,
            takes: processors.map((one) => one.generation).join(', '),
            firmware: taken?.firmware ?? '',
          },
        },
      ];
    }),
  );
}

/**
 * A processor that draws for longer than its board is made for: a caution by its likely value, a blocker where its low
 * end is past it too. A board whose sheet has no figure is held to take what its socket takes.
 */
export function boardWatts(situation: Situation): Found<'mates.boardWatts'>[] {
  return boardsOf(situation).flatMap((board) =>
    processorsOn(situation, board)
      .slice(0, 1)
      .flatMap((processor): Found<'mates.boardWatts'>[] => {
        const limit = board.part.carriesW;
        const { value, lo, hi } = sustainedW(processor.part);
        if (limit === undefined || value <= limit) return [];
        return [
          {
            severity: lo > limit ? 'blocker' : 'caution',
            at: [{ unit: processor.id }, { unit: board.id }],
            gap: { have: value, limit, gap: limit - value, unit: 'W', lo, hi },
            facts: { processor: processor.part.name, board: board.part.name },
          },
        ];
      }),
  );
}

/** Drives formatted with 520-byte sectors, as from storage arrays (INCITS T10 protection formats). */
export function sectors(situation: Situation): Found<'mates.sectors'>[] {
  return byPart(ofKind(situation.units, 'drive').filter(({ part }) => part.sectors === '520')).map(
    (units): Found<'mates.sectors'> => {
      const sas = units.every((unit) =>
        situation.units.some(
          (card) => isKind(card, 'controller') && drivesOn(situation, card.id).some(({ id }) => id === unit.id),
        ),
      );
      return {
        severity: 'caution',
        at: units.map(({ id }) => ({ unit: id })),
        facts: { count: units.length, drive: units[0].part.name, sas: sas ? 'yes' : '' },
      };
    },
  );
}

/** Drives that a live 3.3 V pin keeps switched off (SATA 3.3 power disable), where nothing cuts it. */
export function powerDisable(situation: Situation): Found<'mates.powerDisable'>[] {
  const byId = unitsById(situation.units);
  const held = ofKind(situation.units, 'drive').filter((unit) => {
    const spot = spotOf(situation, unit);
    const group = spot && groupAt(byId, spot);
    // A class of drives may or may not: only what its own sheet says is said here.
    if (
      !unit.part.obeysPin3 ||
      basisOf(unit.part, 'obeysPin3') === 'typical' ||
      unit.part.interface === 'usb' ||
      group?.type !== 'bay' ||
      unit.part.size !== '3.5'
    )
      return false;
    const { backplane } = group.group;
    return backplane ? !backplane.cutsPin3 && backplane.powerInputs.some(({ plug }) => plug === 'sata-power') : true;
  });
  // A cable from a 4-pin plug carries no 3.3 V: with enough of them in the kit nothing is held off.
  const freed = ofKind(situation.units, 'powerAdapter')
    .filter(({ part }) => part.takes === 'peripheral')
    .flatMap(({ part }) => part.gives)
    .reduce((sum, { plug, count }) => sum + (plug === 'sata-power' ? count : 0), 0);
  return held.length <= freed
    ? []
    : [{ severity: 'caution', at: held.map(({ id }) => ({ unit: id })), facts: { count: held.length } }];
}

/** Front sockets whose header the board does not have. */
export function frontUsb({ units, layout }: Situation): Found<'mates.frontUsb'>[] {
  if (ofKind(units, 'sundry').some(({ part }) => part.use === 'headerAdapter')) return [];
  return missingFrontUsb(units, layout).map(({ chassis, board, kind }): Found<'mates.frontUsb'> => ({
    severity: 'note',
    at: [{ unit: chassis.id }, { unit: board.id }],
    facts: { chassis: chassis.part.name, board: board.part.name, kind: kind === 'usb3-header' ? 'USB 3' : 'USB 2' },
  }));
}
