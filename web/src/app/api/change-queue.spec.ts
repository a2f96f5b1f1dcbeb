import { ChangeQueue } from './change-queue';
import type { Change } from './views.feature';

const change = (id: string, person = 'ruth'): Change => ({
  id,
  endpoint: 'seeBloom',
  sent: { body: { plant: 'hawthorn' } },
  view: 'forage',
  answers: true,
  person,
});

describe('changes that wait on this device', () => {
  beforeEach(() => localStorage.clear());

  it('outlive the page that made them, in the order in which they were made', () => {
    new ChangeQueue().keep(change('b'));
    new ChangeQueue().keep(change('a'));
    expect(new ChangeQueue().all('ruth').map((each) => each.id)).toEqual(['a', 'b']);
    new ChangeQueue().drop('a');
    expect(new ChangeQueue().all('ruth')).toEqual([change('b')]);
  });

  it('are not sent in another person’s name', () => {
    new ChangeQueue().keep(change('a', 'ruth'));
    expect(new ChangeQueue().all('marit')).toEqual([]);
  });
});
