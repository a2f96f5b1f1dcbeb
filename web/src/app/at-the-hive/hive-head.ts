import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import type { VisitFile } from '@brave-comb/contract';
import type { Question } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { DeviceStore } from '../device/device-store';
import { inspectionFeature } from '../inspection/inspection.feature';
import { measured } from '../language/units';
import { timeOf } from '../ui/format';
import { HiveCards } from './cards/hive-cards';

const QUESTION_TEXT: Readonly<Record<Question, string>> = {
  laying: $localize`Is she laying?`,
  'queen-cells': $localize`Queen cells?`,
  room: $localize`Room for a week?`,
  stores: $localize`Food enough?`,
  health: $localize`Brood healthy?`,
  pests: $localize`Mites, beetles, moth?`,
};

/** What a visit is and is for, the weather, what of it has reached the server, and the emergency card. */
@Component({
  selector: 'bc-hive-head',
  imports: [MatIcon],
  templateUrl: './hive-head.html',
  styleUrl: './hive-head.scss',
  host: { role: 'banner' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class HiveHead {
  private readonly store = inject(Store);
  private readonly device = inject(DeviceStore);
  protected readonly cards = inject(HiveCards);
  readonly file = input.required<VisitFile>();
  /** Somebody asks what waits, and what is to settle. */
  readonly waitingAsked = output();

  private readonly unsent = this.store.selectSignal(inspectionFeature.selectUnsent);
  private readonly refused = this.store.selectSignal(inspectionFeature.selectRefused);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  private readonly sendingFault = this.store.selectSignal(inspectionFeature.selectSendingFault);

  protected readonly questions = computed(() =>
    this.file()
      .visit.questions.map((question) => QUESTION_TEXT[question])
      .join(' '),
  );
  protected readonly weather = computed(() => {
    const { weather, visit } = this.file();
    if (!weather) return null;
    return {
      now: $localize`${measured('temperature', weather.temperature, 0)}, gusts ${measured('speed', weather.gust, 0)}`,
      rain: weather.rainFrom
        ? $localize`rain from ${timeOf(weather.rainFrom, visit.zone)}`
        : $localize`no rain forecast`,
    };
  });
  protected readonly kept = computed(() => {
    const count = this.unsent().length + this.device.unsentFiles() + this.device.unsentStarts();
    const trouble = this.refused().length + this.record().conflicts.length;
    const fault = this.sendingFault();
    if (trouble > 0) return { icon: 'warning', text: $localize`${trouble} to settle`, why: '', bad: true };
    if (fault) {
      const why = fault.status === 0 ? $localize`, no signal` : $localize`, not sent`;
      return { icon: 'no-signal', text: $localize`${count} waiting`, why, bad: false };
    }
    return count > 0
      ? { icon: 'clock', text: $localize`sending ${count}`, why: '', bad: false }
      : { icon: 'check', text: $localize`all saved`, why: '', bad: false };
  });
}
