/** What a server is started with. */
export interface Config {
  readonly port: number;
  readonly host: string;
  readonly databaseUrl: string;
  /** Folder of the built web application. */
  readonly webDir: string;
  /** Folder whose disk must have room; empty when the database is elsewhere. */
  readonly dataDir: string;
  /** Key that signs session cookies. */
  readonly sessionSecret: string;
  /** Address of a weather service; empty for the stand-in that ships with the application. */
  readonly weatherUrl: string;
  /** Address of a hive scale service; empty for the stand-in. */
  readonly scaleUrl: string;
  /** Whether to open on the invented school with its own clock. */
  readonly demo: boolean;
  /** Whether the address that people type is https. */
  readonly https: boolean;
  readonly logLevel: string;
  /** Whether responses are checked against the contract. */
  readonly checkResponses: boolean;
}

/** Least room on the data disk for a write, bytes. */
export const LEAST_ROOM = 24 * 1024 * 1024;
