import { Chip, fit, CableRibbon, SocketRibbon, type RibbonProps } from './CableRibbon';
import { Cross } from '../build/Cross';
import type { LinkFlow } from './flowWiring';
import { SOURCE_WIDTH_PX, type HostBlock } from './ribbonLayout';

/** Px from the edge of a card to where a torn link is torn. */
const TEAR_PX = 84;

/** The data paths as flat ribbons in fixed columns: drives, cable, port, card, link, source. */
export function Ribbons(props: RibbonProps) {
  const { picture, ui, flow } = props;
  const { columns, heightPx, pxPerMBps, blocks, links, sources, uplink } = picture;
  const dim = (keys: readonly string[]) => ui.lit !== null && !keys.some((key) => ui.lit!.has(key));
  return (
    <svg
      className="drawing"
      width={columns.width}
      height={heightPx}
      role="group"
      aria-label="Wiring: every cable from its drives to the processor"
      onMouseLeave={() => ui.point(null)}
    >
      {(
        [
          ['bays', 'DRIVES AND BAYS'],
          ['cable', 'CABLE'],
          ['port', 'PORT'],
          ['host', 'CARD'],
          ['link', 'SLOT'],
          ['source', 'SOURCE'],
        ] as const
      ).map(([at, title]) => (
        <text key={at} className="title" x={columns[at]} y={22}>
          {title}
        </text>
      ))}
      {links.map((link) => {
        const block = blocks.find(({ host }) => host.unit === link.host)!;
        return (
          <g key={link.host} opacity={dim(keysOf(block)) ? 0.3 : 1}>
            <path d={link.d} fill="none" stroke="var(--line)" strokeWidth={link.widthPx} strokeLinejoin="miter" />
            {flow && <Inner link={link} flow={flow.get(link.host)} pxPerMBps={pxPerMBps} />}
            {link.torn && (
              <path
                d={
                  `M${columns.link + TEAR_PX} ${link.labelY - link.widthPx / 2 - 3}l6 ` +
                  `${link.widthPx / 3 + 2}l-6 ${link.widthPx / 3 + 2}l6 ${link.widthPx / 3 + 2}`
                }
                fill="none"
                stroke="var(--paper)"
                strokeWidth={4}
              />
            )}
          </g>
        );
      })}
      {uplink && (
        <path
          d={`M${uplink.x} ${uplink.from}V${uplink.to}`}
          stroke="var(--line)"
          strokeWidth={uplink.widthPx}
          fill="none"
        />
      )}
      {sources.map(({ source, y, heightPx: high, budget }) => {
        const over = budget !== null && budget.used > budget.has;
        return (
          <g key={source}>
            <rect className="block" x={columns.source} y={y} width={SOURCE_WIDTH_PX} height={high} />
            <text className="mark" x={columns.source + 8} y={y + 18}>
              {source === 'processor' ? 'Processor' : 'Chipset'}
            </text>
            {budget && (
              <text className={over ? 'tagged-caution' : 'faint'} x={columns.source + 8} y={y + 34}>
                {budget.unit === 'lanes'
                  ? `${budget.used} of ${budget.has} lanes`
                  : `${Math.round((100 * budget.used) / budget.has)} % asked`}
              </text>
            )}
          </g>
        );
      })}
      {blocks.map((block) => (
        <Host key={block.host.unit} {...props} block={block} faded={dim(keysOf(block))} />
      ))}
    </svg>
  );
}

/** What goes through a link, as wide as it is; all of it, in tape, where it is the narrow place. */
function Inner({
  link: { d, widthPx },
  flow,
  pxPerMBps,
}: {
  readonly link: { readonly d: string; readonly widthPx: number };
  readonly flow: LinkFlow | undefined;
  readonly pxPerMBps: number;
}) {
  if (!flow || flow.mbPerS <= 0) return null;
  const inner = flow.isNeck ? widthPx : Math.min(widthPx, Math.max(1, flow.mbPerS * pxPerMBps));
  return (
    <path
      d={d}
      fill="none"
      stroke={flow.isNeck ? 'var(--tape)' : 'var(--mid)'}
      strokeWidth={inner}
      strokeLinejoin="miter"
      opacity={flow.isNeck ? 1 : 0.55}
    />
  );
}

const keysOf = ({ rows, modules }: HostBlock): string[] => [...rows, ...modules].map(({ key }) => key);

const freeWords = (kind: string): string => (kind === 'sata' ? 'SATA' : kind.toUpperCase());

function Host({ block, faded, ...props }: RibbonProps & { readonly block: HostBlock; readonly faded: boolean }) {
  const {
    picture: { columns },
    byId,
    ui,
    onPut,
  } = props;
  const { host, y, heightPx, rows, modules, freeY } = block;
  const middle = y + heightPx / 2;
  const keys = keysOf(block);
  const free =
    ui.picking?.end === 'port' ? ui.picking.ports.filter((port) => port.host === host.unit && !port.takenBy) : [];
  const fed = host.behind ? byId.get(host.behind) : undefined;
  return (
    <g>
      <g opacity={faded ? 0.35 : 1} onMouseEnter={() => ui.point(keys.length ? keys : null)}>
        <rect className="block" x={columns.host} y={y} width={columns.link - columns.host} height={heightPx} />
        {props.struck?.units.has(host.unit) && (
          <Cross x={columns.host} y={y} width={columns.link - columns.host} height={heightPx} />
        )}
        <text className="mark" x={columns.host + 8} y={middle - 1}>
          {fit(host.name, columns.link - columns.host - 16)}
        </text>
        <text className="faint" x={columns.host + 8} y={middle + 13}>
          {host.mark}
          {rows.length ? ` · ${rows.length} ${rows.length === 1 ? 'cable' : 'cables'}` : ''}
        </text>
        {host.link && (
          <>
            <text x={columns.link + 6} y={middle - 2}>
              {host.link.rate}
            </text>
            <text className="faint" x={columns.link + 6} y={middle + 12}>
              {host.modules[0]?.unit === host.unit ? '' : fit(host.link.words, 82)}
            </text>
          </>
        )}
        {!host.link && fed && (
          <text className="faint" x={columns.link + 6} y={middle + 4}>
            fed by {fed.mark}
          </text>
        )}
      </g>
      {freeY !== null && !ui.picking && (
        <text className="faint" x={columns.host - 8} y={freeY + 4} textAnchor="end">
          {host.free.map((one) => `${one.count} ${freeWords(one.kind)}`).join(', ')} free
        </text>
      )}
      {rows.map((one) => (
        <CableRibbon key={one.key} {...props} one={one} />
      ))}
      {modules.map((one) => (
        <SocketRibbon key={one.key} {...props} one={one} />
      ))}
      {free.map((port, i) => (
        <Chip
          key={port.name}
          name={port.name}
          x={columns.port + i * 34}
          y={freeY ?? y + heightPx - 10}
          onPut={() => onPut(port.edit, port.words)}
          title={`${port.words}, free`}
          words={port.ref.n ? String(port.ref.n) : '1'}
        />
      ))}
    </g>
  );
}
