import { Link } from 'react-router';
import { printSpot, type BoxPower, type Build, type Power } from '@inch-tower/core';
import { PowerCables } from '../wiring/power/PowerCables';
import { plugAnswer } from './plugAnswer';
import { UpsPane } from './UpsPane';
import { edit } from '../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { useUndoKeys } from '../build/useUndoKeys';
import { ViewFrame } from '../build/ViewFrame';
import { MeasuredPane } from '../readings/MeasuredPane';
import { useWidth } from '../useWidth';
import { StartPicture, StartTable } from './StartPicture';
import { StatesPicture } from './StatesPicture';
import { holdAnswer, isOfPower, mildestWords, moreWords, policyWords, startAnswer } from './startWords';
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
          <StartPane power={power} build={build} />
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

/** Over time and against what the supply gives, box by box; how to start more mildly; what was found. */
function StartPane({ power, build }: { readonly power: PowerSeen; readonly build: Build }) {
  const { width, ref } = useWidth();
  const dispatch = useAppDispatch();
  const { spinUp } = build.policy;
  const mildest = mildestWords(
    power.mildest,
    spinUp,
    power.boxes.some(({ supply }) => supply),
  );
  const starts = power.boxes.some(({ start }) => start.readyS > 0);
  return (
    <section aria-labelledby="starts" className="print-page min-h-0 overflow-auto px-5 py-3" tabIndex={-1}>
      <h2 id="starts" className="text-[15px] font-semibold">
        Does it start, and does it hold?
      </h2>
      <div ref={ref}>
        {power.boxes.map((box) => (
          <BoxStart key={box.key} box={box} width={width} isAlone={power.boxes.length === 1} />
        ))}
      </div>
      {starts && (
        <div className="mt-1 border-t border-line pt-2 text-[13.5px]">
          <p>
            <span className="text-mid">Drives start </span>
            {policyWords(spinUp)}.{' '}
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
      )}
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
      {power.ups.map((ups) => (
        <UpsPane key={ups.unit} ups={ups} isOneOfMany={power.ups.length > 1} />
      ))}
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
  return (
    <div className="mt-1 mb-3 break-inside-avoid">
      {!isAlone && <h3 className="text-[13.5px] font-semibold">{box.name}</h3>}
      <p className={`text-[17px] leading-snug font-semibold ${answer.tone}`} data-testid="starts">
        {answer.words}
      </p>
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

/** What was found about power, each leading to its fixes on the bench. */
function PowerSnags({ build }: { readonly build: string }) {
  const snags = useAppSelector((state) => state.bench.view?.snags) ?? [];
  const own = snags.filter(isOfPower);
  if (own.length === 0) return null;
  return (
    <section aria-labelledby="found" className="mt-3 border-t border-line pt-2">
      <h2 id="found" className="text-[15px] font-semibold">
        What was found
      </h2>
      <ul>
        {own.map((snag) => {
          const place = snag.at[0];
          const sel = place && ('unit' in place ? place.unit : '');
          return (
            <li key={snag.key} className="mt-1 text-[13.5px]">
              <span className={`font-medium ${TONE[snag.severity]}`}>{SEVERITY[snag.severity]}.</span> {snag.what}{' '}
              <Link className="no-print underline" to={`/b/${build}?pane=snags${sel ? `&sel=${sel}` : ''}`}>
                Fixes
              </Link>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
/** Heights of the picture of a start: of one box, and of each of several. */
const ALONE_PX = 340;
const SHARED_PX = 240;
const SEVERITY = { blocker: 'Blocker', caution: 'Caution', note: 'Note' } as const;
const TONE = { blocker: 'bad', caution: 'warn', note: 'text-mid' } as const;

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
          {power.boxes.find(({ supply }) => supply) === box && <SupplyPane box={box} build={build} />}
        </div>
      ))}
      {power.year && <YearPane year={power.year} power={power} build={build} />}
      <MeasuredPane build={build} about={ABOUT} />
    </section>
  );
}
