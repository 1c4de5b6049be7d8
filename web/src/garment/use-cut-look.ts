import { valueStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { lengthText } from '../ui/length/length-text'

/** How lengths of cloth are said: in eighths of an inch, or half centimetres. */
export function useCutLook() {
  const look = useAppSelector((state) => state.settings)
  const say = (mm: number): string => lengthText(mm, { unit: look.unit, step: look.unit === 'in' ? 0.125 : 0.5 }, true)
  return { look, style: { ...valueStyle(look), unit: look.unit }, say }
}
