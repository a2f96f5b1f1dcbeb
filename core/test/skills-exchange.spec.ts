import { unfitBy } from './in-english';
import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { inEnglish } from '../src/words';
import { checklistCsv, passportCsv, passportFile, readChecklistCsv } from '../src/exchange';
import { DEFAULT_CHECKLIST } from '../src/skills';

const { skills } = inEnglish(DEFAULT_CHECKLIST);
type Worded = (typeof skills)[number];

describe('a checklist as a table', () => {
  it('comes back as it went out', () => {
    expect(readChecklistCsv(checklistCsv(skills))).toEqual({ skills, bad: [] });
  });

  it.each(['season', null, 18] as const)('keeps for how long a skill holds: %s', (months) => {
    const skill: Worded = { ...skills[0]!, rule: { ...skills[0]!.rule, months } };
    expect(readChecklistCsv(checklistCsv([skill])).skills).toEqual([skill]);
  });

  it('keeps a bar within a part, and counts blank lines', () => {
    const [skill] = skills;
    const barred = { ...skill!, faults: ['smokes | pauses too short', 'back\\slash', 'plain'], gear: ['a|b'] };
    expect(readChecklistCsv(checklistCsv([barred])).skills).toEqual([barred]);
    const { bad } = readChecklistCsv('id,name,phase\n\na,a,nowhere\n\n\nb,b,nowhere\n');
    expect(bad.map(({ line }) => line)).toEqual([3, 6]);
  });

  it('comes back whatever the words in it are (property)', () => {
    const words = fc
      .string({ minLength: 1, maxLength: 40 })
      .map((text) => text.replace(/[|\r\n\0]/g, ' ').trim())
      .filter((text) => text !== '' && !text.startsWith("'"));
    const any = fc
      .record({ name: words, shownBy: words, faults: fc.array(words, { maxLength: 3 }), gate: fc.boolean() })
      .map((told): Worded => ({ ...skills[0]!, ...told }));
    fc.assert(
      fc.property(any, (skill) => {
        expect(readChecklistCsv(checklistCsv([skill])).skills).toEqual([skill]);
      }),
    );
  });

  it('needs only id, name and phase; semicolons and a byte order mark are fine', () => {
    const { skills: read, bad } = readChecklistCsv('\uFEFFID;Name;Phase\nfinds-eggs;finds eggs;read\n');
    expect(bad).toEqual([]);
    expect(read[0]).toMatchObject({ id: 'finds-eggs', phase: 'read', role: 'everybody', season: null, faults: [] });
    expect(read[0]!.rule).toMatchObject({ level: 'alone', times: 1, months: 12 });
  });

  it.each([
    ['Finds Eggs,finds eggs,read', /is no id: small letters/],
    ['finds-eggs,,read', /has no name/],
    ['finds-eggs,finds eggs,reading', /is no phase: write one of prepare/],
  ])('tells a line that cannot be read and keeps the others: %s', (line, says) => {
    const { skills: read, bad } = readChecklistCsv(`id,name,phase\n${line}\nages-larvae,ages larvae,read`);
    expect(read.map(({ id }) => id)).toEqual(['ages-larvae']);
    expect(bad).toMatchObject([{ line: 2 }]);
    expect(inEnglish(bad[0]!.message)).toMatch(says);
  });

  it('tells a figure that is out of range, and what is missing in the head', () => {
    const { bad } = readChecklistCsv('id,name,phase,times,lead\na,a,read,40,yes\nb,b,read,2,perhaps');
    expect(bad.map(({ message }) => inEnglish(message))).toEqual([
      '“40” under times: a whole number from 1 to 20 is needed.',
      '“perhaps” under lead: yes or no.',
    ]);
    expect(unfitBy(() => readChecklistCsv('id,what\na,b'))).toMatch(/lacks name and phase/);
    expect(unfitBy(() => readChecklistCsv('id,name,phase\n'))).toMatch(/holds no skills/);
  });
});

describe('a passport as a file', () => {
  const shown = {
    day: '2026-05-02',
    level: 'alone',
    source: 'visit',
    hive: '4',
    assessor: 'Tomasz Wierzba',
    withdrawn: false,
  } as const;
  const file = passportFile({
    trainee: { name: 'Salma' },
    school: 'Brenna Fell',
    today: '2026-05-14',
    version: 3,
    checkWords: 'lichen, gate, forty',
    skills: [
      {
        id: 'finds-eggs',
        name: '=finds eggs',
        standing: { state: 'signed-off', level: 'alone', until: '2027-03-02' },
        signOffs: [
          { kind: 'signed', by: 'Morag Selkirk', day: '2026-05-09', withdrawn: null },
          { kind: 'signed', by: 'Morag Selkirk', day: '2026-05-10', withdrawn: {} },
        ],
        evidence: [
          shown,
          { ...shown, day: '2026-05-03', withdrawn: true },
          { ...shown, source: 'claim', assessor: null },
        ],
      },
      {
        id: 'ages-larvae',
        name: 'ages larvae',
        standing: { state: 'not-met', level: null, until: null },
        signOffs: [],
        evidence: [],
      },
    ],
  });

  it('has the signature that stands, and no withdrawn or unconfirmed judgement', () => {
    expect(file.skills[0]).toMatchObject({ signedBy: 'Morag Selkirk', signedOn: '2026-05-09' });
    expect(file.skills[0]!.evidence.map(({ day }) => day)).toEqual(['2026-05-02']);
  });

  it('has a line for each showing and one for a skill without any, and starts no formula', () => {
    const { data } = Papa.parse<Record<string, string>>(passportCsv(file), { header: true });
    expect(data).toHaveLength(2);
    expect(data[0]).toMatchObject({ skill: 'finds-eggs', day: '2026-05-02', assessor: 'Tomasz Wierzba' });
    expect(data[0]!.name).toBe("'=finds eggs");
    expect(data[1]).toMatchObject({ skill: 'ages-larvae', day: '' });
  });
});
