import { lazy, memo, Suspense, useMemo } from 'react';
import { printSpot, type Item, type PartKind, type Sheet } from '@inch-tower/core';
import { edit } from '../../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { useStockQuery } from '../../../state/api';
import { selectUnits } from '../../../state/selectors';
import { moneyWords } from '../../../words/format';
import { TABLE_ANY, useBench, type BenchUi } from '../hooks/benchContext';

const SECTIONS: readonly (readonly [string, readonly PartKind[]])[] = [
  ['Chassis', ['chassis', 'enclosure', 'adapter']],
  ['Board', ['board', 'processor', 'cooler', 'memory']],
  ['Ports and cards', ['controller', 'expander', 'networkCard', 'accelerator', 'carrier', 'riser']],
  ['Drives', ['drive']],
  ['Power', ['supply', 'ups', 'powerAdapter']],
  ['Air', ['fan']],
];
const PLACED = new Set(SECTIONS.flatMap(([, kinds]) => kinds));

const HostDrives = lazy(() => import('./HostDrives'));
const Stages = lazy(async () => ({ default: (await import('../../items/Stages')).Stages }));

/** The kit in machine order: what there is, never what is not; small parts close it with their reason. */
export const Kit = memo(function Kit({
  isFolded,
  onFold,
}: {
  readonly isFolded: boolean;
  readonly onFold: () => void;
}) {
  const build = useAppSelector((state) => state.bench.build);
  const needs = useAppSelector((state) => state.bench.view?.needs);
  const smallNeeds = useAppSelector((state) => state.bench.view?.small);
  const ui = useBench();
  const dispatch = useAppDispatch();
  const items = useMemo(() => build?.items.filter((item) => item.stage <= build.stage) ?? [], [build]);
  const units = useAppSelector(selectUnits);
  const planned = useMemo(() => new Set(units.map(({ item }) => item)), [units]);
  const wanted = useMemo(
    () => [
      ...(needs ?? []).map((need) => ({
        ...need,
        what: need.cable.name,
        typicalMinor: need.cable.typicalMinor,
        why: 'the wiring needs them',
      })),
      ...(smallNeeds ?? []),
    ],
    [needs, smallNeeds],
  );
  if (!build) return null;
  const rowOf = (item: Item): RowProps => {
    const sheet = build.sheets[item.sheet]!;
    const places = item.units.map(({ id }) => {
      const seat = build.layout.at[id];
      return seat ? printSpot(seat.spot) : id;
    });
    // Cables and screws have no place of their own.
    const isPlaced = planned.has(item) && sheet.kind !== 'cable' && sheet.kind !== 'sundry';
    return {
      item,
      sheet,
      places: places.join(' '),
      isChosen:
        ui.selected !== null && (places.includes(ui.selected) || item.units.some(({ id }) => id === ui.selected)),
      loose: isPlaced ? item.units.filter(({ id }) => !build.layout.at[id]).length : 0,
      onChoose: ui.select,
    };
  };
  const small = items.filter((item) => !PLACED.has(build.sheets[item.sheet]!.kind));
  return (
    <section
      aria-label="Kit"
      className={
        'no-print relative min-h-0 overflow-auto border-line text-[13px] md:border-r ' +
        'max-md:order-3 max-md:px-3 max-md:py-2 ' +
        (isFolded ? 'md:px-1.5 md:py-2' : 'md:px-3 md:py-2')
      }
      tabIndex={-1}
    >
      <button
        type="button"
        className={`press w-7 px-0 text-center max-md:hidden ${isFolded ? '' : 'float-right -mt-0.5'}`}
        aria-expanded={!isFolded}
        title={isFolded ? 'Unfold the kit' : 'Fold the kit away'}
        onClick={onFold}
      >
        <span aria-hidden>{isFolded ? '»' : '«'}</span>
        <span className="sr-only">Kit</span>
      </button>
      <h2 className="sr-only">Kit</h2>
      <div className={isFolded ? 'md:hidden' : ''}>
        {build.stages.length > 1 && (
          <Suspense fallback={null}>
            <Stages build={build} onEdits={(edits, words) => void dispatch(edit(edits, words))} />
          </Suspense>
        )}
        {SECTIONS.map(([title, kinds]) => {
          const own = items.filter((item) => kinds.includes(build.sheets[item.sheet]!.kind));
          return own.length ? (
            <KitSection key={title} title={title}>
              {own.map((item) => (
                <KitRow key={item.id} {...rowOf(item)} />
              ))}
            </KitSection>
          ) : null;
        })}
        {(small.length > 0 || (needs?.length ?? 0) > 0 || (smallNeeds?.length ?? 0) > 0) && (
          <KitSection title="Small parts">
            {small.map((item) => (
              <KitRow key={item.id} {...rowOf(item)} />
            ))}
            <Needs rows={wanted} />
          </KitSection>
        )}
        {items.length === 0 && (
          <p className="text-mid">
            No part chosen yet. Click an outline in the drawing, or lay parts you have on the table.
          </p>
        )}
        <button
          type="button"
          className="press mt-3 w-full text-left"
          onClick={() => ui.select(printSpot(TABLE_ANY), { pane: 'try', focusPane: true })}
        >
          Add any part, onto the table <span className="key float-right">/</span>
        </button>
        {items.length > 0 && (
          <Suspense fallback={null}>
            <HostDrives />
          </Suspense>
        )}
      </div>
    </section>
  );
});

type NeedOf = {
  readonly what: string;
  readonly why: string;
  readonly typicalMinor: number;
  readonly count: number;
  readonly fromKit: number;
  readonly fromBoxes: number;
  readonly toBuy: number;
};

/** What is still to buy; what is here already is folded under a count. */
function Needs({ rows }: { readonly rows: readonly NeedOf[] }) {
  const buy = rows.filter(({ toBuy }) => toBuy > 0);
  const here = rows.filter(({ toBuy }) => toBuy === 0);
  return (
    <>
      {buy.map((need) => (
        <NeedRow key={need.what} need={need} />
      ))}
      {here.length > 0 && (
        <li className="border-t border-dotted border-line px-1 py-1">
          <details>
            <summary className="min-h-6 cursor-pointer text-mid">
              {buy.length > 0
                ? `${here.length} more ${here.length === 1 ? 'is' : 'are'} here`
                : `${here.length} wanted, all here`}
            </summary>
            <ul>
              {here.map((need) => (
                <NeedRow key={need.what} need={need} />
              ))}
            </ul>
          </details>
        </li>
      )}
    </>
  );
}

const NeedRow = memo(function NeedRow({ need }: { readonly need: NeedOf }) {
  const { what, typicalMinor, why } = need;
  const where = [
    need.fromKit && `${need.fromKit} in the kit`,
    need.fromBoxes && `${need.fromBoxes} in the boxes`,
    need.toBuy && `${need.toBuy} to buy`,
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <li className="border-t border-dotted border-line px-1 py-1">
      <span className="flex justify-between gap-2">
        <span>
          {need.count} × {what}
        </span>
        <span className="mono shrink-0 text-[12px] text-mid">
          {need.toBuy > 0 ? moneyWords(need.toBuy * typicalMinor, 'EUR') : 'here'}
        </span>
      </span>
      <span className="block text-[12px] text-mid">
        {where}: {why}
      </span>
    </li>
  );
});

function KitSection({ title, children }: { readonly title: string; readonly children: React.ReactNode }) {
  return (
    <div className="mb-2.5">
      <h3 className="mb-0.5 text-[12.5px] font-semibold text-mid">{title}</h3>
      <ul>{children}</ul>
    </div>
  );
}

type RowProps = {
  readonly item: Item;
  readonly sheet: Sheet;
  /** Where its units are, as ids of places or of what lies on the table, one space between. */ readonly places: string;
  readonly isChosen: boolean;
  /** So many of it lie on the table. */ readonly loose: number;
  readonly onChoose: BenchUi['select'];
};

const KitRow = memo(function KitRow({ item, sheet, places, isChosen, loose, onChoose }: RowProps) {
  const price =
    item.deal === 'owned'
      ? 'owned'
      : item.price
        ? moneyWords(
            item.price.per === 'unit' ? item.price.minor * (item.count ?? item.units.length) : item.price.minor,
            item.price.currency,
          )
        : 'no price';
  const first = item.units[0].mark;
  const last = item.units.at(-1)!.mark;
  return (
    <li>
      <button
        type="button"
        data-kit={item.sheet}
        aria-pressed={isChosen}
        onClick={() => onChoose(places.split(' ')[0]!, { pane: 'sheet' })}
        className={
          'plain flex min-h-6 w-full justify-between gap-2 border-t border-dotted border-line px-1 ' +
          `py-1 text-left hover:bg-wash ${isChosen ? 'bg-wash' : ''}`
        }
      >
        <span className="min-w-0">
          <span className="break-words">
            {item.units.length > 1 ? `${item.units.length} × ` : ''}
            {sheet.name}
          </span>
          {loose > 0 && (
            <span className="block text-[12px] text-mid">
              {loose === item.units.length ? 'on the table' : `${loose} on the table`}
            </span>
          )}
          {item.deal === 'owned' && item.stockId && <OtherClaims stockId={item.stockId} />}
        </span>
        <span className="mono shrink-0 text-right text-[12px] text-mid">
          {price}
          <span className="block text-[11px]">{item.units.length > 1 ? `${first}–${last}` : first}</span>
        </span>
      </button>
    </li>
  );
});

/** Which other machines want the same units of stock, where there are not enough for all. */
function OtherClaims({ stockId }: { readonly stockId: string }) {
  const build = useAppSelector((state) => state.bench.build);
  const { data } = useStockQuery();
  const entry = data?.stock.find((one) => one.entry.id === stockId)?.entry;
  if (!build || !data || !entry) return null;
  const mine =
    build.items
      .filter((one) => one.stockId === stockId && one.deal === 'owned')
      .reduce((sum, one) => sum + (one.count ?? one.units.length), 0) * build.copies;
  const others = data.claims.filter((claim) => claim.stock === stockId && claim.build !== build.id);
  const claimed = mine + others.reduce((sum, claim) => sum + claim.units, 0);
  if (claimed <= entry.count) return null;
  return (
    <span className="warn block text-[12px]">
      {claimed} wanted, {entry.count} owned
      {others.length > 0 && `: also in ${others.map((claim) => claim.name || 'Unnamed').join(', ')}`}
    </span>
  );
}
