import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatFormField } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import type { YardRound } from '@brave-comb/contract';
import { BRINGS, type BringId, type RoundColony, yardRound } from '@brave-comb/core/care';
import { daysBetween } from '@brave-comb/core/units';
import { Store } from '@ngrx/store';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { measured } from '../language/units';
import { named } from '../language/words';
import { seasonFeature } from '../season/season.feature';
import { dateText, dayText } from '../ui/format';
import { type GoesTo, RoundChoices } from './round-choices';
import { RoundMap } from './round-map';

type Colony = YardRound['colonies'][number];
type Job = Colony['jobs'][number];

/** All that a site asks for in the coming week, as one walk with its kit. */
@Component({
  selector: 'bc-yard-round',
  imports: [
    MatButton,
    MatButtonToggleModule,
    MatCheckbox,
    MatFormField,
    MatSelectModule,
    RoundMap,
    RouterLink,
    ViewState,
  ],
  templateUrl: './yard-round.html',
  styleUrls: ['./colony-pages.scss', './yard-round.scss'],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class YardRoundScreen {
  private readonly desk = inject(ViewDesk);
  protected readonly choices = inject(RoundChoices);
  private readonly seasonSite = inject(Store).selectSignal(seasonFeature.selectSite);
  private readonly chosenSite = signal<string | null>(null);
  protected readonly watched = this.desk.watch('yardRound', () => {
    const site = this.chosenSite() ?? this.seasonSite();
    return site ? { query: { site } } : null;
  });
  protected readonly data = this.watched.data;

  constructor() {
    effect(() => {
      const day = this.data()?.today;
      if (day) this.choices.begin(day);
    });
  }

  /** Where a job is done: as chosen, else as it is proposed. */
  protected goesTo = (colony: Colony, job: Job): GoesTo =>
    this.choices.of(`${colony.hive} ${job.key}`) ?? (job.goesTo === 'session' && !job.session ? 'round' : job.goesTo);

  private readonly walkers = computed((): readonly RoundColony[] =>
    (this.data()?.colonies ?? []).map((colony) => ({
      ...colony,
      jobs: colony.jobs.flatMap((job) => {
        const where = this.goesTo(colony, job);
        if (where !== 'round' && where !== 'evening') return [];
        return [
          { ...job, errand: { ...job.errand, when: where === 'evening' ? ('evening' as const) : ('day' as const) } },
        ];
      }),
    })),
  );
  protected readonly round = computed(() => yardRound(this.walkers()));
  protected readonly walk = computed(() => this.round().stops.filter(({ when }) => when === 'day'));
  protected readonly walkedHives = computed(() => this.walk().map(({ hive }) => hive));

  /** Every job, in the order of the walk, those that go elsewhere after it. */
  protected readonly lines = computed(() => {
    const colonies = this.data()?.colonies ?? [];
    const stops = this.round().stops;
    const lines = colonies.flatMap((colony) =>
      colony.jobs.map((job) => {
        const where = this.goesTo(colony, job);
        const when = where === 'evening' ? 'evening' : 'day';
        const at = stops.findIndex((stop) => stop.hive === colony.hive && stop.when === when);
        const walks = where === 'round' || where === 'evening';
        return {
          colony,
          job,
          where,
          stop: walks ? at + 1 : null,
          order: walks ? (stops[at]?.order ?? null) : null,
          key: `${colony.hive} ${job.key}`,
        };
      }),
    );
    return lines.sort(
      (a, b) => (a.stop ?? 99) - (b.stop ?? 99) || a.job.by.localeCompare(b.job.by) || a.key.localeCompare(b.key),
    );
  });
  protected readonly sessions = computed(() => this.lines().filter(({ where }) => where === 'session').length);
  protected readonly jobs = computed(() => this.lines().filter(({ stop }) => stop !== null).length);
  protected readonly kit = computed(() => {
    const store = this.data()?.store;
    return this.round().kit.map((line) => ({
      ...line,
      text: amountOf(line.what, line.amount),
      // What lies in store tells only of combs; everything else is looked for in the shed.
      short: line.what === 'foundation' && store ? Math.max(0, line.amount - store.foundation) : 0,
    }));
  });
  protected readonly alone = computed(() => (this.data()?.colonies ?? []).filter(({ alone }) => alone !== null));
  protected readonly idle = computed(() =>
    (this.data()?.colonies ?? []).filter(({ jobs, alone }) => jobs.length === 0 && alone === null),
  );

  protected choose({ colony, job, key }: ReturnType<typeof this.lines>[number], where: GoesTo): void {
    this.choices.choose(key, where);
    const advice = /^advice:(.+)$/.exec(job.key)?.[1];
    if (where === 'session' && advice)
      this.desk.change(
        'sendToSession',
        { params: { hive: colony.hive }, body: { id: this.desk.newId(), advice: advice as never } },
        'yardRound',
      );
  }

  protected chooseSite(site: string): void {
    this.chosenSite.set(site);
  }

  protected brings = ({ errand, bring }: Job): string =>
    [...errand.brings.map(({ what, amount }) => amountOf(what, amount)), ...(bring ? [bring] : [])].join(', ');
  protected isLate = ({ by }: Job): boolean => daysBetween(this.data()?.today ?? by, by) < 0;
  protected readonly print = (): void => globalThis.print();
  protected readonly measured = measured;
  protected readonly dateText = dateText;
  protected readonly dayText = dayText;
}

/** "2 × feeder", "1.9 L thin syrup". */
function amountOf(what: BringId, amount: number): string {
  const unit = BRINGS[what];
  if (unit === 'litres') return `${measured('volume', amount, 1)} ${named('bring', what)}`;
  return unit === 'kg'
    ? `${measured('weight', amount, 2)} ${named('bring', what)}`
    : `${amount} × ${named('bring', what)}`;
}
