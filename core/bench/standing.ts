/* Standing of 500 trainees × 60 skills × 20 demonstrations, beside a plain loop that only groups them. Prints medians in ms as JSON. */
import { SKILL_LEVELS } from '../src/inspection';
import { DEFAULT_CHECKLIST, type Demonstration, standingsFrom } from '../src/skills';
import { addDays } from '../src/units';

const [TRAINEES, SKILLS, SHOWN, ROUNDS] = [500, 60, 20, 7];
const TODAY = '2026-05-14';

const skills = DEFAULT_CHECKLIST.skills.slice(0, SKILLS);
const days = Array.from({ length: 700 }, (_, back) => addDays(TODAY, back - 699));
const demonstrations: Demonstration[] = [];
// Trainee by trainee and skill by skill, as the database hands them out.
for (let trainee = 0; trainee < TRAINEES; trainee += 1)
  for (const [place, skill] of skills.entries())
    for (let shown = 0; shown < SHOWN; shown += 1) {
      const day = days[Math.min(699, shown * 35 + ((trainee + place) % 30))]!;
      demonstrations.push({
        id: `${demonstrations.length}`,
        trainee: `t${trainee}`,
        skill: skill.id,
        level: SKILL_LEVELS[(trainee * 7 + place * 3 + shown * 11) % SKILL_LEVELS.length]!,
        at: `${day}T12:00:00.000Z`,
        day,
        source: shown % 9 === 0 ? 'practice' : 'visit',
        colony: `h${(trainee + shown) % 14}`,
        assessor: `s${(place + shown) % 4}`,
        lead: shown % 5 === 0,
      });
    }

function timed(work: () => number): number {
  const spans = Array.from({ length: ROUNDS }, () => {
    const began = performance.now();
    if (work() === 0) throw new Error('nothing came out');
    return performance.now() - began;
  });
  return spans.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)]!;
}

const standing = timed(() => {
  const of = standingsFrom({
    checklist: { version: 1, skills },
    demonstrations,
    signOffs: [],
    today: TODAY,
    now: `${TODAY}T23:00:00.000Z`,
  });
  let held = 0;
  for (let trainee = 0; trainee < TRAINEES; trainee += 1)
    for (const { id } of skills) held += Number(of(`t${trainee}`, id).state !== 'not-met');
  return held;
});
const grouping = timed(() => {
  const groups = new Map<string, Map<string, number>>();
  for (const { trainee, skill } of demonstrations) {
    let own = groups.get(trainee);
    if (!own) groups.set(trainee, (own = new Map<string, number>()));
    own.set(skill, (own.get(skill) ?? 0) + 1);
  }
  return groups.size;
});
process.stdout.write(JSON.stringify({ standing, grouping, demonstrations: demonstrations.length }));
