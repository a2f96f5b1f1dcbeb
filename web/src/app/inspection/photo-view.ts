import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { catchError, map, of, switchMap } from 'rxjs';
import { ContractClient } from '../api/contract-client';
import { endpoints } from '../api/endpoints';

/** A photo of a visit. */
@Component({
  selector: 'bc-photo-view',
  template: `
    @if (source(); as data) {
      <img [src]="data" [alt]="alt()" />
    } @else if (source() === null) {
      <p>The photo has not arrived yet: it comes last when a device has a signal again.</p>
    }
  `,
  styles: `
    img {
      max-width: 100%;
      max-height: 420px;
      border: 1px solid var(--line);
      border-radius: 4px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PhotoView {
  private readonly client = inject(ContractClient);
  readonly photo = input.required<string>();
  readonly alt = input('Photo from the hive');
  protected readonly source = toSignal(
    toObservable(this.photo).pipe(
      switchMap((photo) =>
        this.client.call(endpoints.photo, { params: { photo } }).pipe(
          map(({ jpeg }) => `data:image/jpeg;base64,${jpeg}`),
          catchError(() => of(null)),
        ),
      ),
    ),
  );
}
