import { minorPerMajor, type Build, type Edit } from '@inch-tower/core';
import { readAnswer } from './briefFields';
import { NumberField } from './fields';

type Bands = Build['tariff']['bands'];
/** A day can be parted in so many. */
const MOST = 24;

/** What a kWh costs, by the hours from which it does; each time of day goes on to the next, the last round midnight. */
export function TariffByHour({
  build,
  onEdit,
}: {
  readonly build: Build;
  readonly onEdit: (edit: Edit, words: string) => void;
}) {
  const { tariff } = build;
  const per = minorPerMajor(tariff.currency);
  const bands = [...tariff.bands].sort((a, b) => a.fromHour - b.fromHour);
  const set = (next: Bands, words: string) => onEdit({ type: 'set.tariff', value: { ...tariff, bands: next } }, words);
  const several = bands.length > 1;
  const free = Array.from({ length: 24 }, (_, hour) => hour).find(
    (hour) => hour > (bands.at(-1)?.fromHour ?? 0) && hour >= 6,
  );
  return (
    <>
      {bands.map((band, i) => {
        const to = (bands[i + 1] ?? bands[0]!).fromHour;
        return (
          <div key={i}>
            <NumberField
              label={several ? `${hour(band.fromHour)} to ${hour(to)}` : 'A kWh costs'}
              unit={`${tariff.currency}${several ? ' a kWh' : ''}`}
              help={several ? '' : 'As on the bill, with what goes by use.'}
              value={band.minorPerKwh / per}
              onAnswer={(text) => {
                const read = readAnswer(text, { unit: tariff.currency, times: 1, optional: false });
                if (!read.ok) return read.words;
                if (read.value! < 0 || read.value! > 1000)
                  return `From 0 to 1000 ${tariff.currency}; what was there is kept.`;
                const minorPerKwh = read.value! * per;
                set(
                  bands.map((one) => (one === band ? { ...one, minorPerKwh } : one)),
                  `A kWh costs ${read.value} ${tariff.currency}${several ? ` from ${hour(band.fromHour)}` : ''}`,
                );
                return null;
              }}
            />
            {several && (
              <span className="-mt-1 mb-1.5 flex items-center gap-2 sm:ml-[186px]">
                <label className="flex items-center gap-1.5 text-[13px]">
                  <span className="text-mid">holds from</span>
                  <select
                    className="field"
                    aria-label={`Hour from which price ${i + 1} holds`}
                    value={band.fromHour}
                    onChange={(event) =>
                      set(
                        bands.map((one) => (one === band ? { ...one, fromHour: Number(event.target.value) } : one)),
                        `A price from ${hour(Number(event.target.value))}`,
                      )
                    }
                  >
                    {Array.from({ length: 24 }, (_, at) => at)
                      .filter((at) => at === band.fromHour || bands.every(({ fromHour }) => fromHour !== at))
                      .map((at) => (
                        <option key={at} value={at}>
                          {hour(at)}
                        </option>
                      ))}
                  </select>
                </label>
                <button
                  type="button"
                  className="plain min-h-6 text-[13px] underline"
                  aria-label={`Take away the price from ${hour(band.fromHour)}`}
                  onClick={() =>
                    set(
                      bands.filter((one) => one !== band),
                      `No price of its own from ${hour(band.fromHour)}`,
                    )
                  }
                >
                  Take away
                </button>
              </span>
            )}
          </div>
        );
      })}
      {bands.length < MOST && free !== undefined && (
        <p className="py-1">
          <button
            type="button"
            className="plain min-h-6 text-[13px] underline"
            onClick={() => set([...bands, { ...bands.at(-1)!, fromHour: free }], `Another price from ${hour(free)}`)}
          >
            Another price at other hours
          </button>
        </p>
      )}
    </>
  );
}

const hour = (at: number): string => `${at}:00`;
