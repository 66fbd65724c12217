import { findApp } from '../apps';
import { returnsView, type ReturnsView } from '../views';
import { airMoves, planReturns, type ReturnsPlan } from '../search/returns';
import type { Rig } from '../rig';
import { nameOf } from '../words/words';
import { unitOf } from '../engine/hearing';
import { sayEdit } from '../words/say-edit';
import { sayHearer } from '../words/say-returns';
import { finite } from './finite';

/** What is missing where no setting does it. */
export function sayMissing(rig: Rig, { echoing, missing }: ReturnsPlan): string[] {
  const short = [...new Set([...echoing, ...missing.map(({ listener }) => listener)])];
  return short.map(
    (caller) =>
      `${nameOf(rig, caller)} needs a send of their own, or a phone socket that leaves them out of their own mix.`,
  );
}

const planReport = (rig: Rig, plan: ReturnsPlan) => ({
  settings: plan.edits.flatMap((edit) =>
    edit.kind === 'set'
      ? [{ part: edit.part, setting: edit.setting, value: edit.option, says: sayEdit(rig, edit) }]
      : [],
  ),
  proved: plan.proved,
  missing: plan.missing.map(({ listener, voice }) => ({ listener, voice })),
  echoing: plan.echoing,
  says: sayMissing(rig, plan),
});

/** Who hears whom in its public form. */
export function hearsReport(rig: Rig, view: ReturnsView = returnsView(rig)) {
  const plan = planReturns(rig);
  return {
    hears: view.hearing.cells.map(({ listener, voice, state, level, delay, path }) => ({
      listener,
      voice,
      state,
      level: finite(level),
      unit: unitOf(rig, view.hearing.hearers, listener),
      delayMs: delay,
      path,
    })),
    says: view.hearing.hearers.map(({ id }) => sayHearer(rig, view.hearing, id)),
    echo: view.echoes.map(({ caller, roundTrip, loss, wants }) => ({
      caller,
      roundTripMs: roundTrip,
      lossDb: finite(loss),
      wantsDb: wants,
      cancelling: findApp(rig.parts.find(({ id }) => id === caller)?.app ?? '')?.cancelsEcho?.kind ?? null,
    })),
    loops: view.loops.map(({ marginDb, through, air = false, hertz }) => ({
      marginDb: finite(marginDb),
      through,
      air,
      hertz: hertz ?? null,
    })),
    air: view.air.map(({ speaker, microphone, placing, said, delayMs }) => ({
      speaker,
      microphone,
      ...placing,
      said,
      delayMs,
    })),
    moves: airMoves(rig).map(({ edit, marginDb }) => ({
      says: sayEdit(rig, edit),
      edit,
      marginDb: finite(marginDb),
    })),
    people: view.people.map(({ person, part, is, standing }) => ({ person, part, is, ...standing })),
    plan: plan ? planReport(rig, plan) : null,
  };
}

/** What `symplex returns --json` prints. */
export const returnsReport = (rig: Rig) => ({ rig: rig.id, ...hearsReport(rig) });

export type ReturnsReport = ReturnType<typeof returnsReport>;
