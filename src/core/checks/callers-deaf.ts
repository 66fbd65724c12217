import type { Facts } from '../engine';
import { appOf } from '../engine/flow';
import { heardAmongCallers } from '../engine/hearing';
import { check } from './check';
import { MIX_MINUS } from './origins';

/** Whether somebody is at a far end for sure, or is listened to there: who streams may do so without guests. */
function isSpokenWith(facts: Facts, host: string): boolean {
  const laid = facts.laid.get(host);
  const mayBeAlone = laid !== undefined && appOf(laid)?.mayBeAlone === true;
  return !mayBeAlone || facts.listeners.some(({ hears }) => hears.some(({ device }) => device === host));
}

/** Two at far ends of whom one does not hear the other; where neither does it is told once. */
export const callersDeaf = check({
  code: 'callers-deaf',
  means:
    'Of two at far ends one does not hear the other: the caller’s channel is missing in the other’s send. Each further caller needs a send of their own.',
  severity: ['spoils'],
  origin: MIX_MINUS,
  limit: 'Peaks of at least −50 dBFS into the other’s device (our own limit).',
  aspect: 'returns',
  cures: ['mix', 'loose'],
  find: (facts) => {
    const deaf = heardAmongCallers(facts).filter(
      ({ state, listener, voice }) =>
        (state === 'not' || state === 'quiet') && isSpokenWith(facts, listener) && isSpokenWith(facts, voice),
    );
    const isDeafTo = (listener: string, voice: string) =>
      deaf.some((d) => d.listener === listener && d.voice === voice);
    return deaf
      .map(({ listener, voice }) => ({ listener, voice, mutual: isDeafTo(voice, listener) }))
      .filter(({ listener, voice, mutual }, index) =>
        deaf.slice(0, index).every((d) => !mutual || d.listener !== voice || d.voice !== listener),
      )
      .map(({ listener, voice, mutual }) => ({
        where: { part: listener },
        recorder: listener,
        other: voice,
        ...(mutual && { mutual }),
        values: [],
      }));
  },
});
