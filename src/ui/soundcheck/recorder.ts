/** What the audio thread sends; see public/recorder.worklet.js. */
type Message =
  | { readonly peaks: readonly number[] }
  | { readonly piece: readonly Float32Array[] }
  | { readonly ended: true; readonly lost: number };

export interface RecorderEars {
  readonly peaks: (peaks: readonly number[]) => void;
  readonly piece: (piece: readonly Float32Array[]) => void;
  /** The device was pulled, or the browser took it away. */
  readonly lost: () => void;
}

export interface Recording {
  readonly sampleRate: number;
  readonly channels: number;
  readonly device: string;
  /** Processing that the browser left on although it was asked not to. */
  readonly processed: readonly string[];
  /** Hands on the last of it, then lets the device go; seconds that went by without any sound, as of a machine that is too busy. */
  readonly stop: () => Promise<number>;
}

const RAW = { echoCancellation: false, noiseSuppression: false, autoGainControl: false } as const;
const SAID: Readonly<Record<keyof typeof RAW, string>> = {
  echoCancellation: 'echo cancelling',
  noiseSuppression: 'noise suppression',
  autoGainControl: 'automatic gain',
};

/** Why there is no recording, for people. */
export function sayNoRecording(error: unknown): string {
  const name = error instanceof DOMException ? error.name : '';
  switch (name) {
    case 'NotAllowedError':
      return 'The browser does not let this page hear the microphone. Allow it beside the address, then press Record again.';
    case 'NotFoundError':
    case 'OverconstrainedError':
      return 'The browser finds no such input. Plug it in, then open the list of inputs again.';
    case 'NotReadableError':
      return 'Another program holds this input, or it was just pulled. Close the other one and try again.';
    default:
      return `Recording did not start (${error instanceof Error ? error.message : String(error)}).`;
  }
}

/** The inputs as the browser sees them; their names only once it was allowed to listen. */
export async function listInputs(): Promise<readonly MediaDeviceInfo[]> {
  const devices = await navigator.mediaDevices.enumerateDevices();
  return devices.filter(({ kind }) => kind === 'audioinput');
}

/** Starts recording with the browser’s own processing off, and looks whether it is. Rejects as `getUserMedia` does. */
export async function startRecording(deviceId: string | undefined, ears: RecorderEars): Promise<Recording> {
  if (!('mediaDevices' in navigator))
    throw new Error('this address is not secure, so the browser gives no input');
  const audio = {
    ...RAW,
    channelCount: { ideal: 2 },
    ...(deviceId !== undefined && { deviceId: { exact: deviceId } }),
  };
  const stream = await navigator.mediaDevices.getUserMedia({ audio });
  const [track] = stream.getAudioTracks();
  if (!track) throw new Error('the input has no sound');
  const settings = track.getSettings();
  const context = new AudioContext(
    settings.sampleRate === undefined ? {} : { sampleRate: settings.sampleRate },
  );
  await context.audioWorklet.addModule('/recorder.worklet.js');
  const channels = Math.min(2, settings.channelCount ?? 1);
  const node = new AudioWorkletNode(context, 'take-recorder', {
    numberOfOutputs: 0,
    channelCount: channels,
    channelCountMode: 'explicit',
    channelInterpretation: 'discrete',
  });
  let ended: (lost: number) => void = () => undefined;
  const last = new Promise<number>((resolve) => {
    ended = resolve;
  });
  node.port.onmessage = ({ data }: MessageEvent<Message>) => {
    if ('peaks' in data) ears.peaks(data.peaks);
    else if ('piece' in data) ears.piece(data.piece);
    else ended(data.lost);
  };
  track.addEventListener('ended', ears.lost);
  context.createMediaStreamSource(stream).connect(node);
  return {
    sampleRate: context.sampleRate,
    channels,
    device: track.label,
    processed: (Object.keys(RAW) as (keyof typeof RAW)[])
      .filter((key) => settings[key] === true)
      .map((key) => SAID[key]),
    async stop() {
      track.removeEventListener('ended', ears.lost);
      node.port.postMessage({ end: true });
      const lost = await last;
      track.stop();
      await context.close();
      return lost;
    },
  };
}
