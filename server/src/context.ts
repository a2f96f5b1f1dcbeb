import type { Role } from '@brave-comb/contract';
import type { UnitSystem } from '@brave-comb/core/units';
import type { Db } from './database/db';
import type { Logger } from 'pino';
import type { Clock } from './clock/clock';
import type { Mail } from './mail';

/** What every service works with. */
export interface Context {
  readonly db: Db;
  readonly clock: Clock;
  readonly log: Logger;
  /** Address that people type; empty when nobody said. */
  readonly publicUrl: string;
  /** Name of the session cookie. */
  readonly cookieName: string;
  /** Sends mails; left out where this installation sends none. */
  readonly mail?: Mail;
}

/** In which units somebody reads figures: the own choice, or as the school does. */
export interface Units {
  readonly own: UnitSystem | null;
  readonly school: UnitSystem;
}

/** Who asks. */
export interface Actor {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  /** Whether the school is theirs; sessions from before owners do not know. */
  readonly owner?: boolean;
  readonly school: string;
  readonly schoolName: string;
}
