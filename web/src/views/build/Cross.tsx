/** What is struck out in a drawing: covered with paper that lets it show, and crossed from corner to corner. */
export const Cross = ({
  x,
  y,
  width,
  height,
}: {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}) => (
  <g className="struck" aria-hidden>
    <rect x={x} y={y} width={width} height={height} />
    <path d={`M${x} ${y}L${x + width} ${y + height}M${x + width} ${y}L${x} ${y + height}`} />
  </g>
);
