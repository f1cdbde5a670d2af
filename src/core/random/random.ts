/** A seeded source of uniform numbers in [0, 1): the same seed gives the same numbers on every machine. */
export type Random = () => number;

/**
 * The xoshiro128** generator of Blackman and Vigna, seeded through splitmix32.
 * @param seed any whole number
 */
export function seededRandom(seed: number): Random {
  const next = seededBits(seed);
  return () => next() / 4294967296;
}

/** The same generator, giving 32 random bits as an unsigned whole number. */
export function seededBits(seed: number): () => number {
  let mix = seed | 0;
  const split = () => {
    mix = (mix + 0x9e3779b9) | 0;
    let z = mix ^ (mix >>> 16);
    z = Math.imul(z, 0x21f0aaad);
    z ^= z >>> 15;
    z = Math.imul(z, 0x735a2d97);
    return z ^ (z >>> 15);
  };
  let a = split();
  let b = split();
  let c = split();
  let d = split();
  return () => {
    const r = Math.imul(b, 5);
    const result = Math.imul((r << 7) | (r >>> 25), 9);
    const t = b << 9;
    c ^= a;
    d ^= b;
    b ^= c;
    a ^= d;
    c ^= t;
    d = (d << 11) | (d >>> 21);
    return result >>> 0;
  };
}

const LAYERS = 128;
const TAIL = 3.442619855899;
const AREA = 9.91256303526217e-3;

/** Tables of the ziggurat: acceptance bounds, widths and densities of its layers. */
const bounds = new Uint32Array(LAYERS);
const widths = new Float64Array(LAYERS);
const densities = new Float64Array(LAYERS);
{
  const m = 2147483648;
  let right = TAIL;
  let last = TAIL;
  const q = AREA / Math.exp(-0.5 * right * right);
  bounds[0] = (right / q) * m;
  bounds[1] = 0;
  widths[0] = q / m;
  widths[LAYERS - 1] = right / m;
  densities[0] = 1;
  densities[LAYERS - 1] = Math.exp(-0.5 * right * right);
  for (let i = LAYERS - 2; i >= 1; i--) {
    right = Math.sqrt(-2 * Math.log(AREA / right + Math.exp(-0.5 * right * right)));
    bounds[i + 1] = (right / last) * m;
    last = right;
    densities[i] = Math.exp(-0.5 * right * right);
    widths[i] = right / m;
  }
}

/**
 * A source of standard normal numbers by the ziggurat method of Marsaglia and Tsang.
 * @param seed any whole number
 */
export function seededNormal(seed: number): () => number {
  const bits = seededBits(seed);
  const uniform = () => (bits() + 0.5) / 4294967296;
  return () => {
    for (;;) {
      const raw = bits() | 0;
      // The layer comes from bits that the value does not use to decide its sign or size finely.
      const layer = bits() & (LAYERS - 1);
      const x = raw * (widths[layer] as number);
      if (Math.abs(raw) < (bounds[layer] as number)) return x;
      if (layer === 0) {
        let far: number;
        let depth: number;
        do {
          far = -Math.log(uniform()) / TAIL;
          depth = -Math.log(uniform());
        } while (depth + depth < far * far);
        return raw > 0 ? TAIL + far : -TAIL - far;
      }
      const low = densities[layer] as number;
      const high = densities[layer - 1] as number;
      if (low + uniform() * (high - low) < Math.exp(-0.5 * x * x)) return x;
    }
  };
}
