import { FORMAT } from './upgrades/upgrade';
import type { Build } from './build';
import { EMPTY_LAYOUT } from './layout';

const ALWAYS_ON = [
  ...Array<'idle'>(7).fill('idle'),
  ...Array<'working'>(15).fill('working'),
  ...Array<'idle'>(2).fill('idle'),
];

/** An empty build with the settings of an ordinary room. */
export function newBuild(id: string, name: string, currency = 'EUR'): Build {
  return {
    format: FORMAT,
    id,
    name,
    notes: '',
    currency,
    counter: { next: 1, letter: 0 },
    items: [],
    sheets: {},
    archetypes: {},
    layout: EMPTY_LAYOUT,
    changes: [],
    brief: {},
    site: {
      place: 'shelf',
      ambientC: 21,
      hotDayC: 32,
      earMm: 2000,
      standing: 'wall',
      room: 'ordinary',
      listening: 'living',
      door: 'none',
      cupboard: 'none',
      mainsV: 230,
      mainsPlug: 'C13',
      links: [],
      clients: 1,
    },
    profile: { weekday: ALWAYS_ON, weekend: ALWAYS_ON, scrubsPerYear: 12 },
    tariff: { currency, bands: [{ fromHour: 0, minorPerKwh: 30 }] },
    pool: { sets: [] },
    policy: { spinUp: { kind: 'together' }, fans: { kind: 'fixed', duty: 0.4 } },
    stages: [{ name: 'Now' }],
    stage: 0,
    bundles: [],
    readings: [],
    accepted: [],
    copies: 1,
    copiesElsewhere: 0,
  };
}
