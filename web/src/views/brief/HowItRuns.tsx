import type { Build, Edit } from '@inch-tower/core';
import { readAnswer } from './briefFields';
import { ChoiceField, NumberField } from './fields';
import { FanWalls } from './FanWalls';
import { TariffByHour } from './TariffByHour';

type Policy = Build['policy'];
type Props = { readonly build: Build; readonly onEdit: (edit: Edit, words: string) => void };

const KEPT = 'what was there is kept.';
/** Waves that most supplies stand, until others are typed. */
const WAVES = { kind: 'waves', drives: 2, everyS: 10 } as const;
const STARTS = [
  ['together', 'All drives at once'],
  ['waves', 'A few at a time'],
  ['paced', 'As the controller paces them'],
] as const;

/** Until another is typed. */
const HOLD_C = 42;
const QUIET_DUTY = 0.4;
const FANS = [
  ['fixed', 'Turn as fast as set'],
  ['hold', 'Hold the hottest drive'],
] as const;

/** How the machine is run: how its drives start, how fast its fans turn, what a kWh costs. */
export function HowItRuns({ build, onEdit }: Props) {
  const { policy, profile } = build;
  const setPolicy = (patch: Partial<Policy>, words: string) =>
    onEdit({ type: 'set.policy', value: { ...policy, ...patch } }, words);
  /** Takes a typed number within bounds; a sentence where it is none. */
  const within =
    (least: number, most: number, unit: string, take: (value: number) => void, isWhole = false) =>
    (text: string): string | null => {
      const read = readAnswer(text, { unit, times: 1, optional: false, ...(isWhole ? { whole: true } : {}) });
      if (!read.ok) return read.words;
      if (read.value! < least || read.value! > most) return `From ${least} to ${most} ${unit}; ${KEPT}`;
      take(read.value!);
      return null;
    };
  /** The same for a number that may be left open. */
  const open = (least: number, most: number, unit: string, take: (value: number | undefined) => void) => {
    const typed = within(least, most, unit, take);
    return (text: string): string | null => {
      if (text.trim() !== '') return typed(text);
      take(undefined);
      return null;
    };
  };
  const { spinUp, fans } = policy;
  return (
    <section className="mb-6 break-inside-avoid" aria-label="How it runs">
      <h2 className="text-[15px] font-semibold">How it runs</h2>
      <p className="mb-1 text-[13px] text-mid">What start, fans and current cost are reckoned with.</p>
      <ChoiceField
        label="Drives start"
        help="In turn they need less at once; drive, backplane and controller must all allow it."
        value={spinUp.kind}
        options={STARTS}
        onChoose={(kind) =>
          setPolicy(
            { spinUp: kind === 'waves' ? WAVES : { kind: kind as 'together' | 'paced' } },
            `Drives start: ${STARTS.find(([one]) => one === kind)![1].toLowerCase()}`,
          )
        }
      />
      {spinUp.kind === 'waves' && (
        <>
          <NumberField
            label="At a time"
            unit="drives"
            help="The fewer, the longer until all are ready."
            value={spinUp.drives}
            onAnswer={within(
              1,
              500,
              'drives',
              (drives) => setPolicy({ spinUp: { ...spinUp, drives } }, `${drives} drives at a time`),
              true,
            )}
          />
          <NumberField
            label="Every"
            unit="s"
            help="A disk draws most for about 10 s."
            value={spinUp.everyS}
            onAnswer={within(1, 120, 's', (everyS) =>
              setPolicy({ spinUp: { ...spinUp, everyS } }, `A wave every ${everyS} s`),
            )}
          />
        </>
      )}
      <ChoiceField
        label="Fans"
        help="A board reads no drive by itself: holding a temperature wants a program, or a card that steers fans."
        value={fans.kind}
        options={FANS}
        onChoose={(kind) =>
          setPolicy(
            { fans: kind === 'hold' ? { kind, hottestDriveC: HOLD_C } : { kind: 'fixed', duty: QUIET_DUTY } },
            `Fans: ${FANS.find(([one]) => one === kind)![1].toLowerCase()}`,
          )
        }
      />
      {fans.kind === 'fixed' ? (
        <NumberField
          label="Fans at rest"
          unit="%"
          help="Of full duty, all alike; at the start and at most they are at full. 30 to 50 is usual."
          value={fans.duty * 100}
          onAnswer={within(0, 100, '%', (pct) =>
            setPolicy({ fans: { kind: 'fixed', duty: pct / 100 } }, `Fans at ${pct} %`),
          )}
        />
      ) : (
        <>
          <NumberField
            label="Hottest drive at"
            unit="°C"
            help="35 to 45 is usual. What speed that takes is in the air view."
            value={fans.hottestDriveC}
            onAnswer={within(20, 70, '°C', (hottestDriveC) =>
              setPolicy({ fans: { ...fans, hottestDriveC } }, `Hottest drive held at ${hottestDriveC} °C`),
            )}
          />
          <NumberField
            label="Chips of cards at"
            unit="°C"
            help="Where the fans follow them as well: 75 to 85 is usual. Open leaves them out of it."
            value={fans.cardsC}
            onAnswer={open(40, 110, '°C', (cardsC) => {
              const { cardsC: _old, ...others } = fans;
              if (cardsC === undefined) setPolicy({ fans: others }, 'Chips of cards: left out');
              else setPolicy({ fans: { ...others, cardsC } }, `Chips of cards held at ${cardsC} °C`);
            })}
          />
        </>
      )}
      <FanWalls
        build={build}
        open={open}
        onSet={(apart, words) => {
          const { apart: _old, ...others } = policy;
          onEdit({ type: 'set.policy', value: apart.length > 0 ? { ...others, apart } : others }, words);
        }}
      />
      <NumberField
        label="At work"
        unit="%"
        help="How far of the way from idle to all it can an hour of work goes; about 30, 10 to 60, where it is open."
        value={profile.workShare === undefined ? undefined : profile.workShare * 100}
        onAnswer={open(0, 100, '%', (pct) => {
          const { workShare: _old, ...others } = profile;
          if (pct === undefined) onEdit({ type: 'set.profile', value: others }, 'At work: open');
          else
            onEdit(
              { type: 'set.profile', value: { ...others, workShare: pct / 100 } },
              `At work ${pct} % of what it can`,
            );
        })}
      />
      <NumberField
        label="Scrubs a year"
        unit=""
        help="Every drive read from end to end; 12 is usual."
        value={profile.scrubsPerYear}
        onAnswer={within(0, 366, 'scrubs', (scrubsPerYear) =>
          onEdit({ type: 'set.profile', value: { ...profile, scrubsPerYear } }, `${scrubsPerYear} scrubs a year`),
        )}
      />
      <TariffByHour build={build} onEdit={onEdit} />
      <NumberField
        label="CO₂ of a kWh"
        unit="g"
        help="As on the contract or for the country; left out where it is open."
        value={build.tariff.co2GramsPerKwh}
        onAnswer={open(0, 3000, 'g', (co2GramsPerKwh) => {
          const { co2GramsPerKwh: _old, ...others } = build.tariff;
          const value = co2GramsPerKwh === undefined ? others : { ...others, co2GramsPerKwh };
          onEdit(
            { type: 'set.tariff', value },
            co2GramsPerKwh === undefined ? 'CO₂: open' : `${co2GramsPerKwh} g a kWh`,
          );
        })}
      />
    </section>
  );
}
