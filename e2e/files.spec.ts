import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { BenchPage, storedBuild } from './bench';

const file = (name: string, text: string) => ({ name, mimeType: 'application/json', buffer: Buffer.from(text) });

test('a file that is no build is refused in words, and nothing is saved', async ({ page, request }) => {
  await page.goto('/');
  const before = ((await (await request.get('/api/builds')).json()) as { builds: unknown[] }).builds.length;
  const build = await storedBuild(request, 'hall-cupboard');
  const wrong: readonly (readonly [string, string, RegExp])[] = [
    ['notes.txt', 'just some notes', /notes\.txt was not imported\. .*not JSON/],
    [
      'later.json',
      JSON.stringify({ ...build, format: 7 }),
      /format 7, from a later Inch Tower\. Inch Tower reads formats 1 to 2/,
    ],
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
  await page
    .getByLabel('Build file')
    .setInputFiles(file('evil.json', JSON.stringify({ ...build, name: evil, notes: evil, sheets })));
  await expect(page).toHaveURL(/\/b\/b-/);
  await expect(page.getByLabel('Name of the machine')).toHaveValue(evil);
  await expect(page.getByTestId('status')).toHaveText(/blocker/);
  await page.goto('/');
  await expect(page.getByText(evil).first()).toBeVisible();
  expect(await page.evaluate(() => (window as { pwned?: number }).pwned)).toBeUndefined();
});

test('a machine is duplicated, and taken down only after being asked', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Duplicate Reading room, not begun' }).click();
  await expect(page.getByLabel('Name of the machine')).toHaveValue('Reading room, not begun, copy');
  await page.goto('/');
  await page.getByRole('button', { name: 'Delete Reading room, not begun, copy' }).click();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('link', { name: 'Open Reading room, not begun, copy' })).toBeVisible();
  await page.getByRole('button', { name: 'Delete Reading room, not begun, copy' }).click();
  await page.getByRole('button', { name: 'Delete it' }).click();
  await expect(page.getByRole('link', { name: 'Open Reading room, not begun, copy' })).toHaveCount(0);
});

test('an address without a machine says so and leads back', async ({ page }) => {
  await page.goto('/b/nothing-here');
  await expect(page.getByRole('alert')).toContainText('There is no machine at this address');
  await page.getByRole('link', { name: 'Back to your machines' }).click();
  await expect(page.getByRole('heading', { name: 'Machines' })).toBeVisible();
});

test('J5 given out and taken in again a build is deep-equal; the bill’s CSV sums to the money shown', async ({
  page,
  request,
}) => {
  const bench = await new BenchPage(page).open('field-kit');
  const give = async (name: string) => {
    await page.getByRole('button', { name: 'Export' }).click();
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('menuitem', { name }).click()]);
    return { name: download.suggestedFilename(), buffer: readFileSync(await download.path()) };
  };
  const file = await give('Build file, to open anywhere');
  const bill = await give('Bill as a table (CSV)');
  const drawing = await give('Drawing to scale (SVG)');
  const money = Number((await bench.tapes())['cost.now']!.replace(/\D/g, ''));
  const rows = bill.buffer
    .toString('utf8')
    .trim()
    .split('\r\n')
    .map((line) => line.split(/,(?=(?:[^"]*"[^"]*")*[^"]*$)/));
  const total = rows[0]!.indexOf('total');
  const sum = rows.slice(1, -1).reduce((all, row) => all + Number(row[total]), 0);
  expect([Math.round(sum), Number(rows.at(-1)![total])]).toEqual([money, sum]);
  expect(drawing.buffer.toString('utf8')).toMatch(/^<\?xml[\s\S]+<\/svg>\s*$/);

  await page.goto('/');
  await page
    .getByLabel('Build file')
    .setInputFiles({ name: file.name, mimeType: 'application/json', buffer: file.buffer });
  await expect(page).toHaveURL(/\/b\/b-/);
  const id = new URL(page.url()).pathname.split('/').at(-1)!;
  const [before, after] = [await storedBuild(request, 'field-kit'), await storedBuild(request, id)];
  expect({ ...after, id: before.id }).toEqual(before);
  await request.delete(`/api/builds/${id}`, { headers: { 'if-match': '*' } });
});
