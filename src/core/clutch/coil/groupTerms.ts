import { fieldPath } from '../../job/fieldPath';
import type { CoilGroup } from '../../job/types';
import { coilRate, fitRate, solidLength } from '../../springs/coil';
import type { Sheet } from '../../evaluate/engine/sheet';
import type { Term } from '../../evaluate/engine/term';
import { collectTerms, missingTerm } from '../../evaluate/engine/term';

/** One kind of spring, as far as it is known. */
export interface GroupTerms {
  readonly id: string;
  readonly name: string;
  readonly count: Term;
  readonly rate: Term;
  readonly freeLength: Term;
  readonly solid: Term;
  readonly wire: Term;
  readonly coil: Term;
}

export function terms(sheet: Sheet): readonly Term[] {
  const groups = groupTerms(sheet);
  return groups.length === 0
    ? [NO_SPRINGS]
    : [
        sheet.figure('installedLength', 'L'),
        ...groups.flatMap((g) => [g.count, g.rate, g.freeLength]),
      ];
}

export const NO_SPRINGS = missingTerm('Springs', 'springs.coil.groups');

export const groupTerms = (sheet: Sheet): readonly GroupTerms[] =>
  sheet.once('spring groups', () => makeGroupTerms(sheet));

function makeGroupTerms(sheet: Sheet): readonly GroupTerms[] {
  return sheet.job.springs.coil.groups.map((group, index, all) => {
    const suffix = all.length > 1 ? ` (${group.name || index + 1})` : '';
    const at = (leaf: GroupLeaf) => {
      const path = fieldPath(`springs.coil.groups.*.${leaf}`, group.id);
      const t = sheet.entry(path);
      return suffix === '' ? t : relabel(t, suffix);
    };
    const wire = at('wireDiameter');
    const coil = at('meanDiameter');
    const tester = group.rateFrom === 'tester' ? testerFit(sheet, group) : undefined;
    const rate =
      tester?.rate ??
      (group.rateFrom === 'wire'
        ? collectTerms(
            [wire, coil, at('activeCoils'), at('shearModulus')],
            ([d = 0, D = 0, n = 0, G = 0]) => coilRate(d, D, n, G),
          )
        : at('rate'));
    const solidGiven = at('solidLength');
    const fromWire = collectTerms([at('totalCoils'), wire], ([n = 0, d = 0]) => solidLength(n, d));
    return {
      id: group.id,
      name: group.name,
      count: at('count'),
      rate,
      wire,
      coil,
      // The line through the tester's points has a free length of its own; the rule is for the sag limit alone.
      freeLength: tester?.freeLength ?? at('freeLength'),
      solid: solidGiven.known || !fromWire.known ? solidGiven : fromWire,
    };
  });
}

/** The fields of one group of springs. */
export type GroupLeaf =
  | 'count'
  | 'rate'
  | 'freeLength'
  | 'solidLength'
  | 'wireDiameter'
  | 'meanDiameter'
  | 'activeCoils'
  | 'totalCoils'
  | 'shearModulus';

function testerFit(sheet: Sheet, group: CoilGroup): { rate: Term; freeLength: Term } {
  const points = group.testerPoints.flatMap((p) =>
    p.length && p.force ? [{ length: p.length.value, force: p.force.value }] : [],
  );
  if (points.length < 2) {
    const missing = missingTerm(
      'Two tester points',
      fieldPath('springs.coil.groups.*.rate', group.id),
    );
    return { rate: missing, freeLength: missing };
  }
  const at = (leaf: 'length' | 'force', id: string) =>
    fieldPath(`springs.coil.groups.*.testerPoints.*.${leaf}`, group.id, id);
  const terms = group.testerPoints
    .filter((p) => p.length && p.force)
    .flatMap(({ id }, i) => [
      sheet.entry(at('length', id), `L_${i + 1}`),
      sheet.entry(at('force', id), `F_${i + 1}`),
    ]);
  return {
    rate: collectTerms(terms, () => fitRate(points).rate),
    freeLength: collectTerms(terms, () => fitRate(points).freeLength),
  };
}

export function rateFormula(groups: readonly CoilGroup[]): string {
  if (groups.some((g) => g.rateFrom === 'wire')) return 'k_all = Σ n·k, k = G·d⁴/(8·D³·n_a)';
  if (groups.some((g) => g.rateFrom === 'tester'))
    return 'k_all = Σ n·k, k the slope of the line through the tester’s points';
  return 'k_all = Σ n·k';
}

function relabel(t: Term, suffix: string): Term {
  return t.known
    ? { ...t, inputs: t.inputs.map((i) => ({ ...i, label: i.label + suffix })) }
    : { ...t, needs: t.needs.map((n) => ({ ...n, label: n.label + suffix })) };
}
