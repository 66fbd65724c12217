import { exchangedAt } from '../engine/roles';
import { check } from './check';
import { inputOf } from './input-of';
import { HEADSET_PINOUT } from './origins';

/** Ground and microphone lie on each other's contacts, and it works all the same: a source that floats does not mind. */
export const contactsExchanged = check({
  code: 'contacts-exchanged',
  means:
    'The plug has microphone and ground where the jack has ground and microphone. A source that floats does not mind; one that shares a ground with anything else falls silent.',
  severity: ['note'],
  origin: HEADSET_PINOUT,
  limit: 'Computed from what touches what; pinouts of ITU-T P.381 and OMTP (from memory).',
  cures: ['plug', 'link'],
  find: (facts) =>
    facts.arrivals.flatMap((arrival) => {
      const input = arrival.state === 'recorded' ? inputOf(facts, arrival) : undefined;
      if (!input?.sensed) return [];
      return facts.rig.joints.flatMap((joint) => {
        const crossed = exchangedAt(facts, joint.id);
        if (crossed.length < 2) return [];
        return [
          {
            where: { joint: joint.id, plug: crossed.map((c) => c.plug), jack: crossed.map((c) => c.jack) },
            source: arrival.source,
            recorder: arrival.recorder,
            values: [],
          },
        ];
      });
    }),
});
