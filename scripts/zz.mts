import { chromium } from 'playwright-core';
import { withServer } from './test/withServer';
const jobs = process.argv.slice(2).map((a) => { const [name, path, w = '1280', h = '800', dark = ''] = a.split('@'); return { name, path: path!, w: +w, h: +h, dark: dark === 'dark' }; });
await withServer(async ({ url }) => {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
  for (const { name, path, w, h, dark } of jobs) {
    const page = await browser.newPage({ viewport: { width: w, height: h }, colorScheme: dark ? 'dark' : 'light' });
    page.on('pageerror', (e) => console.log('error', e.message));
    await page.goto(`${url}${path}`);
    await page.waitForTimeout(1500);
    await page.screenshot({ path: `/tmp/z-${name}.png` });
    await page.close();
  }
  await browser.close();
});
