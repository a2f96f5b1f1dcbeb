import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { AdviceCard, type DecisionDraft } from './advice-card';
import { controlsOf } from '../../testing/controls';

const advice = {
  kind: 'feed',
  title: 'Feed 8 L of thin syrup',
  by: '2026-05-17',
  pressing: 0.7,
  reasons: [
    { text: '2 kg of food in the nest', weight: 0.9, sense: 'for' },
    { text: 'Dandelion in bloom', weight: 0.4, sense: 'against' },
  ],
  otherSchool: 'leaves them to forage.',
  whereFrom: { figure: '8 L', rule: 'wanted less found', steps: [['found', '2 kg']], source: 'House practice' },
  from: '2026-05-14',
  confidence: 'likely',
  climate: { band: 'cool-maritime', holding: 'holds', says: 'Holds in a cool maritime climate as it stands' },
  cautions: ['Nothing spilled: it sets off robbing.'],
  turns: ['Nectar coming in: leave it.'],
  ifItFails: 'Not taken in a week: candy over the nest.',
  errand: { minutes: 6, when: 'evening', opens: false, brings: [] },
  followUps: [{ question: 'Feed taken?', from: '2026-05-21', due: '2026-05-24' }],
};

const AHEAD = [
  { date: '2026-05-14', lid: 5, full: 1 },
  { date: '2026-05-15', lid: 1, full: 0 },
  { date: '2026-05-16', lid: 8, full: 4 },
];

describe('an advice card', () => {
  let fixture: ComponentFixture<AdviceCard>;
  let decided: DecisionDraft[];
  const element = () => fixture.nativeElement as HTMLElement;
  const button = (name: string) =>
    [...element().querySelectorAll('button')].find((each) => each.textContent.trim() === name)!;
  const click = async (name: string) => {
    button(name).click();
    await fixture.whenStable();
  };

  const show = async (
    decision: object | null = null,
    mayDecide = true,
    record: object | null = null,
    other: object = {},
  ) => {
    fixture = TestBed.createComponent(AdviceCard);
    fixture.componentRef.setInput('advised', { advice: { ...advice, ...other }, decision, record });
    fixture.componentRef.setInput('groups', [{ id: 'g1', name: 'Lapwing' }]);
    fixture.componentRef.setInput('ahead', AHEAD);
    fixture.componentRef.setInput('rank', 1);
    fixture.componentRef.setInput('mayDecide', mayDecide);
    decided = [];
    fixture.componentInstance.decided.subscribe((draft) => decided.push(draft));
    await fixture.whenStable();
  };

  it('shows what, by when, for and against, and the other school', async () => {
    await show();
    const text = element().textContent;
    expect(text).toContain('Feed 8 L of thin syrup, by Sun 17 May');
    expect(text).toContain('Against: Dandelion in bloom');
    expect(text).toContain('Other practice: leaves them to forage.');
  });

  it('shows what to beware of at once, and what would turn it where somebody asks', async () => {
    await show();
    expect(element().querySelector('[aria-label=Cautions]')!.textContent).toContain('it sets off robbing');
    expect(element().textContent).not.toContain('What would change this');
    await click('where from?');
    const from = element().querySelector('[aria-label="Where from"]')!.textContent;
    expect(from).toContain('Likely: part of the nest was read.');
    expect(from).toContain('Nectar coming in: leave it.');
    expect(from).toContain('If it fails Not taken in a week');
  });

  it('says how often such advice came out right, once any was settled', async () => {
    await show();
    expect(element().textContent).not.toContain('came out right');
    await show(null, true, { right: 3, of: 4 });
    expect(element().textContent).toContain('Advice like this was right 3 of 4 times here.');
  });

  it('is decided with one press', async () => {
    await show();
    await click('Decide');
    expect(decided).toEqual([{ advice: 'feed', verdict: 'accepted', action: '', reason: '' }]);
  });

  const choose = (label: RegExp, option: RegExp) => controlsOf(fixture).choose(label, option);
  const write = (label: RegExp, text: string) => controlsOf(fixture).write(label, text);
  const WHY = /^Reason, kept with the outcome$/;

  it('is adjusted to another day and a group without a reason: it is still what was advised', async () => {
    await show();
    await click('Adjust');
    await choose(/^When$/, /^Sat 16 May$/);
    await choose(/^With$/, /^Lapwing$/);
    await click('Save decision');
    expect(decided).toEqual([
      { advice: 'feed', verdict: 'accepted', action: '', reason: '', on: '2026-05-16', group: 'g1' },
    ]);
  });

  it('says of each day whether it is late or hardly fit', async () => {
    await show();
    await click('Adjust');
    expect((await controlsOf(fixture).offered(/^When$/)).slice(0, 5)).toEqual([
      'Thu 14 May',
      'Fri 15 May, weather doubtful',
      'Sat 16 May',
      'Sun 17 May',
      'Mon 18 May, later than advised',
    ]);
  });

  it('asks why before something else is decided instead', async () => {
    await show();
    await click('Adjust');
    await write(/^Something else instead/, 'Give a comb of food from hive 9');
    await click('Save decision');
    expect(decided).toEqual([]);
    expect(element().textContent).toContain('Say why');
    await write(WHY, 'No sugar in the house');
    await click('Save decision');
    expect(decided).toEqual([
      {
        advice: 'feed',
        verdict: 'otherwise',
        action: 'Give a comb of food from hive 9',
        reason: 'No sugar in the house',
        on: '2026-05-17',
      },
    ]);
  });

  it('asks only why before it is declined', async () => {
    await show();
    await click('Decline');
    await write(WHY, 'Flow began today');
    await click('Decline it');
    expect(decided).toEqual([{ advice: 'feed', verdict: 'declined', action: '', reason: 'Flow began today' }]);
  });

  it('keeps a day on which it is looked at again though it was declined', async () => {
    await show();
    await click('Decline');
    await choose(/^Look again by$/, /^Sat 16 May$/);
    await write(WHY, 'Flow began today');
    await click('Decline it');
    expect(decided).toEqual([
      { advice: 'feed', verdict: 'declined', action: '', reason: 'Flow began today', due: '2026-05-16' },
    ]);
  });

  it('shows on which days it is in time, and what it starts', async () => {
    await show();
    const days = [...element().querySelectorAll('.days li')].map((each) =>
      each.textContent.replace(/\s+/g, ' ').trim(),
    );
    expect(days).toEqual(['Thu 14, 5 hours fit', 'Fri 15, one hour fit', 'Sat 16, 8 hours fit']);
    expect(element().textContent).toContain('In time on all days shown.');
    expect(element().querySelector('.next')!.textContent).toContain('Sun 24 May Feed taken?');
  });

  it('counts the hours for opening wholly where the hive is opened for it', async () => {
    await show(null, true, null, { by: '2026-05-15', errand: { ...advice.errand, opens: true } });
    expect(element().querySelector('.days')!.textContent).toMatch(/Thu 14, one hour fit/);
    expect(element().textContent).toContain('No day in time has two fit hours.');
  });

  it('names the last fit day where a later one comes too late', async () => {
    await show(null, true, null, { by: '2026-05-15' });
    expect(element().textContent).toContain('Last fit day in time: Thu 14 May.');
    await show(null, true, null, { from: '2026-05-15', by: '2026-05-15' });
    expect(element().textContent).toContain('No day in time has two fit hours.');
  });

  it('tells on which day and with whom it was decided', async () => {
    const on = { id: 'd', verdict: 'accepted', action: 'Feed', reason: '', by: 'Ruth', at: '' };
    await show({ ...on, on: '2026-05-16', group: 'Lapwing' });
    expect(element().textContent).toMatch(/On Sat 16 May\.\s+With Lapwing\./);
    expect(element().querySelector('bc-advice-times')).toBeNull();
  });

  it('stays in sight when declined, with its reason and a way back', async () => {
    await show({ id: 'd', verdict: 'declined', action: '', reason: 'Flow began', by: 'Ruth', at: '' });
    expect(element().textContent).toContain('Declined by Ruth: Flow began');
    const withdrawn: string[] = [];
    fixture.componentInstance.withdrawn.subscribe((id) => withdrawn.push(id));
    await click('undo');
    expect(withdrawn).toEqual(['d']);
  });

  it('says where its figure comes from', async () => {
    await show();
    await click('where from?');
    expect(element().textContent).toContain('wanted less found');
    expect(element().textContent).toContain('House practice');
  });

  it('lets a trainee read but not decide', async () => {
    await show(null, false);
    expect(button('Decide')).toBeUndefined();
    expect(button('where from?')).toBeDefined();
  });
});
