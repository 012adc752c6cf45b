import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { BenchPage, copyOf } from './bench';

const row = (page: Page, name: string) => page.locator('[data-row]', { hasText: name });
const sample = (name: string) => readFileSync(`core/src/stock/samples/${name}`, 'utf8');

test('the catalogue is searched, a series opened, and a sheet read as a drawing with numbers', async ({ page }) => {
  await page.goto('/parts');
  await expect(page.getByTestId('found')).toContainText(/^2\d\d parts in/);
  await page.getByLabel('Search parts').fill('barge');
  await page.getByRole('button', { name: /^Drives/ }).click();
  await page.locator('[data-series="Barge"]').click();
  await page.locator('[data-part="barge-16"]').click();
  const sheet = page.getByRole('complementary', { name: 'Sheet' });
  await expect(sheet.getByRole('heading', { name: 'Barge 16 TB' })).toBeVisible();
  await expect(sheet.getByRole('img', { name: /Barge 16 TB to scale/ })).toBeVisible();
  await expect(sheet.getByRole('row', { name: /^idle 5.6 W/ })).toContainText('stated');
  await page.goBack();
  await expect(sheet.getByRole('heading', { name: 'Barge 16 TB' })).toHaveCount(0);
});

test('a sheet of one’s own: cloned, typed over, saved, changed, used in a machine, taken out', async ({ page }) => {
  await page.goto('/parts?part=barge-8');
  await page.getByRole('link', { name: 'Make one like it' }).click();
  const name = `Mine ${Date.now()}`;
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('idle', { exact: true }).fill('lots');
  await page.getByRole('button', { name: 'Save the sheet' }).click();
  await expect(page.getByRole('alert')).toContainText('idle “lots”');
  await page.getByLabel('idle', { exact: true }).fill('2,9');
  await page.getByRole('button', { name: 'Save the sheet' }).click();
  await expect(page.getByRole('heading', { name })).toBeVisible();
  await expect(page.getByRole('row', { name: /^idle 2.9 W/ })).toContainText('measured');
  await expect(page.getByRole('row', { name: /^capacity 8 TB/ })).toContainText('stated');
  await page.getByRole('link', { name: 'Change', exact: true }).click();
  await page.getByLabel('Price').fill('77');
  await page.getByRole('button', { name: 'Save the sheet' }).click();
  await expect(page.getByRole('complementary', { name: 'Sheet' })).toContainText('€ 77');
  const bench = await new BenchPage(page).open('boathouse-rack', '?sel=u2/front.17&pane=try&from=own');
  await expect(bench.page.locator('[data-try]', { hasText: name })).toBeVisible();
  await page.goto(`/parts?shelf=own&q=${encodeURIComponent(name)}`);
  await row(page, name).click();
  await page.getByRole('button', { name: 'Take out' }).click();
  await expect(page.getByTestId('found')).toContainText('0 parts');
});

test('parts that arrive late at a bench already open are tried without being asked for again', async ({ page }) => {
  const bench = new BenchPage(page);
  await bench.open('boathouse-rack', '?sel=u2/front.17&pane=try&from=own');
  let isHeld = false;
  let go = (): void => undefined;
  const gone = new Promise<void>((resolve) => (go = resolve));
  await page.route('**/api/parts', async (route) => {
    if (isHeld) await gone;
    await route.continue();
  });
  await page.getByRole('link', { name: 'Not in any list' }).click();
  await page.locator('[data-class="disk-35-air"]').click();
  const name = `Late ${Date.now()}`;
  await page.getByLabel('Name', { exact: true }).fill(name);
  isHeld = true;
  await page.getByRole('button', { name: 'Save the sheet' }).click();
  await expect(page.getByTestId('try-count')).toContainText('fit');
  await expect(page.locator('[data-try]', { hasText: name })).toHaveCount(0);
  go();
  await expect(page.locator('[data-try]', { hasText: name })).toBeVisible();
});

test('an unknown chassis takes its shape from typed dimensions while they are typed', async ({ page }) => {
  await page.goto('/parts/own?from=rack-4u-24&class=1');
  const drawing = page.getByRole('img', { name: /to scale/ });
  await expect(drawing).toHaveAttribute('aria-label', /430 mm by 660 mm/);
  await page.getByLabel('Depth in mm').fill('500');
  await expect(drawing).toHaveAttribute('aria-label', /430 mm by 500 mm/);
  await page.getByLabel('Height in mm').fill('88');
  await expect(page.getByText('12 bays, more do not fit the shell')).toBeVisible();
  await page.getByLabel('Front bays: columns').fill('2');
  await expect(page.getByText('6 bays, more do not fit the shell')).toBeVisible();
});

test('parts as CSV: bad rows are said line by line, good ones are taken in', async ({ page }) => {
  await page.goto('/parts/files');
  const stamp = Date.now();
  await page
    .getByLabel('Rows of parts')
    .fill(
      `name,kind,archetype,idleW,price,currency\nFrom a table ${stamp},drive,disk-25,1.1,30,EUR\nToo hungry,drive,disk-25,900,,\nNowhere,drive,no-such-class,,,`,
    );
  await expect(page.locator('[data-line="3"]')).toContainText('idle “900”');
  await expect(page.locator('[data-line="4"]')).toContainText('there is no archetype no-such-class');
  await page.getByRole('button', { name: 'Import 1 good row' }).click();
  await expect(row(page, `From a table ${stamp}`)).toBeVisible();
});

test('parts given out as JSON and CSV can be read back', async ({ page }) => {
  await page.goto('/parts/files');
  await page.getByLabel('Which').selectOption('catalogue');
  for (const name of ['As JSON, whole', 'As CSV']) {
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name }).click()]);
    await page.getByLabel('File of parts').setInputFiles({
      name: download.suggestedFilename(),
      mimeType: 'text/plain',
      buffer: readFileSync(await download.path()),
    });
    await expect(page.getByRole('status').filter({ hasText: 'good row' })).toContainText(
      /0 good rows, 0 bad ones, \d+ here already/,
    );
  }
});

test('an old machine in one paste becomes stock, and stock goes into a machine as owned', async ({ page, request }) => {
  await page.goto('/parts/stock');
  await page.getByRole('button', { name: 'Import an old machine' }).click();
  await page
    .getByLabel('Paste what it prints of itself')
    .fill([sample('block-devices.json'), sample('smart.json'), sample('dmi.txt'), sample('pci.txt')].join('\n'));
  await expect(page.getByText('11 of 11 to import')).toBeVisible();
  await expect(page.getByText('A dead one: its capacity is not in the listing')).toBeVisible();
  await page.getByRole('checkbox', { name: /Tollhatch Plain Lan/ }).uncheck();
  await page.getByRole('button', { name: 'Import 10' }).click();
  const laptop = page.locator('[data-stock^="own-puddlewick-lx1000"]').last();
  await expect(laptop).toContainText('41 020');
  await expect(laptop).toContainText('reports that it is failing');

  // The two disks go into a machine as owned; a copy of that machine claims the same two, and both are told.
  const [one, two] = ['e2e-stock-a', 'e2e-stock-b'];
  for (const id of [one, two]) await request.delete(`/api/builds/${id}`, { headers: { 'if-match': '*' } });
  const empty = (await (await request.get('/api/builds/old-desktop')).json()) as object;
  await request.post('/api/builds', { data: { ...empty, id: one, name: 'stock-a' } });
  const bench = await new BenchPage(page).open(one, '?sel=table/any&pane=try&from=stock');
  await page.getByLabel('Search parts').fill('puddlewick');
  await page.getByRole('button', { name: 'One more' }).click();
  const laptops = page.locator('[data-try^="own-puddlewick-lx1000"]').last();
  await expect(laptops).toContainText('2 ×');
  await laptops.click();
  await bench.settled();
  const stored = (await (await request.get(`/api/builds/${one}`)).json()) as {
    items: { deal: string; hours?: number }[];
  };
  expect(stored.items.at(-1)).toMatchObject({ deal: 'owned', hours: 41_020 });
  await request.post('/api/builds', { data: { ...stored, id: two, name: 'stock-b' } });
  await page.goto('/parts/stock');
  await expect(page.getByRole('alert').filter({ hasText: 'PUDDLEWICK' })).toContainText('4 wanted, 2 owned');
  await new BenchPage(page).open(one);
  await expect(page.getByText('4 wanted, 2 owned: also in stock-b')).toBeVisible();
  // In a third machine nothing of them is free.
  await new BenchPage(page).open('reading-room', '?sel=table/any&pane=try&from=stock');
  await page.getByLabel('Search parts').fill('puddlewick');
  await expect(page.getByText('No part of that name fits here.')).toBeVisible();
  for (const id of [one, two]) await request.delete(`/api/builds/${id}`, { headers: { 'if-match': '*' } });
});

test('J8 a machine with nothing from the catalogue: classes and ten typed numbers, checked, in under forty actions', async ({
  page,
}) => {
  let actions = 0;
  const act = async (work: Promise<unknown>) => {
    actions++;
    await work;
  };
  await page.goto('/');
  await act(page.getByRole('button', { name: 'New machine' }).click());
  const bench = new BenchPage(page);
  await act(bench.outline('floor/chassis').click());
  await act(page.getByRole('link', { name: 'Not in any list' }).click());
  await act(page.locator('[data-class="tower-matx"]').click());
  const stamp = Date.now();
  await act(page.getByLabel('Name', { exact: true }).fill(`Grandfather’s box ${stamp}`));
  const numbers: readonly (readonly [string, string])[] = [
    ['Depth in mm', '412'],
    ['Width in mm', '208'],
    ['Height in mm', '401'],
    ['Longest card in mm', '251'],
    ['Highest cooler in mm', '152'],
    ['Longest supply in mm', '165'],
    ['Drive cage: rows', '5'],
    ['weight, empty', '6900'],
    ['Price', '0'],
    ['panels take away', '1'],
  ];
  for (const [label, text] of numbers) await act(page.getByLabel(label, { exact: true }).fill(text));
  await act(page.getByRole('button', { name: 'Save the sheet' }).click());
  await expect(page).toHaveURL(/\/b\//);
  await act(page.getByLabel('From').selectOption('my own sheets'));
  await act(page.locator('[data-try]', { hasText: `Grandfather’s box ${stamp}` }).click());
  const put = async (place: ReturnType<Page['locator']>, sheet: string, first = false) => {
    await act(place.click());
    if (first) await act(page.getByLabel('From').selectOption('classes, typical'));
    await act(bench.tryRow(sheet).click());
  };
  await put(page.locator('[data-stop$="/tray"]').first(), 'class-board-matx', true);
  await put(page.locator('[data-stop$="/socket"]').first(), 'class-cpu-desktop');
  await put(page.locator('[data-stop$="/coolerMount"]').first(), 'class-cooler-low');
  await put(page.locator('[data-stop$="/memory.2"]').first(), 'class-memory-udimm');
  await put(page.locator('[data-stop$="/supply"]').first(), 'class-supply-atx');
  await put(page.locator('[data-view="front"] [data-stop$="/cage.1"]'), 'class-disk-35-air');
  await expect(bench.status).toHaveText(/^Clear/);
  await bench.settled();
  expect(actions).toBeLessThan(40);
  await expect(page.locator('[data-figure="power.idleWallW"] [data-value]')).not.toHaveText('–');
});

test('the text of a maker’s page becomes a part that is tried in its bay', async ({ page, request }) => {
  const id = await copyOf(request, 'hall-cupboard', 'pasted');
  await page.goto(`/b/${id}?sel=u2/cage.3&pane=try`);
  await page.getByRole('link', { name: 'Paste a part' }).click();
  await page
    .getByLabel('Text of the specification')
    .fill(
      'Trawl 14 TB\nCapacity: 14 TB\nInterface: SATA 6 Gb/s\nForm factor: 3.5-inch\nSpindle speed: 7200 rpm\n' +
        'Idle power: 5.1 W\nPower, idle: 6.4 W\nHeight: 26.1 mm\nWeight: 690 g',
    );
  await expect(page.locator('[data-read=capacityBytes]')).toContainText('14 TB');
  await expect(page.locator('[data-read=capacityBytes]')).toContainText('2 Capacity: 14 TB');
  // What two lines say differently is left open until one is chosen; what is doubted is left out.
  await expect(page.locator('[data-read=idleW]')).toHaveCount(0);
  await page.getByRole('button', { name: '5.1 W, line 6' }).click();
  await expect(page.locator('[data-read=idleW]')).toContainText('5.1 W');
  await page.getByLabel('Take over weight').uncheck();
  await page.getByRole('button', { name: 'Save the sheet and go back' }).click();
  await expect(page.locator('[data-try="own-trawl-14-tb"]')).toBeVisible();
  const { sheets } = (await (await request.get('/api/parts')).json()) as {
    sheets: Record<string, { massG?: number; idleW?: number; from?: Record<string, { ref?: string }> }>;
  };
  expect(sheets['own-trawl-14-tb']).toMatchObject({
    idleW: 5.1,
    from: { idleW: { ref: 'Idle power: 5.1 W' } },
  });
  expect(sheets['own-trawl-14-tb']?.massG).toBeUndefined();
  expect((await request.delete('/api/parts/own-trawl-14-tb')).ok()).toBe(true);
});

test('lists of a sheet are rows in a form: a board gets a slot more, and a chassis a wall of fans', async ({
  page,
}) => {
  await page.goto('/parts/own?from=plover-a8');
  await page.getByLabel('Name', { exact: true }).fill('Board with five slots');
  const slots = page.getByRole('region', { name: 'slots', exact: true });
  await slots.getByRole('button', { name: 'slots' }).click();
  await slots.getByRole('button', { name: 'One more like the last' }).click();
  const fifth = slots.getByRole('group', { name: 'slots, row 5' });
  await expect(fifth.getByLabel('called')).toHaveValue('Slot 5, x1');
  await fifth.getByLabel('called').fill('Slot 5, x4');
  await fifth.getByLabel('opening from the first').fill('six');
  await expect(fifth.getByLabel('opening from the first')).toHaveAttribute('aria-invalid', 'true');
  await fifth.getByLabel('opening from the first').fill('6');
  await fifth.getByLabel('lanes', { exact: true }).selectOption('4');
  await fifth.getByLabel('wired lanes').fill('4');
  await page.getByRole('button', { name: 'Save the sheet' }).click();
  await expect(page).toHaveURL(/part=own-board-with-five-slots/);
  await page.goto('/parts/own?edit=own-board-with-five-slots');
  await expect(slots).toContainText('5yours');
  await slots.getByRole('button', { name: 'slots' }).click();
  await expect(fifth.getByLabel('opening from the first')).toHaveValue('6');

  await page.goto('/parts/own?from=gable-24');
  await page.getByLabel('Name', { exact: true }).fill('Case with a side wall');
  const fans = page.getByRole('region', { name: 'places for fans' });
  await fans.getByRole('button', { name: 'places for fans' }).click();
  await fans.getByRole('button', { name: 'One more like the last' }).click();
  const third = fans.getByRole('group', { name: 'places for fans, row 3' });
  await third.getByLabel('wall').selectOption('side');
  await third.getByLabel('fan sizes, mm').fill('80, 92');
  await third.getByRole('button', { name: 'Leave open' }).click();
  await page.getByRole('button', { name: 'Save the sheet' }).click();
  await expect(page).toHaveURL(/part=own-case-with-a-side-wall/);
});

test('a file of parts says whose it is; some of it is taken in, held against what is here, and taken out again', async ({
  page,
}) => {
  const sheet = (id: string, name: string, more: object = {}) => ({
    id,
    rev: 1,
    kind: 'drive',
    name,
    archetype: 'disk-25',
    ...more,
  });
  const file = (sheets: readonly object[]) =>
    JSON.stringify({
      format: 'inch-tower-parts-1',
      about: { name: 'Shelf of the lock', author: 'the lock', licence: 'CC0', date: '2026-11-29' },
      sheets,
    });
  const rows = page.getByLabel('Rows of parts');
  await page.goto('/parts/files');
  await rows.fill(file([sheet('own-lock-a', 'Lock A'), sheet('own-lock-b', 'Lock B')]));
  await expect(page.getByText('Shelf of the lock, by the lock, 2026-11-29, licence: CC0')).toBeVisible();
  await page.getByLabel('Import Lock B').uncheck();
  await page.getByRole('button', { name: 'Import 1 of 2 good rows' }).click();
  await expect(row(page, 'Lock A')).toBeVisible();
  await expect(row(page, 'Lock B')).toBeHidden();

  await page.goto('/parts/files');
  await rows.fill(file([sheet('own-lock-a', 'Lock A', { idleW: 1.3, rev: 4 })]));
  await expect(page.locator('[data-line="1"]')).toContainText(/newer than yours.*idle .* W, there 1\.3 W/);
  const taken = page.getByRole('region', { name: 'Imported' });
  await taken.getByRole('button', { name: 'Take out again' }).click();
  await taken.getByRole('button', { name: 'Delete 1 sheet' }).click();
  await expect(page.locator('[data-line="1"]')).toContainText('new');
  await expect(taken).toBeHidden();
});

test('a chassis prints its panels at full size: a square to check, a cutting list, sheets of A4 edge to edge', async ({
  page,
}) => {
  await page.goto('/parts/panels?part=larder-8');
  await expect(page.getByRole('table', { name: 'Cutting list' })).toContainText('226 × 234');
  await page.emulateMedia({ media: 'print' });
  const check = await page.getByTestId('check').boundingBox();
  // 96 units of the page are an inch: a square of 100 mm within 0.3 %.
  for (const side of [check!.width, check!.height]) expect(Math.abs((side / 96) * 25.4 - 100)).toBeLessThan(0.3);
  const front = await page.getByRole('img', { name: 'Front, row 1, column 1' }).boundingBox();
  expect(Math.abs((front!.width / 96) * 25.4 - 190)).toBeLessThan(0.5);
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  const boxes = [...pdf.matchAll(/\/MediaBox\s*\[\s*0 0 ([\d.]+) ([\d.]+)\s*\]/g)].map(([, w, h]) => [
    Number(w),
    Number(h),
  ]);
  // The list and the square, then two sheets a face of the front, rear, left, right, and four of top and bottom.
  const tiles = await page.locator('.paper').count();
  expect(boxes.length).toBe(tiles);
  for (const [w, h] of boxes) {
    expect(Math.abs(w! - 595.3)).toBeLessThan(1);
    expect(Math.abs(h! - 841.9)).toBeLessThan(1);
  }
});

test('stock is given out as a file with its sheets, and taken in where it is not', async ({ page, request }) => {
  const entry = { id: 'e2e-drawer', sheet: 'barge-8', count: 3, year: 2024, note: 'of the drawer' };
  await request.delete(`/api/stock/${entry.id}`, { headers: { 'if-match': '*' } });
  expect((await request.put(`/api/stock/${entry.id}`, { data: entry })).status()).toBe(200);
  await page.goto('/parts/files');
  await page.getByLabel('Which').selectOption('stock');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'As JSON, whole' }).click(),
  ]);
  const buffer = readFileSync(await download.path());
  const file = { name: download.suggestedFilename(), mimeType: 'application/json', buffer };
  // Here already: nothing to take in.
  await page.getByLabel('File of parts').setInputFiles(file);
  await expect(page.getByText(/^0 lines of stock into mine, \d+ here already$/)).toBeVisible();
  await request.delete(`/api/stock/${entry.id}`, { headers: { 'if-match': '*' } });
  await page.reload();
  await page.getByLabel('File of parts').setInputFiles(file);
  await page.getByRole('button', { name: 'Import 1 line of stock' }).click();
  await expect(page).toHaveURL(/parts\/stock/);
  await expect(page.getByText('of the drawer')).toBeVisible();
  await request.delete(`/api/stock/${entry.id}`, { headers: { 'if-match': '*' } });
});

/** A keystroke takes 0.28 s, to point and press 1.3 s, to think of the next 1.35 s, to reach for the keys 0.4 s. */
const secondsFor = (typed: number, presses: number): number => typed * 0.28 + presses * (1.3 + 1.35 + 0.4);

test('a chassis from its maker’s drawing: eight bays, two walls of fans and three slots, in minutes of typing', async ({
  page,
}) => {
  let [typed, presses] = [0, 0];
  const fill = async (field: ReturnType<Page['getByLabel']>, text: string) => {
    presses++;
    typed += text.length;
    await field.fill(text);
  };
  const press = async (work: Promise<unknown>) => {
    presses++;
    await work;
  };
  const name = `Weir case ${Date.now()}`;
  await page.goto('/parts');
  await press(page.getByRole('link', { name: 'Type a part' }).click());
  await press(page.locator('[data-class="tower-atx"]').click());
  await fill(page.getByLabel('Name', { exact: true }), name);
  const numbers: readonly (readonly [string, string])[] = [
    ['Depth in mm', '515'],
    ['Width in mm', '232'],
    ['Height in mm', '560'],
    ['Longest card in mm', '320'],
    ['Highest cooler in mm', '170'],
    ['Longest supply in mm', '200'],
    ['Upper bays: rows', '1'],
    ['Drive cage: rows', '8'],
  ];
  for (const [label, text] of numbers) await fill(page.getByLabel(label, { exact: true }), text);
  await expect(page.getByText('8 bays', { exact: true })).toBeVisible();
  const fans = page.getByRole('region', { name: 'places for fans' });
  await press(fans.getByRole('button', { name: 'places for fans' }).click());
  const rows = [
    ['1', 'front', '140', '3'],
    ['2', 'rear', '140, 120', '1'],
  ] as const;
  for (const [row, wall, sizes, count] of rows) {
    const one = fans.getByRole('group', { name: `places for fans, row ${row}` });
    await press(one.getByLabel('wall').selectOption(wall));
    await fill(one.getByLabel('fan sizes, mm'), sizes);
    await fill(one.getByLabel('how many'), count);
  }
  const openings = page.getByRole('region', { name: 'slot openings' });
  await press(openings.getByRole('button', { name: 'slot openings' }).click());
  await fill(openings.getByRole('group', { name: 'slot openings, row 1' }).getByLabel('how many'), '3');
  await press(page.getByRole('button', { name: 'Save the sheet' }).click());
  await expect(page).toHaveURL(/part=own-weir-case/);
  expect(secondsFor(typed, presses)).toBeLessThan(300 / 2);
});
