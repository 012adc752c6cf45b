import { useMemo } from 'react';
import { Link, useOutletContext, useSearchParams } from 'react-router';
import { panelsOf, PAPERS, resolve, tilesOf, type CutOut, type Panel, type Paper, type Tile } from '@inch-tower/core';
import type { OwnedCatalogue } from '../../state/api';

const THICK = [1, 1.5, 2, 3, 4, 5, 6, 8, 10, 12, 15, 18];
const USUAL_MM = 3;
/** A square to lay a ruler on: a printer that scales is found out before anything is cut. */
const CHECK_MM = 100;

/** A box of one's own as panels at full size on paper, with its cutting list: printed, cut out, laid on the sheet. */
export default function PanelsPage() {
  const catalogue = useOutletContext<OwnedCatalogue>();
  const [params, setParams] = useSearchParams();
  const sheet = catalogue.sheets[params.get('part') ?? ''];
  const archetype = sheet && catalogue.archetypes[sheet.archetype];
  const paper: Paper = params.get('paper') === 'letter' ? 'letter' : 'a4';
  const thickMm = THICK.find((one) => String(one) === params.get('thick')) ?? USUAL_MM;
  const part = useMemo(() => (sheet && archetype ? resolve(sheet, archetype) : null), [sheet, archetype]);
  const panels = useMemo(() => (part?.kind === 'chassis' ? panelsOf(part, thickMm) : []), [part, thickMm]);
  if (part?.kind !== 'chassis')
    return (
      <main className="px-6 py-4">
        <h1 className="text-[19px] font-semibold">Panels</h1>
        <p className="mt-1 text-mid">
          There is no chassis of that name here. <Link to="/parts">All parts</Link>
        </p>
      </main>
    );
  const set = (key: string, value: string) =>
    setParams(
      (now) => {
        const next = new URLSearchParams(now);
        next.set(key, value);
        return next;
      },
      { replace: true },
    );
  const tiles = panels.flatMap((panel) => tilesOf(panel, paper).map((tile) => ({ panel, tile })));
  return (
    <main className={`panels panels-${paper} min-h-0 flex-1 overflow-auto px-6 py-4`} tabIndex={0}>
      <div className="no-print mb-3 flex flex-wrap items-center gap-3">
        <label className="flex items-center gap-2">
          Sheet
          <select className="field" value={thickMm} onChange={(event) => set('thick', event.target.value)}>
            {THICK.map((one) => (
              <option key={one} value={one}>{`${one} mm`}</option>
            ))}
          </select>
        </label>
        <label className="flex items-center gap-2">
          Paper
          <select className="field" value={paper} onChange={(event) => set('paper', event.target.value)}>
            <option value="a4">A4</option>
            <option value="letter">Letter</option>
          </select>
        </label>
        <button type="button" className="press strong" onClick={() => window.print()}>
          {`Print ${tiles.length + 1} sheets of paper`}
        </button>
        <span className="text-[13px] text-mid">At 100 %, not “fit to page”.</span>
      </div>
      <section className="paper">
        <h1 className="text-[19px] font-semibold">{`${part.name}: panels of ${thickMm} mm`}</h1>
        <p className="text-[13px]">
          Outside {part.widthMm} × {part.heightMm} × {part.depthMm} mm. Top and bottom lie over all, front and rear
          between them, the sides between those.
        </p>
        <svg
          data-testid="check"
          className="my-2 block"
          width={`${CHECK_MM}mm`}
          height={`${CHECK_MM}mm`}
          viewBox={`0 0 ${CHECK_MM} ${CHECK_MM}`}
          role="img"
          aria-label="A square of 100 mm"
        >
          <rect className="cut" x={0.1} y={0.1} width={CHECK_MM - 0.2} height={CHECK_MM - 0.2} />
          <text x={6} y={12} className="dim">
            {CHECK_MM} × {CHECK_MM} mm: measure it before you cut
          </text>
        </svg>
        <table className="text-[12.5px]" aria-label="Cutting list">
          <thead>
            <tr className="border-b border-line text-left">
              <th className="pr-6">Panel</th>
              <th className="pr-6">mm</th>
              <th>Cut-outs: middle from the left and from below</th>
            </tr>
          </thead>
          <tbody>
            {panels.map((panel) => (
              <tr key={panel.name} className="border-b border-dotted border-line align-top">
                <td className="pr-6">{panel.name}</td>
                <td className="mono pr-6 whitespace-nowrap">{`${panel.widthMm} × ${panel.heightMm}`}</td>
                <td>{panel.cutOuts.length === 0 ? 'none' : panel.cutOuts.map(cutWords).join('; ')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      {tiles.map(({ panel, tile }) => (
        <TileSheet key={`${panel.name} ${tile.row} ${tile.column}`} panel={panel} tile={tile} paper={paper} />
      ))}
    </main>
  );
}

const short = (mm: number): string => String(Number(mm.toFixed(1)));
const middleOf = (one: CutOut) =>
  one.kind === 'round' ? [one.xMm, one.yMm] : [one.xMm + one.widthMm / 2, one.yMm + one.heightMm / 2];
function cutWords(one: CutOut): string {
  const size = one.kind === 'round' ? `⌀ ${short(one.diameterMm)}` : `${short(one.widthMm)} × ${short(one.heightMm)}`;
  const [x, y] = middleOf(one);
  return `${one.label ? `${one.label} ` : ''}${size} at ${short(x!)}, ${short(y!)}`;
}

/** One sheet of paper: its part of a panel at full size, and where it belongs. */
function TileSheet({ panel, tile, paper }: { readonly panel: Panel; readonly tile: Tile; readonly paper: Paper }) {
  const { widthMm, heightMm, cutOuts } = panel;
  const [columns, rows] = [Math.ceil(widthMm / PAPERS[paper].widthMm), Math.ceil(heightMm / PAPERS[paper].heightMm)];
  return (
    <section className="paper">
      <p className="h-[8mm] text-[12px]">
        {`${panel.name}, seen from outside, ${short(widthMm)} × ${short(heightMm)} mm; ` +
          `row ${tile.row + 1} of ${rows} from above, column ${tile.column + 1} of ${columns}`}
      </p>
      <svg
        className="block"
        width={`${tile.widthMm}mm`}
        height={`${tile.heightMm}mm`}
        viewBox={`${tile.xMm} ${tile.yMm} ${tile.widthMm} ${tile.heightMm}`}
        role="img"
        aria-label={`${panel.name}, row ${tile.row + 1}, column ${tile.column + 1}`}
      >
        <rect className="edge" x={tile.xMm} y={tile.yMm} width={tile.widthMm} height={tile.heightMm} />
        <rect className="cut" x={0.1} y={0.1} width={widthMm - 0.2} height={heightMm - 0.2} />
        {cutOuts.map((one, i) => {
          const [x, y] = middleOf(one);
          return (
            <g key={i}>
              {one.kind === 'round' ? (
                <circle className="cut" cx={one.xMm} cy={heightMm - one.yMm} r={one.diameterMm / 2} />
              ) : (
                <rect
                  className="cut"
                  x={one.xMm}
                  y={heightMm - one.yMm - one.heightMm}
                  width={one.widthMm}
                  height={one.heightMm}
                />
              )}
              <path className="edge" d={`M${x! - 3} ${heightMm - y!}h6M${x} ${heightMm - y! - 3}v6`} />
              {one.label && (
                <text className="dim" x={x! + 2} y={heightMm - y! - 2}>
                  {cutWords(one)}
                </text>
              )}
            </g>
          );
        })}
      </svg>
    </section>
  );
}
