import { Unfit } from '@brave-comb/core/language';
import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { EMPTY_SIDE, type FrameSide } from '@brave-comb/core/inspection';
import {
  type Answer,
  type CombPicture,
  type Mark,
  type TopicId,
  type Touch,
  TOPIC_IDS,
  TROUBLES,
  TROUBLE_SAYS,
  layComb,
  markReading,
  markTouches,
  readShares,
  recipeOfSide,
  secondsFor,
  topicOf,
  wrongEighths,
} from '@brave-comb/core/practice';
import { meanOf } from '@brave-comb/core/statistics';
import { DAY } from '@brave-comb/core/units';
import { AttachmentView } from '../inspection/attachment-view';
import { CombPatterns } from '../inspection/comb-patterns';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { ChoiceEntry } from './choice-entry';
import { combSize } from './comb-painter';
import { CombStage, type Overlay, type Sight } from './comb-stage';
import { DrillFacts } from './drill-facts';
import { answerOf, choicesOf } from './drill-choices';
import { FindReplay, type Look } from './find-replay';
import { OrderEntry } from './order-entry';
import { PracticeDesk, type Task } from './practice-desk';
import { PracticeNext } from './practice-next';
import { PracticeWeek } from './practice-week';
import { rightText, whenText } from './progress-text';
import { ReadingEntry } from './reading-entry';
import { ReadingTold } from './reading-told';
import { Named } from '../language/words';
import { SaidPipe, said } from '../language/said';
import { FileButton } from '../parts/file-button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';

/** What is laid over a comb that was answered. */
const OVERLAYS = ['off', 'zones', 'zones-and-eggs', 'my-guess'] as const;
/** And over a comb on which something was looked for. */
const SHOWN = ['truth', 'mine', 'bare'] as const;
const MONTH = 30 * DAY;

/** One thing to be practised: the comb, the hour or the colony on the left, what one says of it on the right, and then what was there. */
@Component({
  selector: 'bc-drill',
  imports: [
    MatButtonToggle,
    MatButtonToggleGroup,
    FileButton,
    SaidPipe,
    Named,
    AttachmentView,
    ChoiceEntry,
    CombPatterns,
    CombStage,
    DrillFacts,
    FindReplay,
    OrderEntry,
    PracticeNext,
    PracticeWeek,
    ReadingEntry,
    ReadingTold,
    RouterLink,
    ViewState,
    MatButton,
  ],
  providers: [PracticeDesk],
  templateUrl: './drill.html',
  styleUrl: './drill.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class DrillScreen {
  protected readonly verdict = ({ right, score }: { readonly right: boolean; readonly score: number }) =>
    right ? 'right' : score >= 0.5 ? 'partly' : 'wrong';
  protected readonly desk = inject(PracticeDesk);
  /** From the address; without it, practice opens on what suits best today. */
  readonly topic = input<string>();
  private readonly suits = signal<TopicId | null>(null);
  /** A visit that is read again, from the address. */
  readonly visit = input<string>();
  private readonly replayed = inject(ViewDesk).watch('practiceRecord', () => {
    const visit = this.visit();
    return visit ? { params: { visit } } : null;
  });
  private readonly done = signal(0);
  protected readonly known = computed(() => {
    const topic = this.topic();
    return topic === undefined ? this.suits() : (TOPIC_IDS.find((id) => id === topic) ?? null);
  });
  protected readonly about = computed(() => {
    const id = this.known();
    return id && topicOf(id);
  });
  protected readonly task = signal<Task | null>(null);
  protected readonly nothing = signal('');
  protected readonly side = signal<FrameSide>(EMPTY_SIDE);
  protected readonly touches = signal<readonly Touch[]>([]);
  protected readonly mark = signal<Mark | null>(null);
  protected readonly answered = signal<Answer | null>(null);
  protected readonly overlay = signal<(typeof OVERLAYS)[number]>('zones');
  protected readonly overlays = OVERLAYS;
  protected readonly overlayWords: Readonly<Record<(typeof OVERLAYS)[number], string>> = {
    off: $localize`off`,
    zones: $localize`zones`,
    'zones-and-eggs': $localize`zones and eggs`,
    'my-guess': $localize`my guess`,
  };
  protected readonly shown = signal<(typeof SHOWN)[number]>('truth');
  protected readonly shownChoices: readonly { readonly id: (typeof SHOWN)[number]; readonly name: string }[] = [
    { id: 'truth', name: $localize`truth circled` },
    { id: 'mine', name: $localize`only my marks` },
    { id: 'bare', name: $localize`bare comb` },
  ];
  protected readonly seconds = signal(0);
  private startedAt = 0;
  private readonly now = () => (performance.now() - this.startedAt) / 1000;
  /** The touches after each change of them, and the parts of the comb that were looked at. */
  private readonly trail = signal<readonly { readonly at: number; readonly touches: readonly Touch[] }[]>([]);
  protected readonly looks = signal<readonly Look[]>([]);
  protected readonly touchTimes = computed(() => this.trail().map(({ at }) => at));
  /** Moment of the search that is shown again. */
  protected readonly replayAt = linkedSignal(() => this.seconds());
  protected readonly combWidths = computed(() => {
    const drill = this.drill();
    return drill && 'side' in drill ? combSize(drill) : ([1, 1] as const);
  });

  protected readonly allowed = computed(() => {
    const task = this.task();
    return task ? secondsFor(task.topic, task.level) : 0;
  });
  protected readonly clockText = computed(() => {
    const left = this.allowed() - this.seconds();
    if (this.mark()) return $localize`answered in ${this.seconds()} of ${this.allowed()} s`;
    return left >= 0 ? $localize`${left} s left` : $localize`${-left} s over`;
  });
  protected readonly clockShare = computed(() => Math.min(100, (100 * this.seconds()) / Math.max(1, this.allowed())));
  protected readonly drill = computed(() => this.task()?.drill ?? null);
  protected readonly comb = computed((): CombPicture | null => {
    const drill = this.drill();
    if (!drill || !('side' in drill)) return null;
    const answer = this.answered();
    if (this.overlay() !== 'my-guess' || answer?.kind !== 'comb') return drill;
    const read = readShares(answer.side);
    if (Object.keys(read).length === 0) return drill;
    return { ...drill, bees: [], side: layComb(recipeOfSide(answer.side, this.task()?.seed ?? 0)) };
  });
  protected readonly choices = computed(() => {
    const drill = this.drill();
    return drill ? choicesOf(drill) : null;
  });
  /** The file of the photo that is asked about. */
  protected readonly photoFile = computed(
    () => this.desk.data()?.photos.find(({ id }) => id === this.task()?.photo)?.attachment ?? '',
  );
  /** What the lead decided on a recorded colony. */
  protected readonly decision = computed(() => {
    const drill = this.drill();
    return drill?.kind === 'next' ? drill.decision : null;
  });
  /** What was found, and taken for it, up to the moment that is shown. */
  protected readonly foundSoFar = computed(() => {
    const [drill, at] = [this.drill(), this.replayAt()];
    if (drill?.kind !== 'find') return { found: [], wrong: [] };
    const until =
      at >= this.seconds() ? this.touches() : (this.trail().findLast((each) => each.at <= at)?.touches ?? []);
    const { found, wrong } = markTouches(drill, until);
    return { found, wrong };
  });
  protected readonly laid = computed((): Overlay => {
    const [drill, mode] = [this.drill(), this.overlay()];
    const nothing = { zones: false, ringed: [], found: [], wrong: [] };
    if (!this.mark() || !drill || !('side' in drill)) return nothing;
    if (drill.kind === 'find') {
      if (this.shown() === 'bare') return nothing;
      const found = this.foundSoFar();
      return { ...nothing, ...found, ringed: this.shown() === 'truth' ? drill.cells : [] };
    }
    if (mode === 'off') return nothing;
    const { kinds } = drill.side;
    const strange = new Set([
      'sunken-lid',
      'pierced-lid',
      'bald-pupa',
      'twisted-larva',
      'mummy',
      'domed-in-worker-cell',
    ]);
    const meant = (kind: (typeof kinds)[number]) =>
      drill.kind === 'trouble' ? strange.has(kind) || kind === 'two-eggs' : kind === 'egg' || kind === 'two-eggs';
    const rings = drill.kind === 'trouble' || mode === 'zones-and-eggs';
    return {
      ...nothing,
      zones: drill.kind === 'comb',
      ringed: rings ? kinds.flatMap((kind, cell) => (meant(kind) ? [cell] : [])) : [],
    };
  });
  protected readonly told = computed(() => {
    const [drill, answer] = [this.drill(), this.answered()];
    return drill?.kind === 'comb' && answer?.kind === 'comb'
      ? { read: readShares(answer.side), truth: drill.side.truth, ...markReading(answer.side, drill.side.truth) }
      : null;
  });
  /** How the eighths in the wrong place lie beside the supervisors' and one's own of a month ago. */
  protected readonly beside = computed(() => {
    const staff = this.desk.data()?.staffWrong ?? null;
    const combs = this.desk
      .results()
      .flatMap(({ at, read, truth }) =>
        read && truth ? [{ at: Date.parse(at), wrong: wrongEighths(read, truth) }] : [],
      );
    const latest = Math.max(...combs.map(({ at }) => at));
    const before = combs.filter(({ at }) => at < latest - MONTH);
    return [
      ...(staff === null ? [] : [$localize`Your supervisors average ${staff.toFixed(1)}.`]),
      ...(before.length === 0
        ? []
        : [$localize`You averaged ${meanOf(before.map(({ wrong }) => wrong)).toFixed(1)} a month ago.`]),
    ].join(' ');
  });
  /** What the answers so far say, once this one is among them. */
  protected readonly standing = computed(() => {
    const own = this.desk.progress().find(({ topic }) => topic === this.known());
    return (
      own && $localize`Level ${own.level} next, ${rightText(own)}; comes back: ${whenText(own.due, this.desk.now())}.`
    );
  });
  /** What can be told apart on combs, to look it up after an answer. */
  protected readonly troubles = TROUBLES.map((trouble) => ({ trouble, ...TROUBLE_SAYS[trouble] }));
  protected readonly practisedAt = computed(() => this.desk.results().map(({ at }) => at));

  constructor() {
    // Opens on a comb that is due, else on whatever is due; it stays there once that is answered.
    effect(() => {
      if (this.topic() !== undefined || this.suits() !== null) return;
      if (!this.desk.data() && !this.desk.watched.fault()) return;
      const due = untracked(this.desk.due);
      const first = due.find(({ topic }) => topicOf(topic).place === 'comb') ?? due[0];
      this.suits.set(first?.topic ?? 'comb-brood');
    });
    effect(() => {
      const topic = this.known();
      // Made-up drills need nothing from the server.
      const ready =
        (this.desk.data() ?? this.desk.watched.fault()) && (this.visit() === undefined || this.replayed.data());
      if (ready && topic && untracked(this.task)?.topic !== topic) untracked(() => this.start(topic));
    });
    const ticking = setInterval(() => {
      if (this.task() && !this.mark()) this.seconds.set(Math.round((performance.now() - this.startedAt) / 1000));
    }, 250);
    inject(DestroyRef).onDestroy(() => {
      clearInterval(ticking);
    });
  }

  protected start(topic: TopicId): void {
    this.fileFaults.set([]);
    const record = this.replayed.data();
    this.begin(() => this.desk.next(topic, record ? { record, done: this.done() } : undefined));
  }

  private begin(make: () => Task): void {
    this.nothing.set('');
    this.mark.set(null);
    this.answered.set(null);
    this.side.set(EMPTY_SIDE);
    this.touches.set([]);
    this.overlay.set('zones');
    this.shown.set('truth');
    this.trail.set([]);
    this.looks.set([]);
    this.tabled.set(false);
    try {
      this.task.set(make());
      this.done.update((done) => done + 1);
    } catch (fault) {
      this.task.set(null);
      this.nothing.set(fault instanceof Unfit ? said(fault.says) : $localize`Nothing to practise on yet.`);
    }
    this.seconds.set(0);
    this.startedAt = performance.now();
  }

  /** Faults of a file that was opened as a case of one's own. */
  protected readonly fileFaults = signal<readonly string[]>([]);

  /** Opens a case that the school wrote itself; it is marked, and not counted. */
  protected async open(file: File): Promise<void> {
    const { ownCase } = await import('./own-case');
    const opened = ownCase(await file.text());
    this.fileFaults.set('faults' in opened ? opened.faults : []);
    if ('faults' in opened) return;
    this.begin(() => this.desk.ownTask(opened.title, opened.drill));
  }

  protected again(): void {
    const topic = this.known();
    if (topic) this.start(topic);
  }

  protected touch(at: Touch): void {
    const drill = this.drill();
    if (drill?.kind !== 'find' || this.mark()) return;
    // A touch on an earlier one takes it back; the queen can be in one place only.
    const near = this.touches().find(([x, y]) => Math.hypot(x - at[0], y - at[1]) < 0.6);
    if (near) this.touches.update((all) => all.filter((each) => each !== near));
    else this.touches.update((all) => (drill.find === 'queen' ? [at] : [...all, at]));
    this.trail.update((trail) => [...trail, { at: this.now(), touches: this.touches() }]);
  }

  protected look(sight: Sight): void {
    if (this.drill()?.kind === 'find' && !this.mark()) this.looks.update((all) => [...all, { at: this.now(), sight }]);
  }

  /** The comb that was just answered, once more: marked, and not scored. */
  protected sameAgain(): void {
    const task = this.task();
    if (task) this.begin(() => ({ ...task, again: true }));
  }

  /** Whether the comb was read from the table of its counts, also in part. */
  protected readonly tabled = signal(false);

  protected answer(answer: Answer): void {
    const task = this.task();
    if (!task || this.mark()) return;
    const seconds = Math.round((performance.now() - this.startedAt) / 1000);
    this.seconds.set(seconds);
    this.answered.set(answer);
    this.mark.set(this.desk.answer(task, answer, seconds, this.tabled()));
  }

  protected chosen(picked: readonly string[]): void {
    const drill = this.drill();
    if (drill) this.answer(answerOf(drill, picked));
  }
}
