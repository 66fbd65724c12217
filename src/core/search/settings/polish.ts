import { applyEdit, laidParts, settingOf, type Rig, type RigEdit } from '../../rig';
import { outcomeOf, type Outcome } from '../../judge';
import { LEAST_HEADROOM, overNoise, TARGET_PEAK } from './targets';
import type { Settled } from './settle';

/** Speech peaks this near to the target need no further turning, dB. */
const NEAR_ENOUGH = 6;
/** Being louder is not worth more noise than this, dB. */
const WORTH_NOISE = 1;
const MOST_RUNS = 24;

const missOf = (peak: number): number => Math.abs(peak - TARGET_PEAK);

/** Every knob of a rig turned by so many dB, as far as it goes. */
function turned(rig: Rig, by: number): RigEdit[] {
  return laidParts(rig).flatMap((laid) =>
    (laid.part.settings ?? []).flatMap((setting): RigEdit[] => {
      if (setting.kind !== 'knob') return [];
      const stands = Number(settingOf(laid, setting.id));
      const wanted = setting.from + Math.round((stands + by - setting.from) / setting.step) * setting.step;
      const option = Math.min(setting.to, Math.max(setting.from, wanted));
      return option === stands ? [] : [{ kind: 'set', part: laid.placed.id, setting: setting.id, option }];
    }),
  );
}

/** Whether one answer is as sound as another, one arrival nearer to its target and none much worse. */
function isBetter(after: Outcome, before: Outcome, index: number): boolean {
  if (after.verdict !== before.verdict || after.findings.length > before.findings.length) return false;
  const [now, then] = [after.arrives[index], before.arrives[index]];
  if (!now || !then || missOf(now.peak) > missOf(then.peak) - 1) return false;
  return after.arrives.every((arrival, n) => {
    const known = before.arrives[n];
    return (
      known !== undefined &&
      arrival.state === known.state &&
      arrival.headroom >= Math.min(LEAST_HEADROOM, known.headroom) &&
      overNoise(arrival) >= overNoise(known) - WORTH_NOISE &&
      (n === index || missOf(arrival.peak) <= missOf(known.peak) + 1)
    );
  });
}

/** Knobs of a sound rig turned so that speech peaks come near −12 dBFS, where that costs nothing; else as it was. */
export function polish(begun: Rig, first: Outcome): Settled {
  let [rig, judged, runs] = [begun, first, 0];
  for (const index of first.arrives.keys()) {
    const peak = judged.arrives[index]?.peak ?? NaN;
    if (!(missOf(peak) > NEAR_ENOUGH) || !Number.isFinite(peak)) continue;
    for (const edit of turned(rig, TARGET_PEAK - peak)) {
      if (runs >= MOST_RUNS) return { rig, judged, runs };
      const next = applyEdit(rig, edit);
      const found = outcomeOf(next);
      runs += 1;
      if (!isBetter(found, judged, index)) continue;
      [rig, judged] = [next, found];
      if (missOf(found.arrives[index]?.peak ?? NaN) <= NEAR_ENOUGH) break;
    }
  }
  return { rig, judged, runs };
}
