import type { Build } from '@inch-tower/core';
import { stageName } from '../items/Stages';

/** A column of the page is a machine as it is shown, or as it is at one of its stages: `id` or `id~2`. */
export function columnOf(column: string): { readonly id: string; readonly stage: number | null } {
  const [, id = column, stage] = /^(.*)~(\d+)$/.exec(column) ?? [];
  return { id, stage: stage === undefined ? null : Number(stage) };
}

/** The machines of a column: one, or several together (`a+b`); a plus typed into an address arrives as a space. */
export const partsOf = (column: string): readonly string[] => column.split(/[+ ]/).filter((part) => part !== '');

/** The machine of a column, under the name of its stage where it has one. */
export function asColumn(build: Build, column: string): Build {
  const { stage } = columnOf(column);
  const own = stage === null ? undefined : build.stages[stage];
  if (stage === null || !own) return { ...build, id: column };
  return { ...build, id: column, stage, name: `${build.name}, ${stageName(own, stage)}` };
}

const MOST = 4;
/** The stages of a machine as columns, the first and the last of too many. */
export function stageColumns({ id, stages }: Pick<Build, 'id' | 'stages'>): readonly string[] {
  const all = stages.map((_, i) => `${id}~${i}`);
  return all.length > MOST ? [...all.slice(0, MOST - 1), ...all.slice(-1)] : all;
}
