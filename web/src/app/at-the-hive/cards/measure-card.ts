import { UnitName } from '../../language/units';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatDialogClose, MatDialogTitle } from '@angular/material/dialog';
import {
  type Measure,
  NECTAR_TESTS,
  ROPE_LARVAE,
  ROPE_LIDS,
  WASH_METHODS,
  isSuspect,
  readMeasure,
  spotOf,
  spotText,
} from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../../inspection/inspection.feature';
import { VisitDesk } from '../../inspection/visit-desk';
import { Choice } from '../choice';
import { Count } from '../count';
import { said, SaidPipe } from '../../language/said';
import { MatButton } from '@angular/material/button';

const KINDS = [
  'mites-on-bees',
  'mites-in-drone-brood',
  'ropiness',
  'weight',
  'nest-temperature',
  'honey-moisture',
  'fresh-nectar',
  'gap',
  'stuck',
  'scraps',
] as const;
type Kind = (typeof KINDS)[number];
const WORDS: Readonly<Record<Kind, string>> = {
  'mites-on-bees': $localize`mites on bees`,
  'mites-in-drone-brood': $localize`mites in drone brood`,
  ropiness: $localize`ropiness (matchstick) test`,
  weight: $localize`hefting, weight`,
  'nest-temperature': $localize`nest temperature`,
  'honey-moisture': $localize`water in honey`,
  'fresh-nectar': $localize`fresh nectar`,
  gap: $localize`bee space`,
  stuck: $localize`propolised`,
  scraps: $localize`scraps of wax`,
};
/** A test of a side that is not named. */
const NOWHERE = $localize`another comb`;
const YES_NO = ['yes', 'no'] as const;
const HOW = ['scale', 'hefted', 'by-feel'] as const;
const GRADES = ['0', '1', '2', '3'] as const;

/** Something counted, weighed or tested, with what it says at once. */
@Component({
  selector: 'bc-measure-card',
  imports: [MatButton, UnitName, SaidPipe, MatDialogClose, MatDialogTitle, Choice, Count],
  template: `
    <h2 matDialogTitle i18n>Measure</h2>
    <div class="scrolls" tabindex="0" role="group" aria-label="Measurement" i18n-aria-label>
      <bc-choice
        legend="What"
        i18n-legend
        [options]="kinds"
        [words]="words"
        [value]="kind()"
        (chosen)="choose($event)"
      />
      @switch (kind()) {
        @case ('mites-on-bees') {
          <bc-choice
            legend="How"
            i18n-legend
            of="washMethod"
            [options]="methods"
            [value]="method()"
            (chosen)="method.set($event)"
          />
          <p class="caution" i18n>Not the queen: find her first. Alcohol is flammable, keep it away from the smoker.</p>
          <bc-count
            legend="Bees in the sample"
            i18n-legend
            [value]="a()"
            [step]="50"
            [most]="2000"
            (counted)="a.set($event)"
          />
          <bc-count legend="Mites" i18n-legend [value]="b()" [most]="2000" (counted)="b.set($event)" />
        }
        @case ('mites-in-drone-brood') {
          <bc-count
            legend="Drone cells opened"
            i18n-legend
            [value]="a()"
            [step]="10"
            [most]="2000"
            (counted)="a.set($event)"
          />
          <bc-count legend="Cells with mites" i18n-legend [value]="b()" [most]="2000" (counted)="b.set($event)" />
        }
        @case ('ropiness') {
          <bc-choice legend="Tested on" i18n-legend [options]="spots()" [value]="spot()" (chosen)="spot.set($event)" />
          <bc-choice
            legend="The capping is"
            i18n-legend
            of="ropeLid"
            [options]="lids"
            [value]="lid()"
            (chosen)="lid.set($event)"
          />
          <bc-choice
            legend="The larva is"
            i18n-legend
            of="ropeLarva"
            [options]="larvae"
            [value]="larva()"
            (chosen)="larva.set($event)"
          />
          <div class="row">
            <button
              type="button"
              matButton="outlined"
              [class.sel]="a() === 0"
              [attr.aria-pressed]="a() === 0"
              (click)="a.set(0)"
              i18n
            >
              breaks at once, no thread
            </button>
          </div>
          <bc-count
            legend="Thread on the match, {{ 'gap' | unit }}"
            i18n-legend
            quantity="gap"
            [value]="a() || null"
            [step]="5"
            [most]="100"
            (counted)="a.set($event)"
          />
          <bc-choice
            legend="Foul smell"
            i18n-legend
            of="yesNo"
            [options]="yesNo"
            [value]="flagWord()"
            (chosen)="flag.set($event === 'yes')"
          />
        }
        @case ('weight') {
          <bc-choice
            legend="How"
            i18n-legend
            of="weighed"
            [options]="hows"
            [value]="how()"
            (chosen)="how.set($event)"
          />
          <bc-count
            legend="On the scale, {{ 'weight' | unit }}"
            i18n-legend
            quantity="weight"
            [value]="a()"
            [most]="150"
            (counted)="a.set($event)"
          />
        }
        @case ('nest-temperature') {
          <bc-count
            legend="Between the frames, {{ 'temperature' | unit }}"
            i18n-legend
            quantity="temperature"
            [value]="a()"
            [step]="0.5"
            [least]="-20"
            [most]="60"
            (counted)="a.set($event)"
          />
        }
        @case ('honey-moisture') {
          <bc-count
            legend="Water, %"
            i18n-legend
            [value]="a()"
            [step]="0.5"
            [least]="10"
            [most]="40"
            (counted)="a.set($event)"
          />
        }
        @case ('fresh-nectar') {
          <bc-choice
            legend="Test"
            i18n-legend
            of="nectarTest"
            [options]="tests"
            [value]="test()"
            (chosen)="test.set($event)"
          />
          <bc-choice
            legend="Wet"
            i18n-legend
            of="yesNo"
            [options]="yesNo"
            [value]="flagWord()"
            (chosen)="flag.set($event === 'yes')"
          />
        }
        @case ('gap') {
          <bc-count
            legend="Between top bars and what lies on them, {{ 'gap' | unit }}"
            i18n-legend
            quantity="gap"
            [value]="a()"
            [most]="200"
            (counted)="a.set($event)"
          />
        }
        @case ('stuck') {
          <bc-choice
            legend="0 free to 3 stuck fast"
            i18n-legend
            [options]="grades"
            [value]="grade()"
            (chosen)="grade.set($event)"
          />
        }
        @case ('scraps') {
          <bc-count
            legend="In the lidded bucket, {{ 'weight' | unit }}"
            i18n-legend
            quantity="weight"
            [value]="a()"
            [step]="0.1"
            [most]="20"
            (counted)="a.set($event)"
          />
        }
      }
      @if (reading(); as read) {
        <p [class]="read.level === 'act' ? 'stop' : 'caution'" role="status">
          <b>{{ read.says | said }}.</b> {{ read.asks | said }}
        </p>
      }
    </div>
    <div class="row">
      <button type="button" matButton="filled" [disabled]="!reading()" (click)="keep()" i18n>Save</button>
      <button type="button" matButton="outlined" matDialogClose i18n>Back to the hive</button>
    </div>
    @if (kept(); as words) {
      <p role="status" i18n>Saved: {{ words }}</p>
    }
  `,
  styleUrl: './cards.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class MeasureCard {
  private readonly store = inject(Store);
  private readonly desk = inject(VisitDesk);
  private readonly box = this.store.selectSignal(inspectionFeature.selectBox);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  protected readonly kinds = KINDS;
  protected readonly words = WORDS;
  protected readonly methods = WASH_METHODS;
  protected readonly lids = ROPE_LIDS;
  protected readonly larvae = ROPE_LARVAE;
  protected readonly tests = NECTAR_TESTS;
  protected readonly yesNo = YES_NO;
  protected readonly hows = HOW;
  protected readonly grades = GRADES;

  protected readonly kind = signal<Kind | null>(null);
  /** The side that is tested: a doubtful one, or the one in hand. */
  protected readonly spot = signal<string | null>(null);
  protected readonly a = signal<number | null>(null);
  protected readonly b = signal<number | null>(null);
  protected readonly flag = signal<boolean | null>(null);
  protected readonly method = signal<(typeof WASH_METHODS)[number] | null>(null);
  protected readonly lid = signal<(typeof ROPE_LIDS)[number] | null>(null);
  protected readonly larva = signal<(typeof ROPE_LARVAE)[number] | null>(null);
  protected readonly test = signal<(typeof NECTAR_TESTS)[number] | null>(null);
  protected readonly how = signal<(typeof HOW)[number] | null>(null);
  protected readonly grade = signal<(typeof GRADES)[number] | null>(null);
  protected readonly kept = signal<string | null>(null);

  /** Sides that a test may be of, doubtful ones first. */
  private readonly places = computed(() => {
    const record = this.record();
    const doubtful = Object.values(record.sides).filter(({ side }) => side.doubtful || side.marks?.some(isSuspect));
    const here = this.desk.spot();
    const all = [...doubtful.map(({ address }) => spotOf(address)), ...(here ? [here] : [])];
    return new Map(all.map((spot) => [said(spotText(spot)), spot]));
  });
  protected readonly spots = computed(() => [...this.places().keys(), NOWHERE]);
  protected readonly flagWord = computed(() => {
    const flag = this.flag();
    return flag === null ? null : flag ? ('yes' as const) : ('no' as const);
  });

  /** Nothing is preset: what nobody answered is no result. */
  private readonly measure = computed<Measure | null>(() => {
    const [a, b, box] = [this.a(), this.b(), this.box()?.id ?? 'hive'];
    const [method, lid, larva, flag, how, test, grade] = [
      this.method(),
      this.lid(),
      this.larva(),
      this.flag(),
      this.how(),
      this.test(),
      this.grade(),
    ];
    const kind = this.kind();
    switch (kind) {
      case null:
        return null;
      case 'mites-on-bees':
        return a && b !== null && method ? { what: kind, method, bees: a, mites: b } : null;
      case 'mites-in-drone-brood':
        return a && b !== null && b <= a ? { what: kind, cells: a, infested: b } : null;
      case 'ropiness': {
        const scale = larva === 'dry-scale';
        if (!lid || !larva || flag === null || this.spot() === null || (a === null && !scale)) return null;
        const spot = this.places().get(this.spot()!) ?? null;
        return { what: kind, test: { lid, larva, threadMm: a, foulSmell: flag }, spot };
      }
      case 'weight':
        return a === null || !how ? null : { what: kind, part: 'hive', how, kg: a };
      case 'nest-temperature':
        return a === null ? null : { what: kind, celsius: a };
      case 'honey-moisture':
        return a === null ? null : { what: kind, box, percent: a };
      case 'fresh-nectar':
        return test && flag !== null ? { what: kind, box, test, wet: flag } : null;
      case 'gap':
        return a === null ? null : { what: kind, between: $localize`top bars and what lies on them`, mm: a };
      case 'stuck':
        return grade ? { what: kind, part: box, grade: Number(grade) } : null;
      case 'scraps':
        return a === null ? null : { what: kind, kg: a };
    }
  });
  protected readonly reading = computed(() => {
    const measure = this.measure();
    return measure && readMeasure(measure);
  });

  protected keep(): void {
    const measure = this.measure();
    if (!measure) return;
    this.desk.enter({ kind: 'measured', measure });
    this.kept.set(said(readMeasure(measure).says));
    this.clear();
  }

  protected choose(kind: Kind): void {
    this.kind.set(kind);
    this.clear();
  }

  private clear(): void {
    for (const answer of [
      this.a,
      this.b,
      this.flag,
      this.method,
      this.lid,
      this.larva,
      this.test,
      this.how,
      this.grade,
      this.spot,
    ])
      answer.set(null);
  }
}
