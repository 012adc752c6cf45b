import type { Budget, HostRow, LeadRow, Wiring } from '@inch-tower/core';

/** Fixed columns, in px of a picture so wide. */
export type Columns = { readonly width: number; readonly bays: number; readonly lead: number; readonly port: number; readonly host: number; readonly link: number; readonly source: number };
export const ROW_PX = 34;
/** The widest lead and the widest link; a link past its own is torn, not to scale. */
const WIDEST_LEAD_PX = 22;
export const WIDEST_LINK_PX = 34;
const GAP_PX = 14;
const FREE_PX = 18;
const SOURCE_PX = 122;

export type RibbonRow = { readonly row: LeadRow; readonly y: number; readonly widthPx: number; /** How much of it the drives could fill. */ readonly askPx: number; readonly short: boolean };
export type HostBlock = { readonly host: HostRow; readonly y: number; readonly heightPx: number; readonly rows: readonly RibbonRow[]; readonly freeY: number | null };
export type Link = { readonly host: string; readonly d: string; readonly widthPx: number; readonly torn: boolean; readonly source: 'processor' | 'chipset'; readonly labelY: number };
export type SourceBlock = { readonly source: 'processor' | 'chipset'; readonly y: number; readonly heightPx: number; readonly budget: Budget | null };
export type Picture = { readonly columns: Columns; readonly heightPx: number; readonly pxPerMBps: number; readonly blocks: readonly HostBlock[]; readonly links: readonly Link[]; readonly sources: readonly SourceBlock[]; /** From chipset to processor. */ readonly uplink: { readonly x: number; readonly from: number; readonly to: number; readonly widthPx: number } | null };

export function columnsFor(width: number): Columns {
  const at = (share: number) => Math.round(width * share);
  return { width, bays: 8, lead: at(0.36), port: at(0.51), host: at(0.6), link: at(0.76), source: width - SOURCE_PX - 8 };
}

/** Where everything stands: rows of a host under each other, the hosts in their order, links running into their source. */
export function pictureOf({ hosts, budgets }: Pick<Wiring, 'hosts' | 'budgets'>, columns: Columns): Picture {
  const widest = Math.max(1, ...hosts.flatMap(({ leads }) => leads.map(({ carriesMBps }) => carriesMBps)));
  const pxPerMBps = WIDEST_LEAD_PX / widest;
  let y = 40;
  const blocks = hosts.map((host): HostBlock => {
    const from = y;
    const rows = host.leads.map((row, i): RibbonRow => ({ row, y: from + (i + 0.5) * ROW_PX, widthPx: Math.max(1.5, row.carriesMBps * pxPerMBps), askPx: Math.min(1, row.carriesMBps === 0 ? 0 : row.asksMBps / row.carriesMBps) * Math.max(1.5, row.carriesMBps * pxPerMBps), short: row.asksMBps > row.carriesMBps }));
    const freeY = host.free.length > 0 ? from + rows.length * ROW_PX + FREE_PX / 2 : null;
    const heightPx = Math.max(ROW_PX + 12, rows.length * ROW_PX + (freeY === null ? 0 : FREE_PX), Math.min(WIDEST_LINK_PX, (host.link?.mbPerS ?? 0) * pxPerMBps) + 8);
    y += heightPx + GAP_PX;
    return { host, y: from, heightPx, rows, freeY };
  });
  const linked = blocks.filter(({ host }) => host.link !== null);
  // What hangs on the chipset is the board itself and cards in its slots.
  const sourceOf = ({ host }: HostBlock): 'processor' | 'chipset' => (host.link!.words === 'Chipset uplink' ? 'chipset' : host.link!.owner);
  const px = ({ host }: HostBlock) => Math.min(WIDEST_LINK_PX, Math.max(2, host.link!.mbPerS * pxPerMBps));
  const there = (['chipset', 'processor'] as const).filter((source) => linked.some((block) => sourceOf(block) === source) || budgets.some((one) => one.source === source));
  // Hosts of one source stand together, so a source reaches over all of them and every link runs straight into it.
  const sources: SourceBlock[] = [];
  let top = 40;
  for (const source of there) {
    const mine = linked.filter((block) => sourceOf(block) === source);
    const at = Math.max(top, mine[0]?.y ?? top);
    const last = mine.at(-1);
    const heightPx = Math.max(46, last ? last.y + last.heightPx - at : 0);
    sources.push({ source, y: at, heightPx, budget: budgets.find((one) => one.source === source) ?? null });
    top = at + heightPx + GAP_PX;
  }
  const links = linked.map((block): Link => {
    const from = block.y + block.heightPx / 2;
    const source = sources.find((one) => one.source === sourceOf(block))!;
    const widthPx = px(block);
    const to = Math.min(Math.max(from, source.y + widthPx / 2 + 2), source.y + source.heightPx - widthPx / 2 - 2);
    const fold = columns.source - 24;
    return { host: block.host.unit, d: Math.abs(to - from) < 1 ? `M${columns.link} ${from}H${columns.source}` : `M${columns.link} ${from}H${fold}V${to}H${columns.source}`, widthPx, torn: block.host.link!.mbPerS * pxPerMBps > WIDEST_LINK_PX, source: source.source, labelY: from };
  });
  const [chipset, processor] = [sources.find(({ source }) => source === 'chipset'), sources.find(({ source }) => source === 'processor')];
  const board = linked.find(({ host }) => host.link!.words === 'Chipset uplink');
  const uplink = chipset && processor && board ? { x: columns.source + SOURCE_PX / 2, from: chipset.y + chipset.heightPx, to: processor.y, widthPx: px(board) } : null;
  return { columns, heightPx: Math.max(y, top) + 8, pxPerMBps, blocks, links, sources, uplink };
}

export const SOURCE_WIDTH_PX = SOURCE_PX;
