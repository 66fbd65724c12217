import { describe, expect, it } from 'vitest';
import { CATALOGUE, findPart } from '../../parts';
import { dbSpl } from '../../units';
import { exitsOf, isTender, sourceEnds, throughPart, type OpenEnd } from '../ends';
import { poolOf } from './pool';
import { HALVES, spotsOf, waysThrough } from './ways';
import { wantOf } from './wants';

const part = (id: string) => findPart(id)!;
const SPEECH = dbSpl(74);
const POOL = poolOf(CATALOGUE);
const startsOf = (id: string) => sourceEnds(part(id), SPEECH);
const wantIn = (id: string) => wantOf(startsOf(id), POOL)!;

/** All that may still be wanted behind a part, by whichever way it is entered. */
function behind(source: string, box: string, level: number): number[] {
  const want = wantIn(source);
  const found = HALVES.flatMap((half) =>
    waysThrough(part(box), half).flatMap((way) => want.beyond(way, half, level)),
  );
  return [...new Set(found)].sort((a, b) => a - b);
}

/** An end over a row of parts, each by its first ports that lead on. */
const over = (from: OpenEnd, ids: readonly string[]): OpenEnd[] =>
  ids.reduce<OpenEnd[]>(
    (ends, id) => ends.flatMap((end) => part(id).ports.flatMap((port) => throughPart(part(id), port, end))),
    [from],
  );

describe('a pick-up wants a load that spares its coil (handbook: a megohm; common practice)', () => {
  it('leads leave that to what follows', () => {
    for (const lead of ['lead-jack-ts', 'adapter-jack-small', 'lead-left-to-both'])
      expect(behind('guitar', lead, 1)).toContain(1);
  });

  it('an instrument input and a DI box give it, microphone and line inputs do not', () => {
    for (const box of ['di-active', 'di-passive', 'interface-two-inputs', 'mobile-guitar'])
      expect(behind('guitar', box, 1)).toContain(0);
    for (const box of [
      'mixer-large',
      'mixer-xlr-main',
      'cable-converter-usb-c',
      'headphone-amplifier',
      'usb-sound-trs',
    ])
      expect(behind('guitar', box, 1)).toEqual([]);
  });

  it('a transformer of one to one spares nothing: it is still wanted behind it', () => {
    expect(behind('guitar', 'isolator-trs', 1)).toContain(1);
  });

  it('an end behind a DI box wants no more, one behind leads does', () => {
    const [guitar] = startsOf('guitar');
    const want = wantIn('guitar');
    expect(want.at(guitar!)).toBe(1);
    expect(new Set(over(guitar!, ['lead-jack-ts']).map(want.at))).toEqual(new Set([1]));
    expect(new Set(over(guitar!, ['lead-jack-ts', 'di-passive']).map(want.at))).toEqual(new Set([0]));
  });

  it('nor does it behind the long lead that follows: between its legs is as much as from one of them to the shield', () => {
    const [guitar] = startsOf('guitar');
    const pins = over(guitar!, ['lead-jack-ts', 'di-passive', 'lead-xlr']).filter(
      ({ port }) => port.id === 'pins',
    );
    expect(pins.length).toBeGreaterThan(0);
    expect(new Set(pins.map(wantIn('guitar').at))).toEqual(new Set([0]));
  });

  it('copper past the stages of a box keeps the coil as tender as it came', () => {
    const through = part('mobile-voice');
    const plug = through.ports.find(({ id }) => id === 'plug')!;
    const [guitar] = startsOf('guitar');
    const ends = over(guitar!, ['lead-headphones-aux', 'coupler-trrs']);
    const beyond = ends.flatMap((end) => throughPart(through, plug, end));
    expect(beyond.length).toBeGreaterThan(0);
    expect(exitsOf(through, plug).map(({ id }) => id)).toContain('phones');
    expect(beyond.every(isTender)).toBe(true);
  });

  it('a recorder for microphones does not give it', () => {
    const want = wantIn('guitar');
    const recorder = part('recorder-xlr');
    for (const port of recorder.ports.filter(({ id }) => id.startsWith('mic')))
      expect(want.metBy(recorder, port, 1)).toBe(false);
  });
});

describe('a clip-on wants to be fed with what it bears (IEC 61938; common practice)', () => {
  const BARE = 2;
  const FED = 1;

  it('straight from phantom it gets nothing, from a headset jack it does', () => {
    expect(behind('clip-on-trs', 'interface-two-inputs', BARE)).toEqual([]);
    expect(behind('clip-on-trs', 'mixer-large', BARE)).toEqual([]);
    expect(behind('clip-on-trs', 'dongle-8-pin-headset', BARE)).toContain(0);
  });

  it('behind an adapter that makes plug-in power of it phantom is all that is wanted', () => {
    expect(behind('clip-on-trs', 'adapter-pip-xlr', BARE)).toContain(FED);
    expect(behind('clip-on-trs', 'interface-two-inputs', FED)).toContain(0);
    const [capsule] = startsOf('clip-on-trs');
    const want = wantIn('clip-on-trs');
    expect(want.at(capsule!)).toBe(BARE);
    expect(over(capsule!, ['adapter-pip-xlr']).map(want.at)).toEqual([FED]);
  });

  it('a condenser bears phantom', () => {
    expect(wantIn('condenser-xlr').most).toBe(FED);
    expect(behind('condenser-xlr', 'interface-two-inputs', FED)).toContain(0);
    expect(behind('condenser-xlr', 'dongle-8-pin-headset', FED)).not.toContain(0);
  });

  it('what plays wants nothing', () => {
    expect(wantOf(startsOf('player-portable'), POOL)).toBeUndefined();
    expect(wantOf(startsOf('dynamic-xlr'), POOL)).toBeUndefined();
  });
});

describe('a bound never says more than a part does (all of the catalogue)', () => {
  it.each(['guitar', 'clip-on-trs', 'clip-on-trrs', 'condenser-xlr'])(
    'what %s still wants behind one or two parts is among what its bound allows',
    (source) => {
      const want = wantIn(source);
      let asked = 0;
      const check = (end: OpenEnd): OpenEnd[] =>
        POOL.entriesFor(end).flatMap((entry) =>
          POOL.stepsOver(end, entry).map(({ end: next }) => {
            const half = { connector: end.port.connector, gender: end.port.gender };
            // Which spots a way leads to is another question; whether they are known at all is asked elsewhere.
            const [from, to] = [new Set(spotsOf(end)), new Set(spotsOf(next))];
            const ways = waysThrough(entry.part, half).filter((way) => from.has(way.from) && to.has(way.to));
            if (ways.length === 0) return next;
            const allowed = ways.flatMap((way) => want.beyond(way, half, want.at(end)));
            const level = want.at(end) === 0 ? [0] : allowed;
            expect(level, `${entry.part.id} by ${entry.port.id}`).toSatisfy((all: readonly number[]) =>
              all.some((one) => one <= want.at(next)),
            );
            asked += 1;
            return next;
          }),
        );
      const first = startsOf(source).flatMap(check);
      for (const end of first.slice(0, 60)) check(end);
      expect(asked).toBeGreaterThan(100);
    },
  );
});
