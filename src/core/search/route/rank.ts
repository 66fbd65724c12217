import { EVIDENCE_KINDS, type Evidence } from '../../apps';
import type { Outcome } from '../../judge';
import { CATALOGUE, isPassiveLink, type Part } from '../../parts';
import { isDigital } from '../ends';
import { CLEAR_OF_NOISE, overNoise } from '../settings';
import type { Rig } from '../../rig';
import { EARS_TAKEN, TOUCHY, WORTH_A_PART } from '../bother';
import { checkOf } from '../../checks';
import { suppliedPorts } from './charging';
import type { Cost } from './inventory';
import { between, isTaken, pieceOf, type Layout } from './layout';
import type { Preference } from './request';

/** A route that the pipeline has judged and that is what was asked for. */
export interface Found {
  readonly layout: Layout;
  readonly rig: Rig;
  readonly judged: Outcome;
  readonly cost: Cost;
  readonly kind: string;
  /** Unbalanced runs longer than practice allows. */
  readonly overruns: number;
  /** Each source was to have a side of its own: one side is all that is wanted of it. */
  readonly apart: boolean;
  /** What is lost at the worst place of a source's band, dB. */
  readonly lost: number;
  /** A line output is kept from clipping a microphone input by knobs alone. */
  readonly touchy: boolean;
  /** What copper weighs where practice takes a box. */
  readonly rough: number;
}

/** The weaker of what the arrivals rest on; 0 is best. */
export const gradeOf = (judged: Outcome): number =>
  Math.max(0, ...judged.arrives.map((a) => gradeOfEvidence(a.evidence)));

export const gradeOfEvidence = (evidence: Evidence): number => EVIDENCE_KINDS.indexOf(evidence.kind);

/** Speech peaks over noise of the worst arrival, whole dB: less is not heard and is no reason to choose. */
export const qualityOf = (judged: Outcome): number => Math.round(Math.min(...judged.arrives.map(overNoise)));

/** How far from the noise speech peaks are wanted, dB, and what each dB short of it weighs in money. */
interface Hiss {
  readonly clear: number;
  readonly decibel: number;
}

/** What is less clear of the noise than CLEAR_OF_NOISE is heard to hiss; who wants the best sound pays for as much as a good preamplifier gives. Ours. */
const HISS: Readonly<Record<Preference, Hiss>> = {
  money: { clear: CLEAR_OF_NOISE, decibel: 1 },
  pieces: { clear: CLEAR_OF_NOISE, decibel: 1 },
  sound: { clear: 65, decibel: 5 },
};
const USUAL: Preference = 'money';

/** So much of a band is hardly missed, dB; each dB more, up to half the power, where it is a finding, weighs as much. Ours. */
const HARDLY = 1;
const DULL = 10;

type Weighed = Pick<Found, 'cost' | 'judged' | 'touchy' | 'rough' | 'apart' | 'lost'>;

/** Copying a side over, each time, weighs as much. Ours. */
const ONE_SIDE = 5;

/** A note about the plugs, which another lead would cure, weighs more than an adapter to buy, with a piece and a joint more. Ours. */
const NOTED = 15;

/** Notes that another lead or adapter would cure. */
const notedIn = ({ findings }: Outcome): number =>
  findings.filter((f) => f.severity === 'note' && (checkOf(f.code)?.cures ?? []).includes('link')).length;

/** Money and bother, and what a hiss, touchy knobs, copper in place of a box, notes about the plugs and a side left empty weigh. */
export const weightOf = (
  { cost, judged, touchy, rough, apart, lost }: Weighed,
  prefer: Preference = USUAL,
): number =>
  cost.weight +
  HISS[prefer].decibel * Math.max(0, HISS[prefer].clear - qualityOf(judged)) +
  DULL * Math.max(0, lost - HARDLY) +
  (touchy ? TOUCHY : 0) +
  rough +
  NOTED * notedIn(judged) +
  (isWhole({ judged, apart }) ? 0 : ONE_SIDE);

const PLACES: ReadonlyMap<string, number> = new Map(CATALOGUE.map(({ id }, index) => [id, index]));

/** The catalogue names the commoner things first: of what weighs the same those are taken. */
const uncommonness = ({ layout }: Found): number =>
  between(layout).reduce((sum, { id }) => sum + (PLACES.get(id) ?? CATALOGUE.length), 0);

/** What is clearer than a good preamplifier makes it is no better. */
const clearness = ({ judged }: Found): number => Math.min(qualityOf(judged), HISS.sound.clear);

/** Arrivals that are on both sides: nothing has to be copied over. */
export const onBothSides = ({ judged }: Found): number =>
  judged.arrives.filter(({ channels }) => channels === 'both').length;

/** How routes are compared, the first difference deciding: evidence, runs too long, money and bother, both sides rather than one, quality, joints. Who wants the best sound has quality before money. */
export const compareFound =
  (prefer: Preference = USUAL) =>
  (a: Found, b: Found): number =>
    gradeOf(a.judged) - gradeOf(b.judged) ||
    a.overruns - b.overruns ||
    (prefer === 'sound' ? clearness(b) - clearness(a) : 0) ||
    sign(weightOf(a, prefer) - weightOf(b, prefer)) ||
    onBothSides(b) - onBothSides(a) ||
    qualityOf(b.judged) - qualityOf(a.judged) ||
    a.cost.joints - b.cost.joints ||
    uncommonness(a) - uncommonness(b);

/** What weighs a third as much again as the best, and 20 more than it, is no answer to the same question. Our own limit. */
const SENSIBLE = { times: 4 / 3, more: 20 };

/** Sums in another order of adding are equal. */
const sign = (difference: number): number => (Math.abs(difference) < 1e-6 ? 0 : difference);

/** The most that a further route may weigh beside the best. */
export const sensibleBeside = (best: Weighed, prefer?: Preference): number =>
  Math.max(weightOf(best, prefer) * SENSIBLE.times, weightOf(best, prefer) + SENSIBLE.more);

/** Whether something in it has a headset jack, at which a splitter leaves a socket for headphones. */
export const couldLeave = ({ pieces }: Pick<Layout, 'pieces'>): boolean =>
  pieces.some(({ part }) =>
    part.ports.some(({ roles = {} }) => {
      const all = Object.values(roles);
      return all.includes('left') && all.includes('microphone');
    }),
  );

/** Sockets at a headset jack of the recorder's or a dongle's from which its playback is heard, and that are free. */
export const leavesHeadphones = (layout: Layout): boolean =>
  layout.joints.some(({ plug, jack }) => {
    const [fork, base] = [pieceOf(layout, plug.part), pieceOf(layout, jack.part)];
    const roles = Object.values(base?.part.ports.find(({ id }) => id === jack.port)?.roles ?? {});
    return (
      roles.includes('left') &&
      roles.includes('microphone') &&
      (fork?.part.ports ?? []).some(
        (port) =>
          port.direction === 'out' &&
          Object.values(port.roles ?? {}).includes('left') &&
          !isTaken(layout, { part: plug.part, port: port.id }),
      )
    );
  });

/** What a layout gives, however it is judged: charge, a socket left for headphones. */
function laidOut(layout: Layout): string[] {
  const charges = layout.recorders.filter((id) => suppliedPorts(layout, id)).map((id) => `charges ${id}`);
  return [...charges, ...(leavesHeadphones(layout) ? ['headphones'] : [])];
}

const given = new WeakMap<Outcome, readonly string[]>();

/** What a route gives beside the recording: the same, and both sides. Kept with its outcome. */
export function givesOf({ layout, judged }: Pick<Found, 'layout' | 'judged'>): readonly string[] {
  const known = given.get(judged);
  if (known) return known;
  const sides = judged.arrives.some((a) => a.channels === 'both') ? ['both sides'] : [];
  const found = [...laidOut(layout), ...sides];
  given.set(judged, found);
  return found;
}

/** Sources of one kind may change places, and recorders in one app: which of them takes which way does not make it another. */
function kindOf({ layout, kind }: Pick<Found, 'layout' | 'kind'>): string {
  const areAlike = (ids: readonly string[]): boolean => {
    const names = ids.map((id) => pieceOf(layout, id)).map((piece) => `${piece?.part.id} ${piece?.app}`);
    return names.length > 1 && new Set(names).size === 1;
  };
  return areAlike(layout.sources) || areAlike(layout.recorders)
    ? kind.trim().split(' ').sort().join(' ')
    : kind;
}

/** Two routes of one kind that give the same are one. */
export const sortOf = (found: Pick<Found, 'layout' | 'judged' | 'kind'>): string =>
  [kindOf(found), ...givesOf(found)].join(' + ');

/** Everything between that is more than copper, each as often as it is there. */
export const boxesOf = (parts: readonly Part[]): string[] =>
  parts.filter((part) => !isPassiveLink(part)).map(({ id }) => id);

/** Whether one list has all of another, each as often. */
export function hasAll(list: readonly string[], other: readonly string[]): boolean {
  const rest = [...list];
  return other.every((id) => {
    const at = rest.indexOf(id);
    if (at >= 0) rest.splice(at, 1);
    return at >= 0;
  });
}

/** The sockets at both ends of a way, from its kind. */
const endsOf = ({ kind }: Pick<Found, 'kind'>): string => {
  const words = kind.trim().split('>');
  return `${words[0]}>${words.at(-1)}`;
};

/** Nothing that is put in makes it clearer to the ear. */
export const isClear = ({ judged }: Pick<Found, 'judged'>, prefer: Preference = USUAL): boolean =>
  qualityOf(judged) >= HISS[prefer].clear;

/** Both sides are there, where there are two and both are wanted. */
export const isWhole = ({ judged, apart }: Pick<Found, 'judged' | 'apart'>): boolean =>
  apart || judged.arrives.every(({ channels }) => channels === 'both' || channels === 'mono');

/** Nothing but money and bother weighs: what is put in besides can make it no lighter. */
export const isPlain = (found: Found, prefer?: Preference): boolean =>
  isClear(found, prefer) && isWhole(found) && weightOf(found, prefer) <= found.cost.weight + 1e-6;

/** It has a stage of its own. */
const amplifies = ({ paths = [] }: Part): boolean => paths.length > 0;

/** Whether one layout is another with something more put in. */
function hasMore(b: Pick<Found, 'layout' | 'kind'>, a: Pick<Found, 'layout' | 'kind'>): boolean {
  const [here, before] = [between(b.layout), between(a.layout)];
  const more =
    here.length > before.length &&
    hasAll(
      here.map(({ id }) => id),
      before.map(({ id }) => id),
    );
  // A box that amplifies is another way than bare leads, and no padding of them.
  const alike = boxesOf(before).length > 0 || !here.some(amplifies);
  const boxed =
    alike &&
    endsOf(a) === endsOf(b) &&
    boxesOf(here).length > boxesOf(before).length &&
    hasAll(boxesOf(here), boxesOf(before));
  return more || boxed;
}

/** Whether `b` is `a` with something more put in, for which it gives nothing more and is hardly clearer of the noise. */
function isPadded(b: Found, a: Found, prefer?: Preference): boolean {
  if (!hasMore(b, a)) return false;
  const given = givesOf(a);
  const givesMore = givesOf(b).some((one) => !given.includes(one));
  // What spares the treble is wanted for that: a pick-up on an input of its own.
  const isAsBright = a.lost - b.lost <= HARDLY;
  return (
    !givesMore &&
    isAsBright &&
    (isClear(a, prefer) || qualityOf(b.judged) < qualityOf(a.judged) + WORTH_A_PART)
  );
}

/** Whether two layouts are the same but for what carries nothing but numbers: neither is clearer of the noise. */
function sameSound(a: Layout, b: Layout): boolean {
  const heard = (layout: Layout) =>
    between(layout)
      .filter(({ ports }) => !ports.every(isDigital))
      .map(({ id }) => id);
  const [one, other] = [heard(a), heard(b)];
  return one.length === other.length && hasAll(one, other);
}

/** Whether a layout that nobody has judged is bound to be a route that is known with something needless in it. */
export function isBoundToPad(layout: Layout, a: Found, prefer?: Preference): boolean {
  const given = givesOf(a);
  return (
    ((isClear(a, prefer) && a.lost <= HARDLY) || sameSound(layout, a.layout)) &&
    isWhole(a) &&
    hasMore({ layout, kind: layout.kind }, a) &&
    laidOut(layout).every((one) => given.includes(one))
  );
}

/** What weighs of a route and might not of another that sounds the same: notes about its plugs, a headphone socket taken, a side left empty. */
export const sparable = ({ judged, rough, apart }: Found): number =>
  NOTED * notedIn(judged) + Math.min(rough, EARS_TAKEN) + (isWhole({ judged, apart }) ? 0 : ONE_SIDE);

/** Whether a layout that nobody has judged sounds as one does that was found. */
export const soundsAs = ({ sounds }: Layout, a: Found): boolean =>
  sounds !== undefined && sounds === a.layout.sounds;

/** Whether `b` is of the same kind as a better one, and gives nothing that it does not. */
function isLess(b: Found, a: Found): boolean {
  const gives = givesOf(a);
  return b.kind === a.kind && givesOf(b).every((one) => gives.includes(one));
}

/** Of routes of one kind the best, without those that are a better one with something needless in it; at most `count`. */
export function bestOf(found: readonly Found[], count: number, prefer?: Preference): Found[] {
  const compare = compareFound(prefer);
  const kinds = new Map<string, Found>();
  for (const one of found) {
    const sort = sortOf(one);
    const known = kinds.get(sort);
    if (!known || compare(one, known) < 0) kinds.set(sort, one);
  }
  const best: Found[] = [];
  for (const one of [...kinds.values()].sort(compare)) {
    const [first] = best;
    if (first && (one.overruns > first.overruns || weightOf(one, prefer) > sensibleBeside(first, prefer)))
      continue;
    if (best.some((better) => isPadded(one, better, prefer) || isLess(one, better))) continue;
    best.push(one);
    if (best.length === count) break;
  }
  return best;
}
