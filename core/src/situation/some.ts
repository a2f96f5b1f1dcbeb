/** Some of the fields of a type; what is left out was not said. */
export type Some<T> = { readonly [Field in keyof T]?: T[Field] | undefined };

/** What was said, and the defaults for all else. */
export const withDefaults = <T extends object>(defaults: T, some: Some<T> | undefined): T => ({
  ...defaults,
  ...Object.fromEntries(Object.entries(some ?? {}).filter(([, value]) => value !== undefined)),
});
