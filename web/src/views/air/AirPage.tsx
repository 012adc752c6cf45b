import { useState } from 'react';
import type { Air, AirTry, Build } from '@inch-tower/core';
import { useAppSelector } from '../../state/store';
import { useUndoKeys } from '../build/useUndoKeys';
import { ViewFrame } from '../build/ViewFrame';
import { MeasuredPane } from '../readings/MeasuredPane';
import { useWidth } from '../useWidth';
import { degrees, drivesAnswer, othersAnswer } from './airWords';
import { NoisePane } from './NoisePane';
import { QuietPane } from './QuietPane';
import { SamePane } from './SamePane';
import { SectionPicture } from './SectionPicture';
import { Trying } from './Trying';
import { useAir } from './useAir';
import { SupplyAir, WarmTable } from './WarmTable';

const ABOUT = ['driveC', 'earDb'] as const;

/** How warm do drives, processor and cards get, and how loud is it where somebody sleeps. */
export default function AirPage() {
  useUndoKeys();
  const build = useAppSelector((state) => state.bench.build)!;
  const [tried, setTried] = useState<AirTry>({});
  const air = useAir(tried);
  return (
    <ViewFrame
      view="air and sound"
      hint="How warm it gets on a normal and the hottest day, and how loud it is."
      className="bg-sheet md:grid-cols-[minmax(0,1fr)_380px] xl:grid-cols-[minmax(0,1fr)_460px]"
    >
      <h1 className="sr-only">Air and sound</h1>
      {air ? (
        <>
          <AirPane air={air} build={build} />
          <div className="print-page min-h-0 overflow-auto border-line px-5 py-3 md:border-l" tabIndex={-1}>
            <Trying build={build} air={air} tried={tried} onTry={setTried} />
            <NoisePane air={air} wishDb={build.brief.earDb} />
            <QuietPane build={build} />
            <MeasuredPane build={build} about={ABOUT} />
          </div>
        </>
      ) : (
        <p className="p-6 text-mid">Working it out …</p>
      )}
    </ViewFrame>
  );
}

function AirPane({ air, build }: { readonly air: Air; readonly build: Build }) {
  const { width, ref } = useWidth();
  const answer = drivesAnswer(air.boxes);
  const others = othersAnswer(air.boxes);
  return (
    <section aria-labelledby="lives" className="print-page min-h-0 overflow-auto px-5 py-3" tabIndex={0}>
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
            <SupplyAir supplies={box.supplies} />
          </div>
        ))}
      </div>
      <FansGone without={air.without} />
      <SamePane build={build} width={width} />
      <p className="mt-2 text-[12.5px] text-mid">
        Reckoned from what is typical of such a chassis and of its parts, all of them busy on the hottest day: the
        ranges say how far that may be off. Another machine above or below it in a rack is not counted.
      </p>
    </section>
  );
}

/** One fan of each kind standing still: how near its limit the nearest drive then is. */
function FansGone({ without }: { readonly without: Air['without'] }) {
  if (without.length === 0) return null;
  return (
    <section aria-labelledby="fan-gone" className="break-inside-avoid">
      <h2 id="fan-gone" className="text-[15px] font-semibold">
        What happens when a fan stands still?
      </h2>
      <table className="mt-1 w-full border-collapse text-[13px]">
        <tbody>
          {without.map(({ unit, name, count, label, hottestC, limitC }) => (
            <tr key={unit} className="border-t border-dotted border-line">
              <th className="py-1 pr-2 text-left font-normal">
                {count > 1 ? `One of ${count} × ${name}` : name}, {label.charAt(0).toLowerCase() + label.slice(1)}
              </th>
              <td className={`py-1 text-right ${hottestC > limitC ? 'bad' : ''}`}>
                nearest drive {degrees(hottestC)} of {degrees(limitC)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
