import {
  ChangeDetectionStrategy,
  Component,
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
import {
  type EvidenceId,
  type Letter,
  MOODS,
  type Question,
  type SideAddress,
  type SkillLevel,
  type StepId,
  firstFrameCaution,
  formatSide,
  pressKey,
  sideKey,
  toward,
} from '@brave-comb/core/inspection';
import { HIVE_TYPES } from '@brave-comb/core/equipment';
import { roleRota } from '@brave-comb/core/planning';
import { Store } from '@ngrx/store';
import { catchError, first, of, timeout } from 'rxjs';
import { ExpectedCard } from '../care/expected-card';
import { BoxMap } from '../inspection/box-map';
import { InspectionEvents, inspectionFeature } from '../inspection/inspection.feature';
import { VisitDesk } from '../inspection/visit-desk';
import { Clock } from '../people/clock';
import { civilDate, timeOf } from '../shell/format';
import { HiveCards } from './cards/hive-cards';
import { LetterPad } from './letter-pad';
import { MoodLine } from './mood-line';
import { OpenClock } from './open-clock';
import { SeenEnoughPanel } from './seen-enough';
import { SideEntryPanel } from './side-entry';
import { SkillJudge } from './skill-judge';
import { SoFar } from './so-far';
import { StepList } from './step-list';
import { StepPanel } from './step-panel';

/** How long the end of a visit waits for its entries to arrive, ms. Without signal the review follows later. */
const SENDING_PATIENCE = 3_000;
const FRAME_STEPS: readonly StepId[] = ['first frame', 'frames'];
const SKILL_BY_STEP: Readonly<Record<StepId, string>> = {
  before: 'states-aim',
  outside: 'reads-entrance',
  smoke: 'smokes-in-order',
  open: 'keeps-parts',
  supers: 'lifts-box',
  'first frame': 'outermost-first',
  frames: 'lifts-straight',
  again: 'suspect-lids',
  'sum up': 'sums-up',
  close: 'keeps-order',
  entrance: 'knows-enough',
};

const QUESTION_TEXT: Readonly<Record<Question, string>> = {
  laying: 'Is she laying?',
  'queen cells': 'Queen cells?',
  room: 'Room for a week?',
  stores: 'Food enough?',
  health: 'Brood well?',
  pests: 'Mites, beetles, moth?',
};

/** One visit, full screen, with gloves on and no signal. */
@Component({
  selector: 'bc-at-the-hive',
  imports: [
    MatIcon,
    BoxMap,
    LetterPad,
    MoodLine,
    OpenClock,
    SeenEnoughPanel,
    SideEntryPanel,
    SkillJudge,
    SoFar,
    StepList,
    StepPanel,
    ExpectedCard,
  ],
  templateUrl: './at-the-hive.html',
  styleUrl: './at-the-hive.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
})
export class AtTheHive {
  private readonly store = inject(Store);
  protected readonly cards = inject(HiveCards);
  private readonly router = inject(Router);
  private readonly clock = inject(Clock);
  protected readonly desk = inject(VisitDesk);
  readonly visit = input.required<string>();

  private readonly sideEntry = viewChild(SideEntryPanel);
  private readonly stepPanel = viewChild(StepPanel);
  protected readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  protected readonly fault = this.store.selectSignal(inspectionFeature.selectFault);
  protected readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  protected readonly frames = this.store.selectSignal(inspectionFeature.selectFrames);
  protected readonly steps = this.store.selectSignal(inspectionFeature.selectSteps);
  protected readonly estimate = this.store.selectSignal(inspectionFeature.selectEstimate);
  protected readonly seen = this.store.selectSignal(inspectionFeature.selectSeen);
  protected readonly address = this.store.selectSignal(inspectionFeature.selectAddress);
  protected readonly shown = this.store.selectSignal(inspectionFeature.selectShown);
  protected readonly unsent = this.store.selectSignal(inspectionFeature.selectUnsent);
  protected readonly refused = this.store.selectSignal(inspectionFeature.selectRefused);
  protected readonly sendingFault = this.store.selectSignal(inspectionFeature.selectSendingFault);
  private readonly box = this.store.selectSignal(inspectionFeature.selectBox);
  private readonly before = this.store.selectSignal(inspectionFeature.selectBefore);

  protected readonly moods = MOODS;
  protected readonly now = this.clock.now;
  protected readonly problem = signal<string | null>(null);
  private readonly frameSince = signal(Date.now());
  private readonly frame = computed(() => this.address()?.frame);
  protected readonly place = computed(() => {
    const visit = this.file()?.visit;
    return visit?.siteId ? { site: visit.siteId, hive: visit.hive, date: civilDate(this.now(), visit.zone) } : null;
  });
  protected readonly zone = computed(() => this.file()?.visit.zone ?? 'utc');

  protected readonly step = computed(
    () => this.steps().find((step) => step.id === this.record().step) ?? this.steps()[0] ?? null,
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
      now: `${Math.round(weather.temperature)} °C, gusts ${Math.round(weather.gust)}`,
      rain: weather.rainFrom ? `rain from ${timeOf(weather.rainFrom, this.zone())}` : 'no rain in sight',
    };
  });
  protected readonly questions = computed(
    () =>
      this.file()
        ?.visit.questions.map((question) => QUESTION_TEXT[question])
        .join(' ') ?? '',
  );
  protected readonly waitingText = computed(() => {
    const count = this.unsent().length;
    const trouble = this.refused().length + this.record().conflicts.length;
    if (trouble > 0) return { icon: 'warning', text: `${trouble} to settle`, bad: true };
    if (this.sendingFault())
      return {
        icon: 'no signal',
        text: `${count} waiting, ${this.sendingFault()?.status === 0 ? 'no signal' : 'not sent'}`,
        bad: false,
      };
    return count > 0
      ? { icon: 'clock', text: `${count} on the way`, bad: false }
      : { icon: 'check', text: 'all kept', bad: false };
  });
  protected readonly turn = computed(() => {
    const file = this.file();
    const box = this.box();
    if (!file || !box || file.trainees.length === 0) return null;
    const rota = roleRota(
      file.trainees.map(({ id, name, seated }) => ({
        name,
        open: file.skills.filter((skill) => skill.open.includes(id)).map((skill) => skill.id),
        seated,
      })),
      { frames: box.frames, horizontal: HIVE_TYPES[file.hiveType].horizontal },
    );
    const frame = this.address()?.frame ?? 1;
    return rota.find((turn) => frame >= turn.fromFrame && frame <= turn.toFrame) ?? rota[0] ?? null;
  });
  protected readonly suggested = computed(() => {
    const holder = this.turn()?.roles.frames[0];
    return {
      trainee: this.file()?.trainees.find((each) => each.name === holder)?.id ?? null,
      skill: SKILL_BY_STEP[this.step()?.id ?? 'outside'],
    };
  });
  protected readonly frameMinutes = computed(() => {
    if (!this.atFrames() || !this.record().openedAt) return '';
    this.now();
    const seconds = Math.max(0, Math.floor((Date.now() - this.frameSince()) / 1000));
    return `frame out ${Math.floor(seconds / 60)}:${`${seconds % 60}`.padStart(2, '0')} of ${this.file()?.limits.broodMinutes ?? 5}:00`;
  });
  protected readonly smokeText = computed(() => {
    const last = this.record().smoke.at(-1);
    if (!last) return 'none yet';
    const minutes = Math.max(0, Math.round((this.now() - Date.parse(last.at)) / 60_000));
    return minutes === 0 ? 'just now' : `${minutes} min ago`;
  });
  protected readonly undoText = computed(() => {
    const before = this.before().at(-1);
    if (!before) return this.record().undoable.length > 0 ? 'last entry' : '';
    const [was, is] = [formatSide(before.side).split(' '), formatSide(this.shown().side).split(' ')];
    return is.find((piece) => !was.includes(piece)) ?? was.find((piece) => !is.includes(piece)) ?? '';
  });
  protected readonly caution = computed(() => {
    const address = this.address();
    const box = this.box();
    if (!address || !box || !this.atFrames()) return null;
    const read = Object.values(this.record().sides)
      .filter((each) => each.address.box === box.id)
      .map((each) => each.address.frame);
    return firstFrameCaution(address.frame, box.frames, read);
  });
  protected readonly nextText = computed(() => {
    const step = this.step();
    if (!step) return '';
    switch (step.id) {
      case 'before':
        return 'Ready, watch the entrance';
      case 'supers':
        return this.partLeft('supers')
          ? `${this.partLeft('supers')} is off`
          : `Frame ${this.address()?.frame ?? 1} first`;
      case 'outside':
        return 'Entrance seen, smoke next';
      case 'smoke':
        return this.record().smoke.length > 0 ? 'Smoked, take parts off' : 'Entrance smoked, take parts off';
      case 'open':
        return this.partLeft('open') ? `${this.partLeft('open')} is off` : `Frame ${this.address()?.frame ?? 1} first`;
      case 'first frame':
      case 'frames':
        return this.nextFrameText();
      case 'again':
        return 'Sum up';
      case 'sum up':
        return 'Summed up, start closing';
      case 'close':
        return this.partLeft('close') ? `${this.partLeft('close')} is on` : 'Closed, look at the entrance';
      case 'entrance':
        return this.record().closed ? 'To the review' : 'End the visit';
    }
  });

  constructor() {
    effect(() => {
      const visit = this.visit();
      untracked(() => this.store.dispatch(InspectionEvents.visitOpened({ visit })));
    });
    effect(() => {
      // On a phone the work of a new step lies above what was tapped to reach it.
      if (this.step()) globalThis.scrollTo({ top: 0 });
    });
    effect(() => {
      this.frame();
      untracked(() => this.frameSince.set(Date.now()));
    });
  }

  private partLeft(step: 'open' | 'supers' | 'close'): string | null {
    const off = this.record().partsOff;
    const parts = this.steps().find((each) => each.id === step)?.parts ?? [];
    return parts.find((part) => (step === 'close' ? off.includes(part.id) : !off.includes(part.id)))?.id ?? null;
  }

  private nextFrameText(): string {
    const next = this.desk.nextSide();
    if (next) return `Frame ${next.frame}, side toward ${toward(next)}`;
    return this.doubtfulLeft() ? 'Doubtful sides again' : 'Sum up';
  }

  private doubtfulLeft(): boolean {
    return Object.values(this.record().sides).some((each) => each.side.doubtful) || this.shown().side.doubtful;
  }

  protected reach(step: StepId): void {
    const problem = this.atFrames() ? this.desk.recordSide() : null;
    this.problem.set(problem);
    if (!problem && step !== this.record().step) this.desk.enter({ kind: 'step reached', step });
  }

  /** The big button: does what comes next and says so beforehand. */
  protected next(): void {
    const step = this.step()?.id;
    const panel = this.stepPanel();
    switch (step) {
      case 'before':
        return void this.reach('outside');
      case 'outside':
        if (panel) this.desk.enter({ kind: 'outside seen', when: 'before', look: panel.look() });
        return void this.reach('smoke');
      case 'smoke':
        if (this.record().smoke.length === 0) this.desk.enter({ kind: 'smoke given', place: 'entrance' });
        return void this.reach('open');
      case 'open': {
        const part = this.partLeft('open');
        return part ? void this.desk.enter({ kind: 'part taken off', part }) : void this.reach('first frame');
      }
      case 'first frame':
      case 'frames':
        return void this.nextSide();
      case 'again':
        return void this.reach('sum up');
      case 'sum up':
        this.desk.enter({ kind: 'summed up', summary: this.summary(panel?.health() ?? '') });
        return void this.reach('close');
      case 'close': {
        const part = this.partLeft('close');
        return part ? void this.desk.enter({ kind: 'part put back', part }) : void this.reach('entrance');
      }
      case 'entrance':
        return void this.end(panel);
      default:
        return;
    }
  }

  private nextSide(): void {
    const next = this.desk.nextSide();
    if (next) {
      this.turnTo(next);
      if (this.record().step === 'first frame' && !this.problem())
        this.desk.enter({ kind: 'step reached', step: 'frames' });
      return;
    }
    this.reach(this.doubtfulLeft() ? 'again' : 'sum up');
  }

  private summary(health: string) {
    const now = this.estimate();
    const figure = (value: number | undefined) => (value ?? 0).toFixed(1);
    return {
      bees: now?.framesOfBees ? `${figure(now.framesOfBees.value)} frames` : 'not counted',
      brood: `${figure(now?.brood.value)} frames`,
      food: `${figure(now?.storesKg.value)} kg`,
      health,
    };
  }

  private end(panel: StepPanel | undefined): void {
    if (!this.record().closed && panel) {
      this.desk.enter({ kind: 'outside seen', when: 'after', look: panel.look() });
      this.desk.enter({ kind: 'visit closed', reason: panel.reason(), note: panel.note() });
    }
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
    this.problem.set(this.desk.turnTo(address));
  }

  protected chooseFrame(frame: number): void {
    const box = this.box();
    if (!box) return;
    const sides = this.frames()[frame - 1];
    this.turnTo({ box: box.id, frame, face: sides?.low && !sides.high ? 'high' : 'low' });
    if (!this.atFrames() && !this.problem()) this.desk.enter({ kind: 'step reached', step: 'frames' });
  }

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

  protected undo(): void {
    this.problem.set(null);
    this.desk.undo();
  }

  protected tick(ticked: { readonly evidence: EvidenceId; readonly seen: boolean }): void {
    this.desk.enter({ kind: 'evidence ticked', ...ticked });
  }

  protected judge(judged: { readonly trainee: string; readonly skill: string; readonly level: SkillLevel }): void {
    this.desk.enter({ kind: 'skill judged', ...judged });
  }

  protected sting(): void {
    this.cards.sting().subscribe((person) => this.desk.enter({ kind: 'sting counted', person }));
  }

  protected showWaiting(): void {
    this.cards.waiting().subscribe((address) => this.chooseSide(address));
  }

  protected pasteNotes(text: string): void {
    this.cards.notes(text).subscribe(({ address, side }) => {
      const seen = this.record().sides[sideKey(address)]?.entry ?? null;
      this.desk.enter({ kind: 'frame side recorded', address, side, seen });
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
      case 'as last time':
      case 'same as the other side':
        return void this.copy(wish);
      default:
        this.desk.change(entry.side, entry.pending);
    }
  }

  private copy(wish: 'as last time' | 'same as the other side'): void {
    const address = this.address();
    const frame = this.frames()[(address?.frame ?? 1) - 1];
    const other = address?.face === 'low' ? frame?.high : frame?.low;
    const side = wish === 'as last time' ? this.lastSide() : other;
    if (side) this.desk.change({ ...side, doubtful: false });
    else
      this.problem.set(
        wish === 'as last time' ? 'This side has no reading from last time.' : 'The other side is not read yet.',
      );
  }

  private readonly lastSide = this.store.selectSignal(inspectionFeature.selectLastSide);

  protected leave(): void {
    void this.router.navigate(['/ahead']);
  }
}
