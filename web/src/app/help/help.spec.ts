import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { provideRouter } from '@angular/router';
import { MatChipListboxHarness } from '@angular/material/chips/testing';
import { glossaries } from '@brave-comb/core/words/glossary';
import { controlsOf } from '../../testing/controls';
import { show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { Glossary } from './glossary';
import { HelpRings, ringsOf } from './help-rings';
import { SCREEN_HELP } from './screens';
import { RoundStop } from './round-stop';
import { routes } from '../app.routes';

const terms = (element: HTMLElement) =>
  [...element.querySelectorAll('dt')].map((each) => textOf(each).split(' also ')[0]);

describe('the glossary', () => {
  const open = (word?: string) => show(Glossary, { word }, [provideRouter([])]);

  it('shows every word, and finds one by another name for it', async () => {
    const fixture = await open();
    const element = fixture.nativeElement as HTMLElement;
    expect(terms(element)).toHaveLength(glossaries.en.length);
    await controlsOf(fixture).write(/^Find a word/, 'nuc');
    expect(terms(element)[0]).toBe('nucleus');
    expect(textOf(element.querySelector('p[aria-live]'))).toMatch(/^\d+ words|^One word/);
    await controlsOf(fixture).write(/^Find a word/, 'xyzzy');
    expect(textOf(element)).toContain('No word like that.');
  });

  it('keeps to a subject that was chosen, until it is let go', async () => {
    const fixture = await open();
    const element = fixture.nativeElement as HTMLElement;
    const chips = await TestbedHarnessEnvironment.loader(fixture).getHarness(MatChipListboxHarness);
    const [feeding] = await chips.getChips({ text: 'Feeding' });
    await feeding!.select();
    expect(terms(element)).toContain('light syrup');
    expect(terms(element)).not.toContain('queen cell');
    await feeding!.deselect();
    expect(terms(element)).toContain('queen cell');
  });

  it('stands first with the word that a link led to, and leads on to those near it', async () => {
    const fixture = await open('queen-cell');
    const element = fixture.nativeElement as HTMLElement;
    expect(terms(element)[0]).toBe('queen cell');
    const links = [...element.querySelector('.chosen')!.querySelectorAll('a')].map((each) => each.getAttribute('href'));
    expect(links).toContain('/help/glossary/supersedure');
    expect(document.title).toContain('queen cell');
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
