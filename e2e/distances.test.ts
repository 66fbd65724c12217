import { expect, inject, it } from 'vitest';
import { violationsOn } from './axe';
import { openBrowser } from './browser';
import { Page } from './page';

const ITEM = (name: string) => `//*[@role="dialog"]//*[@cmdk-item][contains(., "${name}")]`;

it('the length on an owned lead counts: twelve metres are bridged with the one of fifteen from the drawer, else one is bought', async () => {
  const browser = await openBrowser('desk');
  try {
    const page = new Page(browser);
    await browser.driver.get(`${inject('emptyAddress')}drawer`);
    await page.button('Add what I own');
    await page.click('//*[@role="dialog"]//*[@cmdk-item][.//*[normalize-space(text())="XLR lead"]]');
    await page.find('//output[.="1"]');
    await page.click('//table//button[@aria-expanded="false"][contains(., "XLR lead")]');
    await page.typeInto('//label[starts-with(., "Lengths, m")]/input', 'long');
    await page.click('//label[starts-with(., "Label")]');
    expect(await page.text('//table//*[@role="alert"]')).toContain('"long" is no length');
    await page.retype('//label[starts-with(., "Lengths, m")]/input', '15');
    await page.click('//label[starts-with(., "Label")]');
    await page.find('//table[not(.//*[@role="alert"])]');
    expect(await violationsOn(browser.driver)).toEqual([]);

    await browser.driver.get(`${inject('emptyAddress')}route`);
    await page.click('//button[starts-with(@aria-label, "What is to be recorded?")]');
    await page.click(ITEM('Dynamic microphone, XLR'));
    await page.click('//button[starts-with(@aria-label, "What records it?")]');
    await page.click(ITEM('Portable recorder, two XLR'));
    await page.click('//summary[.="How far apart each stands"]');
    const field = '//label[starts-with(., "Dynamic microphone, XLR to")]/input';
    await page.typeInto(field, '12');
    await page.button('Find the ways');
    const first = await page.text('//section[@aria-label="Ways"]//*[@data-route="1"]');
    expect(first).toContain('15 m');
    expect(first).toMatch(/XLR lead, 15 m/);
    expect(first).toContain('nothing to buy');
    expect(await violationsOn(browser.driver)).toEqual([]);
  } finally {
    await browser.driver.quit();
  }
});
