import { expect, test } from '@playwright/test';
import { BenchPage, copyOf, storedBuild } from './bench';

test('a change to the chassis is shown before it is made, cures the card, and is taken back', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'sound-desk', 'changes');
  const bench = await new BenchPage(page).open(id);
  await expect(bench.snag('fits.cardLength')).toContainText('32 mm too long: 312 mm, room for 280 mm to the fan wall');
  await page.getByRole('button', { name: 'Plan', exact: true }).click();
  await expect(page.locator('[data-clearance]')).toContainText('32 mm over: the fan wall');
  await bench.kit('byre-15s').click();
  const wall = page.locator('label', { hasText: 'Take out the fan wall' });
  await expect(wall).toContainText('3 fans fewer: they cooled drives and cards');
  await wall.hover();
  await expect(page.locator('[data-view="plan"] .gone')).toHaveCount(3);
  // It is ticked once the change is made, not by the press itself.
  await wall.getByRole('checkbox').click();
  await expect(page.locator('[data-clearance]')).toHaveCount(0);
  await expect(bench.status).toHaveText(/^Clear/);
  await bench.settled();
  expect((await storedBuild(request, id)).changes).toHaveLength(1);
  await page.keyboard.press('Control+z');
  await expect(bench.status).toHaveText(/blocker/);
});

test('for a part that does not go it is asked what would let it in', async ({ page, request }) => {
  const bench = await new BenchPage(page).open(await copyOf(request, 'hall-cupboard', 'whynot'));
  await bench.place('front', 'u2/cage.1').click();
  await expect(page.getByTestId('try-count')).toContainText('fit');
  await page.locator('summary', { hasText: 'not fit here' }).click();
  const row = page.locator('li', { hasText: 'Wels 1.92 TB U.2' }).first();
  await row.getByRole('button', { name: 'What would let it in' }).click();
  await expect(row.locator('[data-ways]')).toContainText(/instead of|Add|No one change/);
});

test('another machine’s drives: how many find a bay and a port, and what helps', async ({ page, request }) => {
  await new BenchPage(page).open(await copyOf(request, 'hall-cupboard', 'host'));
  await page.getByText('Could it take another machine’s drives?').click();
  await page.locator('[data-host="school-shelf"]').click();
  await expect(page.locator('[data-hosting]')).toContainText('Of 4 drives of School shelf 4 find a bay, 0 a port.');
  await expect(
    page.locator('[data-hosting] p', { hasText: 'Then there is no room for more like them.' }),
  ).toBeInViewport();
  // A way brings the drives with it, in one edit that one undo takes back.
  const way = page.locator('[data-hosting] [data-remedy]', { hasText: /^Add .*, and bring them in/ }).first();
  await way.click();
  await expect(page.getByTestId('change-line')).toContainText('bring them in: School shelf');
  await expect(page.locator('[data-kit]', { hasText: '4 × ' }).filter({ hasText: 'owned' }).last()).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('change-line')).toContainText('Undone');
});
