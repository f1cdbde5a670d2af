import { seededRandom } from '../../src/core/random/random';
import { discSpringForce } from '../../src/core/springs/diaphragm';

import type { DynoEngine, SimulatedPull, DynoUnit } from './dyno';
import { DEFAULT_ENGINE, pullOf, shownAs } from './dyno';

/*
 * Simulated instruments of a shop: a digital gauge, a spring tester and a dyno. They behave like real ones: readings scatter,
 * the unit changes by mistake, and the radio link drops.
 */

export type GaugeUnit = 'mm' | 'in';

export interface SimulatedGaugeReading {
  readonly device: 'gauge';
  readonly id: number;
  /** As the display shows it. */
  readonly text: string;
  readonly unit: GaugeUnit;
}

export interface SimulatedTesterReading {
  readonly device: 'tester';
  readonly id: number;
  readonly length: string;
  readonly force: string;
}

export type SimulatedReading = SimulatedGaugeReading | SimulatedTesterReading | SimulatedPull;

/** The diaphragm on the tester, mm: 5.2 high including its thickness. */
const DIAPHRAGM = { outerDiameter: 108, innerDiameter: 82, thickness: 1.8, coneHeight: 3.4 };

/** Standard deviation of a hand-held thickness reading, mm. */
const SCATTER_MM = 0.003;
/** Of a spring tester, N and mm. */
const SCATTER_N = 0.8;
const SCATTER_LENGTH = 0.02;
/** How often the unit key is pressed by mistake, when the bench is unruly: at a reading, and before a pull. */
const SLIP = 1 / 25;
const DYNO_SLIP = 1 / 3;

export interface BenchSettings {
  /** Thickness between the jaws, mm. */
  readonly thickness: number;
  /** Part on the tester: a coil spring, or a diaphragm. */
  readonly onTester: 'coil' | 'diaphragm';
  readonly springRate: number;
  readonly springFree: number;
  /** The engine on the dyno. */
  readonly engine: DynoEngine;
  readonly unruly: boolean;
}

export const DEFAULT_SETTINGS: BenchSettings = {
  thickness: 2.86,
  onTester: 'coil',
  springRate: 23.5,
  springFree: 42,
  engine: DEFAULT_ENGINE,
  unruly: false,
};

/** One bench with its gauge, its tester and its dyno. */
export class Instruments {
  settings: BenchSettings = DEFAULT_SETTINGS;
  unit: GaugeUnit = 'mm';
  private dynoUnit: DynoUnit = 'N·m';
  private next = 1;
  private pulls = 0;
  private readonly random: () => number;

  constructor(seed: number) {
    this.random = seededRandom(seed);
  }

  /** A gauge reading after its button is pressed. */
  measure(): SimulatedGaugeReading {
    if (this.settings.unruly && this.random() < SLIP) this.switchUnit();
    const mm = this.settings.thickness + SCATTER_MM * this.normal();
    const text = this.unit === 'mm' ? mm.toFixed(3) : (mm / 25.4).toFixed(4);
    return { device: 'gauge', id: this.next++, text, unit: this.unit };
  }

  /** A spring tester reading at a length. */
  pull(length: number): SimulatedTesterReading {
    const pressed = this.forceAt(length);
    const force = pressed > 0 ? Math.max(0, pressed + SCATTER_N * this.normal()) : 0;
    return {
      device: 'tester',
      id: this.next++,
      length: (length + SCATTER_LENGTH * this.normal()).toFixed(2),
      force: force.toFixed(1),
    };
  }

  private forceAt(length: number): number {
    const { onTester, springRate, springFree } = this.settings;
    if (onTester === 'coil') return springRate * (springFree - length);
    const { coneHeight, thickness } = DIAPHRAGM;
    const deflection = coneHeight + thickness - length;
    return deflection <= 0 ? 0 : discSpringForce(DIAPHRAGM, Math.min(deflection, 2 * coneHeight));
  }

  /** The readings of one dyno pull, in parts. */
  pullEngine(parts: number): SimulatedPull[] {
    if (this.settings.unruly && this.random() < DYNO_SLIP)
      this.dynoUnit = this.dynoUnit === 'N·m' ? 'ft·lb' : 'N·m';
    const samples = shownAs(
      pullOf(this.settings.engine, () => this.normal()),
      this.dynoUnit,
    );
    const each = Math.ceil(samples.length / parts);
    const pull = ++this.pulls;
    return Array.from({ length: Math.ceil(samples.length / each) }, (_, part) => ({
      device: 'dyno',
      id: this.next++,
      pull,
      part,
      unit: this.dynoUnit,
      samples: samples.slice(part * each, (part + 1) * each),
      last: (part + 1) * each >= samples.length,
    }));
  }

  switchUnit(): void {
    this.unit = this.unit === 'mm' ? 'in' : 'mm';
  }

  /** Standard normal, by Box and Muller. */
  private normal(): number {
    const u = Math.max(this.random(), 1e-12);
    return Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * this.random());
  }
}
