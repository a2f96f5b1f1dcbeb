/** Least of an element that counts as seen, px. */
const SEEN = 80;

/** Goes down to what a choice has filled, where it lies below what is seen: on a phone one stands under the other. */
export function intoSight(element: HTMLElement | undefined): void {
  if (element && element.getBoundingClientRect().top > innerHeight - SEEN) element.scrollIntoView({ block: 'start' });
}
