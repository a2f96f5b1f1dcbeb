import { showView } from '../../testing/ahead';
import { evidence } from '../../testing/evidence';
import { textOf } from '../../testing/text';
import type { Passport, PassportSkill } from './passport-view';
import { SkillDetail } from './skill-detail';

const SKILL: PassportSkill = {
  id: 'finds-eggs',
  name: 'finds eggs',
  phase: 'read',
  shownBy: 'points at them',
  rule: 'Alone three times.',
  asked: 'alone',
  sounds: [],
  standing: {
    state: 'shown',
    level: 'alone',
    counted: [],
    missing: [],
    until: null,
    last: null,
    progress: 1,
    signature: null,
  },
  says: 'shown, for good',
  evidence: [],
  signOffs: [],
  waitsFor: ['reads with the light over the shoulder'],
};
const RECORD = { trainee: { id: 'salma', name: 'Salma' }, today: '2026-05-14', skills: [SKILL] } as unknown as Passport;
const SIGNED: PassportSkill['signOffs'][number] = {
  id: 's1',
  skill: 'finds-eggs',
  kind: 'signed',
  byException: false,
  by: 'Morag Selkirk',
  day: '2026-05-10',
  version: 1,
  note: '',
  withdrawn: null,
};

describe('what a standing rests on', () => {
  const detail = (more: Partial<PassportSkill>, role: 'lead' | 'supervisor' | 'trainee' = 'lead') =>
    showView(SkillDetail, 'passport', RECORD, role, { record: RECORD, skill: { ...SKILL, ...more } });
  const lines = (element: HTMLElement) => [...element.querySelectorAll('li')].map((each) => textOf(each));

  it('is told showing by showing: who, where, in which weather, with what help, and who said what later', async () => {
    const { element } = await detail({
      evidence: [
        evidence({ visit: 'v1', weather: 'up to 17 °C, dry', prompt: 'where is the light', note: 'quick', lead: true }),
        evidence({
          id: 'd2',
          first: 'alone',
          level: 'helped',
          counts: false,
          corrections: [{ level: 'helped', by: 'Ruth Okafor', at: '2026-05-10T09:00:00.000Z', reason: 'had a hint' }],
        }),
      ],
    });
    const [first, second] = lines(element);
    expect(first).toContain('9 May, alone , in a visit, hive 4, up to 17 °C, dry. Judged by Tomasz Wierzba, lead.');
    expect(first).toContain('Helped: where is the light. quick');
    expect(second).toContain('9 May, helped (first: alone)');
    expect(second).toContain('Ruth Okafor: rather helped. had a hint');
    expect(second).toContain('Does not count under today’s rule.');
    expect(textOf(element)).toContain('Comes after: reads with the light over the shoulder.');
    expect(element.querySelector('li a')!.getAttribute('href')).toBe('/afterwards/v1');
  });

  it('keeps what was withdrawn readable, struck out, and past correcting', async () => {
    const { element } = await detail({
      evidence: [
        evidence({
          withdrawn: true,
          corrections: [{ level: null, by: 'Ruth Okafor', at: '2026-05-10T09:00:00.000Z', reason: 'it was Jun' }],
        }),
      ],
    });
    expect(element.querySelector('.gone')).not.toBeNull();
    expect(lines(element)[0]).toContain('Ruth Okafor: does not count. it was Jun');
    expect(textOf(element)).not.toContain('Correct it');
  });

  it('says that a claim waits and that practice counts little', async () => {
    const { element } = await detail({
      evidence: [
        evidence({ source: 'claim', assessor: null }),
        evidence({ id: 'd2', source: 'practice', assessor: null, hive: null }),
      ],
    });
    expect(lines(element)[0]).toContain('claimed, hive 4. Waiting for a supervisor.');
    expect(lines(element)[1]).toContain('indoors. Practice counts little by itself.');
  });

  it('is corrected by supervisors; a trainee reads it', async () => {
    const supervisor = await detail({ evidence: [evidence()] }, 'supervisor');
    const asked: string[] = [];
    supervisor.fixture.componentRef.setInput('skill', { ...SKILL, evidence: [evidence()] });
    supervisor.fixture.componentInstance.corrected.subscribe(({ id }) => asked.push(id));
    await supervisor.press(/^Correct it$/);
    expect(asked).toEqual(['d1']);
    const { element } = await detail({ evidence: [evidence()] }, 'trainee');
    expect(element.querySelector('button')).toBeNull();
  });

  it('has signatures with their version, and those that were carried over or taken back', async () => {
    const { element } = await detail({
      signOffs: [
        { ...SIGNED, kind: 'carried', byException: false, version: 2 },
        { ...SIGNED, withdrawn: { by: 'Ruth Okafor', at: '2026-05-11T09:00:00.000Z', reason: 'wrong trainee' } },
      ],
    });
    const text = textOf(element);
    expect(text).toContain('Carried over by Morag Selkirk, 10 May, list version 2.');
    expect(text).toContain('Signed by Morag Selkirk, 10 May, list version 1. Withdrawn by Ruth Okafor: wrong trainee');
    // Only a signature that holds can be taken back.
    expect(text).toContain('Sign off');
  });

  it('takes a signature back with a reason', async () => {
    const { element, fixture, press, changes } = await detail({ signOffs: [SIGNED] });
    const button = [...element.querySelectorAll('button')].find((each) => textOf(each) === 'Withdraw the sign-off')!;
    expect(button.disabled).toBe(true);
    const why = element.querySelector('input')!;
    why.value = ' wrong trainee ';
    why.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    await press(/^Withdraw the sign-off$/);
    expect(changes()[0]).toMatchObject({
      endpoint: 'withdrawSignOff',
      sent: { params: { signOff: 's1' }, body: { reason: 'wrong trainee' } },
    });
  });
});
