/** What every session takes along. */
export type CommonKit =
  | 'smokers'
  | 'fuel'
  | 'hive-tools'
  | 'veils'
  | 'gloves'
  | 'cloths'
  | 'stands'
  | 'buckets'
  | 'first-aid';
/** What jobs ask for. */
export type JobKit =
  | 'super'
  | 'foundation'
  | 'queen-cage'
  | 'marking-pen'
  | 'mite-wash'
  | 'feeder'
  | 'magnifier'
  | 'matchsticks';
/** What comes along to a first opening, needed or not. */
export type SpareKit = 'foundation' | 'feeder';
