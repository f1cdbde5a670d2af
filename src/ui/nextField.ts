/* Enter goes on to the next field, so that a page of figures is typed without aiming at each field. */

const FIELDS =
  'input:not([type=checkbox]):not([type=radio]):not([type=range]):not([type=file]), textarea';

const takesText = (field: HTMLElement): boolean =>
  field.offsetParent !== null && !field.matches(':disabled, [readonly]');

/**
 * Moves to the field after the one that has the focus, within the same dialog or page; after the last one the keyboard
 * of a phone goes away.
 */
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
  // As with the Tab key: what stands there is typed over, and a glance shows that it is about to be.
  if (next instanceof HTMLInputElement && next.type === 'text') next.select();
}
