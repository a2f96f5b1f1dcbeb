import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatSnackBar } from '@angular/material/snack-bar';
import { RouterLink } from '@angular/router';
import { named } from '@brave-comb/core/language';
import {
  type Around,
  type Landmark,
  type PlanStand,
  type PlanTrouble,
  clearShift,
  freePlace,
} from '@brave-comb/core/site';
import { COMPASS_POINTS, compassPoint } from '@brave-comb/core/units';
import { said } from '../language/said';
import { keptFigure, measured, typedFigure, unit } from '../language/units';
import { FIELD } from '../parts/field';
import {
  type Drawn,
  type Item,
  hiveOf,
  landmarkOf,
  standMoved,
  standOf,
  withHive,
  withLandmark,
  withStand,
} from './plan-draft';
import { KINDS } from './plan-ground';

/** The stand, hive or landmark that is chosen on a plan, to be changed by fields. */
@Component({
  selector: 'bc-plan-side',
  imports: [FIELD, MatButton, RouterLink],
  templateUrl: './plan-side.html',
  styleUrl: './office.scss',
  styles: `
    :host {
      display: grid;
      gap: 10px;
      margin: 0;
    }
    p {
      margin: 0;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PlanSide {
  private readonly bar = inject(MatSnackBar);
  readonly drawn = input.required<Drawn>();
  readonly chosen = input.required<Item | null>();
  readonly around = input.required<Around>();
  readonly troubles = input.required<readonly PlanTrouble[]>();
  readonly fixed = input.required<boolean>();
  readonly changed = output<Drawn>();
  readonly chose = output<Item | null>();
  readonly taken = output<Item>();
  protected readonly unit = unit;
  protected readonly typed = typedFigure;
  protected readonly kinds = KINDS;
  protected readonly points = COMPASS_POINTS.map((point, at) => ({
    degrees: at * 45,
    name: said(named('compass', point)),
  }));

  protected readonly stand = computed((): PlanStand | null => this.chosenOf('stand', standOf));
  protected readonly hive = computed(() => this.chosenOf('hive', hiveOf));
  protected readonly landmark = computed((): Landmark | null => this.chosenOf('landmark', landmarkOf));
  private chosenOf<T>(kind: Item['kind'], find: (drawn: Drawn, id: string) => T | undefined): T | null {
    const chosen = this.chosen();
    return chosen?.kind === kind ? (find(this.drawn(), chosen.id) ?? null) : null;
  }
  protected readonly onStand = computed(() => {
    const [drawn, stand] = [this.drawn(), this.stand()];
    if (!stand) return null;
    return {
      here: drawn.hives.filter((each) => each.stand === stand.name),
      others: drawn.hives.filter((each) => each.stand !== stand.name),
    };
  });
  protected readonly shift = computed(() => {
    const [drawn, stand] = [this.drawn(), this.stand()];
    if (!stand || this.fixed() || !this.troubles().some((each) => each.serious && each.stand === stand.id)) return null;
    return clearShift(drawn.plan, drawn.hives, stand, this.around());
  });
  protected readonly saidMove = computed(() => {
    const shift = this.shift();
    return shift
      ? $localize`Move it ${measured('length', shift.metres, 1)} to the ${said(named('compass', shift.towards))}`
      : '';
  });

  protected readonly shifted = computed(() => {
    const [stand, shift] = [this.stand(), this.shift()];
    return stand && shift ? standMoved(this.drawn(), stand, shift.to) : null;
  });
  protected readonly faces = computed(() => this.stand()?.faces ?? this.hive()?.place?.faces ?? null);
  protected readonly sizeOf = (mark: Landmark) => {
    const size = SIZES[mark.kind];
    return size && { name: size.name, value: typedFigure('length', size.of(mark)) };
  };
  protected readonly pointNear = (degrees: number): number => COMPASS_POINTS.indexOf(compassPoint(degrees)) * 45;

  protected place({ target }: Event, stand: PlanStand, side: 'east' | 'north'): void {
    const value = lengthIn(target, [-2000, 2000], stand[side]);
    if (value !== null) this.changed.emit(standMoved(this.drawn(), stand, { [side]: value }));
  }
  protected face(degrees: number): void {
    const [drawn, stand, hive] = [this.drawn(), this.stand(), this.hive()];
    if (stand) this.changed.emit(standMoved(drawn, stand, { faces: degrees }));
    else if (hive?.place) this.changed.emit(withHive(drawn, hive.id, { place: { ...hive.place, faces: degrees } }));
  }
  protected faceTyped({ target }: Event, was: number): void {
    const value = numberIn(target, [0, 359], was);
    if (value !== null) this.face(Math.round(value));
  }
  protected raise({ target }: Event, stand: PlanStand): void {
    const typed = (target as HTMLInputElement).value.trim();
    const height = typed === '' ? null : numberIn(target, [0, 200], stand.height ?? '');
    if (typed === '' || height !== null)
      this.changed.emit(withStand(this.drawn(), { ...stand, height: height === null ? null : Math.round(height) }));
  }
  protected renameMark({ target }: Event, mark: Landmark): void {
    this.changed.emit(withLandmark(this.drawn(), { ...mark, name: (target as HTMLInputElement).value.trim() }));
  }
  protected rename({ target }: Event, stand: PlanStand): void {
    const [drawn, field] = [this.drawn(), target as HTMLInputElement];
    const name = field.value.trim();
    const taken = drawn.plan.stands.some(
      (each) => each.id !== stand.id && each.name.toLowerCase() === name.toLowerCase(),
    );
    if (name === '' || taken) {
      field.value = stand.name;
      const why = taken ? $localize`Another stand is called ${name}.` : $localize`A stand has a name.`;
      this.bar.open(why, undefined, { duration: 6000 });
      return;
    }
    const hives = drawn.hives.map((each) => (each.stand === stand.name ? { ...each, stand: name } : each));
    this.changed.emit({ ...withStand(drawn, { ...stand, name }), hives });
  }
  protected resize({ target }: Event, mark: Landmark): void {
    const size = SIZES[mark.kind];
    if (size === null) return;
    const value = lengthIn(target, size.bounds, size.of(mark) ?? 0);
    if (value !== null) this.changed.emit(withLandmark(this.drawn(), { ...mark, [size.key]: value }));
  }

  /** Puts a hive on the open stand, at its next free place. */
  protected putOn(id: string, stand: PlanStand): void {
    const drawn = this.drawn();
    const others = drawn.hives.filter((each) => each.id !== id);
    this.changed.emit(withHive(drawn, id, { stand: stand.name, place: freePlace(stand, others) }));
  }
  protected addPoint(mark: Landmark): void {
    if (!('along' in mark)) return;
    const [one, other] = [mark.along.at(-2)!, mark.along.at(-1)!];
    const end = { east: 2 * other.east - one.east, north: 2 * other.north - one.north };
    this.changed.emit(withLandmark(this.drawn(), { ...mark, along: [...mark.along, end] }));
    this.chose.emit({ kind: 'landmark', id: mark.id, point: mark.along.length });
  }
}

type Bounds = readonly [least: number, most: number];

/** What stands in a field, within its bounds; else `null`, and the field shows again what is kept. */
function numberIn(target: EventTarget | null, [least, most]: Bounds, was: number | ''): number | null {
  const field = target as HTMLInputElement;
  const value = Number(field.value);
  if (field.value.trim() !== '' && value >= least && value <= most) return value;
  field.value = `${was}`;
  return null;
}

/** A length that was typed in the reader's unit, m. */
function lengthIn(target: EventTarget | null, bounds: Bounds, was: number): number | null {
  const [least, most] = bounds.map((metres) => Number(typedFigure('length', metres)));
  const typed = numberIn(target, [least!, most!], typedFigure('length', was));
  return typed === null ? null : keptFigure('length', `${typed}`);
}

/** What of a landmark has a size, and what it is called. */
const SIZES: Readonly<
  Record<
    Landmark['kind'],
    {
      readonly key: 'width' | 'height' | 'radius';
      readonly name: string;
      readonly bounds: Bounds;
      readonly of: (mark: Landmark) => number | null;
    } | null
  >
> = {
  path: {
    key: 'width',
    name: $localize`Width, ${unit('length')}`,
    bounds: [0.3, 10],
    of: (mark) => (mark.kind === 'path' ? mark.width : null),
  },
  barrier: {
    key: 'height',
    name: $localize`Height, ${unit('length')}`,
    bounds: [0.2, 10],
    of: (mark) => (mark.kind === 'barrier' ? mark.height : null),
  },
  tree: {
    key: 'radius',
    name: $localize`From trunk to edge, ${unit('length')}`,
    bounds: [0.2, 20],
    of: (mark) => (mark.kind === 'tree' ? mark.radius : null),
  },
  gate: null,
};
