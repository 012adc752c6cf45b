import { rolesOf, type PlannedUnit } from '@inch-tower/core';
import { edit } from '../../../state/benchThunks';
import { selectUnits } from '../../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { ROLE_WORDS } from '../../../words/roles';
import { giveRole, RoleSelect } from '../../build/RoleSelect';

/** What a drive is for: set here for it alone or for all of its line, else as proposed. */
export function DriveRole({ unit }: { readonly unit: PlannedUnit }) {
  const units = useAppSelector(selectUnits);
  const dispatch = useAppDispatch();
  if (unit.part.kind !== 'drive' || !unit.item) return null;
  const role = rolesOf(units).get(unit.id)!;
  const mates = units.filter(({ item }) => item?.id === unit.item!.id);
  const others = mates.filter((one) => one.role !== unit.role);
  return (
    <div className="mt-2 flex flex-wrap items-center gap-1.5 text-[13px]">
      <label className="flex items-center gap-1.5">
        <span className="text-mid">It is for</span>
        <RoleSelect unit={unit.id} />
      </label>
      {others.length > 0 && (
        <button
          type="button"
          className="press"
          onClick={() =>
            void dispatch(edit(giveRole(mates, unit.role ?? null), `All ${mates.length} for ${ROLE_WORDS[role]}`))
          }
        >
          The same for all {mates.length}
        </button>
      )}
    </div>
  );
}
