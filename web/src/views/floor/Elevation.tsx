import { plannedUnits, projectBox, sceneOf, type Build, type FlatShape } from '@inch-tower/core';

export type ElevationOf = { readonly widthMm: number; readonly heightMm: number; readonly boxes: readonly { readonly xMm: number; readonly widthMm: number; readonly heightMm: number; readonly shapes: readonly FlatShape[] }[] };

const BETWEEN_MM = 40;
const UNKNOWN = { widthMm: 220, heightMm: 260 };

/** Front views of a build's boxes beside each other; a plain outline where no chassis is chosen. */
export function elevationOf(build: Build): ElevationOf {
  const { boxes } = sceneOf(plannedUnits(build), build.layout);
  let xMm = 0;
  const placed = boxes.map((box) => {
    const at = { xMm, widthMm: box.size.widthMm, heightMm: box.size.heightMm, shapes: projectBox('front', box) };
    xMm += box.size.widthMm + BETWEEN_MM;
    return at;
  });
  return placed.length ? { widthMm: xMm - BETWEEN_MM, heightMm: Math.max(...placed.map((box) => box.heightMm)), boxes: placed } : { ...UNKNOWN, boxes: [] };
}

export function Elevation({ elevation, scale }: { readonly elevation: ElevationOf; readonly scale: number }) {
  const { widthMm, heightMm, boxes } = elevation;
  return (
    <svg className="drawing" width={widthMm * scale + 4} height={heightMm * scale + 2} viewBox={`-2 -2 ${widthMm * scale + 4} ${heightMm * scale + 2}`} aria-hidden>
      {boxes.length === 0 && <rect className="solid empty" x={0} y={0} width={widthMm * scale} height={heightMm * scale} />}
      {boxes.map((box) => (
        <g key={box.xMm} transform={`translate(${box.xMm * scale} ${(heightMm - box.heightMm) * scale}) scale(${scale})`}>
          {box.shapes.map((shape) => <rect key={shape.solid.id} className={`solid ${shape.solid.what} ${shape.solid.unit ? '' : 'empty'}`} x={shape.xMm} y={shape.yMm} width={shape.widthMm} height={shape.heightMm} />)}
        </g>
      ))}
    </svg>
  );
}
