import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { SORT } from '../parts/sort-words';
import { RouterLink } from '@angular/router';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { dateText, dayOf, oddsText, timeOf } from '../ui/format';
import { Pages } from '../parts/pages';
import { recordTable } from '../parts/record-table';
import { FIELD } from '../parts/field';

/** Lines of a page, and skills named first for a group. */
const [PAGE, URGENT] = [15, 3];

/** Skills down, groups across: who has been seen at what, until when the season shows it, the next chance. */
@Component({
  selector: 'bc-coverage',
  imports: [FIELD, Pages, SORT, RouterLink, ViewState],
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
  protected readonly table = recordTable(
    this.rows,
    {
      skill: ({ name }) => name,
      season: ({ seasonal, window }) => (seasonal ? (window?.to ?? null) : null),
    },
    PAGE,
  );
  /** Of each group the open skills whose chance ends first. */
  protected readonly urgent = computed(() =>
    (this.data()?.groups ?? []).map(({ id, name }) => ({
      id,
      name,
      lines: this.rows()
        .flatMap((row) =>
          row.cells
            .filter(({ group, open }) => group === id && open > 0)
            .map((cell) => ({ ...row, ...cell, name: row.name })),
        )
        .slice(0, URGENT),
    })),
  );
  protected readonly nobody = computed(() => this.rows().filter(({ nobody }) => nobody).length);
}
