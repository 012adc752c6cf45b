import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { BenchPage, copyOf, storedBuild } from './bench';

test('wiring by mouse and keyboard: a cable picked up, put on another card, held, undone', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'boathouse-rack', 'wires');
  const bench = new BenchPage(page);
  await page.goto(`/b/${id}/wiring`);
  const cable = (label: string) => page.locator(`[data-cable="${label}"]`);
  await expect(page.locator('[data-cable]')).toHaveCount(4);
  await cable('#2').click();
  await expect(page.getByRole('complementary', { name: 'Cable' })).toContainText('front bays connector 2');
  // Chosen it opens into its drives, each with its bay; the others stay shut.
  await expect(cable('#2')).toContainText('front bays 5');
  await expect(cable('#2')).toContainText('front bays 8');
  await expect(cable('#1')).toContainText('4 drives');
  await page.getByRole('button', { name: 'Pick up its port end' }).click();
  // Esc puts it back and keeps the cable chosen.
  await page.keyboard.press('Escape');
  await expect(page.locator('[data-picking]')).toHaveCount(0);
  await page.getByRole('button', { name: 'Pick up its port end' }).click();
  await page.locator('[data-port]').filter({ hasText: '1' }).last().click();
  await expect(bench.changeLine).toContainText('to Tern 8i');
  await expect(page.locator('[data-cable]', { hasText: 'put' })).toHaveCount(1);
  await bench.settled();
  const put = (await storedBuild(request, id)).layout.wires.filter(({ how }) => how === 'put');
  expect(put).toHaveLength(1);
  expect(put[0]!.device[0]).toMatchObject({ key: 'front-feed', n: 2 });

  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-cable]', { hasText: 'put' })).toHaveCount(0);
  // By keyboard alone: to a ribbon, choose, hold.
  await cable('#1').focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Hold', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(cable('#1')).toContainText('held');
  await page.getByRole('button', { name: 'Release' }).press('Enter');
  await expect(cable('#1')).not.toContainText('held');

  // Its other end: what stood on the two ports changes places.
  const ports = async () =>
    (await storedBuild(request, id)).layout.wires.map(({ host, device }) => `${host[0]!.n}-${device[0]!.n}`).sort();
  await bench.settled();
  const before = await ports();
  await page.getByRole('button', { name: 'Pick up its bay end' }).click();
  await page
    .locator('[data-picking]')
    .getByRole('button', { name: /connector 3/ })
    .click();
  await expect(page.locator('[data-cable]', { hasText: 'put' })).toHaveCount(1);
  await bench.settled();
  expect(before).toEqual(['1-1', '2-2', '3-3', '4-4']);
  expect(await ports()).toEqual(['1-3', '2-2', '3-1', '4-4']);
});

test('a drive in a socket has a row of its own and is chosen in every view', async ({ page }) => {
  await page.goto('/b/weighbridge/wiring');
  const module = page.locator('[data-module]');
  await expect(module).toHaveCount(1);
  await module.focus();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/sel=u\d+%2Fm2a/);
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(page.locator('.stop.chosen[data-stop$="/m2a"]').first()).toBeVisible();
});

test('what is chosen in the wiring is chosen on the bench; the schedule is saved as a table', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'hall-cupboard', 'schedule');
  await page.goto(`/b/${id}/wiring`);
  await expect(page.locator('[data-loose]')).toContainText('switched off by Reed 250 GB M.2 SATA');
  await expect(page.locator('[data-loose]')).toContainText('no port left for roof bays');
  await page.locator('[data-cable="#1"]').click();
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(page).toHaveURL(/sel=u2%2Froof/);
  await page.goBack();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as CSV' }).click(),
  ]);
  const text = readFileSync(await download.path(), 'utf8');
  expect(text.split('\r\n')[0]).toBe('label,from,to,drives,cable,direction,length,source,how');
  expect(text).toContain('#1,');
});

test('power plugs: each on its cable with its current; one moved, held, released and undone', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'weighbridge', 'plugs');
  const bench = new BenchPage(page);
  await page.goto(`/b/${id}/wiring`);
  const cable = (label: string) => page.locator(`[data-power-cable="${label}"]`);
  await expect(cable('P3')).toContainText('SATA power 1 of 2');
  await expect(cable('P3').locator('[data-plug]')).toHaveText(['H1', 'H2', 'H3', 'H4']);
  await expect(cable('P3')).toContainText('6.4 of 8 A on 12 V at the start');
  // The other half is out of the way when only one is asked for.
  await page.getByRole('button', { name: 'Power', exact: true }).click();
  await expect(page.locator('[data-cable]')).toHaveCount(0);

  await cable('P3').locator('[data-plug="H4"]').focus();
  await page.keyboard.press('Enter');
  const pane = page.getByRole('complementary', { name: 'Cable' });
  await expect(pane).toContainText('Barge 8 TB');
  await pane.getByRole('button', { name: /^SATA power 2 of 2/ }).click();
  await expect(bench.changeLine).toContainText('H4 to SATA power 2 of 2');
  await expect(cable('P4').locator('[data-plug]')).toHaveText([/^H4\s*put$/]);
  await expect(cable('P3').locator('[data-plug]')).toHaveText(['H1', 'H2', 'H3']);
  await pane.getByRole('button', { name: 'Hold' }).click();
  await expect(cable('P4').locator('[data-plug]')).toHaveText([/^H4\s*held$/]);
  await bench.settled();
  expect((await storedBuild(request, id)).layout.plugs).toContainEqual(
    expect.objectContaining({ how: 'held', host: [expect.objectContaining({ key: 'sata', n: 2 })] }),
  );
  await page.reload();
  await expect(cable('P4').locator('[data-plug]')).toHaveText([/^H4\s*held$/]);
  await pane.getByRole('button', { name: 'Release' }).click();
  await expect(cable('P3').locator('[data-plug]')).toHaveCount(4);
  await page.keyboard.press('Control+z');
  await expect(cable('P4').locator('[data-plug]')).toHaveText([/^H4\s*held$/]);

  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save plugs as CSV' }).click();
  const lines = readFileSync(await (await saved).path(), 'utf8').split('\r\n');
  expect(lines[0]).toBe('label,from,plug,to,mark,12 V / 5 V at the start,12 V / 5 V at work,how');
  expect(
    lines.some((line) => line.startsWith('P4,"Ember 550 ATX, SATA power 2 of 2","1, SATA power",Barge 8 TB,H4')),
  ).toBe(true);
});
