import type { Effect } from '../../parts/chassisValues';
import type { PartOf } from '../../parts/resolve';
import { isKind } from '../../machine/units';
import type { Situation } from '../situation';
import type { Found } from '../words';

/** A chassis as it was sold: changes of a build act on a copy. */
const asSold = (part: PartOf<'chassis'>): Pick<PartOf<'chassis'>, 'bayGroups' | 'fanMounts' | 'options'> => ({
  bayGroups: part.bayGroups,
  fanMounts: part.fanMounts,
  options: part.options,
  ...part.typical,
  ...part.sheet,
});

/** What taking pieces out of a chassis gives up: bays of a cage, places of a row of fans. */
export function givenUp(
  part: PartOf<'chassis'>,
  effects: readonly Effect[],
): { readonly bays: number; readonly fans: number } {
  const sold = asSold(part);
  const keys = new Set(effects.flatMap((effect) => (effect.do === 'remove' ? [effect.key] : [])));
  const bays = sold.bayGroups.filter(({ key }) => keys.has(key));
  const fans = sold.fanMounts.filter(({ key }) => keys.has(key));
  return {
    bays: bays.reduce((sum, one) => sum + one.rows * one.columns, 0),
    fans: fans.reduce((sum, one) => sum + one.count, 0),
  };
}

/**
 * Pieces a builder took out of a chassis: what they held and cooled stays said. Fans before or behind bays that are
 * still there are a caution.
 */
export function takenOut({ changes, units }: Situation): Found<'fits.takenOut'>[] {
  return changes.flatMap((change): Found<'fits.takenOut'>[] => {
    const host = units.find(({ id }) => id === change.host);
    if (!host || !isKind(host, 'chassis')) return [];
    const option = change.kind === 'option' ? asSold(host.part).options.find(({ key }) => key === change.key) : null;
    const effects = change.kind === 'mod' ? change.effects : (option?.effects ?? []);
    const { bays, fans } = givenUp(host.part, effects);
    if (bays === 0 && fans === 0) return [];
    return [
      {
        severity: fans > 0 && host.part.bayGroups.length > 0 ? 'caution' : 'note',
        at: [{ unit: host.id }],
        facts: {
          chassis: host.part.name,
          change: change.kind === 'mod' ? change.title : (option?.label ?? change.key),
          bays,
          fans,
        },
      },
    ];
  });
}
