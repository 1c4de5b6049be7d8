import type { Form, Place, View } from '@merry-tailor/core'
import { FormPlate, type Crop, type OtherTape } from './FormPlate'
import { PartPlateDrawing, ratioOf } from './PartPlates'
import type { PlateName } from './plate-of'

interface TapePlateProps {
  form: Form
  plate: PlateName
  measure: string | null
  place?: Place | null
  doubled?: boolean
  others?: readonly OtherTape[]
  width: number
  height: number
  top?: number
  stand?: boolean
  phone?: boolean
  ghost?: Form | null
  plain?: boolean
  label?: string
}

const VIEWS: Readonly<Partial<Record<PlateName, View>>> = { above: 'above', below: 'below', front: 'front', sitting: 'sitting' }
const CROPS: Readonly<Partial<Record<PlateName, Crop>>> = { head: 'head', foreleg: 'foreleg', 'hind leg': 'hind leg' }

/** Any plate by its name: a view of this dog's form, a part of it drawn large, or a paw or hand. */
export function TapePlate({ plate, measure, place = null, ...props }: TapePlateProps) {
  if (plate === 'paw' || plate === 'hand') {
    const size = Math.min(props.width, props.height * ratioOf(plate))
    return (
      <div className="flex items-center justify-center" style={{ width: props.width, height: props.height }}>
        <PartPlateDrawing plate={plate} measure={measure} place={place} form={props.form} width={size} {...(props.label ? { label: props.label } : {})} />
      </div>
    )
  }
  return <FormPlate {...props} view={VIEWS[plate] ?? 'side'} crop={CROPS[plate] ?? null} active={measure} scale={plate === 'scale'} />
}
