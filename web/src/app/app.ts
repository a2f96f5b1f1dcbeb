import { ChangeDetectionStrategy, Component, DOCUMENT, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { Store } from '@ngrx/store';
import { CombPatterns } from './inspection/comb-patterns';
import { PeopleEvents } from './people/people.feature';
import { keepFocus } from './ui/keep-focus';

@Component({
  selector: 'bc-root',
  imports: [RouterOutlet, CombPatterns],
  template: `<bc-comb-patterns /><router-outlet />`,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class App {
  constructor() {
    keepFocus(inject(DOCUMENT));
    inject(Store).dispatch(PeopleEvents.applicationOpened());
  }
}
