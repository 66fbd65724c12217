import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { describe, expect, inject, it } from 'vitest';
import { openPage, put, table } from './opened';
import type { Page } from './page';

const countOf = async (page: Page, part: string) =>
  Number((await table(page, 'drawer')).find((item) => item['part'] === part)?.['count'] ?? 0);

/** Presses a button again and again, as fast as asked, by the page's own clicks. */
const pressMany = (page: Page, label: string, times: number, everyMs: number) =>
  page.driver.executeAsyncScript(
    `const done = arguments[arguments.length - 1];
     const [label, times, every] = arguments;
     let left = times;
     const press = () => {
       if (left === 0) return done();
       left -= 1;
       document.querySelector('button[aria-label="' + label + '"]').click();
       if (every > 0) setTimeout(press, every); else press();
     };
     press();`,
    label,
    times,
    everyMs,
  );

const LEAD = 'lead-trs-trs';
const MORE = 'One TRS–TRS lead more';

describe('counts in the drawer', () => {
  const ready = (page: Page) => page.find(`//button[@aria-label="${MORE}"]`);

  it('ten clicks 80 ms apart count ten, twenty at once twenty', async () => {
    const page = await openPage('drawer');
    await ready(page);
    const before = await countOf(page, LEAD);
    await pressMany(page, MORE, 10, 80);
    await page.driver.wait(async () => (await countOf(page, LEAD)) === before + 10, 5000, 'ten clicks');
    await pressMany(page, MORE, 20, 0);
    await page.driver.wait(async () => (await countOf(page, LEAD)) === before + 30, 5000, 'twenty clicks');
  });

  it('twenty in each of two tabs count forty', async () => {
    const page = await openPage('drawer');
    await ready(page);
    const before = await countOf(page, LEAD);
    const first = await page.driver.getWindowHandle();
    await page.driver.switchTo().newWindow('tab');
    await page.driver.get(`${inject('address')}drawer`);
    await ready(page);
    await pressMany(page, MORE, 20, 0);
    await page.driver.switchTo().window(first);
    await pressMany(page, MORE, 20, 0);
    await page.driver.wait(async () => (await countOf(page, LEAD)) === before + 40, 5000, 'forty clicks');
  });

  it('what is written of a thing leaves a count alone that another tab has changed meanwhile', async () => {
    const page = await openPage('drawer');
    await ready(page);
    await page.click('//td/button[contains(., "TRS–TRS lead")]');
    const label = await page.find('//label[starts-with(normalize-space(.), "Label on it")]/input');
    await label.sendKeys('tarred');
    await put(page, 'drawer', { part: LEAD, count: 77 });
    await label.sendKeys(Key.TAB);
    await page.driver.wait(
      async () => {
        const found = (await table(page, 'drawer')).find((item) => item['part'] === LEAD);
        return found?.['label'] === 'tarred' && found['count'] === 77;
      },
      5000,
      'label and count',
    );
  });
});

describe('deleted rigs', () => {
  const SLIPWAY = readFileSync('demo/rigs/slipway-diary.json', 'utf8');

  it('undoing a deletion overwrites nothing that came under that id meanwhile', async () => {
    const page = await openPage('?rig=slipway-diary');
    await page.verdict('silent', 'wrong-mic');
    await page.button('More for this rig');
    await page.click('//*[@role="menuitem" and text()="Delete"]');
    await page.message('Slipway diary is deleted');
    const path = join(mkdtempSync(join(tmpdir(), 'symplex-')), 'rig.json');
    writeFileSync(path, JSON.stringify({ ...JSON.parse(SLIPWAY), name: 'Imported meanwhile' }));
    await page.importFile(path);
    await page.find('//h1[text()="Imported meanwhile"]');
    await page.click('//*[@data-sonner-toast]//button[normalize-space(.)="Undo"]');
    await page.find('//h1[text()="Slipway diary"]');
    const rigs = await table(page, 'rigs');
    const names = Object.fromEntries(rigs.map((rig) => [rig['id'], (rig['doc'] as { name: string }).name]));
    expect(names).toMatchObject({
      'slipway-diary': 'Imported meanwhile',
      'slipway-diary-2': 'Slipway diary',
    });
  });

  it('one that another tab deletes stays on the page, with the note that is being typed, and comes back', async () => {
    const page = await openPage('?rig=slipway-diary');
    await page.verdict('silent', 'wrong-mic');
    const first = await page.driver.getWindowHandle();
    await page.button('More for this rig');
    await page.click('//*[@role="menuitem" and text()="Note"]');
    await (await page.find('//textarea')).sendKeys('Half a thought');
    await page.driver.switchTo().newWindow('tab');
    await page.driver.get(`${inject('address')}?rig=slipway-diary`);
    await page.verdict('silent', 'wrong-mic');
    await page.button('More for this rig');
    await page.click('//*[@role="menuitem" and text()="Delete"]');
    await page.message('is deleted');
    await page.driver.switchTo().window(first);
    await page.find('//*[@role="alert" and contains(., "Deleted in another tab")]');
    expect(await (await page.find('//textarea')).getAttribute('value')).toContain('Half a thought');
    await page.click('//*[@role="dialog"]//button[text()="Keep"]');
    await page.message('was deleted in another tab');
    await page.click('//*[@data-sonner-toast]//button[normalize-space(.)="Restore it"]');
    await page.find('//header//p[contains(., "Half a thought")]');
    const rigs = await table(page, 'rigs');
    expect(JSON.stringify(rigs.find((rig) => rig['id'] === 'slipway-diary'))).toContain('Half a thought');
  });
});

describe('keys belong to what has the focus', () => {
  const edits = (page: Page) => table(page, 'edits');

  it('Ctrl+Z in a note undoes its words and not the rig behind it', async () => {
    const page = await openPage('?rig=slipway-diary');
    await page.verdict('silent', 'wrong-mic');
    await page.choose('Output', 'low');
    await page.driver.wait(async () => (await edits(page)).length === 1, 5000);
    await page.button('More for this rig');
    await page.click('//*[@role="menuitem" and text()="Note"]');
    await (await page.find('//textarea')).sendKeys('tar');
    await page.control('z');
    const [rig] = (await table(page, 'rigs')).filter((one) => one['id'] === 'slipway-diary');
    expect(rig?.['cursor']).toBe(1);
    await page.keys('Escape');
    await page.find('//button[@aria-label="More for this rig"]');
    await page.driver.wait(
      () => page.driver.executeScript('return document.querySelector("[role=dialog]") === null'),
      5000,
    );
    await page.control('z');
    await page.driver.wait(
      async () => (await table(page, 'rigs')).find((one) => one['id'] === 'slipway-diary')?.['cursor'] === 0,
      5000,
      'undone once the note is closed',
    );
  });

  it('letters typed in the phone’s list of rigs choose a rig and open nothing', async () => {
    const page = await openPage('?rig=slipway-diary', 'phone');
    await page.verdict('silent', 'wrong-mic');
    const rigs = await page.find("//select[@aria-label='Rig']");
    await page.driver.executeScript('arguments[0].focus()', rigs);
    await page.driver.actions().sendKeys('n').perform();
    expect(await dialogs(page)).toBe(0);
  });

  it('keys of a single letter can be turned off, and stay off', async () => {
    const page = await openPage('?rig=slipway-diary');
    await page.verdict('silent', 'wrong-mic');
    await page.driver.actions().sendKeys('n').perform();
    await page.find('//*[@role="dialog"]//h2[text()="What do you have?"]');
    await page.keys('Escape');
    await page.control('k');
    await page.click('//*[@cmdk-item][contains(., "Keyboard shortcuts")]');
    await page.click('//label[contains(., "Keys that are a single letter")]/input');
    await page.driver.wait(
      async () => (await table(page, 'meta')).some((m) => m['key'] === 'single-keys'),
      5000,
    );
    await page.driver.get(`${inject('address')}?rig=slipway-diary`);
    await page.verdict('silent', 'wrong-mic');
    await page.driver.actions().sendKeys('n').perform();
    expect(await dialogs(page)).toBe(0);
    await page.control('k');
    await page.find('//*[@role="dialog"]//h2[text()="What next?"]');
  });

  const dialogs = (page: Page) =>
    page.driver.executeScript<number>('return document.querySelectorAll("[role=dialog]").length');
});
