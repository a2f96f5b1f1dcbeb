import { HttpClient, provideHttpClient, withInterceptors } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { Store, provideState, provideStore } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { DeviceStore, type KeptAnswer } from '../device/device-store';
import { Clock } from './clock';
import { PeopleEvents, peopleFeature } from './people.feature';
import { noticesEnd, tellsTime } from './interceptors';
import { provideWho } from './who';
import { asWhom, asksAgain, keptAnswers } from '../api/interceptors';
import { asksByTag } from '../api/tagged-answers';

describe('calls of the server', () => {
  let http: HttpClient;
  let server: HttpTestingController;
  let kept: Map<string, KeptAnswer>;
  let contacts: number[];
  const soon = () => new Promise((done) => setTimeout(done));

  beforeEach(() => {
    kept = new Map();
    contacts = [];
    const device = {
      keepView: (address: string, answer: KeptAnswer) => Promise.resolve(void kept.set(address, answer)),
      view: (address: string) => Promise.resolve(kept.get(address)),
    };
    TestBed.configureTestingModule({
      providers: [
        provideStore({}),
        provideState(peopleFeature),
        provideHttpClient(withInterceptors([asWhom, keptAnswers, noticesEnd, asksAgain, tellsTime, asksByTag])),
        provideWho(),
        provideHttpClientTesting(),
        { provide: DeviceStore, useValue: device },
        { provide: Clock, useValue: { contact: (at: number) => contacts.push(at) } },
      ],
    });
    http = TestBed.inject(HttpClient);
    server = TestBed.inject(HttpTestingController);
  });
  afterEach(() => server.verify());

  const signedIn = (id = 'tomasz') =>
    TestBed.inject(Store).dispatch(
      PeopleEvents.signedIn({
        person: {
          id,
          name: 'T',
          role: 'supervisor',
          school: { id: 's', name: 'S' },
          owner: false,
          units: { own: null, school: 'metric' as const },
        },
        clock: { now: '2026-05-14T06:40:00Z', demo: true, readAt: Date.now() },
      }),
    );

  it('say as whom they are made, but not those that ask who one is', () => {
    http.post('/api/visits/v/entries', {}).subscribe();
    expect(server.expectOne('/api/visits/v/entries').request.headers.has('X-Person')).toBe(false);
    signedIn();
    http.post('/api/visits/v/entries', {}).subscribe();
    expect(server.expectOne('/api/visits/v/entries').request.headers.get('X-Person')).toBe('tomasz');
    http.get('/api/people/me').subscribe();
    expect(server.expectOne('/api/people/me').request.headers.has('X-Person')).toBe(false);
  });

  it('tell the clock each time what the server’s is', () => {
    http.get('/api/people/messages').subscribe();
    server.expectOne('/api/people/messages').flush({}, { headers: { 'X-Clock': '2026-05-14T12:00:00.000Z' } });
    expect(contacts).toEqual([Date.parse('2026-05-14T12:00:00Z')]);
  });

  it('give the last answer again without signal, and none that was not kept', async () => {
    const first = firstValueFrom(http.get('/api/sessions/next'));
    await soon();
    server.expectOne('/api/sessions/next').flush({ session: 'today' });
    expect(await first).toEqual({ session: 'today' });
    const second = firstValueFrom(http.get('/api/sessions/next'));
    await soon();
    server.expectOne('/api/sessions/next').error(new ProgressEvent('error'), { status: 0 });
    expect(await second).toEqual({ session: 'today' });
    const other = firstValueFrom(http.get('/api/sessions/other')).catch(
      (error: unknown) => (error as { status: number }).status,
    );
    await soon();
    server.expectOne('/api/sessions/other').error(new ProgressEvent('error'), { status: 0 });
    expect(await other).toBe(0);
    const refused = firstValueFrom(http.get('/api/sessions/next')).catch(
      (error: unknown) => (error as { status: number }).status,
    );
    await soon();
    server.expectOne('/api/sessions/next').flush({}, { status: 401, statusText: 'no' });
    expect(await refused).toBe(401);
  });

  it('show the last answer where the new one takes long, and then the new one', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] });
    kept.set('/api/visits/v/review', { body: { decided: false }, tag: undefined });
    const shown: unknown[] = [];
    let ended = false;
    http.get('/api/visits/v/review').subscribe({ next: (body) => shown.push(body), complete: () => (ended = true) });
    await soon();
    const request = server.expectOne('/api/visits/v/review');
    vi.advanceTimersByTime(3_900);
    await soon();
    expect(shown).toEqual([]);
    vi.advanceTimersByTime(200);
    await soon();
    expect(shown).toEqual([{ decided: false }]);
    request.flush({ decided: true });
    expect(shown).toEqual([{ decided: false }, { decided: true }]);
    expect(ended).toBe(true);
    vi.advanceTimersByTime(10_000);
    await soon();
    expect(shown).toHaveLength(2);
    vi.useRealTimers();
  });

  it('show a new answer that comes in time once, and no old one after it', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] });
    kept.set('/api/visits/v/review', { body: { decided: false }, tag: undefined });
    const shown: unknown[] = [];
    http.get('/api/visits/v/review').subscribe((body) => shown.push(body));
    await soon();
    server.expectOne('/api/visits/v/review').flush({ decided: true });
    vi.advanceTimersByTime(10_000);
    await soon();
    expect(shown).toEqual([{ decided: true }]);
    vi.useRealTimers();
  });

  it.each([
    ['/api/visits/v/entries', 401, 'not-signed-in', 'over'],
    ['/api/visits/v/entries', 401, 'somebody-else', 'somebody-else'],
    ['/api/people/sign-in', 401, 'wrong password', null],
    ['/api/visits/v/entries', 403, 'not-allowed', null],
    ['/api/visits/v/entries', 503, 'busy', null],
  ])('notice by the answer of %s, %d %s, how a sign-in ended: %s', async (url, status, problem, end) => {
    signedIn();
    const refused = firstValueFrom(http.post(url, {})).catch((error: unknown) => (error as { status: number }).status);
    server.expectOne(url).flush({ problem, message: '' }, { status, statusText: 'no' });
    expect(await refused).toBe(status);
    const told = TestBed.inject(Store).selectSignal(peopleFeature.selectEnd);
    expect(told()).toBe(end);
    signedIn();
    expect(told()).toBeNull();
  });

  it('ask by the tag of the last answer, and go on with that one when nothing has changed', async () => {
    signedIn();
    const ask = async (url: string) => {
      const answer = firstValueFrom(http.get(url));
      await soon();
      return { answer, request: server.expectOne(url) };
    };
    for (const url of ['/api/trainees', '/api/sessions/next']) {
      const first = await ask(url);
      expect(first.request.request.headers.has('If-None-Match')).toBe(false);
      first.request.flush({ told: 1 }, { headers: { ETag: 'W/"7.1.me.abc"' } });
      expect(await first.answer).toEqual({ told: 1 });
      const same = await ask(url);
      expect(same.request.request.headers.get('If-None-Match')).toBe('W/"7.1.me.abc"');
      const told = {
        status: 304,
        statusText: 'Not Modified',
        headers: { ETag: 'W/"8.1.me.abc"', 'X-Clock': '2026-05-14T12:00:00Z' },
      };
      same.request.flush(null, told);
      expect(await same.answer).toEqual({ told: 1 });
      const changed = await ask(url);
      expect(changed.request.request.headers.get('If-None-Match')).toBe('W/"8.1.me.abc"');
      changed.request.flush({ told: 2 }, { headers: { ETag: 'W/"9.1.me.def"' } });
      expect(await changed.answer).toEqual({ told: 2 });
    }
    expect(contacts).toHaveLength(2);
  });

  it('ask for somebody else’s answers without a tag', async () => {
    signedIn();
    const first = firstValueFrom(http.get('/api/trainees'));
    server.expectOne('/api/trainees').flush({ told: 1 }, { headers: { ETag: 'W/"7.1.me.abc"' } });
    await first;
    signedIn('ruth');
    http.get('/api/trainees').subscribe();
    expect(server.expectOne('/api/trainees').request.headers.has('If-None-Match')).toBe(false);
  });

  it('keep no answer of what nobody looks at without signal', async () => {
    const answer = firstValueFrom(http.get('/api/people/audit'));
    server.expectOne('/api/people/audit').flush({ entries: [] });
    await answer;
    expect(kept.size).toBe(0);
  });

  it('that only read ask a busy server again when it says so; those that write do not', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'setInterval', 'clearInterval'] });
    const busy = { status: 503, statusText: 'busy', headers: { 'Retry-After': '3' } };
    const read = firstValueFrom(http.get('/api/people/messages'));
    server.expectOne('/api/people/messages').flush({}, busy);
    await vi.advanceTimersByTimeAsync(3000);
    server.expectOne('/api/people/messages').flush({ messages: [] });
    expect(await read).toEqual({ messages: [] });
    const written = firstValueFrom(http.post('/api/clock', {})).catch(
      (error: unknown) => (error as { status: number }).status,
    );
    server.expectOne('/api/clock').flush({}, busy);
    expect(await written).toBe(503);
    vi.useRealTimers();
    await soon();
  });
});
