/** A private MariaDB on loopback. */
export function startMariaDb(
  folder: string,
  options?: { readonly fast?: boolean; readonly port?: number | null; readonly onLost?: () => boolean },
): Promise<{ readonly url: string; readonly port: number; readonly secret: string; stop(): Promise<void> }>;
/** Processes of databases that run on a data folder. */
export function databasesOn(folder: string): readonly string[];
