import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { glossaries } from '@brave-comb/core/words/glossary';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { languageInUse } from '../language/words';
import { Worded } from '../parts/worded';
import { peopleFeature } from '../people/people.feature';
import { dateText } from '../ui/format';
import { placesFor } from '../ui/places';
import { titled } from '../ui/titled';
import { WordDrawing } from './word-drawing';
import { WORD_PLACES } from './word-places';

/** Colonies that are named. */
const NAMED = 6;

/** One word of the trade: what it means, how it looks, what this school does about it, and where it was seen last. */
@Component({
  selector: 'bc-word-page',
  imports: [RouterLink, ViewState, WordDrawing, Worded],
  templateUrl: './word-page.html',
  styleUrl: './word-page.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class WordPage {
  /** Address of the word; without one the first that one might ask for is shown. */
  readonly word = input<string>();
  private readonly person = inject(Store).selectSignal(peopleFeature.selectPerson);
  private readonly all = glossaries[languageInUse()];
  protected readonly term = computed(() => this.all.find(({ id }) => id === (this.word() ?? 'queen-cell')) ?? null);
  protected readonly watched = inject(ViewDesk).watch('wordHere', () => {
    const term = this.term();
    return term && { params: { word: term.id } };
  });
  protected readonly near = computed(() => this.all.filter(({ id }) => this.term()?.see?.includes(id)));
  protected readonly places = computed(() => {
    const wanted = WORD_PLACES[this.term()?.id ?? ''] ?? [];
    return placesFor(this.person()?.role ?? '').flatMap((place) =>
      place.views
        .filter((view) => wanted.includes(`${place.id}/${view.id}`))
        .map((view) => ({ link: view.link, name: `${place.name}: ${view.name}` })),
    );
  });
  protected readonly seen = computed(() =>
    (this.watched.data()?.seen ?? []).slice(0, NAMED).map((each) => ({ ...each, day: dateText(each.date) })),
  );
  protected readonly more = computed(() => (this.watched.data()?.seen.length ?? 0) - this.seen().length);

  constructor() {
    titled(() => (this.word() === undefined ? null : (this.term()?.term ?? null)));
  }
}
