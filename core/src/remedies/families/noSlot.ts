import type { Catalogue } from '../../parts/catalogue';
import type { PartOf } from '../../parts/resolve';
import { ofKind, type UnitOf } from '../../machine/units';
import type { Proposal } from '../../snags/snag';
import { about, fastestGb, findsPlace, listed, lower, mountable, nameAll, swaps, takeOut } from '../guesses';
import { replaceEdit } from '../tryAt';
import type { Base } from '../weigh';
import { releases, type Propose } from './shared';

/** A module with ports in an M.2 socket frees the slot its controller has. */
const modulesInstead = (base: Base, catalogue: Catalogue): Proposal[] =>
  ofKind(base.assessment.units, 'controller')
    .filter(({ part }) => part.bus === 'pcie')
    .flatMap((unit) =>
      swaps(base, catalogue, unit, 'controller', (part) => part.bus === 'm2' && findsPlace(base, part)),
    );

const sameSocket = (part: PartOf<'board'>, now: PartOf<'board'>): boolean =>
  part.socket === now.socket && part.id !== now.id;

/** A board whose own network is as fast as that of a card, which then is not wanted. */
const networkOnBoard = (base: Base, catalogue: Catalogue, board: UnitOf<'board'>): Proposal[] =>
  ofKind(base.assessment.units, 'networkCard').flatMap((card) =>
    swaps(
      base,
      catalogue,
      board,
      'board',
      (part) => sameSocket(part, board.part) && mountable(base, part) && fastestGb(part) >= fastestGb(card.part),
    ).map(({ edits, words }) => ({
      edits: [...edits, { type: 'units.remove', units: [card.id] }],
      words: `${words}, and ${lower(`Take out ${nameAll([card])}`)}`,
    })),
  );

/** So many larger boards are weighed, each in so many chassis. */
const [BOARDS, CHASSIS] = [3, 3];

/** A larger board for the same processor, in a chassis of the same way of standing that takes it. */
function largerMachine(base: Base, catalogue: Catalogue, board: UnitOf<'board'>): Proposal[] {
  const chassis = ofKind(base.assessment.units, 'chassis').find(({ part }) => part.boardHoles.length > 0);
  if (!chassis || board.builtIn) return [];
  const boards = listed(catalogue, 'board').filter(
    (part) => sameSocket(part, board.part) && part.slots.length > board.part.slots.length && !mountable(base, part),
  );
  return boards.slice(0, BOARDS).flatMap((larger) =>
    listed(catalogue, 'chassis')
      .filter(
        (part) =>
          part.boardHoles.includes(larger.holes) && (part.rackUnits === null) === (chassis.part.rackUnits === null),
      )
      .slice(0, CHASSIS)
      .flatMap((around): Proposal[] => {
        const edits = [
          replaceEdit(base.build, catalogue, chassis.id, around.id),
          replaceEdit(base.build, catalogue, board.id, larger.id),
        ].flatMap((edit) => edit ?? []);
        return [
          {
            edits,
            words: `Take ${larger.name} in ${around.name} instead of ${board.part.name} in ${chassis.part.name}`,
          },
        ];
      }),
  );
}

/** More or better slots: first what keeps the machine, then another board, then another machine around it. */
export const moreSlots = (base: Base, catalogue: Catalogue): Proposal[] => [
  ...modulesInstead(base, catalogue),
  ...ofKind(base.assessment.units, 'board').flatMap((unit) => [
    ...swaps(
      base,
      catalogue,
      unit,
      'board',
      (part) => sameSocket(part, unit.part) && part.slots.length > unit.part.slots.length && mountable(base, part),
    ),
    ...networkOnBoard(base, catalogue, unit),
    ...largerMachine(base, catalogue, unit),
  ]),
];

/** Ways to give a card a slot. */
export const cardSlot: Propose = (base, snag, catalogue) => [
  ...releases(base),
  ...moreSlots(base, catalogue),
  ...takeOut(about(base, snag)),
];
