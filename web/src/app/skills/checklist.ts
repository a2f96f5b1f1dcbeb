import { CdkTextareaAutosize } from '@angular/cdk/text-field';
import { Unfit } from '@brave-comb/core/language';
import { CdkDrag, type CdkDragDrop, CdkDropList } from '@angular/cdk/drag-drop';
import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  Injector,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import type { Output } from '@brave-comb/contract';
import { type BadLine, checklistCsv, readChecklistCsv } from '@brave-comb/core/exchange';
import { JOBS, SKILL_LEVELS, type SkillLevel } from '@brave-comb/core/inspection';
import { type Phase, PHASES } from '@brave-comb/core/season';
import {
  COLONY_THINGS,
  type ColonyThing,
  levelSays,
  type WordedSkill,
  SKILL_PHASES,
  SKILL_RISKS,
  type SkillPhase,
  skillOf,
  type SkillJob,
} from '@brave-comb/core/skills';
import { Store } from '@ngrx/store';
import { catchError, debounceTime, firstValueFrom, of, switchMap, throwError } from 'rxjs';
import { type CallFault, ContractClient } from '../api/contract-client';
import { endpoints } from '../api/endpoints';
import { peopleFeature } from '../people/people.feature';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { dateText } from '../ui/format';
import { intoSight } from '../ui/into-sight';
import { ChecklistDraft } from './checklist-draft';
import { ChipChoice } from './chip-choice';
import { ForgettingForm } from './forgetting-form';
import { LevelGlyph } from './level-glyph';
import { type ForceAsked, PutInForce } from './put-in-force';
import { RuleSentence } from './rule-sentence';
import { SaveFile } from './save-file';
import { SkillSeason } from './skill-season';
import { VersionLine } from './version-line';
import { Named, named, namesOf } from '../language/words';
import { said, SaidPipe } from '../language/said';
import type { MatSelect } from '@angular/material/select';
import { FIELD } from '../parts/field';
import { FileButton } from '../parts/file-button';
import { MatChip, MatChipRemove, MatChipSet } from '@angular/material/chips';
import { MatIcon } from '@angular/material/icon';

/** Pause after the last change before the draft is kept and reckoned, ms. */
const PAUSE = 700;

/** Where a draft stands on this device until it is in force or discarded. */
const placeOf = (person: string) => `checklist draft of ${person}`;

/** A draft that this device kept, `null` when there is none or it cannot be read. */
function unsent(person: string): readonly WordedSkill[] | null {
  try {
    const kept = JSON.parse(localStorage.getItem(placeOf(person)) ?? 'null') as readonly WordedSkill[] | null;
    return Array.isArray(kept) ? kept : null;
  } catch {
    return null;
  }
}

/** Places in a file that are told before the rest is only counted. */
const TOLD = 5;

/** What the server found wrong in a list, skill by skill. */
function faultsText({ message, details }: CallFault): string {
  const places = details.map(({ path, message: says }) => {
    const [, at, ...field] = path.split('.');
    const words = says.endsWith('received undefined') ? $localize`is missing` : says;
    return at === undefined
      ? says
      : $localize`skill ${Number(at) + 1}, ${field.join('.') || $localize`as a whole`}\: ${words}`;
  });
  if (places.length === 0) return message;
  const more = places.length > TOLD ? $localize`, and ${places.length - TOLD} more` : '';
  return `${places.slice(0, TOLD).join('; ')}${more}`;
}

/** A list as a file holds it. */
function parsed(text: string): { readonly skills?: readonly WordedSkill[] } {
  try {
    return JSON.parse(text) as { readonly skills?: readonly WordedSkill[] };
  } catch {
    throw new RangeError('it is no JSON, or it was cut short. Export the list once to see how the file looks.');
  }
}

/** What the school asks for: its skills with their rules, as a draft until a lead puts it in force. */
@Component({
  selector: 'bc-checklist',
  imports: [
    CdkTextareaAutosize,
    MatIcon,
    MatChip,
    MatChipRemove,
    MatChipSet,
    FileButton,
    FIELD,
    MatButton,
    SaidPipe,
    Named,
    CdkDrag,
    CdkDropList,
    ChipChoice,
    ForgettingForm,
    LevelGlyph,
    PutInForce,
    RuleSentence,
    SkillSeason,
    VersionLine,
    ViewState,
  ],
  providers: [ChecklistDraft],
  templateUrl: './checklist.html',
  styleUrl: './checklist.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ChecklistScreen {
  private readonly files = inject(SaveFile);
  private readonly element = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly injector = inject(Injector);
  protected readonly desk = inject(ViewDesk);
  private readonly client = inject(ContractClient);
  private readonly person = inject(Store).selectSignal(peopleFeature.selectPerson);
  protected readonly draft = inject(ChecklistDraft);
  protected readonly watched = this.desk.watch('checklist', () => ({}));
  protected readonly data = this.watched.data;
  protected readonly lead = computed(() => this.person()?.role === 'lead');
  protected readonly levels = SKILL_LEVELS;
  protected readonly phases = SKILL_PHASES;
  protected readonly seasons = PHASES;
  protected readonly phaseNames = namesOf('phase');
  protected readonly thingNames = namesOf('colonyThing');
  protected readonly seasonNames = (season: readonly Phase[] | null): string =>
    season?.map((phase) => named('phase', phase)).join(', ') ?? $localize`any opening`;
  protected readonly things = COLONY_THINGS;
  protected readonly roles = ['everybody', ...JOBS] as const;
  protected readonly roleName = (role: (typeof this.roles)[number]): string =>
    role === 'everybody' ? $localize`everybody` : named('role', role);
  protected readonly risks = SKILL_RISKS;
  protected readonly says = signal<string | null>(null);
  protected readonly badLines = signal<readonly BadLine[]>([]);
  protected readonly preview = signal<Output<typeof endpoints.previewChecklist> | null>(null);
  private readonly coverage = this.desk.watch('coverage', () => (this.person()?.role === 'trainee' ? null : {}));
  /** What planned sessions offer of the chosen skill. */
  protected readonly offers = computed(() => {
    const skills = this.coverage.data()?.skills;
    return skills ? (skills.find(({ id }) => id === this.draft.chosen())?.offers ?? []) : null;
  });
  protected readonly offerDays = computed(() => (this.offers() ?? []).map(({ startsAt }) => startsAt.slice(0, 10)));
  /** Skills of the list in force whose evidence the chosen one may count, those that the draft drops first. */
  protected readonly mayCount = computed(() => {
    const [skill, now] = [this.draft.skill(), this.draft.skills()];
    if (!skill) return [];
    return this.draft
      .before()
      .filter(({ id }) => id !== skill.id && !skill.from.includes(id))
      .map(({ id, name }) => ({ id, name, gone: !skillOf({ skills: now }, id) }))
      .sort((a, b) => Number(b.gone) - Number(a.gone));
  });
  /** Skills that wait for the chosen one. */
  protected readonly after = computed(() => {
    const id = this.draft.chosen();
    return this.draft.skills().filter(({ needs }) => id !== null && needs.includes(id));
  });
  private readonly heading = viewChild<ElementRef<HTMLElement>>('heading');
  private readonly enforced = this.desk.lastAnswer('enforceChecklist');
  private readonly takenBack = this.desk.lastAnswer('takeBackChecklist');

  constructor() {
    // What is typed is on this device before anything is sent: a closed tab loses nothing.
    effect(() => {
      const [skills, changes] = [this.draft.skills(), this.draft.changes()];
      const person = untracked(this.person);
      if (person?.role !== 'lead' || skills.length === 0) return;
      if (changes > 0) localStorage.setItem(placeOf(person.id), JSON.stringify(skills));
      else localStorage.removeItem(placeOf(person.id));
    });
    // A list that comes while somebody edits does not take the edits away.
    effect(() => {
      const list = this.data();
      if (!list || untracked(this.draft.changes) > 0) return;
      const before = list.inForce.skills as readonly WordedSkill[];
      const sent = list.draft?.skills;
      untracked(() => this.draft.load(before, unsent(this.person()?.id ?? '') ?? sent ?? before));
    });
    effect(() => {
      const answer = this.enforced();
      const today = untracked(this.data)?.today;
      if (!answer || today === undefined) return;
      // What was put in force is no draft any more.
      untracked(() => {
        localStorage.removeItem(placeOf(this.person()?.id ?? ''));
        this.draft.load(this.draft.before(), this.draft.before());
      });
      this.says.set(
        answer.starts > today
          ? $localize`Version ${answer.version} is scheduled: it takes effect on ${dateText(answer.starts)}. Until then nothing changes.`
          : $localize`Version ${answer.version} is published; ${answer.carried} results were carried over.`,
      );
    });
    effect(() => {
      const answer = this.takenBack();
      if (answer?.version) this.says.set($localize`Version ${answer.version} is the draft again.`);
    });
    toObservable(this.draft.skills)
      .pipe(
        debounceTime(PAUSE),
        switchMap((skills) => {
          this.preview.set(null);
          if (!this.lead() || this.draft.changes() === 0 || this.draft.problem()) return of(null);
          const body = { skills: [...skills] } as never;
          this.client.call(endpoints.draftChecklist, { body }).subscribe({ error: () => undefined });
          return this.client.call(endpoints.previewChecklist, { body }).pipe(
            catchError((fault: { message: string }) => {
              this.says.set(fault.message);
              return of(null);
            }),
          );
        }),
        takeUntilDestroyed(),
      )
      .subscribe((seen) => this.preview.set(seen));
  }

  protected inPhase(phase: SkillPhase): readonly WordedSkill[] {
    return this.draft.skills().filter((skill) => skill.phase === phase);
  }

  protected otherThan(phase: SkillPhase): SkillPhase[] {
    return SKILL_PHASES.filter((each) => each !== phase);
  }

  protected dropped(
    { item, currentIndex, previousContainer, container }: CdkDragDrop<unknown>,
    phase: SkillPhase,
  ): void {
    const id = item.data as string;
    const there = this.inPhase(phase).filter((skill) => skill.id !== id || previousContainer !== container);
    this.draft.move(id, phase, there[currentIndex]?.id ?? null);
    this.draft.chosen.set(id);
  }

  protected key(event: KeyboardEvent, id: string): void {
    if (!event.altKey || !this.lead() || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
    event.preventDefault();
    this.draft.step(id, event.key === 'ArrowUp' ? -1 : 1);
    // Over the border of a phase the skill gets another button.
    afterNextRender(
      () => {
        const buttons = [...this.element.querySelectorAll<HTMLElement>('[data-skill]')];
        buttons.find((each) => each.getAttribute('data-skill') === id)?.focus();
      },
      { injector: this.injector },
    );
  }

  /** Opens a skill; where the list stands above it, the page goes down to it. */
  protected choose(id: string): void {
    this.draft.chosen.set(id);
    intoSight(this.heading()?.nativeElement);
  }

  protected add(event: Event, phase: string, input: HTMLInputElement): void {
    event.preventDefault();
    const name = input.value.trim();
    if (name === '') return;
    this.draft.add(SKILL_PHASES.find((each) => each === phase) ?? 'prepare', name);
    input.value = '';
  }

  protected nameOf(id: string): string {
    const found = skillOf({ skills: this.draft.skills() }, id) ?? skillOf({ skills: this.draft.before() }, id);
    return found?.name ?? id;
  }

  protected sounds(skill: WordedSkill, level: SkillLevel): string {
    return said(levelSays(skill, level));
  }

  protected setSound(skill: WordedSkill, level: SkillLevel, text: string): void {
    const { [level]: _, ...others } = skill.levels;
    const own = text.trim();
    this.draft.edit({
      levels: own === '' || own === said(levelSays({ levels: {} }, level)) ? others : { ...others, [level]: own },
    });
  }

  protected addNeed(skill: WordedSkill, choice: MatSelect): void {
    if (choice.value !== '') this.draft.edit({ needs: [...skill.needs, String(choice.value)] });
    choice.value = '';
  }

  protected addFrom(skill: WordedSkill, choice: MatSelect): void {
    if (choice.value !== '') this.draft.edit({ from: [...skill.from, String(choice.value)] });
    choice.value = '';
  }

  protected dropFrom(skill: WordedSkill, from: string): void {
    this.draft.edit({ from: skill.from.filter((each) => each !== from) });
  }

  protected dropNeed(skill: WordedSkill, need: string): void {
    this.draft.edit({ needs: skill.needs.filter((each) => each !== need) });
  }

  protected toggleSeason(skill: WordedSkill, phase: Phase): void {
    const now = skill.season ?? [];
    const next = PHASES.filter((each) => (each === phase ? !now.includes(each) : now.includes(each)));
    this.draft.edit({ season: next.length === 0 || next.length === PHASES.length ? null : next });
  }

  protected toggleThing(skill: WordedSkill, thing: ColonyThing): void {
    const next = COLONY_THINGS.filter((each) => (each === thing) !== skill.colony.includes(each));
    this.draft.edit({ colony: next });
  }

  protected roleOf(text: string): SkillJob {
    return this.roles.find((role) => role === text) ?? 'everybody';
  }

  protected riskOf(text: string): WordedSkill['risk'] {
    return SKILL_RISKS.find((risk) => risk === text) ?? null;
  }

  protected lines(text: string): readonly string[] {
    return text
      .split('\n')
      .map((each) => each.trim())
      .filter((each) => each !== '');
  }

  protected commas(text: string): readonly string[] {
    return text
      .split(',')
      .map((each) => each.trim())
      .filter((each) => each !== '');
  }

  protected day(date: string): string {
    return dateText(date.slice(0, 10));
  }

  protected discard(): void {
    const before = this.draft.before();
    this.draft.load(before, before);
    this.desk.change('discardDraft', {}, 'checklist', false);
  }

  protected enforce(after: number, asked: ForceAsked): void {
    this.desk.change(
      'enforceChecklist',
      { body: { ...asked, skills: this.draft.skills(), after } },
      'checklist',
      false,
    );
  }

  protected takeBack(): void {
    this.desk.change('takeBackChecklist', {}, 'checklist', false);
  }

  protected save(as: 'csv' | 'json'): void {
    const skills = this.draft.skills();
    if (as === 'csv') this.files.save('checklist.csv', 'text/csv', `\uFEFF${checklistCsv(skills)}`);
    else this.files.save('checklist.json', 'application/json', `${JSON.stringify({ skills }, null, 2)}\n`);
  }

  /** Skills of an exported list, once the server has found them whole. */
  private async readJson(
    text: string,
  ): Promise<{ readonly skills: readonly WordedSkill[]; readonly bad: readonly BadLine[] }> {
    const { skills } = parsed(text);
    if (!Array.isArray(skills) || skills.length === 0)
      throw new RangeError('it holds no skills. Export the list once to see how the file looks.');
    const body = { skills } as never;
    const checked = this.client
      .call(endpoints.previewChecklist, { body })
      .pipe(catchError((fault: CallFault) => throwError(() => new RangeError(faultsText(fault)))));
    await firstValueFrom(checked);
    return { skills: skills as readonly WordedSkill[], bad: [] };
  }

  /** Reads a file into the draft, all of it or nothing: a line left out would take its skill off the list. */
  protected async takeIn(file: File): Promise<void> {
    this.badLines.set([]);
    try {
      const text = await file.text();
      const { skills, bad } = file.name.endsWith('.json') ? await this.readJson(text) : readChecklistCsv(text);
      this.badLines.set(bad);
      if (bad.length > 0) {
        this.says.set(
          bad.length === 1
            ? $localize`${file.name} was not imported\: correct this line and choose the file again. The draft is unchanged.`
            : $localize`${file.name} was not imported\: correct these lines and choose the file again. The draft is unchanged.`,
        );
        return;
      }
      const lost = this.draft.changes() > 0 ? $localize` Undo restores the previous draft.` : '';
      this.draft.put(skills);
      this.says.set(
        skills.length === 1
          ? $localize`1 skill read from ${file.name} into the draft.${lost}`
          : $localize`${skills.length} skills read from ${file.name} into the draft.${lost}`,
      );
    } catch (error) {
      this.says.set(
        $localize`${file.name} was not imported\: ${error instanceof Unfit ? said(error.says) : (error as Error).message}`,
      );
    }
  }
}
