/** The shop’s and owners’ rigs and cars: their numbers and drawings, and the first of each. */
export { CarDrawing } from './CarDrawing'
export { CarNumbers } from './CarNumbers'
export { RIG_NAMES, FIRST_CART } from './first-rigs'
export { NewCar } from './NewCar'
export { NewRig } from './NewRig'
export { RigDrawing } from './RigDrawing'
export { RigInOut } from './RigInOut'
export { RigNumbers } from './RigNumbers'
