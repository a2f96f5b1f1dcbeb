import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Router, RouterLink } from '@angular/router';
import type { OnHand } from '@brave-comb/contract';
import { named } from '@brave-comb/core/language';
import { DEPTHS, type Depth } from '@brave-comb/core/weather';
import { v7 as uuid } from 'uuid';
import { saving } from '../api/saving';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { said } from '../language/said';
import { DayField } from '../parts/day-field';
import { FIELD } from '../parts/field';
import { TimeField } from '../parts/time-field';
import { dateText, momentOf, oddsText } from '../ui/format';
import { CallOff } from './call-off';
import { HandHours } from './hand-hours';

type Group = OnHand['groups'][number];

interface Wish {
  readonly site?: string;
  readonly date?: string;
  readonly from?: string;
  readonly to?: string;
}

interface Part {
  readonly on: boolean;
  readonly hive: string | null;
  readonly supervisor: string | null;
}

/** A session without the planner: opens with tomorrow as it could be, and is made, moved or called off with a word. */
@Component({
  selector: 'bc-by-hand',
  imports: [CallOff, DayField, FIELD, HandHours, MatButton, RouterLink, TimeField, ViewState],
  templateUrl: './by-hand.html',
  styleUrl: './by-hand.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ByHandScreen {
  private readonly router = inject(Router);
  private readonly bar = inject(MatSnackBar);
  private readonly desk = inject(ViewDesk);
  /** The session that is changed; none for a new one. */
  readonly session = input<string>();
  protected readonly before = this.desk.watch('plannedSession', () => {
    const session = this.session();
    return session === undefined ? null : { params: { session } };
  });
  private readonly wish = signal<Wish>({});
  private readonly started = computed(() => this.session() === undefined || this.before.data() !== null);
  protected readonly watched = this.desk.watch('handSession', () =>
    this.started() ? { query: { ...this.wish(), ...(this.session() ? { session: this.session() } : {}) } } : null,
  );
  protected readonly save = saving();
  private readonly id = uuid();
  protected readonly data = this.watched.data;
  /** What was chosen of each group, beside what is proposed. */
  private readonly chosen = signal<ReadonlyMap<string, Partial<Part>>>(new Map());
  protected readonly depth = signal<Depth | null>(null);
  protected readonly word = signal('');
  protected readonly anyway = signal('');
  protected readonly depths = DEPTHS.toReversed().map((id) => ({ id, name: said(named('depth', id)) }));
  protected readonly oddsText = oddsText;
  protected readonly dateText = dateText;
  protected readonly begun = computed(
    () => this.before.data()?.begun === true || this.before.data()?.status === 'held',
  );
  protected readonly off = computed(() => this.before.data()?.status === 'called-off');
  protected readonly unfit = computed(() => this.save.fault()?.problem === 'does-not-fit');
  protected readonly meanwhile = computed(() => this.save.fault()?.problem === 'changed-meanwhile');

  protected readonly rows = computed(() =>
    (this.data()?.groups ?? []).map((group) => {
      const own = this.chosen().get(group.id) ?? {};
      const part: Part = {
        on: own.on ?? (this.session() === undefined && group.hive !== null && group.supervisor !== null),
        hive: own.hive ?? group.hive,
        supervisor: own.supervisor ?? group.supervisor,
      };
      const hive = group.hives.find(({ id }) => id === part.hive);
      return { group, part, hive, next: this.nextText(group) };
    }),
  );
  protected readonly ticked = computed(() => this.rows().filter(({ part }) => part.on));
  protected readonly ready = computed(() => {
    const parts = this.ticked();
    return parts.length > 0 && parts.every(({ part }) => part.hive !== null && part.supervisor !== null);
  });

  constructor() {
    effect(() => {
      const before = this.before.data();
      if (!before) return;
      untracked(() => {
        const { site, date, from, to, depth, parts } = before;
        this.wish.set({ site, date, from, to });
        this.depth.set(depth);
        this.chosen.set(
          new Map(parts.map(({ group, hive, supervisor }) => [group, { on: true, hive, supervisor }] as const)),
        );
      });
    });
  }

  private nextText({ next }: Group): string | null {
    const zone = this.data()?.site.zone ?? 'UTC';
    return next === null ? null : momentOf(next, zone);
  }

  protected change(wish: Wish): void {
    // Another day or place has other hours: those that were proposed are asked for anew.
    const moved = 'date' in wish || 'site' in wish;
    this.wish.update((now) =>
      moved && this.session() === undefined
        ? { ...now, ...wish, from: undefined!, to: undefined! }
        : { ...now, ...wish },
    );
    if (moved || this.session() === undefined) this.depth.set(null);
  }

  protected hours(from: string, to: string): void {
    this.change({ from, to });
  }

  protected pick(group: string, part: Partial<Part>): void {
    this.chosen.update((all) => new Map([...all, [group, { ...all.get(group), ...part }]]));
  }

  protected async submit(tell: boolean): Promise<void> {
    const data = this.data();
    if (!data || !this.ready()) return;
    const id = this.session() ?? this.id;
    const done = await this.save.send('keepHandSession', {
      params: { session: id },
      body: {
        version: this.before.data()?.version ?? 0,
        site: data.site.id,
        date: data.date,
        from: data.from,
        to: data.to,
        depth: this.depth() ?? data.depth,
        parts: this.ticked().map(({ group, part }) => ({
          group: group.id,
          hive: part.hive!,
          supervisor: part.supervisor!,
        })),
        anyway: this.anyway(),
        tell,
        word: this.word(),
      },
    });
    if (!done) return;
    this.bar.open(
      tell
        ? $localize`The session stands; ${done.told} people were told.`
        : $localize`The session stands; nobody was told yet.`,
      undefined,
      { duration: 8000 },
    );
    await this.router.navigateByUrl(`/ahead/${id}`);
  }
}
