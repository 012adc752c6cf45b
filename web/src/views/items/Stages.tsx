import { useState } from 'react';
import type { Build, Edit } from '@inch-tower/core';
import { Typed } from './Typed';

type Stage = Build['stages'][number];
type Props = {
  readonly build: Build;
  readonly onEdits: (edits: readonly Edit[], words: string) => void;
};

export const stageName = ({ name }: Stage, i: number): string => name || `Stage ${i + 1}`;

/** Up to which stage the machine is shown, and each stage's name and date; nothing where there is only one. */
export function Stages({ build, onEdits }: Props) {
  const [isOpen, setOpen] = useState(false);
  const { stage: now, stages } = build;
  if (stages.length < 2) return null;
  const show = (stage: number) =>
    onEdits([{ type: 'set.stage', value: stage }], `Shown to ${stageName(stages[stage]!, stage)}`);
  return (
    <div className="mb-2 text-[12.5px]">
      <div className="flex items-center gap-2 md:pr-2.5">
        <label className="flex min-w-0 flex-1 items-center gap-2">
          <span className="whitespace-nowrap text-mid">Shown to</span>
          <select
            className="field min-w-0 flex-1"
            value={build.stage}
            onChange={(event) => show(Number(event.target.value))}
          >
            {build.stages.map((stage, i) => (
              <option key={i} value={i}>
                {stageName(stage, i)}
              </option>
            ))}
          </select>
        </label>
        <Step words="One stage back" sign="‹" isOff={now === 0} onStep={() => show(now - 1)} />
        <Step words="One stage on" sign="›" isOff={now >= stages.length - 1} onStep={() => show(now + 1)} />
        <button
          type="button"
          className="plain min-h-6 underline decoration-dotted"
          aria-expanded={isOpen}
          onClick={() => setOpen(!isOpen)}
        >
          {isOpen ? 'Close' : 'Edit'}
          <span className="sr-only"> stages</span>
        </button>
      </div>
      {isOpen && <StageRows build={build} onEdits={onEdits} />}
    </div>
  );
}

const Step = ({
  words,
  sign,
  isOff,
  onStep,
}: {
  readonly words: string;
  readonly sign: string;
  readonly isOff: boolean;
  readonly onStep: () => void;
}) => (
  <button
    type="button"
    className="press min-h-6 px-2"
    aria-label={words}
    title={words}
    disabled={isOff}
    onClick={onStep}
  >
    {sign}
  </button>
);

/** A stage a row. The last one goes away while nothing is of it. */
function StageRows({ build, onEdits }: Props) {
  const { stages } = build;
  const last = stages.length - 1;
  const isFree = build.stage < last && build.items.every(({ stage }) => stage < last);
  const change = (at: number, stage: Stage, words: string) =>
    onEdits([{ type: 'set.stages', value: stages.map((one, i) => (i === at ? stage : one)) }], words);
  return (
    <ol aria-label="Stages" className="mt-1.5 border-l border-line pl-2">
      {stages.map((stage, i) => (
        <li key={i} className="mb-2 flex flex-col gap-1">
          <Typed
            isWords
            label={`Name of stage ${i + 1}`}
            text={stage.name}
            className="w-full"
            placeholder={stageName({ name: '' }, i)}
            onTyped={(name) =>
              change(i, { ...stage, name: name.trim().slice(0, 200) }, `Stage ${i + 1}: ${name.trim()}`)
            }
          />
          <input
            type="date"
            className="field w-full"
            aria-label={`Day of stage ${i + 1}`}
            value={stage.at ?? ''}
            onChange={({ target: { value } }) =>
              change(
                i,
                { name: stage.name, ...(value ? { at: value } : {}) },
                `${stageName(stage, i)}: ${value || 'no day'}`,
              )
            }
          />
        </li>
      ))}
      {last > 0 && isFree && (
        <li>
          <button
            type="button"
            className="plain min-h-6 underline"
            onClick={() =>
              onEdits(
                [{ type: 'set.stages', value: stages.slice(0, last) }],
                `Took away ${stageName(stages[last]!, last)}`,
              )
            }
          >
            Take away {stageName(stages[last]!, last)}, which is empty
          </button>
        </li>
      )}
    </ol>
  );
}
