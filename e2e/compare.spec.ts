import { expect, test } from '@playwright/test';

test('two machines side by side, a third added, one left out; what differs stands first', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  await page.getByLabel('Add a machine').selectOption({ label: 'School shelf' });
  await expect(page.getByText('Choose two to four of your machines')).toBeVisible();
  await page.getByLabel('Add a machine').selectOption({ label: 'Boathouse rack' });
  const beside = page.locator('[data-beside=boathouse-rack]');
  await expect(beside).toContainText('Better than School shelf: usable room +96 TB');
  // The sign and its sum are not parted at the end of a line.
  await expect(beside).toContainText('price now +\u2060€');
  const usable = page.locator('[data-row=usableTb]');
  await expect(usable).toContainText('144 TB');
  await expect(usable).toContainText('better');
  await page.getByLabel('Add a machine').selectOption({ label: 'Field kit' });
  await expect(page.locator('[data-beside=field-kit]')).toBeVisible();
  await expect(page).toHaveURL(/b=school-shelf%2Cboathouse-rack%2Cfield-kit/);
  await page.reload();
  await expect(page.locator('[data-row=idleW] td')).toHaveCount(4);
  await page.getByRole('button', { name: 'Leave out A' }).click();
  await expect(page.locator('[data-beside=field-kit]')).toContainText('Better than Boathouse rack');
});

test('each machine is held against the wishes of the first one’s brief', async ({ page }) => {
  await page.goto('/compare?b=boathouse-rack,school-shelf');
  const wishes = page.getByRole('region', { name: /^What the brief of Boathouse rack wishes/ });
  await expect(wishes.locator('[data-wish=usableTb] td')).toHaveText(['at least 150 TB', 'no', 'no']);
  await expect(wishes.locator('[data-wish=idleW] td').last()).toHaveText('yes');
  await expect(wishes.locator('[data-met=A]')).toContainText('not: room for data now');
});

test('two machines together are one column: their watts and their money add up', async ({ page }) => {
  await page.goto('/compare?b=boathouse-rack,school-shelf');
  const cell = (row: string) => page.locator(`[data-row=${row}] td`).nth(2);
  await expect(cell('idleW')).toContainText('W');
  const watts = async () => Number((await cell('idleW').innerText()).replace(/^\D*/, '').replace(/\D.*$/s, ''));
  const alone = await watts();
  await page.getByLabel('Together with B').selectOption({ label: 'Field kit' });
  await expect(page.locator('[data-beside="school-shelf+field-kit"]')).toContainText('School shelf and Field kit');
  await expect.poll(watts).toBeGreaterThan(alone + 20);
  await expect(page).toHaveURL(/b=boathouse-rack%2Cschool-shelf%2Bfield-kit/);
});
