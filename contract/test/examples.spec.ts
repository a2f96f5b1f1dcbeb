import { describe, expect, it } from 'vitest';
import { type Endpoint, endpoints, openApiOf } from '../src';

type Content = { content?: Record<string, { example?: unknown }> };
type Operation = { operationId: string; requestBody?: Content; responses: Record<'200' | 'default', Content> };
const operations = Object.values(openApiOf(endpoints).paths).flatMap((path) => Object.values(path) as Operation[]);
const byName = new Map(operations.map((each) => [each.operationId, each]));
const jsonOf = (of?: Content) => of?.content?.['application/json'];
const all = Object.entries(endpoints as Readonly<Record<string, Endpoint>>);

describe('the examples of the OpenAPI document', () => {
  const bodies = all.filter(([, { body, file }]) => body && file?.way !== 'in');
  it.each(bodies)('%s: what is sent would be taken', (name, { body }) => {
    const example = jsonOf(byName.get(name)!.requestBody)?.example;
    const read = body!.safeParse(example);
    expect(read.success ? [] : read.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`)).toEqual(
      [],
    );
  });

  const answers = all.filter(([, { file, streams }]) => file?.way !== 'out' && !streams);
  it.each(answers)('%s: what is answered fits', (name, { response }) => {
    const example = jsonOf(byName.get(name)!.responses[200])?.example;
    const read = response.safeParse(example);
    expect(read.success ? [] : read.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`)).toEqual(
      [],
    );
  });

  it('show a refusal as it is answered', () => {
    expect(jsonOf(operations[0]!.responses.default)?.example).toEqual({
      problem: 'changed-meanwhile',
      message: expect.stringMatching(/^Ruth has changed this/) as string,
    });
  });
});
