import { expect, test, type Browser } from '@playwright/test';
import { BenchPage, copyOf, storedBuild } from './bench';

const rename = async (bench: BenchPage, name: string) => {
  await bench.page.getByLabel('Name of the machine').fill(name);
  await bench.page.getByLabel('Name of the machine').press('Enter');
};

/** Two tabs on one build, in browsers of their own: the second is told when the first has saved. */
async function twoTabs(browser: Browser, id: string) {
  const [one, two] = await Promise.all(
    [0, 1].map(async () => (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()),
  );
  const first = await new BenchPage(one!).open(id);
  const second = await new BenchPage(two!).open(id);
  await rename(first, 'From the first tab');
  await first.settled();
  await second.place('front', 'u2/cage.1').click();
  await expect(second.page.getByTestId('try-count')).toContainText('fit');
  await second.tryRow('barge-8').click();
  await expect(second.saved).toHaveText('Changed elsewhere');
  return {
    first,
    second,
    close: async () => {
      await one!.context().close();
      await two!.context().close();
    },
  };
}

test.describe('J6 two tabs on one build', () => {
  test('join: mine on top of theirs', async ({ browser, request }) => {
    const id = await copyOf(request, 'hall-cupboard', 'tabs-join');
    const { second, close } = await twoTabs(browser, id);
    await second.page.getByRole('button', { name: 'Put my changes on theirs' }).click();
    await second.settled();
    const stored = await storedBuild(request, id);
    expect([stored.name, stored.items.some((item) => item.sheet === 'barge-8')]).toEqual(['From the first tab', true]);
    await close();
  });

  test('keep mine as a copy: both are whole', async ({ browser, request }) => {
    const id = await copyOf(request, 'hall-cupboard', 'tabs-copy');
    const { second, close } = await twoTabs(browser, id);
    await second.page.getByRole('button', { name: 'Keep mine as a copy' }).click();
    await expect(second.page).not.toHaveURL(new RegExp(id));
    await expect(second.page.getByLabel('Name of the machine')).toHaveValue(/my copy$/);
    await expect(second.kit('barge-8')).toBeVisible();
    const copy = new URL(second.page.url()).pathname.split('/').at(-1)!;
    expect((await storedBuild(request, copy)).items.some((item) => item.sheet === 'barge-8')).toBe(true);
    const stored = await storedBuild(request, id);
    expect([stored.name, stored.items.some((item) => item.sheet === 'barge-8')]).toEqual(['From the first tab', false]);
    await request.delete(`/api/builds/${copy}`, { headers: { 'if-match': '*' } });
    await close();
  });

  test('take theirs: what is shown is what is saved', async ({ browser, request }) => {
    const id = await copyOf(request, 'hall-cupboard', 'tabs-theirs');
    const { second, close } = await twoTabs(browser, id);
    await second.page.getByRole('button', { name: 'Take theirs' }).click();
    await expect(second.page.getByLabel('Name of the machine')).toHaveValue('From the first tab');
    await expect(second.kit('barge-8')).toHaveCount(0);
    await second.page.reload();
    await expect(second.saved).toHaveText('Saved');
    await close();
  });
});

test('J7 the database stopped for 20 s during edits, the page closed and opened again: all edits are saved after', async ({
  browser,
  request,
}) => {
  const control = process.env.INCH_TOWER_CONTROL!;
  const id = await copyOf(request, 'hall-cupboard', 'stopped');
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const bench = await new BenchPage(await context.newPage()).open(id);
  await fetch(`${control}/database/stop`);
  const stopped = Date.now();
  try {
    await rename(bench, 'While it was away');
    await bench.place('front', 'u2/cage.1').click();
    await expect(bench.page.getByTestId('try-count')).toContainText('fit');
    await bench.tryRow('barge-8').click();
    await expect(bench.kit('barge-8')).toBeVisible();
    await expect(bench.saved).toHaveText('Saved in this browser only');
    await bench.page.close();
    const again = new BenchPage(await context.newPage());
    await again.page.goto(`/b/${id}`);
    await expect(again.page.getByRole('alert').or(again.kit('barge-8'))).toBeVisible();
    await new Promise((resolve) => setTimeout(resolve, Math.max(0, 20_000 - (Date.now() - stopped))));
  } finally {
    await fetch(`${control}/database/start`);
  }
  const after = new BenchPage(context.pages().at(-1)!);
  await after.page.goto(`/b/${id}`);
  await expect(after.page.getByLabel('Name of the machine')).toHaveValue('While it was away');
  await expect(after.kit('barge-8')).toBeVisible();
  await after.settled();
  const stored = await storedBuild(request, id);
  expect([stored.name, stored.items.some((item) => item.sheet === 'barge-8')]).toEqual(['While it was away', true]);
  await context.close();
});

test('a view whose code does not arrive says so, keeps everything, and opens again', async ({ page, request }) => {
  const id = await copyOf(request, 'hall-cupboard', 'broken');
  await page.route('**/assets/WiringPage*', (route) => route.abort());
  await page.goto(`/b/${id}/wiring`);
  await expect(page.getByRole('alert')).toContainText('This view stopped');
  await expect(page.getByRole('alert')).toContainText('saved in this browser');
  await page.unroute('**/assets/WiringPage*');
  await page.getByRole('button', { name: 'Open it again' }).click();
  await expect(page.getByText('Cable list')).toBeVisible();
});
