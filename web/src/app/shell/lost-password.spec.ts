import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { provideStore } from '@ngrx/store';
import { show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { LostPassword } from './lost-password';

async function opened(name = 'salma') {
  const fixture = await show(LostPassword, { name }, [provideHttpClientTesting(), provideStore()]);
  const element = fixture.nativeElement as HTMLElement;
  const ask = async () => {
    element.querySelector('form')!.dispatchEvent(new Event('submit', { cancelable: true }));
    await fixture.whenStable();
  };
  const sent = () => TestBed.inject(HttpTestingController).expectOne(({ url }) => url.endsWith('/password/lost'));
  const settle = async () => {
    await new Promise((done) => setTimeout(done));
    await fixture.whenStable();
  };
  return { element, ask, sent, settle };
}

describe('a lost password', () => {
  it('is asked for by the name that was typed, once, and says nothing of whether it is known', async () => {
    const { element, ask, sent, settle } = await opened();
    await ask();
    await ask();
    const request = sent();
    expect(request.request.body).toEqual({ name: 'salma' });
    request.flush({ mails: true });
    await settle();
    expect(textOf(element)).toContain('If this name is known here with a mail address');
  });

  it('where no mail is sent leads to whoever can help', async () => {
    const { element, ask, sent, settle } = await opened();
    await ask();
    sent().flush({ mails: false });
    await settle();
    expect(textOf(element)).toContain('Ask your lead instructor for a link');
  });

  it('tells what was refused, and can be asked again', async () => {
    const { element, ask, sent, settle } = await opened();
    await ask();
    sent().flush({ problem: 'too-many-tries', message: 'Wait 4 minutes.' }, { status: 429, statusText: 'no' });
    await settle();
    expect(element.querySelector('[role=alert]')?.textContent).toContain('Wait 4 minutes.');
    await ask();
    sent();
  });

  it('is not asked for without a name', async () => {
    const { ask } = await opened('  ');
    await ask();
    TestBed.inject(HttpTestingController).expectNone(() => true);
  });
});
