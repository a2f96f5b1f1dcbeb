import { showView } from '../../testing/ahead';
import { textOf } from '../../testing/text';
import { ForgettingForm } from './forgetting-form';

const form = (mayChange: boolean) =>
  showView(ForgettingForm, 'checklist', {}, 'lead', { kept: { school: 'fixed-term' }, mayChange });

describe('the term of forgetting', () => {
  it('shows by an example what another school would do, and is kept by the lead', async () => {
    const { element, fixture, press, changes } = await form(true);
    expect(textOf(element)).toContain(
      'in months by number of days shown: 12 after 1, 12 after 2, 12 after 3, 12 after 4',
    );
    element.querySelectorAll<HTMLInputElement>('input[type=radio]')[1]!.click();
    await fixture.whenStable();
    expect(textOf(element)).toContain('12 after 1, 18 after 2, 27 after 3, 36 after 4');
    const [growth] = element.querySelectorAll<HTMLInputElement>('input[type=number]');
    growth!.value = '9';
    growth!.dispatchEvent(new Event('change'));
    await fixture.whenStable();
    await press(/^Save/);
    expect(changes()[0]).toMatchObject({
      endpoint: 'setForgetting',
      sent: { body: { school: 'growing-term', growth: 3, most: 36 } },
    });
  });

  it('is only read by others', async () => {
    const { element } = await form(false);
    expect(element.querySelector('fieldset')).toHaveProperty('disabled', true);
    expect(element.querySelector('button')).toBeNull();
  });
});
