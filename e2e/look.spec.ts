import { expect, test } from '@playwright/test';
import { BenchPage } from './bench';
import { labelFaults } from './looks';

for (const [width, height] of [
  [1280, 800],
  [1024, 768],
  [1920, 1080],
] as const)
  test(`the bench fits ${width} × ${height} without the page scrolling`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    await new BenchPage(page).open('boathouse-rack');
    const scroll = await page.evaluate(() => ({
      x: document.documentElement.scrollWidth - innerWidth,
      y: document.documentElement.scrollHeight - innerHeight,
    }));
    expect(scroll.x).toBeLessThanOrEqual(0);
    expect(scroll.y).toBeLessThanOrEqual(0);
  });

test('a name of 200 characters breaks nothing', async ({ page, request }) => {
  const build = (await (await request.get('/api/builds/hall-cupboard')).json()) as object;
  const name = 'Reed bed and lock recordings since the first reel '.repeat(4).slice(0, 200);
  await request.delete('/api/builds/e2e-long', { headers: { 'if-match': '*' } });
  expect((await request.post('/api/builds', { data: { ...build, id: 'e2e-long', name } })).status()).toBe(201);
  await new BenchPage(page).open('e2e-long');
  expect(await labelFaults(page)).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
  await page.goto('/');
  await expect(page.getByText(name).first()).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
  await request.delete('/api/builds/e2e-long', { headers: { 'if-match': '*' } });
});

test('nothing on the page throws or complains while a machine is looked at', async ({ page }) => {
  const complaints: string[] = [];
  page.on('pageerror', (error) => complaints.push(error.message));
  page.on('console', (message) => {
    if (message.type() === 'error' || message.type() === 'warning') complaints.push(message.text());
  });
  const bench = await new BenchPage(page).open('hall-cupboard');
  await bench.place('front', 'u2/cage.1').click();
  await expect(page.getByTestId('try-count')).toContainText('fit');
  await page.goto('/');
  await expect(page.getByText(/^Sound/).first()).toBeVisible();
  await expect(page.getByText('Looking …')).toHaveCount(0);
  expect(complaints).toEqual([]);
});
