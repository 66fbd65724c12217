import { describe, expect, inject, it } from 'vitest';
import { testAccess } from './access';
import { openBrowser } from './browser';
import { Page } from './page';

testAccess('phone');

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
