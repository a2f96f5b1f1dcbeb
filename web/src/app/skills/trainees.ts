import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, signal, viewChild } from '@angular/core';
import type { SkillLevel } from '@brave-comb/core/inspection';
import { upperFirst } from '@brave-comb/core/units';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { dateText } from '../ui/format';
import { onPhone } from '../ui/on-phone';
import { intoSight } from '../ui/into-sight';
import { GroupSide } from './group-side';
import { LevelGlyph } from './level-glyph';
import { MatrixGrid } from './matrix-grid';
import { MATRIX_FILTERS, type MatrixFilter, rowsOf, standsOut, weeksLeft } from './matrix-rows';
import { NeedsList } from './needs-list';
import { nextChance } from './next-chance';
import { TraineeSide } from './trainee-side';
import { Named } from '../language/words';
import { MatChipListbox, MatChipOption } from '@angular/material/chips';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { needsOf, withSkills } from './needs';

/** Skills that are shown as what is needed next. */
const NEXT = 12;

const LEGEND: readonly { readonly level: SkillLevel | null; readonly fading?: true; readonly says: string }[] = [
  { level: null, says: $localize`not yet` },
  { level: 'saw-it', says: $localize`saw it` },
  { level: 'helped', says: $localize`helped` },
  { level: 'with-a-word', says: $localize`with a prompt` },
  { level: 'alone', says: $localize`alone` },
  { level: 'can-teach', says: $localize`can teach` },
  { level: 'alone', fading: true, says: $localize`needs refreshing` },
];

/** Trainees and skills: who stands where, and what that rests on. */
@Component({
  selector: 'bc-trainees',
  imports: [
    MatButtonToggle,
    MatButtonToggleGroup,
    MatChipListbox,
    MatChipOption,
    Named,
    GroupSide,
    LevelGlyph,
    MatrixGrid,
    NeedsList,
    TraineeSide,
    ViewState,
  ],
  templateUrl: './trainees.html',
  styleUrl: './trainees.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class TraineesScreen {
  private readonly desk = inject(ViewDesk);
  protected readonly watched = this.desk.watch('traineeMatrix', () => ({}));
  /** When what is open can next be shown; it takes the planner a moment, the matrix does not wait for it. */
  protected readonly coverage = this.desk.watch('coverage', () => ({})).data;
  private readonly beside = viewChild<ElementRef<HTMLElement>>('beside');
  protected readonly legend = LEGEND;
  protected readonly filters = MATRIX_FILTERS;
  protected readonly filterNames: Readonly<Record<MatrixFilter, string>> = {
    'blocks-sign-off': $localize`still needed for sign-off`,
    fading: $localize`needs refreshing`,
    nobody: $localize`shown by nobody`,
  };
  protected readonly upper = upperFirst;
  protected readonly group = signal<string | null>(null);
  protected readonly filter = signal<MatrixFilter | null>(null);
  /** Whether all skills are shown, or what is needed next. */
  protected readonly all = signal(false);
  protected readonly phone = onPhone();
  protected readonly listed = signal(true);
  /** On a phone what is needed next is a list; the matrix is one press away. */
  protected readonly asList = computed(() => this.phone() && this.listed());
  protected readonly needs = computed(() => {
    const matrix = this.watched.data();
    return matrix ? needsOf(matrix, this.group()) : [];
  });
  private readonly next = computed(() => this.needs().slice(0, NEXT));
  /** Who stands where in what is shown: what is needed next while there is any, or all. */
  protected readonly seen = computed(() => {
    const matrix = this.watched.data();
    if (!matrix || this.all() || this.next().length === 0) return matrix;
    return withSkills(matrix, new Set(this.next().map(({ id }) => id)));
  });
  protected readonly nextCount = computed(() => this.next().length);
  protected readonly trainee = signal<string | null>(null);
  protected readonly skillId = signal<string | null>(null);

  /** The chosen trainee's group. */
  protected readonly own = computed(() => {
    const groups = this.watched.data()?.groups ?? [];
    return groups.find(({ trainees }) => trainees.some(({ id }) => id === this.trainee()))?.id ?? null;
  });
  protected readonly chances = computed(() => {
    const [coverage, matrix, group] = [this.coverage(), this.seen(), this.group()];
    if (!coverage || !matrix) return null;
    return matrix.skills.map(({ id }) => nextChance(coverage, group === null ? null : [group], id));
  });

  protected readonly rows = computed(() => {
    const matrix = this.seen();
    return matrix ? rowsOf(matrix, this.group()) : [];
  });
  /** Of all skills, whatever is shown. */
  private readonly cells = computed(() => {
    const matrix = this.watched.data();
    return (matrix ? rowsOf(matrix, this.group()) : []).flatMap((row) => (row.kind === 'trainee' ? [row.cells] : []));
  });
  protected readonly learners = computed(() => this.cells().length);
  protected readonly size = computed(() =>
    (this.watched.data()?.groups ?? []).reduce((sum, { trainees }) => sum + trainees.length, 0),
  );
  protected readonly counts = computed<Readonly<Record<MatrixFilter, number>>>(() => {
    const all = this.cells();
    const never = (this.watched.data()?.skills ?? []).filter((_, at) =>
      all.every((own) => (own[at]?.level ?? null) === null),
    );
    const out = (filter: MatrixFilter) => all.flat().filter((cell) => standsOut(cell, filter, false)).length;
    return {
      'blocks-sign-off': out('blocks-sign-off'),
      fading: out('fading'),
      nobody: never.length,
    };
  });
  protected readonly skill = computed(() => {
    const matrix = this.watched.data();
    const found = matrix?.skills.find(({ id }) => id === this.skillId());
    if (!matrix || !found) return null;
    const weeks = weeksLeft(found, matrix.today);
    const till = found.window ? $localize` until ${dateText(found.window.to)}` : '';
    return {
      ...found,
      weeks:
        weeks === '–'
          ? $localize`At any opening.`
          : weeks === '0'
            ? $localize`No more chances this year.`
            : weeks.startsWith('in')
              ? $localize`Can be shown for ${weeks} weeks,${till}.`
              : $localize`${weeks} weeks left this year,${till}.`,
    };
  });

  protected toggle(filter: MatrixFilter): void {
    this.filter.set(this.filter() === filter ? null : filter);
    if (this.filter() !== null) this.all.set(true);
  }

  protected picked({ trainee, skill }: { readonly trainee: string; readonly skill: string | null }): void {
    this.trainee.set(trainee);
    this.skillId.set(skill);
    intoSight(this.beside()?.nativeElement);
  }
}
