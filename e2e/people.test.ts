import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { violationsOn } from './axe';
import { openBrowser, type Browser } from './browser';
import { Page } from './page';

const PANEL = '//aside[@aria-label="Returns"]';
const CARD = `${PANEL}//section[@aria-label="Who is in the room"]`;
const cell = (listener: string, voice: string, state: string) =>
  `${PANEL}//td[@data-cell="${listener} ${voice}" and @data-state="${state}"]`;

describe('who is in the room', () => {
  let browser: Browser;
  let page: Page;
  beforeAll(async () => {
    browser = await openBrowser('desk');
    page = new Page(browser);
  });
  afterAll(() => browser.driver.quit());

  const open = (rig: string) => browser.driver.get(`${inject('address')}?rig=${rig}&lens=returns`);
  const name = async (who: string) => {
    await page.typeInto(`${CARD}//label[starts-with(., "Name")]/input`, who);
    await page.click(`${CARD}//button[.="Add"]`);
    await page.find(`${CARD}//li[.//span[.="${who}"]]`);
  };

  it('who is named has the first microphone and headphones; who has none is told to hear no far end', async () => {
    await open('harbour-call-in');
    await name('Harbour master');
    await page.find(`${PANEL}//li[.="Harbour master hears everyone else."]`);
    await page.find(cell('harbour-master', 'harbour-master', 'hears'));
    await name('Rigger');
    await page.find(cell('rigger', 'phone-a', 'not'));
    await page.find(cell('rigger', 'harbour-master', 'hears'));
    await page.find(`${PANEL}//h3[contains(., "Rigger does not hear the far end")]`);
    expect(await violationsOn(browser.driver)).toEqual([]);
    await page.click(`${CARD}//button[@aria-label="Rigger leaves the room"]`);
    await page.find(`${PANEL}//tbody[not(.//td[@data-cell="rigger phone-a"])]`);
    await page.control('z');
    await page.find(cell('rigger', 'phone-a', 'not'));
    await page.control('z');
    await page.control('z');
    await page.control('z');
    await page.find(cell('phone-a', 'mic', 'hears'));
  });

  it('one who comes too near to the microphone of another is told, and what is offered cures it', async () => {
    await browser.driver.get(inject('address'));
    await page.button('New rig');
    await page.click('//*[@role="tab"][contains(., "A usual rig")]');
    await page.click('//*[@data-usual="table-talk"]');
    await page.verdict('clean', 'recorded');
    await browser.driver.actions().sendKeys('4').perform();
    await page.find(cell('phone', 'rigger', 'hears'));
    const row = `${CARD}//li[@data-person="rigger"]`;
    await page.retype(`${row}//label[contains(., "distance, metres")]/input`, '0.2');
    await page.click(`${CARD}//h3`);
    await page.choose('Rigger to Dynamic microphone, XLR (2)', 'straight ahead of it', row);
    await page.find(cell('phone', 'rigger', 'twice'));
    await page.find(`${PANEL}//h3[contains(., "Two microphones on one voice")]`);
    await page.click(`${PANEL}//li[contains(., "from the mouth")]//button[contains(., "Apply")]`);
    await page.find(cell('phone', 'rigger', 'hears'));
  });
});
