import { Injectable } from '@angular/core';
import { MatDatepickerIntl } from '@angular/material/datepicker';

/** What the calendar's buttons are called. */
@Injectable()
export class CalendarWords extends MatDatepickerIntl {
  override calendarLabel = $localize`Calendar`;
  override openCalendarLabel = $localize`Open calendar`;
  override closeCalendarLabel = $localize`Close calendar`;
  override prevMonthLabel = $localize`Previous month`;
  override nextMonthLabel = $localize`Next month`;
  override prevYearLabel = $localize`Previous year`;
  override nextYearLabel = $localize`Next year`;
  override prevMultiYearLabel = $localize`Earlier years`;
  override nextMultiYearLabel = $localize`Later years`;
  override switchToMonthViewLabel = $localize`Choose day`;
  override switchToMultiYearViewLabel = $localize`Choose month and year`;
}
