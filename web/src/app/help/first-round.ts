import { Overlay, type OverlayRef } from '@angular/cdk/overlay';
import { ComponentPortal } from '@angular/cdk/portal';
import { Injectable, computed, inject, signal } from '@angular/core';
import { Router } from '@angular/router';
import { RoundStop, type Stop } from './round-stop';

const STOPS: readonly Stop[] = [
  {
    path: '/ahead',
    at: 'bc-season-strip',
    title: $localize`Three weeks`,
    says: $localize`The days around today: when a hive may be opened, what blooms, which sessions are planned, what is due. Choose a day to see it.`,
  },
  {
    path: '/ahead',
    at: 'bc-verdict-sheet',
    title: $localize`Go or not, and until when`,
    says: $localize`One word answers for the day. Beside it stand the reasons: a mark inside its line is fit, rust is tight. The rust line is when the weather turns; be closed by then.`,
  },
  {
    path: '/ahead',
    at: 'bc-group-card',
    title: $localize`Who opens which hive`,
    says: $localize`Each group has a hive, the reason for it, a question to answer and a role for everybody. Start opens the visit.`,
  },
  {
    path: '/at-the-hive',
    at: 'main .sheet',
    title: $localize`At the hive`,
    says: $localize`Here visits are opened, with gloves on and without a signal: a side of a frame takes six taps. What was entered stays on the device until it was sent.`,
  },
  {
    path: '/afterwards',
    at: 'main .sheet',
    title: $localize`Afterwards`,
    says: $localize`Each visit is read again: what changed, what it adds up to, and what the colony needs next, with what other practice says.`,
  },
  {
    path: '/ahead',
    at: '.help',
    title: $localize`Help`,
    says: $localize`The question mark says on every page what it is for and how it is read; the key ? opens it too. The glossary has the words.`,
  },
];
const KEPT = 'first round';
const DONE = 'done';
/** How long a page may take until its part is there, ms. */
const PATIENCE = 4_000;

const sight = (selector: string): Promise<Element | null> =>
  new Promise((found) => {
    const began = Date.now();
    const look = (): void => {
      const part = document.querySelector(selector);
      if (part || Date.now() - began > PATIENCE) found(part);
      else setTimeout(look, 60);
    };
    look();
  });

/** A walk through the main pages in six stops. It can be left at any stop, waits there, and changes nothing in the records. */
@Injectable({ providedIn: 'root' })
export class FirstRound {
  private readonly router = inject(Router);
  private readonly overlay = inject(Overlay);
  private readonly kept = signal(localStorage.getItem(KEPT));
  private ref: OverlayRef | null = null;
  readonly done = computed(() => this.kept() === DONE);

  /** Begins, or goes on where it was left. */
  begin(): void {
    const at = Number(this.kept());
    void this.go(Number.isInteger(at) && at > 0 && at < STOPS.length ? at : 0);
  }

  private keep(value: string): void {
    localStorage.setItem(KEPT, value);
    this.kept.set(value);
  }

  private async go(at: number): Promise<void> {
    this.ref?.dispose();
    this.ref = null;
    const stop = STOPS[at];
    if (!stop) return void this.keep(DONE);
    this.keep(`${at}`);
    await this.router.navigateByUrl(stop.path);
    const part = await sight(stop.at);
    part?.scrollIntoView({ block: 'center' });
    this.ref = this.overlay.create();
    const shown = this.ref.attach(new ComponentPortal(RoundStop));
    shown.setInput('stop', stop);
    shown.setInput('number', at + 1);
    shown.setInput('of', STOPS.length);
    shown.setInput('part', part);
    shown.instance.next.subscribe(() => void this.go(at + 1));
    shown.instance.back.subscribe(() => void this.go(at - 1));
    shown.instance.left.subscribe(() => {
      this.ref?.dispose();
      this.ref = null;
    });
  }
}
