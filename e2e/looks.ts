import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { BenchPage } from './bench';

const DEMO = ['hall-cupboard', 'boathouse-rack', 'old-desktop', 'school-shelf', 'field-kit', 'reading-room'] as const;
type Theme = 'light' | 'dark';
const axe = async (page: Page) =>
  (
    await new AxeBuilder({ page })
      .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
      .analyze()
  ).violations.map(
    (violation) =>
      `${violation.id}: ${violation.nodes
        .map((node) => node.target.join(' '))
        .slice(0, 4)
        .join(' | ')}`,
  );

/**
 * Text in the page smaller than 11 px; words of the drawing that lie over one another, are cut, or are struck by a leader
 * or a balloon.
 */
export async function labelFaults(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const faults: string[] = [];
    const seen = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (seen.nextNode()) {
      const parent = seen.currentNode.parentElement;
      if (
        !parent ||
        !seen.currentNode.textContent?.trim() ||
        ['SCRIPT', 'STYLE', 'TITLE', 'OPTION'].includes(parent.tagName)
      )
        continue;
      const size = Number.parseFloat(getComputedStyle(parent).fontSize);
      if (size < 11) faults.push(`${size} px: ${seen.currentNode.textContent.trim().slice(0, 40)}`);
    }
    for (const tape of document.querySelectorAll('svg.tape')) {
      const words = [...tape.querySelectorAll('text')].map((text) => ({
        text: text.textContent,
        box: text.getBoundingClientRect(),
      }));
      for (const [i, a] of words.entries())
        for (const b of words.slice(i + 1))
          if (Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left) > 0)
            if (Math.abs(a.box.top - b.box.top) < 6)
              faults.push(`${a.text} over ${b.text} on ${tape.getAttribute('aria-label')}`);
    }
    const svg = document.querySelector<SVGSVGElement>('svg.drawing');
    if (!svg) return faults;
    const sheet = svg.getBoundingClientRect();
    const labels = [...svg.querySelectorAll<SVGTextElement>('text')]
      .map((text) => ({
        words: text.textContent,
        box: text.getBoundingClientRect(),
        balloon: text.closest('[aria-label^="Snag"]'),
      }))
      .filter(({ box }) => box.width > 0);
    for (const { words, box } of labels)
      if (box.left < sheet.left || box.right > sheet.right + 1 || box.top < sheet.top || box.bottom > sheet.bottom + 1)
        faults.push(`${words} is cut by the edge of the sheet`);
    // Boxes of text hold space above and below the letters: more than 3 px of common height is a real touch.
    const meet = (a: DOMRect, b: DOMRect): boolean =>
      Math.min(a.right, b.right) - Math.max(a.left, b.left) > 1 &&
      Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > 3;
    for (let i = 0; i < labels.length; i++)
      for (let j = i + 1; j < labels.length; j++)
        if (meet(labels[i]!.box, labels[j]!.box)) faults.push(`${labels[i]!.words} over ${labels[j]!.words}`);
    for (const balloon of svg.querySelectorAll<SVGElement>('[aria-label^="Snag"]')) {
      const others = labels.filter((label) => label.balloon !== balloon);
      const round = balloon.querySelector('circle.balloon')!.getBoundingClientRect();
      const line = balloon.querySelector<SVGPathElement>('path.leader')!;
      const [matrix, length] = [line.getScreenCTM()!, line.getTotalLength()];
      const points = Array.from({ length: Math.ceil(length) }, (_, px) =>
        line.getPointAtLength(px).matrixTransform(matrix),
      );
      for (const { words, box } of others) {
        if (meet(round, box)) faults.push(`${words} under a balloon`);
        if (points.some(({ x, y }) => x > box.left + 1 && x < box.right - 1 && y > box.top + 3 && y < box.bottom - 3))
          faults.push(`${words} struck by the leader of ${balloon.getAttribute('aria-label')}`);
      }
    }
    return faults;
  });
}

/** Words of the strip at the top of the page that lie over one another. */
const headFaults = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const head = document.querySelector('header');
    if (!head) return ['there is no strip'];
    const words: { text: string; box: DOMRect }[] = [];
    const walker = document.createTreeWalker(head, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) {
      const range = document.createRange();
      range.selectNodeContents(walker.currentNode);
      for (const box of range.getClientRects())
        if (box.width > 0) words.push({ text: walker.currentNode.textContent!.trim(), box });
    }
    for (const input of head.querySelectorAll('input'))
      words.push({ text: input.value, box: input.getBoundingClientRect() });
    return words.flatMap((a, i) =>
      words
        .slice(i + 1)
        .filter(
          (b) =>
            Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left) > 1 &&
            Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top) > 3,
        )
        .map((b) => `${a.text} over ${b.text}`),
    );
  });

/** What is looked at in one theme: every view by axe, the machines by their lines and letters. */
export function looksIn(theme: Theme): void {
  test.describe(theme, () => {
    test.use({ colorScheme: theme });

    // Lines and letters lie where they lie in either theme: in the dark it is the colours that are looked at, on two
    // machines.
    for (const id of theme === 'light' ? DEMO : DEMO.slice(0, 2))
      test(`${id}: axe finds nothing, labels are at least 11 px and none lies over another`, async ({ page }) => {
        const bench = await new BenchPage(page).open(id);
        expect(await page.evaluate(() => document.documentElement.dataset.theme)).toBe(theme);
        expect(await labelFaults(page)).toEqual([]);
        expect(await axe(page)).toEqual([]);
        for (const view of id === 'reading-room' || theme === 'dark' ? [] : ['Plan', 'Front', 'Side, cut', 'Rear']) {
          await page.getByRole('group', { name: 'Views' }).getByRole('button', { name: view, exact: true }).click();
          expect(await labelFaults(page), view).toEqual([]);
        }
        for (const [width, height] of theme === 'dark'
          ? []
          : ([
              [768, 1024],
              [900, 800],
              [1024, 768],
              [1920, 1080],
            ] as const)) {
          await page.setViewportSize({ width, height });
          await bench.open(id);
          expect(await labelFaults(page), `${width} wide`).toEqual([]);
          expect(await headFaults(page), `${width} wide`).toEqual([]);
        }
        await expect(bench.status).toBeVisible();
      });

    test('the floor: axe finds nothing', async ({ page }) => {
      await page.goto('/');
      await expect(page.getByText('Blocked, 5 snags').first()).toBeVisible();
      expect(await axe(page)).toEqual([]);
    });

    const pages: readonly (readonly [string, string, string])[] = [
      ['the brief', '/b/hall-cupboard/brief', 'Who hears it'],
      ['the power', '/b/school-shelf/power', 'Does it start'],
      ['air and sound', '/b/school-shelf/air', 'Do the drives live'],
      ['the pool', '/b/boathouse-rack/pool', 'How much can I store'],
      ['machines compared', '/compare?b=school-shelf,boathouse-rack', 'Idle at the wall'],
      ['the bill', '/b/boathouse-rack/bill', 'What does it cost?'],
      ['the wiring', '/b/boathouse-rack/wiring?cable=u2%2Ffront-feed.2', 'Pick up its port end'],
      ['power cables and headers', '/b/hall-cupboard/wiring?half=power', 'Header list'],
      ['the parts', '/parts?part=larder-8&kind=drive&open=drive%7CBargeyard%7CBarge', 'Larder 8'],
      ['a sheet of one’s own', '/parts/own?from=rack-4u-24&class=1', 'Dimensions, in mm'],
      ['panels at full size', '/parts/panels?part=larder-8', 'measure it before you cut'],
      ['classes to choose from', '/parts/own', 'What is it most like?'],
      ['stock', '/parts/stock?add=coot-1', 'Hours run'],
      ['an old machine', '/parts/stock?old=1', 'Paste what it prints of itself'],
      ['files', '/parts/files', 'Import parts'],
    ];
    for (const [name, path, text] of pages)
      test(`${name}: axe finds nothing, and nothing is wider than the page, also at 1024 and on a phone`, async ({
        page,
      }) => {
        await page.goto(path);
        await expect(page.getByText(text).first()).toBeVisible();
        expect(await axe(page)).toEqual([]);
        for (const [width, height] of theme === 'dark'
          ? []
          : ([
              [1280, 800],
              [1024, 768],
              [900, 800],
              [768, 1024],
              [390, 844],
            ] as const)) {
          await page.setViewportSize({ width, height });
          expect(
            await page.evaluate(() => document.documentElement.scrollWidth - innerWidth),
            `${width} wide`,
          ).toBeLessThanOrEqual(0);
          expect(await headFaults(page), `${width} wide`).toEqual([]);
        }
      });

    const views: readonly (readonly [string, (bench: BenchPage, page: Page) => Promise<void>])[] = [
      [
        'trying',
        async (bench, page) => {
          await bench.place('front', 'u2/cage.1').click();
          await expect(page.getByTestId('try-count')).toContainText('fit');
        },
      ],
      [
        'a sheet',
        async (bench, page) => {
          await bench.kit('wren-c8').click();
          await expect(page.getByRole('heading', { name: /Wren C8/ })).toBeVisible();
        },
      ],
      [
        'a working',
        async (_bench, page) => {
          await page.getByRole('button', { name: /Noise at the ear/ }).click();
          await expect(page.locator('[data-working]')).toBeVisible();
        },
      ],
      [
        'the shortcut sheet',
        async (_bench, page) => {
          await page.getByRole('button', { name: /Keys/ }).click();
          await expect(page.getByRole('dialog')).toBeVisible();
        },
      ],
    ];
    for (const [name, show] of views)
      test(`${name}: axe finds nothing`, async ({ page }) => {
        const bench = await new BenchPage(page).open('hall-cupboard');
        await show(bench, page);
        expect(await axe(page)).toEqual([]);
      });
  });
}
