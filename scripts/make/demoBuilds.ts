/**
 * Writes demo/builds/ from the demo catalogue: `tsx scripts/make/demoBuilds.ts`. The files are the data; this is how
 * they
 * were put together.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import { newBuild, type Build, type Item } from '@inch-tower/core';
import { loadDemoCatalogue } from '../../demo/loadDemo';
import { recipes, situations } from '../../demo/situations';

const catalogue = loadDemoCatalogue();

const start = recipes(catalogue);
const all = situations(catalogue);
const bays = (host: string, key: string, numbers: number[]) => numbers.map((n) => `${host}/${key}.${n}`);
const OWNED = { deal: 'owned' } as const;

function hallCupboard(): Build {
  const empty = start('hall-cupboard', 'Hall cupboard');
  let recipe = empty
    .with({
      notes:
        'Recordings of the reed bed and the lock, and the scanned logbooks. Stands in the hall ' +
        'cupboard; the bed is behind the wall.',
      brief: {
        purpose: 'Archive of bird and river sound, and scanned logbooks',
        usableTb: 40,
        earDb: 20,
        idleW: 60,
        peakW: 220,
        moneyMinor: 200_000,
        failuresSurvived: 2,
      },
      site: {
        ...empty.build.site,
        place: 'cupboard',
        earMm: 1700,
        room: 'soft',
        listening: 'bedroom',
        door: 'slatted',
        cupboard: 'vented',
        standing: 'corner',
      },
      copiesElsewhere: 1,
    })
    .add('larder-8')
    .add('wren-c8')
    .add('drover-4')
    .add('fell-74')
    .add('clew-16e', 2)
    .add('ember-450s');
  recipe = recipe.add('reed-250', 1, { deal: 'owned', role: 'boot' });
  return recipe.add('pike-960', 4, { deal: 'owned', at: bays(recipe.unit('larder-8'), 'roof', [1, 2, 3, 4]) }).build;
}

function boathouseRack(): Build {
  const empty = start('boathouse-rack', 'Boathouse rack');
  const recipe = empty
    .with({
      notes: 'The large shelf of the archive, in the dry end of the boathouse.',
      brief: {
        purpose: 'All recordings since the first reel',
        usableTb: 150,
        idleW: 260,
        rackUnits: 4,
        maxDepthMm: 700,
      },
      site: {
        ...empty.build.site,
        place: 'rack',
        ambientC: 15,
        hotDayC: 30,
        earMm: 4000,
        room: 'hard',
        listening: 'none',
        standing: 'wall',
      },
    })
    .add('gable-24')
    .add('gannet-e8')
    .add('shire-16')
    .add('crag-q8')
    .add('clew-r32', 4)
    .add('brazier-800')
    .add('tern-16i')
    .add('tern-8i')
    .add('stickle-500', 1, { role: 'boot' });
  return recipe.add('barge-12', 16, {
    at: bays(
      recipe.unit('gable-24'),
      'front',
      Array.from({ length: 16 }, (_, i) => i + 1),
    ),
  }).build;
}

/** Everything in it is owned: what it costs to keep is watts and age. */
function oldDesktop(): Build {
  const empty = start('old-desktop', 'Old desktop');
  const recipe = empty
    .with({
      notes:
        'The first archive machine, from the office. Runs on, with six laptop disks and a drawer ' +
        'for the disk that goes to the school.',
      brief: { purpose: 'Keep what was recorded before there was an archive', idleW: 70, moneyMinor: 0 },
      site: { ...empty.build.site, place: 'floor', listening: 'office', earMm: 1500 },
      copiesElsewhere: 1,
    })
    .add('steading-t5', 1, OWNED)
    .add('plover-b7', 1, OWNED)
    .add('wagoner-4', 1, OWNED)
    .add('fell-62', 1, OWNED)
    .add('clew-3-8', 1, OWNED)
    .add('clew-3-4', 1, OWNED)
    .add('cinder-500', 1, OWNED)
    .add('cradle-2', 3, OWNED)
    .add('cradle-drawer', 1, OWNED)
    .add('dab-32', 1, { ...OWNED, role: 'boot' })
    .add('coot-1', 6, OWNED)
    .add('lead-sata', 7, OWNED);
  const drawer = recipe.unit('cradle-drawer');
  const full = recipe.add('lighter-3', 1, { ...OWNED, role: 'leaving', at: [`${drawer}/bay`] }).build;
  const aged: Readonly<Record<string, Partial<Item>>> = {
    'coot-1': { year: 2016, hours: 41_000, condition: 'worn' },
    'lighter-3': { year: 2018, hours: 3_200, condition: 'good' },
    'cinder-500': { year: 2011, condition: 'doubtful' },
    'plover-b7': { year: 2012, condition: 'good' },
    'wagoner-4': { year: 2012 },
  };
  return { ...full, items: full.items.map((item) => ({ ...item, ...aged[item.sheet] })) };
}

/** Two boxes and two supplies: a mini computer and an enclosure on one USB cable. */
function schoolShelf(): Build {
  const empty = start('school-shelf', 'School shelf');
  return empty
    .with({
      notes: 'The second copy, on a shelf in the village school. Woken once a week.',
      brief: {
        purpose: 'Second copy of everything',
        usableTb: 48,
        idleW: 45,
        earDb: 34,
        networkGbPerS: 2.5,
        failuresSurvived: 1,
        moneyMinor: 170_000,
      },
      site: {
        ...empty.build.site,
        place: 'shelf',
        listening: 'office',
        earMm: 2500,
        links: [{ gbPerS: 2.5, count: 1 }],
      },
      copiesElsewhere: 1,
    })
    .add('satchel-1')
    .add('clew-s16')
    .add('stickle-500', 1, { role: 'boot' })
    .add('annex-4')
    .add('barge-16', 4).build;
}

/** Twelve SSDs in two cages on a brick: it travels by boat and runs from the boat's battery. */
function fieldKit(): Build {
  const empty = start('field-kit', 'Field kit');
  return empty
    .with({
      notes: 'Travels by boat. Copies the recorders every evening, and comes home full.',
      brief: {
        purpose: 'Evening copies of the recorders, on the boat',
        usableTb: 8,
        idleW: 40,
        peakW: 120,
        maxMassG: 6000,
        mustHave: ['allFlash'],
        moneyMinor: 160_000,
      },
      site: { ...empty.build.site, place: 'shelf', hotDayC: 38, room: 'outdoors', listening: 'none', earMm: 1000 },
      copiesElsewhere: 0,
    })
    .add('creel-2w')
    .add('sprig-i6')
    .add('clew-5s16')
    .add('pellet-b160')
    .add('stilt-6')
    .add('crib-6', 2)
    .add('stickle-250', 1, { role: 'boot' })
    .add('pike-960', 12).build;
}

mkdirSync('demo/builds', { recursive: true });
for (const build of [
  hallCupboard(),
  boathouseRack(),
  oldDesktop(),
  schoolShelf(),
  fieldKit(),
  newBuild('reading-room', 'Reading room, not begun'),
  all['lock-keepers-box']!,
  all['sound-desk']!,
  all['gauge-house']!,
  all.weighbridge!,
]) {
  writeFileSync(`demo/builds/${build.id}.json`, `${JSON.stringify(build, null, 1)}\n`);
}
