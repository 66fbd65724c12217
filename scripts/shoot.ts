// Takes one picture: shoot.ts URL FILE desk|phone [dark] [XPath to click]…
import { writeFileSync } from 'node:fs';
import { By, until } from 'selenium-webdriver';
import { openBrowser, type Size } from '../e2e/browser';

const [url = '', file = '', size = 'desk', scheme = 'light', ...clicks] = process.argv.slice(2);
const { driver } = await openBrowser(size as Size, scheme === 'dark');
try {
  await driver.get(url);
  await driver.wait(until.elementLocated(By.css('[data-verdict], [data-ready], h1')), 20_000);
  await driver.sleep(3500);
  for (const click of clicks) {
    const target = await driver.wait(until.elementLocated(By.xpath(click)), 15_000);
    await driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', target);
    await target.click();
    await driver.sleep(900);
  }
  writeFileSync(file, await driver.takeScreenshot(), 'base64');
} finally {
  await driver.quit();
}
