import type { SizeTable } from '@merry-tailor/core'

const inch = (value: number): number => value * 25.4
const cm = (value: number): number => value * 10
type Pair = readonly [number, number]

/** Sizes from rows of label and one from-to pair per measure, in the maker's own unit. */
function sizes(toMm: (value: number) => number, ids: readonly string[], rows: Readonly<Record<string, readonly Pair[]>>): SizeTable['sizes'] {
  return Object.entries(rows).map(([label, pairs]) => ({
    label,
    bands: Object.fromEntries(ids.flatMap((id, i) => (pairs[i] ? [[id, [toMm(pairs[i][0]), toMm(pairs[i][1])] as [number, number]]] : []))),
  }))
}

/** Tables of invented makers: inches and centimetres, all three ways, both schools. */
export const sizeTables: readonly SizeTable[] = [
  {
    id: 'skerrywright-walking-y',
    version: 1,
    name: 'Walking Y, shelf sizes',
    maker: 'Skerrywright',
    family: 'H01',
    way: 'stock',
    unit: 'in',
    between: null,
    sizes: sizes(inch, ['M01', 'M06', 'M07'], {
      Wren: [
        [11.5, 13.75],
        [4.75, 6],
        [14.25, 17.5],
      ],
      Tern: [
        [14.25, 16.75],
        [6.25, 7.75],
        [18, 22],
      ],
      Gull: [
        [17.25, 20],
        [8, 9.5],
        [22.5, 26],
      ],
      Skua: [
        [20.5, 23.25],
        [9.75, 11.5],
        [26.5, 30.5],
      ],
      Heron: [
        [23.75, 27.25],
        [11.75, 13.5],
        [31, 36],
      ],
      Crane: [
        [27.75, 31.5],
        [13.75, 15.75],
        [36.5, 42],
      ],
    }),
    rules: { fingers: [2, 2], cut: 'true' },
    price: [21, 26],
    lead: { minWeeks: 0, maxWeeks: 0 },
  },
  {
    id: 'lee-loft-trail-y',
    version: 1,
    name: 'Trail Y, ready sewn',
    maker: 'Lee Loft',
    family: 'H01',
    way: 'quick-ship',
    unit: 'cm',
    between: 'up',
    sizes: sizes(cm, ['M01', 'M07'], {
      '1': [
        [30, 37],
        [37, 46],
      ],
      '2': [
        [38, 45],
        [47, 57],
      ],
      '3': [
        [46, 53],
        [58, 67],
      ],
      '4': [
        [54, 61],
        [68, 78],
      ],
      '5': [
        [62, 71],
        [79, 92],
      ],
      '6': [
        [72, 82],
        [93, 107],
      ],
    }),
    rules: { cut: 'roomy' },
    price: [31, 37],
    unjudged: ['Strap comfort'],
    lead: { minWeeks: 0.5, maxWeeks: 1.5 },
  },
  {
    id: 'wickandawl-bench-y',
    version: 1,
    name: 'Bench Y, cut to the dog',
    maker: 'Wick & Awl',
    family: 'H01',
    way: 'made',
    unit: 'cm',
    between: null,
    sizes: sizes(cm, ['M01', 'M06', 'M07'], {
      'To measure': [
        [24, 96],
        [9, 45],
        [30, 122],
      ],
    }),
    price: [58, 74],
    lead: { minWeeks: 2, maxWeeks: 3, peak: { months: [5, 6, 7], minWeeks: 3, maxWeeks: 5 } },
  },
  {
    id: 'rimefold-cross-back',
    version: 1,
    name: 'Cross-back, shelf sizes',
    maker: 'Rimefold',
    family: 'H11',
    way: 'stock',
    unit: 'in',
    between: null,
    sizes: sizes(inch, ['M01', 'M13'], {
      Ash: [
        [17.25, 18.5],
        [19.5, 21.75],
      ],
      Birch: [
        [19.25, 20.5],
        [22.25, 24.25],
      ],
      Cedar: [
        [21, 22.5],
        [24.75, 26.75],
      ],
      Elm: [
        [23, 24.5],
        [27.25, 29.25],
      ],
      Fir: [
        [25.25, 26.75],
        [29.75, 32.25],
      ],
      Larch: [
        [27.5, 29.75],
        [32.75, 35.75],
      ],
    }),
    price: [39, 39],
    lead: { minWeeks: 0, maxWeeks: 0 },
  },
  {
    id: 'rimefold-cross-back-ready',
    version: 1,
    name: 'Cross-back, near sizes ready sewn',
    maker: 'Rimefold',
    family: 'H11',
    way: 'quick-ship',
    unit: 'in',
    between: 'down',
    sizes: sizes(inch, ['M01', 'M14'], {
      'Birch long': [
        [19.5, 21.25],
        [21, 23.25],
      ],
      'Cedar long': [
        [21.5, 23.25],
        [23.5, 25.75],
      ],
      'Elm long': [
        [23.5, 25.5],
        [26, 28.5],
      ],
      'Fir long': [
        [25.75, 27.75],
        [28.75, 31.5],
      ],
    }),
    price: [43, 43],
    lead: { minWeeks: 1, maxWeeks: 1.5, peak: { months: [10, 11, 12, 1], minWeeks: 1, maxWeeks: 2.5 } },
  },
  {
    id: 'ternwing-made-a',
    version: 1,
    name: 'Cross-back from the breastbone',
    maker: 'Ternwing',
    family: 'H11',
    way: 'made',
    school: 'A',
    unit: 'in',
    between: null,
    sizes: sizes(inch, ['M01', 'M10', 'M12'], {
      'To measure': [
        [15, 33],
        [9.5, 25],
        [5, 18.5],
      ],
    }),
    rules: { fingers: [1, 2] },
    price: [62, 79],
    lead: { minWeeks: 3, maxWeeks: 5, peak: { months: [9, 10, 11, 12], minWeeks: 5, maxWeeks: 8 } },
  },
  {
    id: 'saltbox-made-b',
    version: 1,
    name: 'Cross-back from the withers',
    maker: 'Saltbox',
    family: 'H11',
    way: 'made',
    school: 'B',
    unit: 'cm',
    between: null,
    sizes: sizes(cm, ['M01', 'M11', 'M13'], {
      'To measure': [
        [39, 83],
        [17, 46],
        [44, 94],
      ],
    }),
    price: [66, 66],
    lead: { minWeeks: 2.5, maxWeeks: 4.5, peak: { months: [9, 10, 11], minWeeks: 4, maxWeeks: 7 } },
  },
  {
    id: 'rimefold-half-back',
    version: 1,
    name: 'Half-back, shelf sizes',
    maker: 'Rimefold',
    family: 'H14',
    way: 'stock',
    unit: 'in',
    between: null,
    sizes: sizes(inch, ['M01', 'M14'], {
      Rook: [
        [18.25, 20.25],
        [18.5, 21.25],
      ],
      Jackdaw: [
        [20.5, 22.25],
        [21.5, 24.25],
      ],
      Chough: [
        [22.5, 24.75],
        [24.75, 27.25],
      ],
      Raven: [
        [25.25, 27.75],
        [27.75, 30.75],
      ],
    }),
    price: [33, 33],
    lead: { minWeeks: 0, maxWeeks: 0 },
  },
  {
    id: 'harbour-hems-short-pull',
    version: 1,
    name: 'Short pull, adjustable girth',
    maker: 'Harbour Hems',
    family: 'H21',
    way: 'stock',
    unit: 'cm',
    between: null,
    sizes: sizes(cm, ['M01', 'M06', 'M08'], {
      Skerry: [
        [43, 49],
        [15, 19],
        [54, 63],
      ],
      Holm: [
        [51, 57],
        [18, 21.5],
        [62, 72],
      ],
      Islet: [
        [58, 65],
        [21, 25],
        [71, 83],
      ],
    }),
    rules: { fingers: [1, 2], cut: 'snug' },
    price: [36, 41],
    lead: { minWeeks: 0, maxWeeks: 0 },
  },
  {
    id: 'wickandawl-car',
    version: 1,
    name: 'Car harness, belted',
    maker: 'Wick & Awl',
    family: 'H24',
    way: 'stock',
    unit: 'cm',
    between: 'up',
    sizes: [
      { label: 'Coupe', bands: { M07: [470, 590], M02: [310, 405] }, straps: { Chest: [440, 620] }, testedKg: 12.5 },
      { label: 'Saloon', bands: { M07: [600, 745], M02: [410, 525] }, straps: { Chest: [570, 780] }, testedKg: 24 },
      { label: 'Wagon', bands: { M07: [755, 945], M02: [530, 665] }, straps: { Chest: [720, 990] }, testedKg: 38.5 },
    ],
    rules: { cut: 'true' },
    claim: 'Pulled at 48 km/h with a dummy of 24 kg',
    build: 'panel',
    strapWords: { Chest: 'girth' },
    price: [84, 97],
    lead: { minWeeks: 0.5, maxWeeks: 1.5 },
  },
  {
    id: 'rimefold-two-buckle',
    version: 1,
    name: 'Ferry car harness',
    maker: 'Rimefold',
    family: 'H24',
    way: 'stock',
    unit: 'in',
    between: null,
    sizes: [
      { label: 'Skerry', bands: { M07: [482, 612], M02: [318, 421] }, straps: { Girth: [466, 638] } },
      { label: 'Holm', bands: { M07: [624, 792], M02: [432, 551] }, straps: { Girth: [603, 826] } },
    ],
    claim: 'Webbing holds 2,100 lbf',
    build: 'two-buckle',
    strapWords: { Girth: 'girth' },
    price: [71, 79],
    lead: { minWeeks: 0, maxWeeks: 1 },
  },
  {
    id: 'tidewrack-trail-boots',
    version: 1,
    name: 'Trail boots, sold singly',
    maker: 'Tidewrack',
    family: 'B2',
    way: 'stock',
    unit: 'cm',
    between: null,
    sizes: sizes(cm, ['M32', 'M33'], {
      Limpet: [
        [4.1, 4.9],
        [4.9, 6.1],
      ],
      Whelk: [
        [4.8, 6.1],
        [5.9, 7.3],
      ],
      Mussel: [
        [5.7, 6.7],
        [6.8, 7.9],
      ],
      Scallop: [
        [6.6, 7.6],
        [7.8, 8.9],
      ],
    }),
    price: [9, 11],
    lead: { minWeeks: 0, maxWeeks: 0 },
  },
  {
    id: 'tidewrack-team-booties',
    version: 1,
    name: 'Team booties, in fours',
    maker: 'Tidewrack',
    family: 'B1',
    way: 'stock',
    unit: 'cm',
    between: null,
    sizes: sizes(cm, ['M32', 'M33'], {
      Cockle: [
        [4.3, 5.4],
        [5.6, 6.9],
      ],
      Razor: [
        [5.3, 6.1],
        [6.7, 7.4],
      ],
      Oyster: [
        [6.1, 6.9],
        [7.3, 8.1],
      ],
    }),
    price: [2, 3],
    lead: { minWeeks: 0, maxWeeks: 1 },
  },
  {
    id: 'hearthloop-hooded',
    version: 1,
    name: 'Hooded winter coat, knitted',
    maker: 'Hearthloop',
    family: 'C3',
    way: 'made',
    unit: 'cm',
    between: null,
    sizes: sizes(cm, ['M17', 'M16', 'M21', 'M03', 'M04'], {
      'To measure': [
        [24, 88],
        [21, 82],
        [30, 97],
        [18, 63],
        [19, 61],
      ],
    }),
    price: [48, 74],
    lead: { minWeeks: 2, maxWeeks: 4, peak: { months: [9, 10, 11], minWeeks: 3, maxWeeks: 6 } },
  },
]
