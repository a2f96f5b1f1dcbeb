import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { InspectionPlanJson, PlanningProblemJson } from '@brave-comb/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { ROOT, npm } from './npm';

const PLANS = join(ROOT, 'core/test/plans');

const kept = (name: string): unknown => JSON.parse(readFileSync(join(PLANS, `${name}.json`), 'utf8'));

describe('plans on the command line', () => {
  let folder = '';
  beforeAll(() => {
    folder = mkdtempSync(join(tmpdir(), 'brave-comb-plan-'));
  });
  afterAll(() => {
    rmSync(folder, { recursive: true, force: true });
  });

  it('are made as JSON and nothing else, and pass the check', async () => {
    const problem = join(PLANS, 'small-8.json');
    const made = await npm(folder, 'plan', '--', problem, '--iterations', '20000', '--seed', '4');
    expect(made.code).toBe(0);
    expect(JSON.parse(made.said)).toMatchObject({ format: 'inspection-plan/1', instance: 'small-8' });
    writeFileSync(join(folder, 'plan.json'), made.said);
    const checked = await npm(folder, 'plan:check', '--', problem, join(folder, 'plan.json'));
    expect(checked).toMatchObject({ code: 0 });
    expect(checked.said).toContain('keeps every rule');
  });

  it('that break a rule or state a wrong worth fail the check, each fault in words', async () => {
    const problem = join(PLANS, 'small-8.json');
    const best = InspectionPlanJson.parse(kept('small-8.best'));
    const [first] = best.sessions;
    writeFileSync(join(folder, 'bad.json'), JSON.stringify({ ...best, sessions: [...best.sessions, first] }));
    const { code, errors } = await npm(folder, 'plan:check', '--', problem, join(folder, 'bad.json'));
    expect(code).toBe(1);
    expect(errors).toContain('group-twice');
    expect(errors).toMatch(/states .* it is worth/);
  });

  it.each([
    ['no file', ['plan', '--', 'nowhere.json'], 'nowhere.json cannot be read'],
    ['no name', ['plan'], 'Use: npm run plan'],
    ['one name', ['plan:check', '--', 'a.json'], 'Use: npm run plan:check'],
    ['no number', ['plan', '--', join(PLANS, 'small-7.json'), '--seconds', 'ten'], '--seconds needs a number'],
  ])('say what to do: %s', async (_, args, words) => {
    const { code, said, errors } = await npm(folder, ...args);
    expect(code).toBe(1);
    expect(said).toBe('');
    expect(errors).toContain(words);
  });

  it('say where a problem is wrong, every place at once', async () => {
    const problem = PlanningProblemJson.parse(kept('small-7'));
    const [group, hive, slot] = [problem.groups[0]!, problem.hives[1]!, problem.slots[2]!];
    group.slots.push('t99');
    hive.id = 'h0';
    problem.params.pwl.F[3] = 0.99;
    slot.fit = 1.2;
    const file = join(folder, 'wrong.json');
    writeFileSync(file, JSON.stringify(problem));
    const { code, errors } = await npm(folder, 'plan', '--', file);
    expect(code).toBe(1);
    expect(errors).toContain('slots.2.fit');
    expect(errors).toContain('params.pwl');
    problem.params.pwl.F[3] = 0.451188;
    slot.fit = 0.5;
    writeFileSync(file, JSON.stringify(problem));
    const again = await npm(folder, 'plan', '--', file);
    expect(again.errors).toContain('There is no "t99" in slots.');
    expect(again.errors).toContain('"h0" is there twice in hives.');
  });
});
