import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import {
  MatCalendarHarness,
  MatDatepickerInputHarness,
  MatDatepickerToggleHarness,
} from '@angular/material/datepicker/testing';
import { MatFormFieldHarness } from '@angular/material/form-field/testing';
import { MatSelectHarness } from '@angular/material/select/testing';
import { MatTimepickerInputHarness } from '@angular/material/timepicker/testing';
import { show } from '../../testing/show';
import { DayField } from './day-field';
import { FIELD } from './field';
import { FileButton } from './file-button';
import { MonthDayField } from './month-day-field';
import { TimeField } from './time-field';
import { SCHOOL_CLOCK } from '../../testing/school-clock';

@Component({
  imports: [DayField, FIELD, FileButton, ReactiveFormsModule, TimeField],
  template: `
    <form [formGroup]="form">
      <label bcField
        ><span>Hive</span>
        <mat-form-field>
          <mat-select formControlName="hive">
            <mat-option value="4">4</mat-option>
            <mat-option value="7">7</mat-option>
          </mat-select>
          <mat-hint>one of today’s</mat-hint>
        </mat-form-field>
      </label>
      <label bcField
        ><span>Note</span>
        <mat-form-field><input matInput formControlName="note" /><mat-hint>read by everybody</mat-hint></mat-form-field>
      </label>
      <label bcField><span>By</span><bc-day min="2026-05-14" max="2026-06-30" required formControlName="due" /></label>
    </form>
    <bc-time name="Monday, from" [(value)]="from" />
    <bc-file accept=".csv" (chosen)="taken.set($event.name)">Import a file</bc-file>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
class Form {
  readonly form = new FormGroup({ hive: new FormControl('4'), note: new FormControl(''), due: new FormControl('') });
  readonly from = signal('09:30');
  readonly taken = signal('');
}

async function open() {
  const fixture = await show(Form, {}, SCHOOL_CLOCK);
  const loader = TestbedHarnessEnvironment.loader(fixture);
  const roots = TestbedHarnessEnvironment.documentRootLoader(fixture);
  return {
    fixture,
    loader,
    roots,
    form: fixture.componentInstance.form,
    element: fixture.nativeElement as HTMLElement,
  };
}

describe('a field below its label', () => {
  it('is called by the label alone, typed into or chosen from', async () => {
    const { element } = await open();
    const named = [...element.querySelectorAll('[aria-labelledby]')].map((each) => [
      each.getAttribute('role') ?? each.localName,
      document.getElementById(each.getAttribute('aria-labelledby')!.trim())?.textContent,
    ]);
    expect(named).toEqual([
      ['combobox', 'Hive'],
      ['input', 'Note'],
      ['input', 'By'],
    ]);
  });

  it('leads from the label to the choices', async () => {
    const { element, loader } = await open();
    element.querySelector<HTMLElement>('label span')!.click();
    expect(await (await loader.getHarness(MatSelectHarness)).isFocused()).toBe(true);
  });

  it('stands in an outline', async () => {
    const { loader } = await open();
    expect(await (await loader.getHarness(MatFormFieldHarness)).getAppearance()).toBe('outline');
  });
});

describe('a day', () => {
  it('is typed as people write it, and kept as the program does', async () => {
    const { loader, form } = await open();
    const field = await loader.getHarness(MatDatepickerInputHarness);
    await field.setValue('sat');
    expect(form.value.due).toBe('2026-05-16');
    await field.blur();
    expect(await field.getValue()).toBe('Sat 16 May 2026');
    form.patchValue({ due: '2026-05-20' });
    expect(await field.getValue()).toBe('Wed 20 May 2026');
  });

  it('is picked from a month that begins on Monday, not before the first day', async () => {
    const { loader, form, roots } = await open();
    await (await loader.getHarness(MatDatepickerToggleHarness)).openCalendar();
    const calendar = await roots.getHarness(MatCalendarHarness);
    expect(await calendar.getCurrentViewLabel()).toBe('MAY 2026');
    const [first] = await calendar.getCells({ text: '13' });
    expect(await first!.isDisabled()).toBe(true);
    await calendar.selectCell({ text: '21' });
    expect(form.value.due).toBe('2026-05-21');
    const heads = [...document.querySelectorAll('.mat-calendar-table-header th [aria-hidden]')];
    expect(heads.map(({ textContent }) => textContent)).toEqual(['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su']);
  });

  it.each([
    ['31/4', 'Write the day as 16/5, Sat or +3.'],
    ['1/5', 'Thu 14 May at the earliest.'],
    ['1/7', 'Tue 30 Jun at the latest.'],
    ['', 'Choose a day.'],
  ])('“%s” says what to do, and the form cannot be sent', async (typed, says) => {
    const { loader, form } = await open();
    const field = await loader.getHarness(MatDatepickerInputHarness);
    await field.setValue('16/5');
    await field.setValue(typed);
    await field.blur();
    const [, , day] = await loader.getAllHarnesses(MatFormFieldHarness);
    expect(await day!.getTextErrors()).toEqual([says]);
    expect(form.controls.due.valid).toBe(false);
  });
});

describe('a time', () => {
  it.each([
    ['9', '09:00'],
    ['1310', '13:10'],
    ['1.30 pm', '13:30'],
    ['12am', '00:00'],
    ['9:05', '09:05'],
  ])('typed as %s is %s', async (typed, time) => {
    const { loader, fixture } = await open();
    const field = await loader.getHarness(MatTimepickerInputHarness);
    await field.setValue(typed);
    await field.blur();
    expect(fixture.componentInstance.from()).toBe(time);
  });

  it('that there is none of is refused, and what stood is kept', async () => {
    const { loader, fixture } = await open();
    const field = await loader.getHarness(MatTimepickerInputHarness);
    await field.setValue('25:00');
    await field.blur();
    expect(fixture.componentInstance.from()).toBe('09:30');
  });

  it('is taken from a list of quarters', async () => {
    const { loader, fixture } = await open();
    Object.defineProperty(Element.prototype, 'scrollIntoView', { configurable: true, value: () => undefined });
    const field = await loader.getHarness(MatTimepickerInputHarness);
    const list = await field.openTimepicker();
    expect((await list.getOptions()).length).toBe(96);
    await list.selectOption({ text: '10:45' });
    expect(fixture.componentInstance.from()).toBe('10:45');
  });
});

it('a file that was chosen is handed on, and the same one can be chosen again', async () => {
  const { element, fixture } = await open();
  const field = element.querySelector<HTMLInputElement>('input[type=file]')!;
  Object.defineProperty(field, 'files', { value: [new File(['x'], 'hives.csv')] });
  field.dispatchEvent(new Event('change'));
  expect([fixture.componentInstance.taken(), field.value]).toEqual(['hives.csv', '']);
});

describe('a day of every year', () => {
  it('is chosen by day and month, and never a day that the month does not have', async () => {
    const fixture = await show(MonthDayField, { name: 'Opens on', value: '01-31' });
    const loader = TestbedHarnessEnvironment.loader(fixture);
    const [day, month] = (await loader.getAllHarnesses(MatSelectHarness)) as [MatSelectHarness, MatSelectHarness];
    expect(await day.getValueText()).toBe('31');
    await month.open();
    await month.clickOptions({ text: 'Feb' });
    // Bloom on 29 February is a day of every fourth year.
    expect(fixture.componentInstance.value()).toBe('02-29');
    await day.open();
    expect(await day.getOptions()).toHaveLength(29);
    await day.clickOptions({ text: '7' });
    expect(fixture.componentInstance.value()).toBe('02-07');
  });
});
