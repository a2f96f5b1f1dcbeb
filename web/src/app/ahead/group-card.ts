import { Measured, measured } from '../language/units';
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { RouterLink } from '@angular/router';
import type { DaySheet, GroupSheet } from '@brave-comb/contract';
import { HiveStack, type StackPart, partName } from '../equipment/hive-stack';
import { LastNest } from './last-nest';
import { IfWet } from './if-wet';
import { RotaBars } from './rota-bars';
import { StandingMap } from '../equipment/standing-map';
import { decimal, shortDate, timeOf } from '../ui/format';
import { named } from '../language/words';

const ROLES = [
  { id: 'smoke', name: $localize`Smoke`, icon: 'smoke' },
  { id: 'frames', name: $localize`Frames`, icon: 'frame' },
  { id: 'record', name: $localize`Record`, icon: 'edit' },
  { id: 'clock', name: $localize`Clock`, icon: 'clock' },
  { id: 'watch', name: $localize`Watch`, icon: 'visible' },
] as const;

/** Who opens which hive and why, what it was like last time, what is due, who does what. */
@Component({
  selector: 'bc-group-card',
  imports: [MatButton, RouterLink, Measured, MatIcon, LastNest, HiveStack, StandingMap, RotaBars, IfWet],
  templateUrl: './group-card.html',
  styleUrl: './group-card.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class GroupCard {
  readonly sheet = input.required<DaySheet>();
  readonly card = input.required<GroupSheet>();
  /** Whether it is the only one, and has the width to itself. */
  readonly alone = input(false);
  /** Name of whoever reads it. */
  readonly own = input('');
  readonly opened = output();

  protected readonly roles = ROLES;
  protected readonly first = (name: string): string => name.split(' ')[0] ?? name;
  protected readonly off = computed(() => this.sheet().verdict?.word === 'no');
  protected readonly button = computed(() => {
    const { visit, startsAt } = this.card();
    if (visit) return visit.closed ? $localize`Review` : $localize`Go on`;
    return this.off() ? $localize`Open anyway` : $localize`Start ${timeOf(startsAt, this.sheet().session.zone)}`;
  });
  protected readonly parts = computed<readonly StackPart[]>(() =>
    this.card().stack.map(({ layer, kg, lift }) => ({
      layer,
      ...(layer.kind === 'box'
        ? {
            text: kg === null ? partName(layer) : measured('weight', kg, 0),
            note: lift === null ? $localize`not weighed` : named('lift', lift),
          }
        : {}),
      heavy: lift === 'two-lift' || lift === 'by-frames',
    })),
  );
  protected readonly last = computed(() => {
    const last = this.card().lastTime;
    if (!last) return null;
    return {
      ...last,
      when:
        last.daysAgo === 0
          ? $localize`Earlier today`
          : last.daysAgo === 1
            ? $localize`Yesterday`
            : $localize`${last.daysAgo} days ago`,
      bees: last.bees === null ? $localize`not counted` : decimal(last.bees),
    };
  });
  protected readonly shortDate = shortDate;
  protected readonly due = computed(() =>
    this.card().due.map((each) => ({
      ...each,
      when:
        each.daysLeft < 0
          ? each.daysLeft === -1
            ? $localize`1 day late`
            : $localize`${-each.daysLeft} days late`
          : each.daysLeft === 0
            ? $localize`last day`
            : $localize`till ${shortDate(each.due)}`,
    })),
  );
}
