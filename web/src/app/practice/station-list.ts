import { listed } from '../language/words';
import { said } from '../language/said';
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type TopicId, topicOf } from '@brave-comb/core/practice';

/** A station of a session indoors; what only those who lead the group see may be missing. */
export interface Station {
  readonly topic: TopicId;
  readonly minutes: number;
  readonly how: string;
  readonly pairs: readonly (readonly string[])[];
  readonly weakness?: number;
  readonly why?: readonly string[];
}

/** Stations of a session indoors: what, how long, who with whom, and the drill that is done there. */
@Component({
  selector: 'bc-station-list',
  imports: [RouterLink],
  template: `
    <ol>
      @for (station of rows(); track station.topic) {
        <li>
          <h3>
            <a [routerLink]="['/practice', station.topic]">{{ station.name }}</a>
            <small i18n>{{ station.minutes }} min</small>
          </h3>
          @if (station.weakness !== undefined) {
            <p class="bar" aria-hidden="true"><i [style.width.%]="100 * station.weakness"></i></p>
          }
          <p>{{ station.how }}</p>
          @if (station.why?.length) {
            <ul>
              @for (line of station.why; track $index) {
                <li>{{ line }}</li>
              }
            </ul>
          }
          <p><b i18n>Together:</b> {{ station.together }}</p>
        </li>
      }
    </ol>
  `,
  styles: `
    h3 {
      display: flex;
      gap: 10px;
      align-items: baseline;
      font-size: 17px;
    }
    small {
      color: var(--ink-2);
      font: 400 14px var(--font);
    }
    ol {
      display: grid;
      gap: 14px;
    }
    ol > li {
      display: grid;
      gap: 5px;
      padding-top: 10px;
      border-top: 1px solid var(--line);
    }
    ul {
      padding-left: 18px;
      color: var(--ink-2);
      list-style: disc;
    }
    .bar {
      width: 160px;
      height: 9px;
      border: 1px solid var(--ink-3);
      border-radius: 2px;
    }
    .bar i {
      display: block;
      height: 100%;
      background: var(--hatch-rust);
      print-color-adjust: exact;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class StationList {
  readonly stations = input.required<readonly Station[]>();
  protected readonly rows = computed(() =>
    this.stations().map((station) => ({
      ...station,
      name: said(topicOf(station.topic).name),
      together: station.pairs.map((pair) => listed(pair)).join('; '),
    })),
  );
}
