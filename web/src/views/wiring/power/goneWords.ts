import type { PlugUse, PowerBox, PowerCable } from '@inch-tower/core';
import { markRanges } from '../markRanges';

/** Boards do not run without these. */
const HOST: ReadonlySet<PlugUse['plug']> = new Set(['24-pin', '8-pin-cpu', '4-pin-cpu', 'dc-jack'] as const);
const groupOf = ({ unit, spot }: PlugUse): string => `${unit}/${spot.key}`;
const usesOn = ({ plugs }: PowerCable): PlugUse[] => plugs.flatMap(({ uses }) => uses);

/** What stops when a cable, or its plug at the supply, fails: a sentence. */
export function goneWords(box: PowerBox, cable: PowerCable): string {
  const own = usesOn(cable);
  if (own.some(({ plug }) => HOST.has(plug))) return 'Without this cable the machine stops.';
  const alone: string[] = [];
  const parts: string[] = [];
  for (const group of new Set(own.map(groupOf))) {
    const here = own.filter((use) => groupOf(use) === group);
    const all = box.cables.flatMap(usesOn).filter((use) => groupOf(use) === group);
    const [first] = here;
    if (!first) continue;
    const name = `${first.mark} ${first.name}`;
    if (first.drives.length === 1 && first.drives[0] === first.unit) alone.push(first.mark);
    else if (here.length < all.length) parts.push(`${name} keeps ${all.length - here.length} of ${all.length} inputs`);
    else parts.push(`${name} stops${first.drives.length > 0 ? `, and ${drives(first.drives.length)} with it` : ''}`);
  }
  return [
    ...(alone.length > 0 ? [`Without this cable ${markRanges(alone)} ${alone.length === 1 ? 'stops' : 'stop'}.`] : []),
    ...(parts.length > 0
      ? [
          `${alone.length > 0 ? 'Also' : 'Without this cable'} ${parts.join(', ')}` +
            `${parts.some((one) => one.includes(' keeps ')) ? '; whether all its bays then run is not said' : ''}.`,
        ]
      : []),
  ].join(' ');
}

const drives = (count: number): string => (count === 1 ? 'a drive' : `${count} drives`);
