/** Where the keyboard is after an act: on what the act made or at the place it was about, never lost to the page. */
import { expect, test, type Page } from '@playwright/test';
import { BenchPage, copyOf } from './bench';

const where = (page: Page) =>
  page.evaluate(() => {
    const at = document.activeElement;
    if (!at || at === document.body) return 'the page';
    if (at.closest('.drawing')) return `drawing ${at.getAttribute('data-stop') ?? at.getAttribute('aria-label') ?? ''}`;
    return at.getAttribute('aria-label') ?? at.getAttribute('data-snag') ?? at.textContent?.slice(0, 60) ?? at.tagName;
  });
const notLost = async (page: Page) => {
  await expect.poll(() => where(page)).not.toBe('the page');
};

test('after a fix, undo, and closing the list of keys', async ({ page, request }) => {
  const bench = await new BenchPage(page).open(await copyOf(request, 'hall-cupboard', 'focus'));
  // A fix by keyboard.
  const fix = bench.snag('fits.coolerHeight').locator('[data-remedy]', { hasText: 'Take Fell 47' });
  await expect(fix).toBeVisible();
  await fix.focus();
  await page.keyboard.press('Enter');
  await expect(bench.snag('fits.coolerHeight')).toHaveCount(0);
  await notLost(page);
  // Undone by its key in the drawing: the keyboard stays in the drawing.
  await bench.place('side', 'u2/rear').first().focus();
  await page.keyboard.press('z');
  await expect(bench.snag('fits.coolerHeight')).toBeVisible();
  await expect.poll(() => where(page)).toMatch(/^drawing /);
  // The list of keys closes to where it was opened from.
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect.poll(() => where(page)).toMatch(/^drawing /);
});

test('taking a drive out by its sheet leads back to its place', async ({ page, request }) => {
  const bench = await new BenchPage(page).open(await copyOf(request, 'boathouse-rack', 'focus-out'));
  await bench.place('front', 'u2/front.16').click();
  const out = page.getByRole('button', { name: 'Take out', exact: true });
  await out.focus();
  await page.keyboard.press('Enter');
  await expect(bench.kit('barge-12')).toContainText('15 ×');
  await notLost(page);
  await page.keyboard.press('Control+z');
  await expect(bench.kit('barge-12')).toContainText('16 ×');
  await notLost(page);
});

test('the delete question opens at its machine, Escape and Cancel lead back to it', async ({ page, request }) => {
  await copyOf(request, 'reading-room', 'focus-delete');
  await page.goto('/');
  const asks = page.getByRole('button', { name: /^Delete Reading room, not begun, focus-delete/ });
  for (const leave of ['Escape', 'Cancel']) {
    await asks.focus();
    await page.keyboard.press('Enter');
    const cancel = page.getByRole('button', { name: 'Cancel' });
    await expect(cancel).toBeFocused();
    if (leave === 'Escape') await page.keyboard.press('Escape');
    else await page.keyboard.press('Enter');
    await expect(cancel).toHaveCount(0);
    await expect(asks).toBeFocused();
  }
});

test('Move says what is possible, and answers where it is not', async ({ page, request }) => {
  const bench = await new BenchPage(page).open(await copyOf(request, 'boathouse-rack', 'focus-move'));
  await bench.place('front', 'u2/front.1').click();
  await page.getByRole('button', { name: 'Move', exact: true }).click();
  await expect(page.getByTestId('trying')).toHaveText('8 lit places take it; Escape leaves it where it is');
  // A place that is not lit: that is said, and moving goes on.
  await bench.place('front', 'u2/front.2').click();
  await expect(page.getByTestId('trying')).toContainText('Front bays 2 does not take it. 8 lit places take it');
  await bench.place('front', 'u2/front.2').focus();
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('trying')).not.toContainText('lit places');
});
