/** A seeded source of uniform numbers in [0, 1): the same seed gives the same numbers on every machine. */
export type Random = () => number;

/**
 * The xoshiro128** generator of Blackman and Vigna, seeded through splitmix32.
 * @param seed any whole number
 * @example seededRandom(1)() === seededRandom(1)() // true
 */
export function seededRandom(seed: number): Random {
  const next = seededBits(seed);
  return () => next() / 4294967296;
}

/**
 * The same generator, giving 32 random bits as an unsigned whole number.
 * @example seededBits(7)() // a whole number, the same at every run
 */
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

/** Fills an array with standard normal numbers. */
export type FillNormal = (out: Float64Array) => void;

/** One step of xoshiro128** on a state of four words; returns 32 random bits, signed. */
function stepOf(state: Int32Array): number {
  const b = state[1] as number;
  const r = Math.imul(b, 5);
  const result = Math.imul((r << 7) | (r >>> 25), 9) | 0;
  const c = (state[2] as number) ^ (state[0] as number);
  const d = (state[3] as number) ^ b;
  state[1] = b ^ c;
  state[0] = (state[0] as number) ^ d;
  state[2] = c ^ (b << 9);
  state[3] = (d << 11) | (d >>> 21);
  return result;
}

const uniformOf = (state: Int32Array) => ((stepOf(state) >>> 0) + 0.5) / 4294967296;

/** The slow path of the ziggurat: the normal number, or NaN to draw again. */
function decideSlowly(state: Int32Array, raw: number, layer: number): number {
  if (layer === 0) {
    let far: number;
    let depth: number;
    do {
      far = -Math.log(uniformOf(state)) / TAIL;
      depth = -Math.log(uniformOf(state));
    } while (depth + depth < far * far);
    return raw > 0 ? TAIL + far : -TAIL - far;
  }
  const x = raw * (widths[layer] as number);
  const low = densities[layer] as number;
  const high = densities[layer - 1] as number;
  return low + uniformOf(state) * (high - low) < Math.exp(-0.5 * x * x) ? x : Number.NaN;
}

/**
 * A source of standard normal numbers by the ziggurat method of Marsaglia and Tsang over xoshiro128**, an array at a
 * time. Layer and value come from two draws, so that they do not hang together.
 * @param seed any whole number
 * @example normalFiller(7)(new Float64Array(2)) // fills both, the same at every run
 */
export function normalFiller(seed: number): FillNormal {
  const seeds = seededBits(seed);
  const state = Int32Array.from({ length: 4 }, () => seeds());
  return (out) => {
    let i = 0;
    while (i < out.length) {
      const raw = stepOf(state);
      const layer = stepOf(state) & (LAYERS - 1);
      if (Math.abs(raw) < (bounds[layer] as number)) {
        out[i++] = raw * (widths[layer] as number);
        continue;
      }
      const late = decideSlowly(state, raw, layer);
      if (!Number.isNaN(late)) out[i++] = late;
    }
  };
}
