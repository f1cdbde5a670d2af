import type { Shoe, StartClutch } from '../../assist/startClutch';
import { firstContactRpm, holdingRpm, worn } from '../../assist/startClutch';
import type { Sheet } from '../../evaluate/engine/sheet';
import type { Term } from '../../evaluate/engine/term';
import { collectTerms, valueOf } from '../../evaluate/engine/term';

/**
 * Engine speeds of first contact and of full torque of a start clutch.
 * @example startFigures(sheet), sheet.outcomes.has('startContact') // true
 */
export function startFigures(sheet: Sheet): void {
  const { place } = sheet.job.startClutch;
  const onCrank = place === 'crank';
  const parts = startTerms(sheet);
  const shoe = shoeTerms(sheet);
  sheet.compute('startContact', {
    label: 'First contact of the start clutch',
    quantity: 'speed',
    section: 9,
    formula: onCrank ? 'm·r·ω² = F_s, on the crank' : 'm·r·ω² = F_s, at engine speed ÷ i',
    from: { n: collectTerms(shoe, (v) => firstContactRpm(shoeOf(v))) },
    value: ({ n }) => n,
  });
  sheet.compute('startHolding', {
    label: 'Start clutch holds peak torque from',
    quantity: 'speed',
    section: 9,
    formula: onCrank ? 'n·μ·(m·r·ω² − F_s)·R = T_e' : 'n·μ·(m·r·ω² − F_s)·R = T_e·i·η_p',
    from: {
      n: collectTerms(
        [
          sheet.entry('engine.peakTorque'),
          ...(onCrank ? [] : [sheet.entry('engine.primaryEfficiency')]),
          ...parts,
        ],
        ([torque = 0, ...rest]) => {
          const [efficiency, v] = onCrank ? [1, rest] : [rest[0] ?? 1, rest.slice(1)];
          return holdingRpm({ ...startOf(v), efficiency }, torque);
        },
      ),
    },
    value: ({ n }) => n,
  });
  if (!sheet.job.startClutch.wear) return;
  sheet.compute('startContactWorn', {
    label: 'First contact of the start clutch, worn',
    quantity: 'speed',
    section: 9,
    formula: '(m − Δm)·r′·ω² = F_s + k_s·w, r′ = (m·r − Δm·R)/(m − Δm) + w',
    from: {
      n: collectTerms(
        [
          sheet.entry('startClutch.wear'),
          sheet.entry('startClutch.springRate'),
          sheet.entry('startClutch.massLost'),
          sheet.entry('startClutch.drumRadius'),
          ...shoe,
        ],
        ([w = 0, k = 0, lost = 0, drumRadius = 0, ...v]) =>
          firstContactRpm(worn({ ...shoeOf(v), drumRadius }, w, k, lost)),
      ),
    },
    value: ({ n }) => n,
    notes: ['Worn shoes travel further against their springs and are lighter.'],
  });
}

/**
 * The start clutch of a job at its present wear, once fully known.
 * @example startClutchOf(workOut(farm).sheet).shoes // 4
 */
export function startClutchOf(sheet: Sheet): StartClutch | undefined {
  if (sheet.job.startClutch.place === 'none') return undefined;
  const parts = startTerms(sheet);
  if (!parts.every((t) => t.known)) return undefined;
  return startOf(parts.map(valueOf));
}

const shoeTerms = (sheet: Sheet): Term[] => [
  sheet.entry('startClutch.mass'),
  sheet.entry('startClutch.radius'),
  sheet.entry('startClutch.springPull'),
  ...inputRatio(sheet),
];

function shoeOf([mass = 0, radius = 0, springPull = 0, i = 1]: readonly number[]): Shoe {
  return { mass, radius, springPull, speedRatio: 1 / i };
}

const startTerms = (sheet: Sheet): Term[] => [
  sheet.entry('startClutch.shoes'),
  sheet.entry('startClutch.drumRadius'),
  sheet.entry('startClutch.friction'),
  ...shoeTerms(sheet),
];

/** Of shoes on the gearbox input, which turns slower than the engine by that. */
const inputRatio = (sheet: Sheet): Term[] =>
  sheet.job.startClutch.place === 'crank' ? [] : [sheet.entry('engine.primaryRatio')];

function startOf([
  shoes = 0,
  drumRadius = 0,
  friction = 0,
  ...shoe
]: readonly number[]): StartClutch {
  return { ...shoeOf(shoe), shoes, drumRadius, friction };
}
