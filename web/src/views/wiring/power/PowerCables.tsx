import { Fragment, type ReactNode } from 'react';
import { Link } from 'react-router';
import {
  cablePeak,
  inputWords,
  plugWord,
  printSpot,
  type PlugUse,
  type PowerBox,
  type PowerCable,
} from '@inch-tower/core';
import { edit } from '../../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { useChosenPlug, type ChosenPlug } from './useChosenPlug';

/** A line is so many pixels thick for each A where its cable carries most, and never thinner than a hair. */
const PX_PER_A = 1.1;
const thickness = (amps: number) => Math.max(1, Math.round(amps * PX_PER_A));

/**
 * Each cable of each supply with its plugs in order: what stands on them, what it carries at the start, at work, and
 * what is lost along it. The line is as thick as the current in it. A plug is chosen, or with `linkTo` leads elsewhere.
 */
export function PowerCables({
  boxes,
  title,
  linkTo,
}: {
  readonly boxes: readonly PowerBox[];
  /** Over the cables of a machine's only box; of several each has its name. */ readonly title?: string;
  readonly linkTo?: (use: PlugUse) => string;
}) {
  const chosen = useChosenPlug();
  const mark = (use: PlugUse, cable: PowerCable) => (
    <PlugMark use={use} cable={cable} chosen={chosen} to={linkTo?.(use)} />
  );
  return (
    <section aria-label="Power cables">
      {boxes.map((box) => (
        <BoxCables key={box.supply.unit} box={box} title={boxes.length > 1 ? box.name : title} mark={mark} />
      ))}
    </section>
  );
}

type Mark = (use: PlugUse, cable: PowerCable) => ReactNode;

function BoxCables({
  box,
  title,
  mark,
}: {
  readonly box: PowerBox;
  readonly title: string | undefined;
  readonly mark: Mark;
}) {
  const dispatch = useAppDispatch();
  const all = useAppSelector((state) => state.bench.build?.layout.plugs) ?? [];
  const hosts = new Set(box.cables.map(({ host }) => printSpot(host)));
  const plugs = all.filter(({ host }) => hosts.has(printSpot(host[0])));
  const dealAnew = () =>
    void dispatch(
      edit(
        plugs.map(({ device }) => ({ type: 'plug.release', device: device[0] })),
        'Power plugs dealt anew',
      ),
    );
  const used = box.cables.filter(({ label }) => label !== null);
  const spare = box.cables.filter(({ label }) => label === null);
  return (
    <div className="mb-3 break-inside-avoid">
      {title && <h2 className="text-[15px] font-semibold">{title}</h2>}
      <p className="text-[13px] text-mid">
        {box.supply.name} <span className="mono">{box.supply.mark}</span>
      </p>
      {box.without.length > 0 && (
        <p className="bad mt-1 text-[13.5px]" data-testid="without-plug">
          No plug is left for{' '}
          {box.without.map((one) => `${one.mark} ${inputWords(one)} (${plugWord(one.plug)})`).join(', ')}.
        </p>
      )}
      {!box.whole && (
        <p className="warn mt-1 text-[13px]">So many sorts of parts hang here that a better way may exist.</p>
      )}
      <ul className="mt-1">
        {used.map((cable) => (
          <CableLine key={printSpot(cable.host)} cable={cable} mark={mark} />
        ))}
      </ul>
      {plugs.length > 0 && (
        <p className="no-print mt-1.5 text-[13px]">
          <span className="text-mid">Plugs stay where they were put. </span>
          <button type="button" className="plain min-h-6 underline" onClick={dealAnew}>
            Deal them all anew
          </button>
        </p>
      )}
      {spare.length + box.spareSplitters.length > 0 && (
        <p className="mt-1.5 text-[13px]">
          <span className="text-mid">Not used: </span>
          {[...spare.map(({ name }) => name), ...box.spareSplitters].join(', ')}
        </p>
      )}
    </div>
  );
}

const EMPTY = 'border-t border-dashed border-mid';
const percent = (share: number) => `${(share * 100).toFixed(1)} %`;

const WHEN = { start: 'at the start', run: 'at work' } as const;

function CableLine({ cable, mark }: { readonly cable: PowerCable; readonly mark: Mark }) {
  const { label, name, plugs, carriesA, isCounted, start, run, drop } = cable;
  const peak = cablePeak(cable);
  const isOver = peak.share > 1 + 1e-6;
  const last = plugs.findLastIndex(({ uses }) => uses.length > 0);
  const rail = peak.rail === '5 V' ? 'a5' : 'a12';
  const beyond = (i: number) =>
    plugs.slice(i).reduce((sum, { uses }) => sum + uses.reduce((all, use) => all + use[peak.when][rail], 0), 0);
  const [other, otherWhen] = peak.when === 'start' ? [run, 'run' as const] : [start, 'start' as const];
  return (
    <li
      data-power-cable={label}
      className={
        'grid grid-cols-[34px_minmax(0,1fr)] items-center gap-x-2 border-b border-dotted border-line py-1.5 ' +
        'lg:grid-cols-[34px_132px_minmax(0,1fr)_186px]'
      }
    >
      <span className="mono font-medium">{label}</span>
      <span className="text-[13px]">{name}</span>
      <span className="col-span-2 flex min-w-0 flex-wrap items-center gap-y-1 lg:col-span-1">
        {plugs.map((plug, i) => (
          <span key={i} className="flex max-w-[124px] flex-1 items-center max-md:flex-none">
            <span
              aria-hidden
              className={`block min-w-3 flex-1 ${i > last ? EMPTY : isOver ? 'bg-warn' : 'bg-ink'}`}
              style={i > last ? undefined : { height: thickness(beyond(i)) }}
            />
            <span className="flex flex-col">
              {plug.splitter && (
                <span className="mono px-1 text-[11.5px] text-mid" title={plug.splitter.name}>
                  {plug.splitter.mark} splits
                </span>
              )}
              {plug.uses.map((use) => (
                <Fragment key={printSpot(use.spot)}>{mark(use, cable)}</Fragment>
              ))}
              {plug.uses.length === 0 && (
                <span className="border border-dashed border-mid px-1.5 text-[12px] text-mid">free</span>
              )}
            </span>
          </span>
        ))}
      </span>
      <span className="col-span-2 text-[12.5px] leading-tight lg:col-span-1 lg:text-right">
        {isCounted ? (
          <>
            <span className={isOver ? 'warn' : ''}>
              <span className="mono font-medium">{peak.amps.toFixed(1)}</span> of{' '}
              <span className="mono">{carriesA}</span> A on {peak.rail} {WHEN[peak.when]}
            </span>
            <span className="text-mid">
              {' '}
              <span className="whitespace-nowrap">
                {Math.max(other.a12, other.a5).toFixed(1)} {WHEN[otherWhen]}
                {drop ? `, ${percent(Math.max(drop.start, drop.run))} lost` : ''}
              </span>
            </span>
          </>
        ) : (
          <span className="text-mid">current not computed</span>
        )}
      </span>
    </li>
  );
}

/** What stands on a plug, by its mark: a button that chooses it, or a link to where that can be done. */
function PlugMark({
  use,
  cable,
  chosen,
  to,
}: {
  readonly use: PlugUse;
  readonly cable: PowerCable;
  readonly chosen: ChosenPlug;
  readonly to: string | undefined;
}) {
  const { mark, input, how } = use;
  const isChosen = chosen.isChosen(use);
  const shared = {
    'data-plug': input ? `${mark} ${input.n}` : mark,
    'aria-label': `${mark} ${inputWords(use)}, on ${cable.label}`,
    title: `${inputWords(use)}: ${use.start.a12.toFixed(1)} A on 12 V at the start`,
    className: `${MARK} ${isChosen ? 'bg-wash font-semibold' : 'bg-sheet'}`,
  };
  const words = (
    <>
      {mark}
      {input && <span className="text-[11.5px] text-mid"> input {input.n}</span>}
      {how !== 'solved' && <span className="ml-1 text-[11px] text-mid">{how}</span>}
    </>
  );
  return to ? (
    <Link to={to} {...shared}>
      {words}
    </Link>
  ) : (
    <button type="button" aria-pressed={isChosen} {...shared} onClick={() => chosen.choose(isChosen ? null : use)}>
      {words}
    </button>
  );
}
const MARK =
  'plain mono inline-flex min-h-6 items-center border border-ink px-1.5 text-left ' +
  'text-[12.5px] whitespace-pre hover:bg-wash';
