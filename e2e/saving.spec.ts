import { expect, test, type Page } from '@playwright/test';
import { BenchPage, copyOf, storedBuild } from './bench';

const add = async (bench: BenchPage, place: string, sheet: string) => {
  await bench.place('front', place).click();
  // Rows find their order while they come in: one that moves under the pointer takes no click.
  await expect(bench.page.getByTestId('try-count')).toContainText('fit');
  await bench.tryRow(sheet).click();
  await expect(bench.kit(sheet)).toBeVisible();
};
const rename = async (bench: BenchPage, name: string) => {
  await bench.page.getByLabel('Name of the machine').fill(name);
  await bench.page.getByLabel('Name of the machine').press('Enter');
};
/** Takes away every way a page can keep something. */
const blockStorage = (page: Page) =>
  page.addInitScript(() => {
    Object.defineProperty(window, 'indexedDB', {
      get: () => {
        throw new Error('blocked');
      },
    });
  });

test('an edit made while a save is under way is saved though the bench is left before its answer', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'hall-cupboard', 'slow-answer');
  const bench = await new BenchPage(page).open(id);
  await page.route(`**/api/builds/${id}`, async (route) => {
    if (route.request().method() !== 'PUT') return route.continue();
    const answer = await route.fetch();
    await new Promise((resolve) => setTimeout(resolve, 1_500));
    await route.fulfill({ response: answer });
  });
  const sent = page.waitForRequest((asked) => asked.method() === 'PUT');
  await rename(bench, 'Edit A');
  await sent;
  await add(bench, 'u2/cage.1', 'barge-8');
  await page.getByRole('link', { name: /your machines/ }).click();
  await expect
    .poll(async () => {
      const build = await storedBuild(request, id);
      return [build.name, build.items.some((item) => item.sheet === 'barge-8')];
    })
    .toEqual(['Edit A', true]);
  await expect(page.getByText('Not on the server yet')).toHaveCount(0);
});

test('an answer without its version is not taken for a save', async ({ page, request }) => {
  const id = await copyOf(request, 'hall-cupboard', 'garbled');
  const bench = await new BenchPage(page).open(id);
  let garbled = true;
  await page.route(`**/api/builds/${id}`, async (route) => {
    if (route.request().method() !== 'PUT' || !garbled) return route.continue();
    await route.fulfill({ status: 200, contentType: 'application/json', body: '{}' });
  });
  await rename(bench, 'Not there yet');
  await expect(bench.saved).toHaveText('Saved in this browser only');
  expect((await storedBuild(request, id)).name).not.toBe('Not there yet');
  garbled = false;
  await bench.settled();
  expect((await storedBuild(request, id)).name).toBe('Not there yet');
});

test('with storage blocked and saves failing the page says so, closing asks, and the edit stays through its views', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'hall-cupboard', 'blocked');
  await blockStorage(page);
  const bench = await new BenchPage(page).open(id);
  let failing = true;
  await page.route(`**/api/builds/${id}`, (route) =>
    route.request().method() === 'PUT' && failing ? route.abort() : route.continue(),
  );
  await rename(bench, 'Only in this page');
  await expect(bench.saved).toHaveText('Not saved: leave this page open');
  await expect(page.getByRole('alert')).toContainText('this browser cannot keep it');
  const asked = page.waitForEvent('dialog');
  void page.close({ runBeforeUnload: true });
  const dialog = await asked;
  expect(dialog.type()).toBe('beforeunload');
  await dialog.dismiss();
  await page.getByRole('link', { name: 'Wiring' }).click();
  await expect(page.getByText('Cable list')).toBeVisible();
  await page.getByRole('link', { name: /your machines/ }).click();
  await expect(page.getByText('Not on the server yet')).toContainText('Only in this page');
  await page.getByRole('link', { name: 'Only in this page', exact: true }).click();
  await expect(page.getByLabel('Name of the machine')).toHaveValue('Only in this page');
  failing = false;
  await bench.settled();
  expect((await storedBuild(request, id)).name).toBe('Only in this page');
});

test('two tabs of one browser keep an edit each while the server is away; both are there after', async ({
  browser,
  request,
}) => {
  const id = await copyOf(request, 'hall-cupboard', 'two-kept');
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const open = async () => {
    const page = await context.newPage();
    await page.route('**/api/**', (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue()));
    return new BenchPage(page).open(id);
  };
  const [one, two] = [await open(), await open()];
  await rename(one, 'From the first');
  await expect(one.saved).toHaveText('Saved in this browser only');
  await add(two, 'u2/cage.1', 'barge-8');
  await expect(two.saved).toHaveText('Saved in this browser only');
  await one.page.close();
  await two.page.close();
  const after = new BenchPage(await context.newPage());
  await after.page.goto('/');
  await expect(after.page.getByText('Not on the server yet')).toBeVisible();
  await after.open(id);
  // A save on its way while its page is closed may arrive: then the other edit is put on that version.
  await after.page.getByRole('button', { name: /^Put (them on this version|my changes on theirs)$/ }).click();
  // "Saved" still stands there for one edit while the other, whichever it is, is put on it.
  await expect
    .poll(async () => {
      const stored = await storedBuild(request, id);
      return [stored.name, stored.items.some((item) => item.sheet === 'barge-8')];
    })
    .toEqual(['From the first', true]);
  await context.close();
});

test('a machine deleted elsewhere keeps its edits: saved as a new one, nothing is lost', async ({ page, request }) => {
  const id = await copyOf(request, 'hall-cupboard', 'deleted-elsewhere');
  const bench = await new BenchPage(page).open(id);
  await request.delete(`/api/builds/${id}`, { headers: { 'if-match': '*' } });
  await add(bench, 'u2/cage.1', 'barge-8');
  await expect(bench.saved).toHaveText('Deleted elsewhere');
  await page.getByRole('button', { name: 'Save as a new machine' }).click();
  await expect(page).not.toHaveURL(new RegExp(`${id}$`));
  await expect(bench.kit('barge-8')).toBeVisible();
  await bench.settled();
  const copy = new URL(page.url()).pathname.split('/').at(-1)!;
  expect((await storedBuild(request, copy)).items.some((item) => item.sheet === 'barge-8')).toBe(true);
  await request.delete(`/api/builds/${copy}`, { headers: { 'if-match': '*' } });
});

test('a delete that fails is said, and a machine changed meanwhile is not deleted', async ({ page, request }) => {
  const id = await copyOf(request, 'reading-room', 'not-deleted');
  await page.goto('/');
  const name = (await storedBuild(request, id)).name;
  await expect(page.getByRole('link', { name: `Open ${name}` })).toBeVisible();
  const etag = (await request.get(`/api/builds/${id}`)).headers().etag!;
  await request.put(`/api/builds/${id}`, {
    data: { ...(await storedBuild(request, id)), notes: 'Changed meanwhile' },
    headers: { 'if-match': etag },
  });
  await page.getByRole('button', { name: `Delete ${name}` }).click();
  await page.getByRole('button', { name: 'Delete it' }).click();
  await expect(page.getByRole('alert')).toContainText('was not taken down');
  expect((await storedBuild(request, id)).notes).toBe('Changed meanwhile');
});

test('a fault of the server is tried again by itself; one machine that cannot be worked out says so alone', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'hall-cupboard', 'fault');
  const bench = await new BenchPage(page).open(id);
  let faults = 1;
  await page.route(`**/api/builds/${id}`, (route) =>
    route.request().method() === 'PUT' && faults-- > 0
      ? route.fulfill({
          status: 500,
          contentType: 'application/problem+json',
          body: JSON.stringify({ code: 'fault', detail: 'Something went wrong on the server.' }),
        })
      : route.continue(),
  );
  await rename(bench, 'After a fault');
  await bench.settled();
  expect((await storedBuild(request, id)).name).toBe('After a fault');
  await page.route('**/api/builds?*', async (route) => {
    const answer = await route.fetch();
    const body = (await answer.json()) as { builds: { id: string; card: unknown }[] };
    await route.fulfill({
      response: answer,
      json: {
        ...body,
        builds: body.builds.map((one) => (one.id === id ? { ...one, card: { failed: 'A fault of ours.' } } : one)),
      },
    });
  });
  await page.getByRole('link', { name: /your machines/ }).click();
  await expect(page.getByText('Not worked out. A fault of ours.')).toHaveCount(1);
  await expect(page.getByText('W idle').first()).toBeVisible();
});

const HANGS = 'for (;;) {}';

test('a worker that is silent is ended and started again; what was done meanwhile is there', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'hall-cupboard', 'silent-worker');
  let times = 0;
  await page.route('**/assets/benchWorker*', (route) =>
    times++ === 0 ? route.fulfill({ contentType: 'text/javascript', body: HANGS }) : route.continue(),
  );
  await page.goto(`/b/${id}`);
  await rename(new BenchPage(page), 'Done while it was silent');
  await expect(page.getByTestId('status')).not.toHaveText('…');
  await expect(page.locator('[data-figure="power.idleWallW"] [data-value]')).not.toHaveText('–');
  await new BenchPage(page).settled();
  expect((await storedBuild(request, id)).name).toBe('Done while it was silent');
});

test('a machine that no worker answers for is said to be so; it is kept, and its file is to be had', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'hall-cupboard', 'no-worker');
  await page.route('**/assets/benchWorker*', (route) => route.fulfill({ contentType: 'text/javascript', body: HANGS }));
  await page.goto(`/b/${id}`);
  await expect(page.getByTestId('status')).toHaveText('Not worked out');
  await expect(page.getByRole('alert')).toContainText('could not be worked out');
  const file = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save it as a file' }).click();
  expect((await file).suggestedFilename()).toMatch(/\.json$/);
  await rename(new BenchPage(page), 'Still saved');
  await new BenchPage(page).settled();
  expect((await storedBuild(request, id)).name).toBe('Still saved');
  await page.unroute('**/assets/benchWorker*');
  await page.getByRole('button', { name: 'Work it out again' }).click();
  await expect(page.getByTestId('status')).toHaveText(/blocker|caution|Clear/);
  await expect(page.getByRole('alert')).toHaveCount(0);
});

/** Workers that fail at every edit they are to settle, the first `times` of them. */
async function failAtEdits(page: Page, how: 'is silent' | 'dies', times: number): Promise<void> {
  const fails =
    how === 'dies' ? `setTimeout(() => { throw new Error('died of it'); }); event.stopImmediatePropagation();` : HANGS;
  let started = 0;
  await page.route('**/assets/benchWorker*', async (route) => {
    // The second worker searches; the others are the first, started again.
    // Asked for apart from the route: that is gone with the worker that asked, if it is ended meanwhile.
    const answer = await page.request.get(route.request().url());
    const body = await answer.text();
    const prefix =
      started++ < times
        ? `addEventListener('message', (event) => { if (String(event.data?.path?.[0]).startsWith('commit')) { ${fails} } });`
        : '';
    await route.fulfill({ response: answer, body: `${prefix}${body}` });
  });
}

for (const how of ['is silent', 'dies'] as const) {
  test(`an edit of which the worker ${how} once is settled by the next`, async ({ page, request }) => {
    const id = await copyOf(request, 'hall-cupboard', `once-${how === 'dies' ? 'dead' : 'silent'}`);
    await failAtEdits(page, how, 1);
    const bench = await new BenchPage(page).open(id);
    await add(bench, 'u2/cage.1', 'barge-8');
    await bench.settled();
    const build = await storedBuild(request, id);
    const unit = build.items.find((item) => item.sheet === 'barge-8')!.units[0]!.id;
    expect(Object.keys(build.layout.at)).toContain(unit);
    await expect(page.getByRole('alert')).toHaveCount(0);
  });

  test(`an edit of which the worker ${how} every time is made unsolved, said to be, and saved`, async ({
    page,
    request,
  }) => {
    const id = await copyOf(request, 'hall-cupboard', `always-${how === 'dies' ? 'dead' : 'silent'}`);
    await failAtEdits(page, how, 99);
    const bench = await new BenchPage(page).open(id);
    await add(bench, 'u2/cage.1', 'barge-8');
    await expect(page.getByText('could not be worked out in time')).toBeVisible();
    await bench.settled();
    expect((await storedBuild(request, id)).items.some((item) => item.sheet === 'barge-8')).toBe(true);
    await page.keyboard.press('Control+z');
    await bench.settled();
    expect((await storedBuild(request, id)).items.some((item) => item.sheet === 'barge-8')).toBe(false);
  });
}

test('two wishes of one brief, changed in two places, are both there after mine are put on theirs', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'hall-cupboard', 'two-wishes');
  const bench = await new BenchPage(page).open(id, '/brief');
  const etag = (await request.get(`/api/builds/${id}`)).headers().etag!;
  const there = await storedBuild(request, id);
  const answer = await request.put(`/api/builds/${id}`, {
    data: { ...there, brief: { ...there.brief, earDb: 31 } },
    headers: { 'if-match': etag },
  });
  expect(answer.ok()).toBe(true);
  await page.getByLabel('Idle, at the wall').fill('47');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Put my changes on theirs' }).click();
  await expect.poll(async () => (await storedBuild(request, id)).brief).toMatchObject({ idleW: 47, earDb: 31 });
  await bench.settled();
});
