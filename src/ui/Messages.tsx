import { useEffect } from 'react'
import { Toaster, toast } from 'sonner'
import { waitingMessages } from './toast'

/** Shows what is to be said, in its turn. */
export default function Messages() {
  useEffect(() => {
    const show = () => {
      const waiting = waitingMessages.get()
      if (waiting.length === 0) return
      waitingMessages.set([])
      for (const { text, isError, options } of waiting) (isError ? toast.error : toast)(text, options)
    }
    show()
    return waitingMessages.subscribe(show)
  }, [])
  // On a phone the places stand at the foot of the page: nothing may lie over them.
  return <Toaster position="bottom-right" mobileOffset={{ bottom: 72 }} toastOptions={{ className: 'toast' }} />
}
