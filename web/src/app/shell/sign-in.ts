import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { NonNullableFormBuilder, ReactiveFormsModule, Validators } from '@angular/forms';
import { Store } from '@ngrx/store';
import { LostPassword } from './lost-password';
import { SignInComb } from './sign-in-comb';
import { AsideNotice } from '../inspection/aside-notice';
import { Clock } from '../people/clock';
import { PeopleEvents, peopleFeature } from '../people/people.feature';
import { FIELD } from '../parts/field';
import { ShowPassword } from '../parts/show-password';

@Component({
  selector: 'bc-sign-in',
  imports: [FIELD, MatButton, ReactiveFormsModule, AsideNotice, LostPassword, SignInComb, ShowPassword],
  templateUrl: './sign-in.html',
  styleUrl: './sign-in.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SignIn {
  private readonly store = inject(Store);
  private readonly clock = inject(Clock);
  protected readonly status = this.store.selectSignal(peopleFeature.selectStatus);
  protected readonly fault = this.store.selectSignal(peopleFeature.selectFault);
  protected readonly door = this.store.selectSignal(peopleFeature.selectDoor);
  protected readonly capitals = signal(false);
  protected readonly lost = signal(false);
  protected readonly form = inject(NonNullableFormBuilder).group({
    name: ['', [Validators.required, Validators.maxLength(80)]],
    password: ['', [Validators.required, Validators.maxLength(200)]],
  });
  protected readonly greeting = computed(() => {
    const hour = new Date(this.clock.now()).getHours();
    return hour < 12 ? $localize`Good morning` : hour < 18 ? $localize`Good afternoon` : $localize`Good evening`;
  });

  protected watchCapitals(event: KeyboardEvent): void {
    this.capitals.set(event.getModifierState('CapsLock'));
  }

  protected submit(): void {
    this.form.markAllAsTouched();
    if (this.form.valid) this.store.dispatch(PeopleEvents.signInSubmitted(this.form.getRawValue()));
  }
}
