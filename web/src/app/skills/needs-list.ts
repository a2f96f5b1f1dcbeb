import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import type { Coverage } from '@brave-comb/contract';
import { namesOf } from '../language/words';
import { LevelGlyph } from './level-glyph';
import { byPerson, type Need } from './needs';
import { nextChance } from './next-chance';

const SHORT: Readonly<Record<string, string>> = namesOf('skillShort');
/** Skills that are listed at first. */
const FIRST = 12;
/** Skills of one person that are named. */
const NAMED = 4;

/** What a group needs next, as a list: on a phone, where a matrix has no room. */
@Component({
  selector: 'bc-needs-list',
  imports: [LevelGlyph, MatButton, MatButtonToggle, MatButtonToggleGroup],
  templateUrl: './needs-list.html',
  styleUrl: './needs-list.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class NeedsList {
  readonly needs = input.required<readonly Need[]>();
  /** When each can next be shown; `null` until the planner has answered. */
  readonly coverage = input<Coverage | null>(null);
  /** The group that is looked at; `null` for all. */
  readonly group = input<string | null>(null);
  readonly size = input.required<number>();
  readonly picked = output<{ readonly trainee: string; readonly skill: string | null }>();

  protected readonly by = signal<'skill' | 'person'>('skill');
  protected readonly whole = signal(false);
  protected readonly skills = computed(() => {
    const [coverage, group] = [this.coverage(), this.group()];
    return this.needs()
      .slice(0, this.whole() ? undefined : FIRST)
      .map((need) => ({
        ...need,
        title: SHORT[need.id] ?? need.name,
        begun: need.who.filter(({ level, fading }) => level !== null || fading),
        next: coverage && nextChance(coverage, group === null ? null : [group], need.id),
      }));
  });
  protected readonly more = computed(() => this.needs().length - this.skills().length);
  protected readonly people = computed(() =>
    byPerson(this.needs()).map((each) => ({
      ...each,
      first: each.needs.slice(0, NAMED).map((need) => ({
        id: need.id,
        title: SHORT[need.id] ?? need.name,
        level: need.who.find(({ id }) => id === each.id)?.level ?? null,
      })),
    })),
  );
}
