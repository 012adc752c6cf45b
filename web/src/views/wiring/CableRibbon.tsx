import { bayWords, printSpot, type Layout, type CableRow, type OtherPort, type PlannedUnit } from '@inch-tower/core';
import { capacityWords } from '../../words/format';
import type { LinkFlow } from './flowWiring';
import { Cross } from '../build/Cross';
import type { StruckView } from '../build/useStruck';
import { markRanges } from './markRanges';
import type { ModuleRibbon, Picture, RibbonRow } from './ribbonLayout';
import type { WiringUi } from './useWiringUi';

export type RibbonProps = {
  /** What goes through slots and uplinks, by what they start at; null where the drives are shown. */
  readonly flow: ReadonlyMap<string, LinkFlow> | null;
  readonly picture: Picture;
  readonly struck: StruckView | null;
  readonly layout: Pick<Layout, 'at'>;
  readonly byId: ReadonlyMap<string, PlannedUnit>;
  readonly ui: WiringUi;
  readonly onPut: (edit: OtherPort['edit'], to: string) => void;
};

const SHAPE = { straight: 'straight', forward: 'forward breakout', reverse: 'reverse breakout' } as const;
const SHORT = { straight: 'straight', forward: 'forward', reverse: 'reverse' } as const;
/** Px the longest words of a cable take. */
const WHOLE_LABEL_PX = 140;
export const mbps = (value: number): string => `${Math.round(value).toLocaleString('en-GB')} MB/s`;
export const fit = (words: string, px: number): string => {
  const most = Math.max(3, Math.floor(px / 6.7));
  return words.length > most ? `${words.slice(0, most - 1)}…` : words;
};
const onEnter = (act: () => void) => (event: { readonly key: string; preventDefault: () => void }) => {
  if (event.key === 'Enter' || event.key === ' ') {
    event.preventDefault();
    act();
  }
};

/** One cable from its drives to its port; chosen it opens into a line for each drive. */
export function CableRibbon({
  one,
  picture: { columns },
  struck,
  layout,
  byId,
  ui,
  onPut,
}: RibbonProps & { readonly one: RibbonRow }) {
  const { row, key, y, heightPx, widthPx, tails } = one;
  const chosen = ui.chosen?.label === row.label;
  const faded = ui.lit !== null && !ui.lit.has(key);
  const { from } = columns;
  const port =
    ui.picking?.end === 'port'
      ? ui.picking.ports.find(({ takenBy }) => takenBy && printSpot(takenBy.device[0]) === key)
      : undefined;
  const end =
    ui.picking?.end === 'bay' ? ui.picking.ends.find(({ wire }) => printSpot(wire.device[0]) === key) : undefined;
  return (
    <g>
      <g
        role="button"
        tabIndex={0}
        aria-pressed={chosen}
        data-cable={row.label}
        className={`cable${chosen ? ' chosen' : ''}`}
        opacity={faded ? 0.35 : 1}
        aria-label={
          `${row.label}: ${row.cable.name}, from ${row.from.words} to ${row.to.words}, ` +
          `${mbps(row.carriesMBps)}${row.wire.how === 'solved' ? '' : `, ${row.wire.how}`}`
        }
        onMouseEnter={() => ui.point([key])}
        onFocus={() => ui.point([key])}
        onBlur={() => ui.point(null)}
        onClick={() => ui.choose(chosen ? null : row)}
        onKeyDown={onEnter(() => ui.choose(row))}
      >
        <rect className="row" x={2} y={y - heightPx / 2 + 1} width={columns.host - 4} height={heightPx - 2} />
        {tails.length > 0 ? (
          <Tails one={one} from={from} layout={layout} byId={byId} />
        ) : (
          <DriveWords row={row} x={columns.bays} y={y} widthPx={from - columns.bays - 12} byId={byId} />
        )}
        <Band from={from} to={columns.host} {...one} />
        {isStruck(row.label, row.drives, struck) && (
          <Cross x={from} y={y - widthPx / 2 - 3} width={columns.host - from} height={widthPx + 6} />
        )}
        <Label
          x={columns.cable}
          y={y}
          words={`${row.label} ${(columns.port - columns.cable < WHOLE_LABEL_PX ? SHORT : SHAPE)[row.cable.shape]}`}
          strong={chosen}
        />
        <Label x={columns.port} y={y} words={portWords(row)} strong={chosen} />
        {row.wire.how !== 'solved' && (
          <text className="mark" x={columns.host - 12} y={y - Math.max(8, widthPx / 2 + 3)} textAnchor="end">
            {row.wire.how === 'held' ? 'held' : 'put'}
          </text>
        )}
      </g>
      {port && (
        <Chip
          name={port.name}
          x={columns.port}
          y={y}
          title={`${port.words}, in use: the two cables change places`}
          onPut={() => onPut(port.edit, port.words)}
          words={portWords(row)}
        />
      )}
      {end && (
        <Chip
          name={key}
          x={from + 6}
          y={y}
          title={`${row.to.words}: the two cables change places`}
          onPut={() => onPut(end.edit, row.to.words)}
          words="here"
        />
      )}
    </g>
  );
}

/** A cable is gone with what it is, or with all its drives. */
const isStruck = (label: string, drives: readonly string[], struck: StruckView | null): boolean =>
  struck !== null &&
  (struck.one.things.some(({ kind, mark }) => kind === 'cable' && mark === label) ||
    (drives.length > 0 && drives.every((id) => struck.units.has(id))));

/** A drive in a socket: no cable and no port, straight to the socket. */
export function SocketRibbon({
  one,
  picture: { columns },
  struck,
  byId,
  ui,
}: RibbonProps & { readonly one: ModuleRibbon }) {
  const { module, key, y, heightPx } = one;
  const faded = ui.lit !== null && !ui.lit.has(key);
  const { from } = columns;
  const part = byId.get(module.unit)?.part;
  return (
    <g
      role="button"
      tabIndex={0}
      data-module={module.unit}
      className="cable"
      opacity={faded ? 0.35 : 1}
      aria-label={`${module.mark}, ${module.name}, in ${module.socket}, ${mbps(module.carriesMBps)}`}
      onMouseEnter={() => ui.point([key])}
      onFocus={() => ui.point([key])}
      onBlur={() => ui.point(null)}
      onClick={() => ui.chooseModule(module)}
      onKeyDown={onEnter(() => ui.chooseModule(module))}
    >
      <rect className="row" x={2} y={y - heightPx / 2 + 1} width={columns.host - 4} height={heightPx - 2} />
      <text className="mark" x={columns.bays} y={y - 2}>
        {module.mark}
        {part?.kind === 'drive' ? ` ${capacityWords(part.capacityBytes)}` : ''}
      </text>
      <text className="faint" x={columns.bays} y={y + 12}>
        {fit(module.name, from - columns.bays - 12)}
      </text>
      <Band from={from} to={columns.host} {...one} />
      {struck?.units.has(module.unit) && (
        <Cross x={from} y={y - one.widthPx / 2 - 3} width={columns.host - from} height={one.widthPx + 6} />
      )}
      <Label x={columns.cable} y={y} words="in its socket" strong={false} />
    </g>
  );
}

function DriveWords({
  row,
  x,
  y,
  widthPx,
  byId,
}: {
  readonly row: CableRow;
  readonly x: number;
  readonly y: number;
  readonly widthPx: number;
  readonly byId: ReadonlyMap<string, PlannedUnit>;
}) {
  const box = byId.get(row.to.host);
  // With several boxes the bays alone do not say which.
  const of =
    box?.part.kind === 'chassis' && [...byId.values()].filter(({ part }) => part.kind === 'chassis').length > 1
      ? ` of ${box.mark}`
      : '';
  const marks = row.drives.length
    ? markRanges(row.drives.map((id) => byId.get(id)?.mark ?? id))
    : (byId.get(row.to.host)?.part.name ?? '');
  const many = row.drives.length > 1 || row.wire.device.length > 1 ? `${row.drives.length} drives` : '';
  return (
    <>
      <text className="mark" x={x} y={y - 2}>
        {fit(marks, widthPx)}
      </text>
      <text className="faint" x={x} y={y + 12}>
        {fit([row.to.brief && `${row.to.brief}${of}`, many].filter(Boolean).join(' · '), widthPx)}
      </text>
    </>
  );
}

/** Each drive of an open ribbon with its bay, folded at right angles into the cable. */
function Tails({
  one: { row, y, tails, widthPx },
  from,
  layout,
  byId,
}: {
  readonly one: RibbonRow;
  readonly from: number;
  readonly layout: Pick<Layout, 'at'>;
  readonly byId: ReadonlyMap<string, PlannedUnit>;
}) {
  const thin = Math.max(1.5, Math.min(6, widthPx / tails.length));
  return (
    <>
      {row.drives.map((id, i) => {
        const unit = byId.get(id);
        const at = tails[i]!;
        return (
          <g key={id}>
            <path
              d={`M${from - 14} ${at}H${from - 4}V${y}H${from}`}
              fill="none"
              stroke="var(--mid)"
              strokeWidth={thin}
              opacity={0.55}
            />
            <text x={8} y={at + 4}>
              <tspan className="mark">{unit?.mark ?? id}</tspan>
              <tspan className="faint" dx={6}>
                {fit(
                  unit
                    ? [
                        bayWords(unit, layout, byId),
                        unit.part.kind === 'drive' ? capacityWords(unit.part.capacityBytes) : '',
                      ]
                        .filter(Boolean)
                        .join(' · ')
                    : '',
                  from - 66,
                )}
              </tspan>
            </text>
          </g>
        );
      })}
    </>
  );
}

/**
 * The ribbon itself: as wide as what it carries, the dark part what is asked; hatched where more is asked than it
 * carries.
 */
function Band({
  from,
  to,
  y,
  widthPx,
  askPx,
  short,
}: {
  readonly from: number;
  readonly to: number;
  readonly y: number;
  readonly widthPx: number;
  readonly askPx: number;
  readonly short: boolean;
}) {
  return (
    <>
      <rect
        x={from}
        y={y - widthPx / 2}
        width={to - from}
        height={widthPx}
        fill={short ? 'url(#ribbon-over)' : 'var(--line)'}
      />
      {!short && <rect x={from} y={y - askPx / 2} width={to - from} height={askPx} fill="var(--mid)" opacity={0.55} />}
    </>
  );
}

const portWords = (row: CableRow): string =>
  row.wire.host.length > 1
    ? `ports ${markRanges(row.wire.host.map(({ n }) => String(n ?? 1)))}`
    : `port ${row.wire.host[0].n ?? 1}`;

/** Words on a ribbon, on paper of their own so that they can be read. */
function Label({
  x,
  y,
  words,
  strong,
}: {
  readonly x: number;
  readonly y: number;
  readonly words: string;
  readonly strong: boolean;
}) {
  return (
    <>
      <rect
        x={x - 3}
        y={y - 9}
        width={words.length * 6.65 + 6}
        height={18}
        fill={strong ? 'var(--wash)' : 'var(--sheet)'}
        stroke="var(--line)"
        strokeWidth={0.7}
      />
      <text x={x} y={y + 4}>
        {words}
      </text>
    </>
  );
}

/** A place that the picked-up end may go to. */
export function Chip({
  name,
  title,
  x,
  y,
  onPut,
  words,
}: {
  readonly name: string;
  readonly title: string;
  readonly x: number;
  readonly y: number;
  readonly onPut: () => void;
  readonly words: string;
}) {
  return (
    <g
      role="button"
      tabIndex={0}
      data-port={name}
      aria-label={title}
      className="port-chip"
      onClick={onPut}
      onKeyDown={onEnter(onPut)}
    >
      <rect
        x={x - 6}
        y={y - 12}
        width={Math.max(28, words.length * 6.65 + 12)}
        height={24}
        fill="var(--tape)"
        stroke="var(--tape-ink)"
      />
      <text x={x} y={y + 4} style={{ fill: 'var(--tape-ink)' }}>
        {words}
      </text>
    </g>
  );
}
