import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { keepUnits, useKeptUnits } from '../language/units';
import { Count } from './count';

@Component({
  imports: [Count],
  template: `<bc-count
    legend="Weight"
    i18n-legend
    quantity="weight"
    [value]="kg()"
    [most]="80"
    (counted)="kg.set($event)"
  />`,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
class Weighing {
  readonly kg = signal<number | null>(null);
}

describe('a weight that is stepped or typed', () => {
  beforeEach(() => {
    keepUnits('imperial');
    useKeptUnits();
  });
  afterEach(() => {
    keepUnits('metric');
    useKeptUnits();
  });

  it('is stepped by whole pounds, and held within what may be', () => {
    const fixture = TestBed.createComponent(Weighing);
    fixture.detectChanges();
    const count = (fixture.nativeElement as HTMLElement).querySelector('bc-count')!;
    const [less, more] = [...count.querySelectorAll('button')];
    more!.click();
    fixture.detectChanges();
    expect(fixture.componentInstance.kg()).toBeCloseTo(0.4536, 4);
    expect(count.querySelector('input')!.value).toBe('1');
    less!.click();
    fixture.detectChanges();
    expect(fixture.componentInstance.kg()).toBe(0);
    const typed = count.querySelector('input')!;
    typed.value = '500';
    typed.dispatchEvent(new Event('change'));
    expect(fixture.componentInstance.kg()).toBe(80);
  });
});
