import { useEffect, useId, useState, type ReactNode } from 'react';

/** A question with its field and, under it, why it is asked or what was wrong with the answer. */
function Row({
  id,
  label,
  help,
  wrong,
  children,
}: {
  readonly id: string;
  readonly label: string;
  readonly help: string;
  readonly wrong?: string | null;
  readonly children: ReactNode;
}) {
  return (
    <div
      className={
        'grid grid-cols-[minmax(0,1fr)] gap-x-4 border-t border-dotted border-line ' +
        'py-1.5 ' +
        'sm:grid-cols-[170px_minmax(0,1fr)]'
      }
    >
      <label htmlFor={id} className="pt-1 font-medium">
        {label}
      </label>
      <div>
        {children}
        <p
          id={`${id}-help`}
          className={`mt-0.5 text-[12.5px] ${wrong ? 'bad' : 'text-mid'}`}
          role={wrong ? 'alert' : undefined}
        >
          {wrong ?? help}
        </p>
      </div>
    </div>
  );
}

type NumberProps = {
  readonly label: string;
  readonly unit: string;
  readonly help: string;
  readonly value: number | undefined;
  /** Whether it was come for: the caret stands in it. */ readonly isAsked?: boolean;
  readonly onAnswer: (text: string) => string | null;
};

/** A number answered by leaving the field or Enter; `onAnswer` gives a sentence when it cannot be taken. */
export function NumberField({ label, unit, help, value, isAsked = false, onAnswer }: NumberProps) {
  const id = useId();
  useEffect(() => {
    if (isAsked) document.getElementById(id)?.focus();
  }, [isAsked, id]);
  const [typed, setTyped] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const answer = () => {
    if (typed === null) return;
    const words = onAnswer(typed);
    setWrong(words);
    if (!words) setTyped(null);
  };
  const shown = value === undefined ? '' : String(Number(value.toFixed(4)));
  return (
    <Row id={id} label={label} help={help} wrong={wrong}>
      <span className="flex items-center gap-2">
        <input
          id={id}
          className="field mono w-24 text-right"
          inputMode="decimal"
          autoComplete="off"
          placeholder="open"
          aria-describedby={`${id}-help`}
          aria-invalid={!!wrong}
          value={typed ?? shown}
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
        <span className="mono text-[13px] text-mid">{unit}</span>
      </span>
    </Row>
  );
}

type ChoiceProps = {
  readonly label: string;
  readonly help: string;
  readonly value: string | number;
  readonly options: readonly (readonly [string | number, string])[];
  readonly onChoose: (value: string | number) => void;
};

export function ChoiceField({ label, help, value, options, onChoose }: ChoiceProps) {
  const id = useId();
  return (
    <Row id={id} label={label} help={help}>
      <select
        id={id}
        className="field w-full max-w-64"
        aria-describedby={`${id}-help`}
        value={value}
        onChange={(event) => onChoose(options.find(([one]) => String(one) === event.target.value)![0])}
      >
        {options.map(([one, words]) => (
          <option key={one} value={one}>
            {words}
          </option>
        ))}
      </select>
    </Row>
  );
}

export function TextField({
  label,
  help,
  value,
  most,
  onAnswer,
}: {
  readonly label: string;
  readonly help: string;
  readonly value: string;
  readonly most: number;
  readonly onAnswer: (text: string) => void;
}) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const leave = () => {
    if (typed !== null && typed.trim() !== value) onAnswer(typed.trim());
    setTyped(null);
  };
  return (
    <Row id={id} label={label} help={help}>
      <textarea
        id={id}
        rows={2}
        maxLength={most}
        className="field w-full"
        aria-describedby={`${id}-help`}
        value={typed ?? value}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={leave}
      />
    </Row>
  );
}
