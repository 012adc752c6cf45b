import { expect, type Page, type APIRequestContext } from '@playwright/test';
import type { Build } from '@inch-tower/core';

/** What a person sees and does on the bench, in one word each. */
export class BenchPage {
  constructor(readonly page: Page) {}

  async open(id: string, query = ''): Promise<this> {
    await this.page.goto(`/b/${id}${query}`);
    await expect(this.status).not.toHaveText('…');
    return this;
  }

  get status() {
    return this.page.getByTestId('status');
  }
  get saved() {
    return this.page.getByTestId('save-state');
  }
  get changeLine() {
    return this.page.getByTestId('change-line');
  }
  place(view: 'plan' | 'front' | 'side', spot: string) {
    return this.page.locator(`[data-view="${view}"] [data-stop="${spot}"]`);
  }
  outline(spot: string) {
    return this.page.locator(`[data-stop="${spot}"]`).first();
  }
  tryRow(sheet: string) {
    return this.page.locator(`[data-try="${sheet}"]`);
  }
  snag(code: string) {
    return this.page.locator(`[data-snag="${code}"]`);
  }
  kit(sheet: string) {
    return this.page.locator(`[data-kit="${sheet}"]`);
  }

  /** The six tapes' numbers as shown. */
  async tapes(): Promise<Record<string, string>> {
    return Object.fromEntries(
      await this.page
        .locator('[data-figure]')
        .evaluateAll((cells) =>
          cells.map((cell) => [
            cell.getAttribute('data-figure')!,
            cell.querySelector('[data-value], .mono')?.textContent ?? '',
          ]),
        ),
    );
  }

  async settled(): Promise<void> {
    await expect(this.saved).toHaveText('Saved');
  }
}

/** Where every part sits and every cable goes, as the server has it. */
export async function storedBuild(request: APIRequestContext, id: string): Promise<Build> {
  return (await (await request.get(`/api/builds/${id}`)).json()) as Build;
}

/** A copy of a demo build for a test of its own. */
export async function copyOf(request: APIRequestContext, id: string, name: string): Promise<string> {
  const build = await storedBuild(request, id);
  const copy = { ...build, id: `e2e-${name}`, name: `${build.name}, ${name}` };
  await request.delete(`/api/builds/${copy.id}`, { headers: { 'if-match': '*' } });
  expect((await request.post('/api/builds', { data: copy })).status()).toBe(201);
  return copy.id;
}
