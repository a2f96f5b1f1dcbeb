import { ChangeDetectionStrategy, ChangeDetectorRef, Component, inject, signal } from '@angular/core';
import { Title } from '@angular/platform-browser';
import { Store } from '@ngrx/store';
import { Clock } from '../people/clock';
import { peopleFeature } from '../people/people.feature';
import { SCHOOL_ZONE } from '../people/school-zone';
import { seasonFeature } from '../season/season.feature';
import { longDay, timeOf } from '../ui/format';

/** Stands on every printed page: what it is, of which site and school, and when somebody printed it. */
@Component({
  selector: 'bc-print-head',
  template: `
    <div>
      <b>{{ what() }}</b>
      <span>{{ where() }}</span>
      <span class="printed">{{ printed() }}</span>
    </div>
  `,
  styles: `
    div {
      display: flex;
      flex-wrap: wrap;
      gap: 0 14px;
      margin-bottom: 10px;
      border-bottom: 2.5px solid var(--ink);
      padding-bottom: 3px;
      font-size: 8pt;
    }
    .printed {
      margin-left: auto;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(window:beforeprint)': 'fill()' },
})
export class PrintHead {
  private readonly title = inject(Title);
  private readonly store = inject(Store);
  private readonly clock = inject(Clock);
  private readonly zone = inject(SCHOOL_ZONE);
  private readonly changes = inject(ChangeDetectorRef);
  private readonly person = this.store.selectSignal(peopleFeature.selectPerson);
  private readonly strip = this.store.selectSignal(seasonFeature.selectStrip);
  protected readonly what = signal('');
  protected readonly where = signal('');
  protected readonly printed = signal('');

  /** The page is drawn right after: it cannot wait for the next change. */
  protected fill(): void {
    const [person, zone, now] = [this.person(), this.zone(), this.clock.now()];
    this.what.set(this.title.getTitle().replace(/ – Brave Comb$/, ''));
    this.where.set([this.strip()?.site.name, person?.school.name].filter(Boolean).join(', '));
    this.printed.set($localize`printed ${longDay(now, zone)}, ${timeOf(now, zone)} by ${person?.name ?? ''}`);
    this.changes.detectChanges();
  }
}
