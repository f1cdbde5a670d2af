import { Impossible } from '@/core/errors';
import { fieldPath } from '@/core/job/fieldPath';
import { engage, heatCapacity, ringMass } from '@/core/heat/engagement';
import { GRAVITY, roadLoad, ROLLING } from '@/core/heat/road';
import type { Kilogram } from '@/core/units/quantity';
import type { PackLayer, PackLayout } from '@/core/evaluate/engine/layers';
import type { Sheet } from '@/core/evaluate/engine/sheet';
import type { Term } from '@/core/evaluate/engine/term';
import { collectTerms, missingTerm } from '@/core/evaluate/engine/term';

/** Share of a disc's thickness that is metal; the lining weighs little. Assumed value. */
const CORE_SHARE = 0.5;

/** Heat is shown to the joule. */
const HEAT_TOLERANCE = 1e-6;
const NEVER_LOCKS =
  'the clutch never locks: its torque does not move the machine against its load.';
const STALLS = 'the engine is pulled below idle before the clutch locks, and stalls.';

/**
 * Mass and inertia of the plates, and the heat of a start where one is described.
 * @example computeHeat(sheet, layout), sheet.known('packMass').value // 0.6992
 */
export function computeHeat(sheet: Sheet, layout: PackLayout): void {
  const plates = plateTerms(sheet, layout);
  const masses = layout.layers.map((layer) => ({ layer, mass: plates.of(layer).mass }));
  const none = layout.layers.length === 0 ? [missingTerm('A plate', 'pack.plates')] : [];
  sheet.compute('packMass', {
    label: 'Mass of the plates',
    quantity: 'mass',
    section: 10,
    formula: 'm = Σ π·(R_o² − R_i²)·t·ρ, or as weighed',
    from: {
      m: collectTerms([...none, ...masses.map((m) => m.mass)], (all) =>
        all.reduce((a, b) => a + b, 0),
      ),
    },
    value: ({ m }) => m,
    notes: ['A disc counts by its metal core, half its thickness: an assumed value.'],
  });
  const onHub = masses.filter(({ layer }) => layer.turnsWith === 'hub');
  sheet.compute('packInertia', {
    label: 'Inertia of the plates on the hub',
    quantity: 'inertia',
    section: 10,
    formula: 'J = Σ m·(R_o² + R_i²)/2',
    from: {
      J: collectTerms(
        [
          ...none,
          ...onHub.flatMap(({ layer }) => {
            const { mass, outerRadius, innerRadius } = plates.of(layer);
            return [mass, outerRadius, innerRadius];
          }),
        ],
        (all) => {
          let sum = 0;
          for (let i = 0; i + 2 < all.length; i += 3) {
            const [m = 0, ro = 0, ri = 0] = all.slice(i, i + 3);
            sum += (m * (ro * ro + ri * ri) * 1e-6) / 2;
          }
          return sum;
        },
      ),
    },
    value: ({ J }) => J,
    notes: ['The gearbox must accelerate this at each shift.'],
  });
  if (!sheet.entry('duty.mass').known) return;
  const idle = sheet.entry('engine.idleRpm');
  sheet.compute('startHeat', {
    label: 'Heat of one start',
    quantity: 'energy',
    section: 10,
    formula: 'Q = ∫ T·(ω_e − ω_v) dt, from slip to lock-up',
    from: {
      T: sheet.figure('capacityWithTangs', 'T'),
      Te: sheet.figure('torqueAtClutch', 'T_req'),
      i: sheet.entry('engine.primaryRatio'),
      M: sheet.entry('duty.mass'),
      Rw: sheet.entry('duty.wheelRadius'),
      i1: sheet.entry('duty.gearRatio'),
      n0: sheet.entry('duty.startRpm'),
      Je: sheet.entry('duty.engineInertia'),
      x: sheet.entry('duty.throttle'),
      t0: sheet.entry('duty.letOut'),
      p: sheet.entry('duty.grade'),
      ...(idle.known ? { n: idle } : {}),
    },
    value: ({ T, Te, i, M, Rw, i1, n0, Je, x, t0, p, n = 0 }) => {
      const arm = Rw / 1000 / i1;
      const load = M * GRAVITY * roadLoad(Math.atan(p)) * arm;
      const start = engage({
        engineInertia: Je * i * i,
        vehicleInertia: M * arm * arm,
        engineSpeed: (n0 / i) * (Math.PI / 30),
        vehicleSpeed: 0,
        engineTorque: () => Te * x,
        loadTorque: () => load,
        clutchTorque: (t) => (t >= t0 ? T : (T * t) / t0),
        ...(t0 > 0 ? { corners: [t0] } : {}),
        tolerance: HEAT_TOLERANCE,
      });
      if (start.outcome !== 'locked') throw new Impossible(NEVER_LOCKS);
      if (start.speed * i < n * (Math.PI / 30)) throw new Impossible(STALLS);
      return start.energy;
    },
    notes: [
      'Assumes an even lever release and constant engine torque.',
      `Rolling resistance ${ROLLING * 100} % of the weight: an assumed value.`,
    ],
  });
  sheet.compute('steelRise', {
    label: 'Temperature rise of the steels per start',
    quantity: 'temperatureRise',
    section: 10,
    formula: 'ΔT = Q/Σ(m·c)',
    from: {
      ΔT: collectTerms(
        [sheet.figure('startHeat', 'Q'), steelHeat(sheet, layout)],
        ([heat = 0, capacity = 0]) => heat / capacity,
      ),
    },
    value: ({ ΔT }) => ΔT,
    notes: ['As if no heat went into linings and oil: the upper limit for one start.'],
  });
}

const unlined = (layout: PackLayout): readonly PackLayer[] =>
  layout.layers.filter((layer) => layer.lined === 'none');

/**
 * Heat that warms all unlined plates by a degree, J/K.
 * @example steelHeat(sheet, layout).value // 159.9
 */
export function steelHeat(sheet: Sheet, layout: PackLayout): Term {
  const steels = unlined(layout);
  if (steels.length === 0) return missingTerm('An unlined plate', 'pack.plates');
  const plates = plateTerms(sheet, layout);
  return collectTerms(
    steels.map((layer) => plates.of(layer).mass),
    (masses) =>
      heatCapacity(masses.map((mass, k) => ({ mass, metal: steels[k]?.kind.material ?? 'steel' }))),
  );
}

/**
 * Both sides of all unlined plates, mm².
 * @example steelArea(sheet, layout).value // 55417.7
 */
export function steelArea(sheet: Sheet, layout: PackLayout): Term {
  const steels = unlined(layout);
  if (steels.length === 0) return missingTerm('An unlined plate', 'pack.plates');
  const plates = plateTerms(sheet, layout);
  return collectTerms(
    steels.flatMap((layer) => {
      const { outerRadius, innerRadius } = plates.of(layer);
      return [outerRadius, innerRadius];
    }),
    (radii) => {
      let sum = 0;
      for (let i = 0; i + 1 < radii.length; i += 2) {
        const [outer = 0, inner = 0] = radii.slice(i, i + 2);
        sum += 2 * Math.PI * (outer * outer - inner * inner);
      }
      return sum;
    },
  );
}

type Leaf = 'outerRadius' | 'innerRadius';

/** Data of the plates of one type. */
interface PlateOf {
  readonly mass: Term;
  readonly outerRadius: Term;
  readonly innerRadius: Term;
}

const plateTerms = (sheet: Sheet, layout: PackLayout): PlateTerms =>
  sheet.once('plate terms', () => new PlateTerms(sheet, layout));

/** Data of the plates of a pack, collected once per type. */
class PlateTerms {
  private readonly kinds = new Map<PackLayer['kind'], PlateOf>();

  constructor(
    private readonly sheet: Sheet,
    private readonly layout: PackLayout,
  ) {}

  /** The plate as weighed, else by its ring; an unlined one without radii is as wide as the widest lining it rubs on. */
  of(layer: PackLayer): PlateOf {
    const known = this.kinds.get(layer.kind);
    if (known) return known;
    const radii = {
      outerRadius: this.radiusOf(layer, 'outerRadius'),
      innerRadius: this.radiusOf(layer, 'innerRadius'),
    };
    const made = { ...radii, mass: this.massOf(layer, radii) };
    this.kinds.set(layer.kind, made);
    return made;
  }

  private massOf(layer: PackLayer, radii: Omit<PlateOf, 'mass'>): Term {
    const { id, name, material } = layer.kind;
    const entry = (leaf: 'mass' | 'thickness', label: string) =>
      this.sheet.entry(fieldPath(`pack.kinds.*.${leaf}`, id), undefined, label);
    const weighed = entry('mass', `Mass of ${name}`);
    if (weighed.known) return weighed;
    const share = layer.lined === 'none' ? 1 : CORE_SHARE;
    return collectTerms(
      [radii.outerRadius, radii.innerRadius, entry('thickness', `Thickness of ${name}, new`)],
      ([ro = 0, ri = 0, t = 0]): Kilogram => ringMass(ro, ri, t * share, material),
    );
  }

  private radiusOf({ kind, lined }: PackLayer, leaf: Leaf): Term {
    const of = ({ id, name }: PackLayer['kind']) =>
      this.sheet.entry(
        fieldPath(`pack.kinds.*.${leaf}`, id),
        undefined,
        `${leaf === 'outerRadius' ? 'Outer' : 'Inner'} radius of ${name}`,
      );
    const own = of(kind);
    if (own.known || lined !== 'none') return own;
    const { layers } = this.layout;
    const rubbed = layers.flatMap((layer, i) =>
      layer.kind.id === kind.id ? [layers[i - 1], layers[i + 1]] : [],
    );
    const wider = (a: number, b: number) => (leaf === 'outerRadius' ? b - a : a - b);
    const [widest] = [...new Set(rubbed.flatMap((l) => (l && l.lined !== 'none' ? l.kind : [])))]
      .map(of)
      .filter((radius) => radius.known)
      .sort((a, b) => wider(a.value, b.value));
    return widest ?? own;
  }
}
