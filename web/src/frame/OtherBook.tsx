import { useState, useSyncExternalStore } from 'react'
import { beyondOf, sendBeyond, setAside, type Beyond } from '../api/beyond'
import { deviceBook } from '../api/book-mark'
import { outbox } from '../api/outbox'
import { shopApi } from '../api/shop-api'
import { Button } from '../ui/controls/Button'
import { useAppDispatch } from '../state/store'

const watch = (listener: () => void): (() => void) => deviceBook.onChange(listener)

/**
 * Another book answers, or this one as it was brought back from a copy. Nothing is sent or shown until somebody decides;
 * what this device knows beyond the book is offered, never dropped.
 */
export function OtherBook() {
  const other = useSyncExternalStore(watch, () => deviceBook.other)
  const dispatch = useAppDispatch()
  const [beyond, setBeyond] = useState<Beyond | null>(null)
  const [sent, setSent] = useState(false)
  const same = other !== null && other.book === deviceBook.mark?.book
  const adopt = async (): Promise<void> => {
    if (!other) return
    await setAside()
    deviceBook.adopt(other)
    if (same) await outbox.takeOver()
    dispatch(shopApi.util.resetApiState())
    if (same) setBeyond(await beyondOf())
    void outbox.drain()
  }
  if (other)
    return (
      <section aria-label="Another book" className="shrink-0 border-b-2 border-l-[5px] border-ink border-l-snag bg-snag-bg px-4 py-2 print:hidden">
        <h2 className="text-[17px] leading-[22px]">{same ? 'This book was brought back from a copy' : 'Another book is open here'}</h2>
        <p>
          {same
            ? 'What this device shows may be newer than the book. Nothing is sent until you go on; then what it knows beyond the book is put before you.'
            : 'Nothing is sent and nothing of it is shown. Open the book this device works with, or go on with the one that is there; what waits here waits for its own book.'}
        </p>
        <Button className="mt-1" onClick={() => void adopt()}>
          {same ? 'Go on with the book as it is now' : 'Work with the book that is there'}
        </Button>
      </section>
    )
  if (!beyond || beyond.count === 0) return null
  return (
    <section
      aria-label="What this device knows beyond the book"
      className="shrink-0 border-b-2 border-l-[5px] border-ink border-l-chalk bg-chalk-bg px-4 py-2 print:hidden"
    >
      <p>
        <b>{sent ? 'Sent.' : `This device knows ${beyond.words} beyond the book.`}</b>{' '}
        {sent ? 'What could not go in is listed below.' : 'They were there before it was brought back.'}
      </p>
      <span className="flex gap-2">
        {!sent && (
          <Button
            onClick={() => {
              setSent(true)
              void sendBeyond(beyond)
            }}
          >
            Put them in
          </Button>
        )}
        <Button tone="quiet" onClick={() => setBeyond(null)}>
          {sent ? 'Seen' : 'Leave them out'}
        </Button>
      </span>
    </section>
  )
}
