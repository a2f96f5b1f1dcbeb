import type { VisitFile } from '@brave-comb/contract';
import type { Comb, SideAddress } from '@brave-comb/core/inspection';

type Found = Readonly<Record<string, readonly Comb[]>>;
type Side = NonNullable<VisitFile['last']>['sides'][number];

/**
 * Sides of the last visit where their combs stand now: combs that changed places take their readings along, those that left are gone.
 */
export function sidesNow(
  sides: readonly { readonly address: SideAddress; readonly side: Side['side'] }[],
  then: Found | null,
  now: Found,
): readonly Side[] {
  if (!then) return sides.map(({ address, side }) => ({ address, side }));
  const place = new Map(
    Object.entries(now).flatMap(([box, combs]) =>
      combs.map(({ id }, index) => [id, { box, frame: index + 1 }] as const),
    ),
  );
  return sides.flatMap(({ address, side }) => {
    const comb = then[address.box]?.[address.frame - 1];
    const here = comb ? place.get(comb.id) : undefined;
    return here ? [{ address: { ...here, face: address.face }, side }] : [];
  });
}

/**
 * Combs of a box that did not stand there at the last visit.
 *
 * @param box the box
 * @param then combs as the last visit found them
 * @param now combs as they were found later
 * @returns their frames, with where each stood; `null` where it was not in the hive
 */
export function combsMoved(
  box: string,
  then: Found,
  now: Found,
): readonly { readonly frame: number; readonly was: { readonly box: string; readonly frame: number } | null }[] {
  const stood = new Map(
    Object.entries(then).flatMap(([id, combs]) =>
      combs.map((comb, index) => [comb.id, { box: id, frame: index + 1 }] as const),
    ),
  );
  return (now[box] ?? []).flatMap((comb, index) => {
    const was = stood.get(comb.id) ?? null;
    return was?.box === box && was.frame === index + 1 ? [] : [{ frame: index + 1, was }];
  });
}
