import { openDemo } from './lib/open-demo.ts';
const { page, close } = await openDemo();
const shot = async (name: string) => {
  await page.waitForLoadState('networkidle');
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(500);
  await page.screenshot({ path: `/tmp/shots/${name}.png` });
};
try {
  await page.goto('/today');
  await page.getByRole('link', { name: 'Noor' }).first().click();
  await page.waitForURL(/visits/);
  const base = page.url().replace(/\/\w+$/, '');
  await page.goto(base + '/guide');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.getByText('step 1 of').waitFor();
  for (let i = 0; i < 4; i++) {
    await page.keyboard.press('ArrowRight');
    await page.waitForTimeout(200);
  }
  await page.waitForTimeout(5000);
  await shot('guide');
  for (let i = 0; i < 5; i++) {
    await page.keyboard.press('ArrowRight');
    await page.waitForTimeout(200);
  }
  await page.waitForTimeout(5500);
  await shot('guide2');
  await page.setViewportSize({ width: 390, height: 844 });
  await shot('guide-phone');
} finally {
  await close();
}
