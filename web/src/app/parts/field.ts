import { type AfterContentInit, Directive, ElementRef, contentChild, inject } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import {
  MAT_FORM_FIELD_DEFAULT_OPTIONS,
  MatError,
  MatFormField,
  MatHint,
  MatPrefix,
  MatSuffix,
} from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MatRadioButton, MatRadioGroup } from '@angular/material/radio';
import { MAT_SELECT_CONFIG, MatOption, MatSelect } from '@angular/material/select';

let count = 0;

/**
 * A label above its field: `<label bcField><span i18n>Group</span><mat-form-field>…</mat-form-field></label>`. The
 * field, be it typed into or a list of choices, is called by what stands above it alone, not by its help and errors too.
 */
@Directive({ selector: 'label[bcField]', host: { class: 'field', '(click)': 'lead($event)' } })
export class Field implements AfterContentInit {
  private readonly choices = contentChild(MatSelect, { descendants: true });
  private readonly label = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;

  ngAfterContentInit(): void {
    const name = this.label.querySelector(':scope > span');
    if (!name) return;
    name.id ||= `bc-field-${(count += 1)}`;
    this.label.querySelector('input, textarea')?.setAttribute('aria-labelledby', name.id);
    const choices = this.choices();
    if (choices) choices.ariaLabelledby = name.id;
  }

  protected lead(event: Event): void {
    if (event.target instanceof Element && !event.target.closest('mat-form-field')) this.choices()?.focus();
  }
}

/** How every field looks: an outline, help and errors below it only where there are any, and choices hung from a bar. */
@Directive({
  selector: 'mat-form-field',
  providers: [
    { provide: MAT_FORM_FIELD_DEFAULT_OPTIONS, useValue: { appearance: 'outline', subscriptSizing: 'dynamic' } },
    { provide: MAT_SELECT_CONFIG, useValue: { overlayPanelClass: 'hung' } },
  ],
})
export class FieldLook {}

/** What a form is made of. */
export const FIELD = [
  Field,
  FieldLook,
  MatCheckbox,
  MatError,
  MatFormField,
  MatHint,
  MatInput,
  MatOption,
  MatPrefix,
  MatRadioButton,
  MatRadioGroup,
  MatSelect,
  MatSuffix,
] as const;
