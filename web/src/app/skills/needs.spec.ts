import { STANDING_STATES } from '@brave-comb/core/skills';
import type { Matrix } from './matrix-rows';
import { byPerson, needsOf, withSkills } from './needs';

const state = (name: (typeof STANDING_STATES)[number]) => STANDING_STATES.indexOf(name);
const skill = (id: string, window: { from: string; to: string } | null | 'any') => ({
  id,
  name: id,
  phase: 'read',
  seasonal: window !== 'any',
  window: window === 'any' ? null : window,
});
const trainee = (id: string, ...states: (typeof STANDING_STATES)[number][]) => ({
  id,
  name: id,
  standings: states.map((each) => [state(each), 0, null]),
});
const MATRIX = {
  today: '2026-05-14',
  skills: [
    skill('any-time', 'any'),
    skill('swarm-cells', { from: '2026-04-20', to: '2026-06-10' }),
    skill('mites', { from: '2026-07-20', to: '2026-09-01' }),
    skill('done', 'any'),
    skill('over', null),
  ],
  groups: [
    {
      id: 'curlew',
      until: null,
      trainees: [
        trainee('ife', 'not-met', 'not-met', 'not-met', 'shown', 'in-progress'),
        trainee('jun', 'not-met', 'shown', 'due-again', 'signed-off', 'shown'),
      ],
    },
    { id: 'dipper', until: '2026-05-24', trainees: [trainee('ravi', 'not-met', 'not-met', 'shown', 'shown', 'shown')] },
  ],
} as unknown as Matrix;

const told = (group: string | null) =>
  needsOf(MATRIX, group).map(({ id, open, when, short }) => [id, open, when, short]);

describe('what a group still has to show', () => {
  it('is what ends soonest, then what most need; what all hold is no need', () => {
    expect(told('curlew')).toEqual([
      ['over', 1, 'not this season', true],
      ['swarm-cells', 1, '4 weeks left', true],
      ['any-time', 2, 'any time', false],
      ['mites', 2, 'can be shown for in 10 weeks', false],
    ]);
  });

  it('ends with the course where that ends before the season', () => {
    expect(told('dipper')).toEqual([
      ['any-time', 1, '2 weeks left', true],
      ['swarm-cells', 1, '2 weeks left', true],
    ]);
  });

  it('of a course that is over presses no more', () => {
    const over = { ...MATRIX, today: '2026-06-01' };
    expect(needsOf(over, 'dipper').map(({ when, short }) => [when, short])).toEqual([
      ['the course is over', false],
      ['the course is over', false],
    ]);
  });

  it('counts everybody where no group is chosen', () => {
    expect(told(null).find(([id]) => id === 'any-time')).toEqual(['any-time', 3, '2 weeks left', true]);
  });

  it('leaves a matrix of those skills alone, each standing below its own', () => {
    const left = withSkills(MATRIX, new Set(['mites', 'swarm-cells']));
    expect(left.skills.map(({ id }) => id)).toEqual(['swarm-cells', 'mites']);
    expect(left.groups[0]!.trainees[1]!.standings.map(([at]) => STANDING_STATES[at])).toEqual(['shown', 'due-again']);
  });

  it('names who needs it, how far each is, and whose showing has run out', () => {
    const mites = needsOf(MATRIX, 'curlew').find(({ id }) => id === 'mites')!;
    expect(mites.who.map(({ id, level, fading }) => [id, level, fading])).toEqual([
      ['ife', 'saw-it', false],
      ['jun', 'saw-it', true],
    ]);
  });

  it('by person has who needs most first, each with what ends soonest first', () => {
    expect(byPerson(needsOf(MATRIX, null)).map(({ id, needs }) => [id, needs.map((need) => need.id)])).toEqual([
      ['ife', ['over', 'any-time', 'swarm-cells', 'mites']],
      ['jun', ['any-time', 'mites']],
      ['ravi', ['any-time', 'swarm-cells']],
    ]);
  });
});
