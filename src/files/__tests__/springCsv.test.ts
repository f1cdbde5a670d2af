import { FileRefused } from '../refused';
import { readSpringCsv } from '../springCsv';

describe('tester points from a file', () => {
  it('reads columns in any order, units of the header, decimal commas', () => {
    expect(readSpringCsv('Force (N);Length (mm)\n100,5;36\n150;33,2\n', 'length')).toEqual([
      { at: 36, force: 100.5 },
      { at: 33.2, force: 150 },
    ]);
    const [first] = readSpringCsv('length in,load lbf\n1.5,20\n1.25,40\n', 'length');
    expect(first?.at).toBeCloseTo(38.1, 9);
    expect(first?.force).toBeCloseTo(88.9644, 3);
  });

  it('converts what testers write, and refuses a unit that is none', () => {
    expect(readSpringCsv('length (cm),force (kN)\n3.6,0.1\n3.3,0.15\n', 'length')).toEqual([
      { at: expect.closeTo(36, 9) as number, force: expect.closeTo(100, 9) as number },
      { at: expect.closeTo(33, 9) as number, force: expect.closeTo(150, 9) as number },
    ]);
    expect(() => readSpringCsv('length (ell),force\n36,100\n33,150', 'length')).toThrow('“ell”');
    expect(() => readSpringCsv('length,force\n36,100,5\n33,150,2', 'length')).toThrow('Line 2');
  });

  it('takes the first column as the place when there is no header, and leaves blank lines out', () => {
    // Nothing is pressed at nothing; a spring of no length is none.
    expect(readSpringCsv('0,0\n1,900\n2,1400', 'deflection')[0]).toEqual({ at: 0, force: 0 });
    expect(() => readSpringCsv('0,0\n30,90\n25,140', 'length')).toThrow('Line 1');
    expect(() => readSpringCsv('30,90\n0.4,140', 'length')).toThrow('Line 2');
    expect(() => readSpringCsv('301,90\n25,140', 'length')).toThrow('not a possible length');
    expect(() => readSpringCsv('30,-1\n25,140', 'length')).toThrow('not a possible spring force');
    expect(() => readSpringCsv('30,90\n25,20001', 'length')).toThrow('not a possible spring force');
    expect(readSpringCsv('0.5,900\n\n1.0,1400\n1.5,1300', 'deflection')).toHaveLength(3);
  });

  it.each([
    ['', /empty/],
    ['36\n33', /Two columns/],
    ['length,force\n36,100', /Two points or more/],
    ['length,force\n36,100\n33,abc', /Line 3: “abc” is not a number/],
    ['length,force\n36,100\n33,', /Line 3: a value is missing/],
    ['width,force\n36,100\n33,120', /no column for length/],
    ['length,force\n36,100\n900,120', /Line 3: 900 mm is not a possible length/],
    ['length,force\n36,100\n33,-4', /Line 3: -4 N is not a possible spring force/],
    ['\0\0', /binary/],
  ])('refuses %j whole', (text, message) => {
    expect(() => readSpringCsv(text, 'length')).toThrow(FileRefused);
    expect(() => readSpringCsv(text, 'length')).toThrow(message);
  });
});
