import {
  cablePeak,
  inputWords,
  otherCables,
  plugWord,
  putPlug,
  type PlugUse,
  type PowerBox,
  type PowerCable,
} from '@inch-tower/core';
import { edit } from '../../../state/benchThunks';
import { useAppDispatch } from '../../../state/store';
import { goneWords } from './goneWords';

const HOW = { solved: 'dealt by the solver', put: 'put by hand', held: 'held' } as const;
const amps = ({ a12, a5 }: PlugUse['start']) => `${a12.toFixed(1)} A on 12 V, ${a5.toFixed(1)} A on 5 V`;

/** The chosen plug: what it feeds and takes, and what can be done with it. */
export function PlugPane({
  box,
  cable,
  use,
}: {
  readonly box: PowerBox;
  readonly cable: PowerCable;
  readonly use: PlugUse;
}) {
  const dispatch = useAppDispatch();
  const others = otherCables(box, use);
  const put = (to: PowerCable, how: 'put' | 'held') =>
    void dispatch(
      edit(
        putPlug(box, use, to.host, how),
        how === 'held' ? `Held ${use.mark} on ${cable.name}` : `${use.mark} to ${to.name}`,
      ),
    );
  return (
    <div className="p-3">
      <h2 className="text-[16px] leading-tight font-semibold">
        {inputWords(use)}
        <span className="mono ml-2 text-[13px] font-normal text-mid">{use.mark}</span>
      </h2>
      <dl className="mt-2 grid grid-cols-[84px_minmax(0,1fr)] gap-x-2 gap-y-1 text-[13px]">
        <dt className="text-mid">Plug</dt>
        <dd>{plugWord(use.plug)}</dd>
        <dt className="text-mid">Cable</dt>
        <dd>
          {cable.label} {cable.name}
        </dd>
        <dt className="text-mid">At the start</dt>
        <dd>{cable.isCounted ? amps(use.start) : 'not computed'}</dd>
        <dt className="text-mid">At work</dt>
        <dd>{cable.isCounted ? amps(use.run) : 'not computed'}</dd>
        {use.drives.length > 1 && (
          <>
            <dt className="text-mid">Feeds</dt>
            <dd>its share of {use.drives.length} drives</dd>
          </>
        )}
        <dt className="text-mid">How</dt>
        <dd>{HOW[use.how]}</dd>
      </dl>
      <p className="mt-2 text-[13px]">{goneWords(box, cable)}</p>
      <div className="mt-2 flex flex-wrap gap-1.5">
        {use.how !== 'held' && (
          <button type="button" className="press" onClick={() => put(cable, 'held')}>
            Hold
          </button>
        )}
        {use.how !== 'solved' && (
          <button
            type="button"
            className="press"
            onClick={() =>
              void dispatch(
                edit([{ type: 'plug.release', device: use.spot }], `Released ${use.mark} from ${cable.name}`),
              )
            }
          >
            Release
          </button>
        )}
      </div>
      {others.length > 0 ? (
        <>
          <h3 className="mt-3 text-[13px] font-semibold">Move it to</h3>
          <ul>
            {others.map((other) => (
              <li key={`${other.host.key}.${other.host.n}`} className="border-b border-dotted border-line">
                <button
                  type="button"
                  className="plain min-h-7 w-full py-1 text-left text-[13px] hover:bg-wash"
                  onClick={() => put(other, 'put')}
                >
                  {other.name}
                  <span className="text-mid">
                    {' '}
                    {other.label
                      ? `${other.label}, ${cablePeak(other).amps.toFixed(1)} of ${other.carriesA} A`
                      : 'not used yet'}
                  </span>
                </button>
              </li>
            ))}
          </ul>
        </>
      ) : (
        <p className="mt-3 text-[13px] text-mid">No other cable of {box.supply.name} has a plug of this kind free.</p>
      )}
    </div>
  );
}
