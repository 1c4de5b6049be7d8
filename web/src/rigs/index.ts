/** The shop’s and owners’ rigs and cars: their numbers, and the first of each. */
export { CarNumbers } from './CarNumbers'
export { RIG_NAMES, FIRST_CART } from './first-cart'
export { NewCar } from './NewCar'
export { NewRig } from './NewRig'
export { RigNumbers } from './RigNumbers'
