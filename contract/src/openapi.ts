import * as z from 'zod';
import type { Endpoint } from './endpoint';
import { exampleOf } from './examples';
import { Problem } from './parts';

const schemaOf = (of: z.ZodType, io: 'input' | 'output') => {
  const { $schema: _, ...schema } = z.toJSONSchema(of, { target: 'openapi-3.0', io, unrepresentable: 'any' });
  return schema;
};
const json = (schema: object, example = exampleOf(schema)) => ({
  content: { 'application/json': { schema, example } },
});
/** A refusal as it is answered. */
const REFUSED = {
  problem: 'changed-meanwhile',
  message: 'Ruth has changed this since you opened it. Compare both below, then save again.',
};
const binary = (type: string) => ({ content: { [type]: { schema: { type: 'string', format: 'binary' } } } });

function bodyOf({ body, file }: Endpoint): object {
  if (file?.way === 'in') return { requestBody: { required: true, ...binary(file.type) } };
  return body ? { requestBody: { required: true, ...json(schemaOf(body, 'input')) } } : {};
}

function answerOf({ streams, file, response }: Endpoint): object {
  if (file?.way === 'out') return { description: 'The file', ...binary(file.type) };
  const schema = schemaOf(response, 'output');
  return streams
    ? { description: 'Server-sent events', content: { 'text/event-stream': { schema } } }
    : { description: 'Done', ...json(schema) };
}

function parametersOf({ params, query }: Endpoint): readonly object[] {
  const each = (shape: z.ZodType | undefined, where: 'path' | 'query') => {
    if (!(shape instanceof z.ZodObject)) return [];
    return Object.entries(shape.shape as Record<string, z.ZodType>).map(([name, type]) => ({
      name,
      in: where,
      required: where === 'path' || !type.safeParse(undefined).success,
      schema: schemaOf(type, 'input'),
    }));
  };
  return [...each(params, 'path'), ...each(query, 'query')];
}

/**
 * The OpenAPI document of an endpoint table.
 *
 * @param endpoints the table, by name
 * @returns an OpenAPI 3.0.3 document, plain data
 * @example openApiOf(endpoints).paths['/api/people/sign-in']
 */
export function openApiOf(endpoints: Readonly<Record<string, Endpoint>>) {
  const paths: Record<string, Record<string, object>> = {};
  for (const [name, endpoint] of Object.entries(endpoints)) {
    const path = endpoint.path.replace(/:(\w+)/g, '{$1}');
    const refused = {
      description: 'Refused; the message says what to do',
      ...json(schemaOf(Problem, 'output'), REFUSED),
    };
    paths[path] = {
      ...paths[path],
      [endpoint.method.toLowerCase()]: {
        operationId: name,
        summary: endpoint.summary,
        description: endpoint.access === 'anyone' ? 'Open to anyone.' : `For ${endpoint.access.join(', ')}.`,
        tags: [endpoint.path.split('/')[2]],
        ...(endpoint.access === 'anyone' ? { security: [] } : {}),
        ...(parametersOf(endpoint).length > 0 ? { parameters: parametersOf(endpoint) } : {}),
        ...bodyOf(endpoint),
        responses: {
          200: answerOf(endpoint),
          default: refused,
        },
      },
    };
  }
  return {
    openapi: '3.0.3',
    info: { title: 'Brave Comb', version: '0.1.0', description: 'Supervised hive inspections of a beekeeping course.' },
    security: [{ session: [] }],
    components: { securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'brave_comb' } } },
    paths,
  };
}
