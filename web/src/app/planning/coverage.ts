import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { dateText, dayOf, oddsText, timeOf } from '../ui/format';
import { FIELD } from '../parts/field';

/** Skills down, groups across: who has been seen at what, until when the season shows it, the next chance. */
@Component({
  selector: 'bc-coverage',
  imports: [FIELD, RouterLink, ViewState],
  templateUrl: './coverage.html',
  styleUrl: './coverage.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CoverageScreen {
  private readonly desk = inject(ViewDesk);
  protected readonly watched = this.desk.watch('coverage', () => ({}));
  protected readonly data = this.watched.data;
  protected readonly gapsOnly = signal(false);

  protected readonly rows = computed(() => {
    const data = this.data();
    if (!data) return [];
    const size = new Map(data.groups.map((group) => [group.id, group.size]));
    const name = new Map(data.groups.map((group) => [group.id, group.name]));
    return data.skills
      .map((skill) => ({
        ...skill,
        when: !skill.seasonal
          ? $localize`at any opening`
          : skill.window === null
            ? $localize`not again this year`
            : skill.window.from > data.today
              ? $localize`${dateText(skill.window.from)} to ${dateText(skill.window.to)}`
              : $localize`until ${dateText(skill.window.to)}`,
        cells: skill.groups.map(({ group, seen, open, next }) => ({
          group,
          name: name.get(group) ?? '',
          seen,
          of: size.get(group) ?? 0,
          open,
          next:
            next === null
              ? null
              : {
                  planned: next.planned,
                  words: $localize`${dayOf(next.startsAt, next.zone)}, ${timeOf(next.startsAt, next.zone)}, hive ${next.hive}, ${oddsText(next.chance)}`,
                },
        })),
      }))
      .filter(
        ({ nobody, cells }) => !this.gapsOnly() || nobody || cells.some(({ open, next }) => open > 0 && !next?.planned),
      );
  });
  protected readonly nobody = computed(() => this.rows().filter(({ nobody }) => nobody).length);
}
