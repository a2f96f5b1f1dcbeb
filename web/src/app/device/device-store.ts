import { Injectable, computed, signal } from '@angular/core';
import type { Output, Person, Problem, VisitFile, endpoints } from '@brave-comb/contract';
import { idNow, withIdsOfNow } from '@brave-comb/core/exchange';
import { STEP_IDS, type SideAddress, type SideEntry, type StepId, type VisitEntry } from '@brave-comb/core/inspection';
import { DAY } from '@brave-comb/core/units';
import { type DBSchema, type IDBPDatabase, type IDBPTransaction, type StoreNames, openDB } from 'idb';

/** An entry that this device made and the server has not acknowledged. */
export interface WaitingEntry {
  readonly id: string;
  readonly visit: string;
  readonly entry: VisitEntry;
  /** What the server said, when it would not keep it. */
  readonly problem: Problem | null;
}

/** Whose something is that waits, and what the server said where it would not have it. What an older version kept has neither. */
interface Waits {
  readonly by?: string;
  readonly problem?: Problem | null;
}

/** A visit that this device started and the server has not heard of. */
export interface WaitingStart extends Waits {
  readonly id: string;
  readonly session: string;
  readonly hive: string;
  readonly startedAt: string;
}

/** A photo or voice note that the server has not acknowledged. */
export interface WaitingAttachment extends Waits {
  readonly id: string;
  readonly visit: string;
  readonly takenAt: string;
  readonly type: Output<(typeof endpoints)['attachment']>['type'];
  readonly file: Blob;
}

/** Something that the server would not have: it stays until somebody says what becomes of it, and holds up nothing else. */
export type Aside =
  | { readonly kind: 'entry'; readonly id: string; readonly entry: WaitingEntry; readonly problem: Problem }
  | {
      readonly kind: 'start';
      readonly id: string;
      readonly start: WaitingStart;
      readonly hive: string | null;
      readonly entries: number;
      readonly problem: Problem;
    }
  | {
      readonly kind: 'attachment';
      readonly id: string;
      readonly attachment: WaitingAttachment;
      readonly problem: Problem;
    };

/** An answer of the server that can be looked at without signal. */
export interface KeptAnswer {
  readonly body: unknown;
  /** Tag that it came with. */
  readonly tag?: string | undefined;
}

interface KeptView extends KeptAnswer {
  readonly key: string;
  readonly at: number;
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
  views: { key: string; value: KeptView; indexes: { at: number } };
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

/** What an older version kept is read with the ids of today. */
async function carryIds(change: IDBPTransaction<Device, StoreNames<Device>[], 'versionchange'>): Promise<void> {
  const carry = async (name: StoreNames<Device>): Promise<void> => {
    for (let at = await change.objectStore(name).openCursor(); at; at = await at.continue()) {
      const now = withIdsOfNow(at.value);
      if (now !== at.value) await at.update(now);
    }
  };
  await Promise.all([carry('files'), carry('prepared'), carry('entries'), carry('views')]);
}

const JOURNAL = 'brave-comb/entry/';
const DRAFT = 'brave-comb/draft/';
const JOINED = 'brave-comb/joined/';
const SIGN_OUT = 'brave-comb/sign-out-owed';
/** How many answers are kept to look at without signal, and for how long, ms. */
const MOST_VIEWS = 120;
const VIEW_AGE = 3 * DAY;
const STEP = 'brave-comb/step/';
const JOTTING = 'brave-comb/jotting/';
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

const NO_UNITS = { owner: false, units: { own: null, school: 'metric' } } as const;

/**
 * What this device keeps by itself: it survives a reload, a restart and no signal.
 *
 * An entry and a half-typed side must outlive a tab that is closed in the same instant. So both are written at once, to local storage; an
 * entry moves from there to the database as soon as that has it.
 */
@Injectable({ providedIn: 'root' })
export class DeviceStore {
  private readonly opened: Promise<IDBPDatabase<Device>> = openDB<Device>('brave-comb', 5, {
    upgrade: (db, before, _now, change) => {
      if (before < 1) {
        for (const name of ['people', 'prepared'] as const) db.createObjectStore(name);
        db.createObjectStore('files', { keyPath: 'visit.id' });
        db.createObjectStore('starts', { keyPath: 'id' });
        db.createObjectStore('entries', { keyPath: 'id' }).createIndex('visit', 'visit');
      }
      if (before < 3) db.createObjectStore('attachments', { keyPath: 'id' });
      if (before === 2) void carryPhotos(db, change);
      if (before < 4) db.createObjectStore('views', { keyPath: 'key' }).createIndex('at', 'at');
      if (before > 0) void carryIds(change);
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

  /** How much waits here that somebody else entered: it is sent when they sign in again, and shown to nobody before. */
  readonly sealed = signal(0);
  /** What the server would not have. */
  readonly aside = signal<readonly Aside[]>([]);
  /** Entries of this person that wait, of all visits. */
  readonly unsentEntries = signal(0);
  /** All that waits here to be sent. */
  readonly unsent = computed(() => this.unsentEntries() + this.unsentStarts() + this.unsentFiles());
  private counting: Promise<void> | null = null;
  /** Whose device this is now. */
  private owner: string | null = null;

  private readonly mine = ({ by }: Waits): boolean => by === undefined || by === this.owner;

  /**
   * Takes the device over for somebody, or for nobody. Files, answers and drafts of whoever was here before are forgotten; what they entered and
   * was not sent stays, sealed, until they sign in again.
   */
  async belongTo(person: Person | null): Promise<void> {
    const db = await this.opened;
    const before = await db.get('people', 'last');
    if (before && before.id !== person?.id) await this.forgetWhatWasShown();
    await (person ? db.put('people', person, 'last') : db.clear('people'));
    this.owner = person?.id ?? null;
    await this.count();
  }

  private async forgetWhatWasShown(): Promise<void> {
    const db = await this.opened;
    for (const store of ['files', 'prepared', 'views'] as const) await db.clear(store);
    for (const key of Object.keys(localStorage))
      if ([DRAFT, STEP, JOINED, JOTTING].some((prefix) => key.startsWith(prefix))) localStorage.removeItem(key);
    // Versions before kept answers with the service worker, for whoever asked.
    if ('caches' in globalThis)
      for (const name of await caches.keys()) if (name.includes(':data:')) await caches.delete(name);
  }

  async lastPerson(): Promise<Person | null> {
    const person = await (await this.opened).get('people', 'last');
    // One kept by an earlier version has chosen no units.
    return person ? { ...NO_UNITS, ...person } : null;
  }

  /** Somebody signed out and the server has not heard of it. */
  oweSignOut(owed: boolean): void {
    if (owed) write(SIGN_OUT, '1');
    else localStorage.removeItem(SIGN_OUT);
  }

  owesSignOut(): boolean {
    return localStorage.getItem(SIGN_OUT) !== null;
  }

  /** Keeps an answer for whoever is here, to be looked at without signal; the oldest make room. */
  async keepView(address: string, answer: KeptAnswer): Promise<void> {
    if (this.owner === null) return;
    const change = (await this.opened).transaction('views', 'readwrite');
    await change.store.put({ ...answer, key: `${this.owner} ${address}`, at: Date.now() });
    let most = (await change.store.count()) - MOST_VIEWS;
    for (let old = await change.store.index('at').openCursor(); old && most > 0; old = await old.continue()) {
      await old.delete();
      most -= 1;
    }
    await change.done;
  }

  /** What was answered last, not longer ago than three days. */
  async view(address: string): Promise<KeptAnswer | undefined> {
    const kept = await (await this.opened).get('views', `${this.owner} ${address}`);
    return kept && Date.now() - kept.at < VIEW_AGE ? kept : undefined;
  }

  /** The step that this device stands at in a visit; another device may stand elsewhere. */
  keepStep(visit: string, step: StepId | null): void {
    if (step === null) localStorage.removeItem(`${STEP}${visit}`);
    else write(`${STEP}${visit}`, step);
  }

  step(visit: string): StepId | null {
    const kept = idNow(localStorage.getItem(`${STEP}${visit}`) ?? '');
    return STEP_IDS.find((step) => step === kept) ?? null;
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
      change.objectStore('starts').put({ ...(this.owner === null ? {} : { by: this.owner }), ...start }),
      change.objectStore('prepared').delete(`${start.session}/${start.hive}`),
      change.done,
    ]);
    await this.count();
  }

  /** Counts what waits, once for all that changed meanwhile. */
  count(): Promise<void> {
    this.counting ??= Promise.resolve()
      .then(() => {
        this.counting = null;
        return this.reckon();
      })
      .catch(() => undefined);
    return this.counting;
  }

  /** What waits that is this person's, what is somebody else's, and what the server would not have. */
  private async reckon(): Promise<void> {
    const db = await this.opened;
    const [starts, attachments, entries, files] = await Promise.all([
      db.getAll('starts'),
      db.getAll('attachments'),
      this.everyEntry(),
      db.getAll('files'),
    ]);
    const own = entries.filter((each) => this.mine(each.entry));
    const hiveOf = new Map(files.map(({ visit }) => [visit.id, visit.hiveNumber]));
    this.unsentEntries.set(own.filter(({ problem }) => problem === null).length);
    this.unsentStarts.set(starts.filter(this.mine).filter(({ problem }) => !problem).length);
    this.unsentFiles.set(attachments.filter(this.mine).filter(({ problem }) => !problem).length);
    this.sealed.set(
      [...starts, ...attachments].filter((each) => !this.mine(each)).length + entries.length - own.length,
    );
    this.aside.set([
      ...starts.filter(this.mine).flatMap((start): Aside[] =>
        start.problem
          ? [
              {
                kind: 'start',
                id: start.id,
                start,
                hive: hiveOf.get(start.id) ?? null,
                entries: own.filter(({ visit }) => visit === start.id).length,
                problem: start.problem,
              },
            ]
          : [],
      ),
      ...own.flatMap((entry): Aside[] =>
        entry.problem ? [{ kind: 'entry', id: entry.id, entry, problem: entry.problem }] : [],
      ),
      ...attachments
        .filter(this.mine)
        .flatMap((attachment): Aside[] =>
          attachment.problem
            ? [{ kind: 'attachment', id: attachment.id, attachment, problem: attachment.problem }]
            : [],
        ),
    ]);
  }

  /** Starts that this person made here, with those that the server would not have. */
  async starts(): Promise<readonly WaitingStart[]> {
    return (await (await this.opened).getAll('starts')).filter(this.mine);
  }

  async keepStart(start: WaitingStart): Promise<void> {
    await (await this.opened).put('starts', start);
    await this.count();
  }

  async started(id: string): Promise<void> {
    await (await this.opened).delete('starts', id);
    await this.count();
  }

  /** Throws a start away that the server would not have, with all that was entered for it. */
  async dropStart(id: string): Promise<void> {
    await this.forgetEntries((await this.entries(id)).map((each) => each.id));
    const change = (await this.opened).transaction(['starts', 'files', 'attachments'], 'readwrite');
    const attachments = (await change.objectStore('attachments').getAll()).filter(({ visit }) => visit === id);
    await Promise.all([
      ...attachments.map((each) => change.objectStore('attachments').delete(each.id)),
      change.objectStore('starts').delete(id),
      change.objectStore('files').delete(id),
      change.done,
    ]);
    await this.count();
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
    void this.count();
  }

  /** Brings entries into the database that an earlier page could only write down. */
  private async readJournal(): Promise<void> {
    for (const key of journalKeys()) {
      const written = localStorage.getItem(key);
      if (written) await this.keepEntry(withIdsOfNow(JSON.parse(written) as WaitingEntry));
    }
    for (const entry of this.homeless.values()) await this.keepEntry(entry);
  }

  /** What could only be written down, as long as the database takes nothing. */
  private written(): readonly WaitingEntry[] {
    const journal = journalKeys().flatMap((key) => localStorage.getItem(key) ?? []);
    return [...journal.map((text) => JSON.parse(text) as WaitingEntry), ...this.homeless.values()];
  }

  /** Entries that this person made for a visit, or for all visits, in the order in which they were made. */
  async entries(visit?: string): Promise<readonly WaitingEntry[]> {
    await this.readJournal();
    return (await this.everyEntry(visit)).filter((each) => this.mine(each.entry));
  }

  private async everyEntry(visit?: string): Promise<readonly WaitingEntry[]> {
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
    await this.count();
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
    await this.count();
    write(`${JOINED}${from}`, to);
    const draft = this.draft(from);
    if (draft) this.keepDraft({ ...draft, visit: to });
    this.forgetDraft(from);
    for (const key of Object.keys(localStorage).filter((each) => each.startsWith(`${JOTTING}${from}/`))) {
      write(key.replace(from, to), localStorage.getItem(key) ?? 'null');
      localStorage.removeItem(key);
    }
  }

  /** The visit that one started here was joined to, `null` for one that stands by itself. */
  joined(visit: string): string | null {
    return localStorage.getItem(`${JOINED}${visit}`);
  }

  async keepAttachment(attachment: WaitingAttachment): Promise<void> {
    await (await this.opened).put('attachments', { ...(this.owner === null ? {} : { by: this.owner }), ...attachment });
    await this.count();
  }

  async attachments(): Promise<readonly WaitingAttachment[]> {
    return (await (await this.opened).getAll('attachments')).filter(this.mine);
  }

  async forgetAttachment(id: string): Promise<void> {
    await (await this.opened).delete('attachments', id);
    await this.count();
  }

  keepDraft(draft: SideDraft): void {
    write(`${DRAFT}${draft.visit}`, JSON.stringify(draft));
  }

  draft(visit: string): SideDraft | null {
    const kept = localStorage.getItem(`${DRAFT}${visit}`);
    return kept ? withIdsOfNow(JSON.parse(kept) as SideDraft) : null;
  }

  forgetDraft(visit: string): void {
    localStorage.removeItem(`${DRAFT}${visit}`);
  }

  /** What is written during a visit and is no entry yet; `null` forgets it. */
  keepJotting(visit: string, what: string, jotting: unknown): void {
    if (jotting === null) localStorage.removeItem(`${JOTTING}${visit}/${what}`);
    else write(`${JOTTING}${visit}/${what}`, JSON.stringify(jotting));
  }

  jotting(visit: string, what: string): unknown {
    return JSON.parse(localStorage.getItem(`${JOTTING}${visit}/${what}`) ?? 'null') as unknown;
  }
}
