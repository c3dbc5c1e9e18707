import type { Batch, Workshop } from '../../../../core/record/schemas'
import type { useWrap } from '../../use-wrap'

export interface WrapProps {
  readonly batch: Batch
  readonly shop: Workshop
  readonly wrap: ReturnType<typeof useWrap>
  readonly mm: (value: number) => string
}
