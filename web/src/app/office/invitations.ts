import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { DomSanitizer } from '@angular/platform-browser';
import { RouterLink } from '@angular/router';
import type { Members } from '@brave-comb/contract';
import { renderSVG } from 'uqr';
import { saving } from '../api/saving';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { FIELD } from '../parts/field';
import { SCHOOL_ZONE } from '../people/school-zone';
import { dayOf } from '../ui/format';

interface Slip {
  readonly id: string;
  readonly name: string;
  readonly group: string;
  readonly url: string;
  readonly until: string;
  readonly picture: unknown;
}

/** Invitations for everybody who cannot sign in yet, as slips to print, cut and hand out. */
@Component({
  selector: 'bc-invitations',
  imports: [FIELD, MatButton, MatProgressBar, RouterLink, ViewState],
  template: `
    <bc-view-state [watched]="watched" name="People" i18n-name />
    @if (watched.data()) {
      <header class="office-head">
        <h1><a class="up" routerLink="/office/people" i18n>People</a><span i18n>Invitations</span></h1>
        <div class="ways">
          @if (slips().length > 0) {
            <button type="button" matButton="filled" (click)="print()" i18n>Print the slips</button>
          }
        </div>
      </header>
      @if (posted() > 0) {
        <p role="status" i18n>
          {posted(), plural, =1 {One invitation} other {{{ posted() }} invitations}} went out by mail.
        </p>
      }
      @if (slips().length === 0) {
        <section class="sheet chosen form" aria-labelledby="who-title">
          <h2 id="who-title" i18n>Who gets one</h2>
          @if (outside().length === 0) {
            <p i18n>Everybody can sign in already, or has an invitation that is still good.</p>
          } @else {
            <p class="quiet" i18n>
              Each gets a link of their own, good once and for seven days. It is shown on a slip here and nowhere else:
              whoever holds it comes in as that person.
            </p>
            @for (person of outside(); track person.id) {
              <mat-checkbox [checked]="!without().has(person.id)" (change)="choose(person.id, $event.checked)">
                {{ person.name }} <span class="quiet">{{ groupOf(person) }}</span>
              </mat-checkbox>
            }
            @if (watched.data()?.mails && chosen().some(hasMail)) {
              <mat-checkbox [checked]="byMail()" (change)="byMail.set($event.checked)" i18n
                >By mail to those with an address; slips for the others only</mat-checkbox
              >
            }
            @if (save.fault(); as refused) {
              <p class="said bad" role="alert">{{ refused.message }}</p>
            }
            @if (made(); as count) {
              <mat-progress-bar
                [value]="(100 * count) / chosen().length"
                aria-label="Invitations made"
                i18n-aria-label
              />
            }
            <p>
              <button
                type="button"
                matButton="filled"
                disabledInteractive
                [disabled]="working() || chosen().length === 0"
                (click)="make()"
                i18n
              >
                Make {{ chosen().length }} {chosen().length, plural, =1 {invitation} other {invitations}}
              </button>
            </p>
          }
        </section>
      } @else {
        @if (save.fault(); as refused) {
          <p class="said bad" role="alert">{{ refused.message }}</p>
        }
        <p class="quiet" i18n>
          Print them now: leave this page and the links are gone. New ones can be made at any time.
        </p>
        <ul class="slips">
          @for (slip of slips(); track slip.id) {
            <li>
              <div class="code" [innerHTML]="slip.picture" aria-hidden="true"></div>
              <div>
                <b class="whose">{{ slip.name }}</b>
                @if (slip.group) {
                  <span class="quiet">{{ slip.group }}</span>
                }
                <p i18n>Scan, or type this address, and choose a password. Good once, until {{ slip.until }}.</p>
                <p class="address">{{ slip.url }}</p>
              </div>
            </li>
          }
        </ul>
      }
    }
  `,
  styleUrl: './office.scss',
  styles: `
    .slips {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(340px, 1fr));
      gap: 12px;
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: 110px minmax(0, 1fr);
      gap: 12px;
      padding: 10px;
      border: 1px dashed var(--ink-2);
      background: var(--sheet);
      break-inside: avoid;
    }
    .whose {
      display: block;
    }
    .address {
      overflow-wrap: anywhere;
      font-size: var(--t-note);
    }
    .code {
      width: 110px;
    }
    p {
      margin: 4px 0 0;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class InvitationsScreen {
  private readonly zone = inject(SCHOOL_ZONE);
  private readonly sanitizer = inject(DomSanitizer);
  protected readonly watched = inject(ViewDesk).watch('members', () => ({}));
  protected readonly save = saving();
  protected readonly without = signal<ReadonlySet<string>>(new Set());
  protected readonly slips = signal<readonly Slip[]>([]);
  protected readonly made = signal(0);
  protected readonly byMail = signal(true);
  /** How many went out by mail. */
  protected readonly posted = signal(0);
  protected readonly hasMail = ({ mail }: Members['people'][number]): boolean => mail !== null;
  protected readonly working = signal(false);
  /** Those who cannot sign in and hold no invitation that is good. */
  protected readonly outside = computed(() =>
    (this.watched.data()?.people ?? []).filter(
      ({ retired, wayIn }) => retired === null && (wayIn === 'none' || wayIn === 'invitation-over'),
    ),
  );
  protected readonly chosen = computed(() => this.outside().filter(({ id }) => !this.without().has(id)));

  protected groupOf({ groups }: Members['people'][number]): string {
    return (this.watched.data()?.groups ?? [])
      .filter(({ id }) => groups.includes(id))
      .map(({ name }) => name)
      .join(', ');
  }

  protected choose(id: string, on: boolean): void {
    this.without.update((all) => new Set(on ? [...all].filter((each) => each !== id) : [...all, id]));
  }

  protected async make(): Promise<void> {
    if (this.working()) return;
    this.working.set(true);
    const slips: Slip[] = [];
    const post = this.byMail() && this.watched.data()?.mails === true;
    this.posted.set(0);
    for (const person of this.chosen()) {
      if (post && person.mail !== null) {
        if (!(await this.save.send('mailInvitation', { params: { person: person.id } }))) break;
        this.posted.update((count) => count + 1);
        continue;
      }
      const done = await this.save.send('invite', { params: { person: person.id } });
      if (!done) break;
      const url = new URL(done.link, location.origin).href;
      const picture = this.sanitizer.bypassSecurityTrustHtml(renderSVG(url, { border: 1 }));
      const until = dayOf(done.until, this.zone());
      slips.push({ id: person.id, name: person.name, group: this.groupOf(person), url, until, picture });
      this.made.set(slips.length);
    }
    this.working.set(false);
    this.made.set(0);
    this.slips.set(slips);
  }

  protected print(): void {
    globalThis.print();
  }
}
