import { namesOf } from '../../language/words';
import { said, SaidPipe } from '../../language/said';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatDialogClose, MatDialogTitle } from '@angular/material/dialog';
import {
  BOXES,
  type BoxKindId,
  type BoxLayer,
  HIVE_TYPES,
  type Layer,
  PLAIN_PARTS,
  type StackChange,
  changeText,
  isBox,
  nestBoxes,
  stackAfter,
  stackProblem,
  supers,
} from '@brave-comb/core/equipment';
import { BROOD, shows } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { HiveStack, type StackPart, partName } from '../../equipment/hive-stack';
import { inspectionFeature } from '../../inspection/inspection.feature';
import { VisitDesk } from '../../inspection/visit-desk';
import { Choice } from '../choice';
import { Count } from '../count';
import { FIELD } from '../../parts/field';
import { MatButton } from '@angular/material/button';

const FIXED = ['floor', 'roof'] as const;
const NAMES = {
  excluder: $localize`excluder`,
  escape: $localize`escape board`,
  spacer: $localize`empty rim`,
  feeder: $localize`feeder`,
  'crown-board': $localize`crown board`,
};

/** Parts that come onto the hive for good, or leave it: a super, a second nest box, an escape, a feeder. */
@Component({
  selector: 'bc-part-card',
  imports: [MatButton, FIELD, SaidPipe, MatDialogClose, MatDialogTitle, HiveStack, Choice, Count],
  template: `
    <h2 matDialogTitle i18n>Change the hive</h2>
    <div class="scrolls" tabindex="0" role="group" aria-label="Parts of the hive" i18n-aria-label>
      <bc-hive-stack [parts]="drawn()" [width]="250" [boxWidth]="96" [textSize]="15" [current]="ringed()" />
      <div>
        <bc-choice
          legend="Put on"
          i18n-legend
          [options]="kinds()"
          [words]="words()"
          [value]="kind()"
          (chosen)="choose($event)"
        />
        @if (kind()) {
          <bc-choice legend="On top of" i18n-legend [options]="under()" [value]="on()" (chosen)="on.set($event)" />
          @if (boxKind()) {
            <bc-count
              legend="Frames in it"
              i18n-legend
              [value]="frames()"
              [most]="40"
              (counted)="frames.set($event ?? 0)"
            />
          }
          @if (kind() === 'escape') {
            <p class="caution" i18n>
              Exits point down, away from the honey. Not over brood: bees do not leave it. Not in robbing weather with a
              gap anywhere above.
            </p>
          }
          @if (kind() === 'escape' && broodAbove().length > 0) {
            <p class="stop" i18n>
              Brood in {{ broodAbove().join(', ') }}: bees will not leave it through an escape. Wait until it has
              emerged, or clear only the boxes above.
            </p>
          }
          @if (kind() === 'spacer') {
            <p class="caution" i18n>An empty rim gets filled with comb: off again at the next visit.</p>
          }
        }
        <bc-choice
          legend="Dummy board: fills the space beside fewer frames"
          i18n-legend
          [options]="dummies()"
          [value]="dummy()"
          (chosen)="turnDummy($event)"
        />
        <bc-choice legend="Take away" i18n-legend [options]="movable()" [value]="gone()" (chosen)="take($event)" />
        <label bcField class="text"
          ><span i18n>Why</span
          ><mat-form-field
            ><input matInput #why type="text" maxlength="500" [value]="reason()" (input)="reason.set(why.value)"
          /></mat-form-field>
        </label>
        @if (problem(); as wrong) {
          <p class="stop" role="alert">{{ wrong | said }}</p>
        }
        @if (done(); as text) {
          <p role="status">{{ text }}</p>
        }
      </div>
    </div>
    <div class="row">
      <button type="button" matButton="filled" [disabled]="!change() || problem() !== null" (click)="keep()" i18n>
        {!!change(), select, true {{{ says() }}} other {Choose a part}}
      </button>
      <button type="button" matButton="outlined" matDialogClose i18n>Back to the hive</button>
    </div>
  `,
  styleUrl: './cards.scss',
  styles: `
    .scrolls {
      grid-template-columns: minmax(140px, 220px) minmax(0, 1fr);
      gap: 16px;
    }
    .scrolls > div {
      display: grid;
      gap: 10px;
      align-content: start;
    }
    @media (width < 700px) {
      .scrolls {
        grid-template-columns: 1fr;
      }
      bc-hive-stack {
        max-width: 170px;
      }
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PartCard {
  private readonly store = inject(Store);
  private readonly desk = inject(VisitDesk);
  private readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  private readonly stack = this.store.selectSignal(inspectionFeature.selectStack);
  protected readonly kind = signal<string | null>(null);
  protected readonly on = signal<string | null>(null);
  protected readonly gone = signal<string | null>(null);
  protected readonly dummy = signal<string | null>(null);
  protected readonly frames = signal(0);
  protected readonly reason = signal('');
  protected readonly done = signal<string | null>(null);

  private readonly type = computed(() => this.file()?.hiveType ?? 'national');
  protected readonly kinds = computed<readonly string[]>(() => [
    ...HIVE_TYPES[this.type()].boxes,
    ...PLAIN_PARTS.filter((kind) => !(FIXED as readonly string[]).includes(kind)),
  ]);
  protected readonly words = computed<Readonly<Record<string, string>>>(() => ({
    ...NAMES,
    ...namesOf('box'),
  }));
  protected readonly boxKind = computed<BoxKindId | null>(
    () => HIVE_TYPES[this.type()].boxes.find((id) => id === this.kind()) ?? null,
  );
  protected readonly under = computed(() =>
    this.stack()
      .filter(({ kind }) => kind !== 'roof')
      .map(({ id }) => id)
      .toReversed(),
  );
  protected readonly movable = computed(() =>
    this.stack()
      .filter(({ kind }) => kind !== 'roof' && kind !== 'floor')
      .map(({ id }) => id)
      .toReversed(),
  );
  protected readonly dummyText = (box: BoxLayer): string =>
    box.dummy ? $localize`out of ${box.id}` : $localize`into ${box.id}`;
  private readonly nest = computed(() => (this.stack().some(isBox) ? nestBoxes(this.stack()) : []));
  protected readonly dummies = computed(() => this.nest().map(this.dummyText));
  /** The hive with the change that is being chosen. */
  private readonly after = computed(() => {
    const change = this.change();
    return change && this.problem() === null ? stackAfter(this.stack(), [change]) : this.stack();
  });
  protected readonly ringed = computed(() => {
    const change = this.change();
    return change?.do === 'add' ? change.layer.id : this.on();
  });
  /** Supers in which brood was seen. */
  protected readonly broodAbove = computed(() => {
    const honey = new Set(supers(this.stack()).map(({ id }) => id));
    const sides = Object.values(this.record().sides).filter(({ side }) => BROOD.some((letter) => shows(side, letter)));
    return [...new Set(sides.map(({ address }) => address.box))].filter((box) => honey.has(box));
  });
  protected readonly drawn = computed<readonly StackPart[]>(() =>
    this.after().map((layer) => ({ layer, text: partName(layer) })),
  );
  protected readonly change = computed<StackChange | null>(() => {
    const [gone, kind, on] = [this.gone(), this.kind(), this.on()];
    const box = this.nest().find((each) => this.dummyText(each) === this.dummy());
    if (box) return { do: 'dummy', box: box.id, in: !box.dummy };
    if (gone) return { do: 'take', part: gone };
    if (!kind || !on) return null;
    return { do: 'add', on, layer: this.layer(kind) };
  });
  protected readonly problem = computed(() => {
    const change = this.change();
    return change && stackProblem(this.type(), this.stack(), change);
  });
  protected readonly says = computed(() => {
    const change = this.change();
    return change ? said(changeText(change)) : '';
  });

  private layer(kind: string): Layer {
    const box = this.boxKind();
    if (!box) return { id: this.named(this.words()[kind] ?? kind), kind: kind as (typeof PLAIN_PARTS)[number] };
    const name = BOXES[box].role === 'super' ? 'super' : 'brood box';
    return { id: this.named(name), kind: 'box', box, frames: this.frames(), dummy: false };
  }

  /** "super 2" when a super, or super 1, stands there already. */
  private named(name: string): string {
    const taken = new Set(this.stack().map(({ id }) => id));
    const numbered = name === 'super' ? 1 : 2;
    if (name !== 'super' && !taken.has(name)) return name;
    let number = numbered;
    while (taken.has(`${name} ${number}`)) number += 1;
    return `${name} ${number}`;
  }

  /** A super goes on the highest box, an excluder on the nest, everything else under the crown board. */
  protected choose(kind: string): void {
    this.dummy.set(null);
    this.gone.set(null);
    this.done.set(null);
    this.kind.set(kind);
    const box = this.boxKind();
    if (box) this.frames.set(BOXES[box].frames);
    const boxes = this.stack().filter(isBox);
    const nest = boxes.filter((layer) => BOXES[layer.box].role !== 'super').at(-1);
    const excluder = this.stack().find((layer) => layer.kind === 'excluder');
    const second = box !== null && BOXES[box].role !== 'super';
    const low = kind === 'escape' ? (excluder ?? nest) : kind === 'excluder' || second ? nest : boxes.at(-1);
    this.on.set(low?.id ?? null);
  }

  protected turnDummy(text: string): void {
    this.kind.set(null);
    this.gone.set(null);
    this.done.set(null);
    this.dummy.set(text);
  }

  protected take(part: string): void {
    this.dummy.set(null);
    this.kind.set(null);
    this.done.set(null);
    this.gone.set(part);
  }

  protected keep(): void {
    const change = this.change();
    if (!change) return;
    this.desk.enter({ kind: 'stack-changed', change, reason: this.reason().trim() });
    this.done.set($localize`${said(changeText(change))}\: saved.`);
    this.kind.set(null);
    this.gone.set(null);
    this.dummy.set(null);
    this.reason.set('');
  }
}
