import { expect, test } from '@playwright/test';
import { BenchPage, copyOf, storedBuild } from './bench';

test('a start too near what the supply gives is seen, and made milder with one press', async ({ page, request }) => {
  const id = await copyOf(request, 'boathouse-rack', 'power');
  const bench = await new BenchPage(page).open(id);
  await bench.kit('barge-12').click();
  await page.getByLabel('How many Barge 12 TB').fill('24');
  await page.getByLabel('How many Barge 12 TB').press('Enter');
  await expect(bench.kit('barge-12')).toContainText('24 ×');
  await page.getByRole('link', { name: 'Power', exact: true }).click();
  const starts = page.getByTestId('starts');
  await expect(starts).toContainText(/of what Brazier 800 1\+1 gives/);
  await expect(starts).not.toHaveText(/^Yes: /);
  await expect(page.getByText('Drives start all at once.')).toBeVisible();
  await page.getByText('As a table, second by second').click();
  await expect(page.getByRole('table', { name: /while its drives start/ }).getByRole('row')).toHaveCount(3);
  await page.getByRole('button', { name: 'Start them so' }).click();
  await expect(page.getByText(/at a time, every \d+ s\./)).toBeVisible();
  await expect(starts).toHaveText(/^Yes: /);
  await expect(page.getByText('as it is set')).toBeVisible();
  await bench.settled();
  expect((await storedBuild(request, id)).policy.spinUp).toMatchObject({ kind: 'waves' });
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByText('Drives start all at once.')).toBeVisible();
});

test('states stand on one scale and the year follows the price in the brief', async ({ page, request }) => {
  const id = await copyOf(request, 'school-shelf', 'power-year');
  await page.goto(`/b/${id}/power`);
  await expect(page.getByRole('table', { name: 'All boxes, W at the wall by state' }).getByRole('row')).toHaveCount(6);
  const year = page.getByTestId('year');
  await expect(year).toContainText('kWh');
  const before = Number((await year.innerText()).replace(/^\D*/, '').replace(/\D.*$/s, ''));
  await page.getByRole('link', { name: 'in the brief' }).click();
  const price = page.getByLabel('A kWh costs');
  const now = Number(await price.inputValue());
  await price.fill(String(now * 2));
  await price.press('Enter');
  await page.getByRole('link', { name: 'Power', exact: true }).click();
  await expect
    .poll(async () => Number((await year.innerText()).replace(/^\D*/, '').replace(/\D.*$/s, '')))
    .toBeGreaterThan(before * 1.9);
});
