import { type Change, ViewEvents, viewsFeature } from './views.feature';

const { reducer } = viewsFeature;
const start = reducer(undefined, { type: 'start' });
const change: Change = { id: '1', endpoint: 'tapAlive', sent: {}, view: 'aliveRound', answers: true, person: 'ruth' };
const fault = { status: 422, problem: 'not-valid' as const, message: 'That date is in the future.', details: [] };

describe('views under Ahead', () => {
  it('keep what they showed while they are read again, and when that fails', () => {
    const asked = reducer(start, ViewEvents.wanted({ view: 'forage', sent: { query: { site: 'home' } } }));
    const shown = reducer(asked, ViewEvents.loaded({ view: 'forage', data: { plants: [] } }));
    const again = reducer(shown, ViewEvents.wanted({ view: 'forage', sent: { query: { site: 'home' } } }));
    expect(again.views.forage).toMatchObject({ data: { plants: [] }, loading: true });
    const failed = reducer(again, ViewEvents.failed({ view: 'forage', fault }));
    expect(failed.views.forage).toMatchObject({ data: { plants: [] }, fault, loading: false });
  });

  it('count a change that waits once, however often it is tried, until the server has it', () => {
    const tried = [1, 2].reduce(
      (state) => reducer(reducer(state, ViewEvents.changeAsked({ change })), ViewEvents.changeWaits({ change })),
      start,
    );
    expect(tried.waiting).toEqual(['1']);
    expect(reducer(tried, ViewEvents.changed({ change, answer: {} })).waiting).toEqual([]);
  });

  it('tell what was refused, until the next change', () => {
    const refused = reducer(start, ViewEvents.changeRefused({ change, fault }));
    expect(refused.refused).toEqual([{ id: '1', view: 'aliveRound', message: fault.message }]);
    expect(reducer(refused, ViewEvents.changeAsked({ change: { ...change, id: '2' } })).refused).toEqual([]);
  });
});
