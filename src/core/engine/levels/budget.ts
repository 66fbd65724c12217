import { gainToDb } from '../../units';
import { magnitude, nodeKey } from '../circuit';
import type { Facts } from '../facts';
import type { Staircase } from './staircase';

/** What brings noise to a converter. */
export interface NoiseItem {
  /** The source's own, a stage's own, the heat of resistors, or the converter's own. */
  readonly is: 'source' | 'stage' | 'heat' | 'converter';
  /** The placed part: of heat the one whose input hears it. */
  readonly placed: string;
  /** Mean square at the converter, V². */
  readonly power: number;
  /** Of a stage and of heat: the sense that it is heard by; absent at the converter. */
  readonly sense?: string;
}

const meanSquare = (level: number): number => 10 ** (level / 10);

/** Everything that brings noise to the converter of a staircase, the most first. Together they are the noise of its channel. */
export function noiseBudget(facts: Facts, { chain, input }: Staircase): NoiseItem[] {
  const spec = input.capture.channels[chain.number - 1];
  if (!spec) return [];
  const net = (node: string) => facts.nets.of(nodeKey(input.placed, node));
  const [plus, minus] = [net(spec.plus), net(spec.minus)];
  const senses = new Map(
    facts.elements.flatMap((e) => (e.kind === 'sense' ? [[e.id, e.placed] as const] : [])),
  );
  const voices = facts.voices.flatMap((voice): NoiseItem[] => {
    const gain = facts.alternating.gain(voice.id, plus, minus);
    return gain
      ? [{ is: 'source', placed: voice.placed, power: meanSquare(voice.noise + gainToDb(magnitude(gain))) }]
      : [];
  });
  const shares = facts.noiseShares(plus, minus).map(({ is, sense, power }): NoiseItem => ({
    is,
    placed: (sense === undefined ? undefined : senses.get(sense)) ?? input.placed,
    power,
    ...(sense !== undefined && { sense }),
  }));
  const own: NoiseItem = { is: 'converter', placed: input.placed, power: meanSquare(input.capture.noise) };
  return [...voices, ...shares, own].filter(({ power }) => power > 0).sort((a, b) => b.power - a.power);
}
