import { ChangeDetectionStrategy, Component, DestroyRef, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import type { LISTS as AllLists, Output, endpoints as table } from '@brave-comb/contract';
import type { CallFault } from '../api/contract-client';
import { endpoints } from '../api/endpoints';
import { FileUpload, type Upload } from '../api/file-upload';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { said } from '../language/said';
import { languageInUse } from '../language/words';
import { FIELD } from '../parts/field';
import { FileButton } from '../parts/file-button';
import { Store } from '@ngrx/store';
import { peopleFeature } from '../people/people.feature';
import { SCHOOL_ZONE } from '../people/school-zone';
import { momentOf } from '../ui/format';
import { ArchiveReader } from './archive-reader';
import type { Read, ReadNews } from './archive-read';

type Done = Output<(typeof table)['bringInArchive']>;

/** What is counted under which name; all other tables are counted together. */
const KINDS: readonly (readonly [name: string, tables: readonly string[]])[] = [
  [$localize`People`, ['people']],
  [$localize`Groups`, ['trainee_groups']],
  [$localize`Sites`, ['sites']],
  [$localize`Hives`, ['hives']],
  [$localize`Colonies`, ['colonies']],
  [$localize`Sessions`, ['sessions']],
  [$localize`Visits`, ['visits']],
  [$localize`Entries made at hives`, ['visit_entries']],
  [$localize`Skills shown and signed`, ['demonstrations', 'sign_offs', 'course_sign_offs']],
  [$localize`Photos and spoken notes`, ['attachments']],
  [
    $localize`Weather and weights`,
    ['forecasts', 'forecast_days', 'observations', 'observed_days', 'weather_days', 'climates', 'scale_days'],
  ],
];

/** Lists that go out as CSV, by their name in the address. */
const LISTS: readonly { readonly id: (typeof AllLists)[number]; readonly name: string }[] = [
  { id: 'visits', name: $localize`Visits` },
  { id: 'frame-sides', name: $localize`Sides of frames` },
  { id: 'samples', name: $localize`Samples and measurements` },
  { id: 'weights', name: $localize`Weights of hives on scales` },
  { id: 'trainees', name: $localize`Trainees` },
  { id: 'evidence', name: $localize`Evidence of skills` },
  { id: 'weather', name: $localize`Weather of the sites, by day` },
];

/** The whole school out as one file, and in again: read and compared first, then all of it or nothing. */
@Component({
  selector: 'bc-archive',
  imports: [FIELD, FileButton, MatButton, MatProgressBar, ViewState],
  templateUrl: './archive.html',
  styleUrl: './office.scss',
  styles: `
    .number {
      text-align: right;
      font-variant-numeric: tabular-nums;
    }
    .lists {
      padding: 0;
      list-style: none;
    }
    .lists a {
      display: block;
      padding: 6px 0;
    }
    .named {
      display: grid;
      overflow-wrap: anywhere;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ArchiveScreen {
  private readonly zone = inject(SCHOOL_ZONE);
  private readonly reader = inject(ArchiveReader);
  private readonly sending = inject(FileUpload);
  private readonly person = inject(Store).selectSignal(peopleFeature.selectPerson);
  protected readonly here = inject(ViewDesk).watch('archiveHere', () => ({}));
  protected readonly outAddress = endpoints.takeOutArchive.path;
  protected readonly lists = LISTS;
  protected readonly listAddress = (id: string): string => endpoints.listOut.path.replace(':list', id);

  protected readonly file = signal<File | null>(null);
  protected readonly read = signal<Read | null>(null);
  protected readonly refusedFile = signal<string | null>(null);
  protected readonly fault = signal<string | null>(null);
  protected readonly working = signal<string | null>(null);
  protected readonly share = signal(0);
  protected readonly me = signal('');
  protected readonly typed = signal('');
  protected readonly mustCopy = signal(false);
  protected readonly done = signal<Done | null>(null);
  protected upload: Upload<Done> | null = null;
  private stopReading: () => void = () => undefined;

  protected readonly total = computed(() => this.here.data()?.tables.reduce((sum, { rows }) => sum + rows, 0) ?? 0);
  protected readonly rows = computed(() => {
    const there = this.read()?.head.tables ?? {};
    const here = Object.fromEntries((this.here.data()?.tables ?? []).map(({ name, rows }) => [name, rows]));
    const named = new Set(KINDS.flatMap(([, tables]) => tables));
    const others = Object.keys(here).filter((name) => !named.has(name));
    const sum = (of: Readonly<Record<string, number>>, tables: readonly string[]) =>
      tables.reduce((all, name) => all + (of[name] ?? 0), 0);
    return [...KINDS, [$localize`Everything else`, others] as const].map(([name, tables]) => ({
      name,
      here: sum(here, tables),
      there: sum(there, tables),
    }));
  });
  /** Something of the archive that this installation has no place for. */
  protected readonly newer = computed((): string | null => {
    const known = new Map((this.here.data()?.tables ?? []).map(({ name, columns }) => [name, new Set(columns)]));
    for (const [name, columns] of Object.entries(this.read()?.columns ?? {})) {
      if (name === 'schools') continue;
      const here = known.get(name);
      if (!here) return name;
      const column = columns.find((each) => !here.has(each));
      if (column !== undefined) return `${name}.${column}`;
    }
    return null;
  });
  protected readonly asksWho = computed(() => {
    const [read, person] = [this.read(), this.person()];
    return read !== null && person !== null && !read.people.includes(person.id) && read.leads.length > 0;
  });
  protected readonly mayReplace = computed(() => this.typed().trim() === this.here.data()?.school.name.trim());

  constructor() {
    inject(DestroyRef).onDestroy(() => this.stopReading());
  }

  protected take(file: File): void {
    this.giveUp();
    this.file.set(file);
    this.working.set($localize`Reading …`);
    this.stopReading = this.reader.read(file, (news) => this.heard(news));
  }

  private heard(news: ReadNews): void {
    if (news.is === 'on-its-way') {
      this.share.set(news.of > 0 ? news.rows / news.of : 0);
      this.working.set($localize`Reading: ${this.figure(news.rows)} of ${this.figure(news.of)} entries`);
      return;
    }
    this.working.set(null);
    if (news.is === 'read') this.read.set(news.read);
    else
      this.refusedFile.set(
        news.why === null
          ? $localize`This is no archive of a school, or it is damaged: it cannot be unpacked.`
          : said(news.why),
      );
  }

  protected async replace(): Promise<void> {
    const file = this.file();
    if (this.upload || !file || !this.mayReplace()) return;
    this.fault.set(null);
    this.share.set(0);
    this.working.set($localize`Bringing it in …`);
    const query = {
      replaces: this.typed(),
      ...(this.mustCopy() ? { ids: 'new' } : {}),
      ...(this.asksWho() && this.me() ? { me: this.me() } : {}),
    };
    this.upload = this.sending.send(endpoints.bringInArchive, query, file, (share) => {
      this.share.set(share);
      this.working.set(
        share < 1
          ? $localize`Bringing it in: ${this.figure(Math.round(share * 100))} %`
          : $localize`Writing the last of it …`,
      );
    });
    try {
      this.done.set(await this.upload.answer);
    } catch (error) {
      const { status, problem, message } = error as CallFault;
      // Whoever gave it up knows.
      if (this.file() === file) {
        this.mustCopy.set(problem === 'id-in-use' || this.mustCopy());
        this.fault.set(status === 0 ? $localize`The connection was lost. Nothing was changed; try again.` : message);
      }
    } finally {
      this.upload = null;
      this.working.set(null);
    }
  }

  /** Ends what is under way, and forgets the file. */
  protected giveUp(): void {
    this.stopReading();
    this.file.set(null);
    this.upload?.cancel();
    this.read.set(null);
    this.refusedFile.set(null);
    this.fault.set(null);
    this.working.set(null);
    this.typed.set('');
    this.me.set('');
    this.mustCopy.set(false);
    this.share.set(0);
  }

  protected readonly figure = (value: number): string => value.toLocaleString(languageInUse());
  protected moment(at: string): string {
    return momentOf(at, this.zone());
  }
}
