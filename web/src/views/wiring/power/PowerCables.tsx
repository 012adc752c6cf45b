import type { PlugUse, PowerBox, PowerCable } from '@inch-tower/core';
import { edit } from '../../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../../state/store';
import { useChosenPlug, type ChosenPlug } from './useChosenPlug';

/** A line is so many pixels thick for each A on 12 V at the start, and never thinner than a hair. */
const PX_PER_A = 1.1;
const thickness = (amps: number) => Math.max(1, Math.round(amps * PX_PER_A));

/**
 * Each cable of each supply with its plugs in order: what stands on them, what it carries at the start, at work, and
 * what is lost along it. The line is as thick as the current in it.
 */
export function PowerCables({
  boxes,
  movesIn,
}: {
  readonly boxes: readonly PowerBox[];
  /** Where a plug that is chosen can be moved, if that is not here. */ readonly movesIn?: string;
}) {
  const chosen = useChosenPlug(movesIn);
  return (
    <section aria-label="Power cables" className={movesIn ? 'pt-1' : 'px-4 pt-3 pb-2'}>
      {boxes.map((box) => (
        <BoxCables
          key={box.supply.unit}
          box={box}
          title={boxes.length > 1 ? box.name : movesIn ? '' : 'Power cables'}
          chosen={chosen}
        />
      ))}
    </section>
  );
}

function BoxCables({
  box,
  title,
  chosen,
}: {
  readonly box: PowerBox;
  readonly title: string;
  readonly chosen: ChosenPlug;
}) {
  const dispatch = useAppDispatch();
  const plugs = useAppSelector((state) => state.bench.build?.layout.plugs) ?? [];
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
          No plug is left for {box.without.map(({ mark, words, plug }) => `${mark} ${words} (${plug})`).join(', ')}.
        </p>
      )}
      {!box.whole && (
        <p className="warn mt-1 text-[13px]">So many sorts of parts hang here that a better way may exist.</p>
      )}
      <ul className="mt-1">
        {used.map((cable) => (
          <CableLine key={`${cable.host.key}.${cable.host.n}`} cable={cable} chosen={chosen} />
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

function CableLine({ cable, chosen }: { readonly cable: PowerCable; readonly chosen: ChosenPlug }) {
  const { label, name, plugs, carriesA, isCounted, start, run, drop } = cable;
  const over = Math.max(start.a12, start.a5) > carriesA + 1e-6;
  const last = plugs.findLastIndex(({ uses }) => uses.length > 0);
  const beyond = (i: number) =>
    plugs.slice(i).reduce((sum, { uses }) => sum + uses.reduce((all, use) => all + use.start.a12, 0), 0);
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
              className={`block min-w-3 flex-1 ${i > last ? EMPTY : over ? 'bg-warn' : 'bg-ink'}`}
              style={i > last ? undefined : { height: thickness(beyond(i)) }}
            />
            <span className="flex flex-col">
              {plug.splitter && (
                <span className="mono px-1 text-[11.5px] text-mid" title={plug.splitter.name}>
                  {plug.splitter.mark} splits
                </span>
              )}
              {plug.uses.map((use) => (
                <PlugButton key={`${use.spot.key}.${use.spot.n}`} use={use} cable={cable} chosen={chosen} />
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
            <span className={over ? 'warn' : ''}>
              <span className="mono font-medium">{Math.max(start.a12, start.a5).toFixed(1)}</span> of{' '}
              <span className="mono">{carriesA}</span> A on {start.a5 > start.a12 ? '5 V' : '12 V'} at the start
            </span>
            <span className="text-mid">
              {' '}
              <span className="whitespace-nowrap">
                {Math.max(run.a12, run.a5).toFixed(1)} at work{drop ? `, ${percent(drop.start)} lost` : ''}
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

function PlugButton({
  use,
  cable,
  chosen,
}: {
  readonly use: PlugUse;
  readonly cable: PowerCable;
  readonly chosen: ChosenPlug;
}) {
  const isChosen = chosen.isChosen(use);
  const inputs = /input \d+/.exec(use.words)?.[0].replace('input ', '');
  return (
    <button
      type="button"
      data-plug={`${use.mark}${inputs ? ` ${inputs}` : ''}`}
      aria-pressed={isChosen}
      aria-label={`${use.mark} ${use.words}, on ${cable.label}`}
      title={`${use.words}: ${use.start.a12.toFixed(1)} A on 12 V at the start`}
      className={
        'plain mono min-h-6 border border-ink px-1.5 text-left text-[12.5px] hover:bg-wash ' +
        (isChosen ? 'bg-wash font-semibold' : 'bg-sheet')
      }
      onClick={() => chosen.choose(isChosen ? null : use)}
    >
      {use.mark}
      {inputs && <span className="text-[11.5px] text-mid"> input {inputs}</span>}
      {use.how !== 'solved' && <span className="ml-1 text-[11px] text-mid">{use.how}</span>}
    </button>
  );
}
