/** The dog in the car: how it stops, what its belt and harness take, what must not drive off. */
export { pulseOf, PULSES, slowingAt, type NamedPulse, type Pulse, type PulseQuestion } from './pulse.ts'
export { crashRide, speedAt, STIFFNESSES, type CrashRide, type RideQuestion } from './crash-ride.ts'
export { beltReach, seatReach, type BeltQuestion, type BeltReach, type SeatQuestion, type SeatReach } from './belt-reach.ts'
export { carFingers, type CarFingers } from './car-fingers.ts'
export { CLAIMS, readClaim, type Claim, type ReadClaim } from './claims.ts'
export { carStops, PRE_DRIVE, type CarQuestion, type CarStop } from './car-stops.ts'
export { parkedCarC } from './parked-car.ts'
export { restraintsFor, type Restraint } from './restraints.ts'
