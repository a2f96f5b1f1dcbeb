import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { saying, wayOf } from '../src/language';
import { QUANTITIES, UNIT_SYSTEMS, decimalsOf, fromUnits, inUnits, unitSymbol } from '../src/units';
import { english } from '../src/words';

describe('units', () => {
  it.each([
    // NIST Special Publication 811 (2008), appendix B.8, and the fixed points of the Fahrenheit scale.
    ['weight', 'british', 0.45359237, 1, 'lb'],
    ['weight', 'imperial', 11.33980925, 25, 'lb'],
    ['speed', 'british', 1.609344, 1, 'mph'],
    ['distance', 'imperial', 16.09344, 10, 'mi'],
    ['volume', 'british', 4.54609, 8, 'pt'],
    ['volume', 'imperial', 3.785412, 8, 'US pt'],
    ['rain', 'imperial', 25.4, 1, 'in'],
    ['temperature', 'imperial', 0, 32, '°F'],
    ['temperature', 'imperial', 100, 212, '°F'],
    ['temperature', 'imperial', -40, -40, '°F'],
    ['temperature-difference', 'imperial', 5, 9, '°F'],
    ['temperature', 'british', 14, 14, '°C'],
    ['rain', 'british', 3, 3, 'mm'],
    ['volume', 'metric', 2, 2, 'L'],
  ] as const)('%s, %s: %d is %d %s', (quantity, system, own, theirs, symbol) => {
    expect(inUnits(quantity, own, system)).toBeCloseTo(theirs, 5);
    expect(fromUnits(quantity, theirs, system)).toBeCloseTo(own, 5);
    expect(unitSymbol(quantity, system)).toBe(symbol);
  });

  it('come back as they went, whatever is measured and whoever reads it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...QUANTITIES),
        fc.constantFrom(...UNIT_SYSTEMS),
        fc.double({ min: -500, max: 500, noNaN: true }),
        (quantity, system, value) =>
          Math.abs(fromUnits(quantity, inUnits(quantity, value, system), system) - value) < 1e-9,
      ),
    );
  });

  it('are told as finely as the unit needs', () => {
    expect(decimalsOf('gap', 'metric', 0)).toBe(0);
    expect(decimalsOf('gap', 'imperial', 0)).toBe(2);
    expect(decimalsOf('weight', 'metric')).toBeUndefined();
    expect(decimalsOf('weight', 'british')).toBe(1);
    expect(decimalsOf('weight', 'british', 0)).toBe(0);
  });

  it('stand in the sentences of whoever reads them', () => {
    const say = saying<{ lift: { kg: number }; cool: null }>('test');
    const language = {
      ...english,
      sentences: {
        test: {
          lift: ({ kg }: { kg: number }, w: ReturnType<typeof wayOf>) => `${w.kg(kg, 0)}, ${w.mm(6)}`,
          cool: (_facts: null, w: ReturnType<typeof wayOf>) => `below ${w.celsius(10)}, ${w.degrees(3)} either way`,
        },
      },
    };
    const [metric, british, imperial] = UNIT_SYSTEMS.map((system) => wayOf(language, system));
    expect(metric!.text(say('lift', { kg: 18 }))).toBe('18 kg, 6 mm');
    expect(british!.text(say('lift', { kg: 18 }))).toBe('40 lb, 6 mm');
    expect(imperial!.text(say('lift', { kg: 18 }))).toBe('40 lb, 0.24 in');
    expect(british!.text(say('cool'))).toBe('below 10 °C, 3 °C either way');
    expect(imperial!.text(say('cool'))).toBe('below 50 °F, 5 °F either way');
  });
});
