import { writeFile } from 'node:fs/promises'
import { type Browser, chromium, type Page, type TestInfo } from '@playwright/test'

const WIDTH = 1280
const HEIGHT = 720

/** Returns the picture a camera would deliver, as luminance row by row. Runs in a page, which can decode pictures. */
const lightOf = (page: Page, png: Buffer): Promise<number[]> =>
  page.evaluate(
    async ({ url, width, height }) => {
      const image = new Image()
      image.src = url
      await image.decode()
      const canvas = document.createElement('canvas')
      Object.assign(canvas, { width, height })
      const context = canvas.getContext('2d')
      if (!context) throw new Error('no canvas')
      context.fillStyle = '#fff'
      context.fillRect(0, 0, width, height)
      const side = height * 0.9
      context.drawImage(image, (width - side) / 2, (height - side) / 2, side, side)
      const { data } = context.getImageData(0, 0, width, height)
      return Array.from({ length: width * height }, (_, i) => Math.round(16 + ((data[4 * i + 1] ?? 0) * 219) / 255))
    },
    { url: `data:image/png;base64,${png.toString('base64')}`, width: WIDTH, height: HEIGHT },
  )

/** A browser whose camera sees one picture: a film of uncompressed frames (YUV4MPEG2) in the place of the device. */
export async function browserWithCamera(page: Page, png: Buffer, test: TestInfo): Promise<Browser> {
  const film = test.outputPath('camera.y4m')
  const colour = Buffer.alloc((WIDTH * HEIGHT) / 2, 128)
  const frame = Buffer.concat([Buffer.from('FRAME\n'), Buffer.from(await lightOf(page, png)), colour])
  const head = Buffer.from(`YUV4MPEG2 W${WIDTH} H${HEIGHT} F10:1 Ip A1:1 C420jpeg\n`)
  await writeFile(film, Buffer.concat([head, frame, frame]))
  const { launchOptions } = test.project.use
  return chromium.launch({
    ...launchOptions,
    args: [
      ...(launchOptions?.args ?? []),
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
  })
}
