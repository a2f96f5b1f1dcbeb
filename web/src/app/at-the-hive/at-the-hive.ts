import { measured, weighed } from '../language/units';
import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  type ElementRef,
  computed,
  effect,
  inject,
  input,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import { Router } from '@angular/router';
import { markColour } from '@brave-comb/core/biology';
import { combCarrier, frameOf, isBox, nestBoxes } from '@brave-comb/core/equipment';
import {
  CHECKS,
  type ClosingTask,
  type Estimate,
  type EvidenceId,
  type Guard,
  type Letter,
  MOODS,
  type Question,
  type SideAddress,
  type SkillLevel,
  type StepId,
  copySide,
  doubtsLeft,
  eggsLeftOut,
  eighthsLeft,
  eighthsRead,
  entryText,
  formatSide,
  guardsOf,
  pressKey,
  sideKey,
  guardsLeft,
  shows,
  towardText,
} from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { catchError, first, of, timeout } from 'rxjs';
import { ExpectedCard } from '../care/expected-card';
import { BoxMap } from '../inspection/box-map';
import { CombPortrait } from '../inspection/comb-portrait';
import { InspectionEvents } from '../inspection/inspection.events';
import { inspectionFeature } from '../inspection/inspection.feature';
import { AsideNotice } from '../inspection/aside-notice';
import { DeviceStore } from '../device/device-store';
import { VisitDesk } from '../inspection/visit-desk';
import { Clock } from '../people/clock';
import { peopleFeature } from '../people/people.feature';
import { civilDate, dayOf, timeOf } from '../ui/format';
import { Alarm } from './alarm';
import { HiveCards } from './cards/hive-cards';
import { HiveClocks } from './hive-clocks';
import { HivePreferences } from './hive-preferences';
import { HiveRoles } from './hive-roles';
import { LetterPad, type Slid } from './letter-pad';
import { MoodLine } from './mood-line';
import { movedCombs } from './moved-combs';
import { NotReady } from './not-ready';
import { OpenClock } from './open-clock';
import { SeenEnoughPanel } from './seen-enough';
import { SideEntryPanel } from './side-entry';
import { SkillJudge } from './skill-judge';
import { SoFar } from './so-far';
import { StepList } from './step-list';
import { StingWatchStrip } from './sting-watch';
import { StepPanel } from './step-panel';
import { WakeLock } from './wake-lock';
import { Named, named } from '../language/words';
import { SaidPipe, said } from '../language/said';

/** How long the end of a visit waits for its entries to arrive, ms. Without signal the review follows later. */
const SENDING_PATIENCE = 3_000;
const FRAME_STEPS: readonly StepId[] = ['first-frame', 'frames'];
/** Steps for which the hive must be open. */
const OPENING: readonly StepId[] = ['open', 'supers', 'first-frame', 'frames'];
/** Where something that bars the way is put right. */
const RIGHT_AT: Readonly<Partial<Record<Guard['id'], StepId>>> = {
  'do-not-open': 'before',
  'nobody-checked': 'before',
  'deeper-than-the-hour': 'before',
  'doubtful-sides-left': 'again',
  'readings-to-settle': 'frames',
  'queen-not-accounted-for': 'close',
  'frames-still-out': 'close',
  'order-changed': 'close',
  'box-was-tipped': 'close',
  'parts-still-off': 'close',
};
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

const QUESTION_TEXT: Readonly<Record<Question, string>> = {
  laying: $localize`Is she laying?`,
  'queen-cells': $localize`Queen cells?`,
  room: $localize`Room for a week?`,
  stores: $localize`Food enough?`,
  health: $localize`Brood healthy?`,
  pests: $localize`Mites, beetles, moth?`,
};

/** One visit, full screen, with gloves on and no signal. */
@Component({
  selector: 'bc-at-the-hive',
  imports: [
    Named,
    SaidPipe,
    AsideNotice,
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
  host: { '(document:keydown)': 'key($event)', '[class.large]': 'preferences.now().large' },
})
export class AtTheHive {
  private readonly store = inject(Store);
  protected readonly cards = inject(HiveCards);
  private readonly router = inject(Router);
  private readonly clock = inject(Clock);
  private readonly alarm = inject(Alarm);
  protected readonly preferences = inject(HivePreferences);
  protected readonly clocks = inject(HiveClocks);
  protected readonly jobs = inject(HiveRoles);
  protected readonly device = inject(DeviceStore);
  protected readonly desk = inject(VisitDesk);
  readonly visit = input.required<string>();

  private readonly sideEntry = viewChild(SideEntryPanel);
  private readonly stepPanel = viewChild(StepPanel);
  private readonly map = viewChild<ElementRef<HTMLElement>>('map');
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
  protected readonly unsent = this.store.selectSignal(inspectionFeature.selectUnsent);
  protected readonly refused = this.store.selectSignal(inspectionFeature.selectRefused);
  protected readonly sendingFault = this.store.selectSignal(inspectionFeature.selectSendingFault);
  protected readonly box = this.store.selectSignal(inspectionFeature.selectBox);
  /** What a comb hangs from in this hive. */
  protected readonly hangs = computed(() => {
    const box = this.box();
    return box ? combCarrier(frameOf(box)) : 'frame';
  });
  private readonly carrier = computed(() => named('combCarrier', this.hangs()));
  private readonly facts = this.store.selectSignal(inspectionFeature.selectGuardFacts);
  private readonly closing = this.store.selectSignal(inspectionFeature.selectClosing);
  private readonly lastEntry = this.store.selectSignal(inspectionFeature.selectLastUndoable);
  private readonly before = this.store.selectSignal(inspectionFeature.selectBefore);

  private readonly person = this.store.selectSignal(peopleFeature.selectPerson);
  /** A trainee may keep the record; judging and ending a visit stay with the supervisor. */
  protected readonly leads = computed(() => this.person()?.role !== 'trainee');
  protected readonly moods = MOODS;
  protected readonly now = this.clock.now;
  protected readonly problem = signal<string | null>(null);
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

  protected readonly step = computed(
    () => this.steps().find((step) => step.id === this.ownStep()) ?? this.steps()[0] ?? null,
  );
  protected readonly atFrames = computed(() => FRAME_STEPS.includes(this.step()?.id ?? 'outside'));
  protected readonly queenMark = computed(() => {
    const queen = this.file()?.queen;
    return queen?.marked ? markColour(queen.year) : null;
  });
  protected readonly weather = computed(() => {
    const weather = this.file()?.weather;
    if (!weather) return null;
    return {
      now: $localize`${measured('temperature', weather.temperature, 0)}, gusts ${measured('speed', weather.gust, 0)}`,
      rain: weather.rainFrom
        ? $localize`rain from ${timeOf(weather.rainFrom, this.zone())}`
        : $localize`no rain in sight`,
    };
  });
  protected readonly questions = computed(
    () =>
      this.file()
        ?.visit.questions.map((question) => QUESTION_TEXT[question])
        .join(' ') ?? '',
  );
  protected readonly waitingText = computed(() => {
    const count = this.unsent().length + this.device.unsentFiles() + this.device.unsentStarts();
    const trouble = this.refused().length + this.record().conflicts.length;
    if (trouble > 0) return { icon: 'warning', text: $localize`${trouble} to settle`, why: '', bad: true };
    if (this.sendingFault())
      return {
        icon: 'no-signal',
        text: $localize`${count} waiting`,
        why: this.sendingFault()?.status === 0 ? $localize`, no signal` : $localize`, not sent`,
        bad: false,
      };
    return count > 0
      ? { icon: 'clock', text: $localize`${count} on the way`, why: '', bad: false }
      : { icon: 'check', text: $localize`all kept`, why: '', bad: false };
  });
  protected readonly suggested = computed(() => {
    return {
      trainee: this.jobs.holder(),
      skill: SKILL_BY_STEP[this.step()?.id ?? 'outside'],
    };
  });
  protected readonly smokeText = computed(() => {
    const last = this.record().smoke.at(-1);
    if (!last) return $localize`none yet`;
    const minutes = Math.max(0, Math.round((this.now() - Date.parse(last.at)) / 60_000));
    return minutes === 0 ? $localize`just now` : $localize`${minutes} min ago`;
  });
  protected readonly closeReasons = computed(() => this.clocks.close().reasons.map(said).join(' '));
  protected readonly undoText = computed(() => {
    const before = this.before().at(-1);
    const last = this.lastEntry();
    if (!before) return last ? said(entryText(last.body)) : '';
    const [was, is] = [formatSide(before.side).split(' '), formatSide(this.shown().side).split(' ')];
    return is.find((piece) => !was.includes(piece)) ?? was.find((piece) => !is.includes(piece)) ?? '';
  });
  protected readonly nextText = computed(() => {
    const step = this.step();
    if (!step) return '';
    switch (step.id) {
      case 'before':
        return $localize`Ready, watch the entrance`;
      case 'supers':
        return this.partLeft('supers')
          ? $localize`${this.partLeft('supers')} is off`
          : $localize`${this.carrier()} ${this.address()?.frame ?? 1} first`;
      case 'outside':
        return $localize`Entrance seen, smoke next`;
      case 'smoke':
        return this.record().smoke.length > 0
          ? $localize`Smoked, take parts off`
          : $localize`Entrance smoked, take parts off`;
      case 'open':
        return this.partLeft('open') ? $localize`${this.partLeft('open')} is off` : this.afterOpen();
      case 'first-frame':
      case 'frames':
        return this.nextFrameText();
      case 'again':
        return $localize`Sum up`;
      case 'sum-up':
        return $localize`Summed up, start closing`;
      case 'close':
        return this.closingNext()?.says ?? $localize`Closed, look at the entrance`;
      case 'entrance':
        return this.record().closed || !this.leads() ? $localize`To the review` : $localize`End the visit`;
    }
  });

  constructor() {
    effect(() => {
      const visit = this.visit();
      untracked(() => this.store.dispatch(InspectionEvents.visitOpened({ visit })));
    });
    effect(() => {
      // The work of a new step lies above what was tapped to reach it, on the page of a phone and in the panel of a tablet.
      if (!this.step()) return;
      globalThis.scrollTo({ top: 0 });
      this.stepPanel()?.toTop();
    });
    effect(() => {
      const frame = this.address()?.frame;
      const [map, count] = [this.map()?.nativeElement, this.frames().length];
      // A phone shows a part of the box: the frame in hand stands in its middle.
      if (map && frame) map.scrollTo({ left: ((frame - 0.5) / count) * map.scrollWidth - map.clientWidth / 2 });
    });
    effect(() => {
      this.shown();
      untracked(() => {
        this.problem.set(null);
        this.asked.set(null);
      });
    });
    effect(() => {
      const level = this.clocks.level();
      if (level !== 'go-on') untracked(() => this.alarm.ring(level === 'hurry' ? 'gentle' : 'firm'));
    });
    const gone = inject(DestroyRef);
    inject(WakeLock).hold(gone);
    gone.onDestroy(() => this.store.dispatch(InspectionEvents.visitLeft()));
  }

  private partLeft(step: 'open' | 'supers'): string | null {
    const off = this.record().partsOff;
    const parts = this.steps().find((each) => each.id === step)?.parts ?? [];
    return parts.find((part) => !off.includes(part.id))?.id ?? null;
  }

  /** The next frame, part or check of closing; what is looked at before leaving comes with the entrance. */
  private closingNext(): ClosingTask | null {
    return this.closing().find((task) => task.kind !== 'check' || CHECKS[task.check].when !== 'leaving') ?? null;
  }

  private nextFrameText(): string {
    const next = this.desk.nextSide();
    if (next)
      return $localize`${this.carrier()} ${next.frame}, side toward ${said(towardText(next, this.box()?.frames ?? 0))}`;
    const unread = this.unread().length;
    const rest = unread > 0 ? $localize`, ${unread} unread` : '';
    return this.doubtfulLeft() ? $localize`Doubtful sides again${rest}` : $localize`Sum up${rest}`;
  }

  private doubtfulLeft(): boolean {
    return doubtsLeft(this.record()).length > 0 || this.shown().side.doubtful;
  }

  protected reach(step: StepId): void {
    const problem = this.atFrames() ? (this.sideEntry()?.commit() ?? this.desk.recordSide()) : null;
    this.problem.set(problem);
    if (problem || step === this.ownStep()) return;
    if (OPENING.includes(step) && !this.record().openedAt) {
      const against = guardsLeft(guardsOf({ do: 'open' }, this.facts()), this.record());
      if (against.some(({ bar }) => bar !== 'warns'))
        return void this.cards
          .guards($localize`Before the lid comes off`, against, $localize`Open all the same`, () =>
            this.putRight(against),
          )
          .subscribe((reason) => {
            this.override(against, reason);
            this.go(step);
          });
    }
    this.go(step);
  }

  private go(step: StepId): void {
    if (!FRAME_STEPS.includes(step)) this.desk.setBack();
    this.desk.enter({ kind: 'step-reached', step });
    if (FRAME_STEPS.includes(step)) this.desk.lift();
  }

  /** Leads to where the first of what stands against it is put right. */
  private putRight(guards: readonly Guard[]): void {
    const [first] = guards;
    if (first) this.reach(RIGHT_AT[first.id] ?? this.ownStep());
  }

  private override(guards: readonly Guard[], reason: string): void {
    for (const { id, bar } of guards)
      if (bar === 'needs-a-reason') this.desk.enter({ kind: 'guard-overridden', guard: id, reason });
  }

  /** The big button: does what comes next and says so beforehand. */
  protected next(): void {
    const step = this.step()?.id;
    const panel = this.stepPanel();
    switch (step) {
      case 'before':
        return void this.reach('outside');
      case 'outside':
        panel?.keepLook();
        return void this.reach(this.stepAfter('outside'));
      case 'smoke':
        if (this.record().smoke.length === 0) this.desk.enter({ kind: 'smoke-given', place: 'entrance' });
        return void this.reach('open');
      case 'open': {
        const part = this.partLeft('open');
        return part ? void this.desk.enter({ kind: 'part-taken-off', part }) : void this.reach(this.stepAfter('open'));
      }
      case 'supers': {
        const part = this.partLeft('supers');
        return part ? void this.desk.enter({ kind: 'part-taken-off', part }) : void this.reach('first-frame');
      }
      case 'first-frame':
      case 'frames':
        return void this.nextSide();
      case 'again':
        return void this.reach('sum-up');
      case 'sum-up':
        this.desk.enter({ kind: 'summed-up', summary: this.summary(panel?.health() ?? '') });
        return void this.reach(this.stepAfter('sum-up'));
      case 'close':
        return void this.closeNext();
      case 'entrance':
        return void this.end(panel);
      default:
        return;
    }
  }

  private stepAfter(step: StepId): StepId {
    const steps = this.steps();
    return steps[steps.findIndex(({ id }) => id === step) + 1]?.id ?? 'entrance';
  }

  private afterOpen(): string {
    const next = this.stepAfter('open');
    return next === 'first-frame'
      ? $localize`${this.carrier()} ${this.address()?.frame ?? 1} first`
      : next === 'supers'
        ? $localize`Supers`
        : $localize`Sum up`;
  }

  /** Does the next thing of closing. Checks that are tapped past stand as done: somebody looked. */
  private closeNext(): void {
    const task = this.closingNext();
    if (!task) return void this.reach('entrance');
    if (task.kind === 'frame') this.desk.enter({ kind: 'frame-set-back', box: task.box, frame: task.frame });
    else if (task.kind === 'comb') this.desk.putBack(task);
    else if (task.kind === 'part') this.desk.enter({ kind: 'part-put-back', part: task.part.id });
    else this.desk.enter({ kind: 'checked', check: task.check, ok: true, person: null });
  }

  /** Goes on; a side of which a part is read, and frames that nobody read, are asked about once. */
  private nextSide(): void {
    const line = this.sideEntry()?.commit() ?? null;
    if (line) return void this.problem.set(line);
    const next = this.desk.nextSide();
    const doubt = this.partlyRead() ?? (next ? null : this.unreadText());
    if (doubt && this.asked() !== doubt) {
      this.problem.set(doubt);
      return void this.asked.set(doubt);
    }
    if (next) {
      this.turnTo(next);
      if (this.ownStep() === 'first-frame' && !this.problem())
        this.desk.enter({ kind: 'step-reached', step: 'frames' });
      return;
    }
    this.reach(this.doubtfulLeft() ? 'again' : 'sum-up');
  }

  private readonly asked = signal<string | null>(null);

  private partlyRead(): string | null {
    const { side } = this.shown();
    const address = this.address();
    const [read, left] = [eighthsRead(side), eighthsLeft(side)];
    if (!address || read === 0 || left <= 0) return null;
    const eggs = this.lastSide();
    const look =
      eggs && eggsLeftOut(eggs, 'last-time') && !shows(side, 'E')
        ? $localize` Eggs are not taken over from last time: look for them.`
        : '';
    return $localize`${this.carrier()} ${address.frame}, side toward ${said(towardText(address, this.box()?.frames ?? 0))}\: ${left} of 8 eighths are not read.${look} Fill them, or press Next once more to keep the side as partly read.`;
  }

  /** Frames of this box of which no side is read. */
  private unread(): readonly number[] {
    const here = this.address()?.frame;
    return this.frames().flatMap(({ low, high }, index) => (low || high || index + 1 === here ? [] : [index + 1]));
  }

  private unreadText(): string | null {
    const frames = this.unread();
    return frames.length === 0
      ? null
      : frames.length === 1
        ? $localize`${this.carrier()} ${frames[0]} was not read. Press once more to go on without, and say so in the summary.`
        : $localize`${frames.length} ${named('combCarriers', this.hangs())} were not read (${frames.join(', ')}). Press once more to go on without, and say so in the summary.`;
  }

  private summary(health: string) {
    const now = this.estimate();
    const figure = (value: number | undefined) => (value ?? 0).toFixed(1);
    const read =
      now && now.sidesRead < this.nestSides() ? $localize`, ${now.sidesRead} of ${this.nestSides()} sides read` : '';
    const range = (of: Estimate | null | undefined) =>
      of && of.high - of.low >= 0.2 ? $localize` (${figure(of.low)} to ${figure(of.high)})` : '';
    return {
      bees: now?.framesOfBees
        ? $localize`${figure(now.framesOfBees.value)} frames${range(now.framesOfBees)}${read}`
        : $localize`not counted`,
      brood:
        now && now.sidesRead > 0
          ? $localize`${figure(now.brood.value)} frames${range(now.brood)}${read}`
          : $localize`not read`,
      food:
        now && now.sidesRead > 0
          ? $localize`${measured('weight', now.storesKg.value, 1)}${range(weighed(now.storesKg))}${read}`
          : $localize`not read`,
      health,
    };
  }

  private end(panel: StepPanel | undefined): void {
    if (this.record().closed || !panel) return void this.leaveForReview();
    const against = guardsLeft(guardsOf({ do: 'close' }, this.facts()), this.record());
    if (against.some(({ bar }) => bar !== 'warns'))
      return void this.cards
        .guards($localize`Before you leave this hive`, against, $localize`Leave it so`, () => this.putRight(against))
        .subscribe((reason) => {
          this.override(against, reason);
          this.finish(panel);
        });
    this.finish(panel);
  }

  private finish(panel: StepPanel): void {
    const reason = panel.ending();
    if (!reason)
      return void this.problem.set($localize`Say why the visit ends here\: not all was seen that it was opened for.`);
    panel.keepLook();
    this.desk.enter({ kind: 'visit-closed', reason, note: panel.note() });
    this.leaveForReview();
  }

  private leaveForReview(): void {
    this.store
      .select(inspectionFeature.selectUnsent)
      .pipe(
        first((unsent) => unsent.length === 0),
        timeout(SENDING_PATIENCE),
        catchError(() => of(null)),
      )
      .subscribe(() => void this.router.navigate(['/afterwards', this.visit()]));
  }

  protected turnTo(address: SideAddress): void {
    this.problem.set(this.sideEntry()?.commit() ?? this.desk.turnTo(address));
    if (!this.problem() && this.atFrames()) this.desk.lift();
  }

  /** Turns to the frames of another box. */
  protected chooseBox(box: string): void {
    const read = Object.values(this.record().sides).filter(({ address }) => address.box === box);
    this.turnTo({ box, frame: 1, face: read.length === 0 ? 'low' : 'high' });
    if (!this.problem()) this.reach('frames');
  }

  protected chooseFrame(frame: number): void {
    const box = this.box();
    if (!box) return;
    // Before the hive is open the map shows last time: a touch looks, it opens nothing.
    if (!this.record().openedAt) return void this.peeked.set(this.peeked() === frame ? null : frame);
    const sides = this.frames()[frame - 1];
    this.turnTo({ box: box.id, frame, face: sides?.low && !sides.high ? 'high' : 'low' });
    if (!this.atFrames() && !this.problem()) this.reach('frames');
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

  protected back(): void {
    const address = this.desk.nextSide(-1);
    if (address) this.turnTo(address);
  }

  protected chooseSide(address: SideAddress): void {
    this.turnTo(address);
    this.reach('frames');
  }

  protected add(letter: Letter): void {
    this.problem.set(null);
    this.sideEntry()?.add(letter);
  }

  protected rest(letter: Letter): void {
    this.problem.set(null);
    this.sideEntry()?.rest(letter);
  }

  protected slid(slid: Slid): void {
    this.problem.set(null);
    this.sideEntry()?.slid(slid);
  }

  protected redo(): void {
    this.problem.set(null);
    this.desk.redo();
  }

  protected undo(): void {
    this.problem.set(null);
    this.desk.undo();
  }

  protected tick(ticked: { readonly evidence: EvidenceId; readonly seen: boolean }): void {
    // A doubt is not ticked away: it is looked at again.
    if (ticked.evidence === 'doubtful-sides') return void this.reach('again');
    this.desk.enter({ kind: 'evidence-ticked', ...ticked });
  }

  /** Stops: at once when all was seen, else with the reason, which the end of the visit carries. */
  protected stop(): void {
    if (this.seen()?.enough) return void this.reach('close');
    this.cards.stop().subscribe(({ reason, note }) => {
      this.desk.enter({ kind: 'stop-said', reason, note });
      this.reach('close');
    });
  }

  protected judge(judged: { readonly trainee: string; readonly skill: string; readonly level: SkillLevel }): void {
    this.desk.enter({ kind: 'skill-judged', ...judged });
  }

  protected sting(): void {
    this.cards.sting().subscribe((person) => this.desk.enter({ kind: 'sting-counted', person }));
  }

  protected showWaiting(): void {
    this.cards.waiting().subscribe((address) => this.chooseSide(address));
  }

  protected pasteNotes(text: string): void {
    this.cards.notes(text).subscribe(({ address, side }) => {
      const seen = this.record().sides[sideKey(address)]?.entry ?? null;
      this.desk.enter({ kind: 'frame-side-recorded', address, side, seen });
    });
  }

  protected key(event: KeyboardEvent): void {
    const target = event.target as HTMLElement;
    const typing = /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || this.cards.open();
    if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key === '?') return void this.cards.keys();
    if (!this.atFrames() || (event.key === 'Enter' && target.tagName === 'BUTTON')) return;
    const pressed = pressKey(this.shown(), event.key, event.shiftKey);
    if (!pressed) return;
    event.preventDefault();
    // A button that was tapped before must not take the next Enter for itself.
    target.blur();
    this.problem.set(null);
    const { entry, wish } = pressed;
    switch (wish) {
      case 'next':
        return void this.next();
      case 'undo':
        return void this.undo();
      case 'help':
        return void this.cards.keys();
      case 'as-last-time':
      case 'same-as-the-other-side':
        return void this.copy(wish);
      default:
        this.desk.change(entry.side, entry.pending);
    }
  }

  private copy(wish: 'as-last-time' | 'same-as-the-other-side'): void {
    const address = this.address();
    const frame = this.frames()[(address?.frame ?? 1) - 1];
    const other = address?.face === 'low' ? frame?.high : frame?.low;
    const side = wish === 'as-last-time' ? this.lastSide() : other;
    if (side)
      this.desk.change(copySide(this.shown().side, side, wish === 'as-last-time' ? 'last-time' : 'the-other-side'));
    else
      this.problem.set(
        wish === 'as-last-time'
          ? $localize`This side has no reading from last time.`
          : $localize`The other side is not read yet.`,
      );
  }

  private readonly lastSide = this.store.selectSignal(inspectionFeature.selectLastSide);

  protected leave(): void {
    void this.router.navigate(['/ahead']);
  }
}
