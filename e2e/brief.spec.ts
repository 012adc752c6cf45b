import { expect, test } from '@playwright/test';
import { BenchPage, copyOf, storedBuild } from './bench';

test.describe('the brief', () => {
  test('an answer becomes a mark, a snag and a line on the drawing at once, and is saved', async ({
    page,
    request,
  }) => {
    const id = await copyOf(request, 'hall-cupboard', 'brief');
    const bench = await new BenchPage(page).open(id, '/brief');
    const tape = page.locator('[data-figure="power.idleWallW"]');
    await expect(tape.getByText('over the limit')).toHaveCount(0);
    await page.getByLabel('Idle, at the wall').fill('20');
    await page.keyboard.press('Enter');
    await expect(tape.getByText('over the limit')).toBeVisible();
    await page.getByLabel('Depth').fill('300');
    await page.keyboard.press('Tab');
    await expect(page.getByRole('complementary', { name: 'Room it has' }).getByText('300 mm')).toBeVisible();
    await bench.settled();
    expect((await storedBuild(request, id)).brief).toMatchObject({ idleW: 20, maxDepthMm: 300 });
    await page.getByRole('link', { name: 'Bench' }).click();
    await expect(bench.snag('within.idle')).toBeVisible();
    await expect(bench.snag('within.size')).toContainText('30 mm too deep');
    await expect(page.getByText('330 mm, 30 over')).toBeAttached();
  });

  test('an answer that cannot be is said and loses nothing; an emptied one is open again; undo brings it back', async ({
    page,
    request,
  }) => {
    const id = await copyOf(request, 'hall-cupboard', 'brief-bad');
    const bench = await new BenchPage(page).open(id, '/brief');
    const ear = page.getByLabel('At the ear, at most');
    await ear.fill('a lot');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText('what was there is kept');
    await ear.fill('400');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText('That cannot be');
    await ear.fill('');
    await page.keyboard.press('Enter');
    await expect(ear).toHaveValue('');
    await bench.settled();
    expect((await storedBuild(request, id)).brief.earDb).toBeUndefined();
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await expect(ear).toHaveValue('20');
  });

  test('going between brief and bench keeps the machine open, with its history', async ({ page, request }) => {
    const id = await copyOf(request, 'hall-cupboard', 'brief-way');
    const bench = await new BenchPage(page).open(id, '/brief');
    await page.getByLabel('Between them').selectOption('a sealed door');
    await expect(bench.changeLine).toContainText('Between them a sealed door');
    await page.getByRole('link', { name: 'Bench' }).click();
    await page.getByRole('button', { name: 'Undo' }).first().click();
    await expect(bench.changeLine).toContainText('Undone: Between them');
    await page.goBack();
    await expect(page.getByLabel('Between them')).toHaveValue('slatted');
  });
});

test('a kWh by night costs another price; each price has its hours', async ({ page, request }) => {
  const id = await copyOf(request, 'weighbridge', 'tariff');
  const bench = new BenchPage(page);
  await page.goto(`/b/${id}/brief`);
  const before = (await storedBuild(request, id)).tariff.bands[0]!.minorPerKwh;
  await page.getByRole('button', { name: 'Another price at other hours' }).click();
  await page.getByLabel('Hour from which price 2 holds').selectOption('22');
  await expect(page.getByLabel('0:00 to 22:00')).toBeVisible();
  await page.getByLabel('22:00 to 0:00').fill('0.18');
  await page.getByLabel('22:00 to 0:00').press('Enter');
  await bench.settled();
  expect((await storedBuild(request, id)).tariff.bands).toEqual([
    { fromHour: 0, minorPerKwh: before },
    { fromHour: 22, minorPerKwh: 18 },
  ]);
  await page.getByRole('button', { name: 'Take away the price from 22:00' }).click();
  await expect(page.getByLabel('A kWh costs')).toBeVisible();
});
