import type { Struck, Thing } from '@inch-tower/core';
import { countWords } from './format';

export const KIND_OF_THING: Readonly<Record<Thing['kind'], string>> = {
  drive: 'Drive',
  card: 'Card',
  cable: 'Cable',
  cage: 'Backplane',
  box: 'Box',
  powerCable: 'Power cable',
  supply: 'Supply',
  fans: 'Fans',
};
/** What a thing that may fail is called, with its mark. */
export function thingName({ kind, mark, name }: Thing): string {
  // What a backplane is called says where it is; a power cable is known by its label.
  if (kind === 'cage') return name;
  return kind === 'powerCable' ? `${KIND_OF_THING[kind]} ${mark}` : `${KIND_OF_THING[kind]} ${mark}, ${name}`;
}

export type StruckTold = { readonly says: string; readonly tone: 'bad' | 'warn' | 'good' };

/** What is left of the sets. */
export function struckWords({ things, drives, heated, sets, worst }: Struck): StruckTold {
  if (worst === 'lives')
    return { says: things[0]?.kind === 'fans' ? 'No drive gets too hot.' : 'Nothing is gone.', tone: 'good' };
  if (worst === 'hot')
    return {
      says: `Nothing is gone; ${countWords(heated, 'drive')} too hot on the hottest day, all busy.`,
      tone: 'warn',
    };
  const gone = `${countWords(drives, 'drive')} gone`;
  if (worst === 'short')
    return { says: `${gone}: all lives on, short of ${drives === 1 ? 'one' : 'them'}.`, tone: 'warn' };
  const lost = sets.filter(({ state }) => state === 'lost').map(({ id }) => id);
  const which =
    lost.length === sets.length && lost.length > 1
      ? 'all sets are'
      : `${lost.join(', ')} ${lost.length === 1 ? 'is' : 'are'}`;
  // A drive does not come back; what hangs on a card or a cable does, when that is mended.
  return { says: `${gone}: ${which} ${drives === 1 ? 'lost' : 'down until it is mended'}.`, tone: 'bad' };
}
