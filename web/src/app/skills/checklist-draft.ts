import { computed, Injectable, signal } from '@angular/core';
import { checklistProblem, type EvidenceRule, type WordedSkill, ownSkill, skillOf } from '@brave-comb/core/skills';
import equal from 'fast-deep-equal';

/** The list as it is being edited: every change can be taken back. */
@Injectable()
export class ChecklistDraft {
  private readonly past = signal<readonly (readonly WordedSkill[])[]>([]);
  /** The list in force, that changes are held against. */
  readonly before = signal<readonly WordedSkill[]>([]);
  readonly skills = signal<readonly WordedSkill[]>([]);
  readonly chosen = signal<string | null>(null);

  readonly skill = computed(() => skillOf({ skills: this.skills() }, this.chosen() ?? ''));
  readonly was = computed(() => skillOf({ skills: this.before() }, this.chosen() ?? ''));
  readonly problem = computed(() => checklistProblem({ skills: this.skills() }));
  readonly mayUndo = computed(() => this.past().length > 0);
  /** Skills that are new or not as they were, and those that are gone; another order counts as one change. */
  readonly changes = computed(() => {
    const [before, now] = [this.before(), this.skills()];
    const changed = now.filter((skill) => {
      const was = skillOf({ skills: before }, skill.id);
      return !was || !equal(was, skill);
    }).length;
    const gone = before.filter(({ id }) => !skillOf({ skills: now }, id)).length;
    const common = (list: readonly WordedSkill[], other: readonly WordedSkill[]) =>
      list.filter(({ id }) => skillOf({ skills: other }, id)).map(({ id }) => id);
    const moved = common(before, now).join() !== common(now, before).join();
    return changed + gone + Number(moved);
  });

  load(before: readonly WordedSkill[], skills: readonly WordedSkill[]): void {
    this.before.set(before);
    this.skills.set(skills);
    this.past.set([]);
    this.chosen.set(skills.find(({ id }) => id === this.chosen())?.id ?? skills[0]?.id ?? null);
  }

  /** Sets the whole list anew. */
  put(skills: readonly WordedSkill[]): void {
    this.past.update((past) => [...past, this.skills()]);
    this.skills.set(skills);
  }

  undo(): void {
    const last = this.past().at(-1);
    if (!last) return;
    this.past.update((past) => past.slice(0, -1));
    this.skills.set(last);
  }

  edit(change: Partial<WordedSkill>): void {
    const id = this.chosen();
    this.put(this.skills().map((skill) => (skill.id === id ? { ...skill, ...change } : skill)));
  }

  editRule(change: Partial<EvidenceRule>): void {
    const skill = this.skill();
    if (skill) this.edit({ rule: { ...skill.rule, ...change } });
  }

  /** Puts a skill before another, in the phase of that one; at the end of a phase without one. */
  move(id: string, phase: WordedSkill['phase'], before: string | null): void {
    const skill = skillOf({ skills: this.skills() }, id);
    if (!skill || before === id) return;
    const others = this.skills().filter((each) => each.id !== id);
    const at = before ? others.findIndex((each) => each.id === before) : endOf(others, phase);
    this.put(others.toSpliced(at < 0 ? others.length : at, 0, { ...skill, phase }));
  }

  /** One place up or down; past the end of a phase into the next. */
  step(id: string, by: -1 | 1): void {
    const skills = this.skills();
    const at = skills.findIndex((each) => each.id === id);
    const [own, other] = [skills[at], skills[at + by]];
    if (!own || !other) return;
    if (own.phase !== other.phase)
      return void this.put(skills.map((each) => (each.id === id ? { ...each, phase: other.phase } : each)));
    this.put(skills.toSpliced(at, 1).toSpliced(at + by, 0, own));
  }

  add(phase: WordedSkill['phase'], name: string): void {
    const id = idFor(name, new Set([...this.skills(), ...this.before()].map((skill) => skill.id)));
    const skill = ownSkill({ id, phase, name, shownBy: $localize`seen` });
    this.put(this.skills().toSpliced(endOf(this.skills(), phase), 0, skill));
    this.chosen.set(id);
  }

  /** Takes a skill off the list, and out of what others need. */
  drop(id: string): void {
    const skills = this.skills();
    const at = skills.findIndex((each) => each.id === id);
    this.put(
      skills
        .filter((each) => each.id !== id)
        .map((each) => (each.needs.includes(id) ? { ...each, needs: each.needs.filter((need) => need !== id) } : each)),
    );
    this.chosen.set(this.skills()[Math.max(0, at - 1)]?.id ?? null);
  }
}

function endOf(skills: readonly WordedSkill[], phase: WordedSkill['phase']): number {
  const last = skills.findLastIndex((skill) => skill.phase === phase);
  return last < 0 ? skills.length : last + 1;
}

/** An id that a name gives, with a number where it is taken. */
function idFor(name: string, taken: ReadonlySet<string>): string {
  const base =
    name
      .toLowerCase()
      .normalize('NFD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 50) || 'skill';
  let id = base;
  for (let number = 2; taken.has(id); number += 1) id = `${base}-${number}`;
  return id;
}
