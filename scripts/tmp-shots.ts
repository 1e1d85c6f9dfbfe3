import { openDemo } from './lib/open-demo.ts';
const { page, close } = await openDemo();
const shot = async (name: string) => { await page.waitForLoadState('networkidle'); await page.evaluate(() => document.fonts.ready); await page.waitForTimeout(500); await page.screenshot({ path: `/tmp/shots/${name}.png` }); };
try {
  await page.goto('/practice/techniques'); await shot('techniques');
  await page.goto('/practice/techniques/new?from=scm-between-fingers-glide'); await page.getByRole('button',{name:'Left',exact:true}).first().click(); await shot('tform');
  await page.locator('main.work').evaluate((e) => e.scrollTo(0, 900)); await shot('tform2');
  await page.locator('main.work').evaluate((e) => e.scrollTo(0, 1800)); await shot('tform3');
  await page.setViewportSize({ width: 390, height: 844 }); await shot('tform-phone');
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/today');
  await page.getByRole('link', { name: 'Noor' }).first().click(); await page.waitForURL(/visits/);
  const base = page.url().replace(/\/\w+$/, '');
  await page.goto(base + '/guide'); await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.getByText('step 1 of').waitFor();
  for (let i = 0; i < 4; i++) { await page.keyboard.press('ArrowRight'); await page.waitForTimeout(200); }
  await page.waitForTimeout(5000); await shot('guide');
} finally { await close(); }
