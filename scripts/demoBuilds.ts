/** Writes demo/builds/ from the demo catalogue: `tsx scripts/demoBuilds.ts`. The files are the data; this is how they were put together. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { addItemEdit, commit, newBuild, parseSpot, type Build, type Edit, type Item, type SheetId, type SpotRef } from '@inch-tower/core';
import { loadDemoCatalogue } from '../demo/loadDemo';

const catalogue = loadDemoCatalogue();

class Recipe {
  constructor(readonly build: Build) {}
  private edit(edit: Edit): Recipe {
    const step = commit(this.build, [edit]);
    if (!step.ok) throw new Error(step.words);
    return new Recipe(step.build);
  }
  add(sheet: string, count = 1, more: { at?: string[]; deal?: Item['deal']; role?: 'boot' } = {}): Recipe {
    const spots = more.at?.map((text): SpotRef => parseSpot(text)!);
    return this.edit(addItemEdit(this.build, catalogue, sheet as SheetId, count, { ...(spots ? { spots } : {}), ...(more.deal ? { deal: more.deal } : {}), ...(more.role ? { role: more.role } : {}) }));
  }
  unit(sheet: string): string {
    return this.build.items.find((item) => item.sheet === sheet)!.units[0]!.id;
  }
  with(sections: Partial<Build>): Recipe {
    return new Recipe({ ...this.build, ...sections });
  }
}
const start = (id: string, name: string) => new Recipe(newBuild(id, name));
const bays = (host: string, key: string, numbers: number[]) => numbers.map((n) => `${host}/${key}.${n}`);

function hallCupboard(): Build {
  const empty = start('hall-cupboard', 'Hall cupboard');
  let recipe = empty.with({
    notes: 'Recordings of the reed bed and the lock, and the scanned logbooks. Stands in the hall cupboard; the bed is behind the wall.',
    brief: { purpose: 'Archive of bird and river sound, and scanned logbooks', usableTb: 40, earDb: 24, idleW: 60, peakW: 220, moneyMinor: 200_000, failuresSurvived: 2 },
    site: { ...empty.build.site, place: 'cupboard', earMm: 1700, room: 'soft', listening: 'bedroom', door: 'slatted', cupboard: 'vented', standing: 'corner' },
    copiesElsewhere: 1,
  }).add('larder-8').add('wren-c8').add('drover-4').add('fell-74').add('clew-16e', 2).add('ember-450s');
  recipe = recipe.add('reed-250', 1, { deal: 'owned', role: 'boot' });
  return recipe.add('pike-960', 4, { deal: 'owned', at: bays(recipe.unit('larder-8'), 'roof', [1, 2, 3, 4]) }).build;
}

function boathouseRack(): Build {
  const empty = start('boathouse-rack', 'Boathouse rack');
  const recipe = empty.with({
    notes: 'The large shelf of the archive, in the dry end of the boathouse.',
    brief: { purpose: 'All recordings since the first reel', usableTb: 150, idleW: 260, rackUnits: 4, maxDepthMm: 700 },
    site: { ...empty.build.site, place: 'rack', ambientC: 15, hotDayC: 30, earMm: 4000, room: 'hard', listening: 'none', standing: 'wall' },
  }).add('gable-24').add('gannet-e8').add('shire-16').add('crag-q8').add('clew-r32', 4).add('brazier-800').add('tern-16i').add('tern-8i').add('stickle-500', 1, { role: 'boot' });
  return recipe.add('barge-12', 16, { at: bays(recipe.unit('gable-24'), 'front', Array.from({ length: 16 }, (_, i) => i + 1)) }).build;
}

mkdirSync('demo/builds', { recursive: true });
for (const build of [hallCupboard(), boathouseRack(), newBuild('field-kit', 'Field kit, not begun')]) {
  writeFileSync(`demo/builds/${build.id}.json`, `${JSON.stringify(build, null, 1)}\n`);
}
