import { PHOTO_BYTES, type Photo, type PhotoView } from '@merry-tailor/core'
import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useAddPhotoMutation, useRemovePhotoMutation } from '../api/queries'
import { useAppSelector } from '../state/store'
import { longDay } from '../state/today'
import { problemWords } from '../words/problems'
import { Button } from '../ui/controls/Button'
import { Problem } from '../ui/controls/Problem'

const VIEWS: readonly { view: PhotoView; name: string }[] = [
  { view: 'front', name: 'Front' },
  { view: 'side', name: 'Side' },
  { view: 'top', name: 'Top' },
]
const LONGEST_PX = 1600

/** The picture drawn anew at a size worth keeping: that alone already leaves place and camera behind. */
async function redrawn(file: File): Promise<Blob> {
  const picture = await createImageBitmap(file)
  const scale = Math.min(1, LONGEST_PX / Math.max(picture.width, picture.height))
  const canvas = new OffscreenCanvas(Math.max(1, Math.round(picture.width * scale)), Math.max(1, Math.round(picture.height * scale)))
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height)
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.86 })
}

/** Photographs kept with the record: front, side, top. A hint for later, never evidence of fit. */
export function DogPhotos({ dogId, photos }: { dogId: string; photos: readonly Photo[] }) {
  const by = useAppSelector((state) => state.settings.fitter)
  const [add] = useAddPhotoMutation()
  const [remove] = useRemovePhotoMutation()
  const [problem, setProblem] = useState<string | null>(null)
  const keep = async (view: PhotoView, file: File): Promise<void> => {
    setProblem(null)
    const picture = await redrawn(file).catch(() => null)
    if (!picture) return setProblem('This file is no picture that can be read. JPEG, PNG or WebP.')
    if (picture.size > PHOTO_BYTES) return setProblem(`Larger than ${PHOTO_BYTES / 1024 / 1024} MB even when drawn smaller.`)
    const { error } = await add({ dogId, id: uuid(), view, at: new Date().toISOString(), by, picture })
    if (error) setProblem(`Not kept. ${problemWords(error)}`)
  }
  return (
    <section aria-label="Photographs" className="border-t-2 border-ink">
      <h2 className="border-b border-rule px-4 py-2 text-[19px] leading-6">Photographs</h2>
      <p className="px-4 pt-2 text-[14px] text-mute">
        Kept without place or camera. A coat hides straps and angles deceive: a picture is a hint, only a hand on the dog says it holds.
      </p>
      <ul className="grid grid-cols-3 gap-2 px-4 py-3">
        {VIEWS.map(({ view, name }) => {
          const newest = photos.find((photo) => photo.view === view)
          return (
            <li key={view} className="min-w-0">
              <p className="text-[14px] font-bold">{name}</p>
              {newest ? (
                <>
                  <a href={`/api/photos/${newest.id}`} target="_blank" rel="noreferrer" className="block border-2 border-ink">
                    <img src={`/api/photos/${newest.id}`} alt={`${name}, ${longDay(newest.at.slice(0, 10))}`} className="h-[84px] w-full object-cover" />
                  </a>
                  <p className="text-[13px] leading-4 text-mute">
                    {longDay(newest.at.slice(0, 10))}
                    {newest.by ? `, ${newest.by}` : ''}
                  </p>
                  <button type="button" className="min-h-11 text-[14px] font-semibold underline" onClick={() => void remove({ dogId, id: newest.id })}>
                    Remove
                  </button>
                </>
              ) : (
                <div className="h-[84px] border-2 border-dashed border-edge" aria-hidden />
              )}
              <label className="mt-1 flex min-h-11 cursor-pointer items-center justify-center border border-edge px-1 text-center text-[14px] font-semibold focus-within:shadow-[inset_0_0_0_3px_var(--tape)] hover:bg-bench">
                {newest ? 'Newer' : 'Add'}
                <input
                  type="file"
                  accept="image/jpeg,image/png,image/webp"
                  aria-label={`${name} photograph`}
                  className="sr-only"
                  onChange={(event) => {
                    const file = event.target.files?.[0]
                    event.target.value = ''
                    if (file) void keep(view, file)
                  }}
                />
              </label>
            </li>
          )
        })}
      </ul>
      {problem && (
        <Problem barred className="mx-4 mb-3">
          {problem}{' '}
          <Button tone="quiet" onClick={() => setProblem(null)}>
            Seen
          </Button>
        </Problem>
      )}
    </section>
  )
}
