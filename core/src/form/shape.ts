import type { Sex } from '../model/index.ts'
import { proportionsOf, type Proportions } from './parameters.ts'
import { halfBetweenLegs, skinOfStations, type Skin } from './skin.ts'
import { cutStations, type Stations } from './stations.ts'

/** What of a dog decides shape beside the numbers. */
export interface Traits {
  ears: 'erect' | 'drop'
  sex: Sex | null
}

/** Everything a path needs of one dog, in back lengths. */
export interface Shape extends Traits {
  k: Proportions
  stations: Stations
  skin: Skin
}

export function shapeOf(x: ArrayLike<number>, traits: Traits): Shape {
  const k = proportionsOf(x)
  const stations = cutStations(k)
  return { k, stations, skin: skinOfStations(stations, halfBetweenLegs(k)), ears: traits.ears, sex: traits.sex }
}
