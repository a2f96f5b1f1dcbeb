import { kindOf } from './coverage-parameters';
import { type Json, at } from './json';

/** A collection of a service of the OGC API for environmental data, as far as it is used. */
export interface Collection {
  readonly id: string;
  /** Names of the parameters that are read of it; none where the service does not list them. */
  readonly parameters: readonly string[];
  /** Whether it can be asked for a point and tells temperature, wind and rain. */
  readonly fits: boolean;
  /** First and last moment of its data, ms since 1970; open ends are infinite. */
  readonly from: number;
  readonly to: number;
}

const moment = (value: unknown, open: number): number => {
  const time = typeof value === 'string' ? Date.parse(value) : Number.NaN;
  return Number.isNaN(time) ? open : time;
};

function collectionOf(value: unknown): Collection[] {
  const id = at(value, 'id');
  if (typeof id !== 'string') return [];
  const named = Object.entries((at(value, 'parameter_names') ?? {}) as Json).map(
    ([name, parameter]) => [name, kindOf(name, parameter)] as const,
  );
  const kinds = new Set(named.map(([, kind]) => kind));
  const wind = kinds.has('wind') || (kinds.has('eastward') && kinds.has('northward'));
  const interval = at(value, 'extent', 'temporal', 'interval') as readonly (readonly unknown[])[] | undefined;
  return [
    {
      id,
      parameters: named.filter(([, kind]) => kind !== null).map(([name]) => name),
      fits:
        at(value, 'data_queries', 'position') !== undefined && kinds.has('temperature') && wind && kinds.has('rain'),
      from: moment(interval?.[0]?.[0], -Infinity),
      to: moment(interval?.at(-1)?.[1], Infinity),
    },
  ];
}

/**
 * The collections of a service.
 *
 * @param document what it answers under `/collections`
 * @returns what is known of each, in its order
 */
export const collectionsIn = (document: unknown): readonly Collection[] => {
  const all = at(document, 'collections');
  return Array.isArray(all) ? all.flatMap(collectionOf) : [];
};

/**
 * Which collection tells what is to come, and which what has been: the one of that name, else the one whose data reach furthest that way.
 *
 * @param all collections of the service
 * @param now ms since 1970
 * @param named ids that whoever set the service up has given, empty for none
 * @returns both, `null` where there is none that fits
 */
export function choose(
  all: readonly Collection[],
  now: number,
  named: { readonly forecast: string; readonly observed: string },
): { readonly forecast: Collection | null; readonly observed: Collection | null } {
  const fit = all.filter(({ fits }) => fits);
  const called = (id: string) => all.find((each) => each.id === id) ?? null;
  const word = (pattern: RegExp) => fit.find(({ id }) => pattern.test(id));
  const ahead = fit.filter(({ to }) => to > now).toSorted((a, b) => b.to - a.to);
  const behind = fit.filter(({ from, to }) => from < now && to < Infinity).toSorted((a, b) => a.from - b.from);
  return {
    forecast: named.forecast === '' ? (word(/forecast/i) ?? ahead[0] ?? null) : called(named.forecast),
    observed: named.observed === '' ? (word(/observ|analys|measur/i) ?? behind[0] ?? null) : called(named.observed),
  };
}
