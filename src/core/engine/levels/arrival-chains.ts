import { chainsInto, type Chain } from '../flow';
import type { Facts } from '../facts';

/** The way of each intended source, stage by stage, into what its recorder takes. */
export const arrivalChains = (facts: Facts): Chain[] =>
  facts.arrivals.flatMap((arrival) =>
    facts.inputs
      .filter((i) => i.host === arrival.recorder && `${i.placed}/${i.capture.id}` === arrival.records)
      .flatMap((input) =>
        facts.voices
          .filter((voice) => voice.placed === arrival.source)
          .flatMap((voice) => chainsInto(facts, voice, input)),
      ),
  );
