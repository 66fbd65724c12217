import { appOf, isNoticed, PLAYED_CREST, SPEECH_CREST, type Arrival } from '../engine/flow';
import { laidParts, type Rig } from '../rig';
import type { Analysis } from '../judge';
import type { JointView } from '../views';
import { formatDb, formatOhms } from '../units';
import { isSpokenInto } from './words';

/** What stands at the right of a part's card: one measured value and its name. */
export interface RungReading {
  readonly main: string;
  readonly sub: string;
}

/** `sends`: somebody at a far end hears it. */
function hostReading(arrival: Arrival, sends: boolean): RungReading {
  const peak = formatDb(arrival.peak, 'dBFS');
  switch (arrival.state) {
    case 'recorded':
      return { main: peak, sub: sends ? 'peaks sent' : 'recorded peaks' };
    case 'wrong-mic':
      return { main: 'own mic', sub: peak };
    case 'not-listed':
      return { main: 'not listed', sub: `own mic ${peak}` };
    case 'listed-silent':
      return { main: 'silence', sub: `noise ${formatDb(arrival.noise, 'dBFS')}` };
  }
}

const loudest = (joint: JointView): number =>
  Math.max(-Infinity, ...joint.contacts.flatMap((c) => (c.level === null ? [] : [c.level])));

/** The reading of a placed part; undefined for one on which nothing of the wanted sound can be measured. */
export function rungReading(rig: Rig, analysis: Analysis, placed: string): RungReading | undefined {
  const arrival = analysis.arrives.find((a) => a.recorder === placed);
  if (arrival) {
    const laid = laidParts(rig).find((one) => one.placed.id === placed);
    return hostReading(arrival, laid !== undefined && appOf(laid)?.farEnd === true);
  }
  const input = analysis.inputs.find((i) => i.placed === placed && i.sensed);
  if (input?.sensed && input.plugged) {
    const seen = isNoticed(input.sensed.reading);
    return { main: seen ? 'mic seen' : 'no mic seen', sub: formatOhms(input.sensed.resistance) };
  }
  const levels = analysis.joints
    .filter((joint) => joint.plug.part === placed || joint.jack.part === placed)
    .map(loudest);
  const level = Math.max(-Infinity, ...levels);
  if (!Number.isFinite(level)) return undefined;
  const { sources } = rig.purpose;
  // At a source its own; on the way what is the likeliest to be there.
  const spoken = sources.includes(placed)
    ? isSpokenInto(rig, placed)
    : sources.some((source) => isSpokenInto(rig, source));
  return spoken
    ? { main: formatDb(level + SPEECH_CREST, 'dBV'), sub: 'speech peaks' }
    : { main: formatDb(level + PLAYED_CREST, 'dBV'), sub: 'peaks' };
}
