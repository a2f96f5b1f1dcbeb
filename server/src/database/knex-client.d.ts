declare module 'knex/lib/dialects/mysql2/index.js' {
  /** Knex's client for the driver; its parts that are overridden here. */
  export default class MySql2Client {
    _query(line: object, asked: string | object): Promise<unknown>;
    destroyRawConnection(line: object): Promise<void>;
  }
}
