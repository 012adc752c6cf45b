import { briefAt, type Build, type PoolSet } from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { ROLE_HELP } from '../../words/roles';
import { RoleSelect } from '../build/RoleSelect';
import { StruckNote } from '../build/StruckNote';
import { useStruck } from '../build/useStruck';
import { useUndoKeys } from '../build/useUndoKeys';
import { ViewFrame } from '../build/ViewFrame';
import { useWidth } from '../useWidth';
import { LooseDrives } from './LooseDrives';
import { PoolQuestions, type PoolPaneProps } from './PoolQuestions';
import { storeAnswer, tb, workingWords } from './poolWords';
import { SetCard } from './SetCard';
import { Hatch } from './SetsPicture';
import { SoftwareLimits } from './SoftwareLimits';
import { usePool } from './usePool';

/** How much can be stored, in which sets, and what may break. */
export default function PoolPage() {
  useUndoKeys();
  const build = useAppSelector((state) => state.bench.build)!;
  const dispatch = useAppDispatch();
  const pool = usePool();
  const keep = (sets: PoolSet[], words: string) =>
    void dispatch(edit([{ type: 'set.pool', value: { ...build.pool, sets } }], words));
  return (
    <ViewFrame
      view="pool"
      hint="How much it stores, which drives may fail, and what takes what with it."
      className="bg-sheet md:grid-cols-[minmax(0,1fr)_400px] xl:grid-cols-[minmax(0,1fr)_590px]"
    >
      <h1 className="sr-only">Pool</h1>
      {pool ? (
        <>
          <Hatch />
          <SetsPane pool={pool} build={build} onSets={keep} />
          <div className="print-page min-h-0 overflow-auto border-line px-5 py-3 md:border-l" tabIndex={-1}>
            <PoolQuestions pool={pool} build={build} onSets={keep} />
          </div>
        </>
      ) : (
        <p className="p-6 text-mid">Working it out …</p>
      )}
    </ViewFrame>
  );
}

/** As wide as two sets side by side want to be. */
const PAIR_PX = 620;

/** No layout is a copy: fire, theft and mistakes take all of it. */
function CopiesElsewhere({ build }: { readonly build: Build }) {
  const dispatch = useAppDispatch();
  const { copiesElsewhere: count } = build;
  const set = (value: number) =>
    void dispatch(edit([{ type: 'set.copiesElsewhere', value }], `Copies elsewhere: ${value}`));
  return (
    <p className="border-t border-line py-2 text-[13.5px]">
      <label className="mr-2 inline-flex min-h-7 items-center gap-2">
        <span className="font-semibold">Copies elsewhere</span>
        <select className="field" value={count} onChange={(event) => set(Number(event.target.value))}>
          {[...new Set([0, 1, 2, 3, count])].map((one) => (
            <option key={one} value={one}>
              {one === 0 ? 'none' : one}
            </option>
          ))}
        </select>
      </label>
      {count === 0 ? (
        <span className="text-warn">
          Fire, theft and a mistake take every drive of it: one copy elsewhere is worth more than any layout.
        </span>
      ) : (
        <span className="text-mid">Worth more than any layout, as long as they are read back now and then.</span>
      )}
    </p>
  );
}

function SetsPane({ pool, build, onSets }: PoolPaneProps) {
  const struck = useStruck(pool.breaks);
  const { width, ref } = useWidth();
  const { words, tone } = storeAnswer(pool, briefAt(build).usableTb);
  const mostTb = Math.max(0, ...pool.sets.flatMap(({ drives }) => drives.map((one) => one.tb)));
  const sets = pool.isProposed ? pool.proposed : build.pool.sets;
  const isPaired = pool.sets.length > 1 && width >= PAIR_PX;
  const cardPx = isPaired ? (width - 20) / 2 : width;
  return (
    <section aria-labelledby="store" className="print-page min-h-0 overflow-auto px-5 py-3" tabIndex={0}>
      {struck && <StruckNote struck={struck} />}
      <h2 id="store" className="text-[15px] font-semibold">
        How much can I store?
      </h2>
      <p className={`text-[17px] leading-snug font-semibold ${tone}`} data-testid="store-answer">
        {words}
      </p>
      {pool.sets.length > 0 && <p className="text-[13px] text-mid">{workingWords(pool.all)}</p>}
      {pool.isProposed && pool.sets.length > 0 && (
        <p className="no-print my-2 flex flex-wrap items-center gap-3 text-[13.5px]">
          <button type="button" className="press" onClick={() => onSets([...pool.proposed], 'Sets as proposed')}>
            Keep these sets
          </button>
          <span className="text-mid">
            {build.brief.failuresSurvived
              ? 'Proposed by the failures the brief wants survived.'
              : 'Proposed by what is usual; the brief does not say how many drives may fail.'}
          </span>
        </p>
      )}
      <div ref={ref} className={`mt-2 ${isPaired ? 'grid grid-cols-2 gap-x-5' : ''}`}>
        {pool.sets.map((set) => (
          <SetCard
            key={set.set.id}
            set={set}
            sets={sets}
            mostTb={mostTb}
            width={cardPx}
            struck={struck?.units ?? null}
            rebuild={pool.flow.rebuilds.get(set.set.id)}
            onSets={onSets}
          />
        ))}
        <LooseDrives loose={pool.loose} sets={sets} onSets={onSets} />
      </div>
      <CopiesElsewhere build={build} />
      <SoftwareLimits build={build} />
      {pool.support.length > 0 && (
        <section aria-labelledby="support" className="border-t border-line pt-2 text-[13.5px]">
          <h3 id="support" className="font-semibold">
            Beside the pool
          </h3>
          <ul>
            {pool.support.map(({ unit, mark, name, tb: size, role }) => (
              <li key={unit}>
                <span className="mono">{mark}</span> {name}, {tb(size)}, for{' '}
                <RoleSelect unit={unit} label={`${mark} is for`} />
                <span className="block text-[12.5px] text-mid">{ROLE_HELP[role]}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {pool.sets.length > 0 && (
        <p className="mt-2 text-[12.5px] text-mid">
          Plain: data. Hatched: what makes failures survivable, spread over all drives of a set. Dashed: of no use in
          this set.
        </p>
      )}
    </section>
  );
}
