import { Overlay } from '@angular/cdk/overlay';
import { ComponentPortal } from '@angular/cdk/portal';
import type { Injector } from '@angular/core';
import { MatDialog } from '@angular/material/dialog';
import { Store } from '@ngrx/store';
import { peopleFeature } from '../people/people.feature';
import { guideOf } from './guide';
import { HelpCard } from './help-card';
import { HelpRings, ringsOf } from './help-rings';
import { SCREEN_HELP, type ScreenHelp } from './screens';

/** What is said of a screen that has no words of its own yet. */
const ANY: ScreenHelp = {
  name: $localize`Help`,
  purpose: $localize`The words of this page stand in the glossary.`,
  parts: [],
};

/**
 * Opens the help of a screen over it.
 *
 * @param views that the screen's route goes by, the nearest first
 * @param injector of the page
 */
export function openHelp(views: readonly string[], injector: Injector): void {
  const view = views.find((each) => SCREEN_HELP[each]) ?? null;
  const help = view === null ? ANY : SCREEN_HELP[view]!;
  const role = injector.get(Store).selectSignal(peopleFeature.selectPerson)()?.role ?? 'trainee';
  const veil = injector.get(Overlay).create();
  const rings = veil.attach(new ComponentPortal(HelpRings));
  rings.setInput('rings', ringsOf(help.parts.map(({ at }) => at)));
  const card = injector.get(MatDialog).open(HelpCard, {
    data: { ...help, guide: guideOf(view, role) },
    width: '620px',
    maxWidth: '96vw',
    hasBackdrop: false,
    panelClass: 'hung',
  });
  rings.instance.left.subscribe(() => card.close());
  card.afterClosed().subscribe(() => veil.dispose());
}
