import { appOf, chooseInput, takeOf, wayOf, type LeftAlone } from '../engine/flow';
import type { Facts } from '../engine/facts';
import { failing } from './failing';
import type { Finding, FindingCode, Origin } from './finding';
import { CHOICE_IN_APP } from './origins';

const CODE: Record<LeftAlone, FindingCode> = {
  'not-taken': 'app-does-not-take',
  'own-chosen': 'own-microphone-chosen',
  'not-reloaded': 'page-not-reloaded',
};

const SETTING: Record<LeftAlone, string | undefined> = {
  'not-taken': undefined,
  'own-chosen': 'source',
  'not-reloaded': 'reloaded',
};

/** An input that the host offers and its app leaves alone: by its policy, or by what was chosen in it. */
export function appChoice(facts: Facts): Finding[] {
  return failing(facts).flatMap(({ arrival, inputs }): Finding[] => {
    const host = facts.laid.get(arrival.recorder);
    const app = host && appOf(host);
    if (!host || !app) return [];
    const { offered, left } = chooseInput(facts.rig, host, inputs);
    if (!offered || !left) return [];
    const { evidence } = takeOf(facts.rig, host, app, wayOf(offered));
    const policy: Origin = {
      kind: 'common practice',
      text: `policy of this app class, ${evidence.kind}, ${evidence.date}`,
    };
    const setting = SETTING[left];
    return [
      {
        code: CODE[left],
        severity: 'blocks',
        where: { part: arrival.recorder },
        source: arrival.source,
        recorder: arrival.recorder,
        other: offered.placed,
        ...(setting !== undefined && { setting }),
        values: [],
        origin: left === 'not-taken' ? policy : CHOICE_IN_APP,
      },
    ];
  });
}
