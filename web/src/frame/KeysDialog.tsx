import { Dialog } from 'radix-ui'
import { Button } from '../ui/controls/Button'
import { useAppSelector } from '../state/store'

const KEYS: readonly (readonly [string, string])[] = [
  ['Enter', 'Pin, or do the yellow thing'],
  ['↑ ↓', 'Move between tapes, tickets or sizes'],
  ['Alt + 1 to 9', 'Jump to a tape'],
  ['R', 'Take again: strike the last reading'],
  ['D', 'One side, doubled'],
  ['U', 'Inches or centimetres'],
  ['P', 'Slack or pulling'],
  ['F', 'The form from another side'],
  ['E', 'Evening or day'],
  ['/', 'Find dog, owner or ticket'],
  ['C', 'Counter'],
  ['N', 'New ticket'],
  ['[ ]', 'Previous or next stage'],
  ['Esc', 'Leave the field, then unselect'],
  ['Ctrl + Z', 'Take the last act back'],
  ['Ctrl + Y', 'Do it again'],
  ['S', 'Alone: read from two metres'],
  ['?', 'This list'],
]

export function KeysDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const letters = useAppSelector((state) => state.settings.letterKeys)
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-cloth/70" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-50 max-h-[90dvh] w-[min(860px,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto border-2 border-ink bg-panel p-5 text-ink">
          <Dialog.Title className="text-[26px] leading-[34px]">All keys</Dialog.Title>
          <Dialog.Description className="mb-3 text-mute">
            In text fields letters are text; in the length field R, D, U and P still work.{' '}
            {letters ? 'Letter keys can be turned off in Shop.' : 'Letter keys are turned off in Shop.'}
          </Dialog.Description>
          <dl className="columns-1 gap-6 sm:columns-2">
            {KEYS.map(([key, what]) => (
              <div key={key} className="grid break-inside-avoid grid-cols-[112px_1fr] border-t border-rule py-1.5">
                <dt className="font-bold">{key}</dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close asChild>
            <Button tone="primary" className="mt-4">
              Back to work
            </Button>
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
