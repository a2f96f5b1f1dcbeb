import { describe, expect, it } from 'vitest';
import { ENTRY_KINDS } from '@brave-comb/core/inspection';
import { EntryBody, NewEntry, endpoints, openApiOf } from '../src';
import { ADDRESSES } from '../src/addresses';

describe('the endpoint table', () => {
  it('names every address once', () => {
    const addresses = Object.values(endpoints).map(({ method, path }) => `${method} ${path}`);
    expect(new Set(addresses).size).toBe(addresses.length);
  });

  it('has its addresses apart from its schemas (npm run addresses)', () => {
    const table = Object.entries(endpoints).map(([name, { method, path }]) => [name, [method, path]]);
    expect(ADDRESSES).toEqual(Object.fromEntries(table));
  });

  it('changes nothing on GET and asks for a sign-in wherever it is not said to be open', () => {
    for (const endpoint of Object.values(endpoints)) {
      if (endpoint.method === 'GET') expect(endpoint.body).toBeUndefined();
      expect(endpoint.access === 'anyone' || endpoint.access.length > 0).toBe(true);
    }
    const open = Object.entries(endpoints).filter(([, { access }]) => access === 'anyone');
    expect(open.map(([name]) => name).sort()).toEqual([
      'acceptInvitation',
      'beginSchool',
      'lookAtInvitation',
      'lostPassword',
      'signIn',
      'whoAmI',
    ]);
  });

  it('has every endpoint in its OpenAPI document', () => {
    const { paths } = openApiOf(endpoints);
    for (const { path, method } of Object.values(endpoints)) {
      expect(paths[path.replace(/:(\w+)/g, '{$1}')]).toHaveProperty(method.toLowerCase());
    }
  });
});

describe('an entry', () => {
  const good = {
    id: '0196cd3c-7b1e-7c3a-9d7e-2f1d6d5a4b3c',
    at: '2026-05-14T12:30:00Z',
    body: { kind: 'mood-noted', mood: 2 },
  };

  it('is read as it is sent', () => {
    expect(NewEntry.parse(good)).toEqual(good);
  });

  it.each([
    ['no id', { ...good, id: 'entry 1' }],
    ['no moment', { ...good, at: 'yesterday' }],
    ['an unknown kind', { ...good, body: { kind: 'hive thrown over' } }],
    ['a mood beyond five', { ...good, body: { kind: 'mood-noted', mood: 6 } }],
    [
      'half an eighth',
      {
        ...good,
        body: {
          kind: 'frame-side-recorded',
          address: { box: 'b', frame: 1, face: 'low' },
          side: { eighths: { S: 0.5 }, trace: [], bees: null, queen: false, cells: 0, doubtful: false },
          seen: null,
        },
      },
    ],
  ])('is refused with %s', (_what, entry) => {
    expect(NewEntry.safeParse(entry).success).toBe(false);
  });
});

describe('what is entered during a visit', () => {
  it('has a schema for every kind, and no schema for what is no kind', () => {
    const kinds = EntryBody.options.map(({ shape }) => shape.kind.value);
    expect([...kinds].sort()).toEqual([...ENTRY_KINDS].sort());
  });
});
