import type { Origin } from '../../checks/finding';
import { FAINTEST } from '../../checks/levels';
import type { Measures } from '../measure';
import type { TakeFinding } from './finding';

const ours = (text: string): Origin => ({ kind: 'our own', text: `our own limit: ${text}` });
const practice = (text: string): Origin => ({ kind: 'common practice', text });

/** Mean of speech under which nothing was recorded to speak of, dBFS. */
const SILENT = -65;
/** EBU R 128: the most of a true peak. */
const HOTTEST = -1;
/** Speech over its pauses, dB. */
const SNR = 30;
/** Hum and whine are heard from so far under speech, dB. */
const HEARD_UNDER = 50;
/** Sides apart, ms: the first notch of their sum comes under 1 kHz. */
const APART = 0.5;
/** The upper end of a telephone’s band and of a headset class at its widest, Hz. */
const NARROW = 7200;
/** A room for speech dies away within this, ms. */
const ROOM = 600;
/** A rise of the noise within pauses, dB. */
const RISE = 6;
/** A lasting change of gain, dB. */
const MOVES = 6;
/** What lies under 50 Hz is told from here, dBFS, and so far under speech; from so far under speech it is what sounds, dB. */
const [RUMBLES, BESIDE_SPEECH, ABOVE_ALL] = [-50, 15, 6];
/** An offset as a share of full scale: −40 dBFS. */
const OFFSET = 0.01;
/** One click may be a lip. */
const CLICKS = 2;

type Reader = (m: Measures, speech: number) => TakeFinding | undefined;

const clips: Reader = ({ clipping }) =>
  clipping
    ? {
        code: 'take-clips',
        severity: 'spoils',
        values: [
          { name: 'flat tops at', value: clipping.ceilingDbfs, unit: 'dBFS' },
          { name: 'how many', value: clipping.count, unit: '' },
        ],
        origin: practice('three samples on one level are a clipped top'),
        atSeconds: clipping.atSeconds,
      }
    : undefined;

const hot: Reader = ({ truePeakDbtp, clipping }) => {
  const peak = Math.max(...truePeakDbtp);
  return peak > HOTTEST && !clipping
    ? {
        code: 'take-hot',
        severity: 'note',
        values: [{ name: 'true peak', value: peak, unit: 'dBFS' }],
        limit: { value: HOTTEST, unit: 'dBFS', is: 'at most' },
        origin: { kind: 'standard', text: 'EBU R 128: at most −1 dBTP' },
      }
    : undefined;
};

const quiet: Reader = ({ levels }) => {
  const peak = Math.max(...levels.map((l) => l.samplePeakDbfs));
  return peak < FAINTEST
    ? {
        code: 'take-quiet',
        severity: 'spoils',
        values: [{ name: 'peaks', value: peak, unit: 'dBFS' }],
        limit: { value: FAINTEST, unit: 'dBFS', is: 'at least' },
        origin: ours('18 dB under the usual target of −12 dBFS'),
      }
    : undefined;
};

const noisy: Reader = ({ pauses, hum, whine }, speech) => {
  const whole = pauses.find((p) => p.activeDbfs === speech)?.floorDbfs;
  if (whole === undefined) return undefined;
  // What is hum or a tone is told as such.
  const tones = [hum, whine].reduce((sum, tone) => sum + (tone ? 10 ** (tone.levelDbfs / 10) : 0), 0);
  const rest = 10 ** (whole / 10) - tones;
  const floor = rest > 0 ? 10 * Math.log10(rest) : -Infinity;
  if (speech - floor >= SNR) return undefined;
  return {
    code: 'take-noisy',
    severity: 'spoils',
    values: [
      { name: 'speech over its pauses', value: speech - floor, unit: 'dB' },
      { name: 'noise', value: floor, unit: 'dBFS' },
    ],
    limit: { value: SNR, unit: 'dB', is: 'at least' },
    origin: ours('speech 30 dB over what is left in its pauses'),
  };
};

const hums: Reader = ({ hum }, speech) =>
  hum
    ? {
        code: 'take-hums',
        severity: speech - hum.levelDbfs < HEARD_UNDER ? 'spoils' : 'note',
        values: [
          { name: 'hum', value: hum.levelDbfs, unit: 'dBFS' },
          { name: 'mains', value: hum.fundamentalHz, unit: 'Hz' },
          { name: 'under speech', value: speech - hum.levelDbfs, unit: 'dB' },
        ],
        limit: { value: speech - HEARD_UNDER, unit: 'dBFS', is: 'at most' },
        origin: ours('50 dB under speech'),
      }
    : undefined;

const whines: Reader = ({ whine }, speech) =>
  whine
    ? {
        code: 'take-whines',
        severity: speech - whine.levelDbfs < HEARD_UNDER ? 'spoils' : 'note',
        values: [
          { name: 'tone', value: whine.levelDbfs, unit: 'dBFS' },
          { name: 'at', value: whine.hertz, unit: 'Hz' },
        ],
        limit: { value: speech - HEARD_UNDER, unit: 'dBFS', is: 'at most' },
        origin: ours('50 dB under speech'),
      }
    : undefined;

const oneSide: Reader = ({ image }) =>
  image.kind === 'left-only' || image.kind === 'right-only'
    ? {
        code: 'take-one-side',
        severity: 'spoils',
        values: [
          {
            name: 'left over right',
            value: image.leftOverRightDb ?? (image.kind === 'left-only' ? 99 : -99),
            unit: 'dB',
          },
        ],
        limit: { value: 20, unit: 'dB', is: 'at most' },
        origin: ours('a side 20 dB under the other counts as empty'),
      }
    : undefined;

const inverted: Reader = ({ image }) =>
  image.kind === 'inverted'
    ? {
        code: 'take-inverted',
        severity: 'spoils',
        values: [{ name: 'correlation of the sides', value: image.correlation ?? -1, unit: '' }],
        limit: { value: -0.9, unit: '', is: 'at least' },
        origin: ours('under −0.9 the sides cancel where they are summed'),
      }
    : undefined;

const sidesApart: Reader = ({ image, sideDelay }) =>
  image.kind !== 'dual-mono' && sideDelay && Math.abs(sideDelay.delayMs) > APART
    ? {
        code: 'take-sides-apart',
        severity: 'note',
        values: [{ name: 'the right after the left', value: sideDelay.delayMs, unit: 'ms' }],
        limit: { value: APART, unit: 'ms', is: 'at most' },
        origin: ours('a delay whose first notch in mono lies under 1 kHz'),
      }
    : undefined;

const echoes: Reader = ({ echo }) =>
  echo
    ? {
        code: 'take-echoes',
        severity: 'spoils',
        values: [
          { name: 'delay', value: echo.delayMs, unit: 'ms' },
          { name: 'under the voice', value: -echo.levelDb, unit: 'dB' },
        ],
        origin: { kind: 'computed', text: 'one clear repetition in the mean cepstrum of the take' },
      }
    : undefined;

const drops: Reader = ({ dropouts }) =>
  dropouts.length > 0
    ? {
        code: 'take-drops',
        severity: 'spoils',
        values: [
          { name: 'how many', value: dropouts.length, unit: '' },
          { name: 'longest', value: Math.max(...dropouts.map((d) => d.lengthMs)), unit: 'ms' },
        ],
        origin: ours('sound that is cut off and back within 400 ms, 30 dB down'),
        atSeconds: dropouts.map((d) => d.atSeconds),
      }
    : undefined;

const clicks: Reader = ({ clicks: found }) =>
  found.length >= CLICKS
    ? {
        code: 'take-clicks',
        severity: 'spoils',
        values: [{ name: 'how many', value: found.length, unit: '' }],
        origin: ours('jumps 28 times over what the sound does around them'),
        atSeconds: found,
      }
    : undefined;

const thumps: Reader = ({ thumps: found }) =>
  found.length > 0
    ? {
        code: 'take-thumps',
        severity: 'note',
        values: [{ name: 'how many', value: found.length, unit: '' }],
        origin: ours('bursts under 50 Hz over −38 dBFS'),
        atSeconds: found,
      }
    : undefined;

/** Where hiss lies close under speech, it hides how far up that goes. */
const isHidden = (pauses: Measures['pauses'], speech: number): boolean =>
  pauses.some(({ activeDbfs, floorDbfs = -Infinity }) => activeDbfs === speech && speech - floorDbfs < SNR);

const narrow: Reader = ({ band, sampleRate, pauses }, speech) =>
  band && !isHidden(pauses, speech) && (band.highHz < NARROW || sampleRate < 2 * NARROW)
    ? {
        code: 'take-narrow',
        severity: 'note',
        values: [
          { name: 'sounds up to', value: band.highHz, unit: 'Hz' },
          { name: 'from', value: band.lowHz, unit: 'Hz' },
        ],
        limit: { value: NARROW, unit: 'Hz', is: 'at least' },
        origin: {
          kind: 'standard',
          text: 'ITU-T G.712 and G.722: a telephone’s band to 3.4 kHz, a wide one to 7; from memory',
        },
      }
    : undefined;

/** Where a narrow band tells more, that is said. */
const lowRate: Reader = ({ firstRate, band, sampleRate }) =>
  firstRate !== null && band && band.highHz >= NARROW
    ? {
        code: 'take-low-rate',
        severity: 'note',
        values: [
          { name: 'ends at', value: firstRate / 2, unit: 'Hz' },
          { name: 'as if taken at', value: firstRate, unit: 'Hz' },
          { name: 'its own rate', value: sampleRate, unit: 'Hz' },
        ],
        origin: ours('an edge of 24 dB at half of 16, 22.05 or 24 kHz'),
      }
    : undefined;

const pumps: Reader = ({ riseDb }) =>
  riseDb !== null && riseDb >= RISE
    ? {
        code: 'take-pumps',
        severity: 'note',
        values: [{ name: 'noise rises in pauses by', value: riseDb, unit: 'dB' }],
        limit: { value: RISE, unit: 'dB', is: 'at most' },
        origin: ours('a gain that opens by 6 dB when nobody speaks'),
      }
    : undefined;

const gainMoves: Reader = ({ gainStep }) =>
  gainStep && Math.abs(gainStep.db) >= MOVES
    ? {
        code: 'take-gain-moves',
        severity: 'spoils',
        values: [{ name: 'speech and noise move by', value: gainStep.db, unit: 'dB' }],
        limit: { value: MOVES, unit: 'dB', is: 'at most' },
        origin: ours('6 dB that speech and its pauses share: a talker moves the voice alone'),
        atSeconds: [gainStep.atSeconds],
      }
    : undefined;

/** Mains of 50 or 60 Hz that is told as hum is no rumble. */
const rumbles: Reader = ({ rumbleDbfs, hum }, speech) => {
  const humming = hum?.lines.find(({ hertz }) => hertz === hum.fundamentalHz)?.levelDbfs ?? -Infinity;
  if (rumbleDbfs < RUMBLES || rumbleDbfs < speech - BESIDE_SPEECH || humming > rumbleDbfs - ABOVE_ALL)
    return undefined;
  return {
    code: 'take-rumbles',
    severity: rumbleDbfs > speech - ABOVE_ALL ? 'spoils' : 'note',
    values: [
      { name: 'under 50 Hz', value: rumbleDbfs, unit: 'dBFS' },
      { name: 'under speech', value: speech - rumbleDbfs, unit: 'dB' },
    ],
    limit: { value: Math.max(RUMBLES, speech - BESIDE_SPEECH), unit: 'dBFS', is: 'at most' },
    origin: ours('15 dB under speech, and −50 dBFS'),
  };
};

const offset: Reader = ({ levels, clipping }) => {
  // A voice cut off unevenly has a mean that is no offset.
  const most = levels.map((l) => l.dcOffset).sort((a, b) => Math.abs(b) - Math.abs(a))[0] ?? 0;
  return Math.abs(most) > OFFSET && !clipping
    ? {
        code: 'take-offset',
        severity: 'note',
        values: [{ name: 'offset of full scale', value: most, unit: '' }],
        limit: { value: OFFSET, unit: '', is: 'at most' },
        origin: ours('−40 dBFS'),
      }
    : undefined;
};

/** An echo would stretch every fall: then nothing is said of the room. */
const roomy: Reader = ({ roomSeconds, echo }) =>
  roomSeconds !== null && 1000 * roomSeconds > ROOM && !echo
    ? {
        code: 'take-roomy',
        severity: 'note',
        values: [{ name: 'dies away by 60 dB in', value: 1000 * roomSeconds, unit: 'ms' }],
        limit: { value: ROOM, unit: 'ms', is: 'at most' },
        origin: { kind: 'standard', text: 'ANSI/ASA S12.60: 0.6 s in a room for speech; from memory' },
      }
    : undefined;

const READERS: readonly Reader[] = [
  oneSide,
  inverted,
  clips,
  quiet,
  noisy,
  hums,
  whines,
  echoes,
  drops,
  clicks,
  sidesApart,
  gainMoves,
  rumbles,
  narrow,
  lowRate,
  thumps,
  pumps,
  hot,
  offset,
  roomy,
];

/** What a take shows, what spoils it first. Of a silent one nothing else is said. */
export function readTake(m: Measures): TakeFinding[] {
  const speech = Math.max(...m.pauses.map((p) => p.activeDbfs));
  if (speech < SILENT) {
    return [
      {
        code: 'take-silent',
        severity: 'blocks',
        values: [{ name: 'what sounds', value: Math.max(speech, -200), unit: 'dBFS' }],
        limit: { value: SILENT, unit: 'dBFS', is: 'at least' },
        origin: ours('under −65 dBFS nothing was recorded to speak of'),
      },
    ];
  }
  const found = READERS.flatMap((read) => read(m, speech) ?? []);
  return [...found.filter((f) => f.severity !== 'note'), ...found.filter((f) => f.severity === 'note')];
}
