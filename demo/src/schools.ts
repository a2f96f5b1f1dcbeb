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

/** What is on the ground of a site, as it is drawn; metres east and north of the corner by the lower gate. */
export const PLANS = [
  {
    school: 'Brenna Fell School of Beekeeping',
    site: 'Home orchard',
    stands: [
      { name: 'A', east: 5.4, north: 6, faces: 160, height: 35 },
      { name: 'B', east: 7.4, north: 12, faces: 160, height: 35 },
      { name: 'C', east: 15.4, north: 9, faces: 200, height: 40 },
    ],
    landmarks: [
      {
        kind: 'path',
        name: 'the orchard path',
        along: [
          { east: -1, north: 14 },
          { east: 9, north: 13.9 },
          { east: 17, north: 13.6 },
          { east: 20.5, north: 11 },
          { east: 21.5, north: 5 },
          { east: 22, north: -1 },
        ],
        width: 1.2,
      },
      {
        kind: 'barrier',
        name: 'hedge',
        along: [
          { east: -2, north: 17 },
          { east: 11, north: 17.3 },
          { east: 24, north: 16.8 },
        ],
        height: 2.5,
      },
      {
        kind: 'barrier',
        name: 'wall',
        along: [
          { east: -2, north: 17 },
          { east: -2, north: -1 },
        ],
        height: 1.4,
      },
      { kind: 'tree', name: 'apple', at: { east: 20, north: 15 }, radius: 1.4 },
      { kind: 'tree', name: 'pear', at: { east: 1, north: 10 }, radius: 1.1 },
      { kind: 'tree', name: 'apple', at: { east: 10, north: 1.5 }, radius: 1.5 },
      { kind: 'gate', name: 'gate, mill road', at: { east: 22, north: -1 } },
    ],
    wind: 250,
  },
  {
    school: 'Brenna Fell School of Beekeeping',
    site: 'Moor edge',
    stands: [
      { name: 'D', east: 4.4, north: 4, faces: 135, height: 35 },
      { name: 'E', east: 10.7, north: 4, faces: 90, height: 60 },
    ],
    landmarks: [
      {
        kind: 'barrier',
        name: 'sheepfold wall',
        along: [
          { east: -3, north: 9 },
          { east: 15, north: 9.5 },
        ],
        height: 1.5,
      },
      {
        kind: 'path',
        name: 'the peat track',
        along: [
          { east: -3, north: -4 },
          { east: 5, north: -3.4 },
          { east: 16, north: -4 },
        ],
        width: 2,
      },
      { kind: 'gate', name: 'cattle grid', at: { east: -3, north: -4 } },
    ],
    wind: 250,
  },
] as const;
