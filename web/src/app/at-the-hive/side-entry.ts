import { BreakpointObserver } from '@angular/cdk/layout';
import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import {
  type FrameSide,
  type Letter,
  type SideAddress,
  addEighths,
  formatSide,
  isBlank,
  readingGap,
  scoreGuess,
  sideKey,
  towardText,
} from '@brave-comb/core/inspection';
import { type CombCarrier, FRAMES, frameOf } from '@brave-comb/core/equipment';
import { toSignal } from '@angular/core/rxjs-interop';
import { Store } from '@ngrx/store';
import { map } from 'rxjs';
import { CombPortrait } from '../inspection/comb-portrait';
import { InspectionEvents } from '../inspection/inspection.events';
import { inspectionFeature } from '../inspection/inspection.feature';
import { VisitDesk } from '../inspection/visit-desk';
import { Named, named } from '../language/words';
import { said } from '../language/said';
import { timeOf } from '../ui/format';
import { EighthsBar } from './eighths-bar';
import { MarksPanel } from './marks-panel';
import { onPhone } from '../ui/on-phone';
import { Press } from './press';
import { SideLine } from './side-line';
import { FIELD } from '../parts/field';

/** One side of one frame: the bar of eighths, the comb as it grows, the line of shorthand, and the marks. */
@Component({
  selector: 'bc-side-entry',
  imports: [NgTemplateOutlet, FIELD, Named, EighthsBar, CombPortrait, MarksPanel, Press],
  templateUrl: './side-entry.html',
  styleUrl: './side-entry.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SideEntryPanel {
  private readonly store = inject(Store);
  protected readonly desk = inject(VisitDesk);
  protected readonly line = inject(SideLine);
  readonly queenMark = input<string | null>(null);
  /** What is wrong with the side, said when somebody tried to go on. */
  readonly problem = input<string | null>(null);
  /** What the comb hangs from. */
  readonly carrier = input<CombCarrier>('frame');
  readonly frameMinutes = input('');
  /** The frame is out longer than its brood may be. */
  readonly late = input(false);
  readonly notesPasted = output<string>();

  protected readonly address = this.store.selectSignal(inspectionFeature.selectAddress);
  protected readonly shown = this.store.selectSignal(inspectionFeature.selectShown);
  protected readonly reading = this.store.selectSignal(inspectionFeature.selectReading);
  protected readonly lastSide = this.store.selectSignal(inspectionFeature.selectLastSide);
  protected readonly otherSide = this.store.selectSignal(inspectionFeature.selectOtherSide);
  private readonly facingSide = this.store.selectSignal(inspectionFeature.selectFacingSide);
  private readonly box = this.store.selectSignal(inspectionFeature.selectBox);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);

  private readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  private readonly readerId = this.store.selectSignal(inspectionFeature.selectReader);
  protected readonly phone = onPhone();
  protected readonly marking = signal(false);
  protected readonly more = computed(() => (this.side().marks?.length ?? 0) + (this.side().pollens?.length ?? 0));
  protected readonly reader = computed(() => this.file()?.trainees.find(({ id }) => id === this.readerId()) ?? null);
  /** What trainees read on this side, and guessed, once the supervisor has read it. */
  protected readonly others = computed(() => {
    const [address, reading] = [this.address(), this.reading()];
    if (!address) return [];
    const here = (each: { readonly address: SideAddress }) => sideKey(each.address) === sideKey(address);
    const name = (person: string) => this.file()?.trainees.find(({ id }) => id === person)?.name ?? $localize`Somebody`;
    const readings = this.record().traineeReadings.filter(here);
    const guesses = this.record().guesses.filter(here);
    if (!reading) {
      return [...readings, ...guesses].map(({ id, person, kind }) => ({
        id,
        words: $localize`${name(person)}\: ${kind === 'side-guessed' ? $localize`guess` : $localize`reading`} kept`,
      }));
    }
    return [
      ...readings.map(({ id, person, side }) => ({
        id,
        words: $localize`${name(person)} read ${formatSide(side)}\: ${readingGap(side, reading.side).off} of 8 off`,
      })),
      ...guesses.map(({ id, person, letters }) => ({
        id,
        words: $localize`${name(person)} guessed ${letters.join('')}\: ${Math.round(10 * scoreGuess(letters, reading.side).score)} in 10`,
      })),
    ];
  });
  /** Somebody read this side before, with another result. */
  protected readonly reread = computed(() => {
    const address = this.address();
    const found = address && this.record().reread.findLast(({ now }) => sideKey(now.address) === sideKey(address));
    if (!found) return null;
    const file = this.file();
    const people = [...(file?.trainees ?? []), ...(file ? [file.visit.supervisor] : [])];
    const name = (id: string) => people.find((each) => each.id === id)?.name ?? $localize`somebody`;
    return $localize`${name(found.now.by)} read it again; ${name(found.before.by)} had ${formatSide(found.before.side)}`;
  });
  protected readonly side = this.line.side;
  protected readonly left = this.line.left;
  protected readonly toward = computed(() => {
    const address = this.address();
    return address ? said(towardText(address, this.box()?.frames ?? 0)) : '';
  });
  protected readonly otherToward = computed(() => {
    const address = this.address();
    if (!address) return '';
    const other = { frame: address.frame, face: address.face === 'low' ? ('high' as const) : ('low' as const) };
    return said(towardText(other, this.box()?.frames ?? 0));
  });
  protected readonly ratio = computed(() => {
    const box = this.box();
    const kind = box ? FRAMES[frameOf(box)] : null;
    const shape = kind ? kind.height / kind.width : 0.56;
    return this.narrow() ? shape * 0.6 : shape;
  });
  /** On a phone the comb is drawn lower than it is, to leave room for the thumb. */
  private readonly narrow = toSignal(
    inject(BreakpointObserver)
      .observe('(width < 700px), (height < 560px)')
      .pipe(map((state) => state.matches)),
  );
  protected readonly seed = computed(
    () => (this.address()?.frame ?? 0) * 2 + (this.address()?.face === 'high' ? 1 : 0),
  );
  protected readonly ghost = computed(() => (isBlank(this.side()) ? this.lastSide() : null));
  protected readonly portraitName = computed(() =>
    this.ghost() ? $localize`Last time` : `${named('combCarrier', this.carrier())} ${this.address()?.frame}`,
  );
  protected readonly conflict = computed(() => {
    const address = this.address();
    const found = address && this.record().conflicts.find((each) => sideKey(each.address) === sideKey(address));
    if (!found) return null;
    const file = this.file();
    const people = [...(file?.trainees ?? []), ...(file ? [file.visit.supervisor] : [])];
    return {
      ...found,
      readings: found.readings.map((each, index) => ({
        ...each,
        words: `${index === 0 ? $localize`counts now` : $localize`came second`}: ${people.find(({ id }) => id === each.by)?.name ?? $localize`somebody`}, ${timeOf(each.at, file?.visit.zone ?? 'utc')}`,
      })),
    };
  });
  protected readonly inLine = formatSide;
  protected readonly overBy = computed(() => (this.left() < 0 ? $localize`${8 - this.left()} of 8` : null));
  protected readonly slidingBees = signal<number | null>(null);
  /** Bees that are probably here too: of the other side of the comb, or of the comb across the same seam. */
  private readonly beesBeside = computed(() => this.otherSide()?.bees ?? this.facingSide()?.bees ?? null);
  protected readonly beesText = computed(() => {
    const [bees, beside] = [this.slidingBees() ?? this.side().bees, this.beesBeside()];
    if (bees !== null) return $localize`Bees on ${bees}/8`;
    return beside === null ? $localize`Bees on …` : $localize`Bees on ${beside}/8 too?`;
  });

  protected turnNext(): void {
    this.line.next.update((next) => (next === 'one' ? 'few' : next === 'few' ? 'rest' : 'one'));
  }

  protected takeBack(letter: Letter): void {
    this.desk.change(addEighths(this.side(), letter, -1));
  }

  protected keepReading(): void {
    this.line.problem.set(this.desk.recordSide());
  }

  protected mark(change: Partial<FrameSide>): void {
    this.desk.change({ ...this.side(), ...change });
  }

  /** The first tap takes the bees that are beside it, else eight; each further one an eighth less. */
  protected moreBees(): void {
    const bees = this.side().bees;
    this.mark({ bees: bees === null ? (this.beesBeside() ?? 8) : bees === 0 ? null : bees - 1 });
  }

  protected pasted(event: ClipboardEvent): void {
    const text = event.clipboardData?.getData('text') ?? '';
    if (!/\d+\s*\/\s*\d+\s*:/.test(text)) return;
    event.preventDefault();
    this.notesPasted.emit(text);
  }

  protected settle(keep: string): void {
    const conflict = this.conflict();
    if (conflict) this.desk.enter({ kind: 'reading-settled', address: conflict.address, keep });
  }

  protected lookAgain(): void {
    const conflict = this.conflict();
    const later = conflict?.readings.at(-1);
    if (!conflict || !later) return;
    this.settle(later.entry);
    this.store.dispatch(InspectionEvents.sideChosen({ address: conflict.address }));
    this.desk.change({ ...later.side, doubtful: true });
  }
}
