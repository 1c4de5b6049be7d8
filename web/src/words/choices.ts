import { labelsOf, type Piece, type WornChoice } from '@merry-tailor/core'
import { PLACES } from './measuring'

/** What was settled on, in a few words. */
export function choiceWords(choice: WornChoice, pieces: readonly Piece[] = []): string {
  switch (choice.kind) {
    case 'size':
      return choice.labels.join(', then ')
    case 'gear':
      return pieces.find((piece) => piece.id === choice.pieceId)?.tag ?? 'a piece of ours'
    case 'series':
      return choice.label
    case 'made':
      return 'Made to measure'
    case 'paws': {
      const labels = labelsOf(choice)
      return labels.length === 1
        ? `${labels[0] ?? ''}, all four`
        : Object.entries(choice.labels)
            .map(([paw, label]) => `${PLACES[paw as keyof typeof PLACES]} ${label}`)
            .join(', ')
    }
  }
}
