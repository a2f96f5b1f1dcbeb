import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { Happenings } from '@brave-comb/contract';
import type { PollenColour } from '@brave-comb/core/inspection';
import { dayText, oddsText } from '../ui/format';
import { ViewDesk } from '../api/view-desk';
import { Named } from '../language/words';
import { FIELD } from '../parts/field';

/** This week's key to the colours of pollen loads at the site, what was seen, and what is still unknown. */
@Component({
  selector: 'bc-pollen-key',
  imports: [FIELD, MatButton, Named],
  template: `
    <section class="sheet" aria-labelledby="pollen-title">
      <h2 id="pollen-title" i18n>Pollen colours of the week</h2>
      <p class="quiet" i18n>Colour alone is never proof: the week, the site and earlier records count too.</p>
      <div class="colours" role="group" aria-label="Colour of the loads" i18n-aria-label>
        @for (each of all().pollen.key; track each.colour) {
          <button
            type="button"
            matButton="outlined"
            [attr.aria-pressed]="colour() === each.colour"
            (click)="colour.set(each.colour)"
          >
            <span [style.background]="each.shade" aria-hidden="true"></span>{{ each.colour | named: 'pollenColour' }}
          </button>
        }
      </div>
      @if (chosen(); as key) {
        <div class="answer">
          <b i18n>{{ key.colour | named: 'pollenColour' }}, now:</b>
          <ul>
            @for (guess of key.guesses; track guess.plant) {
              <li>
                {{ guess.plant }}, {{ oddsText(guess.share) }}<i>{{ guess.why }}</i>
                <button type="button" matButton class="small" (click)="see(guess.plant)" i18n>it was this</button>
              </li>
            } @empty {
              <li i18n>Nothing that blooms here now fits.</li>
            }
          </ul>
          <button type="button" matButton="outlined" (click)="see(null)" i18n>Unknown, ask later</button>
        </div>
      }
      @if (unknown().length) {
        <h3 i18n>Unknown, ask later</h3>
        <ul class="list">
          @for (each of unknown(); track each.id) {
            <li>
              <span class="dot" [style.background]="shade(each.colour)" aria-hidden="true"></span>
              {{ each.colour | named: 'pollenColour' }}, {{ dayText(each.date) }} <i>{{ each.by }}</i>
              @if (all().mayEdit) {
                <label bcField>
                  <span class="unseen" i18n
                    >Plant of the {{ each.colour | named: 'pollenColour' }} loads of {{ each.date }}</span
                  >
                  <mat-form-field
                    ><mat-select value="" (selectionChange)="settle(each.id, $event.value)">
                      <mat-option value="" i18n>settle it</mat-option>
                      @for (one of all().plants; track one.id) {
                        <mat-option [value]="one.name">{{ one.name }}</mat-option>
                      }
                    </mat-select></mat-form-field
                  >
                </label>
              }
            </li>
          }
        </ul>
      }
      @if (known().length) {
        <h3 i18n>Seen here</h3>
        <ul class="list">
          @for (each of known(); track each.id) {
            <li>
              <span class="dot" [style.background]="shade(each.colour)" aria-hidden="true"></span>
              {{ each.colour | named: 'pollenColour' }}: {{ each.plant }}, {{ dayText(each.date) }}
              <i>{{ each.by }}</i>
            </li>
          }
        </ul>
      }
    </section>
  `,
  styles: `
    .colours {
      display: flex;
      flex-wrap: wrap;
      gap: 4px;
      margin: 6px 0;
    }
    .colours span,
    .dot {
      display: inline-block;
      margin-right: 6px;
      vertical-align: -4px;
      width: 18px;
      height: 18px;
      border: 1px solid var(--ink-3);
      border-radius: 50%;
    }
    .answer {
      display: grid;
      gap: 5px;
      justify-items: start;
      padding: 6px 10px;
      border-left: 4px solid var(--heather);
      font-size: var(--t-dense);
    }
    i {
      margin: 0 8px;
      color: var(--ink-2);
      font-style: normal;
    }
    .list {
      display: grid;
      gap: 3px;
      font-size: var(--t-dense);
    }
    .list li {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      align-items: center;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PollenKey {
  private readonly desk = inject(ViewDesk);
  readonly all = input.required<Happenings>();
  protected readonly colour = signal<PollenColour | null>(null);
  protected readonly chosen = computed(
    () => this.all().pollen.key.find((each) => each.colour === this.colour()) ?? null,
  );
  protected readonly unknown = computed(() => this.all().pollen.seen.filter((each) => each.plant === null));
  protected readonly known = computed(() =>
    this.all()
      .pollen.seen.filter((each) => each.plant !== null)
      .slice(0, 12),
  );

  protected shade(colour: string): string {
    return this.all().pollen.key.find((each) => each.colour === colour)?.shade ?? 'none';
  }

  protected see(plant: string | null): void {
    const [colour, { site, today }] = [this.colour(), this.all()];
    if (colour === null) return;
    const body = { id: this.desk.newId(), colour, date: today, plant };
    this.desk.change('seePollen', { params: { site: site.id }, body }, 'happenings');
    this.colour.set(null);
  }

  protected settle(seen: string, plant: string): void {
    if (plant) this.desk.change('settlePollen', { params: { seen }, body: { plant } }, 'happenings');
  }

  protected readonly dayText = dayText;
  protected readonly oddsText = oddsText;
}
