import { memberAt } from '../../lists';
import { mismatch } from '../../machine/accepts';
import { memoryRoom } from '../../machine/memoryRoom';
import { spotsOf } from '../../machine/spots';
import { ofKind, type PlannedUnit } from '../../machine/units';
import { basisOf } from '../../parts/resolve';
import { boardsOf, byPart, isSeated, seatedBoard, spotOf, unplacedOf, type Situation } from '../situation';
import type { Found } from '../words';

const FORM = { dimm: 'DIMM', 'so-dimm': 'SO-DIMM' } as const;

export function memoryMates(situation: Situation): Found<'mates.memory'>[] {
  const board = boardsOf(situation)[0];
  if (!board) return [];
  const { part } = board;
  return byPart(unplacedOf(situation, 'memory')).flatMap((units): Found<'mates.memory'>[] => {
    const memory = units[0].part;
    const bank = spotsOf(board.id, part).find((spot) => spot.type === 'memoryBank');
    if (memory.kind !== 'memory' || (bank && !mismatch(memory, bank))) return [];
    return [
      {
        severity: 'blocker',
        at: units.map((unit) => ({ unit: unit.id })),
        because: [{ unit: board.id }],
        facts: {
          memory: memory.name,
          board: part.name,
          have: `${memory.type.toUpperCase()} ${FORM[memory.form]}`,
          want: bank ? `${part.memoryType.toUpperCase()} ${FORM[part.memoryForm]}` : 'no modules',
        },
      },
    ];
  });
}

export function memorySlots(situation: Situation): Found<'mates.memorySlots'>[] {
  const board = seatedBoard(situation);
  const bank = board && spotsOf(board.id, board.part).find((spot) => spot.type === 'memoryBank');
  if (!board || !bank) return [];
  const loose = unplacedOf(situation, 'memory').filter((unit) => !mismatch(unit.part, bank));
  return loose.length
    ? [
        {
          severity: 'blocker',
          at: loose.map((unit) => ({ unit: unit.id })),
          facts: { count: loose.length, board: board.part.name, slots: board.part.memorySlots },
        },
      ]
    : [];
}

export function memoryRegistered(situation: Situation): Found<'mates.memoryRegistered'>[] {
  return byPart(ofKind(situation.units, 'memory')).flatMap((units): Found<'mates.memoryRegistered'>[] => {
    const memory = units[0].part;
    const host = spotOf(situation, units[0])?.host;
    const board = boardsOf(situation).find((unit) => unit.id === host);
    if (memory.kind !== 'memory' || !board) return [];
    const wrong = memory.registered ? board.part.memoryRegistered === 'never' : board.part.memoryRegistered === 'must';
    if (!wrong) return [];
    const words = (registered: boolean) => (registered ? 'registered' : 'unbuffered');
    return [
      {
        severity: 'blocker',
        at: units.map((unit) => ({ unit: unit.id })),
        because: [{ unit: board.id }],
        facts: {
          memory: memory.name,
          board: board.part.name,
          have: words(memory.registered),
          want: words(!memory.registered),
          ddr5: memory.type === 'ddr5' ? 'yes' : '',
        },
      },
    ];
  });
}

/** Modules in the slots of each board. */
const modulesByBoard = (situation: Situation) =>
  boardsOf(situation).map((board) => ({
    board,
    modules: ofKind(situation.units, 'memory').filter((unit) => spotOf(situation, unit)?.host === board.id),
  }));

/** Registered and unbuffered modules on one board. */
export function memoryMixed(situation: Situation): Found<'mates.memoryMixed'>[] {
  return modulesByBoard(situation).flatMap(({ board, modules }): Found<'mates.memoryMixed'>[] => {
    const [registered, unbuffered] = [true, false].map((kind) => modules.find(({ part }) => part.registered === kind));
    if (!registered || !unbuffered) return [];
    return [
      {
        severity: 'blocker',
        at: modules.map(({ id }) => ({ unit: id })),
        because: [{ unit: board.id }],
        facts: { board: board.part.name, registered: registered.part.name, unbuffered: unbuffered.part.name },
      },
    ];
  });
}

/** Modules of several sizes on one board. */
export function memoryUneven(situation: Situation): Found<'mates.memoryUneven'>[] {
  return modulesByBoard(situation).flatMap(({ board, modules }): Found<'mates.memoryUneven'>[] => {
    const sizes = [...new Set(modules.map(({ part }) => Math.round(part.capacityBytes / 1024 ** 3)))];
    if (sizes.length < 2) return [];
    return [
      {
        severity: 'note',
        at: modules.map(({ id }) => ({ unit: id })),
        facts: { board: board.part.name, sizes: sizes.sort((a, b) => a - b).join(' and ') },
      },
    ];
  });
}

/** Modules made for more than the board, its processor or the slowest module beside them (JEDEC). */
export function memorySpeed(situation: Situation): Found<'mates.memorySpeed'>[] {
  return modulesByBoard(situation).flatMap(({ board, modules }): Found<'mates.memorySpeed'>[] => {
    const processors = ofKind(situation.units, 'processor').filter(
      (unit) => spotOf(situation, unit)?.host === board.id,
    );
    const limits = [
      ...modules.map((unit) => ({ unit, mtPerS: unit.part.mtPerS })),
      ...[board, ...processors].map((unit) => ({ unit, mtPerS: unit.part.memoryMtPerS })),
    ].flatMap(({ unit, mtPerS }) => (mtPerS === undefined ? [] : [{ unit: unit as PlannedUnit, mtPerS }]));
    const slowest = limits.reduce<(typeof limits)[number] | null>(
      (least, one) => (least && least.mtPerS <= one.mtPerS ? least : one),
      null,
    );
    if (!slowest) return [];
    return byPart(modules.filter(({ part }) => (part.mtPerS ?? 0) > slowest.mtPerS)).map(
      (faster): Found<'mates.memorySpeed'> => {
        const have = faster[0].part.mtPerS!;
        return {
          severity: 'note',
          at: faster.map(({ id }) => ({ unit: id })),
          because: [{ unit: slowest.unit.id }],
          gap: { have, limit: slowest.mtPerS, gap: slowest.mtPerS - have, unit: 'MT/s' },
          facts: { memory: faster[0].part.name, slower: slowest.unit.part.name },
        };
      },
    );
  });
}

/** Modules larger than the board takes, or more in all. */
export function memoryMax(situation: Situation): Found<'mates.memoryMax'>[] {
  return boardsOf(situation).flatMap((board): Found<'mates.memoryMax'>[] => {
    const modules = ofKind(situation.units, 'memory').filter((unit) => spotOf(situation, unit)?.host === board.id);
    const gb = (bytes: number) => bytes / 1024 ** 3;
    const finding = (
      units: readonly PlannedUnit[],
      have: number,
      limit: number,
      what: string,
    ): Found<'mates.memoryMax'> => ({
      severity: 'blocker',
      at: units.map((unit) => ({ unit: unit.id })),
      because: [{ unit: board.id }],
      gap: { have, limit, gap: limit - have, unit: 'GB' },
      facts: { board: board.part.name, what },
    });
    const large = modules.filter((unit) => unit.part.capacityBytes > board.part.memoryMaxModuleBytes);
    if (large.length)
      return [
        finding(large, gb(memberAt(large, 0).part.capacityBytes), gb(board.part.memoryMaxModuleBytes), 'a module'),
      ];
    const total = modules.reduce((sum, unit) => sum + unit.part.capacityBytes, 0);
    return total > board.part.memoryMaxBytes
      ? [finding(modules, gb(total), gb(board.part.memoryMaxBytes), 'in all')]
      : [];
  });
}

/** With so many modules and more, fewer of twice the size would still fill every channel. */
const MANY_MODULES = 4;

/** Every slot taken with less than the board takes, where fewer and larger modules would have kept slots free. */
export function memoryPath(situation: Situation): Found<'mates.memoryPath'>[] {
  const board = seatedBoard(situation);
  const room = board && memoryRoom(board, situation.units, situation.layout);
  if (!board || !room?.path || room.free > 0 || room.slots < MANY_MODULES) return [];
  const gb = (bytes: number) => bytes / 1024 ** 3;
  const modules = ofKind(situation.units, 'memory').filter((unit) => spotOf(situation, unit)?.host === board.id);
  return [
    {
      severity: 'note',
      at: modules.map(({ id }) => ({ unit: id })),
      because: [{ unit: board.id }],
      gap: {
        have: gb(room.fittedBytes),
        limit: gb(room.mostBytes),
        gap: gb(room.fittedBytes - room.mostBytes),
        unit: 'GB',
      },
      facts: {
        board: board.part.name,
        slots: room.slots,
        add: room.path.add,
        of: gb(room.path.ofBytes),
        giveUp: room.path.giveUp,
      },
    },
  ];
}

/** Modules in the slots the board wants filled first: a note while the order matters and not all are filled. */
export function memoryOrder(situation: Situation): Found<'mates.memoryOrder'>[] {
  const board = seatedBoard(situation);
  if (!board) return [];
  const modules = ofKind(situation.units, 'memory').filter((unit) => spotOf(situation, unit)?.host === board.id);
  const { memoryFillOrder, memorySlots } = board.part;
  if (modules.length === 0 || modules.length >= memorySlots || memoryFillOrder.length < memorySlots) return [];
  const first = memoryFillOrder.slice(0, modules.length);
  const now = modules.map((unit) => spotOf(situation, unit)!.n ?? 1);
  const wrong = now.filter((n) => !first.includes(n));
  if (wrong.length === 0) return [];
  return [
    {
      severity: 'caution',
      at: modules.map((unit): { unit: string } => ({ unit: unit.id })),
      facts: {
        board: board.part.name,
        count: modules.length,
        first: first
          .slice()
          .sort((a, b) => a - b)
          .join(' and '),
        now: now.sort((a, b) => a - b).join(' and '),
      },
    },
  ];
}

/** The processors on a board, one of each sheet. */
export const processorsOn = (situation: Situation, board: PlannedUnit) =>
  byPart(
    ofKind(situation.units, 'processor').filter(
      (unit) => isSeated(situation, unit) && spotOf(situation, unit)?.host === board.id,
    ),
  ).map((like) => like[0]);

/** Modules the board takes and the processor on it does not: of another type, or registered. */
export function processorMemory(situation: Situation): Found<'mates.processorMemory'>[] {
  return modulesByBoard(situation).flatMap(({ board, modules }) =>
    processorsOn(situation, board).flatMap((processor): Found<'mates.processorMemory'>[] => {
      // A board with its processor on it was made for the memory it names.
      if (processor.builtIn) return [];
      const { memoryTypes, memoryRegistered, name } = processor.part;
      const wrongType = modules.filter(({ part }) => !memoryTypes.includes(part.type));
      const wrongKind = modules.filter(({ part }) => part.registered && !memoryRegistered);
      const [wrong, field] =
        wrongType.length > 0 ? ([wrongType, 'memoryTypes'] as const) : ([wrongKind, 'memoryRegistered'] as const);
      const [first] = wrong;
      if (!first || (field === 'memoryRegistered' && board.part.memoryRegistered === 'never')) return [];
      return [
        {
          severity: basisOf(processor.part, field) === 'typical' ? 'caution' : 'blocker',
          at: wrong.map(({ id }) => ({ unit: id })),
          because: [{ unit: processor.id }],
          facts: {
            memory: first.part.name,
            processor: name,
            have: field === 'memoryTypes' ? first.part.type.toUpperCase() : 'registered',
            want: field === 'memoryTypes' ? memoryTypes.map((one) => one.toUpperCase()).join(' or ') : 'unbuffered',
          },
        },
      ];
    }),
  );
}

/**
 * Modules with ECC that run without it: the board or the processor lacks it, for certain or as is typical of its class.
 * Where ECC is a wish of the brief that says so itself.
 */
export function eccUnused(situation: Situation): Found<'mates.ecc'>[] {
  if (situation.brief.mustHave?.includes('ecc')) return [];
  return modulesByBoard(situation).flatMap(({ board, modules }): Found<'mates.ecc'>[] => {
    const withEcc = modules.filter(({ part }) => part.ecc);
    const [first] = withEcc;
    const lacking = [board, ...processorsOn(situation, board)].find(({ part }) => !part.memoryEcc);
    if (!first || !lacking) return [];
    return [
      {
        severity: 'note',
        at: withEcc.map(({ id }) => ({ unit: id })),
        because: [{ unit: lacking.id }],
        facts: {
          memory: first.part.name,
          part: lacking.part.name,
          certain: basisOf(lacking.part, 'memoryEcc') === 'typical' ? '' : 'yes',
        },
      },
    ];
  });
}
