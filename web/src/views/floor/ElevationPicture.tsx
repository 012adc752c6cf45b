import type { Elevation } from '@inch-tower/core';

/** The front view of a machine on the floor line, to the scale all of them share. */
export function ElevationPicture({ elevation, scale }: { readonly elevation: Elevation; readonly scale: number }) {
  const { widthMm, heightMm, boxes } = elevation;
  return (
    <svg
      className="drawing"
      width={widthMm * scale + 4}
      height={heightMm * scale + 2}
      viewBox={`-2 -2 ${widthMm * scale + 4} ${heightMm * scale + 2}`}
      aria-hidden
    >
      {boxes.length === 0 && (
        <rect className="solid empty" x={0} y={0} width={widthMm * scale} height={heightMm * scale} />
      )}
      {boxes.map((box) => (
        <g
          key={box.xMm}
          transform={`translate(${box.xMm * scale} ${(heightMm - box.heightMm) * scale}) scale(${scale})`}
        >
          {box.shapes.map(([what, filled, xMm, yMm, shapeWidthMm, shapeHeightMm], i) => (
            <rect
              key={i}
              className={`solid ${what} ${filled ? '' : 'empty'}`}
              x={xMm}
              y={yMm}
              width={shapeWidthMm}
              height={shapeHeightMm}
            />
          ))}
        </g>
      ))}
    </svg>
  );
}
