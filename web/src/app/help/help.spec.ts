import { provideRouter } from '@angular/router';
import { glossaries } from '@brave-comb/core/words/glossary';
import type { WordHere } from '@brave-comb/contract';
import { showView } from '../../testing/ahead';
import { controlsOf } from '../../testing/controls';
import { show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { Glossary } from './glossary';
import { HelpRings, ringsOf } from './help-rings';
import { IN_GUIDE, guideOf } from './guide';
import { SCREEN_HELP } from './screens';
import { RoundStop } from './round-stop';
import { WordPage } from './word-page';
import { routes } from '../app.routes';

const terms = (element: HTMLElement) =>
  [...element.querySelectorAll('.words a')].map((each) => textOf(each.firstChild as HTMLElement).trim());

describe('the glossary', () => {
  beforeAll(() => {
    Element.prototype.scrollIntoView = vi.fn();
  });

  const open = async () => {
    const fixture = await show(Glossary, {}, [provideRouter([])]);
    return { fixture, element: fixture.nativeElement as HTMLElement };
  };

  it('shows every word letter by letter, and finds one by another name for it, the likeliest first', async () => {
    const { fixture, element } = await open();
    expect(terms(element)).toHaveLength(glossaries.en.length);
    const letters = [...element.querySelectorAll('h2')].map(textOf);
    expect(letters).toEqual([...letters.slice(0, -1).toSorted(), '#']);
    await controlsOf(fixture).write(/^Find a word/, 'nuc');
    expect(terms(element)[0]).toBe('nucleus');
    expect(textOf(element.querySelector('p[aria-live]'))).toMatch(/^\d+ words|^One word/);
    await controlsOf(fixture).write(/^Find a word/, 'xyzzy');
    expect(textOf(element)).toContain('No word like that.');
  });

  it('keeps to a subject that was chosen, until it is let go', async () => {
    const { fixture, element } = await open();
    await controlsOf(fixture).choose(/^About/, 'Feeding');
    expect(terms(element)).toContain('light syrup');
    expect(terms(element)).not.toContain('queen cell');
    await controlsOf(fixture).choose(/^About/, 'everything');
    expect(terms(element)).toContain('queen cell');
  });

  it('is gone through by keys: / into the field, arrows from word to word', async () => {
    const { element } = await open();
    const press = (key: string) =>
      document.activeElement!.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
    press('/');
    expect(document.activeElement).toBe(element.querySelector('input'));
    const links = [...element.querySelectorAll('.words a')];
    press('ArrowDown');
    expect(document.activeElement).toBe(links[0]);
    press('ArrowDown');
    press('ArrowUp');
    press('ArrowUp');
    expect(document.activeElement).toBe(links[0]);
  });
});

describe('a word of the glossary', () => {
  const HERE: WordHere = {
    rules: ['While swarms may leave, every comb edge is looked along every 7 days.'],
    seen: ['6', '3', '9', '1', '2', '4', '5'].map((number) => ({
      hive: `h${number}`,
      number,
      date: '2026-05-07',
      where: 'frames 7 and 10',
    })),
  };
  const open = (word: string | undefined, role: 'lead' | 'trainee' = 'lead') =>
    showView(WordPage, 'wordHere', HERE, role, { word });

  it('says what it means, what the house does, what lies near it and where it was seen', async () => {
    const { element } = await open('queen-cell');
    const text = textOf(element);
    expect(text).toMatch(/^All words queen cell/);
    expect(text).toContain('every comb edge is looked along every 7 days');
    expect(text).toContain('Hive 6 frames 7 and 10, Thu 7 May');
    expect(text).toContain('and in one more hive');
    const links = [...element.querySelectorAll('a')].map((each) => each.getAttribute('href'));
    expect(links).toContain('/help/glossary/supersedure');
    expect(links).toContain('/colonies/h6');
    expect(document.title).toContain('queen cell');
  });

  it('draws how a queen grows up, to the days of the biology', async () => {
    const { element } = await open('queen-cell');
    const drawing = element.querySelector('bc-word-drawing svg')!;
    // Handbook figures: an egg for 3 days, sealed on day 8 to 9, out on day 16.
    expect(drawing.getAttribute('aria-label')).toBe('queen: egg until day 3, larva until day 8.5, out on day 16');
    expect(textOf(drawing)).toContain('sealed: the swarm may leave');
    expect((await open('egg')).element.querySelectorAll('bc-word-drawing svg')).toHaveLength(3);
  });

  it('leads trainees to no page that is closed to them', async () => {
    const links = async (role: 'lead' | 'trainee') =>
      [...(await open('leave-alone', role)).element.querySelectorAll('a')].map((each) => each.getAttribute('href'));
    expect(await links('lead')).toContain('/ahead/dues');
    expect(await links('trainee')).not.toContain('/ahead/dues');
  });

  it('that is none says so and leads back', async () => {
    const { element } = await open('no-such-word');
    expect(textOf(element)).toContain('This word is not in the glossary');
    expect(element.querySelector('a')!.getAttribute('href')).toBe('/help/glossary');
  });
});

describe('help for a screen', () => {
  it('is written for every screen that the navigation leads to', () => {
    const screens = (routes.find(({ path }) => path === '')?.children ?? []).filter(({ data }) => data);
    const without = screens
      .filter(({ path }) => !path?.startsWith('help') && path !== 'messages')
      .filter(({ data }) => !SCREEN_HELP[String(data!.view)] && !SCREEN_HELP[String(data!.place)])
      .map(({ path }) => path);
    expect(without).toEqual([]);
  });

  it('leads on to the guide: every screen to its place, trainees to their page', () => {
    expect(Object.keys(IN_GUIDE).toSorted()).toEqual(Object.keys(SCREEN_HELP).toSorted());
    expect(guideOf('planner', 'lead')).toBe('/guide/lead.html#before-the-week');
    expect(guideOf('planner', 'trainee')).toBe('/guide/trainee.html');
    expect(guideOf(null, 'supervisor')).toBe('/guide/index.html');
  });

  it('rings the parts that are in sight, by their numbers', async () => {
    const part = document.createElement('p');
    part.className = 'told';
    part.getBoundingClientRect = () => new DOMRect(100, 50, 200, 40);
    const below = document.createElement('p');
    below.className = 'below';
    below.getBoundingClientRect = () => new DOMRect(0, innerHeight + 300, 200, 40);
    document.body.append(part, below);
    const rings = ringsOf([undefined, '.told', '.below', '.nowhere']);
    expect(rings).toEqual([{ number: 2, left: 97, top: 47, width: 206, height: 46 }]);
    const fixture = await show(HelpRings, { rings });
    expect(textOf((fixture.nativeElement as HTMLElement).querySelector('.ring'))).toBe('2');
    part.remove();
    below.remove();
  });
});

describe('a stop of the first round', () => {
  const stop = { path: '/ahead', at: 'p', title: 'Three weeks', says: 'The days around today.' };

  it('says which it is, goes on by its button and is left by Escape', async () => {
    const fixture = await show(RoundStop, { stop, number: 2, of: 6, part: null });
    const element = fixture.nativeElement as HTMLElement;
    const did: string[] = [];
    fixture.componentInstance.next.subscribe(() => did.push('next'));
    fixture.componentInstance.left.subscribe(() => did.push('left'));
    fixture.componentInstance.back.subscribe(() => did.push('back'));
    expect(textOf(element)).toContain('Stop 2 of 6 Three weeks');
    expect(textOf(element)).toContain('not on this page today');
    const [back, onward] = [...element.querySelectorAll('button')];
    onward!.click();
    back!.click();
    element.querySelector('[role=dialog]')!.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape' }));
    expect(did).toEqual(['next', 'back', 'left']);
  });
});
