import { Injectable, computed, inject } from '@angular/core';
import {
  BROOD,
  closeAdvice,
  openMinutes,
  readClock,
  shows,
  temperAdvice,
  waspPressure,
} from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../inspection/inspection.feature';
import { Clock } from '../people/clock';

/** The clocks of the open hive: how long it is open, how long brood is out, and whether to close. */
@Injectable({ providedIn: 'root' })
export class HiveClocks {
  private readonly store = inject(Store);
  private readonly now = inject(Clock).now;
  private readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  private readonly shown = this.store.selectSignal(inspectionFeature.selectShown);

  /** Seconds that the frame in hand is out, `null` while none is. */
  private readonly outFor = computed(() => {
    const { inHand } = this.record();
    return inHand ? Math.max(0, Math.floor((this.now() - Date.parse(inHand.since)) / 1000)) : null;
  });
  private readonly broodAllowed = computed(() => this.file()?.limits.broodMinutes ?? 5);
  /** Whether the frame in hand holds brood, as far as anybody has seen. */
  private readonly broodInHand = computed(() => {
    const { inHand, sides } = this.record();
    if (!inHand) return false;
    const read = Object.values(sides).filter(
      ({ address }) => address.box === inHand.box && address.frame === inHand.frame,
    );
    return [...read.map(({ side }) => side), this.shown().side].some((side) =>
      BROOD.some((letter) => shows(side, letter)),
    );
  });
  /** How long the frame in hand is out, in words. */
  readonly frameOut = computed(() => {
    const seconds = this.outFor();
    if (seconds === null) return '';
    const out = `${Math.floor(seconds / 60)}:${`${seconds % 60}`.padStart(2, '0')}`;
    return this.broodInHand() ? $localize`brood out ${out} of ${this.broodAllowed()}\:00` : $localize`frame out ${out}`;
  });
  readonly frameLate = computed(() => this.broodInHand() && (this.outFor() ?? 0) >= this.broodAllowed() * 60);
  private readonly pressed = computed(
    () =>
      this.record().measures.some(
        ({ measure }) => measure.what === 'wasps' && ['some', 'heavy'].includes(waspPressure(measure)),
      ) || this.robbing(),
  );
  private readonly robbing = computed(
    () =>
      this.record().outside.before?.robbing === true ||
      this.record().findings.some(({ finding, found }) => finding === 'robbing' && found),
  );
  readonly allowed = computed(() => {
    const limit = this.file()?.limits.openMinutes ?? 25;
    return openMinutes(limit, { temperature: null, robbingSeason: false, pressed: this.pressed(), late: false })
      .minutes;
  });
  /** Whether to close, by bees, clock, weather and robbers. */
  readonly close = computed(() => {
    const { openedAt, closed, signs, mood } = this.record();
    if (!openedAt || closed) return { level: 'go-on' as const, reasons: [] };
    const now = this.now();
    const weather = this.file()?.weather;
    const seconds = this.outFor();
    return closeAdvice({
      temper: temperAdvice(signs, mood, now).advice,
      clock: readClock(Date.parse(openedAt), null, now, this.allowed()).state,
      broodOut: this.broodInHand() && seconds !== null ? seconds / 60 : null,
      broodAllowed: this.broodAllowed(),
      temperature: weather?.temperature ?? null,
      rainIn: weather?.rainFrom ? (Date.parse(weather.rainFrom) - now) / 60_000 : null,
      robbing: this.robbing(),
    });
  });
  /** By itself, so that the alarm rings when it changes and not with every tick of the clock. */
  readonly level = computed(() => this.close().level);
  /** The first sign of bees that asks for smoke. */
  readonly smokeAsked = computed(
    () => temperAdvice(this.record().signs, this.record().mood, this.now()).advice === 'smoke',
  );
}
