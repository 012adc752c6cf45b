/** A number slid within bounds, told beside it. */
export function Slide({
  label,
  unit,
  value,
  least,
  most,
  step,
  onSlide,
}: {
  readonly label: string;
  readonly unit: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly step: number;
  readonly onSlide: (value: number) => void;
}) {
  return (
    <label className="flex min-h-8 items-center gap-3">
      <span className="w-[86px]">{label}</span>
      <input
        type="range"
        className="min-w-0 flex-1 accent-(--ink)"
        min={Math.min(least, value)}
        max={Math.max(most, value)}
        step={step}
        value={value}
        aria-valuetext={`${value} ${unit}`}
        onChange={(event) => onSlide(Number(event.target.value))}
      />
      <span className="mono w-[58px] text-right font-medium">
        {value} {unit}
      </span>
    </label>
  );
}
