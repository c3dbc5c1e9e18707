import { create } from 'qrcode'
import { useMemo } from 'react'

interface Props {
  /** A text, or bytes that are no text. */
  readonly text: string | Uint8Array
  readonly label: string
  readonly className?: string
}

/** Larger codes are read off a screen, where nothing is scratched: they have less correction. */
const MOST_WELL_CORRECTED = 900

/** A QR code as one SVG path, so that it prints sharp at any size. Source: ISO/IEC 18004, by the qrcode package. */
export function QrCode({ text, label, className }: Props) {
  const { size, path } = useMemo(() => {
    const { modules } = create(typeof text === 'string' ? text : [{ data: text, mode: 'byte' }], {
      errorCorrectionLevel: text.length > MOST_WELL_CORRECTED ? 'L' : 'M',
    })
    let path = ''
    for (let y = 0; y < modules.size; y++)
      for (let x = 0; x < modules.size; x++) if (modules.get(y, x)) path += `M${x} ${y}h1v1h-1z`
    return { size: modules.size, path }
  }, [text])
  return (
    <svg
      viewBox={`-4 -4 ${size + 8} ${size + 8}`}
      className={className}
      role="img"
      aria-label={label}
      shapeRendering="crispEdges"
    >
      <rect x={-4} y={-4} width={size + 8} height={size + 8} fill="#fff" />
      <path d={path} fill="#000" />
    </svg>
  )
}
