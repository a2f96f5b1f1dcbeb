import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { dayOf } from '../ui/format';

const [WIDTH, HEIGHT, PAD] = [220, 56, 7];

/** How well sides were predicted before they were turned, visit by visit. */
@Component({
  selector: 'bc-predictions',
  imports: [RouterLink, ViewState],
  template: `
    <bc-view-state [watched]="watched" name="The predictions" i18n-name />
    @if (watched.data()) {
      <section class="sheet" aria-labelledby="predictions-title">
        <h1 id="predictions-title" i18n>Predict, then look</h1>
        <p class="quiet" i18n>
          Half of the score is for the main content of the side, half for the set of contents. A prediction counts once
          the side has been read.
        </p>
        <ul>
          @for (person of people(); track person.id) {
            <li>
              <h2>{{ person.name }}</h2>
              <svg [attr.viewBox]="'0 0 ' + width + ' ' + height" role="img" [attr.aria-label]="person.says">
                <path class="half" [attr.d]="'M0 ' + height / 2 + 'h' + width" />
                <path class="line" [attr.d]="person.path" />
                @for (point of person.points; track $index) {
                  <circle [attr.cx]="point.x" [attr.cy]="point.y" r="4" />
                }
              </svg>
              <p>
                <b>{{ person.says }}</b>
                @if (person.missed) {
                  <ng-container i18n><br />Missed most: {{ person.missed }}. </ng-container>
                }
              </p>
              <p class="visits">
                @for (visit of person.visits; track visit.visit) {
                  <a [routerLink]="['/afterwards', visit.visit]" i18n
                    >{{ visit.day }}, hive {{ visit.hiveNumber }}: {{ visit.tenths }} of 10 in {{ visit.guesses }}</a
                  >
                }
              </p>
            </li>
          } @empty {
            <li class="none" i18n>Nobody has predicted a side yet. At the frames, "More" has "Predict this side".</li>
          }
        </ul>
      </section>
    }
  `,
  styles: `
    section {
      max-width: 900px;
      margin: 16px auto;
      padding: 14px 20px 16px;
    }
    h1 {
      font-size: 20px;
    }
    h2 {
      font-size: 16px;
    }
    li {
      display: grid;
      grid-template-columns: 110px 220px minmax(0, 1fr);
      gap: 6px 18px;
      align-items: center;
      padding: 10px 0;
      border-top: 1px solid var(--line-2);
    }
    .none {
      display: block;
    }
    .visits {
      display: flex;
      grid-column: 2 / -1;
      flex-wrap: wrap;
      gap: 4px 16px;
      font-size: var(--t-dense);
    }
    .quiet {
      color: var(--ink-2);
    }
    .half {
      stroke: var(--line);
      stroke-dasharray: 3 3;
    }
    .line {
      fill: none;
      stroke: var(--spruce);
      stroke-width: 2;
    }
    circle {
      fill: var(--spruce);
    }
    @media (width < 700px) {
      li {
        grid-template-columns: minmax(0, 1fr);
      }
      .visits {
        grid-column: 1;
      }
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PredictionsScreen {
  private readonly desk = inject(ViewDesk);
  protected readonly watched = this.desk.watch('predictions', () => ({}));
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;

  protected readonly people = computed(() => {
    const data = this.watched.data();
    return (data?.people ?? []).map(({ id, name, visits }) => {
      const x = scaleLinear()
        .domain([0, Math.max(1, visits.length - 1)])
        .range([PAD, WIDTH - PAD]);
      const y = scaleLinear()
        .domain([0, 1])
        .range([HEIGHT - PAD, PAD]);
      const points = visits.map(({ score }, index) => ({ x: x(index), y: y(score) }));
      const guesses = visits.reduce((sum, visit) => sum + visit.guesses, 0);
      const mean = visits.reduce((sum, visit) => sum + visit.score * visit.guesses, 0) / Math.max(1, guesses);
      const [first, last] = [visits[0]?.score ?? 0, visits.at(-1)?.score ?? 0];
      const trend =
        visits.length < 2 || Math.abs(last - first) < 0.1
          ? ''
          : last > first
            ? $localize`, rising`
            : $localize`, falling`;
      return {
        id,
        name,
        points,
        path: line<{ x: number; y: number }>(
          (point) => point.x,
          (point) => point.y,
        )(points),
        says: $localize`${Math.round(mean * 10)} of 10 over ${guesses} ${guesses === 1 ? $localize`guess` : $localize`guesses`}${trend}`,
        missed: mostOf(visits.flatMap((visit) => visit.missed)),
        visits: visits.map((visit) => ({
          ...visit,
          day: dayOf(visit.at, data?.zone ?? 'utc'),
          tenths: Math.round(visit.score * 10),
        })),
      };
    });
  });
}

/** The two that come up most. */
function mostOf(words: readonly string[]): string {
  const counts = new Map<string, number>();
  for (const word of words) counts.set(word, (counts.get(word) ?? 0) + 1);
  return [...counts]
    .sort(([, a], [, b]) => b - a)
    .slice(0, 2)
    .map(([word]) => word)
    .join(', ');
}
