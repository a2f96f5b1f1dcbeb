import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { Store, provideState, provideStore } from '@ngrx/store';
import { PeopleEvents, peopleFeature } from '../people/people.feature';
import { provideWho } from '../people/who';
import { show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { InvitationScreen } from './invitation';

const TOKEN = 'a'.repeat(43);
const FOUND = {
  name: 'Tomasz Wierzba',
  school: 'Brenna Fell',
  signIn: 'tomasz',
  known: false,
  until: '2026-05-21T10:00:00Z',
};

async function open() {
  location.hash = `#${TOKEN}`;
  const fixture = await show(InvitationScreen, {}, [
    provideHttpClientTesting(),
    provideRouter([]),
    provideStore(),
    provideWho(),
    provideState(peopleFeature),
  ]);
  const element = fixture.nativeElement as HTMLElement;
  const request = TestBed.inject(HttpTestingController).expectOne('/api/people/invitation');
  const settle = async () => {
    await new Promise((done) => setTimeout(done));
    await fixture.whenStable();
  };
  const type = async (name: string, text: string) => {
    const field = element.querySelector<HTMLInputElement>(`input[formControlName=${name}]`)!;
    field.value = text;
    field.dispatchEvent(new Event('input'));
    await fixture.whenStable();
  };
  return { element, request, settle, type };
}
afterEach(() => history.replaceState(null, '', location.pathname));

describe('an invitation', () => {
  it('says whose it is and lets in with a name and a password, long enough', async () => {
    const { element, request, settle, type } = await open();
    expect(request.request.body).toEqual({ token: TOKEN });
    request.flush(FOUND);
    await settle();
    expect(textOf(element.querySelector('h1'))).toBe('Welcome, Tomasz Wierzba');
    expect(element.querySelector<HTMLInputElement>('input[formControlName=signIn]')!.value).toBe('tomasz');
    const sent: unknown[] = [];
    const store = TestBed.inject(Store);
    store.dispatch = ((action: { type: string; wish?: unknown }) => {
      if (action.type === PeopleEvents.invitationAccepted.type) sent.push(action.wish);
    }) as never;
    const submit = async () => {
      element.querySelector('form')!.dispatchEvent(new Event('submit'));
      await settle();
    };
    await type('password', 'short');
    await submit();
    expect(sent).toEqual([]);
    expect(textOf(element)).toContain('Use at least 12 characters');
    await type('password', 'a heap of clover');
    await submit();
    expect(sent).toEqual([{ token: TOKEN, signIn: 'tomasz', password: 'a heap of clover' }]);
  });

  it('asks whoever was here before for another password only', async () => {
    const { element, request, settle } = await open();
    request.flush({ ...FOUND, known: true });
    await settle();
    expect(textOf(element)).toContain('Choose another password for Brenna Fell.');
  });

  it('that is over says what to do', async () => {
    const { element, request, settle } = await open();
    const message = 'This link is over or was used already. Ask the person who sent it for a new one.';
    request.flush({ problem: 'invitation-over', message }, { status: 404, statusText: 'no' });
    await settle();
    expect(textOf(element.querySelector('[role="alert"]'))).toContain(message);
    expect(element.querySelector('form')).toBeNull();
  });
});
