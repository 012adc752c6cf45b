/** Prints the speed budget's numbers: the core's in this process, the page's in Chromium. Medians. */
import { readdirSync, readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { chromium, type Page } from '@playwright/test';
import {
  addItemEdit,
  commit,
  createAssessor,
  newBuild,
  tryAt,
  type Build,
  type Catalogue,
  type Sheet,
  type SheetId,
} from '@inch-tower/core';
import { loadDemoBuilds, loadDemoCatalogue } from '../../demo/loadDemo';
import { CHROMIUM } from '../../e2e/playwright.config';
import { familiesOf, search, searchable } from '../../web/src/views/parts/families';
import { poolSpeed } from './poolSpeed';
import { powerSpeed } from './powerSpeed';
import { solverSpeed } from './solverSpeed';
import { withServer } from '../test/withServer';

const asOf = { asOf: '2026-11-01' };
const catalogue = loadDemoCatalogue();
const sorted = (values: readonly number[]) => [...values].sort((a, b) => a - b);
const at = (values: readonly number[], share: number) =>
  sorted(values)[Math.min(values.length - 1, Math.floor(values.length * share))]!;
const median = (values: readonly number[]) => at(values, 0.5);
const say = (what: string, value: string, budget: string) =>
  console.log(`${what.padEnd(52)}${value.padStart(14)}   budget ${budget}`);
const ms = (value: number) => `${value.toFixed(2)} ms`;

function time(times: number, work: () => void): number {
  for (let i = 0; i < Math.min(times, 200); i++) work();
  return median(
    Array.from({ length: times }, () => {
      const from = performance.now();
      work();
      return performance.now() - from;
    }),
  );
}

function add(build: Build, sheet: string, count: number, from: Catalogue = catalogue): Build {
  const step = commit(build, [addItemEdit(build, from, sheet as SheetId, count)]);
  if (!step.ok) throw new Error(step.words);
  return step.build;
}

const rack = loadDemoBuilds().find((build) => build.id === 'boathouse-rack')!;
const full = add(rack, 'barge-12', 8);
/** Five racks of twenty-four on one floor: 120 drives. */
const five = ['gable-24', 'gannet-e8', 'shire-16', 'crag-q8', 'brazier-800', 'tern-24i'].reduce(
  (build, sheet) => add(build, sheet, 5),
  newBuild('five', 'Five'),
);
const many = add(five, 'barge-12', 120);

poolSpeed(
  [
    { build: full, drives: 24, budgetMs: 2 },
    { build: many, drives: 120, budgetMs: 12 },
  ],
  time,
  say,
);
powerSpeed(
  [
    { build: full, drives: 24, budget: '1 ms' },
    { build: many, drives: 120, budget: '–' },
  ],
  say,
);
const cold = time(400, () => createAssessor().assess(full, asOf));
say('cold assess, 24 drives', ms(cold), '9 ms');
const warm = createAssessor();
const [eight, nine] = [full, add(rack, 'barge-8', 8)];
let turn = 0;
say('assess after one edit (drives added)', ms(time(400, () => warm.assess(turn++ % 2 ? eight : nine, asOf))), '5 ms');
const renamed = { ...full, name: 'Renamed' };
say('assess after one edit (name)', ms(time(400, () => warm.assess(turn++ % 2 ? full : renamed, asOf))), '5 ms');
say('commit with settling, one drive', ms(time(200, () => add(rack, 'barge-12', 1))), '–');

const wide: Catalogue = {
  ...catalogue,
  sheets: {
    ...catalogue.sheets,
    ...Object.fromEntries(
      Array.from({ length: 200 }, (_, i) => {
        const sheet = { ...catalogue.sheets['barge-12']!, id: `copy-${i}` as SheetId, idleW: 4 + i / 100 };
        return [sheet.id, sheet];
      }),
    ),
  },
};
const base = { build: rack, assessment: createAssessor().assess(rack, asOf) };
const candidates = {
  ...wide,
  sheets: Object.fromEntries(Object.entries(wide.sheets).filter(([id]) => id.startsWith('copy-'))),
};
say(
  '200 candidates for one bay',
  ms(
    time(5, () => {
      for (const row of tryAt(base, { spot: { host: 'u2', key: 'front', n: 17 } }, candidates, warm, asOf))
        if (!row.goes) throw new Error('all go');
    }),
  ),
  '700 ms',
);
/** Two thousand parts: the catalogue eight times over, and of it two hundred drives that go into the bay. */
const thousands = Object.values(catalogue.sheets).filter((sheet) => sheet.kind !== 'drive' && sheet.kind !== 'adapter');
const many2000: Catalogue = {
  ...catalogue,
  sheets: {
    ...Object.fromEntries(
      Array.from({ length: 1800 }, (_, i) => {
        const sheet = {
          ...thousands[i % thousands.length]!,
          id: `many-${i}` as SheetId,
          name: `${thousands[i % thousands.length]!.name} ${i}`,
        } as Sheet;
        return [sheet.id, sheet];
      }),
    ),
    ...candidates.sheets,
  },
};
const index = searchable(Object.values(many2000.sheets), many2000);
say(
  'search among 2,000 parts, with its rows',
  ms(
    time(40, () => {
      familiesOf(search(index, 'cop 1', null), many2000.archetypes);
    }),
  ),
  '100 ms',
);
say(
  'the same for nothing typed, all rows',
  ms(
    time(40, () => {
      familiesOf(search(index, '', null), many2000.archetypes);
    }),
  ),
  '100 ms',
);
say(
  '2,000 parts for one bay, 200 of them go',
  ms(
    time(5, () => {
      let goes = 0;
      for (const row of tryAt(base, { spot: { host: 'u2', key: 'front', n: 17 } }, many2000, warm, asOf))
        if (row.goes) goes++;
      if (goes !== 200) throw new Error(`${goes} go`);
    }),
  ),
  '700 ms',
);
const hundred = time(40, () => createAssessor().assess(many, asOf));
say('cold assess, 120 drives in five racks', ms(hundred), '–');
say('t(120 drives) / t(24 drives)', (hundred / cold).toFixed(1), '≤ 8');

await solverSpeed(say);

const assets = readdirSync('web/dist/assets').filter((name) => name.endsWith('.js'));
/** Chunks with all they import without being asked, as a browser fetches them. */
const withImports = (names: readonly string[], seen = new Set<string>()): ReadonlySet<string> => {
  for (const name of names.filter((one) => !seen.has(one))) {
    seen.add(name);
    const text = readFileSync(`web/dist/assets/${name}`, 'utf8');
    withImports(
      [...text.matchAll(/(?:from|import)\s*["']\.\/([^"']+\.js)["']/g)].map((found) => found[1]!),
      seen,
    );
  }
  return seen;
};
const starting = (...beginnings: readonly string[]): string[] =>
  assets.filter((name) => beginnings.some((one) => name.startsWith(`${one}-`)));
const gz = (names: Iterable<string>): number =>
  [...names].reduce((sum, name) => sum + gzipSync(readFileSync(`web/dist/assets/${name}`)).length, 0) / 1000;
say('JavaScript of the first view, gzip', `${gz(withImports(starting('index'))).toFixed(0)} kB`, '250 kB');
say(
  'JavaScript of the bench, with its worker, gzip',
  `${gz(withImports(starting('index', 'BuildPage', 'Bench', 'benchWorker'))).toFixed(0)} kB`,
  '400 kB',
);
say('all JavaScript, gzip', `${gz(assets).toFixed(0)} kB`, '–');

/** From the key that undoes or redoes eight drives to the frame with the new figures; ends as it began. */
async function paints(page: Page): Promise<number[]> {
  const times: number[] = [];
  for (let i = 0; i < 42; i++) {
    times.push(
      await page.evaluate(
        (redo) =>
          new Promise<number>((resolve) => {
            const tape = document.querySelector('[data-figure="power.idleWallW"]')!;
            const from = performance.now();
            new MutationObserver((_records, observer) => {
              observer.disconnect();
              requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - from)));
            }).observe(tape, { subtree: true, characterData: true, childList: true });
            dispatchEvent(new KeyboardEvent('keydown', { key: redo ? 'y' : 'z', ctrlKey: true, bubbles: true }));
          }),
        i % 2 === 1,
      ),
    );
  }
  return times.slice(2);
}

/** Frames, in ms each, while something is done. */
async function framesWhile(page: Page, act: () => Promise<void>): Promise<number[]> {
  await page.evaluate(
    'window.frameTimes = []; requestAnimationFrame(function next(at) { if ' +
      '(!window.frameTimes) return; frameTimes.push(at); requestAnimationFrame(next); })',
  );
  await act();
  const times = (await page.evaluate(
    '(() => { const times = frameTimes; window.frameTimes = null; return times; })()',
  )) as number[];
  await page.evaluate('new Promise(requestAnimationFrame)');
  return times.slice(1).map((at, i) => at - times[i]!);
}

/** The longest wiring: 120 drives in a host and six shelves; pointed along its rows, then scrolled. */
async function longWiring(page: Page, url: string): Promise<void> {
  const parts = [
    ['gable-24', 1],
    ['gannet-e8', 1],
    ['shire-16', 1],
    ['crag-q8', 1],
    ['clew-r32', 4],
    ['brazier-800', 1],
    ['tern-24i', 1],
    ['tern-8e', 3],
    ['loft-16', 6],
    ['barge-12', 120],
  ] as const;
  const shelves = parts.reduce(
    (build, [sheet, count]) => add(build, sheet, count),
    newBuild('speed-shelves', 'Shelves'),
  );
  await page.request.post(`${url}/api/builds`, { data: shelves });
  await page.goto(`${url}/b/speed-shelves/wiring`);
  await page.locator('[data-cable]').first().waitFor();
  say('SVG nodes of the wiring, 120 drives over shelves', String(await page.locator('svg *').count()), '6,000');
  const rows = await page
    .locator('[data-cable]')
    .evaluateAll((nodes) => nodes.map((node) => node.getBoundingClientRect().y + 17).filter((y) => y < innerHeight));
  const pointed = await framesWhile(page, async () => {
    for (let turn = 0; turn < 4; turn++) for (const y of rows) await page.mouse.move(300, y, { steps: 4 });
  });
  const scrolled = await framesWhile(page, async () => {
    for (let i = 0; i < 60; i++) await page.mouse.wheel(0, i < 30 ? 40 : -40);
  });
  for (const [what, frames] of [
    ['pointed along', pointed],
    ['scrolled', scrolled],
  ] as const)
    say(
      `a frame while it is ${what}, 50 / 95 of 100`,
      `${median(frames).toFixed(1)} / ${at(frames, 0.95).toFixed(1)} ms`,
      '16.7 ms',
    );
  await page.goto(`${url}/b/speed-shelves`);
  await page.locator('[data-view="front"] [data-stop]').first().waitFor();
  say('SVG nodes of its bench', String(await page.locator('svg *').count()), '6,000');
  await page.request.delete(`${url}/api/builds/speed-shelves`, { headers: { 'if-match': '*' } });
}

await withServer(async (serving) => {
  const browser = await chromium.launch(CHROMIUM);
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  const firsts: number[] = [];
  for (let i = 0; i < 5; i++) {
    const from = performance.now();
    await page.goto(`${serving.url}/`);
    await page.getByRole('link', { name: /Open Boathouse rack/ }).waitFor();
    firsts.push(performance.now() - from);
  }
  say('first view of the floor on loopback', ms(median(firsts)), '1000 ms');
  await page.goto(`${serving.url}/b/boathouse-rack?sel=u2/front.17&pane=try`);
  await page.getByRole('button', { name: 'All 8 free' }).click();
  await page.locator('[data-try="barge-12"]', { hasText: '8 ×' }).click();
  await page.locator('[data-kit="barge-12"]', { hasText: '24 ×' }).waitFor();
  await page.getByTestId('save-state').getByText('Saved').waitFor();
  for (const which of ['first forty edits', 'next forty']) {
    const painted = await paints(page);
    say(`edit to painted figures, ${which}, median`, ms(median(painted)), '45 ms');
    say(`edit to painted figures, ${which}, 95 of 100`, ms(at(painted, 0.95)), '70 ms');
  }
  await longWiring(page, serving.url);
  await browser.close();
});
process.exit(0);
