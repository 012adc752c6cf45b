import { expect, test } from '@playwright/test';
import { BenchPage, copyOf, storedBuild } from './bench';

test('a caution is accepted with its reason, counted apart, and taken back', async ({ page, request }) => {
  const id = await copyOf(request, 'hall-cupboard', 'accepted');
  const bench = await new BenchPage(page).open(id);
  await expect(bench.status).toHaveText('2 blockers, 2 cautions');
  const noise = bench.snag('within.sound');
  await noise.getByRole('button').first().click();
  await noise.getByRole('button', { name: 'Accept it as it is' }).click();
  await page.getByLabel('Why it may stay so').fill('Nobody sleeps there in summer');
  await page.keyboard.press('Enter');
  await expect(bench.status).toHaveText('2 blockers, 1 caution, 1 accepted');
  await expect(noise).toContainText('Accepted. Nobody sleeps there in summer');
  await bench.settled();
  expect((await storedBuild(request, id)).accepted).toHaveLength(1);
  await noise.getByRole('button', { name: 'No longer accept it' }).click();
  await expect(bench.status).toHaveText('2 blockers, 2 cautions');
  // What blocks cannot be accepted.
  await bench.snag('fits.coolerHeight').getByRole('button').first().click();
  await expect(bench.snag('fits.coolerHeight').getByText('Fixes')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Accept it as it is' })).toHaveCount(0);
});

test('a price is typed in another currency, with shipping and tax, and its rate is asked for', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'hall-cupboard', 'price');
  const bench = await new BenchPage(page).open(id);
  await bench.kit('fell-74').click();
  const price = page.getByLabel('Price of Fell 74', { exact: true });
  await price.fill('40 XQZ');
  await price.press('Enter');
  await expect(page.getByRole('alert')).toContainText('XQZ is no currency');
  await price.fill('40 usd');
  await price.press('Enter');
  await page.getByText('More of this price').click();
  await page.getByLabel('Shipping of Fell 74').fill('10');
  await page.getByLabel('Shipping of Fell 74').press('Enter');
  await page.getByLabel('Tax on Fell 74, in %').fill('20 %');
  await page.getByLabel('Tax on Fell 74, in %').press('Enter');
  await page.getByLabel('Where Fell 74 was seen').fill('fair on the green');
  await page.getByLabel('Where Fell 74 was seen').press('Enter');
  await page.getByRole('link', { name: 'Brief' }).click();
  await page.getByLabel('1 USD is worth').fill('0.5');
  await page.keyboard.press('Enter');
  // 666 of the demo, less 32, and (40 × 1.2 + 10) × 0.5 for the cooler.
  await expect(page.locator('[data-figure="cost.now"] [data-value]')).toHaveText('663');
  await bench.settled();
  const { items } = await storedBuild(request, id);
  expect(items.find(({ sheet }) => sheet === 'fell-74')?.price).toMatchObject({
    minor: 4000,
    currency: 'USD',
    shippingMinor: 1000,
    taxIncluded: false,
    taxPct: 20,
    from: 'fair on the green',
  });
});

test('how it starts, how fast its fans turn and what a kWh costs are answered in the brief', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'boathouse-rack', 'policy');
  const bench = await new BenchPage(page).open(id, '/brief');
  const noise = page.locator('[data-figure="sound.earIdleDb"] [data-value]');
  const loud = await noise.textContent();
  await page.getByLabel('Fans at rest').fill('30');
  await page.keyboard.press('Enter');
  await expect(noise).not.toHaveText(loud!);
  await page.getByLabel('Fans at rest').fill('130');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('From 0 to 100 %; what was there is kept.');
  await page.getByLabel('Drives start').selectOption('waves');
  await page.getByLabel('At a time').fill('4');
  await page.keyboard.press('Enter');
  await page.getByLabel('A kWh costs').fill('0.42');
  await page.keyboard.press('Enter');
  await bench.settled();
  const { policy, tariff } = await storedBuild(request, id);
  expect(policy).toEqual({ spinUp: { kind: 'waves', drives: 4, everyS: 10 }, fans: { kind: 'fixed', duty: 0.3 } });
  expect(tariff.bands).toEqual([{ fromHour: 0, minorPerKwh: 42 }]);
});

test('a tape without a limit leads to its question, and the corner of the sheet to the parts of a figure', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'boathouse-rack', 'corner');
  await new BenchPage(page).open(id);
  await expect(page.locator('[data-share="16 × Barge 12 TB"]')).toContainText('86 W');
  await page.getByRole('button', { name: 'Made of: price' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('[data-made-of="cost.now"]')).toBeVisible();
  await page.locator('[data-share="16 × Barge 12 TB"]').click();
  await expect(page.getByRole('heading', { name: /Barge 12 TB/ })).toBeVisible();
  await page.locator('[data-figure="sound.earIdleDb"]').getByRole('link', { name: 'set a limit' }).click();
  await expect(page.getByLabel('At the ear, at most')).toBeFocused();
});

test('a figure that nothing adds to leaves the corner where it is', async ({ page, request }) => {
  const owned = await storedBuild(request, 'hall-cupboard');
  const items = owned.items.map(({ price: _price, ...item }) => ({ ...item, deal: 'owned' as const }));
  await request.delete('/api/builds/e2e-all-owned', { headers: { 'if-match': '*' } });
  await request.post('/api/builds', { data: { ...owned, id: 'e2e-all-owned', items } });
  await new BenchPage(page).open('e2e-all-owned');
  await page.getByRole('button', { name: 'Made of: price' }).click();
  await expect(page.locator('[data-made-of="cost.now"]')).toContainText('nothing here adds to it');
  await page.getByRole('button', { name: 'Made of: idle' }).click();
  await expect(page.locator('[data-made-of="power.idleWallW"] [data-share]').first()).toBeVisible();
});

test('what was done can be undone after a reload, and after a look at another machine', async ({ page, request }) => {
  const id = await copyOf(request, 'hall-cupboard', 'undo-later');
  const bench = await new BenchPage(page).open(id);
  await bench.kit('fell-74').click();
  await page.getByRole('button', { name: 'Take out' }).click();
  await expect(bench.kit('fell-74')).toHaveCount(0);
  await bench.settled();
  await page.reload();
  await expect(bench.status).not.toHaveText('…');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(bench.kit('fell-74')).toBeVisible();
  await page.getByRole('link', { name: /your machines/ }).click();
  await bench.open('boathouse-rack');
  await bench.open(id);
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(bench.kit('fell-74')).toHaveCount(0);
  await bench.settled();
  expect((await storedBuild(request, id)).items.some(({ sheet }) => sheet === 'fell-74')).toBe(false);
});

test('two rows of trying are set beside one another: only what differs', async ({ page, request }) => {
  const bench = await new BenchPage(page).open(await copyOf(request, 'hall-cupboard', 'beside'));
  await bench.place('front', 'u2/cage.1').click();
  await expect(page.getByTestId('try-count')).toContainText('not');
  await page.getByLabel('Search parts').fill('barge');
  await expect(bench.tryRow('barge-8')).toBeVisible();
  for (const name of ['Barge 8 TB', 'Barge 12 TB']) {
    await page.getByRole('button', { name: `Set ${name} beside another`, exact: true }).focus();
    await page.keyboard.press('Enter');
  }
  const table = page.getByRole('table', { name: 'Barge 8 TB beside Barge 12 TB' });
  await expect(table.getByRole('row', { name: /^capacity/ })).toContainText('12 TB');
  await expect(table.getByRole('row', { name: /^interface/ })).toHaveCount(0);
  await table.getByRole('button', { name: 'Take Barge 8 TB away from beside' }).click();
  await expect(table).toHaveCount(0);
});

test('a line of the kit waits for a later stage, and is seen again when that stage is shown', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'boathouse-rack', 'stage');
  const bench = await new BenchPage(page).open(id);
  await bench.kit('tern-8i').click();
  await page.getByLabel('When Tern 8i is wanted').selectOption({ label: 'in a new stage, later' });
  await expect(bench.kit('tern-8i')).toHaveCount(0);
  // What it drew and the note on its idling are gone with it.
  await expect(bench.snag('complete.idleCard')).toHaveCount(0);
  await page.getByLabel('Shown to').selectOption({ label: 'Later' });
  await expect(bench.kit('tern-8i')).toBeVisible();
  await bench.settled();
  expect(await storedBuild(request, id)).toMatchObject({ stages: [{ name: 'Now' }, { name: 'Later' }], stage: 1 });
  // A stage has a name and a day of the builder's own.
  await page.getByRole('button', { name: 'Edit stages' }).click();
  await page.getByLabel('Name of stage 2').fill('Next winter');
  await page.getByLabel('Name of stage 2').press('Enter');
  await page.getByLabel('Day of stage 2').fill('2027-01-15');
  await expect(page.getByLabel('Shown to').locator('option')).toHaveText(['Now', 'Next winter']);
  await bench.kit('tern-8i').click();
  await page.getByLabel('When Tern 8i is wanted').selectOption({ label: 'Now' });
  // Still shown to its end, it is not to be taken away.
  await expect(page.getByRole('button', { name: /^Take away Next winter/ })).toHaveCount(0);
  await page.getByLabel('Shown to').selectOption({ label: 'Now' });
  await expect(bench.kit('tern-8i')).toBeVisible();
  await bench.settled();
  const stages = [{ name: 'Now' }, { name: 'Next winter', at: '2027-01-15' }];
  expect(await storedBuild(request, id)).toMatchObject({ stages });
  await page.getByRole('button', { name: /^Take away Next winter/ }).click();
  await expect(page.getByLabel('Shown to')).toHaveCount(0);
});
