/* Enter moves to the next field, so that figures can be typed without aiming. */

const FIELDS =
  'input:not([type=checkbox]):not([type=radio]):not([type=range]):not([type=file]), textarea';

const takesText = (field: HTMLElement): boolean =>
  field.offsetParent !== null && !field.matches(':disabled, [readonly]');

/** Readings that are taken one after another, by the test name of their fields. */
const SERIES =
  /^(release\.liftReadings|build\.fasteners|strip\.parts)\.[^.]+\.(lift|applied|torque|out|in)$/;

/** The series of a field: the same for the same reading of another item of its list. */
function seriesOf(field: HTMLElement): string | undefined {
  const [, list, leaf] = SERIES.exec(field.dataset.testid ?? '') ?? [];
  return list === undefined ? undefined : `${list}.${leaf}`;
}

/** Focuses the next reading of the same series, else the next field, within the same dialog or page; after the last one the phone's keyboard closes. */
export function goToNextField(): void {
  const here = document.activeElement;
  if (!(here instanceof HTMLElement)) return;
  const page = here.closest('[role=dialog], [role=main], main') ?? document.body;
  const fields = [...page.querySelectorAll<HTMLElement>(FIELDS)].filter(takesText);
  const after = fields.slice(fields.indexOf(here) + 1);
  const series = seriesOf(here);
  const next =
    after.find((field) => series !== undefined && seriesOf(field) === series) ?? after[0];
  if (!next) {
    here.blur();
    return;
  }
  next.focus();
  // Selects the content, as Tab does, so that typing replaces it.
  if (next instanceof HTMLInputElement && next.type === 'text') next.select();
}
