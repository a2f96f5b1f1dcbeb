import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  output,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatChipListbox, MatChipOption } from '@angular/material/chips';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Router } from '@angular/router';
import { Unfit } from '@brave-comb/core/language';
import {
  type Answer,
  type ColumnRule,
  type Doubt,
  type Pasted,
  type RosterRow,
  type SettledRows,
  guessColumns,
  readPasted,
  settle,
} from '@brave-comb/core/roster';
import type { CallFault } from '../api/contract-client';
import { said } from '../language/said';
import { FIELD } from '../parts/field';
import { type PasteDraft, NOTHING, keepPaste, keptPaste, withIds } from './paste-draft';
import { foldRuns } from './paste-rows';

/** What a list is read as. */
export interface PasteKind<Field extends string, Read> {
  /** By which it is kept, and the office's page on which the rows then stand. */
  readonly id: 'hives' | 'people';
  readonly rules: readonly ColumnRule<Field>[];
  /** Meanings of a column with what they are called, in the order of the choice. */
  readonly names: Readonly<Record<Field, string>>;
  /** Lines by which somebody sees what may be pasted. */
  readonly example: string;
  read(
    pasted: Pasted,
    columns: readonly (Field | null)[],
    settled: SettledRows<Field>,
  ): readonly RosterRow<Field, Read>[];
}

/** A row that is ready, with the id under which it is added. */
export interface ReadyRow<Read> {
  readonly line: number;
  readonly id: string;
  readonly read: Read;
}

type Filter = 'all' | 'to-settle' | 'left-out';
/** Lines on the screen at once; what is settled makes room for the next. */
const MOST_SHOWN = 80;

/** A list from anybody's spreadsheet: what its columns become, what is ready, and what has to be answered first. */
@Component({
  selector: 'bc-paste-list',
  imports: [FIELD, MatButton, MatChipListbox, MatChipOption],
  templateUrl: './paste-list.html',
  styleUrl: './paste-list.scss',
  host: { '(keydown)': 'key($event)' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PasteList<Field extends string, Read> {
  private readonly router = inject(Router);
  private readonly bar = inject(MatSnackBar);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  readonly kind = input.required<PasteKind<Field, Read>>();
  readonly busy = input(false);
  readonly fault = input<CallFault | null>(null);
  /** What the button says for so many ready rows. */
  readonly addWords = input.required<(count: number) => string>();
  readonly add = output<readonly ReadyRow<Read>[]>();
  /** What was read, for sums and lists beside it. */
  readonly readings = output<{
    pasted: Pasted;
    columns: readonly (Field | null)[];
    rows: readonly RosterRow<Field, Read>[];
  } | null>();

  protected readonly draft = linkedSignal<PasteDraft<Field>>(() => keptPaste<Field>(this.kind().id));
  private readonly before = signal<readonly PasteDraft<Field>[]>([]);
  protected readonly filter = signal<Filter>('all');
  protected readonly opened = signal<ReadonlySet<number>>(new Set());
  protected readonly said = said;

  private readonly parsed = computed((): { pasted: Pasted | null; wrong: string | null } => {
    const { text, headed } = this.draft();
    if (text.trim() === '') return { pasted: null, wrong: null };
    try {
      return { pasted: readPasted(text, this.kind().rules, headed ?? undefined), wrong: null };
    } catch (error) {
      if (!(error instanceof Unfit)) throw error;
      return { pasted: null, wrong: said(error.says) };
    }
  });
  protected readonly pasted = computed(() => this.parsed().pasted);
  protected readonly wrong = computed(() => this.parsed().wrong);
  protected readonly columns = computed(() => {
    const pasted = this.pasted();
    if (!pasted) return [];
    const chosen = this.draft().columns;
    return guessColumns(pasted, this.kind().rules).map((guess, at) => ({
      at,
      head: pasted.head?.[at] ?? '',
      field: at in chosen ? (chosen[at] ?? null) : taken(chosen, guess.field) ? null : guess.field,
      sure: at in chosen || guess.sure,
    }));
  });
  private readonly fieldsOf = computed(() => this.columns().map(({ field }) => field), {
    equal: (a, b) => a.join() === b.join(),
  });
  protected readonly rows = computed(() => {
    const pasted = this.pasted();
    if (!pasted) return [];
    const added = new Set(this.draft().added);
    return this.kind()
      .read(pasted, this.fieldsOf(), new Map(this.draft().settled))
      .filter(({ line }) => !added.has(line));
  });
  protected readonly counts = computed(() => {
    const of = (state: RosterRow<Field, Read>['state']) => this.rows().filter((row) => row.state === state).length;
    return { ready: of('ready'), toSettle: of('to-settle'), leftOut: of('left-out'), all: this.rows().length };
  });
  protected readonly shown = computed(() => {
    const filter = this.filter();
    const rows = filter === 'all' ? this.rows() : this.rows().filter(({ state }) => state === filter);
    return foldRuns(rows, this.opened());
  });
  protected readonly shownNow = computed(() => this.shown().slice(0, MOST_SHOWN));
  protected readonly more = computed(() => Math.max(0, this.shown().length - MOST_SHOWN));
  protected readonly fields = computed(() => Object.entries(this.kind().names) as [Field, string][]);
  protected readonly mayTakeBack = computed(() => this.before().length > 0);
  /** Cells of a row in the order of its columns. */
  private readonly cells = computed(() => new Map((this.pasted()?.rows ?? []).map((row) => [row.line, row.cells])));

  constructor() {
    effect(() => keepPaste(this.kind().id, this.draft()));
    effect(() => {
      const pasted = this.pasted();
      this.readings.emit(pasted ? { pasted, columns: this.fieldsOf(), rows: this.rows() } : null);
    });
  }

  protected becomes({ head, at }: { readonly head: string; readonly at: number }): string {
    return $localize`Column ${head || at + 1} becomes`;
  }

  protected cellsOf(line: number): readonly string[] {
    return this.cells().get(line) ?? [];
  }

  protected paste(text: string): void {
    this.change({ ...NOTHING, text });
  }

  protected again(): void {
    this.before.set([]);
    this.draft.set(NOTHING);
    this.focus('textarea');
  }

  protected choose(column: number, field: Field | null): void {
    // One meaning belongs to one column: another that had it is left out.
    const others = this.columns().filter((each) => field !== null && each.field === field && each.at !== column);
    const columns = {
      ...this.draft().columns,
      ...Object.fromEntries(others.map(({ at }) => [at, null])),
      [column]: field,
    };
    this.change({ ...this.draft(), columns });
  }

  protected nameColumns(headed: boolean): void {
    this.change({ ...this.draft(), headed, columns: {} });
  }

  protected answer(row: RosterRow<Field, Read>, doubt: Doubt<Field>, { then }: Answer<Field>): void {
    const alike = doubt.alike === null ? [row] : this.rows().filter((each) => hasDoubt(each, doubt.alike));
    const settled = new Map(this.draft().settled);
    for (const { line } of alike) settled.set(line, settle(settled.get(line), then));
    this.change({ ...this.draft(), settled: [...settled] });
    this.focusNext(row.line);
  }

  /** How many rows an answer settles. */
  protected alikeCount({ alike }: Doubt<Field>): number {
    return alike === null ? 1 : this.rows().filter((each) => hasDoubt(each, alike)).length;
  }

  protected takeBack(): void {
    const [last] = this.before().slice(-1);
    if (!last) return;
    this.before.update((all) => all.slice(0, -1));
    this.draft.set(last);
  }

  private change(draft: PasteDraft<Field>): void {
    this.before.update((all) => [...all, this.draft()].slice(-50));
    this.draft.set(draft);
  }

  protected send(): void {
    const ready = this.rows().filter(({ state }) => state === 'ready');
    if (ready.length === 0 || this.busy()) return;
    this.draft.update((draft) =>
      withIds(
        draft,
        ready.map(({ line }) => line),
      ),
    );
    const { ids } = this.draft();
    this.add.emit(ready.flatMap(({ line, read }) => (read === null ? [] : [{ line, id: ids[line]!, read }])));
  }

  /** Takes rows off the list that are added; with none left to settle, it goes where they now stand. */
  async took(rows: readonly ReadyRow<Read>[], words: string): Promise<void> {
    this.bar.open(words, undefined, { duration: 6000 });
    this.before.set([]);
    this.draft.update((draft) => ({ ...draft, added: [...draft.added, ...rows.map(({ line }) => line)] }));
    if (this.counts().toSettle > 0) return;
    this.draft.set(NOTHING);
    await this.router.navigateByUrl(`/office/${this.kind().id}`);
  }

  protected key(event: KeyboardEvent): void {
    if (event.key === 'F8') this.focusNext(0);
    else if (event.key.toLowerCase() === 'z' && (event.ctrlKey || event.metaKey) && !isText(event.target))
      this.takeBack();
    else if (/^[1-6]$/.test(event.key) && !isText(event.target)) {
      const row = (event.target as HTMLElement).closest('[data-line]');
      const buttons = row?.querySelectorAll<HTMLButtonElement>('.answers button') ?? [];
      const button = buttons[Number(event.key) - 1];
      if (!button) return;
      button.click();
    } else return;
    event.preventDefault();
  }

  private focusNext(after: number): void {
    setTimeout(() => {
      const rows = [...this.host.querySelectorAll<HTMLElement>('[data-line]')];
      const next = rows.find((row) => Number(row.getAttribute('data-line')) > after) ?? rows[0];
      (next?.querySelector<HTMLElement>('.answers button') ?? this.host.querySelector<HTMLElement>('.add'))?.focus();
    });
  }

  private focus(selector: string): void {
    setTimeout(() => this.host.querySelector<HTMLElement>(selector)?.focus());
  }

  protected open(line: number): void {
    this.opened.update((all) => new Set([...all, line]));
  }
}

const taken = (chosen: object, field: string | null): boolean =>
  field !== null && Object.values(chosen).includes(field);
const hasDoubt = (row: RosterRow<string, unknown>, alike: string | null): boolean =>
  row.doubts.some((each) => each.alike === alike);
const isText = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.matches('textarea, input, [role="combobox"]');
