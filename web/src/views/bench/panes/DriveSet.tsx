import { Link } from 'react-router';
import { LAYOUTS, rolesOf, type PlannedUnit } from '@inch-tower/core';
import { edit } from '../../../state/benchThunks';
import { selectUnits } from '../../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { withDrives, withoutDrive } from '../../pool/poolEdits';

const [NONE, OWN] = ['none', 'own'];

/** The set a data drive is in, where sets are kept: put into another, taken out, or into one of its own. */
export function DriveSet({ unit }: { readonly unit: PlannedUnit }) {
  const units = useAppSelector(selectUnits);
  const build = useAppSelector((state) => state.bench.build)!;
  const dispatch = useAppDispatch();
  const { sets } = build.pool;
  if (unit.part.kind !== 'drive' || !unit.item || rolesOf(units).get(unit.id) !== 'data') return null;
  const pool = `/b/${build.id}/pool`;
  if (sets.length === 0)
    return (
      <p className="mt-1 text-[13px] text-mid">
        Its set is only proposed:{' '}
        <Link className="underline" to={pool}>
          keep it in Pool
        </Link>
        .
      </p>
    );
  const now = sets.find((set) => set.units.includes(unit.id));
  const put = (into: string) => {
    const left = withoutDrive(sets, unit.id);
    const next = into === NONE ? left : withDrives(left, [unit.id], into === OWN ? { layout: 'single' } : into);
    const words = into === NONE ? 'in no set' : into === OWN ? 'in a set of its own' : `into ${into}`;
    void dispatch(edit([{ type: 'set.pool', value: { ...build.pool, sets: next } }], `${unit.mark} ${words}`));
  };
  return (
    <label className="mt-1 flex flex-wrap items-center gap-1.5 text-[13px]">
      <span className="text-mid">It is in</span>
      <select className="field" value={now?.id ?? NONE} onChange={(event) => put(event.target.value)}>
        {sets.map(({ id, layout, units: own }) => (
          <option key={id} value={id}>
            {id}, {LAYOUTS[layout].words}, {own.length} drives
          </option>
        ))}
        <option value={OWN}>a set of its own</option>
        <option value={NONE}>no set</option>
      </select>
    </label>
  );
}
