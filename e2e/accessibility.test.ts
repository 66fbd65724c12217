import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { describe, expect, inject, it } from 'vitest';
import { openBrowser, type Size } from './browser';
import { Page } from './page';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

interface Violation {
  readonly id: string;
  readonly nodes: readonly { readonly html: string; readonly failureSummary: string }[];
}

const VIEWS = [
  ['Bench', ''],
  ['Drawer', 'drawer'],
  ['Compare', 'compare'],
] as const;
/** What stands there once a view has loaded. */
const READY: Record<string, string> = {
  '': '//*[@data-finding]//ul',
  drawer: '//h2[text()="In the drawer"]',
  compare: '//h2[text()="What differs"]',
};
const FORMS = [
  ['desk', false],
  ['desk', true],
  ['phone', false],
  ['phone', true],
] as const satisfies readonly (readonly [Size, boolean])[];

describe.each(FORMS)('%s, dark: %s', (size, dark) => {
  it.each(VIEWS)('axe finds nothing on the %s (WCAG 2.2 AA)', async (_, path) => {
    const browser = await openBrowser(size, dark);
    try {
      const page = new Page(browser);
      await browser.driver.get(inject('address') + path);
      await page.find(READY[path] ?? '//h1');
      await browser.driver.executeScript(axe);
      const violations = await browser.driver.executeAsyncScript<Violation[]>(
        `const done = arguments[arguments.length - 1];
         axe.run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] })
           .then((result) => done(result.violations));`,
      );
      expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html).join(' | ')}`)).toEqual([]);
    } finally {
      await browser.driver.quit();
    }
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
