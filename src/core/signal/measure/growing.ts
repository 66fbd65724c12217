/** A list of numbers that grows without a copy for every one of them. */
export interface Growing {
  readonly add: (value: number) => void;
  readonly all: () => Float32Array;
}

const FIRST = 4096;

export function growing(): Growing {
  let kept = new Float32Array(FIRST);
  let length = 0;
  return {
    add(value) {
      if (length === kept.length) {
        const larger = new Float32Array(length * 2);
        larger.set(kept);
        kept = larger;
      }
      kept[length] = value;
      length += 1;
    },
    all: () => kept.subarray(0, length),
  };
}
