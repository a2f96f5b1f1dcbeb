import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { topicOf } from '@brave-comb/core/practice';
import { ViewDesk } from '../season/view-desk';
import { ViewState } from '../season/view-state';

const STATIONS = [1, 2, 3, 4, 5, 6] as const;

/** A session under a roof from what a group is weakest at: stations, how long, who with whom. */
@Component({
  selector: 'bc-indoor-plan',
  imports: [ViewState],
  template: `
    <bc-view-state [watched]="practice" name="Practice" />
    @if (practice.data(); as data) {
      <section class="sheet" aria-labelledby="indoors">
        <h1 id="indoors">A session indoors</h1>
        <div class="fields">
          <label
            >Group
            <select #group [value]="chosen()" (change)="chosen.set(group.value)">
              @for (each of data.groups; track each.id) {
                <option [value]="each.id" [selected]="each.id === chosen()">{{ each.name }}</option>
              }
            </select></label
          >
          <label
            >Minutes
            <input
              #time
              type="number"
              min="15"
              max="480"
              step="5"
              [value]="minutes()"
              (change)="setMinutes(time.valueAsNumber)"
          /></label>
          <label
            >Stations
            <select #count [value]="stations()" (change)="stations.set(+count.value)">
              @for (each of counts; track each) {
                <option [value]="each" [selected]="each === stations()">{{ each }}</option>
              }
            </select></label
          >
          <button type="button" class="btn line" (click)="print()">Print</button>
        </div>
        @if (data.groups.length === 0) {
          <p>You have not led a group yet: a plan is made from a group’s weakest drills.</p>
        }
        <bc-view-state [watched]="plan" name="The plan" />
        @if (plan.data(); as found) {
          <p class="quiet">
            {{ found.group.name }}, {{ found.trainees }} {{ found.trainees === 1 ? 'trainee' : 'trainees' }}. From what
            was practised, what was read at the hives, and which skills are open; the weakest first.
          </p>
          <ol>
            @for (station of rows(); track station.topic) {
              <li>
                <h2>
                  {{ station.name }} <small>{{ station.minutes }} min</small>
                </h2>
                <p class="bar" aria-hidden="true"><i [style.width.%]="100 * station.weakness"></i></p>
                <p>{{ station.how }}</p>
                <ul>
                  @for (line of station.why; track $index) {
                    <li>{{ line }}</li>
                  }
                </ul>
                <p><b>Together:</b> {{ station.together }}</p>
              </li>
            }
          </ol>
        }
      </section>
    }
  `,
  styles: `
    section {
      display: grid;
      gap: 12px;
      max-width: 920px;
      margin: 16px auto;
      padding: 12px 18px 16px;
    }
    h1 {
      font-size: 21px;
    }
    h2 {
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
    }
    .quiet {
      color: var(--ink-2);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class IndoorPlanScreen {
  private readonly desk = inject(ViewDesk);
  /** From the address. */
  readonly group = input<string | undefined>();
  protected readonly practice = this.desk.watch('practice', () => ({}));
  protected readonly chosen = linkedSignal(() => this.group() ?? this.practice.data()?.groups[0]?.id ?? '');
  protected readonly minutes = signal(90);
  protected readonly stations = signal<number>(3);
  protected readonly counts = STATIONS;
  protected readonly plan = this.desk.watch('indoorPlan', () =>
    this.chosen() === ''
      ? null
      : {
          params: { group: this.chosen() },
          query: { minutes: `${this.minutes()}`, stations: `${this.stations()}` },
        },
  );
  protected readonly rows = computed(() =>
    (this.plan.data()?.stations ?? []).map((station) => ({
      ...station,
      name: topicOf(station.topic).name,
      together: station.pairs.map((pair) => pair.join(pair.length > 2 ? ', ' : ' and ')).join('; '),
    })),
  );

  protected setMinutes(minutes: number): void {
    if (Number.isFinite(minutes)) this.minutes.set(Math.min(480, Math.max(15, Math.round(minutes))));
  }

  protected print(): void {
    globalThis.print();
  }
}
