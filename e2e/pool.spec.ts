import { expect, test } from '@playwright/test';
import { BenchPage, copyOf, storedBuild } from './bench';

test('sets are proposed, kept, laid out anew, taken apart and put together again', async ({ page, request }) => {
  const id = await copyOf(request, 'boathouse-rack', 'pool');
  const bench = await new BenchPage(page).open(id);
  await page.getByRole('link', { name: 'Pool', exact: true }).click();
  const answer = page.getByTestId('store-answer');
  await expect(answer).toHaveText(
    'As proposed 144 TB usable (131 TiB); any 2 drives of a set may fail. 150 TB are wished.',
  );
  await page.getByRole('button', { name: 'Keep these sets' }).click();
  await expect(answer).toHaveText(/^144 TB usable/);
  await bench.settled();
  expect((await storedBuild(request, id)).pool.sets).toMatchObject([
    { id: 'set1', layout: 'parity2' },
    { id: 'set2', layout: 'parity2' },
  ]);
  // Another layout by one press: the tape and the snag follow.
  await page.getByRole('button', { name: 'Take triple parity, 16 drives' }).click();
  await expect(answer).toHaveText('156 TB usable (142 TiB); any 3 drives may fail.');
  await expect.poll(async () => (await bench.tapes())['capacity.usableTb']).toBe('156');
  // What takes the pool with it is said: one card feeds all drives.
  await expect(page.locator('[data-answer=breaks]')).toHaveText(/^Card G1, Tern 16i: 16 drives gone: set1 is down/);
  await page.getByRole('button', { name: 'What may break?' }).click();
  await expect(page.getByRole('row', { name: /^Card G1, Tern 16i/ })).toContainText('16 drives gone: set1 is down');
  // Struck out, it is crossed out in every view, and put back by one press.
  await page.getByRole('button', { name: 'Strike out Cable #1, front bays 1–4' }).click();
  const struck = page.getByTestId('struck');
  await expect(struck).toHaveText(/^Struck out: Cable #1, front bays 1–4\. 4 drives gone: set1 is down/);
  await expect(page.locator('.struck')).toHaveCount(4);
  await struck.getByRole('link', { name: 'In the wiring' }).click();
  await expect(page.locator('.struck')).toHaveCount(1);
  await struck.getByRole('link', { name: 'In the drawing' }).click();
  await expect(page.locator('[data-view=front] ~ .struck')).not.toHaveCount(0);
  await struck.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.locator('.struck')).toHaveCount(0);
  await page.getByRole('link', { name: 'Pool', exact: true }).click();
  // How fast it is hangs on what it is plugged into.
  const fast = page.locator('[data-answer=flow]');
  await expect(fast).toHaveText(
    'One client reads 1,124 MB/s and writes 1,124 MB/s. The 10 Gb/s network holds it back.',
  );
  await page.getByRole('button', { name: 'How fast is it?' }).click();
  await page.getByLabel('Plugged into a switch of').selectOption('2.5');
  await expect(fast).toHaveText('One client reads 281 MB/s and writes 281 MB/s. The 2.5 Gb/s network holds it back.');
  await expect(page.getByText(/^The disks could give 12 times as much/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  // What the software allows stays beside the sets, whatever is done to them.
  await page.getByLabel('takes at most').fill('twelve');
  await page.getByLabel('takes at most').press('Enter');
  await expect(page.getByRole('alert')).toContainText('what was there is kept');
  await page.getByLabel('takes at most').fill('12');
  await page.getByLabel('takes at most').press('Enter');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await bench.settled();
  expect((await storedBuild(request, id)).pool).toMatchObject({ software: { mostDrives: 12 } });
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await page.getByRole('button', { name: 'Take apart' }).click();
  await expect(answer).toHaveText(/^As proposed 144 TB/);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(answer).toHaveText(/^156 TB usable/);
  // One drive out and into a set of its own is refused with a word; back into the set it goes.
  await page.getByText('Its drives and records').click();
  await page.getByRole('button', { name: 'Take J1 out of set1' }).click();
  await expect(page.getByRole('heading', { name: 'In no set: 1 drive' })).toBeVisible();
  await expect(page.getByText('from 2 drives on')).toBeVisible();
  await page.getByLabel('Put them into').selectOption('set1');
  await page.getByRole('button', { name: 'Put in 1' }).click();
  await expect(answer).toHaveText(/^156 TB usable/);
});

test('few large drives against many small ones: a row is taken, and the machine follows', async ({ page, request }) => {
  const id = await copyOf(request, 'boathouse-rack', 'sizes');
  const bench = await new BenchPage(page).open(id);
  await page.getByRole('link', { name: 'Pool', exact: true }).click();
  await page.getByRole('button', { name: 'How many drives, of what size?' }).click();
  const row = page.locator('[data-size="20"]');
  await expect(row).toContainText('10 × Barge 20 TB');
  await expect(page.getByText('least over five years')).toHaveCount(1);
  await page.getByRole('button', { name: 'Take 10 × Barge 20 TB' }).click();
  await expect(page.getByTestId('store-answer')).toHaveText(/^As proposed 160 TB usable/);
  await bench.settled();
  expect(
    (await storedBuild(request, id)).items.flatMap(({ sheet, units }) => (sheet === 'barge-20' ? units : [])),
  ).toHaveLength(10);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByTestId('store-answer')).toHaveText(/^As proposed 144 TB usable/);
});

test('the ribbons of the wiring show what is read and written, and say what holds it back', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'boathouse-rack', 'through');
  await new BenchPage(page).open(id);
  await page.getByRole('link', { name: 'Wiring', exact: true }).click();
  await page.getByRole('button', { name: 'Writing' }).click();
  await expect(page.getByTestId('through')).toHaveText(/^set1, set2: One client reads 1,124 MB\/s/);
  await expect(page).toHaveURL(/through=writing/);
  await page.getByRole('button', { name: 'Power', exact: true }).click();
  await expect(page.getByTestId('through')).toHaveCount(0);
});

test('a drive chosen in the drawing is put into another set, and taken out of it', async ({ page, request }) => {
  const id = await copyOf(request, 'boathouse-rack', 'pool-drawing');
  const bench = await new BenchPage(page).open(id, '?sel=u2/front.1&pane=sheet');
  await expect(page.getByText('Its set is only proposed')).toBeVisible();
  await page.getByRole('link', { name: 'keep it in Pool' }).click();
  await page.getByRole('button', { name: 'Keep these sets' }).click();
  await bench.settled();
  await page.goBack();
  const set = page.getByLabel('It is in');
  await expect(set).toHaveValue('set1');
  await set.selectOption('set2');
  await expect(bench.changeLine).toContainText('into set2');
  await bench.settled();
  const sizes = async () => (await storedBuild(request, id)).pool.sets.map(({ units }) => units.length);
  expect(await sizes()).toEqual([7, 9]);
  await set.selectOption({ label: 'no set' });
  await bench.settled();
  await expect.poll(sizes).toEqual([7, 8]);
});

test('drives added where sets are kept are offered to a set', async ({ page, request }) => {
  const id = await copyOf(request, 'boathouse-rack', 'pool-adding');
  const bench = await new BenchPage(page).open(id);
  await page.getByRole('link', { name: 'Pool', exact: true }).click();
  await page.getByRole('button', { name: 'Keep these sets' }).click();
  await bench.settled();
  await bench.open(id, '?sel=u2/front.17&pane=try');
  await bench.tryRow('barge-12').click();
  await bench.settled();
  const offer = page.getByLabel('Put 1 drive into a set');
  await expect(offer.locator('option')).toHaveText([
    'Put 1 drive into a set …',
    'set1, double parity, 9 drives then: +12 TB',
    'set2, double parity, 9 drives then: +12 TB',
  ]);
  await offer.selectOption({ index: 2 });
  await expect(bench.changeLine).toContainText('1 drive put into set2');
  await bench.settled();
  const sizes = async () => (await storedBuild(request, id)).pool.sets.map(({ units }) => units.length);
  await expect.poll(sizes).toEqual([8, 9]);
});
