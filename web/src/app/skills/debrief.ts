import type { Letter, SkillLevel } from '@brave-comb/core/inspection';
import { named, namesOf } from '../language/words';
import { said } from '../language/said';
import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  ChangeDetectorRef,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { Router, RouterLink } from '@angular/router';
import type { Debrief } from '@brave-comb/contract';
import { DEBRIEF_PARTS, levelRank } from '@brave-comb/core/skills';
import { Store } from '@ngrx/store';
import { map } from 'rxjs';
import { peopleFeature } from '../people/people.feature';
import { withoutFrameText } from '@brave-comb/core/planning';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { dateText, momentOf, spanText, timeOf } from '../ui/format';
import { DebriefTalk } from './debrief-talk';
import { LevelGlyph } from './level-glyph';
import { JobBar } from './job-bar';
import { FIELD } from '../parts/field';
import { titled } from '../ui/titled';

type Trainee = Debrief['groups'][number]['trainees'][number];
type Part = (typeof DEBRIEF_PARTS)[number];

/** Eighths at which the line of a reading is full, and from which it is said with rust. */
const FULL = 3;
const FAR = 2;
/** Titles that fit on the line of a person; the whole sentence opens under it. */
const SHORT: Readonly<Record<string, string>> = namesOf('skillShort');
/** By how many levels a judgement went up; a first showing counts from under the lowest. */
const rise = ({ before, after }: Trainee['judged'][number]): number =>
  levelRank(after) - (before === null ? -1 : levelRank(before));
/** Which way an own reading lay furthest off. */
const lay = (letter: Letter, by: number): string => {
  const what = named('content', letter);
  if (letter === 'E' || letter === 'L') return by > 0 ? $localize`too many ${what}` : $localize`too few ${what}`;
  return by > 0 ? $localize`too much ${what}` : $localize`too little ${what}`;
};

/** One session afterwards, by trainee: who did what, what was judged, how own readings lay, and what is left. */
@Component({
  selector: 'bc-debrief',
  imports: [
    FIELD,
    DebriefTalk,
    LevelGlyph,
    MatButton,
    MatIcon,
    MatIconButton,
    NgTemplateOutlet,
    JobBar,
    RouterLink,
    ViewState,
  ],
  templateUrl: './debrief.html',
  styleUrl: './debrief.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class DebriefScreen {
  protected readonly levelText = (level: SkillLevel | null): string =>
    level === null ? $localize`never shown` : named('skillLevel', level);
  private readonly desk = inject(ViewDesk);
  private readonly router = inject(Router);
  private readonly afterwards = inject(ChangeDetectorRef);
  /** From the address; the latest session without it. */
  readonly session = input<string>();
  protected readonly watched = this.desk.watch('debrief', () => ({ query: { session: this.session() } }));
  private readonly person = toSignal(inject(Store).select(peopleFeature.selectPerson));
  protected readonly me = computed(() => this.person()?.name ?? '');
  protected readonly lead = toSignal(
    inject(Store)
      .select(peopleFeature.selectPerson)
      .pipe(map((person) => person?.role === 'lead')),
  );
  protected readonly data = computed(() => this.watched.data());
  /** Parts that were read through, of what is on the screen now. */
  protected readonly read = linkedSignal<string | undefined, readonly Part[]>({
    source: () => this.data()?.revision,
    computation: () => [],
  });
  /** Trainees whose line is opened. */
  protected readonly opened = linkedSignal<string | undefined, ReadonlySet<string>>({
    source: () => this.data()?.session,
    computation: () => new Set<string>(),
  });
  private readonly everybody = computed(() => this.groups().flatMap(({ trainees }) => trainees.map(({ id }) => id)));
  protected readonly allOpen = computed(() => this.everybody().every((id) => this.opened().has(id)));
  protected readonly talking = signal(false);
  protected readonly sending = signal(false);
  protected readonly date = dateText;

  /** Sessions before and after the one that is shown, by their days. */
  protected readonly beside = computed(() => {
    const data = this.data();
    const all = (data?.sessions ?? []).toSorted((a, b) => a.day.localeCompare(b.day));
    const at = all.findIndex(({ id }) => id === data?.session);
    return { before: all[at - 1]?.id ?? null, after: at < 0 ? null : (all[at + 1]?.id ?? null) };
  });
  protected readonly head = computed(() => {
    const data = this.data();
    if (!data) return '';
    const { from, to, zone } = data;
    if (!from) return $localize`${dateText(data.day)}, ${data.site}. Nothing was opened.`;
    const minutes = to ? (Date.parse(to) - Date.parse(from)) / 60_000 : null;
    return `${dateText(data.day)}, ${data.site}, ${timeOf(from, zone)}${to ? $localize` to ${timeOf(to, zone)}` : $localize`, still open`}.${
      minutes === null ? '' : $localize` Took ${spanText(minutes)}.`
    }`;
  });
  protected readonly groups = computed(() =>
    (this.data()?.groups ?? []).map((group) => ({
      ...group,
      times: this.times(group),
      numbers: Array.from({ length: group.frames }, (_, index) => index + 1),
      trainees: group.trainees.map((trainee) => {
        // The best change stands in the line; all of it opens under it.
        const judged = trainee.judged.toSorted((a, b) => rise(b) - rise(a));
        return {
          ...trainee,
          judged,
          best: judged[0] ?? null,
          rest: judged.slice(1),
          reading: this.reading(trainee),
        };
      }),
    })),
  );
  protected readonly barred = computed(() => this.data()?.toSign.filter(({ bars }) => bars !== null) ?? []);
  protected readonly unread = computed(
    () => this.data()?.toSign.filter(({ part, bars }) => bars === null && !this.read().includes(part)) ?? [],
  );
  protected readonly supervisors = computed(() => {
    const all = (this.data()?.groups ?? []).map(({ supervisor }) => supervisor);
    return [...new Map(all.map((each) => [each.id, each])).values()];
  });
  protected readonly signText = computed(() => {
    const [barred, unread] = [this.barred().length, this.unread().length];
    const signed = this.data()?.signed;
    if (signed && !signed.outdated && unread > 0) return $localize`Signed`;
    if (barred > 0)
      return barred === 1 ? $localize`Sign off (1 item to settle)` : $localize`Sign off (${barred} items to settle)`;
    if (unread === 0) return $localize`Sign off`;
    return unread === 1 ? $localize`Sign off (1 item to check)` : $localize`Sign off (${unread} items to check)`;
  });

  constructor() {
    titled(() => {
      const data = this.data();
      return data ? $localize`Debrief, ${dateText(data.day)}` : null;
    });
  }

  private times({ openedAt, closedAt, says }: Debrief['groups'][number]): string {
    const zone = this.data()?.zone ?? 'utc';
    const open = openedAt
      ? `${timeOf(openedAt, zone)}${closedAt ? $localize` to ${timeOf(closedAt, zone)}` : ''}, `
      : '';
    return `${open}${says}`;
  }

  private reading({ off }: Trainee) {
    if (!off) return null;
    const share = Math.min(1, off.eighths / FULL);
    return {
      x: 2 + share * 50,
      far: off.eighths > FAR,
      eighths: off.eighths.toFixed(1),
      most: off.letter ? lay(off.letter, off.by) : '',
      says: $localize`${off.eighths.toFixed(1)} eighths off on ${off.sides} ${off.sides === 1 ? $localize`side` : $localize`sides`}${
        off.letter ? `, ${lay(off.letter, off.by)}` : ''
      }`,
    };
  }

  protected tick(part: Part): void {
    this.read.update((all) => (all.includes(part) ? all.filter((each) => each !== part) : [...all, part]));
  }

  protected sign(): void {
    const data = this.data();
    if (!data || this.barred().length > 0 || this.unread().length > 0) return;
    const body = { id: this.desk.newId(), revision: data.revision, read: DEBRIEF_PARTS };
    this.desk.change('signDebrief', { params: { session: data.session }, body }, 'debrief');
  }

  protected readonly withoutFrame = (run: number): string => said(withoutFrameText(run));

  protected sendBack(event: Event, supervisor: string, note: string): void {
    event.preventDefault();
    const data = this.data();
    if (!data || note.trim().length < 3) return;
    const body = { id: this.desk.newId(), supervisor, note: note.trim() };
    this.desk.change('sendDebriefBack', { params: { session: data.session }, body }, 'debrief');
    this.sending.set(false);
  }

  protected at(instant: string): string {
    return timeOf(instant, this.data()?.zone ?? 'utc');
  }

  protected when(instant: string): string {
    const zone = this.data()?.zone ?? 'utc';
    return momentOf(instant, zone);
  }

  protected open(session: string): void {
    void this.router.navigate(['/afterwards/debrief', session]);
  }

  protected readonly shortOf = ({ skillId, skill }: Trainee['judged'][number]): string => SHORT[skillId] ?? skill;
  protected readonly allOf = (name: string): string => $localize`Details for ${name}`;

  protected toggle(trainee: string): void {
    this.opened.update((opened) => {
      const next = new Set(opened);
      if (!next.delete(trainee)) next.add(trainee);
      return next;
    });
  }

  protected toggleAll(): void {
    this.opened.set(new Set(this.allOpen() ? [] : this.everybody()));
  }

  protected print(): void {
    // What is folded away on the screen stands on paper.
    this.opened.set(new Set(this.everybody()));
    this.afterwards.detectChanges();
    globalThis.print();
  }
}
