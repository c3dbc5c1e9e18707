import { readFileSync } from 'node:fs'
import { PDFDocument } from 'pdf-lib'
import { expect, it } from 'vitest'
import type { Certificate } from '../../core/certificate/certificate'
import type { RunStep } from '../../core/shop/run'
import { certificateLines } from '../../words/certificate'
import { brokenToFit, type CertificateLook, certificatePdf } from './certificate-pdf'

const certificate: Certificate = {
  format: 'tawny-ember-certificate',
  version: 5,
  finished: true,
  shop: 'Skerry bench',
  issuedAt: '2026-03-05T08:00:00.000Z',
  blade: 'A2',
  serial: '26-014',
  batch: 'Fillets',
  grade: 'X65Cr13',
  lot: 'bar 7',
  sizeMm: { length: 250, width: 40, thickness: 2.5 },
  oven: 'Old oven',
  route: {
    austenitizeC: 1066,
    soakMin: 15,
    cold: { toC: -75, holdMin: 60 },
    tempers: [
      { atC: 200, holdMin: 120 },
      { atC: 200, holdMin: 120 },
    ],
  },
  measured: { heat: { meanC: 1063, heldMin: 14 }, tempers: [null, { meanC: 204, heldMin: 118 }] },
  happened: [],
  incidents: [],
  soakedMin: null,
  hardness: [
    {
      stage: 'temper-2',
      readings: [60, 60.5, 60],
      roundFace: true,
      hrc: 60.2,
      u95: 0.8,
      corrected: true,
      uncheckedTester: false,
    },
  ],
  target: { min: 59, max: 61 },
  inTargetProbability: 0.93,
  pictures: [],
}

const file = (name: string) => new Uint8Array(readFileSync(`node_modules/dejavu-fonts-ttf/ttf/${name}.ttf`))
const fonts = { plain: file('DejaVuSans'), bold: file('DejaVuSans-Bold') }

const look: CertificateLook = { paper: 'A4', system: 'metric', fonts, jpegOf: () => null }

it('is one A4 page a blade, with its machine-readable copy inside', async () => {
  const bytes = await certificatePdf([certificate, { ...certificate, blade: 'A3' }], look)
  const pdf = await PDFDocument.load(bytes)
  expect(pdf.getPageCount()).toBe(2)
  expect(pdf.getPage(0).getWidth()).toBeCloseTo((210 * 72) / 25.4, 1)
  expect(new TextDecoder('latin1').decode(bytes)).toContain('A3.json')
})

it('writes names in any letters its font has, and stays small: only what is used is in it', async () => {
  const named = { ...certificate, shop: 'Kováčňa Ångström, Žďár', batch: 'Ножи Μαχαίρια 刀' }
  const bytes = await certificatePdf([named], { ...look, paper: 'Letter', system: 'imperial' })
  expect(bytes.length).toBeLessThan(200_000)
  expect((await PDFDocument.load(bytes)).getPageCount()).toBe(1)
})

it('goes on in the next line within a name of 200 letters without a space, and loses none of them', async () => {
  const name = 'Küchenmesser'.repeat(17).slice(0, 200)
  const fits = (part: string) => part.length <= 42
  const broken = brokenToFit(`A ${name} b`, fits)
  expect(broken.replaceAll('\n', '')).toBe(`A ${name} b`)
  for (const part of broken.split(/[ \n]/)) expect(fits(part)).toBe(true)
  expect(broken.split('\n')).toHaveLength(5)
  expect(brokenToFit('two words', fits)).toBe('two words')
  const named = { ...certificate, shop: name, batch: name, lot: name }
  expect((await PDFDocument.load(await certificatePdf([named], look))).getPageCount()).toBe(1)
})

/** The frame header of a JPEG of 64 by 48 px, which is all that is read of it to place it. Source: ISO/IEC 10918-1, B.2.2. */
const JPEG = Buffer.from('ffd8ffc00011080030004003012200021101031101ffd9', 'hex').toString('base64')

it('goes on to a further page where a life is long, and leaves nothing out', async () => {
  const step = {
    id: 'load',
    kind: 'load',
    wait: null,
    ovenSetC: 0,
    bladeIds: ['A2'],
    station: 'heat',
    names: {},
  } as const
  const happened = Array.from({ length: 40 }, (_, i) => ({
    step,
    at: new Date(Date.UTC(2026, 2, 3, 8, i)).toISOString(),
    corrected: false,
  }))
  const long = { ...certificate, happened }
  expect(certificateLines(long, 'metric', 'UTC').filter(([, value]) => value === 'Into the oven')).toHaveLength(40)
  const pdf = await PDFDocument.load(await certificatePdf([long], look))
  expect(pdf.getPageCount()).toBe(2)
})

it('shows the pictures it names, two a row, as far as they are here', async () => {
  const picture = (sha256: string) => ({ of: 'edge' as const, at: '2026-03-04T10:00:00.000Z', note: 'chip', sha256 })
  const named = { ...certificate, pictures: ['a', 'b', 'c', 'd', 'e'].map(picture) }
  const images = async (jpegOf: CertificateLook['jpegOf']) => {
    const bytes = await certificatePdf([named], { ...look, jpegOf })
    const text = new TextDecoder('latin1').decode(bytes)
    return { count: text.split('/DCTDecode').length - 1, pages: (await PDFDocument.load(bytes)).getPageCount() }
  }
  expect(await images(() => JPEG)).toEqual({ count: 5, pages: 2 })
  expect(await images(({ sha256 }) => (sha256 === 'b' ? JPEG : null))).toEqual({ count: 1, pages: 1 })
})

it('says route, readings, uncertainty and aim', () => {
  const text = certificateLines(certificate, 'metric').flat().join(' | ')
  for (const part of [
    'X65Cr13, lot bar 7',
    '1066 °C (1951 °F)',
    'Temper 2',
    '15 min at heat planned, not recorded, in Old oven; by the log 14 min at it, 1063 °C on the mean',
    'Temper 1 | 200 °C (392 °F), 120 min planned, not recorded',
    'Temper 2 | 200 °C (392 °F), 120 min planned; by the log 118 min at it, 204 °C on the mean',
    'Cold | −75 °C (−103 °F), 60 min planned, not recorded',
    'corrected for a round face',
    '60.2 HRC ± 0.8',
    '59 to 61 HRC; chance that it is within target 93 %',
  ])
    expect(text).toContain(part)
})

it('says what was run, at the times of the shop with their zone', () => {
  const step = (kind: RunStep['kind'], names: RunStep['names'] = {}): RunStep => ({
    id: kind,
    kind,
    wait: null,
    ovenSetC: 0,
    bladeIds: ['A2'],
    station: 'temper',
    names,
  })
  const at = (time: string) => `2026-07-03T${time}:00.000Z`
  const run: Certificate = {
    ...certificate,
    soakedMin: 16.4,
    happened: [
      { step: step('cold-in'), at: at('09:00'), corrected: false },
      { step: step('cold-out'), at: at('10:04'), corrected: true },
      { step: step('temper-in', { round: 1 }), at: at('11:00'), corrected: false },
      { step: step('temper-out', { round: 1 }), at: at('13:16'), corrected: false },
    ],
    incidents: [{ incident: 'leaked', at: at('08:30'), seconds: 0 }],
  }
  const text = certificateLines(run, 'metric', 'Europe/Dublin').flat().join(' | ')
  for (const part of [
    '16.4 min at heat by the run’s clock, 15 min planned',
    'Cold | −75 °C (−103 °F), 60 min planned, 64 min in all as run',
    'Temper 1 | 200 °C (392 °F), 120 min planned, 136 min in all as run',
    // In summer Dublin is an hour ahead of UTC.
    '3 Jul 2026, 11:04 GMT+1 | Out of the cold, time corrected by hand',
    '3 Jul 2026, 09:30 GMT+1 | Packet leaked',
  ])
    expect(text).toContain(part)
})
