import { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import type { SitePlanView } from '@brave-comb/contract';
import { controlsOf } from '../../testing/controls';
import { showView } from '../../testing/ahead';
import { textOf } from '../../testing/text';
import { SitePlanScreen } from './site-plan';

const place = (east: number) => ({ east, north: 6, faces: 180 });
/** A path runs 0.75 m behind the hives of stand A. */
const VIEW: SitePlanView = {
  site: { id: 'home', name: 'Home orchard', latitude: 55, longitude: -3, version: 4, changed: null, retired: null },
  plan: {
    stands: [{ id: 'a', name: 'A', east: 4, north: 6, faces: 180, height: 35 }],
    landmarks: [
      {
        ...{ id: 'p', kind: 'path', name: 'orchard path', width: 1 },
        along: [
          { east: 0, north: 7.5 },
          { east: 12, north: 7.5 },
        ],
      },
    ],
    wind: null,
  },
  hives: [
    { id: 'h1', number: '1', stand: 'A', place: place(4) },
    { id: 'h2', number: '2', stand: 'A', place: place(4.9) },
    { id: 'h3', number: '3', stand: 'B', place: null },
  ],
  group: 4,
};

async function page(view: SitePlanView = VIEW, role: 'lead' | 'trainee' = 'lead') {
  const shown = await showView(SitePlanScreen, 'sitePlan', view, role, { site: 'home' });
  const { element, fixture } = shown;
  const item = (label: RegExp) =>
    [...element.querySelectorAll<SVGElement>('svg [role=button]')].find((each) =>
      label.test(each.getAttribute('aria-label') ?? ''),
    ) ?? expect.fail(`nothing on the plan is called ${label}`);
  const key = async (label: RegExp, pressed: string, shiftKey = false) => {
    item(label).dispatchEvent(
      new KeyboardEvent('keydown', { key: pressed, shiftKey, bubbles: true, cancelable: true }),
    );
    await fixture.whenStable();
  };
  const saved = () => TestBed.inject(HttpTestingController).expectOne((request) => request.method === 'POST');
  return { ...shown, ...controlsOf(fixture), item, key, saved };
}

describe('the plan of a site', () => {
  it('draws stands and hives by name and place, and tells what is wrong with them', async () => {
    const { element, item } = await page();
    expect(item(/^Stand A, 4 m east, 6 m north, faces 180°$/)).toBeTruthy();
    expect(item(/^Hive 2 on stand A, 4.9 m east/)).toBeTruthy();
    expect(item(/^Path orchard path$/)).toBeTruthy();
    expect(textOf(element)).toContain('0.8 m from the back of the hives to orchard path');
    expect(textOf(element)).toContain('Not on the plan yet: 3.');
  });

  it('moves a stand by the keys, ten centimetres or a metre, turns it, and goes back step by step', async () => {
    const { element, key, item, press } = await page();
    await key(/^Stand A/, 'ArrowRight');
    await key(/^Stand A/, 'ArrowDown', true);
    expect(item(/^Stand A, 4.1 m east, 5 m north/)).toBeTruthy();
    expect(item(/^Hive 2 on stand A, 5 m east, 5 m north/)).toBeTruthy();
    await key(/^Stand A/, 'r');
    expect(item(/^Hive 1 .* faces 195°$/)).toBeTruthy();
    expect(textOf(element)).toMatch(/Hives 1: 1 m is|Hives 1.*: 1 m|Moved by 1 m/);
    await press(/^Undo$/);
    await press(/^Undo$/);
    await press(/^Undo$/);
    expect(item(/^Stand A, 4 m east, 6 m north, faces 180°$/)).toBeTruthy();
    await press(/^Redo$/);
    expect(item(/^Stand A, 4.1 m east, 6 m north/)).toBeTruthy();
  });

  it('offers the shortest way out of trouble, and saves plan and hives in one', async () => {
    const { element, key, press, saved, fixture } = await page();
    await key(/^Stand A/, 'Enter');
    await press(/^Move it 1.4 m to the south$/);
    expect(textOf(element)).toContain('Nothing stands in the way of bees or people.');
    await press(/^Save$/);
    const request = saved();
    expect(request.request.url).toMatch(/\/equipment\/sites\/home\/plan$/);
    expect(request.request.body).toMatchObject({
      version: 4,
      plan: { stands: [{ name: 'A', north: 4.6 }] },
      hives: [{ id: 'h1', place: { north: 4.6 } }, { id: 'h2' }, { id: 'h3', place: null }],
    });
    request.flush(
      { problem: 'changed-meanwhile', message: 'Ruth has changed this.' },
      { status: 409, statusText: 'Conflict' },
    );
    await new Promise((done) => setTimeout(done));
    await fixture.whenStable();
    expect(textOf(element)).toMatch(/theirs.*yours/);
    expect(textOf(element)).toMatch(/Hive 1 .*6 m north.*4.6 m north/);
  });

  it('sets out what has no place, on a stand of its own', async () => {
    const { press, item } = await page();
    await press(/^Set out the hive that has no place$/);
    expect(item(/^Stand B/)).toBeTruthy();
    expect(item(/^Hive 3 on stand B/)).toBeTruthy();
  });

  it('changes the chosen stand by fields; a height that cannot be leaves what was there', async () => {
    const { key, write, item, element } = await page();
    await key(/^Stand A/, 'Enter');
    await write(/^North/, '9.5');
    expect(item(/^Stand A, 4 m east, 9.5 m north/)).toBeTruthy();
    await write(/^Rails above the ground/, '15');
    expect(textOf(element)).toContain('150 mm high');
    await write(/^Name/, 'Long stand');
    expect(item(/^Hive 1 on stand Long stand/)).toBeTruthy();
  });

  it('is only looked at by a trainee', async () => {
    const { element, key, item } = await page(VIEW, 'trainee');
    await key(/^Stand A/, 'ArrowRight');
    expect(item(/^Stand A, 4 m east/)).toBeTruthy();
    const words = [...element.querySelectorAll('button')].map((each) => textOf(each));
    expect(words).toContain('Print the plan');
    for (const word of ['Save', 'Undo', 'Add …']) expect(words).not.toContain(word);
  });

  it('keeps what was drawn when one looks elsewhere and comes back', async () => {
    const first = await page();
    await first.key(/^Stand A/, 'ArrowUp');
    first.fixture.destroy();
    const { fixture } = { fixture: TestBed.createComponent(SitePlanScreen) };
    fixture.componentRef.setInput('site', 'home');
    await fixture.whenStable();
    expect(textOf(fixture.nativeElement as HTMLElement)).toContain('Undo');
    expect(
      (fixture.nativeElement as HTMLElement).querySelector('[aria-label^="Stand A, 4 m east, 6.1 m north"]'),
    ).toBeTruthy();
  });
});
