import { Link } from 'react-router';
import type { Air, AirTry, Build } from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { useAppDispatch } from '../../state/store';
import { Slide } from './Slide';
import { WallSlides } from './WallSlides';
import { heldWords, isDrive, slowestWords } from './airWords';

const MOST_C = 45;
const LEAST_C = 10;

/** Fans and the hottest day, tried at once; what is tried is set with one press or put back. */
export function Trying({
  build,
  air,
  tried,
  onTry,
}: {
  readonly build: Build;
  readonly air: Air;
  readonly tried: AirTry;
  readonly onTry: (tried: AirTry) => void;
}) {
  const dispatch = useAppDispatch();
  const { fans } = build.policy;
  const set = fans.kind === 'fixed' ? fans.duty : (air.held?.hot ?? air.duty);
  const duty = tried.duty ?? set;
  const hotDayC = tried.hotDayC ?? build.site.hotDayC;
  const isOther =
    (tried.duty !== undefined && tried.duty !== set) || hotDayC !== build.site.hotDayC || tried.apart !== undefined;
  const drives = air.boxes.some(({ rows }) => rows.some(isDrive)) && air.without.length > 0;
  const keep = () => {
    void dispatch(
      edit(
        [
          ...(tried.duty === undefined && tried.apart === undefined
            ? []
            : [{ type: 'set.policy' as const, value: policyOf(build.policy, tried) }]),
          { type: 'set.site', value: { ...build.site, hotDayC } },
        ],
        `Fans at ${Math.round(duty * 100)} %, hottest day ${Math.round(hotDayC)} °C`,
      ),
    );
    onTry({});
  };
  return (
    <section aria-label="What if" className="no-print mb-3 border-b border-line pb-2 text-[13px]">
      <Slide
        label="Fans at"
        unit="%"
        value={Math.round(duty * 100)}
        least={20}
        most={100}
        step={5}
        onSlide={(pct) => onTry({ ...tried, duty: pct / 100 })}
      />
      <WallSlides build={build} duty={duty} tried={tried} onTry={onTry} />
      {fans.kind === 'hold' && air.held && (
        <p className="text-mid" data-testid="held">
          {heldWords(air.held, fans.hottestDriveC, fans.cardsC)}
        </p>
      )}
      <Slide
        label="Hottest day"
        unit="°C"
        value={Math.round(hotDayC)}
        least={LEAST_C}
        most={MOST_C}
        step={1}
        onSlide={(celsius) => onTry({ ...tried, hotDayC: celsius })}
      />
      {drives && (
        <p className="flex min-h-8 flex-wrap items-center gap-x-2" data-testid="slowest">
          <span>{slowestWords(air.slowest)}</span>
          {air.slowest && air.slowest.duty !== duty && (
            <button
              type="button"
              className="press"
              onClick={() => onTry({ ...tried, duty: air.slowest!.duty })}
            >{`Try ${Math.round(air.slowest.duty * 100)} %`}</button>
          )}
        </p>
      )}
      <p className="flex min-h-8 items-center gap-2">
        {isOther ? (
          <>
            <button type="button" className="press" onClick={keep}>
              Set it so
            </button>
            <button type="button" className="plain min-h-6 underline" onClick={() => onTry({})}>
              Put back
            </button>
            <span className="text-mid">Only tried so far.</span>
          </>
        ) : (
          <span className="text-mid">
            As set in the{' '}
            <Link className="underline" to={`/b/${build.id}/brief`}>
              brief
            </Link>
            . Slide to try.
          </span>
        )}
      </p>
    </section>
  );
}

/** What is tried, as a policy. */
function policyOf({ apart: was, ...policy }: Build['policy'], { duty, apart = was }: AirTry): Build['policy'] {
  return {
    ...policy,
    ...(duty === undefined ? {} : { fans: { kind: 'fixed', duty } }),
    ...(apart && apart.length > 0 ? { apart } : {}),
  };
}
