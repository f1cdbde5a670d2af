import type { CutawayLook } from '@/core/takeoff/cutaway';
import { cutawayOf } from '@/core/takeoff/cutaway';
import type { Motion, MotionSpeeds } from '@/core/takeoff/motion';
import { coilPack } from '@/testing/packs';

import { describeRide, stateOf } from '../describeRide';

const look = cutawayOf(coilPack(), 90).at(0, 0);
const opened: CutawayLook = { ...look, clearance: 0.1 };
const speeds: MotionSpeeds = { engine: 4000, hub: 2500, basketOwn: 1300, hubOwn: 800 };
const motion: Motion = {
  t: 1,
  engine: 140,
  hub: 85,
  state: 'slipping',
  heat: 2000,
  steel: 110,
  torque: 62,
  capacity: 62,
  atShoes: false,
};
const said = (seen: {
  look?: CutawayLook;
  motion?: Partial<Motion>;
  speeds?: Partial<MotionSpeeds>;
}) =>
  describeRide(
    {
      look: seen.look ?? { ...look, clearance: 0, clamp: 900 },
      motion: { ...motion, ...seen.motion },
      speeds: { ...speeds, ...seen.speeds },
    },
    {},
  );

describe('what one sees of the cutaway, in words', () => {
  it('describes the plate gaps of an incomplete machine', () => {
    expect(describeRide({ look: opened }, {})).toBe('Clearance per face 0.100 mm.');
    expect(describeRide({ look: { ...look, clearance: 0 } }, {})).toBe('The plates are closed.');
  });

  it('names torque, clamp and speeds while it slips', () => {
    expect(said({})).toBe('Slipping: 62 N·m transmitted at 900 N clamp, 1500 rpm difference.');
    expect(said({ look: { ...look, clearance: 0, clamp: undefined } })).toBe(
      'Slipping: 62 N·m transmitted, 1500 rpm difference.',
    );
    // The engine held back by the machine: what passes has a size, and no sign.
    expect(said({ motion: { torque: -62 }, speeds: { engine: 1000 } })).toBe(
      'Slipping: 62 N·m transmitted at 900 N clamp, 1500 rpm difference.',
    );
  });

  it('says that it is the shoes that slip, and not the pack', () => {
    expect(said({ motion: { atShoes: true } })).toBe(
      'The shoes slip: 62 N·m transmitted, 1500 rpm difference; the pack is closed.',
    );
  });

  it('describes the used share of the capacity of a locked clutch', () => {
    expect(said({ motion: { state: 'locked', torque: -20, capacity: 75 } })).toBe(
      'Locked: basket and hub turn together; 20 N·m of a capacity of 75 N·m transmitted.',
    );
  });

  it('describes whether the hub of an open clutch turns', () => {
    const open = { look: opened, motion: { capacity: 0, torque: 0 } };
    expect(said({ ...open, speeds: { hub: 4.9 } })).toMatch(/the basket turns, the hub stops/);
    expect(said({ ...open, speeds: { hub: 5 } })).toMatch(/the hub keeps turning/);
  });

  it('describes a stopped engine', () => {
    expect(said({ motion: { state: 'stalled' } })).toBe('Stalled: the engine has stopped.');
  });

  it('distinguishes texts that are announced when they change', () => {
    expect(stateOf({ look: opened })).toBe('open');
    expect(stateOf({ look: { ...look, clearance: 0 } })).toBe('closed');
    const state = (part: Partial<Motion>) => stateOf({ look, motion: { ...motion, ...part } });
    expect(state({})).toBe('slipping');
    expect(state({ capacity: 0 })).toBe('open');
    expect(state({ state: 'locked' })).toBe('locked');
    expect(state({ state: 'stalled' })).toBe('stalled');
  });
});
