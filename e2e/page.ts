import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { By, Key, until, type WebElement } from 'selenium-webdriver';
import type { Browser } from './browser';

const WAIT_MS = 20_000;
const PATIENCE_MS = 10_000;

/** What a user does on the page, by what they read there. */
export class Page {
  constructor(private readonly browser: Browser) {}

  get driver() {
    return this.browser.driver;
  }

  find(xpath: string): Promise<WebElement> {
    return this.driver.wait(until.elementLocated(By.xpath(xpath)), WAIT_MS, `nothing found for ${xpath}`);
  }

  /** Clicks what is there and shown; once more when the page redrew it meanwhile. */
  async click(xpath: string): Promise<void> {
    await this.untilDone(async () => {
      const element = await this.find(xpath);
      await this.driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', element);
      await element.click();
    });
  }

  /** Waits until something can be done: the page may put another element in the place of one at any time. */
  private async untilDone(what: () => Promise<void>): Promise<void> {
    let last: unknown;
    const done = async () => {
      try {
        await what();
        return true;
      } catch (error) {
        last = error;
        return false;
      }
    };
    await this.driver.wait(done, PATIENCE_MS).catch((error: unknown) => {
      throw last ?? error;
    });
  }

  button = (name: string) => this.click(`//button[normalize-space(.)="${name}" or @aria-label="${name}"]`);

  buttonIn = (part: string, name: string) =>
    this.click(`//article[@aria-label="${part}"]//button[starts-with(normalize-space(.), "${name}")]`);

  async choose(label: string, option: string, within = ''): Promise<void> {
    await this.click(
      `${within}//label[starts-with(normalize-space(.), "${label}")]/select/option[text()="${option}"]`,
    );
  }

  text = async (xpath: string) => (await this.find(xpath)).getText();

  /** Waits until the verdict and the state of the first arrival are these. */
  async verdict(verdict: string, state: string): Promise<void> {
    await this.find(`//aside//*[@data-verdict="${verdict}" and @data-state="${state}"]`);
  }

  sentence = () => this.text('//aside[@aria-label="What arrives"]//h2');

  /** Ctrl with a letter. */
  control = (letter: string) =>
    this.driver.actions().keyDown(Key.CONTROL).sendKeys(letter).keyUp(Key.CONTROL).perform();

  /** One key, by its name. */
  keys(name: 'Tab' | 'Enter' | 'Escape' | 'ArrowRight'): Promise<void> {
    const codes = { Tab: Key.TAB, Enter: Key.ENTER, Escape: Key.ESCAPE, ArrowRight: Key.ARROW_RIGHT };
    return this.driver.actions().sendKeys(codes[name]).perform();
  }

  /** How a screen reader would name what has the focus. */
  async focused(): Promise<string> {
    const name = await this.driver.executeScript<string>(
      `const e = document.activeElement;
       if (e === document.body) return '';
       return e.getAttribute('aria-label') || (e.textContent || '').replace(/\\s+/g, ' ').trim();`,
    );
    return name;
  }

  /** Presses Tab until what has the focus bears this name. */
  async tabTo(part: string): Promise<void> {
    for (let stops = 0; stops < 120; stops += 1) {
      if ((await this.focused()).includes(part)) return;
      await this.keys('Tab');
    }
    throw new Error(`no stop of the Tab key bears the name "${part}"`);
  }

  /** Types into a field; once more when the page put another one in its place meanwhile. */
  async typeInto(xpath: string, text: string): Promise<void> {
    await this.untilDone(async () => {
      const field = await this.find(xpath);
      await this.driver.wait(until.elementIsEnabled(field), PATIENCE_MS);
      await field.sendKeys(text);
    });
  }

  /** Types over what a field holds, and presses Enter. */
  async retype(xpath: string, text: string): Promise<void> {
    await (await this.find(xpath)).sendKeys(Key.chord(Key.CONTROL, 'a'), text, Key.ENTER);
  }

  /** The file of a download with this ending, once it is whole: until then it is hidden or bears the browser's own ending. */
  async downloaded(ending = ''): Promise<string> {
    const whole = () =>
      readdirSync(this.browser.downloads).find(
        (name) => !name.startsWith('.') && !name.endsWith('.crdownload') && name.endsWith(ending),
      );
    await this.driver.wait(() => whole() !== undefined, WAIT_MS, 'no download');
    const path = join(this.browser.downloads, whole() ?? '');
    await this.driver.wait(() => existsSync(path), WAIT_MS);
    return path;
  }

  async importFile(path: string): Promise<void> {
    await (await this.find('//input[@type="file"]')).sendKeys(path);
  }

  /** Waits for a message that contains this text, and gives it back whole; newer ones may lie over it. */
  async message(part: string): Promise<string> {
    const found = await this.find(`//*[@data-sonner-toast][contains(., '${part}')]`);
    return (await found.getAttribute('textContent')) ?? '';
  }
}
