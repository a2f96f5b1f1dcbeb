import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { SUBJECTS, type Subject, type Term, findTerms, glossaries } from '@brave-comb/core/words/glossary';
import { filter, map, startWith } from 'rxjs';
import { languageInUse } from '../language/words';
import { FIELD } from '../parts/field';

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

/** The words of the trade as they are used here: a list to find one in, and beside it what it means. */
@Component({
  selector: 'bc-glossary',
  imports: [FIELD, RouterLink, RouterLinkActive, RouterOutlet],
  templateUrl: './glossary.html',
  styleUrl: './glossary.scss',
  host: { '(document:keydown./)': 'find($event)' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Glossary {
  protected readonly all = glossaries[languageInUse()];
  protected readonly subjects = SUBJECTS;
  protected readonly names = SUBJECT_NAMES;
  protected readonly wanted = signal('');
  protected readonly about = signal<Subject | null>(null);
  private readonly router = inject(Router);
  private readonly field = viewChild<ElementRef<HTMLInputElement>>('typed');
  private readonly list = viewChild<ElementRef<HTMLElement>>('list');
  /** The word that is open: on a phone it takes the place of the list. */
  protected readonly opened = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      startWith(null),
      map(() => /glossary\/(.+)/.exec(this.router.url)?.[1] ?? null),
    ),
    { initialValue: null },
  );
  private readonly found = computed(() => {
    const about = this.about();
    return findTerms(this.all, this.wanted()).filter((each) => about === null || each.about === about);
  });
  protected readonly count = computed(() => this.found().length);
  /** As in a book, letter by letter; what was typed has its likeliest first and no letters. */
  protected readonly letters = computed(() => {
    const found = this.found();
    if (this.wanted().trim() !== '') return found.length > 0 ? [{ letter: '', terms: found }] : [];
    const sorted = [...found].sort((a, b) => a.term.localeCompare(b.term));
    const letterOf = ({ term }: Term): string => (/\p{L}/u.test(term[0]!) ? term[0]!.toUpperCase() : '#');
    const letters = [...new Set(sorted.map(letterOf))].sort((a, b) => Number(a === '#') - Number(b === '#'));
    return letters.map((letter) => ({ letter, terms: sorted.filter((term) => letterOf(term) === letter) }));
  });

  constructor() {
    afterRenderEffect(() => {
      const link = this.list()?.nativeElement.querySelector(`[href$="/${this.opened()}"]`);
      link?.scrollIntoView({ block: 'nearest' });
    });
  }

  protected find(event: Event): void {
    if ((event.target as HTMLElement).matches('input, textarea')) return;
    event.preventDefault();
    this.field()?.nativeElement.focus();
  }

  /** From word to word by arrows, from the field into the list. */
  protected step(event: Event, by: number): void {
    const links = [...(this.list()?.nativeElement.querySelectorAll<HTMLElement>('a') ?? [])];
    const at = links.indexOf(event.target as HTMLElement);
    const next = links[at + by];
    if (!next) return;
    event.preventDefault();
    next.focus();
  }
}
