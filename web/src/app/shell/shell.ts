import { BreakpointObserver } from '@angular/cdk/layout';
import { ChangeDetectionStrategy, Component, Injector, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatIcon } from '@angular/material/icon';
import { MatMenuModule } from '@angular/material/menu';
import { ActivatedRoute, NavigationEnd, Router, RouterLink, RouterOutlet } from '@angular/router';
import { addDays } from '@brave-comb/core/units';
import { Store } from '@ngrx/store';
import { filter, map, startWith } from 'rxjs';
import { AsideNotice } from '../inspection/aside-notice';
import { DeviceStore } from '../device/device-store';
import { Clock } from '../people/clock';
import { PeopleEvents, peopleFeature } from '../people/people.feature';
import { BeginAgainCard } from '../people/begin-again-card';
import { SignOutCard } from '../people/sign-out-card';
import { planningFeature } from '../planning/planning.feature';
import { SeasonEvents, seasonFeature } from '../season/season.feature';
import { SeasonStrip } from '../season/season-strip';
import { Reach } from '../api/reach';
import { ViewDesk } from '../api/view-desk';
import { civilDate, dayOf, momentOf, timeOf } from '../ui/format';
import { placesFor } from '../ui/places';
import { PlacesDrawer } from './places-drawer';
import { PrintHead } from './print-head';
import { TEXT_SIZES, THEMES, type TextSize, Theme, type ThemeChoice } from './theme';

const NOWHERE: Record<string, unknown> = {};

/** The frame around every screen but At the hive: the three moments, the clock, the season strip. */
@Component({
  selector: 'bc-shell',
  imports: [
    RouterOutlet,
    RouterLink,
    MatButton,
    MatIcon,
    MatIconButton,
    MatMenuModule,
    AsideNotice,
    PlacesDrawer,
    PrintHead,
    SeasonStrip,
  ],
  templateUrl: './shell.html',
  styleUrl: './shell.scss',
  host: { '(document:keydown)': 'key($event)' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Shell {
  private readonly store = inject(Store);
  private readonly route = inject(ActivatedRoute);
  private readonly router = inject(Router);
  private readonly dialog = inject(MatDialog);
  private readonly injector = inject(Injector);
  protected readonly clock = inject(Clock);
  protected readonly theme = inject(Theme);
  protected readonly themes = THEMES;
  protected readonly themeNames: Readonly<Record<ThemeChoice, string>> = {
    device: $localize`As this device is set`,
    light: $localize`Light`,
    dark: $localize`Dark`,
    outdoor: $localize`Outdoor, for the sun`,
  };
  protected readonly textSizes = TEXT_SIZES;
  protected readonly sizeNames: Readonly<Record<TextSize, string>> = {
    1: $localize`Usual`,
    1.12: $localize`Larger`,
    1.25: $localize`Largest`,
  };
  protected readonly person = this.store.selectSignal(peopleFeature.selectPerson);
  protected readonly clockState = this.store.selectSignal(peopleFeature.selectClock);
  protected readonly demoFault = this.store.selectSignal(peopleFeature.selectFault);
  protected readonly reach = inject(Reach).state;
  /** Where there is room for a day and not for the weeks around it. */
  protected readonly narrow = toSignal(
    inject(BreakpointObserver)
      .observe('(width < 700px)')
      .pipe(map(({ matches }) => matches)),
    { initialValue: false },
  );
  protected readonly strip = this.store.selectSignal(seasonFeature.selectStrip);
  protected readonly stripFault = this.store.selectSignal(seasonFeature.selectFault);
  /** A page with days on it has nothing to show before there is a site. */
  protected readonly noSite = computed(() => {
    const { strip = 'none' } = this.here();
    return strip !== 'none' && this.strip() === null && this.stripFault()?.status === 404;
  });
  protected readonly waiting = inject(DeviceStore).unsent;
  private readonly messages = inject(ViewDesk).watch('messages', () => ({})).data;
  protected readonly unread = computed(() => (this.messages()?.messages ?? []).filter(({ read }) => !read).length);
  protected readonly sheet = this.store.selectSignal(planningFeature.selectSheet);

  protected readonly places = computed(() => placesFor(this.person()?.role ?? ''));
  protected readonly here = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      startWith(null),
      map((): Record<string, unknown> => this.route.snapshot.firstChild?.data ?? {}),
    ),
    { initialValue: NOWHERE },
  );
  /** What the page is called by its route. */
  private readonly title = computed(
    () => (this.here(), this.route.snapshot.firstChild?.title?.replace(/ – Brave Comb$/, '') ?? ''),
  );
  /** Drills of several views share one route: their address tells them apart. */
  protected readonly path = computed(() => {
    const here = this.here();
    return 'view' in here ? null : this.router.url.split('?')[0];
  });
  /** The day that the page is about, `null` for today: the strip marks it, however one came here. */
  protected readonly day = computed(() => {
    const session = this.sheet()?.session;
    if (this.here().view === 'day-sheet') return session ? civilDate(Date.parse(session.startsAt), session.zone) : null;
    return this.here().view === 'day' ? this.dayInAddress() : null;
  });
  private readonly dayInAddress = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      startWith(null),
      map(() => this.route.snapshot.firstChild?.paramMap.get('date') ?? null),
    ),
    { initialValue: null },
  );
  /** What the one line of a small screen calls the page, and the screen it was come from where it is no screen of its own. */
  protected readonly page = computed(() => {
    const here = this.here();
    const place = this.places().find(({ id }) => id === here.place);
    const path = this.address();
    const view = place?.views.find(({ id, link }) => link === path || id === here.view);
    return {
      name: this.title(),
      from: view?.name ?? place?.name ?? '',
      back: view?.link === path ? null : (view?.link ?? place?.link ?? null),
    };
  });
  protected readonly address = computed(() => (this.here(), this.router.url.split('?')[0]!));
  protected readonly drawn = signal(false);
  protected readonly initials = computed(() =>
    (this.person()?.name ?? '')
      .split(' ')
      .map((part) => part[0])
      .join('')
      .slice(0, 2),
  );
  protected readonly nowText = computed(() => {
    const zone = this.strip()?.site.zone ?? 'utc';
    const time = timeOf(this.clock.now(), zone);
    return this.narrow() ? time : `${dayOf(this.clock.now(), zone)}, ${time}`;
  });
  protected readonly forecastText = computed(() => {
    const strip = this.strip();
    return strip?.forecast.issuedAt ? $localize`Forecast ${timeOf(strip.forecast.issuedAt, strip.site.zone)}` : '';
  });
  /** Start of the session on the sheet, when it is still to come today. */
  protected readonly sessionStart = computed(() => {
    const session = this.sheet()?.session;
    return session && Date.parse(session.startsAt) > this.clock.now() ? session : null;
  });
  protected readonly sessionStartText = computed(() => {
    const session = this.sessionStart();
    return session ? momentOf(session.startsAt, session.zone) : '';
  });

  constructor() {
    this.store.dispatch(SeasonEvents.stripWanted({}));
  }

  protected async help(): Promise<void> {
    const { openHelp } = await import('../help/open-help');
    const { view, place } = this.here();
    openHelp([String(view), String(place)], this.injector);
  }

  protected key(event: KeyboardEvent): void {
    const typing = event.target instanceof Element && event.target.closest('input, textarea, [contenteditable]');
    if (event.key !== '?' || typing || this.dialog.openDialogs.length > 0) return;
    event.preventDefault();
    void this.help();
  }

  protected openDay(date: string): void {
    this.store.dispatch(SeasonEvents.dayOpened({ date }));
  }

  protected chooseSite(site: string): void {
    this.store.dispatch(SeasonEvents.stripWanted({ site }));
  }

  protected moveWeek(days: number): void {
    const strip = this.strip();
    if (strip)
      this.store.dispatch(SeasonEvents.stripWanted({ site: strip.site.id, from: addDays(strip.days[0]!.date, days) }));
  }

  protected moveOn(minutes: number): void {
    this.store.dispatch(PeopleEvents.clockMoveAsked({ minutes }));
  }

  protected moveTo(to: string): void {
    this.store.dispatch(PeopleEvents.clockMoveAsked({ to }));
  }

  protected beginAgain(): void {
    this.dialog
      .open<BeginAgainCard, unknown, boolean>(BeginAgainCard, { width: '460px' })
      .afterClosed()
      .subscribe((sure) => sure && this.store.dispatch(PeopleEvents.demoAgainAsked()));
  }

  protected async openSignIns(): Promise<void> {
    const { SignInsCard } = await import('../people/sign-ins-card');
    this.dialog.open(SignInsCard, { width: '560px', injector: this.injector });
  }

  protected async openUnits(): Promise<void> {
    const { UnitsCard } = await import('../people/units-card');
    this.dialog.open(UnitsCard, { width: '560px' });
  }

  protected async openFeed(): Promise<void> {
    const { CalendarFeedCard } = await import('../people/calendar-feed');
    this.dialog.open(CalendarFeedCard, { width: '560px' });
  }

  protected signOut(): void {
    const out = () => this.store.dispatch(PeopleEvents.signOutAsked());
    const [waiting, online] = [this.waiting(), navigator.onLine];
    if (waiting === 0 && online) return void out();
    this.dialog
      .open<SignOutCard, unknown, boolean>(SignOutCard, { data: { waiting, online }, width: '460px' })
      .afterClosed()
      .subscribe((sure) => sure && out());
  }
}
