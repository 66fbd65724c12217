import { expect, inject, it } from 'vitest';
import { openBrowser } from './browser';
import { Page } from './page';

/** Counts how often a thread is asked to make itself ready. */
const COUNTS = `window.readied = 0;
  const post = Worker.prototype.postMessage;
  Worker.prototype.postMessage = function (message, ...rest) {
    if (message?.path?.[0] === 'makeReady') window.readied += 1;
    return post.call(this, message, ...rest);
  };`;

it('the thread makes itself ready when Route is opened, and anew when a search was stopped; what is asked meanwhile is answered', async () => {
  const browser = await openBrowser('desk', false, { first: COUNTS });
  try {
    const page = new Page(browser);
    const readied = () => browser.driver.executeScript<number>('return window.readied');
    await browser.driver.get(`${inject('address')}route`);
    await page.button('Quay microphone to tablet and camera at once');
    expect(await readied()).toBe(1);
    await page.button('Find the ways');
    await page.find('//section[@aria-label="Ways"]//*[@data-route="1"]');
    expect(await readied()).toBe(1);
    await page.button('Look for up to 20 s');
    await page.button('Stop');
    await page.find('//section[@aria-label="Ways"]//*[@data-route="1"]');
    expect(await readied()).toBe(2);
    await page.button('Find the ways');
    await page.find('//section[@aria-label="Ways"]//*[@data-route="1"]');
  } finally {
    await browser.driver.quit();
  }
});
