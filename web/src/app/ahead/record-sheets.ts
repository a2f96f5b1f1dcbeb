import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  computed,
  effect,
  inject,
  input,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { GroupSheet } from '@brave-comb/contract';
import { JOBS, LETTERS, MOODS, SKILL_LEVELS } from '@brave-comb/core/inspection';
import { addDays } from '@brave-comb/core/units';
import { Store } from '@ngrx/store';
import { PlanningEvents, planningFeature } from '../planning/planning.feature';
import { peopleFeature } from '../people/people.feature';
import { namesOf } from '../language/words';
import { dayOf, longDay, shortDate, timeOf } from '../ui/format';
import { titled } from '../ui/titled';

/** Frames of a box that nobody has looked into yet. */
const USUAL = 11;

/** A side of a frame, with what the last visit wrote there. */
function sidesOf({ frameCount, lastTime }: GroupSheet) {
  const frames = frameCount || USUAL;
  return Array.from({ length: frames }, (_, index) => {
    const frame = index + 1;
    const last = lastTime?.frames[index];
    return {
      frame,
      sides: (['low', 'high'] as const).map((face) => {
        const other = face === 'low' ? frame - 1 : frame + 1;
        return {
          face,
          toward: other < 1 || other > frames ? $localize`to the wall` : $localize`to ${other}`,
          last: LETTERS.map((letter) => last?.[face]?.eighths[letter] ?? ''),
        };
      }),
    };
  });
}

/** A sheet a hive to write on where no device is at hand: what the screens ask, in the order in which it is entered. */
@Component({
  selector: 'bc-record-sheets',
  imports: [MatButton, RouterLink],
  templateUrl: './record-sheets.html',
  styleUrl: './record-sheets.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class RecordSheets {
  private readonly store = inject(Store);
  readonly session = input.required<string>();
  private readonly person = this.store.selectSignal(peopleFeature.selectPerson);
  private readonly sheet = this.store.selectSignal(planningFeature.selectSheet);
  protected readonly fault = this.store.selectSignal(planningFeature.selectFault);
  protected readonly letters = LETTERS;
  protected readonly contents = namesOf('content');
  protected readonly moods = MOODS;
  protected readonly moodNames = namesOf('mood');
  protected readonly levels = SKILL_LEVELS;
  protected readonly levelNames = namesOf('skillLevel');
  protected readonly head = computed(() => {
    const sheet = this.sheet();
    if (!sheet) return '';
    const { startsAt, zone, site } = sheet.session;
    return [longDay(startsAt, zone), site.name, this.person()?.school.name].filter(Boolean).join(', ');
  });
  protected readonly emergency = computed(() => this.sheet()?.emergency ?? null);
  protected readonly pages = computed(() => {
    const sheet = this.sheet();
    if (!sheet || sheet.session.id !== this.session()) return null;
    return sheet.groups.map((group) => ({
      group,
      frames: sidesOf(group),
      closes: timeOf(sheet.session.endsAt, sheet.session.zone),
      lastDay: group.lastTime ? shortDate(addDays(sheet.session.date, -group.lastTime.daysAgo)) : null,
      supers: group.stack.filter(({ layer }) => layer.kind === 'box').length - 1,
      people: [...new Set(group.rota.flatMap(({ roles }) => JOBS.flatMap((role) => roles[role])))],
    }));
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.store.dispatch(PlanningEvents.daySheetLeft()));
    titled(() => {
      const session = this.sheet()?.session;
      return session ? $localize`Record sheets, ${dayOf(session.startsAt, session.zone)}` : null;
    });
    effect(() => {
      const session = this.session();
      untracked(() => this.store.dispatch(PlanningEvents.daySheetOpened({ session })));
    });
  }

  protected print(): void {
    globalThis.print();
  }
}
