export type DrawingId =
  | 'pack'
  | 'disc'
  | 'steel'
  | 'basket'
  | 'hub'
  | 'pressurePlate'
  | 'coil'
  | 'diaphragm'
  | 'diaphragmCurve'
  | 'loose'
  | 'judder'
  | 'expanding'
  | 'shoes'
  | 'belt'
  | 'levers'
  | 'balls'
  | 'ramps'
  | 'train'
  | 'lift'
  | 'gap'
  | 'warp'
  | 'taper'
  | 'faces'
  | 'radius'
  | 'star'
  | 'spline'
  | 'slot'
  | 'tangs'
  | 'slip'
  | 'window';

export interface GlossaryTerm {
  readonly name: string;
  /** Other ways in which it is written; plurals are known by themselves. */
  readonly also?: readonly string[];
  readonly text: string;
  readonly drawing?: DrawingId;
  readonly see?: readonly string[];
}

/** A clutch type or spring type: how it works and how to recognise it. */
export interface Family {
  readonly name: string;
  readonly how: string;
  readonly tell: string;
  readonly mind: string;
  readonly drawing: DrawingId;
}
