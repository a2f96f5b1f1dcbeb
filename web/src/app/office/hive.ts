import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NonNullableFormBuilder, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Router, RouterLink } from '@angular/router';
import {
  BOXES,
  HIVE_TYPES,
  type HiveTypeId,
  broodBoxOf,
  isBox,
  nestBoxes,
  newStack,
  supers,
} from '@brave-comb/core/equipment';
import { named } from '@brave-comb/core/language';
import { moveBetween } from '@brave-comb/core/site';
import { v7 as uuid } from 'uuid';
import { saving } from '../api/saving';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { HiveStack, partName } from '../equipment/hive-stack';
import { said } from '../language/said';
import { DayField } from '../parts/day-field';
import { FIELD } from '../parts/field';
import { Differs } from './differs';
import { meanwhile } from './meanwhile';
import { boxesText, queenText } from './hives';
import { dateText } from '../ui/format';

const ENDS = [
  ['died', $localize`died`],
  ['left', $localize`left`],
  ['united', $localize`united with another`],
  ['given-away', $localize`given away or sold`],
] as const;

/** One hive: number, place, woodwork and what lives in it, to see, change and put out of use. */
@Component({
  selector: 'bc-hive',
  imports: [DayField, Differs, FIELD, HiveStack, MatButton, ReactiveFormsModule, RouterLink, ViewState],
  templateUrl: './hive.html',
  styleUrl: './office.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class HiveScreen {
  private readonly router = inject(Router);
  private readonly bar = inject(MatSnackBar);
  /** Id of the hive, or `new`. */
  readonly hive = input.required<string>();
  protected readonly watched = inject(ViewDesk).watch('schoolHives', () => ({}));
  protected readonly save = saving();
  protected readonly ends = ENDS;
  protected readonly types = (Object.keys(HIVE_TYPES) as HiveTypeId[]).map((id) => ({
    id,
    name: said(named('hiveType', id)),
  }));
  protected readonly form = inject(NonNullableFormBuilder).group({
    number: ['', [Validators.required, Validators.maxLength(10)]],
    site: ['', Validators.required],
    stand: ['A', [Validators.required, Validators.maxLength(40)]],
    type: ['national' as HiveTypeId, Validators.required],
    brood: [1, [Validators.required, Validators.min(1), Validators.max(8)]],
    supers: [0, [Validators.required, Validators.min(0), Validators.max(8)]],
    frames: [11, [Validators.required, Validators.min(1), Validators.max(40)]],
    scale: ['', Validators.maxLength(80)],
    lives: [true],
    origin: ['', Validators.maxLength(80)],
    since: [''],
    year: ['', Validators.pattern(/^\s*((19|20)\d\d)?\s*$/)],
    marked: [false],
  });
  private readonly typed = toSignal(this.form.valueChanges, { initialValue: this.form.value });
  /** What a move to another site means for its foragers. */
  protected readonly moveAdvice = computed(() => {
    const [hive, sites] = [this.found(), this.watched.data()?.sites ?? []];
    const [from, to] = [hive?.site, this.typed().site].map((id) => sites.find((site) => site.id === id));
    return from && to && from !== to && hive?.colony ? said(moveBetween(from, to)) : null;
  });
  private readonly fresh = uuid();
  private readonly colony = uuid();
  protected readonly isNew = computed(() => this.hive() === 'new');
  protected readonly found = computed(() => this.watched.data()?.hives.find(({ id }) => id === this.hive()) ?? null);
  protected readonly missing = computed(() => !this.isNew() && this.watched.data() !== null && this.found() === null);
  protected readonly takes = computed(() => BOXES[broodBoxOf(this.typed().type ?? 'national')].frames);
  protected readonly horizontal = computed(() => HIVE_TYPES[this.typed().type ?? 'national'].horizontal);
  protected readonly drawn = computed(() => {
    const { type = 'national', brood = 1, supers: above = 0, frames = 1 } = this.typed();
    const flat = HIVE_TYPES[type].horizontal;
    const takes = BOXES[broodBoxOf(type)].frames;
    return newStack({
      type,
      brood: flat ? 1 : Math.min(8, Math.max(1, brood)),
      supers: flat ? 0 : Math.min(8, Math.max(0, above)),
      frames: Math.min(takes, Math.max(1, frames)),
    });
  });
  protected readonly parts = computed(() =>
    this.drawn().map((layer) => ({
      layer,
      text: layer.kind === 'box' ? $localize`${layer.id}, ${layer.frames} frames` : partName(layer),
    })),
  );
  protected readonly retiring = signal(false);
  protected readonly bees = signal<(typeof ENDS)[number][0]>('died');
  protected readonly boxesText = boxesText;
  protected readonly queenText = queenText;
  protected readonly dateText = dateText;
  private version = 0;
  /** Whether the parts were changed here: else they stay as they stand, whatever visits have put on. */
  private filled = '';

  constructor() {
    effect(() => {
      const data = this.watched.data();
      const hive = this.found();
      if (!data) return;
      const key = `${this.hive()} ${hive?.version ?? 0}`;
      // Read again behind the form, nothing of it is written over.
      if (this.filled.startsWith(this.hive()) && untracked(() => this.form.dirty)) return;
      if (this.filled === key) return;
      this.filled = key;
      untracked(() => this.fill());
    });
  }

  private fill(): void {
    const data = this.watched.data()!;
    const hive = this.found();
    this.version = hive?.version ?? 0;
    const type = hive?.type ?? data.usual;
    const nest = hive && hive.stack.some(isBox) ? nestBoxes(hive.stack) : [];
    this.form.reset({
      number: hive?.number ?? nextNumber(data.hives.map(({ number }) => number)),
      site: hive?.site ?? data.sites[0]?.id ?? '',
      stand: hive?.stand ?? 'A',
      type,
      brood: nest.length || 1,
      supers: hive ? supers(hive.stack).length : 0,
      frames: nest[0]?.frames ?? BOXES[broodBoxOf(type)].frames,
      scale: hive?.scale ?? '',
      lives: hive === null || hive.colony !== null,
      origin: hive?.colony?.origin ?? '',
      since: hive?.colony?.since ?? data.today,
      year: hive?.colony?.queen ? `${hive.colony.queen.year}` : '',
      marked: hive?.colony?.queen?.marked ?? false,
    });
  }

  protected typeChosen(): void {
    this.form.controls.frames.setValue(this.takes());
  }

  protected readonly differences = meanwhile(this.save, this.found, (hive) => {
    const { number, stand, site } = this.typed();
    const sites = new Map((this.watched.data()?.sites ?? []).map(({ id, name }) => [id, name]));
    return [
      [$localize`Number`, hive.number, number],
      [$localize`Site`, hive.siteName, sites.get(site ?? '')],
      [$localize`Stand`, hive.stand, stand],
      [$localize`Boxes`, boxesText(hive), boxesText({ stack: this.drawn() })],
    ];
  });

  protected takeTheirs(): void {
    this.save.clear();
    this.fill();
  }

  protected saveMine(): void {
    this.version = this.found()?.version ?? this.version;
    void this.submit();
  }

  protected async submit(): Promise<void> {
    this.form.markAllAsTouched();
    if (this.form.invalid) return;
    const value = this.form.getRawValue();
    const was = this.found();
    const { number, site, stand, type } = value;
    const parts = ['type', 'brood', 'supers', 'frames'] as const;
    const stack = was && !parts.some((each) => this.form.controls[each].dirty) ? was.stack : this.drawn();
    const form = { number: number.trim(), site, stand, type, stack, scale: value.scale.trim() || null };
    const year = value.year.trim();
    const colony = value.lives
      ? {
          origin: value.origin,
          since: value.since || this.watched.data()!.today,
          queen: year === '' ? null : { year: Number(year), marked: value.marked },
        }
      : null;
    const done = was
      ? await this.save.send('changeHive', {
          params: { hive: was.id },
          body: {
            ...form,
            version: this.version,
            colony: was.colony === null && colony ? { id: this.colony, ...colony } : null,
          },
        })
      : await this.save.send('addHives', { body: { hives: [{ ...form, id: this.fresh, known: false, colony }] } });
    if (!done) return;
    this.form.markAsPristine();
    this.bar.open($localize`Hive ${form.number} is saved.`, undefined, { duration: 6000 });
    await this.router.navigateByUrl('/office/hives');
  }

  protected async retire(): Promise<void> {
    const hive = this.found();
    if (!hive) return;
    const retired = hive.retired === null;
    const bees = retired && hive.colony ? this.bees() : null;
    const done = await this.save.send('retireHive', {
      params: { hive: hive.id },
      body: { version: hive.version, retired, bees },
    });
    if (!done) return;
    this.retiring.set(false);
    this.bar.open(
      retired ? $localize`Hive ${hive.number} is out of use.` : $localize`Hive ${hive.number} is in use again.`,
      undefined,
      { duration: 6000 },
    );
  }
}

function nextNumber(numbers: readonly string[]): string {
  const figures = numbers.flatMap((number) => (/^\d+$/.test(number) ? [Number(number)] : []));
  return `${Math.max(0, ...figures) + 1}`;
}
