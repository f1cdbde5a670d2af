import { TERM_IDS } from '@/core/words/glossary';
import { jobsOfEachKind, smallLibrary, smallStock } from '@/testing/jobs';
import { findablesOf, FOUND_KINDS } from '../findables';

const all = findablesOf(jobsOfEachKind(), smallStock(), smallLibrary());

describe('what can be found', () => {
  it('is every job, machine, setting, limit, item of the shelf and place, each once', () => {
    const ids = all.map((f) => f.id);
    expect(new Set(ids).size).toBe(ids.length);
    const kinds = new Set(all.map((f) => f.kind));
    expect([...kinds].sort()).toEqual([...FOUND_KINDS].sort());
    const shelf = smallStock();
    expect(all.filter((f) => f.kind === 'job')).toHaveLength(5);
    expect(all.filter((f) => f.kind === 'shelf')).toHaveLength(
      shelf.plates.length + shelf.springs.length + shelf.scrap.length,
    );
  });

  it('is written in the units of the shop', () => {
    const inches = findablesOf(jobsOfEachKind(), smallStock(), [], { length: 'in' });
    expect(inches.find((f) => f.title.startsWith('S1:'))?.title).toBe('S1: Steel 0.0591 in');
  });

  it('leaves out what the shelf has none of, and names springs that nobody named', () => {
    const shelf = smallStock();
    const [plate] = shelf.plates;
    const [springs] = shelf.springs;
    if (!plate || !springs) throw new Error('an empty shelf');
    const found = findablesOf(
      [],
      {
        ...shelf,
        plates: [
          { ...plate, id: 'gone', count: 0 },
          { ...plate, id: 'there', count: 1 },
        ],
        scrap: [],
        springs: [{ ...springs, id: 'bare', group: { ...springs.group, name: '' } }],
        scrapSprings: [],
      },
      [],
    ).filter((f) => f.kind === 'shelf');
    expect(found.map((f) => f.id)).toEqual(['shelf:there', 'shelf:bare']);
    expect(found.at(-1)?.title).toBe('Springs');
  });

  it('leads to a job by its number, its machine, or its place in the archive', () => {
    const [job] = jobsOfEachKind();
    if (!job) throw new Error('no job');
    const nameless = { ...job, number: '', machine: { ...job.machine, name: '' } };
    const of = (...jobs: Parameters<typeof findablesOf>[0]) =>
      findablesOf(jobs, smallStock(), []).filter((f) => f.kind === 'job');
    expect(of(job)[0]).toMatchObject({
      title: `${job.number} ${job.machine.name}`,
      href: `/job/${job.id}`,
    });
    expect(of(nameless)[0]?.title).toBe('New job');
    expect(of({ ...job, archived: true })[0]?.about).toContain('archived');
    expect(of(job)[0]?.about).not.toContain('archive');
  });

  it('has every term of the glossary, with the way to it', () => {
    const terms = all.filter((f) => f.kind === 'word');
    expect(terms).toHaveLength(TERM_IDS.length);
    expect(terms.find((t) => t.title === 'Free play')?.href).toBe(
      '/learn?part=words&word=freePlay',
    );
  });
});
