import { rolesOf, type Edit, type PlannedUnit, type Role } from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { selectUnits } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { ROLE_WORDS } from '../../words/roles';

const ROLES = Object.keys(ROLE_WORDS) as Role[];

/** Edits that give drives a role, or leave it to what is proposed. */
export const giveRole = (to: readonly PlannedUnit[], next: Role | null): Edit[] =>
  to.filter((one) => (one.role ?? null) !== next).map((one) => ({ type: 'unit.role', unit: one.id, role: next }));

/** What a drive is for: set by hand, or as proposed. */
export function RoleSelect({ unit: id, label }: { readonly unit: string; readonly label?: string }) {
  const units = useAppSelector(selectUnits);
  const dispatch = useAppDispatch();
  const unit = units.find((one) => one.id === id);
  if (unit?.part.kind !== 'drive' || !unit.item) return null;
  const role = rolesOf(units).get(unit.id)!;
  return (
    <select
      className="field"
      aria-label={label}
      value={unit.role ?? ''}
      onChange={(event) => {
        const next = ROLES.find((one) => one === event.target.value) ?? null;
        void dispatch(edit(giveRole([unit], next), `${unit.mark} for ${ROLE_WORDS[next ?? proposed(units, unit)]}`));
      }}
    >
      <option value="">{`${ROLE_WORDS[unit.role ? proposed(units, unit) : role]}, proposed`}</option>
      {ROLES.map((one) => (
        <option key={one} value={one}>
          {ROLE_WORDS[one]}
        </option>
      ))}
    </select>
  );
}

/** What would be proposed for a drive whose role is set by hand. */
function proposed(units: readonly PlannedUnit[], unit: PlannedUnit): Role {
  const { role: _set, ...free } = unit;
  return rolesOf(units.map((one) => (one === unit ? free : one))).get(unit.id)!;
}
