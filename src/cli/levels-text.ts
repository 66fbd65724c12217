import type { LevelsReport } from '../core/files/levels-report';

type Way = LevelsReport['ways'][number];

const figure = (value: number | null): string => (value === null ? '–' : value.toFixed(1)).padStart(8);

function wayLines({ source, recorder, stages, says, response }: Way): string[] {
  const rows = stages.map(
    (stage) =>
      `  ${`${stage.part}, ${stage.is}`.padEnd(28)}${figure(stage.noiseDbv)}${figure(stage.rmsDbv)}${figure(stage.peakDbv)}${figure(stage.clipDbv)}`,
  );
  const band = response
    ? [
        `  −3 dB at ${response.fromHz?.toFixed(0) ?? 'under 20'} Hz and ${response.toHz?.toFixed(0) ?? 'over 20000'} Hz`,
      ]
    : [];
  return [
    '',
    `${source} → ${recorder}, dBV`,
    `  ${''.padEnd(28)}${['noise', 'RMS', 'peaks', 'at most'].map((word) => word.padStart(8)).join('')}`,
    ...rows,
    ...says.map((line) => `  ${line}`),
    ...band,
  ];
}

function planLines(title: string, plan: LevelsReport['plan']): string[] {
  const outcome =
    plan.peakDbfs === null || plan.overNoiseDb === null
      ? 'nothing arrives'
      : `peaks ${plan.peakDbfs.toFixed(1)} dBFS, ${plan.overNoiseDb.toFixed(1)} dB over the noise`;
  const lines =
    plan.settings.length === 0 ? ['  nothing to turn'] : plan.settings.map(({ says }) => `  ${says}`);
  return ['', `${title}: ${outcome}`, ...lines, ...plan.adds.map(({ says }) => `  ${says}`)];
}

/** Parts and distances that the pipeline has judged in this rig. */
function provedLines({ adds, tried, cut }: LevelsReport['proved']): string[] {
  if (tried === 0) return [];
  const none = adds.length === 0 ? [`  nothing: ${tried} parts and distances were tried`] : [];
  const end = cut ? ['  The time was over before all were tried.'] : [];
  return ['', 'Proved in this rig:', ...adds.map(({ says }) => `  ${says}`), ...none, ...end];
}

/** Levels as a person reads them in a terminal. */
export function levelsText(report: LevelsReport): string {
  if (report.ways.length === 0)
    return `${report.rig}: nothing of any source comes to a converter; check says why`;
  return [
    report.rig,
    ...report.ways.flatMap(wayLines),
    ...planLines(`Best settings for peaks at ${report.plan.target} dBFS`, report.plan),
    ...provedLines(report.proved),
    ...report.presets.slice(1).flatMap((preset) => planLines(preset.name, preset)),
  ].join('\n');
}
