import { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { showView } from '../../testing/ahead';
import { controlsOf } from '../../testing/controls';
import { textOf } from '../../testing/text';
import { SignInsCard } from './sign-ins-card';

const MOMENT = { since: '2026-05-14T06:00:00Z', used: '2026-05-14T06:30:00Z' };
const DATA = {
  sessions: [
    { id: 'one', device: 'Firefox, Linux', here: true, ...MOMENT },
    { id: 'two', device: 'Safari, iOS', here: false, ...MOMENT },
    { id: 'three', device: '', here: false, ...MOMENT },
  ],
};

describe('own sign-ins', () => {
  const shown = async () => {
    const view = await showView(SignInsCard, 'mySignIns', DATA);
    const sent = (path: RegExp) => TestBed.inject(HttpTestingController).expectOne(({ url }) => path.test(url));
    const settle = async () => {
      await new Promise((done) => setTimeout(done));
      await view.fixture.whenStable();
    };
    return { ...view, ...controlsOf(view.fixture), sent, settle };
  };

  it('are known again by their devices; this one cannot be ended here', async () => {
    const { element, press, sent } = await shown();
    const lines = [...element.querySelectorAll('li')].map(textOf);
    expect(lines[0]).toContain('Firefox, Linux , here');
    expect(lines[2]).toContain('another device');
    expect(element.querySelectorAll('li button')).toHaveLength(2);
    await press(/^Sign out Safari, iOS$/);
    expect(sent(/sign-ins\/end$/).request.body).toEqual({ id: 'two' });
  });

  it('end everywhere else at once', async () => {
    const { press, sent } = await shown();
    await press(/^Sign out everywhere else$/);
    expect(sent(/sign-ins\/end$/).request.body).toEqual({ id: null });
  });

  it('change the password by the one so far, and say what came of it', async () => {
    const { element, press, write, written, sent, settle } = await shown();
    await write(/^Password so far/, 'three plain words');
    await write(/^New password/, 'too short');
    await press(/^Change it$/);
    TestBed.inject(HttpTestingController).expectNone(() => true);
    await write(/^New password/, 'four other plain words');
    await press(/^Change it$/);
    const refused = sent(/people\/password$/);
    expect(refused.request.body).toEqual({ password: 'three plain words', next: 'four other plain words' });
    const message = 'That is not your password so far.';
    refused.flush({ problem: 'not-allowed', message }, { status: 422, statusText: 'no' });
    await settle();
    expect(textOf(element.querySelector('[role="alert"]'))).toBe(message);
    expect(await written(/^New password/)).toBe('four other plain words');
    await press(/^Change it$/);
    sent(/people\/password$/).flush({ ended: 2 });
    await settle();
    expect(textOf(element.querySelector('[role="status"]'))).toContain('you are signed out elsewhere');
    expect(await written(/^New password/)).toBe('');
  });
});
