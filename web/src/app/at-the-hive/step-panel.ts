import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import type { Stack } from '@brave-comb/core/equipment';
import {
  type ColonyEstimate,
  SMOKE_PLACES,
  STOP_REASONS,
  type SideAddress,
  type Step,
  TRAFFIC,
  type VisitRecord,
  toward,
} from '@brave-comb/core/inspection';
import { HiveStack, type StackPart, partName } from '../equipment/hive-stack';
import { VisitDesk } from '../inspection/visit-desk';
import { FlowSigns } from '../season/flow-signs';
import { decimal } from '../shell/format';

/** The steps around the frames: outside, smoke, parts off, doubtful sides, summing up, parts back, outside again. */
@Component({
  selector: 'bc-step-panel',
  imports: [HiveStack, MatIcon, FlowSigns],
  templateUrl: './step-panel.html',
  styleUrl: './step-panel.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class StepPanel {
  protected readonly desk = inject(VisitDesk);
  readonly step = input.required<Step>();
  readonly record = input.required<VisitRecord>();
  readonly stack = input.required<Stack>();
  readonly estimate = input.required<ColonyEstimate>();
  /** Where and when, for signs of a flow; `null` on a file that was prepared before they were asked for. */
  readonly at = input<{ readonly site: string; readonly hive: string; readonly date: string } | null>(null);
  readonly sideChosen = output<SideAddress>();

  protected readonly traffic = TRAFFIC;
  protected readonly places = SMOKE_PLACES;
  protected readonly reasons = STOP_REASONS;
  protected readonly towards = toward;
  protected readonly partName = partName;
  readonly look = signal<{
    traffic: (typeof TRAFFIC)[number];
    pollenIn: boolean;
    deadBees: boolean;
    intruders: boolean;
    note: string;
  }>({
    traffic: 'steady',
    pollenIn: false,
    deadBees: false,
    intruders: false,
    note: '',
  });
  readonly reason = signal<(typeof STOP_REASONS)[number]>('question answered');
  readonly note = signal('');
  readonly health = signal('');

  protected readonly signs = [
    { id: 'pollenIn', name: 'Pollen going in' },
    { id: 'deadBees', name: 'Dead bees' },
    { id: 'intruders', name: 'Wasps or robbers' },
  ] as const;
  protected readonly parts = computed<readonly StackPart[]>(() =>
    this.stack().map((layer) => ({ layer, text: partName(layer) })),
  );
  protected readonly smokeCount = computed(
    () => (place: string) => this.record().smoke.filter((each) => each.place === place).length,
  );
  protected readonly doubtful = computed(() => Object.values(this.record().sides).filter((each) => each.side.doubtful));
  protected readonly summary = computed(() => {
    const now = this.estimate();
    return [
      { name: 'Bees', text: now.framesOfBees ? `${decimal(now.framesOfBees.value)} frames of bees` : 'not counted' },
      {
        name: 'Brood',
        text: `${decimal(now.brood.value)} frames: eggs ${decimal(now.eggs.value)}, larvae ${decimal(now.larvae.value)}, sealed ${decimal(now.sealedWorker.value)}`,
      },
      { name: 'Food', text: `${decimal(now.storesKg.value)} kg, pollen ${decimal(now.pollen.value)} frames` },
    ];
  });

  protected setLook(change: Partial<ReturnType<StepPanel['look']>>): void {
    this.look.update((look) => ({ ...look, ...change }));
  }

  protected toggleSign(sign: 'pollenIn' | 'deadBees' | 'intruders'): void {
    this.look.update((look) => ({ ...look, [sign]: !look[sign] }));
  }

  protected togglePart(part: string): void {
    const off = this.record().partsOff.includes(part);
    this.desk.enter({ kind: off ? 'part put back' : 'part taken off', part });
  }
}
