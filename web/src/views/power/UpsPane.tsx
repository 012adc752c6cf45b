import { putMains, type MainsLine, type UpsTime } from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { useAppDispatch } from '../../state/store';
import { hangsOn, headroomWords, upsName, upsRows } from './upsWords';

type Props = { readonly all: readonly UpsTime[]; readonly mains: readonly MainsLine[] };

/** What each UPS carries and how long it holds that; what is plugged into which. */
export function UpsPane({ all, mains }: Props) {
  return (
    <>
      {all.map((ups) => (
        <OneUps key={ups.unit} ups={ups} name={upsName(ups, all)} />
      ))}
      <MainsPlugs all={all} mains={mains} />
    </>
  );
}

function OneUps({ ups, name }: { readonly ups: UpsTime; readonly name: string }) {
  const headroom = headroomWords(ups);
  return (
    <section aria-labelledby={`ups-${ups.unit}`} className="mt-3 break-inside-avoid border-t border-line pt-2">
      <h2 id={`ups-${ups.unit}`} className="text-[15px] font-semibold">
        How long does {name} hold, and whom?
      </h2>
      <p className={`text-[13.5px] ${headroom.tone}`}>{headroom.words}</p>
      <table className="mt-0.5 w-full max-w-[520px] border-collapse text-[13.5px]">
        <thead>
          <tr className="text-right text-[12.5px] text-mid">
            <th className="sr-only">While the machine is</th>
            <th className="font-normal">W</th>
            <th className="font-normal">VA</th>
            <th className="font-normal" colSpan={2}>
              holds
            </th>
          </tr>
        </thead>
        <tbody>
          {upsRows(ups).map((row) => (
            <tr key={row.state} className="border-t border-dotted border-line text-right">
              <th className="py-0.5 text-left font-normal">{row.state}</th>
              <td className="mono">{row.watts}</td>
              <td className="mono">{row.va}</td>
              <td className={row.isHeld ? 'mono font-medium' : 'bad'} colSpan={row.isHeld ? 1 : 2}>
                {row.minutes}
              </td>
              {row.isHeld && <td className="mono text-[12px] text-mid">{row.range}</td>}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-[12.5px] text-mid">
        {ups.ageYears === null
          ? 'With a new battery; give its year in the kit if it is older.'
          : `Its battery counts as ${ups.ageYears} ${ups.ageYears === 1 ? 'year' : 'years'} old.`}{' '}
        {ups.otherW > 0
          ? `With ${Math.round(ups.otherW)} W of other things, as the brief says.`
          : 'What else hangs on it is asked in the brief, and counts as nothing.'}
      </p>
    </section>
  );
}

const [DEALT, WALL] = ['dealt', 'wall'];

/** Each mains plug and what it is in: dealt so that no UPS is fuller than it need be, or put there by hand. */
function MainsPlugs({ all, mains }: Props) {
  const dispatch = useAppDispatch();
  if (mains.length === 0) return null;
  const put = (line: MainsLine, to: string) => {
    if (!line.spot) return;
    const ups = all.find(({ unit }) => unit === to);
    void dispatch(
      to === DEALT
        ? edit([{ type: 'plug.release', device: line.spot }], `${nameOf(line)} dealt to a UPS`)
        : edit([putMains(line.spot, ups?.unit ?? null)], `${nameOf(line)} ${ups ? `on ${ups.name}` : 'in the wall'}`),
    );
  };
  return (
    <section aria-labelledby="mains" className="mt-3 break-inside-avoid border-t border-line pt-2">
      <h2 id="mains" className="text-[15px] font-semibold">
        What is plugged in where?
      </h2>
      <ul className="mt-0.5 text-[13.5px]">
        {mains.map((line, i) => (
          <li
            key={i}
            className="flex flex-wrap items-center justify-between gap-x-3 border-t border-dotted border-line py-0.5"
          >
            <span>
              {nameOf(line)} <span className="mono text-mid">{Math.round(line.peakW)} W at the most</span>
            </span>
            {line.spot ? (
              <select
                className="field"
                aria-label={`${nameOf(line)} is plugged into`}
                value={line.how === 'solved' ? DEALT : (line.on ?? WALL)}
                onChange={(event) => put(line, event.target.value)}
              >
                <option value={DEALT}>dealt: {hangsOn(line, all)}</option>
                {all.map((ups) => (
                  <option key={ups.unit} value={ups.unit}>
                    {upsName(ups, all)}
                  </option>
                ))}
                <option value={WALL}>the wall</option>
              </select>
            ) : (
              <span className="text-mid">{hangsOn(line, all)}</span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

const nameOf = ({ name, mark, n, of }: MainsLine): string =>
  `${name}${mark ? ` ${mark}` : ''}${of > 1 ? `, plug ${n} of ${of}` : ''}`;
