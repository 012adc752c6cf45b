import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { createAssessor, type Assessment } from '../assess';
import type { Build, Item } from '../build/build';
import type { Edit } from '../build/edits';
import { parseSpot, type SpotRef } from '../build/layout';
import { newBuild } from '../build/newBuild';
import { addItemEdit } from '../build/newItem';
import type { Catalogue } from '../parts/catalogue';
import type { SheetId, UnitId } from '../parts/ids';
import type { Archetype, Sheet } from '../parts/sheet';
import { commit } from '../solve/settle';

const folder = join(process.cwd(), 'demo', 'catalogue');
const read = (name: string) => JSON.parse(readFileSync(join(folder, name), 'utf8')) as never[];
const byId = <T extends { readonly id: string }>(list: readonly T[]) =>
  Object.fromEntries(list.map((one) => [one.id, one]));

/** The demo catalogue; tests change copies of its sheets where they need another number. */
export const catalogue: Catalogue = {
  archetypes: byId<Archetype>(read('archetypes.json')),
  sheets: byId<Sheet>(
    readdirSync(folder)
      .filter((name) => name !== 'archetypes.json')
      .flatMap((name) => read(name) as Sheet[]),
  ),
};

export const AS_OF = { asOf: '2026-11-01' };

/** A catalogue with one sheet changed: `tweak('tern-8i', { lengthMm: 176 })`. */
export function tweak(id: string, values: Readonly<Record<string, unknown>>, from: Catalogue = catalogue): Catalogue {
  return { ...from, sheets: { ...from.sheets, [id]: { ...from.sheets[id]!, ...values } } };
}

/** Builds in one line each: `fixture().add('larder-8').add('barge-8', 4).build`. */
export class Fixture {
  constructor(
    readonly build: Build,
    private readonly from: Catalogue = catalogue,
  ) {}

  add(
    sheet: string,
    count = 1,
    more: { at?: readonly string[]; deal?: Item['deal']; role?: Item['units'][number]['role'] } = {},
  ): Fixture {
    const spots = more.at?.map((text): SpotRef => parseSpot(text)!);
    return this.edit(
      addItemEdit(this.build, this.from, sheet as SheetId, count, {
        ...(spots ? { spots } : {}),
        ...(more.deal ? { deal: more.deal } : {}),
        ...(more.role ? { role: more.role } : {}),
      }),
    );
  }

  edit(...edits: Edit[]): Fixture {
    const step = commit(this.build, edits);
    if (!step.ok) throw new Error(step.words);
    return new Fixture(step.build, this.from);
  }

  set(sections: Partial<Build>): Fixture {
    return new Fixture({ ...this.build, ...sections }, this.from);
  }

  /** The id of the n-th unit of a sheet. */
  unit(sheet: string, n = 1): UnitId {
    const unit = this.build.items.filter((item) => item.sheet === sheet).flatMap((item) => item.units)[n - 1];
    if (!unit) throw new Error(`no ${sheet} number ${n} in the fixture`);
    return unit.id;
  }

  seat(sheet: string, n = 1): string | undefined {
    const spot = this.build.layout.at[this.unit(sheet, n)]?.spot;
    return spot && `${spot.key}${spot.n === undefined ? '' : `.${spot.n}`}`;
  }

  assess(): Assessment {
    return createAssessor().assess(this.build, AS_OF);
  }

  /** Codes of the snags with their severity: `blocker fits.cardLength`. */
  snags(): string[] {
    return this.assess().snags.map((snag) => `${snag.severity} ${snag.code}`);
  }
}

export const fixture = (from: Catalogue = catalogue): Fixture => new Fixture(newBuild('test', 'Test'), from);

/** The eight-bay cube with a board, processor, cooler, memory and supply: no snag, no drive. */
export const cube = (from: Catalogue = catalogue): Fixture =>
  fixture(from).add('larder-8').add('wren-c8').add('drover-4').add('fell-47').add('clew-16e', 2).add('ember-450s');
