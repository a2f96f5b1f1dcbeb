import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Output, endpoints } from '@brave-comb/contract';
import { dateText } from '../ui/format';

type List = Output<(typeof endpoints)['checklist']>;

/** Versions that are shown before the older ones are only counted. */
const SHOWN = 3;

/** The versions of a checklist one after the other, with the one that waits and the draft at the end. */
@Component({
  selector: 'bc-version-line',
  template: `
    <ol>
      @for (point of points(); track point.name) {
        <li [class.open]="point.open">
          <b>{{ point.name }}</b>
          <i aria-hidden="true"></i>
          <span>{{ point.says }}</span>
        </li>
      }
    </ol>
  `,
  styles: `
    ol {
      display: flex;
      font-size: var(--t-note);
    }
    li {
      position: relative;
      display: grid;
      min-width: 112px;
      padding-right: 14px;
      line-height: 1.25;
    }
    i {
      position: relative;
      display: block;
      height: 12px;
    }
    i::before {
      position: absolute;
      top: 5px;
      left: 0;
      width: calc(100% + 14px);
      border-top: 2px solid var(--spruce);
      content: '';
    }
    i::after {
      position: absolute;
      top: 1px;
      left: 0;
      width: 10px;
      height: 10px;
      border-radius: 50%;
      background: var(--spruce);
      content: '';
    }
    li:last-child i::before {
      display: none;
    }
    li:has(+ .open) i::before {
      border-top: 2px dashed var(--heather);
    }
    .open {
      color: var(--heather-800);
    }
    .open i::after {
      border: 2px dashed var(--heather);
      background: var(--sheet);
    }
    span {
      color: var(--ink-2);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class VersionLine {
  readonly list = input.required<List>();
  /** Changes of the draft; 0 without one. */
  readonly changes = input.required<number>();

  protected readonly points = computed(() => {
    const { versions, waiting, inForce } = this.list();
    const changes = this.changes();
    const made = versions
      .slice(0, SHOWN)
      .toReversed()
      .map(({ version, from, by, skills, note }) => {
        const waits = version === waiting?.version;
        const day = waits ? waiting.starts : from?.slice(0, 10);
        const says = version === inForce.version ? $localize`published` : waits ? $localize`scheduled` : (by ?? note);
        return { name: `v${version}${day ? `, ${dateText(day)}` : ''}`, says: `${says}, ${skills}`, open: waits };
      });
    const draft = {
      name: $localize`draft`,
      says: changes === 1 ? $localize`1 change` : $localize`${changes} changes`,
      open: true,
    };
    return changes > 0 ? [...made, draft] : made;
  });
}
