import { KG_PER_POUND, MM_PER_UNIT, type Frame, type NewReading } from '@merry-tailor/core'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { listen, type DevicePort } from './port'

/** A device's value in our units: mm, or kg for a weight. */
export interface DeviceValue {
  value: number
  mass: boolean
  unit: NewReading['unit']
  asSent: string
}

export interface Device {
  port: DevicePort | null
  frame: Frame | null
  noise: number
  problem: string | null
  connect: (port: DevicePort) => void
  disconnect: () => void
}

export function valueOf({ value, unit }: Frame): DeviceValue {
  const asSent = `${value} ${unit}`
  if (unit === 'kg' || unit === 'lb') return { value: unit === 'kg' ? value : value * KG_PER_POUND, mass: true, unit, asSent }
  return { value: value * MM_PER_UNIT[unit], mass: false, unit, asSent }
}

/** One device on one port; the squeeze of its button is told once. */
export function useDevice(onSqueeze: (value: DeviceValue) => void): Device {
  const [port, setPort] = useState<DevicePort | null>(null)
  const [frame, setFrame] = useState<Frame | null>(null)
  const [noise, setNoise] = useState(0)
  const [problem, setProblem] = useState<string | null>(null)
  const squeezed = useRef(onSqueeze)
  useEffect(() => {
    squeezed.current = onSqueeze
  })
  useEffect(() => {
    if (!port) return
    const end = new AbortController()
    listen(
      port,
      end.signal,
      (next) => {
        setFrame(next)
        if (next.event === 'squeeze') squeezed.current(valueOf(next))
      },
      (dropped) => setNoise((all) => all + dropped),
    )
      .then(() => {
        if (!end.signal.aborted) setProblem('The device went silent. Connect it again; what was pinned is kept.')
      })
      .catch(() => {
        if (!end.signal.aborted) setProblem('The device can’t be reached. Connect it again; what was pinned is kept.')
      })
      .finally(() => {
        if (!end.signal.aborted) setPort(null)
      })
    return () => end.abort()
  }, [port])
  const connect = useCallback((next: DevicePort) => {
    setProblem(null)
    setNoise(0)
    setFrame(null)
    setPort(next)
  }, [])
  const disconnect = useCallback(() => setPort(null), [])
  return useMemo(() => ({ port, frame, noise, problem, connect, disconnect }), [port, frame, noise, problem, connect, disconnect])
}
