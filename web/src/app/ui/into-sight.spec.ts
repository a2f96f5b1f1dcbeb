import { intoSight } from './into-sight';

describe('what a choice has filled', () => {
  const at = (top: number) => {
    const gone: unknown[] = [];
    intoSight({
      getBoundingClientRect: () => ({ top }) as DOMRect,
      scrollIntoView: (how: unknown) => void gone.push(how),
    } as HTMLElement);
    return gone.length;
  };

  it('is gone down to when it lies below, and left where it is when it is seen', () => {
    expect(at(innerHeight + 300)).toBe(1);
    expect(at(innerHeight - 10)).toBe(1);
    expect(at(200)).toBe(0);
    expect(at(-500)).toBe(0);
    expect(() => {
      intoSight(undefined);
    }).not.toThrow();
  });
});
