import { fail, ok, type Result } from '../core/codes/result'
import { PICTURE_MOST_PX, type Picture } from '../core/shop/picture'

const MOST_MB = 40
const QUALITY = 0.82

/**
 * A file as a picture of bounded size, drawn anew, so that nothing of place, device or owner is left in it. Errors: 'picture-too-big',
 * 'not-a-picture'.
 */
export async function readPicture(file: File): Promise<Result<Pick<Picture, 'jpeg' | 'widthPx' | 'heightPx'>>> {
  const mb = file.size / 1e6
  if (mb > MOST_MB) return fail('picture-too-big', { mb, mostMb: MOST_MB })
  const bitmap = await createImageBitmap(file).catch(() => null)
  if (!bitmap || bitmap.width === 0 || bitmap.height === 0) return fail('not-a-picture', { name: file.name })
  const scale = Math.min(1, PICTURE_MOST_PX / Math.max(bitmap.width, bitmap.height))
  const [widthPx, heightPx] = [bitmap.width, bitmap.height].map(px => Math.max(1, Math.round(px * scale))) as [
    number,
    number,
  ]
  const canvas = document.createElement('canvas')
  Object.assign(canvas, { width: widthPx, height: heightPx })
  const context = canvas.getContext('2d')
  if (!context) return fail('not-a-picture', { name: file.name })
  // What is transparent would come out black.
  context.fillStyle = '#ffffff'
  context.fillRect(0, 0, widthPx, heightPx)
  context.drawImage(bitmap, 0, 0, widthPx, heightPx)
  bitmap.close()
  const [, jpeg = ''] = canvas.toDataURL('image/jpeg', QUALITY).split(',')
  return ok({ jpeg, widthPx, heightPx })
}

export const pictureUrl = ({ jpeg }: Pick<Picture, 'jpeg'>): string => `data:image/jpeg;base64,${jpeg}`
