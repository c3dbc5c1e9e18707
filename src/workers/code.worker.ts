import { expose } from 'comlink'
import jsQR from 'jsqr'

/** A picture is looked at no larger than this: a code is seen well in it, px. */
const LARGEST_PX = 1600

const door = {
  /**
   * The bytes of the first QR code in a picture, which is made smaller where it is large; null where there is none. Source: ISO/IEC
   * 18004, by the jsqr package.
   */
  codeIn: (picture: ImageBitmap): Uint8Array | null => {
    const scale = Math.min(1, LARGEST_PX / Math.max(picture.width, picture.height))
    const [width, height] = [Math.round(picture.width * scale), Math.round(picture.height * scale)]
    const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })
    if (!context) throw new Error('no canvas in a worker')
    context.drawImage(picture, 0, 0, width, height)
    picture.close()
    const found = jsQR(context.getImageData(0, 0, width, height).data, width, height)
    return found ? Uint8Array.from(found.binaryData) : null
  },
}

export type CodeDoor = typeof door
expose(door)
