import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  CHECKS,
  CHECK_IDS,
  DEPTH_WORDS,
  type FrameSide,
  type SideAddress,
  formatSide,
  sideKey,
  tellingSides,
  sideText,
  type CheckId,
  JOBS,
  type Job,
  SMOKELESS_PLAN,
  VISIT_DEPTHS,
  type VisitDepth,
  guardsOf,
  guardsLeft,
} from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../inspection/inspection.feature';
import { VisitDesk } from '../inspection/visit-desk';
import { dateInFull, dateText, dayOf } from '../ui/format';
import { CombPortrait } from '../inspection/comb-portrait';
import { StandingMap } from '../equipment/standing-map';
import { HiveCards } from './cards/hive-cards';
import { Choice } from './choice';
import { HiveJobs } from './hive-jobs';
import { Named, named } from '../language/words';
import { SaidPipe, said } from '../language/said';
import { MatButton } from '@angular/material/button';

/** Sides of last time that are shown. */
const TELLING = 3;

/** Before the lid comes off: cautions, how deep, smoker and veils, who does what. */
@Component({
  selector: 'bc-before-panel',
  imports: [MatButton, Named, SaidPipe, Choice, CombPortrait, StandingMap],
  template: `
    @for (guard of guards(); track guard.id) {
      <p [class]="guard.bar === 'warns' ? 'caution' : 'stop'">{{ guard.says | said }}</p>
    }
    @if (file()?.depth; as hour) {
      @if (hour.allowed !== 'full') {
        <p class="caution">
          <b i18n>Today {{ depthWords[hour.allowed] | said }}</b
          >: {{ hour.why }}.
        </p>
      }
    }
    @for (caution of cautions(); track caution) {
      <p class="caution">{{ caution }}</p>
    }
    @if (file()?.colony; as colony) {
      <section class="identity" aria-label="This colony" i18n-aria-label>
        @if (file()?.standing; as standing) {
          <bc-standing-map [standing]="standing" [number]="file()?.visit?.hiveNumber ?? ''" [size]="208" />
        }
        <div>
          <p i18n>
            <b>Hive {{ file()?.visit?.hiveNumber }}</b
            >: {{ colony.origin }}, here since {{ since() }}, kept for {{ purpose() }}.
          </p>
          <p>{{ colony.temperSays }}</p>
          @for (line of file()?.standing?.says ?? []; track line) {
            <p>{{ line }}</p>
          }
          @if (kit().length > 0) {
            <p><b i18n>Beside you:</b> {{ kit().join('; ') }}.</p>
          }
        </div>
      </section>
    }
    @if (telling().length > 0) {
      <fieldset>
        <legend i18n>Last time, {{ lastDay() }}</legend>
        <div class="last">
          @for (each of telling(); track each.key) {
            <figure>
              <bc-comb-portrait [side]="each.side" [width]="170" [seed]="each.address.frame" [name]="each.where" />
              <figcaption>
                <b>{{ each.where }}</b><br />{{ each.line }}
              </figcaption>
            </figure>
          }
        </div>
      </fieldset>
    }
    @if (tasks().length > 0) {
      <fieldset>
        <legend i18n>To be done here; tap what is done</legend>
        <div class="tasks">
          @for (task of tasks(); track task.id) {
            <button
              type="button"
              matButton="outlined"
              [class.sel]="task.done"
              [attr.aria-pressed]="task.done"
              (click)="settle(task.id, !task.done)"
            >
              {{ task.what }} <small i18n>{!!task.done, select, true {done} other {by {{ task.by }}}}</small>
            </button>
          }
        </div>
      </fieldset>
    }
    <bc-choice
      legend="How deep today"
      i18n-legend
      [options]="depths"
      [words]="depthWords"
      [value]="depth()"
      (chosen)="deep($event)"
    />
    @if (file()?.depth?.allowed === 'full') {
      <p class="why" i18n>The hour allows the whole nest: {{ file()?.depth?.why }}.</p>
    }
    <fieldset>
      <legend i18n>Smoker</legend>
      <div class="row">
        @for (check of smoker; track check) {
          @let no = ok(check, null) === false;
          <button
            type="button"
            matButton="outlined"
            [class.sel]="ok(check, null) === true"
            [class.some]="no"
            [attr.aria-pressed]="ok(check, null) === true"
            (click)="toggle(check, null)"
          >
            <ng-container i18n>{{ check | named: 'check' }}{no, select, true {: no} other {}}</ng-container>
          </button>
        }
      </div>
      @if (smokeless()) {
        <ol class="caution">
          @for (line of plan; track line) {
            <li>{{ line | named: 'smokeless' }}</li>
          }
        </ol>
      }
    </fieldset>
    @for (check of each; track check) {
      <fieldset>
        <legend>{{ check | named: 'check' }}</legend>
        <div class="row">
          @for (person of file()?.trainees ?? []; track person.id) {
            @let no = ok(check, person.id) === false;
            <button
              type="button"
              matButton="outlined"
              [class.sel]="ok(check, person.id) === true"
              [class.some]="no"
              [attr.aria-pressed]="ok(check, person.id) === true"
              (click)="toggle(check, person.id)"
            >
              <ng-container i18n>{{ person.name }}{no, select, true {: not yet} other {}}</ng-container>
            </button>
          }
        </div>
      </fieldset>
    }
    @for (person of notes(); track person.id) {
      <p class="why">
        <b>{{ person.name }}</b> {{ person.note }}
      </p>
    }
    <fieldset>
      <legend i18n>Jobs from the rota; tap a name to change the job</legend>
      <dl>
        @for (role of roles; track role) {
          <div>
            <dt>{{ jobs.words[role] }}</dt>
            <dd class="row">
              @for (name of jobs.now()[role]; track name) {
                <button type="button" matButton="outlined" (click)="handOn(name, role)">{{ name }}</button>
              } @empty {
                <ng-container i18n>nobody </ng-container>
              }
            </dd>
          </div>
        }
      </dl>
    </fieldset>
    @if (answers().length > 0) {
      <fieldset>
        <legend i18n>The lead answered</legend>
        @for (each of answers(); track each.question) {
          <p>
            {{ each.question }} <b>{{ each.answer }}</b>
          </p>
        }
      </fieldset>
    }
  `,
  styleUrl: './hive-parts.scss',
  styles: `
    .identity {
      display: flex;
      gap: 14px;
      align-items: start;
    }
    bc-standing-map {
      flex: none;
    }
    .last {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 16px;
    }
    figure {
      width: 170px;
    }
    figcaption {
      font-size: 14.5px;
    }
    .identity p {
      margin-bottom: 3px;
    }
    .tasks {
      display: grid;
      gap: 7px;
    }
    .tasks button {
      justify-content: flex-start;
    }
    @media (width < 700px) {
      .identity {
        display: grid;
      }
    }
    :host {
      display: grid;
      gap: 10px;
      align-content: start;
    }
    .why {
      font-size: 15px;
    }
    ol.caution {
      margin-top: 8px;
      padding-left: 26px;
      list-style: decimal;
    }
    dl > div {
      display: grid;
      grid-template-columns: 110px 1fr;
      gap: 8px;
      align-items: center;
      padding: 4px 0;
      border-bottom: 1px solid var(--line);
    }
    dt {
      font-weight: 700;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class BeforePanel {
  private readonly store = inject(Store);
  private readonly desk = inject(VisitDesk);
  protected readonly jobs = inject(HiveJobs);
  protected readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  private readonly facts = this.store.selectSignal(inspectionFeature.selectGuardFacts);
  protected readonly depth = this.store.selectSignal(inspectionFeature.selectDepth);

  protected readonly roles: readonly Job[] = JOBS;
  protected readonly depths = VISIT_DEPTHS;
  protected readonly depthWords = DEPTH_WORDS;
  protected readonly plan = SMOKELESS_PLAN;
  private readonly before = CHECK_IDS.filter((id) => CHECKS[id].when === 'before');
  protected readonly smoker = this.before.filter((id) => !CHECKS[id].each);
  protected readonly each = this.before.filter((id) => CHECKS[id].each);
  protected readonly smokeless = computed(
    () => this.ok('smoker-fuel', null) === false || this.ok('lighter', null) === false,
  );
  private readonly cards = inject(HiveCards);
  protected readonly guards = computed(() => guardsLeft(guardsOf({ do: 'open' }, this.facts()), this.record()));
  protected readonly cautions = computed(() => this.file()?.cautions ?? []);
  protected readonly notes = computed(() => this.file()?.trainees.filter(({ note }) => note !== null) ?? []);
  protected readonly lastDay = computed(() => {
    const { last, visit } = this.file() ?? {};
    return last && visit ? dayOf(last.at, visit.zone) : '';
  });
  private readonly stack = this.store.selectSignal(inspectionFeature.selectStack);
  protected readonly telling = computed(() => {
    const sides = (this.file()?.last?.sides ?? []) as { address: SideAddress; side: FrameSide }[];
    return tellingSides(sides, TELLING).map(({ address, side }) => ({
      address,
      side,
      key: sideKey(address),
      where: said(sideText(address, this.stack())),
      line: formatSide(side),
    }));
  });
  protected readonly kit = computed(() => this.file()?.kit ?? []);
  protected readonly since = computed(() => dateInFull(this.file()?.colony.since ?? ''));
  protected readonly purpose = computed(() => named('colonyClass', this.file()?.colony.class ?? 'teaching'));
  protected readonly tasks = computed(() =>
    (this.file()?.tasks ?? []).map((task) => ({
      ...task,
      by: dateText(task.due),
      done: this.record().tasks.find((each) => each.task === task.id)?.done ?? false,
    })),
  );
  protected readonly answers = computed(() => this.file()?.answers ?? []);

  protected ok(check: CheckId, person: string | null): boolean | null {
    return this.record().checks.find((each) => each.check === check && each.person === person)?.ok ?? null;
  }

  /** Yes at the first tap, no at the second. */
  protected toggle(check: CheckId, person: string | null): void {
    this.desk.enter({ kind: 'checked', check, ok: this.ok(check, person) !== true, person });
  }

  protected settle(task: string, done: boolean): void {
    this.desk.enter({ kind: 'task-settled', task, done });
  }

  protected deep(depth: VisitDepth): void {
    this.desk.enter({ kind: 'depth-chosen', depth });
  }

  /** Hands somebody the next job; what stands against it asks for a reason. */
  protected handOn(name: string, role: Job): void {
    const against = this.jobs.next(name, role);
    if (against.length > 0)
      this.cards
        .guards($localize`Frames to ${name}`, against, $localize`Hand them over anyway`)
        .subscribe((reason) => this.jobs.next(name, role, reason));
  }
}
