import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { provideState, provideStore } from '@ngrx/store';
import { elementOf, show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { ViewState } from './view-state';
import type { CallFault } from './contract-client';
import { viewsFeature } from './views.feature';
import { WHO } from './who';

const fault = (status: number, message = 'Said by the server.'): CallFault => ({
  status,
  problem: 'fault',
  message,
  details: [],
});
const open = async (more: object) => {
  const reload = vi.fn();
  const watched = {
    data: signal(null),
    former: signal(false),
    fault: signal(null),
    loading: signal(true),
    refused: signal([]),
    reload,
    ...more,
  };
  const fixture = await show(ViewState, { watched, name: 'The trainees' }, [
    provideRouter([]),
    provideStore(),
    provideState(viewsFeature),
    { provide: WHO, useValue: signal('ruth') },
  ]);
  const element = elementOf(fixture);
  return { element, text: textOf(element), reload };
};
afterEach(() => TestBed.resetTestingModule());

describe('the state of a view', () => {
  it('says what is being loaded, and nothing once it is there', async () => {
    expect((await open({})).text).toBe('Loading the trainees …');
    expect((await open({ data: signal({}) })).text).toBe('');
    expect((await open({ data: signal({}), former: signal(true) })).text).toBe('Loading the trainees …');
  });

  it.each([
    [403, /^The trainees: not open to you Said by the server\. Back to the day sheet$/],
    [404, /^The trainees: not found Said by the server\. Back to the day sheet$/],
  ])('after %s leads back, and never asks to try a refusal again', async (status, says) => {
    const { element, text } = await open({ fault: signal(fault(status)) });
    expect(text).toMatch(says);
    expect(element.querySelector('button')).toBeNull();
    expect(element.querySelector('a')!.getAttribute('href')).toBe('/ahead');
  });

  it('without a server says so of the page, not of entries that nobody made, and can be tried', async () => {
    const { element, text, reload } = await open({ fault: signal(fault(0, 'What you entered is saved.')) });
    expect(text).toMatch(/^The trainees could not be loaded The server cannot be reached/);
    expect(text).not.toContain('What you entered');
    element.querySelector('button')!.click();
    expect(reload).toHaveBeenCalledOnce();
  });

  it('tells a fault in the server’s words, and what was refused in its own line', async () => {
    const refused = signal([{ id: 'a', message: 'The list has changed meanwhile.' }]);
    const { element, text } = await open({ fault: signal(fault(500)), refused });
    expect(text).toContain('The list has changed meanwhile.');
    expect(text).toMatch(/could not be loaded Said by the server\. Try now$/);
    expect(element.querySelectorAll('[role=alert]')).toHaveLength(2);
  });
});
