import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { elementOf, show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { Worded } from './worded';

describe('a sentence with words of the trade', () => {
  const open = async (text: string) => {
    const fixture = await show(Worded, { text }, [provideRouter([])]);
    const words = [...elementOf(fixture).querySelectorAll('button')];
    const press = async (button: HTMLElement) => {
      button.click();
      await fixture.whenStable();
    };
    const card = () => document.querySelector<HTMLElement>('.card');
    return { fixture, words, press, card, element: elementOf(fixture) };
  };
  afterEach(() => TestBed.resetTestingModule());

  it('reads as the sentence it is, with its words as buttons', async () => {
    const { element, words } = await open('In a dearth, look for queen cells.');
    expect(element.textContent).toBe('In a dearth, look for queen cells.');
    expect(words.map((word) => word.textContent)).toEqual(['dearth', 'queen cells']);
  });

  it('explains a word where it stands, leads to the glossary, and closes again', async () => {
    const { words, press, card } = await open('In a dearth, look for queen cells.');
    expect(card()).toBeNull();
    await press(words[1]!);
    expect(words[1]!.getAttribute('aria-expanded')).toBe('true');
    expect(card()!.getAttribute('aria-label')).toBe('queen cell');
    expect(textOf(card())).toMatch(/^queen cell .*Glossary$/);
    expect(card()!.querySelector('a')!.getAttribute('href')).toBe('/help/glossary/queen-cell');
    await press(card()!.querySelector('button')!);
    expect(card()).toBeNull();
    await press(words[0]!);
    await press(words[0]!);
    expect(card()).toBeNull();
  });

  it('without such a word is plain text', async () => {
    const { words, element } = await open('Her eggs.');
    expect(words).toEqual([]);
    expect(element.textContent).toBe('Her eggs.');
  });
});
