import type { Facts } from '../engine';
import type { Finding, Origin, Severity } from './finding';

/** Kinds of edit that may cure a finding; what they are in full is search/fixes' to know. */
export type Cure =
  /** A plug of the way to another socket, or a lead turned round. */
  | 'plug'
  /** Two plugs, each into the socket of the other. */
  | 'exchange'
  /** A free plug into a free socket, where nothing leads on. */
  | 'join'
  /** A plug that hangs loose, into a free socket. */
  | 'loose'
  /** A lead, adapter or box more, from what hangs on the source to what hangs on the recorder. */
  | 'bridge'
  /** What is worn to listen, to another socket. */
  | 'replug'
  /** Another lead, adapter or dongle in the place of one, or one more between. */
  | 'link'
  /** The same, of those that may part grounds or make a way balanced. */
  | 'parting'
  /** The same, of those that take level off on the way into what records. */
  | 'padding'
  /** Something taken out altogether. */
  | 'less'
  /** A switch of a part on the way. */
  | 'switch'
  /** The very switch or choice that the finding names. */
  | 'named'
  /** The other output of a pair, by a lead of its own. */
  | 'pair'
  /** A switch that gives current or voltage. */
  | 'feed'
  /** A charger or power bank in a socket. */
  | 'supply'
  /** Another charger or power bank in the place of one, or none. */
  | 'feeder'
  /** A knob, to where it suits. */
  | 'gain'
  /** Where somebody or something stands in the room. */
  | 'place'
  /** A knob, out of the way altogether. */
  | 'send'
  /** The sends of a mixer, as a mix-minus wants them. */
  | 'mix'
  /** Another app, or another choice in it. */
  | 'app'
  | 'choice'
  /** Something in the headphone socket. */
  | 'headphones';

/** What a finding is a matter of: how things are plugged and switched, how loud they are, how they are fed and earthed, who hears whom. */
export type Aspect = 'wiring' | 'levels' | 'power' | 'returns';

/** Does it start, does it last, does it hum. */
export type PowerQuestion = 'start' | 'last' | 'hum';

/** What the engine is to take for granted so as to see what else goes when a finding is cured. */
export type Assumption =
  | { readonly kind: 'fed'; readonly parts: readonly string[] }
  /** A switch stands anywhere but where it does. */
  | { readonly kind: 'turned'; readonly part: string; readonly setting: string }
  /** A free plug of what hangs together with the one is in a free socket of what hangs together with the other. */
  | { readonly kind: 'joined'; readonly parts: readonly [string, string] };

/** What a check found; code, and severity and origin where it does not say them, are the check's own. */
export type Found = Omit<Finding, 'code' | 'severity' | 'origin'> &
  Partial<Pick<Finding, 'severity' | 'origin'>>;

/** A part that a source comes into past mending. `byFar`: whatever copper had led there. */
export interface Lost {
  readonly part: string;
  readonly byFar: boolean;
}

/** One thing that can be wrong with a rig, with all that is known of it but its words. */
export interface Check<Code extends string = string> {
  readonly code: Code;
  /** What it is to somebody who meets it for the first time: a sentence or two for docs/findings.md. */
  readonly means: string;
  /** The severities that it may have, the usual one first. */
  readonly severity: readonly [Severity, ...Severity[]];
  /** Where its limit comes from, where a finding does not say otherwise. */
  readonly origin: Origin;
  /** Its limit in words, made from the constant. */
  readonly limit: string;
  readonly cures: readonly Cure[];
  /** What it is a matter of; where a gain may cure it of levels, else of how things are plugged and switched. */
  readonly aspect?: Aspect;
  /** Of the supply: which question it answers. */
  readonly asks?: PowerQuestion;
  /** `others`: the facts of the other readings of uncertain joints. */
  readonly find: (facts: Facts, others: readonly Facts[]) => readonly Found[];
  /** Asked only about sources for which nothing else was found. */
  readonly lastResort?: boolean;
  /** Where the source comes in with the trouble already on it: whatever follows there, it stays. A search need not try. */
  readonly isLostAt?: (facts: Facts, finding: Finding) => Lost | undefined;
  /** How the pipeline finds the consequences of a finding; without it a finding has none. */
  readonly assume?: (finding: Finding) => Assumption | undefined;
}

export const check = <const Code extends string>(plan: Check<Code>): Check<Code> => plan;
