import { EVIDENCE_KINDS } from '../apps';
import type { Hindrance, Item, Lost, Plan, Route, WishName, WishPrice } from '../search/route';
import { findPart } from '../parts';
import { formatDb } from '../units';
import { list } from './words';

const WISHES: Record<WishName, string> = {
  channels: 'the sides or tracks that were asked for',
  charge: 'charging while it records',
  hear: 'hearing what it plays back',
  guests: 'hearing the guests',
  callers: 'callers who come back into the box',
  length: 'the length to bridge',
  worn: 'being carried or on a gimbal',
  budget: 'the budget',
  risk: 'taking only what is proven',
  buyNothing: 'buying nothing',
  also: 'the second recorder',
};

/** A wish as a sentence calls it. */
export const wishName = (wish: WishName): string => WISHES[wish];

const count = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;

/** Why a route comes after the one before it, with both figures. */
export function sayLost({ by, here, before }: Lost): string {
  switch (by) {
    case 'evidence':
      return `Rests on less: ${EVIDENCE_KINDS[here] ?? ''}, where the one before is ${EVIDENCE_KINDS[before] ?? ''}.`;
    case 'overruns':
      return `${count(here, 'unbalanced run', 'unbalanced runs')} longer than practice allows, where the one before has ${before}.`;
    case 'weight':
      return `Weighs ${Math.round(here)} in money, bother and hiss, where the one before weighs ${Math.round(before)}.`;
    case 'sides':
      return `On both sides: ${count(here, 'recording', 'recordings')}, with the one before ${before}.`;
    case 'noise':
      return `Speech is ${formatDb(here)} over the noise, with the one before ${formatDb(before)}.`;
    case 'joints':
      return `${count(here, 'joint', 'joints')} to make, where the one before has ${before}.`;
    case 'nothing':
      return 'As good as the one before by every measure.';
  }
}

/** Leads are named with their length: it is what a person in a shop asks for. */
export const itemName = ({ name, length }: Pick<Item, 'name' | 'length'>): string =>
  length === undefined ? name : `${name}, ${length} m`;

const names = (items: readonly Item[]): string => list(items.map(itemName));

/** What it takes, in a sentence. */
export function sayRoute({ buy, own, joints }: Route): string {
  const have = own.length > 0 ? `From the drawer: ${names(own)}. ` : '';
  const get =
    buy.length > 0
      ? `To buy: ${names(buy)}.`
      : own.length > 0
        ? ''
        : 'Nothing between: it plugs straight in.';
  return `${have}${get} ${count(joints, 'joint', 'joints')}.`.replace(/ {2,}/g, ' ').trim();
}

/** What giving up one wish would allow. */
export const sayHindrance = ({ wish, others, route }: Hindrance): string =>
  `Without ${list([wish, ...others].map(wishName))} there is a way. ${sayRoute(route)}`;

/** What a wish costs; `money` says an amount. */
export function sayWishPrice({ wish, more, about }: WishPrice, money: (amount: number) => string): string {
  const name = wishName(wish);
  if (more === undefined) return `${name}: not known`;
  if (more === 0) return `${name}: costs nothing more`;
  return `${name}: ${about ? 'about ' : ''}${money(more)} more`;
}

/** So many of the first ways are the best there are. */
export const saySure = (sure: number): string =>
  sure === 0 ? '' : `None better than the first${sure > 1 ? ` ${sure}` : ''} is left unseen`;

/** Where the search was cut short: what is not left unseen. */
export function sayCut({ complete, ruledOut, late, sure = 0 }: Omit<Plan, 'routes' | 'hindrances'>): string {
  if (complete) return '';
  const cut = late ? 'Cut short by time' : 'Cut short';
  if (ruledOut === undefined || ruledOut < 1 || !Number.isFinite(ruledOut))
    return sure === 0 ? ` ${cut}: what was not looked at is not known.` : ` ${cut}. ${saySure(sure)}.`;
  const weight = `weighs under ${Math.floor(ruledOut)}, money, bother and sound`;
  return sure === 0
    ? ` ${cut}: nothing that ${weight}, is left unseen.`
    : ` ${cut}. ${saySure(sure)}, and nothing else that ${weight}.`;
}

/** A recorder that was wanted only if cheap. */
function sayLeftOut({ part, under, more }: NonNullable<Plan['leftOut']>): string {
  const name = findPart(part)?.name ?? part;
  return more === undefined
    ? ` Without the ${name}: no way with it was found.`
    : ` Without the ${name}: it would cost ${more} more, and ${under} was the most.`;
}

/** What comes of several when each is asked about alone. */
function sayAlone({ of, without }: NonNullable<Plan['alone']>): string {
  const what = of === 'sources' ? 'source' : 'recorder';
  if (without.length === 0) return ` Each ${what} alone has a way: it is together that they have none.`;
  const which = list(without.map((n) => ORDINALS[n] ?? `${n + 1}th`));
  return ` The ${which} ${what} ${without.length > 1 ? 'have' : 'has'} none even alone.`;
}

const ORDINALS = ['first', 'second', 'third'];

/** The answer in a sentence. */
export function sayPlan(plan: Plan): string {
  const { routes, hindrances, complete, givenUp = 0, leftOut, alone } = plan;
  const cut = sayCut(plan);
  if (routes.length > 0)
    return `${count(routes.length, 'way that was proved.', 'ways that were proved.')}${cut}${leftOut ? sayLeftOut(leftOut) : ''}`;
  if (hindrances.length > 0) {
    const sets = hindrances.map(({ wish, others }) =>
      [wish, ...others].map(wishName).join(' together with '),
    );
    return `No way meets all of it. What stands in the way: ${list(sets)}.`;
  }
  const given = ['', 'one wish', 'two wishes', 'three wishes'][givenUp] ?? '';
  const each = alone ? sayAlone(alone) : '';
  return complete
    ? `No way was found${given && `, and giving up any ${given} would not help`}.${each}`
    : `No way was found as far as was searched.${each}${cut}`;
}
