import { useState } from 'react';
import { Link } from 'react-router';
import type { Air, AirTry, Build } from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { BuildTitle } from '../build/BuildTitle';
import { ChangeLine } from '../build/ChangeLine';
import { PrintHead } from '../build/PrintHead';
import { Tapes } from '../build/Tapes';
import { useUndoKeys } from '../build/useUndoKeys';
import { Masthead } from '../Masthead';
import { useWidth } from '../useWidth';
import { drivesAnswer, othersAnswer } from './airWords';
import { NoisePane } from './NoisePane';
import { SectionPicture } from './SectionPicture';
import { useAir } from './useAir';
import { WarmTable } from './WarmTable';

/** How warm do drives, processor and cards get, and how loud is it where somebody sleeps. */
export default function AirPage() {
  useUndoKeys();
  const build = useAppSelector((state) => state.bench.build)!;
  const [tried, setTried] = useState<AirTry>({});
  const air = useAir(tried);
  return (
    <div className="print-page relative flex h-full min-h-[560px] flex-col">
      <Masthead>
        <BuildTitle />
      </Masthead>
      <div className="no-print contents">
        <Tapes />
        <ChangeLine hint="How warm it gets on a normal and the hottest day, and how loud it is." />
      </div>
      <PrintHead view="air and sound" />
      <main
        className={
          'print-page grid min-h-0 flex-1 auto-rows-max grid-cols-1 overflow-auto bg-sheet md:auto-rows-auto ' +
          'md:grid-cols-[minmax(0,1fr)_380px] xl:grid-cols-[minmax(0,1fr)_460px] md:overflow-hidden'
        }
      >
        <h1 className="sr-only">Air and sound</h1>
        {air ? (
          <>
            <AirPane air={air} />
            <div className="print-page min-h-0 overflow-auto border-line px-5 py-3 md:border-l" tabIndex={-1}>
              <Trying build={build} tried={tried} onTry={setTried} />
              <NoisePane air={air} wishDb={build.brief.earDb} />
            </div>
          </>
        ) : (
          <p className="p-6 text-mid">Working it out …</p>
        )}
      </main>
    </div>
  );
}

function AirPane({ air }: { readonly air: Air }) {
  const { width, ref } = useWidth();
  const answer = drivesAnswer(air.boxes);
  const others = othersAnswer(air.boxes);
  return (
    <section aria-labelledby="lives" className="print-page min-h-0 overflow-auto px-5 py-3" tabIndex={-1}>
      <h2 id="lives" className="text-[15px] font-semibold">
        Do the drives live through the hottest day?
      </h2>
      <p className={`text-[17px] leading-snug font-semibold ${answer.tone}`} data-testid="air-answer">
        {answer.words}
      </p>
      {others && <p className="text-[14px] text-warn">{others}</p>}
      <div ref={ref} className="mt-2">
        {air.boxes.map((box) => (
          <div key={box.box ?? ''} className="mb-3 break-inside-avoid">
            {air.boxes.length > 1 && <h3 className="text-[13.5px] font-semibold">{box.name}</h3>}
            <SectionPicture box={box} width={width} />
            <WarmTable box={box} />
          </div>
        ))}
      </div>
      <p className="text-[12.5px] text-mid">
        Reckoned from what is typical of such a chassis and of its parts, all of them busy on the hottest day: the
        ranges say how far that may be off. Another machine above or below it in a rack is not counted.
      </p>
    </section>
  );
}

const MOST_C = 45;
const LEAST_C = 10;

/** Fans and the hottest day, tried at once; what is tried is set with one press or put back. */
function Trying({
  build,
  tried,
  onTry,
}: {
  readonly build: Build;
  readonly tried: AirTry;
  readonly onTry: (tried: AirTry) => void;
}) {
  const dispatch = useAppDispatch();
  const { fans } = build.policy;
  const set = fans.kind === 'fixed' ? fans.duty : 0.4;
  const duty = tried.duty ?? set;
  const hotDayC = tried.hotDayC ?? build.site.hotDayC;
  const isOther = (tried.duty !== undefined && tried.duty !== set) || hotDayC !== build.site.hotDayC;
  const keep = () => {
    void dispatch(
      edit(
        [
          { type: 'set.policy', value: { ...build.policy, fans: { kind: 'fixed', duty } } },
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
      <Slide
        label="Hottest day"
        unit="°C"
        value={Math.round(hotDayC)}
        least={LEAST_C}
        most={MOST_C}
        step={1}
        onSlide={(celsius) => onTry({ ...tried, hotDayC: celsius })}
      />
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

function Slide({
  label,
  unit,
  value,
  least,
  most,
  step,
  onSlide,
}: {
  readonly label: string;
  readonly unit: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly step: number;
  readonly onSlide: (value: number) => void;
}) {
  return (
    <label className="flex min-h-8 items-center gap-3">
      <span className="w-[86px]">{label}</span>
      <input
        type="range"
        className="min-w-0 flex-1 accent-(--ink)"
        min={Math.min(least, value)}
        max={Math.max(most, value)}
        step={step}
        value={value}
        aria-valuetext={`${value} ${unit}`}
        onChange={(event) => onSlide(Number(event.target.value))}
      />
      <span className="mono w-[58px] text-right font-medium">
        {value} {unit}
      </span>
    </label>
  );
}
