import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatFormField, MatSuffix } from '@angular/material/form-field';
import { MatListItem, MatNavList } from '@angular/material/list';
import { ActivatedRoute, RouterLink } from '@angular/router';
import type { HousePracticeForm, TriedPractice } from '@brave-comb/contract';
import { firstValueFrom } from 'rxjs';
import { ContractClient } from '../api/contract-client';
import { endpoints } from '../api/endpoints';
import { saving } from '../api/saving';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { FIELD } from '../parts/field';
import { SCHOOL_ZONE } from '../people/school-zone';
import { dayOf } from '../ui/format';
import { FitDays } from './fit-days';
import { type Shown, type Value, keptOf, symbolOf, typedOf, wordsOf } from './house-figure';

type Chapter = HousePracticeForm['chapters'][number];
type Changes = Readonly<Partial<Record<Shown['id'], Value>>>;

/** Where what is not published yet outlives a reload, on this device until it is closed. */
const DRAFT = 'house-practice';
const draft = (): Changes => JSON.parse(sessionStorage.getItem(DRAFT) ?? '{}') as Changes;

/** The school's own figures: what each means, ours beside the default and what others do, and what a change would cost before it holds. */
@Component({
  selector: 'bc-house',
  imports: [
    FIELD,
    FitDays,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatFormField,
    MatListItem,
    MatNavList,
    MatSuffix,
    RouterLink,
    ViewState,
  ],
  templateUrl: './house.html',
  styleUrl: './office.scss',
  styles: `
    .three {
      display: grid;
      grid-template-columns: 226px minmax(0, 1fr) 340px;
      gap: 18px;
      align-items: start;
    }
    @media screen and (width < 1100px) {
      .three {
        grid-template-columns: minmax(0, 1fr);
      }
      mat-nav-list {
        display: flex;
        flex-wrap: wrap;
        padding: 0;
      }
      mat-nav-list a {
        width: auto;
      }
    }
    h3 {
      font-size: 15px;
    }
    .figure {
      padding: 10px 12px;
      border-bottom: 1px solid var(--line-2);
    }
    .figure.draft {
      border-left: 4px solid var(--heather);
      background: var(--heather-100);
    }
    h3,
    .figure p {
      margin: 0 0 4px;
    }
    .figure .row {
      align-items: center;
    }
    .number {
      width: 150px;
    }
    .others {
      margin: 6px 0 0;
      padding-left: 18px;
    }
    .effect p {
      margin: 0 0 10px;
    }
    .sums b {
      font-size: 20px;
    }
    .after {
      color: var(--heather);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class HouseScreen {
  private readonly zone = inject(SCHOOL_ZONE);
  private readonly client = inject(ContractClient);
  private readonly query = toSignal(inject(ActivatedRoute).queryParamMap);
  protected readonly form = inject(ViewDesk).watch('housePractice', () => ({}));
  protected readonly save = saving();
  protected readonly changes = signal<Changes>(draft());
  protected readonly tried = signal<TriedPractice | null>(null);
  protected readonly kept = signal(false);
  protected readonly back = $localize`Back to the default`;
  protected readonly take = $localize`Take`;

  protected readonly figures = computed(() => this.form.data()?.chapters.flatMap(({ figures }) => figures) ?? []);
  protected readonly own = computed(() => this.figures().filter(({ ours, standard }) => ours !== standard).length);
  protected readonly count = computed(() => Object.keys(this.changes()).length);
  protected readonly open = computed((): Chapter | null => {
    const chapters = this.form.data()?.chapters ?? [];
    return chapters.find(({ id }) => id === this.query()?.get('chapter')) ?? chapters[0] ?? null;
  });
  protected readonly refused = computed(() => this.tried()?.troubles.some(({ refused }) => refused) ?? false);
  protected readonly list = computed(() =>
    this.figures()
      .filter(({ id }) => this.changes()[id] !== undefined)
      .map((each) => ({
        id: each.id,
        name: each.name,
        was: wordsOf(each, each.ours),
        is: wordsOf(each, this.valueOf(each)),
      })),
  );

  constructor() {
    effect(() => {
      const changes = this.changes();
      sessionStorage.setItem(DRAFT, JSON.stringify(changes));
      untracked(() => void this.attempt(changes));
    });
  }

  /** Asks what would change; an answer to what is no longer asked is forgotten. */
  private async attempt(changes: Changes): Promise<void> {
    if (Object.keys(changes).length === 0) {
      this.tried.set(null);
      return;
    }
    try {
      const tried = await firstValueFrom(this.client.call(endpoints.tryHousePractice, { body: { changes } }));
      if (this.changes() === changes) this.tried.set(tried);
    } catch {
      // Without a connection nothing is tried; publishing says so.
    }
  }

  protected valueOf({ id, ours }: Shown): Value {
    return this.changes()[id] ?? ours;
  }

  protected set({ id, ours }: Shown, value: Value): void {
    this.kept.set(false);
    this.changes.update(({ [id]: _, ...rest }) => (value === ours ? rest : { ...rest, [id]: value }));
  }

  protected type(figure: Shown, field: HTMLInputElement): void {
    const value = keptOf(figure, field.value);
    if (value === null) field.value = `${this.typed(figure)}`;
    else this.set(figure, value);
  }

  protected typed(figure: Shown): number | '' {
    return typedOf(figure, this.valueOf(figure) as number);
  }

  protected stepOf({ measure, step }: Shown): number | 'any' {
    return measure === 'share' ? 100 * (step ?? 0.05) : (step ?? 'any');
  }

  protected troublesOf({ id }: Shown): TriedPractice['troubles'] {
    const all = this.count() > 0 ? this.tried()?.troubles : this.form.data()?.troubles;
    return (all ?? []).filter(({ figure }) => figure === id);
  }

  protected changedIn({ figures }: Chapter): number {
    return figures.filter(({ id }) => this.changes()[id] !== undefined).length;
  }

  protected async publish(): Promise<void> {
    const changes = this.changes();
    const was = Object.fromEntries(
      this.figures()
        .filter(({ id }) => changes[id] !== undefined)
        .map(({ id, ours }) => [id, ours]),
    );
    await this.keep(changes, was);
  }

  /** What another set meanwhile was told; now ours holds. */
  protected overMeanwhile(): Promise<void> {
    return this.keep(this.changes(), {});
  }

  private async keep(changes: Changes, was: Changes): Promise<void> {
    if (!(await this.save.send('keepHousePractice', { body: { changes, was } }))) return;
    this.changes.set({});
    this.kept.set(true);
  }

  protected drop(): void {
    this.save.clear();
    this.changes.set({});
  }

  protected readonly words = wordsOf;
  protected readonly symbolOf = symbolOf;
  protected readonly sum = (
    days: readonly { readonly before: number; readonly after: number }[],
    which: 'before' | 'after',
  ): number => Math.round(days.reduce((all, day) => all + day[which], 0));
  protected readonly percent = (chance: number): string => `${Math.round(100 * chance)}\u00a0%`;
  protected day(at: string): string {
    return dayOf(at, this.zone());
  }
}
