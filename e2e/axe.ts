import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { WebDriver } from 'selenium-webdriver';

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

interface Violation {
  readonly id: string;
  readonly nodes: readonly { readonly html: string; readonly failureSummary: string }[];
}

/** What axe objects to on the page as it stands (WCAG 2.2 AA). */
export async function violationsOn(driver: WebDriver): Promise<string[]> {
  await driver.executeScript(axe);
  const violations = await driver.executeAsyncScript<Violation[]>(
    `const done = arguments[arguments.length - 1];
     axe.run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] })
       .then((result) => done(result.violations));`,
  );
  return violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html).join(' | ')}`);
}
