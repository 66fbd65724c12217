import type { FindingCode } from '../../checks';

/** What each finding means, for the list of all findings: the page itself does not carry it. */
export const FINDING_MEANS: Readonly<Record<FindingCode, string>> = {
  'accessory-unauthenticated': 'The 8-pin port asks its accessory to prove itself, and this one cannot.',
  'app-does-not-take':
    'The host offers the input, but this class of app takes only headsets (voice rooms, browser studios).',
  'bank-sleeps': 'So little is drawn that the power bank may take it for nothing and turn itself off.',
  'brown-out':
    'The host takes the device on what it declares, but at its busiest it really takes more than its socket has left: the supply sags and it drops out.',
  'callers-deaf':
    'Of two at far ends one does not hear the other: the caller’s channel is missing in the other’s send. Each further caller needs a send of their own.',
  'cancels-in-mono':
    'Left and right carry the source with opposite polarity, as when a balanced output runs into a stereo input: it vanishes when the sides are summed.',
  'capsule-unpowered': 'The microphone gets less plug-in power or phantom than it needs.',
  clips: 'Peaks pass full scale of the input; clipping cannot be repaired.',
  'contacts-exchanged':
    'The plug has microphone and ground where the jack has ground and microphone. A source that floats does not mind; one that shares a ground with anything else falls silent.',
  'contacts-swapped':
    'The bias stands across the capsule the wrong way round: plug and jack put microphone and ground on each other’s contacts.',
  'mic-line-unsure':
    'A headset jack looks for a microphone by its resistance. This one lies between the highest button and the least microphone: two capsules on one contact, as a rule. Most devices take it for a microphone, some do not.',
  'phantom-one-sided':
    'Phantom power is on, and the plug in the socket shorts one of its two legs: an unbalanced lead or a plain adapter hangs there. Nothing is past its maximum, and yet nothing there is made for it.',
  'current-harms':
    'Phantom power flows for good into an output, a ribbon or a coil: little voltage stands there, and yet 7 mA a leg flow. A transformer or a blocking capacitor keeps it away; phantom off does too.',
  'does-not-fit':
    'The two connectors of a joint cannot be pushed together: other size, other family, or the same gender.',
  dull: 'The source is loaded so that a part of its band is lost: a pick-up on a few kilohms, treble into a long lead.',
  faint:
    'The source stands out of the noise and is so low that no recording of it is wanted, and no knob on the way brings it up: a microphone in a line socket, as a rule.',
  'feeds-back': 'Stages feed one another in a circle with a gain of one or more: it howls.',
  'guests-not-heard':
    'Headphones are in the rig, but none of them is on the side of the device that plays the far end.',
  'headset-mic-idle':
    'A headset is in a socket for headphones: one hears by it, and its own microphone is not connected to anything.',
  'heard-twice':
    'Direct monitoring and the app’s own play the same, one later than the other: a doubled, hollow sound.',
  hisses:
    'The source stands little above the noise of what it passes: gain comes late, the microphone gives little, or it hangs in an input that is not made for it.',
  hot: 'Nothing clips as it is; a laugh or a harder stroke would.',
  howls:
    'A microphone hears a loudspeaker that plays it: what goes round comes back louder than it went. Closer to the mouth, the loudspeaker where the microphone is deafest, farther, lower, or headphones.',
  hums: 'Two things on the mains are joined by the sound leads as well, or a current that charges returns by them: hum or whine beside the voice. A power bank, an isolator or a balanced lead breaks the way; a safety earth is never lifted.',
  'isochronous-exceeded': 'A full-speed device streams more bytes a millisecond than one frame holds.',
  'may-hum':
    'The same where it is heard only with the worst that is usual at the earths: within the spread it must be tried.',
  'may-starve':
    'The device declares more than such a socket usually gives and no more than some of its kind do. Whether the host takes it depends on yours: test it so.',
  'mic-contact-open':
    'The input is taken, but its microphone contact meets a contact with nothing behind it: listed, flat meter.',
  'mic-line-loaded':
    'The resistance at the microphone contact lies between a short and a microphone: a button, or a bare line output.',
  'mic-line-shorted':
    'The jack reads a short or the hook button at its microphone contact, takes what is plugged in for plain headphones, and keeps its own microphone.',
  'monitor-off': 'The headphones would hear the source if a monitor switch were on.',
  'monitor-unpowered': 'The microphone works without it; its own headphone socket does not.',
  'near-howling': 'The same within six decibels: it rings, and howls when somebody steps nearer or turns up.',
  'no-analogue-mode':
    'A dongle without a converter wants the audio accessory mode of the USB-C port, and this port has none. A dongle with a converter inside works on any port that takes USB sound.',
  'no-path': 'No chain of joints leads from the source to the recorder.',
  'not-noticed':
    'Some mobile interfaces are noticed only while something sits in their headphone socket: their load is what the phone senses. Plug headphones in and leave them in.',
  'nothing-intended': 'The rig names no source or no recorder, so there is nothing to judge.',
  'one-side-only': 'The recorder has two sides and only one of them carries the source.',
  'output-into-output': 'The source runs into a socket that gives sound out; nothing listens there.',
  'own-microphone-chosen':
    'What is plugged in is offered, but the app’s source list stands at the device’s own microphone.',
  'pair-cancels':
    'Both outputs of a stereo pair run into one balanced input, which hears only what they do not have in common.',
  'page-not-reloaded':
    'The microphone was plugged in after the page was loaded; the page lists it only when loaded again.',
  'part-unpowered':
    'The source, or a part on its way, has no power: flat battery, switched off, no charger or no phantom.',
  'playback-cancels':
    'The common return of both earpieces touches nothing, so each side plays against the other: what both have in common, such as a voice in the middle, is gone.',
  'playback-moved':
    'The headphones are in the device’s own output, and its playback comes out of the sound device it took.',
  'playback-returns':
    'What the device plays comes back into its own input: the caller’s channel stands in the caller’s own send. A send without it is a mix-minus.',
  'runs-flat': 'A battery does not carry the planned session.',
  sags: 'A long or thin supply lead, or a hub without a supply, leaves the device less than it must do with.',
  'send-follows-fader':
    'The caller is fed from a send that comes after the faders: a fader pulled for the stream takes that voice from the caller, too.',
  'shares-track':
    'The rig asks for a side or track of its own for each source, and two of them cannot be told apart later.',
  'speakers-open':
    'A loudspeaker plays the far end to a microphone that the far end is sent. Headphones; or a microphone closer to the mouth, the loudspeaker behind it, farther and lower.',
  'stage-clips': 'Peaks drive a stage on the way past its clip level.',
  starved: 'The device declares more current than its socket gives; the host refuses it.',
  'switched-off': 'A mute, a channel switch or an answer to a question keeps the source out.',
  'too-quiet':
    'The source does not reach the input, or stands too little above its noise to count as recorded.',
  'track-not-armed': 'A track has the right input and is not armed, so it records nothing.',
  'two-sound-devices': 'Phones and tablets take one USB sound device at a time; the second is ignored.',
  'unbalanced-run':
    'Leads in a row carry the sound on one conductor against the shield for longer than practice allows: hum and treble loss depend on where it lies.',
  'uncertain-contact':
    'A spring of the jack may lie on either of two contacts of the plug; real jacks differ, and so does what arrives.',
  'usb-lead-long': 'One run of lead between two devices is longer than USB allows; drop-outs are likely.',
  'usb-no-data': 'The lead or socket feeds the device and carries no data: the host never learns of it.',
  'usb-too-deep': 'More hubs lie between host and device than USB allows.',
  'voltage-harms':
    'Phantom power or another direct voltage reaches a contact that does not bear it. Fader down and phantom off before anything is plugged.',
  'wrong-input-number': 'The device hears the source, but no track of the project records that input of it.',
  'wrong-socket':
    'The plug is in a socket that gives sound out, and the socket beside it takes the same plug and listens: the headphone socket of a splitter, of a camera.',
};
