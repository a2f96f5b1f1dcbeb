import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatDialogClose, MatDialogTitle } from '@angular/material/dialog';
import {
  type Measure,
  NECTAR_TESTS,
  ROPE_LARVAE,
  ROPE_LIDS,
  WASH_METHODS,
  readMeasure,
} from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../../inspection/inspection.feature';
import { VisitDesk } from '../../inspection/visit-desk';
import { Choice } from '../choice';
import { Count } from '../count';

const KINDS = [
  'mites on bees',
  'mites in drone brood',
  'ropiness',
  'weight',
  'nest temperature',
  'honey moisture',
  'fresh nectar',
  'gap',
  'stuck',
  'scraps',
] as const;
type Kind = (typeof KINDS)[number];
const WORDS: Readonly<Record<Kind, string>> = {
  'mites on bees': 'mites on bees',
  'mites in drone brood': 'mites in drone brood',
  ropiness: 'matchstick test',
  weight: 'weight of the hive',
  'nest temperature': 'nest temperature',
  'honey moisture': 'water in honey',
  'fresh nectar': 'fresh nectar',
  gap: 'a gap',
  stuck: 'how stuck',
  scraps: 'scraps of wax',
};
const YES_NO = ['yes', 'no'] as const;
const HOW = ['scale', 'hefted', 'by feel'] as const;
const GRADES = ['0', '1', '2', '3'] as const;

/** Something counted, weighed or tested, with what it says at once. */
@Component({
  selector: 'bc-measure-card',
  imports: [MatDialogClose, MatDialogTitle, Choice, Count],
  template: `
    <h2 matDialogTitle>Measure</h2>
    <div class="scrolls" tabindex="0" role="group" aria-label="Measurement">
      <bc-choice legend="What" [options]="kinds" [words]="words" [value]="kind()" (chosen)="kind.set($event)" />
      @switch (kind()) {
        @case ('mites on bees') {
          <bc-choice legend="How" [options]="methods" [value]="method()" (chosen)="method.set($event)" />
          <p class="caution">Not the queen: find her first. Alcohol burns, keep it from the smoker.</p>
          <bc-count legend="Bees in the sample" [value]="a()" [step]="50" [most]="2000" (counted)="a.set($event)" />
          <bc-count legend="Mites" [value]="b()" [most]="2000" (counted)="b.set($event)" />
        }
        @case ('mites in drone brood') {
          <bc-count legend="Drone cells opened" [value]="a()" [step]="10" [most]="2000" (counted)="a.set($event)" />
          <bc-count legend="Cells with mites" [value]="b()" [most]="2000" (counted)="b.set($event)" />
        }
        @case ('ropiness') {
          <bc-choice legend="The lid is" [options]="lids" [value]="lid()" (chosen)="lid.set($event)" />
          <bc-choice legend="The larva is" [options]="larvae" [value]="larva()" (chosen)="larva.set($event)" />
          <bc-count legend="Thread on the match, mm" [value]="a()" [step]="5" [most]="100" (counted)="a.set($event)" />
          <bc-choice
            legend="Foul smell"
            [options]="yesNo"
            [value]="flag() ? 'yes' : 'no'"
            (chosen)="flag.set($event === 'yes')"
          />
        }
        @case ('weight') {
          <bc-choice legend="How" [options]="hows" [value]="how()" (chosen)="how.set($event)" />
          <bc-count legend="Kilograms" [value]="a()" [most]="150" (counted)="a.set($event)" />
        }
        @case ('nest temperature') {
          <bc-count
            legend="Degrees Celsius"
            [value]="a()"
            [step]="0.5"
            [least]="-20"
            [most]="60"
            (counted)="a.set($event)"
          />
        }
        @case ('honey moisture') {
          <bc-count
            legend="Percent water"
            [value]="a()"
            [step]="0.5"
            [least]="10"
            [most]="40"
            (counted)="a.set($event)"
          />
        }
        @case ('fresh nectar') {
          <bc-choice legend="Test" [options]="tests" [value]="test()" (chosen)="test.set($event)" />
          <bc-choice
            legend="Wet"
            [options]="yesNo"
            [value]="flag() ? 'yes' : 'no'"
            (chosen)="flag.set($event === 'yes')"
          />
        }
        @case ('gap') {
          <bc-count
            legend="Millimetres between top bars and what lies on them"
            [value]="a()"
            [most]="200"
            (counted)="a.set($event)"
          />
        }
        @case ('stuck') {
          <bc-choice
            legend="0 free to 3 glued solid"
            [options]="grades"
            [value]="grade()"
            (chosen)="grade.set($event)"
          />
        }
        @case ('scraps') {
          <bc-count
            legend="Kilograms in the lidded bucket"
            [value]="a()"
            [step]="0.1"
            [most]="20"
            (counted)="a.set($event)"
          />
        }
      }
      @if (reading(); as read) {
        <p [class]="read.level === 'act' ? 'stop' : 'caution'" role="status">
          <b>{{ read.says }}.</b> {{ read.asks }}
        </p>
      }
    </div>
    <div class="row">
      <button type="button" class="big sel" [disabled]="!reading()" (click)="keep()">Keep it</button>
      <button type="button" class="big" matDialogClose>Back to the hive</button>
    </div>
    @if (kept(); as words) {
      <p role="status">Kept: {{ words }}</p>
    }
  `,
  styleUrl: './cards.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class MeasureCard {
  private readonly store = inject(Store);
  private readonly desk = inject(VisitDesk);
  private readonly box = this.store.selectSignal(inspectionFeature.selectBox);
  protected readonly kinds = KINDS;
  protected readonly words = WORDS;
  protected readonly methods = WASH_METHODS;
  protected readonly lids = ROPE_LIDS;
  protected readonly larvae = ROPE_LARVAE;
  protected readonly tests = NECTAR_TESTS;
  protected readonly yesNo = YES_NO;
  protected readonly hows = HOW;
  protected readonly grades = GRADES;

  protected readonly kind = signal<Kind>('mites on bees');
  protected readonly a = signal<number | null>(null);
  protected readonly b = signal<number | null>(null);
  protected readonly flag = signal(false);
  protected readonly method = signal<(typeof WASH_METHODS)[number]>('alcohol wash');
  protected readonly lid = signal<(typeof ROPE_LIDS)[number]>('sound');
  protected readonly larva = signal<(typeof ROPE_LARVAE)[number]>('pearly');
  protected readonly test = signal<(typeof NECTAR_TESTS)[number]>('drip');
  protected readonly how = signal<(typeof HOW)[number]>('hefted');
  protected readonly grade = signal<(typeof GRADES)[number]>('1');
  protected readonly kept = signal<string | null>(null);

  private readonly measure = computed<Measure | null>(() => {
    const [a, b, box] = [this.a(), this.b(), this.box()?.id ?? 'hive'];
    const kind = this.kind();
    switch (kind) {
      case 'mites on bees':
        return a && b !== null && b <= a ? { what: kind, method: this.method(), bees: a, mites: b } : null;
      case 'mites in drone brood':
        return a && b !== null && b <= a ? { what: kind, cells: a, infested: b } : null;
      case 'ropiness':
        return {
          what: kind,
          test: { lid: this.lid(), larva: this.larva(), threadMm: a, foulSmell: this.flag() },
        };
      case 'weight':
        return a === null ? null : { what: kind, part: 'hive', how: this.how(), kg: a };
      case 'nest temperature':
        return a === null ? null : { what: kind, celsius: a };
      case 'honey moisture':
        return a === null ? null : { what: kind, box, percent: a };
      case 'fresh nectar':
        return { what: kind, box, test: this.test(), wet: this.flag() };
      case 'gap':
        return a === null ? null : { what: kind, between: 'top bars and what lies on them', mm: a };
      case 'stuck':
        return { what: kind, part: box, grade: Number(this.grade()) };
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
    this.kept.set(readMeasure(measure).says);
    this.a.set(null);
    this.b.set(null);
  }
}
