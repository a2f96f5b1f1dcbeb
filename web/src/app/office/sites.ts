import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NonNullableFormBuilder, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatSnackBar } from '@angular/material/snack-bar';
import { RouterLink } from '@angular/router';
import type { Sites } from '@brave-comb/contract';
import { isZone, readPlace, zoneAt } from '@brave-comb/core/place';
import { v7 as uuid } from 'uuid';
import { saving } from '../api/saving';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { FIELD } from '../parts/field';
import { Differs } from './differs';
import { meanwhile } from './meanwhile';

type Site = Sites['sites'][number];

/** Where the hives stand: place, height, time, and how help finds it. */
@Component({
  selector: 'bc-sites',
  imports: [Differs, FIELD, MatButton, ReactiveFormsModule, RouterLink, ViewState],
  templateUrl: './sites.html',
  styleUrl: './office.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SitesScreen {
  private readonly bar = inject(MatSnackBar);
  protected readonly watched = inject(ViewDesk).watch('schoolSites', () => ({}));
  protected readonly save = saving();
  /** The site whose form is open; a new one has an id of its own until it is saved. */
  private readonly picked = signal<string | null>(null);
  protected readonly noPlace = signal(false);
  protected readonly form = inject(NonNullableFormBuilder).group({
    name: ['', [Validators.required, Validators.maxLength(80)]],
    place: ['', Validators.required],
    altitude: ['0', [Validators.required, Validators.pattern(/^\s*-?\d{1,4}\s*$/)]],
    zone: ['', Validators.required],
    number: ['', [Validators.required, Validators.maxLength(60)]],
    how: ['', [Validators.required, Validators.maxLength(300)]],
    signal: ['', Validators.maxLength(300)],
    school: ['', Validators.maxLength(60)],
    kit: ['', Validators.maxLength(300)],
  });
  private readonly typed = toSignal(this.form.valueChanges, { initialValue: this.form.value });
  private readonly place = computed(() => readPlace(this.typed().place ?? ''), {
    equal: (one, other) => one?.latitude === other?.latitude && one?.longitude === other?.longitude,
  });
  protected readonly placeWrong = computed(() => (this.typed().place ?? '').trim() !== '' && this.place() === null);
  protected readonly zoneWrong = computed(() => !isZone(this.typed().zone ?? ''));
  protected readonly zoneElsewhere = computed(() => {
    const place = this.place();
    const zone = this.typed().zone ?? '';
    const there = place && zoneAt(place);
    return there !== null && isZone(zone) && there !== zone ? there : null;
  });
  protected readonly sites = computed(() => this.watched.data()?.sites ?? []);
  /** The site that is open as the server has it; null for a new one. */
  protected readonly open = computed(() => this.sites().find(({ id }) => id === this.picked()) ?? null);
  /** Version that the form was filled from. */
  private version = 0;
  /** Whether the form was opened: what was closed does not open by itself again. */
  private asked = false;
  protected readonly shown = computed(() => this.picked() ?? '');

  constructor() {
    // A school without a site is asked for its first.
    effect(() => {
      const data = this.watched.data();
      if (data?.sites.length === 0 && !this.asked) this.begin();
    });
    // A place says which time is kept there, as long as nobody has chosen another.
    effect(() => {
      const place = this.place();
      if (place && !this.form.controls.zone.dirty) this.form.controls.zone.setValue(zoneAt(place));
    });
  }

  protected planOf(name: string): string {
    return $localize`Plan of ${name}`;
  }

  protected begin(): void {
    const home = this.watched.data()?.home;
    this.version = 0;
    this.asked = true;
    this.form.reset({
      place: home?.latitude === null || home?.latitude === undefined ? '' : `${home.latitude}, ${home.longitude ?? 0}`,
      zone: home?.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone,
    });
    this.save.clear();
    this.picked.set(uuid());
  }

  protected edit(site: Site): void {
    const { name, latitude, longitude, altitude, zone, emergency, version } = site;
    this.version = version;
    const { number, place, signal: reach, school, kit } = emergency;
    this.form.reset({
      ...{ name, place: `${latitude}, ${longitude}`, altitude: `${altitude}`, zone },
      ...{ number, how: place, signal: reach, school, kit },
    });
    this.save.clear();
    this.picked.set(site.id);
  }

  protected close(): void {
    this.picked.set(null);
    this.save.clear();
  }

  protected locate(): void {
    navigator.geolocation.getCurrentPosition(
      ({ coords: { latitude, longitude, altitude } }) => {
        this.noPlace.set(false);
        this.form.controls.place.setValue(`${latitude.toFixed(4)}, ${longitude.toFixed(4)}`);
        if (altitude !== null) this.form.controls.altitude.setValue(`${Math.round(altitude)}`);
      },
      () => this.noPlace.set(true),
    );
  }

  /** What stands there now beside what is typed, where somebody else has saved meanwhile. */
  protected readonly differences = meanwhile(this.save, this.open, (site) => {
    const typed = this.typed();
    const { emergency } = site;
    return [
      [$localize`Name`, site.name, typed.name],
      [$localize`Latitude and longitude`, `${site.latitude}, ${site.longitude}`, typed.place],
      [$localize`Height above the sea, m`, `${site.altitude}`, typed.altitude],
      [$localize`Time zone`, site.zone, typed.zone],
      [$localize`Emergency number`, emergency.number, typed.number],
      [$localize`How help finds it`, emergency.place, typed.how],
      [$localize`Where there is signal`, emergency.signal, typed.signal],
      [$localize`Telephone of the school`, emergency.school, typed.school],
      [$localize`Where the first-aid kit is`, emergency.kit, typed.kit],
    ];
  });

  protected takeTheirs(): void {
    const site = this.open();
    if (site) this.edit(site);
  }

  /** Saves over what somebody else has saved, having seen it. */
  protected saveMine(): void {
    this.version = this.open()?.version ?? this.version;
    void this.submit();
  }

  protected async submit(): Promise<void> {
    this.form.markAllAsTouched();
    const place = this.place();
    const id = this.picked();
    if (this.form.invalid || !place || this.zoneWrong() || id === null) return;
    const { name, altitude, zone, number, how, signal: reach, school, kit } = this.form.getRawValue();
    const done = await this.save.send('keepSite', {
      params: { site: id },
      body: {
        version: this.version,
        name,
        ...place,
        altitude: Number(altitude),
        zone,
        emergency: { number, place: how, signal: reach, school, kit },
      },
    });
    if (!done) return;
    this.bar.open($localize`${name} is saved.`, undefined, { duration: 6000 });
    this.picked.set(null);
  }

  protected async retire(site: Site, retired: boolean): Promise<void> {
    const { id, version, name } = site;
    const done = await this.save.send('retireSite', { params: { site: id }, body: { version, retired } });
    if (!done) return;
    this.bar.open(retired ? $localize`${name} is out of use.` : $localize`${name} is in use again.`, undefined, {
      duration: 6000,
    });
    this.picked.set(null);
  }
}
