/** A question on which good builders differ, with the method used here. */
export interface MethodPage {
  readonly question: string;
  readonly methods: readonly string[];
  readonly ours: string;
  readonly why: string;
}

export const METHODS: readonly MethodPage[] = [
  {
    question: 'Friction first and last, or steel?',
    methods: ['Friction on the floor and under the pressure plate', 'Steel first and last'],
    ours: 'Neither: the kit’s own order is used, and the faces are counted from it.',
    why: 'Both give two faces per disc. A rule of thumb fails as soon as two discs are side by side.',
  },
  {
    question: 'Drain the oil, or lay the machine over?',
    methods: [
      'Drain it, and check for burnt smell and metal',
      'Lay the machine on its side, while the oil is fresh',
    ],
    ours: 'Either; the strip list names both.',
    why: 'Draining shows more, laying over is quicker. The complaint decides: burnt oil is worth seeing.',
  },
  {
    question: 'How long do new linings soak?',
    methods: ['A few minutes in a bag of oil', 'Overnight'],
    ours: 'The longer time is planned, with a timer; the lining maker’s own minimum is accepted.',
    why: 'A dry lining that runs once is ruined; time costs nothing if it is planned.',
  },
  {
    question: 'How is the hub nut tightened?',
    methods: ['Holding tool and torque wrench', 'Impact gun to the next tab'],
    ours: 'Tool and wrench; the actual method can be recorded.',
    why: 'A gun does not show the torque: too tight, the hub binds, drags and stalls; too loose, the nut comes off.',
  },
  {
    question: 'Bend one tab or two?',
    methods: ['One, leaving the other unused', 'Two, to be sure'],
    ours: 'As in the manual; a washer with a bent tab is replaced.',
    why: 'A tab bends once. One bent leaves one for the next time, if the manual allows reuse at all.',
  },
  {
    question: 'How much lift is enough?',
    methods: ['One value for a type of machine', 'A clearance per friction face'],
    ours: 'Both, and the greater of the two where both are given.',
    why: 'One value carries experience with one machine; the clearance accounts for the number of faces and their flatness.',
  },
  {
    question: 'Judder springs: in or out?',
    methods: ['Kept, for a smooth start', 'Left out, for one more full disc'],
    ours: 'As in the kit; the pack is calculated either way.',
    why: 'The pair is not part of the stack, but its disc has a larger bore and less capacity. Without it, falling friction is damped less.',
  },
  {
    question: 'From which end is a line bled?',
    methods: ['From the low end upward', 'From the high end downward'],
    ours: 'As its maker says, until no bubble comes, and never let the reservoir run dry.',
    why: 'Air rises, but not every line leads up. Taps and a running engine free the last bubbles.',
  },
  {
    question: 'How many starts make a break-in?',
    methods: ['A few gentle ones', 'Ten in each of two gears'],
    ours: 'As in the kit’s sheet; then everything is measured again.',
    why: 'The number matters less than measuring gap, free play and stack afterwards.',
  },
  {
    question: 'What if the caliper over the pack and the sum disagree?',
    methods: ['The caliper is right', 'The sum is right'],
    ours: 'Neither is trusted until the cause is found.',
    why: 'A plate is warped, burred or doubled. The record says how the caliper was used: dry or oiled, loose or squeezed.',
  },
];
