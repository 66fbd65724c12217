import { magnitude, NOTHING_COMES, type AlternatingSolution, type NetElement, type Nets } from '../circuit';

/** Whether anything of some sounds, by their ids, comes to the input of a stage. */
export const comesTo = (
  { nets, alternating }: { readonly nets: Nets; readonly alternating: AlternatingSolution },
  sounds: readonly string[],
  { a, b }: Pick<NetElement, 'a' | 'b'>,
): boolean =>
  sounds.some((sound) => {
    const gain = alternating.gain(sound, nets.of(a), nets.of(b));
    return gain !== undefined && magnitude(gain) > NOTHING_COMES;
  });
