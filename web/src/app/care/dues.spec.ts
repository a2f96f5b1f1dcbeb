import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { MatSortHarness } from '@angular/material/sort/testing';
import type { Calendars } from '@brave-comb/contract';
import { showView } from '../../testing/ahead';
import { Dues } from './dues';
import { controlsOf } from '../../testing/controls';

const colony = (number: string, more: Partial<Calendars['colonies'][number]> = {}): Calendars['colonies'][number] => ({
  hive: `hive-${number}`,
  number,
  stand: 'A',
  colony: `colony-${number}`,
  since: '2025-05-20',
  origin: 'split',
  class: 'teaching',
  strain: 'cuts-down',
  lastOpened: '2026-05-05',
  dues: [],
  rests: [],
  lapsed: [],
  honey: { superOnFrom: null, fedUntil: null, standing: [], unknown: [], locked: [], says: null },
  inHive: [],
  openFrom: '2026-05-14',
  load: { openings: 2, minutes: 50, stings: 0, over: [] },
  expected: null,
  starvation: null,
  swarm: null,
  events: [],
  ...more,
});
const due = (title: string, from: string, until: string): Calendars['colonies'][number]['dues'][number] => ({
  id: title,
  title,
  from,
  due: until,
  why: 'because',
  strict: 'must',
  question: null,
  bring: null,
  opens: true,
  clash: null,
});
const all: Calendars = {
  site: { id: 'home', name: 'Home orchard', zone: 'Europe/London' },
  sites: [],
  today: '2026-05-14',
  loadLimit: { openings: 4, minutes: 120, stings: 12 },
  catchCells: true,
  restDays: 4,
  swarmIntervalDays: 7,
  colonies: [
    colony('5', { dues: [due('Room?', '2026-05-17', '2026-05-19'), due('Later', '2026-05-20', '2026-05-20')] }),
    colony('4', { dues: [due('Look for queen cells', '2026-05-11', '2026-05-12')] }),
    colony('6', {
      starvation: { level: 'feed-now', days: 3, reasons: ['about 1 kg of food left'] },
      swarm: {
        level: 'leaving',
        window: { from: '2026-05-14', to: '2026-05-22' },
        fullOn: null,
        beesDue: 9,
        reasons: ['cells'],
        otherSchool: 'waits',
      },
    }),
  ],
  mayEdit: true,
  mayLead: true,
};
const rows = (element: HTMLElement) =>
  [...element.querySelectorAll('tbody tr')].map((row) => row.textContent.replace(/\s+/g, ' ').trim());

describe('what is due', () => {
  it('comes by date, late ones first, in days', async () => {
    const { element } = await showView(Dues, 'colonyCalendars', all);
    expect(rows(element)[0]).toMatch(/^4 2 days late/);
    expect(rows(element)[1]).toMatch(/^5 in 3 to 5 days/);
    expect(rows(element)[2]).toMatch(/^5 in 6 days/);
  });

  it('comes hive by hive when asked to', async () => {
    const { element, fixture } = await showView(Dues, 'colonyCalendars', all);
    const heads = await TestbedHarnessEnvironment.loader(fixture).getHarness(MatSortHarness);
    const [hive] = await heads.getSortHeaders({ label: 'Hive' });
    await hive!.click();
    expect(rows(element).map((row) => row[0])).toEqual(['4', '5', '5']);
    await hive!.click();
    expect(rows(element).map((row) => row[0])).toEqual(['5', '5', '4']);
    await hive!.click();
    expect(rows(element)[0]).toMatch(/^4 2 days late/);
  });

  it('puts hunger and swarming before all else', async () => {
    const { element } = await showView(Dues, 'colonyCalendars', all);
    const alerts = [...element.querySelectorAll('.alert')].map((each) => each.textContent);
    expect(alerts[0]).toMatch(/Hive 6: Feed now/);
    expect(alerts[1]).toMatch(/About to swarm.*14 May to 22 May/);
  });

  it('changes a colony’s class and logs for it, keeping the change until it is sent', async () => {
    const { changes, press, fixture } = await showView(Dues, 'colonyCalendars', all);
    await press(/^Hive 4, its calendar/);
    await controlsOf(fixture).choose(/^What it needs$/, 'resting');
    expect(changes()[0]).toMatchObject({
      endpoint: 'setColony',
      sent: { params: { hive: 'hive-4' }, body: { class: 'resting', strain: 'cuts-down' } },
      person: 'p',
    });
    await press(/^Log it/);
    expect(changes()[1]).toMatchObject({ endpoint: 'logColonyEvent', sent: { body: { date: '2026-05-14' } } });
  });

  it('lets nobody change what is not theirs to change', async () => {
    const { element, press } = await showView(Dues, 'colonyCalendars', { ...all, mayEdit: false, mayLead: false });
    await press(/^Hive 4, its calendar/);
    expect(element.querySelector('bc-event-form')).toBeNull();
    expect(element.querySelector('bc-care-rules')).toBeNull();
  });
});
