import { useEffect, useId, useState } from 'react';
import { replay, type AtDuty, type AtSameTemperature, type Build, type SameTemperature } from '@inch-tower/core';
import { problemOf, useBuildsQuery, useLazyWholeBuildQuery } from '../../state/api';
import { useAppSelector } from '../../state/store';
import { benchWorker } from '../../worker/client';
import type { WinterToSummer } from '../../worker/messages';
import { AirCurve } from './AirCurve';
import { degrees, overAirWords, sameWords } from './airWords';

const BEFORE = '·before';
const MOST = 200;
const DAYS = [
  ['normal', 'Normal day, at work'],
  ['hot', 'Hottest day, all busy'],
] as const;

type Known = { readonly name: string; readonly found: WinterToSummer | null } | { readonly problem: string };

/** How loud holding the drives' temperature is from winter to summer, and the same of another machine beside it. */
export function SamePane({ build, width }: { readonly build: Build; readonly width: number }) {
  const id = useId();
  const [of, setOf] = useState('');
  const { data } = useBuildsQuery({ search: '', limit: MOST });
  const others = data?.builds.filter((one) => one.id !== build.id) ?? [];
  const known = useWinter(build, of, others.find((one) => one.id === of)?.name || 'The other');
  const last = useAppSelector((state) => state.bench.past.at(-1));
  const found = known && 'found' in known ? known.found : null;
  if (known && 'found' in known && !found && of === '') return null;
  return (
    <section aria-labelledby="same" className="no-print mt-3 break-inside-avoid border-t border-line pt-2 text-[13px]">
      <h2 id="same" className="text-[15px] font-semibold">
        From winter to summer
      </h2>
      {found && <p data-testid="over-air">{overAirWords(found.mine)}</p>}
      {found && known && 'name' in known && (
        <AirCurve
          width={width}
          curves={[
            { name: 'This one', over: found.mine, isMine: true },
            ...(found.other ? [{ name: known.name, over: found.other, isMine: false }] : []),
          ]}
        />
      )}
      <label htmlFor={id} className="flex min-h-8 items-center gap-2">
        Beside another, with the drives as warm:
        <select
          id={id}
          className="field max-w-64"
          aria-label="Compare with"
          value={of}
          onChange={(event) => setOf(event.target.value)}
        >
          <option value="">choose …</option>
          {last && <option value={BEFORE}>as it was before: {last.words}</option>}
          {others.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name || 'Unnamed'}
            </option>
          ))}
        </select>
      </label>
      {known && 'problem' in known && <p className="bad">{known.problem}</p>}
      {of !== '' && found && !found.same && (
        <p className="text-mid">In one of them no drive is in a bay: there is nothing to hold.</p>
      )}
      {found?.same && known && 'name' in known && <SameTable same={found.same} name={known.name} />}
    </section>
  );
}

function SameTable({ same, name }: { readonly same: SameTemperature; readonly name: string }) {
  return (
    <>
      <table className="mt-1 w-full border-collapse">
        <caption className="sr-only">This machine and {name} with the hottest drive as warm</caption>
        <thead className="text-[12.5px] text-mid">
          <tr>
            <th className="py-1 text-left font-normal">With the fans of the other as fast as it takes</th>
            <th className="py-1 text-right font-normal">hottest drive</th>
            <th className="py-1 text-right font-normal">fans</th>
            <th className="py-1 text-right font-normal">noise, dB(A)</th>
            <th className="py-1 text-right font-normal">W</th>
          </tr>
        </thead>
        {DAYS.map(([day, words]) => (
          <tbody key={day}>
            <tr className="border-t border-line">
              <th colSpan={5} className="pt-1 text-left font-medium">
                {words}
              </th>
            </tr>
            <Line name="This one" at={same[day].mine} />
            <Line name={name} at={same[day].other} isPast={same[day].missesK > 0.1} />
          </tbody>
        ))}
      </table>
      <p className="mt-1" data-testid="same-answer">
        {DAYS.map(([day, words]) => answer(same[day], words, name)).join(' ')}
      </p>
    </>
  );
}

const answer = (one: AtSameTemperature, day: string, name: string): string => `${day}: ${sameWords(one, name)}`;

function Line({ name, at, isPast = false }: { readonly name: string; readonly at: AtDuty; readonly isPast?: boolean }) {
  const [fastest] = at.rpm;
  return (
    <tr className="border-t border-dotted border-line align-top">
      <td className="max-w-56 truncate py-1 pr-2" title={name}>
        {name}
      </td>
      <td className={`mono py-1 text-right ${isPast ? 'warn' : ''}`}>{degrees(at.hottestC)}</td>
      <td className="mono py-1 text-right">
        {Math.round(at.duty * 100)} %
        {fastest && <span className="block text-[12px] text-mid">up to {fastest.rpm} rpm</span>}
      </td>
      <td className="mono py-1 text-right font-medium">{at.earDb === null ? 'none' : at.earDb.toFixed(1)}</td>
      <td className="mono py-1 text-right">{at.wallW === null ? '' : Math.round(at.wallW)}</td>
    </tr>
  );
}

/** What is known of it and of what is chosen, asked again with every revision; the last answer stays meanwhile. */
function useWinter(build: Build, of: string, name: string): Known | null {
  const rev = useAppSelector((state) => state.bench.view?.rev);
  const last = useAppSelector((state) => state.bench.past.at(-1));
  const [readBuild] = useLazyWholeBuildQuery();
  const [known, setKnown] = useState<{ readonly of: string; readonly answer: Known } | null>(null);
  useEffect(() => {
    if (rev === undefined) return;
    let isHere = true;
    const find = async (): Promise<Known> => {
      if (of === '') return { name: '', found: await benchWorker().winterToSummer(null) };
      if (of === BEFORE) {
        const was = last && replay(build, last.inverse);
        if (!was || 'ok' in was) return { problem: 'There is no change to compare with any more.' };
        return { name: 'Before', found: await benchWorker().winterToSummer(was) };
      }
      const { data, error } = await readBuild(of);
      return data ? { name, found: await benchWorker().winterToSummer(data) } : { problem: problemOf(error).detail };
    };
    find().then(
      (answer) => {
        if (isHere) setKnown({ of, answer });
      },
      () => undefined,
    );
    return () => {
      isHere = false;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the revision stands for the machine and its history
  }, [of, rev, name]);
  return known?.of === of ? known.answer : null;
}
