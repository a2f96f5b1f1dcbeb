/** A schema as OpenAPI 3.0 writes it, as far as an example needs it. */
export interface Schema {
  readonly type?: string;
  readonly format?: string;
  readonly pattern?: string;
  readonly enum?: readonly unknown[];
  readonly default?: unknown;
  /** What the contract itself gives as one, where rules go beyond the shape. */
  readonly example?: unknown;
  readonly nullable?: boolean;
  readonly minLength?: number;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly exclusiveMinimum?: boolean;
  readonly exclusiveMaximum?: boolean;
  readonly minItems?: number;
  readonly items?: Schema;
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly additionalProperties?: Schema | boolean;
  readonly required?: readonly string[];
  readonly anyOf?: readonly Schema[];
  readonly oneOf?: readonly Schema[];
  readonly allOf?: readonly Schema[];
}

/** What a field of a name holds in examples: nothing that exists. */
const BY_NAME: Readonly<Record<string, string | number>> = {
  name: 'Home orchard',
  number: '4',
  stand: 'B',
  zone: 'Europe/London',
  mail: 'salma@brenna-fell.example',
  signIn: 'salma',
  password: 'willow-before-gorse',
  next: 'three-plain-words',
  token: 'qJ3vN0c1xWm8yHk2bTz5uRf7sLp4aDg9eVi6oMn-_Bc',
  code: '482913',
  reason: 'the stand is being mended',
  message: 'Veils on at the gate.',
  question: 'Are there eggs on frame 5?',
  latitude: 55.1,
  longitude: -3.3,
  year: 2025,
  faces: 160,
};
const BY_FORMAT: Readonly<Record<string, string>> = {
  uuid: '01926f3a-7c1e-7b44-9a53-2f6f0c1d8e10',
  date: '2026-05-14',
  'date-time': '2026-05-14T06:40:00Z',
  email: 'salma@brenna-fell.example',
};
/** Texts that fit common patterns: days, months with days, clock times, keys. */
const FITTING = ['2026-05-14', '05-14', '12:30', '12:30:00Z', '2026-05-14T06:40:00Z', 'hazel', 'a'.repeat(43)];

function textOf(schema: Schema, name: string): string {
  const fits = (text: string) =>
    text.length >= (schema.minLength ?? 0) &&
    (schema.pattern === undefined || new RegExp(schema.pattern, 'u').test(text));
  const known = [BY_NAME[name], BY_FORMAT[schema.format ?? ''], ...(schema.pattern ? FITTING : [])];
  const found = known.find((each): each is string => typeof each === 'string' && fits(each));
  return found ?? 'text'.padEnd(schema.minLength ?? 0, 's');
}

function numberOf(schema: Schema, name: string): number {
  const { minimum = Number.NEGATIVE_INFINITY, maximum = Number.POSITIVE_INFINITY } = schema;
  const wanted = BY_NAME[name];
  const above = schema.exclusiveMinimum === true ? minimum + 1 : minimum;
  const below = schema.exclusiveMaximum === true ? maximum / 2 : maximum;
  return Math.min(below, Math.max(above, typeof wanted === 'number' ? wanted : 1));
}

/**
 * A value that fits a schema, made up: the same for the same schema.
 *
 * @param schema as OpenAPI 3.0 writes it
 * @param name of the field that holds it
 * @returns the value; of an object what is required, of a list one item
 * @example exampleOf({ type: 'array', items: { type: 'string', format: 'date' } }) // [ '2026-05-14' ]
 */
export function exampleOf(schema: Schema, name = ''): unknown {
  if (schema.example !== undefined) return schema.example;
  if (schema.default !== undefined) return schema.default;
  if (schema.enum) return schema.enum[0];
  const ways = schema.oneOf ?? schema.anyOf;
  if (ways) return exampleOf(ways.find(({ enum: only }) => only?.[0] !== null) ?? ways[0]!, name);
  if (schema.allOf) return Object.assign({}, ...schema.allOf.map((each) => exampleOf(each, name))) as object;
  switch (schema.type) {
    case 'object': {
      const { properties = {}, required = [], additionalProperties: rest } = schema;
      const further = typeof rest === 'object' ? rest : {};
      return Object.fromEntries(required.map((key) => [key, exampleOf(properties[key] ?? further, key)]));
    }
    case 'array':
      return Array.from({ length: Math.max(1, schema.minItems ?? 1) }, () => exampleOf(schema.items ?? {}, name));
    case 'string':
      return textOf(schema, name);
    case 'number':
    case 'integer':
      return numberOf(schema, name);
    case 'boolean':
      return true;
    default:
      return null;
  }
}
