import type { WavHead } from '../signal/files';
import type { Measures } from '../signal/measure';
import { readTake, type TakeFinding } from '../signal/reading';
import { sayMended, sayTake, sayTakeFinding, takeTitle } from '../words/say-take';
import { finite } from './finite';

const findingReport = (finding: TakeFinding) => ({
  code: finding.code,
  severity: finding.severity,
  values: finding.values.map(({ name, value, unit }) => ({ name, value: finite(value), unit })),
  limit: finding.limit ?? null,
  source: finding.origin,
  atSeconds: finding.atSeconds ?? [],
  title: takeTitle(finding),
  says: sayTakeFinding(finding),
});

/** The channel in which most is said. */
const mainOf = ({ pauses }: Measures) => [...pauses].sort((a, b) => b.activeDbfs - a.activeDbfs)[0];

/** What `symplex soundcheck --json` prints of a take. Levels are dBFS, a full-scale sine −3.01 RMS; null where there is no such thing. */
export function takeReport(m: Measures, mended: WavHead['mended'] = [], findings = readTake(m)) {
  const main = mainOf(m);
  const floor = main?.floorDbfs;
  return {
    sampleRate: m.sampleRate,
    channels: m.channels,
    durationSeconds: m.durationSeconds,
    integratedLufs: finite(m.loudness.integratedLufs),
    loudnessRangeLu: m.loudness.loudnessRangeLu,
    momentaryMaxLufs: finite(m.loudness.momentaryMaxLufs),
    shortTermMaxLufs: finite(m.loudness.shortTermMaxLufs),
    truePeakDbtp: m.truePeakDbtp.map(finite),
    samplePeakDbfs: m.levels.map((l) => finite(l.samplePeakDbfs)),
    rmsDbfs: m.levels.map((l) => finite(l.rmsDbfs)),
    dcOffset: m.levels.map((l) => l.dcOffset),
    activeDbfs: finite(main?.activeDbfs ?? -Infinity),
    noiseFloorDbfs: floor === undefined ? null : finite(floor),
    snrDb: main && floor !== undefined ? finite(main.activeDbfs - floor) : null,
    clipping: { count: m.clipping?.count ?? 0, ceilingDbfs: m.clipping?.ceilingDbfs ?? null },
    hum: m.hum && {
      fundamentalHz: m.hum.fundamentalHz,
      levelDbfs: m.hum.levelDbfs,
      kind: m.hum.kind,
      lines: m.hum.lines,
    },
    whine: m.whine,
    band: m.band,
    image: { ...m.image, delayMs: m.sideDelay?.delayMs ?? null },
    echo: m.echo,
    dropouts: m.dropouts,
    clicks: m.clicks,
    thumps: m.thumps,
    roomSeconds: m.roomSeconds,
    rumbleDbfs: finite(m.rumbleDbfs),
    noiseRiseDb: m.riseDb,
    gainStep: m.gainStep,
    firstRateHz: m.firstRate,
    mended,
    findings: findings.map(findingReport),
    says: [sayTake(m, findings), ...sayMended(mended)],
  };
}

export type TakeReport = ReturnType<typeof takeReport>;
