import { LiveAnnouncer } from '@angular/cdk/a11y';
import { DOCUMENT, inject, provideEnvironmentInitializer } from '@angular/core';
import { Title } from '@angular/platform-browser';
import { NavigationEnd, Router } from '@angular/router';
import { filter, map, pairwise } from 'rxjs';

/** Where keys go on working when a page changes: the days of the strip, the places. */
const STAYS = '.strip, [role=dialog]';

/** Who cannot see the page is told when it is another one, and goes on from its beginning and not from the link that led to it. */
export const provideArrival = () =>
  provideEnvironmentInitializer(() => {
    const [announcer, title, page] = [inject(LiveAnnouncer), inject(Title), inject(DOCUMENT)];
    inject(Router)
      .events.pipe(
        filter((event) => event instanceof NavigationEnd),
        map(({ urlAfterRedirects }) => urlAfterRedirects.split(/[?#]/)[0]!),
        pairwise(),
        filter(([before, now]) => before !== now),
      )
      .subscribe(() =>
        setTimeout(() => {
          void announcer.announce(title.getTitle(), 'polite');
          if (!page.activeElement?.closest(STAYS)) page.querySelector('main')?.focus({ preventScroll: true });
        }),
      );
  });
