import { readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { violationsOn } from './axe';
import { openBrowser, type Browser, type Size } from './browser';
import { Page } from './page';

const ITEM = (name: string) => `//*[@role="dialog"]//*[@cmdk-item][contains(., "${name}")]`;

/** Fills the first gap of the sentence and the second. */
async function asks(page: Page, source: string, host: string): Promise<void> {
  await page.click('//button[starts-with(@aria-label, "What is to be recorded?")]');
  await page.click(ITEM(source));
  await page.click('//button[starts-with(@aria-label, "What records it?")]');
  await page.click(ITEM(host));
}

/** A way of the answer, when it is looked for no more. */
const WAY = (rank: number) => `//section[@aria-label="Ways"]//*[@data-route="${rank}"]`;

const wish = (page: Page, says: string) => page.click(`//label[contains(., "${says}")]/input`);

it('offers the questions of the yard while nothing is asked, and answers one', async () => {
  const browser = await openBrowser('phone');
  try {
    const page = new Page(browser);
    await browser.driver.get(`${inject('emptyAddress')}route`);
    await page.button('Sail-loft condenser to the old tablet');
    await page.find(
      '//button[starts-with(@aria-label, "What is to be recorded?")][contains(., "Condenser")]',
    );
    await page.button('Find the ways');
    expect(await page.text(WAY(1))).toContain('The tablet will record the microphone');
    await page.click('(//summary[contains(., "How to plug it in")])[1]');
    // What harms comes first: then plugging.
    const step = (n: number) => page.text(`${WAY(1)}//details//ol/li[${n}]`);
    expect(await step(1)).toMatch(/^Levels down, phantom off/);
    expect(await step(2)).toMatch(/^Plug /);
    expect(await violationsOn(browser.driver)).toEqual([]);
  } finally {
    await browser.driver.quit();
  }
});

it('shows what it has proved while it looks on, and keeps it when stopped', async () => {
  const browser = await openBrowser('phone');
  try {
    const page = new Page(browser);
    await browser.driver.get(`${inject('address')}route`);
    await page.button('Quay microphone to tablet and camera at once');
    await browser.driver.executeScript(
      `window.shown = [];
       new MutationObserver(() => {
         const way = document.querySelector('[aria-label="Ways so far"] [data-route="1"]');
         if (way) window.shown.push(way.textContent);
       }).observe(document.querySelector('main'), { childList: true, subtree: true });`,
    );
    await page.button('Find the ways');
    await page.find('//section[@aria-label="Ways"]');
    const [shown] = await browser.driver.executeScript<string[]>('return window.shown');
    expect(shown).toContain('The tablet will record the microphone');
    // Cut by time: more of it is offered, what is known stays on the page meanwhile, and when it is stopped.
    const title = (of: string) => page.text(`//section[@aria-label="${of}"]/h2`);
    expect(await title('Ways')).toContain('Cut short by time');
    const first = await page.text('//*[@data-route="1"]//h3');
    await page.button('Look for up to 20 s');
    expect(await title('Ways so far')).toMatch(/^\d proved ways? so far$/);
    expect(await page.text('//*[@data-route="1"]//h3')).toBe(first);
    await page.button('Stop');
    expect(await title('Ways')).toContain('Cut short');
    expect(await page.text('//*[@data-route="1"]//h3')).toBe(first);
    expect(await violationsOn(browser.driver)).toEqual([]);
  } finally {
    await browser.driver.quit();
  }
});

it('lays a call-in: a send and a way back for each caller, and the sends set', async () => {
  const browser = await openBrowser('desk');
  try {
    const page = new Page(browser);
    await browser.driver.get(`${inject('address')}route`);
    await page.button('Harbour call-in: two callers on the desk');
    await page.button('Find the ways');
    const first = await page.text(WAY(1));
    expect(first).toContain('The first phone will send the microphone to the far end');
    expect(first).toContain('The second phone will send the microphone to the far end');
    await page.click('(//summary[contains(., "How to plug it in")])[1]');
    const steps = await page.text(`${WAY(1)}//details//ol`);
    for (const says of ['FX send output', 'Monitor send output', 'line input 1 left', 'line input 2 right'])
      expect(steps).toContain(says);
    expect(steps).toMatch(/Line pair \d, (Monitor|FX) send to/);
    // A mixer with one send lacks one, and another is named.
    await browser.driver.executeScript('window.scrollTo(0, 0)');
    await page.click('//select[@id="through"]/option[contains(., "one FX send")]');
    await page.button('Find the ways');
    const lacks = await page.text('//main//*[@role="alert"]');
    expect(lacks).toContain('2 callers need as many outputs with a mix of their own');
    expect(lacks).toContain('monitor and FX sends has what it takes');
  } finally {
    await browser.driver.quit();
  }
});

it('leaves a broken jack aside, and keeps a mouse plugged in', async () => {
  const browser = await openBrowser('phone');
  try {
    const page = new Page(browser);
    await browser.driver.get(`${inject('emptyAddress')}route`);
    await asks(page, 'Receiver, TRS output', 'Phone, headset jack and USB-C port');
    await page.click('//summary[contains(., "A socket is broken or in use")]');
    await page.click('//label[contains(., "headset jack")]/input');
    await page.find('//summary[contains(., "Not to be used: headset jack")]');
    await page.button('Find the ways');
    expect(await page.text(WAY(1))).toContain('USB-C');
    await browser.driver.executeScript('window.scrollTo(0, 0)');
    await page.click('//select[@aria-label="Keep plugged in beside"]/option[contains(., "Mouse")]');
    await page.button('Find the ways');
    await page.find(`${WAY(1)}[contains(., "hub")]`);
    expect(await violationsOn(browser.driver)).toEqual([]);
  } finally {
    await browser.driver.quit();
  }
});

it('says what each wish costs, when asked', async () => {
  const browser = await openBrowser('phone');
  try {
    const page = new Page(browser);
    await browser.driver.get(`${inject('emptyAddress')}route`);
    await asks(page, 'Receiver, TRS output', 'Phone, USB-C port');
    await wish(page, 'Keep charging');
    await page.button('Find the ways');
    await page.button('What does each wish cost?');
    const price = '//*[@role="status"]//li[contains(., "Charging while it records")]';
    expect(await page.text(price)).toMatch(/^Charging while it records: (about )?€\d+ more$/);
    expect(await violationsOn(browser.driver)).toEqual([]);
  } finally {
    await browser.driver.quit();
  }
});

describe('Route', () => {
  let browser: Browser;
  let page: Page;
  beforeAll(async () => {
    browser = await openBrowser('desk');
    page = new Page(browser);
    await browser.driver.get(`${inject('address')}route`);
    await page.find('//h1[text()="Route"]');
  });
  afterAll(() => browser?.driver.quit());

  it('finds the way from the drawer first', async () => {
    await asks(page, 'Receiver, TRS output', 'Phone, 8-pin port');
    await page.button('Find the ways');
    const first = await page.text(WAY(1));
    expect(first).toContain('The phone will record the pack');
    expect(first).toContain('nothing to buy');
    expect(first).toContain('TRS-to-TRRS patch cable');
    expect(await page.text(WAY(2))).toContain('where the one before');
    expect(await violationsOn(browser.driver)).toEqual([]);
  });

  it('compares ways side by side', async () => {
    for (const rank of [1, 2]) await page.click(`${WAY(rank)}//label[contains(., "Compare")]/input`);
    const table = await page.text('//section[@aria-label="Compared"]');
    expect(table).toContain('Way 1');
    expect(table).toContain('Speech over noise');
  });

  it('gives a shopping list as CSV', async () => {
    // With this phone not everything is in the drawer.
    await page.click('//button[starts-with(@aria-label, "What records it?")]');
    await page.click(ITEM('Phone, USB-C port'));
    await page.button('Find the ways');
    await page.find(`${WAY(1)}//*[contains(., "to buy")]`);
    await page.click(`${WAY(1)}//button[contains(., "Shopping list")]`);
    await page.find('//*[@role="dialog"]//td[text()="Together"]');
    const print = (media: string) =>
      (
        browser.driver as unknown as { sendDevToolsCommand: (c: string, p: object) => Promise<void> }
      ).sendDevToolsCommand('Emulation.setEmulatedMedia', { media });
    await print('print');
    const shown = await browser.driver.executeScript<string[]>(
      `return ['main', 'nav', '.paper', '[role="dialog"] .paper ~ div button']
         .filter((at) => { const e = document.querySelector(at); return e && e.getClientRects().length > 0; })`,
    );
    expect(shown).toEqual(['.paper']);
    await print('');
    await page.button('Save as CSV');
    const text = readFileSync(await page.downloaded(), 'utf8');
    expect(text.split('\r\n')[0]).toBe('part,name,metres,count,each,total,currency');
    expect(text).toContain(',EUR');
    await page.keys('Escape');
    await page.click('//button[starts-with(@aria-label, "What records it?")]');
    await page.click(ITEM('Phone, 8-pin port'));
    await page.button('Find the ways');
    await page.find(`${WAY(1)}//*[contains(., "nothing to buy")]`);
  });

  it('takes a way to the Bench, where it is as clean as was said', async () => {
    await page.click(`${WAY(1)}//button[contains(., "Take it to the Bench")]`);
    await page.verdict('clean', 'recorded');
    await page.find('//article[@aria-label="TRS-to-TRRS patch cable"]');
  });

  it('keeps the question over a reload, and tells which wish stands in the way', async () => {
    await browser.driver.get(`${inject('address')}route`);
    await page.find('//button[contains(@aria-label, "Receiver, TRS output")]');
    await wish(page, 'Keep charging');
    await wish(page, 'Buy nothing');
    await page.button('Find the ways');
    expect(await page.text('//section[@aria-label="Ways"]/h2')).toContain('What stands in the way');
    expect(await page.text('//section[@aria-label="Ways"]')).toContain(
      'Without buying nothing there is a way.',
    );
  });

  it('says a contradiction at once', async () => {
    await wish(page, 'Keep charging');
    await wish(page, 'Buy nothing');
    await wish(page, 'Hear guests or callers');
    await page.button('Find the ways');
    expect(await page.text('//main//*[@role="alert"]')).toContain('nobody speaks at the far end');
    await wish(page, 'Hear guests or callers');
  });

  it('stops when told, and nothing goes on behind', async () => {
    const source = '//button[starts-with(@aria-label, "What is to be recorded?")]';
    await page.click(source);
    await page.click(ITEM('Electric guitar'));
    for (const name of ['Dynamic microphone, XLR', 'Keyboard, line outputs']) {
      await page.button('Another source');
      await page.click(`(${source})[last()]`);
      await page.click(ITEM(name));
    }
    await page.button('Find the ways');
    await page.button('Stop');
    expect(await page.text('//*[@role="status"]')).toContain('Nothing goes on behind');
    await page.find('//button[contains(., "Find the ways")]');
  });
});

describe('the Drawer', () => {
  let browser: Browser;
  let page: Page;
  beforeAll(async () => {
    browser = await openBrowser('desk');
    page = new Page(browser);
    await browser.driver.get(`${inject('address')}drawer`);
    await page.find('//section[@aria-label="In the drawer"]//table');
  });
  afterAll(() => browser?.driver.quit());

  const names = () =>
    browser.driver.executeScript<string[]>(
      `return [...document.querySelectorAll('tbody td:first-child .font-bold')].map((e) => e.textContent)`,
    );

  it('names a thing by its tapped ends, and puts it in', async () => {
    await page.button('What is this thing?');
    await page.button('plug with three dark bands, 3.5 mm');
    await page.button('XLR with holes');
    const asked = await page.text('//*[@role="group" and @aria-label="Look at this next"]');
    expect(asked).toContain('?');
    expect(await violationsOn(browser.driver)).toEqual([]);
    await page.click('//section[@aria-label="It may be"]//button[contains(., "XLR to")]');
    await page.message('is in the drawer');
    expect((await names()).some((name) => name.includes('XLR'))).toBe(true);
  });

  it('is looked through and sorted', async () => {
    const sorted = await names();
    expect(sorted).toEqual([...sorted].sort((a, b) => a.toLowerCase().localeCompare(b.toLowerCase())));
    await page.click('//thead//button[normalize-space(.)="Thing"]');
    expect(await names()).toEqual(sorted.toReversed());
    await page.typeInto('//input[@type="search"]', 'yellow tape');
    await browser.driver.wait(
      async () => (await names()).length === 1,
      5000,
      'the note was not looked through',
    );
    expect(await names()).toEqual(['TRS-to-TRRS patch cable']);
    await page.retype('//input[@type="search"]', ' ');
  });

  it('what is broken is not counted on', async () => {
    await page.click('//tbody//button[contains(., "TRS-to-TRRS patch cable")]');
    await page.click('//tbody//label[contains(., "Condition")]/select/option[@value="broken"]');
    await page.click('//nav//a[text()="Bench"]');
    await page.find('//aside//*[@data-verdict]');
    await browser.driver.get(`${inject('address')}?rig=slipway-diary`);
    const row = '//aside//li[contains(., "patch cable")]';
    await browser.driver.wait(async () => (await page.text(row)).includes('To buy, about €9'), 15_000);
  });

  it('changes its currency everywhere', async () => {
    await page.click('//nav//a[text()="Drawer"]');
    await page.choose('Prices in', 'SEK');
    await browser.driver.wait(
      async () => (await page.text('//table')).includes('SEK'),
      5000,
      'still in euro',
    );
  });

  it('goes out as CSV and comes in again; a bad file changes nothing', async () => {
    await page.button('As CSV');
    const path = await page.downloaded();
    const text = readFileSync(path, 'utf8');
    expect(text).toContain('patch-trs-trrs,TRS-to-TRRS patch cable,1,broken');
    const bad = join(tmpdir(), 'symplex-bad-drawer.csv');
    writeFileSync(bad, text.replace('patch-trs-trrs', 'no-such-thing'));
    const before = await names();
    const picker = await page.find('//input[@aria-label="Drawer as CSV to import"]');
    await picker.sendKeys(bad);
    expect(await page.message('no-such-thing')).toContain('Nothing was changed.');
    expect(await names()).toEqual(before);
    const good = join(tmpdir(), 'symplex-good-drawer.csv');
    writeFileSync(good, 'part,count,label\r\nlead-rca,4,red and white\r\n');
    await picker.sendKeys(good);
    await page.message('1 kinds of thing');
    await page.find('//tbody//button[contains(., "red and white")]');
  });
});

describe.each(['desk', 'phone'] as const satisfies readonly Size[])('Route, %s, dark', (size) => {
  it('axe finds nothing on its results, and nothing scrolls sideways', async () => {
    const browser = await openBrowser(size, true);
    try {
      const page = new Page(browser);
      await browser.driver.get(`${inject('address')}route`);
      await asks(page, 'Receiver, TRS output', 'Phone, CTIA headset jack');
      await page.button('Find the ways');
      await page.find(WAY(1));
      expect(await violationsOn(browser.driver)).toEqual([]);
      const overflow = await browser.driver.executeScript<number>(
        'return document.documentElement.scrollWidth - document.documentElement.clientWidth',
      );
      expect(overflow).toBeLessThanOrEqual(0);
    } finally {
      await browser.driver.quit();
    }
  });
});
