/** Makes the pictures of docs/screenshots/ from the demo: `npm run screenshots`. */
import { mkdirSync, readFileSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../../e2e/playwright.config';
import { withServer } from '../test/withServer';

type Shot = {
  readonly name: string;
  readonly path: string;
  readonly dark?: boolean;
  readonly act?: (page: Page) => Promise<void>;
};
const ready = async (page: Page) => {
  await page.getByTestId('status').filter({ hasNotText: '…' }).waitFor();
  await page
    .locator('[data-made-of]')
    .waitFor({ timeout: 2_000 })
    .catch(() => undefined);
};
const LISTINGS = ['block-devices.json', 'smart.json', 'dmi.txt', 'pci.txt'];
const SPECIFICATION = `Trawl 14 TB
Capacity: 14 TB
Interface: SATA 6 Gb/s
Form factor: 3.5-inch
Spindle speed: 7,200 rpm
Sustained transfer rate (max.): 262 MB/s
Power, idle: 5.1 W
Power, operating: 7.4 W
Acoustics, idle: 2.0 bels
Dimensions (W x D x H): 4.0" x 5.79" x 1.028"
Weight: 1.52 lb
Operating temperature: 5 – 60 °C
Recording: CMR`;
const SHOTS: readonly Shot[] = [
  {
    name: 'floor',
    path: '/',
    act: async (page) => {
      await page.getByText('Blocked, 5 snags').first().waitFor();
      await page.getByText('Looking …').first().waitFor({ state: 'hidden' });
    },
  },
  {
    name: 'bench',
    path: '/b/hall-cupboard',
    act: async (page) => {
      await ready(page);
      await page.locator('[data-remedy]').first().waitFor();
    },
  },
  {
    name: 'bench-try',
    path: '/b/hall-cupboard?sel=u2/cage.3&pane=try',
    act: async (page) => {
      await ready(page);
      await page.getByRole('button', { name: 'All 8 free' }).click();
      // Rows come to rest once all are weighed.
      await page.locator('[data-try="barge-12"]', { hasText: '8 ×' }).waitFor();
      await page.getByTestId('try-count').filter({ hasText: 'fit' }).waitFor();
      await page.locator('[data-try="barge-12"]', { hasText: '8 ×' }).hover();
      await page.locator('.ghost').first().waitFor();
    },
  },
  { name: 'bench-dark', path: '/b/boathouse-rack?sel=u2/front.6&pane=sheet', dark: true, act: ready },
  {
    name: 'working',
    path: '/b/boathouse-rack',
    act: async (page) => {
      await ready(page);
      await page.getByRole('button', { name: /Idle at the wall/ }).click();
      await page.locator('[data-working]').waitFor();
    },
  },
  {
    name: 'compare',
    path: '/compare?b=school-shelf,boathouse-rack,field-kit',
    act: async (page) => {
      await page.locator('[data-row=idleW]').waitFor();
    },
  },
  { name: 'bench-empty', path: '/b/reading-room', act: ready },
  {
    name: 'bench-two-boxes',
    path: '/b/school-shelf',
    act: async (page) => {
      await ready(page);
      await page.locator('[data-view="front"] [data-stop$="/bay.1"]').click();
    },
  },
  {
    name: 'wiring',
    path: '/b/boathouse-rack/wiring',
    act: async (page) => {
      await ready(page);
      await page.locator('[data-cable="#2"]').click();
      await page.getByRole('button', { name: 'Pick up its port end' }).click();
      await page.locator('[data-port]').first().waitFor();
    },
  },
  {
    name: 'bench-changes',
    path: '/b/sound-desk?sel=floor/chassis&pane=sheet&view=plan',
    act: async (page) => {
      await ready(page);
      await page
        .locator('li', { has: page.locator('[data-change]') })
        .filter({ hasText: 'Take out the fan wall' })
        .hover();
      await page.locator('.gone').first().waitFor();
    },
  },
  {
    name: 'power',
    path: '/b/boathouse-rack/power',
    act: async (page) => {
      await ready(page);
      await page.getByTestId('year').waitFor();
    },
  },
  {
    name: 'air',
    path: '/b/boathouse-rack/air',
    act: async (page) => {
      await ready(page);
      await page.getByTestId('air-answer').waitFor();
    },
  },
  {
    name: 'pool',
    path: '/b/boathouse-rack/pool',
    act: async (page) => {
      await ready(page);
      await page.getByTestId('store-answer').waitFor();
    },
  },
  {
    name: 'bill',
    path: '/b/boathouse-rack/bill',
    act: async (page) => {
      await ready(page);
      await page.getByTestId('price-answer').waitFor();
    },
  },
  { name: 'brief', path: '/b/hall-cupboard/brief', act: ready },
  {
    name: 'parts',
    path: '/parts?kind=drive&open=drive%7CBargeyard%7CBarge&part=barge-12',
    act: async (page) => {
      await page.getByRole('heading', { name: 'Barge 12 TB' }).waitFor();
    },
  },
  {
    name: 'own-chassis',
    path: '/parts/own?from=rack-4u-24&class=1',
    act: async (page) => {
      await page.getByLabel('Name', { exact: true }).fill('The boatyard’s old case');
      await page.getByLabel('Depth in mm').fill('520');
      await page.getByLabel('Front bays: rows').fill('5');
    },
  },
  {
    name: 'paste',
    path: '/parts/paste',
    act: async (page) => {
      await page.getByLabel('Text of the specification').fill(SPECIFICATION);
      await page.locator('[data-read=capacityBytes]').waitFor();
    },
  },
  {
    name: 'old-machine',
    path: '/parts/stock?old=1',
    act: async (page) => {
      await page
        .getByLabel('Paste what it prints of itself')
        .fill(LISTINGS.map((name) => readFileSync(`core/src/stock/samples/${name}`, 'utf8')).join('\n'));
      await page.getByText('to import').waitFor();
    },
  },
];

mkdirSync('docs/screenshots', { recursive: true });
await withServer(async (serving) => {
  const browser = await chromium.launch(CHROMIUM);
  for (const shot of SHOTS) {
    const page = await browser.newPage({
      viewport: { width: 1280, height: 800 },
      colorScheme: shot.dark ? 'dark' : 'light',
    });
    await page.goto(serving.url + shot.path);
    await shot.act?.(page);
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: `docs/screenshots/${shot.name}.png` });
    await page.close();
  }
  await browser.close();
});
process.exit(0);
