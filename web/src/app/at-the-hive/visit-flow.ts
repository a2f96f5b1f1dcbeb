import { Injectable, computed, effect, inject, signal, untracked } from '@angular/core';
import { Router } from '@angular/router';
import {
  type Guard,
  type Next,
  type SideAddress,
  type StandingAt,
  type StepId,
  asksBefore,
  guardsLeft,
  guardsOf,
  nextOf,
  nextText,
  sideBeside,
} from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { catchError, first, of, timeout } from 'rxjs';
import { inspectionFeature } from '../inspection/inspection.feature';
import { VisitDesk } from '../inspection/visit-desk';
import { said } from '../language/said';
import { peopleFeature } from '../people/people.feature';
import { HiveCards } from './cards/hive-cards';
import { EntranceLook } from './entrance-look';
import { SideLine } from './side-line';
import { VisitEnd } from './visit-end';

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

/** The way through a visit on this device: from step to step and from side to side, past what bars it. */
@Injectable()
export class VisitFlow {
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly desk = inject(VisitDesk);
  private readonly cards = inject(HiveCards);
  private readonly line = inject(SideLine);
  private readonly look = inject(EntranceLook);
  private readonly ending = inject(VisitEnd);
  private readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  private readonly steps = this.store.selectSignal(inspectionFeature.selectSteps);
  private readonly box = this.store.selectSignal(inspectionFeature.selectBox);
  private readonly frames = this.store.selectSignal(inspectionFeature.selectFrames);
  private readonly address = this.store.selectSignal(inspectionFeature.selectAddress);
  private readonly shown = this.store.selectSignal(inspectionFeature.selectShown);
  private readonly closing = this.store.selectSignal(inspectionFeature.selectClosing);
  private readonly facts = this.store.selectSignal(inspectionFeature.selectGuardFacts);
  private readonly lastSide = this.store.selectSignal(inspectionFeature.selectLastSide);
  private readonly person = this.store.selectSignal(peopleFeature.selectPerson);
  /** Where this device stands; another may stand elsewhere in the same visit. */
  private readonly ownStep = this.store.selectSignal(inspectionFeature.selectStep);

  /** A trainee may keep the record; judging and ending a visit stay with the supervisor. */
  readonly leads = computed(() => this.person()?.role !== 'trainee');
  readonly step = computed(() => this.steps().find((step) => step.id === this.ownStep()) ?? this.steps()[0] ?? null);
  readonly atFrames = computed(() => FRAME_STEPS.includes(this.step()?.id ?? 'outside'));
  /** What is wrong, or asked about, before the way goes on. */
  readonly problem = signal<string | null>(null);
  /** What was asked about already: pressed once more, the way goes on. */
  private readonly asked = signal<string | null>(null);
  private readonly standing = computed<StandingAt>(() => ({
    steps: this.steps(),
    record: this.record(),
    box: this.box(),
    frames: this.frames(),
    address: this.address(),
    side: this.shown().side,
    closing: this.closing(),
    leads: this.leads(),
  }));
  /** What the big button says. */
  readonly nextSays = computed(() => {
    const step = this.step();
    return step ? said(nextText(step.id, this.standing())) : '';
  });

  constructor() {
    effect(() => {
      this.shown();
      untracked(() => {
        this.problem.set(null);
        this.asked.set(null);
      });
    });
  }

  /** The big button: does what comes next and says so beforehand. */
  next(): void {
    const step = this.step();
    if (!step) return;
    if (this.atFrames() && !this.mayGoOn()) return;
    this.take(nextOf(step.id, this.standing()));
  }

  /** A side of which a part is read, and frames that nobody read, are asked about once. */
  private mayGoOn(): boolean {
    const wrong = this.line.commit();
    const doubt = asksBefore(this.standing(), this.lastSide());
    const asks = doubt && said(doubt);
    const stops = wrong ?? (asks !== this.asked() ? asks : null);
    if (stops === null) return true;
    this.problem.set(stops);
    if (!wrong) this.asked.set(asks);
    return false;
  }

  private take(next: Next): void {
    switch (next.do) {
      case 'reach':
        return void this.reach(next.step);
      case 'keep-look':
        this.look.keep('before');
        return void this.reach(next.then);
      case 'smoke-entrance':
        if (!next.smoked) this.desk.enter({ kind: 'smoke-given', place: 'entrance' });
        return void this.reach(next.then);
      case 'take-off':
        return void this.desk.enter({ kind: 'part-taken-off', part: next.part });
      case 'turn-to': {
        this.turnTo(next.side);
        if (this.ownStep() === 'first-frame' && !this.problem())
          this.desk.enter({ kind: 'step-reached', step: 'frames' });
        return;
      }
      case 'sum-up':
        this.desk.enter({ kind: 'summed-up', summary: this.ending.summary() });
        return void this.reach(next.then);
      case 'close':
        // A check that is tapped past stands as done: somebody looked.
        return void this.desk.close(next.task);
      case 'end':
        return void this.end();
      case 'review':
        return void this.leaveForReview();
    }
  }

  /** Goes to a step, past what bars it with a reason. */
  reach(step: StepId): void {
    const problem = this.atFrames() ? (this.line.commit() ?? this.desk.recordSide()) : null;
    this.problem.set(problem);
    if (problem || step === this.ownStep()) return;
    const opens = OPENING.includes(step) && !this.record().openedAt;
    if (opens) this.pastGuards('open', () => this.go(step));
    else this.go(step);
  }

  private go(step: StepId): void {
    if (!FRAME_STEPS.includes(step)) this.desk.setBack();
    this.desk.enter({ kind: 'step-reached', step });
    if (FRAME_STEPS.includes(step)) this.desk.lift();
  }

  /** Goes on when nothing bars it, or with a reason; else leads to where the first of it is put right. */
  private pastGuards(what: 'open' | 'close', goOn: () => void): void {
    const against = guardsLeft(guardsOf({ do: what }, this.facts()), this.record());
    if (against.every(({ bar }) => bar === 'warns')) return void goOn();
    const [title, allTheSame] =
      what === 'open'
        ? [$localize`Before the lid comes off`, $localize`Open anyway`]
        : [$localize`Before you leave this hive`, $localize`Leave anyway`];
    const putRight = () => this.reach(RIGHT_AT[against[0]!.id] ?? this.ownStep());
    this.cards.guards(title, against, allTheSame, putRight).subscribe((reason) => {
      for (const { id, bar } of against)
        if (bar === 'needs-a-reason') this.desk.enter({ kind: 'guard-overridden', guard: id, reason });
      goOn();
    });
  }

  turnTo(address: SideAddress): void {
    this.problem.set(this.line.commit() ?? this.desk.turnTo(address));
    if (!this.problem() && this.atFrames()) this.desk.lift();
  }

  /** Turns to the side before. */
  back(): void {
    const before = sideBeside(this.standing(), -1);
    if (before) this.turnTo(before);
  }

  /** Turns to a side of the frames, wherever the visit stands. */
  chooseSide(address: SideAddress): void {
    this.turnTo(address);
    if (!this.problem()) this.reach('frames');
  }

  /** Turns to the frames of another box. */
  chooseBox(box: string): void {
    const read = Object.values(this.record().sides).filter(({ address }) => address.box === box);
    this.chooseSide({ box, frame: 1, face: read.length === 0 ? 'low' : 'high' });
  }

  private end(): void {
    this.pastGuards('close', () => {
      const reason = this.ending.reason();
      if (!reason)
        return void this.problem.set(
          $localize`Say why the visit ends here\: not everything it was opened for was seen.`,
        );
      this.look.keep('after');
      this.desk.enter({ kind: 'visit-closed', reason, note: this.ending.note() });
      this.ending.health.set('');
      this.leaveForReview();
    });
  }

  private leaveForReview(): void {
    const visit = this.file()?.visit.id;
    this.store
      .select(inspectionFeature.selectUnsent)
      .pipe(
        first((unsent) => unsent.length === 0),
        timeout(SENDING_PATIENCE),
        catchError(() => of(null)),
      )
      .subscribe(() => void this.router.navigate(['/afterwards', visit]));
  }
}
