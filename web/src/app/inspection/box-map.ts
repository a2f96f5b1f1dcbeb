import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { type FrameSide, type FrameSides, type Letter, eighthsLeft } from '@brave-comb/core/inspection';
import type { CombCarrier } from '@brave-comb/core/equipment';
import { named } from '../language/words';
import { sideInWords } from './comb-portrait';

/** From the middle of a slice outward. */
const SLICE: readonly (Letter | null)[] = ['S', 'L', 'E', 'D', 'P', 'X', 'C', 'F', null, 'N', 'H'];

interface Piece {
  readonly content: Letter | null;
  readonly y: number;
  readonly height: number;
}

/** A side seen from above: brood in the middle, stores at both ends, cut to the recorded shares. */
function slice(side: FrameSide, height: number): readonly Piece[] {
  const pieces: Piece[] = [];
  let reach = 0;
  for (const content of SLICE) {
    const eighths = content ? (side.eighths[content] ?? 0) : Math.max(0, eighthsLeft(side));
    if (eighths === 0) continue;
    const half = ((eighths / 8) * height) / 2;
    if (reach === 0) pieces.push({ content, y: height / 2 - half, height: 2 * half });
    else {
      pieces.push(
        { content, y: height / 2 - reach - half, height: half },
        { content, y: height / 2 + reach, height: half },
      );
    }
    reach += half;
  }
  return pieces;
}

/** A box from above, each side of each frame a slice through the nest. Frames can be chosen by tap, click or key. */
@Component({
  selector: 'bc-box-map',
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + width() + ' ' + height()"
      [attr.role]="choosable() ? 'group' : 'img'"
      [attr.aria-label]="label()"
      preserveAspectRatio="xMidYMid meet"
    >
      <rect
        x="1"
        [attr.y]="top()"
        [attr.width]="boxWidth() - 2"
        [attr.height]="boxHeight()"
        rx="3"
        fill="var(--wood-light)"
        stroke="var(--paper-ink)"
        stroke-width="1.5"
      />
      <rect
        [attr.x]="wall()"
        [attr.y]="top() + wall()"
        [attr.width]="boxWidth() - 2 * wall()"
        [attr.height]="boxHeight() - 2 * wall()"
        fill="var(--wood-shade)"
      />
      @for (frame of drawn(); track frame.number) {
        <g
          [attr.role]="choosable() ? 'button' : null"
          [attr.tabindex]="choosable() ? 0 : null"
          [attr.aria-label]="choosable() ? frame.label : null"
          [attr.aria-pressed]="choosable() ? frame.current : null"
          [class.choosable]="choosable()"
          (click)="choose(frame.number)"
          (keydown.enter)="choose(frame.number); $event.stopPropagation()"
          (keydown.space)="choose(frame.number); $event.preventDefault(); $event.stopPropagation()"
        >
          <rect
            [attr.x]="frame.x - gap()"
            y="0"
            [attr.width]="frame.width + 2 * gap()"
            [attr.height]="height()"
            fill="transparent"
          />
          <rect
            [attr.x]="frame.x + frame.width * 0.3"
            [attr.y]="top() + 2"
            [attr.width]="frame.width * 0.4"
            [attr.height]="boxHeight() - 4"
            rx="1.5"
            fill="var(--wood)"
          />
          <rect
            [attr.x]="frame.x"
            [attr.y]="frame.y"
            [attr.width]="frame.width"
            [attr.height]="frame.height"
            fill="var(--paper)"
          />
          @for (half of frame.halves; track half.face) {
            <g [attr.transform]="'translate(' + half.x + ' ' + frame.y + ')'">
              @for (piece of half.pieces; track $index) {
                <rect
                  [attr.y]="piece.y"
                  [attr.width]="half.width"
                  [attr.height]="piece.height"
                  [attr.fill]="piece.content ? 'url(#comb-' + grain() + '-' + piece.content + ')' : 'var(--paper)'"
                  stroke="var(--paper-ink)"
                  stroke-width=".5"
                />
              } @empty {
                <path
                  [attr.d]="'M' + half.width / 2 + ' 6V' + (frame.height - 6)"
                  stroke="var(--paper-ink-2)"
                  stroke-width="1.2"
                  stroke-dasharray="1.5 5"
                  stroke-linecap="round"
                />
              }
            </g>
          }
          <rect
            [attr.x]="frame.x + frame.width / 2 - rib() / 2"
            [attr.y]="frame.y"
            [attr.width]="rib()"
            [attr.height]="frame.height"
            fill="var(--wood)"
          />
          <rect
            [attr.x]="frame.x"
            [attr.y]="frame.y"
            [attr.width]="frame.width"
            [attr.height]="frame.height"
            fill="none"
            stroke="var(--paper-ink)"
          />
          @if (frame.current) {
            <rect
              [attr.x]="frame.x - 3"
              [attr.y]="frame.y - 3"
              [attr.width]="frame.width + 6"
              [attr.height]="frame.height + 6"
              rx="2"
              fill="none"
              stroke="var(--paper-heather)"
              stroke-width="3"
            />
            @if (frame.face; as face) {
              <rect
                [attr.x]="(face === 'low' ? frame.x : frame.x + frame.width / 2) + 1.5"
                [attr.y]="frame.y + 2"
                [attr.width]="frame.width / 2 - 3"
                [attr.height]="frame.height - 4"
                fill="none"
                stroke="var(--paper-heather)"
                stroke-width="2.2"
                stroke-dasharray="5 3"
              />
            }
          }
          @if (top() > 0 && frame.numbered) {
            @if (frame.current && numbers() === 'all') {
              <path [attr.d]="frame.pointer" fill="var(--paper-heather)" />
            }
            <text
              [attr.x]="frame.x + frame.width / 2"
              [attr.y]="top() - (numbers() === 'all' ? 7 : 3)"
              text-anchor="middle"
              [attr.font-size]="numberSize()"
              font-weight="700"
              [style.fill]="!frame.current ? 'var(--ink)' : numbers() === 'all' ? 'var(--paper)' : 'var(--heather)'"
            >
              {{ frame.number }}
            </text>
          }
          @if (frame.doubtful) {
            <path
              [attr.d]="'M' + (frame.x + frame.width - 7) + ' ' + (frame.y - 2) + 'h11v17l-5.5-4-5.5 4z'"
              fill="var(--paper-rust)"
              stroke="var(--paper)"
              stroke-width="1.4"
            />
          }
          @if (frame.cells) {
            <path
              [attr.transform]="
                'translate(' + (frame.x + frame.width * 0.3) + ' ' + (frame.y + frame.height - 14) + ')'
              "
              d="M-5 0C-6.5 5-5.5 9.5-3.6 10.5L-2 8.6h4L3.6 10.5C5.5 9.5 6.5 5 5 0z"
              fill="var(--paper)"
              stroke="var(--paper-ink)"
              stroke-width="1.6"
            />
          }
          @if (frame.queen) {
            <g
              [attr.transform]="
                'translate(' +
                (frame.x + frame.width / 2) +
                ' ' +
                (frame.y + frame.height / 2) +
                ') scale(' +
                pin() +
                ')'
              "
            >
              <circle r="12" fill="var(--paper)" />
              <circle r="10.5" fill="var(--paper-heather)" />
              <path
                d="M0-6.4c2 0 2.7 1.7 2.3 3.2C3.8-1.8 3.4 4.4 0 8.2-3.4 4.4-3.8-1.8-2.3-3.2-2.7-4.7-2-6.4 0-6.4z"
                fill="var(--paper)"
              />
            </g>
          }
        </g>
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 100%;
      height: 100%;
    }
    .choosable {
      cursor: pointer;
    }
    .choosable:focus-visible {
      outline: 3px solid var(--heather);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class BoxMap {
  readonly frames = input.required<readonly FrameSides[]>();
  readonly width = input(560);
  readonly height = input(150);
  readonly current = input<{ readonly frame: number; readonly face: 'low' | 'high' } | null>(null);
  /** Frames drawn with a ring though nobody stands at them. */
  readonly ringed = input<readonly number[]>([]);
  readonly numbers = input<'all' | 'few' | 'none'>('all');
  readonly name = input($localize`Box from above`);
  readonly choosable = input(false);
  /** What a comb hangs from, as it is read out. */
  readonly carrier = input<CombCarrier>('frame');
  readonly chosen = output<number>();

  protected readonly wall = computed(() => (this.width() > 300 ? 7 : 4));
  protected readonly top = computed(() => (this.numbers() === 'all' ? 26 : this.numbers() === 'few' ? 15 : 0));
  protected readonly numberSize = computed(() => (this.numbers() === 'all' ? 16 : 12));
  protected readonly boxWidth = computed(() => this.width());
  protected readonly boxHeight = computed(() => this.height() - this.top() - 2);
  protected readonly grain = computed(() => (this.width() / Math.max(1, this.frames().length) > 34 ? 'm' : 's'));
  protected readonly gap = computed(() => (this.pitch() * 0.22) / 2);
  protected readonly rib = computed(() => Math.max(2, this.pitch() * 0.06));
  protected readonly pin = computed(() => (this.grain() === 'm' ? 0.95 : 0.5));
  private readonly pitch = computed(() => (this.width() - 2 * this.wall()) / Math.max(1, this.frames().length));

  protected readonly label = computed(() => {
    const read = this.frames().filter((frame) => frame.low ?? frame.high).length;
    return $localize`${this.name()}\: ${this.frames().length} frames, ${read} read`;
  });

  protected readonly drawn = computed(() => {
    const pitch = this.pitch();
    const width = pitch * 0.78;
    const y = this.top() + this.wall() + 3;
    const height = this.boxHeight() - 2 * this.wall() - 6;
    const current = this.current();
    const count = this.frames().length;
    return this.frames().map((frame, index) => {
      const x = this.wall() + index * pitch + (pitch - width) / 2;
      const number = index + 1;
      const isCurrent = current?.frame === number || this.ringed().includes(number);
      const both = [frame.low, frame.high];
      return {
        number,
        x,
        y,
        width,
        height,
        current: isCurrent,
        face: current?.frame === number ? current.face : null,
        numbered: this.numbers() === 'all' || index === 0 || index === count - 1 || isCurrent,
        pointer: `M${x + width / 2 - 15} 0h30v${this.top() - 3}h-9l-6 4-6-4h-9z`,
        label: $localize`${named('combCarrier', this.carrier())} ${number}. Toward ${number - 1}\: ${sideInWords(frame.low)}. Toward ${number + 1}\: ${sideInWords(frame.high)}`,
        queen: both.some((side) => side?.queen),
        cells: both.some((side) => (side?.cells ?? 0) > 0),
        doubtful: both.some((side) => side?.doubtful),
        halves: (['low', 'high'] as const).map((face) => ({
          face,
          x: face === 'low' ? x : x + width / 2,
          width: width / 2,
          pieces: frame[face] ? slice(frame[face], height) : [],
        })),
      };
    });
  });

  protected choose(frame: number): void {
    if (this.choosable()) this.chosen.emit(frame);
  }
}
