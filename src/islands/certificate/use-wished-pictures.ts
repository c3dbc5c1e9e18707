import { useEffect, useMemo, useState } from 'react'
import type { CertifiedPicture } from '../../core/certificate/certificate'
import { PICTURE_SUBJECTS, type Picture } from '../../core/shop/picture'
import { useBatchPictures } from '../../store/blade-hooks'
import { withDigest } from '../../ui/certificate-digest'

export type JpegOf = (picture: CertifiedPicture) => string | null

/** Pictures of a batch by what they are of, and those that are wished on the paper; undefined while they are read. */
export function useWishedPictures(batchId: string) {
  const stored = useBatchPictures(batchId)
  const [wished, setWished] = useState<ReadonlySet<Picture['of']>>(new Set())
  const [digested, setDigested] = useState<readonly (Picture & { readonly sha256: string })[]>()
  useEffect(() => {
    let isGone = false
    const asked = stored?.filter(one => wished.has(one.of))
    if (asked) void Promise.all(asked.map(withDigest)).then(all => isGone || setDigested(all))
    return () => {
      isGone = true
    }
  }, [stored, wished])
  return useMemo(() => {
    const jpegs = new Map(digested?.map(one => [one.sha256, one.jpeg]))
    return {
      subjects: PICTURE_SUBJECTS.flatMap(of => {
        const count = stored?.filter(one => one.of === of).length ?? 0
        return count > 0 ? [[of, count] as const] : []
      }),
      wished,
      setWished,
      pictures: digested?.map(({ bladeId, of, at, note, sha256 }) => ({ bladeId, of, at, note, sha256 })),
      jpegOf: (({ sha256 }) => jpegs.get(sha256) ?? null) satisfies JpegOf,
    }
  }, [stored, digested, wished])
}
