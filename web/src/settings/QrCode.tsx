import { create } from 'qrcode'
import { useMemo } from 'react'

/** An address as a code for a camera: dark on light in both themes, with its quiet zone of four cells (ISO/IEC 18004). */
export function QrCode({ text, label }: { text: string; label: string }) {
  const { side, path } = useMemo(() => {
    const { modules } = create(text, { errorCorrectionLevel: 'M' })
    const { size, data } = modules
    let d = ''
    for (let y = 0; y < size; y++) for (let x = 0; x < size; x++) if (data[y * size + x]) d += `M${x + 4} ${y + 4}h1v1h-1z`
    return { side: size + 8, path: d }
  }, [text])
  return (
    <svg role="img" aria-label={label} viewBox={`0 0 ${side} ${side}`} className="my-2 block w-[190px] border-2 border-ink" shapeRendering="crispEdges">
      <rect width={side} height={side} fill="#ffffff" />
      <path d={path} fill="#000000" />
    </svg>
  )
}
