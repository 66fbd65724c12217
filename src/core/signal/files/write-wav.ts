/** The head of a WAV file of 16-bit PCM for so many bytes of samples (RIFF; 44 bytes). */
export function wavHead(sampleRate: number, channels: number, bytes: number): Uint8Array<ArrayBuffer> {
  const head = new Uint8Array(44);
  const view = new DataView(head.buffer);
  const word = (at: number, text: string) =>
    [...text].forEach((c, i) => view.setUint8(at + i, c.charCodeAt(0)));
  word(0, 'RIFF');
  view.setUint32(4, 36 + bytes, true);
  word(8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, 1, true);
  view.setUint16(22, channels, true);
  view.setUint32(24, sampleRate, true);
  view.setUint32(28, sampleRate * channels * 2, true);
  view.setUint16(32, channels * 2, true);
  view.setUint16(34, 16, true);
  word(36, 'data');
  view.setUint32(40, bytes, true);
  return head;
}

/** Weaves channels of one length into 16-bit samples; what is over full scale is cut there. */
export function weave16(piece: readonly Float32Array[]): Int16Array<ArrayBuffer> {
  const length = piece[0]?.length ?? 0;
  const out = new Int16Array(length * piece.length);
  piece.forEach((samples, channel) => {
    for (let i = 0, at = channel; i < length; i += 1, at += piece.length) {
      const v = Math.round((samples[i] as number) * 32_768);
      out[at] = v > 32_767 ? 32_767 : v < -32_768 ? -32_768 : v;
    }
  });
  return out;
}
