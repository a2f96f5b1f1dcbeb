import type { SkillLevel } from '@brave-comb/core/inspection';
import { describe, expect, it } from 'vitest';
import { type TalkFacts, talk } from '../src/facts/debrief/talk';
import { inEnglish } from '../src/words';

type Visit = TalkFacts['visits'][number];
type Group = TalkFacts['groups'][number];

/** A visit of 14 May in Britain: hive, minutes past noon UTC at which it was opened and closed, and what was read. */
const visit = (
  hive: string,
  opened: string | null,
  closed: string | null,
  read: { bees?: number; brood?: number; eggs?: boolean; queen?: boolean; cells?: number; sides?: number } | null,
): Visit => {
  const side = (eggs: boolean, cells: number) => ({ eighths: eggs ? { E: 1 } : {}, trace: [], cells });
  const count = read?.sides ?? 22;
  return {
    facts: {
      visit: { zone: 'Europe/London', group_name: 'Curlew', hive_number: hive, supervisor_name: 'Tomasz Wierzba' },
      record: {
        openedAt: opened,
        closed: closed === null ? null : { at: closed, reason: 'question-answered' },
        sides: Object.fromEntries(Array.from({ length: read === null ? 0 : count }, (_, at) => [`${at}`, {}])),
      },
      allowedMinutes: 30,
      nameOf: () => '',
    },
    read: {
      nest: {
        known: read !== null,
        framesOfBees: read?.bees === undefined ? null : { value: read.bees },
        brood: { value: read?.brood ?? 0 },
      },
      nestSides: [side(read?.eggs ?? false, 0), ...Array.from({ length: read?.cells ?? 0 }, () => side(false, 1))],
      record: { queen: read?.queen ? {} : null },
    },
  } as unknown as Visit;
};
const judged = (skill: string, before: SkillLevel | null, after: SkillLevel) => ({ skill, before, after });
const trainee = (name: string, all: ReturnType<typeof judged>[] = [], off: number | null = null) => ({
  id: name,
  name,
  judged: all,
  off: off === null ? null : { eighths: off },
});
const group = (name: string, ...trainees: ReturnType<typeof trainee>[]) =>
  ({ group: name, trainees }) as unknown as Group;
const NOTHING: TalkFacts = { visits: [], groups: [], wrong: [], gaps: [], made: [] };
const said = (facts: Partial<TalkFacts>, part: string): readonly string[] =>
  inEnglish(talk({ ...NOTHING, ...facts }).find((each) => each.part === part)!.lines);

describe('what was done and found, said aloud', () => {
  it.each([
    [
      'opened and closed, at the yard’s own time',
      visit('4', '2026-05-14T12:14:00Z', '2026-05-14T12:41:00Z', { sides: 22 }),
      'Curlew opened hive 4 with Tomasz at quarter past one and closed it at twenty to two. 22 sides were read.',
    ],
    [
      'one side only',
      visit('4', '2026-05-14T12:00:00Z', '2026-05-14T12:05:00Z', { sides: 1 }),
      'Curlew opened hive 4 with Tomasz at one o’clock and closed it at five past one. 1 side was read.',
    ],
    [
      'still open',
      visit('7', '2026-05-14T12:31:00Z', null, { sides: 0 }),
      'Curlew opened hive 7 with Tomasz at half past one and it is still open. No side was read.',
    ],
    ['never opened', visit('6', null, null, null), 'Curlew did not open hive 6.'],
  ])('%s', (_case, each, sentence) => {
    expect(said({ visits: [each] }, 'did')).toEqual([sentence]);
  });

  it.each([
    [{ bees: 7.4, brood: 3.6, eggs: true }, 'Hive 4 has about 7 frames of bees and 4 of brood. We saw eggs.'],
    [
      { bees: 7, brood: 4, eggs: true, queen: true, cells: 2 },
      'Hive 4 has about 7 frames of bees and 4 of brood. We saw eggs and the queen herself. There were queen cells or cups on 2 sides.',
    ],
    // Nobody counted bees: nothing is said of them.
    [{ brood: 1, queen: true }, 'Hive 4 has about 1 frame of brood. We saw the queen; no eggs were noted.'],
    [
      { bees: 0.3, brood: 0 },
      'Hive 4 has less than a frame of bees and less than a frame of brood. No eggs were noted.',
    ],
    [null, 'Hive 4: no side of the nest was read, so nothing is said of it.'],
  ])('of %o', (read, sentence) => {
    expect(said({ visits: [visit('4', '2026-05-14T12:00:00Z', null, read)] }, 'found')).toEqual([sentence]);
  });
});

describe('what went well, said aloud', () => {
  it.each<readonly [SkillLevel, string]>([
    ['saw-it', 'Salma has now seen how it is done: finds eggs.'],
    ['helped', 'Salma, with help, finds eggs.'],
    ['with-a-word', 'Salma, with a prompt, finds eggs.'],
    ['alone', 'Salma finds eggs, alone now.'],
    ['can-teach', 'Salma finds eggs, and can now teach it.'],
  ])('a step up to %s', (level, sentence) => {
    const groups = [group('Curlew', trainee('Salma', [judged('finds eggs', null, level)]))];
    expect(said({ groups }, 'well')).toEqual([sentence]);
  });

  it('names each person once, with the higher step, and those beyond three of a group together', () => {
    const up = (name: string, level: SkillLevel) => trainee(name, [judged(`does ${name}`, null, level)]);
    const groups = [
      group(
        'Curlew',
        up('Ife', 'helped'),
        up('Jun', 'alone'),
        up('Aroha', 'saw-it'),
        up('Greta', 'can-teach'),
        up('Mateo', 'saw-it'),
      ),
      // The group's second hive: Ife went further there.
      group('Curlew', trainee('Ife', [judged('ages larvae', 'helped', 'can-teach')])),
    ];
    expect(said({ groups }, 'well')).toEqual([
      'Ife ages larvae, and can now teach it.',
      'Greta does Greta, and can now teach it.',
      'Jun does Jun, alone now.',
      'In Curlew, Aroha and Mateo went up a level too.',
    ]);
  });

  it('counts no step down or standing still, and still names who read well', () => {
    const groups = [
      group(
        'Curlew',
        trainee('Salma', [judged('finds eggs', 'alone', 'helped'), judged('ages larvae', 'alone', 'alone')], 0.5),
        trainee('Jun', [], 1),
        trainee('Ife', [], 1.5),
      ),
    ];
    expect(said({ groups }, 'well')).toEqual(['Salma and Jun read a side to within an eighth.']);
    expect(said({ groups: [group('Curlew', trainee('Ife'))] }, 'well')).toEqual([
      'No level went up this time. What was seen still counts.',
    ]);
  });
});

describe('what to learn from and what comes next, said aloud', () => {
  const gaps = (more: object = {}) => ({ group: 'Curlew', without: [], skills: [], silent: [], ...more });

  it('tells every incident, however many, before what was not done', () => {
    const wrong = Array.from({ length: 11 }, (_, at) => ({ at: `${at}`, text: `Sting ${at}.` }));
    const lines = said({ wrong, gaps: [gaps({ silent: ['Jun'] })] }, 'learn');
    expect(lines).toHaveLength(11);
    expect(lines[10]).toBe('Sting 10.');
  });

  it('says what most of a group lack once, also when it opened two hives, and who reads first next time', () => {
    const lacks = {
      skills: [
        { skill: 'sums up in four headings', open: 5, of: 7 },
        { skill: 'finds eggs', open: 4, of: 7 },
      ],
    };
    const all = [
      gaps({ ...lacks, silent: ['Jun', 'Ife'], without: [{ name: 'Greta', run: 2 }] }),
      gaps({ ...lacks, silent: ['Ife'] }),
      gaps({ group: 'Dipper', skills: [{ skill: 'reads the excluder', open: 6, of: 6 }] }),
    ];
    expect(said({ gaps: all }, 'learn')).toEqual([
      'No incidents.',
      'Greta has had no frame in hand for 2 visits, and goes first next time.',
      '5 of 7 in Curlew still have to show this: sums up in four headings.',
      'All 6 in Dipper still have to show this: reads the excluder.',
      'Next time, before the supervisor says a word: Jun and Ife, give your own reading.',
    ]);
  });

  it('dates what comes next, with one stop at its end, and asks one question a part', () => {
    const made = [
      { due: '2026-05-16', hive: '11', question: 'Decide on a treatment' },
      { due: '2026-05-19', hive: '4', question: 'Are the cells sealed?' },
    ];
    expect(said({ made }, 'next')).toEqual([
      'Hive 11, by Sat 16 May: Decide on a treatment.',
      'Hive 4, by Tue 19 May: Are the cells sealed?',
    ]);
    expect(talk(NOTHING).map(({ ask }) => (ask === null ? null : inEnglish(ask)))).toEqual([
      null,
      'Before I go on: what surprised you?',
      'What made it go well?',
      'What would you do differently?',
      'What would each of you do first next time?',
    ]);
  });
});
