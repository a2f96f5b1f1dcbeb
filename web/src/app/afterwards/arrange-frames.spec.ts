import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { MatButtonToggleHarness } from '@angular/material/button-toggle/testing';
import { parseSide } from '@brave-comb/core/inspection';
import { ArrangeFrames } from './arrange-frames';

const both = (line: string) => ({ low: parseSide(line), high: parseSide(line) });
const BROOD = both('1H 1P 1E 1L 3S B6');
const EMPTY = both('8C B4');
const FOOD = both('8H B4');

describe('frames put in order', () => {
  let fixture: ComponentFixture<ArrangeFrames>;
  const element = () => fixture.nativeElement as HTMLElement;
  const order = () => [...element().querySelectorAll('li > button b')].map((each) => Number(each.textContent));
  const text = () => element().textContent.replace(/\s+/g, ' ');

  beforeEach(async () => {
    fixture = TestBed.createComponent(ArrangeFrames);
    fixture.componentRef.setInput('frames', [FOOD, BROOD, EMPTY, BROOD, BROOD, FOOD]);
    await fixture.whenStable();
  });

  it('brings brood together at once, and says what is lifted and what it means', () => {
    expect(order()).toEqual([1, 3, 2, 4, 5, 6]);
    expect(text()).toContain('One frame to lift');
    expect(text()).toContain('Brood in one block, 3 frames.');
    expect(element().querySelectorAll('button.lifted')).toHaveLength(1);
  });

  it('follows another aim, and goes back to how they hang', async () => {
    const [, , outward] = await TestbedHarnessEnvironment.loader(fixture).getAllHarnesses(MatButtonToggleHarness);
    await outward!.check();
    expect(order()).toEqual([1, 3, 2, 4, 5, 6]);
    [...element().querySelectorAll('button')].find((each) => each.textContent.trim() === 'As they hang now')!.click();
    await fixture.whenStable();
    expect(order()).toEqual([1, 2, 3, 4, 5, 6]);
    expect(text()).toContain('Nothing to lift');
    expect(text()).toContain('Brood apart: frame 3');
  });

  it('is moved by keys, from wall to wall and no further', async () => {
    const press = async (at: number, key: string) => {
      element()
        .querySelectorAll('li > button')
        .item(at)
        .dispatchEvent(new KeyboardEvent('keydown', { key, altKey: true }));
      await fixture.whenStable();
    };
    await press(0, 'ArrowLeft');
    expect(order()).toEqual([1, 3, 2, 4, 5, 6]);
    await press(0, 'ArrowRight');
    expect(order()).toEqual([3, 1, 2, 4, 5, 6]);
    expect(text()).toMatch(/Frame 3, to the left wall|Frame 1, to the right of frame 3/);
  });

  it('leaves what is to be lifted for the next visit, once, and again after another order', async () => {
    const planned: string[] = [];
    fixture.componentInstance.planned.subscribe((words) => planned.push(words));
    const button = () =>
      [...element().querySelectorAll('button')].find(
        (each) => each.textContent.trim() === 'Leave it for the next visit',
      );
    expect(button()).toBeUndefined();
    fixture.componentRef.setInput('mayPlan', true);
    await fixture.whenStable();
    button()!.click();
    await fixture.whenStable();
    expect(planned).toEqual(['Put the frames in order: frame 2 to the right of 3']);
    expect(text()).toContain('On the list of this hive');
    expect(button()!.disabled).toBe(true);
    const [, aim] = await TestbedHarnessEnvironment.loader(fixture).getAllHarnesses(MatButtonToggleHarness);
    await aim!.check();
    expect(text()).not.toContain('On the list of this hive');
  });
});
