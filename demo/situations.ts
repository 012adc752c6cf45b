import {
  addItemEdit,
  commit,
  newBuild,
  parseSpot,
  type Build,
  type Catalogue,
  type Edit,
  type Item,
  type SheetId,
  type SpotRef,
} from '@inch-tower/core';
import { loadDemoCatalogue } from './loadDemo';

/** Builds put together edit by edit, as by hand. */
export class Recipe {
  constructor(
    readonly build: Build,
    private readonly from: Catalogue,
  ) {}

  edit(...edits: Edit[]): Recipe {
    const step = commit(this.build, edits);
    if (!step.ok) throw new Error(step.words);
    return new Recipe(step.build, this.from);
  }
  add(
    sheet: string,
    count = 1,
    more: {
      at?: readonly string[];
      deal?: Item['deal'];
      role?: Item['units'][number]['role'];
      condition?: Item['condition'];
    } = {},
  ): Recipe {
    const spots = more.at?.map((text): SpotRef => parseSpot(text)!);
    const edit = addItemEdit(this.build, this.from, sheet as SheetId, count, {
      ...(spots ? { spots } : {}),
      ...(more.deal ? { deal: more.deal } : {}),
      ...(more.role ? { role: more.role } : {}),
    });
    return this.edit(more.condition ? { ...edit, item: { ...edit.item, condition: more.condition } } : edit);
  }
  unit(sheet: string, n = 1): string {
    return this.build.items.filter((item) => item.sheet === sheet).flatMap((item) => item.units)[n - 1]!.id;
  }
  with(sections: Partial<Build>): Recipe {
    return new Recipe({ ...this.build, ...sections }, this.from);
  }
}

export const recipes =
  (catalogue: Catalogue = loadDemoCatalogue()) =>
  (id: string, name: string): Recipe =>
    new Recipe(newBuild(id, name), catalogue);
const inRack = (recipe: Recipe, brief: Build['brief'] = {}) =>
  recipe.with({ brief, site: { ...recipe.build.site, place: 'rack' } });

/** Kinds of machine that builders plan, each with its troubles in it: what must be found is in the tests. */
export function situations(catalogue: Catalogue): Readonly<Record<string, Build>> {
  const start = recipes(catalogue);
  const oneSlot = start('lock-keepers-box', 'Lock keeper’s box')
    .with({
      brief: { purpose: 'A small copy beside the lock', failuresSurvived: 1 },
      notes: 'One slot, no opening for it: what an old board and a see-through box can still do.',
    })
    .add('creel-2')
    .add('sprig-i2')
    .add('clew-3s8')
    .add('clinker-400')
    .add('dunlin-2')
    .add('cradle-1w')
    .add('cradle-2')
    .add('coot-1', 2)
    .add('lighter-1');
  const fifteen = inRack(
    start('granary-fifteen', 'Granary, fifteen bays').with({
      notes: 'Six disks now, fifteen when the tapes are read in.',
    }),
    { purpose: 'Tapes read in over two winters', drivesLater: 15 },
  )
    .add('byre-15w')
    .add('knot-x10')
    .add('shire-x12')
    .add('crag-q6')
    .add('clew-r16', 2)
    .add('ember-650')
    .add('tern-8i')
    .add('lead-forward-8643', 2)
    .add('barge-8', 2)
    .add('barge-8-boxed', 2)
    .add('lighter-4', 2, { deal: 'owned' });
  const flash = start('sound-desk', 'Sound desk')
    .with({ notes: 'Cuts and cleans recordings; the accelerator runs at night.' })
    .add('byre-15s')
    .add('gannet-c8')
    .add('shire-8')
    .add('crag-q8')
    .add('clew-r32', 2)
    .add('ember-1000')
    .add('beacon-300')
    .add('tern-8i', 1)
    .add('skein-10x2')
    .add('pike-960', 6);
  const cages = start('evening-copies', 'Evening copies')
    .with({ notes: 'Twelve small drives on a brick.' })
    .add('creel-2w')
    .add('sprig-i6')
    .add('clew-5s16')
    .add('pellet-b160')
    .add('crib-6')
    .add('crib-6m')
    .add('coot-1', 12)
    .add('lead-sata-20', 6);
  const compact = start('attic-four', 'Attic, four drives')
    .add('trug-4f')
    .add('wren-c8')
    .add('drover-4')
    .add('fell-62')
    .add('clew-16e', 2)
    .add('ember-450s')
    .add('skein-10')
    .add('tern-8i')
    .add('reed-250', 1, { role: 'boot' })
    .add('barge-8', 4);
  const ssds = inRack(start('reel-room', 'Reel room, twenty-four SSDs'))
    .add('gable-24')
    .add('gannet-e8')
    .add('shire-16')
    .add('crag-q8')
    .add('clew-r32', 4)
    .add('brazier-800')
    .add('tern-24i')
    .add('skein-10x2')
    .add('zander-960', 24);
  const oneU = inRack(
    start('gauge-house', 'Gauge house, 1U').with({ notes: 'Always on: the water gauge and what listens to it.' }),
    { maxDepthMm: 480 },
  )
    .add('plank-1u')
    .add('knot-m8')
    .add('drover-4')
    .add('crag-1u')
    .add('clew-r16')
    .add('clinker-400')
    .add('hoist-1u')
    .add('punt-1', 2)
    .add('stickle-500', 2, { role: 'data' })
    .add('dab-32', 1, { role: 'boot' })
    .add('lead-forward-8643')
    .add('barge-4', 4);
  const rescue = inRack(start('rescue', 'Rescue'))
    .add('gable-12')
    .add('gannet-c8')
    .add('shire-8')
    .add('crag-2u')
    .add('clew-r32', 2)
    .add('brazier-550')
    .add('tern-8i');
  const kit = start('weighbridge', 'Weighbridge, used board')
    .with({ notes: 'Board, processor and memory as one lot from a house clearance.' })
    .add('steading-t9')
    .add('knot-x10', 1, { condition: 'good' })
    .add('shire-x12', 1, { condition: 'good' })
    .add('crag-q6')
    .add('clew-r16', 2, { condition: 'good' })
    .add('ember-550')
    .add('stickle-500', 1, { role: 'boot' })
    .add('barge-8', 4);
  const node = inRack(start('four-nodes', 'Four nodes').with({ copies: 4 }))
    .add('hurdle-half')
    .add('sprig-x4')
    .add('clew-s16', 2)
    .add('pellet-90')
    .add('pike-480')
    .add('stickle-500', 1, { role: 'boot' });
  const eight = start('eel-loft', 'Eel loft, eight bays')
    .add('larder-8')
    .add('wren-x8')
    .add('clew-32e', 2)
    .add('ember-450s')
    .add('gale-120', 1)
    .add('barge-12', 3)
    .add('pike-960', 4, {});
  return Object.fromEntries(
    [oneSlot, fifteen, flash, cages, compact, ssds, oneU, rescue, kit, node, eight].map(({ build }) => [
      build.id,
      build,
    ]),
  );
}
