import { parseSide } from '@brave-comb/core/inspection';
import { elementOf, show } from '../../testing/show';
import { HiveStack } from '../equipment/hive-stack';
import { LevelGlyph } from '../skills/level-glyph';
import { BoxMap } from './box-map';
import { CombPortrait, sideInWords } from './comb-portrait';

const of = elementOf;
const fills = (element: HTMLElement) =>
  [...element.querySelectorAll('path, rect')].map((each) => each.getAttribute('fill') ?? '');

describe('a comb portrait', () => {
  it('fills each zone with the pattern of its content, in the grain of its width', async () => {
    const side = parseSide('3S 1L 1P 2H 1C');
    const small = await show(CombPortrait, { side, width: 60 });
    for (const letter of ['S', 'L', 'P', 'H', 'C']) expect(fills(of(small))).toContain(`url(#comb-s-${letter})`);
    const large = await show(CombPortrait, { side, width: 480 });
    expect(fills(of(large))).toContain('url(#comb-l-S)');
  });

  it('says in words what it shows', async () => {
    const fixture = await show(CombPortrait, { side: parseSide('3S 2H +E Q K2 !'), name: 'Frame 6' });
    expect(of(fixture).querySelector('svg')?.getAttribute('aria-label')).toBe(
      'Frame 6: 3 eighths sealed worker, 2 eighths capped honey, a few eggs, queen seen, 2 queen cells or cups, doubtful',
    );
    expect(sideInWords(null)).toBe('not read');
    expect(sideInWords(parseSide(''))).toBe('nothing read yet');
  });

  it('labels the large drawing with shorthand and what is left, each label in a place of its own', async () => {
    const fixture = await show(CombPortrait, { side: parseSide('3S 1L 1P 2H +E'), width: 490, tagged: true });
    const tags = [...of(fixture).querySelectorAll('text')].map((text) => text.textContent.trim());
    expect([...tags].sort()).toEqual(['+E', '1 left', '1L', '1P', '2H', '3S']);
    const places = [...of(fixture).querySelectorAll('g[transform]')].map((each) => each.getAttribute('transform'));
    expect(new Set(places).size).toBe(places.length);
  });

  it('draws last time as a ghost and an unread side as a dashed line', async () => {
    const ghost = await show(CombPortrait, { side: parseSide('8S'), ghost: true });
    expect(of(ghost).querySelector('g')?.getAttribute('opacity')).toBe('0.55');
    const unread = await show(CombPortrait, { side: null });
    expect(of(unread).querySelector('path')?.getAttribute('stroke-dasharray')).toBe('2 4');
  });

  it('gives the queen the colour of her mark', async () => {
    const fixture = await show(CombPortrait, { side: parseSide('8S Q'), queenMark: 'blue' });
    expect(of(fixture).querySelector('circle[fill="var(--mark-blue)"]')).not.toBeNull();
  });
});

describe('a box map', () => {
  const frames = [
    { low: parseSide('8H'), high: parseSide('4H 4C') },
    { low: parseSide('6S 2P Q'), high: null },
    { low: null, high: null },
  ];

  it('shows every frame with both sides and tells how many were read', async () => {
    const fixture = await show(BoxMap, { frames, name: 'Hive 4' });
    expect(of(fixture).querySelector('svg')?.getAttribute('aria-label')).toBe('Hive 4: 3 frames, 2 read');
    expect([...of(fixture).querySelectorAll('text')].map((text) => text.textContent.trim())).toEqual(['1', '2', '3']);
  });

  it('can be chosen from by click, enter and space, only where that is wanted', async () => {
    const still = await show(BoxMap, { frames });
    expect(of(still).querySelectorAll('[role=button]')).toHaveLength(0);
    const fixture = await show(BoxMap, { frames, choosable: true, current: { frame: 2, face: 'high' } });
    const chosen: number[] = [];
    fixture.componentInstance.chosen.subscribe((frame) => chosen.push(frame));
    const buttons = of(fixture).querySelectorAll<SVGGElement>('[role=button]');
    expect(buttons[1]?.getAttribute('aria-pressed')).toBe('true');
    expect(buttons[1]?.getAttribute('aria-label')).toMatch(/^Frame 2\. Toward 1: 6 eighths sealed worker/);
    buttons[0]?.dispatchEvent(new MouseEvent('click', { bubbles: true }));
    buttons[1]?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    buttons[2]?.dispatchEvent(new KeyboardEvent('keydown', { key: ' ' }));
    expect(chosen).toEqual([1, 2, 3]);
  });

  it('cuts the slices to the recorded shares', async () => {
    const fixture = await show(BoxMap, {
      frames: [{ low: parseSide('4S 4H'), high: null }],
      width: 200,
      height: 120,
      numbers: 'none',
    });
    const of4 = [...of(fixture).querySelectorAll('rect')];
    const height = (pattern: string) =>
      of4
        .filter((rect) => rect.getAttribute('fill')?.endsWith(`-${pattern})`))
        .reduce((sum, rect) => sum + Number(rect.getAttribute('height')), 0);
    expect(height('S')).toBeCloseTo(height('H'), 5);
    expect(height('S')).toBeGreaterThan(10);
  });
});

describe('a hive stack', () => {
  const parts = [
    { layer: { id: 'floor', kind: 'floor' } },
    {
      layer: { id: 'brood box', kind: 'box', box: 'national-brood', frames: 11, dummy: true },
      text: '21 kg',
      note: 'stays-put',
    },
    {
      layer: { id: 'super 1', kind: 'box', box: 'national-super', frames: 10, dummy: false },
      text: '20 kg',
      heavy: true,
    },
    { layer: { id: 'roof', kind: 'roof' } },
  ];

  it('is told from the roof down, with weights and what is off', async () => {
    const fixture = await show(HiveStack, { parts, off: ['roof'] });
    expect(of(fixture).querySelector('svg')?.getAttribute('aria-label')).toBe(
      'Hive from the roof down: roof off, super 1 20 kg, brood box 21 kg, floor',
    );
    expect(of(fixture).querySelector('rect[stroke-dasharray]')).not.toBeNull();
  });

  it('hatches what one person must not lift', async () => {
    expect(fills(of(await show(HiveStack, { parts })))).toContain('url(#hatch-rust)');
  });
});

describe('a level glyph', () => {
  it('puts a frame together as less help is needed', async () => {
    const strokes: number[] = [];
    for (const level of [null, 'saw-it', 'helped', 'with-a-word', 'alone', 'can-teach']) {
      const path =
        of(await show(LevelGlyph, { level }))
          .querySelector('path')
          ?.getAttribute('d') ?? '';
      strokes.push(path.split('M').length - 1);
    }
    expect(strokes).toEqual([0, 1, 2, 3, 4, 4]);
    expect(of(await show(LevelGlyph, { level: 'can-teach' })).querySelector('rect')).not.toBeNull();
    const fading = of(await show(LevelGlyph, { level: 'alone', fading: true })).querySelector('path');
    expect(fading?.getAttribute('stroke-dasharray')).toBeTruthy();
  });
});
