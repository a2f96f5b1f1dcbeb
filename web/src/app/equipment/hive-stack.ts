import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { BOXES, type Layer } from '@brave-comb/core/equipment';

/** A part with what stands beside it. */
export interface StackPart {
  readonly layer: Layer;
  readonly text?: string;
  readonly note?: string;
  /** Heavy: two people, or by frames. */
  readonly heavy?: boolean;
}

const HEIGHT: Readonly<Record<Exclude<Layer['kind'], 'box'>, number>> = {
  roof: 14,
  'crown-board': 5,
  excluder: 6,
  escape: 6,
  spacer: 12,
  feeder: 16,
  floor: 8,
};

const NAMES: Readonly<Record<Exclude<Layer['kind'], 'box'>, string>> = {
  roof: $localize`roof`,
  'crown-board': $localize`crown board`,
  excluder: $localize`excluder`,
  escape: $localize`escape board`,
  spacer: $localize`empty rim`,
  feeder: $localize`feeder`,
  floor: $localize`floor`,
};

/** What a part is called. */
export const partName = (layer: Layer): string => (layer.kind === 'box' ? layer.id : NAMES[layer.kind]);

/** A hive from roof to floor. Parts taken off stand aside and leave a dashed place. */
@Component({
  selector: 'bc-hive-stack',
  template: `
    <svg [attr.viewBox]="'0 0 ' + width() + ' ' + drawn().height" role="img" [attr.aria-label]="label()">
      @for (part of drawn().parts; track part.id) {
        @if (part.off) {
          <rect
            x="2.5"
            [attr.y]="part.y"
            [attr.width]="boxWidth() - 1"
            [attr.height]="part.height - 1.4"
            fill="none"
            stroke="var(--ink)"
            stroke-dasharray="3 3"
          />
        }
        <g [attr.transform]="'translate(' + part.x + ' ' + part.y + ')'">
          @switch (part.kind) {
            @case ('roof') {
              <path
                [attr.d]="
                  'M0 ' + (part.height - 1) + 'V5q0-4 4-4h' + (boxWidth() - 6) + 'q4 0 4 4V' + (part.height - 1) + 'z'
                "
                fill="var(--wood-shade)"
                stroke="var(--comb-ink)"
                stroke-width="1.3"
              />
            }
            @case ('excluder') {
              <rect x=".5" width="1" height="1" fill="none" />
              <path
                [attr.d]="'M1 ' + part.height / 2 + 'h' + boxWidth()"
                stroke="var(--ink)"
                [attr.stroke-width]="part.height - 2"
                stroke-dasharray="2.2 2"
              />
            }
            @case ('floor') {
              <rect
                x="0"
                [attr.width]="boxWidth() + 2"
                [attr.height]="part.height - 1"
                fill="var(--wood-dark)"
                stroke="var(--comb-ink)"
              />
              <rect
                [attr.x]="boxWidth() * 0.3"
                [attr.y]="part.height * 0.35"
                [attr.width]="boxWidth() * 0.42"
                [attr.height]="part.height * 0.35"
                fill="var(--paper-ink)"
              />
            }
            @case ('escape') {
              <rect
                x="1"
                [attr.width]="boxWidth()"
                [attr.height]="part.height - 1"
                fill="var(--paper)"
                stroke="var(--comb-ink)"
              />
              <path
                [attr.d]="'M' + (boxWidth() / 2 - 5) + ' ' + (part.height - 1) + 'l5-4 5 4z'"
                fill="var(--comb-ink)"
              />
            }
            @case ('box') {
              <rect
                x="1"
                [attr.width]="boxWidth()"
                [attr.height]="part.height - 1"
                rx="1.5"
                [attr.fill]="part.heavy ? 'url(#hatch-rust)' : part.off ? 'var(--sheet)' : 'var(--paper)'"
                [attr.stroke]="part.current ? 'var(--heather)' : part.heavy ? 'var(--rust)' : 'var(--comb-ink)'"
                [attr.stroke-width]="part.current ? 3 : 1.4"
              />
              <path
                [attr.d]="'M' + (boxWidth() / 2 - 5) + ' ' + part.height * 0.45 + 'h10'"
                stroke="var(--paper-ink-2)"
                stroke-width="1.5"
                stroke-linecap="round"
              />
            }
            @default {
              <rect
                x="1"
                [attr.width]="boxWidth()"
                [attr.height]="part.height - 1"
                [attr.fill]="fills[part.kind] ?? 'none'"
                [attr.stroke-dasharray]="part.kind === 'spacer' ? '4 2' : null"
                stroke="var(--comb-ink)"
              />
            }
          }
        </g>
        @if (part.text) {
          <text
            [attr.x]="textX()"
            [attr.y]="part.y + part.height / 2 + (part.note ? -1 : 4)"
            [attr.font-size]="textSize()"
            [attr.font-weight]="part.note ? 700 : 600"
            [style.fill]="part.heavy ? 'var(--rust-text)' : 'var(--ink)'"
          >
            {{ part.text }}
          </text>
        }
        @if (part.note) {
          <text
            [attr.x]="textX()"
            [attr.y]="part.y + part.height / 2 + 11"
            font-size="12"
            [style.fill]="part.heavy ? 'var(--rust-text)' : 'var(--ink-2)'"
          >
            {{ part.note }}
          </text>
        }
      }
    </svg>
  `,
  styles: `
    :host,
    svg {
      display: block;
      width: 100%;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class HiveStack {
  /** Parts from the floor upward. */
  readonly parts = input.required<readonly StackPart[]>();
  readonly width = input(110);
  readonly boxWidth = input(40);
  readonly off = input<readonly string[]>([]);
  readonly current = input<string | null>(null);
  readonly textSize = input(12);

  /** Flat parts by colour; an empty rim has none. */
  protected readonly fills: Readonly<Partial<Record<Layer['kind'], string>>> = {
    'crown-board': 'var(--wood-dark)',
    feeder: 'var(--feeder)',
  };
  private readonly shift = computed(() => (this.off().length > 0 ? this.boxWidth() * 0.4 : 0));
  protected readonly textX = computed(() => this.boxWidth() + this.shift() + 9);
  protected readonly label = computed(
    () =>
      $localize`Hive from the roof down: ${[...this.parts()]
        .reverse()
        .map(({ layer, text }) =>
          [partName(layer), text === partName(layer) ? '' : text, this.off().includes(layer.id) ? 'off' : '']
            .filter(Boolean)
            .join(' '),
        )
        .join(', ')}`,
  );
  protected readonly drawn = computed(() => {
    let y = 2;
    const parts = [...this.parts()].reverse().map(({ layer, text, note, heavy }) => {
      const role = layer.kind === 'box' ? BOXES[layer.box].role : null;
      const height =
        layer.kind === 'box'
          ? role === 'super'
            ? this.boxWidth() > 60
              ? 30
              : 25
            : this.boxWidth() > 60
              ? 40
              : 30
          : HEIGHT[layer.kind];
      const slot = Math.max(height, text ? this.textSize() * 1.15 : 0);
      const off = this.off().includes(layer.id);
      const part = {
        id: layer.id,
        kind: layer.kind,
        y: y + (slot - height) / 2,
        x: off ? this.shift() : 0,
        height,
        off,
        current: this.current() === layer.id,
        text,
        note,
        heavy: heavy === true,
      };
      y += slot + 1.5;
      return part;
    });
    return { parts, height: y + 2 };
  });
}
