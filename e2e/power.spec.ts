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
  await expect(page.getByRole('table', { name: 'All boxes, W at the wall by state' }).getByRole('row')).toHaveCount(7);
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

test('hours painted by hand or by number change the year; plugs lead to where they are moved', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'weighbridge', 'power-day');
  const bench = new BenchPage(page);
  await page.goto(`/b/${id}/power`);
  await expect(page.getByTestId('plug-answer')).toHaveText('Yes: the fullest cable is at 80 % of what it carries.');
  await expect(page.getByTestId('starts-more')).toHaveText(/^It would start \d+ more Barge 8 TB; then /);
  const year = page.getByTestId('year');
  const money = async () => Number((await year.innerText()).replace(/^\D*/, '').replace(/\D.*$/s, ''));
  const before = await money();
  // What comes in above moves the hours down: they are met where they stay.
  await expect(page.getByText('Looking for one that loses less')).toBeHidden();
  await page.getByRole('button', { name: 'off', exact: true }).click();
  await page.locator('[data-day="weekday"]').scrollIntoViewIfNeeded();
  const weekday = (await page.locator('[data-day="weekday"]').boundingBox())!;
  const at = (hour: number) => weekday.x + (weekday.width * (hour + 0.5)) / 24;
  await page.mouse.move(at(0), weekday.y + 20);
  await page.mouse.down();
  await page.mouse.move(at(5), weekday.y + 20, { steps: 6 });
  await page.mouse.up();
  await expect(bench.changeLine).toContainText('Weekdays 0 to 6: off');
  await expect.poll(money).toBeLessThan(before);
  await page.getByText('Set hours by number').click();
  await page.getByLabel('From hour').selectOption('0');
  await page.getByLabel('To hour').selectOption('24');
  await page.getByLabel('On which days').selectOption('weekend');
  await page.getByLabel('In which state').selectOption('asleep');
  await page.getByRole('button', { name: 'Set', exact: true }).click();
  await expect(page.getByRole('img', { name: 'Weekend: 0 to 24 asleep' })).toBeVisible();
  await bench.settled();
  const { profile } = await storedBuild(request, id);
  expect(profile.weekday.slice(0, 7)).toEqual([...Array<string>(6).fill('off'), profile.weekday[6]]);
  expect(profile.weekend).toEqual(Array<string>(24).fill('asleep'));
  await expect(page.getByRole('region', { name: 'Cheaper a year without' }).getByRole('row').first()).toContainText(
    'kWh',
  );

  await page.locator('[data-plug="H2"]').click();
  await expect(page).toHaveURL(/wiring\?half=power&plug=/);
  await expect(page.getByRole('complementary', { name: 'Cable' })).toContainText('Move it to');
});

test('work, scrubs and CO₂ are asked in the brief and told with the year', async ({ page, request }) => {
  const id = await copyOf(request, 'weighbridge', 'power-use');
  const bench = new BenchPage(page);
  await page.goto(`/b/${id}/brief`);
  const answer = async (label: string, text: string) => {
    await page.getByLabel(label, { exact: true }).fill(text);
    await page.getByLabel(label, { exact: true }).press('Enter');
  };
  await answer('At work', '50');
  await answer('Scrubs a year', '4');
  await answer('CO₂ of a kWh', '350');
  await bench.settled();
  expect(await storedBuild(request, id)).toMatchObject({
    profile: { workShare: 0.5, scrubsPerYear: 4 },
    tariff: { co2GramsPerKwh: 350 },
  });
  await page.getByRole('link', { name: 'Power', exact: true }).click();
  await expect(page.getByText(/4 scrubs a year of a full pool, about \d+ h each/)).toBeVisible();
  await expect(page.getByText(/CO₂ \d+ kg\./)).toBeVisible();
  // What is left open again is typical again, and nothing else goes with it.
  await page.goto(`/b/${id}/brief`);
  await answer('At work', '');
  await answer('CO₂ of a kWh', '');
  await bench.settled();
  const { profile, tariff } = await storedBuild(request, id);
  expect([profile.workShare, profile.scrubsPerYear, tariff.co2GramsPerKwh]).toEqual([undefined, 4, undefined]);
});

test('a UPS is tried, its plugs are drawn from the mains on, and one is put in the wall by hand', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'boathouse-rack', 'power-ups');
  const bench = await new BenchPage(page).open(id, '?pane=try');
  await page.getByRole('button', { name: /^Add any part/ }).click();
  await page.getByLabel('Search parts').fill('sump 1500');
  await bench.tryRow('sump-1500').click();
  await bench.settled();
  await page.getByRole('link', { name: 'Power', exact: true }).click();
  const drawing = page.locator('[data-one-line]');
  await expect(drawing).toContainText('Sump 1500');
  const pane = page.getByRole('region', { name: /How long does Sump 1500 hold/ });
  await expect(pane.getByRole('row', { name: /at work/ })).toContainText('min');
  const plug = page.getByLabel(/Brazier 800 1\+1 .*plug 1 of 2 is plugged into/);
  const other = page.getByLabel(/Brazier 800 1\+1 .*plug 2 of 2 is plugged into/);
  await expect(plug).toHaveValue('dealt');
  const watts = async () =>
    Number(await pane.getByRole('row', { name: /^idle/ }).getByRole('cell').first().innerText());
  const whole = await watts();
  await plug.selectOption({ label: 'the wall' });
  await expect(bench.changeLine).toContainText('in the wall');
  await expect.poll(watts).toBeLessThan(0.6 * whole);
  await other.selectOption({ label: 'the wall' });
  await expect(page.getByText(/feeds the machine and is in the wall, not on the UPS/)).toBeVisible();
  await bench.settled();
  expect((await storedBuild(request, id)).layout.plugs.map(({ cable }) => cable)).toEqual(['mains', 'mains']);
  // It is an edit like any other: undone, and dealt again.
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(other).toHaveValue('dealt');
  await plug.selectOption('dealt');
  await expect.poll(watts).toBe(whole);
});
