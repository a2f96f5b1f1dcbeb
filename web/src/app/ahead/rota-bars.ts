import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { GroupSheet } from '@brave-comb/contract';
import { JOBS } from '@brave-comb/core/inspection';

type Job = (typeof JOBS)[number];
/** What somebody does in each role. */
const DOES: Readonly<Record<Job, string>> = {
  frames: $localize`holds frames`,
  smoke: $localize`smokes`,
  record: $localize`records`,
  clock: $localize`watches the clock`,
  watch: $localize`watches`,
};

/** Who does what from frame to frame, a line a person: whoever reads it stands first. */
@Component({
  selector: 'bc-rota-bars',
  template: `
    <table>
      <caption class="unseen" i18n>
        Who does what
      </caption>
      <thead>
        <tr>
          <td></td>
          @for (turn of rota(); track turn.fromFrame) {
            <th scope="col" i18n>frames {{ turn.fromFrame }}–{{ turn.toFrame }}</th>
          }
        </tr>
      </thead>
      <tbody>
        @for (line of lines(); track line.name) {
          <tr [class.own]="line.own">
            <th scope="row">{{ line.name }}</th>
            @for (job of line.jobs; track $index) {
              <td [class]="job.role">{{ job.does }}</td>
            }
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    table {
      width: 100%;
      table-layout: fixed;
      border-spacing: 3px;
      font-size: var(--t-note);
      text-align: center;
    }
    th {
      font-weight: 400;
    }
    thead th {
      color: var(--ink-2);
    }
    tr > :first-child {
      width: 76px;
      padding: 0;
      text-align: left;
    }
    tbody td {
      padding: 3px 4px;
      border: 1px solid var(--line);
      border-radius: 4px;
      line-height: 1.15;
    }
    .frames {
      border-color: var(--spruce);
      background: var(--spruce);
      color: var(--on-spruce);
    }
    .smoke,
    .record {
      border-color: var(--spruce-300);
      background: var(--spruce-100);
    }
    .own th {
      font-weight: 650;
      color: var(--heather);
    }
    .own .frames {
      border-color: var(--heather);
      background: var(--heather);
      color: var(--sheet);
    }
    .own .smoke,
    .own .record,
    .own .clock,
    .own .watch {
      border-color: var(--heather);
      background: var(--heather-100);
    }
    .nothing {
      border-style: dashed;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class RotaBars {
  readonly rota = input.required<GroupSheet['rota']>();
  /** Name of whoever reads it. */
  readonly own = input.required<string>();

  protected readonly lines = computed(() => {
    const turns = this.rota();
    const names = [...new Set(turns.flatMap(({ roles }) => JOBS.flatMap((role) => roles[role])))];
    const isOwn = (name: string): boolean => name === this.own();
    return names
      .sort((a, b) => Number(isOwn(b)) - Number(isOwn(a)))
      .map((name) => ({
        name,
        own: isOwn(name),
        jobs: turns.map(({ roles }) => {
          const all = JOBS.filter((role) => roles[role].includes(name));
          return { role: all[0] ?? 'nothing', does: all.map((role) => DOES[role]).join(', ') || '–' };
        }),
      }));
  });
}
