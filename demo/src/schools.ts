/** Two invented schools. No person, place or figure here exists. */
export const SCHOOLS = [
  {
    name: 'Brenna Fell School of Beekeeping',
    sites: [
      {
        name: 'Home orchard',
        latitude: 55.1,
        longitude: -3.3,
        altitude: 180,
        zone: 'Europe/London',
        emergency: {
          number: '112',
          place: 'Brenna Fell, home orchard, lower gate on the mill road',
          signal: 'none here; 90 m uphill at the gate',
          school: 'Morag Selkirk, at the barn, radio 3',
          kit: 'red bag, with Leilani',
        },
      },
      {
        name: 'Moor edge',
        latitude: 55.12,
        longitude: -3.32,
        altitude: 260,
        zone: 'Europe/London',
        emergency: {
          number: '112',
          place: 'Brenna Fell, moor edge, cattle grid at the end of the peat track',
          signal: 'one bar by the sheepfold wall',
          school: 'Morag Selkirk, at the barn, radio 3',
          kit: 'red bag, in the blue van',
        },
      },
    ],
  },
  {
    name: 'Saltpan Road',
    sites: [
      {
        name: 'Saltpan Road',
        latitude: -42.9,
        longitude: 160.2,
        altitude: 12,
        zone: 'Etc/GMT-11',
        emergency: {
          number: '112',
          place: 'Saltpan Road apiary, white gate behind the boat shed',
          signal: 'good everywhere',
          school: 'Inés Quiroga, at the boat shed',
          kit: 'yellow box by the water tank',
        },
      },
    ],
  },
] as const;
