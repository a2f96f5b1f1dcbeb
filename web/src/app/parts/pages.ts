import { ChangeDetectionStrategy, Component, Injectable, input } from '@angular/core';
import { MatPaginator, MatPaginatorIntl } from '@angular/material/paginator';
import type { RecordTable } from './record-table';

@Injectable()
class PageWords extends MatPaginatorIntl {
  override nextPageLabel = $localize`Next page`;
  override previousPageLabel = $localize`Page before`;
  override getRangeLabel = (page: number, size: number, length: number): string => {
    const first = page * size;
    return length === 0 ? $localize`none` : $localize`${first + 1} to ${Math.min(first + size, length)} of ${length}`;
  };
}

/** The line of pages below a long table; none where all fits on one. */
@Component({
  selector: 'bc-pages',
  imports: [MatPaginator],
  providers: [{ provide: MatPaginatorIntl, useClass: PageWords }],
  template: `
    @if (table().length() > table().page().pageSize) {
      <mat-paginator
        hidePageSize
        [length]="table().length()"
        [pageSize]="table().page().pageSize"
        [pageIndex]="table().page().pageIndex"
        (page)="table().page.set($event)"
        [attr.aria-label]="name()"
      />
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Pages {
  readonly table = input.required<Pick<RecordTable<unknown>, 'length' | 'page'>>();
  /** What is paged. */
  readonly name = input.required<string>();
}
