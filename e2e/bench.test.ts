import { writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { openBrowser, type Browser } from './browser';
import { Page } from './page';

const RIG = '{"format":"symplex-rig","version":1,"id":"x","name":"X"';
const BAD_FILES: Readonly<Record<string, [string, string]>> = {
  truncated: ['{"format": "symplex-rig", "ver', 'The file is not complete JSON'],
  version: ['{"format":"symplex-rig","version":9}', '/version is 9; this Symplex reads version 1.'],
  type: [
    `${RIG},"parts":[],"joints":[{"id":"j","plug":7}],"surroundings":{"voice":"normal"},"purpose":{"sources":[],"recorders":[]}}`,
    '/joints/0/jack is nothing; it must be there.',
  ],
  huge: [`"${'x'.repeat(50_000_000)}"`, 'The file has 50.0 MB; a rig file has at most 2 MB.'],
  hostile: ['{"format":"<img src=x onerror=document.title=1>","version":1}', '/format is "<img src=x'],
};

describe('the Bench', () => {
  let browser: Browser;
  let page: Page;
  beforeAll(async () => {
    browser = await openBrowser('desk');
    page = new Page(browser);
    await browser.driver.get(inject('emptyAddress'));
  });
  afterAll(() => browser?.driver.quit());

  it('is empty at first and offers a start and the demo', async () => {
    await page.find('//h1[text()="No rig on the Bench yet"]');
    await page.button('Start with a pack, a lead and a phone');
    await page.verdict('silent', 'wrong-mic');
  });

  it('swaps a part at its joints for one that fits, with what would come of it', async () => {
    await page.buttonIn('TRS–TRS lead', 'Swap');
    await page.click('//*[@role="dialog"]//button[contains(., "clean") and contains(., "patch cable")]');
    await page.verdict('clean', 'recorded');
  });

  it('turns the app to one with a list, and the state to not listed', async () => {
    await page.button('Undo');
    await page.choose('App', 'recorder with a source list');
    await page.verdict('silent', 'not-listed');
  });

  it('takes a distance, and refuses nonsense beside the field', async () => {
    const field = '//article[@aria-label="Receiver, TRS output"]//input';
    await page.retype(field, 'near');
    expect(await page.text('//*[@role="alert"]')).toContain('“near” is no distance');
    await page.retype(field, '0,4');
    await page.find('//article[@aria-label="Receiver, TRS output"]//input[@value="0.4"]');
  });

  it('renames', async () => {
    await page.button('More for this rig');
    await page.click('//*[@role="menuitem" and contains(., "Rename")]');
    await page.retype('//input[@aria-label="Name of the rig"]', 'Tarred rope');
    await page.find('//h1[text()="Tarred rope"]');
  });

  it.each(Object.entries(BAD_FILES))(
    'refuses a %s file with one message and changes nothing',
    async (name, file) => {
      const [content, message] = file;
      const path = join(tmpdir(), `symplex-${name}.json`);
      writeFileSync(path, content);
      const before = await page.text('//section[@aria-label="Rigs"]');
      await page.importFile(path);
      const said = await page.message(message);
      expect(said).toContain('Nothing was changed.');
      expect(await page.text('//section[@aria-label="Rigs"]')).toBe(before);
      expect(await browser.driver.getTitle()).toBe('Symplex');
    },
  );

  it('imports a file dropped on the page', async () => {
    const rig = JSON.stringify({
      ...JSON.parse(`${RIG},"parts":[],"joints":[]}`),
      id: 'dropped',
      name: 'Dropped',
      surroundings: { voice: 'normal' },
      purpose: { sources: [], recorders: [] },
    });
    await browser.driver.executeScript(
      `const transfer = new DataTransfer();
       transfer.items.add(new File([arguments[0]], 'dropped.json', { type: 'application/json' }));
       for (const type of ['dragover', 'drop'])
         window.dispatchEvent(new DragEvent(type, { dataTransfer: transfer, cancelable: true, bubbles: true }));`,
      rig,
    );
    await page.find('//h1[text()="Dropped"]');
    await page.find('//*[@data-finding="nothing-intended"]');
  });

  it('asks nothing of any other machine', async () => {
    const hosts = await browser.driver.executeScript<string[]>(
      `return [...new Set(performance.getEntriesByType('resource').map((e) => new URL(e.name).host))]`,
    );
    expect(hosts.filter((host) => !host.startsWith('localhost'))).toEqual([]);
  });
});
