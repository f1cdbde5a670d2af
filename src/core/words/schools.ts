/** A question on which good builders differ, and where this program stands. */
export interface SchoolPage {
  readonly question: string;
  readonly schools: readonly string[];
  readonly ours: string;
  readonly why: string;
}

export const SCHOOLS: readonly SchoolPage[] = [
  {
    question: 'Friction first and last, or steel?',
    schools: ['Friction on the floor and under the pressure plate', 'Steel first and last'],
    ours: 'Neither: the kit’s own order is laid, and the faces are counted from it.',
    why: 'Both give two faces for each disc. A rule of thumb goes wrong as soon as two discs lie side by side.',
  },
  {
    question: 'Drain the oil, or lay the machine over?',
    schools: [
      'Drain it, and read it for burnt smell and metal',
      'Lay the machine on its side, while the oil is fresh',
    ],
    ours: 'Either; the strip list names both.',
    why: 'Draining tells more, laying over is quicker. The complaint decides: burnt oil is worth seeing.',
  },
  {
    question: 'How long do new linings soak?',
    schools: ['A few minutes in a bag of oil', 'Overnight'],
    ours: 'The longer is planned, with a timer; the lining maker’s own least time is accepted.',
    why: 'A dry lining that is run once is spoiled; time costs nothing if it is planned.',
  },
  {
    question: 'How is the hub nut tightened?',
    schools: ['Holding tool and torque wrench', 'Impact gun to the next tab'],
    ours: 'The tool and the wrench; what was really done can be recorded.',
    why: 'A gun does not tell what it has done: over-tightened, the hub binds, drags and stalls; under-tightened, it comes loose.',
  },
  {
    question: 'Bend one tab or two?',
    schools: ['One, which leaves the other fresh', 'Two, to be sure'],
    ours: 'As the manual has it; a washer whose tab was bent goes out.',
    why: 'A tab bends once. One bent leaves a fresh one for the next time, if the manual allows the washer to stay at all.',
  },
  {
    question: 'How much lift is enough?',
    schools: ['One figure for a type of machine', 'A clearance for each slipping face'],
    ours: 'Both, and the greater of the two where both are given.',
    why: 'A figure carries experience with one machine; the clearance knows how many faces there are and how flat they lie.',
  },
  {
    question: 'Judder springs: in or out?',
    schools: ['Kept, for a smooth start', 'Left out, for one more full disc'],
    ours: 'As the kit has it; the pack is computed either way.',
    why: 'The pair has no share in the stack, but the disc that holds it has a larger bore and carries less. Without it, falling friction is damped less.',
  },
  {
    question: 'From which end is a line bled?',
    schools: ['From the low end upward', 'From the high end downward'],
    ours: 'As its maker says, until no bubble comes, with the reservoir never dry.',
    why: 'Air wants up, but not every line leads up. Taps and a running engine shake the last bubbles loose.',
  },
  {
    question: 'How many starts make a break-in?',
    schools: ['A few gentle ones', 'Ten in each of two gears'],
    ours: 'The kit’s own, on the sheet, and then everything is measured again.',
    why: 'How many it were matters less than that gap, free play and stack are measured after them.',
  },
  {
    question: 'What if the caliper over the pack and the sum disagree?',
    schools: ['The caliper is right', 'The sum is right'],
    ours: 'Neither is believed until the cause is found.',
    why: 'A plate is warped, burred or doubled. The record says how the caliper was used: dry or oiled, loose or squeezed.',
  },
];
