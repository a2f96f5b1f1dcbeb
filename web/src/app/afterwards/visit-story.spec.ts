import type { EntryBody } from '@brave-comb/core/inspection';
import { provideHttpClientTesting } from '@angular/common/http/testing';
import { elementOf, show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { VisitStory } from './visit-story';
import { YoungBees } from './young-bees';

const PHOTO = {
  id: '01a20000-0000-7000-8000-0000000000c1',
  kind: 'photo',
  at: '2026-05-14T12:20:00.000Z',
  by: 'Salma',
  of: 'eggs',
  seconds: null,
  spot: { part: 'brood box', frame: 5, face: 'low' },
  where: 'brood box, frame 5 toward 4',
};
const VOICE = { ...PHOTO, id: '01a20000-0000-7000-8000-0000000000c2', kind: 'voice', of: 'voice note', seconds: 7 };
const REVIEW = {
  zone: 'Europe/London',
  mayDecide: true,
  queen: { verdict: 'queenright', says: 'Eggs.', laid: { from: '2026-05-11', to: '2026-05-14' } },
  feed: { feed: 'yes', why: 'little food' },
  sums: [{ topic: 'pollen', says: '0.2 frames of pollen', level: 'act', asks: 'A patty.' }],
  temper: 'Temper 2: suits novices.',
  told: [{ title: 'Overruled', lines: [{ text: 'do not open: swarm', warns: true }] }],
  groups: [],
  ahead: [],
  youngBees: [0, 100, ...Array<number>(19).fill(200)],
  attachments: [PHOTO, VOICE],
};

const story = async (change: object = {}) => {
  const fixture = await show(VisitStory, { review: { ...REVIEW, ...change } }, [provideHttpClientTesting()]);
  const added: EntryBody[] = [];
  fixture.componentInstance.added.subscribe((body) => added.push(body));
  const groups = () => [...elementOf(fixture).querySelectorAll<HTMLElement>('[role=group]')];
  return { element: elementOf(fixture), added, groups };
};

describe('the story of a visit', () => {
  it('says what it adds up to and how it went', async () => {
    const { element } = await story();
    const words = textOf(element);
    expect(words).toMatch(/queenright . Eggs. Laid between Mon 11 May and Thu 14 May/);
    expect(words).toContain('0.2 frames of pollen. A patty.');
    expect(words).toMatch(/Overruled do not open: swarm/);
    expect(element.querySelector('li.act')).not.toBeNull();
  });

  it('asks of a photo of a side what it shows, and passes that on', async () => {
    const { added, groups } = await story();
    expect(groups()).toHaveLength(3);
    const eggs = groups().find((each) => each.getAttribute('aria-label')?.startsWith('Eggs'))!;
    const [there, not] = [...eggs.querySelectorAll('button')];
    there!.click();
    not!.click();
    const address = { box: 'brood box', frame: 5, face: 'low' };
    expect(added).toEqual([
      { kind: 'confirmed-afterwards', address, letter: 'E', there: true },
      { kind: 'confirmed-afterwards', address, letter: 'E', there: false },
    ]);
  });

  it('asks nothing of a photo without a side, nor of those who may not decide', async () => {
    const nowhere = { ...PHOTO, spot: { part: 'entrance', frame: null, face: null } };
    expect((await story({ attachments: [nowhere] })).groups()).toEqual([]);
    expect((await story({ mayDecide: false })).groups()).toEqual([]);
    expect((await story({ attachments: [] })).element.textContent).not.toContain('Photos and voice notes');
  });
});

describe('young bees due', () => {
  it('are drawn a bar a day, the tallest for the most, and summed by weeks', async () => {
    const fixture = await show(YoungBees, { days: REVIEW.youngBees });
    const bars = [...elementOf(fixture).querySelectorAll('rect')].map((bar) => Number(bar.getAttribute('height')));
    expect(bars).toHaveLength(21);
    expect(bars[0]).toBe(0);
    expect(bars[1]).toBeCloseTo(bars[2]! / 2);
    expect(textOf(elementOf(fixture))).toContain('about 1100 in the first week, 1400 in the second, 1400 in the third');
  });
});
