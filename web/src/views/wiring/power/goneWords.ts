import { cableGone, type PowerBox, type PowerCable } from '@inch-tower/core';
import { markRanges } from '../markRanges';

/** What stops when a cable, or its plug at the supply, fails: a sentence. */
export function goneWords(box: PowerBox, cable: PowerCable): string {
  const { host, stops, fewer } = cableGone(box, cable);
  if (host) return 'Without this cable the machine stops.';
  const isAlone = ({ mark, drives }: (typeof stops)[number]) => drives.length === 1 && mark === markOf(box, drives[0]!);
  const alone = stops.filter(isAlone).map(({ mark }) => mark);
  const parts = [
    ...stops
      .filter((one) => !isAlone(one))
      .map(
        ({ mark, name, drives }) => `${mark} ${name} stops${drives.length > 0 ? `, and ${count(drives.length)}` : ''}`,
      ),
    ...fewer.map(({ mark, name, left, of }) => `${mark} ${name} keeps ${left} of ${of} inputs`),
  ];
  return [
    ...(alone.length > 0 ? [`Without this cable ${markRanges(alone)} ${alone.length === 1 ? 'stops' : 'stop'}.`] : []),
    ...(parts.length > 0
      ? [
          `${alone.length > 0 ? 'Also' : 'Without this cable'} ${parts.join(', ')}` +
            `${fewer.length > 0 ? '; whether all its bays then run is not said' : ''}.`,
        ]
      : []),
  ].join(' ');
}

const markOf = (box: PowerBox, drive: string): string | undefined =>
  box.cables.flatMap(({ plugs }) => plugs.flatMap(({ uses }) => uses)).find(({ unit }) => unit === drive)?.mark;

const count = (drives: number): string => (drives === 1 ? 'a drive with it' : `${drives} drives with it`);
