import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { BenchPage, copyOf, storedBuild } from './bench';

test('the bill sums as its tape; a price is changed, three lines become a lot, the years are counted', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'boathouse-rack', 'bill');
  const bench = await new BenchPage(page).open(id);
  await page.getByRole('link', { name: 'Bill', exact: true }).click();
  const answer = page.getByTestId('price-answer');
  await expect(answer).toHaveText(/^€\s?5.782 to buy now .*€\s?40 a usable TB, €\s?241 a bay\.$/);
  // A line opens into what is known of it.
  await page.getByRole('button', { name: /Barge 12 TB/ }).click();
  await page.getByLabel('Price of Barge 12 TB', { exact: true }).fill('200');
  await page.getByLabel('Price of Barge 12 TB', { exact: true }).press('Enter');
  await expect(answer).toHaveText(/^€\s?5.558 to buy now/);
  await expect.poll(async () => (await bench.tapes())['cost.now']?.replace(/\s/g, '')).toBe('5558');
  // Of whom, and when it is here.
  await page.getByText('More of this price').click();
  await page.getByLabel('Here in of Barge 12 TB, in days').fill('21');
  await page.getByLabel('Here in of Barge 12 TB, in days').press('Enter');
  await page.getByLabel('Of whom Barge 12 TB is bought').selectOption('private');
  await expect(page.getByText(/^All of it is here 21 days after it is ordered; of 11 lines nobody says/)).toBeVisible();
  await expect(page.getByText('At your own risk, not tested: Barge 12 TB. Look before you pay.')).toBeVisible();
  // Bought together at one price.
  await page.getByLabel('Gannet E8 in a lot').check();
  await page.getByLabel('Shire 16 in a lot').check();
  await page.getByLabel('Price of the lot').fill('a lot');
  await page.getByLabel('Price of the lot').press('Enter');
  await expect(page.getByRole('alert')).toContainText('What was there is kept');
  await page.getByLabel('Price of the lot').fill('500');
  await page.getByLabel('Price of the lot').press('Enter');
  await expect(answer).toHaveText(/^€\s?5.153 to buy now/);
  await expect(page.locator('[data-line]', { hasText: 'Gannet E8' })).toContainText('of Lot 1');
  await bench.settled();
  expect((await storedBuild(request, id)).bundles).toMatchObject([{ id: 'lot1', price: { minor: 50_000 } }]);
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a table' }).click();
  const rows = readFileSync((await (await saved).path())!, 'utf8')
    .trim()
    .split('\r\n');
  expect(rows.at(-1)).toContain('5153');
  // Filled in elsewhere and read back: what is of nothing here and what cannot be read is said, and is no edit.
  const filled = 'mark,what,price\nB1,Gannet E8,400\nZ1,Stranger,5\nA1,Gable 24,dear\n';
  await page.getByLabel('Read a table back').setInputFiles({
    name: 'bill.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(filled),
  });
  const read = page.getByTestId('read-back');
  await expect(read).toContainText('1 line taken over: Gannet E8.');
  await expect(read).toContainText('Of nothing here: Stranger.');
  await expect(read).toContainText('Row 4, Gable 24: “dear”');
  await page.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await page.getByLabel('over').selectOption('10');
  await expect(page.getByTestId('over-years')).toHaveText(/€\s?12.\d{3}/);
  await page.getByRole('button', { name: 'Take apart Lot 1' }).click();
  await expect(answer).toHaveText(/^€\s?5.558 to buy now/);
});

test('a variant is made and held against its machine in one act', async ({ page, request }) => {
  const id = await copyOf(request, 'school-shelf', 'variant');
  await new BenchPage(page).open(id);
  await page.getByRole('link', { name: 'Bill', exact: true }).click();
  await page.getByLabel('Name of the variant').fill('Quieter shelf');
  await page.getByRole('button', { name: 'Make a variant' }).click();
  await expect(page.getByRole('link', { name: 'Quieter shelf' })).toBeVisible();
  await expect(page.locator('[data-beside]')).toContainText('In nothing surely better');
  await page.getByRole('link', { name: 'Quieter shelf' }).click();
  await expect(page.getByTestId('status')).toHaveText(/Clear/);
});

test('offers of one part stand side by side: one is kept, another typed, the first taken again', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'boathouse-rack', 'offers');
  await new BenchPage(page).open(id, '/bill');
  const line = page.locator('[data-line]', { hasText: 'Barge 12 TB' });
  const total = line.locator('td').nth(4);
  const before = await total.innerText();
  await line.getByRole('button', { name: /Barge 12 TB/ }).click();
  await page.getByText('More of this price').click();
  await page.getByRole('button', { name: 'Keep this price as an offer' }).click();
  await expect(page.getByText('Offers, all of it with shipping and tax')).toBeVisible();
  await page.getByLabel('Price of Barge 12 TB', { exact: true }).fill('189');
  await page.keyboard.press('Tab');
  await expect(line).toContainText('the cheapest of 2 offers');
  await page.getByLabel('Whether Barge 12 TB is what it says it is').selectOption({ label: 'may be counterfeit' });
  await expect(page.getByText('May be counterfeit: Barge 12 TB')).toBeVisible();
  await page.getByRole('button', { name: /^Take the offer of/ }).click();
  await expect(line).toContainText('offered for');
  await expect(page.getByText('May be counterfeit: Barge 12 TB')).toBeHidden();
  // What it cost is what it costs again, and the other offer is not lost.
  await expect(total).toHaveText(before);
  await expect(page.getByRole('button', { name: /^Take the offer of € 3.?024/ })).toBeVisible();
});
