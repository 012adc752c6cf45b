import { expect, test } from '@playwright/test';
import { BenchPage, copyOf, storedBuild } from './bench';

test('a line of the kit is edited where it stands: how many, price, condition, role; what cannot be read is said', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'boathouse-rack', 'line');
  const bench = await new BenchPage(page).open(id, '?sel=u2/front.3&pane=sheet');
  await page.getByRole('button', { name: '+ one Barge 12 TB' }).click();
  await expect(bench.kit('barge-12')).toContainText('17 × Barge 12 TB');
  const many = page.getByLabel('How many Barge 12 TB');
  await many.fill('20');
  await many.press('Enter');
  await expect(bench.kit('barge-12')).toContainText('20 × Barge 12 TB');
  const price = page.getByLabel('Price of Barge 12 TB', { exact: true });
  await price.fill('2,500');
  await price.press('Enter');
  await expect(page.getByRole('alert')).toContainText('“2,500” can be 2500 or 2.5');
  await expect(bench.kit('barge-12')).toContainText('4 280');
  await price.fill('200 €');
  await price.press('Enter');
  await expect(bench.kit('barge-12')).toContainText('4 000');
  await page.getByLabel('Condition of Barge 12 TB').selectOption('good');
  await page.getByLabel('It is for').selectOption('spare');
  await page.getByRole('button', { name: 'The same for all 20' }).click();
  await bench.settled();
  await page.reload();
  await expect(bench.kit('barge-12')).toContainText('20 × Barge 12 TB');
  await expect(page.getByLabel('It is for')).toHaveValue('spare');
  await expect(page.getByLabel('Condition of Barge 12 TB')).toHaveValue('good');
  await request.delete(`/api/builds/${id}`, { headers: { 'if-match': '*' } });
});

test('a row clicked twice is put once, and rows with a blocker are counted apart', async ({ page, request }) => {
  const id = await copyOf(request, 'hall-cupboard', 'twice');
  const bench = await new BenchPage(page).open(id, '?sel=u2/cage.1&pane=try');
  await expect(page.getByTestId('try-count')).toContainText(/\d+ fits?, (\d+ with a blocker, )?\d+ do(es)? not/);
  await bench.tryRow('barge-8').dblclick();
  await expect(bench.kit('barge-8')).toContainText('Barge 8 TB');
  await bench.settled();
  const { items } = await storedBuild(request, id);
  expect(items.filter(({ sheet }) => sheet === 'barge-8').flatMap(({ units }) => units)).toHaveLength(1);
  await request.delete(`/api/builds/${id}`, { headers: { 'if-match': '*' } });
});

test('the kit folds away, stays so, and the machine is drawn larger', async ({ page }) => {
  const bench = await new BenchPage(page).open('hall-cupboard');
  const width = async () => (await page.locator('[data-view="plan"]').boundingBox())!.width;
  const before = await width();
  await page.getByRole('button', { name: 'Kit', exact: true }).click();
  await expect(bench.kit('larder-8')).toBeHidden();
  await expect.poll(width).toBeGreaterThan(before);
  await page.reload();
  await expect(bench.status).not.toHaveText('…');
  await expect(bench.kit('larder-8')).toBeHidden();
  await page.getByRole('button', { name: 'Kit', exact: true }).click();
  await expect(bench.kit('larder-8')).toBeVisible();
});

test('the verdict leads to what was found', async ({ page }) => {
  const bench = await new BenchPage(page).open('hall-cupboard', '?pane=sheet');
  await bench.status.click();
  await expect(bench.snag('fits.coolerHeight')).toBeVisible();
});

test('parts are found by what they are, not by their names alone', async ({ page }) => {
  const bench = await new BenchPage(page).open('reading-room', '?sel=floor/chassis&pane=try');
  await page.getByLabel('Search parts').fill('4u hot swap');
  await expect(bench.tryRow('gable-24')).toBeVisible();
  await expect(bench.tryRow('larder-8')).toHaveCount(0);
  await page.getByLabel('Search parts').fill('cube mini-itx');
  await expect(bench.tryRow('larder-8')).toBeVisible();
  await expect(bench.tryRow('gable-24')).toHaveCount(0);
});

for (const path of [
  '/',
  '/parts',
  '/parts/stock',
  '/parts/files',
  '/b/hall-cupboard',
  '/b/hall-cupboard/wiring',
  '/b/hall-cupboard/power',
  '/b/hall-cupboard/air',
  '/b/hall-cupboard/pool',
  '/b/hall-cupboard/bill',
  '/b/hall-cupboard/brief',
  '/compare?b=hall-cupboard,school-shelf',
  '/parts/own?from=rack-4u-24&class=1',
  '/parts/paste',
])
  test(`${path}: the page is as high as its window, to the end of whatever scrolls in it`, async ({ page }) => {
    await page.setViewportSize({ width: 1280, height: 640 });
    await page.goto(path);
    await expect(page.locator('main').first()).toBeVisible();
    await page.waitForLoadState('networkidle');
    const height = await page.evaluate(() => {
      for (const one of document.querySelectorAll('*')) one.scrollTop = 1e6;
      return [document.documentElement.scrollHeight, document.documentElement.scrollTop];
    });
    expect(height).toEqual([640, 0]);
  });

test('every view of a machine prints with its name, standing, revision and date, without what acts', async ({
  page,
}) => {
  const bench = await new BenchPage(page).open('boathouse-rack');
  const verdict = await bench.status.innerText();
  for (const [path, title] of [
    ['', 'bench'],
    ['/wiring', 'wiring'],
    ['/power', 'power'],
    ['/air', 'air'],
    ['/pool', 'pool'],
    ['/bill', 'bill'],
    ['/brief', 'brief'],
  ] as const) {
    await bench.open('boathouse-rack', path);
    await page.emulateMedia({ media: 'print' });
    const head = page.locator('header.print-only');
    await expect(head).toContainText(`Boathouse rack, ${title}`);
    await expect(head).toContainText(verdict);
    await expect(head).toContainText(/Revision \w{8}, printed \d{4}-\d{2}-\d{2}/);
    await expect(page.getByRole('button', { name: 'Undo' })).toBeHidden();
    await page.emulateMedia({ media: 'screen' });
    await expect(head).toBeHidden();
  }
  // On the bench: the drawing, every snag and the whole kit, on paper of either size.
  await bench.open('boathouse-rack');
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('svg.drawing [data-view="plan"]')).toBeVisible();
  await expect(page.locator('.print-only').getByText('Tern 8i carries no drive')).toBeVisible();
  await expect(page.locator('.print-only').getByText('Brazier 800 1+1', { exact: true })).toBeVisible();
  for (const format of ['A4', 'Letter'])
    expect((await page.pdf({ format, preferCSSPageSize: false })).byteLength).toBeGreaterThan(10_000);

  // What is on paper only is made when the browser is about to print, whatever was on the screen.
  await page.emulateMedia({ media: 'screen' });
  await expect(page.locator('.print-only')).toHaveCount(0);
  await page.evaluate(
    'addEventListener("beforeprint", () => { window.printed = ' +
      '[...document.querySelectorAll(".print-only")].map((one) => one.textContent).join(" "); })',
  );
  await page.pdf({ format: 'A4' });
  expect(await page.evaluate('window.printed')).toMatch(/Boathouse rack, bench.*Tern 8i carries no drive/s);
  await expect(page.locator('.print-only')).toHaveCount(0);
});

test('with the colours of the reader what is chosen and the open tab still show', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  const bench = await new BenchPage(page).open('boathouse-rack', '?sel=u2/front.3&pane=sheet');
  const looks = (selector: string, name: string) =>
    page
      .locator(selector)
      .first()
      .evaluate((node, property) => getComputedStyle(node).getPropertyValue(property), name);
  await expect(bench.place('front', 'u2/front.3')).toHaveClass(/chosen/);
  const [chosen, other] = [
    await looks('[data-view="front"] [data-stop="u2/front.3"] rect', 'stroke'),
    await looks('[data-view="front"] [data-stop="u2/front.5"] rect', 'stroke'),
  ];
  expect(chosen).not.toBe(other);
  expect(await looks('[role="tab"][aria-selected="true"]', 'border-bottom-width')).toBe('3px');
  expect(await looks('[role="tab"][aria-selected="false"]', 'border-bottom-width')).not.toBe('3px');
});

test('at least twelve parts stand in Try at once, whatever is asked above them', async ({ page }) => {
  await new BenchPage(page).open('hall-cupboard', '?sel=u2/cage.1&pane=try');
  await expect(page.getByTestId('try-count')).toContainText('fit');
  await expect(page.getByRole('button', { name: 'All 8 free' })).toBeVisible();
  const rows = await page
    .locator('[data-try]')
    .evaluateAll((all) => all.map((one) => one.getBoundingClientRect().bottom));
  expect(rows.filter((bottom) => bottom <= 800).length).toBeGreaterThanOrEqual(12);
});

test('rows of Try keep their places under the pointer while others are weighed; what is clicked is what is put', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'boathouse-rack', 'rows');
  const bench = await new BenchPage(page).open(id);
  await page.getByRole('button', { name: /^Add any part/ }).click();
  const rows = page.locator('[data-try]');
  await expect.poll(() => rows.count()).toBeGreaterThan(8);
  await rows.nth(4).hover();
  await page.mouse.move(1, 1);
  await rows.nth(5).hover();
  const seen = await rows.evaluateAll((all) => all.slice(0, 8).map((row) => row.getAttribute('data-try')));
  await expect(page.getByTestId('try-count')).toContainText('fit');
  const after = () => rows.evaluateAll((all) => all.slice(0, 8).map((row) => row.getAttribute('data-try')));
  expect(await after()).toEqual(seen);
  await rows.nth(5).click();
  await expect(bench.kit(seen[5]!)).toBeVisible();
});

test('the numbers of a part that are worth measuring come first by what they move', async ({ page }) => {
  await new BenchPage(page).open('hall-cupboard', '?sel=u4&pane=sheet');
  await page.getByRole('button', { name: 'What is worth measuring' }).click();
  const first = page.getByTestId('movers').getByRole('listitem').first();
  await expect(first).toContainText(
    /^idle 8\.5 W, .*moves “Idle at the wall” from .* % of all that is not known of it$/,
  );
});

test('how warm parts get is shown in the drawing on call, and stays in the address', async ({ page }) => {
  const bench = await new BenchPage(page).open('boathouse-rack');
  const marks = page.locator('[data-warm-marks]');
  await expect(marks).toHaveCount(0);
  await page.getByRole('button', { name: 'Warmth' }).click();
  await expect(marks.getByText(/^\d+°$/).first()).toBeVisible();
  // Sixteen drives in the front view alone, each with its number.
  expect(await marks.getByText(/^\d+°$/).count()).toBeGreaterThan(16);
  await expect(page).toHaveURL(/warm=1/);
  await page.reload();
  await expect(marks.getByText(/^\d+°$/).first()).toBeVisible();
  await page.getByRole('button', { name: /^Warmth/ }).click();
  await expect(marks).toHaveCount(0);
  await expect(bench.status).toBeVisible();
});
