// cspell:ignore Leistung
import fc from 'fast-check';

import { FileRefused } from '../refused';
import { readTorqueCsv } from '../torqueCsv';

const read = (text: string) => readTorqueCsv(text, 'dyno.csv');
const points = (text: string) => read(text).curve.points;
const refusal = (text: string) => {
  try {
    read(text);
  } catch (error) {
    if (error instanceof FileRefused) return error.message;
    throw error;
  }
  throw new Error('it was taken');
};

const CURVE = [
  { rpm: 3000, torque: 30 },
  { rpm: 4000, torque: 38.5 },
  { rpm: 5000, torque: 36 },
];

describe('a torque curve from a file', () => {
  it.each([
    ['columns in order', 'rpm,torque (Nm)\n3000,30\n4000,38.5\n5000,36\n'],
    [
      'columns turned about',
      'Torque Nm,Power kW,Engine speed\n30,9.4,3000\n38.5,16.1,4000\n36,18.8,5000',
    ],
    ['semicolons and decimal commas', 'rpm;Nm\r\n3000;30,0\r\n4000;38,5\r\n5000;36\r\n'],
    ['tabs', 'rpm\ttorque\n3000\t30\n4000\t38,5\n5000\t36'],
    ['no header', '3000,30\n4000,38.5\n5000,36'],
    ['no header, torque first', '30,3000\n38.5,4000\n36,5000'],
    [
      'blank lines and remarks',
      '# run 3\n\nrpm,torque\n\n3000,30\n,\n4000,38.5\n; again\n5000,36\n\n',
    ],
    ['a line of units', 'Speed,Torque\nrpm,Nm\n3000,30\n4000,38.5\n5000,36'],
    ['thousands of rpm', 'rpm x1000,torque\n3,30\n4,38.5\n5,36'],
    ['falling speed', 'rpm,torque\n5000,36\n4000,38.5\n3000,30'],
    ['a byte order mark', '\uFEFFrpm,torque\n3000,30\n4000,38.5\n5000,36'],
  ])('is read with %s', (_name, text) => {
    expect(points(text)).toEqual(CURVE);
  });

  it('takes the unit that the header names', () => {
    const [first] = points('RPM,Torque [ft-lb]\n3000,20\n4000,25');
    expect(first?.torque).toBeCloseTo(27.116358966628, 9);
    expect(points('rpm,in-lb\n3000,240\n4000,300')[0]?.torque).toBeCloseTo(27.116358966628, 9);
    expect(read('rpm,torque\n3000,20\n4000,25').notes[0]).toContain('no unit given');
  });

  it.each([
    ['kW', 'rpm,Power [kW]\n3000,9.42478\n6000,25.13274'],
    ['mechanical horsepower', 'rpm;bhp\n3000;12,63884\n6000;33,70358'],
    ['metric horsepower', 'rpm,Leistung PS\n0,0\n3000,12.81413\n6000,34.17101'],
    ['watts in a line of units', 'Speed,Power\nrpm,W\n3000,9424.78\n6000,25132.74'],
  ])('is worked out from power in %s', (_name, text) => {
    // 30 N·m at 3000 rpm and 40 at 6000, by T = 60·P/(2π·n).
    const [first, last] = points(text);
    expect(first?.torque).toBeCloseTo(30, 3);
    expect(last?.torque).toBeCloseTo(40, 3);
    expect(read(text).notes).toContain('Torque calculated from power and speed.');
  });

  it('holds torque against the power beside it, where both units are named', () => {
    const said = (text: string) => read(text).notes.join(' ');
    expect(said('rpm,Nm,kW\n3000,30,9.42\n6000,40,25.1')).not.toContain('don’t fit');
    // The same power with a torque of another engine, or of another unit.
    expect(said('rpm,Nm,kW\n3000,22,9.42\n6000,29.5,25.1')).toContain(
      'at 6000 rpm the power gives 39.9 N·m, the file says 29.5',
    );
    expect(said('rpm,Nm,power\n3000,22,9.42\n6000,29.5,25.1')).not.toContain('don’t fit');
  });

  it('recognises torque measured at the wheel', () => {
    expect(read('rpm,whp\n3000,12\n6000,33').atWheel).toBe(true);
    expect(read('rpm,Wheel torque Nm\n3000,12\n6000,33').atWheel).toBe(true);
    expect(read('rpm,torque Nm\n3000,12\n6000,33').atWheel).toBe(false);
  });

  it('converts units that nobody types at a bench, and refuses those that it does not know', () => {
    expect(points('rpm,Torque (kgf·m)\n3000,3\n4000,4')[0]?.torque).toBeCloseTo(29.41995, 6);
    expect(points('rpm,Torque [kNm]\n3000,0.03\n4000,0.04')[0]?.torque).toBeCloseTo(30, 9);
    expect(points('rpm,Torque (corrected)\n3000,30\n4000,40')[0]?.torque).toBe(30);
    expect(refusal('rpm,Torque (stone)\n3000,30\n4000,40')).toContain('“stone”');
  });

  it('reads a point as one for thousands where commas are decimal ones', () => {
    expect(points('rpm;Nm\n3.000;27,9\n4.000;31,5')).toEqual([
      { rpm: 3000, torque: 27.9 },
      { rpm: 4000, torque: 31.5 },
    ]);
    expect(refusal('rpm;Nm\n3.000;27.9\n4.000;31.5')).toContain('ends at 4 rpm');
  });

  it('counts lines through cells with line breaks', () => {
    expect(refusal('rpm,torque,note\n3000,30,"two\nlines"\n4000,x,\n')).toContain('Line 4');
  });

  it('takes the mean of rows at one speed', () => {
    expect(points('rpm,torque\n3000,30\n3000,32\n4000,38')[0]).toEqual({ rpm: 3000, torque: 31 });
  });

  it.each([
    ['', 'empty'],
    ['rpm\n3000\n4000', 'Two columns'],
    ['rpm,temperature\n3000,9\n4000,12', 'no column for torque or power'],
    ['rpm,power kW\n3000,9\n4000,9000', 'Line 3: 9000 kW is not a possible engine power'],
    ['name,colour\nfoo,bar', 'Line 1'],
    ['rpm,torque\n3000,30\nhello,38\n', 'Line 3'],
    ['rpm,torque\n3000,30\n4000,\n', 'Line 3'],
    ['rpm,torque\n3000,30', 'two speeds or more'],
    ['rpm,torque\n3000,27,9\n4000,31,5', 'Line 2: 3 values under 2 columns'],
    ['rpm,torque\n3000,30\n99000,31', 'Line 3'],
    ['rpm,torque\n3000,30\n4000,99999', 'Line 3'],
    ['\0\0PNG', 'binary'],
  ])('refuses %j whole, with the line', (text, why) => {
    expect(refusal(text)).toContain(why);
  });

  it('never throws anything but a refusal, and never gives a number that is none', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ maxLength: 200 }),
          fc
            .array(
              fc.array(fc.oneof(fc.string({ maxLength: 6 }), fc.double().map(String)), {
                maxLength: 4,
              }),
              { maxLength: 8 },
            )
            .map((rows) => `rpm,torque\n${rows.map((r) => r.join(',')).join('\n')}`),
        ),
        (text) => {
          try {
            for (const p of points(text)) expect(Number.isFinite(p.rpm + p.torque)).toBe(true);
          } catch (error) {
            expect(error).toBeInstanceOf(FileRefused);
          }
        },
      ),
      { numRuns: 500 },
    );
  });
});
