import { ChangeDetectionStrategy, Component } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { MeasureField } from './measure-field';
import { figure, keepUnits, keptFigure, measured, typedFigure, unit, unitsInUse, useKeptUnits } from './units';

/** As if the page were opened by somebody with these units. */
const openedIn = (units: 'metric' | 'british' | 'imperial'): void => {
  keepUnits(units);
  useKeptUnits();
};
afterEach(() => openedIn('metric'));

describe('units of a page', () => {
  it('are kept on the device, and a page in others is to be opened anew', () => {
    expect(keepUnits('metric')).toBe(false);
    expect(keepUnits('british')).toBe(true);
    expect(unitsInUse()).toBe('metric');
    useKeptUnits();
    expect(unitsInUse()).toBe('british');
    expect(keepUnits('british')).toBe(false);
  });

  it('are metric where the device kept something that is none', () => {
    localStorage.setItem('units', 'furlongs');
    useKeptUnits();
    expect(unitsInUse()).toBe('metric');
  });

  it('tell and take figures: what is typed in pounds is shown in pounds again', () => {
    openedIn('british');
    expect(measured('weight', 18, 0)).toBe('40 lb');
    expect(measured('temperature', 14)).toBe('14 °C');
    expect(unit('speed')).toBe('mph');
    expect(figure('speed', 30, 0)).toBe(19);
    expect(keptFigure('weight', '25')).toBeCloseTo(11.3398, 4);
    expect(typedFigure('weight', keptFigure('weight', '25'))).toBe(25);
    expect(keptFigure('weight', '')).toBeNull();
    expect(typedFigure('weight', null)).toBe('');
  });
});

@Component({
  imports: [ReactiveFormsModule, MeasureField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: ` <input bcMeasure="temperature" [least]="-10" [most]="40" [formControl]="warmth" /> `,
})
class Fields {
  readonly warmth = new FormControl<number | null>(10);
}

describe('a field for a measured figure', () => {
  it('shows and takes the reader’s unit, and keeps the core’s', () => {
    openedIn('imperial');
    const fixture = TestBed.createComponent(Fields);
    fixture.detectChanges();
    const field = (fixture.nativeElement as HTMLElement).querySelector('input')!;
    expect([field.value, field.min, field.max]).toEqual(['50', '14', '104']);
    field.value = '68';
    field.dispatchEvent(new Event('input'));
    expect(fixture.componentInstance.warmth.value).toBeCloseTo(20, 4);
    field.value = '';
    field.dispatchEvent(new Event('input'));
    expect(fixture.componentInstance.warmth.value).toBeNull();
  });
});
