import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { type Caste, DEVELOPMENT, MARK_COLOURS, type MarkColour, daysToEmergence } from '@brave-comb/core/biology';
import { parseSide } from '@brave-comb/core/inspection';
import { CombPortrait } from '../inspection/comb-portrait';
import { decimal } from '../ui/format';

const CASTES: Readonly<Record<Caste, string>> = {
  queen: $localize`queen`,
  worker: $localize`worker`,
  drone: $localize`drone`,
};
const EACH: readonly Caste[] = ['queen', 'worker', 'drone'];
/** Whose growing up a word is about. */
const GROWS: Readonly<Record<string, readonly Caste[]>> = {
  worker: ['worker'],
  drone: ['drone'],
  queen: ['queen'],
  virgin: ['queen'],
  'queen-cell': ['queen'],
  'swarm-cell': ['queen'],
  'swarm-check': ['queen'],
  egg: EACH,
  larva: EACH,
  'open-brood': EACH,
  'sealed-brood': EACH,
  brood: EACH,
};
/** A side that shows the word, in shorthand. */
const SIDES: Readonly<Record<string, string>> = {
  'brood-nest': '4S 1L 1P 2H',
  'brood-pattern': '6S 1P 1H',
  'chilled-brood': '5S 3C',
  'drone-comb': '3D 2S 1P 2H',
  eighths: '3S 2L 1P 2H',
  side: '3S 2L 1P 2H',
  cappings: '5S 3H',
  'undrawn-foundation': '8F',
  'drawn-comb': '8C',
  'damaged-comb': '2X 6C',
  'bee-bread': '4S 2P 2H',
  nectar: '4N 2C 2H',
  'ripe-honey': '8H',
  stores: '2P 2N 4H',
  backfilled: '2S 4N 2H',
  'queen-cup': '5S 1P 2H K1',
};
const COLOURS: Readonly<Record<MarkColour, string>> = {
  white: $localize`white: years ending in 1 and 6`,
  yellow: $localize`yellow: years ending in 2 and 7`,
  red: $localize`red: years ending in 3 and 8`,
  green: $localize`green: years ending in 4 and 9`,
  blue: $localize`blue: years ending in 5 and 0`,
};
/** Days that the whole width stands for. */
const DAYS = 24;

/** What a word names, drawn: how long who grows up, a side of a comb, the colours of the years. */
@Component({
  selector: 'bc-word-drawing',
  imports: [CombPortrait],
  template: `
    @for (bar of bars(); track bar.caste) {
      <svg width="100%" height="58" role="img" [attr.aria-label]="bar.says">
        <text x="0" y="13" class="name">{{ bar.name }}</text>
        @for (stage of bar.stages; track stage.name) {
          <rect
            [attr.x]="stage.from + '%'"
            y="20"
            [attr.width]="stage.room + '%'"
            height="16"
            [attr.fill]="'url(#comb-m-' + stage.fill + ')'"
            stroke="var(--paper-ink)"
          />
          <text [attr.x]="stage.from + 0.6 + '%'" y="32.500" class="stage">{{ stage.name }}</text>
          <text [attr.x]="stage.to + '%'" y="52" text-anchor="end">{{ stage.day }}</text>
        }
        @if (bar.sealed; as at) {
          <rect [attr.x]="at + '%'" y="14" width="2" height="26" fill="var(--rust)" />
          <text [attr.x]="at + '%'" y="12" class="warn" i18n>sealed: the swarm may leave</text>
        }
      </svg>
    }
    @if (side(); as line) {
      <bc-comb-portrait [side]="line" [width]="300" [tagged]="true" />
    }
    @if (word() === 'queen-mark') {
      <ul>
        @for (mark of marks; track mark.colour) {
          <li><i [style.background]="'var(--mark-' + mark.colour + ')'"></i>{{ mark.says }}</li>
        }
      </ul>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 6px;
      justify-items: start;
    }
    svg {
      display: block;
      width: min(560px, 100%);
    }
    text {
      font-size: 12.5px;
      fill: var(--ink-2);
    }
    .name {
      font-weight: 700;
      fill: var(--ink);
    }
    .stage {
      paint-order: stroke;
      stroke: var(--paper);
      stroke-width: 4px;
      fill: var(--paper-ink);
      font-weight: 600;
    }
    .warn {
      fill: var(--rust-text);
      font-weight: 700;
    }
    bc-comb-portrait {
      width: min(320px, 100%);
    }
    ul {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 20px;
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: inline-flex;
      gap: 7px;
      align-items: center;
    }
    i {
      width: 18px;
      height: 18px;
      border: 1px solid var(--ink);
      border-radius: 50%;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class WordDrawing {
  readonly word = input.required<string>();
  protected readonly side = computed(() => {
    const line = SIDES[this.word()];
    return line === undefined ? null : parseSide(line);
  });
  protected readonly bars = computed(() => {
    const castes = GROWS[this.word()] ?? [];
    return castes.map((caste) => this.bar(caste, castes.length === 1));
  });
  protected readonly marks = MARK_COLOURS.map((colour) => ({ colour, says: COLOURS[colour] }));

  private bar(caste: Caste, alone: boolean) {
    const { egg, larva, sealed } = DEVELOPMENT[caste];
    const names = [$localize`egg`, $localize`larva, open`, $localize`sealed`];
    const x = (day: number): number => (day * 100) / DAYS;
    const ends = [egg, egg + larva, egg + larva + sealed];
    const days = ends.map((day) => decimal(day, day % 1 === 0 ? 0 : 1));
    return {
      caste,
      name: CASTES[caste],
      says: $localize`${CASTES[caste]}\: egg until day ${days[0]!}, larva until day ${days[1]!}, out on day ${days[2]!}`,
      stages: ends.map((end, at) => ({
        name: names[at]!,
        fill: 'ELS'[at]!,
        from: x(ends[at - 1] ?? 0),
        to: x(end),
        room: x(end - (ends[at - 1] ?? 0)),
        day: at === 2 ? $localize`out on day ${decimal(daysToEmergence(caste), 0)}` : $localize`day ${days[at]!}`,
      })),
      sealed: alone && caste === 'queen' ? x(egg + larva) : null,
    };
  }
}
