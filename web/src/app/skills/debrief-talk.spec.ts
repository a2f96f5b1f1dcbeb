import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { MatButtonHarness } from '@angular/material/button/testing';
import { elementOf, show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { DebriefTalk } from './debrief-talk';

const PARTS = [
  { part: 'did', lines: ['Curlew opened hive 4 at quarter past one.'], ask: null },
  { part: 'well', lines: ['Salma finds eggs, alone now.'], ask: 'What made it go well?' },
  { part: 'next', lines: ['Nothing is put down yet for next time.'], ask: 'What first next time?' },
];

describe('the talk at the gate', () => {
  afterEach(() => vi.useRealTimers());
  const open = async () => {
    const fixture = await show(DebriefTalk, { parts: PARTS });
    const element = elementOf(fixture);
    document.body.append(element);
    const key = async (name: string, target: EventTarget = document.body) => {
      target.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true }));
      await fixture.whenStable();
    };
    const button = (text: string) =>
      TestbedHarnessEnvironment.loader(fixture).getHarness(MatButtonHarness.with({ text }));
    const title = () => element.querySelector('h2')!.textContent;
    return { fixture, element, key, button, title };
  };

  it('shows one part at a time with its question, by buttons and by arrow keys, and goes no further than its ends', async () => {
    const { element, key, button, title } = await open();
    expect(title()).toBe('What we did');
    expect(textOf(element)).not.toContain('Ask');
    await key('ArrowLeft');
    expect(title()).toBe('What we did');
    await (await button('Next: what went well')).click();
    expect(title()).toBe('What went well');
    expect(document.activeElement).toBe(element.querySelector('h2'));
    expect(textOf(element)).toMatch(/Ask ?What made it go well/);
    await key('ArrowRight');
    await key('ArrowRight');
    expect(title()).toBe('What comes next');
    await (await button('Before')).click();
    expect(title()).toBe('What went well');
  });

  it('has a clock that runs on, stands still while asked to, and starts again', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] });
    const { element, key, fixture } = await open();
    const clock = () => {
      fixture.detectChanges();
      return element.querySelector('[role=timer]')!.textContent;
    };
    vi.advanceTimersByTime(75_000);
    expect(clock()).toBe('1:15');
    await key(' ');
    vi.advanceTimersByTime(30_000);
    expect(clock()).toBe('1:15');
    await key(' ');
    vi.advanceTimersByTime(5_000);
    expect(clock()).toBe('1:20');
  });

  it('leaves the space bar to the button that has the focus', async () => {
    const { element, key, button } = await open();
    await key(' ', element.querySelector('button')!);
    expect(await (await button('Pause the clock')).getText()).toBe('Pause the clock');
  });

  it('is read larger or smaller within its three sizes, and left by Escape', async () => {
    const { fixture, element, key, button } = await open();
    const size = () => element.querySelector<HTMLElement>('.reading')!.style.getPropertyValue('--read-size');
    expect(size()).toBe('20px');
    const [smaller, larger] = [await button('A−'), await button('A+')];
    await larger.click();
    expect(size()).toBe('25px');
    expect(await larger.isDisabled()).toBe(true);
    await smaller.click();
    await smaller.click();
    expect(size()).toBe('17px');
    const left = vi.fn();
    fixture.componentInstance.closed.subscribe(left);
    await key('Escape');
    expect(left).toHaveBeenCalledOnce();
  });
});
