import { chromium } from 'playwright-core';
import { withServer } from './test/withServer';
await withServer(async (s) => {
  const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
  for (const [w, h, id, name] of [[1280, 800, 'lock-keepers-box', 'a'], [1024, 768, 'field-kit', 'b'], [390, 844, 'sound-desk', 'c']] as const) {
    const page = await b.newPage({ viewport: { width: w, height: h } });
    await page.goto(`${s.url}/b/${id}`); await page.waitForTimeout(1800); await page.screenshot({ path: `/tmp/v-${name}.png` }); }
  await b.close();
});
process.exit(0);
