import { projectBox, viewSize, type SceneBox, type ViewName, type Wiring } from '@inch-tower/core';
import { capacityWords } from '../../words/format';

const WIDEST_PX = 660;
const HIGHEST_PX = 420;

/** The card to hang on the door: which drive is in which bay and on which cable, seen as the bays are reached. */
export function BayMap({
  boxes,
  wiring,
  name,
}: {
  readonly boxes: readonly SceneBox[];
  readonly wiring: Wiring;
  readonly name: string;
}) {
  const cableOf = new Map(
    wiring.hosts.flatMap(({ cables }) =>
      cables.flatMap((row) => row.drives.map((drive) => [drive, row.label] as const)),
    ),
  );
  return (
    <section aria-label="Bay map">
      <h2 className="text-[17px] font-semibold">Bay map, {name || 'unnamed'}</h2>
      <p className="text-[13px]">Mark, size and cable of every drive; the numbers are those of the bays.</p>
      {boxes.map((box) => (
        <BoxMap key={box.unit.id} box={box} cableOf={cableOf} />
      ))}
    </section>
  );
}

function BoxMap({ box, cableOf }: { readonly box: SceneBox; readonly cableOf: ReadonlyMap<string, string> }) {
  const bays = (view: ViewName) =>
    projectBox(view, box).filter(({ solid }) => solid.what === 'bay' || solid.what === 'drive');
  // Bays that do not open to the front are reached from above.
  const view: ViewName = bays('front').length >= bays('plan').length ? 'front' : 'plan';
  const shapes = bays(view);
  if (shapes.length === 0) return null;
  const size = viewSize(view, box.size);
  const scale = Math.min(WIDEST_PX / size.widthMm, HIGHEST_PX / size.heightMm);
  return (
    <figure className="mt-4 break-inside-avoid">
      <figcaption className="text-[13.5px] font-medium">
        {box.unit.part.name} {box.unit.mark}, {view === 'front' ? 'from the front' : 'from above, front below'}
      </figcaption>
      <svg className="drawing mt-1" width={size.widthMm * scale + 4} height={size.heightMm * scale + 4}>
        <rect className="solid shell" x={2} y={2} width={size.widthMm * scale} height={size.heightMm * scale} />
        {shapes.map(({ solid, xMm, yMm, widthMm, heightMm }) => {
          const [x, y, w, h] = [2 + xMm * scale, 2 + yMm * scale, widthMm * scale, heightMm * scale];
          const drive = solid.unit?.part.kind === 'drive' ? solid.unit : null;
          const upright = w < 52;
          const words = drive
            ? [
                drive.mark,
                capacityWords((drive.part as { capacityBytes: number }).capacityBytes),
                cableOf.get(drive.id) ?? 'no cable',
                ...(solid.plugs === 'front' ? ['turned round'] : []),
              ]
            : [];
          return (
            <g key={solid.id}>
              <rect className={`solid ${drive ? '' : 'empty'}`} x={x} y={y} width={w} height={h} />
              {upright ? (
                <text transform={`translate(${x + w / 2 + 4} ${y + h - 5}) rotate(-90)`} className="mark">
                  {[String(solid.n ?? ''), ...words].filter(Boolean).join('  ')}
                </text>
              ) : (
                <>
                  <text className="faint" x={x + 4} y={y + h - 5}>
                    {solid.n ?? ''}
                  </text>
                  <text className="mark" x={x + w / 2} y={y + h / 2 + 4} textAnchor="middle">
                    {words.join('  ')}
                  </text>
                </>
              )}
            </g>
          );
        })}
      </svg>
    </figure>
  );
}
