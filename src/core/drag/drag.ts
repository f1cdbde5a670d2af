import { check, NOT_NEGATIVE, POSITIVE } from '../errors';
import type { Mm, NewtonMetre, Rpm } from '../units/quantity';

/**
 * Drag of one face of an open pack in oil, N·m: ψ·(π/2)·η·ω·(R_o⁴ − R_i⁴)/h.
 * @param clearance h of the face, mm, above 0
 * @param apart speed between basket and hub, rpm, 0 or more
 * @param viscosity dynamic, Pa·s, above 0
 * @param fill ψ, the share of the face that oil fills, above 0 to 1
 * @throws {DomainError} for a value out of range
 * Source: shear between parallel rings; `docs/mechanics.md` section 15.
 * @example faceDrag(58.5, 46.5, 0.1, 500, 0.224214, 1) // 1.29759
 */
export function faceDrag(
  outer: Mm,
  inner: Mm,
  clearance: Mm,
  apart: Rpm,
  viscosity: number,
  fill: number,
): NewtonMetre {
  check('outer', outer, POSITIVE);
  check('inner', inner, { min: 0, below: outer });
  check('clearance', clearance, POSITIVE);
  check('apart', apart, NOT_NEGATIVE);
  check('viscosity', viscosity, POSITIVE);
  check('fill', fill, { above: 0, max: 1 });
  const speed = (apart * Math.PI) / 30;
  const ring = (outer ** 4 - inner ** 4) * 1e-12;
  return (fill * (Math.PI / 2) * viscosity * speed * ring) / (clearance * 1e-3);
}

/** Between these the temperature is looked for, °C. */
const COLDEST = -40;
const HOTTEST = 150;
/** Halvings: to a thousandth of a degree. */
const HALVINGS = 18;

/**
 * The temperature from which a drag that falls with it stays below a limit, °C; undefined where it does not even when hot.
 * @param dragAt drag over temperature, N·m
 * @param limit N·m, above 0
 * Source: bisection. @throws {DomainError} for a limit out of range
 * @example freeFrom((celsius) => 100 - celsius, 60) // 40
 */
export function freeFrom(
  dragAt: (celsius: number) => NewtonMetre,
  limit: NewtonMetre,
): number | undefined {
  check('limit', limit, POSITIVE);
  if (dragAt(HOTTEST) > limit) return undefined;
  if (dragAt(COLDEST) <= limit) return COLDEST;
  let [cold, warm] = [COLDEST, HOTTEST];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (cold + warm) / 2;
    if (dragAt(middle) > limit) cold = middle;
    else warm = middle;
  }
  return warm;
}
