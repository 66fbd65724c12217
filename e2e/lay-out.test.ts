import { readFileSync } from 'node:fs';
import { Key } from 'selenium-webdriver';
import { describe, expect, inject, it } from 'vitest';
import { analyse } from '../src/core/judge';
import { readRig } from '../src/core/files/read-rig';
import { openBrowser } from './browser';
import { Page } from './page';

const shipped = readRig(readFileSync('demo/rigs/two-at-the-bench.json', 'utf8'));
if (!shipped.ok) throw new Error('Two at the bench is no rig');
const SHIPPED = analyse(shipped.rig);
const VERDICT = [SHIPPED.verdict, SHIPPED.arrives[0]?.state ?? ''] as const;

const CODES = SHIPPED.findings.map((finding) => finding.code);
const shownCodes = async (page: Page) => {
  const shown = await page.driver.executeScript<string[]>(
    'return [...document.querySelectorAll("[data-finding]")].map((e) => e.dataset.finding)',
  );
  return shown;
};

describe('Two at the bench, from nothing', () => {
  it('by keyboard alone, in under 25 actions', { timeout: 150_000 }, async () => {
    const browser = await openBrowser('desk');
    try {
      const page = new Page(browser);
      await browser.driver.get(inject('emptyAddress'));
      await page.find('//h1[text()="No rig on the Bench yet"]');
      let actions = 0;
      const press = async (...keys: string[]) => {
        actions += 1;
        await browser.driver
          .actions()
          .sendKeys(...keys)
          .perform();
      };
      /** What is looked for, typed once its own list is there and empty, and taken with Enter: two actions. */
      const answer = async (title: string, text: string, first: string) => {
        await page.find(`//*[@role="dialog"]//h2[starts-with(normalize-space(.), "${title}")]`);
        await page.find('//*[@role="dialog"]//input[@cmdk-input][not(@value) or @value=""]');
        if (text) await press(text);
        await page.find(`(//*[@cmdk-item])[1][contains(., "${first}")][@data-selected="true"]`);
        await press(Key.ENTER);
      };
      await press('n');
      await answer('What do you have?', 'clip-on pack', 'Clip-on pack');
      await answer('What is it going into?', 'phone, usb-c', 'Phone, USB-C port');
      await answer('Plug into Clip-on pack', 'two packs, trs', 'Receiver, two packs, TRS output');
      await answer('Plug into Receiver, two packs', 'clip-on pack', 'Clip-on pack');
      await answer(
        'Plug into Receiver, two packs',
        'converter cable usb-c',
        'Converter cable, 3.5 mm to USB-C',
      );
      await answer('Plug into Converter cable', '', 'Phone, USB-C port');
      // As it comes the receiver gives little, and that is told.
      await page.verdict('faulty', 'recorded');
      expect(new Set(await shownCodes(page))).toEqual(new Set(['faint']));
      actions += 1;
      await page.control('k');
      await answer('What next?', 'output high', 'high');
      await page.verdict('clean', 'recorded');
      actions += 1;
      await page.control('k');
      await answer('What next?', 'mode stereo', 'one pack a side');
      await page.verdict(...VERDICT);
      expect((await shownCodes(page)).sort()).toEqual([...CODES].sort());
      expect(actions).toBeLessThan(25);
    } finally {
      await browser.driver.quit();
    }
  });

  it('from the shelf of usual rigs, looked through by words: clean at once', async () => {
    const browser = await openBrowser('desk');
    try {
      const page = new Page(browser);
      await browser.driver.get(inject('emptyAddress'));
      await page.click('//button[contains(., "What do you have?")]');
      await page.click('//*[@role="tab"][contains(., "A usual rig")]');
      await page.find('(//*[@data-usual])[20]');
      await page.click('//*[@role="tabpanel"]//input[contains(@placeholder, "where it goes")]');
      await browser.driver.actions().sendKeys('guitar', ' ', 'tablet').perform();
      await page.find('(//*[@cmdk-item])[1][@data-usual="guitar-tablet"][@data-selected="true"]');
      await browser.driver.actions().sendKeys(Key.ENTER).perform();
      await page.verdict('clean', 'recorded');
      expect(await page.text('//h1')).toBe('Guitar on a tablet');
    } finally {
      await browser.driver.quit();
    }
  });

  it('on a phone, by taps', { timeout: 150_000 }, async () => {
    const browser = await openBrowser('phone');
    try {
      const page = new Page(browser);
      await browser.driver.get(inject('emptyAddress'));
      let actions = 0;
      const tap = async (xpath: string) => {
        actions += 1;
        await page.click(xpath);
      };
      const type = async (text: string) => {
        actions += 1;
        await page.typeInto('//*[@role="dialog"]//input[@cmdk-input]', text);
      };
      const take = (title: string, name: string) =>
        tap(
          `//*[@role="dialog"][.//h2[starts-with(normalize-space(.), "${title}")]]//*[@cmdk-item][contains(., "${name}")]`,
        );
      await tap('//button[contains(., "What do you have?")]');
      await take('What do you have?', 'Clip-on pack');
      await page.find('//h2[text()="What is it going into?"]');
      await type('usb-c');
      await take('What is it going into?', 'Phone, USB-C port');
      await take('Plug into Clip-on pack', 'Receiver, two packs, TRS output');
      await take('Plug into Receiver', 'Clip-on pack');
      await type('converter');
      await take('Plug into Receiver', 'Converter cable, 3.5 mm to USB-C');
      await take('Plug into Converter cable', 'Phone, USB-C port');
      await page.verdict('faulty', 'recorded');
      actions += 1;
      await page.choose('Output', 'high');
      await page.verdict('clean', 'recorded');
      actions += 1;
      await page.choose('Mode', 'stereo: one pack a side');
      await page.verdict(...VERDICT);
      expect(actions).toBeLessThan(25);
      const overflow = await browser.driver.executeScript<number>(
        'return document.documentElement.scrollWidth - document.documentElement.clientWidth',
      );
      expect(overflow).toBeLessThanOrEqual(0);
    } finally {
      await browser.driver.quit();
    }
  });
});
