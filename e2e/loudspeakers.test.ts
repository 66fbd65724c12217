import { writeFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { layRig } from '../testing/lay-rig';
import { violationsOn } from './axe';
import { openBrowser, type Browser } from './browser';
import { Page } from './page';

/** A talk in the sail loft, heard out of one loudspeaker; the microphone is a condenser, and its gain is high. */
const LOFT = {
  ...layRig({
    parts: {
      mic: 'condenser-xlr',
      mixer: 'mixer-monitor-fx',
      jack: 'lead-jack-trs',
      speaker: 'loudspeaker-stage',
    },
    joints: ['mic.out mixer.mic-1', 'mixer.main-left jack.a', 'jack.b speaker.in'],
    settings: { mixer: { 'gain-1': 58, phantom: 'on' } },
  }),
  id: 'sail-loft-evening',
  name: 'Sail-loft evening',
};

const CARD = '//section[@aria-label="Loudspeakers in the room"]';

describe('loudspeakers on the lens Returns', () => {
  let browser: Browser;
  let page: Page;
  beforeAll(async () => {
    browser = await openBrowser('desk');
    page = new Page(browser);
    const file = join(mkdtempSync(join(tmpdir(), 'symplex-loft-')), 'loft.json');
    writeFileSync(file, JSON.stringify(LOFT));
    await browser.driver.get(inject('address'));
    await page.find('//aside//*[@data-verdict]');
    await page.importFile(file);
    await page.find('//h1[.="Sail-loft evening"]');
    await browser.driver.actions().sendKeys('4').perform();
  });
  afterAll(() => browser.driver.quit());

  const margin = async () =>
    Number(await (await page.find(`${CARD}//p[@data-margin]`)).getAttribute('data-margin'));

  it('says that it howls and by how much, and each step that gives more room leaves what it said', async () => {
    const before = await margin();
    expect(before).toBeLessThan(0);
    expect(await page.text(`${CARD}//p[@data-margin]`)).toContain('It howls');
    expect(await violationsOn(browser.driver)).toEqual([]);
    const says = await page.text(`${CARD}//li[.//button[.="Apply"]][1]`);
    const promised = Number(/margin (−?[\d.]+) dB/.exec(says)?.[1]?.replace('−', '-'));
    expect(promised).toBeGreaterThan(before);
    await page.click(`${CARD}//li[.//button[.="Apply"]][1]//button`);
    await browser.driver.wait(async () => (await margin()) === promised, 10_000);
  });

  it('where it stands and the room are set by hand, and a distance that cannot be is left as it was', async () => {
    const metres = `${CARD}//input[@type="number"]`;
    const before = await margin();
    const field = await page.find(metres);
    await field.clear();
    await field.sendKeys('-3');
    await page.choose('Room', 'hall, 1500 m³, 1.6 s', CARD);
    await browser.driver.wait(async () => (await margin()) !== before, 10_000);
    expect(await (await page.find(metres)).getAttribute('value')).toBe('2');
  });
});
