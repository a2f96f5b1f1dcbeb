import { BreakpointObserver } from '@angular/cdk/layout';
import { type Signal, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { map } from 'rxjs';

/** An upright phone: one column, with everything that is tapped often within reach of a thumb. */
export const PHONE = '(width < 700px) and (height >= 560px)';

/** Whether the screen is an upright phone's. */
export function onPhone(): Signal<boolean> {
  const matched = inject(BreakpointObserver)
    .observe(PHONE)
    .pipe(map(({ matches }) => matches));
  return toSignal(matched, { initialValue: false });
}
