import { goToNextField } from '../nextField';

beforeAll(() => {
  // Nothing is laid out here: what is hidden says so itself.
  Object.defineProperty(HTMLElement.prototype, 'offsetParent', {
    configurable: true,
    get(this: HTMLElement) {
      return this.closest('[hidden]') ? null : document.body;
    },
  });
});

function page(html: string): void {
  document.body.innerHTML = html;
}
const at = (id: string) => document.getElementById(id) as HTMLInputElement;
const here = () => document.activeElement?.id;

describe('Enter in a field', () => {
  it('goes to the next text field and selects its text', () => {
    page(`<main>
      <input id="a" type="text" value="1" />
      <input type="checkbox" /><input type="range" /><input type="file" />
      <input type="text" disabled /><input type="text" readonly />
      <div hidden><input type="text" /></div>
      <input id="b" type="text" value="2.90" /></main>`);
    at('a').focus();
    goToNextField();
    expect(here()).toBe('b');
    expect([at('b').selectionStart, at('b').selectionEnd]).toEqual([0, 4]);
  });

  it('goes on to notes without marking them', () => {
    page('<main><input id="a" type="text" /><textarea id="b">left side</textarea></main>');
    at('a').focus();
    goToNextField();
    expect(here()).toBe('b');
  });

  it('goes to the same reading of the next item of its list', () => {
    page(`<main>
      <input id="a" type="text" data-testid="release.liftReadings.d1.lift" />
      <input id="b" type="text" data-testid="release.liftReadings.d2.angle" />
      <input id="c" type="text" data-testid="release.liftReadings.d2.lift" />
      <input id="d" type="text" data-testid="release.requiredLift" /></main>`);
    at('a').focus();
    goToNextField();
    expect(here()).toBe('c');
    goToNextField();
    expect(here()).toBe('d');
  });

  it('lets the keyboard go after the last one', () => {
    page('<main><input id="a" type="text" /></main>');
    at('a').focus();
    goToNextField();
    expect(document.activeElement).toBe(document.body);
  });

  it('stays in the dialog that is open', () => {
    page(`<main><input id="before" type="text" />
      <div role="dialog"><input id="in" type="text" /></div>
      <input id="after" type="text" /></main>`);
    at('in').focus();
    goToNextField();
    expect(here()).toBe('');
    at('before').focus();
    goToNextField();
    expect(here()).toBe('in');
  });
});
