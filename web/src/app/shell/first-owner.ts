import { ChangeDetectionStrategy, Component, computed, ElementRef, effect, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NonNullableFormBuilder, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatAutocomplete, MatAutocompleteTrigger } from '@angular/material/autocomplete';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatProgressBar } from '@angular/material/progress-bar';
import { LEAST_PASSWORD } from '@brave-comb/core/people';
import { isZone, readPlace, zoneAt } from '@brave-comb/core/place';
import { Store } from '@ngrx/store';
import { FIELD } from '../parts/field';
import { ShowPassword } from '../parts/show-password';
import { PeopleEvents, peopleFeature } from '../people/people.feature';
import { YearBar } from './year-bar';

/** What was typed outlives a reload, but no code and no password. */
const DRAFT_KEY = 'brave-comb-first-school';
const ZONES_SHOWN = 12;
/** Length at which the bar is full, characters. */
const LONG = 2 * LEAST_PASSWORD;

/** The first start of an installation: who owns it, and what the school counts by. */
@Component({
  selector: 'bc-first-owner',
  imports: [
    FIELD,
    MatAutocomplete,
    MatAutocompleteTrigger,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatProgressBar,
    ReactiveFormsModule,
    YearBar,
    ShowPassword,
  ],
  templateUrl: './first-owner.html',
  styleUrl: './first-owner.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FirstOwner {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly store = inject(Store);
  protected readonly status = this.store.selectSignal(peopleFeature.selectStatus);
  protected readonly fault = this.store.selectSignal(peopleFeature.selectFault);
  protected readonly door = this.store.selectSignal(peopleFeature.selectDoor);
  protected readonly least = LEAST_PASSWORD;
  protected readonly noPlace = signal(false);
  protected readonly form = inject(NonNullableFormBuilder).group({
    code: ['', [Validators.required, Validators.pattern(/^\s*(\d\s*){6}$/)]],
    name: ['', [Validators.required, Validators.maxLength(120)]],
    signIn: [
      '',
      [Validators.required, Validators.minLength(2), Validators.maxLength(80), Validators.pattern(/^[^\s<>"]+$/)],
    ],
    password: ['', [Validators.required, Validators.minLength(LEAST_PASSWORD), Validators.maxLength(200)]],
    school: ['', [Validators.required, Validators.maxLength(120)]],
    place: [''],
    zone: [Intl.DateTimeFormat().resolvedOptions().timeZone, Validators.required],
    units: ['metric' as const, Validators.required],
    half: ['', Validators.required],
  });
  private readonly typed = toSignal(this.form.valueChanges, { initialValue: this.form.value });
  protected readonly length = computed(() => this.typed().password?.length ?? 0);
  protected readonly share = computed(() => Math.min(100, (100 * this.length()) / LONG));
  protected readonly place = computed(() => readPlace(this.typed().place ?? ''), {
    equal: (one, other) => one?.latitude === other?.latitude && one?.longitude === other?.longitude,
  });
  protected readonly placeWrong = computed(() => (this.typed().place ?? '').trim() !== '' && this.place() === null);
  private readonly allZones = Intl.supportedValuesOf('timeZone');
  protected readonly zones = computed(() => {
    const wanted = (this.typed().zone ?? '').toLowerCase().replaceAll(' ', '_');
    return this.allZones.filter((zone) => zone.toLowerCase().includes(wanted)).slice(0, ZONES_SHOWN);
  });
  protected readonly zoneWrong = computed(() => !isZone(this.typed().zone ?? ''));

  constructor() {
    const kept = sessionStorage.getItem(DRAFT_KEY);
    if (kept !== null) this.form.patchValue(JSON.parse(kept) as object);
    effect(() => {
      const { code: _code, password: _password, ...draft } = this.typed();
      sessionStorage.setItem(DRAFT_KEY, JSON.stringify(draft));
    });
    effect(() => {
      if (this.fault()?.problem === 'wrong-code') this.focus('.code');
    });
    // A place says on which half of the earth it lies, and which time is kept there.
    effect(() => {
      const place = this.place();
      if (!place) return;
      this.form.patchValue({ half: place.latitude < 0 ? 'south' : 'north', zone: zoneAt(place) });
    });
  }

  protected locate(): void {
    navigator.geolocation.getCurrentPosition(
      ({ coords: { latitude, longitude } }) => {
        this.noPlace.set(false);
        this.form.patchValue({ place: `${latitude.toFixed(4)}, ${longitude.toFixed(4)}` });
      },
      () => this.noPlace.set(true),
    );
  }

  private focus(selector: string): void {
    this.host.querySelector<HTMLElement>(selector)?.focus();
  }

  protected submit(): void {
    this.form.markAllAsTouched();
    const { code, half, place: _text, zone, ...wish } = this.form.getRawValue();
    if (this.form.invalid || this.placeWrong() || this.zoneWrong() || this.status() === 'signing in') {
      this.focus('.ng-invalid input, input.ng-invalid');
      return;
    }
    const place = this.place();
    this.store.dispatch(
      PeopleEvents.schoolBegun({
        wish: {
          ...wish,
          code: code.replaceAll(/\s/g, ''),
          home: {
            zone,
            latitude: place?.latitude ?? null,
            longitude: place?.longitude ?? null,
            south: half === 'south',
          },
        },
      }),
    );
  }
}
