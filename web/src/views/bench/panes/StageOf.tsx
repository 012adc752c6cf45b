import type { Build, Edit, Item } from '@inch-tower/core';

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
            {stage.name || `Stage ${i + 1}`}
          </option>
        ))}
        {build.stages.length < MOST && <option value={NEW}>in a new stage, later</option>}
      </select>
    </>
  );
}

/** Up to which stage the machine is shown; nothing where there is only one. */
export function StageShown({
  build,
  onEdits,
}: {
  readonly build: Build;
  readonly onEdits: (edits: readonly Edit[], words: string) => void;
}) {
  if (build.stages.length < 2) return null;
  return (
    <label className="mb-2 flex items-center gap-2 text-[12.5px]">
      <span className="text-mid">Shown to</span>
      <select
        className="field min-w-0 flex-1"
        value={build.stage}
        onChange={(event) => {
          const stage = Number(event.target.value);
          onEdits([{ type: 'set.stage', value: stage }], `Shown to ${build.stages[stage]!.name}`);
        }}
      >
        {build.stages.map((stage, i) => (
          <option key={i} value={i}>
            {stage.name || `Stage ${i + 1}`}
          </option>
        ))}
      </select>
    </label>
  );
}
