import { named } from '../language/words';
import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { type FrameSide, LETTERS, eighthsLeft } from '@brave-comb/core/inspection';
import { type Grain, nestZones } from './nest-zones';

/** A side in words, for those who do not see it drawn. */
export function sideInWords(side: FrameSide | null): string {
  if (!side) return $localize`not read`;
  const parts = LETTERS.filter((letter) => side.eighths[letter]).map(
    (letter) => $localize`${side.eighths[letter]} eighths ${named('content', letter)}`,
  );
  return (
    [
      ...parts,
      ...side.trace.map((letter) => $localize`a few ${named('content', letter)}`),
      ...(side.queen ? [$localize`queen seen`] : []),
      ...(side.cells > 0 ? [$localize`${side.cells} queen cells or cups`] : []),
      ...(side.doubtful ? [$localize`doubtful`] : []),
    ].join(', ') || $localize`nothing read yet`
  );
}

const MARKS: Readonly<Record<string, string>> = {
  white: 'var(--mark-white)',
  yellow: 'var(--mark-yellow)',
  red: 'var(--mark-red)',
  green: 'var(--mark-green)',
  blue: 'var(--mark-blue)',
};

/** One side of one frame: a frame with lugs, in which everything lies where bees keep it, sized to the recorded eighths. */
@Component({
  selector: 'bc-comb-portrait',
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + width() + ' ' + box().height"
      [attr.preserveAspectRatio]="topBar() ? null : 'xMidYMin'"
      role="img"
      [attr.aria-label]="label()"
    >
      <rect
        [attr.x]="box().lug"
        [attr.y]="box().bar / 2"
        [attr.width]="width() - 2 * box().lug"
        [attr.height]="box().height - box().bar / 2"
        [attr.rx]="box().wood * 0.7"
        [attr.fill]="ghost() ? 'var(--paper)' : 'var(--frame-wood)'"
        [attr.stroke]="ghost() ? 'var(--wood)' : null"
        [attr.stroke-dasharray]="ghost() ? '5 3' : null"
      />
      @if (topBar()) {
        <rect x="0" y="0" [attr.width]="width()" [attr.height]="box().bar" rx="1.5" fill="var(--frame-wood)" />
      }
      <rect
        [attr.x]="box().x"
        [attr.y]="box().y"
        [attr.width]="box().combWidth"
        [attr.height]="box().combHeight"
        fill="var(--paper)"
      />
      @if (zones(); as zones) {
        <g [attr.opacity]="ghost() ? 0.55 : 1">
          @for (zone of zones; track zone.content) {
            <path
              [attr.d]="zone.path"
              [attr.fill]="zone.content ? 'url(#comb-' + grain() + '-' + zone.content + ')' : 'var(--paper)'"
              stroke="var(--paper-ink)"
              [attr.stroke-width]="grain() === 's' ? 0.7 : grain() === 'm' ? 1 : 1.5"
              stroke-linejoin="round"
            />
          }
        </g>
        @for (tag of tags(); track tag.text) {
          <g [attr.transform]="'translate(' + tag.x + ' ' + tag.y + ')'">
            <rect
              [attr.x]="-tag.width / 2"
              y="-13"
              [attr.width]="tag.width"
              height="26"
              rx="4"
              fill="var(--paper)"
              stroke="var(--paper-ink)"
              stroke-width="1.5"
            />
            <text y="6.5" text-anchor="middle" font-size="19" font-weight="700" style="fill: var(--paper-ink)">
              {{ tag.text }}
            </text>
          </g>
        }
        @for (cell of cells(); track cell.x) {
          <g [attr.transform]="'translate(' + cell.x + ' ' + cell.y + ') scale(' + cell.scale + ')'">
            <path
              d="M-5 0C-6.5 5-5.5 9.5-3.6 10.5L-2 8.6h4L3.6 10.5C5.5 9.5 6.5 5 5 0z"
              fill="var(--paper)"
              stroke="var(--paper-ink)"
              stroke-width="1.8"
              stroke-linejoin="round"
            />
            <path d="M-.6 7l1.4-4" stroke="var(--comb-eggs-ink)" stroke-width="2" stroke-linecap="round" />
          </g>
        }
        @if (side()?.queen) {
          <g [attr.transform]="box().queen">
            <circle r="12" fill="var(--paper)" />
            <circle r="10.5" fill="var(--paper-heather)" />
            <path
              d="M0-6.4c2 0 2.7 1.7 2.3 3.2C3.8-1.8 3.4 4.4 0 8.2-3.4 4.4-3.8-1.8-2.3-3.2-2.7-4.7-2-6.4 0-6.4z"
              fill="var(--paper)"
            />
            @if (queenColour(); as colour) {
              <circle cy="-2" r="1.9" [attr.fill]="colour" stroke="var(--paper-ink)" stroke-width=".6" />
            }
          </g>
        }
        @if (side()?.doubtful) {
          <g [attr.transform]="box().flag">
            <path d="M0 0h12v20l-6-5-6 5z" fill="var(--paper-rust)" stroke="var(--paper)" stroke-width="1.4" />
          </g>
        }
      } @else {
        <path [attr.d]="box().unread" stroke="var(--comb-bare-ink)" stroke-dasharray="2 4" />
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
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CombPortrait {
  readonly side = input.required<FrameSide | null>();
  /** Width in the drawing's own units; the picture itself fills its place. */
  readonly width = input(220);
  /** Height of the comb over its width, by the kind of frame. */
  readonly ratio = input(0.565);
  readonly seed = input(1);
  readonly name = input('');
  readonly ghost = input(false);
  readonly tagged = input(false);
  /** Without one, the comb hangs from what stands above it. */
  readonly topBar = input(true);
  readonly queenMark = input<string | null>(null);

  protected readonly grain = computed<Grain>(() => (this.width() <= 72 ? 's' : this.width() <= 240 ? 'm' : 'l'));
  protected readonly zones = computed(() => {
    const side = this.side();
    if (!side) return null;
    const { x, y, combWidth, combHeight } = this.box();
    const corner = ([u, v]: readonly [number, number]) =>
      `${(x + u * combWidth).toFixed(1)} ${(y + v * combHeight).toFixed(1)}`;
    return nestZones(side, this.grain(), this.seed()).map(({ content, path }) => ({
      content,
      path: path.map((ring) => `M${ring.map(corner).join('L')}Z`).join(''),
    }));
  });
  protected readonly label = computed(() => [this.name(), sideInWords(this.side())].filter(Boolean).join(': '));
  protected readonly queenColour = computed(() => MARKS[this.queenMark() ?? ''] ?? null);
  protected readonly box = computed(() => {
    const width = this.width();
    const lug = width * 0.046;
    const bar = this.topBar() ? Math.max(3, width * 0.034) : Math.max(1.4, width * 0.012);
    const wood = Math.max(1.4, width * 0.016);
    const x = lug + wood;
    const combWidth = width - 2 * x;
    const combHeight = combWidth * this.ratio();
    const pin = this.grain() === 's' ? 0.42 : this.grain() === 'm' ? 0.72 : 1.1;
    return {
      lug,
      bar,
      wood,
      x,
      y: bar,
      combWidth,
      combHeight,
      height: bar + combHeight + wood,
      queen: `translate(${x + combWidth * 0.46} ${bar + combHeight * 0.5}) scale(${pin})`,
      flag: `translate(${x + combWidth - 20 * pin} 0) scale(${pin})`,
      unread: `M${x} ${bar + combHeight / 2}h${combWidth}`,
    };
  });
  protected readonly tags = computed(() => {
    const side = this.side();
    if (!this.tagged() || !side || this.grain() !== 'l') return [];
    const { x, y, combWidth, combHeight } = this.box();
    const placed: { readonly x: number; readonly y: number; readonly width: number }[] = [];
    const zones = [...nestZones(side, 'l', this.seed())].sort((a, b) => b.spots.length - a.spots.length);
    return zones.map((zone) => {
      const eighths = zone.content ? (side.eighths[zone.content] ?? 0) : eighthsLeft(side);
      const text = !zone.content
        ? $localize`${eighths} left`
        : eighths
          ? `${eighths}${zone.content}`
          : `+${zone.content}`;
      const width = text.length * 11 + 12;
      const at = zone.spots.map(([u, v]) => ({
        x: x + Math.min(combWidth - width / 2 - 4, Math.max(width / 2 + 4, u * combWidth)),
        y: y + Math.min(combHeight - 17, Math.max(17, v * combHeight)),
        width,
      }));
      const clear = at.find(
        (spot) =>
          !placed.some(
            (other) => Math.abs(other.x - spot.x) < (other.width + width) / 2 + 5 && Math.abs(other.y - spot.y) < 31,
          ),
      );
      const spot = clear ?? at[0] ?? { x: x + combWidth / 2, y: y + combHeight / 2, width };
      placed.push(spot);
      return { ...spot, text };
    });
  });
  protected readonly cells = computed(() => {
    const count = this.side()?.cells ?? 0;
    const { x, y, combWidth, combHeight } = this.box();
    const scale = this.grain() === 's' ? 0.55 : this.grain() === 'm' ? 0.85 : 1.5;
    return Array.from({ length: Math.min(count, 6) }, (_, index) => ({
      x: x + combWidth * (0.42 + index * 0.08),
      y: y + combHeight - 13 * scale,
      scale,
    }));
  });
}
