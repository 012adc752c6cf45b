import { useId, useState } from 'react';
import { LIMITS, type Brief, type Build, type Service } from '@inch-tower/core';
import { readAnswer } from './briefFields';

type Props = {
  readonly build: Build;
  readonly onBrief: (patch: Pick<Brief, 'services'> | { readonly services: undefined }, words: string) => void;
};

/** What is to run on the machine beside its files, each with what it takes. */
export function Services({ build, onBrief }: Props) {
  const services = build.brief.services ?? [];
  const put = (next: readonly Service[], words: string) =>
    onBrief({ services: next.length > 0 ? [...next] : undefined }, words);
  const change = (at: number, service: Service, words: string) =>
    put(
      services.map((one, i) => (i === at ? service : one)),
      words,
    );
  return (
    <fieldset className="mb-6 break-inside-avoid">
      <legend className="text-[15px] font-semibold">What else runs on it</legend>
      <p className="mb-1 text-[13px] text-mid">
        Services beside the files: held against memory, cores and the hours it is off. What is always on and must run
        keeps cores busy while the rest idles, and that is in idle W.
      </p>
      {services.map((service, i) => (
        <ServiceRow
          key={`${i} of ${services.length}`}
          service={service}
          onChange={(next, words) => change(i, next, words)}
          onRemove={() =>
            put(
              services.filter((_, at) => at !== i),
              `${service.name} taken out of the brief`,
            )
          }
        />
      ))}
      <button
        type="button"
        className="press mt-1"
        disabled={services.length >= LIMITS.services}
        onClick={() =>
          put(
            [...services, { name: freeName(services), memoryGb: 2, cores: 0.2, alwaysOn: true, level: 'must' }],
            'A service added to the brief',
          )
        }
      >
        Add a service
      </button>
    </fieldset>
  );
}

function freeName(services: readonly Service[]): string {
  const names = new Set(services.map(({ name }) => name));
  let n = 1;
  while (names.has(`Service ${n}`)) n++;
  return `Service ${n}`;
}

type RowProps = {
  readonly service: Service;
  readonly onChange: (service: Service, words: string) => void;
  readonly onRemove: () => void;
};

function ServiceRow({ service, onChange, onRemove }: RowProps) {
  const { name } = service;
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-dotted border-line py-1.5 text-[13px]">
      <TypedCell
        label="Name of the service"
        className="w-40"
        value={name}
        onAnswer={(text) => {
          const fresh = text.trim();
          if (!fresh) return 'It wants a name; the one it had is kept.';
          if (fresh !== name) onChange({ ...service, name: fresh }, `${name} is ${fresh}`);
          return null;
        }}
      />
      <NumberCell
        label={`Memory of ${name}`}
        unit="GB"
        value={service.memoryGb}
        most={8192}
        onNumber={(memoryGb) => onChange(withNumber(service, 'memoryGb', memoryGb), `${name}: memory`)}
      />
      <NumberCell
        label={`Cores that ${name} keeps busy, on average`}
        unit="cores busy"
        value={service.cores}
        most={512}
        onNumber={(cores) => onChange(withNumber(service, 'cores', cores), `${name}: cores`)}
      />
      <label className="flex min-h-6 items-center gap-1.5">
        <input
          type="checkbox"
          checked={service.alwaysOn ?? false}
          onChange={(event) =>
            onChange(
              { ...service, alwaysOn: event.target.checked },
              `${name} ${event.target.checked ? 'always on' : 'not always on'}`,
            )
          }
        />
        always on
      </label>
      <select
        className="field"
        aria-label={`How much ${name} is wanted`}
        value={service.level}
        onChange={(event) => {
          const level = event.target.value as Service['level'];
          onChange({ ...service, level }, `${name}: ${level === 'must' ? 'must run' : 'nice to have'}`);
        }}
      >
        <option value="must">must run</option>
        <option value="nice">nice to have</option>
      </select>
      <button type="button" className="plain min-h-6 underline" aria-label={`Take out ${name}`} onClick={onRemove}>
        Take out
      </button>
    </div>
  );
}

/** An open answer is left out of the document. */
function withNumber(service: Service, key: 'memoryGb' | 'cores', value: number | null): Service {
  const { [key]: _was, ...rest } = service;
  return value === null ? rest : { ...rest, [key]: value };
}

type NumberCellProps = {
  readonly label: string;
  readonly unit: string;
  readonly value: number | undefined;
  readonly most: number;
  readonly onNumber: (value: number | null) => void;
};
function NumberCell({ label, unit, value, most, onNumber }: NumberCellProps) {
  return (
    <span className="flex items-center gap-1.5">
      <TypedCell
        label={label}
        className="mono w-16 text-right"
        value={value === undefined ? '' : String(value)}
        onAnswer={(text) => {
          const read = readAnswer(text, { unit: '', times: 1, optional: true });
          if (!read.ok) return read.words;
          if (read.value !== null && (read.value < 0 || read.value > most))
            return `From 0 to ${most}; what was there is kept.`;
          if ((read.value ?? undefined) !== value) onNumber(read.value);
          return null;
        }}
      />
      <span className="text-mid">{unit}</span>
    </span>
  );
}

type CellProps = {
  readonly label: string;
  readonly className: string;
  readonly value: string;
  /** A sentence where the answer cannot be taken. */ readonly onAnswer: (text: string) => string | null;
};
/** Answered by leaving it or by Enter; Escape gives back what was there. */
function TypedCell({ label, className, value, onAnswer }: CellProps) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const answer = () => {
    if (typed === null) return;
    const words = onAnswer(typed);
    setWrong(words);
    if (!words) setTyped(null);
  };
  return (
    <span>
      <input
        className={`field ${className}`}
        aria-label={label}
        aria-invalid={!!wrong}
        aria-describedby={wrong ? `${id}-wrong` : undefined}
        autoComplete="off"
        maxLength={80}
        value={typed ?? value}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={answer}
        onKeyDown={(event) => {
          if (event.key === 'Enter') answer();
          if (event.key === 'Escape') {
            setTyped(null);
            setWrong(null);
          }
        }}
      />
      {wrong && (
        <span id={`${id}-wrong`} role="alert" className="bad block text-[12.5px]">
          {wrong}
        </span>
      )}
    </span>
  );
}
