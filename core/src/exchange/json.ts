/** An object of JSON that somebody else wrote. */
export type Json = Readonly<Record<string, unknown>>;

export const isJson = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What stands within a document under some keys; undefined where nothing does. */
export const at = (document: unknown, ...keys: readonly string[]): unknown =>
  keys.reduce<unknown>((inner, key) => (isJson(inner) ? inner[key] : undefined), document);
