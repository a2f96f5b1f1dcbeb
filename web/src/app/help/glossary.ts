import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { MatChipListbox, MatChipOption } from '@angular/material/chips';
import { RouterLink } from '@angular/router';
import { SUBJECTS, type Subject, findTerms, glossaries } from '@brave-comb/core/words/glossary';
import { languageInUse } from '../language/words';
import { FIELD } from '../parts/field';
import { titled } from '../ui/titled';

const SUBJECT_NAMES: Readonly<Record<Subject, string>> = {
  bees: $localize`Bees and queen`,
  brood: $localize`Brood`,
  comb: $localize`Comb and stores`,
  hive: $localize`The hive`,
  work: $localize`Work at the hive`,
  increase: $localize`Swarming and increase`,
  season: $localize`Season and weather`,
  feeding: $localize`Feeding`,
  health: $localize`Health`,
  records: $localize`Skills and records`,
};

/** The words of the trade as they are used here. */
@Component({
  selector: 'bc-glossary',
  imports: [FIELD, MatChipListbox, MatChipOption, RouterLink],
  template: `
    <div class="pages">
      <section class="sheet" aria-labelledby="glossary-title">
        <h1 id="glossary-title" i18n>
          Glossary<span> {{ all.length }} words as they are used here</span>
        </h1>
        <div class="fields">
          <label bcField
            ><span i18n>Find a word, or another name for it</span>
            <mat-form-field>
              <input
                matInput
                #typed
                type="search"
                autocomplete="off"
                placeholder="nuc, lid, peanut …"
                i18n-placeholder
                [value]="wanted()"
                (input)="wanted.set(typed.value)"
              />
            </mat-form-field>
          </label>
          <mat-chip-listbox aria-label="What it is about" i18n-aria-label>
            @for (subject of subjects; track subject) {
              <mat-chip-option
                [selected]="about() === subject"
                (selectionChange)="$event.isUserInput && about.set($event.selected ? subject : null)"
                >{{ names[subject] }}</mat-chip-option
              >
            }
          </mat-chip-listbox>
        </div>
        <p class="unseen" aria-live="polite" i18n>
          {found().length, plural, =0 {No word found} =1 {One word} other {{{ found().length }} words}}
        </p>
        <dl>
          @for (each of found(); track each.id) {
            <div [class.chosen]="each.id === word()" [id]="each.id">
              <dt>
                {{ each.term }}
                @if (each.also; as also) {
                  <i i18n>also {{ also.join(', ') }}</i>
                }
              </dt>
              <dd>
                {{ each.meaning }}.
                @for (near of nearTo(each.see ?? []); track near.id) {
                  <a [routerLink]="['/help/glossary', near.id]">{{ near.term }}</a>
                }
              </dd>
            </div>
          } @empty {
            <p i18n>No word like that. Try a part of it, or ask the lead instructor.</p>
          }
        </dl>
      </section>
    </div>
  `,
  styles: `
    h1 span {
      color: var(--ink-2);
      font-weight: 450;
    }
    .fields {
      margin: 8px 0;
    }
    dl {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(min(360px, 100%), 1fr));
      gap: 0 28px;
    }
    dl > div {
      padding: 7px 8px;
      border-top: 1px solid var(--line-2);
    }
    .chosen {
      background: var(--heather-100);
      box-shadow: inset 4px 0 var(--heather);
    }
    dt {
      font-weight: 700;
    }
    dt i {
      color: var(--ink-2);
      font-style: normal;
      font-weight: 400;
      font-size: var(--t-dense);
    }
    dd a {
      margin-right: 8px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Glossary {
  /** The word that a link led to. */
  readonly word = input<string>();
  protected readonly all = glossaries[languageInUse()];
  protected readonly subjects = SUBJECTS;
  protected readonly names = SUBJECT_NAMES;
  protected readonly wanted = signal('');
  protected readonly about = signal<Subject | null>(null);
  /** All words, those of a subject, or what may be meant; the word that a link led to stands first. */
  protected readonly found = computed(() => {
    const about = this.about();
    const found = findTerms(this.all, this.wanted()).filter((each) => about === null || each.about === about);
    const word = this.wanted() === '' ? this.word() : undefined;
    return [...found.filter(({ id }) => id === word), ...found.filter(({ id }) => id !== word)];
  });

  constructor() {
    titled(() => this.all.find(({ id }) => id === this.word())?.term ?? null);
  }

  protected nearTo(ids: readonly string[]) {
    return this.all.filter(({ id }) => ids.includes(id));
  }
}
