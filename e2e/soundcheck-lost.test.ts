import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { By } from 'selenium-webdriver';
import { expect, inject, it } from 'vitest';
import { closePage, openPage, table } from './opened';
import type { Page } from './page';
import { fillDisk, freeDisk, smallDisk, unmount } from './small-disk';

const FLAGS = ['--use-fake-ui-for-media-stream', '--use-fake-device-for-media-stream'];
const PATH = 'sound-check?rig=two-at-the-bench';
const READ = '//article[starts-with(@aria-label, "Take of")][@data-take]';
const READ_IT = '//section[@aria-label="Takes"]//button[.="Read it"]';

const secondsOf = async (page: Page): Promise<number> =>
  Number(/(\d+(?:\.\d+)?) s/.exec(await page.text(`${READ}//h2`))?.[1]);

/** How many parts of half a second are kept, and whether one of them is missing before the last. */
async function keptParts(page: Page): Promise<{ count: number; whole: boolean }> {
  const parts = (await table(page, 'takeParts')).map(({ n }) => n as number).sort((a, b) => a - b);
  return { count: parts.length, whole: parts.every((n, i) => n === i) };
}

it('a tab whose process dies while it records: another reads what came up to then', async () => {
  const page = await openPage(PATH, 'desk', { flags: FLAGS });
  const { driver } = page;
  const dying = await driver.getWindowHandle();
  await driver.switchTo().newWindow('tab');
  const other = await driver.getWindowHandle();
  await driver.switchTo().window(dying);
  await page.button('Record');
  await page.find('//*[@data-recording]//p[contains(., "0:03")]');
  await expect(driver.get('chrome://crash')).rejects.toThrow(/crash/);
  await driver.switchTo().window(other);
  await driver.get(inject('address') + PATH);
  await page.click(READ_IT);
  expect(await secondsOf(page)).toBeGreaterThanOrEqual(2);
  expect((await keptParts(page)).whole).toBe(true);
});

const disk = smallDisk();

it.runIf(disk !== undefined)(
  'a disk that fills while it records: what came up to then is kept and read',
  async () => {
    const at = disk ?? '';
    mkdirSync(join(at, 'profile'));
    try {
      const page = await openPage(PATH, 'desk', { flags: FLAGS, profile: join(at, 'profile') });
      const { driver } = page;
      await page.button('Record');
      await page.find('//*[@data-recording]//p[contains(., "0:03")]');
      fillDisk(at);
      const told = await page.text('//p[@role="alert"][contains(., "storage took no more")]');
      expect(told).toContain('What was recorded up to then is kept');
      expect(await driver.findElements(By.css('[data-recording]'))).toEqual([]);
      freeDisk(at);
      await driver.navigate().refresh();
      await page.find('//*[@data-ready]');
      if ((await driver.findElements(By.xpath(READ))).length === 0) await page.click(READ_IT);
      expect(await secondsOf(page)).toBeGreaterThanOrEqual(2);
      expect((await keptParts(page)).whole).toBe(true);
    } finally {
      await closePage();
      unmount(at);
    }
  },
);
