/** Makes the pictures of docs/screenshots/ from the demo: `npm run screenshots`. */
import { mkdirSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../e2e/playwright.config';
import { withServer } from './withServer';

type Shot = { readonly name: string; readonly path: string; readonly dark?: boolean; readonly act?: (page: Page) => Promise<void> };
const ready = (page: Page) => page.getByTestId('status').filter({ hasNotText: '…' }).waitFor();
const SHOTS: readonly Shot[] = [
  { name: 'floor', path: '/', act: async (page) => { await page.getByText('Blocked, 3 snags').waitFor(); } },
  { name: 'bench', path: '/b/hall-cupboard', act: async (page) => { await ready(page); await page.locator('[data-remedy]').first().waitFor(); } },
  { name: 'bench-try', path: '/b/hall-cupboard?sel=u2/cage.3&pane=try', act: async (page) => { await ready(page); await page.getByRole('button', { name: 'All 8 free' }).click(); await page.locator('[data-try="barge-12"]', { hasText: '8 ×' }).hover(); await page.locator('.ghost').first().waitFor(); } },
  { name: 'bench-dark', path: '/b/boathouse-rack?sel=u2/front.6&pane=sheet', dark: true, act: ready },
  { name: 'bench-front', path: '/b/boathouse-rack?view=front', act: ready },
  { name: 'working', path: '/b/boathouse-rack', act: async (page) => { await ready(page); await page.getByRole('button', { name: /Idle at the wall/ }).click(); await page.locator('[data-working]').waitFor(); } },
  { name: 'bench-empty', path: '/b/reading-room', act: ready },
];

mkdirSync('docs/screenshots', { recursive: true });
await withServer(async (serving) => {
  const browser = await chromium.launch(CHROMIUM);
  for (const shot of SHOTS) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, colorScheme: shot.dark ? 'dark' : 'light' });
    await page.goto(serving.url + shot.path);
    await shot.act?.(page);
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: `docs/screenshots/${shot.name}.png` });
    await page.close();
  }
  await browser.close();
});
process.exit(0);
