import { lyingOver } from '../../geometry/liesOver';
import { ANGLED_PLUG_MM, plugsEnd, STRAIGHT_PLUG_MM } from '../../geometry/plugRoom';
import { groupAt } from '../../machine/spotAt';
import { isKind, ofKind, unitsById } from '../../machine/units';
import { byPart, spotOf, type Situation } from '../situation';
import type { Found } from '../words';

const count = (n: number, one: string) => (n === 1 ? `1 ${one}` : `${n} ${one}s`);

/** Modules that what lies over them keeps in: they go in before it. */
export function goesFirst({ units, layout }: Situation): Found<'fits.goesFirst'>[] {
  return lyingOver(units, layout).map(({ board, under, over }): Found<'fits.goesFirst'> => {
    const memory = under.filter((unit) => isKind(unit, 'memory')).length;
    const modules = [
      ...(memory ? [count(memory, 'memory module')] : []),
      ...(under.length > memory ? [count(under.length - memory, 'M.2 module')] : []),
    ].join(' and ');
    const drives = over.filter((unit) => isKind(unit, 'drive')).length;
    const names = [
      ...byPart(over.filter((unit) => !isKind(unit, 'drive'))).map((like) =>
        like.length > 1 ? `${like.length} × ${like[0].part.name}` : like[0].part.name,
      ),
      ...(drives ? [count(drives, 'drive')] : []),
    ];
    return {
      severity: 'note',
      at: under.map(({ id }) => ({ unit: id })),
      because: over.map(({ id }) => ({ unit: id })),
      facts: {
        board: board.part.name,
        under: modules,
        one: Number(under.length === 1),
        over: names.join(' and '),
        oneOver: Number(over.length === 1),
      },
    };
  });
}

/**
 * Drives in bays without a backplane, where their plugs have no room: turned end for end they may, or angled plugs
 * help.
 */
export function plugRoom(situation: Situation): Found<'fits.plugRoom'>[] {
  const byId = unitsById(situation.units);
  let angled = ofKind(situation.units, 'sundry')
    .filter(({ part }) => part.use === 'plugAngle')
    .reduce((sum, { part, item }) => sum + part.packOf * (item?.count ?? 1), 0);
  const tight = ofKind(situation.units, 'drive').flatMap((unit) => {
    const spot = spotOf(situation, unit);
    const group = spot && groupAt(byId, spot);
    if (
      group?.type !== 'bay' ||
      group.group.backplane ||
      group.group.plugRoomMm === undefined ||
      group.group.plugRoomMm >= STRAIGHT_PLUG_MM
    )
      return [];
    return [
      {
        unit,
        room: group.group.plugRoomMm,
        turned: group.group.turnedPlugRoomMm ?? 0,
        front: plugsEnd(group.group) === 'front',
      },
    ];
  });
  const like = new Map<string, typeof tight>();
  for (const one of tight)
    like.set(`${one.unit.part.id} ${one.room} ${one.turned}`, [
      ...(like.get(`${one.unit.part.id} ${one.room} ${one.turned}`) ?? []),
      one,
    ]);
  return [...like.values()].flatMap((drives): Found<'fits.plugRoom'>[] => {
    const [{ unit, room, turned, front }] = drives as [(typeof drives)[0]];
    const facts = {
      drive: unit.part.name,
      count: drives.length,
      need: STRAIGHT_PLUG_MM,
      angledNeed: ANGLED_PLUG_MM,
      turned: 0,
    };
    const at = drives.map(({ unit: { id } }) => ({ unit: id }));
    const gap = (have: number, limit: number) => ({ have, limit, gap: have - limit, unit: 'mm' });
    if (front) return [{ severity: 'note', at, gap: gap(room, STRAIGHT_PLUG_MM), facts: { ...facts, turned } }];
    const best = Math.max(room, turned);
    if (best < ANGLED_PLUG_MM) return [{ severity: 'blocker', at, gap: gap(best, ANGLED_PLUG_MM), facts }];
    // What one group of drives takes is not there for the next.
    const enough = angled >= drives.length;
    angled = Math.max(0, angled - drives.length);
    return enough ? [] : [{ severity: 'caution', at, gap: gap(best, STRAIGHT_PLUG_MM), facts }];
  });
}
