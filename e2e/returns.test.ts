import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { violationsOn } from './axe';
import { openBrowser, type Browser } from './browser';
import { Page } from './page';

const PANEL = '//aside[@aria-label="Returns"]';
const AT = '?rig=harbour-call-in&lens=returns';
const cell = (listener: string, voice: string, state: string) =>
  `${PANEL}//td[@data-cell="${listener} ${voice}" and @data-state="${state}"]`;

describe('the lens Returns', () => {
  let browser: Browser;
  let page: Page;
  beforeAll(async () => {
    browser = await openBrowser('desk');
    page = new Page(browser);
  });
  afterAll(() => browser.driver.quit());

  it('opens by its key and says in words who does not hear whom', async () => {
    await browser.driver.get(`${inject('address')}?rig=harbour-call-in`);
    await page.verdict('faulty', 'recorded');
    await browser.driver.actions().sendKeys('4').perform();
    await page.find(`${PANEL}//li[.="Caller A hears everyone but Caller B, and themself 260 ms late."]`);
    await page.find(cell('phone-a', 'phone-a', 'late'));
    await page.find(cell('phone-b', 'phone-a', 'not'));
    expect(await violationsOn(browser.driver)).toEqual([]);
  });

  it('one press sets every send, everyone hears everyone but themself, and it is one step back', async () => {
    await browser.driver.get(`${inject('address')}${AT}`);
    await page.click(`${PANEL}//section[@aria-label="Everyone but themself"]//button[.="Set all"]`);
    await page.find(cell('phone-a', 'phone-a', 'alone'));
    await page.find(cell('phone-a', 'phone-b', 'hears'));
    await page.find(cell('phone-b', 'phone-a', 'hears'));
    await page.find(`${PANEL}//p[.="Every send stands as it should."]`);
    await page.verdict('clean', 'recorded');
    await page.control('z');
    await page.find(cell('phone-a', 'phone-a', 'late'));
  });

  it('shows what goes to and from the one who is chosen', async () => {
    await browser.driver.get(`${inject('address')}${AT}`);
    await page.click(`${PANEL}//th//button[.="Caller B"]`);
    await page.find('//li[@data-return-row="phone-b"]//button[@aria-pressed="true"]');
    await page.find('//p[.="What goes to and from Caller B."]');
  });

  it('a cell that is chosen lights its way on the ladder, and no other', async () => {
    await browser.driver.get(`${inject('address')}${AT}`);
    await page.click(`${cell('phone-a', 'phone-a', 'late')}//button`);
    await page.find('//p[starts-with(., "How Caller A comes to Caller A: echo")]');
    await page.find('//li[@data-return-row="phone-a" and @data-lit]');
    await page.find('//ol//li[@data-lit][contains(., "Mixer")]');
    await page.find('//ol[not(.//li[@data-return-row="phone-b" and @data-lit])]');
    await page.click(`${cell('phone-a', 'phone-a', 'late')}//button`);
    await page.find('//ol[not(.//li[@data-lit])]');
  });
});
