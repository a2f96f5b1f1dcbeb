import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { AdviceCard, type DecisionDraft } from './advice-card';

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
  cautions: ['Nothing spilled: it sets off robbing.'],
  turns: ['Nectar coming in: leave it.'],
  ifItFails: 'Not taken in a week: candy over the nest.',
  followUps: [{ question: 'Feed taken?', from: '2026-05-21', due: '2026-05-24' }],
};

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
  const fill = (selector: string, value: string) => {
    const field = element().querySelector<HTMLInputElement>(selector)!;
    field.value = value;
    field.dispatchEvent(new Event('input'));
  };

  const show = async (decision: object | null = null, mayDecide = true, record: object | null = null) => {
    fixture = TestBed.createComponent(AdviceCard);
    fixture.componentRef.setInput('advised', { advice, decision, record });
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
    expect(text).toContain('The other school leaves them to forage.');
  });

  it('shows what to beware of at once, and what would turn it where somebody asks', async () => {
    await show();
    expect(element().querySelector('[aria-label=Cautions]')!.textContent).toContain('it sets off robbing');
    expect(element().textContent).not.toContain('What would turn it');
    await click('where from?');
    const from = element().querySelector('[aria-label="Where from"]')!.textContent;
    expect(from).toContain('Likely: part of the nest was read.');
    expect(from).toContain('Nectar coming in: leave it.');
    expect(from).toContain('If it fails Not taken in a week');
    expect(from).toContain('Thu 21 May – Sun 24 May: Feed taken?');
  });

  it('says how often such advice came out right, once any was settled', async () => {
    await show();
    expect(element().textContent).not.toContain('came out right');
    await show(null, true, { right: 3, of: 4 });
    expect(element().textContent).toContain('Advice like this came out right 3 of 4 times here.');
  });

  it('is decided with one press', async () => {
    await show();
    await click('Decide');
    expect(decided).toEqual([{ advice: 'feed', verdict: 'accepted', action: '', reason: '' }]);
  });

  it('asks for what instead and why before it is decided otherwise', async () => {
    await show();
    await click('Otherwise');
    await click('Decide so');
    expect(decided).toEqual([]);
    expect(element().textContent).toContain('Say what will be done instead.');
    expect(element().textContent).toContain('Say why');
    fill('input[formControlName=action]', 'Give a comb of food from hive 9');
    fill('textarea', 'No sugar in the house');
    await click('Decide so');
    expect(decided).toEqual([
      {
        advice: 'feed',
        verdict: 'otherwise',
        action: 'Give a comb of food from hive 9',
        reason: 'No sugar in the house',
        due: '2026-05-24',
      },
    ]);
  });

  it('asks only why before it is declined, and needs no date', async () => {
    await show();
    await click('Decline');
    fill('textarea', 'Flow began today');
    await click('Decline it');
    expect(decided).toEqual([{ advice: 'feed', verdict: 'declined', action: '', reason: 'Flow began today' }]);
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
