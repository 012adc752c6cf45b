import type { BoxPower, Build } from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { StartPicture, StartTable } from './StartPicture';
import { holdAnswer, mildestWords, moreWords, policyWords, startAnswer, whyStart } from './startWords';
import type { PowerSeen } from './usePower';

/** Over time and against what the supply gives, box by box; how to start more mildly. */
export function Starts({
  power,
  build,
  width,
}: {
  readonly power: PowerSeen;
  readonly build: Build;
  readonly width: number;
}) {
  const starts = power.boxes.some(({ start }) => start.readyS > 0);
  return (
    <section aria-labelledby="starts" className="mt-2 border-t border-line pt-2">
      <h2 id="starts" className="text-[15px] font-semibold">
        Does it start, and does it hold?
      </h2>
      {power.boxes.map((box) => (
        <BoxStart key={box.key} box={box} width={width} isAlone={power.boxes.length === 1} />
      ))}
      {starts && <Policy power={power} build={build} />}
    </section>
  );
}

/** How drives are started, and the mildest way they could be. */
function Policy({ power, build }: { readonly power: PowerSeen; readonly build: Build }) {
  const dispatch = useAppDispatch();
  const { spinUp } = build.policy;
  const mildest = mildestWords(
    power.mildest,
    spinUp,
    power.boxes.some(({ supply }) => supply),
  );
  return (
    <div className="mt-1 border-t border-line pt-2 text-[13.5px]">
      <p>
        <span className="text-mid">Drives start </span>
        {policyWords(spinUp)}.{' '}
        {spinUp.kind === 'waves' && (
          <span className="text-mid">
            The seconds count from the first wave, which firmware begins some 15 s after power-on.{' '}
          </span>
        )}
        {power.cannotWait > 0 && (
          <span className="text-mid">
            {power.cannotWait === 1 ? 'One drive cannot' : `${power.cannotWait} drives cannot`} wait for a turn, or
            nobody says that {power.cannotWait === 1 ? 'it does' : 'they do'}: counted as starting at once.
          </span>
        )}
      </p>
      {mildest && (
        <p className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1">
          <span>{mildest.words}</span>
          {mildest.offers && power.mildest && (
            <button
              type="button"
              className="press no-print"
              onClick={() =>
                void dispatch(
                  edit(
                    [{ type: 'set.policy', value: { ...build.policy, spinUp: power.mildest!.spinUp } }],
                    `Drives start ${policyWords(power.mildest!.spinUp)}`,
                  ),
                )
              }
            >
              Start them so
            </button>
          )}
        </p>
      )}
    </div>
  );
}

function BoxStart({
  box,
  width,
  isAlone,
}: {
  readonly box: BoxPower;
  readonly width: number;
  readonly isAlone: boolean;
}) {
  const snags = useAppSelector((state) => state.bench.view?.snags) ?? [];
  const answer = startAnswer(box, snags);
  const holds = holdAnswer(box, snags);
  const why = whyStart(box);
  return (
    <div className="mt-1 mb-3 break-inside-avoid">
      {!isAlone && <h3 className="text-[13.5px] font-semibold">{box.name}</h3>}
      <p className={`text-[17px] leading-snug font-semibold ${answer.tone}`} data-testid="starts">
        {answer.words}
      </p>
      {why && <p className="text-[14px]">{why}</p>}
      <p className={`text-[14px] ${holds.tone}`} data-testid="holds">
        {holds.words}
      </p>
      {box.startsMore && (
        <p className="text-[14px] text-mid" data-testid="starts-more">
          {moreWords(box.startsMore)}
        </p>
      )}
      {box.start.readyS > 0 && (
        <>
          <StartPicture
            start={box.start}
            width={width}
            height={isAlone ? ALONE_PX : SHARED_PX}
            modules={box.supply?.modules ?? 1}
          />
          <StartTable start={box.start} name={box.name} />
        </>
      )}
      {box.start.readyS === 0 && <p className="text-[13px] text-mid">No drive here takes more to start than to run.</p>}
    </div>
  );
}

/** Heights of the picture of a start: of one box, and of each of several. */
const ALONE_PX = 340;
const SHARED_PX = 240;
