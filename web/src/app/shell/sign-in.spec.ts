import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Store, provideState, provideStore } from '@ngrx/store';
import { DeviceStore } from '../device/device-store';
import { PeopleEvents, forgetOnSignOut, peopleFeature } from '../people/people.feature';
import { SignIn } from './sign-in';

describe('signing in', () => {
  const open = async (sealed = 0) => {
    const device = { aside: signal([]), sealed: signal(sealed) };
    TestBed.configureTestingModule({
      imports: [SignIn],
      providers: [provideStore({}), provideState(peopleFeature), { provide: DeviceStore, useValue: device }],
    });
    await TestBed.compileComponents();
    const store = TestBed.inject(Store);
    const events: unknown[] = [];
    const dispatch = store.dispatch.bind(store) as (event: object) => void;
    vi.spyOn(store, 'dispatch').mockImplementation(((event: object) => {
      events.push(event);
      dispatch(event);
    }) as never);
    const fixture = TestBed.createComponent(SignIn);
    await fixture.whenStable();
    const element = fixture.nativeElement as HTMLElement;
    const fill = (selector: string, value: string) => {
      const field = element.querySelector<HTMLInputElement>(selector)!;
      field.value = value;
      field.dispatchEvent(new Event('input'));
    };
    const submit = async () => {
      element.querySelector('form')!.dispatchEvent(new Event('submit'));
      await fixture.whenStable();
    };
    return { store, events, fixture, element, fill, submit };
  };

  it('asks for what is missing and sends nothing until then', async () => {
    const { events, element, submit } = await open();
    await submit();
    expect(events).toEqual([]);
    expect(element.textContent).toContain('Type your sign-in name.');
    expect(element.textContent).toContain('Type your password.');
  });

  it('sends name and password, and cannot be sent twice meanwhile', async () => {
    const { events, element, fill, submit } = await open();
    fill('input[formControlName=name]', 'morag');
    fill('input[formControlName=password]', 'secret');
    await submit();
    expect(events).toEqual([PeopleEvents.signInSubmitted({ name: 'morag', password: 'secret' })]);
    expect(element.querySelector<HTMLButtonElement>('button[type=submit]')?.disabled).toBe(true);
  });

  it('says what the server said, and keeps the name', async () => {
    const { store, fixture, element, fill } = await open();
    fill('input[formControlName=name]', 'morag');
    const fault = {
      status: 401,
      problem: 'not-signed-in' as const,
      message: 'Name and password do not fit together.',
      details: [],
    };
    store.dispatch(PeopleEvents.signInRefused({ fault }));
    await fixture.whenStable();
    expect(element.querySelector('[role=alert]')?.textContent).toContain('do not fit together');
    expect(element.querySelector<HTMLInputElement>('input[formControlName=name]')?.value).toBe('morag');
  });

  it('says what waits here of whoever was signed in before, and what is wrong with the way to the server', async () => {
    const { store, fixture, element } = await open(2);
    expect(element.textContent).toContain('2 entries of the person signed in before wait here.');
    const clock = { now: '2026-05-14T06:40:00Z', demo: true, readAt: Date.now() };
    store.dispatch(PeopleEvents.personRecognised({ person: null, clock, door: 'Open https://hives.example instead.' }));
    await fixture.whenStable();
    expect(element.querySelector('[role=alert]')?.textContent).toContain('https://hives.example');
  });

  it('leaves nothing of what was shown to whoever signs out', () => {
    const state = { people: { status: 'in' }, inspection: { file: 'health notes' }, views: { outbox: 'mail' } };
    const seen = forgetOnSignOut((kept) => kept!)(state, PeopleEvents.signedOut());
    expect(seen).toEqual({ people: { status: 'in' } });
    expect(forgetOnSignOut((kept) => kept!)(state, PeopleEvents.applicationOpened())).toBe(state);
  });

  it('shows and hides the password, and warns of locked capitals', async () => {
    const { fixture, element } = await open();
    const field = element.querySelector<HTMLInputElement>('input[formControlName=password]')!;
    const toggle = element.querySelector<HTMLButtonElement>('bc-show-password button')!;
    expect(field.type).toBe('password');
    toggle.click();
    await fixture.whenStable();
    expect(field.type).toBe('text');
    const locked = new KeyboardEvent('keydown', { key: 'A', bubbles: true });
    vi.spyOn(locked, 'getModifierState').mockReturnValue(true);
    field.dispatchEvent(locked);
    await fixture.whenStable();
    expect(element.textContent).toContain('Caps Lock is on.');
  });
});
