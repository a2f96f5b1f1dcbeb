/** When smoke was given last, as of now: "4 min ago". */
export function smokeText(last: string | null, now: number): string {
  if (last === null) return $localize`none yet`;
  const minutes = Math.max(0, Math.round((now - Date.parse(last)) / 60_000));
  return minutes === 0 ? $localize`just now` : $localize`${minutes} min ago`;
}
