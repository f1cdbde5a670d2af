/*
 * Keys for checklist lines of earlier versions, found by their text. Nothing is added here: newer lists
 * contain their keys.
 */

/* eslint-disable project/plain-words -- texts of earlier versions */
export const EARLIER_STEPS: Readonly<Record<string, string>> = {
  'Take the slave cylinder off, or hold its piston in': 'slave',
  'Slacken the cable fully at both ends': 'cable',
  'Mark the release arm to its shaft, then take it off': 'arm',
  'Write down where the adjuster of the pack stands, then back it off': 'packAdjuster',
  'Mark the release lever to the shift shaft before it comes off': 'shiftLever',
  'Machine on its stand, engine cold, brake within reach': 'stand',
  'Drain the oil, or lay the machine on its side': 'oil',
  'Cover off, bolts in a template': 'cover',
  'Old lining dust: wet wipe, do not blow': 'dust',
  'Pressure plate off, marked to the hub': 'pressurePlate',
  'Bearing, ball and pushrod out of the pressure plate': 'bearing',
  'Plates out one by one, from the outermost, each with its facing recorded': 'plates',
  'Innermost disc: look for a judder spring and its flat seat in the bore': 'judder',
  'Hub nut off with a holding tool': 'hubNut',
  'Hub off: catch the thrust washer behind it': 'hub',
  'Count drive pins, rubber dampers and wire rings before anything is moved': 'pins',
  'Basket off if its fingers or bearing are to be seen to': 'basket',
  'Spring bolts a little at a time, criss-cross': 'springBolts',
  'Springs out in their order': 'coils',
  'Note the retainer’s step, then its bolts a little at a time, criss-cross': 'retainer',
  'Diaphragm out': 'diaphragm',
  'Measure the gap between the plates at three places before it is opened': 'plateGap',
  'Nuts off evenly, a turn each in order': 'plateNuts',
  'Springs off their pins in order': 'looseSprings',
  'Assist levers out, each to its own pin': 'assistLevers',
  'Assist balls out, counted': 'assistBalls',
  'Start clutch: drum off, shoes and springs out': 'startClutch',
  'Write down where the adjuster stands, then back it off': 'discAdjuster',
  'The expanding disc comes first': 'expandingDisc',
};

export const EARLIER_PARTS: Readonly<Record<string, string>> = {
  'Cover bolts': 'coverBolts',
  Dowels: 'dowels',
  'Judder springs': 'judderSprings',
  'Judder seats': 'judderSeats',
  'Drive pins': 'pins',
  'Thrust washers': 'thrustWashers',
  'Pushrod ball or bearing': 'rodEnd',
  'Wire rings': 'wireRings',
  'Lock washer': 'lockWasher',
  'Spring bolts and washers': 'springBolts',
  'Retainer bolts': 'retainerBolts',
  'Nuts of the spring plate': 'plateNuts',
  'Shoe springs': 'shoeSprings',
  'Weights of the expanding disc': 'discWeights',
  Springs: 'springs',
};
