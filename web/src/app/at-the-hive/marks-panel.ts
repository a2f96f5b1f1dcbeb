import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import {
  CELL_CONTENTS,
  CELL_PLACES,
  CELL_WORDS,
  type CellContent,
  type CellPlace,
  type FrameSide,
  MARK_IDS,
  type MarkId,
  type PollenColour,
  SIDE_MARKS,
  addQueenCell,
  hasMark,
  readCells,
  shows,
  toggleMark,
  togglePollen,
} from '@brave-comb/core/inspection';
import { Choice } from './choice';
import { PollenSwatches } from './pollen-swatches';
import { Named, named } from '../language/words';
import { SaidPipe } from '../language/said';
import { MatButton } from '@angular/material/button';

const GROUPS = [
  { id: 'larvae', name: $localize`Larvae` },
  { id: 'pattern', name: $localize`Brood pattern` },
  { id: 'lids', name: $localize`Cappings` },
  { id: 'pests', name: $localize`Pests and disease` },
  { id: 'comb', name: $localize`Comb` },
  { id: 'food', name: $localize`Fresh nectar` },
] as const;

/** What else was seen on a side: larvae, pattern, lids, pests, comb, colours of pollen, queen cells. */
@Component({
  selector: 'bc-marks-panel',
  imports: [MatButton, SaidPipe, Named, Choice, PollenSwatches],
  template: `
    @for (group of groups; track group.id) {
      <fieldset>
        <legend>{{ group.name }}</legend>
        <div class="row">
          @for (id of of[group.id]; track id) {
            <button
              type="button"
              matButton="outlined"
              [class.sel]="has(id)"
              [class.some]="has(id) && marks[id].suspect"
              [attr.aria-pressed]="has(id)"
              (click)="toggle(id)"
            >
              {{ id | named: 'mark' }}
            </button>
          }
        </div>
      </fieldset>
    }
    @if (looks(); as words) {
      <p class="caution" role="status">{{ words }}</p>
    }
    <fieldset>
      <legend i18n>Stored pollen</legend>
      <div class="row">
        <bc-pollen-swatches [chosen]="side().pollens ?? []" (tapped)="pollen($event)" />
      </div>
    </fieldset>
    <fieldset>
      <legend i18n>A queen cell, looked into</legend>
      <bc-choice
        legend="It holds"
        i18n-legend
        [options]="contents"
        [words]="cellWords"
        [value]="content()"
        (chosen)="content.set($event)"
      />
      <bc-choice legend="It hangs at the" i18n-legend [options]="places" [value]="null" (chosen)="cell($event)" />
    </fieldset>
    @if (cells(); as verdict) {
      <p class="caution" role="status">
        <b>{{ verdict.says | said }}</b> {{ verdict.action | said }}
      </p>
    }
    <button type="button" matButton="filled" (click)="closed.emit()" i18n>Back to the comb</button>
  `,
  styleUrl: './hive-parts.scss',
  styles: `
    :host {
      display: grid;
      gap: 10px;
      align-content: start;
      overflow-y: auto;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class MarksPanel {
  readonly side = input.required<FrameSide>();
  readonly changed = output<FrameSide>();
  readonly closed = output();

  protected readonly groups = GROUPS;
  protected readonly marks = SIDE_MARKS;
  protected readonly of = Object.fromEntries(
    GROUPS.map(({ id }) => [id, MARK_IDS.filter((mark) => SIDE_MARKS[mark].group === id)]),
  ) as unknown as Readonly<Record<(typeof GROUPS)[number]['id'], readonly MarkId[]>>;
  protected readonly contents = CELL_CONTENTS;
  protected readonly places = CELL_PLACES;
  protected readonly cellWords = CELL_WORDS;
  protected readonly content = signal<CellContent>('cup');
  private readonly last = signal<MarkId | null>(null);

  /** What the mark that was set last looks like, so that a beginner can check it. */
  protected readonly looks = computed(() => {
    const last = this.last();
    return last && this.has(last) ? `${named('mark', last)}: ${named('markLooks', last)}` : null;
  });
  protected readonly cells = computed(() => {
    const cells = this.side().queenCells ?? [];
    return cells.length > 0 ? readCells(cells, shows(this.side(), 'E')) : null;
  });

  protected has(id: MarkId): boolean {
    return hasMark(this.side(), id);
  }

  protected toggle(id: MarkId): void {
    this.last.set(id);
    this.changed.emit(toggleMark(this.side(), id));
  }

  protected pollen(colour: PollenColour): void {
    this.changed.emit(togglePollen(this.side(), colour));
  }

  protected cell(place: CellPlace): void {
    this.changed.emit(addQueenCell(this.side(), { content: this.content(), place }));
  }
}
