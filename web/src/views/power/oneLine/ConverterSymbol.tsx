/** Its side in the drawing, px. */
export const SYMBOL = 22;

/** A converter: mains to direct current by a diagonal through its square, a brick by a frame round it. */
export function ConverterSymbol({
  x,
  y,
  isBrick,
  isDirect,
}: {
  readonly x: number;
  readonly y: number;
  readonly isBrick?: boolean;
  readonly isDirect?: boolean;
}) {
  const half = SYMBOL / 2;
  return (
    <g>
      <rect className="solid" x={x} y={y - half} width={SYMBOL} height={SYMBOL} />
      {isBrick && <rect className="symbol" x={x - 3} y={y - half - 3} width={SYMBOL + 6} height={SYMBOL + 6} />}
      <path className="symbol" d={`M${x} ${y + half}L${x + SYMBOL} ${y - half}`} />
      <path className="symbol" d={isDirect ? `M${x + 3} ${y - 7}h7m-7 3h7` : `M${x + 3} ${y - 5}q2 -4 4 0t4 0`} />
      <path className="symbol" d={`M${x + 12} ${y + 5}h7m-7 3h7`} />
    </g>
  );
}
