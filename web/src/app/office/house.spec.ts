import { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { showView } from '../../testing/ahead';
import { textOf } from '../../testing/text';
import { HouseScreen } from './house';

const figure = (id: string, more: object) => ({
  id,
  name: id,
  meaning: `What ${id} means.`,
  holds: 'number',
  measure: null,
  least: 0,
  most: 100,
  step: 1,
  usual: [1, 50],
  choices: [],
  others: [],
  changed: null,
  ...more,
});
const FORM = {
  mayChange: true,
  chapters: [
    {
      id: 'weather',
      name: 'Weather and hours',
      figures: [
        figure('full-warmth', {
          name: 'Full opening from',
          measure: 'temperature',
          ours: 16,
          standard: 15,
          others: [{ value: 21, why: 'warm days only' }],
        }),
        figure('work-from', { name: 'Out from', measure: 'clock', ours: 8, standard: 8 }),
      ],
    },
    {
      id: 'swarms',
      name: 'Swarms',
      figures: [figure('add-space', { name: 'A box is added', measure: 'share', ours: 0.8, standard: 0.8 })],
    },
  ],
  troubles: [],
};
const TRIED = {
  troubles: [{ figure: 'full-warmth', says: 'Unusual: most work with less.', refused: false }],
  sites: [{ id: 'home', name: 'Home orchard', days: [{ date: '2026-05-15', before: 6, after: 2 }] }],
  sessions: [{ at: '2026-05-16T11:00:00Z', site: 'Home orchard', before: 0.9, after: 0.4 }],
};

beforeEach(() => sessionStorage.clear());

async function page(form: object = FORM) {
  const { element, fixture, press } = await showView(HouseScreen, 'housePractice', form);
  const http = TestBed.inject(HttpTestingController);
  const asked = (path: RegExp) => http.expectOne((request) => request.method === 'POST' && path.test(request.url));
  const answer = async (path: RegExp, body: object) => {
    const request = asked(path);
    request.flush(body);
    await new Promise((done) => setTimeout(done));
    await fixture.whenStable();
    return request.request.body as { changes: object; was?: object };
  };
  const type = async (name: string, value: string) => {
    const field = element.querySelector<HTMLInputElement>(`input[aria-label="${name}"]`) ?? expect.fail(`no ${name}`);
    field.value = value;
    field.dispatchEvent(new Event('change'));
    await fixture.whenStable();
    return field;
  };
  return { element, fixture, press, http, answer, type, text: () => textOf(element) };
}

describe('the house practice', () => {
  it('shows each figure with meaning, default and what others do', async () => {
    const at = await page();
    expect(at.text()).toContain('3 figures, 1 of your own');
    expect(at.text()).toContain('What full-warmth means.');
    expect(at.text()).toContain('default 15 °C');
    expect(at.text()).toContain('21 °C warm days only');
    expect(at.text()).toContain('default 08:00');
  });

  it('tries a draft, shows what it costs, and publishes it with what was read', async () => {
    const at = await page();
    await at.type('Full opening from', '21');
    expect(await at.answer(/practice\/try$/, TRIED)).toEqual({ changes: { 'full-warmth': 21 } });
    expect(at.text()).toContain('Unusual: most work with less.');
    expect(at.text()).toContain('fit by 90 %, then 40 %');
    expect(at.text()).toMatch(/6 h.*2 h.*Home orchard in 1 days/);
    await at.press(/^Publish 1 change/);
    expect(await at.answer(/house-practice$/, { kept: true })).toEqual({
      changes: { 'full-warmth': 21 },
      was: { 'full-warmth': 16 },
    });
    expect(at.text()).toContain('It holds from now on');
  });

  it('takes what was typed in the hundred, keeps no letters, and drops what is as before', async () => {
    const at = await page();
    const field = await at.type('Full opening from', 'warm');
    expect(field.value).toBe('16');
    at.http.expectNone((request) => request.method === 'POST');
    await at.type('Full opening from', '17');
    await at.answer(/try$/, TRIED);
    await at.type('Full opening from', '16');
    expect(at.text()).toContain('No change yet');
  });

  it('keeps a draft over a reload, and what another changed meanwhile is told', async () => {
    const first = await page();
    await first.type('Full opening from', '18');
    await first.answer(/try$/, TRIED);
    TestBed.resetTestingModule();
    const at = await page();
    await at.answer(/try$/, TRIED);
    await at.press(/^Publish 1 change/);
    at.http
      .expectOne(({ url }) => url.endsWith('house-practice'))
      .flush({ problem: 'changed-meanwhile', message: 'Ruth Okafor saved this.' }, { status: 409, statusText: 'no' });
    await new Promise((done) => setTimeout(done));
    await at.fixture.whenStable();
    expect(at.text()).toContain('Ruth Okafor saved this.');
    await at.press(/^Publish mine over it/);
    expect(await at.answer(/house-practice$/, { kept: true })).toEqual({ changes: { 'full-warmth': 18 }, was: {} });
  });

  it('is read only for whoever may not change it', async () => {
    const at = await page({ ...FORM, mayChange: false });
    expect(at.element.querySelector('input')?.disabled).toBe(true);
    expect(at.text()).not.toContain('Publish');
    expect(at.text()).toContain('Lead instructors change these figures');
  });
});
