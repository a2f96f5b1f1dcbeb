import { Directive, inject } from '@angular/core';
import { MatSortHeader, MatSortModule } from '@angular/material/sort';

/** Says in the reader's language what a head of a table does. */
@Directive({ selector: '[mat-sort-header]' })
export class SortWords {
  constructor() {
    inject(MatSortHeader).sortActionDescription = $localize`Sort by this column`;
  }
}

/** What a table that sorts by its heads imports. */
export const SORT = [MatSortModule, SortWords] as const;
