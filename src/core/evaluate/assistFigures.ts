import { ballAssist, basketRpm, leverAssist } from '../assist/centrifugal';
import { firstContactRpm, holdingRpm } from '../assist/startClutch';
import type { Sheet } from './sheet';
import { gather } from './sheet';

/** Clamp that weights add at the engine's peak torque; nothing where there are none. */
export function computeAssist(sheet: Sheet): void {
  const { type } = sheet.job.assist;
  if (type === 'none') return;
  const levers = type === 'levers';
  sheet.compute('assistClamp', {
    label: 'Centrifugal clamp at peak torque',
    quantity: 'force',
    section: 9,
    formula: levers ? 'F_c = n·m·r_w·ω²·i_w, ω at n_T/i' : 'F_c = n·m·r_w·ω²/tan α, ω at n_T/i',
    from: {
      n: sheet.entry('assist.count'),
      m: sheet.entry('assist.mass'),
      r: sheet.entry('assist.radius'),
      by: sheet.entry(levers ? 'assist.leverRatio' : 'assist.rampAngle'),
      rpm: sheet.entry('engine.peakTorqueRpm'),
      i: sheet.entry('engine.primaryRatio'),
    },
    value: ({ n, m, r, by, rpm, i }) => {
      const weights = { count: n, mass: m, radius: r };
      const basket = basketRpm(rpm, i);
      return levers ? leverAssist(weights, basket, by) : ballAssist(weights, basket, by);
    },
    notes: ['The basket turns at engine speed ÷ primary ratio.'],
  });
  sheet.compute('clampAtPeak', {
    label: 'Clamp at peak torque',
    quantity: 'force',
    section: 9,
    formula: 'F + F_c',
    from: { F: sheet.figure('clamp', 'F'), Fc: sheet.figure('assistClamp', 'F_c') },
    value: ({ F, Fc }) => F + Fc,
  });
}

/** Speeds at which the shoes of a start clutch touch and hold; nothing where there is none. */
export function computeStartClutch(sheet: Sheet): void {
  const { place } = sheet.job.startClutch;
  if (place === 'none') return;
  const onCrank = place === 'crank';
  const parts = [
    sheet.entry('startClutch.shoes'),
    sheet.entry('startClutch.mass'),
    sheet.entry('startClutch.radius'),
    sheet.entry('startClutch.springPull'),
    sheet.entry('startClutch.drumRadius'),
    sheet.entry('startClutch.friction'),
    ...(onCrank ? [] : [sheet.entry('engine.primaryRatio')]),
  ];
  const clutch = ([
    shoes = 0,
    mass = 0,
    radius = 0,
    springPull = 0,
    drumRadius = 0,
    friction = 0,
    i = 1,
  ]: readonly number[]) => ({
    shoes,
    mass,
    radius,
    springPull,
    drumRadius,
    friction,
    speedRatio: 1 / i,
  });
  sheet.compute('startContact', {
    label: 'Start clutch touches at',
    quantity: 'speed',
    section: 9,
    formula: onCrank ? 'm·r·ω² = F_s, on the crank' : 'm·r·ω² = F_s, at engine speed ÷ i',
    from: { n: gather(parts, (v) => firstContactRpm(clutch(v))) },
    value: ({ n }) => n,
  });
  sheet.compute('startHolding', {
    label: 'Start clutch holds peak torque from',
    quantity: 'speed',
    section: 9,
    formula: 'n·μ·(m·r·ω² − F_s)·R = T_e',
    from: {
      n: gather([sheet.entry('engine.peakTorque'), ...parts], ([torque = 0, ...v]) =>
        holdingRpm(clutch(v), torque),
      ),
    },
    value: ({ n }) => n,
  });
}
