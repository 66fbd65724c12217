import { magnitude, nodeKey } from '../engine/circuit';
import { appOf } from '../engine/flow';
import { heardAmongCallers } from '../engine/hearing';
import type { Facts } from '../engine';
import { dbFs, gainToDb, type DbFs } from '../units';
import { check, type Found } from './check';
import { RETURNED } from './origins';

/** What comes back of full-scale playback, at the most, before the far end hears itself. A limit of our own. */
const RETURN_AT_MOST: DbFs = dbFs(-30);

/** The loudest return of a host's playback into its own inputs, dBFS. */
function returned(facts: Facts, host: string): DbFs {
  const outputs = facts.playing.filter((s) => facts.playsAt.get(s.placed) === host && s.kind === 'signal');
  const levels = facts.inputs
    .filter((input) => input.host === host && input.plugged && input.accepted && input.on)
    .flatMap((input) =>
      input.channels.flatMap((channel) => {
        const spec = input.capture.channels[channel.number - 1];
        const net = (node: string | undefined) => facts.nets.of(nodeKey(input.placed, node ?? ''));
        return outputs.map((output) => {
          const gain = facts.alternating.gain(output.id, net(spec?.plus), net(spec?.minus));
          const full = output.kind === 'signal' ? output.sensitivity : 0;
          return gain ? full + gainToDb(magnitude(gain)) - channel.fullScale : -Infinity;
        });
      }),
    );
  return dbFs(Math.max(-Infinity, ...levels));
}

/** From mouth to ear and back, ms, typical; 0 where too little comes to be heard. */
const roundTrip = (facts: Facts, host: string): number =>
  heardAmongCallers(facts).find(({ listener, voice }) => listener === host && voice === host)?.delay
    .typical ?? 0;

/** A far end that hears itself: what its device plays comes back into the same device's input. */
export const playbackReturns = check({
  code: 'playback-returns',
  means:
    'What the device plays comes back into its own input: the caller’s channel stands in the caller’s own send. A send without it is a mix-minus.',
  severity: ['spoils'],
  origin: RETURNED,
  limit: `Return at most −${-RETURN_AT_MOST} dBFS for full-scale playback (our own limit; talker echo: ITU-T G.131).`,
  aspect: 'returns',
  cures: ['send', 'switch', 'plug'],
  find: (facts) =>
    [...facts.laid].flatMap(([id, host]): Found[] => {
      if (!appOf(host)?.farEnd) return [];
      const level = returned(facts, id);
      if (level <= RETURN_AT_MOST) return [];
      return [
        {
          where: { part: id },
          recorder: id,
          values: [
            { name: 'return of full-scale playback', value: level, unit: 'dBFS' },
            { name: 'after', value: roundTrip(facts, id), unit: 'ms' },
          ],
          limit: { value: RETURN_AT_MOST, unit: 'dBFS', is: 'at most' },
        },
      ];
    }),
});
