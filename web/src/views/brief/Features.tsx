import type { Brief } from '@inch-tower/core';
import { MUST_HAVES, type Level } from './briefFields';

type Feature = (typeof MUST_HAVES)[number][0];
const WORDS: Readonly<Record<Level, string>> = {
  any: 'either way',
  nice: 'nice to have',
  must: 'must have',
  not: 'not wanted',
};

/** What a machine should have besides numbers: a must that is missing is tagged, what is nice counts in comparing. */
export function Features({
  brief,
  onBrief,
}: {
  readonly brief: Brief;
  readonly onBrief: (
    brief: { readonly [Key in 'mustHave' | 'niceToHave' | 'notWanted']: Brief[Key] | undefined },
    words: string,
  ) => void;
}) {
  const levelOf = (key: Feature): Level =>
    brief.mustHave?.includes(key)
      ? 'must'
      : brief.niceToHave?.includes(key)
        ? 'nice'
        : brief.notWanted?.includes(key)
          ? 'not'
          : 'any';
  const set = (key: Feature, label: string, level: Level) => {
    const listed = (wanted: Level): Feature[] | undefined => {
      const all = MUST_HAVES.map(([one]) => one).filter((one) => (one === key ? level : levelOf(one)) === wanted);
      return all.length > 0 ? all : undefined;
    };
    onBrief(
      { mustHave: listed('must'), niceToHave: listed('nice'), notWanted: listed('not') },
      `${label}: ${WORDS[level]}`,
    );
  };
  return (
    <fieldset className="mb-6">
      <legend className="text-[15px] font-semibold">What it should have</legend>
      <p className="mb-1 text-[13px] text-mid">
        A part that lacks a must is tagged, and one that brings what is not wanted; what is nice to have counts when
        machines are compared.
      </p>
      {MUST_HAVES.map(([key, label, why, levels]) => (
        <label
          key={key}
          className={
            'flex min-h-7 break-inside-avoid items-start justify-between gap-2.5 border-t border-dotted ' +
            'border-line py-1.5'
          }
        >
          <span>
            <span className="font-medium">{label}</span>
            <span className="block text-[12.5px] text-mid">{why}</span>
          </span>
          <select
            className="field shrink-0"
            aria-label={label}
            value={levelOf(key)}
            onChange={(event) => set(key, label, event.target.value as Level)}
          >
            {[...new Set<Level>([...levels, levelOf(key)])].map((level) => (
              <option key={level} value={level}>
                {WORDS[level]}
              </option>
            ))}
          </select>
        </label>
      ))}
    </fieldset>
  );
}
