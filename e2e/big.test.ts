import { Key } from 'selenium-webdriver';
import { expect, inject, it } from 'vitest';
import { grown } from '../src/cli/grown';
import { openPage, put, table } from './opened';

const PARTS = 63;
const STEPS = 200;
const RIGS = 500;

const BIG = { ...grown(PARTS / 7), id: 'big-rig', name: 'Nine groups' };
const stored = (doc: { id: string }) => ({ id: doc.id, doc, updatedAt: 1, cursor: 0, oldest: 0, newest: 0 });

interface Cursor {
  readonly id: string;
  readonly cursor: number;
  readonly doc: typeof BIG;
}

it(
  `a rig of ${PARTS} parts opens, is judged while a knob is turned, and ${STEPS} steps are undone`,
  { timeout: 240_000 },
  async () => {
    const page = await openPage('');
    await page.verdict('silent', 'wrong-mic');
    await put(page, 'rigs', stored(BIG));
    const begun = performance.now();
    await page.driver.get(`${inject('address')}?rig=big-rig`);
    await page.find('//h1[text()="Nine groups"]');
    await page.find('//aside//*[@data-verdict]');
    const opened = performance.now() - begun;
    expect(await page.driver.findElements({ css: 'button[data-folded]' })).toHaveLength(PARTS);
    await page.click('(//button[@data-folded][contains(., "Mixer")])[1]');
    const thumb = await page.find('(//*[@role="slider" and @aria-label="Gain"])[1]');
    await page.driver.executeScript(
      `const thumb = arguments[0];
     thumb.focus();
     window.took = [];
     let pressed;
     addEventListener('keydown', () => (pressed = performance.now()), true);
     new MutationObserver(() => {
       if (pressed !== undefined) window.took.push(performance.now() - pressed);
       pressed = undefined;
     }).observe(document.querySelector('aside[aria-label="What arrives"]'), { subtree: true, childList: true, characterData: true });`,
      thumb,
    );
    const now = async (): Promise<Cursor | undefined> =>
      ((await table(page, 'rigs')) as unknown as Cursor[]).find(({ id }) => id === 'big-rig');
    for (let step = 0; step < STEPS; step += 1) {
      await page.driver
        .actions()
        .sendKeys(step % 2 === 0 ? Key.ARROW_LEFT : Key.ARROW_RIGHT)
        .perform();
    }
    await page.driver.wait(async () => (await now())?.cursor === STEPS, 60_000, 'every step is kept');
    const took = (await page.driver.executeScript<number[]>('return window.took')).sort((a, b) => a - b);
    console.log(
      `a rig of ${PARTS} parts: open after ${opened.toFixed(0)} ms, an edit judged and shown after ${took[took.length >> 1]?.toFixed(0)} ms at the median of ${took.length}`,
    );
    expect(took.length).toBeGreaterThan(STEPS / 4);
    for (let step = 0; step < STEPS; step += 1) await page.control('z');
    await page.driver.wait(async () => (await now())?.cursor === 0, 60_000, 'every step is undone');
    expect((await now())?.doc).toEqual(BIG);
  },
);

it(`a list of ${RIGS} rigs is there, and another rig opens from it`, { timeout: 120_000 }, async () => {
  const page = await openPage('');
  await page.verdict('silent', 'wrong-mic');
  await page.driver.executeAsyncScript(
    `const [records, done] = arguments;
     const open = indexedDB.open('symplex');
     open.onsuccess = () => {
       const change = open.result.transaction('rigs', 'readwrite');
       for (const record of records) change.objectStore('rigs').put(record);
       change.oncomplete = () => { open.result.close(); done(); };
     };`,
    Array.from({ length: RIGS }, (_, n) =>
      stored({ ...BIG, id: `rig-${n}`, name: `Rig ${n}` } as typeof BIG),
    ),
  );
  const begun = performance.now();
  await page.driver.get(inject('address'));
  await page.find(`//nav//*[text()="Rig ${RIGS - 1}"]`);
  console.log(
    `a list of ${RIGS} rigs of ${PARTS} parts: shown after ${(performance.now() - begun).toFixed(0)} ms`,
  );
  await page.click('//nav//*[text()="Rig 7"]');
  await page.find('//h1[text()="Rig 7"]');
});
