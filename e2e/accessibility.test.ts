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
const FORMS = [
  ['desk', false],
  ['desk', true],
  ['phone', false],
  ['phone', true],
] as const satisfies readonly (readonly [Size, boolean])[];

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

describe.each(FORMS)('%s, dark: %s', (size, dark) => {
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
    await browser.driver.get(inject('address'));
    await page.find('//*[@data-finding]//ul');
    await page.click(press);
    await page.find(shown);
    // What slides in or fades in has come to rest.
    await browser.driver.wait(
      () => browser.driver.executeScript<boolean>('return document.getAnimations().length === 0'),
      5000,
    );
    expect(await violationsOn(browser.driver)).toEqual([]);
  });
});

describe('a phone held upright', () => {
  it('applies a fix by taps and never scrolls sideways', async () => {
    const browser = await openBrowser('phone');
    try {
      const page = new Page(browser);
      await browser.driver.get(inject('address'));
      await page.verdict('silent', 'wrong-mic');
      await page.button('Why, and what to change');
      await page.click('//aside//button[starts-with(@aria-label, "Apply: Swap")]');
      await page.verdict('faulty', 'recorded');
      const overflow = await browser.driver.executeScript<number>(
        'return document.documentElement.scrollWidth - document.documentElement.clientWidth',
      );
      expect(overflow).toBeLessThanOrEqual(0);
    } finally {
      await browser.driver.quit();
    }
  });
});
