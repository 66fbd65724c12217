import { outcomeOf, type Outcome } from '../judge';
import type { Rig } from '../rig';
import { powerView, type PowerView } from '../views';
import { cautionsFor, pluggingSteps } from '../words/plugging';
import { powerAnswers } from '../words/say-power';
import { plain } from '../words/sentence';
import { finite } from './finite';

const level = ({ typical, least, most }: { typical: number; least: number; most: number }) => ({
  typical: finite(typical),
  least: finite(least),
  most: finite(most),
});

/** Supply lines, batteries and the session in their public form. */
export const supplyReport = (view: PowerView) => ({
  supplies: view.supplies,
  feeds: view.feeds.map((feed) => ({
    from: feed.from,
    to: feed.to,
    as: feed.as,
    givesMilliamps: feed.gives,
    declaredMilliamps: feed.declared,
    takesMilliamps: feed.takes,
    refused: feed.refused,
    metres: feed.metres,
    volts: feed.volts,
  })),
  devices: view.draws.map(({ placed, atFirst, states }) => ({
    part: placed,
    atFirstMilliamps: atFirst,
    states: states.map(({ setting, option, now, declared, takes }) => ({
      setting: setting ?? null,
      option: option ?? null,
      now,
      declaredMilliamps: declared,
      takesMilliamps: takes,
    })),
  })),
  phantom: view.phantoms.map(({ placed, port, volts, milliamps, atFiveVolts }) => ({
    part: placed,
    port,
    volts,
    milliamps,
    costsMilliamps: atFiveVolts,
  })),
  hosts: view.net.map(({ host, milliamps }) => ({ host, netMilliamps: milliamps })),
  batteries: view.discharge.map((one, index) => ({
    part: one.placed,
    cells: view.stores[index]?.cells ?? null,
    emptyMinutes: {
      typical: one.flat ?? null,
      least: one.flatSoonest ?? null,
      most: one.flatLatest ?? null,
    },
  })),
  session: view.session,
});

/** Loops and what they bring, in their public form. */
export const earthReport = (view: PowerView) => ({
  loops: view.loops,
  hum: view.hums.map(({ recorder, hum, whine, shares }) => ({
    recorder,
    humDbfs: level(hum),
    whineDbfs: level(whine),
    shares: shares.map(({ why, where, typical }) => ({ why, where, dbfs: finite(typical) })),
  })),
  ears: view.ears.map(({ listener, hum, whine }) => ({
    listener,
    humDbv: level(hum),
    whineDbv: level(whine),
  })),
});

/** What `symplex power --json` prints. */
export function powerReport(rig: Rig, outcome: Outcome = outcomeOf(rig)) {
  const view = powerView(rig);
  return {
    rig: rig.id,
    verdict: outcome.verdict,
    answers: powerAnswers(rig, view, outcome).map(({ asks, is, says }) => ({ asks, is, says: plain(says) })),
    power: supplyReport(view),
    earth: earthReport(view),
    order: pluggingSteps(rig),
    cautions: cautionsFor(rig),
  };
}

export type PowerReport = ReturnType<typeof powerReport>;
