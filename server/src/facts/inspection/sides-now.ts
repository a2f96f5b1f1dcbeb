import type { VisitFile } from '@brave-comb/contract';
import type { Comb, SideAddress } from '@brave-comb/core/inspection';

type Side = NonNullable<VisitFile['last']>['sides'][number];

/**
 * Sides of the last visit where their combs stand now: combs that changed places take their readings along, those that left are gone.
 */
export function sidesNow(
  sides: readonly { readonly address: SideAddress; readonly side: Side['side'] }[],
  then: Readonly<Record<string, readonly Comb[]>> | null,
  now: Readonly<Record<string, readonly Comb[]>>,
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
