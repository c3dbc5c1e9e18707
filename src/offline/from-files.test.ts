import { describe, expect, it } from 'vitest'
import { addressAsked, fileFor } from './from-files'

const at = (address: string) => new URL(address, 'https://shop.example')

describe('a folder of plain files', () => {
  it.each(['/batch/7f3a/heat?lot=2#rack', '/run/7f3a', '/blade/7f3a/A1', '/print/recipe/7f3a'])(
    'leads %s to the page of its kind, which gets the address back',
    address => {
      const file = fileFor(at(address))
      expect(file).toMatch(/^\/[a-z]+(\/[a-z]+)*\/\?at=/)
      expect(addressAsked(at(file ?? ''))).toBe(address)
    },
  )

  it.each(['/', '/batches', '/batches/', '/batch/any/choose/', '/nowhere', '/api/predict'])(
    'leads %s nowhere: it lies there itself, or is no page',
    address => expect(fileFor(at(address))).toBeNull(),
  )

  it.each([
    'https://elsewhere.example/run/1',
    '//elsewhere.example/run/1',
    '/nowhere',
    'javascript:alert(1)',
    'http://[',
  ])('takes no address from a link that is none of its own: %s', asked =>
    expect(addressAsked(at(`/run/any/?at=${encodeURIComponent(asked)}`))).toBeNull(),
  )
})
