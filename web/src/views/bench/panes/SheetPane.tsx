import { lazy, Suspense } from 'react';
import {
  groupAt,
  hostWords,
  parseSpot,
  plugsEnd,
  printSpot,
  sittersBySpot,
  spotsOf,
  unitsById,
  wireOf,
  type Edit,
  type PlannedUnit,
  type Wire,
} from '@inch-tower/core';
import { edit } from '../../../state/benchThunks';
import { selectUnits } from '../../../state/selectors';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { factLine } from '../../../words/factLine';
import { Numbers } from '../../sheets/Numbers';
import { useBench } from '../hooks/benchContext';
import { DriveRole } from './DriveRole';
import { DriveSet } from './DriveSet';
import { MemoryOrder } from '../drawing/MemoryOrder';
import { useFocusStart } from '../hooks/useFocusStart';

const ChassisChanges = lazy(() => import('./ChassisChanges'));
// What is typed of an item is fetched when a sheet is first open.
const ItemLine = lazy(async () => ({ default: (await import('../../items/ItemLine')).ItemLine }));
const WorthMeasuring = lazy(() => import('./WorthMeasuring'));

const HOW_WORDS = { solved: 'placed by the solver', put: 'put by hand', held: 'held' } as const;

/** The sheet of what is selected: where it sits, what can be done with it, its numbers and their sources. */
export default function SheetPane() {
  useFocusStart('sheet');
  const ui = useBench();
  const units = useAppSelector(selectUnits);
  const build = useAppSelector((state) => state.bench.build);
  const dispatch = useAppDispatch();
  if (!build) return null;
  const spot = parseSpot(ui.selected ?? '');
  const unit = spot
    ? sittersBySpot(units, build.layout).get(printSpot(spot))
    : units.find((one) => one.id === ui.selected);
  if (!unit)
    return (
      <p className="p-4 text-mid" data-pane-start tabIndex={-1}>
        {spot
          ? 'This place is empty. “Try” shows what fits there.'
          : 'Choose a part in the drawing or the kit to see its sheet.'}
      </p>
    );
  const seat = build.layout.at[unit.id];
  const act = (...edits: Edit[]) => dispatch(edit(edits));
  const wire = unit.part.kind === 'drive' ? wireOf(units, build.layout, unit.id) : null;
  const group = seat && groupAt(unitsById(units), seat.spot);
  const place = seat && group ? `${group.label}${group.count > 1 && seat.spot.n ? ` ${seat.spot.n}` : ''}` : null;
  const bay = unit.part.kind === 'drive' ? group : null;
  const turned = bay?.type === 'bay' && plugsEnd(bay.group) === 'front';
  return (
    <div className="p-3">
      <h2 className="text-[16px] leading-tight font-semibold">
        {unit.part.name}
        {unit.builtIn ? '' : <span className="mono ml-2 text-[13px] font-normal text-mid">{unit.mark}</span>}
      </h2>
      <p className="text-[13px] text-mid">{[unit.part.maker, factLine(unit.part)].filter(Boolean).join(' · ')}</p>
      <p className="mt-1 text-[13px]">
        {placeWords(unit, seat?.how, place)}
        {turned && ' Turned round, plugs to the front.'}
        {wire && <span className="block text-mid">Cable from {cableFrom(units, wire)}</span>}
      </p>
      {unit.item?.deal === 'owned' && (
        <p className="text-[13px] text-mid">
          {[
            'Owned',
            unit.item.year && `from ${unit.item.year}`,
            unit.item.hours !== undefined && `${Math.round(unit.item.hours)} h run`,
            unit.item.condition,
            unit.item.stockId && 'taken from stock',
          ]
            .filter(Boolean)
            .join(', ')}
        </p>
      )}
      {unit.item ? (
        <div className="mt-2 flex flex-wrap gap-1.5">
          {seat && (
            <button
              type="button"
              data-pane-start
              className="press"
              onClick={() => ui.select(printSpot(seat.spot), { pane: 'try', replace: true, focusPane: true })}
            >
              Replace
            </button>
          )}
          {seat && (
            <button
              type="button"
              className="press"
              aria-pressed={ui.moving === unit.id}
              onClick={() => {
                ui.setMoving(ui.moving === unit.id ? null : unit.id);
                ui.toDrawing(printSpot(seat.spot));
              }}
            >
              Move
            </button>
          )}
          {seat &&
            (seat.how === 'held' ? (
              <button type="button" className="press" onClick={() => act({ type: 'place.release', unit: unit.id })}>
                Release
              </button>
            ) : (
              <button
                type="button"
                className="press"
                onClick={() => act({ type: 'place.hold', unit: unit.id, spot: seat.spot })}
              >
                Hold
              </button>
            ))}
          <button
            type="button"
            className="press"
            {...(seat ? {} : { 'data-pane-start': '' })}
            onClick={() => {
              act({ type: 'units.remove', units: [unit.id] });
              // To the place that is empty now, and what would fit there.
              if (!seat) return;
              ui.select(printSpot(seat.spot), { pane: 'try' });
              ui.toDrawing(printSpot(seat.spot));
            }}
          >
            Take out
          </button>
          {unit.item.units.length > 1 && (
            <button type="button" className="press" onClick={() => act({ type: 'item.remove', item: unit.item!.id })}>
              Take out all {unit.item.units.length}
            </button>
          )}
          <button
            type="button"
            className="press"
            onClick={() =>
              act({
                type: 'item.patch',
                item: unit.item!.id,
                patch: { deal: unit.item!.deal === 'owned' ? 'buy' : 'owned' },
              })
            }
          >
            {unit.item.deal === 'owned' ? 'I must buy it' : 'I own it'}
          </button>
        </div>
      ) : (
        <p className="mt-2 text-[13px] text-mid">
          {unit.builtIn?.fixed
            ? 'Built in: it comes with its host and stays.'
            : 'Comes with its host. Put another in its place to swap it.'}
          {!unit.builtIn?.fixed && spot && (
            <button
              type="button"
              data-pane-start
              className="press ml-2"
              onClick={() => ui.select(printSpot(spot), { pane: 'try', replace: true, focusPane: true })}
            >
              Replace
            </button>
          )}
        </p>
      )}
      {/* One boundary for all: a part that came in later would push what is below from under the pointer. */}
      <Suspense fallback={null}>
        <ItemLine unit={unit} />
        <DriveRole unit={unit} />
        <DriveSet unit={unit} />
        {unit.part.kind === 'chassis' && <ChassisChanges unit={unit} />}
        <MemoryOrder unit={unit} units={units} />
        <Places unit={unit} units={units} />
        <WorthMeasuring key={unit.id} unit={unit.id} />
        <Numbers part={unit.part} />
      </Suspense>
    </div>
  );
}

/** The card or board a cable starts at, and its port. */
function cableFrom(units: readonly PlannedUnit[], wire: Wire): string {
  const byId = unitsById(units);
  const host = byId.get(wire.host[0].host);
  return host ? hostWords(host, wire, byId) : '';
}

function placeWords(unit: PlannedUnit, how: keyof typeof HOW_WORDS | undefined, where: string | null): string {
  if (unit.builtIn) return 'Built in.';
  if (!how || !where) return unit.part.kind === 'cable' ? 'A cable of the kit.' : 'On the table: no place yet.';
  return `${where}, ${HOW_WORDS[how]}.`;
}

/** Every place a sheet declares, with how many are free; a click tries the first free one. */
function Places({ unit, units }: { readonly unit: PlannedUnit; readonly units: readonly PlannedUnit[] }) {
  const ui = useBench();
  const layout = useAppSelector((state) => state.bench.build!.layout);
  const groups = spotsOf(unit.id, unit.part).filter((group) => group.type !== 'opening' && group.type !== 'aside');
  if (groups.length === 0 || (!layout.at[unit.id] && !unit.builtIn)) return null;
  const sitting = sittersBySpot(units, layout);
  const cables = new Set(layout.wires.flatMap((wire) => [...wire.host, ...wire.device]).map(printSpot));
  return (
    <div className="mt-3 border-t border-line pt-2">
      <h3 className="text-[12.5px] font-semibold text-mid">Places on it</h3>
      <ul>
        {groups.map((group) => {
          const spots = Array.from({ length: group.count }, (_, i) => ({
            host: group.host,
            key: group.key,
            ...(group.count > 1 ? { n: i + 1 } : {}),
          }));
          const free = spots.filter((spot) =>
            group.type === 'connector' ? !cables.has(printSpot(spot)) : !sitting.get(printSpot(spot)),
          );
          const first = free[0] ?? spots[0]!;
          return (
            <li key={group.key}>
              <button
                type="button"
                data-place={group.key}
                onClick={() => ui.select(printSpot(first), { pane: free.length ? 'try' : 'sheet', focusPane: true })}
                className={
                  'plain flex min-h-6 w-full justify-between border-t border-dotted ' +
                  'border-line ' +
                  'py-0.5 text-left text-[13px] hover:bg-wash'
                }
              >
                <span>{group.label}</span>
                <span className="mono text-[12px] text-mid">
                  {group.count === 1 ? (free.length ? 'free' : 'taken') : `${free.length} of ${group.count} free`}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
