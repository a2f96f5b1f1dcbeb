import { TestBed } from '@angular/core/testing';
import { Store } from '@ngrx/store';
import { showView } from '../../testing/ahead';
import { textOf } from '../../testing/text';
import { OutboxScreen } from './outbox';
import { ViewEvents } from '../api/views.feature';
import { MessagesScreen } from '../people/messages';

const message = (id: string, read: boolean) => ({
  id,
  at: '2026-05-14T06:48:00Z',
  subject: 'Your session has changed',
  lines: ['Curlew: called off, Thu 21 May, 12:30–15:30'],
  read,
});

describe('messages', () => {
  it('are listed with their lines; a new one is marked as read', async () => {
    const { element, press, changes } = await showView(MessagesScreen, 'messages', {
      messages: [message('new', false), message('old', true)],
    });
    const items = [...element.querySelectorAll('li')];
    expect(items).toHaveLength(2);
    expect(items[0]!.textContent).toContain('Curlew: called off');
    expect(items[0]!.classList.contains('new')).toBe(true);
    expect(items[1]!.querySelector('button')).toBeNull();
    await press(/^Read$/);
    expect(changes()).toMatchObject([{ endpoint: 'readMessage', sent: { params: { message: 'new' } } }]);
  });

  it('say when there is none', async () => {
    const { element } = await showView(MessagesScreen, 'messages', { messages: [] });
    expect(element.textContent).toContain('Nothing yet.');
  });

  it('that went out are listed with who was told', async () => {
    const mail = {
      id: 'm',
      at: '2026-05-14T06:48:00Z',
      to: 'Ife',
      subject: 'Your session has changed',
      lines: ['Gone'],
      mail: null,
    };
    const { element } = await showView(OutboxScreen, 'outbox', { sends: false, mails: [mail] });
    expect(textOf(element)).toContain('This installation sends no email itself');
    expect(textOf(element.querySelector('[aria-labelledby="outbox-title"] li'))).toContain(
      'Ife Thu 14 May, 07:48 : Your session',
    );
  });

  it.each([
    ['sent', { sent: '2026-05-14T06:49:00Z', tries: 0, fault: null }, /By mail Thu 14 May, 07:49/],
    ['waiting', { sent: null, tries: 0, fault: null }, /Waits to be sent by mail/],
    ['tried', { sent: null, tries: 2, fault: 'mailbox full' }, /Not sent by mail yet: mailbox full. It is tried again/],
    ['given up', { sent: null, tries: 6, fault: 'mailbox full' }, /given up: mailbox full/],
    ['for somebody without an address', null, /^(?!.*by mail (yet|Thu)|.*Waits)/],
  ])('tell what became of a mail: %s', async (_what, mail, says) => {
    const told = { id: 'm', at: '2026-05-14T06:48:00Z', to: 'Ife', subject: 'Called off', lines: [], mail };
    const { element } = await showView(OutboxScreen, 'outbox', { sends: true, mails: [told] });
    expect(textOf(element.querySelector('[aria-labelledby="outbox-title"] li'))).toMatch(says);
  });

  it('stand beside the plans that were published, with their reasons and what they changed', async () => {
    const { element, fixture } = await showView(OutboxScreen, 'outbox', { sends: false, mails: [] });
    const version = {
      version: 2,
      by: 'Morag Selkirk',
      at: '2026-05-14T06:48:00Z',
      forecast: null,
      objective: 360,
      bound: 361,
      reason: 'the stand is being mended',
      changes: ['Curlew: called off, Thu 21 May, 12:30–15:30'],
    };
    TestBed.inject(Store).dispatch(
      ViewEvents.loaded({
        view: 'planVersions',
        data: { versions: [version, { ...version, version: 1, changes: [] }] },
      }),
    );
    await fixture.whenStable();
    const [second, first] = [...element.querySelectorAll('[aria-labelledby="versions-title"] li')].map(textOf);
    expect(second).toMatch(
      /Version 2 by Morag Selkirk, Thu 14 May, 07:48 the stand is being mended Curlew: called off/,
    );
    expect(first).toContain('Nothing moved.');
  });
});
