import { expect, test } from '@playwright/test';
import { BenchPage, copyOf, storedBuild } from './bench';

test('J1 floor → hall cupboard → bay → try → put eight → figures change, one undo takes them back', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'hall-cupboard', 'j1');
  await page.goto('/');
  await page.getByRole('link', { name: 'Open Hall cupboard, j1' }).click();
  const bench = new BenchPage(page);
  await expect(bench.status).toHaveText(/blocker/);
  const before = await bench.tapes();
  expect(before).toMatchObject({ 'drives.room': '0 more', 'capacity.usableTb': '1.9' });

  await bench.place('front', 'u2/cage.3').click();
  await expect(page.getByTestId('try-count')).toContainText('fit');
  await bench.tryRow('barge-8').hover();
  await expect(page.locator('[data-view="front"] .ghost')).toHaveCount(1);
  await expect(page.getByTestId('trying')).toHaveText('Barge 8 TB in');
  await page.getByRole('button', { name: 'All 8 free' }).click();
  await expect(page.getByTestId('try-count')).toContainText('fit');
  await expect(bench.tryRow('barge-8')).toContainText('8 × Barge 8 TB');
  await bench.tryRow('barge-8').click();

  await expect(bench.changeLine).toContainText('8 × Barge 8 TB');
  await expect.poll(() => bench.tapes()).toMatchObject({ 'capacity.usableTb': '49.9', 'drives.room': '0 more' });
  const after = await bench.tapes();
  for (const id of ['power.idleWallW', 'power.peakWallW', 'sound.earIdleDb', 'cost.now'])
    expect(Number(after[id]!.replace(/\D/g, ''))).toBeGreaterThan(Number(before[id]!.replace(/\D/g, '')));
  await expect(page.locator('[data-view="front"] .solid.drive')).toHaveCount(8);
  await expect(bench.kit('barge-8')).toContainText('8 × Barge 8 TB');
  await bench.settled();
  expect(
    Object.values((await storedBuild(request, id)).layout.at).filter((seat) => seat.spot.key === 'cage'),
  ).toHaveLength(8);

  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect.poll(() => bench.tapes()).toEqual(before);
  await expect(bench.kit('barge-8')).toHaveCount(0);
});

test('J2 a blocker cured by a remedy, undone, redone', async ({ page, request }) => {
  const bench = await new BenchPage(page).open(await copyOf(request, 'hall-cupboard', 'j2'));
  await expect(bench.snag('reaches.portsShort')).toContainText(
    '4 drives in bays, 2 ports that can reach them. Reed 250 GB M.2 SATA switches off 2 ports.',
  );
  await bench.snag('reaches.portsShort').getByRole('button').first().click();
  const remedy = bench
    .snag('reaches.portsShort')
    .locator('[data-remedy]', { hasText: 'Take Stickle 250 GB NVMe instead' });
  await expect(remedy).toBeVisible();
  await remedy.hover();
  await expect(page.getByTestId('trying')).toHaveText('Stickle 250 GB NVMe in, Reed 250 GB M.2 SATA out');
  await remedy.click();
  await expect(bench.snag('reaches.portsShort')).toHaveCount(0);
  await expect(bench.kit('stickle-250')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(bench.snag('reaches.portsShort')).toBeVisible();
  await expect(bench.kit('reed-250')).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(bench.snag('reaches.portsShort')).toHaveCount(0);
  await bench.settled();
  // The other blocker too, and the machine is sound.
  await bench.snag('fits.coolerHeight').locator('[data-remedy]', { hasText: 'Take Fell 47' }).click();
  await expect(bench.status).toHaveText(/^Clear/);
});

test('J3 reload and a second browser show the same build and the same wiring', async ({ page, request, browser }) => {
  const id = await copyOf(request, 'boathouse-rack', 'j3');
  const bench = await new BenchPage(page).open(id);
  await bench.place('front', 'u2/front.20').click();
  await expect(page.getByTestId('try-count')).toContainText('fit');
  await bench.tryRow('barge-12').click();
  await expect(bench.kit('barge-12')).toContainText('17 × Barge 12 TB');
  await bench.settled();
  const tapes = await bench.tapes();
  const stored = await storedBuild(request, id);
  expect(stored.layout.wires).toHaveLength(5);

  await page.reload();
  await expect(bench.status).toHaveText(/^Clear/);
  expect(await bench.tapes()).toEqual(tapes);
  const other = await browser.newContext();
  const second = await new BenchPage(await other.newPage()).open(id);
  expect(await second.tapes()).toEqual(tapes);
  await expect(second.place('front', 'u2/front.20')).toHaveAttribute('aria-label', /Barge 12 TB \(J17\)/);
  await second.place('front', 'u2/front.20').click();
  await expect(second.page.getByText(/Cable from Tern (16i|8i) [A-Z]\d+, four-lane port \d/)).toBeVisible();
  expect((await storedBuild(request, id)).layout).toEqual(stored.layout);
  await other.close();
});

test('J4 a new build from nothing to no blockers, by keyboard only', async ({ page }) => {
  await page.goto('/');
  const press = async (...keys: string[]) => {
    for (const key of keys) await page.keyboard.press(key);
  };
  const focused = () =>
    page.evaluate(() =>
      document.activeElement === document.body
        ? ''
        : (document.activeElement?.getAttribute('data-stop') ??
          document.activeElement?.getAttribute('aria-label') ??
          document.activeElement?.textContent ??
          ''),
    );
  const tabTo = async (wanted: string | RegExp) => {
    for (let i = 0; i < 40; i++) {
      if ((await focused()).match(wanted)) return;
      await press('Tab');
    }
    throw new Error(`Tab never reached ${String(wanted)}; it is at ${await focused()}`);
  };
  await tabTo('New machine');
  await press('Enter');
  const bench = new BenchPage(page);
  await expect(page.getByLabel('Name of the machine')).toBeFocused();
  await page.keyboard.type('Reed bed');
  await press('Enter');
  await expect.poll(focused).toBe('floor/chassis');

  /** Walk to a place, open what fits there, search one, take it. */
  const choose = async (spot: string, search: string, sheet: string, count = 1) => {
    for (let i = 0; i < 24 && (await focused()) !== spot; i++) {
      const step = await page.evaluate((wanted) => {
        const at = (id: string | null) =>
          [...document.querySelectorAll('.drawing [data-stop]')]
            .find((node) => node.getAttribute('data-stop') === id)
            ?.querySelector('rect')
            ?.getBoundingClientRect();
        const all = [...document.querySelectorAll('.drawing [data-stop]')].map((node) =>
          node.getAttribute('data-stop'),
        );
        return { known: all.includes(wanted), here: !!at(document.activeElement?.getAttribute('data-stop') ?? null) };
      }, spot);
      expect(step.known, `${spot} is in the drawing`).toBe(true);
      await press(i % 12 === 11 ? 'ArrowRight' : 'PageDown');
    }
    expect(await focused()).toBe(spot);
    await press('Enter');
    await expect(page.getByLabel('Search parts')).toBeFocused();
    await page.keyboard.type(search);
    await expect(bench.tryRow(sheet)).toBeVisible();
    await expect(page.getByTestId('try-count')).toContainText('not');
    if (count > 1) {
      await tabTo('How many');
      await press('Control+a');
      await page.keyboard.type(String(count));
      await expect(bench.tryRow(sheet)).toContainText(`${count} ×`);
      await expect(page.getByTestId('try-count')).toContainText('not');
      await page.getByLabel('How many').press('ArrowDown');
    } else await press('ArrowDown');
    for (
      let i = 0;
      i < 12 && !(await page.evaluate((wanted) => document.activeElement?.getAttribute('data-try') === wanted, sheet));
      i++
    )
      await press('ArrowDown');
    await press('Enter');
    await expect(bench.kit(sheet)).toBeVisible();
    await expect.poll(() => page.evaluate(() => document.activeElement?.hasAttribute('data-stop'))).toBe(true);
  };
  await choose('floor/chassis', 'larder', 'larder-8');
  await choose('u2/tray', 'wren c8', 'wren-c8');
  await choose('u4/socket', 'drover 4', 'drover-4');
  await choose('u4/coolerMount', 'fell 47', 'fell-47');
  await choose('u4/memory.1', '16 gb ecc', 'clew-16e', 2);
  await choose('u2/supply', 'ember 450', 'ember-450s');
  await choose('u4/m2a', 'stickle 500', 'stickle-500');
  await choose('u2/cage.1', 'barge 8', 'barge-8', 4);
  await expect(bench.status).toHaveText(/^Clear/);
  await expect(page.getByLabel('Name of the machine')).toHaveValue('Reed bed');
  await bench.settled();
});

test('an edit made while the server is away is kept here and saved when it is back', async ({ page, request }) => {
  const id = await copyOf(request, 'hall-cupboard', 'away');
  const bench = await new BenchPage(page).open(id);
  await page.route('**/api/builds/**', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  );
  await page.getByLabel('Name of the machine').fill('Kept name');
  await page.getByLabel('Name of the machine').press('Enter');
  await expect(bench.saved).toHaveText('Saved in this browser only');
  await page.unroute('**/api/builds/**');
  await page.reload();
  await expect(page.getByLabel('Name of the machine')).toHaveValue('Kept name');
  await bench.settled();
  expect((await storedBuild(request, id)).name).toBe('Kept name');
});

test('an edit made just before leaving the bench is on the server, and the floor shows it', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'hall-cupboard', 'leave');
  // The list of machines is read before the save arrives.
  const listed = page.waitForResponse((answer) => answer.url().includes('/api/builds?'));
  await page.route(`**/api/builds/${id}`, async (route) => {
    if (route.request().method() === 'PUT') await listed;
    await route.continue();
  });
  await new BenchPage(page).open(id);
  await page.getByLabel('Name of the machine').fill('Left at once');
  await page.getByLabel('Name of the machine').press('Enter');
  await page.getByRole('link', { name: 'Inch Tower, your machines' }).click();
  await expect(page.getByRole('link', { name: 'Open Left at once' })).toBeVisible();
  expect((await storedBuild(request, id)).name).toBe('Left at once');
});

test('a build saved elsewhere meanwhile is never overwritten: join puts mine on top', async ({ page, request }) => {
  const id = await copyOf(request, 'hall-cupboard', 'stale');
  const bench = await new BenchPage(page).open(id);
  const now = await request.get(`/api/builds/${id}`);
  const theirs = { ...((await now.json()) as object), notes: 'Theirs' };
  expect(
    (await request.put(`/api/builds/${id}`, { data: theirs, headers: { 'if-match': now.headers().etag! } })).status(),
  ).toBe(200);
  await page.getByLabel('Name of the machine').fill('Mine');
  await page.getByLabel('Name of the machine').press('Enter');
  await expect(bench.saved).toHaveText('Changed elsewhere');
  expect((await storedBuild(request, id)).name).not.toBe('Mine');
  await page.getByRole('button', { name: 'Put my changes on theirs' }).click();
  await bench.settled();
  expect(await storedBuild(request, id)).toMatchObject({ name: 'Mine', notes: 'Theirs' });
});

test('a place can be linked to, and back and forward walk the selection', async ({ page }) => {
  const bench = await new BenchPage(page).open('boathouse-rack', '?sel=u2/front.20&pane=try&view=front');
  await expect(page.getByText('For Front bays 20')).toBeVisible();
  await expect(bench.place('front', 'u2/front.20')).toHaveAttribute('aria-pressed', 'true');
  await bench.place('front', 'u2/front.2').click();
  await expect(page.getByRole('heading', { name: /Barge 12 TB/ })).toBeVisible();
  await page.goBack();
  await expect(page.getByText('For Front bays 20')).toBeVisible();
  await page.goForward();
  await expect(page.getByRole('heading', { name: /Barge 12 TB/ })).toBeVisible();
});

test('a held drive stays put, a moved one goes where a lit place is chosen', async ({ page, request }) => {
  const id = await copyOf(request, 'boathouse-rack', 'move');
  const bench = await new BenchPage(page).open(id);
  await bench.place('front', 'u2/front.1').click();
  await page.getByRole('button', { name: 'Move', exact: true }).click();
  await expect(page.locator('[data-view="front"] .lit')).toHaveCount(8);
  await bench.place('front', 'u2/front.24').click();
  await expect(bench.place('front', 'u2/front.24')).toHaveAttribute('aria-label', /Barge 12 TB \(J1\)/);
  await page.getByRole('button', { name: 'Hold', exact: true }).click();
  await expect(page.getByText('Front bays 24, held.')).toBeVisible();
  await bench.settled();
  expect(
    Object.values((await storedBuild(request, id)).layout.at)
      .filter((seat) => seat.how === 'held')
      .map((seat) => seat.spot.n),
  ).toEqual([24]);
});

test('selecting a drive lights up the card that feeds it', async ({ page }) => {
  const bench = await new BenchPage(page).open('boathouse-rack');
  await bench.place('front', 'u2/front.1').click();
  await expect(page.locator('[data-view="plan"] .lit').filter({ has: page.locator('.card') })).toHaveCount(1);
  await bench.kit('tern-16i').click();
  await expect(page.locator('[data-view="front"] .lit')).not.toHaveCount(0);
});

test('the working of a figure opens down to the sheets', async ({ page }) => {
  await new BenchPage(page).open('boathouse-rack');
  await page.getByRole('button', { name: /Idle at the wall: \d+ W/ }).click();
  const working = page.locator('[data-working="power.idleWallW"]');
  await expect(working).toContainText('through Brazier 800 1+1');
  await expect(working).toContainText('16 × Barge 12 TB');
  await working.getByText('16 × Barge 12 TB').click();
  await expect(working).toContainText('Barge 12 TB, idleW');
});
