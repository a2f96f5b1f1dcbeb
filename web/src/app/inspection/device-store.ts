import { Injectable, signal } from '@angular/core';
import type { Output, Person, Problem, VisitFile, endpoints } from '@brave-comb/contract';
import { STEP_IDS, type SideAddress, type SideEntry, type StepId, type VisitEntry } from '@brave-comb/core/inspection';
import { type DBSchema, type IDBPDatabase, type IDBPTransaction, type StoreNames, openDB } from 'idb';

/** An entry that this device made and the server has not acknowledged. */
export interface WaitingEntry {
  readonly id: string;
  readonly visit: string;
  readonly entry: VisitEntry;
  /** What the server said, when it would not keep it. */
  readonly problem: Problem | null;
}

/** A visit that this device started and the server has not heard of. */
export interface WaitingStart {
  readonly id: string;
  readonly session: string;
  readonly hive: string;
  readonly startedAt: string;
}

/** A photo or voice note that the server has not acknowledged. */
export interface WaitingAttachment {
  readonly id: string;
  readonly visit: string;
  readonly takenAt: string;
  readonly type: Output<(typeof endpoints)['attachment']>['type'];
  readonly file: Blob;
}

/** A side that is being entered. */
export interface SideDraft {
  readonly visit: string;
  readonly address: SideAddress;
  readonly entry: SideEntry;
}

interface Device extends DBSchema {
  people: { key: 'last'; value: Person };
  files: { key: string; value: VisitFile };
  prepared: { key: string; value: VisitFile };
  starts: { key: string; value: WaitingStart };
  entries: { key: string; value: WaitingEntry; indexes: { visit: string } };
  attachments: { key: string; value: WaitingAttachment };
}

interface PhotosBefore extends DBSchema {
  photos: { key: string; value: Pick<WaitingAttachment, 'id' | 'visit' | 'takenAt'> & { readonly jpeg: Blob } };
}

/** The version before kept photos only, in a store of that name: those that wait go with the rest. */
async function carryPhotos(
  db: IDBPDatabase<Device>,
  change: IDBPTransaction<Device, StoreNames<Device>[], 'versionchange'>,
): Promise<void> {
  const before = change as unknown as IDBPTransaction<PhotosBefore, ['photos'], 'versionchange'>;
  for (const { jpeg, ...photo } of await before.objectStore('photos').getAll())
    await change.objectStore('attachments').put({ ...photo, type: 'image/jpeg', file: jpeg });
  (db as unknown as IDBPDatabase<PhotosBefore>).deleteObjectStore('photos');
}

const JOURNAL = 'brave-comb/entry/';
const DRAFT = 'brave-comb/draft/';
const JOINED = 'brave-comb/joined/';
const CLOCK = 'brave-comb/clock';
const STEP = 'brave-comb/step/';
/** Writes to local storage; false when it has no room. */
function write(key: string, text: string): boolean {
  try {
    localStorage.setItem(key, text);
    return true;
  } catch {
    return false;
  }
}
const journalKeys = (): string[] => Object.keys(localStorage).filter((key) => key.startsWith(JOURNAL));

/**
 * What this device keeps by itself: it survives a reload, a restart and no signal.
 *
 * An entry and a half-typed side must outlive a tab that is closed in the same instant. So both are written at once, to local storage; an
 * entry moves from there to the database as soon as that has it.
 */
@Injectable({ providedIn: 'root' })
export class DeviceStore {
  private readonly opened: Promise<IDBPDatabase<Device>> = openDB<Device>('brave-comb', 3, {
    upgrade: (db, before, _now, change) => {
      if (before < 1) {
        for (const name of ['people', 'prepared'] as const) db.createObjectStore(name);
        db.createObjectStore('files', { keyPath: 'visit.id' });
        db.createObjectStore('starts', { keyPath: 'id' });
        db.createObjectStore('entries', { keyPath: 'id' }).createIndex('visit', 'visit');
      }
      db.createObjectStore('attachments', { keyPath: 'id' });
      if (before === 2) void carryPhotos(db, change);
    },
  });
  /** Entries for which this device had no room: they live as long as the page does, and are sent first. */
  private readonly homeless = new Map<string, WaitingEntry>();
  /** Entries that would be lost with this page, because the device is full. */
  readonly full = signal(0);
  /** Photos and voice notes that wait. */
  readonly unsentFiles = signal(0);
  /** Visits begun here that the server has not heard of. */
  readonly unsentStarts = signal(0);

  constructor() {
    void this.countStarts();
  }

  async keepPerson(person: Person | null): Promise<void> {
    const db = await this.opened;
    await (person ? db.put('people', person, 'last') : db.clear('people'));
  }

  async lastPerson(): Promise<Person | null> {
    return (await (await this.opened).get('people', 'last')) ?? null;
  }

  /** How far the server's clock was ahead of this device's when it was read last, ms. */
  keepClock(ahead: number, demo: boolean): void {
    write(CLOCK, JSON.stringify({ ahead, demo }));
  }

  /** The server's clock by this device's, without asking: a cached answer would tell an old time as now. */
  clock(): { readonly now: string; readonly demo: boolean } {
    const kept = localStorage.getItem(CLOCK);
    const { ahead, demo } = kept ? (JSON.parse(kept) as { ahead: number; demo: boolean }) : { ahead: 0, demo: false };
    return { now: new Date(Date.now() + ahead).toISOString(), demo };
  }

  /** The step that this device stands at in a visit; another device may stand elsewhere. */
  keepStep(visit: string, step: StepId | null): void {
    if (step === null) localStorage.removeItem(`${STEP}${visit}`);
    else write(`${STEP}${visit}`, step);
  }

  step(visit: string): StepId | null {
    return STEP_IDS.find((step) => step === localStorage.getItem(`${STEP}${visit}`)) ?? null;
  }

  async keepPrepared(file: VisitFile): Promise<void> {
    await (await this.opened).put('prepared', file, `${file.visit.session}/${file.visit.hive}`);
  }

  async prepared(session: string, hive: string): Promise<VisitFile | undefined> {
    return (await this.opened).get('prepared', `${session}/${hive}`);
  }

  /** A visit of a hive that was prepared or started here, the newest. */
  async preparedFor(hive: string): Promise<VisitFile | undefined> {
    const db = await this.opened;
    const all = [...(await db.getAll('prepared')), ...(await db.getAll('files'))];
    return all
      .filter(({ visit }) => visit.hive === hive && visit.closedAt === null)
      .sort((a, b) => b.visit.startedAt.localeCompare(a.visit.startedAt))[0];
  }

  /** Turns a prepared visit into a started one, in one step. */
  async start(file: VisitFile, start: WaitingStart): Promise<void> {
    const change = (await this.opened).transaction(['prepared', 'files', 'starts'], 'readwrite');
    await Promise.all([
      change.objectStore('files').put(file),
      change.objectStore('starts').put(start),
      change.objectStore('prepared').delete(`${start.session}/${start.hive}`),
      change.done,
    ]);
    await this.countStarts();
  }

  private async countStarts(): Promise<void> {
    this.unsentStarts.set(await (await this.opened).count('starts'));
  }

  async starts(): Promise<readonly WaitingStart[]> {
    return (await this.opened).getAll('starts');
  }

  async started(id: string): Promise<void> {
    await (await this.opened).delete('starts', id);
    await this.countStarts();
  }

  async keepFile(file: VisitFile): Promise<void> {
    await (await this.opened).put('files', file);
  }

  async file(visit: string): Promise<VisitFile | undefined> {
    return (await this.opened).get('files', visit);
  }

  /** Keeps an entry. A device without room keeps it in the page, and says so by {@link full}. */
  async keepEntry(entry: WaitingEntry): Promise<void> {
    const written = write(`${JOURNAL}${entry.id}`, JSON.stringify(entry));
    try {
      await (await this.opened).put('entries', entry);
      if (written) localStorage.removeItem(`${JOURNAL}${entry.id}`);
      this.homeless.delete(entry.id);
    } catch (error) {
      if (!written) this.homeless.set(entry.id, entry);
      if (!(error instanceof DOMException)) throw error;
    }
    this.full.set(this.homeless.size);
  }

  /** Brings entries into the database that an earlier page could only write down. */
  private async readJournal(): Promise<void> {
    for (const key of journalKeys()) {
      const written = localStorage.getItem(key);
      if (written) await this.keepEntry(JSON.parse(written) as WaitingEntry);
    }
    for (const entry of this.homeless.values()) await this.keepEntry(entry);
  }

  /** What could only be written down, as long as the database takes nothing. */
  private written(): readonly WaitingEntry[] {
    const journal = journalKeys().flatMap((key) => localStorage.getItem(key) ?? []);
    return [...journal.map((text) => JSON.parse(text) as WaitingEntry), ...this.homeless.values()];
  }

  /** Entries of a visit, or of all visits, in the order in which they were made. */
  async entries(visit?: string): Promise<readonly WaitingEntry[]> {
    await this.readJournal();
    const db = await this.opened;
    const kept = await (visit ? db.getAllFromIndex('entries', 'visit', visit) : db.getAll('entries'));
    const more = this.written().filter((each) => visit === undefined || each.visit === visit);
    return [...kept, ...more.filter(({ id }) => !kept.some((each) => each.id === id))].sort((a, b) =>
      a.id.localeCompare(b.id),
    );
  }

  async forgetEntries(ids: readonly string[]): Promise<void> {
    for (const id of ids) {
      localStorage.removeItem(`${JOURNAL}${id}`);
      this.homeless.delete(id);
    }
    this.full.set(this.homeless.size);
    const change = (await this.opened).transaction('entries', 'readwrite');
    await Promise.all([...ids.map((id) => change.store.delete(id)), change.done]);
  }

  /** Moves what was entered for one visit to another: the hive was open already under that id. */
  async join(from: string, to: string): Promise<void> {
    const change = (await this.opened).transaction(['entries', 'files', 'starts', 'attachments'], 'readwrite');
    const entries = await change.objectStore('entries').index('visit').getAll(from);
    const attachments = (await change.objectStore('attachments').getAll()).filter(({ visit }) => visit === from);
    await Promise.all([
      ...attachments.map((each) => change.objectStore('attachments').put({ ...each, visit: to })),
      ...entries.map((entry) => change.objectStore('entries').put({ ...entry, visit: to })),
      change.objectStore('files').delete(from),
      change.objectStore('starts').delete(from),
      change.done,
    ]);
    await this.countStarts();
    write(`${JOINED}${from}`, to);
    const draft = this.draft(from);
    if (draft) this.keepDraft({ ...draft, visit: to });
    this.forgetDraft(from);
  }

  /** The visit that one started here was joined to, `null` for one that stands by itself. */
  joined(visit: string): string | null {
    return localStorage.getItem(`${JOINED}${visit}`);
  }

  async keepAttachment(attachment: WaitingAttachment): Promise<void> {
    await (await this.opened).put('attachments', attachment);
    await this.countAttachments();
  }

  async attachments(): Promise<readonly WaitingAttachment[]> {
    return (await this.opened).getAll('attachments');
  }

  async forgetAttachment(id: string): Promise<void> {
    await (await this.opened).delete('attachments', id);
    await this.countAttachments();
  }

  private async countAttachments(): Promise<void> {
    this.unsentFiles.set(await (await this.opened).count('attachments'));
  }

  keepDraft(draft: SideDraft): void {
    write(`${DRAFT}${draft.visit}`, JSON.stringify(draft));
  }

  draft(visit: string): SideDraft | null {
    const kept = localStorage.getItem(`${DRAFT}${visit}`);
    return kept ? (JSON.parse(kept) as SideDraft) : null;
  }

  forgetDraft(visit: string): void {
    localStorage.removeItem(`${DRAFT}${visit}`);
  }
}
