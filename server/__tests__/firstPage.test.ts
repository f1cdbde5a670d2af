import { mkdirSync, mkdtempSync, unlinkSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Writable } from 'node:stream';

import { pino } from 'pino';

import { firstPage } from '../firstPage';

const SCRIPT = '<script src="/last-seen.js"></script>';

/** An export whose drawing says how many jobs it was given; `code` is what it does besides. */
function exported(code = ''): string {
  const distDir = mkdtempSync(path.join(tmpdir(), 'under-ridge-first-'));
  mkdirSync(path.join(distDir, '.server'));
  writeFileSync(path.join(distDir, 'index.html'), `<body><div></div>${SCRIPT}</body>`);
  writeFileSync(
    path.join(distDir, 'demo-workshop.json'),
    JSON.stringify({ jobs: [{ name: '</script><b>$&' }], shelf: {}, library: [] }),
  );
  writeFileSync(
    path.join(distDir, '.server/first-1.cjs'),
    `let times = 0;
     exports.firstScreens = ({ jobs }) => { times += 1; ${code} return { jobs, times }; };`,
  );
  return distDir;
}

function logged() {
  const lines: string[] = [];
  const write = (chunk: Buffer, _encoding: string, done: () => void) => {
    lines.push(chunk.toString());
    done();
  };
  return { lines, log: pino({ base: null }, new Writable({ write })) };
}

const pageOf = (distDir: string, workshop: 'demo' | 'empty' = 'demo', { log } = logged()) =>
  firstPage({ distDir, workshop, log });

/** What the page holds for the script before which it stands. */
function held(page = ''): unknown {
  const [, text = ''] =
    /<script type="application\/json" id="first-screens">(.*?)<\/script>/.exec(page) ?? [];
  return JSON.parse(text);
}

describe('the page of a first visit', () => {
  afterEach(() => jest.useRealTimers());

  it('holds what was drawn of its workshop before the script that shows it, whatever a text says', () => {
    const page = pageOf(exported())();
    expect(held(page)).toEqual({ jobs: [{ name: '</script><b>$&' }], times: 1 });
    expect(page).toMatch(/<\/script><script src="\/last-seen.js"><\/script><\/body>$/);
    expect(page?.match(/<\/script>/g)).toHaveLength(2);
    expect(held(pageOf(exported(), 'empty')())).toEqual({ jobs: [], times: 1 });
  });

  it('is drawn once a day', () => {
    jest.useFakeTimers({ now: new Date(2026, 10, 29, 23, 59) });
    const page = pageOf(exported());
    expect([held(page()), held(page())]).toMatchObject([{ times: 1 }, { times: 1 }]);
    jest.setSystemTime(new Date(2026, 10, 30, 0, 1));
    expect([held(page()), held(page())]).toMatchObject([{ times: 2 }, { times: 2 }]);
  });

  it('is drawn anew from an export that was made anew', () => {
    const distDir = exported();
    const page = pageOf(distDir);
    expect(page()).toContain('<div></div>');
    writeFileSync(path.join(distDir, 'index.html'), `<body><p></p>${SCRIPT}</body>`);
    unlinkSync(path.join(distDir, '.server/first-1.cjs'));
    writeFileSync(
      path.join(distDir, '.server/first-2.cjs'),
      `exports.firstScreens = () => 'newer';`,
    );
    utimesSync(path.join(distDir, 'index.html'), 7, 7);
    expect(page()).toContain('<p></p>');
    expect(held(page())).toBe('newer');
  });

  it('is left to the export where it can’t be drawn, and that is written down once', () => {
    const journal = logged();
    const page = pageOf(exported("throw new Error('no ink');"), 'demo', journal);
    expect([page(), page()]).toEqual([undefined, undefined]);
    expect(journal.lines).toHaveLength(1);
    expect(journal.lines[0]).toContain('no ink');
    const empty = mkdtempSync(path.join(tmpdir(), 'under-ridge-first-'));
    expect(pageOf(empty)()).toBeUndefined();
  });
});
