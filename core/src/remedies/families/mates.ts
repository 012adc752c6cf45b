import { plainAt, memberAt } from '../../lists';
import type { Edit } from '../../build/edits';
import { mismatch } from '../../machine/accepts';
import { spotsOf } from '../../machine/spots';
import { isKind, ofKind, type UnitOf } from '../../machine/units';
import type { Catalogue } from '../../parts/catalogue';
import type { PartOf } from '../../parts/resolve';
import { sustainedW } from '../../parts/sustained';
import type { Proposal, Snag } from '../../snags/snag';
import { about, lanes, listed, mountable, swaps, takeOut, nameAll } from '../guesses';
import type { Base } from '../weigh';
import { addPart, none, addAll, addSundry, sameModule, type Propose, type Proposes } from './shared';

const memory: Propose = (base, snag, catalogue) => {
  const board = ofKind(base.assessment.units, 'board')[0];
  if (!board) return [];
  const bank = spotsOf(board.id, board.part).find((spot) => spot.type === 'memoryBank');
  const unit = about(base, snag)[0];
  if (!unit || unit.part.kind !== 'memory' || !bank) return takeOut(about(base, snag));
  const want = unit.part.capacityBytes;
  const fits = (part: PartOf<'memory'>) =>
    !mismatch(part, bank) &&
    part.capacityBytes >= want &&
    (board.part.memoryRegistered === 'may' || part.registered === (board.part.memoryRegistered === 'must'));
  return [...swaps(base, catalogue, unit, 'memory', fits), ...takeOut(about(base, snag))];
};

/** The modules of the kind there are fewer of, exchanged for as many of the other, or out. */
const oneKind: Propose = (base, snag, catalogue) => {
  const modules = about(base, snag).filter((unit) => isKind(unit, 'memory'));
  const registered = modules.filter(({ part }) => part.registered);
  const unbuffered = modules.filter(({ part }) => !part.registered);
  const [few, many] = registered.length <= unbuffered.length ? [registered, unbuffered] : [unbuffered, registered];
  const [one, like] = [few[0], many[0]];
  if (!one || !like) return [];
  return [
    ...swaps(
      base,
      catalogue,
      one,
      'memory',
      (part) =>
        part.registered === like.part.registered &&
        part.type === like.part.type &&
        part.form === like.part.form &&
        part.capacityBytes >= one.part.capacityBytes,
    ),
    ...takeOut(few),
  ];
};

/** Another processor for the board's socket. */
const processors = (base: Base, catalogue: Catalogue, goes: (part: PartOf<'processor'>) => boolean): Proposal[] =>
  ofKind(base.assessment.units, 'processor')
    .filter((unit) => !unit.builtIn)
    .slice(0, 1)
    .flatMap((unit) =>
      swaps(base, catalogue, unit, 'processor', (part) => part.socket === unit.part.socket && goes(part)),
    );

const socketOf = (base: Base) => ofKind(base.assessment.units, 'board')[0]?.part.socket ?? null;

/** Modules into the slots that are to be filled first. */
const inOrder: Propose = (base, snag) => {
  const modules = about(base, snag);
  const board = ofKind(base.assessment.units, 'board').find(
    ({ id }) => base.assessment.layout.at[modules[0]?.id ?? '']?.spot.host === id,
  );
  if (!board) return [];
  const edits = modules.map((unit, i): Edit => ({
    type: 'place.put',
    unit: unit.id,
    spot: { host: board.id, key: 'memory', n: plainAt(board.part.memoryFillOrder, i) },
  }));
  return [
    {
      edits,
      words:
        `Put ${modules.length === 1 ? 'it' : 'them'} into ` +
        `${modules.length === 1 ? 'slot' : 'slots'} ` +
        board.part.memoryFillOrder
          .slice(0, modules.length)
          .sort((a, b) => a - b)
          .join(' and '),
    },
  ];
};

/** As much memory in fewer and larger modules. */
const fewerModules: Propose<'mates.memoryPath'> = (base, snag, catalogue) => {
  const modules = about(base, snag).filter((unit): unit is UnitOf<'memory'> => unit.part.kind === 'memory');
  const now = modules[0]?.part;
  const items = [...new Set(modules.flatMap(({ item }) => (item ? [item] : [])))];
  if (!now) return [];
  const bytes = modules.reduce((sum, { part }) => sum + part.capacityBytes, 0);
  const like = sameModule(now);
  return listed(catalogue, 'memory')
    .filter(
      (part) => like(part) && part.capacityBytes > now.capacityBytes && part.capacityBytes <= snag.facts.of * 1024 ** 3,
    )
    .slice(0, 1)
    .map((part) => {
      const count = Math.max(2, Math.ceil(bytes / part.capacityBytes));
      return {
        edits: [
          ...items.map(({ id }): Edit => ({ type: 'item.remove', item: id })),
          ...addAll(base, catalogue, [{ part, count }]),
        ],
        words: `Take ${count} × ${part.name} instead of ${modules.length} × ${now.name}`,
      };
    });
};

const cablesOut = (base: Base, snag: Snag, words: string): Proposal[] =>
  takeOut(about(base, snag)).map((one) => ({
    ...one,
    words:
      `${words} ` +
      (about(base, snag).length === 1
        ? nameAll(about(base, snag))
        : `${about(base, snag).length} × ${memberAt(about(base, snag), 0).part.name}`),
  }));

/** Guesses for the snags of this family. */
export const MATES = {
  'mates.socket': (base, snag, catalogue) => {
    const socket = socketOf(base);
    return about(base, snag)
      .slice(0, 1)
      .flatMap((unit) => [
        ...(unit.part.kind === 'processor'
          ? swaps(base, catalogue, unit, 'processor', (part) => part.socket === socket)
          : swaps(base, catalogue, unit, 'cooler', (part) => socket !== null && part.sockets.includes(socket))),
        ...ofKind(base.assessment.units, 'board').flatMap((board) =>
          swaps(
            base,
            catalogue,
            board,
            'board',
            (part) =>
              (unit.part.kind === 'processor'
                ? part.socket === unit.part.socket
                : unit.part.kind === 'cooler' && unit.part.sockets.includes(part.socket ?? '')) &&
              mountable(base, part),
          ),
        ),
        ...takeOut([unit]),
      ]);
  },
  'mates.memoryMax': memory,
  'mates.display': (base, snag, catalogue) => [
    ...about(base, snag)
      .filter((unit) => !unit.builtIn)
      .flatMap((unit) =>
        unit.part.kind === 'processor'
          ? swaps(base, catalogue, unit, 'processor', (part) => part.graphics && part.socket === socketOf(base))
          : [],
      ),
    ...listed(catalogue, 'accelerator')
      .filter((part) => part.displayOutput)
      .slice(0, 3)
      .map((part) => addPart(base, catalogue, part)),
  ],
  'mates.memory': memory,
  'mates.memorySlots': memory,
  'mates.memoryRegistered': memory,
  'mates.processorMemory': (base, snag, catalogue) => [
    ...memory(base, snag, catalogue),
    ...processors(base, catalogue, (part) => {
      const modules = about(base, snag).filter((unit) => isKind(unit, 'memory'));
      return modules.every(
        (unit) => part.memoryTypes.includes(unit.part.type) && (part.memoryRegistered || !unit.part.registered),
      );
    }),
  ],
  'mates.generation': (base, _snag, catalogue) => {
    const takes = ofKind(base.assessment.units, 'board')[0]?.part.processors?.map((one) => one.generation) ?? [];
    return processors(base, catalogue, (part) => part.generation !== undefined && takes.includes(part.generation));
  },
  'mates.boardWatts': (base, snag, catalogue) => [
    ...processors(base, catalogue, (part) => sustainedW(part).value <= snag.gap.limit),
    ...about(base, snag).flatMap((unit) =>
      isKind(unit, 'board')
        ? swaps(
            base,
            catalogue,
            unit,
            'board',
            (part) => part.socket === unit.part.socket && (part.carriesW ?? 0) >= snag.gap.have,
          )
        : [],
    ),
  ],
  'mates.ecc': none,
  'mates.memoryMixed': oneKind,
  'mates.memoryUneven': none,
  'mates.memorySpeed': none,
  'mates.sectors': (base, snag, catalogue) =>
    about(base, snag)
      .slice(0, 1)
      .flatMap((unit) =>
        swaps(
          base,
          catalogue,
          unit,
          'drive',
          (part) =>
            part.sectors !== '520' &&
            part.size === (unit.part as PartOf<'drive'>).size &&
            part.interface === (unit.part as PartOf<'drive'>).interface &&
            part.capacityBytes >= (unit.part as PartOf<'drive'>).capacityBytes,
        ),
      ),
  'mates.powerDisable': (base, snag, catalogue) =>
    listed(catalogue, 'powerAdapter')
      .filter((part) => part.takes === 'peripheral' && part.gives.some(({ plug }) => plug === 'sata-power'))
      .map((part) => {
        const each = part.gives.reduce((sum, { plug, count }) => sum + (plug === 'sata-power' ? count : 0), 0);
        return addPart(base, catalogue, part, Math.ceil(snag.facts.count / each));
      }),
  'mates.memoryOrder': inOrder,
  'mates.memoryPath': fewerModules,
  'mates.frontUsb': addSundry('headerAdapter'),
  'mates.spareCables': (base, snag) => (snag.severity === 'note' ? [] : cablesOut(base, snag, 'Leave out')),
  'mates.halfPlugs': (base, snag, catalogue) =>
    about(base, snag)
      .filter((unit) => isKind(unit, 'controller'))
      .slice(0, 1)
      .flatMap((unit) => swaps(base, catalogue, unit, 'controller', (part) => lanes(part) >= lanes(unit.part))),
  'mates.cableLength': (base, snag) => cablesOut(base, snag, 'Buy others instead of'),
} as const satisfies Proposes;
