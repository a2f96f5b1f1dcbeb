import { Injectable, computed, inject } from '@angular/core';
import { HIVE_TYPES } from '@brave-comb/core/equipment';
import { type Guard, JOBS, type Job, guardsOf, jobsNow } from '@brave-comb/core/inspection';
import { jobRota } from '@brave-comb/core/planning';
import { isDefensive } from '@brave-comb/core/skills';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../inspection/inspection.feature';
import { VisitDesk } from '../inspection/visit-desk';

const NOT_READY: Guard['id'] = 'not-ready-for-frames';
const NOBODY: Readonly<Record<Job, readonly string[]>> = { smoke: [], frames: [], record: [], clock: [], watch: [] };

/** Who does what at this frame: by the rota, and by what was given by hand. */
@Injectable({ providedIn: 'root' })
export class HiveJobs {
  private readonly store = inject(Store);
  private readonly desk = inject(VisitDesk);
  private readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  private readonly box = this.store.selectSignal(inspectionFeature.selectNestBox);
  private readonly facts = this.store.selectSignal(inspectionFeature.selectGuardFacts);
  private readonly address = this.store.selectSignal(inspectionFeature.selectAddress);

  readonly words: Readonly<Record<Job, string>> = {
    smoke: $localize`Smoke`,
    frames: $localize`Frames`,
    record: $localize`Record`,
    clock: $localize`Clock`,
    watch: $localize`Watch`,
  };

  private readonly rota = computed(() => {
    const file = this.file();
    const box = this.box();
    if (!file || !box || file.trainees.length === 0) return [];
    const people = file.trainees.map(({ id, name, seated, barred, had }) => ({
      name,
      open: file.skills.filter((skill) => skill.open.includes(id)).map(({ role }) => role),
      seated,
      barred: barred.length > 0 && isDefensive(file.temper),
      had,
    }));
    return jobRota(people, { frames: box.frames, horizontal: HIVE_TYPES[file.hiveType].horizontal });
  });
  /** Ids of the group's trainees, and what they are called. */
  readonly people = computed(() => this.file()?.trainees.map(({ id }) => id) ?? []);
  readonly names = computed<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(this.file()?.trainees.map(({ id, name }) => [id, name]) ?? []),
  );

  readonly now = computed(() => {
    const frame = this.address()?.frame ?? 1;
    const rota = this.rota();
    const turn = rota.find((each) => frame >= each.fromFrame && frame <= each.toFrame) ?? rota[0];
    const given = this.record().roles;
    return jobsNow(turn?.roles ?? NOBODY, given, (id) => this.names()[id] ?? id);
  });
  /** Who holds frames of a lively colony without being ready for it, while nobody has said why they go on. */
  readonly notReady = computed(() =>
    this.now()
      .frames.filter(
        (name) =>
          !this.record().overrides.some(({ guard, reason }) => guard === NOT_READY && reason.startsWith(`${name}: `)),
      )
      .map((name) => ({ name, against: this.against(name, 'frames') }))
      .filter(({ against }) => against.length > 0),
  );
  /** Trainee who holds the frames. */
  readonly holder = computed(() => this.idOf(this.now().frames[0] ?? ''));

  idOf(name: string): string | null {
    return this.file()?.trainees.find((each) => each.name === name)?.id ?? null;
  }

  /**
   * Gives somebody the job after the one they have. Frames of a lively colony go to one who is not ready only with a reason.
   *
   * @returns what stands against it; the job is given when nothing does or a reason came
   */
  next(name: string, role: Job, reason = ''): readonly Guard[] {
    const person = this.idOf(name);
    const next = JOBS[(JOBS.indexOf(role) + 1) % JOBS.length]!;
    if (!person) return [];
    const against = this.against(name, next);
    if (against.length > 0 && reason === '') return against;
    this.overrule(name, against, reason);
    this.desk.enter({ kind: 'role-given', role: next, person });
    return [];
  }

  /** The supervisor takes the frames from those who are not ready for them: they watch. */
  takeFrames(): void {
    for (const { name } of this.notReady()) {
      const person = this.idOf(name);
      if (person) this.desk.enter({ kind: 'role-given', role: 'watch', person });
    }
  }

  /** They go on with the frames of a lively colony all the same. */
  letGoOn(reason: string): void {
    for (const { name, against } of this.notReady()) this.overrule(name, against, reason);
  }

  private against(name: string, role: Job): readonly Guard[] {
    const person = this.idOf(name);
    return person ? guardsOf({ do: 'give-role', role, person }, this.facts()) : [];
  }

  private overrule(name: string, against: readonly Guard[], reason: string): void {
    for (const { id } of against)
      this.desk.enter({ kind: 'guard-overridden', guard: id, reason: `${name}: ${reason}` });
  }
}
