// name@/path@w@h@dark@js...
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../e2e/playwright.config';
import { withServer } from './test/withServer';
await withServer(async (serving) => {
  const browser = await chromium.launch(CHROMIUM);
  for (const spec of process.argv.slice(2)) {
    const [name, path, w = '1280', h = '800', dark = '', js = ''] = spec.split('@');
    const page = await browser.newPage({ viewport: { width: +w, height: +h }, colorScheme: dark ? 'dark' : 'light' });
    page.on('pageerror', (e) => console.log('ERR', e.message));
    const base = serving.url;
    await page.goto(base + path);
    await page.waitForTimeout(2500);
    if (js) {
      const r = await new Function('page', `return (async()=>{${js}})()`)(page);
      if (r !== undefined) console.log(JSON.stringify(r));
      await page.waitForTimeout(1200);
    }
    await page.screenshot({ path: `/tmp/${name}.png` });
    await page.close();
  }
  await browser.close();
});
