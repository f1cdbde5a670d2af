import type { OilGrade } from '../../drag/viscosity';
import type { Entry } from './entry';

/** The oil in the clutch, for its drag while cold. */
export interface Oil {
  /** Gives viscosities that are typical of it, where none are entered. */
  readonly grade?: OilGrade;
  readonly viscosity40?: Entry;
  readonly viscosity100?: Entry;
  readonly density?: Entry;
  readonly fill?: Entry;
  readonly coldest?: Entry;
  readonly dragMax?: Entry;
}

/** A slip that was seen on the dyno or on the road, from which the friction of the lining follows. */
export interface Slip {
  readonly id: string;
  /** ISO date. */
  readonly date: string;
  /** The kind of disc whose lining it is laid to. */
  readonly kindId: string;
  readonly note: string;
  /** Engine speed, for a pack that clamps by speed. */
  readonly rpm?: Entry;
  /** Engine torque at which it began to slip. */
  readonly torque?: Entry;
  /** In place of the torque: ratio clutch to wheel, and the grade climbed at a steady speed. */
  readonly gearRatio?: Entry;
  readonly grade?: Entry;
}

/** More are not looked through. */
export const MAX_SLIPS = 50;
