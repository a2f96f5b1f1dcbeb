import { checklistCsv, passportFile, readChecklistCsv } from '@brave-comb/core/exchange';
import { inEnglish } from '@brave-comb/core/words';
import { DEFAULT_CHECKLIST } from '@brave-comb/core/skills';
import { Ajv2020 } from 'ajv/dist/2020';
import { readFileSync, readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { fileSchemas } from '../src/file-schemas';

const kept = (name: string) =>
  JSON.parse(readFileSync(new URL(`../../docs/formats/${name}`, import.meta.url), 'utf8')) as object;
/** Ajv is an independent reader of JSON Schema; the formats of dates and ids are checked by their patterns. */
const read = (name: string) => new Ajv2020({ validateFormats: false, strict: false }).compile(kept(name));

const PASSPORT = passportFile({
  trainee: { name: 'Salma' },
  school: 'Brenna Fell',
  today: '2026-05-14',
  version: 2,
  checkWords: 'lichen, gate, forty',
  skills: [
    {
      id: 'finds-eggs',
      name: 'finds eggs',
      standing: { state: 'signed-off', level: 'alone', until: '2027-03-14' },
      signOffs: [{ kind: 'signed', by: 'Morag Selkirk', day: '2026-05-14', withdrawn: null }],
      evidence: [
        { day: '2026-05-05', level: 'alone', source: 'visit', hive: '4', assessor: 'Tomasz Wierzba', withdrawn: false },
        { day: '2026-05-06', level: 'alone', source: 'practice', hive: null, assessor: null, withdrawn: false },
      ],
    },
  ],
});

describe('files that schools give each other', () => {
  it('have their schema kept beside the description (npm run schemas)', () => {
    for (const [name, schema] of Object.entries(fileSchemas()))
      expect(kept(name)).toEqual(JSON.parse(JSON.stringify(schema)));
  });

  it('a passport is what its schema says, to a reader that is not ours', () => {
    const valid = read('passport.schema.json');
    expect(valid(PASSPORT)).toBe(true);
    expect(valid({ ...PASSPORT, format: 'something-else/1' })).toBe(false);
    expect(valid({ ...PASSPORT, made: '14 May' })).toBe(false);
    const [skill] = PASSPORT.skills;
    expect(valid({ ...PASSPORT, skills: [{ ...skill, state: 'perfect' }] })).toBe(false);
    expect(valid({ ...PASSPORT, skills: [{ ...skill, evidence: [{ day: '2026-05-05' }] }] })).toBe(false);
  });

  it('so is a checklist, also one that went through a spreadsheet', () => {
    const valid = read('checklist.schema.json');
    const { skills } = inEnglish(DEFAULT_CHECKLIST);
    expect(valid({ skills })).toBe(true);
    expect(valid({ skills: readChecklistCsv(checklistCsv(skills)).skills })).toBe(true);
    expect(valid({ skills: [{ ...skills[0], rule: undefined }] })).toBe(false);
    expect(valid({ skills: [{ ...skills[0], phase: 'afterwards' }] })).toBe(false);
  });

  it('so is a situation, and nothing that nobody asked for is in it', () => {
    const valid = read('situation.schema.json');
    const example = kept('situation.example.json');
    expect(valid(example)).toBe(true);
    const cases = new URL('../../docs/cases/situations/', import.meta.url);
    for (const file of readdirSync(cases))
      expect(valid(JSON.parse(readFileSync(new URL(file, cases), 'utf8'))), file).toBe(true);
    expect(valid({ ...example, hives: 1 })).toBe(false);
    expect(valid({ ...example, hive: { stack: ['shoe-box'] } })).toBe(false);
    expect(valid({ format: 'colony-situation/1', date: '2026-05-14', site: { latitude: 1, longitude: 2 } })).toBe(
      false,
    );
  });
});
