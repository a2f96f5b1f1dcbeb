import { provideRouter } from '@angular/router';
import { showView } from '../../testing/ahead';
import { textOf } from '../../testing/text';
import { CanShow } from './can-show';

const learn = (name: string, chance: number) => ({ name, chance });
const at = (session: string, ...hives: ReturnType<typeof learn>[][]) => ({
  session,
  hives: hives.map((each) => ({ learn: each })),
});
const show = async (open: readonly string[], sessions: readonly object[]) => {
  const sheet = { session: { id: 's1' } };
  const { element } = await showView(
    CanShow,
    'mySessions',
    { today: '2026-05-14', sessions },
    'trainee',
    { sheet, open },
    [provideRouter([])],
  );
  return {
    here: [...element.querySelectorAll('p')].map(textOf),
    rest: textOf(element.querySelector('summary')),
    element,
  };
};

describe('what a trainee can show', () => {
  it('stands by its odds at the hives of this session, the better of two hives; the rest is folded away', async () => {
    const { here, rest, element } = await show(
      ['finds eggs', 'ages larvae', 'lifts straight up'],
      [
        at('s1', [learn('finds eggs', 0.4), learn('ages larvae', 0.5)], [learn('finds eggs', 0.8)]),
        at('s2', [learn('lifts straight up', 1)]),
      ],
    );
    expect(here).toEqual(['finds eggs 8 in 10', 'ages larvae 5 in 10']);
    expect(rest).toBe('Still to show: 1 more');
    expect(element.querySelector('details')!.textContent).toContain('lifts straight up');
  });

  it('leaves out what is achieved meanwhile, and says when nothing is left', async () => {
    const { here } = await show([], [at('s1', [learn('finds eggs', 0.8)])]);
    expect(here).toEqual(['Nothing is left: every skill is achieved.']);
  });

  it('of a session that is over lists all that is open', async () => {
    const { here, rest } = await show(['finds eggs', 'ages larvae'], []);
    expect(here).toEqual([]);
    expect(rest).toBe('Still to show: 2');
  });
});
