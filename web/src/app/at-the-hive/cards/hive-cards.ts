import { Injectable, type Type, inject } from '@angular/core';
import { MatBottomSheet } from '@angular/material/bottom-sheet';
import { MatDialog } from '@angular/material/dialog';
import type { EvidenceId, FrameSide, Guard, SideAddress } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { type Observable, filter, from, map, switchMap, tap } from 'rxjs';
import { EmergencyCard } from '../../inspection/emergency-card';
import { inspectionFeature } from '../../inspection/inspection.feature';
import { BeesSheet } from './bees-sheet';
import { BoxCard } from './box-card';
import { DefectCard } from './defect-card';
import { EnoughSheet } from './enough-sheet';
import { FramesSheet } from './frames-sheet';
import { GuardCard, type GuardAsk } from './guard-card';
import { GuessCard } from './guess-card';
import { IncidentCard } from './incident-card';
import { JudgementCard } from './judgement-card';
import { KeysCard } from './keys-card';
import { LookCard } from './look-card';
import { MeasureCard } from './measure-card';
import { MoreCard, type MoreId } from './more-card';
import { MoveCard } from './move-card';
import { NoteCard } from './note-card';
import { NotesCard, type ReadNote } from './notes-card';
import { PartCard } from './part-card';
import { QuestionCard } from './question-card';
import { StingCard } from './sting-card';
import { type StopAnswer, StopCard } from './stop-card';
import { WaitingCard } from './waiting-card';

/** A card fits on a phone, and is read in sun as the hive below it is. */
const ON_A_PHONE = { maxWidth: '96vw', panelClass: 'outdoor' };

/** Cards that lie over the visit for a moment. */
@Injectable({ providedIn: 'root' })
export class HiveCards {
  private readonly dialog = inject(MatDialog);
  private readonly sheet = inject(MatBottomSheet);
  private readonly store = inject(Store);
  private readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  private readonly box = this.store.selectSignal(inspectionFeature.selectBox);

  open(): boolean {
    return this.dialog.openDialogs.length > 0 || this.sheet._openedBottomSheetRef !== null;
  }

  emergency(): void {
    this.dialog.open(EmergencyCard, { data: this.file()?.emergency, width: '860px', ...ON_A_PHONE });
  }

  /** Mood, smoke and stings of the phone; tells when somebody was stung. */
  bees(): Observable<'sting'> {
    return this.fromBelow<'sting'>(BeesSheet, $localize`Bees, smoke, stings`);
  }

  /** The side that somebody goes to from the phone's list. */
  frames(): Observable<SideAddress> {
    return this.fromBelow<SideAddress>(FramesSheet, $localize`Go to a side`);
  }

  /** What was asked and seen, on a phone; tells when somebody stops. */
  enough(ticked: (ticked: { evidence: EvidenceId; seen: boolean }) => void): Observable<'stopped'> {
    return this.fromBelow<'stopped'>(EnoughSheet, $localize`Seen enough?`, ticked);
  }

  private fromBelow<Answer>(sheet: Type<unknown>, ariaLabel: string, data?: unknown): Observable<Answer> {
    return this.sheet
      .open<unknown, unknown, Answer>(sheet, { data, ariaLabel, panelClass: 'outdoor' })
      .afterDismissed()
      .pipe(filter((answer) => answer !== undefined));
  }

  keys(): void {
    this.dialog.open(KeysCard, { width: '620px', ...ON_A_PHONE });
  }

  /** Everything without a button of its own. */
  more(): void {
    const cards: Readonly<Record<MoreId, () => void>> = {
      guess: () => void this.dialog.open(GuessCard, { width: '640px', ...ON_A_PHONE }),
      look: () => void this.dialog.open(LookCard, { width: '640px', ...ON_A_PHONE }),
      measure: () => void this.dialog.open(MeasureCard, { width: '640px', ...ON_A_PHONE }),
      question: () => this.question(),
      note: () => void this.dialog.open(NoteCard, { width: '640px', ...ON_A_PHONE }),
      move: () => void this.dialog.open(MoveCard, { width: '640px', ...ON_A_PHONE }),
      box: () => void this.dialog.open(BoxCard, { width: '560px', ...ON_A_PHONE }),
      judgement: () => void this.dialog.open(JudgementCard, { width: '680px', ...ON_A_PHONE }),
      part: () => void this.dialog.open(PartCard, { width: '760px', ...ON_A_PHONE }),
      defect: () => void this.dialog.open(DefectCard, { width: '680px', ...ON_A_PHONE }),
      incident: () => void this.dialog.open(IncidentCard, { data: this.file(), width: '560px', ...ON_A_PHONE }),
      keys: () => this.keys(),
    };
    this.dialog
      .open<MoreCard, unknown, MoreId>(MoreCard, { width: '720px', ...ON_A_PHONE })
      .afterClosed()
      .subscribe((id) => {
        if (id) cards[id]();
      });
  }

  question(): void {
    this.dialog.open(QuestionCard, { width: '640px', ...ON_A_PHONE });
  }

  /** The reason to go on in spite of some guards; nothing when somebody puts it right first. */
  guards(title: string, guards: readonly Guard[], goOn: string, putRight?: () => void): Observable<string> {
    return this.dialog
      .open<GuardCard, GuardAsk, { reason: string } | 'put right'>(GuardCard, {
        data: { title, guards, goOn },
        width: '560px',
        ...ON_A_PHONE,
      })
      .afterClosed()
      .pipe(
        tap((answer) => answer === 'put right' && putRight?.()),
        filter((answer) => typeof answer === 'object'),
        map(({ reason }) => reason),
      );
  }

  /** Who was stung, `null` when that is answered later. */
  sting(): Observable<string | null> {
    return this.dialog
      .open<StingCard, unknown, string | null>(StingCard, { data: this.file(), ...ON_A_PHONE })
      .afterClosed()
      .pipe(map((person) => person ?? null));
  }

  /** Why the visit stops before all was seen; nothing when it goes on. */
  stop(): Observable<StopAnswer> {
    return this.dialog
      .open<StopCard, unknown, StopAnswer>(StopCard, { width: '560px', ...ON_A_PHONE })
      .afterClosed()
      .pipe(filter((answer) => answer !== undefined && typeof answer === 'object'));
  }

  /** The side that somebody wants to settle or enter again. */
  waiting(): Observable<SideAddress> {
    return this.dialog
      .open<WaitingCard, unknown, SideAddress>(WaitingCard, { width: '560px', ...ON_A_PHONE })
      .afterClosed()
      .pipe(filter((address) => address !== undefined && typeof address === 'object'));
  }

  /** The sides of pasted notes, one after another, once somebody has looked them over. */
  notes(text: string): Observable<{ readonly address: SideAddress; readonly side: FrameSide }> {
    const box = this.box();
    return this.dialog
      .open<NotesCard, unknown, readonly ReadNote[]>(NotesCard, {
        data: { text, frames: box?.frames ?? 0 },
        width: '620px',
        ...ON_A_PHONE,
      })
      .afterClosed()
      .pipe(
        switchMap((lines) => from(Array.isArray(lines) ? (lines as readonly ReadNote[]) : [])),
        map(({ address, side }) => ({ address: { box: box?.id ?? '', ...address }, side })),
      );
  }
}
