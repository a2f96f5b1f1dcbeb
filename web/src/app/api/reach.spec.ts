import { HttpClient, provideHttpClient, withInterceptors } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { MockStore, provideMockStore } from '@ngrx/store/testing';
import { Reach, tellsReach } from './reach';
import { ViewEvents } from './views.feature';

describe('whether the server is reached', () => {
  const open = () => {
    TestBed.configureTestingModule({
      providers: [provideMockStore(), provideHttpClient(withInterceptors([tellsReach])), provideHttpClientTesting()],
    });
    const http = TestBed.inject(HttpClient);
    const server = TestBed.inject(HttpTestingController);
    const asked = vi.spyOn(TestBed.inject(MockStore), 'dispatch');
    const call = (answer: (request: ReturnType<HttpTestingController['expectOne']>) => void) => {
      http.get('/api/colonies').subscribe({ error: () => undefined });
      answer(server.expectOne('/api/colonies'));
    };
    return { reach: TestBed.inject(Reach), server, asked, call };
  };
  afterEach(() => vi.useRealTimers());

  it.each([
    ['no answer at all', 0, 'away'],
    ['a proxy that finds no server', 502, 'away'],
    ['a refusal', 403, 'reached'],
    ['a fault of the server itself', 500, 'reached'],
  ] as const)('after %s: %s is %s', (_what, status, state) => {
    const { reach, call } = open();
    call((request) =>
      status === 0 ? request.error(new ProgressEvent('error')) : request.flush(null, { status, statusText: 'no' }),
    );
    expect(reach.state()).toBe(state);
  });

  it('looks by itself whether it is back, and then has everything read again, once', () => {
    vi.useFakeTimers();
    const { reach, server, asked, call } = open();
    call((request) => request.error(new ProgressEvent('error')));
    TestBed.tick();
    vi.advanceTimersByTime(10_000);
    server.expectOne('/api/health/live').error(new ProgressEvent('error'));
    expect(reach.state()).toBe('away');
    vi.advanceTimersByTime(10_000);
    server.expectOne('/api/health/live').flush({ live: true });
    expect(reach.state()).toBe('reached');
    expect(asked.mock.calls).toEqual([[ViewEvents.outdated({})]]);
    TestBed.tick();
    vi.advanceTimersByTime(60_000);
    server.expectNone('/api/health/live');
  });

  it('a device without signal says so, whatever the last call found', () => {
    const { reach, call } = open();
    const onLine = vi.spyOn(navigator, 'onLine', 'get').mockReturnValue(false);
    globalThis.dispatchEvent(new Event('offline'));
    call((request) => request.error(new ProgressEvent('error')));
    expect(reach.state()).toBe('no-signal');
    onLine.mockReturnValue(true);
    globalThis.dispatchEvent(new Event('online'));
    expect(reach.state()).toBe('away');
    onLine.mockRestore();
  });
});
