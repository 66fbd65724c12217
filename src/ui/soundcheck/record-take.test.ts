import 'fake-indexeddb/auto';
import { describe, expect, it, vi } from 'vitest';
import { database } from '../../store/database';
import { partsOf } from '../../store/takes';
import { recordTake, type AskedTake } from './record-take';
import type { RecorderEars } from './recorder';

// Reading needs a worker, which this machine room has none of.
const read = vi.hoisted(() => new Set<string>());
vi.mock('./keep-take', () => ({ readKept: (id: string) => Promise.resolve(void read.add(id)) }));

const RATE = 8000;
const HALF_SECOND = [new Float32Array(RATE / 2).fill(0.25)];
/** Bytes of half a second in 16 bits, one channel. */
const PART = RATE;

/** A device that hands on what the test says; the first pieces come before it has answered. */
function device(early: number, lost = 0) {
  const now: { ears?: RecorderEars } = {};
  const listen: AskedTake['listen'] = (ears) => {
    now.ears = ears;
    for (let n = 0; n < early; n += 1) ears.piece(HALF_SECOND);
    return Promise.resolve({
      sampleRate: RATE,
      channels: 1,
      device: 'Input of the test',
      processed: [],
      stop: () => Promise.resolve(lost),
    });
  };
  return { listen, piece: () => now.ears?.piece(HALF_SECOND) };
}

async function record(input: ReturnType<typeof device>) {
  const said: string[] = [];
  let end: (id: string | undefined) => void = () => undefined;
  const ended = new Promise<string | undefined>((resolve) => {
    end = resolve;
  });
  const asked: AskedTake = { listen: input.listen, origin: 'recorded', steps: [], about: {} };
  const { stop } = await recordTake(asked, {
    peaks: () => undefined,
    progress: () => undefined,
    trouble: (says) => said.push(says),
    ended: end,
  });
  return { said, stop, ended };
}

const written = async (id: string | undefined): Promise<number[]> =>
  (await partsOf(id ?? '')).map((part) => part.byteLength);

describe('recording', () => {
  it('keeps what comes before the input has answered', async () => {
    const input = device(2);
    const { stop, ended, said } = await record(input);
    input.piece();
    await stop();
    expect(await written(await ended)).toEqual([PART, PART, PART]);
    expect(said).toEqual([]);
  });

  it('keeps how much never came, and nothing of what buffers do', async () => {
    const lostOf = async (lost: number) => {
      const { stop, ended } = await record(device(1, lost));
      await stop();
      const id = await ended;
      await vi.waitFor(() => expect(read).toContain(id));
      return (await database.takes.get(id ?? ''))?.lostSeconds;
    };
    expect(await lostOf(0.7)).toBe(0.7);
    expect(await lostOf(0.03)).toBeUndefined();
  });

  it('stops where the disk is full, says so once, and keeps no sound with a hole in it', async () => {
    const input = device(1);
    const put = database.takeParts.put.bind(database.takeParts);
    const full = vi.spyOn(database.takeParts, 'put');
    full.mockImplementation(((part: { n: number }) =>
      part.n === 2
        ? Promise.reject(new DOMException('full', 'QuotaExceededError'))
        : put(part as never)) as never);
    const { ended, said } = await record(input);
    for (let n = 0; n < 4; n += 1) input.piece();
    const id = await ended;
    full.mockRestore();
    expect(await written(id)).toEqual([PART, PART]);
    expect((await database.takes.get(id ?? ''))?.bytes).toBeGreaterThan(0);
    expect(said).toEqual([
      'The browser’s storage took no more: it is full, or cannot be written. What was recorded up to then is kept.',
    ]);
  });
});
