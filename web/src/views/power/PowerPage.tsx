import { printSpot, type Build, type Power } from '@inch-tower/core';
import { PowerCables } from '../wiring/power/PowerCables';
import { plugAnswer } from './plugAnswer';
import { UpsPane } from './UpsPane';
import { useAppSelector } from '../../state/store';
import { useUndoKeys } from '../build/useUndoKeys';
import { ViewFrame } from '../build/ViewFrame';
import { MeasuredPane } from '../readings/MeasuredPane';
import { useWidth } from '../useWidth';
import { OneLine } from './oneLine/OneLine';
import { PowerSnags } from './PowerSnags';
import { RailsTable } from './RailsTable';
import { Starts } from './Starts';
import { StatesPicture } from './StatesPicture';
import { StaysPane } from './StaysPane';
import { SupplyPane } from './SupplyPane';
import { usePower, type PowerSeen } from './usePower';
import { YearPane } from './YearPane';

const ABOUT = ['wallW'] as const;

/** Does it start, what does it draw, what is that a year. */
export default function PowerPage() {
  useUndoKeys();
  const build = useAppSelector((state) => state.bench.build)!;
  const power = usePower();
  return (
    <ViewFrame
      view="power"
      hint="Does it start, what does it draw in every state, and what is that a year."
      className="bg-sheet md:grid-cols-[minmax(0,1fr)_400px] xl:grid-cols-[minmax(0,1fr)_500px]"
    >
      <h1 className="sr-only">Power</h1>
      {power && power.together.length > 0 ? (
        <>
          <LinePane power={power} build={build} />
          <DrawsPane power={power} build={build} />
        </>
      ) : (
        <p className="p-6 text-mid">
          {power
            ? 'Nothing draws power yet. With a board in the machine its states are drawn here.'
            : 'Working it out …'}
        </p>
      )}
    </ViewFrame>
  );
}

/** What feeds what, whether it starts and holds, and what stays up. */
function LinePane({ power, build }: { readonly power: PowerSeen; readonly build: Build }) {
  const { width, ref } = useWidth();
  return (
    <section aria-labelledby="line" className="print-page min-h-0 overflow-auto px-5 py-3" tabIndex={-1}>
      <h2 id="line" className="text-[15px] font-semibold">
        From the mains to the plugs
        <span className="ml-2 text-[12.5px] font-normal text-mid">
          at the most; lines are as thick as their current
        </span>
      </h2>
      <div ref={ref}>
        <OneLine power={power} build={build} width={width} />
      </div>
      <Starts power={power} build={build} width={width} />
      {power.cables.length > 0 && (
        <section aria-labelledby="plugs" className="mt-3 border-t border-line pt-2">
          <h2 id="plugs" className="text-[15px] font-semibold">
            Is there a plug for everything, on a cable that carries it?
          </h2>
          <PlugAnswer boxes={power.cables} />
          <PowerCables
            boxes={power.cables}
            linkTo={({ spot }) => `/b/${build.id}/wiring?half=power&plug=${encodeURIComponent(printSpot(spot))}`}
          />
        </section>
      )}
      <StaysPane gone={power.gone} />
      {power.ups.length > 0 && <UpsPane all={power.ups} mains={power.mains} />}
      <PowerSnags build={build.id} />
    </section>
  );
}

function PlugAnswer({ boxes }: { readonly boxes: PowerSeen['cables'] }) {
  const { words, tone } = plugAnswer(boxes);
  return (
    <p className={`text-[15px] font-semibold ${tone}`} data-testid="plug-answer">
      {words}
    </p>
  );
}

/** In every state at the wall, all boxes on one scale, and the year that makes. */
function DrawsPane({ power, build }: { readonly power: Power; readonly build: Build }) {
  const several = power.boxes.length > 1;
  const mostW = Math.max(1, ...power.together.map(({ wall }) => wall.hi));
  return (
    <section
      aria-labelledby="draws"
      className="print-page min-h-0 overflow-auto border-line px-5 py-3 md:border-l"
      tabIndex={-1}
    >
      <h2 id="draws" className="text-[15px] font-semibold">
        What does it draw?
      </h2>
      <p className="text-[12.5px] text-mid">W at the wall, from low to high; behind it how full the supply is.</p>
      {several && (
        <>
          <h3 className="mt-2 text-[13px] font-semibold">All on one socket</h3>
          <StatesPicture states={power.together} mostW={mostW} label="All boxes" />
        </>
      )}
      {power.boxes.map((box) => (
        <div key={box.key} className="mt-2 break-inside-avoid">
          <h3 className="text-[13px] font-semibold">
            {several ? `${box.name}: ` : ''}
            <span className="font-normal">
              {box.supply
                ? `${box.supply.name}, ${Math.round(box.supply.givesW)} W` +
                  `${box.supply.modules > 1 ? ` of ${box.supply.modules} modules together` : ''}` +
                  `${box.supply.brick ? ` behind ${box.supply.brick}` : ''}`
                : 'no supply chosen; its loss is left out'}
            </span>
          </h3>
          <StatesPicture states={box.states} mostW={mostW} label={box.name} />
          <RailsTable states={box.states} name={box.name} />
          {power.boxes.find(({ supply }) => supply) === box && <SupplyPane box={box} build={build} />}
        </div>
      ))}
      {power.year && <YearPane year={power.year} power={power} build={build} />}
      <MeasuredPane build={build} about={ABOUT} />
    </section>
  );
}
