import { expect, test } from '@playwright/test';
import { BenchPage, copyOf, storedBuild } from './bench';

test('fans and the hottest day are tried by mouse and keyboard, and set with one press', async ({ page, request }) => {
  const id = await copyOf(request, 'boathouse-rack', 'air');
  const bench = await new BenchPage(page).open(id);
  await page.getByRole('link', { name: 'Air', exact: true }).click();
  const answer = page.getByTestId('air-answer');
  await expect(answer).toContainText(/16 × Barge 12 TB: about \d+ °C/);
  const degrees = async () => Number(/about (\d+) °C/.exec(await answer.innerText())?.[1]);
  const before = await degrees();
  // A hotter day is hotter by as much, at once.
  const day = page.getByRole('slider', { name: /Hottest day/ });
  await day.focus();
  for (let i = 0; i < 10; i++) await day.press('ArrowRight');
  await expect.poll(degrees).toBeGreaterThan(before + 8);
  await expect(page.getByText('Only tried so far.')).toBeVisible();
  expect((await storedBuild(request, id)).policy.fans).toMatchObject({ duty: 0.4 });
  await page.getByRole('button', { name: 'Put back' }).click();
  await expect.poll(degrees).toBe(before);
  // Faster fans cool the drives and are heard.
  const noise = page.getByTestId('sound-answer');
  const quiet = await noise.innerText();
  const fans = page.getByRole('slider', { name: /Fans at/ });
  await fans.focus();
  await fans.press('End');
  await expect.poll(degrees).toBeLessThan(before);
  await expect(noise).not.toHaveText(quiet);
  await page.getByRole('button', { name: 'Set it so' }).click();
  await expect(page.getByText('Only tried so far.')).toBeHidden();
  await bench.settled();
  expect((await storedBuild(request, id)).policy.fans).toMatchObject({ duty: 1 });
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect.poll(degrees).toBe(before);
});

test('a drive too hot for its box is told with its range and what is allowed', async ({ page, request }) => {
  const id = await copyOf(request, 'lock-keepers-box', 'air-hot');
  await page.goto(`/b/${id}/air`);
  await expect(page.getByTestId('air-answer')).toHaveText(/^Probably not\. Lighter 1 TB/);
  await expect(
    page
      .getByRole('table', { name: /temperatures by part/ })
      .getByRole('row')
      .nth(1),
  ).toContainText('60 °C');
});

test('fans that hold a temperature: asked in the brief, their speed told in the air view', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'boathouse-rack', 'air-held');
  await page.goto(`/b/${id}/brief`);
  await page.getByLabel('Fans', { exact: true }).selectOption({ label: 'Hold the hottest drive' });
  const target = page.getByLabel('Hottest drive at');
  await target.fill('46');
  await target.press('Enter');
  await page.getByRole('link', { name: 'Air', exact: true }).click();
  await expect(page.getByTestId('held')).toHaveText(/^Held at 46 °C: \d+ % on a normal day, \d+ % on the hottest\.$/);
  const told = await page.getByTestId('air-answer').innerText();
  expect(Number(/about (\d+) °C/.exec(told)?.[1])).toBeLessThanOrEqual(46);
});

test('a temperature measured on the machine narrows what is foretold; it is taken out again', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'boathouse-rack', 'air-read');
  const bench = await new BenchPage(page).open(id);
  await page.getByRole('link', { name: 'Air', exact: true }).click();
  const answer = page.getByTestId('air-answer');
  const told = async () =>
    /about (\d+) °C, (\d+) to (\d+)/
      .exec(await answer.innerText())!
      .slice(1)
      .map(Number);
  await expect(answer).toContainText('about');
  const [likely, lo, hi] = await told();
  await page.getByRole('button', { name: 'Enter what you measured' }).click();
  const form = page.getByRole('form', { name: 'What you measured' });
  await expect(form.getByLabel('Hottest drive')).toBeFocused();
  // Nothing typed, then nonsense: said, and nothing lost.
  await form.getByRole('button', { name: 'Keep it' }).click();
  await expect(form.getByRole('alert')).toHaveText('Hottest drive: what was read is missing.');
  await form.getByLabel('Air in the room').fill('19');
  await form.getByLabel('Hottest drive').fill('400');
  await form.getByRole('button', { name: 'Keep it' }).click();
  await expect(form.getByRole('alert')).toHaveText('Hottest drive: from -20 to 120 °C.');
  await form.getByLabel('The machine was').selectOption({ label: 'at work' });
  await form.getByLabel('Hottest drive').fill('31');
  await form.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Hottest drive 31 °C, at work, fans at 40 %, room 19 °C').last()).toBeVisible();
  await expect.poll(async () => (await told())[2]! - (await told())[1]!).toBeLessThan(hi! - lo!);
  expect((await told())[0]!).toBeLessThan(likely! + 8);
  await bench.settled();
  expect((await storedBuild(request, id)).readings).toMatchObject([
    { what: 'driveC', value: 31, roomC: 19, duty: 0.4 },
  ]);
  await page.getByRole('button', { name: /^Take out: Hottest drive/ }).click();
  await expect.poll(told).toEqual([likely, lo, hi]);
});

test('quieter ways are looked for, one is taken, and the machine stands beside itself as it was before', async ({
  page,
  request,
}) => {
  const id = await copyOf(request, 'boathouse-rack', 'air-quiet');
  const bench = await new BenchPage(page).open(id);
  await page.getByRole('link', { name: 'Air', exact: true }).click();
  await page.getByRole('button', { name: 'Look for quieter ways' }).click();
  await expect(page.getByTestId('quiet-state')).toHaveText(/^\d+ looked at\./, { timeout: 30_000 });
  const first = page.locator('[data-quiet]').first();
  const saves = Number(/−(\d+\.\d) dB/.exec(await first.innerText())?.[1]);
  expect(saves).toBeGreaterThan(3);
  const noise = page.getByTestId('sound-answer');
  const level = async () => Number(/^(\d+) dB/.exec(await noise.innerText())?.[1]);
  const before = await level();
  await first.click();
  await expect.poll(level).toBeLessThan(before - saves + 1.5);
  await expect(page.getByTestId('quiet-state')).toBeHidden();
  await bench.settled();
  await page.getByLabel('Compare with').selectOption({ index: 1 });
  await expect(page.getByTestId('same-answer')).toContainText(/Hottest day, all busy: this one is \d+\.\d dB quieter/);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect.poll(level).toBe(before);
});

test('one wall of fans is slid apart from the others, set, and given back', async ({ page, request }) => {
  const id = await copyOf(request, 'boathouse-rack', 'air-walls');
  await page.goto(`/b/${id}/air`);
  const noise = page.getByRole('region', { name: 'What if' });
  await page.getByRole('button', { name: 'Each wall by itself' }).click();
  const rear = page.getByRole('slider', { name: /^Rear fans/ });
  await rear.focus();
  for (let step = 0; step < 3; step++) await page.keyboard.press('ArrowLeft');
  await expect(noise).toContainText('Only tried so far.');
  await page.getByRole('button', { name: 'Set it so' }).click();
  await page.getByRole('link', { name: 'Brief', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Brief' })).toBeVisible();
  await expect(page.getByLabel('Rear fans')).toHaveValue('25');
  await page.getByLabel('Rear fans').fill('');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Rear fans')).toHaveValue('');
});
