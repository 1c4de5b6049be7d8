import { measureIds, measures, solveForm, typicalForm } from '@merry-tailor/core'
import { cleanup, render, screen } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { boxOfWords, type Box } from './place-labels'
import { FormPlate } from './FormPlate'
import { PartPlateDrawing } from './PartPlates'
import { platesOf } from './plate-of'
import { TapePlate } from './TapePlate'

afterEach(cleanup)

const male = solveForm({}, { build: 'nordic', sex: 'male' })
const drawn = (node: React.ReactElement): Element => render(node).container

describe('plates', () => {
  it('draw the path of every tape on each plate that claims it', () => {
    // A weight has no path, and trace and hitch are not the dog's.
    const noPath = new Set(['M00', 'M09', 'M47', 'M48'])
    for (const id of measureIds.filter((each) => !noPath.has(each))) {
      const place = measures[id]?.places[0] ?? null
      for (const plate of platesOf(id, place)) {
        const paths = drawn(<TapePlate form={male} plate={plate} measure={id} place={place} width={400} height={300} />).querySelectorAll('.path-tape')
        expect([id, plate, paths.length]).toEqual([id, plate, 1])
        cleanup()
      }
    }
  })

  it('take the shape of this dog: another back, another drawing', () => {
    const of = (mm: number): string =>
      drawn(<FormPlate form={solveForm({ M14: { mm }, M07: { mm: 700 } }, null)} view="side" width={400} height={300} />).innerHTML
    expect(of(480)).not.toBe(of(640))
  })

  it('dash what no reading vouches for', () => {
    const dashed = (body: Parameters<typeof solveForm>[0]): number =>
      drawn(<FormPlate form={solveForm(body, null)} view="side" width={400} height={300} />).querySelectorAll('path[stroke-dasharray="5 4"]').length
    expect(dashed({ M01: { mm: 560 }, M07: { mm: 700 }, M14: { mm: 540 } })).toBeLessThan(dashed({}))
  })

  it('show a doubt as long as read, and ask at its end', () => {
    const other = { measure: 'M12', row: 4, doubt: true, share: 0.8 }
    render(<FormPlate form={male} view="side" others={[other]} width={500} height={360} />)
    expect(screen.getByText('began here?')).toBeTruthy()
    expect(screen.getByText('ended here?')).toBeTruthy()
  })

  it('U42 ask at both ends of a short tape without one question touching the other', () => {
    for (const width of [380, 460, 540, 700])
      for (const share of [0.4, 0.6, 0.8, 1, 1.3]) {
        const { unmount } = render(<FormPlate form={male} view="side" others={[{ measure: 'M12', row: 4, doubt: true, share }]} width={width} height={360} />)
        const [a, b] = ['began here?', 'ended here?'].map((word) => {
          const text = screen.getByText(word)
          const at = (name: string): number => Number(text.getAttribute(name))
          return boxOfWords([word], 14.5, text.getAttribute('text-anchor') as 'middle' | 'end', at('x'), at('y'))
        }) as [Box, Box]
        expect(a.left >= b.right + 6 || b.left >= a.right + 6 || a.top >= b.bottom || b.top >= a.bottom, `${width} ${share}`).toBe(true)
        unmount()
      }
  })

  it('show a left paw as a right one in the mirror, and say what they show', () => {
    const turn = (place: 'front-left' | 'front-right'): string => {
      const { container } = render(<PartPlateDrawing plate="paw" measure="M32" place={place} form={typicalForm(null)} width={100} label="Paw" />)
      expect(screen.getByRole('img', { name: 'Paw' })).toBeTruthy()
      const transform = container.querySelector('g')?.getAttribute('transform') ?? 'matrix(1'
      cleanup()
      return transform
    }
    expect(turn('front-left')).toContain('matrix(-')
    expect(turn('front-right')).not.toContain('matrix(-')
  })

  it('lay one side of a doubled neck, or the whole ring', () => {
    const strips = (doubled: boolean): number => {
      const plate = <FormPlate form={male} view="front" active="M01" doubled={doubled} width={80} height={190} plain />
      const yellow = [...drawn(plate).querySelectorAll('.path-tape path[stroke="var(--tape)"]')]
      const length = yellow.reduce((sum, path) => sum + (path.getAttribute('d')?.length ?? 0), 0)
      cleanup()
      return length
    }
    expect(strips(false)).toBeGreaterThan(strips(true))
  })
})
