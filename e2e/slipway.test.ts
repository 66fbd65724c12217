import { readFileSync, renameSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { openBrowser, type Browser } from './browser';
import { Page } from './page';

describe('Slipway diary, as a user', () => {
  let browser: Browser;
  let page: Page;
  beforeAll(async () => {
    browser = await openBrowser('desk');
    page = new Page(browser);
    await browser.driver.get(inject('address'));
  });
  afterAll(() => browser?.driver.quit());

  it('opens on the wrong microphone, with its reason', async () => {
    await page.verdict('silent', 'wrong-mic');
    expect(await page.sentence()).toBe('The phone will record its own microphone, not the pack.');
    const reason = await page.text('//*[@data-finding="mic-line-shorted"]');
    expect(reason).toContain('0 Ω');
    expect(reason).toContain('1 kΩ or more');
    expect(reason).toContain('Android wired headset specification 1.1');
    expect(
      await page.text('//ol//*[name()="svg"]//*[contains(text(), "joined by the sleeve")]'),
    ).toBeTruthy();
  });

  it('shows the contacts of the bad joint: nothing is left at the microphone spring', async () => {
    await page.click('//summary[contains(., "Contact by contact")]');
    const row = await page.text('//tr[td[1][contains(., "sleeve") and contains(., "microphone")]]');
    expect(row).toMatch(/sleeve \(microphone\) sleeve \(ground\) 0 V/);
  });

  it('is clean by one button: the way out step by step, undone as one', async () => {
    const way = await page.text('//section[@aria-label="The way out"]');
    expect(way).toContain('The way out: 2 steps');
    expect(way).toMatch(/Swap TRS–TRS lead for TRS-to-TRRS patch cable[^]*Output to low[^]*Then: clean/);
    await page.button('Make it clean');
    await page.verdict('clean', 'recorded');
    await page.button('Undo');
    await page.verdict('silent', 'wrong-mic');
    await page.click('//section[@aria-label="The way out"]//button[normalize-space(.)="Do 1"]');
    await page.verdict('faulty', 'recorded');
    await page.button('Undo');
    await page.verdict('silent', 'wrong-mic');
  });

  it('with the lead taken out: what is to be got, and where it goes; undone', async () => {
    await page.button('More for TRS–TRS lead');
    await page.click('//*[@role="menuitem" and contains(., "Take out of the rig")]');
    await page.find('//*[@data-finding="no-path"]');
    const gap =
      /Put TRS-to-TRRS patch cable between the output of receiver, TRS output and the headset jack of headset dongle/;
    await page.find(
      '//section[@aria-label="The way out"]//*[contains(., "Put TRS-to-TRRS patch cable between")]',
    );
    expect(await page.text('//section[@aria-label="The way out"]')).toMatch(gap);
    await page.button('Make it clean');
    await page.verdict('clean', 'recorded');
    await page.button('Undo');
    await page.button('Undo');
    await page.verdict('silent', 'wrong-mic');
  });

  it('records once the patch cable is swapped in, and clips at the high output', async () => {
    await page.click(
      '//aside//button[starts-with(@aria-label, "Apply: Swap TRS–TRS lead for TRS-to-TRRS patch")]',
    );
    await page.verdict('faulty', 'recorded');
    await page.find('//*[@data-finding="clips"]');
    await page.click('//aside//button[contains(@aria-label, "Output to low")]');
    await page.verdict('clean', 'recorded');
  });

  it('fails again when the patch cable is turned round; undo and redo by keyboard', async () => {
    await page.buttonIn('TRS-to-TRRS patch cable', 'Turn round');
    await page.verdict('silent', 'wrong-mic');
    await page.control('z');
    await page.verdict('clean', 'recorded');
    await page.control('y');
    await page.verdict('silent', 'wrong-mic');
    await page.button('Undo');
    await page.verdict('clean', 'recorded');
  });

  it('is kept over a reload, undo and all', async () => {
    await browser.driver.navigate().refresh();
    await page.verdict('clean', 'recorded');
    await page.button('Undo');
    await page.verdict('faulty', 'recorded');
    await page.button('Redo');
    await page.verdict('clean', 'recorded');
  });

  it('exports, deletes, imports, and is the same', async () => {
    await page.button('More for this rig');
    await page.click('//*[@role="menuitem" and contains(., "Export")]');
    const path = await page.downloaded();
    const exported = readFileSync(path, 'utf8');
    const moved = `${path}.kept.json`;
    renameSync(path, moved);
    await page.button('More for this rig');
    await page.click('//*[@role="menuitem" and contains(., "Delete")]');
    await page.message('Slipway diary is deleted.');
    await page.find('//h1[text()="Two at the bench"]');
    await page.importFile(moved);
    await page.find('//h1[text()="Slipway diary"]');
    await page.verdict('clean', 'recorded');
    renameSync(moved, `${moved}.crdownload`);
    await page.button('More for this rig');
    await page.click('//*[@role="menuitem" and contains(., "Export")]');
    expect(readFileSync(await page.downloaded(), 'utf8')).toBe(exported);
  });
});
