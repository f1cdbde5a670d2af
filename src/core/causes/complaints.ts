/* Complaints of riders. */

export type ComplaintId =
  | 'slips'
  | 'drags'
  | 'creeps'
  | 'neutral'
  | 'clunks'
  | 'chatters'
  | 'grabby'
  | 'heavy'
  | 'burnt'
  | 'hotDrag'
  | 'coldOnly'
  | 'overrunChatter'
  | 'powerSlip'
  | 'weakReturn';

export const COMPLAINTS: Readonly<Record<ComplaintId, string>> = {
  slips: 'Slips',
  drags: 'Drags with the lever in',
  creeps: 'Creeps at idle',
  neutral: 'Neutral hard to find',
  clunks: 'Clunks into gear',
  chatters: 'Chatters on take-off',
  grabby: 'Grabby',
  heavy: 'Heavy lever',
  burnt: 'Burnt smell',
  hotDrag: 'Won’t release when hot',
  coldOnly: 'Drags only when cold',
  overrunChatter: 'Chatters on overrun',
  powerSlip: 'Slips only under power',
  weakReturn: 'Lever returns weakly',
};
