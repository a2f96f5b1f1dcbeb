import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, NonNullableFormBuilder, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatSnackBar } from '@angular/material/snack-bar';
import { RouterLink } from '@angular/router';
import type { Members, Output, endpoints } from '@brave-comb/contract';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { saving } from '../api/saving';
import { FIELD } from '../parts/field';
import { peopleFeature } from '../people/people.feature';
import { SCHOOL_ZONE } from '../people/school-zone';
import { dayOf, momentOf } from '../ui/format';
import { Differs } from './differs';
import { meanwhile } from './meanwhile';

type Person = Members['people'][number];
type Group = Members['groups'][number];
type Note = Output<(typeof endpoints)['readEmergencyNote']>;

/** How long an emergency note stays open, ms. */
const OPEN_FOR = 5 * 60_000;

/** One person: what they are in the school, how they get in, and what is private. */
@Component({
  selector: 'bc-person-side',
  imports: [Differs, FIELD, MatButton, ReactiveFormsModule, RouterLink],
  templateUrl: './person-side.html',
  styleUrl: './office.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PersonSide {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly bar = inject(MatSnackBar);
  private readonly zone = inject(SCHOOL_ZONE);
  private readonly me = inject(Store).selectSignal(peopleFeature.selectPerson);
  /** Null for somebody new. */
  readonly person = input.required<Person | null>();
  readonly groups = input.required<readonly Group[]>();
  /** Whether this installation sends mails. */
  readonly mails = input(false);
  /** Id of somebody who was added. */
  readonly added = output<string>();
  readonly closed = output();
  protected readonly save = saving();
  protected readonly inviting = saving();
  protected readonly link = signal<{ readonly url: string; readonly until: string } | null>(null);
  protected readonly note = signal<Note | null>(null);
  protected readonly retiring = signal(false);
  protected readonly form = inject(NonNullableFormBuilder).group({
    name: ['', [Validators.required, Validators.maxLength(120)]],
    role: new FormControl<Person['role']>('trainee', { nonNullable: true }),
    mail: ['', [Validators.email, Validators.maxLength(254)]],
    groups: [[] as string[]],
    emergency: ['', Validators.maxLength(500)],
  });
  private readonly typed = toSignal(this.form.valueChanges, { initialValue: this.form.value });
  /** Leads are made by the owner. */
  protected readonly mayLead = computed(() => this.me()?.owner === true);
  protected readonly locked = computed(() => {
    const person = this.person();
    return person !== null && person.role === 'lead' && !this.mayLead() && person.id !== this.me()?.id;
  });
  protected readonly self = computed(() => this.person()?.id === this.me()?.id);
  private version = 0;
  private filled = '';
  private fresh = uuid();

  constructor() {
    effect(() => {
      const person = this.person();
      const key = `${person?.id ?? 'new'} ${person?.version ?? 0}`;
      const same = this.filled.split(' ')[0] === (person?.id ?? 'new');
      if (this.filled === key || (same && untracked(() => this.form.dirty))) return;
      this.filled = key;
      untracked(() => {
        this.fill();
        if (same) return;
        this.link.set(null);
        this.note.set(null);
        this.retiring.set(false);
        this.save.clear();
        // On a phone the side lies below a long list.
        setTimeout(() => this.host.querySelector<HTMLElement>('#person-title')?.focus());
      });
    });
  }

  private fill(): void {
    const person = this.person();
    this.version = person?.version ?? 0;
    this.form.reset({
      name: person?.name ?? '',
      role: person?.role ?? 'trainee',
      mail: person?.mail ?? '',
      groups: [...(person?.groups ?? [])],
      emergency: '',
    });
  }

  protected readonly differences = meanwhile(this.save, this.person, (person) => {
    const typed = this.typed();
    const names = (ids: readonly string[]) =>
      this.groups()
        .filter(({ id }) => ids.includes(id))
        .map(({ name }) => name)
        .join(', ');
    return [
      [$localize`Name`, person.name, typed.name],
      [$localize`Role`, person.role, typed.role],
      [$localize`Mail address`, person.mail ?? '', typed.mail],
      [$localize`Groups`, names(person.groups), names(typed.groups ?? [])],
    ];
  });

  protected takeTheirs(): void {
    this.save.clear();
    this.fill();
  }

  protected saveMine(): void {
    this.version = this.person()?.version ?? this.version;
    void this.submit();
  }

  protected async submit(): Promise<void> {
    this.form.markAllAsTouched();
    if (this.form.invalid) return;
    const { name, role, mail, groups, emergency } = this.form.getRawValue();
    const person = this.person();
    const reached = mail.trim() === '' ? null : mail.trim();
    if (!person) {
      const names = this.groups().filter(({ id }) => groups.includes(id));
      const done = await this.save.send('addMembers', {
        body: {
          people: [
            {
              id: this.fresh,
              known: false,
              name,
              role,
              mail: reached,
              groups: names.map((group) => group.name),
              emergency: emergency.trim() || null,
            },
          ],
        },
      });
      if (!done) return;
      this.form.markAsPristine();
      this.bar.open($localize`${name} was added.`, undefined, { duration: 6000 });
      this.added.emit(this.fresh);
      this.fresh = uuid();
      return;
    }
    const note = this.form.controls.emergency.dirty ? { emergency: emergency.trim() || null } : {};
    const known = new Set(this.groups().map(({ id }) => id));
    const ended = person.groups.filter((id) => !known.has(id));
    const done = await this.save.send('changeMember', {
      params: { person: person.id },
      body: {
        version: this.version,
        name,
        role,
        mail: reached,
        groups: [...groups.filter((id) => known.has(id)), ...ended],
        ...note,
      },
    });
    if (!done) return;
    this.form.markAsPristine();
    this.note.set(null);
    this.bar.open($localize`${name} is saved.`, undefined, { duration: 6000 });
  }

  protected async invite(): Promise<void> {
    const person = this.person();
    if (!person) return;
    const done = await this.inviting.send('invite', { params: { person: person.id } });
    if (done) this.link.set({ url: new URL(done.link, location.origin).href, until: this.day(done.until) });
  }

  protected async post(): Promise<void> {
    const person = this.person();
    if (!person) return;
    const done = await this.inviting.send('mailInvitation', { params: { person: person.id } });
    if (done)
      this.bar.open(
        $localize`A link went to ${person.mail ?? ''}; it is good until ${this.day(done.until)}.`,
        undefined,
        {
          duration: 8000,
        },
      );
  }

  protected async copy(url: string): Promise<void> {
    await navigator.clipboard.writeText(url);
    this.bar.open($localize`The link is copied.`, undefined, { duration: 4000 });
  }

  protected async read(): Promise<void> {
    const person = this.person();
    if (!person) return;
    const note = await this.inviting.send('readEmergencyNote', { params: { person: person.id } });
    if (!note) return;
    this.note.set(note);
    setTimeout(() => this.note.update((now) => (now === note ? null : now)), OPEN_FOR);
  }

  protected async retire(): Promise<void> {
    const person = this.person();
    if (!person) return;
    const { id, version, name, retired } = person;
    const done = await this.save.send('retireMember', {
      params: { person: id },
      body: { version, retired: retired === null },
    });
    if (!done) return;
    this.retiring.set(false);
    this.bar.open(
      retired === null
        ? $localize`${name} has left and is signed out everywhere.`
        : $localize`${name} is at the school again.`,
      undefined,
      { duration: 6000 },
    );
  }

  protected day(at: string): string {
    return dayOf(at, this.zone());
  }

  protected moment(at: string): string {
    return momentOf(at, this.zone());
  }
}
