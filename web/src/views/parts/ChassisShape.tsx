import { layOut, reshape, type ChassisDraft, type PartOf } from '@inch-tower/core';
import { useMemo } from 'react';

type Props = {
  readonly base: PartOf<'chassis'>;
  readonly draft: ChassisDraft;
  readonly onDraft: (draft: ChassisDraft) => void;
};

const AREA = { width: 470, height: 240 };
const EDGE = 84;

/** An unknown chassis by its dimensions: they are typed where a draughtsman writes them, and the drawing follows. */
export function ChassisShape({ base, draft, onDraft }: Props) {
  const chassis = useMemo(() => ({ ...base, ...reshape(base, draft) }), [base, draft]);
  const plan = useMemo(() => layOut(chassis), [chassis]);
  const scale = Math.min(
    (AREA.width - EDGE * 2 - 30) / (chassis.widthMm * 2),
    (AREA.height - 50) / Math.max(chassis.depthMm, chassis.heightMm),
  );
  const w = chassis.widthMm * scale;
  const d = chassis.depthMm * scale;
  const h = chassis.heightMm * scale;
  const frontX = EDGE + w + EDGE;
  const cells = [...plan.cells.entries()].filter(([key]) =>
    chassis.bayGroups.some((group) => key.startsWith(`${group.key}.`)),
  );
  const number = (
    key: keyof Omit<ChassisDraft, 'bays'>,
    label: string,
    typical: number | undefined,
    style?: React.CSSProperties,
  ) => (
    <NumberBox
      label={label}
      typical={typical}
      value={draft[key]}
      style={style}
      onValue={(value) => onDraft(without({ ...draft, [key]: value }))}
    />
  );
  const least = (what: 'card' | 'cooler') =>
    base.clearances
      .filter((one) => one.for === what && one.while === 'present')
      .reduce<number | undefined>(
        (best, one) => (best === undefined || one.maxMm < best ? one.maxMm : best),
        undefined,
      );
  return (
    <section aria-label="Dimensions" className="mt-4 max-w-[680px] border-t border-line pt-2">
      <h2 className="font-semibold">Dimensions, in mm</h2>
      <div className="relative mt-1" style={{ width: AREA.width, height: AREA.height }}>
        <svg className="drawing absolute inset-0" width={AREA.width} height={AREA.height} aria-hidden>
          <text className="title" x={EDGE} y={12}>
            PLAN
          </text>
          <g transform={`translate(${EDGE} 18) scale(${scale})`}>
            <rect className="solid shell" width={chassis.widthMm} height={chassis.depthMm} />
            {cells.map(([key, box]) => (
              <rect
                key={key}
                className="solid empty"
                x={box.xMm}
                y={chassis.depthMm - box.zMm - box.depthMm}
                width={box.widthMm}
                height={box.depthMm}
              />
            ))}
          </g>
          <text className="title" x={frontX} y={12}>
            FRONT
          </text>
          <g transform={`translate(${frontX} 18) scale(${scale})`}>
            <rect className="solid shell" width={chassis.widthMm} height={chassis.heightMm} />
            {cells.map(([key, box]) => (
              <rect
                key={key}
                className="solid empty"
                x={box.xMm}
                y={chassis.heightMm - box.yMm - box.heightMm}
                width={box.widthMm}
                height={box.heightMm}
              />
            ))}
          </g>
          <path className="dimension" d={`M${EDGE - 8} 18v${d}M${frontX - 8} 18v${h}M${EDGE} ${26 + d}h${w}`} />
        </svg>
        {number('depthMm', 'Depth', base.depthMm, { left: EDGE - 78, top: 18 + d / 2 - 14 })}
        {number('widthMm', 'Width', base.widthMm, { left: EDGE + w / 2 - 33, top: Math.min(AREA.height - 28, 30 + d) })}
        {number('heightMm', 'Height', base.heightMm, { left: frontX - 78, top: 18 + h / 2 - 14 })}
      </div>
      <div className="mt-1 grid grid-cols-[190px_minmax(0,1fr)] items-center gap-x-3 gap-y-1 text-[13px]">
        <span>Longest card</span>
        {number('cardMm', 'Longest card', least('card'))}
        <span>Highest cooler</span>
        {number('coolerMm', 'Highest cooler', least('cooler'))}
        <span>Longest supply</span>
        {number('supplyMm', 'Longest supply', base.supplyBays[0]?.maxLengthMm)}
        {base.bayGroups.map((group) => {
          const asked = draft.bays?.[group.key];
          const is = chassis.bayGroups.find((one) => one.key === group.key);
          const put = (patch: { rows?: number | undefined; columns?: number | undefined }) =>
            onDraft({ ...draft, bays: { ...draft.bays, [group.key]: without({ ...asked, ...patch }) } });
          return (
            <div key={group.key} className="contents">
              <span>
                {group.label}, {group.takes[0]}
              </span>
              <span className="flex items-center gap-1.5">
                <NumberBox
                  label={`${group.label}: rows`}
                  typical={group.rows}
                  value={asked?.rows}
                  onValue={(rows) => put({ rows })}
                  whole
                />{' '}
                rows ×
                <NumberBox
                  label={`${group.label}: columns`}
                  typical={group.columns}
                  value={asked?.columns}
                  onValue={(columns) => put({ columns })}
                  whole
                />
                <span className="text-mid">
                  {is
                    ? `${is.rows * is.columns} ` +
                      'bays' +
                      (is.rows * is.columns < (asked?.rows ?? group.rows) * (asked?.columns ?? group.columns)
                        ? ', more do not fit the shell'
                        : '')
                    : 'none fit'}
                </span>
              </span>
            </div>
          );
        })}
      </div>
    </section>
  );
}

type BoxProps = {
  readonly label: string;
  readonly typical: number | undefined;
  readonly value: number | undefined;
  readonly onValue: (value: number | undefined) => void;
  readonly style?: React.CSSProperties | undefined;
  readonly whole?: boolean;
};

function NumberBox({ label, typical, value, onValue, style, whole }: BoxProps) {
  return (
    <input
      type="number"
      aria-label={`${label}${whole ? '' : ' in mm'}`}
      className={`field mono w-[68px] px-1 text-right ${style ? 'absolute' : ''}`}
      style={style}
      min={whole ? 0 : 1}
      max={whole ? 32 : 2500}
      step={whole ? 1 : 'any'}
      placeholder={typical === undefined ? 'open' : String(typical)}
      value={value ?? ''}
      onChange={(event) => {
        const number = Number(event.target.value);
        onValue(
          event.target.value === '' || !Number.isFinite(number) || number < 0 || (!whole && number < 1) || number > 2500
            ? undefined
            : whole
              ? Math.min(32, Math.round(number))
              : number,
        );
      }}
    />
  );
}

/** Emptied fields go back to typical. */
const without = <T extends object>(value: T) =>
  Object.fromEntries(Object.entries(value).filter(([, one]) => one !== undefined)) as {
    [K in keyof T]: Exclude<T[K], undefined>;
  };
