import { facesOf, findingKey, sourcesOf, type Finding } from '../checks/finding';
import { appOf, type Arrival, type Sides } from '../engine/flow';
import type { Outcome } from '../judge';
import { laidParts, type Rig } from '../rig';
import { formatDb } from '../units';
import { figure, type Sentence } from './sentence';
import { capital, noun, peaksWord } from './words';

const ON_SIDES: Record<Sides, string> = {
  both: 'on both sides',
  left: 'on the left side only',
  right: 'on the right side only',
  mono: 'in mono',
  none: 'not at all',
};

/** The state in a word or two, for a badge. */
export const STATE_BADGE: Record<Arrival['state'], string> = {
  recorded: 'Recorded',
  'listed-silent': 'Listed, but silent',
  'not-listed': 'Not listed',
  'wrong-mic': 'Wrong microphone',
};

/** Somebody at a far end listens: what comes in is sent there, and recorded by nobody. */
function hasFarEnd(rig: Rig, placed: string): boolean {
  const laid = laidParts(rig).find((one) => one.placed.id === placed);
  return laid !== undefined && appOf(laid)?.farEnd === true;
}

/** One sentence a person could say aloud about a source at a recorder. */
export function sayArrival(rig: Rig, arrival: Arrival): string {
  const source = noun(rig, arrival.source);
  const recorder = noun(rig, arrival.recorder);
  const sends = hasFarEnd(rig, arrival.recorder);
  const takes = (what: string): string => (sends ? `send ${what} to the far end` : `record ${what}`);
  switch (arrival.state) {
    case 'recorded':
      return `${capital(recorder)} will ${takes(source)}, ${ON_SIDES[arrival.channels]}.`;
    case 'wrong-mic':
      return `${capital(recorder)} will ${takes('its own microphone')}, not ${source}.`;
    case 'listed-silent':
      return `${capital(recorder)} will take the external input, and ${sends ? 'send' : 'record'} silence from ${source}.`;
    case 'not-listed':
      return `The app on ${recorder} will not list ${source}.`;
  }
}

/** What is recorded, with its level against its limit. */
export function sayLevel(rig: Rig, arrival: Arrival): Sentence {
  if (arrival.state === 'listed-silent') {
    return ['Noise of the input at ', figure(formatDb(arrival.noise, 'dBFS')), '.'];
  }
  const what =
    arrival.state === 'recorded' ? peaksWord(rig, arrival.source) : 'What it records instead peaks';
  return [
    `${what} at `,
    figure(formatDb(arrival.peak, 'dBFS')),
    ', noise at ',
    figure(formatDb(arrival.noise, 'dBFS')),
    '.',
  ];
}

/** Of what was found both ways, the way that is mended where the other stays. */
function mendedWay(rig: Rig, outcome: Outcome, about: Finding | undefined): string {
  const ways = about?.mutual === true ? facesOf(about) : [];
  const found = outcome.findings.flatMap(facesOf);
  const mended = ways.filter((way) => found.every((f) => findingKey(f) !== findingKey(way)));
  const [way] = mended;
  if (!way || mended.length === ways.length) return '';
  return `One way only: ${noun(rig, way.recorder)} then hears ${noun(rig, way.other)}. `;
}

/** What an outcome does, in one line, for a fix or a swap option: of the source that it is about, else of the worst. */
export function sayOutcome(rig: Rig, outcome: Outcome, about?: Finding): string {
  const asked = about === undefined ? [] : sourcesOf(about);
  const meant = outcome.arrives.filter(
    (a) => asked.includes(a.source) && (about?.recorder === undefined || a.recorder === about.recorder),
  );
  const pool = meant.length > 0 ? meant : outcome.arrives;
  const arrival = pool.find((a) => a.state !== 'recorded') ?? pool[0];
  const way = mendedWay(rig, outcome, about);
  if (!arrival) return `${way}Nothing is recorded.`;
  if (arrival.state !== 'recorded') return way + sayArrival(rig, arrival);
  const clips = arrival.headroom < 0;
  const does = hasFarEnd(rig, arrival.recorder) ? 'Sends' : 'Records';
  return `${way}${does} ${noun(rig, arrival.source)} ${ON_SIDES[arrival.channels]}, peaks ${formatDb(arrival.peak, 'dBFS')}${clips ? ', clipping' : ''}.`;
}
