import { solveForm, typicalForm, type Body } from '@merry-tailor/core'
import { cleanup, renderHook, waitFor } from '@testing-library/react'
import { afterEach, describe, expect, it } from 'vitest'
import { keyOf } from './form-desk'
import { useForm, useFormReading } from './use-form'

afterEach(cleanup)
const about = { breed: 'Beagle' }

describe('a form on screen', () => {
  it('is the build’s middle dog in the first frame and this dog’s soon after', async () => {
    const body: Body = { M07: { mm: 613, sigmaMm: 6 } }
    const { result } = renderHook(() => useForm(body, about))
    expect(result.current).toEqual(typicalForm(about))
    expect(result.current.measures.M07?.taken).toBe(false)
    await waitFor(() => expect(result.current.measures.M07?.readMm).toBeCloseTo(613, 6))
    expect(result.current).toEqual(solveForm(body, about))
  })

  it('keeps the last shape while the next is worked out, so that nothing blinks', async () => {
    const first: Body = { M07: { mm: 621 } }
    const { result, rerender } = renderHook(({ body }: { body: Body }) => useFormReading(body, about, undefined, 'bench'), { initialProps: { body: first } })
    await waitFor(() => expect(result.current?.form.measures.M07?.readMm).toBeCloseTo(621, 6))
    rerender({ body: { M07: { mm: 622 }, M14: { mm: 401 } } })
    expect(result.current).not.toBeNull()
    await waitFor(() => expect(result.current?.form.measures.M14?.readMm).toBeCloseTo(401, 6))
  })

  it('asks by what decides the answer: values and errors, not places', () => {
    const key = (body: Body): string => keyOf({ body, about, question: {} })
    expect(key({ M07: { mm: 600 }, 'M32/front-left': { mm: 50 } })).toBe(key({ M07: { mm: 600 } }))
    expect(key({ M07: { mm: 600 } })).not.toBe(key({ M07: { mm: 601 } }))
    expect(key({ M07: { mm: 600, sigmaMm: 4 } })).not.toBe(key({ M07: { mm: 600, sigmaMm: 9 } }))
    expect(key({ M07: { mm: 600 }, M01: { mm: 500 } })).toBe(key({ M01: { mm: 500 }, M07: { mm: 600 } }))
  })
})
