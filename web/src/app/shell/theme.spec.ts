import { MediaMatcher } from '@angular/cdk/layout';
import { TestBed } from '@angular/core/testing';
import { Theme } from './theme';

/** A device that is set to dark or light, and can be set anew. */
class Device extends EventTarget {
  constructor(public matches: boolean) {
    super();
  }
  // rxjs asks for these two by name.
  addListener = (): void => undefined;
  removeListener = (): void => undefined;

  set(dark: boolean): void {
    this.matches = dark;
    this.dispatchEvent(Object.assign(new Event('change'), { matches: dark }));
  }
}

describe('how the pages look', () => {
  const open = (device: Device) => {
    TestBed.resetTestingModule().configureTestingModule({
      providers: [{ provide: MediaMatcher, useValue: { matchMedia: () => device } }],
    });
    const theme = TestBed.inject(Theme);
    const shown = () => {
      TestBed.tick();
      const { dataset, classList } = document.documentElement;
      return [dataset.theme, classList.contains('outdoor')];
    };
    return { theme, shown };
  };
  beforeEach(() => localStorage.removeItem('brave-comb-theme'));
  afterAll(() => document.documentElement.classList.remove('outdoor'));

  it('goes by the device until somebody chooses, and follows it', () => {
    const device = new Device(true);
    const { shown } = open(device);
    expect(shown()).toEqual(['dark', false]);
    device.set(false);
    expect(shown()).toEqual(['light', false]);
  });

  it('stays as chosen, also after the next start', () => {
    const { theme, shown } = open(new Device(true));
    theme.choice.set('outdoor');
    expect(shown()).toEqual(['light', true]);
    expect(open(new Device(true)).shown()).toEqual(['light', true]);
  });

  it('sets text larger on every page, and keeps it for the next start', () => {
    const { theme, shown } = open(new Device(false));
    theme.size.set(1.25);
    shown();
    expect(document.documentElement.style.getPropertyValue('--text-size')).toBe('1.25');
    expect(open(new Device(false)).theme.size()).toBe(1.25);
    localStorage.setItem('brave-comb-text-size', '9');
    expect(open(new Device(false)).theme.size()).toBe(1);
  });

  it('reads a choice that it does not know as none', () => {
    localStorage.setItem('brave-comb-theme', 'amber');
    expect(open(new Device(false)).theme.choice()).toBe('device');
  });
});
