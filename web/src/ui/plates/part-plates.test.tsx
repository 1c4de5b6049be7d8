import { measureIds, measures } from '@merry-tailor/core'
import { cleanup, render, screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { cutPlates, tapeLine } from './dog-plates'
import { figure } from '@merry-tailor/core'
import { PartPlateDrawing } from './PartPlates'
import { platesOf } from './plate-of'

afterEach(cleanup)

describe('plates', () => {
  it('draw the path of every tape on each plate that claims it', () => {
    const dog = cutPlates(figure({}, null))
    for (const id of measureIds) {
      const place = measures[id]?.places[0] ?? null
      for (const plate of platesOf(id, place)) {
        if (plate === 'side') {
          const line = tapeLine(id, dog)
          expect([id, line !== null && line.points.every((point) => Number.isFinite(point.x) && Number.isFinite(point.y))]).toEqual([id, true])
        } else {
          const { container } = render(<PartPlateDrawing plate={plate} measure={id} place={place} width={200} />)
          expect([id, plate, container.querySelectorAll('.path-tape').length]).toEqual([id, plate, 1])
          cleanup()
        }
      }
    }
  })

  it('show a left paw as a right one in the mirror, and say what they show', () => {
    render(<PartPlateDrawing plate="paw" measure="M32" place="front-left" width={100} label="Paw" />)
    expect(screen.getByRole('img', { name: 'Paw' }).querySelector('g')?.getAttribute('transform')).toContain('matrix(-1')
    cleanup()
    render(<PartPlateDrawing plate="paw" measure="M32" place="front-right" width={100} label="Paw" />)
    expect(screen.getByRole('img', { name: 'Paw' }).querySelector('g')?.getAttribute('transform')).toBeNull()
  })

  it('lay one side of a doubled neck, or the whole ring', () => {
    const path = (doubled: boolean): string => {
      const { container } = render(<PartPlateDrawing plate="front" measure="M01" doubled={doubled} width={80} />)
      const d = container.querySelector('.path-tape path')?.getAttribute('d') ?? ''
      cleanup()
      return d
    }
    expect(path(false).length).toBeGreaterThan(path(true).length)
  })
})
