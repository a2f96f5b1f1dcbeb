import { provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import type { Role } from '@brave-comb/contract';
import { Store, provideState, provideStore } from '@ngrx/store';
import type { Action } from '@ngrx/store';
import { PeopleEvents, peopleFeature } from '../app/people/people.feature';
import { provideWho } from '../app/people/who';
import { provideSchoolZone } from '../app/season/school-zone';
import { SeasonEvents, seasonFeature } from '../app/season/season.feature';
import { ViewEvents, type ViewName, viewsFeature } from '../app/api/views.feature';
import { show } from './show';

/** Chart frames are measured by the browser; here they keep the width that they start with. */
class NoResize implements ResizeObserver {
  observe = (): void => undefined;
  unobserve = (): void => undefined;
  disconnect = (): void => undefined;
}

/** Shows a view under Ahead to somebody, with the data that the server would give. */
export async function showView<T>(
  component: Parameters<typeof show<T>>[0],
  view: ViewName,
  data: object,
  role: Role = 'lead',
  inputs: Readonly<Record<string, unknown>> = {},
  providers: Parameters<typeof show>[2] = [],
) {
  if (!('ResizeObserver' in globalThis)) Object.assign(globalThis, { ResizeObserver: NoResize });
  const dispatched: Action[] = [];
  const fixture = await show(component, inputs, [
    provideHttpClientTesting(),
    provideRouter([]),
    provideStore(),
    provideWho(),
    provideSchoolZone(),
    provideState(peopleFeature),
    provideState(seasonFeature),
    provideState(viewsFeature),
    ...providers,
  ]);
  const store = TestBed.inject(Store);
  const send = store.dispatch.bind(store) as (action: Action) => void;
  store.dispatch = ((action: Action) => {
    dispatched.push(action);
    send(action);
  }) as typeof store.dispatch;
  const person = {
    id: 'p',
    name: 'Morag Selkirk',
    role,
    school: { id: 's', name: 'Brenna Fell' },
    owner: false,
    units: { own: null, school: 'metric' as const },
  };
  send(
    PeopleEvents.personRecognised({
      person,
      clock: { now: '2026-05-14T06:40:00Z', demo: true, readAt: 0 },
      door: null,
    }),
  );
  send(
    SeasonEvents.stripLoaded({
      strip: { site: { id: 'home', name: 'Home orchard', zone: 'Europe/London' }, due: [] } as never,
    }),
  );
  await fixture.whenStable();
  send(ViewEvents.loaded({ view, data }));
  await fixture.whenStable();
  const changes = () =>
    dispatched.flatMap((action) =>
      action.type === ViewEvents.changeAsked.type ? [(action as ReturnType<typeof ViewEvents.changeAsked>).change] : [],
    );
  const element = fixture.nativeElement as HTMLElement;
  const press = async (name: RegExp) => {
    const button = [...element.querySelectorAll('button')].find((each) =>
      name.test(each.getAttribute('aria-label') ?? each.textContent.replace(/\s+/g, ' ').trim()),
    );
    if (!button) throw new Error(`no button is called ${name.source}`);
    button.click();
    await fixture.whenStable();
  };
  return { fixture, element, changes, press };
}
