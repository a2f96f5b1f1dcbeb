import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatDialogClose, MatDialogRef, MatDialogTitle } from '@angular/material/dialog';
import { isBox } from '@brave-comb/core/equipment';
import { COMB_KINDS, COMB_STORES, type Comb, type CombPlace, guardsOf } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { inspectionFeature } from '../../inspection/inspection.feature';
import { VisitDesk } from '../../inspection/visit-desk';
import { Choice } from '../choice';
import { Count } from '../count';
import { namesOf, named } from '../../language/words';
import { SaidPipe } from '../../language/said';
import { FIELD } from '../../parts/field';
import { MatButton } from '@angular/material/button';

const WHERE = ['this-hive', 'another-hive', 'into-store', 'new-comb'] as const;
const REASONS = [
  $localize`food nearer`,
  $localize`room in the nest`,
  $localize`old comb out`,
  $localize`share brood`,
  $localize`test or treatment`,
] as const;

/** Takes the comb in hand elsewhere, or brings one in: a move of a comb that stays known by its own name. */
@Component({
  selector: 'bc-move-card',
  imports: [MatButton, FIELD, SaidPipe, MatDialogClose, MatDialogTitle, Choice, Count],
  template: `
    <h2 matDialogTitle i18n>Move a comb</h2>
    @if (comb(); as own) {
      <p i18n>
        In hand: frame {{ address()?.frame }}, comb <b>{{ own.label }}</b>
      </p>
    }
    <div class="scrolls" tabindex="0" role="group" aria-label="Where it goes" i18n-aria-label>
      <bc-choice
        legend="Where"
        i18n-legend
        of="combGoes"
        [options]="wheres"
        [value]="where()"
        (chosen)="where.set($event)"
      />
      @if (where() === 'another-hive') {
        <bc-choice legend="Hive" i18n-legend [options]="hives()" [value]="hive()" (chosen)="hive.set($event)" />
      }
      @if (where() === 'into-store') {
        <bc-choice
          legend="Store"
          i18n-legend
          of="combStore"
          [options]="stores"
          [value]="store_()"
          (chosen)="store_.set($event)"
        />
      } @else {
        <bc-choice legend="Box" i18n-legend [options]="boxes()" [value]="box()" (chosen)="box.set($event)" />
        <bc-count
          legend="Place from the left"
          i18n-legend
          [value]="place()"
          [least]="1"
          [most]="40"
          (counted)="place.set($event ?? 1)"
        />
      }
      @if (where() === 'new-comb') {
        <bc-choice
          legend="What comes in"
          i18n-legend
          [options]="incoming()"
          [words]="incomingWords()"
          [value]="newComb()"
          (chosen)="newComb.set($event)"
        />
      }
      <bc-choice legend="Why" i18n-legend [options]="reasons" [value]="reason()" (chosen)="reason.set($event)" />
      <label bcField class="text"
        ><span i18n>Or in your words</span
        ><mat-form-field
          ><input matInput #words type="text" maxlength="500" [value]="reason()" (change)="reason.set(words.value)"
        /></mat-form-field>
      </label>
    </div>
    @for (guard of guards(); track guard.id + guard.says) {
      <p [class]="guard.bar === 'warns' ? 'caution' : 'stop'" role="alert">{{ guard.says | said }}</p>
    }
    @if (wanting(); as what) {
      <p class="why" role="status">{{ what }}</p>
    }
    <div class="row">
      <button type="button" matButton="filled" [disabled]="!mayMove()" (click)="move()" i18n>Move it</button>
      <button type="button" matButton="outlined" matDialogClose i18n>Cancel</button>
    </div>
  `,
  styleUrl: './cards.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class MoveCard {
  private readonly store = inject(Store);
  private readonly desk = inject(VisitDesk);
  private readonly dialog = inject(MatDialogRef<MoveCard>);
  private readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  private readonly stack = this.store.selectSignal(inspectionFeature.selectStack);
  private readonly facts = this.store.selectSignal(inspectionFeature.selectGuardFacts);
  private readonly found = this.store.selectSignal(inspectionFeature.selectFound);
  protected readonly address = this.store.selectSignal(inspectionFeature.selectAddress);

  protected readonly wheres = WHERE;
  protected readonly stores = COMB_STORES;
  protected readonly reasons = REASONS;
  protected readonly where = signal<(typeof WHERE)[number]>('this-hive');
  protected readonly hive = signal<string | null>(null);
  protected readonly store_ = signal<(typeof COMB_STORES)[number]>('stand');
  protected readonly place = signal(this.address()?.frame ?? 1);
  protected readonly box = signal<string>(this.address()?.box ?? '');
  protected readonly reason = signal<string>('');
  protected readonly newComb = signal<string>('foundation');

  private readonly other = computed(() => this.file()?.neighbours.find(({ number }) => number === this.hive()) ?? null);
  /** Boxes of the hive that the comb goes to, the highest first. */
  protected readonly boxes = computed<readonly string[]>(() => {
    const stack = this.where() === 'another-hive' ? (this.other()?.stack ?? []) : this.stack();
    const ids = stack.filter(isBox).map(({ id }) => id);
    return ids.toReversed();
  });
  protected readonly hives = computed(() => this.file()?.neighbours.map(({ number }) => number) ?? []);
  protected readonly comb = computed<Comb | null>(() => {
    const address = this.address();
    return (address && this.found()[address.box]?.[address.frame - 1]) ?? null;
  });
  protected readonly incoming = computed(() => [
    ...COMB_KINDS,
    ...(this.file()?.reserve.map(({ comb }) => comb.id) ?? []),
  ]);
  protected readonly incomingWords = computed<Readonly<Record<string, string>>>(() => ({
    ...namesOf('newComb'),
    ...Object.fromEntries(
      this.file()?.reserve.map(({ comb, store }) => [
        comb.id,
        $localize`${comb.label} from ${named('combStore', store)}`,
      ]) ?? [],
    ),
  }));
  private readonly to = computed<CombPlace | null>(() => {
    switch (this.where()) {
      case 'into-store':
        return { in: 'store', store: this.store_() };
      case 'another-hive': {
        const hive = this.other();
        return hive && this.boxes().includes(this.box())
          ? { in: 'hive', hive: hive.id, box: this.box(), place: this.place() }
          : null;
      }
      default:
        return this.boxes().includes(this.box()) ? { in: 'box', box: this.box(), place: this.place() } : null;
    }
  });
  protected readonly guards = computed(() => {
    const [comb, to, address] = [this.comb(), this.to(), this.address()];
    if (!comb || !to || !address || this.where() === 'new-comb') return [];
    const move = { comb, to, reason: this.reason() };
    return guardsOf({ do: 'move-comb', move, box: address.box, frame: address.frame }, this.facts());
  });
  /** What is still missing before it can be moved. */
  protected readonly wanting = computed(() => {
    if (this.mayMove()) return null;
    if (this.to() === null)
      return this.where() === 'another-hive' && !this.other()
        ? $localize`Choose the hive it goes to.`
        : $localize`Choose the box it goes into.`;
    if (this.where() !== 'new-comb' && !this.comb()) return $localize`No comb is recorded here: nothing to move.`;
    return this.guards().some(({ bar }) => bar === 'bars')
      ? null
      : $localize`Say why: the reason is recorded with the move.`;
  });
  protected readonly mayMove = computed(() => {
    const bars = this.guards().map(({ bar }) => bar);
    if (this.to() === null || bars.includes('bars')) return false;
    if (this.where() !== 'new-comb' && !this.comb()) return false;
    return !bars.includes('needs-a-reason') || this.reason().trim() !== '';
  });

  protected move(): void {
    const to = this.to();
    const comb = this.where() === 'new-comb' ? this.broughtIn() : this.comb();
    if (!to || !comb) return;
    for (const { id, bar } of this.guards())
      if (bar === 'needs-a-reason')
        this.desk.enter({ kind: 'guard-overridden', guard: id, reason: this.reason().trim() });
    this.desk.enter({ kind: 'comb-moved', comb, to, reason: this.reason().trim() });
    this.dialog.close();
  }

  private broughtIn(): Comb | null {
    const chosen = this.newComb();
    const kept = this.file()?.reserve.find(({ comb }) => comb.id === chosen)?.comb;
    if (kept) return kept;
    const kind = COMB_KINDS.find((each) => chosen === each);
    if (!kind) return null;
    const year = Number(this.file()?.visit.startedAt.slice(0, 4));
    const id = uuid();
    return { id, kind, since: kind === 'drawn' ? null : year, donor: null, label: `${kind} ${id.slice(-4)}` };
  }
}
