import { length, say } from '../../text/sentence';
import type { Sentence } from '../../text/sentence';
import { installedLength, springForce, springStress } from '../../springs/coil';
import { placeEvenly, springResultant } from '../../springs/circle';
import type { Mm, Newton } from '../../units/quantity';
import type { Sheet, SpringModel } from '../../evaluate/engine/sheet';
import type { Term } from '../../evaluate/engine/term';
import { collectTerms } from '../../evaluate/engine/term';
import { NO_SPRINGS, groupTerms, rateFormula, terms } from './groupTerms';
import type { GroupTerms } from './groupTerms';

/** The fitted springs and their clamp. @param place calculates the fitted length */
function fitted(sheet: Sheet, place: (sheet: Sheet) => void): void {
  const groups = groupTerms(sheet);
  const each = groups.map((g) => collectTerms([g.count, g.rate], ([n = 0, k = 0]) => n * k));
  sheet.compute('springRate', {
    label: 'Rate of all springs',
    quantity: 'rate',
    section: 4,
    formula: rateFormula(sheet.job.springs.coil.groups),
    from: { k: collectTerms(groups.length ? each : [NO_SPRINGS], sum) },
    value: ({ k }) => k,
  });
  place(sheet);
  sheet.compute('clamp', {
    label: 'Clamp',
    quantity: 'force',
    section: 4,
    formula: 'F = Σ n·k·(L_0 − L)',
    from: { F: totalForce(groups, sheet.figure('installedLength', 'L')) },
    value: ({ F }) => F,
  });
  computeRing(sheet, groups);
}

/** Fitted length of springs under bolts, from the seat held by the bolts. */
function underBolts(sheet: Sheet): void {
  if (sheet.job.springs.coil.fittedLength) {
    sheet.compute('installedLength', {
      label: 'Fitted spring length',
      quantity: 'length',
      section: 4,
      formula: 'L = L_f + H_f − H − s',
      from: {
        L: sheet.entry('springs.coil.fittedLength'),
        Hf: sheet.entry('springs.coil.fittedStack'),
        H: sheet.figure('stack', 'H'),
        s: sheet.entry('springs.coil.shim'),
      },
      // Seat and plate are where the measured length was, however tall the pack is now.
      value: ({ L, Hf, H, s }) => installedLength(L + Hf, H, 0, s),
    });
    return;
  }
  sheet.compute('installedLength', {
    label: 'Fitted spring length',
    quantity: 'length',
    section: 4,
    formula: 'L = G_0 − t_pp − s − H',
    from: {
      G: sheet.entry('springs.coil.seatDistance'),
      p: sheet.entry('springs.coil.pressurePlate'),
      s: sheet.entry('springs.coil.shim'),
      H: sheet.figure('stack', 'H'),
    },
    value: ({ G, p, s, H }) => installedLength(G, H, p, s),
  });
}

function forceAt(sheet: Sheet, stack: Mm): ((height: Mm, lift: Mm) => Newton) | undefined {
  const installed = sheet.known('installedLength')?.value ?? Number.NaN;
  const groups = groupTerms(sheet).map(({ count, rate, freeLength }) => ({
    n: count.known ? count.value : Number.NaN,
    k: rate.known ? rate.value : Number.NaN,
    free: freeLength.known ? freeLength.value : Number.NaN,
  }));
  return (height, lift) => {
    const at = installed + stack - height - lift;
    let total = 0;
    for (const { n, k, free } of groups) total += n * springForce(k, free, at);
    return total;
  };
}

/**
 * Spring types that are longer fitted than free, so that they are loose in their seats; by how much, mm.
 * @example looseGroups(sheet).length // 0
 */
export function looseGroups(sheet: Sheet): readonly { readonly id: string; readonly by: Mm }[] {
  const installed = sheet.known('installedLength')?.value;
  if (installed === undefined) return [];
  return groupTerms(sheet).flatMap(({ id, freeLength }) =>
    freeLength.known && installed >= freeLength.value
      ? [{ id, by: installed - freeLength.value }]
      : [],
  );
}

function looseSpringsText(sheet: Sheet): Sentence {
  const installed = sheet.known('installedLength');
  const least = Math.min(...looseGroups(sheet).map(({ by }) => by));
  if (!installed) return say`The spring is not compressed at this stack height.`;
  return Number.isFinite(least) && least > 0
    ? say`The springs are loose: fitted length ${length(installed.value)}, ${length(least)} longer than free.`
    : say`The springs are loose: fitted length ${length(installed.value)}, not shorter than free.`;
}

/**
 * Coil springs of any layout.
 * @param place works out their length in place
 * @example groupModel(() => undefined).terms(sheet).length // 4
 */
export const groupModel = (place: (sheet: Sheet) => void): SpringModel => ({
  fitted: (sheet) => fitted(sheet, place),
  lifted,
  forceAt,
  terms,
  unpressed: looseSpringsText,
  ofGroups: true,
});

export const COIL_MODEL = groupModel(underBolts);

/** How far off centre a ring of mixed springs presses; only where its order is recorded. */
function computeRing(sheet: Sheet, groups: readonly GroupTerms[]): void {
  const { ring } = sheet.job.springs.coil;
  if (ring.length === 0) return;
  const length = sheet.figure('installedLength', 'L');
  const forces = new Map(
    groups.map((g) => [
      g.id,
      collectTerms([length, g.rate, g.freeLength], ([l = 0, k = 0, L0 = 0]) =>
        springForce(k, L0, l),
      ),
    ]),
  );
  const radius = sheet.entry('springs.coil.ringRadius');
  const placed = ring.map((id) => forces.get(id) ?? NO_SPRINGS);
  sheet.compute('springOffset', {
    label: 'Spring force offset',
    quantity: 'length',
    section: 4,
    formula: 'e = |Σ F·r|/Σ F',
    from: {
      e: collectTerms(
        [radius, ...placed],
        ([r = 0, ...all]) => springResultant(placeEvenly(all, r)).offset,
      ),
    },
    value: ({ e }) => e,
  });
}

function lifted(sheet: Sheet): void {
  const groups = groupTerms(sheet);
  const lifted = collectTerms(
    [sheet.figure('installedLength', 'L'), sheet.figure('liftHad', 'x')],
    ([L = 0, x = 0]) => L - x,
  );
  sheet.compute('releaseForce', {
    label: 'Release force at full lift',
    quantity: 'force',
    section: 7,
    formula: 'F_r = Σ n·k·(L_0 − L + x)',
    from: { F: totalForce(groups, lifted) },
    value: ({ F }) => F,
  });
  const rooms = groups.map((g) => collectTerms([lifted, g.solid], ([l = 0, c = 0]) => l - c));
  sheet.compute('coilClearance', {
    label: 'Travel before coil bind',
    quantity: 'length',
    section: 4,
    formula: 'L − x − L_c, the minimum of all springs',
    from: { c: collectTerms(groups.length ? rooms : [NO_SPRINGS], (all) => Math.min(...all)) },
    value: ({ c }) => c,
  });
  const wired = groups.filter((g) => g.wire.known || g.coil.known);
  if (wired.length === 0) return;
  sheet.compute('springStress', {
    label: 'Wire stress at full lift',
    quantity: 'stress',
    section: 4,
    formula: 'τ = K_w·8·F·D/(π·d³), K_w = (4C−1)/(4C−4) + 0.615/C, C = D/d',
    from: {
      τ: collectTerms(
        wired.map((g) =>
          collectTerms(
            [lifted, g.rate, g.freeLength, g.wire, g.coil],
            ([l = 0, k = 0, L0 = 0, d = 0, D = 0]) => springStress(springForce(k, L0, l), d, D),
          ),
        ),
        (all) => Math.max(...all),
      ),
    },
    value: ({ τ }) => τ,
  });
}

function totalForce(groups: readonly GroupTerms[], at: Term): Term {
  if (groups.length === 0) return NO_SPRINGS;
  return collectTerms(
    [at, ...groups.flatMap((g) => [g.count, g.rate, g.freeLength])],
    ([l = 0, ...rest]) => {
      let total = 0;
      for (let i = 0; i + 2 < rest.length; i += 3) {
        const [n = 0, k = 0, L0 = 0] = rest.slice(i, i + 3);
        total += n * springForce(k, L0, l);
      }
      return total;
    },
  );
}

const sum = (all: readonly number[]) => all.reduce((a, b) => a + b, 0);
