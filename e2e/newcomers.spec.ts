/** Three machines from nothing as somebody plans them who has never been here, every act and key counted. */
import { readFileSync } from 'node:fs';
import { expect, test, type Locator, type Page } from '@playwright/test';

/** What is seen without scrolling the list of parts. */
const FIRST_SCREEN = 12;
const MOST_ACTS = 40;
const MOST_KEYS = 60;

/** A newcomer: acts by what things are called for a reader of screens, and keeps count. Typing is free. */
class Newcomer {
  acts = 0;
  constructor(readonly page: Page) {}

  async click(what: Locator): Promise<void> {
    this.acts++;
    await what.click();
  }

  /** Opens a list and takes a line of it. */
  async choose(question: string, line: string): Promise<void> {
    this.acts += 2;
    await this.page.getByRole('combobox', { name: question }).selectOption({ label: line });
  }

  async answer(question: string | RegExp, text: string): Promise<void> {
    await this.click(this.page.getByRole('textbox', { name: question, exact: typeof question === 'string' }));
    await this.page.keyboard.press('ControlOrMeta+a');
    await this.page.keyboard.type(text);
    await this.page.keyboard.press('Tab');
  }

  get verdict(): Locator {
    return this.page.getByRole('link', { name: /^(Clear|Parts missing|Empty|\d+ (blocker|caution))/ });
  }

  /** Rows of parts that fit, once all are weighed. */
  async rows(): Promise<Locator> {
    await expect(this.page.getByText(/\d+ fits?\b.*\d+ do(es)? not/)).toBeVisible();
    return this.page.getByRole('list', { name: 'Parts to try' }).getByRole('button', { name: /^(?!Set .* beside)/ });
  }

  /** Follows the verdict to the next missing part and takes one of the first screen of rows. */
  async take(what: string, wanted?: string): Promise<void> {
    await expect(this.verdict).toContainText(`Parts missing: ${what}`);
    await this.click(this.verdict);
    await this.takeRow(wanted);
  }

  async takeRow(wanted?: string): Promise<void> {
    const rows = await this.rows();
    const names = await rows.allInnerTexts();
    const at = wanted ? names.findIndex((name) => name.includes(wanted)) : 0;
    expect(
      at,
      `${wanted ?? 'a part'} is on the first screen of ${names.slice(0, FIRST_SCREEN).join(' | ')}`,
    ).toBeGreaterThanOrEqual(0);
    expect(at).toBeLessThan(FIRST_SCREEN);
    await this.click(rows.nth(at));
  }

  async begin(name: string): Promise<void> {
    await this.page.goto('/');
    await this.click(this.page.getByRole('button', { name: 'New machine' }));
    await expect(this.page.getByRole('textbox', { name: 'Name of the machine' })).toBeFocused();
    await this.page.keyboard.type(name);
    await this.page.keyboard.press('Enter');
    await expect(this.verdict).toContainText('Empty');
  }
}

test('a quiet cube with three disks, then eight: within 40 acts, by names and roles alone', async ({ page }) => {
  const newcomer = new Newcomer(page);
  await newcomer.begin('Quiet cube');
  await newcomer.click(page.getByRole('link', { name: 'Brief' }));
  await newcomer.answer('Drives later, in all', '8');
  await newcomer.answer('Drives that may fail', '1');
  await newcomer.answer('At the ear, at most', '26');
  await newcomer.choose('Hot swap', 'must have');
  await newcomer.click(page.getByRole('link', { name: 'Bench' }));
  await newcomer.click(newcomer.verdict);
  await newcomer.takeRow('Quiet');
  for (const part of ['board', 'processor', 'cooler', 'memory', 'supply']) await newcomer.take(part);
  await expect(newcomer.verdict).toContainText('Parts missing: drive');
  await newcomer.click(newcomer.verdict);
  for (let i = 0; i < 2; i++) await newcomer.click(page.getByRole('button', { name: 'One more' }));
  await expect((await newcomer.rows()).filter({ hasText: '3 ×' }).first()).toBeVisible();
  await newcomer.takeRow('4 TB');
  await expect(newcomer.verdict).toContainText('Clear');
  // Something to start from, by the first fix that is offered.
  await newcomer.click(newcomer.verdict);
  await newcomer.click(page.getByRole('button', { name: /boot stick/ }).first());
  await expect(newcomer.verdict).toHaveText('Clear');
  // Later: five more of the same.
  await newcomer.click(page.getByRole('region', { name: 'Kit' }).getByRole('button', { name: /4 TB/ }));
  await newcomer.answer(/^How many .*4 TB/, '8');
  await expect(newcomer.verdict).toContainText('Clear');
  await expect(page.getByRole('region', { name: 'Kit' })).toContainText('8 × ');
  test.info().annotations.push({ type: 'acts', description: String(newcomer.acts) });
  expect(newcomer.acts).toBeLessThanOrEqual(MOST_ACTS);
});

test('4U with twelve: within 40 acts', async ({ page }) => {
  const newcomer = new Newcomer(page);
  await newcomer.begin('Rack of twelve');
  await newcomer.click(page.getByRole('link', { name: 'Brief' }));
  await newcomer.answer('Drives later, in all', '12');
  await newcomer.answer('Drives that may fail', '2');
  newcomer.acts++;
  await page.getByRole('combobox', { name: 'It stands' }).selectOption({ label: 'in a rack' });
  await newcomer.answer('Free rack units', '4');
  await newcomer.click(page.getByRole('link', { name: 'Bench' }));
  await newcomer.click(newcomer.verdict);
  await newcomer.takeRow();
  while (!/Parts missing: drive/.test(await newcomer.verdict.innerText())) {
    const before = await newcomer.verdict.innerText();
    await newcomer.click(newcomer.verdict);
    await newcomer.takeRow();
    await expect(newcomer.verdict).not.toHaveText(before);
  }
  await newcomer.click(newcomer.verdict);
  await newcomer.answer('How many', '12');
  await expect((await newcomer.rows()).filter({ hasText: '12 ×' }).first()).toBeVisible();
  await newcomer.takeRow('12 TB');
  await expect(newcomer.verdict).toContainText('Clear');
  test.info().annotations.push({ type: 'acts', description: String(newcomer.acts) });
  expect(newcomer.acts).toBeLessThanOrEqual(MOST_ACTS);
});

test('the old desktop from what is owned: within 40 acts', async ({ page }) => {
  const newcomer = new Newcomer(page);
  await page.goto('/');
  await newcomer.click(page.getByRole('link', { name: 'Parts', exact: true }));
  await newcomer.click(page.getByRole('link', { name: 'Stock' }));
  await newcomer.click(page.getByRole('button', { name: 'Import an old machine' }));
  newcomer.acts++;
  await page
    .getByRole('textbox', { name: 'Paste what it prints of itself' })
    .fill(['block-devices.json', 'smart.json', 'dmi.txt', 'pci.txt'].map(sample).join('\n'));
  await newcomer.click(page.getByRole('button', { name: /^Import \d/ }));
  await newcomer.click(page.getByRole('button', { name: /^New machine with these/ }));
  await expect(page.getByRole('textbox', { name: 'Name of the machine' })).toBeFocused();
  await page.keyboard.type('Old desktop again');
  await page.keyboard.press('Enter');
  for (const part of ['chassis', 'cooler', 'supply']) await newcomer.take(part);
  await expect(newcomer.verdict).toContainText('Clear');
  test.info().annotations.push({ type: 'acts', description: String(newcomer.acts) });
  expect(newcomer.acts).toBeLessThanOrEqual(MOST_ACTS);
});
const sample = (name: string) => readFileSync(`core/src/stock/samples/${name}`, 'utf8');

test('a cube by keyboard alone: within 60 keys and what is typed', async ({ page }) => {
  let keys = 0;
  const press = async (key: string) => {
    keys++;
    await page.keyboard.press(key);
  };
  const verdict = page.getByRole('link', { name: /^(Clear|Parts missing|Empty|\d+ (blocker|caution))/ });
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'New machine' })).toBeVisible();
  while (!(await page.getByRole('button', { name: 'New machine' }).evaluate((node) => node === document.activeElement)))
    await press('Tab');
  await press('Enter');
  await expect(page.getByRole('textbox', { name: 'Name of the machine' })).toBeFocused();
  await page.keyboard.type('By keys');
  await press('Enter');
  const take = async (down: number) => {
    const before = await verdict.innerText();
    await press('n');
    await expect(page.getByRole('textbox', { name: 'Search parts' })).toBeFocused();
    await expect(page.getByText(/\d+ fits?\b.*\d+ do(es)? not/)).toBeVisible();
    for (let i = 0; i < down; i++) await press('ArrowDown');
    await press('Enter');
    await expect(verdict).not.toHaveText(before);
    // The keyboard is in the drawing again.
    await expect.poll(() => page.evaluate(() => !!document.activeElement?.closest('.drawing'))).toBe(true);
  };
  await expect.poll(() => page.evaluate(() => !!document.activeElement?.closest('.drawing'))).toBe(true);
  // The twelfth chassis is the cube with eight bays: nothing is wished yet, so they stand by price.
  await take(12);
  for (let i = 0; i < 7 && !/^Clear/.test(await verdict.innerText()); i++) await take(1);
  await expect(verdict).toContainText('Clear');
  test.info().annotations.push({ type: 'keys', description: String(keys) });
  expect(keys).toBeLessThanOrEqual(MOST_KEYS);
});
