import { useMemo, useState } from 'react';
import { fanWalls, type AirTry, type Build, type FanWall } from '@inch-tower/core';
import { Slide } from './Slide';

type Props = {
  readonly build: Build;
  /** Of the fans that turn together. */ readonly duty: number;
  readonly tried: AirTry;
  readonly onTry: (tried: AirTry) => void;
};

/** Where a machine has several walls of fans: each at a speed of its own, tried like the rest. */
export function WallSlides({ build, duty, tried, onTry }: Props) {
  const walls = useMemo(() => fanWalls(build), [build]);
  const apart = tried.apart ?? build.policy.apart ?? [];
  const [isOpen, setOpen] = useState(apart.length > 0);
  if (walls.length < 2) return null;
  const others = (wall: FanWall) => apart.filter(({ host, key }) => host !== wall.host || key !== wall.key);
  return (
    <>
      <button type="button" className="plain min-h-6 underline" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        Each wall by itself
      </button>
      {isOpen &&
        walls.map((wall) => {
          const own = apart.find(({ host, key }) => host === wall.host && key === wall.key);
          return (
            <div key={`${wall.host}/${wall.key}`}>
              <Slide
                label={wall.label}
                unit="%"
                value={Math.round((own?.duty ?? duty) * 100)}
                least={0}
                most={100}
                step={5}
                onSlide={(pct) =>
                  onTry({ ...tried, apart: [...others(wall), { host: wall.host, key: wall.key, duty: pct / 100 }] })
                }
              />
              {own && (
                <button
                  type="button"
                  className="plain min-h-6 underline"
                  onClick={() => onTry({ ...tried, apart: others(wall) })}
                >
                  {`${wall.label}: with the others`}
                </button>
              )}
            </div>
          );
        })}
    </>
  );
}
