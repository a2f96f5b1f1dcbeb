import { TestBed } from '@angular/core/testing';
import { signal } from '@angular/core';
import { endpoints } from './endpoints';
import { FileUpload } from './file-upload';
import { WHO } from './who';

/** A request that a browser would send, answered by hand. */
class Request {
  static last: Request;
  readonly upload: { onprogress?: (event: { loaded: number; total: number }) => void } = {};
  readonly headers: Record<string, string> = {};
  opened = '';
  body: unknown;
  status = 0;
  responseText = '';
  onload?: () => void;
  onerror?: () => void;
  onabort?: () => void;
  constructor() {
    Request.last = this;
  }
  open(method: string, url: string) {
    this.opened = `${method} ${url}`;
  }
  setRequestHeader(name: string, value: string) {
    this.headers[name] = value;
  }
  send(body: unknown) {
    this.body = body;
  }
  abort() {
    this.onabort?.();
  }
  answer(status: number, text: string) {
    Object.assign(this, { status, responseText: text });
    this.onload?.();
  }
}

beforeEach(() => vi.stubGlobal('XMLHttpRequest', Request));
afterEach(() => vi.unstubAllGlobals());

function upload(person: string | null = 'm') {
  TestBed.configureTestingModule({ providers: [{ provide: WHO, useValue: signal(person) }] });
  const shares: number[] = [];
  const file = new Blob(['x']);
  const sent = TestBed.inject(FileUpload).send(endpoints.bringInArchive, { replaces: 'Brenna Fell' }, file, (share) =>
    shares.push(share),
  );
  return { sent, shares, file, request: Request.last };
}

describe('a large file on its way', () => {
  it('goes as the body, in the name of who is signed in, and tells how far it is', async () => {
    const { sent, shares, file, request } = upload();
    expect(request.opened).toBe('POST /api/archive/school?replaces=Brenna+Fell');
    expect(request.headers).toEqual({ 'Content-Type': 'application/octet-stream', 'X-Person': 'm' });
    expect(request.body).toBe(file);
    request.upload.onprogress?.({ loaded: 1, total: 4 });
    request.upload.onprogress?.({ loaded: 0, total: 0 });
    expect(shares).toEqual([0.25, 0]);
    request.answer(200, '{"rows":4,"school":"Thorn Hollow","withoutWayIn":0}');
    expect(await sent.answer).toEqual({ rows: 4, school: 'Thorn Hollow', withoutWayIn: 0 });
  });

  it('fails with the words of the server, or without a connection', async () => {
    const refused = upload();
    refused.request.answer(409, '{"problem":"id-in-use","message":"Bring it in as a copy."}');
    await expect(refused.sent.answer).rejects.toMatchObject({
      status: 409,
      problem: 'id-in-use',
      message: 'Bring it in as a copy.',
    });
    TestBed.resetTestingModule();
    const torn = upload();
    torn.request.answer(502, '<html>');
    await expect(torn.sent.answer).rejects.toMatchObject({ status: 502, problem: 'fault' });
    TestBed.resetTestingModule();
    const lost = upload();
    lost.request.onerror?.();
    await expect(lost.sent.answer).rejects.toMatchObject({ status: 0, problem: 'no-connection' });
  });

  it('ends when it is cancelled, and names nobody where nobody is signed in', async () => {
    const { sent, request } = upload(null);
    expect(request.headers).not.toHaveProperty('X-Person');
    sent.cancel();
    await expect(sent.answer).rejects.toMatchObject({ status: 0 });
  });
});
