import type { Facts } from '../engine/facts';
import { appChoice } from './app-choice';
import { cancelsInMono } from './cancels-in-mono';
import { capsule } from './capsule';
import { doesNotFit } from './does-not-fit';
import { FINDING_CODES, findingKey, severityRank, type Finding } from './finding';
import { clips, oneSideOnly, tooQuiet } from './levels-at-input';
import { micLine } from './mic-line';
import { guestsNotHeard, monitorOff, playbackMoved } from './monitoring';
import { noPath } from './no-path';
import { notNoticed } from './not-noticed';
import { nothingIntended } from './nothing-intended';
import { openContact } from './open-contact';
import { outputIntoOutput } from './output-into-output';
import { partUnpowered } from './part-unpowered';
import { playbackReturns } from './playback-returns';
import { stageClips } from './stage-clips';
import { switchedOff } from './switched-off';
import { sharesTrack, tracks } from './tracks';
import { uncertainContact } from './uncertain';
import { twoSoundDevices, usb } from './usb';
import { usbLimits } from './usb-limits';
import { voltageHarms } from './voltage-harms';

const CHECKS: readonly ((facts: Facts) => Finding[])[] = [
  nothingIntended,
  voltageHarms,
  doesNotFit,
  noPath,
  usb,
  usbLimits,
  twoSoundDevices,
  notNoticed,
  appChoice,
  switchedOff,
  partUnpowered,
  tracks,
  capsule,
  micLine,
  openContact,
  outputIntoOutput,
  cancelsInMono,
  oneSideOnly,
  sharesTrack,
  clips,
  stageClips,
  playbackReturns,
  guestsNotHeard,
  playbackMoved,
  monitorOff,
];

/** A source that does not get through must never stay without a reason. */
function unexplained(facts: Facts, found: readonly Finding[]): Finding[] {
  const general = found.some((f) => f.severity === 'blocks' && f.source === undefined);
  return facts.arrivals
    .filter((a) => a.state !== 'recorded' && !general)
    .filter(
      (a) =>
        !found.some((f) => f.source === a.source && f.recorder === a.recorder && f.severity === 'blocks'),
    )
    .map(tooQuiet);
}

const byWeight = (a: Finding, b: Finding): number =>
  severityRank(a.severity) - severityRank(b.severity) ||
  FINDING_CODES.indexOf(a.code) - FINDING_CODES.indexOf(b.code);

/** All findings of a rig, from the likeliest reading of its joints and, for uncertain joints, the others. */
export function runChecks([nominal, ...others]: readonly [Facts, ...Facts[]]): Finding[] {
  const found = CHECKS.flatMap((check) => check(nominal));
  const all = [
    ...found,
    ...unexplained(nominal, found),
    ...others.flatMap((o) => uncertainContact(nominal, o)),
  ];
  const once = new Map(all.map((finding) => [findingKey(finding), finding]));
  return [...once.values()].sort(byWeight);
}
