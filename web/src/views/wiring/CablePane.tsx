import {
  lengthWords,
  otherEnds,
  otherPorts,
  printSpot,
  sourceWords,
  type Budget,
  type Build,
  type CableRow,
  type LooseEnd,
  type OtherPort,
  type PlannedUnit,
} from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { useAppDispatch } from '../../state/store';
import { markRanges } from './markRanges';
import { mbps } from './CableRibbon';
import { keyOf } from './ribbonLayout';
import type { WiringUi } from './useWiringUi';

const HOW = { solved: 'laid by the solver', put: 'put by hand', held: 'held' } as const;
const DIRECTION = {
  straight: 'One end to one end.',
  forward: 'Forward: the single end goes to the card, the tails to the drives.',
  reverse: 'Reverse: the tails go to the ports, the single end to the bays.',
} as const;

/** The chosen cable with what can be done to it, else what the sources still have. */
export function CablePane({
  row,
  rows,
  ui,
  build,
  units,
  budgets,
  onPut,
}: {
  readonly row: CableRow | null;
  readonly rows: readonly CableRow[];
  readonly ui: WiringUi;
  readonly build: Build;
  readonly units: readonly PlannedUnit[];
  readonly budgets: readonly Budget[];
  readonly onPut: (edit: OtherPort['edit'], to: string) => void;
}) {
  const dispatch = useAppDispatch();
  if (!row)
    return (
      <div className="p-3">
        <p className="text-mid">Choose a ribbon or a power plug to see it, hold it, or move it elsewhere.</p>
        <Budgets budgets={budgets} />
      </div>
    );
  const marks = markRanges(row.drives.map((id) => units.find((unit) => unit.id === id)?.mark ?? id));
  const ports = otherPorts(units, build.layout, row.wire);
  const ends = otherEnds(units, build.layout, row.wire);
  const places =
    ui.picking?.end === 'port'
      ? ui.picking.ports.map((port) => ({ key: port.name, words: port.words, free: !port.takenBy, edit: port.edit }))
      : ui.picking
        ? ui.picking.ends.flatMap(({ wire, edit: made }) => {
            const other = rows.find((one) => keyOf(one) === printSpot(wire.device[0]));
            return other ? [{ key: other.label, words: other.to.words, free: false, edit: made }] : [];
          })
        : [];
  const pickUp = (end: 'port' | 'bay') =>
    ui.setPicking(ui.picking?.end === end ? null : end === 'port' ? { end, ports } : { end, ends });
  const how = (to: 'held' | 'solved') =>
    dispatch(
      edit(
        [{ type: 'cable.how', device: row.wire.device[0], how: to }],
        to === 'held' ? `Held ${row.label}` : `Released ${row.label}`,
      ),
    );
  return (
    <div className="p-3">
      <h2 className="text-[16px] leading-tight font-semibold">
        {row.cable.name}
        <span className="mono ml-2 text-[13px] font-normal text-mid">{row.label}</span>
      </h2>
      <p className="mt-1 text-[13px] text-mid">{DIRECTION[row.cable.shape]}</p>
      <dl className="mt-2 grid grid-cols-[84px_minmax(0,1fr)] gap-x-2 gap-y-1 text-[13px]">
        <dt className="text-mid">From</dt>
        <dd>{row.from.words}</dd>
        <dt className="text-mid">To</dt>
        <dd>{row.to.words}</dd>
        {marks && (
          <>
            <dt className="text-mid">Drives</dt>
            <dd className="mono">{marks}</dd>
          </>
        )}
        <dt className="text-mid">Carries</dt>
        <dd className="mono">{mbps(row.carriesMBps)}</dd>
        <dt className="text-mid">Asked</dt>
        <dd className={`mono ${row.asksMBps > row.carriesMBps ? 'warn' : ''}`}>
          {mbps(row.asksMBps)}
          {row.asksMBps > row.carriesMBps ? ', more than it carries' : ''}
        </dd>
        <dt className="text-mid">Length</dt>
        <dd>{lengthWords(row)}</dd>
        <dt className="text-mid">Where it is</dt>
        <dd>{sourceWords(row)}</dd>
        <dt className="text-mid">How</dt>
        <dd>{HOW[row.wire.how]}</dd>
      </dl>
      <div className="mt-2 flex flex-wrap gap-1.5">
        <button
          type="button"
          className="press"
          disabled={ports.length === 0}
          aria-pressed={ui.picking?.end === 'port'}
          onClick={() => pickUp('port')}
        >
          {ui.picking?.end === 'port' ? 'Put it back' : 'Pick up its port end'}
        </button>
        {ends.length > 0 && (
          <button
            type="button"
            className="press"
            aria-pressed={ui.picking?.end === 'bay'}
            onClick={() => pickUp('bay')}
          >
            {ui.picking?.end === 'bay' ? 'Put it back' : 'Pick up its bay end'}
          </button>
        )}
        {row.wire.how === 'held' ? null : (
          <button type="button" className="press" onClick={() => how('held')}>
            Hold
          </button>
        )}
        {row.wire.how === 'solved' ? null : (
          <button type="button" className="press" onClick={() => how('solved')}>
            Release
          </button>
        )}
      </div>
      {ports.length === 0 && (
        <p className="mt-2 text-[13px] text-mid">
          No other port takes this end:{' '}
          {row.cable.shape === 'reverse'
            ? 'a breakout in reverse stands on several ports.'
            : 'none of its kind is free or could change places.'}
        </p>
      )}
      {ui.picking && (
        <div className="mt-2" data-picking>
          <p className="text-[13px] text-mid">Choose a lit place here or in the picture; Esc puts the end back.</p>
          <ul className="mt-1 flex flex-col gap-1">
            {places.map((place) => (
              <li key={place.key}>
                <button type="button" className="press w-full text-left" onClick={() => onPut(place.edit, place.words)}>
                  {place.words}
                  <span className="float-right text-[12.5px] text-mid">{place.free ? 'free' : 'change places'}</span>
                </button>
              </li>
            ))}
          </ul>
        </div>
      )}
      <Budgets budgets={budgets} />
    </div>
  );
}

function Budgets({ budgets }: { readonly budgets: readonly Budget[] }) {
  if (budgets.length === 0) return null;
  return (
    <section className="mt-4 border-t border-line pt-2" aria-label="Lanes and bandwidth">
      <h3 className="text-[13.5px] font-semibold">Lanes and bandwidth</h3>
      {budgets.map((one) => {
        const share = Math.min(1, one.used / one.has);
        const over = one.used > one.has;
        return (
          <div key={one.source} className="mt-1.5 text-[13px]">
            <p className="flex justify-between gap-2">
              <span>{one.words}</span>
              <span className={`mono ${over ? 'warn' : 'text-mid'}`}>
                {one.used.toLocaleString('en-GB')} of {one.has.toLocaleString('en-GB')} {one.unit}
              </span>
            </p>
            <svg aria-hidden width="100%" height="8" className="mt-0.5 block">
              <rect width="100%" height="8" fill="var(--line)" />
              <rect width={`${share * 100}%`} height="8" fill={over ? 'var(--warn)' : 'var(--mid)'} />
            </svg>
          </div>
        );
      })}
    </section>
  );
}

/** What nothing is plugged into, at the edge, with its reason. */
export function LooseEnds({ loose }: { readonly loose: readonly LooseEnd[] }) {
  if (loose.length === 0) return null;
  const groups = new Map<string, LooseEnd[]>();
  for (const one of loose) {
    const key = `${one.words}|${one.why.replace(/ \d+$/, '')}`;
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return (
    <section aria-label="Not connected" className="mt-2 border-t border-line px-2 pt-2">
      <h2 className="text-[13.5px] font-semibold">Not connected</h2>
      <ul className="mt-1 text-[13px]" data-loose>
        {[...groups.values()].map((many) => (
          <li key={many[0]!.unit} className="flex items-center gap-2 py-0.5">
            <svg aria-hidden width="26" height="10">
              <path d="M0 5H16" stroke="var(--bad)" strokeWidth="3" strokeDasharray="5 2" />
              <path d="M18 1v8M22 2v6" stroke="var(--bad)" />
            </svg>
            <span className="mono text-mid">{markRanges(many.map(({ mark }) => mark))}</span>
            <span>
              {many.length > 1 ? `${many.length} × ` : ''}
              {many[0]!.words}
            </span>
            <span className="bad">{many.length > 1 ? many[0]!.why.replace(/ \d+$/, '') : many[0]!.why}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
