import { DateTime } from 'luxon';
import { remembered } from './remembered';

/** The civil date of an instant at a site. */
export const dateAt = (zone: string, instant: Date | string): string =>
  (typeof instant === 'string' ? DateTime.fromISO(instant, { zone }) : DateTime.fromJSDate(instant, { zone })).toFormat(
    'yyyy-MM-dd',
  );

/** An hour of a civil day at a site, ms since 1970. Hour 24 is the next midnight. */
export const hourAt = remembered(
  20_000,
  (zone: string, date: string, hour: number) => [zone, date, hour],
  (zone, date, hour): number =>
    DateTime.fromISO(date, { zone })
      .startOf('day')
      .plus({ days: Math.floor(hour / 24) })
      .set({ hour: hour % 24 })
      .toMillis(),
);

export const iso = (at: Date | number): string => new Date(at).toISOString();

/** Clock time of an instant in a zone, `HH:MM`. */
export const clockAt = (zone: string, instant: Date | number): string =>
  DateTime.fromMillis(Number(instant), { zone }).toFormat('HH:mm');
