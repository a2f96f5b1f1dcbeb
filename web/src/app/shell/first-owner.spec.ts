import { provideRouter } from '@angular/router';
import { Store, provideState, provideStore } from '@ngrx/store';
import { TestBed } from '@angular/core/testing';
import type { Action } from '@ngrx/store';
import { controlsOf } from '../../testing/controls';
import { elementOf, show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { PeopleEvents, peopleFeature } from '../people/people.feature';
import { FirstOwner } from './first-owner';

describe('the first owner of an installation', () => {
  const open = async () => {
    const fixture = await show(FirstOwner, {}, [provideRouter([]), provideStore({}), provideState(peopleFeature)]);
    const store = TestBed.inject(Store);
    const sent: Action[] = [];
    const send = store.dispatch.bind(store) as (action: Action) => void;
    store.dispatch = ((action: Action) => {
      sent.push(action);
      send(action);
    }) as typeof store.dispatch;
    const element = elementOf(fixture);
    const press = async (text: string) => {
      [...element.querySelectorAll('button')].find((each) => textOf(each) === text)!.click();
      await fixture.whenStable();
    };
    return { fixture, element, sent, press, controls: controlsOf(fixture) };
  };
  type Opened = Awaited<ReturnType<typeof open>>;
  const fill = async ({ controls }: Opened) => {
    await controls.write(/^Start code/, '703 418');
    await controls.write(/^Your name/, 'Inés Quiroga');
    await controls.write(/^E-mail/, 'ines@saltpan-road.example');
    await controls.write(/^Password/, 'three plain words');
    await controls.write(/^Name of the school/, 'Saltpan Road');
  };
  beforeEach(() => sessionStorage.clear());

  it('says what is missing, and sends nothing', async () => {
    const { element, sent, press } = await open();
    await press('Create the school');
    const text = textOf(element);
    for (const missing of [
      'Type the six digits',
      'Type your name.',
      'at least 12 characters',
      'Choose the half of the earth',
    ])
      expect(text).toContain(missing);
    expect(sent).toEqual([]);
  });

  it('takes hemisphere and time zone from a place, and sends it all once', async () => {
    const opened = await open();
    const { controls, sent, press, fixture } = opened;
    await fill(opened);
    await controls.write(/^Place/, '42.88 S, 147.33 E');
    await vi.waitFor(async () => {
      await fixture.whenStable();
      expect(await controls.written(/^Time zone/)).toBe('Australia/Hobart');
    });
    await press('Create the school');
    await press('Creating …');
    expect(sent).toEqual([
      PeopleEvents.schoolBegun({
        wish: {
          code: '703418',
          name: 'Inés Quiroga',
          signIn: 'ines@saltpan-road.example',
          password: 'three plain words',
          school: 'Saltpan Road',
          units: 'metric',
          home: { zone: 'Australia/Hobart', latitude: -42.88, longitude: 147.33, south: true },
        },
      }),
    ]);
  });

  it('refuses a place that is none and a time zone that nobody keeps', async () => {
    const opened = await open();
    const { controls, element, sent, press } = opened;
    await fill(opened);
    await controls.write(/^Place/, 'behind the church');
    expect(textOf(element)).toContain('This is no place');
    await controls.write(/^Place/, '');
    await controls.write(/^Time zone/, 'Nowhere');
    expect(textOf(element)).toContain('Choose a time zone from the list');
    await press('Create the school');
    expect(sent).toEqual([]);
  });

  it('keeps what was typed through a reload, but neither code nor password', async () => {
    await fill(await open());
    const kept = sessionStorage.getItem('brave-comb-first-school')!;
    expect(kept).toContain('Saltpan Road');
    expect(kept).not.toContain('703');
    expect(kept).not.toContain('three plain words');
    TestBed.resetTestingModule();
    const { controls } = await open();
    expect(await controls.written(/^Name of the school/)).toBe('Saltpan Road');
    expect(await controls.written(/^Password/)).toBe('');
  });

  it('says why it was refused', async () => {
    const { element, fixture } = await open();
    const fault = { status: 422, problem: 'wrong-code', details: [], message: 'That is not the code. 4 tries left.' };
    TestBed.inject(Store).dispatch(PeopleEvents.signInRefused({ fault } as never));
    await fixture.whenStable();
    expect(textOf(element.querySelector('.caution[role=alert]'))).toContain('4 tries left');
  });
});
