import type { PowerReport } from '../core/files/power-report';
import { sayMinutes } from '../core/words/say-time';

const MARK = { well: '✓', uncertain: '?', ill: '✗' } as const;

type Feed = PowerReport['power']['feeds'][number];

function feedLine({ from, to, takesMilliamps, givesMilliamps, refused, volts }: Feed): string {
  const { least, most } = givesMilliamps;
  const gives = least === most ? `${most}` : `${least} to ${most}`;
  const takes = refused ? 'refused' : `${Math.round(takesMilliamps)} mA`;
  return `  ${`${from.part}.${from.port} → ${to.part}.${to.port}`.padEnd(36)}${takes.padStart(9)} of ${gives} mA, ${volts.typical.toFixed(2)} V (${volts.least.toFixed(2)} V at the least)`;
}

type Battery = PowerReport['power']['batteries'][number];

function batteryLine({ part, emptyMinutes: { typical, least, most } }: Battery): string {
  const say = (minutes: number | null) => (minutes === null ? 'two days and more' : sayMinutes(minutes));
  const when =
    typical === null && least === null
      ? 'not empty within two days'
      : `empty after ${say(typical)} (${say(least)} to ${say(most)})`;
  return `  ${part.padEnd(36)}${when}`;
}

const db = (value: number | null): string => (value === null ? '–' : value.toFixed(1));

/** Supply and earths as a person reads them in a terminal. */
export function powerText(report: PowerReport): string {
  const { power, earth } = report;
  const part = (title: string, lines: readonly string[]) => (lines.length === 0 ? [] : ['', title, ...lines]);
  return [
    report.rig,
    ...report.answers.map(({ is, says }) => `${MARK[is]} ${says}`),
    ...part('Supply', power.feeds.map(feedLine)),
    ...part('Batteries', power.batteries.map(batteryLine)),
    ...part(
      'Loops of grounds',
      earth.loops.map(
        ({ parts, places, ohms }) => `  ${[...parts, ...places].join(' – ')}: ${ohms.toFixed(2)} Ω`,
      ),
    ),
    ...part(
      'Hum and whine, dBFS',
      earth.hum.map(
        ({ recorder, humDbfs: h, whineDbfs: w }) =>
          `  ${recorder}: hum ${db(h.typical)} (${db(h.least)} to ${db(h.most)}), whine ${db(w.typical)} (${db(w.least)} to ${db(w.most)})`,
      ),
    ),
    ...part(
      'In this order',
      report.order.map(({ says }, index) => `  ${index + 1} ${says}`),
    ),
    ...part(
      'With care',
      report.cautions.map((line) => `  ${line}`),
    ),
  ].join('\n');
}
