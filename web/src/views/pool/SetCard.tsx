import { LAYOUTS, linkInside, type PoolSet, type Rebuild, type SetLayout, type SetSeen } from '@inch-tower/core';
import { RoleSelect } from '../build/RoleSelect';
import { SetsPicture } from './SetsPicture';
import { withLayout, withoutDrive, withoutSet, withRecord, type Sets } from './poolEdits';
import { hoursWords, LAYOUT_HELP, oneIn, tb } from './poolWords';

const RECORDS = [16, 64, 128, 256, 1024] as const;

/** One set: its drives as rods, what it holds and survives; its layout and record size are chosen here. */
export function SetCard({
  set,
  sets,
  mostTb,
  width,
  struck,
  rebuild,
  onSets,
}: {
  readonly set: SetSeen;
  /** Where a link makes a rebuild longer than its drives would. */ readonly rebuild: Rebuild | undefined;
  readonly sets: Sets;
  readonly mostTb: number;
  readonly width: number;
  readonly struck: ReadonlySet<string> | null;
  readonly onSets: (sets: PoolSet[], words: string) => void;
}) {
  const { id, layout, recordBytes } = set.set;
  const least = LAYOUTS[layout].least;
  const fits = (one: SetLayout) => LAYOUTS[one].least <= set.drives.length;
  return (
    <section aria-label={id} className="mb-3 break-inside-avoid border-t border-line pt-2">
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1 text-[13.5px]">
        <h3 className="font-semibold">{id}</h3>
        <label className="no-print">
          <span className="sr-only">Layout of {id}</span>
          <select
            className="field"
            value={layout}
            onChange={(event) => {
              const next = event.target.value as SetLayout;
              onSets(withLayout(sets, id, next), `${id}: ${LAYOUTS[next].words}`);
            }}
          >
            {(Object.keys(LAYOUTS) as SetLayout[]).map((one) => (
              <option key={one} value={one} disabled={!fits(one) && one !== layout}>
                {LAYOUTS[one].words}
                {fits(one) ? '' : `, from ${LAYOUTS[one].least} drives`}
              </option>
            ))}
          </select>
        </label>
        <span className="mono font-medium" data-usable={id}>
          {tb(set.usableTb)}
        </span>
        <span className="text-mid">{survivesWords(set)}</span>
        <button
          type="button"
          className="plain no-print min-h-6 underline"
          onClick={() => onSets(withoutSet(sets, id), `${id} taken apart`)}
        >
          Take apart
        </button>
      </div>
      {set.drives.length < least ? (
        <p className="bad text-[13px]">
          It holds nothing: {LAYOUTS[layout].words} wants at least {least} drives.
        </p>
      ) : (
        <p className="text-[12.5px] text-mid">
          {LAYOUT_HELP[layout]} {set.rebuildH > 0 && rebuiltWords(set.rebuildH, rebuild)}
          {set.unreadable > 0.005 &&
            ` Rebuilt with none to spare it meets a sector that cannot be read: ${oneIn(set.unreadable)}.`}
          {set.wastedTb > 0.05 && ` ${tb(set.wastedTb)} of these drives cannot be used in it.`}
        </p>
      )}
      <SetsPicture set={set} mostTb={mostTb} width={width} struck={struck} />
      <details className="no-print text-[13px]">
        <summary className="min-h-6 cursor-pointer text-mid">Its drives and records</summary>
        <ul className="flex flex-wrap gap-x-3">
          {set.drives.map(({ unit, mark, name }) => (
            <li key={unit} className="flex items-center gap-1.5">
              <span className="mono">{mark}</span> {name}
              <RoleSelect unit={unit} label={`${mark} is for`} />
              <button
                type="button"
                className="plain min-h-6 underline"
                aria-label={`Take ${mark} out of ${id}`}
                onClick={() => onSets(withoutDrive(sets, unit), `${mark} out of ${id}`)}
              >
                out
              </button>
            </li>
          ))}
        </ul>
        {LAYOUTS[layout].kind === 'parity' && (
          <label className="flex min-h-8 items-center gap-2">
            Records of
            <select
              className="field"
              value={recordBytes === undefined ? '' : String(recordBytes / 1024)}
              onChange={(event) => {
                const kib = event.target.value === '' ? undefined : Number(event.target.value);
                onSets(
                  withRecord(sets, id, kib === undefined ? undefined : kib * 1024),
                  kib === undefined ? `${id}: record size not known` : `${id}: records of ${kib} KiB`,
                );
              }}
            >
              <option value="">not known</option>
              {RECORDS.map((kib) => (
                <option key={kib} value={kib}>
                  {kib} KiB
                </option>
              ))}
            </select>
            <span className="text-mid">
              {set.padded < 0.999
                ? `padding takes ${((1 - set.padded) * 100).toFixed(1)} % of it${set.saysRecord ? '' : ' at 128'}`
                : 'nothing is lost to padding'}
            </span>
          </label>
        )}
      </details>
    </section>
  );
}

function rebuiltWords(alone: number, rebuild: Rebuild | undefined): string {
  const words = `A failed drive is rebuilt in about ${hoursWords(rebuild?.hours ?? alone)}`;
  return rebuild?.by ? `${words}, for ${linkInside({ link: rebuild.by, count: 1 })} is narrow.` : `${words}.`;
}

function survivesWords({ any, lucky }: SetSeen): string {
  if (any === 0) return 'no drive may fail';
  const most = lucky > any ? `, at best ${lucky}` : '';
  return `any ${any === 1 ? 'one' : any} may fail${most}`;
}
