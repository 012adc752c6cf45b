import type { Build, Edit, Item } from '@inch-tower/core';
import { stageName } from './Stages';

const NEW = 'new';
/** The schema holds so many. */
const MOST = 51;

/** A name no stage has yet. */
function nextName(stages: Build['stages']): string {
  const names = new Set(stages.map(({ name }) => name));
  let [name, n] = ['Later', 2];
  while (names.has(name)) name = `Later ${n++}`;
  return name;
}

/** With which stage of the machine a line of the kit comes: now, or later. */
export function StageOf({
  build,
  item,
  name,
  onEdits,
}: {
  readonly build: Build;
  readonly item: Item;
  readonly name: string;
  readonly onEdits: (edits: readonly Edit[], words: string) => void;
}) {
  const choose = (value: string) => {
    const later = nextName(build.stages);
    const stage = value === NEW ? build.stages.length : Number(value);
    onEdits(
      [
        ...(value === NEW ? [{ type: 'set.stages' as const, value: [...build.stages, { name: later }] }] : []),
        { type: 'item.patch', item: item.id, patch: { stage } },
      ],
      `${name}: ${value === NEW ? later : build.stages[stage]!.name}`,
    );
  };
  return (
    <>
      <span className="text-mid">Wanted</span>
      <select
        className="field w-36"
        aria-label={`When ${name} is wanted`}
        value={item.stage}
        onChange={(event) => choose(event.target.value)}
      >
        {build.stages.map((stage, i) => (
          <option key={i} value={i}>
            {stageName(stage, i)}
          </option>
        ))}
        {build.stages.length < MOST && <option value={NEW}>in a new stage, later</option>}
      </select>
    </>
  );
}
