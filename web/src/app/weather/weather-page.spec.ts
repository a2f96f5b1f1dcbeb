import { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import type { Trust } from '@brave-comb/contract';
import { Store } from '@ngrx/store';
import { ViewEvents } from '../api/views.feature';
import { showView } from '../../testing/ahead';
import { LimitsForm } from './limits-form';
import { ObservationForm } from './observation-form';
import { WeatherFiles } from './weather-files';
import { WeatherPage } from './weather-page';
import { controlsOf } from '../../testing/controls';

const score = (lead: number, skill: number, days = 40): Trust['scores'][number] => ({
  lead,
  days,
  bias: 0.2,
  error: 1.1,
  hitRate: 0.9,
  brier: 0.05,
  skill,
});
const limits = { warmth: 15, heat: 35, gust: 30, rain: 0.1, light: 15, beesOut: true };
const all: Trust = {
  site: { id: 'home', name: 'Home orchard', zone: 'Europe/London' },
  sites: [],
  from: '2026-03-30',
  to: '2026-05-13',
  missing: 0,
  scores: [score(0, 0.9), score(1, 0.8), score(2, 0.4), score(3, 0.1), score(4, -0.1)],
  trust: { plan: 2, pencil: 3 },
  days: [
    { date: '2026-05-12', fit: true, warmest: 17, said: [{ lead: 3, chance: 0.2, warmest: 14 }] },
    { date: '2026-05-13', fit: true, warmest: 18, said: [{ lead: 3, chance: 0.8, warmest: 17 }] },
  ],
  forecast: { issuedAt: '2026-05-14T06:10:00Z', problem: null },
  climate: 'the last year’s weather here',
  observations: 3,
  limits: { outside: limits, lid: limits, 'one-frame': limits, full: limits },
  mayEdit: true,
  mayLead: true,
};
const text = (element: Element) => element.textContent.replace(/\s+/g, ' ');
const verdict = async (data: Trust) =>
  text((await showView(WeatherPage, 'forecastTrust', data)).element.querySelector('.verdict')!);

describe('how far to trust the forecast', () => {
  it('asks again and again while earlier days are looked up, also where the answer is the same', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] });
    try {
      const { fixture } = await showView(WeatherPage, 'forecastTrust', { ...all, missing: 30 });
      const store = TestBed.inject(Store);
      const sent = vi.spyOn(store, 'dispatch');
      const asked = () =>
        sent.mock.calls.filter(([action]) => 'type' in action && action.type === ViewEvents.wanted.type).length;
      const answer = async (data: Trust) => {
        store.dispatch(ViewEvents.loaded({ view: 'forecastTrust', data }));
        await fixture.whenStable();
      };
      for (const rounds of [1, 2, 3]) {
        vi.advanceTimersByTime(1_500);
        expect(asked()).toBe(rounds);
        await answer({ ...all, missing: 30 });
      }
      await answer(all);
      vi.advanceTimersByTime(6_000);
      expect(asked()).toBe(3);
    } finally {
      vi.useRealTimers();
    }
  });

  it('is said in one sentence', async () => {
    expect(await verdict(all)).toMatch(/Plan by it up to day 2, provisionally up to day 3\. Beyond that/);
    expect(await verdict({ ...all, trust: { plan: 4, pencil: 4 } })).toMatch(/up to day 4; the nearer/);
    expect(await verdict({ ...all, trust: { plan: null, pencil: null } })).toMatch(/check again on the day/);
    expect(await verdict({ ...all, scores: [score(0, 0.9, 4)] })).toMatch(/Only 4 days so far/);
    expect(await verdict({ ...all, scores: [], days: [] })).toMatch(/No day yet to compare/);
  });

  it('shows the days on which it went the other way, as said some days ahead', async () => {
    const { element } = await showView(WeatherPage, 'forecastTrust', all);
    expect([...element.querySelectorAll('.days li')].map((day) => day.classList.contains('wrong'))).toEqual([
      true,
      false,
    ]);
  });

  it('keeps from trainees what they may not change', async () => {
    const { element } = await showView(
      WeatherPage,
      'forecastTrust',
      { ...all, mayEdit: false, mayLead: false },
      'trainee',
    );
    expect(element.querySelector('bc-observation-form')).toBeNull();
    expect(element.querySelector('bc-weather-files')).toBeNull();
    expect(
      [...element.querySelectorAll<HTMLInputElement>('bc-limits-form input')].every((input) => input.disabled),
    ).toBe(true);
  });
});

describe('house limits', () => {
  it('are sent whole, with only what was changed changed', async () => {
    const { element, changes, press, fixture } = await showView(LimitsForm, 'forecastTrust', all, 'lead', { all });
    const field = element.querySelector<HTMLInputElement>('[aria-label="Full inspection, Least, °C"]')!;
    field.value = '14';
    field.dispatchEvent(new Event('change'));
    await fixture.whenStable();
    await press(/^Save/);
    expect(changes()[0]?.sent.body).toEqual({ ...all.limits, full: { ...limits, warmth: 14 } });
  });
});

describe('what is measured', () => {
  const site = all.site;
  const fill = async (shown: Awaited<ReturnType<typeof showView>>, name: string, value: string) => {
    const input = shown.element.querySelector<HTMLInputElement>(`[formcontrolname="${name}"]`)!;
    input.value = value;
    input.dispatchEvent(new Event('input'));
    await shown.fixture.whenStable();
  };

  it('goes with the moment and only what was read', async () => {
    const shown = await showView(ObservationForm, 'forecastTrust', all, 'lead', { site });
    await fill(shown, 'temperature', '17.5');
    await fill(shown, 'eighths', '4');
    await shown.press(/^Save/);
    expect(shown.changes()[0]?.sent.body).toMatchObject({ temperature: 17.5, cloud: 0.5, wind: null, thunder: null });
    expect(text(shown.element)).toMatch(/it replaces the forecast/);
  });

  it('is refused when there is nothing', async () => {
    const shown = await showView(ObservationForm, 'forecastTrust', all, 'lead', { site });
    await shown.press(/^Save/);
    expect(shown.changes()).toEqual([]);
    expect(text(shown.element)).toMatch(/Enter at least one figure/);
  });

  it('thunder sends people indoors, says until when at least, and how far it struck', async () => {
    const shown = await showView(ObservationForm, 'forecastTrust', all, 'lead', { site });
    await controlsOf(shown.fixture).tick('Thunder heard');
    expect(text(shown.element)).toMatch(/go indoors or into a car now\. Not before \d\d:\d\d/);
    const seconds = [...shown.element.querySelectorAll<HTMLInputElement>('input[type="number"]')].at(-1)!;
    seconds.value = '30';
    seconds.dispatchEvent(new Event('input'));
    await shown.fixture.whenStable();
    expect(text(shown.element)).toMatch(/strike was 10\.3 km away/);
  });
});

describe('files brought in', () => {
  const bring = async (index: number, answer: (request: HttpTestingController) => void) => {
    const shown = await showView(WeatherFiles, 'forecastTrust', all, 'lead', { all });
    const field = shown.element.querySelectorAll<HTMLInputElement>('input[type="file"]')[index]!;
    Object.defineProperty(field, 'files', { value: [new File(['time,temperature\n'], 'hours.csv')] });
    Object.defineProperty(field, 'value', { writable: true, value: '' });
    field.dispatchEvent(new Event('change'));
    await new Promise((done) => setTimeout(done, 20));
    answer(TestBed.inject(HttpTestingController));
    await new Promise((done) => setTimeout(done, 20));
    await shown.fixture.whenStable();
    return text(shown.element);
  };

  it('tell what was kept and which lines were left out', async () => {
    const said = await bring(0, (http) => {
      const sent = http.expectOne('/api/weather/sites/home/import');
      expect(sent.request.body).toEqual({ text: 'time,temperature\n' });
      sent.flush({
        kept: 24,
        from: '2026-05-10T00:00:00Z',
        to: '2026-05-10T23:00:00Z',
        bad: [{ line: 7, message: 'The temperature is missing.' }],
      });
    });
    expect(said).toMatch(/24 hours saved, 10 May to 10 May/);
    expect(said).toMatch(/One line left out.*Line 7: The temperature is missing/);
  });

  it('tell how far away a typical year is', async () => {
    const said = await bring(1, (http) =>
      http
        .expectOne('/api/weather/sites/home/climate')
        .flush({ place: 'Made-up Hill', km: 420, coldest: -2, warmest: 17 }),
    );
    expect(said).toMatch(/Made-up Hill, 420 km from here.*far away/);
  });

  it('tell what is wrong with a file', async () => {
    const said = await bring(1, (http) =>
      http
        .expectOne('/api/weather/sites/home/climate')
        .flush({ problem: 'not-valid', message: 'This is no EPW file.' }, { status: 422, statusText: 'no' }),
    );
    expect(said).toMatch(/This is no EPW file/);
  });
});
