import type { Cost } from './inventory';
import type { Layout } from './layout';
import type { Stream } from './streams';

/** A stream with its bound, which only a step of its own changes, and which is worked out when somebody asks for it. */
export class Bounded {
  private known: { readonly bound: Cost | undefined } | undefined;
  constructor(readonly stream: Stream) {}

  /** Somebody asked for its bound: of others nothing is known yet. */
  get isKnown(): boolean {
    return this.known !== undefined;
  }

  get bound(): Cost | undefined {
    return (this.known ??= { bound: this.stream.bound }).bound;
  }

  /** What its stream throws together. */
  throwTogether(): Layout | undefined {
    const layout = this.stream.throwTogether();
    this.known = { bound: this.stream.bound };
    return layout;
  }

  /** One step of the stream. */
  step(): Layout | undefined {
    const layout = this.stream.step();
    this.known = { bound: this.stream.bound };
    return layout;
  }
}
