import { TestBed } from '@angular/core/testing';
import { Router } from '@angular/router';
import type { VisitFile } from '@brave-comb/contract';
import { type EntryBody, type SideAddress, parseSide } from '@brave-comb/core/inspection';
import { Subject } from 'rxjs';
import { InspectionEvents } from '../inspection/inspection.events';
import { inspectionFeature } from '../inspection/inspection.feature';
import { VisitDesk } from '../inspection/visit-desk';
import { PeopleEvents } from '../people/people.feature';
import { FILE, showAtHive } from '../../testing/visit';
import { HiveCards } from './cards/hive-cards';
import { EntranceLook } from './entrance-look';
import { HiveHead } from './hive-head';
import { SideLine } from './side-line';
import { VisitEnd } from './visit-end';
import { VisitFlow } from './visit-flow';

const CHECKED: readonly EntryBody[] = [
  ...FILE.trainees.map(({ id }) => ({ kind: 'checked' as const, check: 'veil' as const, ok: true, person: id })),
  { kind: 'checked', check: 'smoker-fuel', ok: true, person: null },
];
const side = (frame: number, face: SideAddress['face'] = 'low'): SideAddress => ({ box: 'brood box', frame, face });

/** A visit as its way sees it, with what it enters and asks. */
const begin = async (change: Partial<VisitFile> = {}, entered: readonly EntryBody[] = CHECKED) => {
  const shown = await showAtHive(HiveHead, { file: FILE }, change);
  const desk = TestBed.inject(VisitDesk);
  for (const body of entered) desk.enter(body);
  const asked: { title: string; goOn: string; reason: Subject<string>; putRight: () => void }[] = [];
  vi.spyOn(TestBed.inject(HiveCards), 'guards').mockImplementation((title, _guards, goOn, putRight) => {
    const reason = new Subject<string>();
    asked.push({ title, goOn, reason, putRight: putRight ?? (() => undefined) });
    return reason;
  });
  const went: unknown[] = [];
  vi.spyOn(TestBed.inject(Router), 'navigate').mockImplementation((to) => {
    went.push(to);
    return Promise.resolve(true);
  });
  const flow = TestBed.inject(VisitFlow);
  const settle = () => shown.fixture.whenStable();
  const since = () => shown.entered().slice(entered.length);
  const next = async () => {
    flow.next();
    await settle();
  };
  return { ...shown, flow, asked, went, settle, since, next, line: TestBed.inject(SideLine) };
};

describe('the way through a visit', () => {
  it('goes from the gear to the frames, one press an entry, each said beforehand', async () => {
    const { flow, next, since } = await begin();
    const said: string[] = [];
    for (let press = 0; press < 9 && !flow.nextSays().includes('side toward'); press += 1) {
      said.push(flow.nextSays());
      await next();
    }
    expect(said).toEqual([
      'Ready, watch the entrance',
      'Entrance seen, smoke next',
      'Entrance smoked, take parts off',
      'roof is off',
      'Supers',
      'super 1 is off',
      'excluder is off',
      'Frame 1 first',
    ]);
    expect(flow.atFrames()).toBe(true);
    expect(since().filter(({ kind }) => kind === 'part-taken-off')).toHaveLength(3);
    expect(since().at(-1)).toMatchObject({ kind: 'frame-lifted', frame: 1 });
  });

  it('bars what goes deeper than the hour allows, and opens with a reason that is kept', async () => {
    const cold = { depth: { allowed: 'lid' as const, why: 'too cold' } };
    const { flow, asked, settle, since } = await begin(cold, [...CHECKED, { kind: 'depth-chosen', depth: 'full' }]);
    flow.reach('open');
    expect(asked.map(({ title, goOn }) => [title, goOn])).toEqual([['Before the lid comes off', 'Open anyway']]);
    expect(since().filter(({ kind }) => kind === 'step-reached')).toEqual([]);
    asked[0]!.putRight();
    await settle();
    expect(flow.step()?.id).toBe('before');
    flow.reach('open');
    asked[1]!.reason.next('it rains soon');
    await settle();
    expect(flow.step()?.id).toBe('open');
    const kept = since().filter(({ kind }) => kind === 'guard-overridden');
    expect(kept.length).toBeGreaterThan(0);
    expect(kept[0]).toMatchObject({ reason: 'it rains soon' });
  });

  it('asks once about a side of which a part is read, and goes on with the next press', async () => {
    const { flow, line, next, since, settle } = await begin();
    flow.chooseSide(side(2));
    await settle();
    line.typed('3S 2H');
    await settle();
    await next();
    expect(flow.problem()).toMatch(/^Frame 2, side toward 1: 3 of 8 eighths are not read\./);
    expect(since().some(({ kind }) => kind === 'frame-side-recorded')).toBe(false);
    await next();
    expect(flow.problem()).toBeNull();
    expect(since().find(({ kind }) => kind === 'frame-side-recorded')).toMatchObject({ address: side(2) });
  });

  it('asks again when the side was changed meanwhile', async () => {
    const { flow, line, next, settle } = await begin();
    flow.chooseSide(side(2));
    await settle();
    line.typed('3S 2H');
    await next();
    line.add('P');
    await settle();
    expect(flow.problem()).toBeNull();
    await next();
    expect(flow.problem()).toMatch(/2 of 8 eighths are not read/);
  });

  it('stays where it is while the line cannot be read', async () => {
    const { flow, line, next, settle, since } = await begin();
    flow.chooseSide(side(2));
    await settle();
    const before = since().length;
    line.typing.set('3S 9');
    await next();
    expect(flow.problem()).not.toBeNull();
    expect(since()).toHaveLength(before);
    flow.reach('close');
    expect(flow.step()?.id).toBe('frames');
  });

  it('goes back a side, and not past the first', async () => {
    const { flow, settle, store } = await begin();
    flow.chooseSide(side(1, 'high'));
    await settle();
    const address = store.selectSignal(inspectionFeature.selectAddress);
    flow.back();
    await settle();
    expect(address()).toEqual(side(1));
    flow.back();
    await settle();
    expect(address()).toEqual(side(1));
  });

  it('turns to another box at its first side, and at the other face once one was read', async () => {
    const { flow, settle, store } = await begin();
    flow.chooseBox('super 1');
    await settle();
    expect(store.selectSignal(inspectionFeature.selectAddress)()).toEqual({ box: 'super 1', frame: 1, face: 'low' });
  });

  it('ends with a reason only, keeps the look from outside and goes to the review once all has arrived', async () => {
    const all = await begin();
    const { flow, next, settle, since, store, went } = all;
    flow.reach('entrance');
    await settle();
    expect(flow.nextSays()).toBe('End the visit');
    await next();
    if (all.asked.length > 0) all.asked[0]!.reason.next('taught only');
    await settle();
    expect(flow.problem()).toMatch(/^Say why the visit ends here/);
    TestBed.inject(EntranceLook).changed.set({
      traffic: 'steady',
      pollenIn: null,
      deadBees: null,
      intruders: null,
      note: '',
    });
    TestBed.inject(VisitEnd).choose('time');
    await next();
    all.asked[1]?.reason.next('taught only');
    await settle();
    const kinds = since().map(({ kind }) => kind);
    expect(kinds).toContain('outside-seen');
    expect(kinds.at(-1)).toBe('visit-closed');
    expect(went).toEqual([]);
    const unsent = store.selectSignal(inspectionFeature.selectUnsent)();
    store.dispatch(InspectionEvents.entriesKept({ entries: unsent.map(({ entry }) => entry) }));
    await settle();
    expect(went).toEqual([['/afterwards', FILE.visit.id]]);
  });

  it('leads a trainee to the review without ending the visit', async () => {
    const all = await begin();
    all.store.dispatch(PeopleEvents.signedIn({ person: { id: 'x', name: 'Salma', role: 'trainee' } } as never));
    all.flow.reach('entrance');
    await all.settle();
    expect(all.flow.nextSays()).toBe('To the review');
    await all.next();
    expect(all.since().some(({ kind }) => kind === 'visit-closed')).toBe(false);
  });
});

describe('the line of a side', () => {
  const open = async () => {
    const all = await begin();
    all.flow.chooseSide(side(3));
    await all.settle();
    return all;
  };

  it('adds an eighth, a few cells or all that is left, then one again', async () => {
    const { line } = await open();
    line.add('S');
    line.next.set('few');
    line.add('E');
    line.next.set('rest');
    line.add('H');
    expect(line.side()).toMatchObject({ eighths: { S: 1, H: 7 }, trace: ['E'] });
    expect(line.next()).toBe('one');
    expect(line.left()).toBe(0);
  });

  it('sets what a slide says, gives the rest to a held key, and fills more of the last content', async () => {
    const { line } = await open();
    line.slid({ letter: 'S', eighths: 4 });
    line.fill(2);
    expect(line.side().eighths).toMatchObject({ S: 6 });
    line.rest('H');
    expect(line.side().eighths).toMatchObject({ S: 6, H: 2 });
    line.slid({ letter: 'S', eighths: 3 });
    expect(line.left()).toBe(3);
  });

  it('says when there is nothing to copy', async () => {
    const { line } = await open();
    expect(line.copy('last-time')).toBe('This side has no reading from last time.');
    expect(line.copy('the-other-side')).toBe('The other side is not read yet.');
  });

  it('copies the other side once it is read', async () => {
    const { flow, line, settle } = await open();
    line.typed('4S 4H B5');
    flow.turnTo(side(3, 'high'));
    await settle();
    expect(line.copy('the-other-side')).toBeNull();
    expect(line.side().eighths).toEqual({ S: 4, H: 4 });
  });

  it('leaves what cannot be read in the line, and forgets it with the side', async () => {
    const { flow, line, settle } = await open();
    line.typed('5Z');
    expect(line.problem()).toMatch(/"5Z" cannot be read/);
    expect(line.typing()).toBe('5Z');
    line.problem.set(null);
    line.typing.set(null);
    flow.turnTo(side(4));
    await settle();
    expect([line.typing(), line.problem(), line.lastLetter()]).toEqual([null, null, null]);
  });
});

describe('the end of a visit', () => {
  it('sums up what was read, and says of what nobody read that nobody did', async () => {
    const { flow, line, settle } = await begin();
    const end = TestBed.inject(VisitEnd);
    end.health.set('looks well');
    expect(end.summary()).toEqual({ bees: 'not counted', brood: 'not read', food: 'not read', health: 'looks well' });
    flow.chooseSide(side(5));
    await settle();
    line.typed('6S 2H B8');
    flow.turnTo(side(5, 'high'));
    await settle();
    expect(end.summary().brood).toMatch(/^\d+\.\d frames \(.* to .*\), 1 of 22 sides read$/);
    expect(end.summary().bees).toMatch(/frames/);
  });

  it('does not end for the reason that all was seen before it was', async () => {
    const { settle } = await begin();
    const end = TestBed.inject(VisitEnd);
    expect(end.reasons()).not.toContain('question-answered');
    end.choose('question-answered');
    expect(end.reason()).toBeNull();
    TestBed.inject(VisitDesk).enter({ kind: 'stop-said', reason: 'weather', note: 'rain' });
    await settle();
    expect([end.reason(), end.note()]).toEqual([null, 'rain']);
    end.choose('weather');
    expect(end.reason()).toBe('weather');
  });
});

describe('the head of a visit', () => {
  const words = ({ fixture }: { fixture: { nativeElement: HTMLElement } }) => fixture.nativeElement.textContent;

  it('says what the visit is for, and that all is kept', async () => {
    const shown = await showAtHive(HiveHead, { file: FILE });
    expect(words(shown)).toContain('Is she laying?');
    expect(words(shown)).toContain('all saved');
  });

  it('counts what is on the way, what waits without signal, and what is to settle', async () => {
    const shown = await showAtHive(HiveHead, { file: FILE });
    const desk = TestBed.inject(VisitDesk);
    desk.enter({ kind: 'mood-noted', mood: 1 });
    desk.enter({ kind: 'frame-side-recorded', address: side(1), side: parseSide('8H'), seen: null });
    await shown.fixture.whenStable();
    expect(words(shown)).toContain('sending 2');
    const fault = { status: 0, problem: 'no-connection' as const, message: '', details: [] };
    shown.store.dispatch(InspectionEvents.sendingFailed({ fault }));
    await shown.fixture.whenStable();
    expect(words(shown)).toContain('2 waiting, no signal');
    const unsent = shown.store.selectSignal(inspectionFeature.selectUnsent)();
    const problem = { problem: 'visit-closed' as const, message: 'The visit is closed.' };
    shown.store.dispatch(InspectionEvents.entriesRefused({ entries: [{ ...unsent[0]!, problem }] }));
    await shown.fixture.whenStable();
    expect(words(shown)).toContain('1 to settle');
  });
});
