import { expect, it } from 'vitest';
import { violationsOn } from './axe';
import { openPage } from './opened';

/** Pixels: a thumb's, and no more. */
const ONE_LINE = 48;
const RUNGS = '//ol[@aria-label="The rig, from source to recorder"]';

it('a rig of fifteen parts is seen at once: one line a rung, opened where something is wrong', async () => {
  const page = await openPage('?rig=harbour-call-in');
  await page.verdict('faulty', 'recorded');
  const folded = await page.driver.findElements({ xpath: `${RUNGS}//button[@data-folded]` });
  expect(folded).toHaveLength(13);
  // The callers, who do not hear one another, are open.
  await page.find('//article[@aria-label="Caller A"]');
  for (const rung of folded) expect((await rung.getRect()).height).toBeLessThanOrEqual(ONE_LINE);
  expect(await violationsOn(page.driver)).toEqual([]);
});

it('a rung opens when it is pressed, and folds again; F opens all and folds all', async () => {
  const page = await openPage('?rig=harbour-call-in');
  await page.verdict('faulty', 'recorded');
  await page.click(`${RUNGS}//button[@data-folded][contains(., "XLR lead")]`);
  await page.find('//article[@aria-label="XLR lead"]');
  await page.click('//button[@aria-label="Fold XLR lead"]');
  await page.find(`${RUNGS}//button[@data-folded][contains(., "XLR lead")]`);
  await page.driver.actions().sendKeys('f').perform();
  await page.find('//article[@aria-label="XLR lead"]');
  expect(await page.driver.findElements({ xpath: `${RUNGS}//button[@data-folded]` })).toHaveLength(0);
  await page.button('Fold');
  await page.find(`${RUNGS}//button[@data-folded][contains(., "XLR lead")]`);
});

it('a small rig is drawn in full, and folds by its button on a phone', async () => {
  const page = await openPage('?rig=slipway-diary', 'phone');
  await page.verdict('silent', 'wrong-mic');
  expect(await page.driver.findElements({ xpath: `${RUNGS}//button[@data-folded]` })).toHaveLength(0);
  await page.button('Fold');
  await page.find(`${RUNGS}//button[@data-folded]`);
  // The joint at fault stays open.
  await page.find(`${RUNGS}//button[@aria-expanded="true"]`);
  expect(await violationsOn(page.driver)).toEqual([]);
});

it('another desk can be looked for in the place of one with ten leads', async () => {
  const page = await openPage('?rig=harbour-call-in');
  await page.verdict('faulty', 'recorded');
  await page.click(`${RUNGS}//button[@data-folded][contains(., "Mixer, monitor")]`);
  await page.buttonIn('Mixer, monitor and FX sends', 'Swap');
  await page.click('//*[@role="dialog"]//button[contains(., "Mixer, large analogue")]');
  await page.find(`${RUNGS}//*[contains(., "Mixer, large analogue")]`);
});
