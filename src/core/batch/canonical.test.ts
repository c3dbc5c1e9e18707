import { describe, expect, it } from 'vitest'
import { canonicalText } from './canonical'

describe('canonical JSON', () => {
  it('is the example of RFC 8785, section 3.2', () => {
    // From memory of the RFC: numbers as ECMAScript writes them, names in order, control signs escaped in small letters.
    const given = JSON.parse(
      '{"numbers":[333333333.33333329,1E30,4.50,2e-3,0.000000000000000000000000001],"string":"\\u20ac$\\u000F\\u000aA\'\\u0042\\u0022\\u005c\\\\\\"\\/","literals":[null,true,false]}',
    )
    expect(canonicalText(given)).toBe(
      '{"literals":[null,true,false],"numbers":[333333333.3333333,1e+30,4.5,0.002,1e-27],"string":"€$\\u000f\\nA\'B\\"\\\\\\\\\\"/"}',
    )
  })

  it('does not depend on the order things were written in, and leaves out what is not there', () => {
    expect(canonicalText({ b: 1, a: { d: [1, undefined], c: undefined } })).toBe('{"a":{"d":[1,null]},"b":1}')
  })
})
