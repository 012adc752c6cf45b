import { printSpot, type Budget, type HostRow, type CableRow, type ModuleRow, type Wiring } from '@inch-tower/core';

/** Fixed columns, in px of a picture so wide. */
export type Columns = {
  readonly width: number;
  readonly bays: number;
  /** Where ribbons begin. */ readonly from: number;
  readonly cable: number;
  readonly port: number;
  readonly host: number;
  readonly link: number;
  readonly source: number;
};
export const ROW_PX = 34;
/** The widest cable and the widest link; a link past its own is torn, not to scale. */
const WIDEST_CABLE_PX = 22;
export const WIDEST_LINK_PX = 34;
const GAP_PX = 14;
const FREE_PX = 18;
const SOURCE_PX = 116;
/** Room for a link and its words. */
const LINK_PX = 100;

/** What a ribbon is known by: a cable by its first device end, a drive in a socket by itself. */
export const keyOf = (row: CableRow): string => printSpot(row.wire.device[0]);
export const keyOfModule = (module: ModuleRow): string => `in:${module.unit}`;

type Ribbon = {
  readonly key: string;
  readonly y: number;
  readonly heightPx: number;
  readonly widthPx: number;
  /** How much of it the drives could fill. */ readonly askPx: number;
  readonly short: boolean;
};
/** `tails` are the middles of its drives' own lines where it is open. */
export type RibbonRow = Ribbon & { readonly row: CableRow; readonly tails: readonly number[] };
export type ModuleRibbon = Ribbon & { readonly module: ModuleRow };
export type HostBlock = {
  readonly host: HostRow;
  readonly y: number;
  readonly heightPx: number;
  readonly rows: readonly RibbonRow[];
  readonly modules: readonly ModuleRibbon[];
  readonly freeY: number | null;
};
type Link = {
  readonly host: string;
  readonly d: string;
  readonly widthPx: number;
  readonly torn: boolean;
  readonly source: 'processor' | 'chipset';
  readonly labelY: number;
};
type SourceBlock = {
  readonly source: 'processor' | 'chipset';
  readonly y: number;
  readonly heightPx: number;
  readonly budget: Budget | null;
};
export type Picture = {
  readonly columns: Columns;
  readonly heightPx: number;
  readonly pxPerMBps: number;
  readonly blocks: readonly HostBlock[];
  readonly links: readonly Link[];
  readonly sources: readonly SourceBlock[];
  /** From chipset to processor. */ readonly uplink: {
    readonly x: number;
    readonly from: number;
    readonly to: number;
    readonly widthPx: number;
  } | null;
};

export function columnsFor(width: number): Columns {
  const share = (of: number, least: number, most: number) => Math.round(Math.min(most, Math.max(least, width * of)));
  const source = width - SOURCE_PX - 8;
  const link = source - LINK_PX;
  const host = link - share(0.16, 116, 180);
  const port = host - share(0.09, 78, 100);
  const cable = port - share(0.15, 88, 160);
  return { width, bays: 8, from: cable - share(0.06, 26, 74), cable, port, host, link, source };
}

const TAIL_PX = 17;

/**
 * Where everything stands: rows of a host under each other, the hosts in their order, links running into their source.
 * The row `open` shows each of its drives.
 */
export function pictureOf(
  { hosts, budgets }: Pick<Wiring, 'hosts' | 'budgets'>,
  columns: Columns,
  open: string | null = null,
): Picture {
  const widest = Math.max(
    1,
    ...hosts.flatMap(({ cables, modules }) => [...cables, ...modules].map(({ carriesMBps }) => carriesMBps)),
  );
  const pxPerMBps = WIDEST_CABLE_PX / widest;
  const ribbon = ({ carriesMBps, asksMBps }: CableRow | ModuleRow) => {
    const widthPx = Math.max(1.5, carriesMBps * pxPerMBps);
    return {
      widthPx,
      askPx: Math.min(1, carriesMBps === 0 ? 0 : asksMBps / carriesMBps) * widthPx,
      short: asksMBps > carriesMBps,
    };
  };
  let y = 40;
  const blocks = hosts.map((host): HostBlock => {
    const from = y;
    let next = from;
    const stand = (heightPx: number) => {
      const middle = next + heightPx / 2;
      next += heightPx;
      return { y: middle, heightPx };
    };
    const rows = host.cables.map((row): RibbonRow => {
      const key = keyOf(row);
      const many = key === open && row.drives.length > 1 ? row.drives.length : 0;
      const top = next;
      const place = stand(Math.max(ROW_PX, many * TAIL_PX + 8));
      return {
        key,
        row,
        ...place,
        ...ribbon(row),
        tails: Array.from({ length: many }, (_, i) => top + 4 + (i + 0.5) * TAIL_PX),
      };
    });
    const modules = host.modules.map((module): ModuleRibbon => ({
      key: keyOfModule(module),
      module,
      ...stand(ROW_PX),
      ...ribbon(module),
    }));
    const freeY = host.free.length > 0 ? next + FREE_PX / 2 : null;
    const heightPx = Math.max(
      ROW_PX + 12,
      next - from + (freeY === null ? 0 : FREE_PX),
      Math.min(WIDEST_LINK_PX, (host.link?.mbPerS ?? 0) * pxPerMBps) + 8,
    );
    y += heightPx + GAP_PX;
    return { host, y: from, heightPx, rows, modules, freeY };
  });
  const linked = blocks.filter(({ host }) => host.link !== null);
  // What hangs on the chipset is the board itself and cards in its slots.
  const sourceOf = ({ host }: HostBlock): 'processor' | 'chipset' => (host.link!.uplink ? 'chipset' : host.link!.owner);
  const px = ({ host }: HostBlock) => Math.min(WIDEST_LINK_PX, Math.max(2, host.link!.mbPerS * pxPerMBps));
  const there = (['chipset', 'processor'] as const).filter(
    (source) => linked.some((block) => sourceOf(block) === source) || budgets.some((one) => one.source === source),
  );
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
    return {
      host: block.host.unit,
      d:
        Math.abs(to - from) < 1
          ? `M${columns.link} ${from}H${columns.source}`
          : `M${columns.link} ${from}H${fold}V${to}H${columns.source}`,
      widthPx,
      torn: block.host.link!.mbPerS * pxPerMBps > WIDEST_LINK_PX,
      source: source.source,
      labelY: from,
    };
  });
  const [chipset, processor] = [
    sources.find(({ source }) => source === 'chipset'),
    sources.find(({ source }) => source === 'processor'),
  ];
  const board = linked.find(({ host }) => host.link!.uplink);
  const uplink =
    chipset && processor && board
      ? { x: columns.source + SOURCE_PX / 2, from: chipset.y + chipset.heightPx, to: processor.y, widthPx: px(board) }
      : null;
  return { columns, heightPx: Math.max(y, top) + 8, pxPerMBps, blocks, links, sources, uplink };
}

export const SOURCE_WIDTH_PX = SOURCE_PX;
