import { rolesOf, type Edit, type PlannedUnit, type Role } from '@inch-tower/core';
import { edit } from '../../../state/benchThunks';
import { selectUnits } from '../../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { ROLE_WORDS } from '../../../words/roles';

const ROLES = Object.keys(ROLE_WORDS) as Role[];

/** What a drive is for: set here for it alone or for all of its line, else as proposed. */
export function DriveRole({ unit }: { readonly unit: PlannedUnit }) {
  const units = useAppSelector(selectUnits);
  const dispatch = useAppDispatch();
  if (unit.part.kind !== 'drive' || !unit.item) return null;
  const role = rolesOf(units).get(unit.id)!;
  const mates = units.filter(({ item }) => item?.id === unit.item!.id);
  const give = (to: readonly PlannedUnit[], next: Role | null): Edit[] =>
    to.filter((one) => (one.role ?? null) !== next).map((one) => ({ type: 'unit.role', unit: one.id, role: next }));
  const others = mates.filter((one) => one.role !== unit.role);
  return (
    <div className="mt-2 flex flex-wrap items-center gap-1.5 text-[13px]">
      <label className="flex items-center gap-1.5">
        <span className="text-mid">It is for</span>
        <select
          className="field"
          value={unit.role ?? ''}
          onChange={(event) => {
            const next = ROLES.find((one) => one === event.target.value) ?? null;
            void dispatch(edit(give([unit], next), `${unit.mark} for ${ROLE_WORDS[next ?? proposed(units, unit)]}`));
          }}
        >
          <option value="">{`${ROLE_WORDS[unit.role ? proposed(units, unit) : role]}, proposed`}</option>
          {ROLES.map((one) => (
            <option key={one} value={one}>
              {ROLE_WORDS[one]}
            </option>
          ))}
        </select>
      </label>
      {others.length > 0 && (
        <button
          type="button"
          className="press"
          onClick={() =>
            void dispatch(edit(give(mates, unit.role ?? null), `All ${mates.length} for ${ROLE_WORDS[role]}`))
          }
        >
          The same for all {mates.length}
        </button>
      )}
    </div>
  );
}

/** What would be proposed for a drive whose role is set by hand. */
function proposed(units: readonly PlannedUnit[], unit: PlannedUnit): Role {
  const { role: _set, ...free } = unit;
  return rolesOf(units.map((one) => (one === unit ? free : one))).get(unit.id)!;
}
