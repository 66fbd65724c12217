declare module 'fourier-transform' {
  /** Of a real signal whose length is a power of two: real and imaginary parts of bins 0 to N/2, not normalised. */
  export function fft(
    input: Float32Array | Float64Array,
    output?: [Float64Array, Float64Array],
  ): [Float64Array, Float64Array];
  /** Back again; the imaginary parts at both ends count as nothing. */
  export function ifft(re: Float64Array, im: Float64Array, output?: Float64Array): Float64Array;
}
