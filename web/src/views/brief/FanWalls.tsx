import { useMemo } from 'react';
import { fanWalls, type Build, type FanWall } from '@inch-tower/core';
import { NumberField } from './fields';

type Apart = NonNullable<Build['policy']['apart']>;
type Open = (least: number, most: number, unit: string, take: (value: number | undefined) => void) => TakesText;
type TakesText = (text: string) => string | null;

/** Walls of fans with a speed of their own, where a machine has more than one; others turn as the policy says. */
export function FanWalls({
  build,
  open,
  onSet,
}: {
  readonly build: Build;
  /** Takes a number that may be left open; a sentence where it is none. */ readonly open: Open;
  readonly onSet: (apart: Apart, words: string) => void;
}) {
  const walls = useMemo(() => fanWalls(build), [build]);
  const apart = build.policy.apart ?? [];
  if (walls.length < 2 && apart.length === 0) return null;
  const set = (wall: FanWall, pct: number | undefined) => {
    const others = apart.filter((one) => !isOf(wall)(one));
    const { host, key, label } = wall;
    if (pct === undefined) onSet(others, `${label}: fans with the others`);
    else onSet([...others, { host, key, duty: pct / 100 }], `${label}: fans at ${pct} %`);
  };
  return walls.map((wall) => {
    const own = apart.find(isOf(wall));
    return (
      <NumberField
        key={`${wall.host}/${wall.key}`}
        label={wall.label}
        unit="%"
        help={`${wall.fans.join(', ')}: with the others while this is open; else always at this duty.`}
        value={own && own.duty * 100}
        onAnswer={open(0, 100, '%', (pct) => set(wall, pct))}
      />
    );
  });
}

const isOf =
  (wall: FanWall) =>
  ({ host, key }: Apart[number]): boolean =>
    host === wall.host && key === wall.key;
