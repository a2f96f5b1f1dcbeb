import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, viewChild } from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import { adultsDue } from '@brave-comb/core/biology';
import { type Stack, isBox } from '@brave-comb/core/equipment';
import {
  type ColonyEstimate,
  SMOKE_PLACES,
  STOP_REASONS,
  type SideAddress,
  type Step,
  type VisitRecord,
  toward,
} from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { HiveStack, type StackPart, partName } from '../equipment/hive-stack';
import { inspectionFeature } from '../inspection/inspection.feature';
import { VisitDesk } from '../inspection/visit-desk';
import { FlowSigns } from '../season/flow-signs';
import { dateText, decimal } from '../shell/format';
import { BeforePanel } from './before-panel';
import { Choice } from './choice';
import { ClosingPanel } from './closing-panel';
import { OutsidePanel } from './outside-panel';
import { SupersPanel } from './supers-panel';

/** The steps around the frames: outside, smoke, parts off, doubtful sides, summing up, parts back, outside again. */
@Component({
  selector: 'bc-step-panel',
  imports: [HiveStack, MatIcon, FlowSigns, BeforePanel, Choice, ClosingPanel, OutsidePanel, SupersPanel],
  templateUrl: './step-panel.html',
  styleUrl: './step-panel.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class StepPanel {
  private readonly store = inject(Store);
  protected readonly desk = inject(VisitDesk);
  readonly step = input.required<Step>();
  readonly record = input.required<VisitRecord>();
  readonly stack = input.required<Stack>();
  readonly estimate = input.required<ColonyEstimate>();
  /** Where and when, for signs of a flow; `null` on a file that was prepared before they were asked for. */
  readonly at = input<{ readonly site: string; readonly hive: string; readonly date: string } | null>(null);
  readonly sideChosen = output<SideAddress>();
  readonly boxChosen = output<string>();

  protected readonly places = SMOKE_PLACES;
  protected readonly reasons = STOP_REASONS;
  protected readonly towards = toward;
  protected readonly partName = partName;
  protected readonly dateText = dateText;
  private readonly outside = viewChild(OutsidePanel);
  protected readonly status = this.store.selectSignal(inspectionFeature.selectQueenStatus);
  protected readonly sums = this.store.selectSignal(inspectionFeature.selectSums);
  private readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  private readonly seen = this.store.selectSignal(inspectionFeature.selectSeen);
  readonly reason = signal<(typeof STOP_REASONS)[number]>('question answered');
  readonly note = signal('');
  readonly health = signal('');

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
    return `This visit stays partial: ${missing.join(', ')} not answered.`;
  });
  protected readonly parts = computed<readonly StackPart[]>(() =>
    this.stack().map((layer) => ({ layer, text: partName(layer) })),
  );
  protected readonly smokeCount = computed(
    () => (place: string) => this.record().smoke.filter((each) => each.place === place).length,
  );
  protected readonly doubtful = computed(() => Object.values(this.record().sides).filter((each) => each.side.doubtful));
  protected readonly summary = computed(() => {
    const now = this.estimate();
    const expected = this.file()?.expected;
    const beside = (span: { readonly low: number; readonly high: number } | undefined) =>
      span ? ` (expected ${decimal(span.low)} to ${decimal(span.high)})` : '';
    return [
      {
        name: 'Bees',
        text: `${now.framesOfBees ? `${decimal(now.framesOfBees.value)} frames of bees` : 'not counted'}${beside(expected?.bees)}`,
      },
      {
        name: 'Brood',
        text: `${decimal(now.brood.value)} frames${beside(expected?.brood)}: eggs ${decimal(now.eggs.value)}, larvae ${decimal(now.larvae.value)}, sealed ${decimal(now.sealedWorker.value)}`,
      },
      {
        name: 'Food',
        text: `${decimal(now.storesKg.value)} kg${beside(expected?.storesKg)}, pollen ${decimal(now.pollen.value)} frames`,
      },
    ];
  });

  /** Makes entries of the look from outside. */
  keepLook(): void {
    this.outside()?.keep();
  }

  protected togglePart(part: string): void {
    const off = this.record().partsOff.includes(part);
    this.desk.enter({ kind: off ? 'part put back' : 'part taken off', part });
  }
}
