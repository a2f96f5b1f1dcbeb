import type { CompassPoint } from '../../../units';
import type { Hopeless } from '../../../planning';

/** What things are called, by their ids. */
export const planningNames = {
  hopeless: {
    'no-slots': 'no slots',
    'no-fit-hours': 'no fit hours',
    'no-groups': 'no groups',
    'no-supervisors': 'no supervisors',
    'nobody-can-come': 'nobody can come',
    'no-hive-can-be-opened': 'no hive can be opened',
  } satisfies Record<Hopeless, string>,
  sessionStatus: {
    planned: 'planned',
    held: 'held',
    'called-off': 'called off',
  },
  compass: {
    north: 'north',
    'north-east': 'north-east',
    east: 'east',
    'south-east': 'south-east',
    south: 'south',
    'south-west': 'south-west',
    west: 'west',
    'north-west': 'north-west',
  } satisfies Record<CompassPoint, string>,
};
