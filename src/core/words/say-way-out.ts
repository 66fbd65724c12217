import type { Cure, Finding } from '../checks';
import type { Fixes } from '../search/fixes';
import type { WayOut } from '../search/way-out';
import { MOST_STEPS } from '../search/way-out/limits';
import { list, numberWord } from './words';

const count = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;

/** Why there is no way out; undefined where there is one. */
export function sayWhyNot({ way, ended, under, judged, isWide }: WayOut): string | undefined {
  if (way) return undefined;
  const tried = count(judged, 'rig was', 'rigs were');
  const untried = isWide ? ' Between so many free ends no two parts at a time were tried.' : '';
  return ended === 'cut'
    ? `The search was ended before it had found one: ${tried} judged, and none that weighs less than ${Math.round(under)} in money and bother is left unseen.${untried}`
    : `None of at most ${numberWord(MOST_STEPS)} changes, each of which cures something, makes the whole rig clean: ${tried} judged.${untried}`;
}

/** What was not ruled out before the search was ended; undefined where the way is the lightest. */
export const sayNotLightest = ({ way, ended, under }: WayOut): string | undefined =>
  way && ended === 'cut'
    ? `The search was ended before lighter ways were ruled out: none that weighs less than ${Math.round(under)} in money and bother is left unseen, this one weighs ${Math.round(way.weight)}.`
    : undefined;

const CURE: Readonly<Record<Cure, string>> = {
  exchange: 'two plugs changing places',
  join: 'a free plug in a free socket',
  loose: 'a plug that hangs loose in a socket',
  bridge: 'a lead, adapter or box from the one to the other',
  plug: 'another socket',
  replug: 'the headphones in another socket',
  link: 'another lead, adapter or dongle',
  parting: 'an isolator, a balanced lead or a box that parts the grounds',
  padding: 'a pad',
  less: 'one thing less',
  switch: 'a switch',
  named: 'its own switch',
  pair: 'the second lead of a pair',
  feed: 'a supply that is switched on',
  supply: 'a charger or power bank',
  feeder: 'another supply in the place of one',
  place: 'another place in the room',
  gain: 'a gain',
  send: 'a send',
  mix: 'the sends of a mix-minus',
  app: 'another app',
  choice: 'a choice in the app',
  headphones: 'something in the headphone socket',
};

/** Why a finding has no fix of its own; undefined where it has, or where it goes with another. */
export function sayWhyNone(finding: Finding, { fixes, cut, tried, cures }: Fixes): string | undefined {
  if (fixes.length > 0 || finding.because !== undefined) return undefined;
  if (cut) return 'The search for fixes was ended before it had found one.';
  if (cures.length === 0 && finding.person !== undefined)
    return 'Returns says who is in the room: put headphones on them there, plugged into what plays the far end, or a loudspeaker near them.';
  // What is only good to know wants no cure.
  if (cures.length === 0 && finding.severity === 'note') return undefined;
  if (cures.length === 0) return 'No change of the rig cures it: say what is to be recorded, and where.';
  const kinds = list(cures.map((cure) => CURE[cure]));
  // A part for it would not be worth its money, so none is tried.
  if (tried === 0 && finding.severity === 'note')
    return `Only good to know, so nothing was tried: ${kinds} would be wanted.`;
  if (tried === 0) return `Nothing in the catalogue goes there: ${kinds} would have been tried.`;
  return `One change is not enough: ${tried} ${tried === 1 ? 'was' : 'were'} tried (${kinds}).`;
}
