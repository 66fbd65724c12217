import { appDoesNotTake } from './app-does-not-take';
import { bankSleeps } from './bank-sleeps';
import { brownOut } from './brown-out';
import { cancelsInMono } from './cancels-in-mono';
import { callersDeaf } from './callers-deaf';
import { capsuleUnpowered } from './capsule-unpowered';
import { clips } from './clips';
import { contactsExchanged } from './contacts-exchanged';
import { contactsSwapped } from './contacts-swapped';
import { doesNotFit } from './does-not-fit';
import { dull } from './dull';
import { faint } from './faint';
import { recordsCallers, volumeSetsLevel } from './far-end-notes';
import { feedsBack } from './feeds-back';
import { guestsNotHeard } from './guests-not-heard';
import { headsetMicIdle } from './headset-mic-idle';
import { heardTwice } from './heard-twice';
import { hisses } from './hisses';
import { hot } from './hot';
import { howls, nearHowling } from './howls';
import { hums, mayHum } from './hums';
import { humsInEars } from './hums-in-ears';
import { isochronousExceeded } from './isochronous-exceeded';
import { mayStarve } from './may-starve';
import { micContactOpen } from './mic-contact-open';
import { micLineLoaded } from './mic-line-loaded';
import { micLineUnsure } from './mic-line-unsure';
import { sidesExchanged } from './sides-exchanged';
import { sideShorted } from './side-shorted';
import { sidesTied } from './sides-tied';
import { micLineShorted } from './mic-line-shorted';
import { monitorOff } from './monitor-off';
import { monitorUnpowered } from './monitor-unpowered';
import { noAnalogueMode } from './no-analogue-mode';
import { noPath } from './no-path';
import { notNoticed } from './not-noticed';
import { nothingIntended } from './nothing-intended';
import { oneSideOnly } from './one-side-only';
import { outputIntoOutput } from './output-into-output';
import { ownMicrophoneChosen } from './own-microphone-chosen';
import { pairCancels } from './pair-cancels';
import { pageNotReloaded } from './page-not-reloaded';
import { partUnpowered } from './part-unpowered';
import { bleeds, hearsNobody, monitoredLate } from './people';
import { playbackCancels } from './playback-cancels';
import { playbackMoved } from './playback-moved';
import { playbackReturns } from './playback-returns';
import { recordsOtherDevice } from './records-other-device';
import { runsFlat } from './runs-flat';
import { sags } from './sags';
import { sendFollowsFader } from './send-follows-fader';
import { sharesTrack } from './shares-track';
import { speakersOpen } from './speakers-open';
import { stageClips } from './stage-clips';
import { starved } from './starved';
import { switchedOff } from './switched-off';
import { tooQuiet } from './too-quiet';
import { trackNotArmed } from './track-not-armed';
import { twoSoundDevices } from './two-sound-devices';
import { unauthenticated } from './unauthenticated';
import { uncertainContact } from './uncertain-contact';
import { unbalancedRun } from './unbalanced-run';
import { usbLeadLong } from './usb-lead-long';
import { usbNoData } from './usb-no-data';
import { usbTooDeep } from './usb-too-deep';
import { voltageHarms } from './voltage-harms';
import { currentHarms } from './current-harms';
import { phantomOneSided } from './phantom-one-sided';
import { wrongInputNumber } from './wrong-input-number';
import { wrongSocket } from './wrong-socket';

/** Every check; of findings of one severity the ones named first stand first. */
export const CHECKS = [
  nothingIntended,
  voltageHarms,
  currentHarms,
  phantomOneSided,
  doesNotFit,
  noPath,
  usbNoData,
  noAnalogueMode,
  unauthenticated,
  starved,
  usbTooDeep,
  isochronousExceeded,
  mayStarve,
  brownOut,
  sags,
  usbLeadLong,
  twoSoundDevices,
  recordsOtherDevice,
  notNoticed,
  appDoesNotTake,
  ownMicrophoneChosen,
  pageNotReloaded,
  switchedOff,
  partUnpowered,
  wrongInputNumber,
  trackNotArmed,
  wrongSocket,
  contactsSwapped,
  micLineShorted,
  micLineLoaded,
  micContactOpen,
  capsuleUnpowered,
  outputIntoOutput,
  tooQuiet,
  feedsBack,
  cancelsInMono,
  pairCancels,
  oneSideOnly,
  sharesTrack,
  clips,
  stageClips,
  faint,
  dull,
  unbalancedRun,
  hums,
  runsFlat,
  mayHum,
  humsInEars,
  bankSleeps,
  howls,
  nearHowling,
  speakersOpen,
  playbackReturns,
  callersDeaf,
  guestsNotHeard,
  heardTwice,
  monitoredLate,
  bleeds,
  playbackMoved,
  playbackCancels,
  monitorOff,
  monitorUnpowered,
  hisses,
  hot,
  sendFollowsFader,
  headsetMicIdle,
  hearsNobody,
  volumeSetsLevel,
  recordsCallers,
  micLineUnsure,
  sidesTied,
  sideShorted,
  sidesExchanged,
  contactsExchanged,
  uncertainContact,
] as const;

export type FindingCode = (typeof CHECKS)[number]['code'];
export const FINDING_CODES: readonly FindingCode[] = CHECKS.map(({ code }) => code);
