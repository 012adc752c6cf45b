import type { Build, Site } from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { useAppDispatch } from '../../state/store';

const SPEEDS = [1, 2.5, 5, 10, 25, 40, 100];
const LENGTHS_M = [1, 2, 3, 5, 10, 15, 20, 30, 50, 100];

/** What the machine is plugged into: how many links, and how fast the other end is. */
export function NetworkLinks({
  build,
  ports,
  told,
}: {
  readonly build: Build;
  readonly ports: readonly number[];
  readonly told: string;
}) {
  const dispatch = useAppDispatch();
  const [first, ...others] = build.site.links;
  const set = (links: Site['links'], words: string) =>
    void dispatch(edit([{ type: 'set.site', value: { ...build.site, links } }], words));
  const speeds = [...new Set([...SPEEDS, ...(first ? [first.gbPerS] : [])])].sort((a, b) => a - b);
  const most = Math.max(1, ports.length, first?.count ?? 1);
  if (ports.length === 0) return <p>{told}</p>;
  return (
    <p className="my-1 flex flex-wrap items-center gap-x-2">
      <label className="flex min-h-8 items-center gap-2">
        Plugged into a switch of
        <select
          className="field"
          value={first?.gbPerS ?? ''}
          onChange={(event) => {
            const gbPerS = Number(event.target.value);
            set(
              event.target.value === '' ? [] : [{ ...first, gbPerS, count: first?.count ?? 1 }, ...others],
              event.target.value === '' ? 'Network not said' : `Network of ${gbPerS} Gb/s`,
            );
          }}
        >
          <option value="">not said</option>
          {speeds.map((one) => (
            <option key={one} value={one}>
              {one} Gb/s
            </option>
          ))}
        </select>
      </label>
      {first && (
        <label className="flex min-h-8 items-center gap-2">
          by
          <select
            className="field"
            value={first.count}
            onChange={(event) => {
              const count = Number(event.target.value);
              set([{ ...first, count }, ...others], `${count} links to the network`);
            }}
          >
            {Array.from({ length: most }, (_, i) => i + 1).map((count) => (
              <option key={count} value={count}>
                {count === 1 ? 'one link' : `${count} links`}
              </option>
            ))}
          </select>
        </label>
      )}
      {first && (
        <label className="flex min-h-8 items-center gap-2">
          over
          <select
            className="field"
            value={first.lengthM ?? ''}
            onChange={(event) => {
              const { lengthM: _old, ...link } = first;
              const lengthM = Number(event.target.value);
              set(
                [event.target.value === '' ? link : { ...link, lengthM }, ...others],
                event.target.value === '' ? 'Length of the link not said' : `${lengthM} m to the network`,
              );
            }}
          >
            <option value="">a length not said</option>
            {[...new Set([...LENGTHS_M, ...(first.lengthM ? [first.lengthM] : [])])]
              .sort((a, b) => a - b)
              .map((one) => (
                <option key={one} value={one}>
                  {one} m
                </option>
              ))}
          </select>
        </label>
      )}
      {told && <span className="text-mid">{told}</span>}
    </p>
  );
}
