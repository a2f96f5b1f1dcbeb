import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { FLOW_SIGNS, FLOW_SIGN_NAMES, type FlowSign } from '@brave-comb/core/season';
import { ViewDesk } from '../api/view-desk';
import { SaidPipe } from '../language/said';

/** Signs of a flow or a dearth, ticked at a visit or at the site. */
@Component({
  selector: 'bc-flow-signs',
  imports: [MatButton, SaidPipe],
  template: `
    <table>
      <caption class="unseen" i18n>
        Flow or dearth: tick what you see; press again to untick
      </caption>
      <tbody>
        @for (sign of signs; track sign.sign) {
          <tr>
            @for (says of senses; track says) {
              <td>
                <button
                  type="button"
                  matButton="outlined"
                  [class.dearth]="says === 'dearth'"
                  [attr.aria-pressed]="ticks()[sign.sign] === says"
                  (click)="tick(sign.sign, says)"
                >
                  {{ sign[says] | said }}
                </button>
              </td>
            }
          </tr>
        }
      </tbody>
    </table>
    <button type="button" matButton="filled" [disabled]="count() === 0" (click)="keep()" i18n>
      {kept() && count() === 0, select, true {Signs saved} other {Save {{ count() || '' }} signs}}
    </button>
  `,
  styles: `
    table {
      width: 100%;
      margin: 4px 0 8px;
      border-spacing: 0;
    }
    td {
      width: 50%;
      padding: 2px 4px 2px 0;
    }
    td button {
      width: 100%;
      height: auto;
      min-height: var(--target, 34px);
      justify-content: flex-start;
      line-height: 1.25;
      text-align: left;
    }
    td button[aria-pressed='true'] {
      border-color: var(--sky);
      background: var(--sky-100);
      color: var(--ink);
    }
    td .dearth[aria-pressed='true'] {
      border-color: var(--rust);
      background: var(--rust-100);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FlowSigns {
  private readonly desk = inject(ViewDesk);
  readonly site = input.required<string>();
  readonly hive = input<string | null>(null);
  readonly date = input.required<string>();
  protected readonly senses = ['flow', 'dearth'] as const;
  protected readonly signs = FLOW_SIGN_NAMES.map((sign) => ({
    sign,
    flow: FLOW_SIGNS[sign].flow,
    dearth: FLOW_SIGNS[sign].dearth,
  }));
  protected readonly ticks = signal<Partial<Record<FlowSign, 'flow' | 'dearth'>>>({});
  protected readonly count = computed(() => Object.keys(this.ticks()).length);
  protected readonly kept = signal(false);

  protected tick(sign: FlowSign, says: 'flow' | 'dearth'): void {
    this.ticks.update((ticks) => {
      const { [sign]: before, ...rest } = ticks;
      return before === says ? rest : { ...rest, [sign]: says };
    });
  }

  protected keep(): void {
    const signs = FLOW_SIGN_NAMES.flatMap((sign) => {
      const says = this.ticks()[sign];
      return says ? [{ id: this.desk.newId(), sign, says }] : [];
    });
    const body = { date: this.date(), hive: this.hive(), signs };
    this.desk.change('tickFlowSigns', { params: { site: this.site() }, body }, 'happenings');
    this.ticks.set({});
    this.kept.set(true);
  }
}
