import { printSpot, type LeadRow, type OtherPort, type PlannedUnit } from '@inch-tower/core';
import { markRanges } from './markRanges';
import { ROW_PX, SOURCE_WIDTH_PX, type HostBlock, type Picture, type RibbonRow } from './ribbonLayout';
import { keyOf, type WiringUi } from './useWiringUi';

type Props = { readonly picture: Picture; readonly byId: ReadonlyMap<string, PlannedUnit>; readonly ui: WiringUi; readonly onPick: (port: OtherPort) => void };
const SHAPE = { straight: 'straight', forward: 'forward breakout', reverse: 'reverse breakout' } as const;
export const mbps = (value: number): string => `${Math.round(value).toLocaleString('en-GB')} MB/s`;
const fit = (words: string, px: number): string => { const most = Math.max(3, Math.floor(px / 6.7)); return words.length > most ? `${words.slice(0, most - 1)}…` : words; };

/** The data paths as flat ribbons in fixed columns: drives, lead, port, card, link, source. */
export function Ribbons({ picture, byId, ui, onPick }: Props) {
  const { columns, heightPx, blocks, links, sources, uplink } = picture;
  const dim = (keys: readonly string[]) => ui.lit !== null && !keys.some((key) => ui.lit!.has(key));
  return (
    <svg className="drawing" width={columns.width} height={heightPx} role="group" aria-label="Wiring: every lead from its drives to the processor" onMouseLeave={() => ui.point(null)}>
      {([['bays', 'DRIVES AND BAYS'], ['lead', 'LEAD'], ['port', 'PORT'], ['host', 'CARD'], ['link', 'SLOT'], ['source', 'SOURCE']] as const).map(([at, title]) => <text key={at} className="title" x={columns[at]} y={22}>{title}</text>)}
      {links.map((link) => {
        const block = blocks.find(({ host }) => host.unit === link.host)!;
        return (
          <g key={link.host} opacity={dim(block.rows.map(({ row }) => keyOf(row))) ? 0.3 : 1}>
            <path d={link.d} fill="none" stroke="var(--line)" strokeWidth={link.widthPx} strokeLinejoin="miter" />
            {link.torn && <path d={`M${columns.link + 74} ${link.labelY - link.widthPx / 2 - 3}l6 ${link.widthPx / 3 + 2}l-6 ${link.widthPx / 3 + 2}l6 ${link.widthPx / 3 + 2}`} fill="none" stroke="var(--paper)" strokeWidth={4} />}
          </g>
        );
      })}
      {uplink && <path d={`M${uplink.x} ${uplink.from}V${uplink.to}`} stroke="var(--line)" strokeWidth={uplink.widthPx} fill="none" />}
      {sources.map(({ source, y, heightPx: high, budget }) => {
        const over = budget !== null && budget.used > budget.has;
        return (
          <g key={source}>
            <rect className="block" x={columns.source} y={y} width={SOURCE_WIDTH_PX} height={high} />
            <text className="mark" x={columns.source + 8} y={y + 18}>{source === 'processor' ? 'Processor' : 'Chipset'}</text>
            {budget && <text className={over ? 'tagged-caution' : 'faint'} x={columns.source + 8} y={y + 34}>{budget.unit === 'lanes' ? `${budget.used} of ${budget.has} lanes` : `${Math.round((100 * budget.used) / budget.has)} % asked`}</text>}
          </g>
        );
      })}
      {blocks.map((block) => <Host key={block.host.unit} block={block} picture={picture} byId={byId} ui={ui} onPick={onPick} faded={dim(block.rows.map(({ row }) => keyOf(row)))} />)}
    </svg>
  );
}

function Host({ block, picture, byId, ui, onPick, faded }: { readonly block: HostBlock; readonly picture: Picture; readonly byId: ReadonlyMap<string, PlannedUnit>; readonly ui: WiringUi; readonly onPick: (port: OtherPort) => void; readonly faded: boolean }) {
  const { columns } = picture;
  const { host, y, heightPx, rows, freeY } = block;
  const middle = y + heightPx / 2;
  const keys = rows.map(({ row }) => keyOf(row));
  const free = (ui.picking ?? []).filter((port) => port.host === host.unit && !port.takenBy);
  const fed = host.behind ? byId.get(host.behind) : undefined;
  return (
    <g>
      <g opacity={faded ? 0.35 : 1} onMouseEnter={() => ui.point(keys.length ? keys : null)}>
        <rect className="block" x={columns.host} y={y} width={columns.link - columns.host} height={heightPx} />
        <text className="mark" x={columns.host + 8} y={middle - 1}>{fit(host.name, columns.link - columns.host - 16)}</text>
        <text className="faint" x={columns.host + 8} y={middle + 13}>{host.mark}{rows.length ? ` · ${rows.length} ${rows.length === 1 ? 'lead' : 'leads'}` : ''}</text>
        {host.link && <><text x={columns.link + 6} y={middle - 2}>{`${host.link.lanes ? `x${host.link.lanes}` : 'off'} gen ${host.link.gen}`}</text><text className="faint" x={columns.link + 6} y={middle + 12}>{fit(host.link.words, 78)}</text></>}
        {!host.link && fed && <text className="faint" x={columns.link + 6} y={middle + 4}>fed by {fed.mark}</text>}
      </g>
      {freeY !== null && !ui.picking && <text className="faint" x={columns.host - 8} y={freeY + 4} textAnchor="end">{host.free.map((one) => `${one.count} ${one.kind === 'sata' ? 'SATA' : one.kind.toUpperCase()}`).join(', ')} free</text>}
      {rows.map((one) => <Row key={keyOf(one.row)} one={one} picture={picture} byId={byId} ui={ui} onPick={onPick} />)}
      {free.map((port, i) => <PortChip key={port.name} port={port} x={columns.port + i * 34} y={freeY ?? y + heightPx - 10} onPick={onPick} words={port.ref.n ? String(port.ref.n) : '1'} />)}
    </g>
  );
}

function Row({ one, picture, byId, ui, onPick }: { readonly one: RibbonRow; readonly picture: Picture; readonly byId: ReadonlyMap<string, PlannedUnit>; readonly ui: WiringUi; readonly onPick: (port: OtherPort) => void }) {
  const { columns } = picture;
  const { row, y, widthPx, askPx, short } = one;
  const key = keyOf(row);
  const box = byId.get(row.to.host);
  // With several boxes the bays alone do not say which.
  const of = box?.part.kind === 'chassis' && [...byId.values()].filter(({ part }) => part.kind === 'chassis').length > 1 ? ` of ${box.mark}` : '';
  const chosen = ui.chosen !== null && keyOf(ui.chosen) === key;
  const faded = ui.lit !== null && !ui.lit.has(key);
  const marks = row.drives.length ? markRanges(row.drives.map((id) => byId.get(id)?.mark ?? id)) : byId.get(row.to.host)?.part.name ?? '';
  const here = ui.picking?.find((port) => port.takenBy !== null && printSpot(port.takenBy.device[0]!) === key);
  const ribbonFrom = columns.lead - 74;
  return (
    <g>
      <g role="button" tabIndex={0} aria-pressed={chosen} data-lead={row.label} className={`lead${chosen ? ' chosen' : ''}`} opacity={faded ? 0.35 : 1} aria-label={`${row.label}: ${row.lead.name}, from ${row.from.words} to ${row.to.words}, ${mbps(row.carriesMBps)}${row.wire.how === 'solved' ? '' : `, ${row.wire.how}`}`}
        onMouseEnter={() => ui.point([key])} onFocus={() => ui.point([key])} onBlur={() => ui.point(null)} onClick={() => ui.choose(chosen ? null : row)}
        onKeyDown={(event) => { if (event.key === 'Enter' || event.key === ' ') { event.preventDefault(); ui.choose(row); } }}>
        <rect className="row" x={2} y={y - ROW_PX / 2 + 1} width={columns.host - 4} height={ROW_PX - 2} />
        <rect x={ribbonFrom} y={y - widthPx / 2} width={columns.host - ribbonFrom} height={widthPx} fill={short ? 'url(#ribbon-over)' : 'var(--line)'} />
        {!short && <rect x={ribbonFrom} y={y - askPx / 2} width={columns.host - ribbonFrom} height={askPx} fill="var(--mid)" opacity={0.55} />}
        <text className="mark" x={columns.bays} y={y - 2}>{fit(marks, columns.lead - 74 - columns.bays - 12)}</text>
        <text className="faint" x={columns.bays} y={y + 12}>{fit(row.drives.length > 1 || row.wire.device.length > 1 ? `${row.drives.length} drives · ${row.to.brief}${of}` : row.to.brief, columns.lead - 74 - columns.bays - 12)}</text>
        <Label x={columns.lead} y={y} words={`${row.label} ${SHAPE[row.lead.shape]}`} strong={chosen} />
        <Label x={columns.port} y={y} words={portWords(row)} strong={chosen} />
        {row.wire.how !== 'solved' && <text className="mark" x={columns.host - 12} y={y - 8} textAnchor="end">{row.wire.how === 'held' ? 'held' : 'put'}</text>}
      </g>
      {here && <PortChip port={here} x={columns.port} y={y} onPick={onPick} words={portWords(row)} />}
    </g>
  );
}

const portWords = (row: LeadRow): string => (row.wire.host.length > 1 ? `ports ${markRanges(row.wire.host.map(({ n }) => String(n ?? 1)))}` : `port ${row.wire.host[0]!.n ?? 1}`);

/** Words on a ribbon, on paper of their own so that they can be read. */
function Label({ x, y, words, strong }: { readonly x: number; readonly y: number; readonly words: string; readonly strong: boolean }) {
  return <><rect x={x - 3} y={y - 9} width={words.length * 6.65 + 6} height={18} fill={strong ? 'var(--wash)' : 'var(--sheet)'} stroke="var(--line)" strokeWidth={0.7} /><text x={x} y={y + 4}>{words}</text></>;
}

/** A port that the picked-up end may go to. */
function PortChip({ port, x, y, onPick, words }: { readonly port: OtherPort; readonly x: number; readonly y: number; readonly onPick: (port: OtherPort) => void; readonly words: string }) {
  const wide = Math.max(28, words.length * 6.65 + 12);
  return (
    <g role="button" tabIndex={0} data-port={port.name} aria-label={`${port.words}${port.takenBy ? ', in use: the two leads change places' : ', free'}`} className="port-chip" onClick={() => onPick(port)} onKeyDown={(event) => { if (event.key === 'Enter' || event.key === ' ') { event.preventDefault(); onPick(port); } }}>
      <rect x={x - 6} y={y - 12} width={wide} height={24} fill="var(--tape)" stroke="var(--tape-ink)" />
      <text x={x} y={y + 4} style={{ fill: 'var(--tape-ink)' }}>{words}</text>
    </g>
  );
}
