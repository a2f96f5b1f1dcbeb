import { of, throwError } from 'rxjs';
import { ContractClient } from '../api/contract-client';
import { elementOf, show } from '../../testing/show';
import { AttachmentView } from './attachment-view';

const ID = '01a20000-0000-7000-8000-0000000000f2';

describe('a photo or voice note', () => {
  const view = async (answer: object | null) => {
    const call = () => (answer ? of(answer) : throwError(() => ({ status: 404 })));
    const fixture = await show(AttachmentView, { attachment: ID, name: 'eggs, frame 4' }, [
      { provide: ContractClient, useValue: { call } },
    ]);
    return elementOf(fixture);
  };

  it('is shown or played by what it is, with a name for those who do not see it', async () => {
    const photo = await view({ id: ID, type: 'image/jpeg', content: 'AAAA' });
    expect(photo.querySelector('img')?.getAttribute('alt')).toBe('eggs, frame 4');
    expect(photo.querySelector('img')?.getAttribute('src')).toBe('data:image/jpeg;base64,AAAA');
    const voice = await view({ id: ID, type: 'audio/webm', content: 'BBBB' });
    expect(voice.querySelector('audio')?.getAttribute('aria-label')).toBe('eggs, frame 4');
    expect(voice.querySelector('audio')?.getAttribute('src')).toBe('data:audio/webm;base64,BBBB');
    expect(voice.querySelector('img')).toBeNull();
  });

  it('says that it comes last when it has not arrived', async () => {
    expect((await view(null)).textContent).toContain('Not arrived yet');
  });
});
