import { readFileSync } from 'node:fs';
import { Key } from 'selenium-webdriver';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { violationsOn } from './axe';
import { openBrowser, type Browser } from './browser';
import { Page } from './page';

const FIELD = (label: string) =>
  `//*[@role="dialog"]//input[@id=(//label[starts-with(normalize-space(.), "${label}")]/@for)]`;

describe('a part of one’s own', () => {
  let browser: Browser;
  let page: Page;
  beforeAll(async () => {
    browser = await openBrowser('desk');
    page = new Page(browser);
    await browser.driver.get(`${inject('address')}?rig=two-at-the-bench`);
    await page.find('//aside//*[@data-verdict]');
  });
  afterAll(() => browser?.driver.quit());

  it('is begun from a template in the Drawer, and refuses a figure that it cannot read', async () => {
    await page.click('//nav//a[text()="Drawer"]');
    await page.button('A part of your own');
    await page.click('//*[@role="dialog"]//*[@cmdk-item][contains(., "Electret with plug-in power")]');
    await (
      await page.find('//*[@role="dialog"]//label[contains(., "What you call it")]/input')
    ).sendKeys(Key.chord(Key.CONTROL, 'a'), 'Tarred clip');
    const field = await page.find(FIELD('Sensitivity'));
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), 'loud');
    expect(await page.text('//*[@role="dialog"]//*[@role="alert"]')).toContain('“loud” is no such figure');
    expect(await violationsOn(browser.driver)).toEqual([]);
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), '7.9 mV/Pa');
    await page.button('Keep');
    await page.message('Tarred clip is in the drawer');
    await page.find('//section[@aria-label="In the drawer"]//*[text()="Tarred clip"]');
  });

  it('is offered when a rig is begun, and goes into its file', async () => {
    await page.click('//nav//a[text()="Bench"]');
    await page.find('//aside//*[@data-verdict]');
    await browser.driver.actions().sendKeys('n').perform();
    await page.click('//*[@role="dialog"]//*[@cmdk-item][contains(., "Tarred clip")]');
    await page.click('//*[@role="dialog"]//*[@cmdk-item][contains(., "Phone, CTIA headset jack")]');
    await page.find('//*[@role="dialog"]//h2[contains(., "Plug into Tarred clip")]');
    await page.keys('Escape');
    await page.find('//article[@aria-label="Tarred clip"]');
    await page.button('More for this rig');
    await page.click('//*[@role="menuitem" and contains(., "Export")]');
    const file = JSON.parse(readFileSync(await page.downloaded(), 'utf8')) as {
      ownParts: { id: string; circuit: { kind: string; sensitivity: number }[] }[];
    };
    expect(file.ownParts.map((part) => part.id)).toEqual(['own-tarred-clip']);
    // 20·log10(7.9 mV / 1 V)
    expect(file.ownParts[0]?.circuit.find((e) => e.kind === 'electret')?.sensitivity).toBeCloseTo(-42.05, 2);
  });

  it('a shipped part on the Bench gets figures of one’s own, and undo gives the shipped ones back', async () => {
    await browser.driver.get(`${inject('address')}?rig=slipway-diary`);
    await page.verdict('silent', 'wrong-mic');
    await page.button('More for Receiver, TRS output');
    await page.click('//*[@role="menuitem" and contains(., "figures")]');
    await (await page.find(FIELD('Sensitivity'))).sendKeys(Key.chord(Key.CONTROL, 'a'), '-60');
    await page.button('Keep');
    await page.find('//article[@aria-label="Receiver, TRS output, mine"]');
    await page.button('Undo');
    await page.find('//article[@aria-label="Receiver, TRS output"]');
  });
});

describe('the plug of a joint', () => {
  it('is dragged to another socket, and by its grip moved back from a list', async () => {
    const browser = await openBrowser('desk');
    try {
      const page = new Page(browser);
      const { driver } = browser;
      await driver.get(`${inject('address')}?rig=quay-to-camera`);
      await page.find('//aside//*[@data-verdict]');
      const grip = await page.find(
        '(//button[contains(@aria-label, "out of ") and contains(@aria-label, "amera")])[1]',
      );
      await driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', grip);
      const camera = await page.find('//article[contains(@aria-label, "amera")]');
      const box = await camera.getRect();
      await driver
        .actions()
        .move({ origin: grip })
        .press()
        .move({ x: Math.round(box.x + 60), y: Math.round(box.y + box.height / 2), duration: 200 })
        .perform();
      const chip = await page.find('//*[@data-socket-part]');
      expect(await chip.getText()).toBe('mic jack');
      await driver.actions().move({ origin: chip, duration: 100 }).release().perform();
      await page.verdict('clean', 'recorded');
      await page.click('(//button[contains(@aria-label, "out of ") and contains(@aria-label, "amera")])[1]');
      await page.click('//*[@role="dialog"]//button[contains(., "amera") and contains(., "headphone")]');
      await page.verdict('silent', 'wrong-mic');
    } finally {
      await browser.driver.quit();
    }
  });
});
