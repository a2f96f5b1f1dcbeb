import Papa from 'papaparse';
import type { SkillLevel } from '../inspection';
import type { EvidenceSource, StandingState } from '../skills';
import { type CivilDate, spoken } from '../units';

/** One showing as a passport tells it: names instead of ids, so that another school can read it. */
export interface PassportEvidence {
  readonly day: CivilDate;
  readonly level: SkillLevel;
  readonly source: EvidenceSource;
  readonly hive: string | null;
  readonly assessor: string | null;
}

export interface PassportSkill {
  readonly id: string;
  readonly name: string;
  readonly state: StandingState;
  readonly level: SkillLevel | null;
  readonly until: CivilDate | null;
  readonly signedBy: string | null;
  readonly signedOn: CivilDate | null;
  readonly evidence: readonly PassportEvidence[];
}

/** A passport as a file that any school with this software reads. */
export interface PassportFile {
  readonly format: 'brave-comb-passport/1';
  readonly school: string;
  readonly trainee: string;
  readonly made: CivilDate;
  readonly checklistVersion: number;
  readonly skills: readonly PassportSkill[];
  readonly checkWords: string;
}

/** What a passport is made from. */
interface PassportRecord {
  readonly trainee: { readonly name: string };
  readonly school: string;
  readonly today: CivilDate;
  readonly version: number;
  readonly checkWords: string;
  readonly skills: readonly {
    readonly id: string;
    readonly name: string;
    readonly standing: {
      readonly state: StandingState;
      readonly level: SkillLevel | null;
      readonly until: CivilDate | null;
    };
    readonly signOffs: readonly {
      readonly kind: 'signed' | 'carried';
      readonly by: string;
      readonly day: CivilDate;
      readonly withdrawn: object | null;
    }[];
    readonly evidence: readonly (PassportEvidence & { readonly withdrawn: boolean })[];
  }[];
}

/**
 * Whether two names are those of one person as people write them: capitals and spaces aside.
 *
 * @example sameName('Orla  Finn', 'orla finn') // true
 */
export const sameName = (a: string, b: string): boolean => plainName(a) === plainName(b);
const plainName = (name: string): string => name.trim().toLowerCase().replace(/\s+/g, ' ');

/**
 * A passport as a file: what stands, who signed, and every showing that was judged.
 *
 * @param record the trainee's record
 * @returns the file's content; withdrawn judgements, and claims that nobody confirmed, are left out
 */
export function passportFile(record: PassportRecord): PassportFile {
  return {
    format: 'brave-comb-passport/1',
    school: record.school,
    trainee: record.trainee.name,
    made: record.today,
    checklistVersion: record.version,
    skills: record.skills.map(({ id, name, standing, signOffs, evidence }) => {
      const signed = signOffs.findLast(({ kind, withdrawn }) => kind === 'signed' && withdrawn === null);
      return {
        id,
        name,
        state: standing.state,
        level: standing.level,
        until: standing.until,
        signedBy: signed?.by ?? null,
        signedOn: signed?.day ?? null,
        evidence: evidence
          .filter(({ withdrawn, source, assessor }) => !withdrawn && (source === 'practice' || assessor !== null))
          .map(({ day, level, source, hive, assessor }) => ({ day, level, source, hive, assessor })),
      };
    }),
    checkWords: record.checkWords,
  };
}

/**
 * A passport for a spreadsheet: one line for each showing, and one for a skill without any.
 *
 * @param file the passport
 * @returns text with a head; cells that a spreadsheet would reckon as formulas are quoted as text
 * Source: RFC 4180; formula injection as OWASP describes it.
 */
export function passportCsv(file: PassportFile): string {
  const rows = file.skills.flatMap((skill) => {
    const standing = {
      trainee: file.trainee,
      skill: skill.id,
      name: skill.name,
      state: spoken(skill.state),
      until: skill.until ?? '',
      'signed by': skill.signedBy ?? '',
      'signed on': skill.signedOn ?? '',
    };
    const shown = skill.evidence.map(({ day, level, source, hive, assessor }) => ({
      ...standing,
      day,
      level: spoken(level),
      source,
      hive: hive ?? '',
      assessor: assessor ?? '',
    }));
    return shown.length > 0 ? shown : [{ ...standing, day: '', level: '', source: '', hive: '', assessor: '' }];
  });
  return Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true });
}
