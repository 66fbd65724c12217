import { Key } from 'selenium-webdriver';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { violationsOn } from './axe';
import { openBrowser, type Browser } from './browser';
import { Page } from './page';

const PANEL = '//aside[@aria-label="Power"]';
const rigAt = (id: string) => `${inject('address')}?rig=${id}&lens=power`;
const answer = (asks: string, is: string) => `${PANEL}//li[@data-answer="${asks}" and @data-is="${is}"]`;

describe('the lens Power', () => {
  let browser: Browser;
  let page: Page;
  beforeAll(async () => {
    browser = await openBrowser('desk');
    page = new Page(browser);
  });
  afterAll(() => browser.driver.quit());

  const press = (key: string) => browser.driver.actions().sendKeys(key).perform();

  it('opens by its key and answers three questions', async () => {
    await browser.driver.get(`${inject('address')}?rig=launch-day-stream`);
    await page.verdict('faulty', 'recorded');
    await press('3');
    await page.find(answer('start', 'well'));
    await page.find(answer('last', 'well'));
    expect(await page.text(answer('hum', 'ill'))).toContain('−49.3 dBFS');
    expect(await violationsOn(browser.driver)).toEqual([]);
  });

  it('offers cures with the hum that they leave; one press breaks the loop, and it is one step back', async () => {
    await browser.driver.get(rigAt('launch-day-stream'));
    const bank = `${PANEL}//li[contains(., "power bank, USB-C socket")]`;
    await page.find(`${bank}[contains(., "Then: no hum to speak of")]`);
    await page.click(`${bank}//button`);
    await page.find(answer('hum', 'well'));
    await page.verdict('clean', 'recorded');
    await page.control('z');
    await page.find(answer('hum', 'ill'));
  });

  it('says what is starved at its rung, and feeds it', async () => {
    await browser.driver.get(rigAt('sail-loft-talk'));
    await page.find('//li[@data-power-row="interface" and contains(., "refused by")]');
    await page.click(`${PANEL}//section[@data-finding="starved"]//button`);
    await page.find(answer('start', 'well'));
    expect(await page.text('//li[@data-power-row="interface"]')).toContain('mA of 500 mA from USB hub');
    await page.control('z');
    await page.find(answer('start', 'ill'));
  });

  it('plans a session, says what is empty before its end, and where a thing is plugged in', async () => {
    await browser.driver.get(rigAt('slipway-diary'));
    const session = `${PANEL}//section[@aria-label="Session clock"]`;
    await page.find(`${session}//*[@role="img"]`);
    const length = await page.find(`${session}//select`);
    await length.sendKeys('12 h');
    await page.find(answer('last', 'ill'));
    await page.find(`${PANEL}//section[@data-finding="runs-flat"]`);
    await page.control('z');
    await page.find(answer('last', 'well'));
    await (await page.find(`${session}//select`)).sendKeys('2 h');
    const full = `${session}//fieldset//label[contains(., "phone")]//input`;
    await (await page.find(full)).sendKeys(Key.chord(Key.CONTROL, 'a'), '5', Key.ENTER);
    await page.find(answer('last', 'ill'));
    await page.find(`${PANEL}//section[@data-finding="runs-flat"]`);

    await browser.driver.get(rigAt('launch-day-stream'));
    const field = await page.find(
      `${PANEL}//section[@aria-label="Where it is plugged in"]//label[contains(., "Mixer")]//input`,
    );
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), 'Shed outlet', Key.ENTER);
    await page.find('//li[@data-power-row="mixer" and contains(., "Shed outlet")]');
    await page.control('z');
    await page.find('//li[@data-power-row="mixer" and contains(., "Quay strip")]');
  });

  it('gives the order of plugging, and cautions that can be closed', async () => {
    await browser.driver.get(rigAt('launch-day-stream'));
    expect(await page.text(`${PANEL}//section[@aria-label="In this order"]//li[1]`)).toContain('phantom off');
    await page.click(`${PANEL}//section[@aria-label="With care"]//button`);
    const care = await page.find(`${PANEL}//section[@aria-label="With care"]`);
    expect(await care.isDisplayed()).toBe(false);
  });
});
