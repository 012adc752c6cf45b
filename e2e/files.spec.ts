import { expect, test } from '@playwright/test';
import { storedBuild } from './bench';

const file = (name: string, text: string) => ({ name, mimeType: 'application/json', buffer: Buffer.from(text) });

test('a file that is no build is refused in words, and nothing is saved', async ({ page, request }) => {
  await page.goto('/');
  const before = ((await (await request.get('/api/builds')).json()) as { builds: unknown[] }).builds.length;
  const build = await storedBuild(request, 'hall-cupboard');
  const wrong: readonly (readonly [string, string, RegExp])[] = [
    ['notes.txt', 'just some notes', /notes\.txt was not taken in\. .*not JSON/],
    ['later.json', JSON.stringify({ ...build, format: 7 }), /format 7; Inch Tower reads format 1/],
    ['long.json', JSON.stringify({ ...build, name: 'n'.repeat(400) }), /400 characters; at most 200/],
    ['half.json', JSON.stringify(build).slice(0, 4000), /not JSON/],
    ['odd.json', JSON.stringify({ ...build, copies: 'many' }), /copies/],
    ['bare.json', JSON.stringify({ ...build, sheets: {} }), /does not carry/],
  ];
  for (const [name, text, words] of wrong) {
    await page.getByLabel('Build file').setInputFiles(file(name, text));
    await expect(page.getByRole('alert').filter({ hasText: name })).toContainText(words);
    await page.getByRole('button', { name: 'Close' }).click();
  }
  expect(((await (await request.get('/api/builds')).json()) as { builds: unknown[] }).builds).toHaveLength(before);
});

test('a build with a script in its names is taken in as text and runs nothing', async ({ page, request }) => {
  const build = await storedBuild(request, 'hall-cupboard');
  const evil = '<img src=x onerror="window.pwned=1"><script>window.pwned=1</script>';
  const sheets = Object.fromEntries(Object.entries(build.sheets).map(([id, sheet]) => [id, { ...sheet, name: evil }]));
  await page.goto('/');
  await page.getByLabel('Build file').setInputFiles(file('evil.json', JSON.stringify({ ...build, name: evil, notes: evil, sheets })));
  await expect(page).toHaveURL(/\/b\/b-/);
  await expect(page.getByLabel('Name of the machine')).toHaveValue(evil);
  await expect(page.getByTestId('status')).toHaveText('Blocked');
  await page.goto('/');
  await expect(page.getByText(evil).first()).toBeVisible();
  expect(await page.evaluate(() => (window as { pwned?: number }).pwned)).toBeUndefined();
});

test('a machine is duplicated, and taken down only after being asked', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Duplicate Reading room, not begun' }).click();
  await expect(page.getByLabel('Name of the machine')).toHaveValue('Reading room, not begun, copy');
  await page.goto('/');
  await page.getByRole('button', { name: 'Take down Reading room, not begun, copy' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('link', { name: 'Open Reading room, not begun, copy' })).toBeVisible();
  await page.getByRole('button', { name: 'Take down Reading room, not begun, copy' }).click();
  await page.getByRole('button', { name: 'Take it down' }).click();
  await expect(page.getByRole('link', { name: 'Open Reading room, not begun, copy' })).toHaveCount(0);
});

test('an address without a machine says so and leads back', async ({ page }) => {
  await page.goto('/b/nothing-here');
  await expect(page.getByRole('alert')).toContainText('There is no machine at this address');
  await page.getByRole('link', { name: 'Back to the floor' }).click();
  await expect(page.getByRole('heading', { name: 'Machines' })).toBeVisible();
});
