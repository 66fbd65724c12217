import type { ReturnsReport } from '../core/files/returns-report';

type Cell = ReturnsReport['hears'][number];

function cellLine({ listener, voice, state, delayMs, level, unit, path }: Cell): string {
  const how =
    level === null
      ? ''
      : `${level.toFixed(1)} ${unit}, ${Math.round(delayMs.typical)} ms, by ${path.join(' – ')}`;
  return `  ${`${listener} ← ${voice}`.padEnd(34)}${state.padEnd(10)}${how}`;
}

/** Who hears whom as a person reads it in a terminal. */
export function returnsText({ rig, says, hears, echo, loops, people, plan }: ReturnsReport): string {
  const part = (title: string, lines: readonly string[]) => (lines.length === 0 ? [] : ['', title, ...lines]);
  return [
    rig,
    ...says,
    ...part('Who hears whom', hears.map(cellLine)),
    ...part(
      'Echo',
      echo.map(
        ({ caller, roundTripMs, lossDb, wantsDb }) =>
          `  ${caller}: ${Math.round(roundTripMs.typical)} ms there and back, ${lossDb?.toFixed(0) ?? '–'} dB under what was sent; ${wantsDb.toFixed(0)} dB wanted (ITU-T G.131)`,
      ),
    ),
    ...part(
      'Loops',
      loops.map(
        ({ marginDb, through, air }) =>
          `  ${through.join(' – ')}${air ? ', through the air' : ''}: ${marginDb?.toFixed(1) ?? '–'} dB from howling`,
      ),
    ),
    ...part(
      'In the room',
      people.map(
        ({ person, part: to, metres, degrees, is, said }) =>
          `  ${person}: ${metres} m from ${to}${is === 'speaks' ? `, ${degrees}° off its axis` : ''}${said ? '' : ' (taken for granted)'}`,
      ),
    ),
    ...(plan
      ? part(
          plan.proved ? 'Everyone but themself' : 'As near as knobs come',
          [...plan.settings, ...plan.says.map((line) => ({ says: line }))].map(
            ({ says: line }) => `  ${line}`,
          ),
        )
      : []),
  ].join('\n');
}
