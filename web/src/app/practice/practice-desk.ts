import { Injectable, computed, inject, signal } from '@angular/core';
import type { Input, Output, endpoints } from '@brave-comb/contract';
import { type SideAddress, eighthsRead, sideKey } from '@brave-comb/core/inspection';
import {
  type Answer,
  type Drill,
  type DrillSources,
  type Mark,
  type NextDrill,
  type PracticeResult,
  type TopicId,
  gradeOf,
  makeDrill,
  markAnswer,
  progressOf,
  readShares,
  secondsFor,
  toPractise,
} from '@brave-comb/core/practice';
import { DEFAULT_LIMITS } from '@brave-comb/core/weather';
import { Clock } from '../people/clock';
import { ChangeQueue } from '../api/change-queue';
import { ViewDesk } from '../api/view-desk';

export type PracticeData = Output<(typeof endpoints)['practice']>;
type Sent = Input<(typeof endpoints)['recordPractice']>['body'];

/** A drill on the table, with what it was made from. */
export interface Task {
  readonly topic: TopicId;
  readonly level: number;
  readonly seed: number;
  readonly drill: Drill;
  readonly sources: DrillSources;
  readonly recorded: { readonly visit: string; readonly address: SideAddress | null } | null;
  readonly photo: string | null;
  /** Where it comes from, in words. */
  readonly from: string;
  /** Answered before: its answer is known, and this one is not scored. */
  readonly again: boolean;
  /** Opened from a file: marked here, and not scored either. */
  readonly fromFile?: true;
}

/** Sides from which something can be learned have this much read on them, eighths. */
const ENOUGH_READ = 6;

/** What practice needs on a screen: the person's results, what is due, drills made from them, answers kept. */
@Injectable()
export class PracticeDesk {
  private readonly desk = inject(ViewDesk);
  private readonly queue = inject(ChangeQueue);
  private readonly clock = inject(Clock);
  readonly watched = this.desk.watch('practice', () => ({}));
  /** Answers marked here that the server may not have yet. */
  private readonly own = signal<readonly PracticeResult[]>([]);
  /** What the last answer is weak evidence for, once the server has it. */
  private readonly kept = this.desk.lastAnswer('recordPractice');
  readonly evidence = computed(() => this.kept()?.evidence ?? []);

  readonly data = this.watched.data;
  readonly results = computed((): readonly PracticeResult[] => {
    const data = this.data();
    if (!data) return [];
    const here = data.results as readonly PracticeResult[];
    const known = new Set(here.map(({ id }) => id));
    const waiting = [...this.own(), ...this.waiting(data)].filter(({ id }) => !known.has(id));
    return [...here, ...new Map(waiting.map((each) => [each.id, each])).values()];
  });
  /** To the minute: what is due does not change by the second. */
  readonly now = computed(() => new Date(Math.ceil(this.clock.now() / 60_000) * 60_000).toISOString());
  readonly progress = computed(() => progressOf(this.results(), this.now()));
  readonly due = computed(() => {
    const nothing = new Set(this.empty());
    return toPractise(this.progress(), this.now()).filter(({ topic }) => !nothing.has(topic));
  });
  /** Topics for which the school has nothing yet. */
  readonly empty = computed((): readonly TopicId[] => {
    const data = this.data();
    return [
      ...(data?.photos.length === 0 ? (['photos'] as const) : []),
      ...(data && this.sides(data).length === 0 ? (['comb-record'] as const) : []),
    ];
  });

  /** Answers that were given on this device before and wait. */
  private waiting(data: PracticeData): readonly PracticeResult[] {
    return this.queue.all(data.person).flatMap((change) => {
      if (change.endpoint !== 'recordPractice') return [];
      const sent = change.sent.body as Sent;
      try {
        const task = this.remake(data, sent);
        return [resultOf(sent, task, markAnswer(task.drill, sent.answer, task.sources), data.person)];
      } catch {
        // What it was made from is gone from this device: the server marks it.
        return [];
      }
    });
  }

  /** Sides of some visits from which something can be learned, in the order of the frames. */
  private sides({ records }: Pick<PracticeData, 'records'>) {
    return records.flatMap((record) =>
      record.sides
        .filter(({ side }) => eighthsRead(side) >= ENOUGH_READ)
        .toSorted(
          (a, b) =>
            a.address.frame - b.address.frame || Number(a.address.face === 'high') - Number(b.address.face === 'high'),
        )
        .map((each) => ({ record, ...each })),
    );
  }

  private remake(data: PracticeData, { topic, level, seed, recorded, photo }: Sent): Task {
    const record = recorded ? data.records.find(({ visit }) => visit === recorded.visit) : undefined;
    const address = recorded?.address ?? null;
    const found = address && record?.sides.find((each) => JSON.stringify(each.address) === JSON.stringify(address));
    const limits = data.limits;
    const sources: DrillSources = {
      limits,
      side: found?.side,
      colony: record && !address ? record : undefined,
      photo: data.photos.find(({ id }) => id === photo),
    };
    return {
      topic,
      level,
      seed,
      drill: makeDrill(topic, level, seed, sources),
      sources,
      recorded,
      photo,
      from: '',
      again: false,
    };
  }

  /**
   * Makes the next drill of a topic.
   *
   * @param topic what is practised
   * @param replayed a visit that is read again side by side, and how many of its sides were
   * @returns the drill, at the level that suits the person
   */
  next(topic: TopicId, replayed?: { readonly record: PracticeData['records'][number]; readonly done: number }): Task {
    const data = this.data();
    const level = this.progress().find((each) => each.topic === topic)?.level ?? 1;
    const [seed, lot] = crypto.getRandomValues(new Uint32Array(2)).map((each) => each & 0x7fffffff);
    const task = { topic, level, seed: seed!, recorded: null, photo: null, from: '', again: false };
    const limits = data?.limits ?? DEFAULT_LIMITS;
    const pick = <T>(from: readonly T[]): T | undefined => from[lot! % Math.max(1, from.length)];
    const made = (sources: DrillSources, more: Partial<Task> = {}): Task => ({
      ...task,
      ...more,
      sources,
      drill: makeDrill(topic, level, seed!, sources),
    });
    if (topic === 'comb-record' && data) {
      const own = replayed ? this.sides({ records: [replayed.record] }) : this.sides(data);
      const fresh = own.filter(({ record, address }) => !this.answered(topic, record.visit, address));
      const side = replayed ? own[replayed.done % Math.max(1, own.length)] : pick(fresh.length > 0 ? fresh : own);
      if (side) {
        const { record, address } = side;
        return made(
          { limits, side: side.side },
          {
            recorded: { visit: record.visit, address },
            again: this.answered(topic, record.visit, address),
            from: $localize`hive ${record.hive}, ${record.day}, frame ${address.frame}, from the record`,
          },
        );
      }
    }
    // Every other colony is one of the school's own.
    const colonies = (data?.records ?? []).filter(({ visit }) => !this.answered(topic, visit, null));
    const record = topic === 'next' && lot! % 2 === 0 ? pick(colonies) : undefined;
    if (record)
      return made(
        { limits, colony: record },
        { recorded: { visit: record.visit, address: null }, from: $localize`hive ${record.hive}, ${record.day}` },
      );
    const photo = topic === 'photos' && data ? pick(data.photos) : undefined;
    if (photo) return made({ limits, photo }, { photo: photo.id, from: $localize`from the school’s own photos` });
    return made({ limits }, { from: $localize`simulated comb` });
  }

  /** A case of "What next" from a file: marked here, and not kept. */
  ownTask(title: string, drill: NextDrill): Task {
    const limits = this.data()?.limits ?? DEFAULT_LIMITS;
    return {
      topic: 'next',
      level: this.progress().find((each) => each.topic === 'next')?.level ?? 1,
      seed: 0,
      drill: { kind: 'next', ...drill },
      sources: { limits },
      recorded: null,
      photo: null,
      from: $localize`${title}, from a file: not scored`,
      again: true,
      fromFile: true,
    };
  }

  /** Whether a recorded side or colony was answered before. */
  private answered(topic: TopicId, visit: string, address: SideAddress | null): boolean {
    const key = (of: SideAddress | null) => (of ? sideKey(of) : null);
    return this.results().some(
      (each) => each.topic === topic && each.recorded?.visit === visit && key(each.recorded.address) === key(address),
    );
  }

  /** Marks an answer here, keeps it on the device, and sends it; one that was answered before is marked and not kept. */
  answer(task: Task, answer: Answer, seconds: number, asTable = false): Mark {
    const mark = markAnswer(task.drill, answer, task.sources);
    if (task.again) return mark;
    const { topic, level, seed, recorded, photo } = task;
    const body = {
      id: this.desk.newId(),
      topic,
      level,
      seed,
      at: this.clock.instant(),
      seconds,
      answer,
      recorded,
      photo,
      asTable,
    };
    const person = this.data()?.person ?? '';
    this.own.update((all) => [...all, resultOf(body, task, mark, person)]);
    this.desk.change('recordPractice', { body }, 'practice', false);
    return mark;
  }
}

function resultOf(sent: Sent, { drill }: Task, mark: Mark, person: string): PracticeResult {
  const { id, topic, at, level, seconds, answer } = sent;
  const read = drill.kind === 'comb' && answer.kind === 'comb';
  return {
    id,
    trainee: person,
    topic,
    at,
    level,
    seconds,
    score: mark.score,
    right: mark.right,
    grade: gradeOf(mark, seconds, secondsFor(topic, level)),
    read: read ? readShares(answer.side) : null,
    truth: read ? drill.side.truth : null,
    ground: 'ground' in drill ? drill.ground : null,
    recorded: sent.recorded,
  };
}
