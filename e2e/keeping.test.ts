import { readFileSync } from 'node:fs';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, inject, it } from 'vitest';
import { openBrowser, type Browser } from './browser';
import { Page } from './page';

/** What people fear for: two tabs, a killed tab, a full disk. */
describe('nothing is lost', () => {
  let browser: Browser;
  let page: Page;
  beforeEach(async () => {
    browser = await openBrowser('desk');
    page = new Page(browser);
    await browser.driver.get(inject('address'));
    await page.verdict('silent', 'wrong-mic');
  });
  afterEach(() => browser?.driver.quit());

  it('a second tab sees the first one’s edits, and both keep theirs', async () => {
    const { driver } = browser;
    const first = await driver.getWindowHandle();
    await page.choose('Output', 'low');
    await driver.switchTo().newWindow('tab');
    const second = await driver.getWindowHandle();
    await driver.get(`${inject('address')}?rig=slipway-diary`);
    await page.verdict('silent', 'wrong-mic');
    expect(await valueOf(page, 'Output')).toBe('low');
    await page.choose('Voice', 'loud');
    await driver.switchTo().window(first);
    await page.find('//article[@aria-label="Receiver, TRS output"]');
    await driver.wait(
      async () => (await valueOf(page, 'Voice')) === 'loud',
      10_000,
      'the edit did not come over',
    );
    expect(await valueOf(page, 'Output')).toBe('low');
    await page.button('Undo');
    await driver.switchTo().window(second);
    await driver.wait(
      async () => (await valueOf(page, 'Voice')) === 'raised',
      10_000,
      'the undo did not come over',
    );
    expect(await valueOf(page, 'Output')).toBe('low');
  });

  it('a tab killed right after an edit has kept it', async () => {
    const { driver } = browser;
    await page.choose('Output', 'low');
    await page.find('//button[normalize-space(.)="Undo" and not(@disabled)]');
    await driver.switchTo().newWindow('tab');
    const [first, second] = await driver.getAllWindowHandles();
    await driver.switchTo().window(first ?? '');
    await driver.close();
    await driver.switchTo().window(second ?? '');
    await driver.get(`${inject('address')}?rig=slipway-diary`);
    await page.verdict('silent', 'wrong-mic');
    expect(await valueOf(page, 'Output')).toBe('low');
  });

  it('a rig stored by an older Symplex is left alone, with its version named and a file offered', async () => {
    await browser.driver.executeAsyncScript(
      `const done = arguments[arguments.length - 1];
       const open = indexedDB.open('symplex');
       open.onsuccess = () => {
         const rigs = open.result.transaction('rigs', 'readwrite').objectStore('rigs');
         const doc = { format: 'symplex-rig', version: 0, id: 'old-rig', name: 'Old rig', leads: ['a'] };
         rigs.put({ id: 'old-rig', doc, past: [], future: [], updatedAt: 1 }).onsuccess = () => done();
       };`,
    );
    await browser.driver.get(`${inject('address')}?rig=old-rig`);
    await page.find('//h1[contains(., "Old rig cannot be laid out")]');
    expect(await page.text('//main//*[@role="alert"]')).toContain(
      'its version is 0, and this one reads version 1',
    );
    await page.button('Export it as it is');
    expect(JSON.parse(readFileSync(await page.downloaded(), 'utf8'))).toMatchObject({
      version: 0,
      leads: ['a'],
    });
    await page.button('Slipway diary');
    await page.verdict('silent', 'wrong-mic');
  });

  it('a full disk is told in one message that offers the rig as a file', async () => {
    await browser.driver.executeScript(
      `IDBObjectStore.prototype.put = () => { throw new DOMException('full', 'QuotaExceededError'); };`,
    );
    await page.choose('Output', 'low');
    const said = await page.message('storage is full');
    expect(said).toContain('Export');
    await page.click('//*[@data-sonner-toast]//button[normalize-space(.)="Export"]');
    expect(await page.downloaded()).toContain('slipway-diary.symplex-rig');
  });
});

const valueOf = async (page: Page, label: string) =>
  (await page.find(`//label[starts-with(normalize-space(.), "${label}")]/select`)).getAttribute('value');

describe('by keyboard alone', () => {
  let browser: Browser;
  let page: Page;
  beforeAll(async () => {
    browser = await openBrowser('desk');
    page = new Page(browser);
    await browser.driver.get(inject('address'));
    await page.verdict('silent', 'wrong-mic');
  });
  afterAll(() => browser?.driver.quit());

  it('the first stop leads past the navigation', async () => {
    await page.keys('Tab');
    expect(await page.focused()).toBe('Skip to the rig');
  });

  it('a part is swapped', async () => {
    await page.tabTo('Swap TRS–TRS lead');
    await page.keys('Enter');
    await page.find('//*[@role="dialog"]//button[contains(., "patch cable")]');
    await page.tabTo('patch cable, end with two dark bands first');
    await page.keys('Enter');
    await page.verdict('faulty', 'recorded');
  });

  it('Escape closes a dialog and the focus returns to its button', async () => {
    await page.tabTo('Swap TRS-to-TRRS patch cable');
    await page.keys('Enter');
    await page.find('//*[@role="dialog"]');
    await page.keys('Escape');
    await browser.driver.wait(
      async () => (await page.focused()).startsWith('Swap'),
      5000,
      'the focus is lost',
    );
  });

  it('a knob is turned by arrows, and the rig follows', async () => {
    await browser.driver.get(`${inject('address')}?rig=sail-loft-talk`);
    await page.verdict('silent', 'not-listed');
    const thumb = await page.find('//*[@role="slider" and @aria-label="Gain"]');
    expect(await thumb.getAttribute('aria-valuetext')).toBe('38.0 dB');
    await page.tabTo('Gain');
    await page.keys('ArrowRight');
    await page.find('//*[@role="slider" and @aria-label="Gain" and @aria-valuetext="39.0 dB"]');
    await page.find('//button[normalize-space(.)="Undo" and not(@disabled)]');
  });

  it('a fix is applied, and what cannot be seen is named: the hub’s supply', async () => {
    await page.tabTo('Apply: Set USB hub');
    await page.keys('Enter');
    await page.verdict('clean', 'recorded');
    expect(await page.sentence()).toBe('The tablet will record the microphone, in mono.');
  });
});

describe('the Drawer', () => {
  it('counts what is owned, and a fix from it costs nothing', async () => {
    const browser = await openBrowser('desk');
    try {
      const page = new Page(browser);
      await browser.driver.get(inject('address'));
      await page.verdict('silent', 'wrong-mic');
      const row = '//aside//li[contains(., "patch cable")]';
      expect(await page.text(row)).toContain('In the drawer');
      await page.click('//nav//a[text()="Drawer"]');
      await page.button('One TRS-to-TRRS patch cable less');
      await browser.driver.wait(
        async () => !(await page.text('//section[@aria-label="In the drawer"]')).includes('patch cable'),
        10_000,
        'the patch cable is still in the drawer',
      );
      await page.click('//nav//a[text()="Bench"]');
      await page.verdict('silent', 'wrong-mic');
      await browser.driver.wait(async () => (await page.text(row)).includes('To buy, about €9'), 10_000);
    } finally {
      await browser.driver.quit();
    }
  });
});
