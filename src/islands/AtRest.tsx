import { BackUps } from './BackUps'
import { NewVersion } from './NewVersion'

/** Does what a page does by itself once it has come to rest: back-ups, and looking for a newer version. */
export default function AtRest({ isOwn }: { isOwn: boolean }) {
  return (
    <>
      <NewVersion />
      <BackUps isOwn={isOwn} />
    </>
  )
}
