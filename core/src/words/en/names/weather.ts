import { depthNames } from './depths';
import type { FireDanger, Weather, Hindrance, HeatClass } from '../../../weather';

/** What things are called, by their ids. */
export const weatherNames = {
  ...depthNames,
  weatherFigure: {
    temperature: 'shade temperature',
    dewPoint: 'dew point',
    wind: 'mean wind',
    gust: 'gusts',
    rain: 'rain within the hour',
    cloud: 'share of the sky covered',
    thunder: 'chance of thunder',
  } satisfies Record<keyof Weather, string>,
  fireDanger: {
    none: 'none',
    low: 'low',
    moderate: 'moderate',
    high: 'high',
    extreme: 'extreme',
  } satisfies Record<FireDanger, string>,
  hindrance: {
    rain: 'rain',
    cold: 'cold',
    thunder: 'thunder',
    'rain-soon': 'rain soon',
    gusts: 'gusts',
    heat: 'heat',
    dark: 'dark',
    'bees-in': 'bees in',
  } satisfies Record<Hindrance, string>,
  /** What stands in the way of opening deeper, in a forecast. */
  hinders: {
    thunder: 'thunder',
    rain: 'rain',
    'rain-soon': 'rain soon after',
    gusts: 'wind',
    cold: 'cold',
    heat: 'heat',
    dark: 'poor light',
    'bees-in': 'bees at home',
  } satisfies Record<Hindrance, string>,
  /** The same, when one stands at the hive. */
  atTheHive: {
    thunder: 'thunder',
    rain: 'rain',
    'rain-soon': 'rain is near',
    gusts: 'gusts',
    cold: 'cold',
    heat: 'heat',
    dark: 'too dark',
    'bees-in': 'no bee flies',
  } satisfies Record<Hindrance, string>,
  heat: {
    none: 'none',
    'extreme-danger': 'extreme danger',
    danger: 'danger',
    'extreme-caution': 'extreme caution',
    caution: 'caution',
  } satisfies Record<HeatClass, string>,
};
