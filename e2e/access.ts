import { By } from 'selenium-webdriver';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { violationsOn } from './axe';
import { openBrowser, type Browser, type Size } from './browser';
import { Page } from './page';

const VIEWS = [
  ['Bench', ''],
  ['Route', 'route'],
  ['Drawer', 'drawer'],
  ['Compare', 'compare'],
] as const;
/** What stands there once a view has loaded. */
const READY: Record<string, string> = {
  '': '//*[@data-finding]//ul',
  route: '//button[contains(., "Find the ways")]',
  drawer: '//section[@aria-label="In the drawer"]//table',
  compare: '//h2[text()="What differs"]',
};

/** What can be opened over the Bench: its name, what opens it, what then stands there. */
const OPEN = [
  [
    'what can be plugged in',
    '//article[contains(@aria-label, "phone")]//button[contains(., "Swap")]',
    '//*[@role="dialog"]',
  ],
  ['the start', '//button[contains(., "New")]', '//*[@role="dialog"]//*[@cmdk-item]'],
  ['the palette', '//button[.//*[contains(., "Find")]]', '//*[@role="dialog"]//*[@cmdk-item]'],
  ['a menu', '//button[@aria-label="More for this rig"]', '//*[@role="menu"]'],
] as const;

/** The Bench with its fixes found, and nothing over it. */
const BENCH_AT_REST = '//body[not(.//*[@role="dialog" or @role="menu"])]//*[@data-finding]//ul';

/** Every view, and what opens over the Bench, looked at by axe on one size of screen, light and dark. A file a size: two run at a time. */
export const testAccess = (size: Size) =>
  describe.each([false, true])(`${size}, dark: %s`, (dark) => {
    let browser: Browser;
    let page: Page;
    beforeAll(async () => {
      browser = await openBrowser(size, dark);
      page = new Page(browser);
    });
    afterAll(() => browser.driver.quit());

    it.each(VIEWS)('axe finds nothing on the %s (WCAG 2.2 AA)', async (_, path) => {
      await browser.driver.get(inject('address') + path);
      await page.find(READY[path] ?? '//h1');
      expect(await violationsOn(browser.driver)).toEqual([]);
    });

    it.each(OPEN)('axe finds nothing on %s', async (_, press, shown) => {
      // One Bench for all of them: each is closed again by its key, or else there is another.
      if ((await browser.driver.findElements(By.xpath(BENCH_AT_REST))).length === 0)
        await browser.driver.get(inject('address'));
      await page.find(BENCH_AT_REST);
      await page.click(press);
      await page.find(shown);
      // What slides in or fades in has come to rest.
      await browser.driver.wait(
        () => browser.driver.executeScript<boolean>('return document.getAnimations().length === 0'),
        5000,
      );
      expect(await violationsOn(browser.driver)).toEqual([]);
      await page.keys('Escape');
      await browser.driver.wait(
        async () => (await browser.driver.findElements(By.xpath(shown))).length === 0,
        5000,
      );
    });
  });
