import { useEffect } from 'react'

/** What the window, its tab and its history are called while this screen is open. */
export function useTitle(screen: string): void {
  useEffect(() => {
    document.title = `${screen} · Merry Tailor`
  }, [screen])
}
