import { unit, weighed } from '../language/units';
import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import { MARK_COLOURS, type SeenMark, adultsDue, markColour, queenMarkSays } from '@brave-comb/core/biology';
import { type Stack, isBox, nestBoxes } from '@brave-comb/core/equipment';
import {
  type ColonyEstimate,
  type Estimate,
  SMOKE_PLACES,
  type SideAddress,
  type Step,
  type VisitRecord,
  foundationMoves,
  formatSide,
  sideKey,
  sideText,
} from '@brave-comb/core/inspection';
import { upperFirst } from '@brave-comb/core/units';
import { Store } from '@ngrx/store';
import { HiveStack, type StackPart, partName } from '../equipment/hive-stack';
import { inspectionFeature } from '../inspection/inspection.feature';
import { VisitDesk } from '../inspection/visit-desk';
import { FlowSigns } from '../season/flow-signs';
import { peopleFeature } from '../people/people.feature';
import { civilDate, dateText, decimal } from '../ui/format';
import { BeforePanel } from './before-panel';
import { Choice } from './choice';
import { ClosingPanel } from './closing-panel';
import { OutsidePanel } from './outside-panel';
import { SupersPanel } from './supers-panel';
import { VisitEnd } from './visit-end';
import { Named, named } from '../language/words';
import { SaidPipe, said } from '../language/said';
import { FIELD } from '../parts/field';
import { Worded } from '../parts/worded';
import { MatButton } from '@angular/material/button';

/** The steps around the frames: outside, smoke, parts off, doubtful sides, summing up, parts back, outside again. */
@Component({
  selector: 'bc-step-panel',
  imports: [
    MatButton,
    Worded,
    FIELD,
    SaidPipe,
    Named,
    HiveStack,
    MatIcon,
    FlowSigns,
    BeforePanel,
    Choice,
    ClosingPanel,
    OutsidePanel,
    SupersPanel,
  ],
  templateUrl: './step-panel.html',
  styleUrl: './step-panel.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class StepPanel {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly store = inject(Store);
  protected readonly desk = inject(VisitDesk);
  protected readonly end = inject(VisitEnd);
  readonly step = input.required<Step>();
  readonly record = input.required<VisitRecord>();
  readonly stack = input.required<Stack>();
  readonly estimate = input.required<ColonyEstimate>();
  /** Where and when, for signs of a flow; `null` on a file that was prepared before they were asked for. */
  readonly at = input<{ readonly site: string; readonly hive: string; readonly date: string } | null>(null);
  readonly sideChosen = output<SideAddress>();
  readonly boxChosen = output<string>();

  protected readonly places = SMOKE_PLACES;
  protected readonly partName = partName;
  protected readonly dateText = dateText;
  protected readonly status = this.store.selectSignal(inspectionFeature.selectQueenStatus);
  protected readonly sums = this.store.selectSignal(inspectionFeature.selectSums);
  private readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  private readonly seen = this.store.selectSignal(inspectionFeature.selectSeen);
  private readonly box = this.store.selectSignal(inspectionFeature.selectBox);
  private readonly frames = this.store.selectSignal(inspectionFeature.selectFrames);

  /** Parts of this step that are no boxes: the excluder between supers and nest. */
  protected readonly otherParts = computed(() => this.step().parts.filter((part) => !isBox(part)));
  protected readonly due = computed(() => {
    const now = this.estimate();
    const each = adultsDue(now.workerCells);
    const sum = (days: number) => Math.round(each.slice(0, days).reduce((all, bees) => all + bees, 0) / 100) * 100;
    return sum(21) > 0 ? { week: sum(7), all: sum(21) } : null;
  });
  /** Said so that a visit of a few frames does not read as a whole one. */
  protected readonly partial = computed(() => {
    const seen = this.seen();
    if (!seen || seen.enough) return null;
    const missing = seen.evidence.filter(({ state }) => state === 'missing').map(({ id }) => id);
    return $localize`Partial visit: ${missing.map((id) => named('evidence', id)).join(', ')} not answered.`;
  });
  protected readonly parts = computed<readonly StackPart[]>(() =>
    this.stack().map((layer) => ({ layer, text: partName(layer) })),
  );
  protected readonly smokeCount = computed(
    () => (place: string) => this.record().smoke.filter((each) => each.place === place).length,
  );
  /** Flagged sides, those first that nobody looked at again. */
  protected readonly doubtful = computed(() => {
    const { sides, doubts } = this.record();
    return Object.values(sides)
      .filter(({ side }) => side.doubtful)
      .map(({ entry, address, side }) => ({
        entry,
        address,
        where: upperFirst(said(sideText(address, this.stack()))),
        line: formatSide(side),
        again: doubts.find((each) => each.reading === entry && sideKey(each.address) === sideKey(address)) ?? null,
      }))
      .sort((a, b) => Number(a.again !== null) - Number(b.again !== null));
  });
  protected readonly found = signal('');
  private readonly person = this.store.selectSignal(peopleFeature.selectPerson);
  protected readonly leads = computed(() => this.person()?.role !== 'trainee');
  protected readonly colours: readonly SeenMark[] = ['none', ...MARK_COLOURS];
  private readonly year = computed(() =>
    Number(
      civilDate(
        Date.parse(this.record().queenMark?.at ?? this.file()?.visit.startedAt ?? ''),
        this.file()?.visit.zone ?? 'utc',
      ).slice(0, 4),
    ),
  );
  protected readonly queenLegend = computed(() => {
    const queen = this.file()?.queen;
    if (!queen) return $localize`The queen was seen. Colour of her mark (nothing is recorded yet)`;
    return $localize`The queen was seen. Colour of her mark (recorded: ${queen.marked ? markColour(queen.year) : $localize`unmarked`}, reared in ${queen.year})`;
  });
  protected readonly markSays = computed(() => {
    const seen = this.record().queenMark?.colour;
    return seen ? queenMarkSays(this.file()?.queen ?? null, seen, this.year()) : null;
  });
  protected readonly summary = computed(() => {
    const now = this.estimate();
    const expected = this.file()?.expected;
    const beside = (span: { readonly low: number; readonly high: number } | undefined) =>
      span && expected?.stale === null ? $localize` (expected ${decimal(span.low)} to ${decimal(span.high)})` : '';
    const of = (figure: Estimate, unit: string) =>
      `${decimal(figure.value)} ${unit}${figure.high - figure.low >= 0.2 ? $localize`, ${decimal(figure.low)} to ${decimal(figure.high)}` : ''}`;
    const sides = nestBoxes(this.stack()).reduce((sum, box) => sum + 2 * box.frames, 0);
    const some = now.sidesRead > 0 || Object.keys(this.record().summaries).length > 0;
    return [
      {
        name: $localize`Read`,
        text: $localize`${now.sidesRead} of ${sides} sides${now.sidesRead < sides ? $localize`; the rest is estimated` : ''}`,
      },
      {
        name: $localize`Bees`,
        text: `${now.framesOfBees ? of(now.framesOfBees, $localize`frames of bees`) : $localize`not counted`}${beside(expected?.bees)}`,
      },
      {
        name: $localize`Brood`,
        text: some
          ? $localize`${of(now.brood, $localize`frames`)}${beside(expected?.brood)}\: eggs ${decimal(now.eggs.value)}, larvae ${decimal(now.larvae.value)}, sealed ${decimal(now.sealedWorker.value)}`
          : $localize`not read`,
      },
      {
        name: $localize`Food`,
        text: some
          ? $localize`${of(weighed(now.storesKg), unit('weight'))}${beside(expected?.storesKg && weighed(expected.storesKg))}, pollen ${decimal(now.pollen.value)} frames`
          : $localize`not read`,
      },
    ];
  });
  /** Which bare frames move where, and when. */
  protected readonly foundation = computed(() => {
    const box = this.box();
    return box ? foundationMoves(this.frames(), this.estimate().framesOfBees?.value ?? null) : [];
  });

  constructor() {
    effect(() => {
      // A step shows its beginning, wherever the one before was scrolled to.
      this.step();
      this.host.nativeElement.scrollTop = 0;
    });
  }

  protected lookedAgain(address: SideAddress, sound: boolean): void {
    this.desk.enter({ kind: 'doubt-looked-at-again', address, sound, found: this.found().trim() });
    this.found.set('');
  }

  protected togglePart(part: string): void {
    const off = this.record().partsOff.includes(part);
    this.desk.enter({ kind: off ? 'part-put-back' : 'part-taken-off', part });
  }
}
