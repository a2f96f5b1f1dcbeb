import { LETTERS, eighthsLeft, parseSide } from '@brave-comb/core/inspection';
import fc from 'fast-check';
import { type Ring, nestZones } from './nest-zones';

/** Area of rings, as a share of the comb (shoelace formula; holes run the other way). */
const area = (rings: readonly Ring[]): number =>
  Math.abs(
    rings.reduce(
      (sum, ring) =>
        sum +
        ring.reduce(
          (inner, [x, y], i) => inner + x * ring[(i + 1) % ring.length]![1] - ring[(i + 1) % ring.length]![0] * y,
          0,
        ) /
          2,
      0,
    ),
  );

describe('zones of a comb', () => {
  it('take the recorded share of the comb, within a tenth of an eighth', () => {
    // honey over brood over pollen: each zone is drawn over those before it, so the brood shows whole.
    const zones = nestZones(parseSide('4S 1P 3H'), 'l', 3);
    const sealed = zones.find((zone) => zone.content === 'S');
    expect(Math.abs(area(sealed!.path) * 8 - 4)).toBeLessThan(0.1);
    const pollen = zones.find((zone) => zone.content === 'P');
    expect(Math.abs(area(pollen!.path) * 8 - 5)).toBeLessThan(0.15);
  });

  it('show every content that was read, a trace too, and what is left', () => {
    const side = fc
      .array(fc.constantFrom(...LETTERS), { minLength: 1, maxLength: 8 })
      .map((letters) => parseSide(letters.join(' ')));
    fc.assert(
      fc.property(side, fc.integer({ min: 1, max: 40 }), (read, seed) => {
        const shown = nestZones(read, 's', seed).map((zone) => zone.content);
        for (const letter of LETTERS.filter((each) => read.eighths[each])) expect(shown).toContain(letter);
        expect(shown.includes(null)).toBe(eighthsLeft(read) > 0);
      }),
      { numRuns: 60 },
    );
    expect(nestZones(parseSide('4S *H +E'), 'l', 1).map((zone) => zone.content)).toContain('E');
  });

  it('put brood in the middle and stores above it', () => {
    const zones = nestZones(parseSide('3S 1P 2H 2C'), 'l', 2);
    const middle = (content: string) => zones.find((zone) => zone.content === content)!.spots[0]!;
    expect(Math.abs(middle('S')[0] - 0.5)).toBeLessThan(0.2);
    expect(middle('H')[1]).toBeLessThan(middle('S')[1]);
    expect(middle('C')[1]).toBeGreaterThan(middle('H')[1]);
  });

  it('stay the same for the same side', () => {
    expect(nestZones(parseSide('3S 2H'), 'm', 5)).toBe(nestZones(parseSide('3S 2H'), 'm', 5));
  });

  it('draw nine eighths as a full comb', () => {
    const nine = { ...parseSide('8S'), eighths: { S: 8, H: 1 } };
    expect(nestZones(nine, 's', 1).map((zone) => zone.content)).not.toContain(null);
  });
});
