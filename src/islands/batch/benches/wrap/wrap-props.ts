import type { useWrap } from '../../use-wrap'

export interface WrapProps {
  readonly wrap: ReturnType<typeof useWrap>
  readonly mm: (value: number) => string
}
