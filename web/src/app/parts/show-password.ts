import { ChangeDetectionStrategy, Component, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';

/** Shows what is typed as a password, and hides it again: `<input #secret matInput type="password" /><bc-show-password matSuffix [of]="secret" />`. */
@Component({
  selector: 'bc-show-password',
  imports: [MatButton],
  template: `
    <button type="button" matButton class="small" [attr.aria-pressed]="visible()" (click)="turn()" i18n>
      {!!visible(), select, true {hide} other {show}}
    </button>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ShowPassword {
  readonly of = input.required<HTMLInputElement>();
  protected readonly visible = signal(false);

  protected turn(): void {
    this.visible.update((visible) => !visible);
    this.of().type = this.visible() ? 'text' : 'password';
  }
}
