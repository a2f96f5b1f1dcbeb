import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { paceOf } from '@brave-comb/core/skills';
import { addDays, daysBetween } from '@brave-comb/core/units';
import { Store } from '@ngrx/store';
import { scaleLinear } from 'd3-scale';
import { ViewDesk } from '../api/view-desk';
import { dayText } from '../ui/format';
import { seasonFeature } from './season.feature';

/** Length of the bars, and the weeks ahead in which a skill has to end to be listed. */
const [BAR, AXIS, WEEKS] = [120, 190, 16];
const WEEK = 7;

/** What the course asks of the hives and of the weeks that are left: openings against their limit, skills against the season. */
@Component({
  selector: 'bc-course-load',
  imports: [RouterLink],
  templateUrl: './course-load.html',
  styleUrl: './course-load.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CourseLoad {
  private readonly desk = inject(ViewDesk);
  private readonly site = inject(Store).selectSignal(seasonFeature.selectSite);
  private readonly calendars = this.desk.watch('colonyCalendars', () => {
    const site = this.site();
    return site ? { query: { site } } : null;
  }).data;
  private readonly coverage = this.desk.watch('coverage', () => ({})).data;

  protected readonly bar = BAR;
  protected readonly axis = AXIS;
  protected readonly limit = computed(() => this.calendars()?.loadLimit.openings ?? null);
  /** Hives by how near they are to their limit. */
  protected readonly hives = computed(() => {
    const limit = this.limit();
    if (limit === null) return [];
    const colonies = this.calendars()?.colonies ?? [];
    const most = Math.max(limit, ...colonies.map(({ load }) => load.openings)) + 0.5;
    const x = scaleLinear([0, most], [0, BAR]);
    return colonies
      .map(({ hive, number, load: { openings } }) => ({
        hive,
        number,
        openings,
        width: x(openings),
        mark: x(limit),
        state: openings > limit ? 'over' : openings === limit ? 'full' : 'free',
      }))
      .sort((a, b) => b.openings - a.openings || a.number.localeCompare(b.number, undefined, { numeric: true }));
  });
  protected readonly weeks = computed(() => {
    const today = this.coverage()?.today;
    return today ? [4, 8, 12].map((week) => ({ week, x: (week / WEEKS) * AXIS })) : [];
  });
  /** Seasonal skills that somebody still needs, those that end first first. */
  protected readonly skills = computed(() => {
    const data = this.coverage();
    if (!data) return [];
    const x = scaleLinear([0, WEEKS * WEEK], [0, AXIS]).clamp(true);
    return data.skills
      .flatMap((skill) => {
        const sum = (of: 'since' | 'open') => skill.groups.reduce((all, group) => all + group[of], 0);
        const [since, open] = [sum('since'), sum('open')];
        const pace = skill.seasonal ? paceOf({ window: skill.window, since, open }, data.today) : null;
        if (pace === null || open === 0 || skill.window === null || pace.weeksLeft > WEEKS) return [];
        const [from, to] = [daysBetween(data.today, skill.window.from), daysBetween(data.today, skill.window.to)];
        return [
          {
            id: skill.id,
            name: skill.name,
            to: skill.window.to,
            left: x(from),
            width: Math.max(2, x(to) - x(Math.max(0, from))),
            short: pace.short,
            weeks:
              pace.weeksUntil > 0 ? $localize`begins ${dayText(addDays(data.today, from))}` : weeksText(pace.weeksLeft),
            says:
              pace.atThisPace === null
                ? $localize`${open} need it: ${Math.ceil(pace.neededAWeek)} a week`
                : $localize`at this pace ${pace.atThisPace} of the ${open} who need it; ${Math.ceil(pace.neededAWeek)} a week for all`,
          },
        ];
      })
      .sort((a, b) => Number(b.short) - Number(a.short) || a.to.localeCompare(b.to));
  });
}

const weeksText = (weeks: number): string =>
  weeks === 0 ? $localize`this week` : weeks === 1 ? $localize`1 week left` : $localize`${weeks} weeks left`;
