/** Tapes and scales that say their own numbers. */
export { DevicePanel } from './DevicePanel'
export { useDevice, type Device, type DeviceValue } from './use-device'
