import type { FindingCode, Severity } from '../checks';

/** What each finding means: the list behind docs/findings.md and the headings on the Bench. */
export interface FindingEntry {
  readonly title: string;
  readonly severity: readonly Severity[];
  readonly means: string;
  readonly limit: string;
}

export const FINDING_LIST: Record<FindingCode, FindingEntry> = {
  'nothing-intended': {
    title: 'Nothing chosen to record',
    severity: ['blocks'],
    means: 'The rig names no source or no recorder, so there is nothing to judge.',
    limit: 'At least one source and one recorder.',
  },
  'voltage-harms': {
    title: 'Voltage where it does harm',
    severity: ['danger'],
    means:
      'Phantom power or another direct voltage reaches a contact that does not bear it. Fader down and phantom off before anything is plugged.',
    limit: 'What the contact bears (typical); phantom power is 48 ± 4 V (IEC 61938).',
  },
  'does-not-fit': {
    title: 'Does not fit',
    severity: ['blocks'],
    means:
      'The two connectors of a joint cannot be pushed together: other size, other family, or the same gender.',
    limit: 'Plug dimensions of IEC 60603-11 (from memory).',
  },
  'no-path': {
    title: 'Not joined',
    severity: ['blocks'],
    means: 'No chain of joints leads from the source to the recorder.',
    limit: 'Computed from the joints.',
  },
  'usb-no-data': {
    title: 'Power, but no data',
    severity: ['blocks'],
    means: 'The lead or socket feeds the device and carries no data: the host never learns of it.',
    limit: 'Computed from the lines of the leads.',
  },
  'no-analogue-mode': {
    title: 'Port without analogue sound',
    severity: ['blocks'],
    means:
      'A dongle without a converter wants the audio accessory mode of the USB-C port, and this port has none. A dongle with a converter inside works on any port that takes USB sound.',
    limit: 'Audio adapter accessory mode of USB Type-C (appendix A; from memory).',
  },
  'accessory-unauthenticated': {
    title: 'Not authenticated',
    severity: ['blocks'],
    means: 'The 8-pin port asks its accessory to prove itself, and this one cannot.',
    limit: 'Authentication of the port (common practice).',
  },
  starved: {
    title: 'Starved of power',
    severity: ['blocks'],
    means: 'The device declares more current than its socket gives; the host refuses it.',
    limit:
      'What the socket gives: USB 2.0, 7.2.1 (100 mA from a bus-powered hub, 500 mA configured); bare 8-pin adapters about 100 mA (typical, from memory).',
  },
  'usb-too-deep': {
    title: 'Too many hubs',
    severity: ['blocks'],
    means: 'More hubs lie between host and device than USB allows.',
    limit: 'Five hubs (USB 2.0, 4.1.1).',
  },
  'isochronous-exceeded': {
    title: 'More sound than the bus carries',
    severity: ['blocks'],
    means: 'A full-speed device streams more bytes a millisecond than one frame holds.',
    limit: '1,023 bytes a frame of a millisecond (USB 2.0, 5.6.3).',
  },
  'brown-out': {
    title: 'Comes and goes',
    severity: ['spoils'],
    means:
      'The host takes the device on what it declares, but at its busiest it really takes more than its socket has left: the supply sags and it drops out.',
    limit: 'What the socket has left (USB 2.0, 7.2.1); real draw typical.',
  },
  'usb-lead-long': {
    title: 'USB lead too long',
    severity: ['spoils'],
    means: 'One run of lead between two devices is longer than USB allows; drop-outs are likely.',
    limit: 'About 5 m (USB 2.0, 7.1.16; from memory).',
  },
  'two-sound-devices': {
    title: 'Two sound devices',
    severity: ['blocks', 'spoils'],
    means: 'Phones and tablets take one USB sound device at a time; the second is ignored.',
    limit: 'One (common practice).',
  },
  'not-noticed': {
    title: 'The phone takes no notice of it',
    severity: ['blocks'],
    means:
      'Some mobile interfaces are noticed only while something sits in their headphone socket: their load is what the phone senses. Plug headphones in and leave them in.',
    limit: 'A property of the part (common practice).',
  },
  'own-microphone-chosen': {
    title: 'Own microphone chosen in the app',
    severity: ['blocks'],
    means: 'What is plugged in is offered, but the app’s source list stands at the device’s own microphone.',
    limit: 'What was chosen in the app.',
  },
  'page-not-reloaded': {
    title: 'Page not reloaded',
    severity: ['blocks'],
    means:
      'The microphone was plugged in after the page was loaded; the page lists it only when loaded again.',
    limit: 'What was done in the app.',
  },
  'switched-off': {
    title: 'Switched off on the way',
    severity: ['blocks'],
    means: 'A mute, a channel switch or an answer to a question keeps the source out.',
    limit: 'Where the switch stands.',
  },
  'part-unpowered': {
    title: 'A part without power',
    severity: ['blocks'],
    means:
      'The source, or a part on its way, has no power: flat battery, switched off, no charger or no phantom.',
    limit: 'What feeds the part; least supply typical, P48 after IEC 61938.',
  },
  'wrong-input-number': {
    title: 'Wrong input number',
    severity: ['blocks'],
    means: 'The device hears the source, but no track of the project records that input of it.',
    limit: 'What was chosen in the app.',
  },
  'track-not-armed': {
    title: 'Track not armed',
    severity: ['blocks'],
    means: 'A track has the right input and is not armed, so it records nothing.',
    limit: 'What was chosen in the app.',
  },
  'app-does-not-take': {
    title: 'The app does not take it',
    severity: ['blocks'],
    means:
      'The host offers the input, but this class of app takes only headsets (voice rooms, browser studios).',
    limit: 'The policy of the app class, with its evidence and date.',
  },
  'contacts-swapped': {
    title: 'Microphone and ground exchanged',
    severity: ['blocks'],
    means:
      'The bias stands across the capsule the wrong way round: plug and jack put microphone and ground on each other’s contacts.',
    limit:
      'Bias across the capsule at least its minimum (0.7 V, typical), with the right sign; pinouts of ITU-T P.381 and OMTP (from memory).',
  },
  'mic-line-shorted': {
    title: 'Microphone line shorted',
    severity: ['blocks'],
    means:
      'The jack reads a short or the hook button at its microphone contact, takes what is plugged in for plain headphones, and keeps its own microphone.',
    limit:
      'At least 1 kΩ from microphone contact to ground; under 70 Ω is a short or the hook button (Android wired headset specification 1.1; from memory).',
  },
  'mic-line-loaded': {
    title: 'Not taken for a microphone',
    severity: ['blocks'],
    means:
      'The resistance at the microphone contact lies between a short and a microphone: a button, or a bare line output.',
    limit: 'At least 1 kΩ (Android wired headset specification 1.1; from memory).',
  },
  'mic-contact-open': {
    title: 'Microphone contact touches nothing',
    severity: ['blocks'],
    means:
      'The input is taken, but its microphone contact meets a contact with nothing behind it: listed, flat meter.',
    limit: 'Computed from what touches what.',
  },
  'capsule-unpowered': {
    title: 'Microphone without power',
    severity: ['blocks'],
    means: 'The microphone gets less plug-in power or phantom than it needs.',
    limit:
      'Supply at the microphone at least its minimum: 0.7 V for an electret, 11 V for a condenser (typical).',
  },
  'output-into-output': {
    title: 'Output into output',
    severity: ['blocks'],
    means: 'The source runs into a socket that gives sound out; nothing listens there.',
    limit: 'Computed from what touches what.',
  },
  'too-quiet': {
    title: 'Lost in the noise',
    severity: ['blocks'],
    means: 'The source does not reach the input, or stands too little above its noise to count as recorded.',
    limit: 'Speech peaks at least 10 dB above the noise of the channel (our own limit).',
  },
  'cancels-in-mono': {
    title: 'Gone in mono',
    severity: ['spoils'],
    means:
      'Left and right carry the source with opposite polarity, as when a balanced output runs into a stereo input: it vanishes when the sides are summed. Or both outputs of a stereo pair run into one balanced input, which hears only what they do not have in common.',
    limit: 'The sum of both sides at most 10 dB under the louder side (our own limit).',
  },
  'one-side-only': {
    title: 'On one side only',
    severity: ['spoils'],
    means: 'The recorder has two sides and only one of them carries the source.',
    limit: 'The quieter side at most 20 dB under the louder (our own limit).',
  },
  clips: {
    title: 'Too loud for the input',
    severity: ['spoils'],
    means: 'Speech peaks pass full scale of the input; clipping cannot be repaired.',
    limit: '0 dBFS; full scale of the input and speech crest are typical figures.',
  },
  'stage-clips': {
    title: 'A stage clips',
    severity: ['spoils'],
    means: 'Speech peaks drive a stage on the way past its largest output.',
    limit: 'Largest output of the stage (typical).',
  },
  'shares-track': {
    title: 'Two sources on one track',
    severity: ['spoils'],
    means:
      'The rig asks for a side or track of its own for each source, and two of them cannot be told apart later.',
    limit: 'At least one side or track of its own.',
  },
  'playback-returns': {
    title: 'The far end hears itself',
    severity: ['spoils'],
    means:
      'What the device plays comes back into its own input: the caller’s channel stands in the caller’s own send. A send without it is a mix-minus.',
    limit: 'Return at most −30 dBFS for full-scale playback (our own limit; talker echo: ITU-T G.131).',
  },
  'guests-not-heard': {
    title: 'Nobody hears the far end',
    severity: ['spoils'],
    means: 'Headphones are in the rig, but none of them is on the side of the device that plays the far end.',
    limit: 'Computed from the circuit; guests are heard only from the device that the app runs on.',
  },
  'playback-moved': {
    title: 'Playback has moved',
    severity: ['spoils'],
    means:
      'The headphones are in the device’s own output, and its playback comes out of the sound device it took.',
    limit: 'Playback follows the sound device (common practice).',
  },
  'monitor-off': {
    title: 'Monitoring is off',
    severity: ['note'],
    means: 'The headphones would hear the source if a monitor switch were on.',
    limit: 'Speech at the ears at least −60 dBV (our own limit).',
  },
  'uncertain-contact': {
    title: 'Depends on the jack',
    severity: ['spoils', 'note'],
    means:
      'A spring of the jack may lie on either of two contacts of the plug; real jacks differ, and so does what arrives.',
    limit: 'Spread of spring depths, typical (from memory).',
  },
};
