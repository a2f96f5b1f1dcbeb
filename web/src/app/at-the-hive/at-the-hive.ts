import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  computed,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { Router } from '@angular/router';
import { markColour } from '@brave-comb/core/biology';
import { combCarrier, frameOf, isBox, nestBoxes } from '@brave-comb/core/equipment';
import {
  type EvidenceId,
  type KeyWish,
  MOODS,
  type StepId,
  formatSide,
  sideKey,
  towardText,
  undoText,
} from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { ExpectedCard } from '../care/expected-card';
import { BoxMap } from '../inspection/box-map';
import { CombPortrait } from '../inspection/comb-portrait';
import { InspectionEvents } from '../inspection/inspection.events';
import { inspectionFeature } from '../inspection/inspection.feature';
import { AsideNotice } from '../inspection/aside-notice';
import { DeviceStore } from '../device/device-store';
import { VisitDesk } from '../inspection/visit-desk';
import { Clock } from '../people/clock';
import { civilDate, dayOf } from '../ui/format';
import { Alarm } from './alarm';
import { HiveCards } from './cards/hive-cards';
import { HiveClocks } from './hive-clocks';
import { HivePreferences } from './hive-preferences';
import { HiveJobs } from './hive-jobs';
import { LetterPad } from './letter-pad';
import { MoodLine } from './mood-line';
import { movedCombs } from './moved-combs';
import { NotReady } from './not-ready';
import { onPhone } from '../ui/on-phone';
import { OpenClock } from './open-clock';
import { SeenEnoughPanel } from './seen-enough';
import { SideEntryPanel } from './side-entry';
import { SkillJudge } from './skill-judge';
import { smokeText } from './smoke-text';
import { SoFar } from './so-far';
import { StepList } from './step-list';
import { StingWatchStrip } from './sting-watch';
import { StepPanel } from './step-panel';
import { VisitFlow } from './visit-flow';
import { SideLine } from './side-line';
import { EntranceLook } from './entrance-look';
import { VisitEnd } from './visit-end';
import { HiveHead } from './hive-head';
import { HiveKeys } from './hive-keys';
import { WakeLock } from './wake-lock';
import { Named } from '../language/words';
import { SaidPipe, said } from '../language/said';
import { titled } from '../ui/titled';

const SKILL_BY_STEP: Readonly<Record<StepId, string>> = {
  before: 'states-aim',
  outside: 'reads-entrance',
  smoke: 'smokes-in-order',
  open: 'keeps-parts',
  supers: 'lifts-box',
  'first-frame': 'outermost-first',
  frames: 'lifts-straight',
  again: 'second-look',
  'sum-up': 'sums-up',
  close: 'closes-complete',
  entrance: 'knows-enough',
};

/** One visit, full screen, with gloves on and no signal. */
@Component({
  selector: 'bc-at-the-hive',
  imports: [
    Named,
    SaidPipe,
    AsideNotice,
    HiveHead,
    HiveKeys,
    MatButton,
    MatIcon,
    BoxMap,
    CombPortrait,
    LetterPad,
    MoodLine,
    NotReady,
    OpenClock,
    SeenEnoughPanel,
    SideEntryPanel,
    SkillJudge,
    SoFar,
    StepList,
    StepPanel,
    StingWatchStrip,
    ExpectedCard,
  ],
  templateUrl: './at-the-hive.html',
  styleUrl: './at-the-hive.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
  providers: [VisitFlow, SideLine, EntranceLook, VisitEnd],
  host: { class: 'outdoor', '[class.large]': 'preferences.now().large' },
})
export class AtTheHive {
  private readonly store = inject(Store);
  protected readonly cards = inject(HiveCards);
  private readonly router = inject(Router);
  private readonly clock = inject(Clock);
  private readonly alarm = inject(Alarm);
  protected readonly preferences = inject(HivePreferences);
  protected readonly clocks = inject(HiveClocks);
  protected readonly jobs = inject(HiveJobs);
  protected readonly device = inject(DeviceStore);
  protected readonly desk = inject(VisitDesk);
  readonly visit = input.required<string>();

  protected readonly flow = inject(VisitFlow);
  protected readonly line = inject(SideLine);
  protected readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  protected readonly fault = this.store.selectSignal(inspectionFeature.selectFault);
  protected readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  protected readonly stack = this.store.selectSignal(inspectionFeature.selectStack);
  /** Boxes from the top down. */
  protected readonly boxes = computed(() => this.stack().filter(isBox).toReversed());
  protected readonly nestSides = computed(() =>
    nestBoxes(this.stack()).reduce((sum, { frames }) => sum + 2 * frames, 0),
  );
  protected readonly nestAhead = this.store.selectSignal(inspectionFeature.selectNestAhead);
  private readonly arrangement = this.store.selectSignal(inspectionFeature.selectArrangement);
  private readonly found = this.store.selectSignal(inspectionFeature.selectFound);
  /** Combs of the box that do not stand where they stood: numbers stay those that they were found under. */
  protected readonly moved = computed(() =>
    movedCombs(
      this.found(),
      this.arrangement(),
      this.record().aside,
      this.box()?.id ?? '',
      this.file()?.neighbours ?? [],
    ),
  );
  protected readonly frames = this.store.selectSignal(inspectionFeature.selectFrames);
  protected readonly steps = this.store.selectSignal(inspectionFeature.selectSteps);
  /** Where this device stands; another may stand elsewhere in the same visit. */
  protected readonly ownStep = this.store.selectSignal(inspectionFeature.selectStep);
  protected readonly counted = this.store.selectSignal(inspectionFeature.selectCounted);
  protected readonly estimate = this.store.selectSignal(inspectionFeature.selectEstimate);
  protected readonly seen = this.store.selectSignal(inspectionFeature.selectSeen);
  protected readonly address = this.store.selectSignal(inspectionFeature.selectAddress);
  protected readonly shown = this.store.selectSignal(inspectionFeature.selectShown);
  protected readonly box = this.store.selectSignal(inspectionFeature.selectBox);
  /** What a comb hangs from in this hive. */
  protected readonly hangs = computed(() => {
    const box = this.box();
    return box ? combCarrier(frameOf(box)) : 'frame';
  });
  private readonly lastEntry = this.store.selectSignal(inspectionFeature.selectLastUndoable);
  private readonly before = this.store.selectSignal(inspectionFeature.selectBefore);

  protected readonly phone = onPhone();
  protected readonly moods = MOODS;
  protected readonly now = this.clock.now;
  protected readonly place = computed(() => {
    const visit = this.file()?.visit;
    return visit?.siteId ? { site: visit.siteId, hive: visit.hive, date: civilDate(this.now(), visit.zone) } : null;
  });
  private readonly lastFrames = this.store.selectSignal(inspectionFeature.selectLastFrames);
  /** What last time looked like, until the first side of this visit is read. */
  protected readonly lastMap = computed(() =>
    !this.atFrames() && Object.keys(this.record().sides).length === 0 ? this.lastFrames() : null,
  );
  protected readonly lastDay = computed(() => {
    const at = this.file()?.last?.at;
    return at ? dayOf(at, this.zone()) : '';
  });
  protected readonly mapName = computed(() => {
    const [hive, box] = [this.file()?.visit.hiveNumber ?? '', this.box()?.id ?? ''];
    return this.lastMap()
      ? $localize`Hive ${hive}, ${box}, as it was ${this.lastDay()}`
      : $localize`Hive ${hive}, ${box}`;
  });
  protected readonly zone = computed(() => this.file()?.visit.zone ?? 'utc');

  protected readonly step = this.flow.step;
  protected readonly atFrames = this.flow.atFrames;
  protected readonly queenMark = computed(() => {
    const queen = this.file()?.queen;
    return queen?.marked ? markColour(queen.year) : null;
  });
  protected readonly suggested = computed(() => {
    return {
      trainee: this.jobs.holder(),
      skill: SKILL_BY_STEP[this.step()?.id ?? 'outside'],
    };
  });
  protected readonly smokeText = computed(() => smokeText(this.record().smoke.at(-1)?.at ?? null, this.now()));
  protected readonly closeReasons = computed(() => this.clocks.close().reasons.map(said).join(' '));
  protected readonly undoText = computed(() =>
    said(undoText(this.before().at(-1)?.side ?? null, this.shown().side, this.lastEntry()?.body ?? null)),
  );

  constructor() {
    titled(() => {
      const visit = this.file()?.visit;
      return visit ? $localize`Hive ${visit.hiveNumber}, at the hive` : null;
    });
    effect(() => {
      const visit = this.visit();
      untracked(() => this.store.dispatch(InspectionEvents.visitOpened({ visit })));
    });
    effect(() => {
      // The work of a new step lies above what was tapped to reach it, on the page of a phone.
      if (!this.step()) return;
      globalThis.scrollTo({ top: 0 });
    });
    effect(() => {
      const level = this.clocks.level();
      if (level !== 'go-on') untracked(() => this.alarm.ring(level === 'hurry' ? 'gentle' : 'firm'));
    });
    const gone = inject(DestroyRef);
    inject(WakeLock).hold(gone);
    gone.onDestroy(() => this.store.dispatch(InspectionEvents.visitLeft()));
  }

  protected chooseFrame(frame: number): void {
    const box = this.box();
    if (!box) return;
    // Before the hive is open the map shows last time: a touch looks, it opens nothing.
    if (!this.record().openedAt) return void this.peeked.set(this.peeked() === frame ? null : frame);
    const sides = this.frames()[frame - 1];
    this.flow.turnTo({ box: box.id, frame, face: sides?.low && !sides.high ? 'high' : 'low' });
    if (!this.atFrames() && !this.flow.problem()) this.flow.reach('frames');
  }

  /** The frame of last time that somebody looks at before opening. */
  protected readonly peeked = signal<number | null>(null);
  protected readonly peek = computed(() => {
    const frame = this.peeked();
    const last = frame === null || this.record().openedAt ? null : this.lastFrames()?.[frame - 1];
    if (!frame || !last) return null;
    const side = (face: 'low' | 'high') => ({
      toward: said(towardText({ frame, face }, this.box()?.frames ?? 0)),
      side: last[face],
      words: last[face] ? formatSide(last[face]) : $localize`not read`,
    });
    return { frame, sides: [side('low'), side('high')] };
  });

  protected tick(ticked: { readonly evidence: EvidenceId; readonly seen: boolean }): void {
    // A doubt is not ticked away: it is looked at again.
    if (ticked.evidence === 'doubtful-sides') return void this.flow.reach('again');
    this.desk.enter({ kind: 'evidence-ticked', ...ticked });
  }

  /** Stops: at once when all was seen, else with the reason, which the end of the visit carries. */
  protected stop(): void {
    if (this.seen()?.enough) return void this.flow.reach('close');
    this.cards.stop().subscribe(({ reason, note }) => {
      this.desk.enter({ kind: 'stop-said', reason, note });
      this.flow.reach('close');
    });
  }

  /** Mood, smoke and stings, from below on a phone. */
  protected bees(): void {
    this.cards.bees().subscribe(() => this.sting());
  }

  /** On a phone the box from above is one target: it leads to a list of sides. */
  protected goTo(): void {
    this.cards.frames().subscribe((address) => {
      this.flow.turnTo(address);
      if (!this.atFrames() && !this.flow.problem()) this.flow.reach('frames');
    });
  }

  protected enough(): void {
    this.cards.enough((ticked) => this.tick(ticked)).subscribe(() => this.stop());
  }

  protected sting(): void {
    this.cards.sting().subscribe((person) => this.desk.enter({ kind: 'sting-counted', person }));
  }

  protected showWaiting(): void {
    this.cards.waiting().subscribe((address) => this.flow.chooseSide(address));
  }

  protected pasteNotes(text: string): void {
    this.cards.notes(text).subscribe(({ address, side }) => {
      const seen = this.record().sides[sideKey(address)]?.entry ?? null;
      this.desk.enter({ kind: 'frame-side-recorded', address, side, seen });
    });
  }

  /** What a key asks for beyond a change of the side. */
  protected wished(wish: KeyWish): void {
    switch (wish) {
      case 'next':
        return void this.flow.next();
      case 'undo':
        return void this.desk.undo();
      case 'help':
        return void this.cards.keys();
      case 'as-last-time':
        return void this.flow.problem.set(this.line.copy('last-time'));
      case 'same-as-the-other-side':
        return void this.flow.problem.set(this.line.copy('the-other-side'));
    }
  }

  protected leave(): void {
    void this.router.navigate(['/ahead']);
  }
}
