/* Enter moves to the next field, so that figures can be typed without aiming. */

const FIELDS =
  'input:not([type=checkbox]):not([type=radio]):not([type=range]):not([type=file]), textarea';

const takesText = (field: HTMLElement): boolean =>
  field.offsetParent !== null && !field.matches(':disabled, [readonly]');

/** Focuses the next field within the same dialog or page; after the last one the phone's keyboard closes. */
export function goToNextField(): void {
  const here = document.activeElement;
  if (!(here instanceof HTMLElement)) return;
  const page = here.closest('[role=dialog], [role=main], main') ?? document.body;
  const fields = [...page.querySelectorAll<HTMLElement>(FIELDS)].filter(takesText);
  const next = fields[fields.indexOf(here) + 1];
  if (!next) {
    here.blur();
    return;
  }
  next.focus();
  // Selects the content, as Tab does, so that typing replaces it.
  if (next instanceof HTMLInputElement && next.type === 'text') next.select();
}
