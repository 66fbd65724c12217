// @ts-check
/**
 * Runs in the audio thread: hands on what the input gives, half a second to a piece, and its peaks twenty times a second.
 * Messages: { peaks: number[] } and { piece: Float32Array[] }; sent { end: true }, it hands on what is left, says how
 * many seconds went by without sound, { ended: true, lost: number }, and stops.
 */
class Recorder extends AudioWorkletProcessor {
  constructor() {
    super();
    this.size = Math.round(sampleRate / 2);
    this.meter = Math.round(sampleRate / 20);
    /** @type {Float32Array[]} */
    this.piece = [];
    this.filled = 0;
    this.since = 0;
    /** @type {number[]} */
    this.peaks = [];
    this.running = true;
    this.begun = 0;
    this.came = 0;
    this.port.onmessage = () => {
      if (this.filled > 0)
        this.port.postMessage({ piece: this.piece.map((side) => side.slice(0, this.filled)) });
      this.filled = 0;
      this.running = false;
      this.port.postMessage({ ended: true, lost: this.lost() });
    };
  }

  /** What the clock went on while no sound was handed in: a machine that is too busy leaves it out. */
  lost() {
    if (this.begun === 0) return 0;
    return Math.max(0, (Date.now() - this.begun) / 1000 - this.came / sampleRate);
  }

  /** @param {Float32Array[][]} inputs */
  process(inputs) {
    const sides = inputs[0] ?? [];
    if (!this.running) return false;
    if (sides.length === 0) return true;
    if (this.piece.length !== sides.length) {
      this.piece = sides.map(() => new Float32Array(this.size + 128));
      this.peaks = sides.map(() => 0);
      this.filled = 0;
    }
    const length = sides[0].length;
    sides.forEach((side, channel) => {
      this.piece[channel].set(side, this.filled);
      for (const v of side) if (Math.abs(v) > this.peaks[channel]) this.peaks[channel] = Math.abs(v);
    });
    if (this.begun === 0) this.begun = Date.now();
    this.came += length;
    this.filled += length;
    this.since += length;
    if (this.since >= this.meter) {
      this.port.postMessage({ peaks: this.peaks });
      this.peaks = sides.map(() => 0);
      this.since = 0;
    }
    if (this.filled >= this.size) {
      this.port.postMessage({ piece: this.piece.map((side) => side.slice(0, this.filled)) });
      this.filled = 0;
    }
    return true;
  }
}

registerProcessor('take-recorder', Recorder);
