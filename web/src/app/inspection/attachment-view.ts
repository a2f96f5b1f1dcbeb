import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { catchError, map, of, switchMap } from 'rxjs';
import { ContractClient } from '../api/contract-client';
import { endpoints } from '../api/endpoints';

/** A photo of a visit, or a voice note to be listened to. */
@Component({
  selector: 'bc-attachment-view',
  template: `
    @if (file(); as shown) {
      @if (shown.type === 'image/jpeg') {
        <img [src]="shown.source" [alt]="name()" />
      } @else {
        <audio controls [src]="shown.source" [attr.aria-label]="name()"></audio>
      }
    } @else if (file() === null) {
      <p i18n>Not arrived yet: photos and voice notes are sent last when a device has a signal again.</p>
    }
  `,
  styles: `
    img {
      max-width: 100%;
      max-height: 420px;
      border: 1px solid var(--line);
      border-radius: 4px;
    }
    audio {
      width: 100%;
      max-width: 420px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class AttachmentView {
  private readonly client = inject(ContractClient);
  readonly attachment = input.required<string>();
  readonly name = input($localize`Photo from the hive`);
  protected readonly file = toSignal(
    toObservable(this.attachment).pipe(
      switchMap((attachment) =>
        this.client.call(endpoints.attachment, { params: { attachment } }).pipe(
          map(({ type, content }) => ({ type, source: `data:${type};base64,${content}` })),
          catchError(() => of(null)),
        ),
      ),
    ),
  );
}
