import { useEffect, useMemo, useState } from 'react';
import { flushSync } from 'react-dom';
import { unitsById, type OtherEnd, type OtherPort } from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { selectScene, selectUnits } from '../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { BuildTitle } from '../build/BuildTitle';
import { ChangeLine } from '../build/ChangeLine';
import { PrintHead } from '../build/PrintHead';
import { Tapes } from '../build/Tapes';
import { StruckNote } from '../build/StruckNote';
import { useStruck } from '../build/useStruck';
import { useUndoKeys } from '../build/useUndoKeys';
import { Masthead } from '../Masthead';
import { BayMap } from './BayMap';
import { CablePane, LooseEnds } from './CablePane';
import { columnsFor, keyOf, pictureOf } from './ribbonLayout';
import { Ribbons } from './Ribbons';
import { HeaderList } from './power/HeaderList';
import { PlugList } from './power/PlugList';
import { PlugPane } from './power/PlugPane';
import { PowerCables } from './power/PowerCables';
import { useChosenPlug } from './power/useChosenPlug';
import { rateOf, throughWords, withFlow } from './flowWiring';
import { ShownSwitch, useShown } from './ShownSwitch';
import { ScheduleTable } from './ScheduleTable';
import { useWidth } from '../useWidth';
import { useWiringUi } from './useWiringUi';
import { useWiring } from './useWiring';

const NARROWEST_PX = 700;

/** How everything is plugged together: ribbons above, the cable list below, the chosen cable beside them. */
export default function WiringPage() {
  useUndoKeys();
  const build = useAppSelector((state) => state.bench.build)!;
  const units = useAppSelector(selectUnits);
  const dispatch = useAppDispatch();
  const wired = useWiring();
  const ui = useWiringUi(build, units, wired?.wiring ?? null);
  const { width, ref } = useWidth();
  const byId = useMemo(() => unitsById(units), [units]);
  const open = ui.chosen && keyOf(ui.chosen);
  const shown = useShown();
  const struck = useStruck();
  const way = shown.through.now;
  const flow = useMemo(() => {
    const rate = wired && way !== 'drives' ? rateOf(wired.flow, way) : null;
    return wired && rate ? withFlow(wired.wiring, rate) : null;
  }, [wired, way]);
  const picture = useMemo(
    () => wired && pictureOf(flow?.wiring ?? wired.wiring, columnsFor(Math.max(NARROWEST_PX, width)), open),
    [wired, flow, width, open],
  );
  const rows = wired?.wiring.hosts.flatMap(({ cables }) => cables) ?? [];
  const put = (made: OtherPort['edit'] | OtherEnd['edit'], to: string) => {
    ui.setPicking(null);
    dispatch(edit([made], `${ui.chosen?.label ?? 'Cable'} to ${to}`));
  };
  const scene = useAppSelector(selectScene);
  const [printing, setPrinting] = useState<'schedule' | 'bays'>('schedule');
  // What is to be printed is on the page before the browser takes its picture.
  const print = (what: 'schedule' | 'bays') => {
    flushSync(() => setPrinting(what));
    window.print();
  };
  const plug = useChosenPlug();
  const chosenPlug = ui.chosen || !wired ? null : plug.find(wired.power);
  const { picking, setPicking, choose } = ui;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== 'Escape') return;
      if (picking) setPicking(null);
      else choose(null);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [picking, setPicking, choose]);
  return (
    <div className="print-page flex h-full min-h-[560px] flex-col">
      <Masthead>
        <BuildTitle />
      </Masthead>
      <PrintHead view={printing === 'bays' ? 'bay map' : 'wiring'} />
      <div className="no-print">
        <Tapes />
        <ChangeLine
          hint={
            `Every ribbon is a cable, as wide as what it carries, its inner part ` +
            `${way === 'drives' ? 'what its drives could give' : `what goes through it ${way}`}; every power cable ` +
            'is as thick as its current where that is most.'
          }
        />
      </div>
      <main
        className={
          'print-page grid min-h-0 flex-1 grid-cols-1 overflow-auto ' +
          'md:grid-cols-[minmax(0,1fr)_300px] md:overflow-hidden'
        }
      >
        <div ref={ref} className="print-page min-h-0 overflow-auto bg-sheet" tabIndex={-1}>
          <h1 className="sr-only">Wiring</h1>
          <svg width="0" height="0" className="absolute" aria-hidden>
            <defs>
              <pattern
                id="ribbon-over"
                width="6"
                height="6"
                patternUnits="userSpaceOnUse"
                patternTransform="rotate(45)"
              >
                <rect width="6" height="6" fill="var(--line)" />
                <rect width="2.4" height="6" fill="var(--warn)" />
              </pattern>
            </defs>
          </svg>
          {struck && <StruckNote struck={struck} />}
          <ShownSwitch shown={shown} />
          {wired && way !== 'drives' && shown.shows.data && (
            <p className="px-4 pt-1 text-[13.5px] font-medium" data-testid="through">
              {throughWords(wired.flow)}
            </p>
          )}
          {shown.shows.data &&
            picture &&
            (rows.length > 0 || picture.blocks.length > 0 ? (
              <div className="no-print overflow-x-auto">
                <Ribbons
                  flow={flow?.links ?? null}
                  picture={picture}
                  struck={struck}
                  layout={build.layout}
                  byId={byId}
                  ui={ui}
                  onPut={put}
                />
              </div>
            ) : (
              <p className="p-6 text-mid">
                Nothing to wire yet. With a board and drives in the machine every cable is drawn here.
              </p>
            ))}
          {wired && shown.shows.data && (
            <div className="no-print">
              <LooseEnds loose={wired.wiring.loose} />
            </div>
          )}
          {wired && shown.shows.power && printing !== 'bays' && (
            <div className="px-4 pt-3 pb-2">
              <PowerCables boxes={wired.power} title="Power cables" />
            </div>
          )}
          {wired && printing === 'bays' && scene && (
            <div className="print-only">
              <BayMap boxes={scene.boxes} wiring={wired.wiring} name={build.name} />
            </div>
          )}
          {wired && shown.shows.data && (
            <div className={printing === 'bays' ? 'no-print' : ''}>
              <ScheduleTable
                lines={wired.schedule}
                name={build.name}
                hasBays={(scene?.boxes.length ?? 0) > 0}
                chosen={ui.chosen?.label ?? null}
                onChoose={(label) => ui.choose(rows.find((row) => row.label === label) ?? null)}
                onPrint={print}
              />
            </div>
          )}
          {wired && shown.shows.power && (
            <div className={printing === 'bays' ? 'no-print' : ''}>
              <PlugList lines={wired.plugs} headers={wired.headers} name={build.name} />
              <HeaderList lines={wired.headers} />
            </div>
          )}
        </div>
        <aside aria-label="Cable" className="no-print min-h-0 overflow-auto border-line md:border-l">
          {chosenPlug ? (
            <PlugPane {...chosenPlug} />
          ) : (
            <CablePane
              key={ui.chosen ? keyOf(ui.chosen) : ''}
              row={ui.chosen}
              rows={rows}
              ui={ui}
              build={build}
              units={units}
              budgets={wired?.wiring.budgets ?? []}
              onPut={put}
            />
          )}
        </aside>
      </main>
    </div>
  );
}
